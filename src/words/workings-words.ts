import { type BedAdvice, type LockUpWindow, type PlantingDate, TRIAL_DAYS } from '../core/bed/index.ts';
import { PARAMETER_TABLE } from '../core/model/index.ts';
import { dateNear } from './dates.ts';
import { formatFigure, formatFixed, formatPercent } from './figures.ts';
import type { BedNames } from './advice-words.ts';

/** One line of a working: what it says, the formula with this bed's figures in it, and where it comes from. */
export interface WorkingLine {
  readonly says: string;
  readonly formula: string;
  readonly source: string;
}

const g = (value: number): string => `${formatFigure(value, 3)} g`;

/** How the lock-up was worked out: the layer's own nitrogen account, then what the daily run made of it. */
export function lockUpWorking(advice: BedAdvice, names: BedNames): WorkingLine[] {
  const windows = [advice.contact, advice.root].filter((window) => window !== null);
  return [
    ...advice.workings.flatMap((working) => layerLines(working, names)),
    ...windows.map(windowLine(advice)),
  ];
}

function layerLines(working: BedAdvice['workings'][number], names: BedNames): WorkingLine[] {
  const name = names.layer(working.layerId);
  const {
    growthEfficiency: e,
    woodyGrowthEfficiency: ew,
    microbialCn,
    quickAndStructuralC,
    woodyC,
  } = working;
  return [
    {
      says: `${name}: carbon and nitrogen laid, per m²`,
      formula: `${formatFigure(working.massFreshKg, 3)} kg fresh → ${g(working.carbonG)} C, ${g(working.nitrogenG)} N; C:N = ${formatFigure(working.carbonToNitrogen, 3)}`,
      source: "the material's moisture, carbon and nitrogen (library, or your own figures)",
    },
    {
      says: 'Nitrogen its microbes want to eat all of it',
      formula: `(${e} × ${g(quickAndStructuralC)} + ${ew} × ${g(woodyC)}) ÷ ${formatFigure(microbialCn, 3)} + ${working.woodyHumifiedShare} × ${g(woodyC)} ÷ ${working.humusCn} = ${g(working.wantedG)}`,
      source: `growth efficiency: ${PARAMETER_TABLE.growthEfficiency.source}; microbial C:N: ${PARAMETER_TABLE.biomassCnHigh.source}`,
    },
    {
      says: 'Nitrogen it brings along, and what it lacks',
      formula: `${g(working.wantedG)} − ${g(working.broughtG)} = ${g(working.lackingG)}, drawn little by little over the years it takes to rot`,
      source: 'balance of the two lines above',
    },
  ];
}

const windowLine =
  ({ today, rules }: BedAdvice) =>
  ({ zone, peakDay, peakG, fromDay, halfBackDay }: LockUpWindow): WorkingLine => ({
    says:
      zone === 'contact' ? 'Held out of the top 5 cm, day by day' : 'Held out of the root zone, day by day',
    formula: `drawn there − given back there, at most what its microbes contain: over ${formatFigure(rules.feltFromG, 2)} g/m² from ${dateNear(fromDay, today)}, most ${formatFigure(peakG, 2)} g/m² on ${dateNear(peakDay, today)}, half back ${halfBackDay === null ? 'after the run' : `on ${dateNear(halfBackDay, today)}`}`,
    source: 'the daily run (docs/method.md); temperature and moisture as in RothC-26.3, from memory',
  });

/** How the first dose was chosen. */
export function doseWorking({ doses, today }: BedAdvice): WorkingLine[] {
  const price = PARAMETER_TABLE.dosePrice;
  return (doses?.doses ?? []).map((dose) => {
    const solved = dose.nitrogenGPerM2 - dose.reserveGPerM2;
    const without = formatFixed(dose.unmetWithoutG, 2);
    const withDose = formatFixed(dose.unmetWithG + price.value * solved, 2);
    return {
      says: `${dateNear(dose.day, today)}: the cheapest of 0, 0.5 … 10 g/m²`,
      formula: `missed crop nitrogen + ${price.value} × dose: unfed ${without}; with ${formatFixed(solved, 1)} g/m² ${formatFixed(dose.unmetWithG, 2)} + ${price.value} × ${formatFixed(solved, 1)} = ${withDose}. Without what was laid: ${formatFixed(dose.twinNitrogenGPerM2, 1)} g/m², so its price is ${formatFixed(dose.priceGPerM2, 1)}`,
      source: `least cost over a run of the bed for each dose; price of a gram ${price.source}`,
    };
  });
}

/** How the planting dates were found. */
export function plantingWorking({ planting, today, rules }: BedAdvice): WorkingLine[] {
  return planting.map((date: PlantingDate) => ({
    says: date.start === 'seedlings' ? 'A trial sowing each week' : 'A trial planting each week',
    formula:
      date.day === null
        ? `no week of the coming year will do; the last trial missed ${formatPercent(date.missedShare)} of its need, ${formatPercent(date.missedShareBare)} on bare soil`
        : `sown ${dateNear(date.day, today)} it misses ${formatPercent(date.missedShare)} of its need in ${TRIAL_DAYS} days; allowed: ${formatPercent(rules.harmlessShare)}, or ${formatPercent(rules.blamedShare)} more than the ${formatPercent(date.missedShareBare)} it misses on bare soil`,
    source: 'trial crop in a copy of the run; limits and lowest temperatures set here (docs/method.md)',
  }));
}
