import type { AshParty, CarbonParty, NitrogenParty } from './accounts.ts';

type Route =
  | { readonly element: 'carbon'; readonly from: CarbonParty; readonly to: CarbonParty }
  | { readonly element: 'nitrogen'; readonly from: NitrogenParty; readonly to: NitrogenParty }
  | { readonly element: 'ash'; readonly from: AshParty; readonly to: AshParty };

const carbon = (from: CarbonParty, to: CarbonParty): Route => ({ element: 'carbon', from, to });
const nitrogen = (from: NitrogenParty, to: NitrogenParty): Route => ({ element: 'nitrogen', from, to });
const ash = (from: AshParty, to: AshParty): Route => ({ element: 'ash', from, to });

/**
 * Every posting the model can make: one debit, one credit. The simulation adds to a running total per
 * posting; the trial balance compares those totals with what really lies in the pools. Totals may be
 * negative for `soilTest` alone.
 */
export const ROUTES = {
  carbonLaidAsFresh: carbon('materials', 'fresh'),
  carbonLaidAsMicrobes: carbon('materials', 'microbes'),
  carbonLaidAsHumus: carbon('materials', 'humus'),
  carbonLaidAsChar: carbon('materials', 'char'),
  rootCarbonToFresh: carbon('roots', 'fresh'),
  freshCarbonGrown: carbon('fresh', 'microbes'),
  freshCarbonHumified: carbon('fresh', 'humus'),
  freshCarbonRespired: carbon('fresh', 'air'),
  microbialCarbonHumified: carbon('microbes', 'humus'),
  microbialCarbonRespired: carbon('microbes', 'air'),
  laidHumusCarbonRespired: carbon('humus', 'air'),
  nativeHumusCarbonRespired: carbon('humus', 'air'),
  charCarbonRespired: carbon('char', 'air'),
  freshCarbonTakenOff: carbon('fresh', 'takenOff'),
  microbialCarbonTakenOff: carbon('microbes', 'takenOff'),
  humusCarbonTakenOff: carbon('humus', 'takenOff'),
  charCarbonTakenOff: carbon('char', 'takenOff'),

  nitrogenLaidAsFresh: nitrogen('materials', 'fresh'),
  nitrogenLaidAsMicrobes: nitrogen('materials', 'microbes'),
  nitrogenLaidAsHumus: nitrogen('materials', 'humus'),
  nitrogenLaidAsChar: nitrogen('materials', 'char'),
  nitrogenLaidAsAmmonium: nitrogen('materials', 'ammonium'),
  nitrateLaidInLayers: nitrogen('materials', 'layers'),
  nitrateLaidInContactZone: nitrogen('materials', 'contactZone'),
  residueNitrogenToFresh: nitrogen('crops', 'fresh'),
  residueNitrogenToMicrobes: nitrogen('crops', 'microbes'),
  residueNitrogenToHumus: nitrogen('crops', 'humus'),
  residueNitrogenToChar: nitrogen('crops', 'char'),
  residueNitrogenToAmmonium: nitrogen('crops', 'ammonium'),
  rootNitrogenToFresh: nitrogen('crops', 'fresh'),
  fedToContactZone: nitrogen('fertiliser', 'contactZone'),
  fedToRootZone: nitrogen('fertiliser', 'rootZone'),
  deposited: nitrogen('deposition', 'contactZone'),
  testedContactZone: nitrogen('soilTest', 'contactZone'),
  testedRootZone: nitrogen('soilTest', 'rootZone'),
  testedUpperSubsoil: nitrogen('soilTest', 'upperSubsoil'),
  testedLowerSubsoil: nitrogen('soilTest', 'lowerSubsoil'),
  fixed: nitrogen('fixation', 'crops'),
  liftedFromSubsoil: nitrogen('subsoil', 'crops'),
  freshNitrogenTaken: nitrogen('fresh', 'microbes'),
  immobilizedFromLayers: nitrogen('layers', 'microbes'),
  immobilizedFromContactZone: nitrogen('contactZone', 'microbes'),
  immobilizedFromRootZone: nitrogen('rootZone', 'microbes'),
  mineralizedToLayers: nitrogen('microbes', 'layers'),
  mineralizedToContactZone: nitrogen('microbes', 'contactZone'),
  mineralizedToRootZone: nitrogen('microbes', 'rootZone'),
  mineralizedVolatilized: nitrogen('microbes', 'ammonia'),
  microbialNitrogenHumified: nitrogen('microbes', 'humus'),
  laidHumusToLayers: nitrogen('humus', 'layers'),
  laidHumusToContactZone: nitrogen('humus', 'contactZone'),
  laidHumusToRootZone: nitrogen('humus', 'rootZone'),
  nativeHumusToContactZone: nitrogen('humus', 'contactZone'),
  nativeHumusToRootZone: nitrogen('humus', 'rootZone'),
  charToContactZone: nitrogen('char', 'contactZone'),
  charToRootZone: nitrogen('char', 'rootZone'),
  contactZoneToChar: nitrogen('contactZone', 'char'),
  rootZoneToChar: nitrogen('rootZone', 'char'),
  charToLayers: nitrogen('char', 'layers'),
  ammoniumToLayers: nitrogen('ammonium', 'layers'),
  ammoniumToContactZone: nitrogen('ammonium', 'contactZone'),
  ammoniumToRootZone: nitrogen('ammonium', 'rootZone'),
  ammoniumVolatilized: nitrogen('ammonium', 'ammonia'),
  layersVolatilized: nitrogen('layers', 'ammonia'),
  layersToContactZone: nitrogen('layers', 'contactZone'),
  layersToRootZone: nitrogen('layers', 'rootZone'),
  contactZoneToRootZone: nitrogen('contactZone', 'rootZone'),
  rootZoneToSubsoil: nitrogen('rootZone', 'upperSubsoil'),
  upperToLowerSubsoil: nitrogen('upperSubsoil', 'lowerSubsoil'),
  leached: nitrogen('lowerSubsoil', 'leached'),
  contactZoneDenitrified: nitrogen('contactZone', 'denitrified'),
  rootZoneDenitrified: nitrogen('rootZone', 'denitrified'),
  contactZoneToCrops: nitrogen('contactZone', 'crops'),
  rootZoneToCrops: nitrogen('rootZone', 'crops'),
  upperSubsoilToCrops: nitrogen('upperSubsoil', 'crops'),
  lowerSubsoilToCrops: nitrogen('lowerSubsoil', 'crops'),
  harvested: nitrogen('crops', 'harvested'),
  freshNitrogenTakenOff: nitrogen('fresh', 'takenOff'),
  microbialNitrogenTakenOff: nitrogen('microbes', 'takenOff'),
  humusNitrogenTakenOff: nitrogen('humus', 'takenOff'),
  charNitrogenTakenOff: nitrogen('char', 'takenOff'),
  ammoniumTakenOff: nitrogen('ammonium', 'takenOff'),
  layersTakenOff: nitrogen('layers', 'takenOff'),

  ashLaid: ash('materials', 'minerals'),
  ashTakenOff: ash('minerals', 'takenOff'),
} as const satisfies Record<string, Route>;

export type FlowName = keyof typeof ROUTES;

export const FLOW_NAMES = Object.keys(ROUTES) as readonly FlowName[];
export const FLOW_COUNT = FLOW_NAMES.length;

/** Place of each posting where all of them are kept in a row, in the order of ROUTES. */
export const FLOW = Object.fromEntries(FLOW_NAMES.map((name, index) => [name, index])) as Readonly<
  Record<FlowName, number>
>;
