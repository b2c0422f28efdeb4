import { begunGarden, type BegunGarden } from '../../../contract/requests.ts';
import { bedFields } from '../../../records/bed.ts';
import { gardenDraft, type ClimateNormals } from '../../../records/garden.ts';
import { FEED_FROM_STOCK, type BedKind } from '../../../records/vocabulary.ts';
import { bulkDensityOfClay } from '../../../core/bed/index.ts';
import {
  CENTIMETRES_PER_INCH,
  SQUARE_METRES_PER_SQUARE_FOOT,
  climateObstacle,
  findLibraryCrop,
  isoDateOf,
  youngPlantOf,
  type Crop,
} from '../../../core/ground/index.ts';
import type { UnitSystem } from '../../../refusals/refusal.ts';
import { dayOf } from '../../../words/dates.ts';
import { askedOf } from '../../ui/forms/asked-of.ts';
import { quantityTroubles, troublesOf } from '../../ui/forms/troubles.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type Reader,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import { USUAL_CM } from '../../ui/forms/usual-figures.ts';
import { firstPlace, placeOf, type FoundPlace, type PlaceFields } from '../../ui/garden/place-form.ts';

/** The four questions as answered so far; what nobody touched is a guess. */
export interface BeginFields {
  readonly measures: UnitSystem;
  readonly name: string;
  readonly place: PlaceFields;
  readonly kind: BedKind;
  readonly area: TypedQuantity;
  readonly clayPct: number;
  /** Null for nothing yet. */
  readonly materialId: string | null;
  readonly thickness: TypedQuantity;
  readonly isDugIn: boolean;
  readonly laidOn: string;
  /** `GUESSED_CROP` for one that the day and the climate suit; null for nothing yet. */
  readonly cropId: string | null;
  readonly plantedOn: string;
  readonly touched: readonly string[];
}

export const GUESSED_CROP = 'guessed';

/** Guesses of round figures in either system. */
const GUESSED = {
  metric: { areaM2: 6, thicknessCm: 5 },
  /** 4 x 16 feet, 2 inches. */
  customary: { areaM2: 64 * SQUARE_METRES_PER_SQUARE_FOOT, thicknessCm: 2 * CENTIMETRES_PER_INCH },
} as const;
const GUESSED_CLAY_PCT = 20;
const GUESSED_ORGANIC_MATTER_PCT = 4;

/** Where people measure in feet, by the language of their browser (from memory). */
export const guessedMeasures = (languages: readonly string[]): UnitSystem =>
  /-(US|LR|MM)$/.test(languages[0] ?? '') ? 'customary' : 'metric';

const figures = (measures: UnitSystem, reader: Reader): Pick<BeginFields, 'area' | 'thickness'> => ({
  area: typedFrom(GUESSED[measures].areaM2, 'area', reader),
  thickness: typedFrom(GUESSED[measures].thicknessCm, 'length', reader),
});

export const firstAnswers = (measures: UnitSystem, reader: Reader, today: string): BeginFields => ({
  measures,
  name: 'My garden',
  place: firstPlace(null, reader),
  kind: 'annual',
  ...figures(measures, reader),
  clayPct: GUESSED_CLAY_PCT,
  materialId: 'chips_mixed',
  isDugIn: false,
  laidOn: today,
  cropId: GUESSED_CROP,
  plantedOn: today,
  touched: [],
});

/** Other measures bring other round guesses; what was typed is typed again, for its figure may have had no unit. */
export const inMeasures = (measures: UnitSystem, reader: Reader): Partial<BeginFields> => ({
  measures,
  ...figures(measures, reader),
});

/** Crops that many grow, from what bears frost to what needs warmth; the first that may start on the day is guessed. */
const COMMON_CROPS = ['tomato', 'french_bean', 'lettuce', 'leek', 'kale', 'garlic'];

/** A crop that may start here on the day; kale where none of the common ones may. */
export const guessedCrop = (climate: ClimateNormals | null, date: string): Crop =>
  COMMON_CROPS.map((id) => findLibraryCrop(id)!).find(
    (crop) =>
      climate !== null && climateObstacle(climate, youngPlantOf(crop, crop.startsAs), dayOf(date)) === null,
  ) ?? findLibraryCrop('kale')!;

const AREA = askedOf(bedFields.areaM2);
const THICKNESS: QuantityAsked = { quantity: 'length', above: 0, max: 200 };

interface BeginIds {
  readonly garden: string;
  readonly bed: string;
  readonly entry: string;
  readonly planting: string;
}

/** What the answers amount to, and what is wrong with them by question; the crop that is grown or guessed. */
export function readAnswers(
  fields: BeginFields,
  { reader, ids, today }: { readonly reader: Reader; readonly ids: BeginIds; readonly today: string },
) {
  const found = placeOf(fields.place, null, reader);
  const isFound = found.climate !== null && Object.keys(found.troubles).length === 0;
  const quantities = {
    areaM2: readQuantity(fields.area, AREA, reader),
    ...(fields.materialId === null ? {} : { amount: readQuantity(fields.thickness, THICKNESS, reader) }),
  };
  const climate = isFound ? (found.climate as ClimateNormals) : null;
  const crop =
    fields.cropId === GUESSED_CROP
      ? guessedCrop(climate, fields.plantedOn === '' ? today : fields.plantedOn)
      : fields.cropId === null
        ? null
        : findLibraryCrop(fields.cropId)!;
  const parsed = begunGarden.safeParse({
    garden: gardenOf(fields, ids.garden, found),
    bed: bedOf(fields, ids.bed, figureOf(quantities.areaM2)),
    entry: fields.materialId === null ? null : entryOf(fields, ids.entry, { reader, today }),
    planting: crop && plantingOf(crop, fields, { id: ids.planting, today }),
  });
  const { climate: _, ...schema } = byQuestion(troublesOf(parsed, null));
  const troubles = { ...schema, ...found.troubles, ...quantityTroubles(quantities) };
  const isWhole = parsed.success && isFound && Object.keys(troubles).length === 0;
  const begun: BegunGarden | null = isWhole ? parsed.data : null;
  const garden = gardenDraft.safeParse(gardenOf(fields, ids.garden, found));
  return { begun, garden: isFound && garden.success ? garden.data : null, climate, crop, troubles };
}

/** Sentences by the bare field: no two of the records asked for here share one that is asked. */
export const byQuestion = (sentences: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(sentences).map(([field, sentence]) => [
      field.replace(/^(garden|bed|entry|planting)\./, ''),
      sentence,
    ]),
  );

const gardenOf = ({ name, measures }: BeginFields, id: string, { climate, location }: FoundPlace) => ({
  id,
  name,
  place: '',
  climate,
  location,
  school: 'byDepth',
  measures,
  depositionGPerM2Year: 1,
  feedMaterialId: FEED_FROM_STOCK,
  prices: null,
});

const bedOf = ({ kind, clayPct, measures }: BeginFields, id: string, areaM2: number | null) => ({
  id,
  name: 'First bed',
  kind,
  areaM2,
  organicMatterPct: GUESSED_ORGANIC_MATTER_PCT,
  bulkDensityGPerCm3: bulkDensityOfClay(clayPct),
  clayPct,
  rootZoneCm: USUAL_CM[measures].rootZone,
  exposure: 'normal',
  isWatered: true,
  note: '',
});

function entryOf(
  { materialId, thickness, isDugIn, laidOn, measures }: BeginFields,
  id: string,
  { reader, today }: { readonly reader: Reader; readonly today: string },
) {
  const thicknessCm = figureOf(readQuantity(thickness, THICKNESS, reader)) ?? Number.NaN;
  const isMetric = measures === 'metric';
  return {
    id,
    type: 'lay',
    state: laidOn > today ? 'planned' : 'laid',
    date: laidOn,
    note: '',
    materialId,
    lotId: null,
    amount: isMetric ? thicknessCm : thicknessCm / CENTIMETRES_PER_INCH,
    unit: isMetric ? 'cm' : 'inch',
    dugDepthCm: isDugIn ? USUAL_CM[measures].dug : 0,
    seasonedMonths: 0,
  };
}

function plantingOf(
  crop: Crop,
  { plantedOn }: BeginFields,
  { id, today }: { readonly id: string; readonly today: string },
) {
  return {
    id,
    state: plantedOn > today ? 'planned' : 'laid',
    cropId: crop.id,
    plantedOn,
    clearedOn: crop.isPerennial || plantedOn === '' ? null : isoDateOf(dayOf(plantedOn) + crop.daysInGround),
    nitrogenDemandGPerM2: crop.nitrogenDemandGPerM2,
    rootDepthCm: crop.rootDepthCm,
    startsAs: crop.startsAs,
    areaShare: 1,
    isUndersown: crop.isLivingMulch,
    note: '',
  };
}
