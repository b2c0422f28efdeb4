import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import type { BedRecord } from '../../../records/bed.ts';
import {
  type Cause,
  type RemedyOutcome,
  type WeighedCause,
  feedingCautions,
} from '../../../core/bed/index.ts';
import { findLibraryMaterial } from '../../../core/ground/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useRemoveEntry, useWriteEntry } from '../../api/gardens.ts';
import { dayOf } from '../../../words/dates.ts';
import {
  CAUSE_WORDS,
  evidenceWords,
  FIT_WORDS,
  outcomeWords,
  remedyWords,
} from '../../../words/pale-words.ts';
import { cautionInWords } from '../../../words/words.ts';
import { isRemedyFor, remedyEntry } from './remedy-entry.ts';
import type { PaleAnswer } from '../../worker/log-answers.ts';
import { useUndo } from '../../app/use-undo.tsx';

interface VerdictsProps {
  readonly answer: PaleAnswer;
  readonly bed: BedRecord;
  readonly hasSigns: boolean;
}

const MOST_SHOWN = 4;

function headWords({ diagnosis }: PaleAnswer, hasSigns: boolean): string {
  const likeliest = CAUSE_WORDS[diagnosis.causes[0]!.cause].name.toLowerCase();
  if (!hasSigns) {
    return diagnosis.standsOut
      ? `From your records alone it would be ${likeliest}. Tick what you see: it may say otherwise.`
      : 'From your records alone nothing stands out. Tick what you see and it gets clearer.';
  }
  return diagnosis.standsOut
    ? `Most likely: ${likeliest}. Try its test before you treat.`
    : 'No cause stands out yet: the cheap tests below would tell them apart.';
}

/** What it could be, the likeliest first, with what speaks for and against each. */
export function Verdicts({ answer, bed, hasSigns }: VerdictsProps) {
  const measures = useMeasures();
  const { diagnosis } = answer;
  const shown = diagnosis.causes.filter(({ fit }, i) => fit !== 'unlikely' || i === 0).slice(0, MOST_SHOWN);
  const others = diagnosis.causes.filter((one) => !shown.includes(one));
  return (
    <section aria-label="What it could be" className="verdicts">
      <p className="verdict-head" role="status">
        {headWords(answer, hasSigns)}
      </p>
      {shown.map((cause) => (
        <CauseCard key={cause.cause} weighed={cause} {...{ answer, bed }} />
      ))}
      <details className="unlikely">
        <summary>Less likely ({others.length})</summary>
        <ul>
          {others.map(({ cause, speaksAgainst }) => (
            <li key={cause}>
              {CAUSE_WORDS[cause].name}
              {speaksAgainst.length > 0 && (
                <span className="soft">
                  : against it,{' '}
                  {speaksAgainst.map((code) => evidenceWords(code, answer.facts, measures)).join('; ')}
                </span>
              )}
            </li>
          ))}
        </ul>
      </details>
      <p className="soft hint">
        Evidence weighed, not proven: the weights are ours, from common practice. A soil test and the local
        advisory service come first.
      </p>
    </section>
  );
}

function CauseCard({ weighed, answer, bed }: Omit<VerdictsProps, 'hasSigns'> & { weighed: WeighedCause }) {
  const measures = useMeasures();
  const { cause, fit, share, speaksFor, speaksAgainst } = weighed;
  const { name, test, remedy } = CAUSE_WORDS[cause];
  const words = (codes: WeighedCause['speaksFor']) =>
    codes.map((code) => evidenceWords(code, answer.facts, measures));
  return (
    <article className={`cause cause-${fit}`}>
      <h3>
        <span aria-hidden="true">{FIT_WORDS[fit].mark}</span> {name}{' '}
        <span className="soft cause-fit">{FIT_WORDS[fit].word}</span>
      </h3>
      <div className="cause-bar" aria-hidden="true">
        <span style={{ width: `${Math.round(share * 100)}%` }} />
      </div>
      <dl>
        {speaksFor.length > 0 && (
          <>
            <dt>for it</dt>
            <dd>{words(speaksFor).join('; ')}</dd>
          </>
        )}
        {speaksAgainst.length > 0 && (
          <>
            <dt>against it</dt>
            <dd>{words(speaksAgainst).join('; ')}</dd>
          </>
        )}
        <dt>cheap test</dt>
        <dd>{test(measures)}</dd>
        <dt>what to do</dt>
        <dd>{remedy(measures)}</dd>
      </dl>
      <RemedyLines {...{ cause, answer, bed }} />
    </article>
  );
}

/** Remedies that can be reckoned on this bed, each with what the model expects after it. */
function RemedyLines({
  cause,
  answer: { remedies },
  bed,
}: Omit<VerdictsProps, 'hasSigns'> & { cause: Cause }) {
  const books = useBooks();
  const measures = useMeasures();
  const write = useWriteEntry(bed.id);
  const remove = useRemoveEntry();
  const offerUndo = useUndo();
  const own = remedies?.outcomes.filter((outcome) => isRemedyFor(cause, outcome)) ?? [];
  if (!remedies || own.length < 2) return null;
  const nothing = remedies.outcomes[0]!;
  const today = dayOf(books.today);
  const carryOut = (outcome: RemedyOutcome) => {
    const draft = remedyEntry(outcome, cause, { areaM2: bed.areaM2, date: books.today });
    if (!draft) return;
    write.mutate(draft, {
      onSuccess: (entry) => offerUndo('Saved for the bed.', () => remove.mutateAsync(entry)),
    });
  };
  return (
    <table className="ledger remedies">
      <tbody>
        {own.map((outcome) => (
          <tr key={outcome.what.code}>
            <td>
              <strong>{remedyWords(outcome, { areaM2: bed.areaM2, measures, today })}</strong>
              {outcome.what.code === 'workIn' && (
                <span className="soft">
                  {' '}
                  ({findLibraryMaterial(outcome.what.materialId)!.name}, or composted manure)
                </span>
              )}
              <br />
              {outcome.what.code === 'feed' &&
                feedingCautions(outcome.what.doses[0]!.nitrogenGPerM2).map((caution) => (
                  <span key={caution.code} className="task-warning">
                    ⚠ {cautionInWords(caution, measures)}{' '}
                  </span>
                ))}
              <span className="soft">
                {outcomeWords({
                  outcome,
                  isPaleByModel: remedies.isPaleByModel,
                  nothingMissedG: nothing.missedG,
                  areaM2: bed.areaM2,
                  measures,
                  today,
                })}
              </span>
            </td>
            <td>
              {outcome.what.code !== 'wait' && (
                <Button size="small" loading={write.isPending} onClick={() => carryOut(outcome)}>
                  Done today
                </Button>
              )}
            </td>
          </tr>
        ))}
        {Object.values(sentencesOf(write.error)).map((sentence) => (
          <tr key={sentence}>
            <td colSpan={2} className="field-trouble">
              {sentence}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
