export interface Place {
  readonly path: string;
  readonly name: string;
  /** Stands under the place before it. */
  readonly isUnder: boolean;
  /** What people look for when they want to come here. */
  readonly also: string;
}

/** What is wanted every day. */
export const DAILY: readonly Place[] = [
  { path: 'calendar', name: 'Calendar', isUnder: false, also: 'tasks to do agenda reminders' },
  { path: 'laying', name: 'Spreading day', isUnder: true, also: 'barrows carry plan mulching' },
  { path: 'log', name: 'Logbook', isUnder: false, also: 'observations notes photos soil test journal' },
  {
    path: 'log/all',
    name: 'Whole log',
    isUnder: true,
    also: 'search history everything written find edit delete',
  },
  { path: 'pale', name: 'Why is it pale?', isUnder: true, also: 'yellow leaves diagnosis deficiency' },
  { path: 'trials', name: 'Trials', isUnder: true, also: 'experiment compare plots' },
  { path: 'year', name: 'Year sheet', isUnder: true, also: 'close the year summary report print' },
  { path: 'years', name: 'Years', isUnder: false, also: 'forecast humus future habits long run' },
];

/** The places of the yard, in the order of the work. */
export const WORK: readonly Place[] = [
  { path: 'stock', name: 'Stock', isUnder: false, also: 'piles bags yard deliveries inventory' },
  {
    path: 'ways',
    name: 'Which way?',
    isUnder: true,
    also: 'compare options decide what to do with chips leaves manure prunings',
  },
  { path: 'share', name: 'Share out', isUnder: true, also: 'distribute divide among beds' },
  { path: 'materials', name: 'Materials', isUnder: true, also: 'library laboratory C:N figures' },
  {
    path: 'prepare',
    name: 'Mixing bench',
    isUnder: false,
    also: 'mix recipe compost solver carbon to nitrogen',
  },
  { path: 'prepare/heaps', name: 'Heaps', isUnder: true, also: 'compost temperature turning hot' },
  { path: 'prepare/char', name: 'Char yard', isUnder: true, also: 'biochar charcoal burn charge crush' },
  { path: 'prepare/ash', name: 'Ash', isUnder: true, also: 'wood ash lime potassium pH' },
  { path: 'prepare/brews', name: 'Brews', isUnder: true, also: 'compost tea urine liquid feed' },
];

/** How it is worked out, and where it is kept. */
export const ABOUT: readonly Place[] = [
  { path: 'method', name: 'Method', isUnder: false, also: 'formulas sources science how it works' },
  {
    path: 'data',
    name: 'Your data',
    isUnder: false,
    also: 'export import backup restore CSV spreadsheet file',
  },
];

/** What is wanted now and then: found by the search, and from the pages it belongs to. */
const SELDOM: readonly Place[] = [
  {
    path: 'week',
    name: 'The week on a page',
    isUnder: false,
    also: 'print weekly list digest copy text to do',
  },
  { path: 'labels', name: 'Labels', isUnder: false, also: 'print QR code beds piles tags stickers' },
];

export const PLACES: readonly Place[] = [...DAILY, ...WORK, ...ABOUT, ...SELDOM];
