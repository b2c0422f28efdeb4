import { type MaterialKind, clamp } from '../../ground/index.ts';
import type { OpinionSetting } from './carbon-feed.ts';
import { monthlyRateModifiers } from './five-pools.ts';

/**
 * The one-pool model of Henin and Dupuis (1945): dH/dt = K1 m - K2 H. Coefficients from memory; K1 is the share of
 * added carbon that becomes humus, the middle of its published range.
 */
export const ISOHUMIC_RANGES = {
  straw: [0.1, 0.2],
  greenManure: [0.1, 0.25],
  farmyardManure: [0.3, 0.4],
  matureCompost: [0.4, 0.5],
} as const;
export const HUMUS_LOSS_PER_YEAR_RANGE = [0.01, 0.03] as const;

const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2;

/** Wood counts as straw: the model knows nothing of it. */
const COEFFICIENT_BY_KIND: Readonly<Partial<Record<MaterialKind, number>>> = {
  green: middle(ISOHUMIC_RANGES.greenManure),
  manure: middle(ISOHUMIC_RANGES.farmyardManure),
  compost: middle(ISOHUMIC_RANGES.matureCompost),
};
export const isohumicCoefficient = (kind: MaterialKind): number =>
  COEFFICIENT_BY_KIND[kind] ?? middle(ISOHUMIC_RANGES.straw);

/**
 * Humus after so many years of an even addition: H = K1 m / K2 + (H0 - K1 m / K2) exp(-K2 t).
 *
 * @example
 * humusAfter({ humus: 10, madePerYear: 0.3, lossPerYear: 0.02, years: 20 }) // 11.6
 */
export function humusAfter({
  humus,
  madePerYear,
  lossPerYear,
  years,
}: {
  readonly humus: number;
  readonly madePerYear: number;
  readonly lossPerYear: number;
  readonly years: number;
}): number {
  const steady = madePerYear / lossPerYear;
  return steady + (humus - steady) * Math.exp(-lossPerYear * years);
}

/** Rothamsted-like: the rate modifier at which the loss is the middle of its range, and the clay likewise (set here). */
const MIDDLE_MODIFIER = 1;
const MIDDLE_CLAY_PCT = 23.4;
const CLAY_SPAN_PCT = 60;

/** K2 of a place, within its published range: lower with clay and cold (the slope is set here). */
export function humusLossPerYear({ climate, clayPct }: Pick<OpinionSetting, 'climate' | 'clayPct'>): number {
  const modifiers = monthlyRateModifiers(climate, clayPct);
  const warmth = modifiers.reduce((sum, one) => sum + one, 0) / modifiers.length / MIDDLE_MODIFIER;
  const byClay = 1 + (MIDDLE_CLAY_PCT - clayPct) / CLAY_SPAN_PCT;
  const [low, high] = HUMUS_LOSS_PER_YEAR_RANGE;
  return clamp(middle([low, high]) * warmth * byClay, low, high);
}

/** Humus carbon on the days asked for, g/m2. All carbon that is fed counts at once with its coefficient. */
export function isohumicOpinion(setting: OpinionSetting): number[] {
  const loss = humusLossPerYear(setting);
  const { openingCarbonG, startDay, inputs, lookDays } = setting;
  return lookDays.map((look) =>
    inputs.reduce(
      (sum, { day, kind, carbonG }) => {
        if (day >= look) return sum;
        const made = carbonG * isohumicCoefficient(kind);
        return (
          sum + humusAfter({ humus: made, madePerYear: 0, lossPerYear: loss, years: (look - day) / 365.25 })
        );
      },
      humusAfter({
        humus: openingCarbonG,
        madePerYear: 0,
        lossPerYear: loss,
        years: (look - startDay) / 365.25,
      }),
    ),
  );
}
