import type { FieldProblem } from '../contract/problem.ts';
import { G_PER_M2_PER_KG_PER_HA } from '../core/ground/index.ts';
import { formatQuantity } from '../quantities/format-quantity.ts';
import { InputError } from '../refusals/input-error.ts';
import {
  fieldOf,
  finding,
  type Bounds,
  type Finding,
  type Named,
  type Quantity,
  type Refusal,
  type RefusalCode,
  type RefusalFacts,
} from '../refusals/refusal.ts';
import type { CollectionName } from '../records/collections.ts';
import { recordTitle, type TitledRecords } from './record-titles.ts';
import { fieldWords } from './field-words.ts';
import { boundsInUnits, QUANTITY_NAMES, quantityExample } from './quantity-words.ts';

/** Refusals in words. Each completes a sentence that begins with the name of the field: "<field> must be …". */

const showValue = (value: unknown): string => {
  if (typeof value === 'string') return JSON.stringify(value);
  if (value === null || typeof value !== 'object') return String(value);
  return Array.isArray(value) ? 'a list' : 'an object';
};

/** What was given, when it is known; a schema does not tell. */
const gotWords = (got: unknown): string => (got === undefined ? '' : `; got ${showValue(got)}`);

const OR = new Intl.ListFormat('en', { type: 'disjunction' });
const oneOf = (words: readonly string[]): string => OR.format(words);

function boundsWords({ min, max, above }: Bounds): string {
  if (above !== undefined) {
    return max === undefined ? `greater than ${above}` : `greater than ${above} and at most ${max}`;
  }
  if (min !== undefined && max !== undefined) return `between ${min} and ${max}`;
  return min === undefined ? `at most ${max}` : `at least ${min}`;
}

const NAMES_NONE: Readonly<Record<Named, string>> = {
  material: 'names no material',
  libraryMaterial: 'names no material of the library',
  stock: 'names nothing in stock',
  crop: 'names no crop',
  coverCrop: 'names no cover crop',
  bed: 'names no bed of this garden',
  photo: 'names no photo that has been sent',
  planting: 'names nothing that grows on this bed',
  layer: 'names no layer of this bed',
  layerByThen: 'names nothing that lies on the bed by that date',
  liftedLayer: 'names no layer that lay on this bed by then',
  otherBed: 'names no other bed of this garden',
  trial: 'names no trial of this garden',
  pile: 'names no pile',
  brew: 'names no brew',
  parameter: 'is not a parameter of the model',
  parameterClass: 'is not a class of this parameter',
  ownPile: 'names no pile of this garden',
  ownLayer: 'names no layer of this garden',
};

const KINDS: Readonly<Record<string, string>> = {
  string: 'text',
  array: 'a list',
  object: 'an object',
  boolean: 'true or false',
};

const MISSING = {
  material: 'is missing; a material needs it',
  materialOrPile: 'is missing; name a material or a pile',
  annualIsCleared: 'is missing; an annual crop is cleared one day',
} as const;

const LISTS = {
  twelveMonths: 'must list twelve months',
  contactAndRoot: 'must list two figures: contact zone and root zone',
  zonesOrHalves:
    'must list two figures, contact zone and root zone, or four with the two halves of the subsoil',
} as const;

const CELL_NOUNS = {
  bed: 'bed of this garden',
  lot: 'pile of this garden',
  material: 'material',
  crop: 'crop',
} as const;

const NO_DATE = {
  notADate: 'must be a date',
  noYear: 'has no year in front',
  noSuchDay: 'must be a date that exists',
} as const;
const WHICH_ORDER = 'Is the order of dates right?';

/** A measured figure in both systems: a refusal does not know in which the reader measures. */
const both = (value: number, quantity: Quantity): string =>
  `${formatQuantity(value, quantity, 'metric')} (${formatQuantity(value, quantity, 'customary')})`;

function moreThanThere({ lotName, thereKg, thereL, askedKg }: RefusalFacts['moreThanThere']): string {
  const times = thereKg > 0 ? askedKg / thereKg : Infinity;
  const hint = times > 5 && times < 1000 ? '. Is the unit right?' : '';
  const there =
    thereKg > 0
      ? `on that day only ${both(thereKg, 'mass')}, or ${both(thereL, 'volume')}, of "${lotName}" is in stock`
      : `nothing of "${lotName}" is in stock on that day`;
  return `is more than is in stock: ${there}, and this asks for ${both(askedKg, 'mass')}${hint}`;
}

function wholeWords({ of, isFromOne, got }: RefusalFacts['notWhole']): string {
  if (of === undefined) return `must be a whole number${isFromOne ? ' from 1 on' : gotWords(got)}`;
  return `must be a whole number of days${isFromOne ? ', at least 1' : gotWords(got)}`;
}

function lengthWords({ of, ...bounds }: RefusalFacts['wrongLength']): string {
  const most = bounds.max ?? bounds.min ?? 0;
  return `must be ${boundsWords(bounds)}${of === 'characters' ? ` character${most === 1 ? '' : 's'} long` : ''}`;
}

const nearestWords = (nearest: readonly string[]): string =>
  nearest.length === 0 ? '' : `, perhaps ${nearest.map((name) => `"${name}"`).join(' or ')}`;

type Sentences = { readonly [Code in RefusalCode]: (facts: RefusalFacts[Code]) => string };

const SENTENCES: Sentences = {
  notAQuantity: ({ got, quantity, system }) =>
    `cannot be read: ${showValue(got)} is not ${QUANTITY_NAMES[quantity]}. Write for example ${quantityExample(quantity, system)}`,
  needsUnit: ({ got, system }) =>
    `needs a unit: ${showValue(got)} can be feet or meters. Write for example ${quantityExample('area', system)}`,
  notItsUnit: ({ unit, units, isOther }) =>
    isOther
      ? `cannot be in ${unit}; use ${oneOf(units)}`
      : `has a unit that is not known, ${showValue(unit)}; use ${oneOf(units)}`,
  outsideQuantity: (facts) => `must be ${boundsInUnits(facts)}`,
  notANumber: ({ got }) => `must be a finite number${gotWords(got)}`,
  wrongKind: ({ wanted, isMissing }) =>
    `${isMissing ? 'is missing; it ' : ''}must be ${KINDS[wanted] ?? wanted}`,
  outOfRange: ({ got, ...bounds }) => `must be ${boundsWords(bounds)}${gotWords(got)}`,
  notWhole: wholeWords,
  notOneOf: ({ allowed, got }) => `must be one of ${allowed.join(', ')}${gotWords(got)}`,
  wrongLength: lengthWords,
  unknownFields: ({ fields }) => `has unknown fields: ${fields.join(', ')}`,
  noKnownForm: () => 'has none of the known forms',
  mustBe: ({ requirement }) => requirement,
  missing: ({ hint }) => MISSING[hint],
  notClasses: () => 'must be an object of classes',
  equalMonths: () => 'is the same in all twelve months: give each month its own mean',
  otherHemisphere: ({ latitudeDeg }) =>
    `is highest when it is winter at ${Math.abs(latitudeDeg)}° ${latitudeDeg < 0 ? 'south' : 'north'}: begin with January, and write southern latitudes with a minus`,
  wrongList: ({ wanted }) => LISTS[wanted],

  notADate: ({ got }) => `must be a date written YYYY-MM-DD; got ${JSON.stringify(got)}`,
  noSuchDay: ({ got }) => `must be a day of the calendar; ${String(got)} does not exist`,
  outsideYears: ({ first, last, got }) =>
    `must lie between the years ${first} and ${last}; got ${String(got)}`,
  outsideDates: ({ first, last, got }) => `must lie between ${first} and ${last}; got ${String(got)}`,
  inTheFuture: ({ date, today, isPlannable }) =>
    `lies in the future; got ${date}${isPlannable ? `, and today is ${today}. What has not happened yet belongs into the plan` : ''}`,
  tooFarAhead: ({ date, years }) => `lies more than ${years} years ahead; got ${date}. Is the year right?`,
  outsideTheRun: () => 'must lie on or after the start and before the end',
  notAfterTheOneBefore: () => 'must come after the date before it',
  notAfterTheStart: () => 'must be after the start',
  notAfterTheStartOfThePile: () => 'must be after the start of the pile',
  notAfterPlanting: ({ isByDate }) => `must be after planting${isByDate ? '; is the year right?' : ''}`,
  beforeTheBed: ({ date, startedOn, canBeMoved }) =>
    `lies before the bed was made on ${startedOn}; got ${date}. Is the year right?${canBeMoved ? ' If the bed is older, change the day it was made' : ''}`,
  beforePlanting: ({ date, plantedOn }) => `lies before this was planted on ${plantedOn}; got ${date}`,
  beforeItsLayer: ({ date, laidOn }) => `lies before that layer was spread on ${laidOn}; got ${date}`,
  beforeTheTrial: ({ date, trialDate }) => `lies before the trial began on ${trialDate}; got ${date}`,
  beforeItBegan: ({ date, begunOn }) => `must be on or after ${begunOn}, when it was begun; got ${date}`,
  afterItWasSeen: () => 'lies after the day it was seen',
  yearNotBegun: ({ date, year }) => `has not begun on ${date}; got ${year}`,
  beforeThePileEnds: ({ pileId }) => `must not be before the pile "${pileId}" ends`,
  endsBeforeItStarts: ({ fromYear, untilYear }) =>
    `must not come before it starts: it starts in year ${fromYear} and would end in year ${untilYear}`,
  beyondTheYears: ({ year }) => `lies beyond the years that are followed; got ${year}`,

  namesNone: ({ what, got }) => `${NAMES_NONE[what]}${got === null ? '' : `; got "${got}"`}`,
  usedTwice: ({ id }) => `"${id}" is used twice`,
  thereTwice: ({ got }) => `is there twice; got "${got}"`,
  nameTaken: ({ got }) => `must be another name: somebody comes in as "${got}" already`,
  ofTheLibrary: ({ what }) => `belongs to a ${what} of the library`,
  mustStay: ({ kind, got }) => `must stay ${kind}; got ${String(got)}`,

  sharesDoNotAddUp: ({ sum }) => `must add up to 1; they add up to ${sum}`,
  belongsToChar: () => 'belongs to char; leave it out unless more than half of the carbon is char',
  bindsToWood: () => 'binds nitrogen to the woody part; leave it out, or give a woody share',
  belongsToPerennial: () => 'belongs to a perennial; an annual takes nothing from below the subsoil',
  belongsToLegume: () => 'belongs to a legume; no other crop fixes nitrogen',
  rootSharesOverOne: ({ sum }) => `and rootQuickShare must not add up to more than 1; they add up to ${sum}`,
  harvestOverUptake: ({ harvestedG, takenUpG, mostKg }) =>
    `would take off more nitrogen (${both(harvestedG, 'massPerArea')}) than the crop takes up (${both(takenUpG, 'massPerArea')}): at most ${both(mostKg * 1000, 'massPerArea')} of harvest goes with that, or the crop takes up more`,
  holdsNoNitrogen: () => 'must contain nitrogen',
  holdsNoCarbon: () => 'must hold something with carbon in it',
  residueUnnamed: () => 'must be named when a residue is left',
  layerTooThick: ({ thicknessCm, mostCm }) =>
    `makes a layer ${both(thicknessCm, 'length')} thick; at most ${both(mostCm, 'length')} can be spread at once. Is the unit right?`,
  layerTooHeavy: ({ dryKgPerM2, mostKgPerM2 }) =>
    `is ${both(dryKgPerM2 * 1000, 'massPerArea')} of dry matter; at most ${both(mostKgPerM2 * 1000, 'massPerArea')} can be spread at once`,
  wouldLieTooDeep: ({ thicknessCm, mostCm }) =>
    `would lie ${both(thicknessCm, 'length')} deep; the model follows at most ${both(mostCm, 'length')}`,
  farTooLarge: ({ amount }) => `is far too large; got ${amount}`,
  takenOffAlready: ({ date }) => `was taken off on ${date} already`,
  nothingLeftToLift: () => 'have nothing left in them to lift',
  bedIsFull: ({ crops }) =>
    `overlaps ${crops.join(' and ')}, which already fills the bed. Clear that first, give each a share of the bed, or mark this one as undersown`,

  nothingInIt: ({ lotName }) => `has nothing in it by that date: "${lotName}" came later. Is the date right?`,
  moreThanThere,
  moreThanThePile: ({ pileId, inKg }) =>
    `takes more from the pile "${pileId}" than the ${both(inKg, 'mass')} that went in`,
  madeOfItself: () => 'cannot be made of itself; choose another name for what is made',
  intoItself: () => 'must be another pile than it comes from',
  unburntAmongChar: () =>
    'must be another pile than that of the char: wood among char would be charged and spread as char',
  emptyMix: ({ isAtTheBench }) =>
    `is empty; ${isAtTheBench ? 'put something in the mix first' : 'a mix of nothing cannot be made'}`,
  nothingBurnt: () => 'is empty; nothing was burnt',
  notFoundCold: () =>
    'is missing: heaps re-light hours later, so there is no char before somebody has felt into the middle on a later day than the fire',
  coldTooSoon: ({ date, burntOn }) =>
    `must be a later day than the fire of ${burntOn}; got ${date}. Heaps re-light hours later`,
  moreCharThanWood: ({ charDryKg, woodDryKg }) =>
    `is more than went in: ${both(charDryKg, 'mass')} of dry char from ${both(woodDryKg, 'mass')} of dry wood. Was it weighed wet, or is the unit wrong?`,
  notBelowOne: ({ share }) => `must be a share below 1; did you mean ${share} %?`,
  belowTheLeast: ({ got }) => `must not be below the least${gotWords(got)}`,

  notAboveTheBucket: ({ got }) => `must be more than the empty bucket${gotWords(got)}. Are the two swapped?`,
  densityImpossible: ({ kgPerM3 }) =>
    `makes ${both(kgPerM3, 'bulkDensity')}, which nothing on a heap weighs. Is the unit right?`,
  notAboveTheDish: ({ got }) => `must be more than the dish alone${gotWords(got)}`,
  moreAfterDrying: ({ got }) =>
    `must not be more than before drying${gotWords(got)}. Are wet and dry swapped?`,
  tooFewPieces: ({ least }) => `is too few to tell; count at least ${least} pieces in all`,
  tooMuchMineralNitrogen: ({ gPerM2 }) =>
    `comes to ${Math.round(gPerM2 / G_PER_M2_PER_KG_PER_HA)} kg/ha of mineral nitrogen, more than any garden soil holds. Is the unit right? mg/kg (ppm), kg/ha and % are easily mixed up, and total nitrogen is not mineral nitrogen`,
  organicMatterImpossible: ({ pct, least, most }) =>
    `must be between ${least} and ${most} %; got ${pct}. ${pct < 1 ? 'A share of 0.04 is 4 %' : '1 % is 10 000 ppm'}`,
  nothingTested: () => 'needs at least one figure of the report: nitrogen, pH, organic matter or a nutrient',
  unitNeeded: () => 'is needed beside the amount of mineral nitrogen: mg/kg, kg/ha, lb/acre or g/m²',
  noColumns: () =>
    'has no column for pH, organic matter, mineral nitrogen or another nutrient. The first line must name the columns, for example "sample, pH, organic matter (%), nitrate N (mg/kg)"',
  noNumber: ({ text }) => `must be a number; got "${text}"`,
  moreThanAll: ({ pct, asPpmPct }) =>
    `is ${pct} %, more than everything there is; in ppm it would be ${asPpmPct} %. Name the unit in the header`,
  mixedNitrogenUnits: () => 'and the other form of nitrogen must be in one unit',
  needsFigureUnit: ({ unit, units }) =>
    `needs a unit in its header: ${units.join(', ')}${unit === '' ? '' : `; got "${unit}"`}`,
  needsNitrogenUnit: ({ unit }) =>
    `needs a unit in its header: mg/kg, ppm, kg/ha, lb/acre or g/m2${unit === '' ? '' : `; got "${unit}"`}`,
  plotOutside: ({ plots, plot }) => `must be one of the ${plots} of this trial; got ${plot}`,
  notInsideTheRing: () => 'must be smaller than the ring around it',
  tooFewWidths: () => 'must be two or more widths, one of them above 0',
  negativePrice: ({ price }) => `must not be negative; got ${price}. Leave it empty if you do not know it`,

  notAGardenFile: ({ format }) => `must be "${format}": this is no garden file`,
  notAFileVersion: () => 'must be a whole number from 1 on',
  newerFile: ({ version, newest }) =>
    `is ${version}, and this Vine Ledger reads up to ${newest}: update Vine Ledger to open it`,
  notJson: () => 'is not GeoJSON: it is no JSON at all',
  notGeoJson: () => 'must be a GeoJSON FeatureCollection with a polygon for each bed',
  notAPolygon: () => 'must be a polygon',
  bedUnnamed: ({ name }) => `is that of no bed of this garden; got "${name}"`,
  notDegrees: () => 'must be in degrees, longitude before latitude',
  tooFewCorners: () => 'must have three corners at least, and something inside',
  photoElsewhere: () => 'belongs to another garden',
  notAPicture: () => 'must be a whole JPEG or PNG picture',
  wrongPassphrase: () => 'is not that of these books',
  doesNotFit: () => 'does not fit with what is in the books',
  ofAnotherGarden: () => 'belongs to a record of another garden; take it in as a copy, or leave the id out',

  noDate: ({ text, why }) => `${NO_DATE[why]}; got "${text}"${why === 'notADate' ? '' : `. ${WHICH_ORDER}`}`,
  notYesOrNo: ({ text }) => `must be yes or no; got "${text}"`,
  notDetails: () => 'must be the details as they were exported (JSON)',
  severalNames: ({ text }) => `is the name of several; use its id. Got "${text}"`,
  noName: ({ what, text, nearest }) => `names no ${CELL_NOUNS[what]}; got "${text}"${nearestWords(nearest)}`,
};

/** What must hold, to stand behind the name of the field. */
export const requirementWords = ({ code, facts }: Refusal): string =>
  (SENTENCES[code] as (facts: Refusal['facts']) => string)(facts);

/** The whole sentence; a requirement may end with a question. */
export function refusalSentence(field: string, refused: Refusal): string {
  const requirement = requirementWords(refused);
  return `${field} ${requirement}${requirement.endsWith('?') ? '' : '.'}`;
}

/** A finding with its sentence, its field called as people call it. */
export const describeFinding = (found: Finding): FieldProblem => ({
  field: found.at.field,
  sentence: refusalSentence(fieldWords(found.at.field), found),
  code: found.code,
  facts: found.facts,
  at: found.at,
});

/** A problem from the API about a field that has another name here: a column of a file, a line of a form. */
export const describeProblem = (name: string, { code, facts }: FieldProblem): string =>
  refusalSentence(name, { code, facts } as Refusal);

/** The same for an error of the model; its last field is the one that people entered. */
export const toldError = (error: InputError): FieldProblem =>
  describeFinding(finding(error.refusal, fieldOf(error.path)));

/** A finding about a record, led by what a gardener calls that record: "Ferry Strip: area must be …". */
export function titledSentence(found: Finding, records: TitledRecords): string {
  const { sentence, at } = describeFinding(found);
  if (at.collection === null || at.id === null) return sentence;
  return `${recordTitle(at.collection as CollectionName, at.id, records)}: ${sentence}`;
}

/** What `work` comes to, or why it cannot be. Anything but a refusal is thrown on. */
export function orRefused<Result>(
  work: () => Result,
): { readonly result: Result } | { readonly refused: Refusal } {
  try {
    return { result: work() };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return { refused: error.refusal };
  }
}
