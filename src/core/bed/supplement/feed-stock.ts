import { type DayNumber, total } from '../../ground/index.ts';
import { type StockMemory, figuresOf, lotsNamedBy, runStock } from '../../yard/index.ts';
import { type GardenRecords, materialFinder, stockBooksOf } from '../books/garden-books.ts';
import { FEED_PRODUCTS, type FeedProduct } from './feed-products.ts';

/** Less nitrogen than this in a bag is not worth planning with, g (set here). */
const WORTH_OPENING_G = 10;

/** The part of a garden's records that decides how much of the products it feeds with lies in stock. */
export function feedStockRecords<Records extends GardenRecords>(
  records: Records,
): Pick<Records, 'entries' | 'lots' | 'movements'> {
  const products = new Set(FEED_PRODUCTS.map(({ materialId }) => materialId));
  const bags = new Set(
    records.movements.flatMap((one) =>
      one.type === 'receive' && products.has(one.materialId) ? [one.lotId] : [],
    ),
  );
  const movements = records.movements.filter((one) => lotsNamedBy(one).some((id) => bags.has(id)));
  const named = new Set(movements.flatMap(lotsNamedBy));
  return {
    entries: records.entries.filter(
      (entry) => entry.type === 'lay' && entry.lotId != null && bags.has(entry.lotId),
    ),
    lots: records.lots.filter(({ id }) => named.has(id)),
    movements,
  };
}

/** A lot of one product alone. */
export interface FeedLot {
  readonly lotId: string;
  readonly materialId: string;
  readonly nitrogenG: number;
  readonly massFreshKg: number;
}

/** A product that lies in stock, and what nitrogen there is of it. */
export interface FeedInStock {
  readonly product: FeedProduct;
  readonly nitrogenG: number;
}

/** The lots in which products lie unmixed in the evening of a day, those with most nitrogen first. Plans up to it are carried out. */
export function feedLots(records: GardenRecords, today: DayNumber, memory?: StockMemory): FeedLot[] {
  const own = { ...records, ...feedStockRecords(records) };
  if (own.lots.length === 0) return [];
  const { lots } = runStock(stockBooksOf(own), materialFinder(records), {
    until: today + 1,
    withPlans: true,
    ...(memory ? { memory } : {}),
  });
  return [...lots]
    .filter(([, { contents }]) => contents.cohorts.length > 0)
    .flatMap(([lotId, { contents }]) => {
      const [materialId, ...others] = new Set(contents.cohorts.map((one) => one.materialId));
      const { nitrogenG, freshKg: massFreshKg } = figuresOf(contents);
      return others.length === 0 ? [{ lotId, materialId, nitrogenG, massFreshKg }] : [];
    })
    .toSorted((a, b) => b.nitrogenG - a.nitrogenG);
}

/** The products that lie in stock in the evening of a day, unmixed, most nitrogen first. Plans up to it are carried out. */
export function feedInStock(records: GardenRecords, today: DayNumber): FeedInStock[] {
  const amounts = feedLots(records, today);
  return FEED_PRODUCTS.map((product) => ({
    product,
    nitrogenG: total(
      amounts.filter(({ materialId }) => materialId === product.materialId).map((one) => one.nitrogenG),
    ),
  }))
    .filter(({ nitrogenG }) => nitrogenG >= WORTH_OPENING_G)
    .toSorted((a, b) => b.nitrogenG - a.nitrogenG);
}
