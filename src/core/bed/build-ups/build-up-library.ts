import type { BuildUp, BuildUpLayer } from './build-up.ts';

/**
 * Build-ups from the soil upwards. Thicknesses and waits are common practice, no source, where a range is usual its
 * middle; the year of the deep clay rescue and the share of ground a trench takes are our estimates.
 */
const layer = (
  materialId: string,
  thicknessCm: number,
  rest: Partial<Omit<BuildUpLayer, 'materialId' | 'thicknessCm'>> = {},
): BuildUpLayer => ({ materialId, thicknessCm, dugDepthCm: 0, seasonedMonths: 0, afterDays: 0, ...rest });

const days = (count: number) => ({ until: 'days', days: count }) as const;
const NONE = { until: 'none' } as const;

const SEASONED = { seasonedMonths: 12 };
/** One layer of corrugated card, overlapped a hand and a half: 0.8 kg/m2 at the library's bulk density. */
const CARD = layer('cardboard', 0.7);
const YEAR = 365;

export const BUILD_UPS: readonly BuildUp[] = [
  {
    id: 'chipMulchAnnuals',
    purpose: 'coverNow',
    layers: [layer('compost_garden', 3.5), layer('chips_mixed', 6, SEASONED)],
    wait: NONE,
    suits: ['annual', 'raised'],
    notes: ['sowIntoCompost'],
  },
  {
    id: 'chipMulchTrees',
    purpose: 'coverNow',
    layers: [layer('chips_mixed', 12)],
    wait: NONE,
    suits: ['treeRing', 'shrubs', 'perennial'],
    notes: ['clearOfTrunk'],
  },
  {
    id: 'thinFeedingMulch',
    purpose: 'coverNow',
    layers: [layer('compost_garden', 1), layer('leaves_mixed', 3), layer('grass_clippings', 1)],
    wait: NONE,
    suits: ['annual', 'raised', 'perennial', 'shrubs'],
    notes: ['thinTopUp'],
  },
  {
    id: 'fungalMulch',
    purpose: 'coverNow',
    layers: [layer('chips_mixed', 4.5), layer('grass_clippings', 1.5), layer('chips_mixed', 1)],
    wait: NONE,
    suits: ['perennial', 'shrubs', 'treeRing'],
    notes: ['soakOnce'],
  },
  {
    id: 'freshChipStopgap',
    purpose: 'coverNow',
    layers: [layer('compost_garden', 1), layer('grass_clippings', 2), layer('chips_mixed', 6)],
    wait: days(28),
    suits: ['annual', 'raised'],
    notes: ['nitrogenBelowWood'],
  },
  {
    id: 'winterCover',
    purpose: 'coverNow',
    layers: [layer('chips_mixed', 3.5, SEASONED), layer('compost_garden', 1)],
    wait: { until: 'spring' },
    suits: ['annual', 'raised', 'seedbed'],
    notes: ['autumnWork'],
  },
  {
    id: 'clayRescue',
    purpose: 'soilLater',
    layers: [layer('chips_mixed', 10), layer('leaf_mould', 0.5)],
    wait: { until: 'spring' },
    suits: ['annual', 'resting'],
    notes: ['autumnWork', 'holesOnClay'],
  },
  {
    id: 'clayRescueDeep',
    purpose: 'soilLater',
    layers: [layer('chips_mixed', 45), layer('leaf_mould', 0.5)],
    wait: days(YEAR),
    suits: ['resting'],
    notes: ['autumnWork', 'raiseClay'],
  },
  {
    id: 'manureUnderCard',
    purpose: 'soilLater',
    // 3 cm is some 20 kg/m2, what a crop of the next year can use (tests/anchors, manure under card).
    layers: [layer('cattle_fym', 3), CARD, layer('straw_cereal', 8)],
    wait: days(90),
    suits: ['annual', 'resting'],
    notes: ['autumnWork', 'cardOverlap', 'holesOnClay'],
  },
  {
    id: 'sheetMulch',
    purpose: 'soilLater',
    layers: [
      layer('horse_bedding', 2),
      CARD,
      layer('leaves_mixed', 5),
      layer('grass_clippings', 5),
      layer('straw_cereal', 5),
      layer('veg_waste', 5),
      layer('compost_garden', 9),
    ],
    wait: days(180),
    suits: ['resting', 'annual'],
    notes: ['cardOverlap', 'soakOnce', 'holesOnClay'],
  },
  {
    id: 'pathStore',
    purpose: 'soilLater',
    layers: [CARD, layer('chips_mixed', 10), layer('chips_mixed', 2.5, { afterDays: YEAR })],
    wait: { until: 'never' },
    suits: ['path'],
    notes: ['relayEveryThirdYear', 'holesOnClay'],
  },
  {
    id: 'castingsTrench',
    purpose: 'soilLater',
    // A trench 15 cm deep and wide in every 75 cm takes a fifth of the ground: 3 cm over the whole bed.
    layers: [
      layer('worm_castings', 1.2, { dugDepthCm: 15 }),
      layer('leaf_mould', 1.8, { dugDepthCm: 15 }),
      layer('straw_cereal', 8),
    ],
    wait: NONE,
    suits: ['annual'],
    notes: ['moveTrench'],
  },
  {
    id: 'buriedWood',
    purpose: 'soilLater',
    layers: [
      layer('log_wood', 8, { dugDepthCm: 30 }),
      layer('straw_cereal', 6, { dugDepthCm: 15 }),
      layer('veg_waste', 3, { dugDepthCm: 15 }),
    ],
    wait: days(150),
    suits: ['raised', 'resting'],
    notes: ['soilOnTop', 'slowWorkOnly'],
  },
  {
    id: 'stackForYears',
    purpose: 'soilLater',
    layers: [
      layer('leaves_mixed', 5),
      layer('chips_mixed', 5, { afterDays: YEAR }),
      layer('leaves_mixed', 5, { afterDays: 2 * YEAR }),
    ],
    wait: days(2 * YEAR),
    suits: ['resting', 'perennial'],
    notes: ['layerEveryYear'],
  },
  {
    id: 'dugInFreshWood',
    purpose: 'soilLater',
    layers: [layer('chips_branch', 4, { dugDepthCm: 20 })],
    wait: { until: 'deficitCovered' },
    suits: ['resting'],
    notes: ['onlyHopelessClay'],
  },
];

export const findBuildUp = (id: string): BuildUp | undefined => BUILD_UPS.find((one) => one.id === id);
