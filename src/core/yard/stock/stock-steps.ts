import { type DayNumber, type FindMaterial, dayNumberFromIso } from '../../ground/index.ts';
import { InputError, requireNumber, type FieldPath } from '../../../refusals/input-error.ts';
import type { BedTake, Ingredient, Movement } from '../../../records/movement.ts';
import { freshKg, type LotContents } from './lot-contents.ts';
import { carryOutMovement, type BurnResult } from './movements.ts';
import { askedKg, bringTo, takeOut, type RunningLot, type StockSetting } from './stock-ledger.ts';

/** What a bed got out of the stock. */
export interface TakenForBed {
  readonly massFreshKg: number;
  readonly contents: LotContents;
}

/** What a step is carried out on, and what it gives a bed or a fire, by entry and by movement. */
export interface StepWork {
  readonly lots: ReadonlyMap<string, RunningLot>;
  readonly taken: Map<string, TakenForBed>;
  readonly burnt: Map<string, BurnResult>;
  readonly setting: StockSetting;
}

/** A posting to be carried out on its day. */
export interface Step {
  readonly day: DayNumber;
  readonly isPlanned: boolean;
  /** All that decides what it does to the lots it names. */
  readonly what: string;
  readonly lotIds: readonly string[];
  /** Throws InputError. Mutates the work. */
  readonly run: (work: StepWork) => void;
}

interface Postings {
  readonly movements: readonly Movement[];
  readonly takes: readonly BedTake[];
}

/** All postings of a garden by day, on the same day in the order they were written down. */
export const stepsOf = ({ movements, takes }: Postings, findMaterial: FindMaterial): Step[] =>
  [
    ...movements.map((movement, i) => movementStep(movement, ['movements', i], findMaterial)),
    ...takes.map((take, i) => takeStep(take, ['takes', i])),
  ].sort((a, b) => a.day - b.day);

const ingredientsOf = (movement: Movement): readonly Ingredient[] =>
  movement.type === 'make' ? movement.ingredients : movement.type === 'burn' ? movement.feedstock : [];

/** The lots a posting takes from, puts into or does something to, each once. */
export const lotsNamedBy = (movement: Movement): string[] => [
  ...new Set([
    movement.lotId,
    ...(movement.type === 'move' ? [movement.toLotId] : []),
    ...(movement.type === 'burn' && movement.unburntToLotId ? [movement.unburntToLotId] : []),
    ...ingredientsOf(movement).flatMap(({ lotId }) => lotId ?? []),
  ]),
];

/** What a movement says, read once: it is asked for at every run, and a record does not change. */
interface ReadMovement {
  readonly day: DayNumber;
  readonly text: string;
  readonly lotIds: readonly string[];
  /** What comes into the stock with it. */
  readonly materialIds: readonly string[];
}
const read = new WeakMap<Movement, ReadMovement>();

function readMovement(movement: Movement, path: FieldPath): ReadMovement {
  const known = read.get(movement);
  if (known) return known;
  const bought = ingredientsOf(movement).filter(({ lotId }) => lotId === null);
  const made = {
    day: dayNumberFromIso(movement.date, [...path, 'date']),
    text: JSON.stringify(movement),
    lotIds: lotsNamedBy(movement),
    materialIds: [
      ...(movement.type === 'receive' ? [movement.materialId] : []),
      ...bought.flatMap(({ materialId }) => materialId ?? []),
    ],
  };
  read.set(movement, made);
  return made;
}

function movementStep(movement: Movement, path: FieldPath, findMaterial: FindMaterial): Step {
  const { day, text, lotIds, materialIds } = readMovement(movement, path);
  const arriving = materialIds.map((id) => JSON.stringify(findMaterial(id, day)));
  return {
    day,
    isPlanned: movement.state === 'planned',
    what: arriving.length === 0 ? text : [text, ...arriving].join(),
    lotIds,
    run: ({ lots, burnt, setting }) =>
      carryOutMovement(movement, { lots, day, path, setting, findMaterial, burnt }),
  };
}

function takeStep(take: BedTake, path: FieldPath): Step {
  const day = dayNumberFromIso(take.date, [...path, 'date']);
  return {
    day,
    isPlanned: take.state === 'planned',
    what: JSON.stringify(take),
    lotIds: [take.lotId],
    run: ({ lots, taken, setting }) =>
      taken.set(take.entryId, takeForBed({ take, lot: lots.get(take.lotId), day, path, setting })),
  };
}

function takeForBed({
  take,
  lot,
  day,
  path,
  setting,
}: {
  readonly take: BedTake;
  readonly lot: RunningLot | undefined;
  readonly day: DayNumber;
  readonly path: FieldPath;
  readonly setting: StockSetting;
}): TakenForBed {
  if (!lot) throw new InputError([...path, 'lotId'], 'namesNone', { what: 'stock', got: take.lotId });
  bringTo(lot, day, setting);
  const at = [...path, 'amount'];
  requireNumber(take.amount, at, { above: 0 });
  if (lot.openedOn === null) {
    throw new InputError([...path, 'lotId'], 'nothingInIt', { lotName: lot.record.name });
  }
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
