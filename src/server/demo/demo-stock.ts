import type { LotRecord } from '../../records/lot.ts';
import type { MovementDraft } from '../../records/movement.ts';
import { dayNumberFromIso, isoDateOf } from '../../core/ground/index.ts';
import type { Stores } from '../stores.ts';

type DemoLot = Pick<LotRecord, 'id' | 'name' | 'form'> &
  Partial<Pick<LotRecord, 'keeping' | 'isTurned' | 'isHot' | 'reserveL' | 'note'>>;

type Dated<T> = T extends unknown
  ? Omit<T, 'id' | 'date' | 'state' | 'note'> & { readonly note?: string }
  : never;
/** A movement, so many days before today; below 0 it is planned. */
type DemoMovement = Dated<MovementDraft> & { readonly daysAgo: number };

/** What lies in the yard of the invented garden. */
const LOTS: readonly DemoLot[] = [
  { id: 'demo-lot-hazel', name: 'Hazel chips by the gate', form: 'pile', keeping: 'open', reserveL: 200 },
  {
    id: 'demo-lot-shelterbelt',
    name: 'New shelterbelt chips',
    form: 'pile',
    keeping: 'open',
    note: 'Still warm when they were tipped.',
  },
  { id: 'demo-lot-goat', name: 'Goat litter', form: 'heap', keeping: 'covered' },
  { id: 'demo-lot-clippings', name: 'Meadow clippings', form: 'heap', keeping: 'covered' },
  { id: 'demo-lot-heap', name: 'Spring heap', form: 'heap', keeping: 'covered', isTurned: true, isHot: true },
  { id: 'demo-lot-leaves', name: 'Leaf cage', form: 'bin', keeping: 'open', note: 'For leaf mould.' },
  { id: 'demo-lot-compost', name: 'Last year’s compost', form: 'heap', keeping: 'covered' },
  { id: 'demo-lot-poles', name: 'Dry alder poles', form: 'pile', keeping: 'roofed' },
  { id: 'demo-lot-char', name: 'Alder char', form: 'drum', keeping: 'shut' },
  { id: 'demo-lot-charged', name: 'Charged alder char', form: 'bin', keeping: 'covered' },
  { id: 'demo-lot-ash', name: 'Stove ash', form: 'drum', keeping: 'shut', note: 'Sieved, dry, lid on.' },
  { id: 'demo-lot-feather', name: 'Feather meal', form: 'bag', keeping: 'shut' },
];

const receive = ({
  lotId,
  materialId,
  daysAgo,
  amount,
  unit,
  more = {},
}: {
  readonly lotId: string;
  readonly materialId: string;
  readonly daysAgo: number;
  readonly amount: number;
  readonly unit: 'barrow85L' | 'kg' | 'litre' | 'cubicMetre';
  readonly more?: Partial<Extract<DemoMovement, { type: 'receive' }>>;
}): DemoMovement => ({
  type: 'receive',
  lotId,
  materialId,
  daysAgo,
  amount,
  unit,
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  seasonedMonths: 0,
  ...more,
});

const NOTHING_READ = {
  type: 'reading',
  temperatureC: null,
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  carbonFractionDryBasis: null,
  nitrogenFractionDryBasis: null,
} as const;

const HEAP_PROBED: readonly [daysAgo: number, temperatureC: number][] = [
  [46, 34],
  [44, 57],
  [42, 62],
  [39, 60],
  [36, 61],
  [33, 58],
  [30, 56],
  [27, 52],
  [22, 47],
  [15, 41],
  [6, 34],
];

const MOVEMENTS: readonly DemoMovement[] = [
  receive({
    lotId: 'demo-lot-leaves',
    materialId: 'leaves_mixed',
    daysAgo: 190,
    amount: 1.6,
    unit: 'cubicMetre',
    more: { note: 'Raked along the sea wall.' },
  }),
  receive({
    lotId: 'demo-lot-hazel',
    materialId: 'demo-hazel-chips',
    daysAgo: 176,
    amount: 3.4,
    unit: 'cubicMetre',
    more: {
      note: 'Two days with the chipper.',
    },
  }),
  {
    ...NOTHING_READ,
    lotId: 'demo-lot-hazel',
    daysAgo: 176,
    moistureFractionWetBasis: 0.48,
    bulkDensityKgPerM3: 296,
    note: 'A 10 L bucket weighed 2.96 kg net.',
  },
  receive({
    lotId: 'demo-lot-compost',
    materialId: 'compost_garden',
    daysAgo: 160,
    amount: 9,
    unit: 'barrow85L',
    more: { note: 'From the old bays.' },
  }),
  receive({
    lotId: 'demo-lot-poles',
    materialId: 'log_wood',
    daysAgo: 150,
    amount: 260,
    unit: 'kg',
    more: {
      moistureFractionWetBasis: 0.22,
      note: 'Split and stacked last summer.',
    },
  }),
  receive({ lotId: 'demo-lot-feather', materialId: 'feather_meal', daysAgo: 90, amount: 20, unit: 'kg' }),
  receive({
    lotId: 'demo-lot-ash',
    materialId: 'wood_ash',
    daysAgo: 70,
    amount: 14,
    unit: 'kg',
    more: {
      note: 'A winter of the kitchen stove, clean alder and hazel.',
    },
  }),
  {
    type: 'burn',
    lotId: 'demo-lot-char',
    daysAgo: 62,
    feedstock: [{ lotId: 'demo-lot-poles', materialId: null, amount: 120, unit: 'kg' }],
    charTemperature: 'high',
    yield: { amount: 110, unit: 'litre', moistureFractionWetBasis: 0.35 },
    unburntShare: 0.04,
    log: {
      method: 'conePit',
      isOneThickness: true,
      dryness: 'dry',
      quench: 'water',
      quenchWaterL: 240,
      coldCheckedOn: null,
      isMagnetPassed: true,
      steps: [],
    },
    note: 'Still air after rain; quenched to the bottom, cold next morning.',
  },
  { type: 'crush', lotId: 'demo-lot-char', daysAgo: 60, fineness: 'pea' },
  {
    type: 'make',
    lotId: 'demo-lot-charged',
    daysAgo: 55,
    ingredients: [
      { lotId: 'demo-lot-char', materialId: null, amount: 60, unit: 'litre' },
      { lotId: 'demo-lot-compost', materialId: null, amount: 240, unit: 'litre' },
      { lotId: null, materialId: 'urine', amount: 6, unit: 'litre' },
    ],
    waterL: 10,
    isLayered: false,
    chargeRecipe: 'compostBlend',
    readyOn: null,
  },
  receive({
    lotId: 'demo-lot-goat',
    materialId: 'demo-goat-litter',
    daysAgo: 50,
    amount: 9,
    unit: 'barrow85L',
    more: { note: 'Mucked out in one morning.' },
  }),
  {
    type: 'make',
    lotId: 'demo-lot-heap',
    daysAgo: 46,
    ingredients: [
      { lotId: 'demo-lot-hazel', materialId: null, amount: 9, unit: 'barrow85L' },
      { lotId: 'demo-lot-goat', materialId: null, amount: 6, unit: 'barrow85L' },
      { lotId: null, materialId: 'weeds_fresh', amount: 3, unit: 'barrow85L' },
    ],
    waterL: 60,
    isLayered: true,
    chargeRecipe: null,
    readyOn: null,
  },
  ...HEAP_PROBED.map(([daysAgo, temperatureC]): DemoMovement => ({
    ...NOTHING_READ,
    lotId: 'demo-lot-heap',
    daysAgo,
    temperatureC,
  })),
  { type: 'turn', lotId: 'demo-lot-heap', daysAgo: 37 },
  { type: 'turn', lotId: 'demo-lot-heap', daysAgo: 28 },
  { type: 'turn', lotId: 'demo-lot-heap', daysAgo: 14 },
  { type: 'water', lotId: 'demo-lot-heap', daysAgo: 28, waterL: 40 },
  { type: 'sign', lotId: 'demo-lot-heap', daysAgo: 6, signs: ['earthySmell', 'whiteThreads'] },
  receive({
    lotId: 'demo-lot-shelterbelt',
    materialId: 'demo-shelterbelt-chips',
    daysAgo: 16,
    amount: 4.2,
    unit: 'cubicMetre',
    more: {
      note: 'The spring trailer load.',
    },
  }),
  receive({
    lotId: 'demo-lot-clippings',
    materialId: 'grass_clippings',
    daysAgo: 3,
    amount: 5,
    unit: 'barrow85L',
    more: {
      note: 'First cut of the orchard meadow, no weedkiller used.',
    },
  }),
  {
    type: 'takeOut',
    lotId: 'demo-lot-compost',
    daysAgo: 30,
    amount: 2,
    unit: 'barrow85L',
    reason: 'given',
    note: 'To the ferry keeper.',
  },
  receive({
    lotId: 'demo-lot-hazel',
    materialId: 'demo-hazel-chips',
    daysAgo: -200,
    amount: 2.5,
    unit: 'cubicMetre',
    more: {
      note: 'Coppice work next winter.',
    },
  }),
];

/** Puts the stock of the demo garden into its stores. */
export function stockDemoGarden(stores: Stores, gardenId: string, today: string): void {
  for (const lot of LOTS) {
    stores.lots.insert({
      keeping: 'open',
      isTurned: false,
      isHot: false,
      reserveL: 0,
      note: '',
      ...lot,
      gardenId,
    });
  }
  const day = dayNumberFromIso(today, ['today']);
  MOVEMENTS.forEach(({ daysAgo, note = '', ...movement }, i) => {
    stores.movements.insert({
      ...movement,
      id: `demo-movement-${i + 1}`,
      gardenId,
      note,
      date: isoDateOf(day - daysAgo),
      ...(movement.type === 'burn'
        ? { log: { ...movement.log, coldCheckedOn: isoDateOf(day - daysAgo + 1) } }
        : {}),
      state: daysAgo >= 0 ? 'laid' : 'planned',
    });
  });
  stores.labResults.insert({
    id: 'demo-lab-goat',
    gardenId,
    materialId: 'demo-goat-litter',
    date: isoDateOf(day - 52),
    laboratory: 'Island school laboratory',
    moistureFractionWetBasis: 0.63,
    carbonFractionDryBasis: 0.405,
    nitrogenFractionDryBasis: 0.0225,
    ammoniumShareOfNitrogen: 0.14,
    bulkDensityKgPerM3: null,
    note: 'Sampled at mucking out.',
  });
  stores.recipes.insert({
    id: 'demo-recipe-heap',
    gardenId,
    name: 'Three barrows of chips, two of litter, one of weeds',
    purpose: 'hotCompost',
    ingredients: [
      { lotId: null, materialId: 'demo-hazel-chips', amount: 3, unit: 'barrow85L' },
      { lotId: null, materialId: 'demo-goat-litter', amount: 2, unit: 'barrow85L' },
      { lotId: null, materialId: 'weeds_fresh', amount: 1, unit: 'barrow85L' },
    ],
    waterL: 20,
    isLayered: true,
    note: 'Heats well.',
  });
}
