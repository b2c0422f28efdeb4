import { Checkbox } from 'antd';
import { useEffect, useState } from 'react';
import { BURN_METHOD_FACTS, type BurnStep, DRUM_MINUTES } from '../../../core/yard/index.ts';
import { STEP_WORDS } from '../../../words/char-words.ts';
import { isTicked, type BurnForm } from './burn-form.ts';

const TICK_MS = 10_000;

/** The time by the wall clock, every ten seconds. */
function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}

const MS_PER_MINUTE = 60_000;

/** The steps of a burn, ticked off with the time; those that take their time have a clock. */
export function BurnSteps({ form, onTick }: { form: BurnForm; onTick: (step: string) => void }) {
  const now = useNow();
  const { steps } = BURN_METHOD_FACTS[form.method];
  const minutesOf = (step: BurnStep) =>
    form.method === 'topLitDrum' && step.code === 'burnDown' ? DRUM_MINUTES[form.shape] : step.minutes;
  return (
    <ol className="burn-steps">
      {steps.map((step, i) => {
        const ticked = form.steps.find((one) => one.step === step.code);
        const before = steps[i - 1];
        const since = form.steps.find((one) => one.step === before?.code)?.at;
        const minutes = minutesOf(step);
        const running =
          !ticked && minutes && since !== undefined ? (now - Date.parse(since)) / MS_PER_MINUTE : null;
        return (
          <li key={step.code}>
            <Checkbox checked={isTicked(form, step.code)} onChange={() => onTick(step.code)}>
              {STEP_WORDS[step.code]}
            </Checkbox>
            {minutes && !ticked && (
              <span className={running !== null && running > minutes[1] ? 'status-stop' : 'soft'}>
                {' '}
                {running === null
                  ? `${minutes[0]} to ${minutes[1]} min`
                  : `${Math.floor(running)} min of ${minutes[0]} to ${minutes[1]}`}
              </span>
            )}
            {ticked && <span className="soft"> {clock(ticked.at)}</span>}
          </li>
        );
      })}
    </ol>
  );
}

const clock = (at: string): string =>
  new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
