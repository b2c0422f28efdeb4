import { readScenarioFile } from '../../src/contract/scenario-file.ts';
import { reportScenario, type ScenarioReport } from '../../src/contract/scenario-report.ts';

/** Checks of our own: their ranges were written down before any of them was run. */
const ROTHAMSTED = {
  t: [3.4, 3.6, 5.1, 7.3, 11, 13.9, 16, 16, 13.5, 10.2, 6.1, 4.6],
  rain: [74, 59, 62, 51, 52, 57, 34, 55, 58, 56, 75, 71],
  pet: [6, 7.5, 20, 37, 62, 74, 77, 68, 52, 25.5, 12, 6],
};
const MILD = {
  t: [5, 6.5, 8.5, 11, 14.5, 17.5, 20.5, 20.5, 17.5, 12.5, 8, 5],
  rain: [125, 95, 95, 70, 60, 40, 15, 18, 38, 85, 145, 150],
  pet: [15, 24, 45, 68, 98, 117, 145, 125, 80, 43, 19, 13],
};
const WATERED = { months: [5, 6, 7, 8, 9], trigger: 0.35, refill: 0.9 };
const LOAM = { som_pct: 4, bulk_density: 1.2, clay: 20, root_cm: 30, mineral_n: [1, 4] };
const AMPLE = { ...LOAM, mineral_n: [50, 250] };
const moist = (temperatureC: number) => ({
  t: Array<number>(12).fill(temperatureC),
  rain: Array<number>(12).fill(0),
  pet: Array<number>(12).fill(0),
});

interface Setting {
  readonly start?: string;
  readonly end: string;
  readonly climate?: object;
  readonly soil?: object;
  readonly [field: string]: unknown;
}

const run = (setting: Setting): ScenarioReport =>
  reportScenario(
    readScenarioFile({ start: '2020-10-01', climate: ROTHAMSTED, soil: LOAM, report_every: 1, ...setting }),
  );

type Look = ScenarioReport['final'];
const on = ({ weekly }: ScenarioReport, date: string): Look => weekly.find((one) => one.date === date)!;
const sum = (values: readonly number[]): number => values.reduce((all, one) => all + one, 0);
const carbonLeft = ({ cohorts }: Look, i = 0): number => sum(Object.values(cohorts[i].c));
const litter = ({ c }: Look['cohorts'][number]): number => c.Q + c.S + c.W + c.B;
const laid = (date: string, material: unknown, kg: number, more: object = {}) => ({
  date,
  type: 'apply',
  material,
  kg,
  ...more,
});

/** So much of a material in ample nitrogen at one temperature, dug 15 cm. */
const incubated = (material: unknown, end: string, temperatureC: number, kg = 1) =>
  run({
    start: '2021-01-01',
    end,
    climate: moist(temperatureC),
    soil: AMPLE,
    events: [laid('2021-01-01', material, kg, { dug_cm: 15 })],
  });

const breathedOutPct = (material: string): number => {
  const { final } = incubated(material, '2021-03-02', 20);
  return (100 * final.cohorts[0].co2) / final.flows.C_in;
};

const setFreePct = (material: string, end: string, temperatureC: number): number => {
  const { final } = incubated(material, end, temperatureC);
  const { released, immobilised } = final.cohorts[0];
  return (100 * (released - immobilised)) / final.flows.N_mat;
};

const strawLost = (dug: object): number => {
  const { final } = run({
    start: '2021-04-01',
    end: '2021-11-01',
    climate: MILD,
    irrigation: WATERED,
    events: [laid('2021-05-01', 'straw_cereal', 0.67, dug)],
  });
  return 1 - litter(final.cohorts[0]) / final.flows.C_in;
};

const years = (first: number, count: number): number[] => Array.from({ length: count }, (_, i) => first + i);

function soilCarbonWith(hasRye: boolean): number {
  const crops = years(2001, 20).flatMap((year) => [
    { id: `summer ${year}`, plant: `${year}-05-01`, harvest: `${year}-09-15`, n_demand: 12, root_cm: 60 },
    ...(hasRye
      ? [
          {
            id: `rye ${year}`,
            plant: `${year}-09-20`,
            harvest: `${year + 1}-04-15`,
            n_demand: 6,
            root_cm: 60,
            residue_share: 1,
            residue_material: 'rye_young',
            dug_cm: 15,
          },
        ]
      : []),
  ]);
  const { final } = run({ start: '2000-10-01', end: '2021-10-01', crops, deposition: 1, report_every: 3650 });
  const added = sum(final.cohorts.map(({ c }) => sum(Object.values(c))));
  const roots = final.roots ? sum(Object.values(final.roots.c)) : 0;
  return final.native_humus_c + final.inert_c + added + roots;
}

const underMulch = (events: readonly object[]): ScenarioReport =>
  run({ end: '2022-11-01', events, report_every: 1 });

const meanRootZoneC = (report: ScenarioReport, month: string): number => {
  const values = report.weekly
    .filter(({ date }) => date.startsWith(month))
    .map(({ soil_temp }) => soil_temp[1]);
  return sum(values) / values.length;
};

const swing = (report: ScenarioReport): number => {
  const values = report.weekly
    .filter(({ date }) => date >= '2021-11-01' && date < '2022-11-01')
    .map(({ soil_temp }) => soil_temp[1]);
  return Math.max(...values) - Math.min(...values);
};

/** Days by which the yearly wave of the root zone lags behind the air, by the phases of both waves. */
function lagDays(): number {
  const days = run({ end: '2022-10-01' }).weekly.slice(-366, -1);
  const phaseOf = (read: (one: Look, i: number) => number): number => {
    const turn = (i: number) => (2 * Math.PI * i) / days.length;
    const cos = sum(days.map((one, i) => read(one, i) * Math.cos(turn(i))));
    const sin = sum(days.map((one, i) => read(one, i) * Math.sin(turn(i))));
    return Math.atan2(sin, cos);
  };
  const air = days.map(({ date }) => {
    const [, month, day] = date.split('-').map(Number);
    const from = day >= 15 ? month - 1 : (month + 10) % 12;
    const span = new Date(Date.UTC(2022, from + 1, 0)).getUTCDate();
    const elapsed = day >= 15 ? day - 15 : day + span - 15;
    return ROTHAMSTED.t[from] + ((ROTHAMSTED.t[(from + 1) % 12] - ROTHAMSTED.t[from]) * elapsed) / span;
  });
  const late = phaseOf(({ soil_temp }) => soil_temp[1]) - phaseOf((_, i) => air[i]);
  return (late / (2 * Math.PI)) * 365;
}

/** Share of the evaporation of bare ground that a mulch saves in a month without rain. */
function evaporationSavedPct(): number {
  const dry = { ...ROTHAMSTED, rain: Array<number>(12).fill(0) };
  const lost = (events: readonly object[]): number => {
    const { final } = run({ start: '2021-05-01', end: '2021-06-01', climate: dry, events });
    return sum(final.deficit_mm);
  };
  return 100 * (1 - lost([laid('2021-05-01', 'straw_cereal', 5.2)]) / lost([]));
}

const charLost = (temperature: string): number => {
  const { final } = run({
    start: '2000-01-01',
    end: '2100-01-01',
    climate: moist(15),
    events: [laid('2000-01-01', { base: 'biochar_raw', char_temp: temperature }, 1, { dug_cm: 15 })],
    report_every: 36_525,
  });
  return 1 - carbonLeft(final) / final.flows.C_in;
};

export const ownReadings: Readonly<Record<string, () => number>> = {
  H1: () => breathedOutPct('straw_cereal'),
  H2: () => breathedOutPct('sawdust_hardwood'),
  H3: () => breathedOutPct('sawdust_softwood'),
  H4: () => {
    const report = run({
      end: '2030-10-01',
      soil: { ...LOAM, clay: 23.4 },
      events: [laid('2020-10-01', 'ryegrass_jenkinson', 2, { dug_cm: 20 })],
      report_every: 3652,
    });
    return (100 * carbonLeft(report.final)) / report.final.flows.C_in;
  },
  H5: () => {
    const { final } = run({
      start: '2000-09-01',
      end: '2020-09-01',
      events: years(2000, 20).map((year) => laid(`${year}-09-01`, 'straw_cereal', 1.11, { dug_cm: 20 })),
      deposition: 1,
      report_every: 3650,
    });
    const left = sum(final.cohorts.map(({ c }) => sum(Object.values(c))));
    return (100 * left) / final.flows.C_in;
  },
  H6: () => (soilCarbonWith(true) - soilCarbonWith(false)) / 20,
  H7: () => {
    const { piles } = run({
      end: '2021-10-08',
      climate: MILD,
      piles: [
        {
          id: 'leaves',
          start: '2020-10-01',
          end: '2021-10-01',
          mix: [{ material: 'leaves_mixed', kg: 200 }],
        },
      ],
    });
    return 100 * (1 - piles.leaves.C_left / piles.leaves.C_in);
  },
  H8: () => setFreePct('blood_meal', '2021-02-26', 15),
  H9: () => setFreePct('fish_emulsion', '2021-02-26', 15),
  H10: () => setFreePct('mushroom_compost', '2021-05-31', 17),
  H11: () => setFreePct('leaf_mould', '2021-05-31', 17),
  H12: () => {
    const { weekly } = incubated('cardboard', '2021-07-01', 20);
    const dryKg = 1 - 0.08;
    return Math.max(...weekly.map(({ cohorts }) => cohorts[0]?.locked_now ?? 0)) / dryKg;
  },
  H13: () => strawLost({}) / strawLost({ dug_cm: 15 }),
  H14: () => {
    const { final } = run({
      end: '2021-10-01',
      soil: { ...LOAM, som_pct: 3, history: 'arable' },
      crops: [{ id: 'wheat', plant: '2020-10-10', harvest: '2021-08-10', n_demand: 18, root_cm: 100 }],
      deposition: 1,
      report_every: 100,
    });
    return final.crops[0].in_crop;
  },
  H15: () => {
    const { final } = run({
      end: '2021-10-01',
      soil: { ...LOAM, som_pct: 1.5, clay: 6 },
      crops: [
        { id: 'clover', plant: '2021-04-15', harvest: '2021-09-01', n_demand: 14, root_cm: 50, legume: true },
      ],
      report_every: 100,
    });
    const [{ fixed, uptake }] = final.crops;
    return (100 * fixed) / (fixed + uptake);
  },
  H16: () => {
    const { final } = run({ end: '2021-06-01', events: [laid('2021-05-01', 'urea', 0.0215, { dug_cm: 5 })] });
    return (100 * final.flows.vol) / final.flows.N_mat;
  },
  H17: () => {
    const { final } = run({ end: '2021-04-29', events: [laid('2021-04-01', 'broiler_litter', 1)] });
    return (100 * final.flows.vol) / final.flows.N_mat;
  },
  H18: () => {
    const { final, weekly } = run({
      end: '2021-10-01',
      soil: { ...LOAM, som_pct: 3, history: 'arable' },
      crops: [{ id: 'rye', plant: '2020-10-02', harvest: '2021-08-01', n_demand: 12, root_cm: 80 }],
      deposition: 1,
    });
    return final.flows.leach - weekly[0].flows.leach;
  },
  H19: () => {
    const gas = (n: number): number =>
      run({
        end: '2021-04-01',
        soil: { ...LOAM, clay: 6 },
        events: [{ date: '2020-10-01', type: 'fert', n, depth_cm: 30, nh4: 0 }],
        report_every: 100,
      }).final.flows.den;
    return 10 * (gas(10) - gas(0));
  },
  H20: () => {
    const setting = { start: '2021-05-01', end: '2021-05-20', climate: moist(20) };
    const ammonium = (events: readonly object[]): number => {
      const { mineral_n } = on(run({ ...setting, events }), '2021-05-15');
      return mineral_n.Z0 * mineral_n.ammonium_share[0] + mineral_n.Z1 * mineral_n.ammonium_share[1];
    };
    const fed = { date: '2021-05-01', type: 'fert', n: 10, depth_cm: 30, nh4: 1 };
    return 10 * (ammonium([fed]) - ammonium([]));
  },
  H21: () =>
    meanRootZoneC(underMulch([]), '2021-06') -
    meanRootZoneC(underMulch([laid('2021-03-01', 'straw_cereal', 6.5)]), '2021-06'),
  H22: () => swing(underMulch([laid('2021-03-01', 'chips_mixed', 28)])) / swing(underMulch([])),
  H23: lagDays,
  H24: evaporationSavedPct,
  H25: () => {
    const { final } = run({
      end: '2025-10-01',
      events: [laid('2020-10-01', 'biochar_raw', 2, { dug_cm: 15 })],
      report_every: 365,
    });
    return (100 * carbonLeft(final)) / final.flows.C_in;
  },
  H26: () => charLost('high') / charLost('low'),
};
