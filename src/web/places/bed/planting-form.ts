import { plantingDraft, type PlantingRecord } from '../../../records/planting.ts';
import type { StartsAs } from '../../../records/vocabulary.ts';
import type { ClimateNormals } from '../../../records/garden.ts';
import { type DayNumber, findCrop, isoDateOf } from '../../../core/ground/index.ts';
import { orRefused, refusalSentence } from '../../../words/refusal-words.ts';
import { checkRoom } from '../../../core/bed/index.ts';
import { dayOfProgress, defaultParameters } from '../../../core/model/index.ts';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { dayOf } from '../../../words/dates.ts';
import { plainFigure } from '../../../words/figures.ts';

/** What has been typed and chosen, as typed. */
export interface PlantingForm {
  readonly cropId: string;
  readonly plantedOn: string;
  readonly clearedOn: string;
  readonly demand: string;
  readonly rootDepth: string;
  readonly startsAs: StartsAs;
  readonly areaPct: string;
  readonly isUndersown: boolean;
}

function clearingDate(cropId: string, plantedOn: string): string {
  const crop = findCrop(cropId);
  if (!crop || crop.isPerennial || plantedOn === '') return '';
  return isoDateOf(dayOf(plantedOn) + crop.daysInGround);
}

/** A crop as the library has it, planted on a day. */
function ofCrop(cropId: string, plantedOn: string, cmPerUnit: number): Omit<PlantingForm, 'areaPct'> {
  const crop = findCrop(cropId)!;
  return {
    cropId,
    plantedOn,
    clearedOn: clearingDate(cropId, plantedOn),
    demand: String(crop.nitrogenDemandGPerM2),
    rootDepth: plainFigure(crop.rootDepthCm / cmPerUnit),
    startsAs: crop.startsAs,
    isUndersown: crop.isLivingMulch,
  };
}

const FIRST_CROP = 'leek';

/** A planting to change, or a new one from today. */
export function plantingFormOf(
  changing: PlantingRecord | null,
  today: string,
  cmPerUnit: number,
): PlantingForm {
  if (!changing) return { ...ofCrop(FIRST_CROP, today, cmPerUnit), areaPct: '100' };
  return {
    cropId: changing.cropId,
    plantedOn: changing.plantedOn,
    clearedOn: changing.clearedOn ?? '',
    demand: String(changing.nitrogenDemandGPerM2),
    rootDepth: plainFigure(changing.rootDepthCm / cmPerUnit),
    startsAs: changing.startsAs,
    areaPct: plainFigure(changing.areaShare * 100),
    isUndersown: changing.isUndersown,
  };
}

/** Another crop brings its own figures; another day another clearing. */
export function withChange(
  form: PlantingForm,
  change: Partial<PlantingForm>,
  cmPerUnit: number,
): PlantingForm {
  if (change.cropId !== undefined) return { ...form, ...ofCrop(change.cropId, form.plantedOn, cmPerUnit) };
  if (change.plantedOn !== undefined) {
    return { ...form, ...change, clearedOn: clearingDate(form.cropId, change.plantedOn) };
  }
  return { ...form, ...change };
}

/** The draft a form amounts to, as its schema reads it. */
export const readPlanting = ({
  form,
  id,
  today,
  cmPerUnit,
  note,
}: {
  readonly form: PlantingForm;
  readonly id: string;
  readonly today: string;
  readonly cmPerUnit: number;
  readonly note: string;
}) =>
  plantingDraft.safeParse({
    id,
    state: form.plantedOn > today ? 'planned' : 'laid',
    cropId: form.cropId,
    plantedOn: form.plantedOn,
    clearedOn: form.clearedOn === '' ? null : form.clearedOn,
    nitrogenDemandGPerM2: numberFromText(form.demand),
    rootDepthCm: numberFromText(form.rootDepth) * cmPerUnit,
    startsAs: form.startsAs,
    areaShare: numberFromText(form.areaPct) / 100,
    isUndersown: form.isUndersown,
    note,
  });

/** The day on which the roots reach their full depth; null where that is not known yet. */
export function rootsFullOn(
  { cropId, plantedOn, clearedOn }: PlantingForm,
  climate: ClimateNormals,
): DayNumber | null {
  if (findCrop(cropId)?.isPerennial || plantedOn === '' || clearedOn <= plantedOn) return null;
  const times = { plantDay: dayOf(plantedOn), harvestDay: dayOf(clearedOn) };
  return dayOfProgress(times, climate, defaultParameters.rootsFullAtProgress, defaultParameters);
}

/** Why there is no room, in a sentence; null when there is. */
export function clashOf(
  planting: Parameters<typeof checkRoom>[0],
  all: Parameters<typeof checkRoom>[1],
): string | null {
  const room = orRefused(() => checkRoom(planting, all));
  return 'refused' in room ? refusalSentence('It', room.refused) : null;
}
