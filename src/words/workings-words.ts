import { type BedPlan, type LockUpWindow, type PlantingDate, TRIAL_DAYS } from '../core/bed/index.ts';
import { formatQuantity } from '../quantities/format-quantity.ts';
import { KILOGRAMS_PER_POUND } from '../core/ground/index.ts';
import { dateNear } from './dates.ts';
import { formatPercent, plainFigure } from './figures.ts';
import type { BedNames } from './advice-words.ts';
import type { ChosenProduct } from './feeding-words.ts';
import type { Measures } from './measures.ts';

/** A row of a small sum: what it is, and how much. */
export interface WorkingRow {
  readonly name: string;
  readonly value: string;
}

/** One step of a working: rows that lead to the last one, and why it is so. */
export interface WorkingStep {
  readonly title: string;
  readonly rows: readonly WorkingRow[];
  readonly result: WorkingRow;
  readonly why: string;
}

/** The bed that the figures are for, and how its gardener measures. */
export interface WorkingSetting {
  readonly areaM2: number;
  readonly names: BedNames;
  readonly measures: Measures;
}

/** Three figures, so that a sum adds up before the eyes. */
const summand = (nitrogenG: number, { system }: Measures): string =>
  formatQuantity(nitrogenG, 'smallMass', system);

/** How the lock-up was worked out: what each layer needs and brings, then how much is locked up at most. */
export function lockUpWorking(advice: BedPlan, setting: WorkingSetting): WorkingStep[] {
  const windows = [advice.contact, advice.root].filter((window) => window !== null);
  return [
    ...advice.workings.map((working) => layerStep(working, setting)),
    ...windows.map((window) => windowStep(window, advice.today, setting)),
  ];
}

function layerStep(
  working: BedPlan['workings'][number],
  { areaM2, names, measures }: WorkingSetting,
): WorkingStep {
  const nitrogen = (gPerM2: number) => summand(gPerM2 * areaM2, measures);
  const carbon = measures.mass((working.carbonG * areaM2) / 1000);
  return {
    title: names.layer(working.layerId),
    rows: [
      {
        name: `Spread: ${measures.mass(working.massFreshKg * areaM2)}, with ${carbon} of carbon and ${nitrogen(working.nitrogenG)} of nitrogen`,
        value: `C:N ${plainFigure(working.carbonToNitrogen)}`,
      },
      { name: 'Nitrogen that microbes need to rot all of it', value: nitrogen(working.wantedG) },
      { name: 'Nitrogen it brings for them', value: `− ${nitrogen(working.broughtG)}` },
    ],
    result: {
      name: 'Taken from the soil, little by little over the years',
      value: nitrogen(working.lackingG),
    },
    why: 'Microbes that eat carbon build nitrogen into their bodies. What the material does not bring, they take from the soil.',
  };
}

function windowStep(
  { zone, peakDay, peakG, fromDay, halfBackDay }: LockUpWindow,
  today: number,
  { areaM2, measures }: WorkingSetting,
): WorkingStep {
  const where = zone === 'contact' ? `top ${measures.rule('length', 5)}` : 'root zone';
  return {
    title: `Locked up in the ${where} at one time`,
    rows: [
      { name: 'Felt from', value: dateNear(fromDay, today) },
      {
        name: 'Half of it given back by',
        value: halfBackDay === null ? 'later than the forecast reaches' : dateNear(halfBackDay, today),
      },
    ],
    result: {
      name: `Most, on ${dateNear(peakDay, today)}`,
      value: `${summand(peakG * areaM2, measures)} (${measures.rate(peakG)})`,
    },
    why: 'The model follows each day what microbes take up and give back, by the warmth and moisture of the soil.',
  };
}

/** How each dose was chosen, and what it comes to in the product. */
export function doseWorking(
  { feeding, today }: BedPlan,
  { areaM2, measures }: WorkingSetting,
  product: (materialId: string) => ChosenProduct,
): WorkingStep[] {
  const nitrogen = (gPerM2: number) => summand(gPerM2 * areaM2, measures);
  return (feeding?.doses ?? []).flatMap((dose) => {
    const when = dateNear(dose.day, today);
    const reserve =
      dose.reserveGPerM2 > 0 ? [{ name: 'Of it, as a reserve', value: nitrogen(dose.reserveGPerM2) }] : [];
    const chosen: WorkingStep = {
      title: `Nitrogen on ${when}`,
      rows: [
        { name: 'The crop begins to miss it', value: dateNear(dose.neededDay, today) },
        { name: 'Without it the crop misses, in the weeks it serves', value: nitrogen(dose.unmetWithoutG) },
        { name: 'With it the crop still misses', value: nitrogen(dose.unmetWithG) },
        ...reserve,
      ],
      result: { name: 'Feed', value: nitrogen(dose.nitrogenGPerM2) },
      why: 'The model tries doses in small steps and over the whole season. It takes the smallest after which more nitrogen would cost more than it saves, and spreads it before it is missed.',
    };
    return [
      chosen,
      ...productSteps(dose.nitrogenGPerM2, { product: product(dose.materialId), measures, nitrogen }),
    ];
  });
}

/** From nitrogen to so much of a product; nothing for a dose of none. */
function productSteps(
  nitrogenGPerM2: number,
  {
    product,
    measures,
    nitrogen,
  }: {
    readonly product: ChosenProduct;
    readonly measures: Measures;
    readonly nitrogen: (gPerM2: number) => string;
  },
): WorkingStep[] {
  const dose = product.dose(nitrogenGPerM2);
  if (!dose || nitrogenGPerM2 <= 0) return [];
  const { kgOfOne, one } = UNIT_OF_PRODUCT[measures.system];
  const holdsG = dose.nitrogenGPerKg * kgOfOne;
  return [
    {
      title: `As ${product.name}`,
      rows: [
        { name: `${one} of it holds`, value: `${summand(holdsG, measures)} of nitrogen` },
        {
          name: `of which ${formatPercent(dose.availability)} acts in the first season`,
          value: summand(holdsG * dose.availability, measures),
        },
        {
          name: 'Nitrogen to give ÷ that',
          value: `${nitrogen(nitrogenGPerM2)} ÷ ${summand(holdsG * dose.availability, measures)}`,
        },
      ],
      result: { name: product.name, value: measures.mass(dose.massFreshKg) },
      why: 'Its nitrogen becomes available as it rots; the model follows that for one season.',
    },
  ];
}

const UNIT_OF_PRODUCT = {
  metric: { one: '1 kg', kgOfOne: 1 },
  customary: { one: '1 lb', kgOfOne: KILOGRAMS_PER_POUND },
} as const;

/** How the planting dates were found. */
export function plantingWorking({ planting, today, rules }: BedPlan): WorkingStep[] {
  return planting.map((date: PlantingDate): WorkingStep => {
    const isSown = date.start === 'seedlings';
    return {
      title: isSown ? 'Sowing' : 'Planting out',
      rows: [
        {
          name: `In its first ${TRIAL_DAYS} days the crop may miss, of the nitrogen it needs`,
          value: formatPercent(Math.max(rules.harmlessShare, date.missedShareBare + rules.blamedShare)),
        },
        { name: 'On bare soil it would miss', value: formatPercent(date.missedShareBare) },
        { name: 'Here it misses', value: formatPercent(date.missedShare) },
      ],
      result: {
        name: isSown ? 'Sow from' : 'Plant from',
        value: date.day === null ? 'no week of the coming year' : dateNear(date.day, today),
      },
      why: 'The model tries a crop in each week of the coming year and takes the first week that is warm enough and in which it finds enough nitrogen.',
    };
  });
}
