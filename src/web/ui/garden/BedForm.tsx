import { DateField } from '../forms/DateField.tsx';
import { Button, Checkbox, Input, Select } from 'antd';
import { useId, useState } from 'react';
import { bedDraft, bedFields, type BedRecord } from '../../../records/bed.ts';
import {
  EXPOSURES,
  type Exposure,
  BED_KINDS,
  CROPPING_BEFORE,
  type BedKind,
  type CroppingBefore,
} from '../../../records/vocabulary.ts';
import { SOIL_TEXTURES, bulkDensityOfClay } from '../../../core/bed/index.ts';
import { bedAsChange } from '../../api/as-change.ts';
import { useChangeBed, useMakeBed } from '../../api/gardens.ts';
import { Field } from '../forms/Field.tsx';
import { numberFromText } from '../forms/parse-number.ts';
import { askedOf } from '../forms/asked-of.ts';
import { QuantityField, useReader } from '../forms/QuantityField.tsx';
import { USUAL_CM } from '../forms/usual-figures.ts';
import { useRecordForm } from '../forms/use-record-form.ts';
import { quantityTroubles, troublesOf } from '../forms/troubles.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type Reader,
  type ReadQuantity,
  type TypedQuantity,
} from '../forms/typed-quantity.ts';
import { quantityExample } from '../../../words/quantity-words.ts';
import { BED_KIND_WORDS, CROPPING_WORDS, EXPOSURE_WORDS, TEXTURE_WORDS } from '../../../words/words.ts';
import { useBooks } from '../../app/garden-context.ts';
import { FingerTest } from './FingerTest.tsx';
import { gardenParts } from './parts.ts';

interface BedFormProps {
  readonly gardenId: string;
  /** The bed to change; null for a new one. */
  readonly changing: BedRecord | null;
  readonly onClose: () => void;
  readonly onKept: (bedId: string) => void;
}

/** What has been typed and chosen, as typed. */
interface BedFields {
  readonly name: string;
  readonly part: string;
  readonly kind: BedKind;
  readonly area: TypedQuantity;
  readonly organicMatter: string;
  readonly clay: string;
  readonly rootZone: TypedQuantity;
  readonly exposure: Exposure;
  readonly isWatered: boolean;
  readonly ph: string;
  readonly startedOn: string;
  readonly croppingBefore: CroppingBefore;
}

const AREA = askedOf(bedFields.areaM2);
const ROOT_ZONE = askedOf(bedFields.rootZoneCm);

const newBed = (reader: Reader): BedFields => ({
  name: '',
  part: '',
  kind: 'annual',
  area: typedFrom(null, 'area', reader),
  organicMatter: '4',
  clay: '20',
  rootZone: typedFrom(USUAL_CM[reader.system].rootZone, 'length', reader),
  exposure: 'normal',
  isWatered: true,
  ph: '',
  startedOn: '',
  croppingBefore: 'unknown',
});

const fieldsOf = (bed: BedRecord, reader: Reader): BedFields => ({
  name: bed.name,
  part: bed.part,
  kind: bed.kind,
  area: typedFrom(bed.areaM2, 'area', reader),
  organicMatter: String(bed.organicMatterPct),
  clay: String(bed.clayPct),
  rootZone: typedFrom(bed.rootZoneCm, 'length', reader),
  exposure: bed.exposure,
  isWatered: bed.isWatered,
  ph: bed.ph === null ? '' : String(bed.ph),
  startedOn: bed.startedOn ?? '',
  croppingBefore: bed.croppingBefore,
});

/** The draft the fields amount to. A bed being changed keeps what the form does not ask, and its soil's density unless its clay changes. */
function readFields({
  fields,
  id,
  quantities,
  changing,
}: {
  readonly fields: BedFields;
  readonly id: string;
  readonly quantities: { readonly areaM2: ReadQuantity; readonly rootZoneCm: ReadQuantity };
  readonly changing: BedRecord | null;
}) {
  const clayPct = numberFromText(fields.clay);
  const isSameSoil = changing?.clayPct === clayPct;
  const { version: _, ...kept } = changing ? bedAsChange(changing) : { version: 0, note: '' };
  return bedDraft.safeParse({
    ...kept,
    id,
    name: fields.name,
    part: fields.part,
    kind: fields.kind,
    areaM2: figureOf(quantities.areaM2),
    organicMatterPct: numberFromText(fields.organicMatter),
    bulkDensityGPerCm3: isSameSoil ? changing.bulkDensityGPerCm3 : bulkDensityOfClay(clayPct),
    clayPct,
    rootZoneCm: figureOf(quantities.rootZoneCm),
    exposure: fields.exposure,
    isWatered: fields.isWatered,
    ph: fields.ph.trim() === '' ? null : numberFromText(fields.ph),
    startedOn: fields.startedOn === '' ? null : fields.startedOn,
    croppingBefore: fields.croppingBefore,
  });
}

/** Making a bed, or changing one. */
export function BedForm({ gardenId, changing, onClose, onKept }: BedFormProps) {
  const reader = useReader();
  const { beds } = useBooks();
  const partsId = useId();
  const [id] = useState(() => changing?.id ?? crypto.randomUUID());
  const { fields, set, wasTried, submitWith, forget } = useRecordForm<BedFields>(() =>
    changing ? fieldsOf(changing, reader) : newBed(reader),
  );
  const [isTesting, setIsTesting] = useState(false);
  const makeBed = useMakeBed(gardenId);
  const changeBed = useChangeBed();

  const quantities = {
    areaM2: readQuantity(fields.area, AREA, reader),
    rootZoneCm: readQuantity(fields.rootZone, ROOT_ZONE, reader),
  };
  const parsed = readFields({ fields, id, quantities, changing });
  const troubles = {
    ...troublesOf(parsed, makeBed.error ?? changeBed.error),
    ...quantityTroubles(quantities),
  };
  const trouble = (field: string) => (wasTried ? troubles[field] : undefined);

  const save = () => {
    if (!parsed.success) return;
    const { id: draftId, ...values } = parsed.data;
    const onSuccess = () => {
      forget();
      onKept(id);
    };
    if (changing)
      changeBed.mutate({ bedId: id, change: { ...values, version: changing.version } }, { onSuccess });
    else makeBed.mutate({ ...values, id: draftId }, { onSuccess });
  };
  const text = (field: 'name' | 'part' | 'organicMatter' | 'clay' | 'ph', width: number) => ({
    value: fields[field],
    onChange: (event: { target: { value: string } }) => set({ [field]: event.target.value }),
    style: { width },
  });

  return (
    <form
      className="band"
      aria-label={changing ? 'Change the bed' : 'Make a bed'}
      onSubmit={submitWith(save)}
    >
      <div className="band-fields">
        <Field name="Name" trouble={trouble('name')}>
          {(control) => <Input {...control} {...text('name', 170)} autoFocus />}
        </Field>
        <Field name="Part of the garden" trouble={trouble('part')} hint="groups many beds">
          {(control) => <Input {...control} {...text('part', 150)} list={partsId} autoComplete="off" />}
        </Field>
        <datalist id={partsId}>
          {gardenParts(beds, (bed) => bed.part).map(
            ({ name }) => name !== '' && <option key={name} value={name} />,
          )}
        </datalist>
        <Field name="Kind">
          {(control) => (
            <Select
              {...control}
              value={fields.kind}
              onChange={(kind) => set({ kind })}
              style={{ width: 140 }}
              options={BED_KINDS.map((value) => ({ value, label: BED_KIND_WORDS[value] }))}
            />
          )}
        </Field>
        <QuantityField
          name="Area"
          quantity="area"
          value={fields.area}
          onChange={(area) => set({ area })}
          trouble={trouble('areaM2')}
          hint={`or ${quantityExample('area', reader.system)}`}
          width={120}
        />
        <Field name="Soil, by feel">
          {(control) => (
            <Select
              {...control}
              value={Number(fields.clay)}
              onChange={(clay) => set({ clay: String(clay) })}
              style={{ width: 220 }}
              popupMatchSelectWidth={270}
              options={textureOptions(fields.clay)}
            />
          )}
        </Field>
        <div className="field">
          <span className="field-name">Not sure?</span>
          <Button onClick={() => setIsTesting(true)}>Finger test</Button>
        </div>
        <Field name="or clay, %" trouble={trouble('clayPct')} hint="from a lab">
          {(control) => <Input {...control} {...text('clay', 75)} inputMode="decimal" />}
        </Field>
        <Field
          name="Organic matter, %"
          trouble={trouble('organicMatterPct')}
          hint="as a laboratory reports it; 3 to 5 is usual"
        >
          {(control) => <Input {...control} {...text('organicMatter', 115)} inputMode="decimal" />}
        </Field>
        <QuantityField
          name="Root depth"
          quantity="length"
          value={fields.rootZone}
          onChange={(rootZone) => set({ rootZone })}
          trouble={trouble('rootZoneCm')}
          width={95}
        />
        <Field name="How it lies">
          {(control) => (
            <Select
              {...control}
              value={fields.exposure}
              onChange={(exposure) => set({ exposure })}
              style={{ width: 140 }}
              options={EXPOSURES.map((value) => ({ value, label: EXPOSURE_WORDS[value] }))}
            />
          )}
        </Field>
        <div className="field">
          <span className="field-name">Water</span>
          <Checkbox
            checked={fields.isWatered}
            onChange={(event) => set({ isWatered: event.target.checked })}
            style={{ paddingTop: 5 }}
          >
            watered in dry weather
          </Checkbox>
        </div>
        <Field name="pH" trouble={trouble('ph')} hint="if measured">
          {(control) => <Input {...control} {...text('ph', 75)} inputMode="decimal" />}
        </Field>
        <Field name="Before your first entry">
          {(control) => (
            <Select
              {...control}
              value={fields.croppingBefore}
              onChange={(croppingBefore) => set({ croppingBefore })}
              style={{ width: 230 }}
              options={CROPPING_BEFORE.map((value) => ({ value, label: CROPPING_WORDS[value] }))}
            />
          )}
        </Field>
        <DateField
          name="Bed made on"
          value={fields.startedOn}
          onChange={(startedOn) => set({ startedOn })}
          trouble={trouble('startedOn')}
          hint="if you know"
        />
      </div>
      {isTesting && (
        <FingerTest
          onFound={(clayPct) => {
            set({ clay: String(clayPct) });
            setIsTesting(false);
          }}
          onClose={() => setIsTesting(false)}
        />
      )}
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={makeBed.isPending || changeBed.isPending}>
          {changing ? 'Save the change' : 'Make the bed'}
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {trouble('') !== undefined && (
          <span className="field-trouble" role="alert">
            {trouble('')}
          </span>
        )}
      </div>
    </form>
  );
}

/** The textures, and the lab's figure itself when it is none of theirs. */
function textureOptions(clay: string) {
  const textures = SOIL_TEXTURES.map(({ id, clayPct }) => ({
    value: clayPct,
    label: TEXTURE_WORDS[id],
  }));
  const measured = Number(clay);
  return textures.some(({ value }) => value === measured)
    ? textures
    : [{ value: measured, label: 'as the lab says' }, ...textures];
}
