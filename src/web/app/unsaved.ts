import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';

const unsaved = new Map<symbol, string>();
const listeners = new Set<() => void>();

const notifyListeners = () => {
  for (const listener of listeners) listener();
};
const forget = (key: symbol) => {
  unsaved.delete(key);
  notifyListeners();
};
const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => void listeners.delete(listener);
};

/** What would be lost by leaving the page, in a sentence; null when nothing would. */
export const unsavedWords = (): string | null => unsaved.values().next().value ?? null;

/** The same, drawn anew whenever it changes. */
export const useUnsavedWords = (): string | null => useSyncExternalStore(subscribe, unsavedWords);

/**
 * Says while `isUnsaved` that something on the page would be lost by leaving it. What it gives forgets that at once, for
 * a page that leaves by itself after saving.
 */
export function useUnsaved(isUnsaved: boolean, words: string): () => void {
  const [key] = useState(() => Symbol(words));
  useEffect(() => {
    if (!isUnsaved) return undefined;
    unsaved.set(key, words);
    notifyListeners();
    return () => forget(key);
  }, [isUnsaved, key, words]);
  return useCallback(() => forget(key), [key]);
}
