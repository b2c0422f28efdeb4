/** With a capital at its head, to stand alone or to begin a sentence. */
export const capitalized = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
