import { useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useEffect } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { Navigate, useSearchParams } from 'react-router';
import { sessionQuery, useComeIn } from '../../api/data.ts';
import { sentencesOf } from '../../api/failures.ts';
import { emptyShelves } from '../../worker/worked-out-shelf.ts';
import './login.css';

/** Only ways within the app lead on from here. */
const safeWay = (way: string | null): string =>
  way !== null && way.startsWith('/') && !/^\/[/\\]/.test(way) ? way : '/';

/** The books can be reached from other machines: whoever opens them says the passphrase. */
export function LoginPage() {
  const { control, setValue, handleSubmit } = useForm({ defaultValues: { passphrase: '', name: '' } });
  const { passphrase = '', name = '' } = useWatch({ control });
  const [search] = useSearchParams();
  const { data } = useQuery(sessionQuery());
  const comeIn = useComeIn();
  const isShutOut = data?.isAdmitted === false;
  // Whoever may not read the books finds nothing of them on the device either.
  useEffect(() => {
    if (isShutOut) void emptyShelves();
  }, [isShutOut]);
  if (data?.isAdmitted) return <Navigate replace to={safeWay(search.get('to'))} />;
  const troubles = [...new Set(Object.values(sentencesOf(comeIn.error)))];
  return (
    <main className="page">
      <form
        className="empty login"
        onSubmit={(event) => void handleSubmit(() => comeIn.mutate({ passphrase, name }))(event)}
      >
        <h1>Vine Ledger</h1>
        <p>Come in under your name, or without one if you keep these books yourself.</p>
        <label className="field">
          <span className="field-name">Your name, if you were given one</span>
          <Input
            value={name}
            autoComplete="username"
            onChange={(event) => setValue('name', event.target.value)}
          />
        </label>
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
        <Button type="primary" htmlType="submit" loading={comeIn.isPending} disabled={passphrase === ''}>
          Come in
        </Button>
        <p className="soft">
          Forgotten? Whoever keeps the books gives you another on the page “Your data”. Theirs is set anew by
          “npm run passphrase”, on the machine the books are kept on.
        </p>
      </form>
    </main>
  );
}
