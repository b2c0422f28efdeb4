import { Button, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { gardenDraft, type GardenDraft, type GardenRecord } from '../../../records/garden.ts';
import { FEED_FROM_STOCK, SCHOOLS, type School } from '../../../records/vocabulary.ts';
import { CLIMATE_PATTERNS } from '../../../core/ground/index.ts';
import { useChangeGarden, useMakeGarden } from '../../api/gardens.ts';
import { SCHOOL_NAMES, schoolWords } from '../../../words/school-words.ts';
import {
  climateFigures,
  climateInUnits,
  readClimate,
  typedClimate,
  type TypedClimate,
} from './climate-form.ts';
import { measuresOf } from '../../../words/measures.ts';
import { ClimateMonths } from './ClimateMonths.tsx';
import { Field } from '../forms/Field.tsx';
import { quantityTroubles, troublesOf } from '../forms/troubles.ts';
import { useRecordForm } from '../forms/use-record-form.ts';
import { readerOf, type Reader } from '../forms/typed-quantity.ts';

interface GardenFormProps {
  /** The garden to change; null for a new one. */
  readonly changing: GardenRecord | null;
  readonly onKept: (gardenId: string) => void;
  /** Absent where there is nothing to go back to. */
  readonly onClose?: () => void;
}

const OWN_CLIMATE = 'own';

/** The built-in pattern a garden's climate was taken from, if it still is that pattern. */
const patternOf = ({ climate }: GardenRecord): string =>
  CLIMATE_PATTERNS.find(({ temperatureC }) => temperatureC.every((t, i) => t === climate.temperatureC[i]))
    ?.id ?? OWN_CLIMATE;

const USUAL_MEASURES: GardenDraft['measures'] = 'metric';

type GardenFields = Pick<GardenDraft, 'name' | 'school' | 'measures'> & {
  readonly patternId: string;
  readonly months: TypedClimate;
};

/** A garden as the form opens: as it stands, or a new one. */
function firstFields(changing: GardenRecord | null) {
  if (changing) {
    return {
      ...changing,
      patternId: patternOf(changing),
      months: typedClimate(changing.climate, readerOf(changing.measures)),
    };
  }
  const pattern = CLIMATE_PATTERNS[0]!;
  return {
    id: crypto.randomUUID(),
    name: '',
    place: '',
    patternId: pattern.id,
    months: typedClimate(pattern, readerOf(USUAL_MEASURES)),
    school: 'byDepth' as School,
    measures: USUAL_MEASURES,
    depositionGPerM2Year: 1,
    feedMaterialId: FEED_FROM_STOCK,
    prices: null,
  };
}

/** Opening a book for a garden, or changing what it says on its cover. */
export function GardenForm({ changing, onKept, onClose }: GardenFormProps) {
  const [first] = useState(() => firstFields(changing));
  const { id } = first;
  const { fields, set, wasTried, submitWith, forget } = useRecordForm<GardenFields>(() => first);
  const { name, patternId, months, school, measures } = fields;
  const reader = readerOf(measures);
  const makeGarden = useMakeGarden();
  const changeGarden = useChangeGarden();
  const parsed = gardenDraft.safeParse({
    id,
    name,
    place: first.place,
    climate: climateFigures(months, reader),
    depositionGPerM2Year: first.depositionGPerM2Year,
    measures,
    school,
    feedMaterialId: first.feedMaterialId,
    prices: first.prices,
  });
  const troubles = {
    ...troublesOf(parsed, makeGarden.error ?? changeGarden.error),
    ...quantityTroubles(readClimate(months, reader)),
  };
  const chooseMeasures = (chosen: typeof measures) =>
    set({ measures: chosen, months: climateInUnits(months, reader, readerOf(chosen)) });

  const choosePattern = (id: string) => {
    const pattern = CLIMATE_PATTERNS.find((one) => one.id === id);
    set({ patternId: id, ...(pattern ? { months: typedClimate(pattern, reader) } : {}) });
  };
  const save = () => {
    if (!parsed.success) return;
    const onSuccess = () => {
      forget();
      onKept(id);
    };
    const { id: draftId, ...values } = parsed.data;
    if (changing)
      changeGarden.mutate({ gardenId: id, change: { ...values, version: changing.version } }, { onSuccess });
    else makeGarden.mutate({ ...values, id: draftId }, { onSuccess });
  };

  return (
    <form
      className="garden-form"
      aria-label={changing ? 'Change the garden' : 'Create a garden'}
      onSubmit={submitWith(save)}
    >
      <Field name="What is your garden called?" trouble={wasTried ? troubles['name'] : undefined}>
        {(control) => (
          <Input
            {...control}
            value={name}
            onChange={(event) => set({ name: event.target.value })}
            style={{ width: 300 }}
            autoFocus
          />
        )}
      </Field>
      <ClimateChoice
        patternId={patternId}
        months={months}
        reader={reader}
        troubles={wasTried ? troubles : {}}
        onPattern={choosePattern}
        onMonths={(next) => set({ months: next })}
      />
      <div className="field">
        <span className="field-name">How seriously do you take nitrogen lock-up?</span>
        <Segmented
          value={school}
          onChange={(next) => set({ school: next })}
          options={SCHOOLS.map((value) => ({ value, label: SCHOOL_NAMES[value] }))}
        />
        <span className="soft hint">{schoolWords(school, measuresOf({ measures })).belief}</span>
      </div>
      <div className="field">
        <span className="field-name">How do you measure?</span>
        <Segmented
          value={measures}
          onChange={chooseMeasures}
          options={[
            { value: 'metric', label: 'cm, kg, barrows' },
            { value: 'customary', label: 'inches, lb, barrows' },
          ]}
        />
      </div>
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={makeGarden.isPending || changeGarden.isPending}>
          {changing ? 'Save the change' : 'Create the garden'}
        </Button>
        {onClose && <Button onClick={onClose}>Cancel</Button>}
        {wasTried && troubles[''] !== undefined && (
          <span className="field-trouble" role="alert">
            {troubles['']}
          </span>
        )}
      </div>
    </form>
  );
}

interface ClimateChoiceProps {
  readonly patternId: string;
  readonly months: TypedClimate;
  readonly reader: Reader;
  readonly troubles: Record<string, string>;
  readonly onPattern: (patternId: string) => void;
  readonly onMonths: (months: TypedClimate) => void;
}

/** A typical year to start from, or twelve months of one's own. */
function ClimateChoice({ patternId, months, reader, troubles, onPattern, onMonths }: ClimateChoiceProps) {
  return (
    <>
      <Field
        name="Which weather is most like yours?"
        hint="A typical year of temperature, rain and evaporation."
      >
        {(control) => (
          <Select
            {...control}
            value={patternId}
            onChange={onPattern}
            style={{ width: 340 }}
            options={[
              ...CLIMATE_PATTERNS.map((one) => ({ value: one.id, label: one.name })),
              { value: OWN_CLIMATE, label: 'your own twelve months …' },
            ]}
          />
        )}
      </Field>
      {patternId === OWN_CLIMATE && (
        <ClimateMonths typed={months} reader={reader} onChange={onMonths} troubles={troubles} />
      )}
    </>
  );
}
