import { Button, Input, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { gardenDraft, type GardenDraft, type GardenRecord } from '../../../records/garden.ts';
import { FEED_FROM_STOCK, SCHOOLS, type School } from '../../../records/vocabulary.ts';
import { useChangeGarden, useMakeGarden } from '../../api/gardens.ts';
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
  /** The garden to change; null for a new one. */
  readonly changing: GardenRecord | null;
  readonly onKept: (gardenId: string) => void;
  /** Absent where there is nothing to go back to. */
  readonly onClose?: () => void;
}

const USUAL_MEASURES: GardenDraft['measures'] = 'metric';

type GardenFields = Pick<GardenDraft, 'name' | 'school' | 'measures'> & { readonly place: PlaceFields };

/** A garden as the form opens: as it stands, or a new one. */
function firstFields(changing: GardenRecord | null) {
  const { measures, ...kept } = changing ?? {
    id: crypto.randomUUID(),
    name: '',
    place: '',
    school: 'byDepth' as School,
    measures: USUAL_MEASURES,
    depositionGPerM2Year: 1,
    feedMaterialId: FEED_FROM_STOCK,
    prices: null,
  };
  const { id, name, school, place: note, depositionGPerM2Year, feedMaterialId, prices } = kept;
  return {
    unasked: { id, place: note, depositionGPerM2Year, feedMaterialId, prices },
    fields: { name, school, measures, place: firstPlace(changing, readerOf(measures)) },
  };
}

/** Opening a book for a garden, or changing what it says on its cover. */
export function GardenForm({ changing, onKept, onClose }: GardenFormProps) {
  const [first] = useState(() => firstFields(changing));
  const { id } = first.unasked;
  const { fields, set, wasTried, submitWith, forget } = useRecordForm<GardenFields>(() => first.fields);
  const { name, school, measures, place } = fields;
  const reader = useMemo(() => readerOf(measures), [measures]);
  const makeGarden = useMakeGarden();
  const changeGarden = useChangeGarden();
  const found = useMemo(() => placeOf(place, changing, reader), [place, changing, reader]);
  const { climate, location } = found;
  const parsed = gardenDraft.safeParse({ ...first.unasked, name, measures, school, climate, location });
  const isFound = climate !== null && Object.keys(found.troubles).length === 0;
  // Without a place there is no climate yet; what is missing of it is said where it is asked for.
  const { climate: _, ...schemaTroubles } = troublesOf(parsed, makeGarden.error ?? changeGarden.error);
  const troubles = { ...schemaTroubles, ...found.troubles };
  const chooseMeasures = (chosen: typeof measures) => {
    const months = climateInUnits(place.months, reader, readerOf(chosen));
    set({ measures: chosen, place: { ...place, months } });
  };
  const save = () => {
    if (!parsed.success || !isFound) return;
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
      <PlaceChoice
        fields={place}
        keptFrom={changing && keptWords(changing)}
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

/** What a garden that is being changed goes by, for the choice to leave it so. */
const keptWords = ({ location }: GardenRecord): string =>
  location === null || location.station === '' ? 'as it is now' : `as it is now: ${location.station}`;
