import type { CropDraft } from '../../records/crop.ts';
import type { AmountUnit, SoilExtraction, SoilFigureField } from '../../records/vocabulary.ts';
import type { BedGiven } from '../../records/bed.ts';

/** A day of the demo: years from this one, and month and day. */
export type DemoDay = readonly [year: number, monthDay: string];

export interface DemoLaying {
  readonly on: DemoDay;
  readonly material: string;
  /** Out of the stock. */
  readonly lot?: string;
  readonly amount: number;
  readonly unit: AmountUnit;
  readonly dugDepthCm?: number;
  readonly seasonedMonths?: number;
  readonly note?: string;
}

export interface DemoFeeding {
  readonly on: DemoDay;
  readonly nitrogenG: number;
  readonly note?: string;
}

export interface DemoTest {
  readonly on: DemoDay;
  /** Mineral nitrogen; null where the laboratory was not asked for it. */
  readonly kgPerHa: number | null;
  readonly extraction: SoilExtraction;
  readonly figures: Readonly<Partial<Record<SoilFigureField, number>>>;
  readonly ph: number;
  readonly organicMatterPct: number;
  readonly note: string;
}

export interface DemoPlanting {
  readonly crop: string;
  readonly from: DemoDay;
  readonly until: DemoDay | null;
}

export interface DemoBed {
  /** What is not given is as on most beds of this garden. */
  readonly bed: Pick<
    BedGiven,
    'name' | 'kind' | 'areaM2' | 'organicMatterPct' | 'clayPct' | 'rootZoneCm' | 'isWatered'
  > &
    Partial<BedGiven>;
  readonly laid: readonly DemoLaying[];
  readonly fed?: readonly DemoFeeding[];
  readonly tested?: readonly DemoTest[];
  readonly watered?: readonly { readonly on: DemoDay; readonly waterMm: number }[];
  readonly grown: readonly DemoPlanting[];
}

/** A crop that nobody else grows, seed saved here. */
export const DEMO_CROPS = [
  {
    id: 'demo-ternhollow-kale',
    name: 'Ternhollow tall kale',
    likeCropId: 'kale',
    nitrogenDemandGPerM2: 22,
    rootDepthCm: 75,
    daysInGround: 240,
    startsAs: null,
    warmth: 'hardy',
    yieldKgPerM2: 3,
    note: 'Shoulder high, stands the winter; own seed.',
  },
] as const satisfies readonly CropDraft[];

/** Materials the demo garden makes itself. Invented. */
export const DEMO_MATERIALS = [
  {
    id: 'demo-hazel-chips',
    name: 'Hazel coppice chips',
    basis: { type: 'chips', branchDiameterCm: 6, leafShare: 0.04, coniferShare: 0 },
    note: 'From the coppice behind the boathouse, cut in the leafless months.',
  },
  {
    id: 'demo-shelterbelt-chips',
    name: 'Shelterbelt chips, part spruce',
    basis: { type: 'chips', branchDiameterCm: 10, leafShare: 0.12, coniferShare: 0.55 },
    note: 'A trailer load every spring when the windbreak is thinned.',
  },
  {
    id: 'demo-goat-litter',
    name: 'Goat house litter',
    basis: {
      type: 'figures',
      likeMaterialId: 'sheep_manure',
      moistureFractionWetBasis: 0.6,
      carbonFractionDryBasis: 0.41,
      nitrogenFractionDryBasis: 0.021,
      bulkDensityKgPerM3: 480,
    },
    note: 'More straw in it than bought manure; weighed by the bucket.',
  },
] as const;

/** Eight beds of the invented Ternhollow garden on the invented island of Ossrey. */
export const DEMO_BEDS: readonly DemoBed[] = [
  {
    bed: {
      name: 'Ferry Strip',
      kind: 'annual',
      areaM2: 6.2,
      organicMatterPct: 4.1,
      clayPct: 24,
      rootZoneCm: 30,
      isWatered: true,
    },
    laid: [
      { on: [-2, '10-20'], material: 'compost_garden', amount: 3, unit: 'cm' },
      { on: [-1, '03-28'], material: 'compost_garden', amount: 2.5, unit: 'cm' },
      { on: [-1, '10-09'], material: 'demo-hazel-chips', amount: 6, unit: 'cm', seasonedMonths: 7 },
      { on: [0, '03-20'], material: 'compost_garden', amount: 2, unit: 'cm', note: 'Sieved over the chips.' },
      { on: [0, '10-12'], material: 'demo-hazel-chips', lot: 'demo-lot-hazel', amount: 4, unit: 'cm' },
      { on: [1, '03-22'], material: 'compost_garden', amount: 2.5, unit: 'cm' },
    ],
    fed: [{ on: [-1, '06-14'], nitrogenG: 22, note: 'Feather meal, watered in.' }],
    grown: [
      { crop: 'onion', from: [-2, '04-02'], until: [-2, '08-20'] },
      { crop: 'kale', from: [-1, '05-06'], until: [-1, '10-05'] },
      { crop: 'leek', from: [0, '04-24'], until: [0, '10-10'] },
      { crop: 'garlic', from: [0, '10-20'], until: [1, '07-08'] },
    ],
  },
  {
    bed: {
      name: 'Gourd Mound',
      kind: 'annual',
      areaM2: 4.5,
      organicMatterPct: 5,
      clayPct: 30,
      rootZoneCm: 30,
      isWatered: true,
    },
    laid: [
      { on: [-2, '11-02'], material: 'demo-goat-litter', amount: 1.5, unit: 'barrow85L' },
      { on: [-2, '11-02'], material: 'cardboard', amount: 4, unit: 'kg' },
      { on: [-2, '11-03'], material: 'straw_cereal', amount: 8, unit: 'cm' },
      { on: [-1, '11-06'], material: 'demo-goat-litter', amount: 1.5, unit: 'barrow85L' },
      {
        on: [-1, '11-06'],
        material: 'cardboard',
        amount: 4,
        unit: 'kg',
        note: 'Overlapped by a hand and a half.',
      },
      { on: [-1, '11-07'], material: 'demo-hazel-chips', amount: 5, unit: 'cm', seasonedMonths: 8 },
      { on: [0, '11-08'], material: 'demo-goat-litter', amount: 1.5, unit: 'barrow85L' },
      { on: [0, '11-08'], material: 'cardboard', amount: 4, unit: 'kg' },
      { on: [0, '11-09'], material: 'straw_cereal', amount: 8, unit: 'cm' },
    ],
    grown: [
      { crop: 'pumpkin', from: [-1, '05-25'], until: [-1, '10-01'] },
      { crop: 'pumpkin', from: [0, '05-24'], until: [0, '10-03'] },
      { crop: 'pumpkin', from: [1, '05-25'], until: [1, '10-01'] },
    ],
  },
  {
    bed: {
      name: 'Char Bed',
      kind: 'raised',
      areaM2: 3.6,
      organicMatterPct: 4.6,
      clayPct: 18,
      rootZoneCm: 30,
      isWatered: true,
    },
    laid: [
      { on: [-2, '03-30'], material: 'biochar_charged', amount: 3, unit: 'bucket10L', dugDepthCm: 15 },
      { on: [-2, '03-30'], material: 'compost_manure', amount: 12, unit: 'bucket10L', dugDepthCm: 15 },
      { on: [-1, '03-26'], material: 'biochar_charged', amount: 3, unit: 'bucket10L', dugDepthCm: 10 },
      { on: [-1, '03-26'], material: 'compost_manure', amount: 10, unit: 'bucket10L', dugDepthCm: 10 },
      { on: [0, '03-29'], material: 'compost_manure', amount: 10, unit: 'bucket10L' },
      { on: [1, '03-28'], material: 'biochar_charged', amount: 2, unit: 'bucket10L', dugDepthCm: 10 },
      { on: [1, '03-28'], material: 'compost_manure', amount: 10, unit: 'bucket10L' },
    ],
    grown: [
      { crop: 'beetroot', from: [-2, '04-24'], until: [-2, '08-20'] },
      { crop: 'tomato', from: [-1, '05-28'], until: [-1, '10-08'] },
      { crop: 'beetroot', from: [0, '04-18'], until: [0, '08-18'] },
      { crop: 'turnip', from: [0, '08-22'], until: [0, '11-20'] },
      { crop: 'pepper', from: [1, '05-28'], until: [1, '10-08'] },
    ],
  },
  {
    bed: {
      name: 'Sawpit Corner',
      kind: 'annual',
      areaM2: 8,
      organicMatterPct: 3.2,
      clayPct: 12,
      rootZoneCm: 30,
      isWatered: false,
    },
    laid: [
      { on: [-2, '04-06'], material: 'compost_yard', amount: 3, unit: 'cm' },
      {
        on: [0, '03-14'],
        material: 'sawdust_softwood',
        amount: 16,
        unit: 'bucket10L',
        dugDepthCm: 20,
        note: 'Dug in before we knew better.',
      },
      { on: [1, '03-18'], material: 'compost_yard', amount: 4, unit: 'cm' },
    ],
    tested: [
      {
        on: [-2, '03-04'],
        kgPerHa: null,
        extraction: 'olsen',
        figures: { phosphorusMgPerKg: 14, potassiumMgPerKg: 96, magnesiumMgPerKg: 58 },
        ph: 5.9,
        organicMatterPct: 3.1,
        note: 'First test of this ground.',
      },
      {
        on: [0, '02-24'],
        kgPerHa: 19,
        extraction: 'olsen',
        figures: {
          phosphorusMgPerKg: 21,
          potassiumMgPerKg: 112,
          magnesiumMgPerKg: 63,
          calciumMgPerKg: 1180,
          zincMgPerKg: 2.4,
          boronMgPerKg: 0.7,
          conductivityDsPerM: 0.22,
          cationExchangeCmolPerKg: 9.6,
          sandPct: 60,
          siltPct: 27,
          clayPct: 13,
        },
        ph: 6.1,
        organicMatterPct: 3.3,
        note: 'Sample of fifteen cores, sent to the laboratory at Quill Harbor.',
      },
    ],
    watered: [{ on: [0, '05-02'], waterMm: 15 }],
    grown: [
      { crop: 'potato', from: [-2, '04-20'], until: [-2, '08-25'] },
      { crop: 'pea', from: [-1, '03-30'], until: [-1, '07-10'] },
      { crop: 'sweetcorn', from: [0, '05-16'], until: [0, '09-12'] },
      { crop: 'trefoil', from: [0, '06-25'], until: [0, '09-12'] },
      { crop: 'clover', from: [0, '09-16'], until: [1, '04-20'] },
      { crop: 'potato', from: [1, '04-26'], until: [1, '08-28'] },
    ],
  },
  {
    bed: {
      name: 'Currant Line',
      kind: 'shrubs',
      areaM2: 9.5,
      organicMatterPct: 4.4,
      clayPct: 22,
      rootZoneCm: 40,
      isWatered: false,
    },
    laid: [
      { on: [-2, '03-08'], material: 'demo-shelterbelt-chips', amount: 8, unit: 'cm' },
      { on: [-1, '03-12'], material: 'demo-shelterbelt-chips', amount: 5, unit: 'cm' },
      { on: [0, '03-10'], material: 'demo-shelterbelt-chips', amount: 5, unit: 'cm' },
      { on: [1, '03-10'], material: 'demo-shelterbelt-chips', amount: 5, unit: 'cm' },
    ],
    grown: [{ crop: 'currant', from: [-2, '03-01'], until: null }],
  },
  {
    bed: {
      name: 'Hazel Ring',
      kind: 'treeRing',
      areaM2: 3.1,
      organicMatterPct: 3.8,
      clayPct: 22,
      rootZoneCm: 40,
      isWatered: false,
    },
    laid: [
      { on: [-2, '11-20'], material: 'leaves_mixed', amount: 12, unit: 'cm' },
      { on: [-1, '11-22'], material: 'leaves_mixed', amount: 12, unit: 'cm' },
      { on: [0, '11-21'], material: 'leaves_mixed', amount: 12, unit: 'cm' },
    ],
    grown: [{ crop: 'hazel', from: [-2, '03-01'], until: null }],
  },
  {
    bed: {
      name: 'Nursery Frame',
      kind: 'seedbed',
      areaM2: 2.4,
      organicMatterPct: 6.5,
      clayPct: 16,
      rootZoneCm: 25,
      isWatered: true,
    },
    laid: [
      { on: [-2, '03-16'], material: 'leaf_mould', amount: 4, unit: 'cm' },
      { on: [-1, '03-14'], material: 'worm_castings', amount: 4, unit: 'bucket10L' },
      { on: [0, '03-12'], material: 'worm_castings', amount: 4, unit: 'bucket10L' },
      { on: [1, '03-12'], material: 'leaf_mould', amount: 3, unit: 'cm' },
    ],
    grown: [
      { crop: 'spinach', from: [-2, '03-28'], until: [-2, '05-30'] },
      { crop: 'turnip', from: [-1, '04-04'], until: [-1, '06-20'] },
      { crop: 'spinach', from: [0, '03-30'], until: [0, '06-04'] },
      { crop: 'phacelia', from: [0, '08-20'], until: [0, '12-01'] },
      { crop: 'spinach', from: [1, '03-28'], until: [1, '05-30'] },
    ],
  },
  {
    bed: {
      name: 'Boathouse Path',
      kind: 'path',
      areaM2: 11,
      organicMatterPct: 2.8,
      clayPct: 24,
      rootZoneCm: 20,
      isWatered: false,
      exposure: 'dry',
    },
    laid: [
      { on: [-2, '02-20'], material: 'cardboard', amount: 8, unit: 'kg' },
      { on: [-2, '02-20'], material: 'demo-shelterbelt-chips', amount: 10, unit: 'cm' },
      { on: [-1, '03-01'], material: 'demo-shelterbelt-chips', amount: 2.5, unit: 'cm' },
      { on: [0, '03-02'], material: 'demo-shelterbelt-chips', amount: 2.5, unit: 'cm' },
      { on: [1, '03-02'], material: 'demo-shelterbelt-chips', amount: 2.5, unit: 'cm' },
    ],
    grown: [],
  },
];
