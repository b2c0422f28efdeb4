import {
  type CarbonPools,
  LARGEST_SEED,
  type LibraryMaterial,
  type Material,
  SEEDED_WEATHER_DEFAULTS,
  lognormalFactor,
  normalDraw,
  seededStream,
  shareBelow,
  triangular,
} from '../../ground/index.ts';
import {
  type BedEvent,
  type BedScenario,
  type CohortOpening,
  type CropPlan,
  PARAMETER_TABLE,
  type ParameterOverrides,
  type ScalarParameterName,
  type SoilStart,
  defaultParameters,
  isFromPile,
  isFromStock,
} from '../../model/index.ts';

/** What was drawn for one input, as a place in its range: 0 lowest, 1 highest. */
export interface DrawnInput {
  /** `material:<id of the layer>:ratio`, `...:moisture`, `soil:organicMatter`, `exposure`, or a parameter's name. */
  readonly input: string;
  readonly place: number;
}

export interface Draw {
  readonly scenario: BedScenario;
  readonly inputs: readonly DrawnInput[];
  readonly modelError: ModelError;
}

/**
 * How far an answer of the model may be off in addition to all that is drawn, because it leaves things out: added to answers,
 * not to the run. For the difference of two runs both are drawn with the same numbers and no such error.
 */
export interface ModelError {
  /** Factor on nitrogen that decomposers lock up. */
  readonly lockFactor: number;
  /** Factor on nitrogen that soil sets free and crops take up. */
  readonly supplyFactor: number;
  /** Added to a share of nitrogen that a material gives in its first season. */
  readonly firstSeasonShare: number;
  /** Added to the logit of a share that is lost or washed out. */
  readonly lossLogit: number;
}

/**
 * Spreads of S15 of the model (docs/method.md): set there, widened until most rows of its table covered about 70 % of
 * what is published; tests/anchors/ranges.test.ts shows what they cover now.
 */
const SPREADS = {
  lock: 0.3,
  supply: 0.2,
  firstSeasonCompost: 0.05,
  firstSeasonOther: 0.09,
  lossLogit: 0.7,
  nativeLability: 0.35,
  /** The slow part follows the lability of a soil less than the active part. */
  slowLabilityPower: 0.7,
  exposure: 0.4,
  organicMatter: 0.25,
  bulkDensity: 0.15,
  cropDemand: 0.35,
  ammonium: { low: 0.3, mode: 0.7, high: 2 },
  mostAmmonium: 0.9,
  quick: 0.35,
  structural: 0.2,
  woody: 0.25,
  humus: 0.3,
  decayRate: 0.25,
  /** Of what comes out of a pile: its C:N, and how much dry matter there is to what was measured (set here). */
  pileRatio: 0.25,
  pileDryMatter: 0.15,
} as const;

interface RangedRow {
  readonly value: number;
  readonly low?: number;
  readonly high?: number;
  readonly isDrawn?: false;
}

const RANGED = (Object.entries(PARAMETER_TABLE) as [ScalarParameterName, RangedRow][]).flatMap(
  ([name, { value, low, high, isDrawn }]) =>
    low === undefined || high === undefined || isDrawn === false ? [] : [{ name, value, low, high }],
);
/** Rain may gather for so many days. */
const RAIN_GAPS = [2, 3, 4, 5, 6];
/** Chips or figures of one's own have no table range: C:N by half and double, moisture by a tenth (set here). */
const OWN_RATIO_SPREAD = 2;
const OWN_MOISTURE_SPREAD = 0.1;
const WETTEST = 0.97;

/** A triangular distribution. */
interface Triangle {
  readonly low: number;
  readonly mode: number;
  readonly high: number;
}

/** How far from a value, as a share of it, and the highest there can be. */
interface Around {
  readonly share: number;
  readonly most?: number;
}

/** Draws single inputs and notes where in its range each came to lie. */
class Drawer {
  readonly inputs: DrawnInput[] = [];
  readonly next: () => number;

  constructor(next: () => number) {
    this.next = next;
  }

  within(input: string, { low, mode, high }: Triangle): number {
    const value = triangular(this.next(), low, mode, high);
    this.inputs.push({ input, place: high > low ? (value - low) / (high - low) : 0.5 });
    return value;
  }

  around(input: string, mode: number, { share, most = Infinity }: Around): number {
    return this.within(input, { low: mode * (1 - share), mode, high: Math.min(most, mode * (1 + share)) });
  }

  oneOf<T>(input: string, choices: readonly T[]): T {
    const i = Math.min(choices.length - 1, Math.floor(this.next() * choices.length));
    this.inputs.push({ input, place: i / (choices.length - 1) });
    return choices[i];
  }

  /** A standard normal draw. */
  normal(input: string): number {
    const z = normalDraw(this.next);
    this.inputs.push({ input, place: shareBelow(z) });
    return z;
  }

  lognormal(input: string, coefficientOfVariation: number): number {
    return lognormalFactor(this.normal(input), coefficientOfVariation);
  }
}

/**
 * One bed as it may really be, in years as they may really come: materials within their ranges, parameters within
 * theirs, soil, demand and weather. The same seed and number give the same draw.
 */
export function drawScenario(scenario: BedScenario, seed: number, number: number): Draw {
  const next = seededStream(seed * 7919 + number * 104729 + 1);
  // Neighboring seeds start alike: let the stream run in.
  for (let i = 0; i < 4; i++) next();
  const drawer = new Drawer(next);
  const parameters = drawParameters(drawer, scenario.parameters);
  const soil = drawSoil(drawer, scenario.soil);
  const cropFactor = drawer.around('crop:demand', 1, { share: SPREADS.cropDemand });
  const weatherSeed = Math.floor(next() * LARGEST_SEED);
  const modelError = drawModelError(next);
  const drawn = new Map<Material, Material>();
  const drawMaterial = (material: Material, layerId: string): Material => {
    const known = drawn.get(material);
    if (known) return known;
    const result = materialWithin(material, layerId, drawer);
    drawn.set(material, result);
    return result;
  };
  return {
    inputs: drawer.inputs,
    modelError,
    scenario: {
      ...scenario,
      parameters,
      soil,
      seededWeather: { seed: weatherSeed, ...SEEDED_WEATHER_DEFAULTS },
      crops: scenario.crops.map((crop): CropPlan => ({
        ...crop,
        nitrogenDemandGPerM2: crop.nitrogenDemandGPerM2 * cropFactor,
      })),
      events: scenario.events.map((event): BedEvent => {
        if (event.type !== 'apply' || isFromPile(event)) return event;
        if (isFromStock(event)) {
          return { ...event, opening: openingWithin(event.opening, event.id ?? '', drawer) };
        }
        return { ...event, material: drawMaterial(event.material, event.id ?? '') };
      }),
      piles: scenario.piles.map((pile) => ({
        ...pile,
        mix: pile.mix.map((input) => ({
          ...input,
          material: drawMaterial(input.material, pile.id.replace('heap of ', '')),
        })),
      })),
    },
  };
}

function drawModelError(next: () => number): ModelError {
  const lockZ = normalDraw(next);
  const supplyZ = normalDraw(next);
  const seasonZ = normalDraw(next);
  const lossZ = normalDraw(next);
  return {
    lockFactor: lognormalFactor(lockZ, SPREADS.lock),
    supplyFactor: lognormalFactor(supplyZ, SPREADS.supply),
    firstSeasonShare: seasonZ * SPREADS.firstSeasonOther,
    lossLogit: lossZ * SPREADS.lossLogit,
  };
}

/** Compost is better known than what is fresh. */
export const firstSeasonErrorOf = (error: ModelError, kind: Material['kind']): number =>
  kind === 'compost'
    ? (error.firstSeasonShare * SPREADS.firstSeasonCompost) / SPREADS.firstSeasonOther
    : error.firstSeasonShare;

/** A share that is lost or washed out, with the error of the model; `share` from 0 to 1. */
export function shareWithError(share: number, { lossLogit }: ModelError): number {
  const s = Math.min(1 - 1e-9, Math.max(1e-9, share));
  return 1 / (1 + Math.exp(-(Math.log(s / (1 - s)) + lossLogit)));
}

function drawParameters(drawer: Drawer, overrides: ParameterOverrides = {}): ParameterOverrides {
  const scalars: Partial<Record<ScalarParameterName, number>> = Object.fromEntries(
    RANGED.map(({ name, value, low, high }) => [name, drawer.within(name, { low, mode: value, high })]),
  );
  const lability = drawer.lognormal('soil:lability', SPREADS.nativeLability);
  const scale = drawer.around('exposure', 1, { share: SPREADS.exposure });
  const scaled = ({ damp, normal, dry }: { damp: number; normal: number; dry: number }) => ({
    damp: Math.min(1, damp * scale),
    normal: Math.min(1, normal * scale),
    dry: Math.min(1, dry * scale),
  });
  return {
    ...scalars,
    activeHumusDecayPerYear: scalars.activeHumusDecayPerYear! * lability,
    humusDecayPerYear: scalars.humusDecayPerYear! * lability ** SPREADS.slowLabilityPower,
    rainGapDays: drawer.oneOf('rainGapDays', RAIN_GAPS),
    contactExposure: scaled(defaultParameters.contactExposure),
    upperExposure: scaled(defaultParameters.upperExposure),
    ...overrides,
  };
}

const drawSoil = (drawer: Drawer, soil: SoilStart): SoilStart => ({
  ...soil,
  organicMatterPct: drawer.around('soil:organicMatter', soil.organicMatterPct, {
    share: SPREADS.organicMatter,
    most: 100,
  }),
  bulkDensityGPerCm3: drawer.around('soil:bulkDensity', soil.bulkDensityGPerCm3, {
    share: SPREADS.bulkDensity,
    most: 2.5,
  }),
});

const hasRanges = (material: Material): material is LibraryMaterial => 'moistureRange' in material;

/** The same material with another C:N (by its nitrogen), moisture, pace, make-up and ammonium. */
function materialWithin(material: Material, layerId: string, drawer: Drawer): Material {
  const { moistureFractionWetBasis: moisture } = material;
  const [driest, wettest] = hasRanges(material)
    ? material.moistureRange
    : [moisture - OWN_MOISTURE_SPREAD, moisture + OWN_MOISTURE_SPREAD];
  const drawnMoisture = drawer.within(`material:${layerId}:moisture`, {
    low: Math.max(0, Math.min(driest, moisture)),
    mode: moisture,
    high: Math.max(moisture, Math.min(WETTEST, wettest)),
  });
  if (material.carbonFractionDryBasis === 0) return { ...material, moistureFractionWetBasis: drawnMoisture };
  const { low, mode, high } = SPREADS.ammonium;
  const ammoniumFactor = drawer.within(`material:${layerId}:ammonium`, { low, mode, high });
  return {
    ...material,
    moistureFractionWetBasis: drawnMoisture,
    nitrogenFractionDryBasis: drawNitrogen(material, layerId, drawer),
    ammoniumShareOfNitrogen: Math.min(
      Math.max(SPREADS.mostAmmonium, material.ammoniumShareOfNitrogen),
      material.ammoniumShareOfNitrogen * ammoniumFactor,
    ),
    pools: drawPools(material.pools, layerId, drawer),
    decayFactor: material.decayFactor * drawer.lognormal(`material:${layerId}:rate`, SPREADS.decayRate),
  };
}

/** What came out of a pile, with another C:N (by its nitrogen), dry matter, pace and ammonium. */
function openingWithin(opening: CohortOpening, layerId: string, drawer: Drawer): CohortOpening {
  const of = (input: string) => `material:${layerId}:${input}`;
  const mass = drawer.around(of('moisture'), 1, { share: SPREADS.pileDryMatter });
  const ratio = drawer.around(of('ratio'), 1, { share: SPREADS.pileRatio });
  const ammonium = drawer.within(of('ammonium'), SPREADS.ammonium);
  const nitrogen = mass / ratio;
  return {
    ...opening,
    carbonG: opening.carbonG.map((g) => g * mass),
    nitrogenG: opening.nitrogenG.map((g) => g * nitrogen),
    ammoniumG: opening.ammoniumG * nitrogen * ammonium,
    nitrateG: opening.nitrateG * nitrogen,
    charHeldG: opening.charHeldG * mass,
    charCapacityG: opening.charCapacityG * mass,
    dryMassG: opening.dryMassG * mass,
    ashG: opening.ashG * mass,
    decayRateFactor: opening.decayRateFactor * drawer.lognormal(of('rate'), SPREADS.decayRate),
  };
}

function drawNitrogen(material: Material, layerId: string, drawer: Drawer): number {
  const { carbonFractionDryBasis, nitrogenFractionDryBasis } = material;
  if (nitrogenFractionDryBasis === 0) return 0;
  const ratio = carbonFractionDryBasis / nitrogenFractionDryBasis;
  const [low, high] = (hasRanges(material) ? material.carbonToNitrogenRange : null) ?? [
    ratio / OWN_RATIO_SPREAD,
    ratio * OWN_RATIO_SPREAD,
  ];
  const drawn = drawer.within(`material:${layerId}:ratio`, {
    low: Math.min(low, ratio),
    mode: ratio,
    high: Math.max(high, ratio),
  });
  return carbonFractionDryBasis / drawn;
}

function drawPools(pools: CarbonPools, layerId: string, drawer: Drawer): CarbonPools {
  const input = `material:${layerId}:makeup`;
  const quick = pools.quick * drawer.lognormal(input, SPREADS.quick);
  const structural = pools.structural * lognormalFactor(normalDraw(drawer.next), SPREADS.structural);
  const woody = pools.woody * lognormalFactor(normalDraw(drawer.next), SPREADS.woody);
  const humus = pools.humus * lognormalFactor(normalDraw(drawer.next), SPREADS.humus);
  const { microbial, char } = pools;
  const sum = quick + structural + woody + humus + microbial + char;
  return {
    quick: quick / sum,
    structural: structural / sum,
    woody: woody / sum,
    humus: humus / sum,
    microbial: microbial / sum,
    char: char / sum,
  };
}
