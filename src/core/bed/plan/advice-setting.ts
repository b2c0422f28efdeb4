import { type DayNumber, dayNumberFromIso, findCrop } from '../../ground/index.ts';
import { FEED_FROM_STOCK, type School } from '../../../records/vocabulary.ts';
import { rulesFor, type SchoolRules } from '../advice/schools.ts';
import type { BedBooks } from '../books/bed-books.ts';
import type { GardenRecords } from '../books/garden-books.ts';
import {
  DEFAULT_FEED,
  type FedGround,
  type FeedProduct,
  QUICK_FEED,
  findFeedProduct,
  largestDoseOf,
} from '../supplement/feed-products.ts';
import { feedInStock } from '../supplement/feed-stock.ts';
import { doseOfKey } from './dose-key.ts';
import type { DosedProduct, FeedingRules } from './feeding-plan.ts';

/** What the advice depends on apart from the bed as the model runs it. */
export interface AdviceSetting {
  /** Paths grow nothing, so they get no doses. */
  readonly isPath: boolean;
  /** Something can be sown there or planted out; not on paths, nor where woody plants have it to themselves. */
  readonly isForSowing: boolean;
  readonly rules: SchoolRules;
  readonly feeding: FeedingRules;
}

const dosed = (product: FeedProduct, bed: FedGround): DosedProduct => ({
  materialId: product.materialId,
  isQuick: product.isQuick,
  largestDoseGPerM2: largestDoseOf(product, bed),
});

/** What the garden and its gardener decide about the advice for a bed. */
export function adviceSetting({
  records,
  books: { bed, plantings },
  today,
  school = records.garden.school,
}: {
  readonly records: GardenRecords;
  readonly books: Pick<BedBooks, 'bed' | 'plantings'>;
  readonly today: DayNumber;
  /** Another school than the garden's. */
  readonly school?: School;
}): AdviceSetting {
  const { product, quickProduct } = chosenProducts(records, today);
  const rules = rulesFor(school, bed);
  return {
    isPath: bed.kind === 'path',
    isForSowing: !['path', 'treeRing', 'shrubs'].includes(bed.kind),
    rules,
    feeding: {
      plantings: plantings.map(({ id, cropId, startsAs }) => ({
        id,
        isWoody: findCrop(cropId, records.crops)?.isWoody ?? false,
        isSown: startsAs === 'seed',
      })),
      product: dosed(product, bed),
      quickProduct: dosed(quickProduct, bed),
      reserveShare: rules.reserveShare,
      harmlessShare: rules.harmlessShare,
      postponed: postponedTo(records.journal, new Set(plantings.map(({ id }) => id)), today),
    },
  };
}

/** The product the garden chose, or the slow and the quick one of which most lies in stock, each instead of the other. */
function chosenProducts(
  records: GardenRecords,
  today: DayNumber,
): { readonly product: FeedProduct; readonly quickProduct: FeedProduct } {
  const { feedMaterialId = '' } = records.garden;
  if (feedMaterialId !== FEED_FROM_STOCK) {
    return { product: findFeedProduct(feedMaterialId), quickProduct: QUICK_FEED };
  }
  const inStock = feedInStock(records, today).map(({ product }) => product);
  const slow = inStock.find(({ isQuick }) => !isQuick);
  const quick = inStock.find(({ isQuick }) => isQuick);
  return { product: slow ?? quick ?? DEFAULT_FEED, quickProduct: quick ?? QUICK_FEED };
}

/** Doses that are postponed, by their number, with the day they are postponed to. */
function postponedTo(
  journal: GardenRecords['journal'],
  plantingIds: ReadonlySet<string>,
  today: DayNumber,
): ReadonlyMap<number, DayNumber> {
  const days = new Map<number, DayNumber>();
  for (const mark of journal) {
    if (mark.kind !== 'mark') continue;
    const dose = doseOfKey(mark.taskKey);
    if (!dose || !plantingIds.has(dose.plantingId)) continue;
    days.delete(dose.number);
    const day = mark.untilDate === null ? today : dayNumberFromIso(mark.untilDate, ['untilDate']);
    if (mark.state === 'snoozed' && day > today) days.set(dose.number, day);
  }
  return days;
}
