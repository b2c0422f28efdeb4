import { Select } from 'antd';
import { useState } from 'react';
import { waterMm, type EntryRecord } from '../../../records/entry.ts';
import { observedFields, type Observed } from '../../../records/journal.ts';
import { layName } from '../../../words/record-names.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { LITRES_PER_GALLON } from '../../../core/ground/index.ts';
import { askedOf } from '../forms/asked-of.ts';
import type { QuantityAsked } from '../forms/typed-quantity.ts';
import type { TilePanelProps } from './tile-panel-props.ts';
import { useProbe } from '../stock/use-instruments.ts';
import { ReadingForm } from './ReadingForm.tsx';

interface Seeing {
  readonly onSee: (observed: Observed) => void;
}

const HARVEST = askedOf(observedFields.yield.massKg, 'mass');
const SOIL_TEMPERATURE = askedOf(observedFields.soilTemperature.temperatureC, 'temperature');
const WATER = askedOf(waterMm);
const THICKNESS = askedOf(observedFields.thickness.thicknessCm, 'length');

/** What was harvested. */
export function YieldForm({ onSee }: Seeing) {
  return (
    <ReadingForm label="Harvested" asked={HARVEST} onReading={(massKg) => onSee({ type: 'yield', massKg })} />
  );
}

/** Typed, or read off the probe where one is connected. */
export function SoilTemperatureForm({ onSee }: Seeing) {
  const probe = useProbe();
  return (
    <ReadingForm
      label="Soil, a finger deep"
      asked={SOIL_TEMPERATURE}
      onReading={(temperatureC) => onSee({ type: 'soilTemperature', temperatureC })}
      instrument={probe}
    />
  );
}

const EVERYTHING = 'everything on top';

const isOnTop = (entry: Extract<EntryRecord, { type: 'lay' }>, bedId: string): boolean =>
  entry.bedId === bedId && entry.state === 'laid' && entry.dugDepthCm === 0;

/** How much is left of a layer, or of all of them. */
export function ThicknessForm({
  subject,
  layerId: asked,
  onSee,
}: Pick<TilePanelProps, 'subject' | 'layerId'> & Seeing) {
  const books = useBooks();
  const layers = books.entries
    .flatMap((entry) => (entry.type === 'lay' && isOnTop(entry, subject.bedId) ? [entry] : []))
    .map((entry) => ({ id: entry.id, name: `${layName(entry, books)}, ${entry.date}` }))
    .toReversed();
  const [layerId, setLayerId] = useState(asked ?? layers[0]?.id ?? EVERYTHING);
  return (
    <ReadingForm
      label="Left"
      asked={THICKNESS}
      onReading={(thicknessCm) =>
        onSee({ type: 'thickness', layerId: layerId === EVERYTHING ? null : layerId, thicknessCm })
      }
    >
      <div className="field">
        <span className="field-name">of</span>
        <Select
          aria-label="Which layer"
          value={layerId}
          onChange={setLayerId}
          style={{ width: 230 }}
          popupMatchSelectWidth={false}
          options={[
            ...layers.map(({ id, name }) => ({ value: id, label: name })),
            { value: EVERYTHING, label: EVERYTHING },
          ]}
        />
      </div>
    </ReadingForm>
  );
}

/** A common can in either system (common practice, no source). */
const CAN_LITRES = { metric: 10, customary: 2 * LITRES_PER_GALLON } as const;

/** So many liters as stay within what the books take over the whole bed. */
const wateringAsked = (areaM2: number): QuantityAsked => ({
  quantity: 'volume',
  above: 0,
  max: WATER.max! * areaM2,
});

/** Water by the can: how much, and what that comes to over the bed. */
export function WateringForm({ subject, book, onDone }: TilePanelProps) {
  const books = useBooks();
  const measures = useMeasures();
  const bed = books.beds.find(({ id }) => id === subject.bedId)!;
  return (
    <ReadingForm
      label="Given"
      asked={wateringAsked(bed.areaM2)}
      onReading={(litres) => {
        onDone();
        const given = litres / bed.areaM2;
        const words = `${bed.name}: watered, ${measures.liquid(litres)} or ${measures.water(given)}.`;
        void book.post({ subject, entry: { type: 'water', waterMm: given }, words });
      }}
    >
      <p className="soft watering-note">
        A watering can holds about {measures.liquid(CAN_LITRES[books.garden.measures])}. Only what you give by
        hand{bed.isWatered ? ' beyond the usual watering' : ''}.
      </p>
    </ReadingForm>
  );
}
