/** The closed lists of words that records are written in. */

export const BED_KINDS = [
  'annual',
  'raised',
  'seedbed',
  'perennial',
  'shrubs',
  'treeRing',
  'container',
  'path',
  'resting',
] as const;
export type BedKind = (typeof BED_KINDS)[number];

/** Facts are laid, intentions are planned; ticking a plan off turns one into the other. */
export const RECORD_STATES = ['laid', 'planned'] as const;
export type RecordState = (typeof RECORD_STATES)[number];

/** What the ground was before the book of the bed begins: it decides how much of its organic matter is active. */
export const CROPPING_BEFORE = ['unknown', 'hard', 'ordinary', 'rested', 'turf', 'bare'] as const;
export type CroppingBefore = (typeof CROPPING_BEFORE)[number];

/** What a garden feeds with in place of one product: what of them lies in stock. */
export const FEED_FROM_STOCK = 'from_stock';

/** How seriously a garden takes lock-up: changes thresholds and wording, never the physics. */
export const SCHOOLS = ['cautious', 'byDepth', 'relaxed'] as const;
export type School = (typeof SCHOOLS)[number];

export const MEASURES = ['metric', 'customary'] as const;

/** How wet a layer lies. */
export const EXPOSURES = ['damp', 'normal', 'dry'] as const;
export type Exposure = (typeof EXPOSURES)[number];

/** Heating of char: 350-450, 450-600, above 600 C. */
/** How dry wood was that was burnt. */
export const BURN_DRYNESSES = ['dry', 'halfDry', 'green'] as const;
export type BurnDryness = (typeof BURN_DRYNESSES)[number];
export const CHAR_TEMPERATURES = ['low', 'medium', 'high'] as const;
export type CharTemperature = (typeof CHAR_TEMPERATURES)[number];

/** With the leaves on, or after they fell: then their nitrogen has gone back into bark and buds. */
export const CUTTING_SEASONS = ['inLeaf', 'leafless'] as const;
export type CuttingSeason = (typeof CUTTING_SEASONS)[number];

/** How people say how much of something there is: by depth over the bed, by volume, by weight. */
export const DEPTH_UNITS = ['cm', 'inch', 'metre', 'foot'] as const;
export type DepthUnit = (typeof DEPTH_UNITS)[number];
export const VOLUME_UNITS = [
  'litre',
  'cubicMetre',
  'bucket10L',
  'barrow85L',
  'cup',
  'quart',
  'gallon',
  'bucket5Gal',
  'barrow3CuFt',
  'cubicFoot',
  'cubicYard',
] as const;
export type VolumeUnit = (typeof VOLUME_UNITS)[number];
export const MASS_UNITS = ['kg', 'gram', 'pound'] as const;
export type MassUnit = (typeof MASS_UNITS)[number];
export const AMOUNT_UNITS = [...DEPTH_UNITS, ...VOLUME_UNITS, ...MASS_UNITS] as const;
export type AmountUnit = (typeof AMOUNT_UNITS)[number];
/** Units for what lies in a heap and covers no bed. */
export const STOCK_UNITS: readonly AmountUnit[] = [...VOLUME_UNITS, ...MASS_UNITS];

/** Units a laboratory reports mineral nitrogen in. */
export const SOIL_NITROGEN_UNITS = ['gPerM2', 'kgPerHa', 'lbPerAcre', 'mgPerKg'] as const;
export type SoilNitrogenUnit = (typeof SOIL_NITROGEN_UNITS)[number];

/** How laboratories take phosphorus, potassium and magnesium out of a soil; each way has classes of its own. */
export const SOIL_EXTRACTIONS = ['olsen', 'mehlich3', 'bray1', 'cal', 'other'] as const;
export type SoilExtraction = (typeof SOIL_EXTRACTIONS)[number];

/** Nutrients of a soil test, as fields that carry their unit. */
export const SOIL_NUTRIENT_FIELDS = [
  'phosphorusMgPerKg',
  'potassiumMgPerKg',
  'magnesiumMgPerKg',
  'calciumMgPerKg',
  'sulfurMgPerKg',
  'sodiumMgPerKg',
  'ironMgPerKg',
  'manganeseMgPerKg',
  'zincMgPerKg',
  'copperMgPerKg',
  'boronMgPerKg',
] as const;
export type SoilNutrientField = (typeof SOIL_NUTRIENT_FIELDS)[number];

/** Everything that a soil test says in figures besides nitrogen, pH and organic matter. */
export const SOIL_FIGURE_FIELDS = [
  ...SOIL_NUTRIENT_FIELDS,
  'conductivityDsPerM',
  'cationExchangeCmolPerKg',
  'sandPct',
  'siltPct',
  'clayPct',
] as const;
export type SoilFigureField = (typeof SOIL_FIGURE_FIELDS)[number];

export const STARTS_AS = ['seed', 'transplant', 'set'] as const;
export type StartsAs = (typeof STARTS_AS)[number];

/** What a crop bears when it starts, from frost to heat. */
export const WARMTHS = ['hardy', 'cool', 'tender', 'heat'] as const;
export type Warmth = (typeof WARMTHS)[number];

/** What the stock stands in. */
export const LOT_FORMS = ['pile', 'heap', 'bag', 'bin', 'drum', 'bale'] as const;
export type LotForm = (typeof LOT_FORMS)[number];

/** How a lot is kept: in the rain, under a cover, under a roof, watered, or shut away in a bag or drum. */
export const KEEPINGS = ['open', 'covered', 'roofed', 'watered', 'shut'] as const;
export type Keeping = (typeof KEEPINGS)[number];

/** Why some of a lot leaves the books without going onto a bed. */
export const REASONS_TAKEN = ['given', 'sold', 'spilt', 'used'] as const;

/** What nose, eye and hand say of a heap. */
export const READINESS_SIGNS = [
  'earthySmell',
  'sourSmell',
  'ammoniaSmell',
  'darkCrumb',
  'nothingRecognizable',
  'coolAfterTurning',
  'whiteThreads',
  'worms',
  'seedlingsGrow',
] as const;
export type ReadinessSign = (typeof READINESS_SIGNS)[number];

/** Ways of making char (common practice, no source). */
export const BURN_METHODS = ['emberRescue', 'trench', 'conePit', 'topLitDrum', 'closedRetort'] as const;
export type BurnMethod = (typeof BURN_METHODS)[number];

/** How far char is broken up. */
export const CHAR_FINENESSES = ['coarse', 'pea', 'sand', 'dust'] as const;
export type CharFineness = (typeof CHAR_FINENESSES)[number];

/** Ways of charging char before it is used (common practice, no source). */
export const CHARGE_RECIPE_IDS = [
  'slurry',
  'soak',
  'compostBlend',
  'castingsBlend',
  'throughHeap',
  'nitrogenSoak',
] as const;
export type ChargeRecipeId = (typeof CHARGE_RECIPE_IDS)[number];

/** What a mix is made for. */
export const MIX_PURPOSES = [
  'hotCompost',
  'fungalMulch',
  'sheetLayer',
  'bedding',
  'leafMould',
  'pottingMix',
  'open',
] as const;
export type MixPurpose = (typeof MIX_PURPOSES)[number];

/** Small preparations the gardener sets up. */
export const BREW_IDS = [
  'compostTea',
  'molassesWater',
  'molassesPath',
  'nativeStarter',
  'nativeWater',
] as const;
export type BrewId = (typeof BREW_IDS)[number];

/** What a squeezed handful does, from wet to dry. */
export const SQUEEZES = ['runs', 'drops', 'holds', 'crumbles', 'dusty'] as const;
export type Squeeze = (typeof SQUEEZES)[number];

/** Leaf color of the older leaves, from yellow (1) to dark green (4). */
export const LEAF_STEPS = [1, 2, 3, 4] as const;
export type LeafStep = (typeof LEAF_STEPS)[number];
export const VIGORS = ['stalled', 'slow', 'steady', 'strong'] as const;
export type Vigor = (typeof VIGORS)[number];
export const HOW_MANY = ['none', 'some', 'many'] as const;
export type HowMany = (typeof HOW_MANY)[number];
export const SMELLS = ['none', 'earthy', 'sour', 'rotten', 'ammonia'] as const;
export type Smell = (typeof SMELLS)[number];
export const WATER_BEHAVIORS = ['soaksIn', 'stands', 'runsOff'] as const;
export type WaterBehavior = (typeof WATER_BEHAVIORS)[number];

/** What can be seen on a plant that is not well, and on the ground beneath it. */
export const PLANT_SIGNS = [
  'olderLeavesFirst',
  'youngLeavesFirst',
  'greenVeins',
  'wholePlantPale',
  'purpleLeaves',
  'brownEdges',
  'limpAtNoon',
  'limpAllDay',
  'seedlings',
  'justPlantedOut',
  'rootsEaten',
  'rootsBrown',
  'rootsCircling',
  'spotsOrMould',
  'soilSoaked',
  'soilDry',
  'soilCold',
  'shaded',
  'neighborFine',
  'neighborPaleToo',
] as const;
export type PlantSign = (typeof PLANT_SIGNS)[number];

/** What became of a task of the calendar. */
export const MARK_STATES = ['done', 'snoozed', 'dropped'] as const;
export const BREW_STATES = ['going', 'used', 'discarded'] as const;
export const TRIAL_PLACES = ['plots', 'corners', 'pots'] as const;
/** What is done with a bed when its year is closed. */
export const YEAR_CHOICES = ['stack', 'pull', 'rest'] as const;
export type YearChoice = (typeof YEAR_CHOICES)[number];

/** The longest a habit is looked ahead, years. */
export const MOST_YEARS = 30;
