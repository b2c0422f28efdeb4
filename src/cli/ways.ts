import { isoDateOf, type DayNumber } from '../core/ground/index.ts';
import { MODEL_VERSION } from '../core/model/index.ts';
import {
  EVEN_WEIGHTS,
  type RankedWay,
  type WayQuestion,
  type WhatIf,
  proposeWays,
  rankWays,
  wayWeigher,
} from '../core/long-run/index.ts';
import { emptyMemory } from '../core/yard/index.ts';
import type { GardenFile } from '../contract/garden-file.ts';
import { recordsOfFile } from '../contract/garden-records.ts';
import { numberOption, oneWord, todayOf, UsageError, type Arguments } from './arguments.ts';
import { gardenIn, readJson } from './files.ts';
import { bedNamed } from './garden-question.ts';
import { csvText, jsonText, rowsOf } from './output.ts';

const dateOrNull = (day: DayNumber | null): string | null => (day === null ? null : isoDateOf(day));
/** Beds that are looked at are asked about once. */
const NOTHING_KEPT = { find: () => undefined, keep: () => undefined };
const PREFIX = 'way';

/** The pile that `--pile` names, or a load of the material that `--material` names; null where neither is given. */
function sourceIn({ lots }: GardenFile, { options }: Arguments, todayIso: string): WayQuestion['from'] {
  const { pile, material } = options;
  if (material !== undefined) return { materialId: material, arrivesOn: todayIso };
  if (pile === undefined) return null;
  const found = lots.find(({ id, name }) => id === pile || name.toLowerCase() === pile.toLowerCase());
  if (!found) {
    const names = lots.map(({ name }) => name).join(', ');
    throw new UsageError(
      `Say which pile with --pile (${names === '' ? 'the garden has none' : names}), or a load with --material.`,
    );
  }
  return { lotId: found.id };
}

/** What is to be otherwise than proposed. */
function whatIfIn({ options }: Arguments): WhatIf {
  const amountL = numberOption('with-liters', options['with-liters']);
  if ((options.with === undefined) !== (amountL === undefined)) {
    throw new UsageError('Say both what goes into the heap and how much: --with MATERIAL --with-liters N.');
  }
  return {
    notBefore: options.from ?? null,
    dugDepthCm: numberOption('dug', options.dug) ?? null,
    mostCm: numberOption('thick', options.thick) ?? null,
    partner: options.with === undefined ? null : { materialId: options.with, amountL: amountL! },
  };
}

/** What is asked: a bed that is not named among several is any of them. */
function questionIn(file: GardenFile, args: Arguments, todayIso: string): WayQuestion {
  const { bed, liters } = args.options;
  const from = sourceIn(file, args, todayIso);
  const bedId = from !== null && bed === undefined && file.beds.length > 1 ? null : bedNamed(file, args).id;
  const amountL = numberOption('liters', liters) ?? null;
  return { bedId, from, amountL, whatIf: whatIfIn(args) };
}

const lineOf = ({ outcome, score, beatenBy }: RankedWay, nameOf: (id: string) => string) => ({
  way: outcome.way.key,
  bed: nameOf(outcome.way.bedId),
  pile: nameOf(outcome.way.lotId),
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
  const todayIso = todayOf(args);
  const question = questionIn(file, args, todayIso);
  const proposal = proposeWays(recordsOfFile(file), question, {
    todayIso,
    memory: emptyMemory(),
    prefix: PREFIX,
  });
  const weigh = wayWeigher(proposal, { todayIso, keeper: NOTHING_KEPT, prices: file.garden.prices });
  const outcomes = proposal.proposed.map((one) => weigh(one));
  const ranking = rankWays(outcomes, EVEN_WEIGHTS);
  const nameOf = (id: string) => [...file.beds, ...file.lots].find((one) => one.id === id)?.name ?? id;
  return {
    model: MODEL_VERSION,
    today: todayIso,
    ways: ranking.ways.map((way) => lineOf(way, nameOf)),
    decided: ranking.decided,
    not_looked_at: proposal.notLookedAt,
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
