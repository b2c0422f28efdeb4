import { Button, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { gardenDraft, type GardenDraft, type GardenRecord } from '../../../contract/records.ts';
import { CLIMATE_PATTERNS } from '../../../core/climate/patterns.ts';
import { useChangeGarden, useMakeGarden } from '../../api/gardens.ts';
import { Field } from '../../forms/Field.tsx';
import { troublesOf } from '../../forms/troubles.ts';

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

function climateOf(patternId: string, changing: GardenRecord | null): GardenDraft['climate'] | undefined {
  const pattern = CLIMATE_PATTERNS.find(({ id }) => id === patternId);
  if (!pattern) return changing?.climate;
  const { temperatureC, rainMm, evapotranspirationMm } = pattern;
  return {
    temperatureC: [...temperatureC],
    rainMm: [...rainMm],
    evapotranspirationMm: [...evapotranspirationMm],
  };
}

/** Opening a book for a garden, or changing what it says on its cover. */
export function GardenForm({ changing, onKept, onClose }: GardenFormProps) {
  const [id] = useState(() => changing?.id ?? crypto.randomUUID());
  const [name, setName] = useState(changing?.name ?? '');
  const [patternId, setPatternId] = useState(changing ? patternOf(changing) : CLIMATE_PATTERNS[0]!.id);
  const [measures, setMeasures] = useState<GardenDraft['measures']>(changing?.measures ?? 'metric');
  const [wasTried, setWasTried] = useState(false);
  const makeGarden = useMakeGarden();
  const changeGarden = useChangeGarden();
  const parsed = gardenDraft.safeParse({
    id,
    name,
    place: changing?.place ?? '',
    climate: climateOf(patternId, changing),
    depositionGPerM2Year: changing?.depositionGPerM2Year ?? 1,
    measures,
  });
  const troubles = troublesOf(parsed, makeGarden.error ?? changeGarden.error);

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
      <Field
        name="Which weather is most like yours?"
        hint="A typical year of temperature, rain and evaporation."
      >
        {(control) => (
          <Select
            {...control}
            value={patternId}
            onChange={setPatternId}
            style={{ width: 340 }}
            options={[
              ...(patternId === OWN_CLIMATE ? [{ value: OWN_CLIMATE, label: 'your own twelve months' }] : []),
              ...CLIMATE_PATTERNS.map((one) => ({ value: one.id, label: one.name })),
            ]}
          />
        )}
      </Field>
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
