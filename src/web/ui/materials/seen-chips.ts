/** The choice of chips described by what can be seen of them, instead of a material of the list. */
export const SEEN_CHIPS = 'seen-chips';
