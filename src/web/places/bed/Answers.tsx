import type { BedAdvice } from '../../../core/advice/bed-advice.ts';
import {
  doseAnswer,
  lockUpAnswer,
  plantingAnswer,
  type Answer,
  type CropNames,
} from '../../format/advice-words.ts';
import type { Measures } from '../../format/measures.ts';

interface AnswersProps {
  readonly advice: BedAdvice | undefined;
  readonly areaM2: number;
  readonly names: CropNames;
  readonly measures: Measures;
  /** A newer answer is being worked out. */
  readonly isStale: boolean;
}

/** The three questions of a bed, answered in sentences. */
export function Answers({ advice, areaM2, names, measures, isStale }: AnswersProps) {
  if (!advice) return <p className="soft answers-waiting">Working out the answers …</p>;
  return (
    <div className={isStale ? 'answers is-stale' : 'answers'} aria-live="polite" aria-busy={isStale}>
      <AnswerBox title="Lock-up" answer={lockUpAnswer(advice, measures)} />
      <AnswerBox title="Feed" answer={doseAnswer(advice, areaM2, names, measures)} />
      <AnswerBox title="Planting" answer={plantingAnswer(advice)} />
    </div>
  );
}

function AnswerBox({ title, answer: { headline, details, isStop } }: { title: string; answer: Answer }) {
  return (
    <section className="answer" aria-label={title}>
      <h2 className="answer-title">{title}</h2>
      <p className={isStop ? 'answer-headline status-stop' : 'answer-headline'}>{headline}</p>
      {details.map((sentence) => (
        <p key={sentence} className="soft answer-detail">
          {sentence}
        </p>
      ))}
    </section>
  );
}
