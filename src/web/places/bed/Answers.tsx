import { useMeasures } from '../../app/garden-context.ts';
import { Button, Select } from 'antd';
import { memo, useState } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import type { GardenRecord } from '../../../records/garden.ts';
import { FEED_FROM_STOCK } from '../../../records/vocabulary.ts';
import { FEED_PRODUCTS } from '../../../core/bed/index.ts';
import { useChangeGarden } from '../../api/gardens.ts';
import { useReadAgain } from '../../api/use-write.ts';
import { lockUpAnswer, type Answer, type BedNames } from '../../../words/advice-words.ts';
import { doseAnswer } from '../../../words/feeding-words.ts';
import { plantingAnswer } from '../../../words/planting-words.ts';
import { SCHOOL_NAMES } from '../../../words/school-words.ts';
import { doseWorking, lockUpWorking, plantingWorking } from '../../../words/workings-words.ts';
import type { FullPlan } from '../../worker/core-worker.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';
import { productsFor } from './products.ts';
import { HowWorkedOut } from './HowWorkedOut.tsx';
import { materialName } from '../../../words/record-names.ts';

interface AnswersProps {
  readonly advice: FullPlan | undefined;
  readonly garden: GardenRecord;
  readonly bed: BedRecord;
  readonly names: BedNames;
  /** A newer answer is being worked out. */
  readonly isStale: boolean;
  readonly onCompareSchools: () => void;
}

type Question = 'lockUp' | 'feed' | 'planting';

/** The three questions of a bed, answered in sentences, each with the way it was worked out. */
export const Answers = memo(function Answers(props: AnswersProps) {
  const measures = useMeasures();
  const { advice, garden, bed, names, isStale, onCompareSchools } = props;
  const [asked, setAsked] = useState<Question | null>(null);
  if (!advice) return <p className="soft answers-waiting">Working out the answers …</p>;
  const product = productsFor(bed, advice.feedAvailability);
  const how = (question: Question) => () => setAsked(question);
  const setting = { areaM2: bed.areaM2, names, measures };
  const workings = {
    lockUp: () => lockUpWorking(advice, setting),
    feed: () => doseWorking(advice, setting, product),
    planting: () => plantingWorking(advice),
  };
  return (
    <>
      <div className={isStale ? 'answers is-stale' : 'answers'} aria-live="polite" aria-busy={isStale}>
        <AnswerBox
          title="Lock-up"
          answer={lockUpAnswer(advice, names, measures)}
          onHow={advice.contact || advice.root ? how('lockUp') : undefined}
        />
        <AnswerBox
          title="Feed"
          answer={doseAnswer(advice, { ...bed, names, measures, product })}
          onHow={advice.feeding ? how('feed') : undefined}
        >
          {advice.feeding && <ProductChoice garden={garden} />}
        </AnswerBox>
        <AnswerBox
          title="Planting"
          answer={plantingAnswer(advice, { measures, names })}
          onHow={advice.planting.length > 0 ? how('planting') : undefined}
        >
          <Button size="small" type="link" className="school-link" onClick={onCompareSchools}>
            {SCHOOL_NAMES[garden.school]}: compare schools
          </Button>
        </AnswerBox>
      </div>
      {asked !== null && <HowWorkedOut steps={workings[asked]()} onClose={() => setAsked(null)} />}
    </>
  );
});

interface AnswerBoxProps {
  readonly title: string;
  readonly answer: Answer;
  readonly onHow: (() => void) | undefined;
  readonly children?: React.ReactNode;
}

function AnswerBox({ title, answer: { headline, details, isStop }, onHow, children }: AnswerBoxProps) {
  return (
    <section className="answer" aria-label={title}>
      <div className="answer-head">
        <h2 className="answer-title">{title}</h2>
        {onHow && (
          <Button size="small" type="link" onClick={onHow} aria-label={`${title}: how is that worked out?`}>
            how?
          </Button>
        )}
      </div>
      <p className={isStop ? 'answer-headline status-stop' : 'answer-headline'}>{headline}</p>
      {details.map((sentence) => (
        <p key={sentence} className="soft answer-detail">
          {sentence}
        </p>
      ))}
      {children}
    </section>
  );
}

/** As what the nitrogen is given; kept for the whole garden. */
function ProductChoice({ garden }: { garden: GardenRecord }) {
  const change = useChangeGarden();
  const showFailure = useFailureNotice();
  const readAgain = useReadAgain();
  const onError = (failure: unknown) => {
    showFailure('It is fed as before. Choose once more.', failure);
    void readAgain();
  };
  const { id, version, createdAt, updatedAt, ...kept } = garden;
  return (
    <Select
      size="small"
      aria-label="Feed with"
      value={garden.feedMaterialId}
      loading={change.isPending}
      onChange={(feedMaterialId) =>
        change.mutate({ gardenId: id, change: { ...kept, version, feedMaterialId } }, { onError })
      }
      options={[
        { value: FEED_FROM_STOCK, label: 'What is in stock first' },
        ...FEED_PRODUCTS.map(({ materialId }) => ({
          value: materialId,
          label: materialName(materialId, []),
        })),
      ]}
      popupMatchSelectWidth={300}
      className="product-choice"
    />
  );
}
