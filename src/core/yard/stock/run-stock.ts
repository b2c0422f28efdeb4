import { type DayNumber, type FindMaterial, dayNumberFromIso } from '../../ground/index.ts';
import { InputError, requireNumber, type FieldPath } from '../../../refusals/input-error.ts';
import type { Site } from '../../../records/garden.ts';
import type { BedTake, Movement } from '../../../records/movement.ts';
import type { Lot } from '../../../records/lot.ts';
import { withOverrides } from '../../model/index.ts';
import { freshKg, type LotContents } from './lot-contents.ts';
import { figuresOf } from './lot-figures.ts';
import { carryOutMovement, type BurnResult } from './movements.ts';
import {
  askedKg,
  balanceError,
  bringTo,
  createLot,
  takeOut,
  type LotLine,
  type LotLook,
  type RunningLot,
  type StockSetting,
} from './stock-ledger.ts';

/** All that decides how the stock of a garden fares. Movements and takes in the order they were written down. */
export interface StockBooks {
  readonly site: Site;
  readonly lots: readonly Lot[];
  readonly movements: readonly Movement[];
  readonly takes: readonly BedTake[];
}

/** One lot through time. */
export interface LotHistory {
  readonly lotId: string;
  /** Null when nothing has come into it. */
  readonly openedOn: DayNumber | null;
  readonly looks: readonly LotLook[];
  readonly lines: readonly LotLine[];
  /** At the end of the run. */
  readonly contents: LotContents;
  readonly treatment: RunningLot['treatment'];
  /** Day its self-heating counts from. */
  readonly heatingFrom: DayNumber;
  /** Relative gap of its account; the books hold below 1e-9. */
  readonly balanceError: number;
}

/** What a bed got out of the stock. */
export interface TakenForBed {
  readonly massFreshKg: number;
  readonly contents: LotContents;
}

export interface StockRun {
  readonly lots: ReadonlyMap<string, LotHistory>;
  readonly taken: ReadonlyMap<string, TakenForBed>;
  /** What fires gave, by movement. */
  readonly burnt: ReadonlyMap<string, BurnResult>;
}

interface Step {
  readonly day: DayNumber;
  readonly run: (lots: ReadonlyMap<string, RunningLot>) => void;
}

/** Looks are taken, and contents kept, on this day too. */
export interface StockRunOptions {
  readonly until: DayNumber;
  /** Plans are carried out on their dates; nothing is refused for want of stock. */
  readonly withPlans: boolean;
}

/**
 * The stock of a garden from its first arrival to the morning of `until`. Throws InputError with a path such as
 * `movements.3.amount` for what cannot be; asking for more than is there is refused only without plans.
 */
export function runStock(books: StockBooks, findMaterial: FindMaterial, options: StockRunOptions): StockRun {
  const setting: StockSetting = {
    climate: books.site.climate,
    parameters: withOverrides(),
    isStrict: !options.withPlans,
  };
  const lots = new Map(
    books.lots.map((record) => [record.id, createLot(record, readingsOf(record.id, books.movements))]),
  );
  const taken = new Map<string, TakenForBed>();
  const burnt = new Map<string, BurnResult>();
  const isMeant = ({ state }: { readonly state: string }) => options.withPlans || state === 'laid';
  const steps: Step[] = [
    ...books.movements.map((movement, i): Step & { isMeant: boolean } => {
      const path = ['movements', i];
      const day = dayNumberFromIso(movement.date, [...path, 'date']);
      return {
        isMeant: isMeant(movement),
        day,
        run: (all) => carryOutMovement(movement, { lots: all, day, path, setting, findMaterial, burnt }),
      };
    }),
    ...books.takes.map((take, i): Step & { isMeant: boolean } => {
      const path = ['takes', i];
      const day = dayNumberFromIso(take.date, [...path, 'date']);
      return {
        isMeant: isMeant(take),
        day,
        run: (all) => taken.set(take.entryId, takeForBed({ take, lots: all, day, path, setting })),
      };
    }),
  ].filter((step) => step.isMeant && step.day < options.until);
  steps.sort((a, b) => a.day - b.day);
  for (const step of steps) step.run(lots);
  for (const lot of lots.values()) bringTo(lot, options.until, setting);
  return {
    lots: new Map([...lots].map(([id, lot]) => [id, historyOf(lot, options.until)])),
    taken,
    burnt,
  };
}

const readingsOf = (lotId: string, movements: readonly Movement[]) =>
  movements
    .flatMap((one, i) =>
      one.type === 'reading' && one.lotId === lotId && one.temperatureC !== null
        ? [{ day: dayNumberFromIso(one.date, ['movements', i, 'date']), temperatureC: one.temperatureC }]
        : [],
    )
    .sort((a, b) => a.day - b.day);

function takeForBed({
  take,
  lots,
  day,
  path,
  setting,
}: {
  readonly take: BedTake;
  readonly lots: ReadonlyMap<string, RunningLot>;
  readonly day: DayNumber;
  readonly path: FieldPath;
  readonly setting: StockSetting;
}): TakenForBed {
  const lot = lots.get(take.lotId);
  if (!lot) throw new InputError([...path, 'lotId'], 'namesNone', { what: 'stock', got: take.lotId });
  bringTo(lot, day, setting);
  const at = [...path, 'amount'];
  requireNumber(take.amount, at, { above: 0 });
  if (lot.openedOn === null) throw emptyLot(lot, [...path, 'lotId']);
  const massFreshKg = askedKg({ lot, amount: take.amount, unit: take.unit, areaM2: take.areaM2, path: at });
  const contents = takeOut({
    lot,
    massFreshKg,
    posting: {
      day,
      cause: { type: 'bed', entryId: take.entryId, bedId: take.bedId },
      isPlanned: take.state === 'planned',
    },
    setting,
    path: at,
  });
  return { contents, massFreshKg: freshKg(contents) };
}

const emptyLot = ({ record: { name } }: RunningLot, path: FieldPath): InputError =>
  new InputError(path, 'nothingInIt', { lotName: name });

function historyOf(lot: RunningLot, until: DayNumber): LotHistory {
  const last: LotLook[] =
    lot.openedOn === null ? [] : [{ day: until, figures: figuresOf(lot.contents), contents: lot.contents }];
  return {
    lotId: lot.record.id,
    openedOn: lot.openedOn,
    looks: [...lot.looks, ...last],
    lines: lot.lines,
    contents: lot.contents,
    treatment: lot.treatment,
    heatingFrom: lot.heatingFrom,
    balanceError: balanceError(lot),
  };
}
