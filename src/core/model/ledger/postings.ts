import { FLOW_NAMES, type FlowName } from './flows.ts';

/**
 * Running total of every posting of a run, g/m2, under the names of ROUTES. The fields start as NaN so that engines
 * keep them as plain doubles, which is what the daily loop adds to more than to anything else; `openPostings` sets
 * them to 0.
 */
export class Postings implements Record<FlowName, number> {
  carbonLaidAsFresh = NaN;
  carbonLaidAsMicrobes = NaN;
  carbonLaidAsHumus = NaN;
  carbonLaidAsChar = NaN;
  rootCarbonToFresh = NaN;
  freshCarbonGrown = NaN;
  freshCarbonHumified = NaN;
  freshCarbonRespired = NaN;
  microbialCarbonHumified = NaN;
  microbialCarbonRespired = NaN;
  laidHumusCarbonRespired = NaN;
  nativeHumusCarbonRespired = NaN;
  charCarbonRespired = NaN;
  freshCarbonTakenOff = NaN;
  microbialCarbonTakenOff = NaN;
  humusCarbonTakenOff = NaN;
  charCarbonTakenOff = NaN;
  nitrogenLaidAsFresh = NaN;
  nitrogenLaidAsMicrobes = NaN;
  nitrogenLaidAsHumus = NaN;
  nitrogenLaidAsChar = NaN;
  nitrogenLaidAsAmmonium = NaN;
  nitrateLaidInLayers = NaN;
  nitrateLaidInContactZone = NaN;
  residueNitrogenToFresh = NaN;
  residueNitrogenToMicrobes = NaN;
  residueNitrogenToHumus = NaN;
  residueNitrogenToChar = NaN;
  residueNitrogenToAmmonium = NaN;
  rootNitrogenToFresh = NaN;
  fedToContactZone = NaN;
  fedToRootZone = NaN;
  deposited = NaN;
  testedContactZone = NaN;
  testedRootZone = NaN;
  testedUpperSubsoil = NaN;
  testedLowerSubsoil = NaN;
  fixed = NaN;
  liftedFromSubsoil = NaN;
  freshNitrogenTaken = NaN;
  immobilizedFromLayers = NaN;
  immobilizedFromContactZone = NaN;
  immobilizedFromRootZone = NaN;
  mineralizedToLayers = NaN;
  mineralizedToContactZone = NaN;
  mineralizedToRootZone = NaN;
  mineralizedVolatilized = NaN;
  microbialNitrogenHumified = NaN;
  laidHumusToLayers = NaN;
  laidHumusToContactZone = NaN;
  laidHumusToRootZone = NaN;
  nativeHumusToContactZone = NaN;
  nativeHumusToRootZone = NaN;
  charToContactZone = NaN;
  charToRootZone = NaN;
  contactZoneToChar = NaN;
  rootZoneToChar = NaN;
  charToLayers = NaN;
  ammoniumToLayers = NaN;
  ammoniumToContactZone = NaN;
  ammoniumToRootZone = NaN;
  ammoniumVolatilized = NaN;
  layersVolatilized = NaN;
  layersToContactZone = NaN;
  layersToRootZone = NaN;
  contactZoneToRootZone = NaN;
  rootZoneToSubsoil = NaN;
  upperToLowerSubsoil = NaN;
  leached = NaN;
  contactZoneDenitrified = NaN;
  rootZoneDenitrified = NaN;
  contactZoneToCrops = NaN;
  rootZoneToCrops = NaN;
  upperSubsoilToCrops = NaN;
  lowerSubsoilToCrops = NaN;
  harvested = NaN;
  freshNitrogenTakenOff = NaN;
  microbialNitrogenTakenOff = NaN;
  humusNitrogenTakenOff = NaN;
  charNitrogenTakenOff = NaN;
  ammoniumTakenOff = NaN;
  layersTakenOff = NaN;
  ashLaid = NaN;
  ashTakenOff = NaN;
}

export function openPostings(): Postings {
  const postings = new Postings();
  for (const name of FLOW_NAMES) postings[name] = 0;
  return postings;
}

/** Makes `target` equal to `source`. Mutates target. */
export function copyPostings(source: Postings, target: Postings): void {
  for (const name of FLOW_NAMES) target[name] = source[name];
}

/** Writes all totals into `out` in the order of FLOW_NAMES. Mutates out. */
export function readPostings(postings: Postings, out: Float64Array): void {
  for (let i = 0; i < FLOW_NAMES.length; i++) out[i] = postings[FLOW_NAMES[i]];
}
