import { Button, Checkbox, Input, Select } from 'antd';
import { useId, useState } from 'react';
import { BED_KINDS, CROPPING_BEFORE, EXPOSURES, type BedKind } from '../../../records/vocabulary.ts';
import { type FillSoil, SOIL_TEXTURES } from '../../../core/bed/index.ts';
import { quantityExample } from '../../../words/quantity-words.ts';
import { BED_KIND_WORDS, CROPPING_WORDS, EXPOSURE_WORDS, TEXTURE_WORDS } from '../../../words/words.ts';
import { useBooks } from '../../app/garden-context.ts';
import { DateField } from '../forms/DateField.tsx';
import { Field } from '../forms/Field.tsx';
import { QuantityField } from '../forms/QuantityField.tsx';
import { withKind } from './bed-form.ts';
import { FillFields } from './FillFields.tsx';
import { FingerTest } from './FingerTest.tsx';
import { gardenParts } from './parts.ts';
import { blankShape, shapeOfKind, type ShapeForm } from './shape-form.ts';
import { ShapeFields } from './ShapeFields.tsx';
import type { WritingBed } from './use-bed-form.ts';
import { useSameName } from '../forms/use-same-name.ts';

export function NameAndKind({ id, fields, set, text, trouble, reader }: WritingBed) {
  const sameName = useSameName('beds', fields.name, id);
  const { beds } = useBooks();
  const partsId = useId();
  return (
    <>
      <Field name="Name" trouble={trouble('name')} hint={sameName}>
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
            onChange={(kind: BedKind) => set(withKind(fields, kind, reader))}
            style={{ width: 140 }}
            options={BED_KINDS.map((value) => ({ value, label: BED_KIND_WORDS[value] }))}
          />
        )}
      </Field>
    </>
  );
}

/** The area as it is known, or the way to its shape. */
export function Area({ fields, set, trouble, reader }: WritingBed) {
  return (
    <div>
      <QuantityField
        name="Area"
        quantity="area"
        value={fields.area}
        onChange={(area) => set({ area })}
        trouble={trouble('areaM2')}
        hint={`or ${quantityExample('area', reader.system)}`}
        width={120}
      />
      <Button
        type="link"
        size="small"
        style={{ paddingInline: 0 }}
        onClick={() => set({ shape: blankShape(shapeOfKind(fields.kind) ?? 'circle', reader) })}
      >
        From its shape
      </Button>
    </div>
  );
}

/** The size by what is measured of the shape. */
export function Measured({
  fields,
  shape,
  figures,
  set,
  trouble,
  wasTried,
}: WritingBed & { readonly shape: ShapeForm }) {
  const { kind } = fields;
  return (
    <>
      <ShapeFields
        shape={shape}
        read={figures.shape!}
        wasTried={wasTried}
        onChange={(next) => set({ shape: next })}
        onLeave={() => set({ shape: null })}
      />
      {figures.shape?.areaM2 != null && trouble('areaM2') !== undefined && (
        <p className="field-trouble" role="alert">
          {trouble('areaM2')}
        </p>
      )}
      {kind === 'container' && trouble('potCount') !== undefined && (
        <p className="field-trouble" role="alert">
          {trouble('potCount')}
        </p>
      )}
    </>
  );
}

/** How many beds of this kind and size are made at once. */
export function Alike({ isNew, text, trouble }: WritingBed) {
  if (!isNew) return null;
  return (
    <Field name="Beds alike" trouble={trouble('alike')} hint="numbered by name">
      {(control) => <Input {...control} {...text('alike', 90)} inputMode="numeric" />}
    </Field>
  );
}

/** What the ground is made of and how deep it is. */
export function Soil({ fields, set, setClay, text, trouble }: WritingBed) {
  return (
    <>
      <Field name="Soil, by feel">
        {(control) => (
          <Select
            {...control}
            value={Number(fields.clay)}
            onChange={(clay) => setClay(String(clay))}
            style={{ width: 220 }}
            popupMatchSelectWidth={270}
            options={textureOptions(fields.clay)}
          />
        )}
      </Field>
      <Field name="or clay, %" trouble={trouble('clayPct')} hint="from a lab">
        {(control) => (
          <Input
            {...control}
            value={fields.clay}
            onChange={(event) => setClay(event.target.value)}
            style={{ width: 75 }}
            inputMode="decimal"
          />
        )}
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
        hint={FILLED.has(fields.kind) ? 'how deep it is filled' : undefined}
      />
    </>
  );
}

/** How it lies and is kept, and what was there before. */
export function Standing({ fields, set, text, trouble }: WritingBed) {
  return (
    <>
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
    </>
  );
}

/** What is filled with a mix, so that its soil follows from that. */
const FILLED: ReadonlySet<BedKind> = new Set(['raised', 'container']);

/** Two ways to a soil nobody has measured: by hand, or by what the bed was filled with. */
export function FingerAndFill({ fields, set, setClay }: WritingBed) {
  const [opened, setOpened] = useState<'finger' | 'fill' | null>(null);
  const isFilled = FILLED.has(fields.kind);
  const use = ({ clayPct, organicMatterPct, bulkDensityGPerCm3 }: FillSoil) => {
    set({
      clay: clayPct.toFixed(1),
      organicMatter: organicMatterPct.toFixed(1),
      bulkDensityGPerCm3: Number(bulkDensityGPerCm3.toFixed(3)),
    });
    setOpened(null);
  };
  return (
    <>
      <div className="band-ways">
        <span className="soft">Not sure of the soil?</span>
        <Button onClick={() => setOpened('finger')}>Finger test</Button>
        {isFilled && <Button onClick={() => setOpened('fill')}>By what it is filled with</Button>}
      </div>
      {opened === 'finger' && (
        <FingerTest
          onFound={(clayPct) => {
            setClay(String(clayPct));
            setOpened(null);
          }}
          onClose={() => setOpened(null)}
        />
      )}
      {opened === 'fill' && isFilled && (
        <FillFields key={fields.kind} isForPots={fields.kind === 'container'} onUse={use} />
      )}
    </>
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
