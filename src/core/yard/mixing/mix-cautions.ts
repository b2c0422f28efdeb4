import { type Material, type MaterialKind, hasTrait } from '../../ground/index.ts';
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

/** Cautions about a mix, the gravest first. */
export function mixCautions(mix: Blend, parts: readonly BlendPart[]): MixCaution[] {
  const dryOf = ({ material, massFreshKg }: BlendPart) =>
    massFreshKg * (1 - material.moistureFractionWetBasis);
  const present = parts.filter(({ massFreshKg }) => massFreshKg > 0);
  const saltyKg = present
    .filter(({ material }) => hasTrait(material, 'isSalty'))
    .reduce((sum, part) => sum + dryOf(part), 0);
  const saltyShare = mix.dryKg > 0 ? saltyKg / mix.dryKg : 0;
  const raw = present.filter(({ material }) => !hasTrait(material, 'isMature'));
  const ofRaw = blend(raw);
  const rawShare = mix.nitrogenG > 0 ? ofRaw.nitrogenG / mix.nitrogenG : 0;
  const ammoniumShare = mix.nitrogenG > 0 ? ofRaw.ammoniumNitrogenG / mix.nitrogenG : 0;
  const ashPerL = ashPerLitre(present);
  const ratio = mix.carbonToNitrogen;
  const isHeap = mix.massFreshKg > 0;
  const cautions: (MixCaution | false)[] = [
    present.some(({ material }) => hasTrait(material, 'drivesOffAmmonia')) &&
      (ammoniumShare > 0.02 ||
        raw.some(({ material }) => SMELLS_WITH_ASH.has(material.kind) && !isLime(material))) && {
        code: 'ashWithAmmonium',
      },
    ashPerL > MOST_ASH_PER_VOLUME && { code: 'muchAsh', ashPerVolume: ashPerL },
    present.some(({ material }) => material.kind === 'manure') && { code: 'rawManure' },
    present.some(({ material }) => hasTrait(material, 'mayCarryWeedkiller')) && {
      code: 'persistentWeedkiller',
    },
    present.some(({ material }) => hasTrait(material, 'mayHoldMetals')) && { code: 'metals' },
    present.some(({ material }) => hasTrait(material, 'mayHoldPlastic')) && { code: 'plastic' },
    ratio !== null &&
      ratio > 0 &&
      ratio < RICH_BELOW &&
      rawShare > RAW_ENOUGH && { code: 'richMix', carbonToNitrogen: ratio },
    ammoniumShare > AMMONIUM_HEAVY && { code: 'ammoniaLoss', ammoniumShare },
    saltyShare > MOST_SALTY && { code: 'salty', share: saltyShare },
    isHeap &&
      mix.moistureFractionWetBasis > WETTEST && { code: 'tooWet', moisture: mix.moistureFractionWetBasis },
    isHeap &&
      mix.moistureFractionWetBasis < DRIEST && { code: 'tooDry', moisture: mix.moistureFractionWetBasis },
    isHeap && mix.freeAirShare < LEAST_AIR && { code: 'littleAir', freeAirShare: mix.freeAirShare },
  ];
  return cautions.filter((caution) => caution !== false);
}
