import { type DayNumber, dayNumberFromIso } from '../../ground/index.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import type { BedStanding } from '../plan/bed-plan.ts';

/** The first thing to do on a bed: what the model advises, or what stands in the plan. */
export type NextStep = { readonly day: DayNumber } & (
  | { readonly code: 'dose'; readonly nitrogenGPerM2: number; readonly materialId: string }
  | { readonly code: 'entry'; readonly entry: Entry }
  | { readonly code: 'planting'; readonly planting: Planting }
);

/**
 * The earliest of the next advised dose, the planned entries and the planned plantings of one bed; null when
 * there is none. What was planned for a day gone by and not ticked off comes first.
 */
export function nextStep(
  { feeding }: Pick<BedStanding, 'feeding'>,
  entries: readonly Entry[],
  plantings: readonly Planting[],
): NextStep | null {
  const dose = feeding?.doses.at(0);
  const steps: NextStep[] = [
    ...(dose ? [{ ...dose, code: 'dose' as const }] : []),
    ...entries
      .filter(({ state }) => state === 'planned')
      .map((entry) => ({ code: 'entry' as const, day: dayNumberFromIso(entry.date, ['date']), entry })),
    ...plantings
      .filter(({ state }) => state === 'planned')
      .map((planting) => ({
        code: 'planting' as const,
        day: dayNumberFromIso(planting.plantedOn, ['plantedOn']),
        planting,
      })),
  ];
  return steps.sort((a, b) => a.day - b.day).at(0) ?? null;
}
