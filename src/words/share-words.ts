import type {
  ByPurpose,
  Purpose,
  ShareConflict,
  ShareReason,
  ShareSeason,
  UnmetCause,
  UnmetWant,
} from '../core/long-run/index.ts';
import { formatPercent, plainFigure } from './figures.ts';
import type { Measures } from './measures.ts';

export const SEASON_WORDS: Record<ShareSeason, string> = { now: 'this season', next: 'in half a year' };

export const PURPOSE_NAMES: Record<Purpose, string> = {
  cover: 'cover',
  humus: 'humus',
  feed: 'feed',
  char: 'char',
};

const SERVES: Record<Purpose, string> = {
  cover: 'it brings the cover up to what such a bed needs',
  humus: 'its humus closes a gap there',
  feed: 'its nitrogen is what the crops there will miss',
  char: 'char holds most where the ground holds little of itself',
};

/** Why a pile goes to a bed, in one sentence. */
export function reasonWords(reason: ShareReason, nameOf: (bedId: string) => string): string {
  if (reason.isFixed) return 'your own choice, kept as it is';
  const serves = reason.serves.map(({ purpose }) => SERVES[purpose]).slice(0, 2);
  const lock = reason.bearsLockUp ? ['what it holds back stays above the roots there'] : [];
  const other = reason.runnerUpBedId
    ? `; next in line is ${nameOf(reason.runnerUpBedId)}`
    : '; no other bed has a use for it';
  return `because ${[...serves, ...lock].join(', and ')}${other}`;
}

const CAUSE_WORDS: Record<UnmetCause, string> = {
  nothingSuits: 'nothing in stock serves it there',
  usedUp: 'what would serve it is used up',
  lockUp: 'more would hold back too much nitrogen from the roots there',
  notWorthCarrying: 'it is not worth the carrying, or other beds want it more',
};

export const unmetWords = ({ purpose, metShare, cause }: UnmetWant): string =>
  `${PURPOSE_NAMES[purpose]} met to ${formatPercent(metShare)}: ${CAUSE_WORDS[cause]}`;

export function conflictInWords(
  conflict: ShareConflict,
  names: { readonly bed: (id: string) => string; readonly pile: (id: string) => string },
  measures: Measures,
): string {
  switch (conflict.type) {
    case 'beyondStock':
      return `You gave ${measures.volume(conflict.fixedL)} of ${names.pile(conflict.pileId)}, and ${measures.volume(conflict.thereL)} can be given: the reserve and what plans have reserved stay.`;
    case 'beyondLockUp':
      return `What you gave ${names.bed(conflict.bedId)} would hold back ${measures.nitrogen(conflict.lockedG)} of nitrogen from its roots; it can bear ${measures.nitrogen(conflict.limitG)}.`;
    case 'beyondDepth':
      return `${names.pile(conflict.pileId)} on ${names.bed(conflict.bedId)} would lie too deep; ${measures.volume(conflict.mostL)} is the most at a time.`;
    case 'unsuited':
      return `${names.pile(conflict.pileId)} does not belong on ${names.bed(conflict.bedId)}.`;
  }
}

/** What a bed wants, in the units it is wanted in. */
export function wantWords(wants: ByPurpose, measures: Measures): string {
  const parts = [
    wants.cover > 0.5 ? `${measures.volume(wants.cover)} of cover` : '',
    wants.humus > 0.005 ? `${measures.mass(wants.humus)} of carbon as humus` : '',
    wants.feed > 0.5 ? `${measures.nitrogen(wants.feed)} of nitrogen` : '',
    wants.char > 0.005 ? `${measures.mass(wants.char)} of char carbon` : '',
  ].filter((part) => part !== '');
  return parts.length > 0 ? parts.join(', ') : 'nothing';
}

/** How good a way of sharing is, as the share of all wants it meets. */
export const metWords = ({
  metM2,
  wantedM2,
}: {
  readonly metM2: number;
  readonly wantedM2: number;
}): string => (wantedM2 > 0 ? formatPercent(metM2 / wantedM2) : 'nothing is needed');

export const barrowsCount = (barrows: number): string =>
  `${plainFigure(barrows, 2)} ${plainFigure(barrows, 2) === '1' ? 'barrow' : 'barrows'}`;
