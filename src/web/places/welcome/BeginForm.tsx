import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, Input, Segmented, Select } from 'antd';
import { useMemo, useState, type ReactNode } from 'react';
import { BED_KINDS, type BedKind } from '../../../records/vocabulary.ts';
import { SOIL_TEXTURES } from '../../../core/bed/index.ts';
import { CROP_LIBRARY, MATERIAL_LIBRARY, type LibraryMaterial } from '../../../core/ground/index.ts';
import type { UnitSystem } from '../../../refusals/refusal.ts';
import { quantityExample } from '../../../words/quantity-words.ts';
import { KIND_WORDS } from '../../../words/stock-words.ts';
import { BED_KIND_WORDS, TEXTURE_WORDS } from '../../../words/words.ts';
import { sentencesOf } from '../../api/failures.ts';
import { sameNameHint } from '../../../words/same-name.ts';
import { gardensQuery, useBeginGarden, useMakeGarden } from '../../api/gardens.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { NameSelect } from '../../ui/forms/NameSelect.tsx';
import { QuantityFieldIn } from '../../ui/forms/QuantityField.tsx';
import { readerOf } from '../../ui/forms/typed-quantity.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { climateInUnits } from '../../ui/garden/climate-form.ts';
import { ClimatePicture } from '../../ui/garden/ClimatePicture.tsx';
import { cropsByGroup, groupName } from '../../ui/garden/crop-choice.ts';
import { PlaceChoice } from '../../ui/garden/PlaceChoice.tsx';
import {
  GUESSED_CROP,
  byQuestion,
  firstAnswers,
  guessedMeasures,
  inMeasures,
  readAnswers,
  type BeginFields,
} from './begin-form.ts';
import './begin.css';

interface BeginFormProps {
  /** ISO date. */
  readonly today: string;
  /** Without a bed when only the garden was wanted. */
  readonly onBegun: (gardenId: string, bedId: string | null) => void;
}

/** The life of the four questions: answered, guessed, sent together. */
function useBegin({ today, onBegun }: BeginFormProps) {
  const [ids] = useState(() => ({
    garden: crypto.randomUUID(),
    bed: crypto.randomUUID(),
    entry: crypto.randomUUID(),
    planting: crypto.randomUUID(),
  }));
  const form = useRecordForm<BeginFields>(() => {
    const measures = guessedMeasures(navigator.languages);
    return firstAnswers(measures, readerOf(measures), today);
  });
  const { fields } = form;
  const reader = useMemo(() => readerOf(fields.measures), [fields.measures]);
  const read = useMemo(() => readAnswers(fields, { reader, ids, today }), [fields, reader, ids, today]);
  const begin = useBeginGarden();
  const makeGarden = useMakeGarden();
  const troubles: Readonly<Record<string, string>> = {
    ...read.troubles,
    ...byQuestion(sentencesOf(begin.error ?? makeGarden.error)),
  };
  const [isGardenOnly, setGardenOnly] = useState(false);
  const leave = (bedId: string | null) => ({
    onSuccess: () => {
      form.forget();
      onBegun(ids.garden, bedId);
    },
  });
  const save = () => {
    if (isGardenOnly && read.garden) makeGarden.mutate(read.garden, leave(null));
    if (!isGardenOnly && read.begun) begin.mutate(read.begun, leave(ids.bed));
  };
  return {
    ...read,
    fields,
    reader,
    troubles: form.wasTried ? troubles : {},
    trouble: (field: string) => (form.wasTried ? troubles[field] : undefined),
    /** Takes an answer: what it answers is no guess any more. */
    answer: (change: Partial<BeginFields>) =>
      form.set((before) => ({
        ...change,
        touched: [...new Set([...before.touched, ...Object.keys(change)])],
      })),
    /** Said beneath what nobody has answered yet. */
    guess: (field: keyof BeginFields, more = '') =>
      fields.touched.includes(field) ? more || undefined : `A guess. ${more}`.trim(),
    setGardenOnly,
    isSaving: begin.isPending || makeGarden.isPending,
    onSubmit: form.submitWith(save),
  };
}

type Beginning = ReturnType<typeof useBegin>;

/** Four questions to a first answer; what is marked as a guess may be left as it is. */
export function BeginForm(props: BeginFormProps) {
  const begin = useBegin(props);
  const { fields, climate, trouble } = begin;
  return (
    <form className="begin-form" aria-label="Begin" onSubmit={begin.onSubmit}>
      <Question number={1} title="Where is your garden?">
        <Garden {...begin} />
        {climate && <ClimatePicture climate={climate} system={fields.measures} />}
      </Question>
      <Question number={2} title="Which bed comes first?">
        <Bed {...begin} />
      </Question>
      <Question number={3} title="What lies on it, or is to?">
        <Material {...begin} />
      </Question>
      <Question number={4} title="What grows there, or is to?">
        <Growing {...begin} />
      </Question>
      <div className="band-foot">
        <Button
          type="primary"
          htmlType="submit"
          loading={begin.isSaving}
          onClick={() => begin.setGardenOnly(false)}
        >
          Show me the answer
        </Button>
        <Button htmlType="submit" disabled={begin.isSaving} onClick={() => begin.setGardenOnly(true)}>
          Only the garden for now
        </Button>
        {trouble('') !== undefined && (
          <span className="field-trouble" role="alert">
            {trouble('')}
          </span>
        )}
      </div>
    </form>
  );
}

function Question({
  number,
  title,
  children,
}: {
  readonly number: number;
  readonly title: string;
  readonly children: ReactNode;
}) {
  return (
    <section className="begin-question" aria-label={title}>
      <h2>
        <span className="begin-number">{number}</span> {title}
      </h2>
      {children}
    </section>
  );
}

function Garden({ fields, reader, answer, guess, trouble, troubles }: Beginning) {
  const { data } = useQuery(gardensQuery());
  const chooseMeasures = (measures: UnitSystem) => {
    const next = readerOf(measures);
    const months = climateInUnits(fields.place.months, reader, next);
    answer({ ...inMeasures(measures, next), place: { ...fields.place, months } });
  };
  return (
    <>
      <div className="band-fields">
        <Field
          name="What is your garden called?"
          trouble={trouble('name')}
          hint={guess('name', sameNameHint(fields.name, data?.gardens ?? []))}
        >
          {(control) => (
            <Input
              {...control}
              value={fields.name}
              onChange={(event) => answer({ name: event.target.value })}
              style={{ width: 240 }}
            />
          )}
        </Field>
        <div className="field">
          <span className="field-name">How do you measure?</span>
          <Segmented
            value={fields.measures}
            onChange={chooseMeasures}
            options={[
              { value: 'metric', label: 'cm, kg, barrows' },
              { value: 'customary', label: 'inches, lb, barrows' },
            ]}
          />
        </div>
      </div>
      <PlaceChoice
        fields={fields.place}
        keptFrom={null}
        reader={reader}
        troubles={troubles}
        onChange={(change) => answer({ place: { ...fields.place, ...change } })}
      />
    </>
  );
}

function Bed({ fields, reader, answer, guess, trouble }: Beginning) {
  return (
    <div className="band-fields">
      <Field name="Kind of bed" hint={guess('kind')}>
        {(control) => (
          <Select
            {...control}
            value={fields.kind}
            onChange={(kind: BedKind) => answer({ kind })}
            style={{ width: 150 }}
            options={BED_KINDS.filter((kind) => kind !== 'container').map((value) => ({
              value,
              label: BED_KIND_WORDS[value],
            }))}
          />
        )}
      </Field>
      <QuantityFieldIn
        name="Area"
        quantity="area"
        reader={reader}
        value={fields.area}
        onChange={(area) => answer({ area })}
        trouble={trouble('areaM2')}
        hint={guess('area', `Or ${quantityExample('area', reader.system)}.`)}
        width={150}
      />
      <Field name="Soil, by feel" hint={guess('clayPct')}>
        {(control) => (
          <Select
            {...control}
            value={fields.clayPct}
            onChange={(clayPct: number) => answer({ clayPct })}
            style={{ width: 230 }}
            popupMatchSelectWidth={270}
            options={SOIL_TEXTURES.map(({ id, clayPct }) => ({ value: clayPct, label: TEXTURE_WORDS[id] }))}
          />
        )}
      </Field>
    </div>
  );
}

const MATERIALS = MATERIAL_LIBRARY.toSorted((a, b) => KIND_WORDS[a.kind].localeCompare(KIND_WORDS[b.kind]));
const kindOf = ({ kind }: LibraryMaterial): string => KIND_WORDS[kind];

function Material({ fields, reader, answer, guess, trouble }: Beginning) {
  const { materialId } = fields;
  return (
    <>
      <Checkbox
        checked={materialId === null}
        onChange={({ target }) => answer({ materialId: target.checked ? null : 'chips_mixed' })}
      >
        Nothing yet
      </Checkbox>
      {materialId !== null && (
        <div className="band-fields">
          <Field name="Material" trouble={trouble('materialId')} hint={guess('materialId')}>
            {(control) => (
              <NameSelect
                control={control}
                value={materialId}
                all={MATERIALS}
                headingOf={kindOf}
                onChange={(chosen) => answer({ materialId: chosen })}
                width={290}
              />
            )}
          </Field>
          <QuantityFieldIn
            name="How thick"
            quantity="length"
            reader={reader}
            value={fields.thickness}
            onChange={(thickness) => answer({ thickness })}
            trouble={trouble('amount')}
            hint={guess('thickness')}
            width={110}
          />
          <div className="field">
            <span className="field-name">Where</span>
            <Segmented
              value={fields.isDugIn ? 'dug' : 'top'}
              onChange={(where) => answer({ isDugIn: where === 'dug' })}
              options={[
                { value: 'top', label: 'on top' },
                { value: 'dug', label: 'dug in' },
              ]}
            />
          </div>
          <DateField
            name="Since, or from"
            value={fields.laidOn}
            onChange={(laidOn) => answer({ laidOn })}
            trouble={trouble('date')}
            hint={guess('laidOn')}
          />
        </div>
      )}
    </>
  );
}

function Growing({ fields, crop, answer, guess, trouble }: Beginning) {
  const crops = useMemo(() => cropsByGroup(CROP_LIBRARY, fields.kind), [fields.kind]);
  return (
    <>
      <Checkbox
        checked={crop === null}
        onChange={({ target }) => answer({ cropId: target.checked ? null : GUESSED_CROP })}
      >
        Nothing yet
      </Checkbox>
      {crop !== null && (
        <div className="band-fields">
          <Field name="Crop" trouble={trouble('cropId')} hint={guess('cropId')}>
            {(control) => (
              <NameSelect
                control={control}
                value={crop.id}
                all={crops}
                headingOf={groupName}
                onChange={(cropId) => answer({ cropId })}
                width={230}
              />
            )}
          </Field>
          <DateField
            name="In the ground from"
            value={fields.plantedOn}
            onChange={(plantedOn) => answer({ plantedOn })}
            trouble={trouble('plantedOn')}
            hint={guess('plantedOn')}
          />
        </div>
      )}
    </>
  );
}
