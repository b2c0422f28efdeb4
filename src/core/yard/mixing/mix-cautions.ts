import { type Material, type MaterialKind, type MaterialTrait, hasTrait } from '../../ground/index.ts';
import { type Blend, type BlendPart, blend } from './blend.ts';

/** What to mind about a mix. */
export type MixCaution =
  | { readonly code: 'ammoniaLoss'; readonly ammoniumShare: number }
  | { readonly code: 'richMix'; readonly carbonToNitrogen: number }
  | { readonly code: 'tooWet'; readonly moisture: number }
  | { readonly code: 'tooDry'; readonly moisture: number }
  | { readonly code: 'littleAir'; readonly freeAirShare: number }
  | { readonly code: 'salty'; readonly share: number }
  | { readonly code: 'rawManure' }
  | { readonly code: 'persistentWeedkiller' }
  | { readonly code: 'metals' }
  | { readonly code: 'plastic' }
  | { readonly code: 'ashWithAmmonium' }
  | { readonly code: 'muchAsh'; readonly ashPerVolume: number };

/** A mix narrower than this gives off ammonia (NRAES-54, from memory). */
const RICH_BELOW = 20;
const WETTEST = 0.65;
const DRIEST = 0.4;
/** Less air than this and a heap turns sour (general literature, from memory). */
const LEAST_AIR = 0.3;
/** Poultry manure and bought feeds above this share of the dry mass scorch seedlings by their salts (set here). */
const MOST_SALTY = 0.25;
const AMMONIUM_HEAVY = 0.15;
/** What is rotted through does not smell, however rich; a mix does of which this much of the nitrogen is not (set here). */
const RAW_ENOUGH = 0.25;
/** The most ash there is a recipe for: one part to five (common practice, no source). */
const MOST_ASH_PER_VOLUME = 1 / 5;
const SMELLS_WITH_ASH: ReadonlySet<MaterialKind> = new Set(['manure', 'green', 'fertiliser', 'compost']);

const isLime = (material: Material): boolean => hasTrait(material, 'drivesOffAmmonia');

/** Wood ash by the litre of all else in a mix; 0 without any. */
function ashPerLitre(parts: readonly BlendPart[]): number {
  const isAsh = ({ material }: BlendPart) => hasTrait(material, 'isWoodAsh');
  const restL = blend(parts.filter((part) => !isAsh(part))).volumeL;
  return restL > 0 ? blend(parts.filter(isAsh)).volumeL / restL : 0;
}

/** A part of a mix with the id of its material. */
export interface NamedPart extends BlendPart {
  readonly materialId: string;
}

/** What ash does in a mix. */
function ashCautions(present: readonly BlendPart[], ammoniumShare: number): MixCaution[] {
  const smells = ({ material }: BlendPart) =>
    SMELLS_WITH_ASH.has(material.kind) && !hasTrait(material, 'isMature') && !isLime(material);
  const drivesOff =
    present.some(({ material }) => isLime(material)) && (ammoniumShare > 0.02 || present.some(smells));
  const ashPerVolume = ashPerLitre(present);
  return [
    ...(drivesOff ? [{ code: 'ashWithAmmonium' } as const] : []),
    ...(ashPerVolume > MOST_ASH_PER_VOLUME ? [{ code: 'muchAsh', ashPerVolume } as const] : []),
  ];
}

/** Water and air of a heap. */
function airCautions({ massFreshKg, moistureFractionWetBasis: moisture, freeAirShare }: Blend): MixCaution[] {
  if (massFreshKg === 0) return [];
  return [
    ...(moisture > WETTEST ? [{ code: 'tooWet', moisture } as const] : []),
    ...(moisture < DRIEST ? [{ code: 'tooDry', moisture } as const] : []),
    ...(freeAirShare < LEAST_AIR ? [{ code: 'littleAir', freeAirShare } as const] : []),
  ];
}

const shareOf = (part: number, whole: number): number => (whole > 0 ? part / whole : 0);

/** Cautions about a mix, the gravest first. */
export function mixCautions(mix: Blend, parts: readonly BlendPart[]): MixCaution[] {
  const present = parts.filter(({ massFreshKg }) => massFreshKg > 0);
  const hasAny = (trait: MaterialTrait) => present.some(({ material }) => hasTrait(material, trait));
  const salty = blend(present.filter(({ material }) => hasTrait(material, 'isSalty')));
  const saltyShare = shareOf(salty.dryKg, mix.dryKg);
  const raw = blend(present.filter(({ material }) => !hasTrait(material, 'isMature')));
  const ammoniumShare = shareOf(raw.ammoniumNitrogenG, mix.nitrogenG);
  const ratio = mix.carbonToNitrogen ?? 0;
  const isRich = ratio > 0 && ratio < RICH_BELOW && shareOf(raw.nitrogenG, mix.nitrogenG) > RAW_ENOUGH;
  const cautions: (MixCaution | false)[] = [
    ...ashCautions(present, ammoniumShare),
    present.some(({ material }) => material.kind === 'manure') && { code: 'rawManure' },
    hasAny('mayCarryWeedkiller') && { code: 'persistentWeedkiller' },
    hasAny('mayHoldMetals') && { code: 'metals' },
    hasAny('mayHoldPlastic') && { code: 'plastic' },
    isRich && { code: 'richMix', carbonToNitrogen: ratio },
    ammoniumShare > AMMONIUM_HEAVY && { code: 'ammoniaLoss', ammoniumShare },
    saltyShare > MOST_SALTY && { code: 'salty', share: saltyShare },
    ...airCautions(mix),
  ];
  return cautions.filter((caution) => caution !== false);
}
