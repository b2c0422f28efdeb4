/** What this device remembers under a key; null when nothing, or when the browser keeps nothing. */
export function remembered(key: string): string | null {
  try {
    return window.localStorage.getItem(key);
  } catch {
    return null;
  }
}

/** Remembers a word under a key, or forgets it. Where the browser keeps nothing, things are as at the first visit. */
export function remember(key: string, word: string | null): void {
  try {
    if (word === null) window.localStorage.removeItem(key);
    else window.localStorage.setItem(key, word);
  } catch {
    // Nothing is lost but the convenience.
  }
}
