import type { BedKind } from '../../../records/vocabulary.ts';
import { type DayNumber, isoDateOf, LITRES_PER_CUBIC_METRE } from '../../ground/index.ts';
import {
  type Effort,
  type GardenRecords,
  broughtBy,
  countedBy,
  effortFor,
  roomToSpread,
} from '../../bed/index.ts';
import { canLie, isCoverKind, layerL, mostOnTopCm } from './amounts.ts';
import {
  type Laid,
  type LotOnBed,
  type Scene,
  joined,
  layFromLot,
  layFromOutside,
  newLot,
  NO_RECORDS,
  withWay,
} from './scene.ts';
import type { Way, WayCode, WayRecords, WayStep } from './way.ts';

/** Beds that are dug and sown anew; others are only covered. */
const DUG: ReadonlySet<BedKind> = new Set(['annual', 'raised', 'seedbed', 'container', 'resting']);
/** As deep as a spade mixes in, cm (common practice, no source). */
const DUG_IN_CM = 15;
/** Dug in so deep no more than this is mixed in, cm (common practice, no source). */
const MOST_DUG_CM = 8;
/** Compost beneath a cover, manure and card beneath one, cm (the build-ups of the library). */
const COMPOST_CM = 2;
const MANURE_CM = 3;
const CARD_CM = 0.7;
const YEAR_DAYS = 365;
/** A wait shorter than this is none, days (set here). */
const WORTH_WAITING_DAYS = 45;

export const isDug = ({ bed }: Scene): boolean => DUG.has(bed.kind);

/** What lying on a bed comes to, with whatever else was done for it. */
export function wayOf(
  scene: Scene,
  code: WayCode,
  {
    laid,
    records = NO_RECORDS,
    steps = [],
    efforts = [],
    nitrogenInG = 0,
    boughtL = 0,
    hours = 0,
  }: {
    readonly laid: Laid;
    readonly records?: WayRecords;
    readonly steps?: readonly WayStep[];
    readonly efforts?: readonly Effort[];
    /** Brought along. */
    readonly nitrogenInG?: number;
    readonly boughtL?: number;
    readonly hours?: number;
  },
): Way {
  const { step, entry, massFreshKg, laidL, leftL } = laid;
  const bed = scene.records.beds.find(({ id }) => id === entry.bedId)!;
  const own = effortFor({ massFreshKg, volumeL: laidL, dugDepthCm: step.dugDepthCm }, bed.areaM2);
  const all = [...efforts, own];
  return {
    key: scene.suffix === '' ? code : `${code} ${scene.suffix}`,
    code,
    bedId: scene.bed.id,
    lotId: scene.lotId,
    records: joined(scene.arrival, records, { ...NO_RECORDS, entries: [entry] }),
    steps: [...scene.arrivalSteps, ...steps, step],
    bedIds: [entry.bedId],
    laidL,
    leftL,
    nitrogenInG: (scene.nitrogenG + nitrogenInG) * laid.laidShare,
    nitrogenLaidG: laid.nitrogenG,
    boughtL,
    trips: all.reduce((sum, { trips }) => sum + trips, 0),
    hours: all.reduce((sum, one) => sum + one.hours, hours),
  };
}

type Placed = Partial<Omit<LotOnBed, 'part'>> & { readonly records?: GardenRecords };

/** The stuff out of its pile, on top of the bed as soon as it is at hand unless said otherwise. */
export function layStuff(scene: Scene, { records = scene.records, ...placed }: Placed = {}): Laid | null {
  const bed = placed.bed ?? scene.bed;
  return layFromLot(scene, records, {
    lotId: scene.lotId,
    day: scene.from,
    bed,
    dugDepthCm: 0,
    mostCm: bed === scene.bed ? scene.mostCm : mostOnTopCm(scene.material, bed.kind),
    share: scene.share,
    part: 'stuff',
    ...placed,
  });
}

const simple = (scene: Scene, code: WayCode, placed: Placed = {}): Way | null => {
  const laid = layStuff(scene, placed);
  return laid && wayOf(scene, code, { laid });
};

/** The stuff in a pile of its own, so that what else comes and goes where it lies changes nothing. */
export function setAside(scene: Scene): { readonly lotId: string; readonly records: WayRecords } {
  const { prefix, from, lotId, amountL } = scene;
  const aside = `${prefix}-aside`;
  const date = isoDateOf(from);
  const moved = { amount: amountL, unit: 'litre' as const, toLotId: aside };
  return {
    lotId: aside,
    records: {
      ...NO_RECORDS,
      lots: [newLot(aside)],
      movements: [{ id: `${prefix}-move`, type: 'move', state: 'planned', date, lotId, ...moved }],
    },
  };
}

/** Out of a pile of its own, later. */
function waited(scene: Scene, code: WayCode, day: DayNumber): Way | null {
  if (day - scene.from < WORTH_WAITING_DAYS) return null;
  const { lotId, records } = setAside(scene);
  const laid = layStuff(scene, { day, lotId, share: 1, records: withWay(scene.records, records) });
  const step = { code: 'setAside' as const, day: scene.from, amountL: scene.amountL };
  return laid && wayOf(scene, code, { laid, records, steps: [step] });
}

/** With layers of other things beneath it, from the soil upwards. */
function onOthers(
  scene: Scene,
  code: WayCode,
  beneath: readonly { materialId: string; thicknessCm: number }[],
): Way | null {
  const laid = layStuff(scene);
  if (!laid) return null;
  const layers = beneath.map((one, i) =>
    layFromOutside(scene, { ...one, day: scene.from, part: `under-${i}` }),
  );
  return wayOf(scene, code, {
    laid,
    records: { ...NO_RECORDS, entries: layers.map(({ entry }) => entry) },
    steps: layers.map(({ step }) => step),
    efforts: layers.map(({ massFreshKg, laidL }) =>
      effortFor({ massFreshKg, volumeL: laidL, dugDepthCm: 0 }, scene.bed.areaM2),
    ),
    boughtL: layers.reduce((sum, { laidL }) => sum + laidL, 0),
  });
}

/** Less than this of what would lie there otherwise is worth a way of its own (set here). */
const CLEARLY_LESS = 0.9;

/** On top, so thin that no guide value of nitrogen, phosphorus and potassium is passed; null where none is anyway. */
function withinLimits(scene: Scene): Way | null {
  const { bed, from, findMaterial, densityKgPerM3, materialId, records } = scene;
  const massFreshKg = densityKgPerM3 / LITRES_PER_CUBIC_METRE;
  const aLiter = broughtBy({ materialId, massFreshKg }, findMaterial);
  const entries = records.entries.filter(({ bedId }) => bedId === bed.id);
  const roomsL = roomToSpread({ bed, entries, findMaterial }, [from]).flatMap(({ code, roomG }) => {
    const inALiterG = countedBy(code, aLiter);
    return inALiterG > 0 ? [roomG / inALiterG] : [];
  });
  const fullL = Math.min(scene.amountL, layerL(scene.mostCm, bed.areaM2));
  const mostL = Math.min(...roomsL);
  if (!(mostL < CLEARLY_LESS * fullL)) return null;
  return simple(scene, 'withinLimits', { mostCm: mostL / layerL(1, bed.areaM2) });
}

/** Ways that lead straight from the pile onto the bed; null for those that make no sense there. */
export function waysOnTheBed(scene: Scene): (Way | null)[] {
  const { material, mostCm, whatIf } = scene;
  if (!canLie(material)) return [];
  const isWood = material.kind === 'wood';
  const isLeaf = material.kind === 'leaf';
  const isCover = isCoverKind(material.kind);
  const dugIn = { dugDepthCm: whatIf.dugDepthCm ?? DUG_IN_CM, mostCm: Math.min(mostCm, MOST_DUG_CM) };
  return [
    simple(scene, 'onTop'),
    withinLimits(scene),
    isDug(scene) ? simple(scene, 'dugIn', dugIn) : null,
    isCover ? waited(scene, 'onTopInSpring', scene.spring) : null,
    isWood || isLeaf ? waited(scene, 'onTopInAYear', scene.from + YEAR_DAYS) : null,
    isCover
      ? onOthers(scene, 'compostBeneath', [{ materialId: 'compost_garden', thicknessCm: COMPOST_CM }])
      : null,
    isCover && isDug(scene)
      ? onOthers(scene, 'manureUnderCard', [
          { materialId: 'cattle_fym', thicknessCm: MANURE_CM },
          { materialId: 'cardboard', thicknessCm: CARD_CM },
        ])
      : null,
  ];
}
