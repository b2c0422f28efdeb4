import { type DayNumber, dayNumberFromIso } from '../../ground/index.ts';
import { hotPhase, type HotPhase } from './hot-phase.ts';
import type { TemperatureReading } from './keeping.ts';
import type { ReadinessSign } from '../../../records/vocabulary.ts';
import type { Movement } from '../../../records/movement.ts';

/** What was written down about a heap while it lay. */
export interface HeapLog {
  readonly readings: readonly TemperatureReading[];
  readonly turnings: readonly DayNumber[];
  readonly waterings: readonly { readonly day: DayNumber; readonly waterL: number }[];
  /** Signs by the day they were last seen, newest first. */
  readonly signs: readonly { readonly day: DayNumber; readonly sign: ReadinessSign }[];
  readonly hot: HotPhase;
  readonly verdict: SignVerdict;
}

/** What the signs say together. */
export type SignVerdict = 'none' | 'sour' | 'ripening' | 'ripe';

const BAD: ReadonlySet<ReadinessSign> = new Set(['sourSmell', 'ammoniaSmell']);
/** All of these, and nothing bad since, and the heap is ripe to hand, nose and eye (common practice, no source). */
const RIPE: readonly ReadinessSign[] = ['earthySmell', 'darkCrumb', 'coolAfterTurning'];

function verdictOf(signs: HeapLog['signs']): SignVerdict {
  const [latest] = signs;
  if (signs.length === 0) return 'none';
  if (signs.some(({ sign, day }) => BAD.has(sign) && day === latest.day)) return 'sour';
  return RIPE.every((wanted) => signs.some(({ sign }) => sign === wanted)) ? 'ripe' : 'ripening';
}

/** The log of a lot, from what is written down as done. */
export function heapLog(lotId: string, movements: readonly Movement[]): HeapLog {
  const own = movements
    .filter((one) => one.lotId === lotId && one.state === 'laid')
    .map((movement) => ({ movement, day: dayNumberFromIso(movement.date, ['date']) }))
    .sort((a, b) => a.day - b.day);
  const readings = own.flatMap(({ movement, day }) =>
    movement.type === 'reading' && movement.temperatureC !== null
      ? [{ day, temperatureC: movement.temperatureC }]
      : [],
  );
  const turnings = own.filter(({ movement }) => movement.type === 'turn').map(({ day }) => day);
  const signs = own
    .flatMap(({ movement, day }) =>
      movement.type === 'sign' ? movement.signs.map((sign) => ({ day, sign })) : [],
    )
    .reverse();
  return {
    readings,
    turnings,
    waterings: own.flatMap(({ movement, day }) =>
      movement.type === 'water' ? [{ day, waterL: movement.waterL }] : [],
    ),
    signs,
    hot: hotPhase(readings, turnings),
    verdict: verdictOf(signs),
  };
}
