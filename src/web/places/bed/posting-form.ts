import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import {
  entryDraft,
  entryFields,
  type EntryDraft,
  type EntryRecord,
  type EntryType,
} from '../../../records/entry.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import { blankChips, readChips, type ChipsForm } from '../../ui/materials/chips-form.ts';
import { askedOf } from '../../ui/forms/asked-of.ts';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { USUAL_CM } from '../../ui/forms/usual-figures.ts';
import {
  blankSoilTest,
  sampledDepthOf,
  soilTestFieldsOf,
  typedSoilTest,
  type TypedSoilTest,
} from '../../ui/log/soil-test-typed.ts';
import { quantityTroubles, troublesOf } from '../../ui/forms/troubles.ts';
import {
  figureOf,
  NOTHING_TYPED,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type Reader,
  type ReadQuantity,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';

/** What has been typed and chosen so far, as typed. */
export interface PostingForm {
  readonly id: string;
  readonly type: EntryType;
  readonly date: string;
  readonly isPlanned: boolean;
  /** A material, or a lot of the stock as `lot:<id>`. */
  readonly materialId: string;
  /** What the chosen lot comes nearest to; the server looks again. */
  readonly lotMaterialId: string;
  readonly amount: string;
  readonly unit: AmountUnit;
  readonly isDugIn: boolean;
  readonly dugDepth: TypedQuantity;
  readonly seasonedMonths: string;
  /** Kept as it was; a build-up sets it. */
  readonly plantFrom: string | null;
  readonly layerId: string;
  readonly shareTakenOff: TypedQuantity;
  /** Not typed: kept as it was. */
  readonly humusShareTakenOff: number | null;
  readonly nitrogen: TypedQuantity;
  readonly test: TypedSoilTest;
  readonly water: TypedQuantity;
  readonly chips: ChipsForm;
  readonly note: string;
}

/** What is asked of the figures that have a unit, by the field of the record. */
const ASKED = {
  dugDepthCm: askedOf(entryFields.dig.dugDepthCm),
  shareTakenOff: askedOf(entryFields.takeOff.shareTakenOff),
  nitrogenG: askedOf(entryFields.feed.nitrogenG, 'smallMass'),
  waterMm: askedOf(entryFields.water.waterMm),
} satisfies Record<string, QuantityAsked>;

export function emptyForm(today: string, unit: AmountUnit, reader: Reader): PostingForm {
  const usual = USUAL_CM[reader.system];
  return {
    id: crypto.randomUUID(),
    type: 'lay',
    date: today,
    isPlanned: false,
    materialId: 'chips_branch',
    lotMaterialId: '',
    amount: '',
    unit,
    isDugIn: false,
    dugDepth: typedFrom(usual.dug, 'length', reader),
    seasonedMonths: '0',
    plantFrom: null,
    layerId: '',
    shareTakenOff: typedFrom(1, 'share', reader),
    humusShareTakenOff: null,
    nitrogen: NOTHING_TYPED,
    test: blankSoilTest(reader),
    water: NOTHING_TYPED,
    chips: blankChips(reader),
    note: '',
  };
}

/** A record back in the form, to be changed. */
export function formOf(entry: EntryRecord, blank: PostingForm, reader: Reader): PostingForm {
  const common = {
    ...blank,
    id: entry.id,
    type: entry.type,
    date: entry.date,
    isPlanned: entry.state === 'planned',
    note: entry.note,
  };
  const depth = (cm: number) => typedFrom(cm, 'length', reader);
  switch (entry.type) {
    case 'lay':
      return {
        ...common,
        materialId: entry.lotId ? `${LOT_PREFIX}${entry.lotId}` : entry.materialId,
        lotMaterialId: entry.lotId ? entry.materialId : '',
        amount: String(entry.amount),
        unit: entry.unit,
        isDugIn: entry.dugDepthCm > 0,
        dugDepth: entry.dugDepthCm > 0 ? depth(entry.dugDepthCm) : blank.dugDepth,
        seasonedMonths: String(entry.seasonedMonths),
        plantFrom: entry.plantFrom ?? null,
      };
    case 'dig':
      return { ...common, layerId: entry.layerId ?? '', dugDepth: depth(entry.dugDepthCm) };
    case 'takeOff':
      return {
        ...common,
        layerId: entry.layerId,
        shareTakenOff: typedFrom(entry.shareTakenOff, 'share', reader),
        humusShareTakenOff: entry.humusShareTakenOff ?? null,
      };
    case 'feed':
      return { ...common, nitrogen: typedFrom(entry.nitrogenG, 'smallMass', reader) };
    case 'soilTest':
      return { ...common, test: typedSoilTest(entry, reader) };
    case 'water':
      return { ...common, water: typedFrom(entry.waterMm, 'waterDepth', reader) };
  }
}

const LOT_PREFIX = 'lot:';

/** The lot a form's choice means; null for what comes from outside. */
export const chosenLot = (materialId: string): string | null =>
  materialId.startsWith(LOT_PREFIX) ? materialId.slice(LOT_PREFIX.length) : null;

function laidOf(form: PostingForm) {
  const lotId = chosenLot(form.materialId);
  if (lotId !== null) return { lotId, materialId: form.lotMaterialId };
  return { lotId: null, materialId: form.materialId === SEEN_CHIPS ? form.chips.id : form.materialId };
}

type EntryQuantity = keyof typeof ASKED | 'sampledDepthCm';

/** The quantities that an entry of the form's type has, as read. */
function quantitiesOf(form: PostingForm, reader: Reader): Partial<Record<EntryQuantity, ReadQuantity>> {
  const read = (typed: TypedQuantity, field: keyof typeof ASKED) => readQuantity(typed, ASKED[field], reader);
  switch (form.type) {
    case 'lay':
      return form.isDugIn ? { dugDepthCm: read(form.dugDepth, 'dugDepthCm') } : {};
    case 'dig':
      return { dugDepthCm: read(form.dugDepth, 'dugDepthCm') };
    case 'takeOff':
      return { shareTakenOff: read(form.shareTakenOff, 'shareTakenOff') };
    case 'feed':
      return { nitrogenG: read(form.nitrogen, 'nitrogenG') };
    case 'soilTest':
      return { sampledDepthCm: sampledDepthOf(form.test, reader) };
    case 'water':
      return { waterMm: read(form.water, 'waterMm') };
  }
}

/** What an entry of the form's type has besides its quantities. */
function otherFieldsOf(form: PostingForm): Record<string, unknown> {
  switch (form.type) {
    case 'lay':
      return {
        ...laidOf(form),
        amount: numberFromText(form.amount),
        unit: form.unit,
        dugDepthCm: 0,
        seasonedMonths: numberFromText(form.seasonedMonths),
        plantFrom: form.plantFrom,
      };
    case 'dig':
      return { layerId: form.layerId === '' ? null : form.layerId };
    case 'takeOff':
      return { layerId: form.layerId, humusShareTakenOff: form.humusShareTakenOff };
    case 'soilTest':
      return soilTestFieldsOf(form.test);
    case 'feed':
    case 'water':
      return {};
  }
}

export type ReadForm =
  | { readonly ok: true; readonly draft: EntryDraft }
  | { readonly ok: false; readonly troubles: Record<string, string> };

/** The draft a form amounts to, or what is wrong with it by field. */
export function readForm(form: PostingForm, reader: Reader): ReadForm {
  const quantities = quantitiesOf(form, reader);
  const figures = Object.entries(quantities).map(([field, read]) => [field, figureOf(read)]);
  const parsed = entryDraft.safeParse({
    id: form.id,
    type: form.type,
    state: form.isPlanned ? 'planned' : 'laid',
    date: form.date,
    note: form.note,
    ...otherFieldsOf(form),
    ...Object.fromEntries(figures),
  });
  const ofChips =
    form.type === 'lay' && form.materialId === SEEN_CHIPS ? readChips(form.chips, reader).troubles : {};
  if (parsed.success && Object.keys(ofChips).length === 0) return { ok: true, draft: parsed.data };
  return {
    ok: false,
    troubles: { ...troublesOf(parsed, null), ...quantityTroubles(quantities), ...ofChips },
  };
}
