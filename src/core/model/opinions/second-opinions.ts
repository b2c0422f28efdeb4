import { type DayNumber, calendarDateOf } from '../../ground/index.ts';
import { organicCarbon, inertCarbon } from '../simulation/bed.ts';
import type { BedScenario } from '../simulation/scenario.ts';
import type { FedCarbon, OpinionSetting } from './carbon-feed.ts';
import { fivePoolOpinion } from './five-pools.ts';
import { isohumicOpinion } from './isohumic.ts';
import { youngAndOldOpinion } from './young-and-old.ts';

export const OPINION_IDS = ['fivePools', 'youngAndOld', 'isohumic'] as const;
export type OpinionId = (typeof OPINION_IDS)[number];

/** Humus carbon by the published models on the days asked for, g/m2. */
export type SecondOpinions = Readonly<Record<OpinionId, readonly number[]>>;

/** The published models on the same bed, fed with the same carbon from the same first day on. */
export function secondOpinions(
  scenario: BedScenario,
  inputs: readonly FedCarbon[],
  lookDays: readonly DayNumber[],
): SecondOpinions {
  const openingCarbonG = organicCarbon(scenario.soil);
  const setting: OpinionSetting = {
    climate: scenario.climate,
    clayPct: scenario.soil.clayPct,
    openingCarbonG,
    inertCarbonG: inertCarbon(openingCarbonG),
    startDay: scenario.startDay,
    inputs,
    plantedMonths: plantedMonths(scenario),
    lookDays,
  };
  return {
    fivePools: fivePoolOpinion(setting),
    youngAndOld: youngAndOldOpinion(setting),
    isohumic: isohumicOpinion(setting),
  };
}

/** Months in which something stands in most years: the models want one figure a month. */
function plantedMonths({ crops, startDay, endDay }: BedScenario): Set<number> {
  const years = Math.max(1, (endDay - startDay) / 365);
  const counts = new Map<number, number>();
  for (const { plantDay, harvestDay } of crops) {
    for (let day = plantDay; day < Math.min(harvestDay, endDay); day += 30) {
      const { month } = calendarDateOf(day);
      counts.set(month, (counts.get(month) ?? 0) + 1);
    }
  }
  return new Set([...counts].filter(([, count]) => count >= years / 2).map(([month]) => month));
}
