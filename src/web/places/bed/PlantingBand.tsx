import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import { plantingDraft, type GardenBooks, type PlantingRecord } from '../../../contract/records.ts';
import { isoDateOf } from '../../../core/climate/calendar.ts';
import { CROP_LIBRARY, findCrop } from '../../../core/crops/crop-library.ts';
import { useChangePlanting, usePlant } from '../../api/gardens.ts';
import { Field } from '../../forms/Field.tsx';
import { numberFromText } from '../../forms/parse-number.ts';
import { troublesOf } from '../../forms/troubles.ts';
import { dayOf } from '../../format/dates.ts';

interface PlantingBandProps {
  readonly books: GardenBooks;
  readonly bedId: string;
  /** The planting to change; null for a new one. */
  readonly changing: PlantingRecord | null;
  readonly onClose: () => void;
}

const STARTS = { seed: 'sown', transplant: 'planted out', set: 'set' } as const;

function clearingDate(cropId: string, plantedOn: string): string {
  const crop = findCrop(cropId);
  if (!crop || crop.isPerennial || plantedOn === '') return '';
  return isoDateOf(dayOf(plantedOn) + crop.daysInGround);
}

/** Writing a crop into the books of a bed. */
export function PlantingBand({ books, bedId, changing, onClose }: PlantingBandProps) {
  const [id] = useState(() => changing?.id ?? crypto.randomUUID());
  const [cropId, setCropId] = useState(changing?.cropId ?? 'leek');
  const [plantedOn, setPlantedOn] = useState(changing?.plantedOn ?? books.today);
  const [clearedOn, setClearedOn] = useState(() =>
    changing ? (changing.clearedOn ?? '') : clearingDate('leek', books.today),
  );
  const [demand, setDemand] = useState(() =>
    String(changing?.nitrogenDemandGPerM2 ?? findCrop('leek')!.nitrogenDemandGPerM2),
  );
  const [wasTried, setWasTried] = useState(false);
  const plant = usePlant(bedId);
  const change = useChangePlanting();
  const crop = findCrop(cropId)!;

  const choose = (chosen: string) => {
    setCropId(chosen);
    setDemand(String(findCrop(chosen)!.nitrogenDemandGPerM2));
    setClearedOn(clearingDate(chosen, plantedOn));
  };
  const parsed = plantingDraft.safeParse({
    id,
    state: plantedOn > books.today ? 'planned' : 'laid',
    cropId,
    plantedOn,
    clearedOn: clearedOn === '' ? null : clearedOn,
    nitrogenDemandGPerM2: numberFromText(demand),
    rootDepthCm: crop.rootDepthCm,
    note: changing?.note ?? '',
  });
  const troubles = troublesOf(parsed, plant.error ?? change.error);
  const save = () => {
    setWasTried(true);
    if (!parsed.success) return;
    const { id: draftId, ...values } = parsed.data;
    if (!changing) plant.mutate({ ...values, id: draftId }, { onSuccess: onClose });
    else {
      const kept = { ...values, version: changing.version };
      change.mutate({ plantingId: id, change: kept }, { onSuccess: onClose });
    }
  };
  const trouble = (field: string) => (wasTried ? troubles[field] : undefined);

  return (
    <form
      className="band"
      aria-label={changing ? 'Change a planting' : 'Plant a crop'}
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div className="band-fields">
        <Field
          name="Crop"
          trouble={trouble('cropId')}
          hint={`${STARTS[crop.startsAs]}; roots to ${crop.rootDepthCm} cm`}
        >
          {(control) => (
            <Select
              {...control}
              value={cropId}
              onChange={choose}
              showSearch={{ optionFilterProp: 'label' }}
              style={{ width: 210 }}
              options={CROP_LIBRARY.map(({ id: value, name }) => ({ value, label: name }))}
            />
          )}
        </Field>
        <Field name={`In the ground from`} trouble={trouble('plantedOn')}>
          {(control) => (
            <Input
              {...control}
              type="date"
              value={plantedOn}
              onChange={(event) => {
                setPlantedOn(event.target.value);
                setClearedOn(clearingDate(cropId, event.target.value));
              }}
              style={{ width: 150 }}
            />
          )}
        </Field>
        <Field
          name="Cleared on"
          trouble={trouble('clearedOn')}
          hint={crop.isPerennial ? 'leave empty while it stays' : undefined}
        >
          {(control) => (
            <Input
              {...control}
              type="date"
              value={clearedOn}
              onChange={(event) => setClearedOn(event.target.value)}
              style={{ width: 150 }}
            />
          )}
        </Field>
        <Field
          name="Nitrogen it takes up, g/m²"
          trouble={trouble('nitrogenDemandGPerM2')}
          hint="from handbooks, from memory"
        >
          {(control) => (
            <Input
              {...control}
              value={demand}
              onChange={(event) => setDemand(event.target.value)}
              inputMode="decimal"
              style={{ width: 120 }}
            />
          )}
        </Field>
      </div>
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={plant.isPending || change.isPending}>
          {changing ? 'Save the change' : 'Plant it'}
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {wasTried && troubles[''] !== undefined && <span className="field-trouble">{troubles['']}</span>}
      </div>
    </form>
  );
}
