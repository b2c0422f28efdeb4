/** Id of the invented garden to look around in. */
export const DEMO_GARDEN_ID = 'ternhollow';
