import type { StockPosting } from '../../../contract/requests.ts';
import {
  type AshCondition,
  type AshUse,
  ashVolumeL,
  mostAshG,
  weighedAshG,
} from '../../../core/yard/index.ts';
import type { ListedLot } from '../../ui/stock/use-stock.ts';

/** What is not in the books and takes ash, and how much of it there usually is. */
export const LOOSE_MIXES = [
  { use: 'compost', label: 'a bucket of finished compost', usualL: 10 },
  { use: 'topsoil', label: 'topsoil', usualL: 100 },
  { use: 'pots', label: 'potting mix, or the mix in pots', usualL: 10 },
] as const satisfies readonly { readonly use: AshUse; readonly label: string; readonly usualL: number }[];

/** Piles of ash in stock. */
export const ashPiles = (lots: readonly ListedLot[]): ListedLot[] =>
  lots.filter(({ brief }) => brief?.now && brief.nearestMaterialId === 'wood_ash');

/** Something ash is mixed into: a heap in the books, or so much of something else. */
export type AshTarget =
  | { readonly heap: ListedLot }
  | { readonly use: (typeof LOOSE_MIXES)[number]['use']; readonly litres: number };

function mostInHeapG({ brief }: ListedLot): number {
  if (!brief?.now) return 0;
  const { volumeL, woodAshG } = brief.now;
  return mostAshG('compost', volumeL - ashVolumeL(woodAshG), woodAshG);
}

/** Ash to weigh out at most, g, by the lowest recipe and with what is in a heap already; damp ash counts for less. */
export function ashToWeighG(target: AshTarget, condition: Pick<AshCondition, 'isDamp'>): number {
  const mostG = 'heap' in target ? mostInHeapG(target.heap) : mostAshG(target.use, target.litres, 0);
  return weighedAshG(mostG, condition);
}

/**
 * The posting that books it. `fromLotId` is a pile of ash, or empty for ash from outside, which is booked into a heap only; null
 * where there is nothing to book.
 */
export function ashPosting(
  target: AshTarget,
  {
    weighedG,
    fromLotId,
    today,
  }: { readonly weighedG: number; readonly fromLotId: string; readonly today: string },
): StockPosting | null {
  if (!(weighedG > 0)) return null;
  const common = {
    id: crypto.randomUUID(),
    state: 'laid' as const,
    date: today,
    note: '',
    amount: weighedG,
    unit: 'gram' as const,
  };
  const only = (movement: StockPosting['movements'][number]): StockPosting => ({
    lots: [],
    movements: [movement],
  });
  if (!('heap' in target)) {
    return fromLotId === '' ? null : only({ ...common, type: 'takeOut', lotId: fromLotId, reason: 'used' });
  }
  const heapId = target.heap.lot.id;
  if (fromLotId !== '') return only({ ...common, type: 'move', lotId: fromLotId, toLotId: heapId });
  return only({
    ...common,
    type: 'receive',
    lotId: heapId,
    materialId: 'wood_ash',
    moistureFractionWetBasis: null,
    bulkDensityKgPerM3: null,
    seasonedMonths: 0,
  });
}
