import { type BedStatus, nextStep } from '../../../core/bed/index.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { BriefedBed } from './use-bed-briefs.ts';

export const BED_ORDERS = ['attention', 'name', 'lockUp', 'next', 'nitrogen', 'organicMatter'] as const;
export type BedOrder = (typeof BED_ORDERS)[number];

const URGENCY: readonly BedStatus[] = ['pale', 'short', 'held', 'fed', 'resting', 'path'];
/** What is not known yet, or never comes, stands last. */
const LAST = Number.POSITIVE_INFINITY;

/** The first thing to do on a bed. */
export function nextStepOf({ bed, brief }: BriefedBed, books: GardenBooks) {
  const ofBed = ({ bedId }: { bedId: string }) => bedId === bed.id;
  return brief && nextStep(brief.standing, books.entries.filter(ofBed), books.plantings.filter(ofBed));
}

/** When a bed is free of lock-up again; 0 for one that is free. */
function lockedUntil({ brief }: BriefedBed): number {
  const window = brief && (brief.standing.root ?? brief.standing.contact);
  return window ? (window.halfBackDay ?? LAST) : 0;
}

function rankOf(one: BriefedBed, order: BedOrder, books: GardenBooks): number | string {
  const { bed, brief } = one;
  if (order === 'name') return bed.name.toLowerCase();
  if (!brief) return LAST;
  switch (order) {
    case 'attention':
      return URGENCY.indexOf(brief.standing.status);
    case 'lockUp':
      return -lockedUntil(one);
    case 'next':
      return nextStepOf(one, books)?.day ?? LAST;
    case 'nitrogen':
      return brief.now.availableContactG + brief.now.availableRootG;
    case 'organicMatter':
      return brief.organicMatterNextYearPct - brief.now.organicMatterPct;
  }
}

/** Beds in an order of the reader's choosing, those that need attention first by default; equals stay as they are. */
export function inBedOrder({
  briefed,
  order,
  isReversed,
  books,
}: {
  readonly briefed: readonly BriefedBed[];
  readonly order: BedOrder;
  readonly isReversed: boolean;
  readonly books: GardenBooks;
}): BriefedBed[] {
  const ranked = briefed.map((one) => ({ one, rank: rankOf(one, order, books) }));
  ranked.sort((a, b) => (a.rank === b.rank ? 0 : a.rank < b.rank ? -1 : 1));
  const sorted = ranked.map(({ one }) => one);
  return isReversed ? sorted.reverse() : sorted;
}
