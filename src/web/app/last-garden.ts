const KEY = 'vine-ledger last garden';

/** Id of the garden that was open last on this device; null when there was none, or the browser keeps nothing. */
export function lastGarden(): string | null {
  try {
    return window.localStorage.getItem(KEY);
  } catch {
    return null;
  }
}

export function rememberGarden(gardenId: string): void {
  try {
    window.localStorage.setItem(KEY, gardenId);
  } catch {
    // Then the first garden opens next time; that is all.
  }
}
