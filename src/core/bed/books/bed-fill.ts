import { findLibraryMaterial } from '../../ground/index.ts';
import { InputError, requireNumber } from '../../../refusals/input-error.ts';
import { ORGANIC_MATTER_PER_CARBON, defaultParameters } from '../../model/index.ts';

/** What raised beds and pots are filled with, besides materials of the library. */
interface MineralPart {
  /** Loose and dry. */
  readonly densityGPerCm3: number;
  readonly clayPct: number;
  readonly organicMatterPct: number;
}

/** Order of magnitude of potting handbooks (from memory). */
const MINERALS = {
  topsoil: { densityGPerCm3: 1.1, clayPct: 20, organicMatterPct: 4 },
  sandyTopsoil: { densityGPerCm3: 1.25, clayPct: 8, organicMatterPct: 2.5 },
  sand: { densityGPerCm3: 1.5, clayPct: 0, organicMatterPct: 0 },
  perlite: { densityGPerCm3: 0.1, clayPct: 0, organicMatterPct: 0 },
  vermiculite: { densityGPerCm3: 0.12, clayPct: 0, organicMatterPct: 0 },
  pumice: { densityGPerCm3: 0.6, clayPct: 0, organicMatterPct: 0 },
} as const satisfies Readonly<Record<string, MineralPart>>;
type MineralId = keyof typeof MINERALS;

const ORGANIC_PARTS = [
  'compost_garden',
  'compost_yard',
  'compost_manure',
  'worm_castings',
  'leaf_mould',
  'coir',
  'peat_moss',
  'composted_bark',
  'wood_fibre',
  'biochar_charged',
] as const;
export type FillPartId = MineralId | (typeof ORGANIC_PARTS)[number];
export const FILL_PARTS: readonly FillPartId[] = [
  ...(Object.keys(MINERALS) as MineralId[]),
  ...ORGANIC_PARTS,
];
export const isMineralPart = (id: FillPartId): id is MineralId => id in MINERALS;

/** So many parts by volume of something. */
export interface FillPart {
  readonly id: FillPartId;
  readonly parts: number;
}

/** A mix to start from (common practice, no source). */
export interface FillRecipe {
  readonly id: string;
  readonly isForPots: boolean;
  readonly mix: readonly FillPart[];
}

const recipe = (id: string, isForPots: boolean, ...mix: [FillPartId, number][]): FillRecipe => ({
  id,
  isForPots,
  mix: mix.map(([part, parts]) => ({ id: part, parts })),
});

export const FILL_RECIPES = [
  recipe('soilAndCompost', false, ['topsoil', 7], ['compost_yard', 3]),
  recipe('halfAndHalf', false, ['topsoil', 1], ['compost_yard', 1]),
  recipe('lightSoil', false, ['sandyTopsoil', 6], ['compost_yard', 3], ['composted_bark', 1]),
  recipe('loamMix', true, ['topsoil', 2], ['compost_garden', 1], ['sand', 1]),
  recipe('coirMix', true, ['coir', 2], ['compost_garden', 1], ['perlite', 1]),
  recipe('barkMix', true, ['composted_bark', 3], ['compost_garden', 2], ['sand', 1]),
  recipe('leafMouldMix', true, ['leaf_mould', 2], ['topsoil', 1], ['sand', 1]),
] as const;

/** A mix as the soil a bed begins with. */
export interface FillSoil {
  readonly bulkDensityGPerCm3: number;
  /** Of the mineral part. */
  readonly clayPct: number;
  /** What the books begin with: as much humus as holds the nitrogen of the mix, or all its organic matter where that is less. */
  readonly organicMatterPct: number;
  /** What a laboratory would find. */
  readonly laboratoryPct: number;
  /** Share of the volume that is compost or castings. */
  readonly compostShare: number;
}

interface PartPerLitre {
  readonly dryKg: number;
  readonly clayKg: number;
  readonly mineralKg: number;
  readonly organicKg: number;
  readonly humusLikeKg: number;
  readonly compostL: number;
}

function perLitre(id: FillPartId): PartPerLitre {
  if (isMineralPart(id)) {
    const { densityGPerCm3: dryKg, clayPct, organicMatterPct } = MINERALS[id];
    const organicKg = (dryKg * organicMatterPct) / 100;
    const mineralKg = dryKg - organicKg;
    const clayKg = (mineralKg * clayPct) / 100;
    return { dryKg, clayKg, mineralKg, organicKg, humusLikeKg: organicKg, compostL: 0 };
  }
  const material = findLibraryMaterial(id)!;
  const dryKg = (material.bulkDensityKgPerM3 / 1000) * (1 - material.moistureFractionWetBasis);
  const organicKg = Math.min(dryKg, dryKg * material.carbonFractionDryBasis * ORGANIC_MATTER_PER_CARBON);
  const withItsNitrogenKg =
    dryKg *
    material.nitrogenFractionDryBasis *
    defaultParameters.humusCarbonToNitrogen *
    ORGANIC_MATTER_PER_CARBON;
  return {
    dryKg,
    clayKg: 0,
    mineralKg: dryKg - organicKg,
    organicKg,
    humusLikeKg: Math.min(organicKg, withItsNitrogenKg),
    compostL: id.startsWith('compost_') || id === 'worm_castings' ? 1 : 0,
  };
}

/**
 * A mix by volume as the soil a bed begins with; volumes are added up, though fine parts settle between coarse ones.
 * Peat, coir, bark and wood fiber hold so little nitrogen that as much humus would feed the crop far too well: they count
 * by their nitrogen. Throws InputError for an empty mix.
 *
 * @example
 * soilOfFill([{ id: 'topsoil', parts: 1 }]).organicMatterPct // 4
 */
export function soilOfFill(mix: readonly FillPart[]): FillSoil {
  mix.forEach(({ parts }, i) => requireNumber(parts, ['mix', i, 'parts'], { min: 0, max: 1000 }));
  const volumeL = mix.reduce((sum, { parts }) => sum + parts, 0);
  if (volumeL === 0) throw new InputError(['mix'], 'emptyMix', { isAtTheBench: false });
  const total = (of: (part: PartPerLitre) => number): number =>
    mix.reduce((sum, { id, parts }) => sum + parts * of(perLitre(id)), 0);
  const dryKg = total((part) => part.dryKg);
  const mineralKg = total((part) => part.mineralKg);
  // Char and fiber are not humus: what is left of them counts as mineral, so that the mass of the bed is right.
  return {
    bulkDensityGPerCm3: dryKg / volumeL,
    clayPct: mineralKg === 0 ? 0 : (100 * total((part) => part.clayKg)) / mineralKg,
    organicMatterPct: (100 * total((part) => part.humusLikeKg)) / dryKg,
    laboratoryPct: (100 * total((part) => part.organicKg)) / dryKg,
    compostShare: total((part) => part.compostL) / volumeL,
  };
}
