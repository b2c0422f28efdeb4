import { plantingDraft, plantingFields, type PlantingRecord } from '../../../records/planting.ts';
import type { StartsAs } from '../../../records/vocabulary.ts';
import type { ClimateNormals, Site } from '../../../records/garden.ts';
import { type Crop, type DayNumber, isoDateOf } from '../../../core/ground/index.ts';
import { orRefused, refusalSentence } from '../../../words/refusal-words.ts';
import { checkRoom, hungriestTime } from '../../../core/bed/index.ts';
import { dayOfProgress, defaultParameters } from '../../../core/model/index.ts';
import { askedOf } from '../../ui/forms/asked-of.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type Reader,
  type ReadQuantity,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import { dayOf } from '../../../words/dates.ts';

/** What has been typed and chosen, as typed. */
export interface PlantingForm {
  readonly cropId: string;
  readonly plantedOn: string;
  readonly clearedOn: string;
  readonly demand: TypedQuantity;
  readonly rootDepth: TypedQuantity;
  readonly startsAs: StartsAs;
  readonly areaShare: TypedQuantity;
  readonly isUndersown: boolean;
}

function clearingDate(crop: Crop, plantedOn: string): string {
  if (crop.isPerennial || plantedOn === '') return '';
  return isoDateOf(dayOf(plantedOn) + crop.daysInGround);
}

/** What a crop needs, as it is first shown. */
const grown = (
  { nitrogenDemandGPerM2, rootDepthCm }: Pick<PlantingRecord, 'nitrogenDemandGPerM2' | 'rootDepthCm'>,
  reader: Reader,
): Pick<PlantingForm, 'demand' | 'rootDepth'> => ({
  demand: typedFrom(nitrogenDemandGPerM2, 'massPerArea', reader),
  rootDepth: typedFrom(rootDepthCm, 'length', reader),
});

/** A crop with its own figures, planted on a day. */
function ofCrop(crop: Crop, plantedOn: string, reader: Reader): Omit<PlantingForm, 'areaShare'> {
  return {
    cropId: crop.id,
    plantedOn,
    clearedOn: clearingDate(crop, plantedOn),
    ...grown(crop, reader),
    startsAs: crop.startsAs,
    isUndersown: crop.isLivingMulch,
  };
}

/** A new planting from `today`. */
export const newPlantingForm = (crop: Crop, today: string, reader: Reader): PlantingForm => ({
  ...ofCrop(crop, today, reader),
  areaShare: typedFrom(1, 'share', reader),
});

/** A planting to change. */
export function plantingFormOf(changing: PlantingRecord, reader: Reader): PlantingForm {
  return {
    cropId: changing.cropId,
    plantedOn: changing.plantedOn,
    clearedOn: changing.clearedOn ?? '',
    ...grown(changing, reader),
    startsAs: changing.startsAs,
    areaShare: typedFrom(changing.areaShare, 'share', reader),
    isUndersown: changing.isUndersown,
  };
}

/** Another crop brings its own figures. */
export const withCrop = (form: PlantingForm, crop: Crop, reader: Reader): PlantingForm => ({
  ...form,
  ...ofCrop(crop, form.plantedOn, reader),
});

/** Another day brings another clearing. */
export const withChange = (form: PlantingForm, change: Partial<PlantingForm>, crop: Crop): PlantingForm => ({
  ...form,
  ...change,
  ...(change.plantedOn === undefined ? {} : { clearedOn: clearingDate(crop, change.plantedOn) }),
});

const ASKED = {
  nitrogenDemandGPerM2: askedOf(plantingFields.nitrogenDemandGPerM2, 'massPerArea'),
  rootDepthCm: askedOf(plantingFields.rootDepthCm),
  areaShare: askedOf(plantingFields.areaShare),
};

/** The quantities of a form by field. */
export const quantitiesOf = (
  { demand, rootDepth, areaShare }: PlantingForm,
  reader: Reader,
): Record<keyof typeof ASKED, ReadQuantity> => ({
  nitrogenDemandGPerM2: readQuantity(demand, ASKED.nitrogenDemandGPerM2, reader),
  rootDepthCm: readQuantity(rootDepth, ASKED.rootDepthCm, reader),
  areaShare: readQuantity(areaShare, ASKED.areaShare, reader),
});

/** The draft a form amounts to, as its schema reads it. */
export const readPlanting = ({
  form,
  id,
  today,
  quantities,
  note,
}: {
  readonly form: PlantingForm;
  readonly id: string;
  readonly today: string;
  readonly quantities: ReturnType<typeof quantitiesOf>;
  readonly note: string;
}) =>
  plantingDraft.safeParse({
    id,
    state: form.plantedOn > today ? 'planned' : 'laid',
    cropId: form.cropId,
    plantedOn: form.plantedOn,
    clearedOn: form.clearedOn === '' ? null : form.clearedOn,
    nitrogenDemandGPerM2: figureOf(quantities.nitrogenDemandGPerM2),
    rootDepthCm: figureOf(quantities.rootDepthCm),
    startsAs: form.startsAs,
    areaShare: figureOf(quantities.areaShare),
    isUndersown: form.isUndersown,
    note,
  });

/** The day on which the roots reach their full depth; null where that is not known yet. */
export function rootsFullOn(
  { plantedOn, clearedOn }: PlantingForm,
  { isPerennial }: Crop,
  climate: ClimateNormals,
): DayNumber | null {
  if (isPerennial || plantedOn === '' || clearedOn <= plantedOn) return null;
  const times = { plantDay: dayOf(plantedOn), harvestDay: dayOf(clearedOn) };
  return dayOfProgress(times, climate, defaultParameters.rootsFullAtProgress, defaultParameters);
}

/** When it is hungriest; null where its days are not known yet. */
export function hungriestOf(
  { plantedOn, clearedOn }: PlantingForm,
  crop: Crop,
  garden: Site,
): readonly [DayNumber, DayNumber] | null {
  const isKnown = plantedOn !== '' && (crop.isPerennial ? clearedOn === '' : clearedOn > plantedOn);
  if (!isKnown) return null;
  const planting = { plantedOn, clearedOn: clearedOn === '' ? null : clearedOn };
  return hungriestTime(planting, crop, garden);
}

/** Why there is no room, in a sentence; null when there is. */
export function clashOf(...planted: Parameters<typeof checkRoom>): string | null {
  const room = orRefused(() => checkRoom(...planted));
  return 'refused' in room ? refusalSentence('It', room.refused) : null;
}
