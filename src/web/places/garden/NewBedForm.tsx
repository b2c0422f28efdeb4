import { Button, Checkbox, Input, Select } from 'antd';
import { useState } from 'react';
import { problemsOf } from '../../../contract/problem-fields.ts';
import { bedDraft, type BedDraft } from '../../../contract/records.ts';
import { squareMetresFromSquareFeet } from '../../../core/units/area.ts';
import { BED_KINDS, type BedKind } from '../../../core/records/bed-records.ts';
import { EXPOSURES, type Exposure } from '../../../core/materials/material.ts';
import { sentencesOf } from '../../api/client.ts';
import { useMakeBed } from '../../api/gardens.ts';
import { numberFromText } from '../../forms/parse-number.ts';
import { Field } from '../../forms/Field.tsx';
import type { Measures } from '../../format/measures.ts';
import { BED_KIND_WORDS, EXPOSURE_WORDS } from '../../format/words.ts';

interface NewBedFormProps {
  readonly gardenId: string;
  readonly measures: Measures;
  readonly onClose: () => void;
  readonly onMade: (bedId: string) => void;
}

/** Texture classes by feel, with the clay they stand for (middle of the class, common practice, no source). */
const TEXTURES = [
  { value: 6, label: 'sand: gritty, falls apart' },
  { value: 14, label: 'sandy loam: gritty, holds a ball' },
  { value: 20, label: 'loam: soft, rolls badly' },
  { value: 30, label: 'clay loam: rolls into a sausage' },
  { value: 45, label: 'clay: shiny, bends into a ring' },
];

/** Bulk density that goes with a texture, g/cm3 (textbook order of magnitude, from memory). */
const bulkDensityOf = (clayPct: number): number => (clayPct < 10 ? 1.4 : clayPct < 25 ? 1.3 : 1.2);

export function NewBedForm({ gardenId, measures, onClose, onMade }: NewBedFormProps) {
  const [id] = useState(() => crypto.randomUUID());
  const [name, setName] = useState('');
  const [kind, setKind] = useState<BedKind>('annual');
  const [area, setArea] = useState('6');
  const [organicMatter, setOrganicMatter] = useState('4');
  const [clayPct, setClayPct] = useState(20);
  const [exposure, setExposure] = useState<Exposure>('normal');
  const [isWatered, setIsWatered] = useState(true);
  const [wasTried, setWasTried] = useState(false);
  const makeBed = useMakeBed(gardenId);
  const isMetric = measures.depthUnit === 'cm';

  const areaEntered = numberFromText(area);
  const draft: BedDraft = {
    id,
    name,
    kind,
    areaM2: isMetric ? areaEntered : squareMetresFromSquareFeet(areaEntered),
    organicMatterPct: numberFromText(organicMatter),
    bulkDensityGPerCm3: bulkDensityOf(clayPct),
    clayPct,
    rootZoneCm: 30,
    exposure,
    isWatered,
    note: '',
  };
  const parsed = bedDraft.safeParse(draft);
  const troubles: Record<string, string> = {
    ...(parsed.success
      ? {}
      : Object.fromEntries(problemsOf(parsed.error).map(({ field, sentence }) => [field, sentence]))),
    ...sentencesOf(makeBed.error),
  };
  const trouble = (field: string) => (wasTried ? troubles[field] : undefined);

  const save = () => {
    setWasTried(true);
    if (parsed.success) makeBed.mutate(parsed.data, { onSuccess: (bed) => onMade(bed.id) });
  };

  return (
    <form
      className="band"
      aria-label="Make a bed"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div className="band-fields">
        <Field name="Name" trouble={trouble('name')}>
          {(control) => (
            <Input
              {...control}
              value={name}
              onChange={(event) => setName(event.target.value)}
              style={{ width: 180 }}
              autoFocus
            />
          )}
        </Field>
        <Field name="Kind">
          {(control) => (
            <Select
              {...control}
              value={kind}
              onChange={setKind}
              style={{ width: 150 }}
              options={BED_KINDS.map((value) => ({ value, label: BED_KIND_WORDS[value] }))}
            />
          )}
        </Field>
        <Field name={isMetric ? 'Area, m²' : 'Area, sq ft'} trouble={trouble('areaM2')}>
          {(control) => (
            <Input
              {...control}
              value={area}
              onChange={(event) => setArea(event.target.value)}
              inputMode="decimal"
              style={{ width: 90 }}
            />
          )}
        </Field>
        <Field name="Soil, by feel">
          {(control) => (
            <Select
              {...control}
              value={clayPct}
              onChange={setClayPct}
              style={{ width: 230 }}
              options={TEXTURES}
            />
          )}
        </Field>
        <Field
          name="Organic matter, %"
          trouble={trouble('organicMatterPct')}
          hint="from a lab; 3 to 5 is usual"
        >
          {(control) => (
            <Input
              {...control}
              value={organicMatter}
              onChange={(event) => setOrganicMatter(event.target.value)}
              inputMode="decimal"
              style={{ width: 120 }}
            />
          )}
        </Field>
        <Field name="How it lies">
          {(control) => (
            <Select
              {...control}
              value={exposure}
              onChange={setExposure}
              style={{ width: 150 }}
              options={EXPOSURES.map((value) => ({ value, label: EXPOSURE_WORDS[value] }))}
            />
          )}
        </Field>
        <div className="field">
          <span className="field-name">Water</span>
          <Checkbox
            checked={isWatered}
            onChange={(event) => setIsWatered(event.target.checked)}
            style={{ paddingTop: 5 }}
          >
            watered in dry weather
          </Checkbox>
        </div>
      </div>
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={makeBed.isPending}>
          Make the bed
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {wasTried && troubles[''] !== undefined && <span className="field-trouble">{troubles['']}</span>}
      </div>
    </form>
  );
}
