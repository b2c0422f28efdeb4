import type { PlanChange } from '../core/bed/index.ts';
import type { DayNumber } from '../core/ground/index.ts';
import type { BedNames } from './advice-words.ts';
import { dateNear } from './dates.ts';
import { formatPercent } from './figures.ts';
import type { Measures } from './measures.ts';

/** What the sentences about a plan that was made anew are told for. */
export interface PlanChangeSetting {
  readonly areaM2: number;
  readonly today: DayNumber;
  readonly names: BedNames;
  readonly measures: Measures;
}

/** What reads otherwise now, in one sentence. */
export function planChangeSentence(
  change: PlanChange,
  { areaM2, today, names, measures }: PlanChangeSetting,
): string {
  const grams = (gPerM2: number) => measures.nitrogen(gPerM2 * areaM2);
  switch (change.code) {
    case 'doseAdded':
      return `New: feed ${grams(change.nitrogenGPerM2)} of nitrogen on ${dateNear(change.day, today)} for ${names.crops(change.cropIds).toLowerCase()}.`;
    case 'doseGone':
      return `The dose of ${dateNear(change.day, today)} (${grams(change.nitrogenGPerM2)}) is no longer planned.`;
    case 'doseChanged': {
      const [from, to] = [grams(change.fromGPerM2), grams(change.nitrogenGPerM2)];
      const direction = change.nitrogenGPerM2 < change.fromGPerM2 ? 'drops' : 'rises';
      const acts = [
        ...(change.day === change.fromDay ? [] : [`moves to ${dateNear(change.day, today)}`]),
        ...(from === to ? [] : [`${direction} from ${from} to ${to}`]),
      ];
      return `The dose of ${dateNear(change.fromDay, today)} ${acts.join(' and ')}.`;
    }
    case 'missedShare':
      return `${names.crops([change.cropId])}, fed as planned, will miss ${formatPercent(change.share)} of the nitrogen it needs; it was ${formatPercent(change.fromShare)}.`;
    case 'startMoved': {
      const what = change.start === 'seedlings' ? 'Sow' : 'Transplant';
      return `${what} ${startWords(change.day, today)}; it was ${startWords(change.fromDay, today)}.`;
    }
  }
}

function startWords(day: DayNumber | null, today: DayNumber): string {
  if (day === null) return 'not within a year';
  return day === today ? 'now' : `from ${dateNear(day, today)}`;
}
