import { useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useEffect } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { Navigate, useSearchParams } from 'react-router';
import { sessionQuery, useSayPassphrase } from '../../api/data.ts';
import { sentencesOf } from '../../api/failures.ts';
import { emptyShelves } from '../../worker/worked-out-shelf.ts';
import './login.css';

/** Only ways within the app lead on from here. */
const safeWay = (way: string | null): string =>
  way !== null && way.startsWith('/') && !/^\/[/\\]/.test(way) ? way : '/';

/** The books can be reached from other machines: whoever opens them says the passphrase. */
export function LoginPage() {
  const { control, setValue, handleSubmit } = useForm({ defaultValues: { passphrase: '' } });
  const passphrase = useWatch({ control, name: 'passphrase' });
  const [search] = useSearchParams();
  const { data } = useQuery(sessionQuery());
  const say = useSayPassphrase();
  const isShutOut = data?.isAdmitted === false;
  // Whoever may not read the books finds nothing of them on the device either.
  useEffect(() => {
    if (isShutOut) void emptyShelves();
  }, [isShutOut]);
  if (data?.isAdmitted) return <Navigate replace to={safeWay(search.get('to'))} />;
  const troubles = [...new Set(Object.values(sentencesOf(say.error)))];
  return (
    <main className="page">
      <form
        className="empty login"
        onSubmit={(event) => void handleSubmit(() => say.mutate(passphrase))(event)}
      >
        <h1>Vine Ledger</h1>
        <p>These books are kept for whoever knows their passphrase.</p>
        <label className="field">
          <span className="field-name">Passphrase</span>
          <Input
            type="password"
            value={passphrase}
            autoFocus
            autoComplete="current-password"
            aria-invalid={troubles.length > 0}
            onChange={(event) => setValue('passphrase', event.target.value)}
          />
        </label>
        {troubles.map((sentence) => (
          <p key={sentence} className="field-trouble" role="alert">
            {sentence}
          </p>
        ))}
        <Button type="primary" htmlType="submit" loading={say.isPending} disabled={passphrase === ''}>
          Open your gardens
        </Button>
        <p className="soft">
          Forgotten? On the machine the books are kept on, “npm run passphrase” sets another.
        </p>
      </form>
    </main>
  );
}
