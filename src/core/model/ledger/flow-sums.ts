import { FLOW, type FlowName } from './flows.ts';

/** Running totals of postings that belong together, g/m2 since the first day of a run. */
const sumOf = (names: readonly FlowName[]) => (flows: Float64Array) =>
  names.reduce((sum, name) => sum + flows[FLOW[name]], 0);

export const carbonLaid = sumOf([
  'carbonLaidAsFresh',
  'carbonLaidAsMicrobes',
  'carbonLaidAsHumus',
  'carbonLaidAsChar',
]);
export const carbonOfRoots = sumOf(['rootCarbonToFresh']);
export const carbonToAir = sumOf([
  'freshCarbonRespired',
  'microbialCarbonRespired',
  'laidHumusCarbonRespired',
  'nativeHumusCarbonRespired',
  'charCarbonRespired',
]);
export const nitrogenLaid = sumOf([
  'nitrogenLaidAsFresh',
  'nitrogenLaidAsMicrobes',
  'nitrogenLaidAsHumus',
  'nitrogenLaidAsChar',
  'nitrogenLaidAsAmmonium',
  'nitrateLaidInLayers',
  'nitrateLaidInContactZone',
]);
const nitrogenSetFree = sumOf([
  'mineralizedToLayers',
  'mineralizedToContactZone',
  'mineralizedToRootZone',
  'laidHumusToLayers',
  'laidHumusToContactZone',
  'laidHumusToRootZone',
  'nativeHumusToContactZone',
  'nativeHumusToRootZone',
  'charToContactZone',
  'charToRootZone',
  'charToLayers',
  'ammoniumToLayers',
  'ammoniumToContactZone',
  'ammoniumToRootZone',
]);
const nitrogenTakenBack = sumOf([
  'immobilizedFromLayers',
  'immobilizedFromContactZone',
  'immobilizedFromRootZone',
  'contactZoneToChar',
  'rootZoneToChar',
]);
export const nitrogenBought = sumOf(['fedToContactZone', 'fedToRootZone']);
/** Brought to the bed from anywhere: laid, fed, fixed from the air, and fallen with rain and dust. */
export const nitrogenBrought = (flows: Float64Array): number =>
  nitrogenLaid(flows) + nitrogenBought(flows) + nitrogenOfAir(flows);
const nitrogenOfAir = sumOf(['deposited', 'fixed']);
/** Carried away with harvests and with what is lifted off. */
export const nitrogenCarriedAway = sumOf([
  'harvested',
  'freshNitrogenTakenOff',
  'microbialNitrogenTakenOff',
  'humusNitrogenTakenOff',
  'charNitrogenTakenOff',
  'ammoniumTakenOff',
  'layersTakenOff',
]);
/** Gone to the air. */
export const nitrogenToAir = sumOf([
  'ammoniumVolatilized',
  'layersVolatilized',
  'mineralizedVolatilized',
  'contactZoneDenitrified',
  'rootZoneDenitrified',
]);
/** Gone for good: to the air, and below all roots. */
export const nitrogenLost = sumOf([
  'ammoniumVolatilized',
  'layersVolatilized',
  'mineralizedVolatilized',
  'leached',
  'contactZoneDenitrified',
  'rootZoneDenitrified',
]);
/** Washed out of the depth of the bed; deep roots may still reach it. */
export const nitrogenWashedOut = sumOf(['rootZoneToSubsoil']);
/** Fetched back by roots from below the bed. */
export const nitrogenFetchedBack = sumOf(['upperSubsoilToCrops', 'lowerSubsoilToCrops']);

/** Set free for roots from all that is bound, less what decomposers and char took back. */
export const nitrogenGiven = (flows: Float64Array): number =>
  nitrogenSetFree(flows) - nitrogenTakenBack(flows);
