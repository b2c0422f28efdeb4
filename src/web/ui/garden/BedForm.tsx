import { useMeasures } from '../../app/garden-context.ts';
import { Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { bedDraft, type BedRecord } from '../../../records/bed.ts';
import {
  EXPOSURES,
  type Exposure,
  BED_KINDS,
  CROPPING_BEFORE,
  type BedKind,
  type CroppingBefore,
} from '../../../records/vocabulary.ts';
import { SOIL_TEXTURES, bulkDensityOfClay } from '../../../core/bed/index.ts';
import {
  centimetresFromInches,
  inchesFromCentimetres,
  squareFeetFromSquareMetres,
  squareMetresFromSquareFeet,
} from '../../../core/ground/index.ts';
import { bedAsChange } from '../../api/as-change.ts';
import { useChangeBed, useMakeBed } from '../../api/gardens.ts';
import { Field } from '../forms/Field.tsx';
import { numberFromText } from '../forms/parse-number.ts';
import { troublesOf } from '../forms/troubles.ts';
import { plainFigure } from '../../../words/figures.ts';
import { BED_KIND_WORDS, CROPPING_WORDS, EXPOSURE_WORDS, TEXTURE_WORDS } from '../../../words/words.ts';
import { FingerTest } from './FingerTest.tsx';

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
  readonly kind: BedKind;
  readonly area: string;
  readonly organicMatter: string;
  readonly clay: string;
  readonly rootZone: string;
  readonly exposure: Exposure;
  readonly isWatered: boolean;
  readonly ph: string;
  readonly startedOn: string;
  readonly croppingBefore: CroppingBefore;
}

const NEW_BED: BedFields = {
  name: '',
  kind: 'annual',
  area: '',
  organicMatter: '4',
  clay: '20',
  rootZone: '',
  exposure: 'normal',
  isWatered: true,
  ph: '',
  startedOn: '',
  croppingBefore: 'unknown',
};

const fieldsOf = (bed: BedRecord, isMetric: boolean): BedFields => ({
  name: bed.name,
  kind: bed.kind,
  area: plainFigure(isMetric ? bed.areaM2 : squareFeetFromSquareMetres(bed.areaM2), 4),
  organicMatter: String(bed.organicMatterPct),
  clay: String(bed.clayPct),
  rootZone: plainFigure(isMetric ? bed.rootZoneCm : inchesFromCentimetres(bed.rootZoneCm), 3),
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
  isMetric,
  changing,
}: {
  readonly fields: BedFields;
  readonly id: string;
  readonly isMetric: boolean;
  readonly changing: BedRecord | null;
}) {
  const area = numberFromText(fields.area);
  const clayPct = numberFromText(fields.clay);
  const rootZone = numberFromText(fields.rootZone);
  const isSameSoil = changing?.clayPct === clayPct;
  const { version: _, ...kept } = changing ? bedAsChange(changing) : { version: 0, note: '' };
  return bedDraft.safeParse({
    ...kept,
    id,
    name: fields.name,
    kind: fields.kind,
    areaM2: isMetric ? area : squareMetresFromSquareFeet(area),
    organicMatterPct: numberFromText(fields.organicMatter),
    bulkDensityGPerCm3: isSameSoil ? changing.bulkDensityGPerCm3 : bulkDensityOfClay(clayPct),
    clayPct,
    rootZoneCm: isMetric ? rootZone : centimetresFromInches(rootZone),
    exposure: fields.exposure,
    isWatered: fields.isWatered,
    ph: fields.ph.trim() === '' ? null : numberFromText(fields.ph),
    startedOn: fields.startedOn === '' ? null : fields.startedOn,
    croppingBefore: fields.croppingBefore,
  });
}

/** Making a bed, or changing one. */
export function BedForm({ gardenId, changing, onClose, onKept }: BedFormProps) {
  const measures = useMeasures();
  const isMetric = measures.depthUnit === 'cm';
  const [id] = useState(() => changing?.id ?? crypto.randomUUID());
  const [fields, setFields] = useState(() =>
    changing ? fieldsOf(changing, isMetric) : { ...NEW_BED, rootZone: isMetric ? '30' : '12' },
  );
  const [wasTried, setWasTried] = useState(false);
  const [isTesting, setIsTesting] = useState(false);
  const makeBed = useMakeBed(gardenId);
  const changeBed = useChangeBed();
  const set = (change: Partial<BedFields>) => setFields((before) => ({ ...before, ...change }));

  const parsed = readFields({ fields, id, isMetric, changing });
  const troubles = troublesOf(parsed, makeBed.error ?? changeBed.error);
  const trouble = (field: string) => (wasTried ? troubles[field] : undefined);

  const save = () => {
    setWasTried(true);
    if (!parsed.success) return;
    const { id: draftId, ...values } = parsed.data;
    const onSuccess = () => onKept(id);
    if (changing)
      changeBed.mutate({ bedId: id, change: { ...values, version: changing.version } }, { onSuccess });
    else makeBed.mutate({ ...values, id: draftId }, { onSuccess });
  };
  const text = (
    field: 'name' | 'area' | 'organicMatter' | 'clay' | 'rootZone' | 'ph' | 'startedOn',
    width: number,
  ) => ({
    value: fields[field],
    onChange: (event: { target: { value: string } }) => set({ [field]: event.target.value }),
    style: { width },
  });

  return (
    <form
      className="band"
      aria-label={changing ? 'Change the bed' : 'Make a bed'}
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div className="band-fields">
        <Field name="Name" trouble={trouble('name')}>
          {(control) => <Input {...control} {...text('name', 170)} autoFocus />}
        </Field>
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
        <Field name={isMetric ? 'Area, m²' : 'Area, sq ft'} trouble={trouble('areaM2')}>
          {(control) => <Input {...control} {...text('area', 80)} inputMode="decimal" />}
        </Field>
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
        <Field name={`Root depth, ${measures.depthUnit}`} trouble={trouble('rootZoneCm')}>
          {(control) => <Input {...control} {...text('rootZone', 95)} inputMode="decimal" />}
        </Field>
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
        <Field name="Before its book begins">
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
        <Field name="Bed made on" trouble={trouble('startedOn')} hint="if you know">
          {(control) => <Input {...control} {...text('startedOn', 150)} type="date" />}
        </Field>
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
