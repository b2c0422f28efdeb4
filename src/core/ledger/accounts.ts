/**
 * The chart of accounts. Asset accounts lie on or in the bed; sources and sinks are the world outside.
 * Carbon in g/m2, nitrogen in g/m2.
 */
export const CARBON_ACCOUNTS = ['fresh', 'microbes', 'humus', 'char'] as const;
export const CARBON_SOURCES = ['materials'] as const;
export const CARBON_SINKS = ['air', 'takenOff'] as const;

export const NITROGEN_ACCOUNTS = [
  'fresh',
  'microbes',
  'humus',
  'char',
  'ammonium',
  'layers',
  'contactZone',
  'rootZone',
  'crops',
] as const;
export const NITROGEN_SOURCES = [
  'materials',
  'fertiliser',
  'deposition',
  'fixation',
  'subsoil',
  'soilTest',
] as const;
export const NITROGEN_SINKS = ['leached', 'denitrified', 'ammonia', 'harvested', 'takenOff'] as const;

export type CarbonAccount = (typeof CARBON_ACCOUNTS)[number];
export type NitrogenAccount = (typeof NITROGEN_ACCOUNTS)[number];
export type CarbonParty = CarbonAccount | (typeof CARBON_SOURCES)[number] | (typeof CARBON_SINKS)[number];
export type NitrogenParty =
  NitrogenAccount | (typeof NITROGEN_SOURCES)[number] | (typeof NITROGEN_SINKS)[number];
export type Element = 'carbon' | 'nitrogen';
