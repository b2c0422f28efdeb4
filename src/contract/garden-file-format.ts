/** What a garden file says it is. */
export const GARDEN_FILE_FORMAT = 'vine-ledger-garden';
