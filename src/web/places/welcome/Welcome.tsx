import { Button, Input, Segmented, Select } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { gardenDraft, type GardenDraft } from '../../../contract/records.ts';
import { problemsOf } from '../../../contract/problem-fields.ts';
import { CLIMATE_PATTERNS } from '../../../core/climate/patterns.ts';
import { sentencesOf } from '../../api/client.ts';
import { useMakeGarden } from '../../api/gardens.ts';
import { Field } from '../../forms/Field.tsx';
import '../garden/garden.css';

/** The first page of an empty book. */
export function Welcome() {
  const [id] = useState(() => crypto.randomUUID());
  const [name, setName] = useState('');
  const [patternId, setPatternId] = useState(CLIMATE_PATTERNS[0]!.id);
  const [measures, setMeasures] = useState<GardenDraft['measures']>('metric');
  const [wasTried, setWasTried] = useState(false);
  const makeGarden = useMakeGarden();
  const navigate = useNavigate();
  const pattern = CLIMATE_PATTERNS.find((one) => one.id === patternId)!;
  const parsed = gardenDraft.safeParse({
    id,
    name,
    place: '',
    climate: {
      temperatureC: pattern.temperatureC,
      rainMm: pattern.rainMm,
      evapotranspirationMm: pattern.evapotranspirationMm,
    },
    depositionGPerM2Year: 1,
    measures,
  });
  const troubles = parsed.success
    ? sentencesOf(makeGarden.error)
    : Object.fromEntries(problemsOf(parsed.error).map(({ field, sentence }) => [field, sentence]));

  return (
    <main className="page">
      <div className="empty">
        <h1>Vine Ledger</h1>
        <p>
          Keep the carbon and nitrogen books of every bed: what you lay on it, what the season makes of it,
          what is locked up and until when, how much nitrogen to add, and what humus stays.
        </p>
        <form
          style={{ display: 'grid', gap: 14, justifyItems: 'start' }}
          onSubmit={(event) => {
            event.preventDefault();
            setWasTried(true);
            if (parsed.success) {
              makeGarden.mutate(parsed.data, {
                onSuccess: (garden) => void navigate(`/garden/${garden.id}`),
              });
            }
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
            hint="A typical year; it can be replaced by your own figures."
          >
            {(control) => (
              <Select
                {...control}
                value={patternId}
                onChange={setPatternId}
                style={{ width: 340 }}
                options={CLIMATE_PATTERNS.map((one) => ({ value: one.id, label: one.name }))}
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
          <Button type="primary" htmlType="submit" loading={makeGarden.isPending}>
            Open the book
          </Button>
          {wasTried && troubles[''] !== undefined && <p className="field-trouble">{troubles['']}</p>}
        </form>
      </div>
    </main>
  );
}
