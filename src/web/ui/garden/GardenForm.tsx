import { Button, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { gardenDraft, type GardenDraft, type GardenRecord } from '../../../records/garden.ts';
import { SCHOOLS, type School } from '../../../records/vocabulary.ts';
import { CLIMATE_PATTERNS } from '../../../core/ground/index.ts';
import { useChangeGarden, useMakeGarden } from '../../api/gardens.ts';
import { SCHOOL_WORDS } from '../../../words/school-words.ts';
import { ClimateMonths, type TypedClimate } from './ClimateMonths.tsx';
import { Field } from '../forms/Field.tsx';
import { numberFromText } from '../forms/parse-number.ts';
import { troublesOf } from '../forms/troubles.ts';

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

type Climate = Pick<GardenDraft['climate'], 'temperatureC' | 'rainMm' | 'evapotranspirationMm'>;

const typedOf = (climate: { readonly [Field in keyof Climate]: readonly number[] }): TypedClimate => ({
  temperatureC: climate.temperatureC.map(String),
  rainMm: climate.rainMm.map(String),
  evapotranspirationMm: climate.evapotranspirationMm.map(String),
});

const climateFrom = ({ temperatureC, rainMm, evapotranspirationMm }: TypedClimate): Climate => ({
  temperatureC: temperatureC.map(numberFromText),
  rainMm: rainMm.map(numberFromText),
  evapotranspirationMm: evapotranspirationMm.map(numberFromText),
});

/** A garden as the form opens: as it stands, or a new one. */
function firstFields(changing: GardenRecord | null) {
  if (changing) {
    return { ...changing, patternId: patternOf(changing), months: typedOf(changing.climate) };
  }
  const pattern = CLIMATE_PATTERNS[0]!;
  return {
    id: crypto.randomUUID(),
    name: '',
    place: '',
    patternId: pattern.id,
    months: typedOf(pattern),
    school: 'byDepth' as School,
    measures: 'metric' as GardenDraft['measures'],
    depositionGPerM2Year: 1,
    feedMaterialId: 'feather_meal',
    prices: null,
  };
}

/** Opening a book for a garden, or changing what it says on its cover. */
export function GardenForm({ changing, onKept, onClose }: GardenFormProps) {
  const [first] = useState(() => firstFields(changing));
  const { id } = first;
  const [name, setName] = useState(first.name);
  const [patternId, setPatternId] = useState(first.patternId);
  const [months, setMonths] = useState(first.months);
  const [school, setSchool] = useState(first.school);
  const [measures, setMeasures] = useState(first.measures);
  const [wasTried, setWasTried] = useState(false);
  const makeGarden = useMakeGarden();
  const changeGarden = useChangeGarden();
  const parsed = gardenDraft.safeParse({
    id,
    name,
    place: first.place,
    climate: climateFrom(months),
    depositionGPerM2Year: first.depositionGPerM2Year,
    measures,
    school,
    feedMaterialId: first.feedMaterialId,
    prices: first.prices,
  });
  const troubles = troublesOf(parsed, makeGarden.error ?? changeGarden.error);

  const choosePattern = (id: string) => {
    setPatternId(id);
    const pattern = CLIMATE_PATTERNS.find((one) => one.id === id);
    if (pattern) setMonths(typedOf(pattern));
  };
  const save = () => {
    setWasTried(true);
    if (!parsed.success) return;
    const onSuccess = () => onKept(id);
    const { id: draftId, ...values } = parsed.data;
    if (changing)
      changeGarden.mutate({ gardenId: id, change: { ...values, version: changing.version } }, { onSuccess });
    else makeGarden.mutate({ ...values, id: draftId }, { onSuccess });
  };

  return (
    <form
      className="garden-form"
      aria-label={changing ? 'Change the garden' : 'Open a book'}
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <Field name="What is your garden called?" trouble={wasTried ? troubles['name'] : undefined}>
        {(control) => (
          <Input
            {...control}
            value={name}
            onChange={(event) => setName(event.target.value)}
            style={{ width: 300 }}
            autoFocus
          />
        )}
      </Field>
      <ClimateChoice
        patternId={patternId}
        months={months}
        troubles={wasTried ? troubles : {}}
        onPattern={choosePattern}
        onMonths={setMonths}
      />
      <div className="field">
        <span className="field-name">How seriously do you take nitrogen lock-up?</span>
        <Segmented
          value={school}
          onChange={setSchool}
          options={SCHOOLS.map((value) => ({ value, label: SCHOOL_WORDS[value].name }))}
        />
        <span className="soft hint">{SCHOOL_WORDS[school].belief}</span>
      </div>
      <div className="field">
        <span className="field-name">How do you measure?</span>
        <Segmented
          value={measures}
          onChange={setMeasures}
          options={[
            { value: 'metric', label: 'cm, kg, barrows' },
            { value: 'customary', label: 'inches, lb, barrows' },
          ]}
        />
      </div>
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={makeGarden.isPending || changeGarden.isPending}>
          {changing ? 'Save the change' : 'Open the book'}
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
  readonly troubles: Record<string, string>;
  readonly onPattern: (patternId: string) => void;
  readonly onMonths: (months: TypedClimate) => void;
}

/** A typical year to start from, or twelve months of one's own. */
function ClimateChoice({ patternId, months, troubles, onPattern, onMonths }: ClimateChoiceProps) {
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
      {patternId === OWN_CLIMATE && <ClimateMonths typed={months} onChange={onMonths} troubles={troubles} />}
    </>
  );
}
