import { carriedForward, materialFinder } from '../../core/bed/index.ts';
import { dayNumberFromIso } from '../../core/ground/index.ts';
import { type Share, shareBed, shareGains, type ShareProblem } from '../../core/long-run/index.ts';
import { rememberedBooks } from './bed-books.ts';
import { stockPiles, type StockQuestion } from './stock-answers.ts';

interface GroundAsked {
  readonly question: StockQuestion;
  /** Kept back in each lot, L. */
  readonly reserves: Readonly<Record<string, number>>;
  readonly aimOrganicMatterPct: number;
}

export interface SharingAsked extends GroundAsked {
  readonly fixed: readonly Share[];
  readonly carrier: ShareProblem['carrier'];
}

/** What piles do on beds, and what beds want, whoever chooses what of it goes where. */
type SharingGround = Omit<ShareProblem, 'fixed' | 'carrier'>;

function sharingGround({ question, reserves, aimOrganicMatterPct }: GroundAsked): SharingGround {
  const { records, today } = question;
  const findMaterial = materialFinder(records);
  const piles = stockPiles(question, reserves);
  const settings = records.beds.map(({ id }) => ({
    books: rememberedBooks(carriedForward(records, today), id)!,
    findMaterial,
    today: dayNumberFromIso(today, ['today']),
    school: records.garden.school,
    aimOrganicMatterPct,
  }));
  const beds = settings.map(shareBed);
  return {
    piles: piles.map(({ material, ...pile }) => pile),
    beds,
    gains: settings.flatMap((setting, i) => shareGains(setting, beds[i]!, piles)),
  };
}

/** As it was worked out last: another choice of the gardener's changes only who gets what. */
let lastGround: { readonly key: string; readonly ground: SharingGround } | undefined;

/** What lies in stock and what the beds want of it, as a problem to solve. */
export function sharingProblem({ fixed, carrier, ...asked }: SharingAsked): ShareProblem {
  const key = JSON.stringify(asked);
  if (lastGround?.key !== key) lastGround = { key, ground: sharingGround(asked) };
  return { ...lastGround.ground, fixed, carrier };
}
