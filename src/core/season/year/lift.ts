import { type DayNumber, findLibraryMaterial } from '../../ground/index.ts';
import { InputError } from '../../../refusals/input-error.ts';
import {
  type BedScenario,
  type FlowName,
  copyPostings,
  endingOn,
  openPostings,
  runTo,
  startRun,
} from '../../model/index.ts';
import type { FiguresBasis } from '../../../records/material.ts';

/** Of the humus made under a layer, this much comes up with the shovel (set here). */
export const LIFTED_HUMUS_SHARE = 0.8;
/** Damp crumbs, as they are lifted (set here). */
const LIFTED_MOISTURE = 0.5;
/** Below this C:N what is lifted behaves like compost, above like old chips (as the model splits piles). */
const LIKE_COMPOST_BELOW = 25;

/** What is lifted off a bed: a material of its own that holds exactly the carbon and nitrogen taken off. */
export interface Lifted {
  readonly basis: FiguresBasis;
  /** For the whole bed. */
  readonly massFreshKg: number;
  readonly carbonG: number;
  readonly nitrogenG: number;
}

const CHAR_CARBON: readonly FlowName[] = ['charCarbonTakenOff'];
const CHAR_NITROGEN: readonly FlowName[] = ['charNitrogenTakenOff'];
const OTHER_CARBON: readonly FlowName[] = [
  'freshCarbonTakenOff',
  'microbialCarbonTakenOff',
  'humusCarbonTakenOff',
];
const OTHER_NITROGEN: readonly FlowName[] = [
  'freshNitrogenTakenOff',
  'microbialNitrogenTakenOff',
  'humusNitrogenTakenOff',
  'ammoniumTakenOff',
  'layersTakenOff',
];
/** Less than this of all carbon is no char, and no crumbs, of its own; it goes with the rest. */
const PART_OF_ITS_OWN = 1e-6;

interface LiftSetting {
  readonly scenario: BedScenario;
  readonly layerIds: readonly string[];
  readonly day: DayNumber;
  readonly areaM2: number;
  /** Of each layer; all of it when it is not told. */
  readonly share?: number;
}

/**
 * What taking layers off a bed on `day` brings up, according to the model; `scenario` does not hold the taking off
 * itself. Char is a part of its own, since it stays char wherever it goes. Throws InputError when there is nothing left
 * to lift.
 */
export function liftFrom({ scenario, layerIds, day, areaM2, share = 1 }: LiftSetting): Lifted[] {
  const events = layerIds.map((cohortId) => ({
    type: 'remove' as const,
    day,
    cohortId,
    share,
    humusShare: LIFTED_HUMUS_SHARE * share,
  }));
  const until = endingOn(scenario, day + 1);
  const run = startRun({ ...until, events: [...until.events, ...events] });
  runTo(run, day);
  const { postings } = run.bed.state;
  const before = openPostings();
  copyPostings(postings, before);
  const total = (names: readonly FlowName[]) =>
    names.reduce((sum, name) => sum + postings[name] - before[name], 0) * areaM2;
  runTo(run, day + 1);
  const char = { carbonG: total(CHAR_CARBON), nitrogenG: total(CHAR_NITROGEN) };
  const other = { carbonG: total(OTHER_CARBON), nitrogenG: total(OTHER_NITROGEN) };
  const carbonG = char.carbonG + other.carbonG;
  if (!(carbonG > 0) || !(char.nitrogenG + other.nitrogenG > 0)) {
    throw new InputError(['layerIds'], 'nothingLeftToLift');
  }
  const all = { carbonG, nitrogenG: char.nitrogenG + other.nitrogenG };
  if (char.carbonG < carbonG * PART_OF_ITS_OWN) return [asMaterial(all, likeOf(all))];
  if (other.carbonG < carbonG * PART_OF_ITS_OWN) return [asMaterial(all, CHAR_ID)];
  return [asMaterial(other, likeOf(other)), asMaterial(char, CHAR_ID)];
}

interface TakenUp {
  readonly carbonG: number;
  readonly nitrogenG: number;
}

/** Char that has lain in the open has taken up what it can (set here). */
const CHAR_ID = 'biochar_charged';

const likeOf = ({ carbonG, nitrogenG }: TakenUp): string =>
  carbonG / nitrogenG < LIKE_COMPOST_BELOW ? 'compost_yard' : 'chips_branch';

function asMaterial({ carbonG, nitrogenG }: TakenUp, likeMaterialId: string): Lifted {
  const like = findLibraryMaterial(likeMaterialId)!;
  const dryKg = carbonG / 1000 / like.carbonFractionDryBasis;
  return {
    carbonG,
    nitrogenG,
    massFreshKg: dryKg / (1 - LIFTED_MOISTURE),
    basis: {
      type: 'figures',
      likeMaterialId,
      moistureFractionWetBasis: LIFTED_MOISTURE,
      carbonFractionDryBasis: like.carbonFractionDryBasis,
      nitrogenFractionDryBasis: nitrogenG / 1000 / dryKg,
      bulkDensityKgPerM3: like.bulkDensityKgPerM3,
    },
  };
}
