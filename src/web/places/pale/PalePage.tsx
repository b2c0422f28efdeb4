import { useBooks } from '../../app/garden-context.ts';
import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, Select } from 'antd';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { BedRecord } from '../../../records/bed.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { PlantSign } from '../../../records/vocabulary.ts';
import { findCrop } from '../../../core/ground/index.ts';
import { PLANT_SIGN_WORDS } from '../../../words/journal-words.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { paleQuery, questionAbout } from '../../worker/questions.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';
import { useUndo } from '../../app/use-undo.tsx';
import { useRemoveJournal, useWriteJournal } from '../../api/journal.ts';
import { Verdicts } from './Verdicts.tsx';
import './pale.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

/** Signs in the order one looks: leaves, plant, roots, ground, neighbor. */
const SIGN_GROUPS: readonly { readonly name: string; readonly signs: readonly PlantSign[] }[] = [
  {
    name: 'The leaves',
    signs: [
      'olderLeavesFirst',
      'youngLeavesFirst',
      'greenVeins',
      'wholePlantPale',
      'purpleLeaves',
      'brownEdges',
      'spotsOrMould',
    ],
  },
  { name: 'The plant', signs: ['seedlings', 'justPlantedOut', 'limpAtNoon', 'limpAllDay'] },
  { name: 'The roots, when you dig one up', signs: ['rootsEaten', 'rootsBrown', 'rootsCircling'] },
  { name: 'The ground', signs: ['soilSoaked', 'soilDry', 'soilCold', 'shaded'] },
  { name: 'Beside it', signs: ['neighborFine', 'neighborPaleToo'] },
];

/** What stands on a bed today. */
const standsOn = (bedId: string, { plantings, today }: GardenBooks) =>
  plantings.filter(
    (one) =>
      one.bedId === bedId && one.plantedOn <= today && (one.clearedOn === null || one.clearedOn > today),
  );

/** A short guided look at pale plants: what it could be, what speaks for it, how to tell, and what to do. */
export function PalePage() {
  const books = useBooks();
  const [query, setQuery] = useSearchParams();
  const beds = books.beds.filter(({ kind }) => kind !== 'path');
  const asked = beds.find(({ id }) => id === query.get('bed'));
  const bed = asked ?? beds.find(({ id }) => standsOn(id, books).length > 0) ?? beds[0];
  if (!bed) {
    return (
      <div className="page">
        <PageHeading>Why is it pale?</PageHeading>
        <p>Make a bed and record what grows on it; then the model can help you find out.</p>
      </div>
    );
  }
  return (
    <PaleBed key={bed.id} bed={bed} beds={beds} onBed={(id) => setQuery({ bed: id }, { replace: true })} />
  );
}

interface PaleBedProps {
  readonly bed: BedRecord;
  readonly beds: readonly BedRecord[];
  readonly onBed: (bedId: string) => void;
}

function PaleBed({ bed, beds, onBed }: PaleBedProps) {
  const books = useBooks();
  const [chosenPlanting, setChosenPlanting] = useState<string | null>(null);
  const [beganOn, setBeganOn] = useState('');
  const [signs, setSigns] = useState<readonly PlantSign[]>([]);
  const write = useWriteJournal(books.garden.id);
  const remove = useRemoveJournal();
  const offerUndo = useUndo();
  const showFailure = useFailureNotice();
  const crops = standsOn(bed.id, books);
  const plantingId = crops.find(({ id }) => id === chosenPlanting)?.id ?? crops.at(-1)?.id ?? null;
  const isDate = /^\d{4}-\d\d-\d\d$/.test(beganOn);
  const isFuture = isDate && beganOn > books.today;
  const question = useMemo(() => questionAbout(books, bed.id, books.today), [books, bed.id]);
  const asked = { plantingId, beganOn: isDate && !isFuture ? beganOn : null, signs };
  const { data } = useQuery(paleQuery(question, asked));
  const keep = async () => {
    const { records } = await write.mutateAsync([
      {
        kind: 'observation',
        id: crypto.randomUUID(),
        date: books.today,
        note: '',
        bedId: bed.id,
        plantingId,
        photoId: null,
        observed: { type: 'signs', signs: [...signs], beganOn: asked.beganOn },
      },
    ]);
    offerUndo('The signs are in the log of the bed.', () => remove.mutateAsync(records[0]!));
  };
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Why is it pale?</PageHeading>
          <p className="soft">
            Pale leaves have many causes, and wood is only one of them. Say what you see; the model adds what
            it knows of the bed.
          </p>
        </div>
      </header>
      <div className="pale-columns">
        <section aria-label="What you see">
          <div className="band-fields">
            <div className="field">
              <span className="field-name">Bed</span>
              <Select
                aria-label="Bed"
                value={bed.id}
                onChange={onBed}
                style={{ width: 150 }}
                options={beds.map(({ id, name }) => ({ value: id, label: name }))}
              />
            </div>
            {crops.length > 0 && (
              <div className="field">
                <span className="field-name">What is pale</span>
                <Select
                  aria-label="What is pale"
                  value={plantingId}
                  onChange={setChosenPlanting}
                  style={{ width: 140 }}
                  options={crops.map(({ id, cropId }) => ({
                    value: id,
                    label: findCrop(cropId, books.crops)?.name ?? cropId,
                  }))}
                />
              </div>
            )}
            <DateField
              name="Since about"
              value={beganOn}
              onChange={setBeganOn}
              trouble={isFuture ? 'today or before' : undefined}
              hint="leave empty if nobody saw it begin"
            />
          </div>
          {crops.length === 0 && (
            <p className="soft">According to your records nothing grows on {bed.name} today.</p>
          )}
          <Checkbox.Group
            className="pale-signs"
            value={[...signs]}
            onChange={(checked: PlantSign[]) => setSigns(checked)}
          >
            {SIGN_GROUPS.map(({ name, signs: own }) => (
              <fieldset key={name}>
                <legend>{name}</legend>
                {own.map((sign) => (
                  <Checkbox key={sign} value={sign}>
                    {PLANT_SIGN_WORDS[sign]}
                  </Checkbox>
                ))}
              </fieldset>
            ))}
          </Checkbox.Group>
          <div className="band-foot">
            <Button
              disabled={signs.length === 0}
              loading={write.isPending}
              onClick={() => {
                keep().catch((failure: unknown) => showFailure('The signs were not written down.', failure));
              }}
            >
              Write these signs into the log
            </Button>
          </div>
        </section>
        {data && !data.ok && (
          <p className="trouble" role="alert">
            {data.sentence}
          </p>
        )}
        {data?.ok && <Verdicts answer={data.result} bed={bed} hasSigns={signs.length > 0} />}
      </div>
    </div>
  );
}
