import {
  type DayNumber,
  type FindMaterial,
  type Material,
  LITRES_PER_CUBIC_METRE,
  dayNumberFromIso,
  isSouthern,
  isoDateOf,
} from '../../ground/index.ts';
import { InputError, requireNumber } from '../../../refusals/input-error.ts';
import type { Bed } from '../../../records/bed.ts';
import type { LayEntry } from '../../../records/entry.ts';
import type { Lot } from '../../../records/lot.ts';
import {
  type GardenRecords,
  carriedForward,
  materialFinder,
  plantableFrom,
  stockBooksOf,
} from '../../bed/index.ts';
import {
  type LotContents,
  type StockMemory,
  contentsOfLotOn,
  figuresOf,
  isEmpty,
  nearestMaterialId,
} from '../../yard/index.ts';
import { layerL, mostOnTopCm } from './amounts.ts';
import {
  AS_PROPOSED,
  MOST_DUG_DEPTH_CM,
  MOST_THICK_CM,
  type PlainQuestion,
  type WayRecords,
  type WayStep,
  type WhatIf,
} from './way.ts';

const CM_PER_M = 100;
const GRAMS_PER_KG = 1000;

/** All that ways of using some stuff are worked out from. */
export interface Scene {
  /** With plans gone by carried forward, and the pile to come where it is not there yet. */
  readonly records: GardenRecords;
  readonly whatIf: WhatIf;
  readonly bed: Bed;
  readonly findMaterial: FindMaterial;
  readonly today: DayNumber;
  /** When the stuff is at hand: from tomorrow on, or the day after it arrives, or later where it is to wait. */
  readonly from: DayNumber;
  readonly spring: DayNumber;
  readonly lotId: string;
  /** What is asked about, but no more than will lie in the pile then; the same as a share of that. */
  readonly amountL: number;
  readonly share: number;
  /** Thickest the stuff may lie, cm. */
  readonly mostCm: number;
  /** Of the stuff as it then lies, kg/m3. */
  readonly densityKgPerM3: number;
  readonly materialId: string;
  readonly material: Material;
  readonly carbonToNitrogen: number | null;
  /** In what is asked about, on that day. */
  readonly nitrogenG: number;
  readonly arrival: WayRecords;
  readonly arrivalSteps: readonly WayStep[];
  readonly memory: StockMemory;
  /** With which ids of new records begin. */
  readonly prefix: string;
  /** Ends the keys of its ways; empty where there is no other scene. */
  readonly suffix: string;
}

/** When, out of what, and under which names. */
export interface SceneSetting {
  readonly todayIso: string;
  readonly memory: StockMemory;
  readonly prefix: string;
}

export const NO_RECORDS: WayRecords = { lots: [], movements: [], entries: [] };

export const joined = (...all: readonly WayRecords[]): WayRecords => ({
  lots: all.flatMap(({ lots }) => lots),
  movements: all.flatMap(({ movements }) => movements),
  entries: all.flatMap(({ entries }) => entries),
});

/** The records of a garden had a way become its plan. */
export const withWay = (records: GardenRecords, way: WayRecords): GardenRecords => ({
  ...records,
  lots: [...records.lots, ...way.lots],
  movements: [...records.movements, ...way.movements],
  entries: [...records.entries, ...way.entries],
});

/** What lies in a pile on the morning of a day, plans carried out; undefined when there is no such pile or nothing in it. */
export function contentsOn(
  { findMaterial, memory }: Pick<Scene, 'findMaterial' | 'memory'>,
  records: GardenRecords,
  { lotId, day }: { readonly lotId: string; readonly day: DayNumber },
): LotContents | undefined {
  const contents = contentsOfLotOn(stockBooksOf(records), findMaterial, { lotId, day, memory });
  return contents && !isEmpty(contents) ? contents : undefined;
}

/** More than any heap takes, L. */
const MOST_PARTNER_L = 1_000_000;

/** Throws InputError naming the field for a depth, a thickness or an amount that cannot be. */
function checkWhatIf({ dugDepthCm, mostCm, partner }: WhatIf): void {
  const check = (value: number | undefined | null, field: readonly string[], max: number) => {
    if (value === null || value === undefined) return;
    requireNumber(value, ['whatIf', ...field], { above: 0, max });
  };
  check(dugDepthCm, ['dugDepthCm'], MOST_DUG_DEPTH_CM);
  check(mostCm, ['mostCm'], MOST_THICK_CM);
  check(partner?.amountL, ['partner', 'amountL'], MOST_PARTNER_L);
}

/** A day, or the later one that is asked for. */
export const notBefore = (day: DayNumber, { notBefore: iso }: WhatIf): DayNumber =>
  iso === null ? day : Math.max(day, dayNumberFromIso(iso, ['whatIf', 'notBefore']));

/** Opens the scene. Throws InputError naming the field for a question that cannot be. */
export function sceneOf(
  asked: GardenRecords,
  question: PlainQuestion,
  { todayIso, memory, prefix, suffix = '' }: SceneSetting & { readonly suffix?: string },
): Scene {
  const today = dayNumberFromIso(todayIso, ['today']);
  const findMaterial = materialFinder(asked);
  const kept = carriedForward(asked, todayIso);
  const bed = kept.beds.find(({ id }) => id === question.bedId);
  if (!bed) throw new InputError(['bedId'], 'namesNone', { what: 'bed', got: question.bedId });
  const { amountL: wantedL, whatIf = AS_PROPOSED } = question;
  if (wantedL !== null && !(wantedL > 0))
    throw new InputError(['amountL'], 'outOfRange', { above: 0, got: wantedL });
  checkWhatIf(whatIf);
  const { lotId, arrival, steps, from: atHand } = sourceOf({ question, bed, findMaterial, today, prefix });
  const from = notBefore(atHand, whatIf);
  const records = withWay(kept, arrival);
  const contents = contentsOn({ findMaterial, memory }, records, { lotId, day: from });
  if (!contents) throw new InputError(['from', 'lotId'], 'namesNone', { what: 'stock', got: lotId });
  const materialId = nearestMaterialId(contents);
  const material = findMaterial(materialId, from);
  if (!material) throw new InputError(['from', 'lotId'], 'namesNone', { what: 'material', got: materialId });
  const figures = figuresOf(contents);
  const mostCm = whatIf.mostCm ?? mostOnTopCm(material, bed.kind);
  const amountL = wholeTenths(Math.min(wantedL ?? layerL(mostCm, bed.areaM2), figures.volumeL));
  const share = Math.min(1, amountL / figures.volumeL);
  return {
    records,
    whatIf,
    bed,
    findMaterial,
    today,
    from,
    spring: plantableFrom({ until: 'spring' }, from, isSouthern(kept.garden.climate))!,
    lotId,
    amountL,
    share,
    mostCm,
    densityKgPerM3: (figures.freshKg / figures.volumeL) * LITRES_PER_CUBIC_METRE,
    materialId,
    material,
    carbonToNitrogen: figures.carbonToNitrogen,
    nitrogenG: figures.nitrogenG * share,
    arrival,
    arrivalSteps: steps,
    memory,
    prefix,
    suffix,
  };
}

/** A pile as new ones are made: nobody has given it a name yet, or said how it is kept. */
export const newLot = (id: string, treatment: Partial<Lot> = {}): WayRecords['lots'][number] => ({
  id,
  name: '',
  form: 'pile',
  keeping: 'open',
  isTurned: false,
  isHot: false,
  ...treatment,
});

/** The pile the stuff lies in: one that is there, or one that a load is to be tipped onto. */
function sourceOf({
  question: { from, amountL: wantedL, whatIf },
  bed,
  findMaterial,
  today,
  prefix,
}: {
  readonly question: PlainQuestion;
  readonly bed: Bed;
  readonly findMaterial: FindMaterial;
  readonly today: DayNumber;
  readonly prefix: string;
}): {
  readonly lotId: string;
  readonly arrival: WayRecords;
  readonly steps: readonly WayStep[];
  readonly from: DayNumber;
} {
  if ('lotId' in from) return { lotId: from.lotId, arrival: NO_RECORDS, steps: [], from: today + 1 };
  const { materialId, arrivesOn } = from;
  const material = findMaterial(materialId);
  if (!material) {
    throw new InputError(['from', 'materialId'], 'namesNone', { what: 'material', got: materialId });
  }
  const mostCm = whatIf?.mostCm ?? mostOnTopCm(material, bed.kind);
  const amountL = wantedL ?? wholeTenths(layerL(mostCm, bed.areaM2));
  const day = Math.max(today, dayNumberFromIso(arrivesOn, ['from', 'arrivesOn']));
  const lotId = `${prefix}-pile`;
  const received = { amount: amountL, unit: 'litre' as const, materialId, seasonedMonths: 0 };
  const asItComes = { moistureFractionWetBasis: null, bulkDensityKgPerM3: null };
  return {
    lotId,
    arrival: {
      lots: [newLot(lotId)],
      movements: [
        {
          id: `${prefix}-in`,
          type: 'receive',
          state: 'planned',
          date: isoDateOf(day),
          lotId,
          ...received,
          ...asItComes,
        },
      ],
      entries: [],
    },
    steps: [{ code: 'arrives', day, amountL, materialId }],
    from: day + 1,
  };
}

/** No finer than anybody measures, and no more than there is, L. */
export const wholeTenths = (liters: number): number => Math.floor(liters * 10 + 1e-6) / 10;

/** Some of a pile on its way to a bed. */
export interface LotOnBed {
  readonly lotId: string;
  readonly day: DayNumber;
  readonly bed: Bed;
  readonly dugDepthCm: number;
  /** No more than this, cm; what is over stays where it is. */
  readonly mostCm: number;
  /** Of what lies in the pile on that day. */
  readonly share: number;
  /** Tells entries of one way apart. */
  readonly part: string;
}

export interface Laid {
  readonly entry: WayRecords['entries'][number];
  readonly step: WayStep & { readonly code: 'lay' };
  readonly massFreshKg: number;
  readonly laidL: number;
  readonly leftL: number;
  readonly nitrogenG: number;
  /** Of the share that was asked for. */
  readonly laidShare: number;
}

/** Lays some of a pile on a bed, as it will be by then; null when nothing is left of it. */
export function layFromLot(
  scene: Scene,
  records: GardenRecords,
  { lotId, day, bed, dugDepthCm, mostCm, share, part }: LotOnBed,
): Laid | null {
  const contents = contentsOn(scene, records, { lotId, day });
  if (!contents) return null;
  const figures = figuresOf(contents);
  const thereL = figures.volumeL * share;
  const laidL = wholeTenths(Math.min(thereL, layerL(mostCm, bed.areaM2)));
  if (!(laidL > 0)) return null;
  const ofLot = laidL / figures.volumeL;
  const materialId = nearestMaterialId(contents);
  const entry = layEntry({ scene, bed, day, dugDepthCm, part, materialId, lotId, amountL: laidL });
  return {
    entry: { ...entry, massFreshKg: figures.freshKg * ofLot },
    step: {
      code: 'lay',
      day,
      bedId: bed.id,
      lotId,
      materialId,
      amountL: laidL,
      thicknessCm: (laidL / LITRES_PER_CUBIC_METRE / bed.areaM2) * CM_PER_M,
      dugDepthCm,
    },
    massFreshKg: figures.freshKg * ofLot,
    laidL,
    leftL: Math.max(0, thereL - laidL),
    nitrogenG: figures.nitrogenG * ofLot,
    laidShare: laidL / thereL,
  };
}

/** An entry of a way, planned, by the liter. Its weight is still to be given. */
function layEntry({
  scene,
  bed,
  day,
  dugDepthCm,
  part,
  materialId,
  lotId,
  amountL,
}: {
  readonly scene: Pick<Scene, 'prefix'>;
  readonly bed: Bed;
  readonly day: DayNumber;
  readonly dugDepthCm: number;
  readonly part: string;
  readonly materialId: string;
  readonly lotId: string | null;
  readonly amountL: number;
}): Omit<LayEntry, 'massFreshKg'> & { readonly bedId: string; readonly massFreshKg?: never } {
  return {
    id: `${scene.prefix}-${part}`,
    bedId: bed.id,
    type: 'lay',
    state: 'planned',
    date: isoDateOf(day),
    materialId,
    lotId,
    amount: amountL,
    unit: 'litre',
    seasonedMonths: 0,
    dugDepthCm,
  };
}

/** A layer of something from outside, so thick, over a whole bed. */
export function layFromOutside(
  scene: Scene,
  {
    materialId,
    day,
    thicknessCm,
    dugDepthCm = 0,
    part,
  }: {
    readonly materialId: string;
    readonly day: DayNumber;
    readonly thicknessCm: number;
    readonly dugDepthCm?: number;
    readonly part: string;
  },
): {
  readonly entry: WayRecords['entries'][number];
  readonly step: WayStep;
  readonly massFreshKg: number;
  readonly laidL: number;
  readonly nitrogenG: number;
} {
  const { bed, findMaterial } = scene;
  const material = findMaterial(materialId, day)!;
  const laidL = wholeTenths(layerL(thicknessCm, bed.areaM2));
  const massFreshKg = (laidL / LITRES_PER_CUBIC_METRE) * material.bulkDensityKgPerM3;
  const dryG = massFreshKg * GRAMS_PER_KG * (1 - material.moistureFractionWetBasis);
  const entry = layEntry({ scene, bed, day, dugDepthCm, part, materialId, lotId: null, amountL: laidL });
  return {
    entry: { ...entry, massFreshKg },
    step: {
      code: 'lay',
      day,
      bedId: bed.id,
      lotId: null,
      materialId,
      amountL: laidL,
      thicknessCm,
      dugDepthCm,
    },
    massFreshKg,
    laidL,
    nitrogenG: dryG * material.nitrogenFractionDryBasis,
  };
}
