/** Name of a thread that runs nothing before it is asked. */
export const UNWARMED = 'unwarmed';
