import type { AmountAnswer } from '../../core/long-run/index.ts';
import { startedDrawers } from './range-workers.ts';
import type { CoreThread } from './start-core.ts';
import type { AmountAsked, YearsAsked, YearsLine, YearsPlan } from './years-answers.ts';

/** Every answer as it comes, and how far along all of it is. */
export interface YearsListener {
  readonly onLine: (asked: YearsAsked, line: YearsLine) => void;
  readonly onRefusal: (sentence: string) => void;
}

const everyLine = ({ key, bedIds, habits }: YearsPlan, draw: number | null): YearsAsked[] =>
  habits.flatMap((_, habit) => bedIds.map((__, bed) => ({ plan: key, bed, habit, draw })));

/** Each thread takes the next question when it has done one, so that whatever is asked meanwhile waits for one at most. */
async function shareAmongThreads<Asked>(
  asked: readonly Asked[],
  signal: AbortSignal,
  ask: (drawer: CoreThread, one: Asked) => Promise<void>,
): Promise<void> {
  let next = 0;
  const goOn = async (drawer: CoreThread): Promise<void> => {
    while (next < asked.length && !signal.aborted) await ask(drawer, asked[next++]!);
  };
  await Promise.all(startedDrawers().map(goOn));
}

/** Opens a plan on both threads; false when it was refused or ended. */
async function openOnThreads(plan: YearsPlan, signal: AbortSignal, onRefusal: (sentence: string) => void) {
  const [opened] = await Promise.all(startedDrawers().map(({ core }) => core.yearsOpen(plan)));
  if (signal.aborted) return false;
  if (!opened || opened.ok) return true;
  onRefusal(opened.sentence);
  return false;
}

/** The default run of all lines of a plan, then as many draws of each as are wanted, reported as they come. */
export async function followYears({
  plan,
  draws,
  signal,
  yearsListener: { onLine, onRefusal },
}: {
  readonly plan: YearsPlan;
  readonly draws: number;
  readonly signal: AbortSignal;
  readonly yearsListener: YearsListener;
}): Promise<void> {
  if (!(await openOnThreads(plan, signal, onRefusal))) return;
  const numbers = [null, ...Array.from({ length: draws }, (_, i) => i)];
  const asked = numbers.flatMap((draw) => everyLine(plan, draw));
  await shareAmongThreads(asked, signal, async ({ core }, one) => {
    const answer = await core.yearsOne(one);
    if (signal.aborted) return;
    if (!answer.ok) onRefusal(answer.sentence);
    else if (answer.result) onLine(one, answer.result);
  });
}

export interface FoundAmounts {
  /** With the model's default figures. */
  readonly own: AmountAnswer;
  /** The same asked of draws. */
  readonly drawn: readonly AmountAnswer[];
}

/** Solves for an amount with the default figures and with so many draws. */
export async function findAmount({
  plan,
  asked,
  draws,
  signal,
  onRefusal,
}: {
  readonly plan: YearsPlan;
  readonly asked: Omit<AmountAsked, 'draw' | 'plan'>;
  readonly draws: number;
  readonly signal: AbortSignal;
  readonly onRefusal: (sentence: string) => void;
}): Promise<FoundAmounts | null> {
  if (!(await openOnThreads(plan, signal, onRefusal))) return null;
  const answers: (AmountAnswer | null)[] = [];
  const numbers = [null, ...Array.from({ length: draws }, (_, i) => i)];
  await shareAmongThreads(numbers, signal, async ({ core }, draw) => {
    const answer = await core.amount({ ...asked, plan: plan.key, draw });
    if (answer.ok) answers[draw === null ? 0 : draw + 1] = answer.result;
    else onRefusal(answer.sentence);
  });
  const [own, ...drawn] = answers;
  if (signal.aborted || !own) return null;
  return { own, drawn: drawn.flatMap((one) => one ?? []) };
}
