import { DateField } from '../../ui/forms/DateField.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { Button, Checkbox, Segmented } from 'antd';
import { useState } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { PlantingRecord } from '../../../records/planting.ts';
import { STARTS_AS, type StartsAs } from '../../../records/vocabulary.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import {
  CROP_GROUPS,
  CROP_LIBRARY,
  type Crop,
  DEEPEST_COVER_CM,
  demandRange,
  findCrop,
} from '../../../core/ground/index.ts';
import { useChangePlanting, usePlant } from '../../api/gardens.ts';
import { Field } from '../../ui/forms/Field.tsx';
import { NameSelect } from '../../ui/forms/NameSelect.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTroubles, troublesOf } from '../../ui/forms/troubles.ts';
import { CROP_GROUP_NAMES, cropSentences, phCaution } from '../../../words/crop-words.ts';
import { shortDate } from '../../../words/dates.ts';
import type { Measures } from '../../../words/measures.ts';
import { PlantingAdvice } from './PlantingAdvice.tsx';
import {
  clashOf,
  plantingFormOf,
  quantitiesOf,
  readPlanting,
  rootsFullOn,
  withChange,
  type PlantingForm,
} from './planting-form.ts';

interface PlantingBandProps {
  readonly bedId: string;
  /** The planting to change; null for a new one. */
  readonly changing: PlantingRecord | null;
  readonly onClose: () => void;
}

const CROPS_BY_GROUP = CROP_GROUPS.flatMap((group) => CROP_LIBRARY.filter((crop) => crop.group === group));
const groupName = ({ group }: Crop): string => CROP_GROUP_NAMES[group];

const STARTS: Record<StartsAs, string> = { seed: 'sown', transplant: 'planted out', set: 'set' };

/** Today, or the day on which what grows there now is cleared. */
function firstFreeDay({ today, plantings }: GardenBooks, bedId: string): string {
  const ends = plantings
    .filter((one) => one.bedId === bedId && !one.isUndersown && one.plantedOn <= today)
    .flatMap(({ clearedOn }) => (clearedOn !== null && clearedOn > today ? [clearedOn] : []));
  return [today, ...ends].reduce((latest, one) => (one > latest ? one : latest));
}

/** The life of a planting being written: typed, checked for room, kept. */
function usePlanting({ bedId, changing, onClose }: PlantingBandProps) {
  const books = useBooks();
  const reader = useReader();
  const [id] = useState(() => changing?.id ?? crypto.randomUUID());
  const {
    fields: form,
    set,
    isTouched,
    wasTried,
    submitWith,
  } = useRecordForm<PlantingForm>(() => plantingFormOf(changing, firstFreeDay(books, bedId), reader));
  const plant = usePlant(bedId);
  const change = useChangePlanting();
  const quantities = quantitiesOf(form, reader);
  const parsed = readPlanting({ form, id, today: books.today, quantities, note: changing?.note ?? '' });
  const others = books.plantings.filter((one) => one.bedId === bedId);
  const clash = parsed.success ? clashOf({ ...parsed.data, id }, others) : null;
  const troubles: Record<string, string> = {
    ...troublesOf(parsed, plant.error ?? change.error),
    ...quantityTroubles(quantities),
    ...(clash === null ? {} : { plantedOn: clash }),
  };
  const save = () => {
    if (!parsed.success || clash !== null) return;
    const { id: draftId, ...values } = parsed.data;
    if (!changing) plant.mutate({ ...values, id: draftId }, { onSuccess: onClose });
    else {
      const kept = { ...values, version: changing.version };
      change.mutate({ plantingId: id, change: kept }, { onSuccess: onClose });
    }
  };
  const draft = parsed.success && clash === null ? { ...parsed.data, id } : null;
  return {
    form,
    draft,
    set: (next: Partial<PlantingForm>) => set((before) => withChange(before, next, reader)),
    trouble: (field: string) => (wasTried || (isTouched && clash !== null) ? troubles[field] : undefined),
    isSaving: plant.isPending || change.isPending,
    onSubmit: submitWith(save),
  };
}

/** Writing a crop into the books of a bed. */
export function PlantingBand(props: PlantingBandProps) {
  const { garden } = useBooks();
  const { changing, onClose } = props;
  const planting = usePlanting(props);
  const { trouble, isSaving, onSubmit } = planting;
  return (
    <form className="band" aria-label={changing ? 'Change a planting' : 'Plant a crop'} onSubmit={onSubmit}>
      <div className="band-fields">
        <WhatAndWhen {...planting} />
        <HowItGrows {...planting} climate={garden.climate} />
      </div>
      <CropFacts bedId={props.bedId} form={planting.form} />
      {planting.draft && (
        <PlantingAdvice
          bedId={props.bedId}
          draft={planting.draft}
          onDay={(plantedOn) => planting.set({ plantedOn })}
        />
      )}
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={isSaving}>
          {changing ? 'Save the change' : 'Plant it'}
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {trouble('') !== undefined && <span className="field-trouble">{trouble('')}</span>}
      </div>
    </form>
  );
}

/** What handbooks say of the crop on this bed, and whether its soil suits it. */
function CropFacts({ bedId, form }: { bedId: string; form: PlantingForm }) {
  const { garden, beds } = useBooks();
  const measures = useMeasures();
  const crop = findCrop(form.cropId)!;
  const bed = beds.find(({ id }) => id === bedId)!;
  const caution = phCaution(crop, bed);
  const at = { startsAs: form.startsAs, areaM2: bed.areaM2, climate: garden.climate };
  return (
    <>
      <p className="soft">{cropSentences(crop, at, measures).join(' ')}</p>
      {caution !== null && <p className="cautions">⚠ {caution}</p>}
    </>
  );
}

type FieldsProps = Pick<ReturnType<typeof usePlanting>, 'form' | 'set' | 'trouble'>;

interface DayProps extends FieldsProps {
  readonly name: string;
  readonly field: 'plantedOn' | 'clearedOn';
  readonly hint?: string | undefined;
}

function DayField({ form, set, trouble, name, field, hint }: DayProps) {
  return (
    <DateField
      name={name}
      value={form[field]}
      onChange={(date) => set({ [field]: date })}
      trouble={trouble(field)}
      hint={hint}
    />
  );
}

function WhatAndWhen(props: FieldsProps) {
  const { form, set, trouble } = props;
  const crop = findCrop(form.cropId)!;
  return (
    <>
      <Field name="Crop" trouble={trouble('cropId')} hint={cropHint(crop)}>
        {(control) => (
          <NameSelect
            control={control}
            value={form.cropId}
            all={CROPS_BY_GROUP}
            headingOf={groupName}
            onChange={(cropId) => set({ cropId })}
            width={230}
          />
        )}
      </Field>
      <DayField {...props} name="In the ground from" field="plantedOn" />
      <DayField
        {...props}
        name="Cleared on"
        field="clearedOn"
        hint={crop.isPerennial ? 'leave empty while it stays' : undefined}
      />
    </>
  );
}

function HowItGrows({ climate, form, set, trouble }: FieldsProps & { climate: ClimateNormals }) {
  const measures = useMeasures();
  const crop = findCrop(form.cropId)!;
  const fullOn = rootsFullOn(form, climate);
  return (
    <>
      <QuantityField
        name="Nitrogen it takes up"
        quantity="massPerArea"
        value={form.demand}
        onChange={(demand) => set({ demand })}
        trouble={trouble('nitrogenDemandGPerM2')}
        width={120}
        hint={crop.isLegume ? 'a legume: fixes what it lacks' : demandHint(crop, measures)}
      />
      <QuantityField
        name="Roots to"
        quantity="length"
        value={form.rootDepth}
        onChange={(rootDepth) => set({ rootDepth })}
        trouble={trouble('rootDepthCm')}
        width={90}
        hint={fullOn === null ? 'when grown' : `from ${shortDate(fullOn)}`}
      />
      <div className="field">
        <span className="field-name">Starts as</span>
        <Segmented
          value={form.startsAs}
          onChange={(startsAs) => set({ startsAs })}
          options={STARTS_AS.map((value) => ({ value, label: STARTS[value] }))}
        />
        {form.startsAs === 'seed' && (
          <span className="soft hint">
            {crop.seedSize} seed: comes through {measures.thickness(DEEPEST_COVER_CM[crop.seedSize])} of cover
          </span>
        )}
      </div>
      <QuantityField
        name="Of the bed"
        quantity="share"
        value={form.areaShare}
        onChange={(areaShare) => set({ areaShare })}
        trouble={trouble('areaShare')}
        width={90}
        hint="with others beside it"
      />
      <div className="field">
        <span className="field-name">Room</span>
        <Checkbox
          checked={form.isUndersown}
          onChange={(event) => set({ isUndersown: event.target.checked })}
          style={{ paddingTop: 5 }}
        >
          undersown, or a living mulch
        </Checkbox>
      </div>
    </>
  );
}

function demandHint(crop: Crop, measures: Measures): string {
  const [low, high] = demandRange(crop);
  return `${measures.rate(low)} to ${measures.rate(high)} by handbooks, from memory`;
}

function cropHint(crop: Crop): string {
  const traits = [
    STARTS[crop.startsAs],
    ...(crop.isLegume ? ['legume'] : []),
    ...(crop.isPerennial ? ['perennial'] : [`${crop.daysInGround} days`]),
  ];
  return traits.join(', ');
}
