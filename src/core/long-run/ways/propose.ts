import { InputError } from '../../../refusals/input-error.ts';
import type { Bed } from '../../../records/bed.ts';
import { type GardenRecords, stockBooksOf, materialFinder } from '../../bed/index.ts';
import { dayNumberFromIso } from '../../ground/index.ts';
import { figuresOf, nearestMaterialId } from '../../yard/index.ts';
import { canLie } from './amounts.ts';
import { waysByADetour } from './by-a-detour.ts';
import { waysOnTheBed } from './on-the-bed.ts';
import { contentsOn, notBefore, type Scene, type SceneSetting, sceneOf } from './scene.ts';
import { AS_PROPOSED, type PlainQuestion, type Way, type WayCode, type WayQuestion } from './way.ts';

/** More than anybody compares at once (set here). */
const MOST_WAYS = 10;
/** Beds or piles that are looked at when one is looked for (set here). */
const MOST_PLACES = 8;
/** Less than this in a pile is none, L. */
const LEAST_IN_PILE_L = 5;
/** What is told first of each bed or pile, where there are several. */
const FIRST_CODES: readonly WayCode[] = ['onTop', 'withinLimits', 'charred', 'composted', 'compostBeneath'];

export interface ProposedWay {
  readonly scene: Scene;
  readonly way: Way;
}

/** What is proposed, with the beds that are compared, and how many more there would be. */
export interface Proposal {
  readonly today: number;
  readonly proposed: readonly ProposedWay[];
  readonly bedIds: readonly string[];
  readonly notLookedAt: number;
}

/**
 * Sensible ways of using some stuff for a bed, each with its dates and amounts: six to ten as a rule. Where the bed or the
 * pile is left open, ways of several are proposed beside each other. Throws InputError for a question that cannot be.
 */
export function proposeWays(records: GardenRecords, question: WayQuestion, setting: SceneSetting): Proposal {
  const { questions, notLookedAt } = plainQuestions(records, question, setting);
  const scenes = questions.map((plain) => {
    const suffix = question.bedId === null ? plain.bedId : 'lotId' in plain.from ? plain.from.lotId : '';
    return sceneOf(records, plain, { ...setting, suffix: questions.length > 1 ? suffix : '' });
  });
  const all = scenes.map((scene) =>
    [...waysOnTheBed(scene), ...waysByADetour(scene)].flatMap((way) => (way ? [{ scene, way }] : [])),
  );
  return {
    today: dayNumberFromIso(setting.todayIso, ['today']),
    proposed: all.length === 1 ? all[0] : inTurns(all.map(firstOnesFirst)),
    bedIds: [...new Set(scenes.map(({ bed }) => bed.id))],
    notLookedAt,
  };
}

const rankOf = ({ code }: Way): number => {
  const at = FIRST_CODES.indexOf(code);
  return at < 0 ? FIRST_CODES.length : at;
};

/** What goes elsewhere is another bed's own way where all beds are looked at. */
const firstOnesFirst = (ways: readonly ProposedWay[]): ProposedWay[] =>
  ways.filter(({ way }) => way.code !== 'elsewhere').toSorted((a, b) => rankOf(a.way) - rankOf(b.way));

/** The first of each, then the second of each, until there are enough. */
function inTurns(all: readonly (readonly ProposedWay[])[]): ProposedWay[] {
  const longest = Math.max(0, ...all.map(({ length }) => length));
  const turns = Array.from({ length: longest }, (_, i) => all.flatMap((ways) => ways.slice(i, i + 1)));
  return turns.flat().slice(0, MOST_WAYS);
}

interface PlainQuestions {
  readonly questions: readonly PlainQuestion[];
  /** Beds or piles beyond those. */
  readonly notLookedAt: number;
}

/** The question put for each bed or pile that may be meant. */
function plainQuestions(
  records: GardenRecords,
  question: WayQuestion,
  setting: SceneSetting,
): PlainQuestions {
  const { bedId, from } = question;
  if (bedId !== null && from !== null) return { questions: [{ ...question, bedId, from }], notLookedAt: 0 };
  if (from !== null) {
    const beds = bedsToCompare(records.beds);
    if (beds.length === 0) throw new InputError(['bedId'], 'namesNone', { what: 'bed', got: '' });
    const questions = beds.slice(0, MOST_PLACES).map((bed) => ({ ...question, bedId: bed.id, from }));
    return { questions, notLookedAt: Math.max(0, beds.length - MOST_PLACES) };
  }
  if (bedId === null) throw new InputError(['bedId'], 'namesNone', { what: 'bed', got: '' });
  const lotIds = lotsToCompare(records, question, setting);
  if (lotIds.length === 0) throw new InputError(['from', 'lotId'], 'namesNone', { what: 'stock', got: '' });
  const questions = lotIds
    .slice(0, MOST_PLACES)
    .map((lotId) => ({ ...question, bedId, from: { lotId }, amountL: null }));
  return { questions, notLookedAt: Math.max(0, lotIds.length - MOST_PLACES) };
}

/** Beds that stuff is laid on: one of each kind first, larger ones before smaller ones. */
function bedsToCompare(beds: GardenRecords['beds']): Bed[] {
  const laidOn = beds.filter(({ kind }) => kind !== 'path').toSorted((a, b) => b.areaM2 - a.areaM2);
  const firstOfKind = laidOn.filter((bed, i) => laidOn.findIndex(({ kind }) => kind === bed.kind) === i);
  return [...new Set([...firstOfKind, ...laidOn])];
}

/** Piles with something in them that can lie on a bed, or be burnt for one: larger ones first. */
function lotsToCompare(
  records: GardenRecords,
  { whatIf = AS_PROPOSED }: WayQuestion,
  { todayIso, memory }: SceneSetting,
): string[] {
  const findMaterial = materialFinder(records);
  const day = notBefore(dayNumberFromIso(todayIso, ['today']) + 1, whatIf);
  const there = stockBooksOf(records).lots.flatMap(({ id }) => {
    const contents = contentsOn({ findMaterial, memory }, records, { lotId: id, day });
    const material = contents && findMaterial(nearestMaterialId(contents), day);
    if (!contents || !material) return [];
    const { volumeL } = figuresOf(contents);
    const isOfUse = canLie(material) || material.kind === 'wood';
    return isOfUse && volumeL >= LEAST_IN_PILE_L ? [{ id, volumeL }] : [];
  });
  return there.toSorted((a, b) => b.volumeL - a.volumeL).map(({ id }) => id);
}
