import { CHECK_GROUPS, type CheckGroup } from '../../../core/model/index.ts';

/** What a range is asked about: groups of published results, and the bed it is told of. */
export interface ProofAsked {
  readonly groups: readonly CheckGroup[];
  /** Null where the range is of no single bed. */
  readonly bedId: string | null;
}

const GROUPS = 'of';
const BED = 'bed';

/** The address of the page that shows how far ranges can be trusted. */
export function proofAddress(gardenId: string, { groups, bedId }: ProofAsked): string {
  const query = new URLSearchParams({
    [GROUPS]: groups.join(','),
    ...(bedId === null ? {} : { [BED]: bedId }),
  });
  return `/garden/${gardenId}/method/checks?${query.toString()}`;
}

/** What such an address asks; groups nobody knows are left out. */
export function proofAsked(query: URLSearchParams): ProofAsked {
  const named = new Set((query.get(GROUPS) ?? '').split(','));
  return { groups: CHECK_GROUPS.filter((group) => named.has(group)), bedId: query.get(BED) };
}
