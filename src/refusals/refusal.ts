/** Bounds of a figure. `above` is left out itself. */
export interface Bounds {
  readonly min?: number;
  readonly max?: number;
  readonly above?: number;
}

/** What a name or an id should have named. */
export type Named =
  | 'material'
  | 'libraryMaterial'
  | 'stock'
  | 'crop'
  | 'coverCrop'
  | 'bed'
  | 'photo'
  | 'planting'
  | 'layer'
  | 'layerByThen'
  | 'liftedLayer'
  | 'otherBed'
  | 'trial'
  | 'pile'
  | 'brew'
  | 'parameter'
  | 'parameterClass'
  | 'ownPile'
  | 'ownLayer';

/** What a figure can measure. */
export type Quantity =
  | 'length'
  | 'area'
  | 'volume'
  | 'mass'
  | 'temperature'
  | 'bulkDensity'
  | 'smallMass'
  | 'massPerArea'
  | 'volumePerArea'
  | 'waterDepth'
  | 'share';

/** Which units a garden shows its figures in. */
export type UnitSystem = 'metric' | 'customary';

interface Got {
  /** As it was given. */
  readonly got: unknown;
}
interface Dated {
  readonly date: string;
}

/**
 * What cannot be, by code, with the facts that a sentence about it needs. Figures are as they are and in the units of
 * their names: whoever turns them into words rounds them.
 */
export interface RefusalFacts {
  // Shapes
  notANumber: Got;
  wrongKind: { readonly wanted: string; readonly isMissing: boolean };
  outOfRange: Bounds & Got;
  notWhole: Got & { readonly of?: 'days'; readonly isFromOne?: boolean };
  notOneOf: Got & { readonly allowed: readonly string[] };
  wrongLength: Bounds & { readonly of: 'characters' | 'items' };
  unknownFields: { readonly fields: readonly string[] };
  noKnownForm: null;
  /** A schema's own sentence about what it takes. */
  mustBe: { readonly requirement: string };
  missing: { readonly hint: 'material' | 'materialOrPile' | 'annualIsCleared' };
  notClasses: null;
  /** Twelve months of one temperature: no climate has them. */
  equalMonths: null;
  /** The warm months are those of the other half of the earth. */
  otherHemisphere: { readonly latitudeDeg: number };
  wrongList: { readonly wanted: 'twelveMonths' | 'zonesOrHalves' | 'contactAndRoot' };

  // Quantities as they are typed
  notAQuantity: Got & { readonly quantity: Quantity; readonly system: UnitSystem };
  needsUnit: Got & { readonly system: UnitSystem };
  notItsUnit: {
    readonly unit: string;
    readonly quantity: Quantity;
    /** Units it can be in. */
    readonly units: readonly string[];
    /** Whether it is a unit of something else. */
    readonly isOther: boolean;
  };
  /** Bounds and value in the base unit of the quantity. */
  outsideQuantity: Bounds & {
    /** Left out itself. */
    readonly below?: number;
    readonly value: number;
    readonly quantity: Quantity;
    readonly system: UnitSystem;
  };

  // Dates
  notADate: Got;
  noSuchDay: Got;
  outsideYears: Got & { readonly first: number; readonly last: number };
  outsideDates: Got & { readonly first: string; readonly last: string };
  inTheFuture: Dated & { readonly today: string; readonly isPlannable: boolean };
  tooFarAhead: Dated & { readonly years: number };
  outsideTheRun: null;
  notAfterTheOneBefore: null;
  notAfterTheStart: null;
  notAfterTheStartOfThePile: null;
  notAfterPlanting: { readonly isByDate: boolean };
  beforeTheBed: Dated & { readonly startedOn: string; readonly canBeMoved: boolean };
  beforePlanting: Dated & { readonly plantedOn: string };
  beforeItsLayer: Dated & { readonly laidOn: string };
  beforeItBegan: Dated & { readonly begunOn: string };
  beforeTheTrial: Dated & { readonly trialDate: string };
  afterItWasSeen: null;
  yearNotBegun: Dated & { readonly year: number };
  beforeThePileEnds: { readonly pileId: string };
  endsBeforeItStarts: { readonly fromYear: number; readonly untilYear: number };
  beyondTheYears: { readonly year: number };

  // Names
  namesNone: { readonly what: Named; readonly got: string | null };
  usedTwice: { readonly id: string };
  thereTwice: { readonly got: string };
  nameTaken: { readonly got: string };
  ofTheLibrary: { readonly what: 'material' | 'crop' };
  mustStay: Got & { readonly kind: string };

  // Materials, layers, the model
  sharesDoNotAddUp: { readonly sum: number };
  belongsToChar: null;
  bindsToWood: null;
  belongsToPerennial: null;
  belongsToLegume: null;
  rootSharesOverOne: { readonly sum: number };
  /** Per square metre and kilogram of fresh harvest. */
  harvestOverUptake: { readonly harvestedG: number; readonly takenUpG: number; readonly mostKg: number };
  holdsNoNitrogen: null;
  holdsNoCarbon: null;
  residueUnnamed: null;
  layerTooThick: { readonly thicknessCm: number; readonly mostCm: number };
  layerTooHeavy: { readonly dryKgPerM2: number; readonly mostKgPerM2: number };
  wouldLieTooDeep: { readonly thicknessCm: number; readonly mostCm: number };
  farTooLarge: { readonly amount: number };
  takenOffAlready: Dated;
  nothingLeftToLift: null;
  bedIsFull: { readonly crops: readonly string[] };

  // Stock
  nothingInIt: { readonly lotName: string };
  moreThanThere: {
    readonly lotName: string;
    readonly thereKg: number;
    readonly thereL: number;
    readonly askedKg: number;
  };
  moreThanThePile: { readonly pileId: string; readonly inKg: number };
  madeOfItself: null;
  intoItself: null;
  unburntAmongChar: null;
  emptyMix: { readonly isAtTheBench: boolean };
  nothingBurnt: null;
  notFoundCold: null;
  coldTooSoon: Dated & { readonly burntOn: string };
  moreCharThanWood: { readonly charDryKg: number; readonly woodDryKg: number };
  notBelowOne: { readonly share: number };
  belowTheLeast: Got;

  // Measuring and tests
  notAboveTheBucket: Got;
  densityImpossible: { readonly kgPerM3: number };
  notAboveTheDish: Got;
  moreAfterDrying: Got;
  tooFewPieces: { readonly least: number };
  tooMuchMineralNitrogen: { readonly gPerM2: number };
  organicMatterImpossible: { readonly pct: number; readonly least: number; readonly most: number };
  nothingTested: null;
  unitNeeded: null;
  noColumns: null;
  noNumber: { readonly text: string };
  moreThanAll: { readonly pct: number; readonly asPpmPct: number };
  mixedNitrogenUnits: null;
  needsNitrogenUnit: { readonly unit: string };
  needsFigureUnit: { readonly unit: string; readonly units: readonly string[] };
  plotOutside: { readonly plots: number; readonly plot: number };
  notInsideTheRing: null;
  tooFewWidths: null;
  negativePrice: { readonly price: number };

  // Files
  notAGardenFile: { readonly format: string };
  notAFileVersion: null;
  newerFile: { readonly version: number; readonly newest: number };
  notJson: null;
  notGeoJson: null;
  notAPolygon: null;
  bedUnnamed: { readonly name: string };
  notDegrees: null;
  tooFewCorners: null;
  ofAnotherGarden: null;
  doesNotFit: null;
  photoElsewhere: null;
  notAPicture: null;
  wrongPassphrase: null;

  // Cells of a table
  noDate: { readonly text: string; readonly why: 'notADate' | 'noYear' | 'noSuchDay' };
  notYesOrNo: { readonly text: string };
  notDetails: null;
  severalNames: { readonly text: string };
  noName: {
    readonly what: 'bed' | 'lot' | 'material' | 'crop';
    readonly text: string;
    /** Names that come nearest; empty when none does. */
    readonly nearest: readonly string[];
  };
}

export type RefusalCode = keyof RefusalFacts;

/** Why something cannot be: a code and its facts. */
export type Refusal = {
  [Code in RefusalCode]: { readonly code: Code; readonly facts: RefusalFacts[Code] };
}[RefusalCode];

/** A code with its facts as arguments; codes without facts stand alone. */
export type RefusalArguments = {
  [Code in RefusalCode]: RefusalFacts[Code] extends null
    ? [code: Code]
    : [code: Code, facts: RefusalFacts[Code]];
}[RefusalCode];

/** A refusal written as a call: refusal('notWhole', { got: 1.5 }). */
export const refusal = (...[code, facts]: RefusalArguments): Refusal =>
  ({ code, facts: facts ?? null }) as unknown as Refusal;

/** Field names and places in lists, from the outermost object inwards. */
export type FieldPath = readonly (string | number)[];

/** Where something is wrong: the field, and the record when it is one that is kept or read. */
export interface Place {
  readonly collection: string | null;
  readonly id: string | null;
  /** As people enter it, with dots: "basis.leafShare"; "input" for the whole of what was sent. */
  readonly field: string;
}

/** One thing that cannot be, and where. */
export type Finding = Refusal & { readonly at: Place };

/** Fields that the model knows by another name than people do. */
const AS_ENTERED: Readonly<Record<string, string>> = { massFreshKg: 'amount' };

/** A path as the field it leads to, as it was entered. */
export const fieldOf = (path: FieldPath): string =>
  path.length === 0
    ? 'input'
    : path.map((key) => (typeof key === 'string' ? (AS_ENTERED[key] ?? key) : key)).join('.');

/** A refusal put to a place. */
export const finding = (
  refused: Refusal,
  field: string,
  record: Pick<Place, 'collection' | 'id'> = { collection: null, id: null },
): Finding => ({ ...refused, at: { ...record, field } });
