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
  findLibraryMaterial,
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
  /** Left to the solver, between these amounts of the row's unit; empty for none at least, and for all there is at most. */
  readonly isFree: boolean;
  readonly least: string;
  readonly most: string;
  /** What one of the row's unit costs; empty for nothing. */
  readonly price: string;
}

export interface BenchForm {
  readonly rows: readonly BenchRow[];
  readonly water: TypedQuantity;
  readonly purpose: MixPurpose;
  readonly ratioLow: string;
  readonly ratioHigh: string;
  readonly moistureLowPct: string;
  readonly moistureHighPct: string;
  /** Bulk density; empty for any. */
  readonly densityLow: TypedQuantity;
  readonly densityHigh: TypedQuantity;
  /** In the money of the garden; empty for anything. */
  readonly costMost: string;
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
  least: '',
  most: '',
  price: '',
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

const DENSITY: QuantityAsked = { quantity: 'bulkDensity', min: 10, max: 2500, isOptional: true };

export const readDensity = (typed: TypedQuantity, reader: Reader) => readQuantity(typed, DENSITY, reader);

/** One end alone is aimed at as it is. */
function densityAim({ densityLow, densityHigh }: BenchForm, reader: Reader): Aim | null {
  const [low, high] = [densityLow, densityHigh].map((typed) => figureOf(readDensity(typed, reader)));
  const ends = [low, high].filter((one) => one !== null && Number.isFinite(one)) as number[];
  if (ends.length === 0) return null;
  const [from, to] = [Math.min(...ends), Math.max(...ends)];
  return { aim: (from + to) / 2, tolerance: (to - from) / 2 };
}

/** What a mix is aimed at, besides its volume. */
export const aimsOfForm = (form: BenchForm, reader: Reader) => ({
  carbonToNitrogen: ratioAim(form),
  moisture: moistureAim(form),
  bulkDensityKgPerM3: densityAim(form, reader),
});

/** Empty is no limit, like anything that is no amount. */
const limit = (typed: string, measureL: number, none: number): number => {
  const amount = numberFromText(typed);
  return typed.trim() !== '' && amount >= 0 ? amount * measureL : none;
};

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
    ingredients: parts.map(({ row, mixable, material, volumeL }): MixIngredient => {
      const measureL = litresOf(row.amount.unit, material);
      const thereL = mixable.thereL ?? Infinity;
      return {
        id: row.key,
        material,
        leastL: row.isFree ? limit(row.least, measureL, 0) : volumeL,
        mostL: row.isFree ? Math.min(thereL, limit(row.most, measureL, Infinity)) : volumeL,
        measureL,
        isWhole: form.isWhole && row.isFree,
        pricePerL: limit(row.price, 1, 0) / measureL,
      };
    }),
    totalL: figureOf(readTotal(form, reader)),
    canWater: true,
    costMost: form.costMost.trim() === '' ? null : numberFromText(form.costMost),
    ...aimsOfForm(form, reader),
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

/** The same mix, so many times as much; amounts that are not given stay so. */
export function scaledBy(form: BenchForm, factor: number, reader: Reader): Pick<BenchForm, 'rows' | 'water'> {
  const rows = form.rows.map((row): BenchRow => {
    const amount = numberFromText(row.amount.amount);
    return amount > 0 ? { ...row, amount: { ...row.amount, amount: plainFigure(amount * factor, 4) } } : row;
  });
  return { rows, water: waterTyped(waterL(form, reader) * factor, reader) };
}

/** So much more of something on the bench: in the row that has it, else in a new one. */
export function withMore(
  form: BenchForm,
  parts: readonly BenchPart[],
  more: { readonly materialId: string; readonly massFreshKg: number; readonly unit: AmountUnit },
): BenchRow[] {
  const source = `material:${more.materialId}`;
  const part = parts.find(({ row }) => row.source === source);
  const material = part?.material ?? findLibraryMaterial(more.materialId)!;
  const measured = { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: 1 };
  const unit = part?.row.amount.unit ?? more.unit;
  const massKg = more.massFreshKg + (part?.massFreshKg ?? 0);
  // Rounded up: a little less than it takes would still miss the aim.
  const amount = plainFigure(Math.ceil(amountFromMassFreshKg(massKg, unit, measured) * 100) / 100, 6);
  if (!part) return [...form.rows, newRow(source, unit, amount)];
  return form.rows.map((row) => (row.key === part.row.key ? { ...row, amount: { unit, amount } } : row));
}

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

/**
 * The parts as they were measured, when all in one unit: by weight where that is one of weight. Else how often the
 * smallest goes into each by volume.
 */
export function partsAsMeasured(parts: readonly BenchPart[]): string {
  const filled = parts.filter(({ volumeL }) => volumeL > 0);
  const [unit, ...others] = new Set(filled.map(({ row }) => row.amount.unit));
  if (unit !== undefined && others.length === 0) {
    const figures = filled.map(({ row }) => plainFigure(numberFromText(row.amount.amount), 3));
    return `${figures.join(' : ')} ${UNITS_OF_MASS.has(unit) ? 'by weight' : 'by the bucket'}`;
  }
  const smallest = Math.min(...filled.map(({ volumeL }) => volumeL));
  return `${filled.map(({ volumeL }) => plainFigure(volumeL / smallest, 2)).join(' : ')} by the bucket`;
}
const UNITS_OF_MASS: ReadonlySet<AmountUnit> = new Set(['kg', 'gram', 'pound']);
