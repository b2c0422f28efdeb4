import { Button } from 'antd';
import { useState } from 'react';
import type { GardenPrices } from '../../../records/garden.ts';
import { LITRES_PER_CUBIC_METRE, LITRES_PER_CUBIC_YARD } from '../../../core/ground/index.ts';
import { QUANTITIES } from '../../../quantities/units.ts';
import type { UnitSystem } from '../../../refusals/refusal.ts';
import { plainFigure } from '../../../words/figures.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useChangeGarden } from '../../api/gardens.ts';
import { useBooks } from '../../app/garden-context.ts';
import { TextField } from '../forms/inputs.tsx';
import { numberFromText } from '../forms/parse-number.ts';
import { useRecordForm } from '../forms/use-record-form.ts';

interface PriceField {
  readonly field: keyof GardenPrices;
  /** What so much of it costs: a unit of the garden, and how many of what the price is kept for it holds. */
  readonly per: (measures: UnitSystem) => { readonly unit: string; readonly holds: number };
  readonly of: string;
}
const byMass = (measures: UnitSystem) => {
  const { symbol, toBase } = QUANTITIES.mass.shown[measures];
  return { unit: symbol, holds: toBase(1) };
};
/** Loads are sold by the cubic meter, or the cubic yard. */
const byLoad = (measures: UnitSystem) =>
  measures === 'metric'
    ? { unit: 'm³', holds: 1 }
    : { unit: 'cu yd', holds: LITRES_PER_CUBIC_YARD / LITRES_PER_CUBIC_METRE };
const PRICE_FIELDS: readonly PriceField[] = [
  { field: 'nitrogenPerKg', per: byMass, of: 'of nitrogen' },
  { field: 'phosphorusPerKg', per: byMass, of: 'of phosphorus' },
  { field: 'potassiumPerKg', per: byMass, of: 'of potassium' },
  { field: 'hour', per: () => ({ unit: 'hour', holds: 1 }), of: 'of your time' },
  { field: 'boughtInPerM3', per: byLoad, of: 'of compost or manure, brought' },
];

/** What the gardener pays, in a money of their own; all of it may stay empty. */
export function PricesForm({ onClose }: { readonly onClose: () => void }) {
  const books = useBooks();
  const { id, version, createdAt, updatedAt, ...kept } = books.garden;
  const change = useChangeGarden();
  const { measures } = books.garden;
  const [first] = useState(
    () =>
      Object.fromEntries(
        PRICE_FIELDS.map((one) => {
          const price = books.garden.prices?.[one.field] ?? null;
          return [one.field, price === null ? '' : plainFigure(price * one.per(measures).holds, 6)];
        }),
      ) as Record<keyof GardenPrices, string>,
  );
  const { fields: typed, set, submitWith } = useRecordForm(() => first);
  const read = Object.fromEntries(
    PRICE_FIELDS.map((one) => {
      const text = typed[one.field];
      if (text === first[one.field]) return [one.field, books.garden.prices?.[one.field] ?? null];
      return [one.field, text.trim() === '' ? null : numberFromText(text) / one.per(measures).holds];
    }),
  ) as Record<keyof GardenPrices, number | null>;
  const troubleOf = (field: keyof GardenPrices): string | undefined => {
    const price = read[field];
    if (price === null) return undefined;
    if (Number.isNaN(price)) return 'must be a number; leave it empty if you do not know it';
    return price < 0 ? 'must not be negative' : undefined;
  };
  const isSound = PRICE_FIELDS.every(({ field }) => troubleOf(field) === undefined);
  const isEmpty = PRICE_FIELDS.every(({ field }) => read[field] === null);
  const save = async () => {
    await change.mutateAsync({ gardenId: id, change: { ...kept, version, prices: isEmpty ? null : read } });
    onClose();
  };
  return (
    <form
      onSubmit={submitWith(() => {
        if (isSound) void save();
      })}
    >
      <div className="band-fields">
        {PRICE_FIELDS.map(({ field, per, of }) => (
          <TextField
            key={field}
            name={`1 ${per(measures).unit} ${of}`}
            value={typed[field]}
            onChange={(value) => set({ [field]: value })}
            trouble={troubleOf(field)}
            width={130}
          />
        ))}
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="primary" htmlType="submit" disabled={!isSound} loading={change.isPending}>
            Save
          </Button>
        </div>
      </div>
      {Object.values(sentencesOf(change.error)).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </form>
  );
}
