import {
  type Aim,
  MIX_TARGETS,
  type MixIngredient,
  type MixProblem,
  type NamedPart,
} from '../../../core/yard/index.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { StockPosting } from '../../../contract/requests.ts';
import type { AmountUnit, Keeping, MixPurpose } from '../../../records/vocabulary.ts';
import {
  MATERIAL_LIBRARY,
  type Material,
  amountFromMassFreshKg,
  massFreshKgFromAmount,
} from '../../../core/ground/index.ts';
import { materialFinder } from '../../../core/bed/index.ts';
import type { TypedAmount } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type Reader,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import { plainFigure } from '../../../words/figures.ts';
import type { StockedLot } from '../../worker/stock-answers.ts';

/** One thing on the bench, as typed. */
export interface BenchRow {
  readonly key: string;
  /** `lot:<id>` out of stock, `material:<id>` from outside. */
  readonly source: string;
  readonly amount: TypedAmount;
  /** Left to the solver. */
  readonly isFree: boolean;
}

export interface BenchForm {
  readonly rows: readonly BenchRow[];
  readonly water: TypedQuantity;
  readonly purpose: MixPurpose;
  readonly ratioLow: string;
  readonly ratioHigh: string;
  readonly moistureLowPct: string;
  readonly moistureHighPct: string;
  /** Volume wanted; empty for as little as does it. */
  readonly total: TypedQuantity;
  readonly isWhole: boolean;
  readonly isLayered: boolean;
}

const text = (value: number | undefined, scale = 1): string =>
  value === undefined ? '' : plainFigure(value * scale, 4);

/** The aims of a purpose, to be changed at will. */
export function aimsOf(purpose: MixPurpose) {
  const { carbonToNitrogen, moisture } = MIX_TARGETS[purpose];
  return {
    purpose,
    ratioLow: text(carbonToNitrogen?.[0]),
    ratioHigh: text(carbonToNitrogen?.[1]),
    moistureLowPct: text(moisture?.[0], 100),
    moistureHighPct: text(moisture?.[1], 100),
  };
}

export const newRow = (source: string, unit: AmountUnit, amount = ''): BenchRow => ({
  key: crypto.randomUUID(),
  source,
  amount: { amount, unit },
  isFree: false,
});

/** What can go into a mix: where it is from, its figures, and how much of it there is. */
export interface Mixable {
  readonly source: string;
  readonly name: string;
  readonly materialId: string;
  readonly material: Material;
  /** Null for what can be had at will. */
  readonly thereL: number | null;
}

/** Everything in stock today, then everything known. */
export function mixables(books: GardenBooks, stocked: readonly StockedLot[]): Mixable[] {
  const find = materialFinder(books);
  const lots = stocked.flatMap(({ lotId, material, now, nearestMaterialId }): Mixable[] => {
    const lot = books.lots.find(({ id }) => id === lotId);
    if (!lot || !material || !now || nearestMaterialId === null) return [];
    return [
      {
        source: `lot:${lotId}`,
        name: lot.name,
        materialId: nearestMaterialId,
        material,
        thereL: now.volumeL,
      },
    ];
  });
  const known = [...books.materials, ...MATERIAL_LIBRARY].flatMap(({ id, name }): Mixable[] => {
    const material = find(id);
    return material ? [{ source: `material:${id}`, name, materialId: id, material, thereL: null }] : [];
  });
  return [...lots, ...known];
}

/** A row with what it stands for; null while its amount is no amount. */
export interface BenchPart extends NamedPart {
  readonly row: BenchRow;
  readonly mixable: Mixable;
  readonly volumeL: number;
}

function massOf({ amount, unit }: TypedAmount, material: Material): number {
  const value = numberFromText(amount);
  if (!(value > 0)) return 0;
  return massFreshKgFromAmount({
    amount: value,
    unit,
    measured: { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: 1 },
  });
}

export function partsOf(rows: readonly BenchRow[], known: ReadonlyMap<string, Mixable>): BenchPart[] {
  return rows.flatMap((row): BenchPart[] => {
    const mixable = known.get(row.source);
    if (!mixable) return [];
    const { material, materialId } = mixable;
    const massFreshKg = massOf(row.amount, material);
    return [
      {
        row,
        mixable,
        material,
        materialId,
        massFreshKg,
        volumeL: (massFreshKg * 1000) / material.bulkDensityKgPerM3,
      },
    ];
  });
}

function aimOf(low: string, high: string, scale: number): Aim | null {
  if (low.trim() === '' && high.trim() === '') return null;
  const from = numberFromText(low.trim() === '' ? high : low) / scale;
  const to = numberFromText(high.trim() === '' ? low : high) / scale;
  return { aim: (from + to) / 2, tolerance: Math.abs(to - from) / 2 };
}

export const ratioAim = ({ ratioLow, ratioHigh }: BenchForm): Aim | null => aimOf(ratioLow, ratioHigh, 1);
export const moistureAim = ({ moistureLowPct, moistureHighPct }: BenchForm): Aim | null =>
  aimOf(moistureLowPct, moistureHighPct, 100);

/** Litres of one of a unit of a material: what it is measured out with. */
const litresOf = (unit: AmountUnit, material: Material): number =>
  (massOf({ amount: '1', unit }, material) * 1000) / material.bulkDensityKgPerM3;

const WATER: QuantityAsked = { quantity: 'volume', min: 0, max: 1e6, isOptional: true };
const TOTAL: QuantityAsked = { quantity: 'volume', above: 0, max: 1e6, isOptional: true };

export const readWater = ({ water }: Pick<BenchForm, 'water'>, reader: Reader) =>
  readQuantity(water, WATER, reader);
export const readTotal = ({ total }: Pick<BenchForm, 'total'>, reader: Reader) =>
  readQuantity(total, TOTAL, reader);

/** Liters of water poured on; none while the field holds no volume. */
export const waterL = (form: Pick<BenchForm, 'water'>, reader: Reader): number =>
  figureOf(readWater(form, reader)) || 0;

/** Water as a recipe or the solver has it, in the field. */
export const waterTyped = (litres: number, reader: Reader): TypedQuantity =>
  typedFrom(litres, 'volume', { ...reader, digits: 3 });

/** The bench as a problem for the solver: rows left free may go up to what is there. */
export function problemOf(form: BenchForm, parts: readonly BenchPart[], reader: Reader): MixProblem {
  return {
    ingredients: parts.map(({ row, mixable, material, volumeL }): MixIngredient => ({
      id: row.key,
      material,
      leastL: row.isFree ? 0 : volumeL,
      mostL: row.isFree ? (mixable.thereL ?? Infinity) : volumeL,
      measureL: litresOf(row.amount.unit, material),
      isWhole: form.isWhole && row.isFree,
    })),
    totalL: figureOf(readTotal(form, reader)),
    canWater: true,
    carbonToNitrogen: ratioAim(form),
    moisture: moistureAim(form),
  };
}

/** The rows with the litres a solver found, in the units they were typed in. */
export const withLitres = (parts: readonly BenchPart[], litres: readonly number[]): BenchRow[] =>
  parts.map(({ row, material }, i) => {
    if (!row.isFree) return row;
    const kg = ((litres[i] ?? 0) * material.bulkDensityKgPerM3) / 1000;
    const amount = amountFromMassFreshKg(kg, row.amount.unit, {
      bulkDensityKgPerM3: material.bulkDensityKgPerM3,
      areaM2: 1,
    });
    return { ...row, amount: { ...row.amount, amount: plainFigure(amount, 4) } };
  });

/** What goes into the books as ingredients. */
export const ingredientsOf = (parts: readonly BenchPart[]) =>
  parts
    .filter(({ massFreshKg }) => massFreshKg > 0)
    .map(({ row }) => {
      const [kind, id = ''] = row.source.split(/:(.*)/s);
      const amount = { amount: numberFromText(row.amount.amount), unit: row.amount.unit };
      return kind === 'lot'
        ? { lotId: id, materialId: null, ...amount }
        : { lotId: null, materialId: id, ...amount };
    });

export interface BatchPlan {
  readonly lotId: string;
  readonly movementId: string;
  readonly name: string;
  readonly date: string;
  readonly keeping: Keeping;
  readonly isHot: boolean;
  readonly isTurned: boolean;
}

/** Stock is debited, a heap is born. */
export const batchPosting = ({
  plan,
  form,
  parts,
  today,
  reader,
}: {
  readonly plan: BatchPlan;
  readonly form: BenchForm;
  readonly parts: readonly BenchPart[];
  readonly today: string;
  readonly reader: Reader;
}): StockPosting => ({
  lots: [
    {
      id: plan.lotId,
      name: plan.name,
      form: 'heap',
      keeping: plan.keeping,
      isTurned: plan.isTurned,
      isHot: plan.isHot,
      reserveL: 0,
      note: '',
    },
  ],
  movements: [
    {
      id: plan.movementId,
      type: 'make',
      state: plan.date > today ? 'planned' : 'laid',
      date: plan.date,
      note: '',
      lotId: plan.lotId,
      ingredients: ingredientsOf(parts),
      waterL: waterL(form, reader),
      isLayered: form.isLayered,
    },
  ],
});
