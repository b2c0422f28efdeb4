import type { DayNumber } from '../core/ground/index.ts';
import {
  HELD_TOLD_FROM_G,
  type BedStanding,
  type LockUpWindow,
  ZONES,
  type Zone,
  isAtHand,
} from '../core/bed/index.ts';
import { CONTACT_ZONE_CM } from '../core/model/index.ts';
import { aboutWhen } from './dates.ts';
import { formatPercent } from './figures.ts';
import type { Measures } from './measures.ts';

/** An answer as it stands on the page: a headline, and the sentences beneath it. */
export interface Answer {
  readonly headline: string;
  readonly details: readonly string[];
  readonly isStop: boolean;
}

const topWords = (measures: Measures): string => `Top ${measures.thickness(CONTACT_ZONE_CM)}`;

const zoneWords = (zone: Zone, measures: Measures): string =>
  zone === 'contact' ? topWords(measures) : 'Root zone';

const IN_ZONE: Readonly<Record<Zone, (measures: Measures) => string>> = {
  contact: (measures) => `in the top ${measures.thickness(CONTACT_ZONE_CM)}`,
  root: () => 'in the root zone',
};

/** Until when a lock-up lasts that is going on or at hand, or from when one that is still to come. */
function untilWords(window: LockUpWindow, today: DayNumber): string {
  const { fromDay, halfBackDay } = window;
  if (!isAtHand(window, today)) return `from ${aboutWhen(fromDay, today)}`;
  return halfBackDay === null ? 'for more than two years' : `until ${aboutWhen(halfBackDay, today)}`;
}

function windowSentence(window: LockUpWindow, today: DayNumber, measures: Measures): string {
  const { fromDay, peakDay, peakG, nowG, zone } = window;
  const since = fromDay <= today ? `since ${aboutWhen(fromDay, today)}` : `from ${aboutWhen(fromDay, today)}`;
  const now = fromDay <= today ? `, ${measures.rate(nowG)} now` : '';
  const most =
    peakDay > today || fromDay > today
      ? `, at most ${measures.rate(peakG)} in ${aboutWhen(peakDay, today)}`
      : `, past its peak of ${measures.rate(peakG)}`;
  return `${zoneWords(zone, measures)}: locked up ${since}${now}${most}.`;
}

const LIST = new Intl.ListFormat('en');

/** How the things of a bed are called. */
export interface BedNames {
  readonly crops: (cropIds: readonly string[]) => string;
  readonly layer: (layerId: string) => string;
}

function causeSentence({ causes }: LockUpWindow, names: BedNames): string[] {
  if (causes.length === 0) return [];
  // Two batches of one material are one cause to a gardener.
  const shares = new Map<string, number>();
  for (const { layerId, share } of causes) {
    const name = names.layer(layerId).toLowerCase();
    shares.set(name, (shares.get(name) ?? 0) + share);
  }
  const [first, ...rest] = [...shares].sort((a, b) => b[1] - a[1]);
  const also = rest.length > 0 ? `, and partly by ${LIST.format(rest.map(([name]) => name))}` : '';
  return [`Locked up by ${first![0]} (${formatPercent(first![1])})${also}.`];
}

/** Whether the crops concerned feel it, and how. */
function feltSentence({ prospects, feeding, contact, root }: BedStanding, names: BedNames): string[] {
  const [crop] = prospects.filter(({ id, demandG }) => feeding?.cropIds.includes(id) && demandG > 0);
  if (!crop) return [];
  const name = names.crops([crop.id]);
  switch (crop.verdict) {
    case 'losesGrowth':
      return [`${name} feels it and loses growth, unless fed.`];
    case 'palesOnly':
      return [`${name} pales for a while, then recovers.`];
    case 'hungryAnyway':
      return [`${name} is hungry, but would be on the bare soil too.`];
    case 'unharmed':
      return [
        contact && !root
          ? `${name} does not feel it: its roots feed below.`
          : `${name} does not feel it: there is enough beside it.`,
      ];
  }
}

/** What is held in zones where no lock-up is going on: the rest of a past one, or too little of a new one. */
function restAnswer({ heldNowG, rules }: BedStanding, measures: Measures): Answer {
  const zones = ZONES.filter((zone) => heldNowG[zone] >= HELD_TOLD_FROM_G);
  if (zones.length === 0) {
    return {
      headline: 'Nothing locked up',
      details: ['Decomposers leave the soil its nitrogen, in both zones.'],
      isStop: false,
    };
  }
  const isRest = zones.some((zone) => heldNowG[zone] >= rules.feltFromG);
  const places = zones.map((zone) => `${measures.rate(heldNowG[zone])} ${IN_ZONE[zone](measures)}`);
  return {
    headline: isRest ? 'More than half is back' : 'Too little to feel',
    details: [
      isRest
        ? `The lock-up is past. Decomposers still hold ${LIST.format(places)}, and go on giving it back.`
        : `Decomposers hold ${LIST.format(places)}: less than a crop feels.`,
    ],
    isStop: false,
  };
}

/** Beside a lock-up of the top: what is held below it. */
const belowSentence = ({ heldNowG, rules }: BedStanding, measures: Measures): string =>
  heldNowG.root < rules.feltFromG
    ? 'The root zone is hardly touched.'
    : `In the root zone more than half is back; ${measures.rate(heldNowG.root)} is still held there.`;

/** Where nitrogen is locked up, and until when half of it is back. */
export function lockUpAnswer(standing: BedStanding, names: BedNames, measures: Measures): Answer {
  const { contact, root, today } = standing;
  if (root) {
    const also = contact ? [windowSentence(contact, today, measures)] : [];
    return {
      headline: `Root zone, ${untilWords(root, today)}`,
      details: [
        windowSentence(root, today, measures),
        ...causeSentence(root, names),
        ...also,
        ...feltSentence(standing, names),
      ],
      isStop: true,
    };
  }
  if (contact) {
    return {
      headline: `${topWords(measures)} only, ${untilWords(contact, today)}`,
      details: [
        windowSentence(contact, today, measures),
        ...causeSentence(contact, names),
        belowSentence(standing, measures),
        ...feltSentence(standing, names),
      ],
      isStop: false,
    };
  }
  return restAnswer(standing, measures);
}
