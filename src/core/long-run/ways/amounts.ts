import type { BedKind } from '../../../records/vocabulary.ts';
import { type Material, type MaterialKind, LITRES_PER_CUBIC_METRE } from '../../ground/index.ts';

const CM_PER_M = 100;
const GRAMS_PER_KG = 1000;

/** Thickest that does well on top, cm: wood among crops and under trees, loose leaves and straw, what feeds (common practice, no source). */
const MOST_WOOD_CM = 8;
const MOST_WOOD_UNDER_TREES_CM = 15;
const MOST_LOOSE_CM = 15;
const MOST_RICH_CM = 5;
/** Most char on a bed at once, cm: 2 kg to the square meter, about a liter in every ten of the soil it is dug into (common practice, no source). */
export const MOST_CHAR_CM = 1;
/** Bought feed goes out with no more nitrogen than a hungry crop takes in a year's first half, g/m2 (common practice, no source). */
const MOST_FEED_G_PER_M2 = 10;
const LOOSE: ReadonlySet<MaterialKind> = new Set(['residue', 'leaf']);
const COVERS: ReadonlySet<MaterialKind> = new Set(['wood', 'residue', 'leaf']);
const UNDER_TREES: ReadonlySet<BedKind> = new Set(['treeRing', 'shrubs', 'path']);

export const isCoverKind = (kind: MaterialKind): boolean => COVERS.has(kind);
export const isUnderTrees = (kind: BedKind): boolean => UNDER_TREES.has(kind);

/** Logs are burnt, or chipped first; minerals go by the gram and by a soil test. Neither has ways to be compared on a bed. */
export const canLie = ({ kind, particleSize }: Material): boolean =>
  kind !== 'none' && particleSize !== 'log';

/** The thickest layer of a material that does well on a bed, cm. */
export function mostOnTopCm(material: Material, bedKind: BedKind): number {
  const { kind } = material;
  if (kind === 'wood') return isUnderTrees(bedKind) ? MOST_WOOD_UNDER_TREES_CM : MOST_WOOD_CM;
  if (kind === 'char') return MOST_CHAR_CM;
  if (kind === 'fertiliser') return MOST_FEED_G_PER_M2 / nitrogenGPerM2AndCm(material);
  return LOOSE.has(kind) ? MOST_LOOSE_CM : MOST_RICH_CM;
}

/** Nitrogen in a square meter of a layer one centimeter thick, g. */
function nitrogenGPerM2AndCm(material: Material): number {
  const dryKgPerM3 = material.bulkDensityKgPerM3 * (1 - material.moistureFractionWetBasis);
  return (dryKgPerM3 * GRAMS_PER_KG * material.nitrogenFractionDryBasis) / CM_PER_M;
}

/** What a layer so thick takes on an area, L. */
export const layerL = (thicknessCm: number, areaM2: number): number =>
  (thicknessCm / CM_PER_M) * areaM2 * LITRES_PER_CUBIC_METRE;
