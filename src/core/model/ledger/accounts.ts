/**
 * The chart of accounts. Asset accounts lie on, in or beneath the bed; sources and sinks are the world outside.
 * Carbon, nitrogen and ash (the minerals that came with what was laid), all in g/m2.
 */
export const CARBON_ACCOUNTS = ['fresh', 'microbes', 'humus', 'char'] as const;
export const CARBON_SOURCES = ['materials', 'roots'] as const;
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
  'upperSubsoil',
  'lowerSubsoil',
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

export const ASH_ACCOUNTS = ['minerals'] as const;
export const ASH_SOURCES = ['materials'] as const;
export const ASH_SINKS = ['takenOff'] as const;

export type CarbonAccount = (typeof CARBON_ACCOUNTS)[number];
export type NitrogenAccount = (typeof NITROGEN_ACCOUNTS)[number];
export type CarbonParty = CarbonAccount | (typeof CARBON_SOURCES)[number] | (typeof CARBON_SINKS)[number];
export type NitrogenParty =
  | NitrogenAccount
  | (typeof NITROGEN_SOURCES)[number]
  | (typeof NITROGEN_SINKS)[number];
export type AshParty =
  | (typeof ASH_ACCOUNTS)[number]
  | (typeof ASH_SOURCES)[number]
  | (typeof ASH_SINKS)[number];
export const ELEMENTS = ['carbon', 'nitrogen', 'ash'] as const;
export type Element = (typeof ELEMENTS)[number];
