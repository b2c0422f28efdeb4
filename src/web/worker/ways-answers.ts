import { InputError } from '../../refusals/input-error.ts';
import type { BedPast, PastKeeper } from '../../core/bed/index.ts';
import {
  type DrawnWay,
  type Proposal,
  type ProposedWay,
  proposeWays,
  type Way,
  type WayOutcome,
  type WayQuestion,
  WAY_DRAWS,
  wayDrawer,
  wayWeigher,
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
  readonly ways: readonly (Way & { readonly materialId: string })[];
  readonly today: number;
  /** Beds or piles that were not looked at, being too many. */
  readonly notLookedAt: number;
}

interface Opened {
  readonly key: string;
  readonly proposal: Proposal;
  readonly weigh: ReturnType<typeof wayWeigher>;
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
  const proposal = proposeWays(records, asked, { todayIso, memory: stockMemory, prefix });
  const setting = { todayIso, prices, keeper: pastsInHand() };
  opened = { key, proposal, weigh: wayWeigher(proposal, setting), draw: wayDrawer(proposal) };
  return opened;
}

/** Throws InputError naming the field for a question that cannot be. */
export function proposedWays(asked: WaysAsked): ProposedWays {
  const { proposed, today, notLookedAt } = open(asked).proposal;
  const ways = proposed.map(({ way, scene: { materialId } }) => ({ ...way, materialId }));
  return { ways, today, notLookedAt };
}

function wayIn({ proposal: { proposed } }: Opened, key: string): ProposedWay {
  const found = proposed.find(({ way }) => way.key === key);
  if (found) return found;
  throw new InputError(['way'], 'notOneOf', { allowed: proposed.map(({ way }) => way.key), got: key });
}

/** What one of the ways comes to, by another school than the garden's where one is asked for. Throws InputError for a way that is none of them. */
export function weighedWay(asked: WaysAsked, key: string, school?: School): WayOutcome {
  const ways = open(asked);
  return ways.weigh(wayIn(ways, key), school);
}

/** What it comes to as things may be, draw by draw. Throws as `weighedWay` does. */
export function drawnWay(asked: WaysAsked, key: string): DrawnWay[] {
  const ways = open(asked);
  const way = wayIn(ways, key);
  return Array.from({ length: WAY_DRAWS }, (_, number) => ways.draw(way, number));
}
