import type {
  BoundCode,
  ByPurpose,
  IdlePile,
  IdleReason,
  PassedBound,
  Purpose,
  ShareConflict,
  ShareReason,
  ShareSeason,
  UnmetCause,
  UnmetWant,
} from '../core/long-run/index.ts';
import { counted } from './counted.ts';
import { formatPercent, plainFigure } from './figures.ts';
import type { Measures } from './measures.ts';

export const SEASON_WORDS: Record<ShareSeason, string> = {
  now: 'this season',
  halfYear: 'in half a year',
  year: 'in a year',
  yearAndHalf: 'in a year and a half',
};

const LIST = new Intl.ListFormat('en');

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

/** What one load more would do that no bed is given. */
const BOUND_WORDS: Record<BoundCode, string> = {
  lockUp: 'more would hold back too much nitrogen from the roots there',
  washedOut: 'more would wash out more nitrogen than the guide value allows',
  manureNitrogen: 'manure and meals are at or over the guide value of a year there',
  phosphorus: 'phosphorus is at or over the guide value there',
  potassium: 'the soil test found very much potassium there',
};

/** The same as names of limits. */
export const BOUND_NAMES: Record<BoundCode, string> = {
  lockUp: 'nitrogen held back',
  washedOut: 'nitrogen washed out',
  manureNitrogen: 'nitrogen of manure',
  phosphorus: 'phosphorus',
  potassium: 'potassium',
};

const CAUSE_WORDS: Record<UnmetCause, string> = {
  nothingSuits: 'nothing in stock serves it there',
  usedUp: 'what would serve it is used up',
  depth: 'more would lie too deep',
  notWorthCarrying: 'it is not worth a load, or other beds want it more',
  ...BOUND_WORDS,
};

export const unmetWords = ({ purpose, metShare, cause }: UnmetWant): string =>
  `${PURPOSE_NAMES[purpose]} met to ${formatPercent(metShare)}: ${CAUSE_WORDS[cause]}`;

const IDLE_WORDS: Record<IdleReason, string> = {
  unsuited: 'it does not belong on',
  wantsNone: 'all that is wanted of it is met on',
  depth: 'more would lie too deep on',
  notWorthCarrying: 'less than a load is wanted on',
  lockUp: 'more would hold back too much nitrogen from the roots of',
  washedOut: 'more would wash out too much nitrogen from',
  manureNitrogen: 'manure and meals are at or over the guide value of a year on',
  phosphorus: 'phosphorus is at or over the guide value on',
  potassium: 'the soil test found very much potassium on',
};

const NEVER_WORDS: Record<NonNullable<IdlePile['neverShared']>, string> = {
  measuredDose: 'it is given in measured doses, not by the barrow',
  logs: 'logs belong at the bottom of a bed, not on it',
  rawChar: 'raw char is charged before it goes to a bed',
};

/** Why a pile is not used up, bed by bed. */
export function idleWords({ neverShared, beds }: IdlePile, nameOf: (bedId: string) => string): string {
  if (neverShared) return NEVER_WORDS[neverShared];
  const reasons = [...new Set(beds.map(({ reason }) => reason))];
  return reasons
    .map((reason) => {
      const names = beds.filter((one) => one.reason === reason).map(({ bedId }) => nameOf(bedId));
      return `${IDLE_WORDS[reason]} ${LIST.format(names)}`;
    })
    .join('; ');
}

/** The limits that a way of sharing passes, each with its beds. */
export function passedWords(passed: readonly PassedBound[], nameOf: (bedId: string) => string): string {
  if (passed.length === 0) return 'none';
  const codes = [...new Set(passed.map(({ code }) => code))];
  return codes
    .map((code) => {
      const names = passed.filter((one) => one.code === code).map(({ bedId }) => nameOf(bedId));
      return `${BOUND_NAMES[code]} on ${LIST.format(names)}`;
    })
    .join('; ');
}

interface ShareNames {
  readonly bed: (id: string) => string;
  readonly pile: (id: string) => string;
}

export function conflictInWords(conflict: ShareConflict, names: ShareNames, measures: Measures): string {
  switch (conflict.type) {
    case 'beyondStock':
      return `You gave ${measures.volume(conflict.fixedL)} of ${names.pile(conflict.pileId)}, and ${measures.volume(conflict.thereL)} can be given ${SEASON_WORDS[conflict.season]}: the reserve and what plans have reserved stay.`;
    case 'beyondBound':
      return beyondBoundWords(conflict, names, measures);
    case 'beyondDepth':
      return `${names.pile(conflict.pileId)} on ${names.bed(conflict.bedId)} would lie too deep; ${measures.volume(conflict.mostL)} is the most at a time.`;
    case 'unsuited':
      return `${names.pile(conflict.pileId)} does not belong on ${names.bed(conflict.bedId)}.`;
  }
}

function beyondBoundWords(
  { bedId, code, usedG, roomG }: Extract<ShareConflict, { type: 'beyondBound' }>,
  names: ShareNames,
  measures: Measures,
): string {
  const bed = names.bed(bedId);
  const [used, room] = [measures.nitrogen(usedG), roomG > 0 ? measures.nitrogen(roomG) : 'none'];
  switch (code) {
    case 'lockUp':
      return `What you gave ${bed} would hold back ${used} of nitrogen from its roots; it can bear ${room}.`;
    case 'washedOut':
      return `What you gave ${bed} would wash out ${used} more nitrogen in a year; the guide value leaves room for ${room}.`;
    case 'manureNitrogen':
      return `What you gave ${bed} brings ${used} of nitrogen in manure and meals in a year; beside its plans the guide value leaves room for ${room}.`;
    case 'phosphorus':
      return `What you gave ${bed} brings ${used} of phosphorus; beside its plans, what crops take off leaves room for ${room} in three years.`;
    case 'potassium':
      return `What you gave ${bed} brings ${used} of potassium, and its soil test found very much of it: there is room for ${room} in three years.`;
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

/** A share as it is carried: by the barrow, or by the bucket where a barrow is too much. */
export function loadsWords(
  litres: number,
  { barrowL, bucketL }: { readonly barrowL: number; readonly bucketL: number },
): string {
  const barrows = litres / barrowL;
  if (Math.abs(barrows - Math.round(barrows)) < 1e-6) return counted(Math.round(barrows), 'barrow');
  const buckets = litres / bucketL;
  return Math.abs(buckets - Math.round(buckets)) < 1e-6
    ? counted(Math.round(buckets), 'bucket')
    : barrowsCount(barrows);
}

export const barrowsCount = (barrows: number): string =>
  `${plainFigure(barrows, 2)} ${plainFigure(barrows, 2) === '1' ? 'barrow' : 'barrows'}`;
