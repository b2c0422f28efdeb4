import { cropDraft, cropFields, type CropRecord } from '../../../records/crop.ts';
import type { StartsAs, Warmth } from '../../../records/vocabulary.ts';
import { ownCrop } from '../../../core/ground/index.ts';
import { AREA_SPREAD_ON_M2 } from '../../../words/amount-words.ts';
import { orRefused, refusalSentence } from '../../../words/refusal-words.ts';
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
import { numberFromText } from '../../ui/forms/parse-number.ts';

/** What has been typed and chosen, as typed; empty where it is as with the crop it is like. */
export interface OwnCropForm {
  readonly name: string;
  readonly likeCropId: string;
  readonly demand: TypedQuantity;
  readonly rootDepth: TypedQuantity;
  readonly days: string;
  readonly startsAs: StartsAs | '';
  readonly warmth: Warmth | '';
  /** Of so much ground as amounts are told for. */
  readonly harvest: TypedQuantity;
}

/** A crop to change, or a new one like one of the library. */
export function ownCropFormOf(changing: CropRecord | null, likeCropId: string, reader: Reader): OwnCropForm {
  const areaM2 = AREA_SPREAD_ON_M2[reader.system];
  const { yieldKgPerM2 = null } = changing ?? {};
  return {
    name: changing?.name ?? '',
    likeCropId: changing?.likeCropId ?? likeCropId,
    demand: typedFrom(changing?.nitrogenDemandGPerM2 ?? null, 'massPerArea', reader),
    rootDepth: typedFrom(changing?.rootDepthCm ?? null, 'length', reader),
    days: changing?.daysInGround?.toString() ?? '',
    startsAs: changing?.startsAs ?? '',
    warmth: changing?.warmth ?? '',
    harvest: typedFrom(yieldKgPerM2 === null ? null : yieldKgPerM2 * areaM2, 'mass', reader),
  };
}

/** A yield on a square meter, asked for on so much ground as amounts are told for. */
function harvestAsked(areaM2: number): QuantityAsked {
  const { min = 0, max = Infinity } = askedOf(cropFields.yieldKgPerM2, 'mass');
  return { quantity: 'mass', min: min * areaM2, max: max * areaM2, isOptional: true };
}

/** The record a form amounts to, and what is wrong with it by field; the core has the last word. */
export function readOwnCrop(
  form: OwnCropForm,
  { reader, id, note }: { readonly reader: Reader; readonly id: string; readonly note: string },
) {
  const areaM2 = AREA_SPREAD_ON_M2[reader.system];
  const quantities = {
    nitrogenDemandGPerM2: readQuantity(
      form.demand,
      askedOf(cropFields.nitrogenDemandGPerM2, 'massPerArea'),
      reader,
    ),
    rootDepthCm: readQuantity(form.rootDepth, askedOf(cropFields.rootDepthCm), reader),
    yieldKgPerM2: readQuantity(form.harvest, harvestAsked(areaM2), reader),
  };
  const harvestKg = figureOf(quantities.yieldKgPerM2);
  const parsed = cropDraft.safeParse({
    id,
    name: form.name,
    likeCropId: form.likeCropId,
    nitrogenDemandGPerM2: figureOf(quantities.nitrogenDemandGPerM2),
    rootDepthCm: figureOf(quantities.rootDepthCm),
    daysInGround: form.days.trim() === '' ? null : numberFromText(form.days),
    startsAs: form.startsAs === '' ? null : form.startsAs,
    warmth: form.warmth === '' ? null : form.warmth,
    yieldKgPerM2: harvestKg === null ? null : harvestKg / areaM2,
    note,
  });
  const troubles = { ...troublesOf(parsed, null), ...quantityTroubles(quantities) };
  if (!parsed.success || Object.keys(troubles).length > 0) return { draft: null, troubles };
  const weighed = orRefused(() => ownCrop({ ...parsed.data, id }));
  return 'refused' in weighed
    ? { draft: null, troubles: { yieldKgPerM2: refusalSentence('It', weighed.refused) } }
    : { draft: { ...parsed.data, id }, troubles: {} };
}
