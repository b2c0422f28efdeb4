import type { Conflict, HarvestWait } from '../core/bed/index.ts';
import { ASH_YEARLY_CAP_G_PER_M2 } from '../core/yard/index.ts';
import type { DayNumber } from '../core/ground/index.ts';
import { dateNear } from './dates.ts';
import { plainFigure } from './figures.ts';
import type { Measures } from './measures.ts';

/** How entries and plantings are called in a sentence. */
export interface RecordNames {
  readonly entry: (entryId: string) => string;
  readonly planting: (plantingId: string) => string;
}

/** What clashes, and what to do about it. Trade rules say so; local codes and a soil test come first. */
export function conflictInWords({
  conflict,
  names,
  measures,
  today,
}: {
  readonly conflict: Conflict;
  readonly names: RecordNames;
  readonly measures: Measures;
  readonly today: DayNumber;
}): string {
  switch (conflict.code) {
    case 'limeWithAmmonium':
      return `${names.entry(conflict.limeId)} and ${names.entry(conflict.nitrogenId).toLowerCase()} within two weeks: lime drives ammonia off. Keep them a month apart (common practice).`;
    case 'ashOnHighPh':
      return `${names.entry(conflict.entryId)} on pH ${plainFigure(conflict.ph)}: no ash on beds above 7.5, it locks up iron and phosphorus (common practice). Test again first.`;
    case 'muchAsh':
      return `${measures.areaMass(conflict.gPerM2)} of ash within a year: at most ${measures.areaMass(ASH_YEARLY_CAP_G_PER_M2)}, and never caustic ash on leaves (common practice; the trade's recipes differ up to eight times).`;
    case 'mulchOnTrunk':
      return `${names.entry(conflict.entryId)}: keep ${measures.rule('length', 15, 30)} clear of the stem, mulch against bark rots it.`;
    case 'rawCharBeforeCrop':
      return `${names.entry(conflict.entryId)} was not charged and ${names.planting(conflict.plantingId).toLowerCase()} comes soon: it takes up nitrogen first, for weeks to a season or two. Charge it before.`;
    case 'wetClayWorked':
      return `${names.entry(conflict.entryId)} on ${dateNear(conflict.day, today)}: that month brings more rain than the air takes up. Clay worked wet sets like brick; wait for a dry spell.`;
    case 'woodDugIntoClay':
      return `${names.entry(conflict.entryId)} is buried in heavy clay: without air it stalls. Leave wood on top, or mix it with nitrogen and air only to open hopeless clay.`;
    case 'coverOverSeed':
      return `${names.planting(conflict.plantingId)} would be sown under ${measures.thickness(conflict.coverCm)} of cover; its seed comes through ${measures.thickness(conflict.deepestCm)} (common practice). Rake a row clear, or sow into compost.`;
  }
}

/** How long to wait with the harvest. */
export function waitInWords(wait: HarvestWait, names: RecordNames, today: DayNumber): string {
  const crop = names.planting(wait.plantingId);
  const rule =
    wait.code === 'urine'
      ? 'one month, WHO 2006, from memory'
      : `${wait.days} days, US organic rule 7 CFR 205.203, from memory`;
  const plan =
    wait.isTooEarly && wait.plannedDay !== null
      ? ` You plan to clear it on ${dateNear(wait.plannedDay, today)}: too early.`
      : '';
  return `${crop}: harvest no earlier than ${dateNear(wait.earliestDay, today)}, after ${names.entry(wait.entryId).toLowerCase()} of ${dateNear(wait.laidDay, today)} (${rule}). Local food-safety rules come first.${plan}`;
}
