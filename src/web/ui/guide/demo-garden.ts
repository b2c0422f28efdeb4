/** Id of the invented garden to look around in. */
export const DEMO_GARDEN_ID = 'ternhollow';
/** Id of the small one in another climate that is made with it. */
export const SOUTHERN_GARDEN_ID = 'ternhollow-south';
