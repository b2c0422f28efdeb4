import type { MovementDraft } from '../../../records/movement.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { isFoundCold } from './burn-yield.ts';

type Burn = Pick<Extract<MovementDraft, { type: 'burn' }>, 'date' | 'yield' | 'log'>;

/**
 * Throws InputError naming the field unless a burn may be written down so: heaps re-light hours later, so there is no char
 * before somebody has felt into the middle on a later day. ISO dates.
 */
export function checkBurn({ date, yield: found, log: { coldCheckedOn } }: Burn, today: string): void {
  const path = ['log', 'coldCheckedOn'];
  if (coldCheckedOn === null) {
    if (found !== null) throw new InputError(path, 'notFoundCold');
    return;
  }
  if (coldCheckedOn > today) {
    throw new InputError(path, 'inTheFuture', { date: coldCheckedOn, today, isPlannable: false });
  }
  if (!isFoundCold(date, coldCheckedOn)) {
    throw new InputError(path, 'coldTooSoon', { date: coldCheckedOn, burntOn: date });
  }
}
