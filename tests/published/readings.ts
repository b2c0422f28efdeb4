import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readScenarioFile } from '../../src/contract/scenario-file.ts';
import { reportScenario, type ScenarioReport } from '../../src/contract/scenario-report.ts';
import { findLibraryMaterial } from '../../src/core/ground/materials/library.ts';
import { firstSeasonAvailability, productMassFreshKg } from '../../src/core/bed/supplement/product.ts';
import { ownReadings } from './own-readings.ts';

/** How each figure of `src/core/model/validation/published-checks.json` is read from the report of its scenario. */
const SCENARIOS = join(import.meta.dirname, 'scenarios');
const reports = new Map<string, ScenarioReport>();

const scenarioJson = (name: string): { events: object[]; supplement?: object } =>
  JSON.parse(readFileSync(join(SCENARIOS, `${name}.json`), 'utf8')) as { events: object[] };

function reportOf(name: string): ScenarioReport {
  let report = reports.get(name);
  if (!report) {
    report = reportScenario(readScenarioFile(scenarioJson(name)));
    reports.set(name, report);
  }
  return report;
}

type Look = ScenarioReport['final'];
type CohortLook = Look['cohorts'][number];
type FlowLook = keyof Look['flows'];

const looks = (name: string): readonly Look[] => reportOf(name).weekly;
const look = (name: string, at: number): Look => looks(name).at(at)!;
const cohort = (name: string, at = -1, i = 0): CohortLook => look(name, at).cohorts[i];
const onDate = (name: string, date: string): Look => looks(name).find((one) => one.date === date)!;
const flow = (name: string, key: FlowLook): number => reportOf(name).final.flows[key];
const laidN = (name: string): number => flow(name, 'N_mat');
const laidC = (name: string): number => flow(name, 'C_in');
const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0);
const net = ({ released, immobilised }: CohortLook): number => released - immobilised;
const locks = (name: string): number[] =>
  looks(name).map(({ cohorts }) => (cohorts[0] ? -net(cohorts[0]) : 0));
const peak = (name: string): number => Math.max(...locks(name));
const firstSeasonPct = (name: string, at = -1): number => (100 * net(cohort(name, at))) / laidN(name);
const litterC = ({ c }: CohortLook): number => c.Q + c.S + c.W + c.B;
const lostPct = (name: string, at = -1): number => 100 * (1 - litterC(cohort(name, at)) / laidC(name));
const allC = (name: string, at = -1): number =>
  sum(look(name, at).cohorts.flatMap(({ c }) => Object.values(c)));
const inCrops = (name: string): number => sum(reportOf(name).final.crops.map(({ in_crop }) => in_crop));
const nativeN = (name: string): number => (look(name, 0).native_humus_c + look(name, 0).inert_c) / 11;
const nativeC = (name: string, at: number): number => look(name, at).native_humus_c + look(name, at).inert_c;
const meanMineral = (name: string, zone: 'Z0' | 'Z1', months: readonly string[]): number => {
  const values = looks(name)
    .filter(({ date }) => months.includes(date.slice(0, 7)))
    .map(({ mineral_n }) => mineral_n[zone]);
  return sum(values) / values.length;
};
const nativeBetween = (name: string, from: string, until: string): number =>
  onDate(name, until).flows.native_min - onDate(name, from).flows.native_min;
const advised = (name: string): number => sum(reportOf(name).supplement!.map(({ n_g_m2 }) => n_g_m2));
const price = (name: string): number =>
  sum(reportOf(name).supplement!.map(({ price_n_g_m2 }) => price_n_g_m2));
const washedAfter = (name: string, date: string): number =>
  look(name, -1).flows.leach - looks(name).find((one) => one.date >= date)!.flows.leach;
const gainOf = (what: string): number => inCrops(`d06_crop_${what}`) - inCrops('d06_crop_none');
const octoberNitrate = (clay: number, key: 'leach' | 'den'): number =>
  10 * (flow(`d01_leach_clay${clay}_n10`, key) - flow(`d01_leach_clay${clay}_n0`, key));
const cropOf = (what: string, k: number): number => reportOf(`d07_five_crops_${what}`).final.crops[k].in_crop;
const charLeft = (c: number): number => {
  const { CL, CS } = cohort(`e10_char_${c}C`).c;
  return (CL + CS) / laidC(`e10_char_${c}C`);
};
const heap = (name: string) => Object.values(reportOf(name).piles)[0];
const heapCarbonLost = (name: string): number => 100 * (1 - heap(name).C_left / heap(name).C_in);
const heapNitrogenLost = (name: string): number => (100 * heap(name).vol) / heap(name).N_in;
const deepFound = (bedCm: number): number =>
  10 * (inCrops(`d17_deep_z${bedCm}_n10`) - inCrops(`d17_deep_z${bedCm}_n0`));
const releasedByAll = (name: string, at: number): number => sum(look(name, at).cohorts.map(net));

/** Faults of the books at the edge of what can be: figures lost, negative, or out of balance by more than 1e-9. */
function faults(name: string): number {
  const mayBeNegative = ['N_adj', 'price_n_g_m2', 'soil_temp'];
  const mayBeNull = ['first_pale', 'roots'];
  const walk = (value: unknown, key: string): number => {
    if (Array.isArray(value)) return sum(value.map((one) => walk(one, key)));
    if (value === null) return mayBeNull.includes(key) ? 0 : 1;
    if (typeof value === 'object') return sum(Object.entries(value).map(([k, one]) => walk(one, k)));
    if (typeof value !== 'number') return 0;
    return Number.isNaN(value) || (value < 0 && !mayBeNegative.includes(key)) ? 1 : 0;
  };
  const { final, ledger } = reportOf(name);
  const off = Math.max(
    Math.abs(ledger.C_in - ledger.C_accounted) / Math.max(1, ledger.C_in),
    Math.abs(ledger.N_in - ledger.N_accounted) / Math.max(1, ledger.N_in),
  );
  return walk(final, '') + 1e9 * off + (final.som_pct > 100 ? 1 : 0);
}

/** The doses advised for sawdust, given as feather meal raked in 3 cm, as much of it as its availability asks for. */
function missedWithFeatherMeal(): number {
  const meal = findLibraryMaterial('feather_meal')!;
  const availability = firstSeasonAvailability(meal);
  const { supplement: _, ...bed } = scenarioJson('d12_dose_sawdust2');
  const fed = reportOf('d12_dose_sawdust2').supplement!.filter(({ n_g_m2 }) => n_g_m2 > 0);
  const events = fed.map(({ date, n_g_m2 }) => ({
    date,
    type: 'apply',
    material: 'feather_meal',
    kg: productMassFreshKg(n_g_m2, meal, availability),
    dug_cm: 3,
  }));
  const { final } = reportScenario(readScenarioFile({ ...bed, events: [...bed.events, ...events] }));
  return sum(final.crops.map(({ short, backlog }) => short + backlog));
}

const MAY_AND_JUNE = ['2021-05', '2021-06'];
const MANURE_AMMONIUM = 0.12;

const HANDED_DOWN: Readonly<Record<string, () => number>> = {
  A1: () => (1000 * peak('a01_straw_15C')) / laidC('a01_straw_15C'),
  A2: () => 7 * locks('a01_straw_15C').indexOf(peak('a01_straw_15C')),
  A3: () => (100 * locks('a01_straw_15C')[52]) / peak('a01_straw_15C'),
  A4: () => (1000 * net(cohort('a02_residue_cn50_15C'))) / laidC('a02_residue_cn50_15C'),
  A5: () => (1000 * net(cohort('a03_residue_cn12_15C'))) / laidC('a03_residue_cn12_15C'),
  A6: () => (100 * firstSeasonPct('a04_clover_17C', 4)) / firstSeasonPct('a04_clover_17C', 10),
  A7: () => firstSeasonPct('a05_feather_15C', 2),
  A8: () => firstSeasonPct('a05_feather_15C', 8),
  A9: () => firstSeasonPct('a06_coffee_20C', 10),
  A10: () => firstSeasonPct('a07_layer_manure_17C'),
  A11: () => firstSeasonPct('a08_horse_17C'),
  A12: () => firstSeasonPct('a09_alfalfa_meal_17C'),
  A13: () => peak('a10_branch_chips_20C'),
  A14: () => flow('a11_native_25C', 'native_min') / flow('a11_native_15C', 'native_min'),
  A15: () => allC('a12_straw_clay60') / allC('a12_straw_clay2'),
  B1: () => (100 * flow('b01_urine_surface', 'vol')) / laidN('b01_urine_surface'),
  B2: () => (100 * flow('b02_urea_surface', 'vol')) / laidN('b02_urea_surface'),
  B3: () => (100 * flow('b03_fym_surface', 'vol')) / (MANURE_AMMONIUM * laidN('b03_fym_surface')),
  B4: () => (100 * flow('b04_fym_dug', 'vol')) / (MANURE_AMMONIUM * laidN('b04_fym_dug')),
  B5: () => (100 * flow('b05_grass_mulch', 'vol')) / laidN('b05_grass_mulch'),
  C1: () => cohort('c01_homyak_chips').immob_by_zone[1],
  C2: () =>
    meanMineral('c02_under_chips_mixed', 'Z0', MAY_AND_JUNE) /
    meanMineral('c02_under_bare', 'Z0', MAY_AND_JUNE),
  C3: () =>
    meanMineral('c02_under_chips_mixed', 'Z1', MAY_AND_JUNE) /
    meanMineral('c02_under_bare', 'Z1', MAY_AND_JUNE),
  C4: () =>
    nativeBetween('c02_under_straw_cereal', '2021-03-01', '2021-06-01') /
    nativeBetween('c02_under_bare', '2021-03-01', '2021-06-01'),
  C5: () => lostPct('c03_chips_5yr', 1),
  C6: () => lostPct('c03_chips_5yr', 3),
  C7: () => lostPct('c03_chips_5yr', 5),
  C8: () => lostPct('c04_straw_mulch_1yr'),
  C9: () => lostPct('c05_leaves_1yr'),
  C10: () => lostPct('c06_oak_1yr'),
  C11: () => {
    const { n } = cohort('c06_oak_1yr');
    return (100 * (n.Q + n.S + n.W + n.B)) / laidN('c06_oak_1yr');
  },
  C12: () => lostPct('c07_needles_boreal'),
  C13: () => lostPct('c08_leaves_tropics'),
  C14: () => lostPct('c09_straw_arid'),
  C15: () => lostPct('c10_vetch_8wk'),
  C16: () => lostPct('c11_rye_16wk'),
  C17: () => (100 * look('c12_chips_60cm', 1).mulch_cm) / 60,
  C18: () => allC('c13_compost_twelve') / allC('c13_compost_one'),
  D1: () => octoberNitrate(6, 'leach'),
  D2: () => octoberNitrate(40, 'leach'),
  D3: () => look('d02_drain_gauge', -1).flows.leach - look('d02_drain_gauge', 1).flows.leach,
  D4: () =>
    100 * (1 - washedAfter('d03_catch_rye', '2020-08-20') / washedAfter('d03_catch_bare', '2020-08-20')),
  D5: () => 10 * (look('d04_clover_autumn', 1).flows.leach - look('d04_clover_none', 1).flows.leach),
  D6: () => 10 * (inCrops('d04_clover_spring') - inCrops('d04_clover_none')),
  D7: () =>
    washedAfter('d05_straw_autumn_none', '2020-09-10') - washedAfter('d05_straw_autumn_straw', '2020-09-10'),
  D8: () => 10 * gainOf('can10'),
  D9: () => (100 * gainOf('fym_spring')) / laidN('d06_crop_fym_spring'),
  D10: () => (100 * gainOf('fym_autumn')) / laidN('d06_crop_fym_autumn'),
  D11: () => (100 * gainOf('compost')) / laidN('d06_crop_compost'),
  D12: () => (100 * gainOf('char')) / inCrops('d06_crop_none'),
  D13: () => (100 * gainOf('coffee')) / inCrops('d06_crop_none'),
  D14: () =>
    (100 * sum([1, 2, 3, 4].map((k) => cropOf('compost', k) - cropOf('none', k)))) /
    4 /
    laidN('d07_five_crops_compost'),
  D15: () =>
    100 * (1 - washedAfter('d08_leach_char', '2020-09-10') / washedAfter('d08_leach_none', '2020-09-10')),
  D16: () => (100 * flow('d09_native_tropics', 'native_min')) / nativeN('d09_native_tropics'),
  D17: () => (100 * flow('d10_native_boreal', 'native_min')) / nativeN('d10_native_boreal'),
  D18: () => inCrops('d11_no_organic_matter'),
  D19: () => price('d12_dose_sawdust2'),
  D20: () => advised('d13_dose_sawdust8'),
  D21: () => price('d14_dose_chips_top'),
  D22: () => (locks('d15_sawdust_3yr')[10] - locks('d15_sawdust_3yr')[5]) / 2,
  D23: () => octoberNitrate(40, 'den'),
  D24: missedWithFeatherMeal,
  D25: () => deepFound(30),
  D26: () => deepFound(100),
  D27: () => 100 * (inCrops('d18_strawmulch_potato') / inCrops('d18_strawmulch_none') - 1),
  D28: () => advised('d19_dose_greedy'),
  D29: () => advised('d20_dose_sand'),
  E1: () => allC('e01_hoosfield_fym', 2) / 100,
  E2: () => allC('e01_hoosfield_fym', 5) / 100,
  E3: () => allC('e01_hoosfield_fym', 10) / 100,
  E4: () => (100 * allC('e02_fym_stopped', 12)) / allC('e02_fym_stopped', 2),
  E5fym: () => (100 * allC('e03_ultuna_fym')) / laidC('e03_ultuna_fym'),
  E5straw: () => (100 * allC('e03_ultuna_straw')) / laidC('e03_ultuna_straw'),
  E5green: () => (100 * allC('e03_ultuna_green')) / laidC('e03_ultuna_green'),
  E5sawdust: () => (100 * allC('e03_ultuna_sawdust')) / laidC('e03_ultuna_sawdust'),
  E6: () => (100 * nativeC('e04_ultuna_fallow', -1)) / nativeC('e04_ultuna_fallow', 0),
  E7: () => (100 * nativeC('e05_highfield_fallow', -1)) / nativeC('e05_highfield_fallow', 0),
  E8: () => (100 * reportOf('e06_cropped_unfed').final.som_pct) / look('e06_cropped_unfed', 0).som_pct,
  E9: () => (100 * allC('e07_compost_15yr')) / laidC('e07_compost_15yr'),
  E10: () => reportOf('e08_nodig_2cm').final.som_pct,
  E11: () => reportOf('e08_nodig_5cm').final.som_pct,
  E12: () => reportOf('e09_dug_compost_jump').final.som_pct - look('e09_dug_compost_jump', 4).som_pct,
  E13: () => 100 * (charLeft(5) - charLeft(25)),
  E14: () =>
    (100 * (releasedByAll('e11_compost_n_steady', 15) - releasedByAll('e11_compost_n_steady', 14))) /
    (laidN('e11_compost_n_steady') / 15),
  E15: () => (100 * allC('e12_ayanaba_tropics')) / laidC('e12_ayanaba_tropics'),
  E16: () => reportOf('e16_nodig_5cm_30yr').final.som_pct,
  E17: () => reportOf('e08_nodig_5cm').final.rise_cm,
  E18: () => {
    const after20Years = look('e01_hoosfield_fym', 2);
    const keptN = sum(after20Years.cohorts.flatMap(({ n }) => Object.values(n)));
    return (100 * keptN) / after20Years.flows.N_mat;
  },
  F1: () => heapCarbonLost('f01_hot_cn30'),
  F2: () => heapNitrogenLost('f01_hot_cn30'),
  F3: () => heapNitrogenLost('f02_hot_cn15'),
  F4: () => heapCarbonLost('f03_fym_heap'),
  F5: () => heapNitrogenLost('f03_fym_heap'),
  F6: () => heapCarbonLost('f04_cold_heap'),
  G1: () => faults('g01_polar'),
  G2: () => faults('g02_oven'),
  G3: () => faults('g03_peat'),
};

/** Everything that is checked, by its id. */
export const READINGS: Readonly<Record<string, () => number>> = { ...HANDED_DOWN, ...ownReadings };
