import { Select } from 'antd';
import { useState } from 'react';
import { fahrenheitFromCelsius } from '../../../core/ground/index.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import type { Observed } from '../../../records/journal.ts';
import { layName } from '../../../words/record-names.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import type { TilePanelProps } from '../../ui/log/tile-panel-props.ts';
import { useProbe } from '../../ui/stock/use-instruments.ts';
import { ReadingForm } from './ReadingForm.tsx';
import { isMetric, soilTemperatureOf, thicknessOf, wateringOf, yieldOf } from './readings.ts';

interface Seeing {
  readonly onSee: (observed: Observed) => void;
}

/** What was harvested. */
export function YieldForm({ onSee }: Seeing) {
  const measures = useMeasures();
  return (
    <ReadingForm
      label={`Harvested, ${isMetric(measures) ? 'kg' : 'lb'}`}
      readingOf={(figure) => yieldOf(figure, measures)}
      onReading={onSee}
    />
  );
}

/** Typed, or read off the probe where one is connected. */
export function SoilTemperatureForm({ onSee }: Seeing) {
  const measures = useMeasures();
  const probe = useProbe();
  const shown = (celsius: number) => (isMetric(measures) ? celsius : fahrenheitFromCelsius(celsius));
  return (
    <ReadingForm
      label={`Soil, ${isMetric(measures) ? '°C' : '°F'}, a finger deep`}
      readingOf={(figure) => soilTemperatureOf(figure, measures)}
      onReading={onSee}
      instrument={{ ...probe, read: (use) => probe.read((celsius) => use(shown(celsius))) }}
    />
  );
}

const EVERYTHING = 'everything on top';

const isOnTop = (entry: Extract<EntryRecord, { type: 'lay' }>, bedId: string): boolean =>
  entry.bedId === bedId && entry.state === 'laid' && entry.dugDepthCm === 0;

/** How much is left of a layer, or of all of them. */
export function ThicknessForm({ subject, onSee }: Pick<TilePanelProps, 'subject'> & Seeing) {
  const books = useBooks();
  const measures = useMeasures();
  const layers = books.entries
    .flatMap((entry) => (entry.type === 'lay' && isOnTop(entry, subject.bedId) ? [entry] : []))
    .map((entry) => ({ id: entry.id, name: `${layName(entry, books)}, ${entry.date}` }))
    .toReversed();
  const [layerId, setLayerId] = useState(layers[0]?.id ?? EVERYTHING);
  return (
    <ReadingForm
      label={`Left, ${measures.depthUnit}`}
      readingOf={(figure) => thicknessOf(figure, layerId === EVERYTHING ? null : layerId, measures)}
      onReading={onSee}
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

/** Water by the can: how much, and what that comes to over the bed. */
export function WateringForm({ subject, book, onDone }: TilePanelProps) {
  const books = useBooks();
  const measures = useMeasures();
  const bed = books.beds.find(({ id }) => id === subject.bedId)!;
  return (
    <ReadingForm
      label={`Given, ${isMetric(measures) ? 'L' : 'gal'}`}
      readingOf={(figure) => wateringOf(figure, bed.areaM2, measures)}
      onReading={({ litres, waterMm }) => {
        onDone();
        const words = `${bed.name}: watered, ${measures.liquid(litres)} or ${measures.water(waterMm)}.`;
        void book.post({ subject, entry: { type: 'water', waterMm }, words });
      }}
    >
      <p className="soft watering-note">
        {isMetric(measures) ? 'A can holds 10 L.' : 'A can holds 2 gal.'} Only what you give by hand
        {bed.isWatered ? ' beyond the usual watering' : ''}.
      </p>
    </ReadingForm>
  );
}
