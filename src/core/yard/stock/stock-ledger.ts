import type { ClimateNormals } from '../../../records/garden.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import type { Treatment, Lot } from '../../../records/lot.ts';
import { type DayNumber, massFreshKgFromAmount, total } from '../../ground/index.ts';
import { InputError, type FieldPath } from '../../../refusals/input-error.ts';
import type { ModelParameters } from '../../model/index.ts';
import { ageLot } from './age-lot.ts';
import type { TemperatureReading } from './keeping.ts';
import {
  carbonG,
  dryG,
  freshKg,
  isEmpty,
  nitrogenG,
  NOTHING,
  scaleContents,
  mixContents,
  volumeL,
  type LotContents,
} from './lot-contents.ts';
import { figuresOf, type LotFigures } from './lot-figures.ts';

/** Why the balance of a lot moved. */
export type LineCause =
  | { readonly type: 'movement'; readonly movementId: string }
  | { readonly type: 'bed'; readonly entryId: string; readonly bedId: string }
  /** Rotted, breathed out, dried or wetted since the line before. */
  | { readonly type: 'time' };

/** A posting in the account of a lot: what was added (above 0) or left, and the balance after it. */
export interface LotLine {
  readonly day: DayNumber;
  readonly cause: LineCause;
  readonly isPlanned: boolean;
  readonly freshKg: number;
  readonly volumeL: number;
  readonly dryKg: number;
  readonly carbonG: number;
  readonly nitrogenG: number;
  readonly balance: LotFigures;
  /** What was asked for and was not there, L. */
  readonly missingL: number;
}

export interface LotLook {
  readonly day: DayNumber;
  readonly figures: LotFigures;
  /** Kept every fourth week, for what has to be worked out from the contents. */
  readonly contents: LotContents | null;
}

/** A lot on its way through time. */
export interface RunningLot {
  readonly record: Lot;
  contents: LotContents;
  /** What it held last when it still held something. */
  lastContents: LotContents;
  /** Morning it has been aged to; null until something is in it. */
  day: DayNumber | null;
  openedOn: DayNumber | null;
  treatment: Treatment;
  heatingFrom: DayNumber;
  readonly readings: readonly TemperatureReading[];
  readonly looks: LotLook[];
  readonly lines: LotLine[];
  /** Carbon and nitrogen that went into the air, g. */
  respiredCarbonG: number;
  ammoniaG: number;
}

export interface StockSetting {
  readonly climate: ClimateNormals;
  readonly parameters: ModelParameters;
  /** Whether asking for more than is there is refused, or noted as a shortage. */
  readonly isStrict: boolean;
  /** Whether lots are looked at every week on their way. */
  readonly isLookedAt: boolean;
}

const LOOK_EVERY_DAYS = 7;
const CONTENTS_EVERY_DAYS = 28;
/** Asking for so little more than is there means all of it: nobody measures a heap closer. */
const ALL_OF_IT = 1.01;

export const createLot = (record: Lot, readings: readonly TemperatureReading[]): RunningLot => ({
  record,
  contents: NOTHING,
  lastContents: NOTHING,
  day: null,
  openedOn: null,
  treatment: record,
  heatingFrom: 0,
  readings,
  looks: [],
  lines: [],
  respiredCarbonG: 0,
  ammoniaG: 0,
});

/** Brings a lot to the morning of `day`; what went into the air becomes one line. Mutates lot. */
export function bringTo(lot: RunningLot, day: DayNumber, setting: StockSetting): void {
  const { openedOn } = lot;
  if (lot.day === null || openedOn === null || lot.day >= day) return;
  const before = lot.contents;
  const aged = ageLot({
    start: before,
    fromDay: lot.day,
    untilDay: day,
    setting: {
      climate: setting.climate,
      treatment: lot.treatment,
      heatingFrom: lot.heatingFrom,
      readings: lot.readings,
      parameters: setting.parameters,
    },
    ...(setting.isLookedAt
      ? {
          onMorning: (morning: DayNumber, read: () => LotContents) => {
            if ((morning - openedOn) % LOOK_EVERY_DAYS === 0)
              lot.looks.push(lookAt(read(), morning, openedOn));
          },
        }
      : {}),
  });
  lot.contents = aged.contents;
  lot.respiredCarbonG += aged.respiredCarbonG;
  lot.ammoniaG += aged.ammoniaG;
  lot.day = day;
  if (!isEmpty(before)) postLine(lot, before, { day, cause: { type: 'time' }, isPlanned: false });
}

const lookAt = (contents: LotContents, day: DayNumber, openedOn: DayNumber): LotLook => ({
  day,
  figures: figuresOf(contents),
  contents: (day - openedOn) % CONTENTS_EVERY_DAYS === 0 ? contents : null,
});

/** Posts the difference between what a lot held before and what it holds now. Mutates lot. */
function postLine(
  lot: RunningLot,
  before: LotContents,
  line: Pick<LotLine, 'day' | 'cause' | 'isPlanned'> & { readonly missingL?: number },
): void {
  const after = lot.contents;
  lot.lines.push({
    missingL: 0,
    ...line,
    freshKg: freshKg(after) - freshKg(before),
    volumeL: volumeL(after) - volumeL(before),
    dryKg: (dryG(after) - dryG(before)) / 1000,
    carbonG: carbonG(after) - carbonG(before),
    nitrogenG: nitrogenG(after) - nitrogenG(before),
    balance: figuresOf(after),
  });
}

type Posting = Pick<LotLine, 'day' | 'cause' | 'isPlanned'>;

/** Puts something into a lot that has been brought to the day. Mutates lot. */
export function putIn(lot: RunningLot, what: LotContents, posting: Posting): void {
  const before = lot.contents;
  lot.contents = isEmpty(before) ? what : mixContents([before, what]);
  lot.lastContents = lot.contents;
  lot.day ??= posting.day;
  lot.openedOn ??= posting.day;
  lot.heatingFrom = posting.day;
  postLine(lot, before, posting);
}

/** Replaces what a lot holds by what was found in it. Mutates lot. */
export function adjustToFound(lot: RunningLot, found: LotContents, posting: Posting): void {
  const before = lot.contents;
  lot.contents = found;
  if (!isEmpty(found)) lot.lastContents = found;
  postLine(lot, before, posting);
}

/** Fresh mass, kg, of an amount of a lot as it lies now, over `areaM2` where it is said as a depth. */
export function askedKg({
  lot,
  amount,
  unit,
  areaM2,
  path,
}: {
  readonly lot: RunningLot;
  readonly amount: number;
  readonly unit: AmountUnit;
  readonly areaM2: number;
  readonly path: FieldPath;
}): number {
  const contents = isEmpty(lot.contents) ? lot.lastContents : lot.contents;
  const { bulkDensityKgPerM3 } = figuresOf(contents);
  return massFreshKgFromAmount({ amount, unit, measured: { bulkDensityKgPerM3, areaM2 }, path });
}

/**
 * Takes so much out of a lot that has been brought to the day and returns it. In a strict ledger asking for more than
 * is there throws InputError naming `path`; otherwise it is handed out as if it were there, and noted as short.
 * Mutates lot.
 */
export function takeOut({
  lot,
  massFreshKg,
  posting,
  setting,
  path,
}: {
  readonly lot: RunningLot;
  readonly massFreshKg: number;
  readonly posting: Posting;
  readonly setting: StockSetting;
  readonly path: FieldPath;
}): LotContents {
  const thereKg = freshKg(lot.contents);
  const before = lot.contents;
  if (massFreshKg > thereKg * ALL_OF_IT) {
    if (setting.isStrict || isEmpty(lot.lastContents)) throw moreThanThere(lot, massFreshKg, path);
    lot.contents = NOTHING;
    const source = isEmpty(before) ? lot.lastContents : before;
    const missingL = ((massFreshKg - thereKg) / freshKg(source)) * volumeL(source);
    postLine(lot, before, { ...posting, missingL });
    return scaleContents(source, massFreshKg / freshKg(source));
  }
  const share = Math.min(1, massFreshKg / thereKg);
  const taken = scaleContents(before, share);
  lot.contents = share === 1 ? NOTHING : scaleContents(before, 1 - share);
  postLine(lot, before, posting);
  return taken;
}

const moreThanThere = (lot: RunningLot, askedKg: number, path: FieldPath): InputError =>
  new InputError(path, 'moreThanThere', {
    lotName: lot.record.name,
    thereKg: freshKg(lot.contents),
    thereL: volumeL(lot.contents),
    askedKg,
  });

/** Largest relative gap between what came into a lot, and what it holds, handed out and breathed out. */
export function balanceError(lot: RunningLot): number {
  const posted = (of: 'carbonG' | 'nitrogenG') => total(lot.lines.map((line) => line[of]));
  const scale = (of: 'carbonG' | 'nitrogenG') =>
    Math.max(1, total(lot.lines.map((line) => Math.max(0, line[of]))));
  return Math.max(
    Math.abs(posted('carbonG') - carbonG(lot.contents)) / scale('carbonG'),
    Math.abs(posted('nitrogenG') - nitrogenG(lot.contents)) / scale('nitrogenG'),
    Math.abs(airborne(lot, 'carbonG') - lot.respiredCarbonG) / scale('carbonG'),
    Math.abs(airborne(lot, 'nitrogenG') - lot.ammoniaG) / scale('nitrogenG'),
  );
}

/** What the lines of passing time took away, g: must be what the model breathed out. */
const airborne = (lot: RunningLot, of: 'carbonG' | 'nitrogenG'): number =>
  -total(lot.lines.filter(({ cause }) => cause.type === 'time').map((line) => line[of]));

/** Postings with every stretch of mere passing time made into one line, dated at its end. */
export function foldTime(lines: readonly LotLine[]): LotLine[] {
  const folded: LotLine[] = [];
  for (const line of lines) {
    const before = folded.at(-1);
    if (before?.cause.type !== 'time' || line.cause.type !== 'time') {
      folded.push(line);
      continue;
    }
    folded[folded.length - 1] = {
      ...line,
      freshKg: before.freshKg + line.freshKg,
      volumeL: before.volumeL + line.volumeL,
      dryKg: before.dryKg + line.dryKg,
      carbonG: before.carbonG + line.carbonG,
      nitrogenG: before.nitrogenG + line.nitrogenG,
    };
  }
  return folded;
}
