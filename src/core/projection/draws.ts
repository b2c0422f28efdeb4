import type { LibraryMaterial, Material } from '../materials/material.ts';
import { seededStream, triangular } from '../numerics/seeded-stream.ts';
import {
  defaultParameters,
  PARAMETER_TABLE,
  type ParameterOverrides,
  type ScalarParameterName,
} from '../simulation/parameters.ts';
import { isFromPile, isFromStock, type BedEvent, type BedScenario } from '../simulation/scenario.ts';

/** What was drawn for one input, as a place in its range: 0 lowest, 1 highest. */
export interface DrawnInput {
  /** `material:<id of the layer>:ratio`, `...:moisture`, `soil:organicMatter`, `exposure`, or a parameter's name. */
  readonly input: string;
  readonly place: number;
}

export interface Draw {
  readonly scenario: BedScenario;
  readonly inputs: readonly DrawnInput[];
}

interface RangedRow {
  readonly value: number;
  readonly low?: number;
  readonly high?: number;
}

const RANGED = (Object.entries(PARAMETER_TABLE) as [ScalarParameterName, RangedRow][]).flatMap(
  ([name, { value, low, high }]) =>
    low === undefined || high === undefined ? [] : [{ name, value, low, high }],
);
/** Exposure factors vary together by so much (S3 of the model: 25 to 30 %, set here). */
const EXPOSURE_SPREAD = 0.27;
/** Chips or figures of one's own have no table range: C:N by half and double, moisture by a tenth (set here). */
const OWN_RATIO_SPREAD = 2;
const OWN_MOISTURE_SPREAD = 0.1;
/** A guess at organic matter by eye and a laboratory differ by a fifth (set here). */
const ORGANIC_MATTER_SPREAD = 0.2;
const WETTEST = 0.97;

/**
 * One bed as it may really be: materials within their ranges, parameters within theirs, each from a triangular
 * distribution around its table value. The same seed and number give the same draw.
 */
export function drawScenario(scenario: BedScenario, seed: number, number: number): Draw {
  const next = seededStream(seed * 7919 + number * 104729 + 1);
  // Neighboring seeds start alike: let the stream run in.
  for (let i = 0; i < 4; i++) next();
  const inputs: DrawnInput[] = [];
  const within = (input: string, low: number, mode: number, high: number): number => {
    const value = triangular(next(), low, mode, high);
    inputs.push({ input, place: high > low ? (value - low) / (high - low) : 0.5 });
    return value;
  };
  const parameters = drawParameters(within, scenario.parameters);
  const { organicMatterPct } = scenario.soil;
  const soilPct = within(
    'soil:organicMatter',
    organicMatterPct * (1 - ORGANIC_MATTER_SPREAD),
    organicMatterPct,
    Math.min(100, organicMatterPct * (1 + ORGANIC_MATTER_SPREAD)),
  );
  const drawn = new Map<Material, Material>();
  const drawMaterial = (material: Material, layerId: string): Material => {
    const known = drawn.get(material);
    if (known) return known;
    const result = materialWithin(material, layerId, within);
    drawn.set(material, result);
    return result;
  };
  return {
    inputs,
    scenario: {
      ...scenario,
      parameters,
      soil: { ...scenario.soil, organicMatterPct: soilPct },
      events: scenario.events.map((event): BedEvent => {
        if (event.type !== 'apply' || isFromPile(event) || isFromStock(event)) return event;
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

type Within = (input: string, low: number, mode: number, high: number) => number;

function drawParameters(within: Within, overrides: ParameterOverrides = {}): ParameterOverrides {
  const scalars = Object.fromEntries(
    RANGED.map(({ name, value, low, high }) => {
      const drawn = within(name, low, value, high);
      return [name, name === 'rainGapDays' ? Math.round(drawn) : drawn];
    }),
  );
  const scale = within('exposure', 1 - EXPOSURE_SPREAD, 1, 1 + EXPOSURE_SPREAD);
  const { damp, normal, dry } = defaultParameters.contactExposure;
  const upper = defaultParameters.upperExposure;
  return {
    ...scalars,
    contactExposure: { damp: Math.min(1, damp * scale), normal: normal * scale, dry: dry * scale },
    upperExposure: {
      damp: Math.min(1, upper.damp * scale),
      normal: upper.normal * scale,
      dry: upper.dry * scale,
    },
    ...overrides,
  };
}

const hasRanges = (material: Material): material is LibraryMaterial => 'moistureRange' in material;

/** The same material with another C:N, by its nitrogen, and another moisture. */
function materialWithin(material: Material, layerId: string, within: Within): Material {
  const { moistureFractionWetBasis: moisture, carbonFractionDryBasis, nitrogenFractionDryBasis } = material;
  const [driest, wettest] = hasRanges(material)
    ? material.moistureRange
    : [moisture - OWN_MOISTURE_SPREAD, moisture + OWN_MOISTURE_SPREAD];
  const drawnMoisture = within(
    `material:${layerId}:moisture`,
    Math.max(0, driest),
    moisture,
    Math.max(moisture, Math.min(WETTEST, wettest)),
  );
  const wet = { ...material, moistureFractionWetBasis: drawnMoisture };
  if (carbonFractionDryBasis === 0 || nitrogenFractionDryBasis === 0) return wet;
  const ratio = carbonFractionDryBasis / nitrogenFractionDryBasis;
  const [low, high] = (hasRanges(material) ? material.carbonToNitrogenRange : null) ?? [
    ratio / OWN_RATIO_SPREAD,
    ratio * OWN_RATIO_SPREAD,
  ];
  const drawnRatio = within(`material:${layerId}:ratio`, Math.min(low, ratio), ratio, Math.max(high, ratio));
  return { ...wet, nitrogenFractionDryBasis: carbonFractionDryBasis / drawnRatio };
}
