import { InputError } from '../../refusals/input-error.ts';
import type { BedPast, PastKeeper } from '../../core/bed/index.ts';
import {
  type DrawnWay,
  leaving,
  proposeWays,
  type Scene,
  type Way,
  type WayCode,
  type WayOutcome,
  type WayQuestion,
  WAY_DRAWS,
  wayDrawer,
  weighWay,
  type WeighSetting,
} from '../../core/long-run/index.ts';
import type { School } from '../../records/vocabulary.ts';
import { stockMemory } from './bed-books.ts';
import type { StockQuestion } from './stock-answers.ts';

/** Ways of using some stuff for a bed. */
export interface WaysAsked {
  readonly question: StockQuestion;
  readonly asked: WayQuestion;
  /** With which ids of new records begin. */
  readonly prefix: string;
  readonly prices: WeighSetting['prices'];
}

/** The ways there are, before any of them is weighed. */
export interface ProposedWays {
  readonly ways: readonly Way[];
  readonly today: number;
  readonly materialId: string;
  readonly carbonToNitrogen: number | null;
}

interface Opened {
  readonly key: string;
  readonly scene: Scene;
  readonly ways: readonly Way[];
  readonly setting: WeighSetting;
  readonly left: ReturnType<typeof leaving>;
  readonly draw: ReturnType<typeof wayDrawer>;
}
/** The ways asked about last: each is weighed by a question of its own, so that the first can be shown before the last is done. */
let opened: Opened | undefined;

/** How the beds came to be what they are, as long as the same ways are asked about. */
function pastsInHand(): PastKeeper {
  const pasts = new Map<string, BedPast>();
  return { find: (key) => pasts.get(key), keep: (key, past) => void pasts.set(key, past) };
}

function open(waysAsked: WaysAsked): Opened {
  const { question, asked, prefix, prices } = waysAsked;
  const { records, today: todayIso } = question;
  const key = JSON.stringify(waysAsked);
  if (opened?.key === key) return opened;
  const { scene, ways } = proposeWays(records, asked, { todayIso, memory: stockMemory, prefix });
  const setting = { todayIso, prices, keeper: pastsInHand() };
  opened = { key, scene, ways, setting, left: leaving(scene, setting), draw: wayDrawer(scene) };
  return opened;
}

/** Throws InputError naming the field for a question that cannot be. */
export function proposedWays(asked: WaysAsked): ProposedWays {
  const { scene, ways } = open(asked);
  const { today, materialId, carbonToNitrogen } = scene;
  return { ways, today, materialId, carbonToNitrogen };
}

function wayIn({ ways }: Opened, code: WayCode): Way {
  const way = ways.find((one) => one.code === code);
  if (!way) throw new InputError(['way'], 'notOneOf', { allowed: ways.map((one) => one.code), got: code });
  return way;
}

/** What one of the ways comes to. Throws InputError for a way that is none of them. */
export function weighedWay(asked: WaysAsked, code: WayCode): WayOutcome {
  const ways = open(asked);
  const { scene, left, setting } = ways;
  return weighWay(scene, wayIn(ways, code), { left, setting });
}

/** What all of them come to by a school of its own, in the order in which they were proposed. */
export function waysBySchool(asked: WaysAsked, school: School): WayOutcome[] {
  const { scene, ways, setting } = open(asked);
  const own = { ...setting, school };
  const left = leaving(scene, own);
  return ways.map((way) => weighWay(scene, way, { left, setting: own }));
}

/** What it comes to as things may be, draw by draw. Throws as `weighedWay` does. */
export function drawnWay(asked: WaysAsked, code: WayCode): DrawnWay[] {
  const ways = open(asked);
  const way = wayIn(ways, code);
  return Array.from({ length: WAY_DRAWS }, (_, number) => ways.draw(way, number));
}
