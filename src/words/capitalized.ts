/** With a capital at its head, to stand alone or to begin a sentence. */
export const capitalized = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Within a sentence: only the first letter, for a name may hold the name of a month. */
export const lowered = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
