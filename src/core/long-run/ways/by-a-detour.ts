import type { BedKind } from '../../../records/vocabulary.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { LITRES_PER_CUBIC_METRE, isoDateOf } from '../../ground/index.ts';
import { effortFor } from '../../bed/index.ts';
import { BURN_METHOD_FACTS, blend, figuresOf, partnerMassKg } from '../../yard/index.ts';
import { canLie, isUnderTrees, MOST_CHAR_CM } from './amounts.ts';
import { layStuff, setAside, wayOf } from './on-the-bed.ts';
import {
  type Scene,
  contentsOn,
  layFromLot,
  layFromOutside,
  newLot,
  NO_RECORDS,
  wholeTenths,
  withWay,
} from './scene.ts';
import type { Way } from './way.ts';

/** Heaps work at this C:N (NRAES-54, from memory: 25 to 40 to 1). */
const HEAP_CARBON_TO_NITROGEN = 30;
/** Below this C:N a material takes browns instead of greens (set here). */
const RICH_BELOW = 20;
/** What is at hand in most gardens to balance a heap, by season and by what is wanted (common practice, no source). */
const GREENS = { growing: 'grass_clippings', else: 'cattle_fym' } as const;
const BROWNS = 'straw_cereal';
const GROWING_FROM_C = 10;
/** Wood takes a year and a half to be compost, other things eight months (common practice, no source). */
const WOOD_HEAP_DAYS = 540;
const HEAP_DAYS = 240;
const TURNS = 3;
/** Turning moves all of a heap, and asks for half the time that carrying it does (our estimate). */
const TURNING_SHARE = 0.5;
const MOST_COMPOST_CM = 5;
/** A path lies for two years or three before it is lifted (common practice, no source). */
const PATH_DAYS = 730;
/** What lies on a path is lifted and sieved by hand, hours a cubic meter (our estimate). */
const LIFTING_H_PER_M3 = 2;
/** Feeding and quenching a fire, hours a cubic meter of wood (common practice, no source). */
const BURNING_H_PER_M3 = 5;
/** Char goes out with as much compost, so that it brings nitrogen instead of taking it (common practice, no source). */
const COMPOST_TO_CHAR = 1;
const GRAMS_PER_KG = 1000;
/** Char is cold to its middle the day after, and is dug in with what it is charged with. */
const COOLING_DAYS = 2;
const CHAR_DUG_CM = 10;
const COVERED_ONLY: ReadonlySet<BedKind> = new Set(['treeRing', 'shrubs', 'perennial']);

const cubicMeters = (liters: number): number => liters / LITRES_PER_CUBIC_METRE;

interface Partner {
  readonly materialId: string;
  readonly massFreshKg: number;
  readonly volumeL: number;
}

/** What somebody wants in the heap. Throws InputError for a material that is none. */
function chosenPartner(
  { findMaterial, from }: Scene,
  { materialId, amountL }: NonNullable<Scene['whatIf']['partner']>,
): Partner {
  const partner = findMaterial(materialId, from);
  if (!partner) {
    const at = ['whatIf', 'partner', 'materialId'];
    throw new InputError(at, 'namesNone', { what: 'material', got: materialId });
  }
  return { materialId, massFreshKg: cubicMeters(amountL) * partner.bulkDensityKgPerM3, volumeL: amountL };
}

/** What balances a heap of the stuff; null when it needs nothing, or nothing would do. */
function partnerFor(scene: Scene): Partner | null {
  const { carbonToNitrogen, findMaterial, from, share, lotId, records, whatIf, material } = scene;
  if (!canLie(material) || material.kind === 'char' || material.kind === 'fertiliser') return null;
  if (whatIf.partner) return chosenPartner(scene, whatIf.partner);
  const contents = contentsOn(scene, records, { lotId, day: from });
  if (!contents || carbonToNitrogen === null) return null;
  const { carbonKg, nitrogenG } = figuresOf(contents);
  const month = Number(isoDateOf(from).slice(5, 7));
  const isGrowing = records.garden.climate.temperatureC[month - 1] >= GROWING_FROM_C;
  const greens = isGrowing ? GREENS.growing : GREENS.else;
  const materialId = carbonToNitrogen < RICH_BELOW ? BROWNS : greens;
  const partner = findMaterial(materialId, from)!;
  const stuff = { carbonG: carbonKg * GRAMS_PER_KG * share, nitrogenG: nitrogenG * share };
  const massFreshKg = partnerMassKg(stuff, partner, HEAP_CARBON_TO_NITROGEN);
  if (massFreshKg === null || massFreshKg === 0) return null;
  return {
    materialId,
    massFreshKg,
    volumeL: wholeTenths((massFreshKg / partner.bulkDensityKgPerM3) * LITRES_PER_CUBIC_METRE),
  };
}

/** Made into a heap with what balances it, turned, and spread as compost. */
function composted(scene: Scene): Way | null {
  const partner = partnerFor(scene);
  if (!partner) return null;
  const { prefix, from, lotId, bed, amountL, findMaterial, material } = scene;
  const heapId = `${prefix}-heap`;
  const made = {
    ...NO_RECORDS,
    lots: [
      newLot(heapId, {
        form: 'heap',
        keeping: 'covered',
        isTurned: true,
        isHot: amountL + partner.volumeL >= LITRES_PER_CUBIC_METRE,
      }),
    ],
    movements: [
      {
        id: `${prefix}-make`,
        type: 'make' as const,
        state: 'planned' as const,
        date: isoDateOf(from),
        lotId: heapId,
        ingredients: [
          { lotId, materialId: null, amount: amountL, unit: 'litre' as const },
          { lotId: null, materialId: partner.materialId, amount: partner.volumeL, unit: 'litre' as const },
        ],
        waterL: 0,
        isLayered: true,
        chargeRecipe: null,
        readyOn: null,
      },
    ],
  };
  const day = from + (material.kind === 'wood' ? WOOD_HEAP_DAYS : HEAP_DAYS);
  const laid = layFromLot(scene, withWay(scene.records, made), {
    lotId: heapId,
    day,
    bed,
    dugDepthCm: 0,
    mostCm: MOST_COMPOST_CM,
    share: 1,
    part: 'compost',
  });
  if (!laid) return null;
  const heapKg = cubicMeters(amountL) * material.bulkDensityKgPerM3 + partner.massFreshKg;
  const making = effortFor(
    { massFreshKg: heapKg, volumeL: amountL + partner.volumeL, dugDepthCm: 0 },
    bed.areaM2,
  );
  const { nitrogenG } = blend([
    { material: findMaterial(partner.materialId)!, massFreshKg: partner.massFreshKg },
  ]);
  return wayOf(scene, 'composted', {
    laid,
    records: made,
    steps: [
      {
        code: 'makeHeap',
        day: from,
        amountL,
        partnerId: partner.materialId,
        partnerL: partner.volumeL,
        turns: TURNS,
      },
    ],
    efforts: [making],
    nitrogenInG: nitrogenG,
    boughtL: partner.volumeL,
    hours: TURNS * TURNING_SHARE * making.hours,
  });
}

/** Trodden on for two years first; what it will have become is reckoned as an open pile that nobody turns. */
function pathFirst(scene: Scene): Way | null {
  const path = scene.records.beds.find(({ kind, id }) => kind === 'path' && id !== scene.bed.id);
  if (!path || scene.material.kind !== 'wood' || !canLie(scene.material)) return null;
  const { lotId, records } = setAside(scene);
  const laid = layStuff(scene, {
    day: scene.from + PATH_DAYS,
    mostCm: MOST_COMPOST_CM,
    lotId,
    share: 1,
    records: withWay(scene.records, records),
  });
  if (!laid) return null;
  const amountL = scene.amountL;
  const massFreshKg = cubicMeters(amountL) * scene.material.bulkDensityKgPerM3;
  return wayOf(scene, 'pathFirst', {
    laid,
    records,
    steps: [{ code: 'layOnPath', day: scene.from, bedId: path.id, amountL }],
    efforts: [effortFor({ massFreshKg, volumeL: amountL, dugDepthCm: 0 }, path.areaM2)],
    hours: LIFTING_H_PER_M3 * cubicMeters(laid.laidL),
  });
}

/** Burnt to char in a trench, and dug in with compost. */
function charred(scene: Scene): Way | null {
  const { material, from, bed, prefix, amountL, findMaterial, lotId } = scene;
  if (material.kind !== 'wood' || material.particleSize === 'fine') return null;
  const { yieldShare, charTemperature } = BURN_METHOD_FACTS.trench;
  const woodKg = cubicMeters(amountL) * material.bulkDensityKgPerM3;
  const charDryKg = woodKg * (1 - material.moistureFractionWetBasis) * ((yieldShare[0] + yieldShare[1]) / 2);
  const char = findMaterial('biochar_raw')!;
  const { moistureFractionWetBasis } = char;
  const charKg = charDryKg / (1 - moistureFractionWetBasis);
  const charL = wholeTenths((charKg / char.bulkDensityKgPerM3) * LITRES_PER_CUBIC_METRE);
  const charLotId = `${prefix}-kiln`;
  const burnt = {
    ...NO_RECORDS,
    lots: [newLot(charLotId, { keeping: 'covered' })],
    movements: [
      {
        id: `${prefix}-burn`,
        type: 'burn' as const,
        state: 'planned' as const,
        date: isoDateOf(from),
        lotId: charLotId,
        feedstock: [{ lotId, materialId: null, amount: amountL, unit: 'litre' as const }],
        charTemperature,
        yield: { amount: charL, unit: 'litre' as const, moistureFractionWetBasis },
        unburntShare: 0,
      },
    ],
  };
  const day = from + COOLING_DAYS;
  const laid = layFromLot(scene, withWay(scene.records, burnt), {
    lotId: charLotId,
    day,
    bed,
    dugDepthCm: CHAR_DUG_CM,
    mostCm: MOST_CHAR_CM,
    share: 1,
    part: 'char',
  });
  if (!laid) return null;
  const compost = layFromOutside(scene, {
    materialId: 'compost_garden',
    day,
    thicknessCm: laid.step.thicknessCm * COMPOST_TO_CHAR,
    dugDepthCm: CHAR_DUG_CM,
    part: 'with-char',
  });
  return wayOf(scene, 'charred', {
    laid,
    records: { ...burnt, entries: [compost.entry] },
    steps: [{ code: 'burn', day: from, amountL, charL }, compost.step],
    efforts: [
      effortFor({ massFreshKg: compost.massFreshKg, volumeL: compost.laidL, dugDepthCm: 0 }, bed.areaM2),
    ],
    boughtL: compost.laidL,
    hours: BURNING_H_PER_M3 * cubicMeters(amountL),
  });
}

/** On top of another bed that is only covered, trees and shrubs first, where it harms nobody. */
function elsewhere(scene: Scene): Way | null {
  if (!canLie(scene.material)) return null;
  const others = scene.records.beds.filter(({ id, kind }) => id !== scene.bed.id && COVERED_ONLY.has(kind));
  if (others.length === 0) return null;
  const [bed] = others.toSorted((a, b) => Number(isUnderTrees(b.kind)) - Number(isUnderTrees(a.kind)));
  const laid = layStuff(scene, { bed });
  return laid ? wayOf(scene, 'elsewhere', { laid }) : null;
}

/** Ways that go through a heap, a path, a fire or another bed. */
export const waysByADetour = (scene: Scene): (Way | null)[] => [
  composted(scene),
  pathFirst(scene),
  charred(scene),
  elsewhere(scene),
];
