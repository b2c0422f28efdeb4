import type { Habit, HabitAct, LayAct } from '../../../records/habit.ts';

/** Habits to start from. Amounts are common practice, no source; every one can be changed. */
export const HABIT_TEMPLATE_IDS = [
  'nothing',
  'chipsOnly',
  'compostYearly',
  'compostAndChar',
  'manureUnderCard',
  'pathFactory',
  'coverCrops',
  'thinFeeding',
  'wholeProgram',
  'stack',
  'pullYearly',
  'rotate',
] as const;
export type HabitTemplateId = (typeof HABIT_TEMPLATE_IDS)[number];

const YEARLY = { everyYears: 1, fromYear: 1, untilYear: null } as const;
const SPRING = 3;
const EARLY_SUMMER = 6;
const AUTUMN = 10;
const LATE_AUTUMN = 11;

const lay = ({
  materialId,
  amount,
  unit,
  month,
  more = {},
}: {
  readonly materialId: string;
  readonly amount: number;
  readonly unit: LayAct['unit'];
  readonly month: number;
  readonly more?: Partial<LayAct>;
}): LayAct => ({
  type: 'lay',
  materialId,
  amount,
  unit,
  month,
  dugDepthCm: 0,
  seasonedMonths: 0,
  ...YEARLY,
  ...more,
});
const grow = (cropId: string, month: number, more: Partial<HabitAct> = {}): HabitAct =>
  ({ type: 'grow', cropId, month, ...YEARLY, ...more }) as HabitAct;

const COMPOST = lay({ materialId: 'compost_yard', amount: 2, unit: 'cm', month: SPRING });
/** Half a liter of charged char on a square metre, forked in: a first dose spread over some years. */
const CHAR = lay({
  materialId: 'biochar_charged',
  amount: 0.5,
  unit: 'litre',
  month: SPRING,
  more: { dugDepthCm: 10, untilYear: 10 },
});
const CHIPS = lay({
  materialId: 'chips_branch',
  amount: 5,
  unit: 'cm',
  month: AUTUMN,
  more: { seasonedMonths: 6 },
});
const MANURE_UNDER_CARD = [
  lay({ materialId: 'cattle_fym', amount: 10, unit: 'kg', month: LATE_AUTUMN, more: { everyYears: 3 } }),
  lay({ materialId: 'cardboard', amount: 0.8, unit: 'kg', month: LATE_AUTUMN, more: { everyYears: 3 } }),
  lay({ materialId: 'straw_cereal', amount: 8, unit: 'cm', month: LATE_AUTUMN, more: { everyYears: 3 } }),
];
/** What two and a half years under feet make of chips, lifted and spread. */
const PATH_CRUMBS = lay({
  materialId: 'chips_branch',
  amount: 2,
  unit: 'cm',
  month: SPRING,
  more: { seasonedMonths: 30, everyYears: 2 },
});
const THIN_LEAF = lay({ materialId: 'leaves_mixed', amount: 2, unit: 'cm', month: LATE_AUTUMN });
const CLIPPINGS = [4, 6, 8].map((month) =>
  lay({ materialId: 'grass_clippings', amount: 1, unit: 'cm', month }),
);

const ACTS: Readonly<Record<HabitTemplateId, readonly HabitAct[]>> = {
  nothing: [],
  chipsOnly: [CHIPS],
  compostYearly: [COMPOST],
  compostAndChar: [COMPOST, CHAR],
  manureUnderCard: MANURE_UNDER_CARD,
  pathFactory: [PATH_CRUMBS],
  coverCrops: [grow('phacelia', 4), grow('lupin', 6), grow('vetch_rye', AUTUMN)],
  thinFeeding: [
    lay({ materialId: 'compost_yard', amount: 0.5, unit: 'cm', month: SPRING }),
    ...CLIPPINGS,
    THIN_LEAF,
  ],
  wholeProgram: [
    ...MANURE_UNDER_CARD,
    CHAR,
    grow('vetch_rye', AUTUMN, { fromYear: 2, everyYears: 3 }),
    PATH_CRUMBS,
    lay({ materialId: 'worm_castings', amount: 2, unit: 'litre', month: EARLY_SUMMER }),
    THIN_LEAF,
  ],
  stack: [CHIPS],
  // A layer each autumn, pulled the autumn after, rotted for a year elsewhere and brought back.
  pullYearly: [
    { type: 'pull', month: AUTUMN, everyYears: 1, fromYear: 2, untilYear: null },
    CHIPS,
    lay({
      materialId: 'chips_branch',
      amount: 3,
      unit: 'cm',
      month: LATE_AUTUMN,
      more: { seasonedMonths: 18, fromYear: 3 },
    }),
  ],
  // Two years under chips, the third under clover with nothing laid.
  rotate: [
    lay({
      materialId: 'chips_branch',
      amount: 5,
      unit: 'cm',
      month: AUTUMN,
      more: { seasonedMonths: 6, everyYears: 3 },
    }),
    lay({
      materialId: 'chips_branch',
      amount: 5,
      unit: 'cm',
      month: AUTUMN,
      more: { seasonedMonths: 6, everyYears: 3, fromYear: 2 },
    }),
    grow('clover', 4, { everyYears: 3, fromYear: 3 }),
  ],
};

/** Three cover crops a year leave no room for anything else. */
const FILLS_THE_YEAR: ReadonlySet<HabitTemplateId> = new Set(['coverCrops']);

export const habitFromTemplate = (id: HabitTemplateId): Habit => ({
  acts: ACTS[id],
  keepsCrops: !FILLS_THE_YEAR.has(id),
});
