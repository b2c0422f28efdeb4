import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import { entryDraft, type EntryDraft, type EntryRecord, type EntryType } from '../../../records/entry.ts';
import type { MaterialDraft } from '../../../records/material.ts';
import type { SoilNitrogenUnit, AmountUnit } from '../../../records/vocabulary.ts';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { troublesOf } from '../../ui/forms/troubles.ts';

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
  readonly dugDepth: string;
  readonly seasonedMonths: string;
  readonly layerId: string;
  readonly shareTakenOff: string;
  /** Not typed: kept as it was. */
  readonly humusShareTakenOff: number | null;
  readonly nitrogen: string;
  readonly test: {
    readonly amount: string;
    readonly unit: SoilNitrogenUnit;
    readonly sampledDepth: string;
    readonly ph: string;
    readonly organicMatterPct: string;
  };
  readonly waterMm: string;
  readonly chips: {
    readonly id: string;
    readonly branchCm: string;
    readonly leafPct: string;
    readonly coniferPct: string;
  };
  readonly note: string;
}

/** How a form's figures turn into those of the books: lengths and masses in the garden's units. */
export interface FormUnits {
  readonly centimetresPerUnit: number;
  readonly gramsPerUnit: number;
}

export const emptyForm = (today: string, unit: AmountUnit, dugDepth: string): PostingForm => ({
  id: crypto.randomUUID(),
  type: 'lay',
  date: today,
  isPlanned: false,
  materialId: 'chips_branch',
  lotMaterialId: '',
  amount: '',
  unit,
  isDugIn: false,
  dugDepth,
  seasonedMonths: '0',
  layerId: '',
  shareTakenOff: '100',
  humusShareTakenOff: null,
  nitrogen: '',
  test: {
    amount: '',
    unit: 'kgPerHa',
    sampledDepth: dugDepth === '8' ? '12' : '30',
    ph: '',
    organicMatterPct: '',
  },
  waterMm: '',
  chips: { id: crypto.randomUUID(), branchCm: '6', leafPct: '0', coniferPct: '0' },
  note: '',
});

/** A record back in the form, to be changed. */
export function formOf(entry: EntryRecord, blank: PostingForm, units: FormUnits): PostingForm {
  const common = {
    ...blank,
    id: entry.id,
    type: entry.type,
    date: entry.date,
    isPlanned: entry.state === 'planned',
    note: entry.note,
  };
  const depth = (cm: number) => String(Number((cm / units.centimetresPerUnit).toFixed(2)));
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
      };
    case 'dig':
      return { ...common, layerId: entry.layerId ?? '', dugDepth: depth(entry.dugDepthCm) };
    case 'takeOff':
      return {
        ...common,
        layerId: entry.layerId,
        shareTakenOff: String(entry.shareTakenOff * 100),
        humusShareTakenOff: entry.humusShareTakenOff ?? null,
      };
    case 'feed':
      return { ...common, nitrogen: String(Number((entry.nitrogenG / units.gramsPerUnit).toFixed(2))) };
    case 'soilTest':
      return {
        ...common,
        test: {
          amount: String(entry.amount),
          unit: entry.unit,
          sampledDepth: depth(entry.sampledDepthCm),
          ph: entry.ph === null ? '' : String(entry.ph),
          organicMatterPct: entry.organicMatterPct === null ? '' : String(entry.organicMatterPct),
        },
      };
    case 'water':
      return { ...common, waterMm: String(entry.waterMm) };
  }
}

const PERCENT = 100;

const LOT_PREFIX = 'lot:';

/** The lot a form's choice means; null for what comes from outside. */
export const chosenLot = (materialId: string): string | null =>
  materialId.startsWith(LOT_PREFIX) ? materialId.slice(LOT_PREFIX.length) : null;

function laidOf(form: PostingForm) {
  const lotId = chosenLot(form.materialId);
  if (lotId !== null) return { lotId, materialId: form.lotMaterialId };
  return { lotId: null, materialId: form.materialId === SEEN_CHIPS ? form.chips.id : form.materialId };
}

function typed(form: PostingForm, units: FormUnits): unknown {
  const common = {
    id: form.id,
    type: form.type,
    state: form.isPlanned ? 'planned' : 'laid',
    date: form.date,
    note: form.note,
  };
  const depthCm = numberFromText(form.dugDepth) * units.centimetresPerUnit;
  switch (form.type) {
    case 'lay':
      return {
        ...common,
        ...laidOf(form),
        amount: numberFromText(form.amount),
        unit: form.unit,
        dugDepthCm: form.isDugIn ? depthCm : 0,
        seasonedMonths: numberFromText(form.seasonedMonths),
      };
    case 'dig':
      return { ...common, layerId: form.layerId === '' ? null : form.layerId, dugDepthCm: depthCm };
    case 'takeOff':
      return {
        ...common,
        layerId: form.layerId,
        shareTakenOff: numberFromText(form.shareTakenOff) / PERCENT,
        humusShareTakenOff: form.humusShareTakenOff,
      };
    case 'feed':
      return { ...common, nitrogenG: numberFromText(form.nitrogen) * units.gramsPerUnit };
    case 'soilTest':
      return { ...common, ...typedTest(form.test, units) };
    case 'water':
      return { ...common, waterMm: numberFromText(form.waterMm) };
  }
}

/** A figure that may be left out. */
const optional = (text: string): number | null => (text.trim() === '' ? null : numberFromText(text));

const typedTest = (test: PostingForm['test'], units: FormUnits) => ({
  amount: numberFromText(test.amount),
  unit: test.unit,
  sampledDepthCm: numberFromText(test.sampledDepth) * units.centimetresPerUnit,
  ph: optional(test.ph),
  organicMatterPct: optional(test.organicMatterPct),
});

export type ReadForm =
  | { readonly ok: true; readonly draft: EntryDraft }
  | { readonly ok: false; readonly troubles: Record<string, string> };

/** The draft a form amounts to, or what is wrong with it by field. */
export function readForm(form: PostingForm, units: FormUnits): ReadForm {
  const parsed = entryDraft.safeParse(typed(form, units));
  if (parsed.success) return { ok: true, draft: parsed.data };
  return { ok: false, troubles: troublesOf(parsed, null) };
}

/** Chips as the form describes them. */
export function seenChips({ chips }: PostingForm): MaterialDraft {
  const branchCm = numberFromText(chips.branchCm);
  const leafPct = numberFromText(chips.leafPct);
  const coniferPct = numberFromText(chips.coniferPct);
  return {
    id: chips.id,
    name: `Chips of ${chips.branchCm} cm branches${leafPct > 0 ? `, ${chips.leafPct} % leaf` : ''}${coniferPct > 0 ? `, ${chips.coniferPct} % conifer` : ''}`,
    basis: {
      type: 'chips',
      branchDiameterCm: branchCm,
      leafShare: leafPct / PERCENT,
      coniferShare: coniferPct / PERCENT,
    },
    note: '',
  };
}
