import type { HabitRecord } from '../../records/habit.ts';

const EVERY_SECOND = { everyYears: 2, fromYear: 1, untilYear: null, dugDepthCm: 0 } as const;

/** What the invented gardeners mean to do from now on. */
export const DEMO_HABITS: readonly Pick<HabitRecord, 'id' | 'name' | 'keepsCrops' | 'acts' | 'note'>[] = [
  {
    id: 'demo-habit-goat-hazel',
    name: 'Goat litter under hazel',
    keepsCrops: true,
    note: 'What the yard gives without buying anything.',
    acts: [
      {
        ...EVERY_SECOND,
        type: 'lay',
        materialId: 'demo-goat-litter',
        amount: 6,
        unit: 'kg',
        seasonedMonths: 4,
        month: 11,
      },
      {
        ...EVERY_SECOND,
        type: 'lay',
        materialId: 'demo-hazel-chips',
        amount: 3,
        unit: 'cm',
        seasonedMonths: 8,
        month: 11,
      },
    ],
  },
];
