import { DateField } from '../../ui/forms/DateField.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { Button, Checkbox, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { CropRecord } from '../../../records/crop.ts';
import type { PlantingRecord } from '../../../records/planting.ts';
import { STARTS_AS } from '../../../records/vocabulary.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import {
  CROP_LIBRARY,
  type Crop,
  DEEPEST_COVER_CM,
  demandRange,
  findCrop,
  findLibraryCrop,
  ownCrop,
} from '../../../core/ground/index.ts';
import { useChangePlanting, usePlant } from '../../api/gardens.ts';
import { Field } from '../../ui/forms/Field.tsx';
import { NameSelect } from '../../ui/forms/NameSelect.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTroubles, troublesOf } from '../../ui/forms/troubles.ts';
import { STARTED, cropSentences, hungrySentence, phCaution } from '../../../words/crop-words.ts';
import { dayOf, shortDate } from '../../../words/dates.ts';
import type { Measures } from '../../../words/measures.ts';
import { cropsByGroup, firstCropOn, groupName } from '../../ui/garden/crop-choice.ts';
import { OwnCropDialog } from './OwnCropDialog.tsx';
import { PlantingAdvice } from './PlantingAdvice.tsx';
import {
  clashOf,
  hungriestOf,
  newPlantingForm,
  plantingFormOf,
  quantitiesOf,
  readPlanting,
  rootsFullOn,
  withChange,
  withCrop,
  type PlantingForm,
} from './planting-form.ts';

interface PlantingBandProps {
  readonly bedId: string;
  /** The planting to change; null for a new one. */
  readonly changing: PlantingRecord | null;
  readonly onClose: () => void;
}

/** Today, or the day on which what grows there now is cleared. */
function firstFreeDay({ today, plantings }: GardenBooks, bedId: string): string {
  const ends = plantings
    .filter((one) => one.bedId === bedId && !one.isUndersown && one.plantedOn <= today)
    .flatMap(({ clearedOn }) => (clearedOn !== null && clearedOn > today ? [clearedOn] : []));
  return [today, ...ends].reduce((latest, one) => (one > latest ? one : latest));
}

/** Crops of one's own with the one that was just kept, which the books may not have yet. */
function withFresh(crops: readonly CropRecord[], fresh: CropRecord | null): readonly CropRecord[] {
  const isKnown = crops.some(({ id, version }) => id === fresh?.id && version >= fresh.version);
  return fresh === null || isKnown ? crops : [...crops.filter(({ id }) => id !== fresh.id), fresh];
}

/** The life of a planting being written: typed, checked for room, kept. */
function usePlanting({ bedId, changing, onClose }: PlantingBandProps) {
  const books = useBooks();
  const { kind } = books.beds.find((bed) => bed.id === bedId)!;
  const reader = useReader();
  const [id] = useState(() => changing?.id ?? crypto.randomUUID());
  const {
    fields: form,
    set,
    isTouched,
    wasTried,
    submitWith,
  } = useRecordForm<PlantingForm>(() =>
    changing
      ? plantingFormOf(changing, reader)
      : newPlantingForm(firstCropOn(kind), firstFreeDay(books, bedId), reader),
  );
  const [fresh, setFresh] = useState<CropRecord | null>(null);
  const own = withFresh(books.crops, fresh);
  const crop = findCrop(form.cropId, own)!;
  const plant = usePlant(bedId);
  const change = useChangePlanting();
  const quantities = quantitiesOf(form, reader);
  const parsed = readPlanting({ form, id, today: books.today, quantities, note: changing?.note ?? '' });
  const others = books.plantings.filter((one) => one.bedId === bedId);
  const clash = parsed.success ? clashOf({ ...parsed.data, id }, others, own) : null;
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
    kind,
    crop,
    own,
    draft,
    set: (next: Partial<PlantingForm>) => set((before) => withChange(before, next, crop)),
    choose: (cropId: string) => set((before) => withCrop(before, findCrop(cropId, own)!, reader)),
    /** A crop of one's own was made or changed, and is the one to plant. */
    keepOwn: (kept: CropRecord) => {
      setFresh(kept);
      set((before) => withCrop(before, ownCrop(kept), reader));
    },
    dropOwn: (gone: CropRecord) =>
      set((before) => withCrop(before, findLibraryCrop(gone.likeCropId)!, reader)),
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
      <CropFacts bedId={props.bedId} crop={planting.crop} form={planting.form} />
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
function CropFacts({ bedId, crop, form }: { bedId: string; crop: Crop; form: PlantingForm }) {
  const { today, garden, beds } = useBooks();
  const measures = useMeasures();
  const bed = beds.find(({ id }) => id === bedId)!;
  const caution = phCaution(crop, bed);
  const at = { startsAs: form.startsAs, areaM2: bed.areaM2, climate: garden.climate };
  const hungriest = hungriestOf(form, crop, garden);
  const sentences = [
    ...cropSentences(crop, at, measures),
    ...(hungriest ? [hungrySentence(hungriest, dayOf(today))] : []),
  ];
  return (
    <>
      <p className="soft">{sentences.join(' ')}</p>
      {caution !== null && <p className="cautions">⚠ {caution}</p>}
    </>
  );
}

type Writing = ReturnType<typeof usePlanting>;
type FieldsProps = Pick<Writing, 'form' | 'crop' | 'set' | 'trouble'>;

interface DayProps extends Omit<FieldsProps, 'crop'> {
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

function WhatAndWhen(props: Writing) {
  const { crop } = props;
  return (
    <>
      <CropChoice {...props} />
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

/** Which crop: one of the library, or of one's own, which is made and changed here. */
function CropChoice({ form, crop, own, kind, choose, trouble, keepOwn, dropOwn }: Writing) {
  const [isOpen, setOpen] = useState(false);
  const ownOne = own.find(({ id }) => id === form.cropId) ?? null;
  const all = useMemo(() => [...own.map(ownCrop), ...cropsByGroup(CROP_LIBRARY, kind)], [own, kind]);
  const ownIds = useMemo(() => new Set(own.map(({ id }) => id)), [own]);
  return (
    <div>
      <Field name="Crop" trouble={trouble('cropId')} hint={cropHint(crop)}>
        {(control) => (
          <NameSelect
            control={control}
            value={form.cropId}
            all={all}
            headingOf={(one) => (ownIds.has(one.id) ? 'Your own' : groupName(one))}
            onChange={choose}
            width={230}
          />
        )}
      </Field>
      <Button type="link" size="small" style={{ paddingInline: 0 }} onClick={() => setOpen(true)}>
        {ownOne ? `Change ${ownOne.name}` : 'Make one of your own'}
      </Button>
      {isOpen && (
        <OwnCropDialog
          changing={ownOne}
          likeCropId={form.cropId}
          onKept={keepOwn}
          onGone={dropOwn}
          onClose={() => setOpen(false)}
        />
      )}
    </div>
  );
}

function HowItGrows({ climate, form, crop, own, set, trouble }: Writing & { climate: ClimateNormals }) {
  const measures = useMeasures();
  const fullOn = rootsFullOn(form, crop, climate);
  return (
    <>
      <QuantityField
        name="Nitrogen it takes up"
        quantity="massPerArea"
        value={form.demand}
        onChange={(demand) => set({ demand })}
        trouble={trouble('nitrogenDemandGPerM2')}
        width={120}
        hint={demandHint(crop, own, measures)}
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
          options={STARTS_AS.map((value) => ({ value, label: STARTED[value] }))}
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

function demandHint(crop: Crop, own: readonly CropRecord[], measures: Measures): string {
  if (crop.isLegume) return 'a legume: fixes what it lacks';
  const ownOne = own.find(({ id }) => id === crop.id);
  if (ownOne && ownOne.nitrogenDemandGPerM2 !== null) return 'as you described it';
  const [low, high] = demandRange(crop);
  return `${measures.rate(low)} to ${measures.rate(high)} by handbooks, from memory`;
}

function cropHint(crop: Crop): string {
  const traits = [
    STARTED[crop.startsAs],
    ...(crop.isLegume ? ['legume'] : []),
    ...(crop.isPerennial ? ['perennial'] : [`${crop.daysInGround} days`]),
  ];
  return traits.join(', ');
}
