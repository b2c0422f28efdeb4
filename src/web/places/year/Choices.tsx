import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import type { EntryDraft } from '../../../records/entry.ts';
import { findCrop } from '../../../core/ground/index.ts';
import {
  type ChoiceOutcome,
  HUNGRY_CROP_DEMAND_G,
  type PlannedForChoice,
} from '../../../core/season/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { usePlant, useRemovePlanting, useReviseBed } from '../../api/gardens.ts';
import { formatFixed } from '../../../words/figures.ts';
import { layerName } from '../../../words/record-names.ts';
import { CHOICE_WORDS, planWords } from '../../../words/year-words.ts';
import { choicesQuery } from '../../worker/questions.ts';
import type { BedQuestion } from '../../worker/bed-books.ts';
import { useUndo } from '../../app/use-undo.tsx';
import type { YearPartProps } from './SheetBody.tsx';

const NO_CHANGES = { changes: [], removals: [], restores: [], order: [] };

function draftOf(one: PlannedForChoice): (EntryDraft & { id: string }) | null {
  const common = {
    id: crypto.randomUUID(),
    state: 'planned' as const,
    note: 'Chosen at the close of the year.',
  };
  if (one.type === 'takeOff') {
    return {
      ...common,
      type: 'takeOff',
      date: one.date,
      layerId: one.layerId,
      shareTakenOff: 1,
      humusShareTakenOff: null,
    };
  }
  if (one.type !== 'lay') return null;
  const { materialId, amount, unit, dugDepthCm, seasonedMonths, massFreshKg } = one.like;
  return {
    ...common,
    type: 'lay',
    date: one.date,
    materialId,
    lotId: null,
    amount: amount ?? massFreshKg,
    unit: unit ?? 'kg',
    dugDepthCm,
    seasonedMonths,
  };
}

/** Stack, pull or rest: what each leads to on this bed, and the one that becomes the plan. */
export function Choices({ question, bed }: YearPartProps & { question: BedQuestion; year: number }) {
  const books = useBooks();
  const measures = useMeasures();
  const { data } = useQuery(choicesQuery(question));
  const [planned, setPlanned] = useState<string | null>(null);
  const revise = useReviseBed(bed.id);
  const plant = usePlant(bed.id);
  const removePlanting = useRemovePlanting();
  const offerUndo = useUndo();
  const outcomes = data?.ok ? data.result : [];
  const nameOf = (layerId: string) =>
    layerName({ layerId, entries: books.entries, names: books }).toLowerCase();

  const adopt = async ({ choice, plan }: ChoiceOutcome) => {
    const creates = plan.flatMap((one) => draftOf(one) ?? []);
    const planting = plan.find((one) => one.type === 'plant');
    if (planting) {
      const crop = findCrop(planting.cropId, books.crops)!;
      const kept = await plant.mutateAsync({
        state: 'planned',
        cropId: planting.cropId,
        plantedOn: planting.plantedOn,
        clearedOn: planting.clearedOn,
        nitrogenDemandGPerM2: crop.nitrogenDemandGPerM2,
        rootDepthCm: crop.rootDepthCm,
        startsAs: crop.startsAs,
        areaShare: 1,
        isUndersown: false,
        note: 'Chosen at the close of the year.',
      });
      offerUndo(`${CHOICE_WORDS[choice].name} is the plan.`, () => removePlanting.mutateAsync(kept));
    }
    if (creates.length > 0) {
      const { entries } = await revise.mutateAsync({ ...NO_CHANGES, creates });
      const own = entries.filter(({ id }) => creates.some((one) => one.id === id));
      offerUndo(`${CHOICE_WORDS[choice].name} is the plan.`, () =>
        revise.mutateAsync({
          ...NO_CHANGES,
          creates: [],
          removals: own.map(({ id, version }) => ({ id, version })),
        }),
      );
    }
    setPlanned(choice);
  };
  const troubles = Object.values({ ...sentencesOf(revise.error), ...sentencesOf(plant.error) });
  return (
    <section aria-label="Stack, pull or rest" className="year-choices">
      <h2>Next: stack, pull or rest?</h2>
      {data && !data.ok && <p className="trouble">{data.sentence}</p>}
      {!data && <p className="soft">Following all three for three years …</p>}
      <div className="choice-cards">
        {outcomes.map((outcome) => (
          <article key={outcome.choice} className="choice-card">
            <h3>{CHOICE_WORDS[outcome.choice].name}</h3>
            <p className="soft">{CHOICE_WORDS[outcome.choice].what}</p>
            <dl>
              <dt>cover next spring</dt>
              <dd>{measures.thickness(outcome.mulchNextSpringCm)}</dd>
              <dt>locked up at most within a year</dt>
              <dd>{measures.rate(outcome.peakHeldG)}</dd>
              <dt>feed for a hungry crop next year</dt>
              <dd>{measures.nitrogen(outcome.feedNextYearG * bed.areaM2)} N</dd>
              <dt>organic matter in three years</dt>
              <dd>{formatFixed(outcome.organicMatterInThreeYearsPct, 2)} %</dd>
              {outcome.pulledCarbonG > 0 && (
                <>
                  <dt>carried to the heap</dt>
                  <dd>{measures.mass((outcome.pulledCarbonG * bed.areaM2) / 1000)} C</dd>
                </>
              )}
            </dl>
            <p className="soft choice-plan">{planWords(outcome, nameOf)}</p>
            <Button
              disabled={outcome.plan.length === 0 || planned !== null}
              loading={revise.isPending || plant.isPending}
              onClick={() => void adopt(outcome).catch(() => undefined)}
            >
              {planned === outcome.choice ? 'In the plan' : 'Make it the plan'}
            </Button>
          </article>
        ))}
      </div>
      {troubles.map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
      <p className="soft hint">
        By the model on this bed, with the plans as they stand (rest leaves them out). The hungry crop wants{' '}
        {measures.rate(HUNGRY_CROP_DEMAND_G)} of nitrogen from May on (November in the south). What is pulled
        comes back a year later hardly drawing at all; that is not in these figures.
      </p>
    </section>
  );
}
