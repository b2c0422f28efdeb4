/** Bodies to start from. A test sends them one after the other, so that each may lean on those before it. */

const garden = {
  name: 'Back plot',
  place: '',
  climate: {
    temperatureC: [5, 6, 8, 11, 14, 17, 20, 20, 17, 12, 8, 5],
    rainMm: [95, 75, 70, 60, 55, 50, 40, 45, 60, 85, 100, 105],
    evapotranspirationMm: [12, 20, 42, 65, 95, 112, 125, 105, 68, 36, 16, 10],
  },
  location: null,
  depositionGPerM2Year: 1,
  measures: 'metric',
  school: 'byDepth',
  feedMaterialId: 'feather_meal',
  prices: null,
};

const bed = {
  name: 'By the wall',
  kind: 'annual',
  areaM2: 6,
  organicMatterPct: 4,
  bulkDensityGPerCm3: 1.2,
  clayPct: 20,
  rootZoneCm: 30,
  exposure: 'normal',
  isWatered: true,
  note: '',
};

const material = {
  name: 'Chips of the hedge',
  basis: { type: 'chips', branchDiameterCm: 3, leafShare: 0.2, coniferShare: 0 },
  note: '',
};

const crop = { name: 'Long leek', likeCropId: 'leek', note: '' };

const labResult = {
  materialId: 'hedge-chips',
  date: '2026-04-20',
  laboratory: 'the county',
  moistureFractionWetBasis: 0.45,
  carbonFractionDryBasis: 0.48,
  nitrogenFractionDryBasis: 0.007,
  ammoniumShareOfNitrogen: null,
  bulkDensityKgPerM3: 280,
  note: '',
};

const habit = {
  name: 'Straw every spring',
  note: '',
  keepsCrops: true,
  acts: [
    {
      type: 'lay',
      month: 4,
      everyYears: 1,
      fromYear: 1,
      untilYear: null,
      materialId: 'straw_cereal',
      amount: 4,
      unit: 'cm',
      dugDepthCm: 0,
      seasonedMonths: 0,
    },
  ],
};

const straw = {
  type: 'lay',
  state: 'laid',
  date: '2026-05-02',
  materialId: 'straw_cereal',
  lotId: null,
  amount: 4,
  unit: 'cm',
  dugDepthCm: 0,
  seasonedMonths: 0,
  note: '',
};

const fed = {
  type: 'feed',
  state: 'laid',
  date: '2026-05-10',
  nitrogenG: 20,
  note: '',
};

const leeks = {
  state: 'laid',
  cropId: 'leek',
  plantedOn: '2026-05-10',
  clearedOn: '2026-11-20',
  nitrogenDemandGPerM2: 18,
  rootDepthCm: 40,
  startsAs: 'transplant',
  areaShare: 1,
  isUndersown: false,
  note: '',
};

const seen = {
  kind: 'observation',
  date: '2026-05-12',
  bedId: 'back-plot-1',
  plantingId: 'back-plot-leeks',
  photoId: null,
  observed: { type: 'growth', vigor: 'steady' },
  note: 'after the rain',
};

const pile = {
  name: 'Straw by the gate',
  form: 'pile',
  keeping: 'covered',
  isTurned: false,
  isHot: false,
  note: '',
};

const delivery = {
  type: 'receive',
  state: 'laid',
  date: '2026-05-01',
  lotId: 'gate-straw',
  materialId: 'straw_cereal',
  amount: 0.8,
  unit: 'cubicMetre',
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  seasonedMonths: 0,
  note: '',
};

const nothingOfABed = { creates: [], changes: [], removals: [], restores: [], order: [] };

/** What stands for the names in braces of a path. */
export const EXAMPLE_IDS: Readonly<Record<string, string>> = {
  gardenId: 'back-plot',
  bedId: 'back-plot-1',
  entryId: 'back-plot-straw',
  plantingId: 'back-plot-leeks',
  materialId: 'hedge-chips',
  cropId: 'long-leek',
  labResultId: 'hedge-chips-analyzed',
  habitId: 'straw-yearly',
  lotId: 'gate-straw',
  movementId: 'gate-straw-came',
  recordId: 'back-plot-seen',
  buildUpId: 'card-and-straw',
  recipeId: 'half-and-half',
  photoId: 'back-plot-leaf',
  feedId: 'on-the-phone',
  personId: 'robin',
  visitId: '0b0c2f9e-4c57-4d6e-9a56-3f3a5a6a1f11',
  importId: 'gauge-by-the-gate',
  sampleId: '1',
  book: 'entries',
  name: '2026-05-14_080000-00.manual.sqlite',
  file: 'secret-of-the-feed.ics',
};

export const EXAMPLES: Readonly<Record<string, unknown>> = {
  'POST /api/session': { passphrase: 'four words are easily kept' },
  'POST /api/gardens': { id: 'back-plot', ...garden },
  'PUT /api/gardens/{gardenId}': { version: 1, ...garden, place: 'behind the house' },
  'POST /api/gardens/begun': {
    garden: { id: 'front-plot', ...garden, name: 'Front plot' },
    bed: { id: 'front-plot-1', ...bed },
    entry: { id: 'front-plot-straw', ...straw },
    planting: { id: 'front-plot-leeks', ...leeks },
  },
  'POST /api/gardens/{gardenId}/beds': { id: 'back-plot-1', ...bed },
  'PUT /api/beds/{bedId}': { version: 1, ...bed, areaM2: 6.4 },
  'POST /api/gardens/{gardenId}/beds/several': {
    beds: [
      { id: 'back-plot-path', ...bed, name: 'Path along the wall', kind: 'path', isWatered: false },
      { id: 'back-plot-2', ...bed, name: 'By the hedge' },
    ],
  },
  'POST /api/gardens/{gardenId}/materials': { id: 'hedge-chips', ...material },
  'PUT /api/materials/{materialId}': { version: 1, ...material, note: 'the thin ends' },
  'POST /api/gardens/{gardenId}/crops': { id: 'long-leek', ...crop },
  'PUT /api/crops/{cropId}': { version: 1, ...crop, daysInGround: 200 },
  'POST /api/gardens/{gardenId}/lab-results': { id: 'hedge-chips-analyzed', ...labResult },
  'PUT /api/lab-results/{labResultId}': { version: 1, ...labResult, moistureFractionWetBasis: 0.42 },
  'POST /api/gardens/{gardenId}/habits': { id: 'straw-yearly', ...habit },
  'PUT /api/habits/{habitId}': { version: 1, ...habit, note: 'from the neighbor' },
  'POST /api/gardens/{gardenId}/build-ups': {
    id: 'card-and-straw',
    name: 'Card under straw',
    layers: [
      { materialId: 'cardboard', thicknessCm: 0.5, dugDepthCm: 0, seasonedMonths: 0 },
      { materialId: 'straw_cereal', thicknessCm: 10, dugDepthCm: 0, seasonedMonths: 0 },
    ],
    waitDays: 0,
    note: '',
  },
  'POST /api/gardens/{gardenId}/recipes': {
    id: 'half-and-half',
    name: 'Straw and clippings',
    purpose: 'hotCompost',
    ingredients: [
      { lotId: null, materialId: 'straw_cereal', amount: 2, unit: 'barrow85L' },
      { lotId: null, materialId: 'grass_clippings', amount: 1, unit: 'barrow85L' },
    ],
    waterL: 20,
    isLayered: true,
    note: '',
  },
  'POST /api/gardens/{gardenId}/feeds': { name: 'On the phone' },
  'POST /api/gardens/{gardenId}/people': {
    id: 'robin',
    name: 'Robin',
    role: 'helper',
    passphrase: 'rakes lean on the wall',
  },
  'PUT /api/people/{personId}': { role: 'reader' },
  'POST /api/gardens/{gardenId}/links': { name: 'For the neighbors' },
  'POST /api/beds/{bedId}/entries': { id: 'back-plot-straw', ...straw },
  'PUT /api/entries/{entryId}': { version: 1, ...straw, amount: 5 },
  'POST /api/beds/{bedId}/plantings': { id: 'back-plot-leeks', ...leeks },
  'PUT /api/plantings/{plantingId}': { version: 1, ...leeks, plantedOn: '2026-05-11' },
  'POST /api/beds/{bedId}/revisions': {
    ...nothingOfABed,
    creates: [{ id: 'back-plot-fed', ...fed }],
    changes: [{ id: 'back-plot-straw', version: 2, ...straw, amount: 6 }],
  },
  'POST /api/gardens/{gardenId}/plans': {
    beds: [
      {
        bedId: 'back-plot-2',
        entries: {
          ...nothingOfABed,
          creates: [{ id: 'hedge-straw', ...straw, state: 'planned', date: '2026-06-01' }],
        },
        plantings: { creates: [{ id: 'hedge-leeks', ...leeks }], removals: [], restores: [] },
      },
    ],
  },
  'POST /api/gardens/{gardenId}/stock': {
    materials: [],
    lots: [{ id: 'gate-straw', ...pile }],
    movements: [{ id: 'gate-straw-came', ...delivery }],
    changes: [],
  },
  'PUT /api/lots/{lotId}': { version: 1, ...pile, keeping: 'roofed' },
  'PUT /api/movements/{movementId}': { version: 1, ...delivery, amount: 0.7 },
  'POST /api/gardens/{gardenId}/stock/taken-back': {
    movements: [{ id: 'gate-straw-came', version: 2 }],
    lots: [{ id: 'gate-straw', version: 2 }],
    entries: [],
  },
  'POST /api/gardens/{gardenId}/journal': { records: [{ id: 'back-plot-seen', ...seen }] },
  'PUT /api/journal/{recordId}': { version: 1, ...seen, note: 'after the hail' },
  'POST /api/gardens/{gardenId}/acts': {
    journal: { creates: [{ id: 'leeks-again', ...seen, date: '2026-05-13' }], changes: [], removals: [] },
    entries: {
      creates: [{ bedId: 'back-plot-1', draft: { id: 'leeks-fed', ...fed, date: '2026-05-13' } }],
      changes: [],
      removals: [],
    },
    plantings: { changes: [] },
    lots: { creates: [], removals: [] },
    movements: { creates: [], changes: [], removals: [] },
  },
  'POST /api/beds/{bedId}/lifts': {
    id: 'straw-lifted',
    date: '2026-05-13',
    note: '',
    layerIds: ['back-plot-straw'],
    share: 0.5,
    to: { place: 'stock', lotName: 'Straw off the leeks' },
  },
  'POST /api/gardens/{gardenId}/copies': { name: 'Back plot, next year', isTemplate: true },
  'POST /api/gardens/{gardenId}/imports': {
    collection: 'weather',
    summary: 'the gauge by the gate',
    rows: [{ date: '2026-05-12', temperatureC: 12.5, rainMm: 4 }],
  },
};
