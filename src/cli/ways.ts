import { isoDateOf, type DayNumber } from '../core/ground/index.ts';
import { MODEL_VERSION } from '../core/model/index.ts';
import {
  EVEN_WEIGHTS,
  type RankedWay,
  type WayQuestion,
  leaving,
  proposeWays,
  rankWays,
  weighWay,
} from '../core/long-run/index.ts';
import { emptyMemory } from '../core/yard/index.ts';
import type { GardenFile } from '../contract/garden-file.ts';
import { numberOption, oneWord, UsageError, type Arguments } from './arguments.ts';
import { gardenIn, readJson } from './files.ts';
import { bedInQuestion } from './garden-question.ts';
import { csvText, jsonText, rowsOf } from './output.ts';

const dateOrNull = (day: DayNumber | null): string | null => (day === null ? null : isoDateOf(day));
/** Beds that are looked at are asked about once. */
const NOTHING_KEPT = { find: () => undefined, keep: () => undefined };
const PREFIX = 'way';

/** The pile that `--pile` names, or a load of the material that `--material` names. */
function sourceIn({ lots }: GardenFile, { options }: Arguments, todayIso: string): WayQuestion['from'] {
  const { pile, material } = options;
  if (material !== undefined) return { materialId: material, arrivesOn: todayIso };
  const found = lots.find(({ id, name }) => id === pile || name.toLowerCase() === pile?.toLowerCase());
  if (!found) {
    const names = lots.map(({ name }) => name).join(', ');
    throw new UsageError(
      `Say which pile with --pile (${names === '' ? 'the garden has none' : names}), or a load with --material.`,
    );
  }
  return { lotId: found.id };
}

const lineOf = ({ outcome, score, beatenBy }: RankedWay) => ({
  way: outcome.way.code,
  score,
  beaten_by: beatenBy,
  steps: outcome.way.steps.map(({ day, ...step }) => ({ date: isoDateOf(day), ...step })),
  quick_n_to_add_g: outcome.nitrogenToAddG,
  pale_days: outcome.paleDays,
  missed_share: outcome.missedShare,
  plant_from: dateOrNull(outcome.plantFrom),
  sow_from: dateOrNull(outcome.sowFrom),
  organic_matter_pct: outcome.organicMatterPct,
  humus_c_kg: outcome.humusKg,
  lasting_char_c_kg: outcome.lastingCharKg,
  water_saved_l: outcome.waterSavedL,
  covered_days: outcome.coveredDays,
  n_lost_g: outcome.nitrogenLostG,
  hours: outcome.way.hours,
  laid_l: outcome.way.laidL,
  left_l: outcome.way.leftL,
  limits: outcome.limits.map(({ code }) => code),
  conflicts: outcome.conflicts.map(({ code }) => code),
  waits: outcome.waits.map(({ earliestDay }) => isoDateOf(earliestDay)),
});

/** Ways of using a pile for a bed, as the page has them when all aims matter alike. */
export function waysReport(json: unknown, args: Arguments) {
  const file = gardenIn(json);
  const { bedId, name, records, todayIso, today } = bedInQuestion(file, args);
  const amountL = numberOption('liters', args.options.liters);
  if (amountL === undefined) throw new UsageError('Say how much of it with --liters.');
  const from = sourceIn(file, args, todayIso);
  const memory = emptyMemory();
  const { scene, ways } = proposeWays(
    records,
    { bedId, from, amountL },
    { todayIso, memory, prefix: PREFIX },
  );
  const setting = { todayIso, keeper: NOTHING_KEPT, prices: file.garden.prices ?? null };
  const left = leaving(scene, setting);
  const outcomes = ways.map((way) => weighWay(scene, way, { left, setting }));
  const ranking = rankWays(outcomes, EVEN_WEIGHTS, today);
  return {
    model: MODEL_VERSION,
    bed: name,
    today: todayIso,
    material: scene.materialId,
    ways: ranking.ways.map(lineOf),
    decided: ranking.decided,
  };
}

/** All sensible ways of using a pile, or a load, for a bed. */
export function ways(args: Arguments): string {
  const report = waysReport(readJson(oneWord(args, 'a garden file')), args);
  if (!args.options.csv) return jsonText(report);
  const rows = report.ways.map(({ steps, limits, conflicts, waits, organic_matter_pct, ...line }) => ({
    ...line,
    organic_matter_pct_after_20_years: organic_matter_pct.at(-1)!,
  }));
  return csvText(rowsOf(rows));
}
