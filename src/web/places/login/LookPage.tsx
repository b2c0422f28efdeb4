import { Button } from 'antd';
import { useNavigate, useParams } from 'react-router';
import { sentencesOf } from '../../api/failures.ts';
import { useComeIn } from '../../api/data.ts';
import './login.css';

/** Where a link leads: whoever has it reads one garden. */
export function LookPage() {
  const { token = '' } = useParams();
  const comeIn = useComeIn();
  const navigate = useNavigate();
  const troubles = [...new Set(Object.values(sentencesOf(comeIn.error)))];
  const open = () =>
    comeIn.mutate(
      { link: token },
      {
        onSuccess: ({ visitor }) => {
          const isGuest = visitor !== null && visitor.role !== 'keeper';
          void navigate(isGuest ? `/garden/${visitor.gardenId}` : '/', { replace: true });
        },
      },
    );
  return (
    <main className="page">
      <div className="empty login">
        <h1>Vine Ledger</h1>
        <p>
          You were given a link to look at a garden: its beds, its log and what the app works out of them.
        </p>
        <Button type="primary" loading={comeIn.isPending} onClick={open}>
          Look at the garden
        </Button>
        {troubles.map((sentence) => (
          <p key={sentence} className="field-trouble" role="alert">
            {sentence}
          </p>
        ))}
        <p className="soft">Whoever has come in on this device before leaves by that.</p>
      </div>
    </main>
  );
}
