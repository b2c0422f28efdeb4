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

const CARBON: readonly FlowName[] = [
  'freshCarbonTakenOff',
  'microbialCarbonTakenOff',
  'humusCarbonTakenOff',
  'charCarbonTakenOff',
];
const NITROGEN: readonly FlowName[] = [
  'freshNitrogenTakenOff',
  'microbialNitrogenTakenOff',
  'humusNitrogenTakenOff',
  'charNitrogenTakenOff',
  'ammoniumTakenOff',
  'layersTakenOff',
];

/**
 * What taking layers off a bed on `day` brings up, by the books of the bed; `scenario` does not hold the taking off
 * itself. Throws InputError when there is nothing left to lift.
 */
export function liftFrom({
  scenario,
  layerIds,
  day,
  areaM2,
}: {
  readonly scenario: BedScenario;
  readonly layerIds: readonly string[];
  readonly day: DayNumber;
  readonly areaM2: number;
}): Lifted {
  const events = layerIds.map((cohortId) => ({
    type: 'remove' as const,
    day,
    cohortId,
    share: 1,
    humusShare: LIFTED_HUMUS_SHARE,
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
  const [carbonG, nitrogenG] = [total(CARBON), total(NITROGEN)];
  if (!(carbonG > 0) || !(nitrogenG > 0)) {
    throw new InputError(['layerIds'], 'nothingLeftToLift');
  }
  const likeMaterialId = carbonG / nitrogenG < LIKE_COMPOST_BELOW ? 'compost_yard' : 'chips_branch';
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
