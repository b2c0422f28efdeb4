import { FLOW, type FlowName } from '../ledger/flows.ts';

/** Running totals of postings that belong together, g/m2 since the first day of a run. */
const sumOf = (names: readonly FlowName[]) => (flows: Float64Array) =>
  names.reduce((sum, name) => sum + flows[FLOW[name]], 0);

export const carbonLaid = sumOf([
  'carbonLaidAsFresh',
  'carbonLaidAsMicrobes',
  'carbonLaidAsHumus',
  'carbonLaidAsChar',
]);
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
export const nitrogenLost = sumOf([
  'ammoniumVolatilized',
  'layersVolatilized',
  'leached',
  'contactZoneDenitrified',
  'rootZoneDenitrified',
]);

/** Set free for roots from all that is bound, less what decomposers and char took back. */
export const nitrogenGiven = (flows: Float64Array): number =>
  nitrogenSetFree(flows) - nitrogenTakenBack(flows);
