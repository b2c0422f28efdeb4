import { useQuery } from '@tanstack/react-query';
import { Button, Input, Segmented } from 'antd';
import { useMemo } from 'react';
import { gardenChange, type GardenRecord } from '../../../records/garden.ts';
import { SCHOOLS } from '../../../records/vocabulary.ts';
import { gardensQuery, useChangeGarden } from '../../api/gardens.ts';
import { sameNameHint } from '../../../words/same-name.ts';
import { SCHOOL_NAMES, schoolWords } from '../../../words/school-words.ts';
import { climateInUnits } from './climate-form.ts';
import { ClimatePicture } from './ClimatePicture.tsx';
import { measuresOf } from '../../../words/measures.ts';
import { firstPlace, placeOf, type PlaceFields } from './place-form.ts';
import { PlaceChoice } from './PlaceChoice.tsx';
import { Field } from '../forms/Field.tsx';
import { troublesOf } from '../forms/troubles.ts';
import { useRecordForm } from '../forms/use-record-form.ts';
import { readerOf } from '../forms/typed-quantity.ts';

interface GardenFormProps {
  readonly garden: GardenRecord;
  readonly onClose: () => void;
}

type GardenFields = Pick<GardenRecord, 'name' | 'school' | 'measures'> & { readonly place: PlaceFields };

/** Changing what the book of a garden says on its cover. */
export function GardenForm({ garden, onClose }: GardenFormProps) {
  const { fields, set, wasTried, submitWith, forget } = useRecordForm<GardenFields>(() => ({
    name: garden.name,
    school: garden.school,
    measures: garden.measures,
    place: firstPlace(garden, readerOf(garden.measures)),
  }));
  const { name, school, measures, place } = fields;
  const reader = useMemo(() => readerOf(measures), [measures]);
  const changeGarden = useChangeGarden();
  const found = useMemo(() => placeOf(place, garden, reader), [place, garden, reader]);
  const { climate, location } = found;
  const { id, createdAt, updatedAt, ...kept } = garden;
  const parsed = gardenChange.safeParse({ ...kept, name, measures, school, climate, location });
  const isFound = climate !== null && Object.keys(found.troubles).length === 0;
  // Without a place there is no climate yet; what is missing of it is said where it is asked for.
  const { climate: _, ...schemaTroubles } = troublesOf(parsed, changeGarden.error);
  const troubles = { ...schemaTroubles, ...found.troubles };
  const chooseMeasures = (chosen: typeof measures) => {
    const months = climateInUnits(place.months, reader, readerOf(chosen));
    set({ measures: chosen, place: { ...place, months } });
  };
  const { data } = useQuery(gardensQuery());
  const save = () => {
    if (!parsed.success || !isFound) return;
    const onSuccess = () => {
      forget();
      onClose();
    };
    changeGarden.mutate({ gardenId: id, change: parsed.data }, { onSuccess });
  };

  return (
    <form className="garden-form" aria-label="Change the garden" onSubmit={submitWith(save)}>
      <Field
        name="What is your garden called?"
        trouble={wasTried ? troubles['name'] : undefined}
        hint={sameNameHint(name, data?.gardens ?? [], id)}
      >
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
      <PlaceChoice
        fields={place}
        keptFrom={keptWords(garden)}
        reader={reader}
        troubles={wasTried ? troubles : {}}
        onChange={(change) => set({ place: { ...place, ...change } })}
      />
      {isFound && parsed.success && <ClimatePicture climate={parsed.data.climate} system={measures} />}
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
        <Button type="primary" htmlType="submit" loading={changeGarden.isPending}>
          Save the change
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {wasTried && troubles[''] !== undefined && (
          <span className="field-trouble" role="alert">
            {troubles['']}
          </span>
        )}
      </div>
    </form>
  );
}

/** What a garden that is being changed goes by, for the choice to leave it so. */
const keptWords = ({ location }: GardenRecord): string =>
  location === null || location.station === '' ? 'as it is now' : `as it is now: ${location.station}`;
