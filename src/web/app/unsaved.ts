import { useCallback, useEffect, useState } from 'react';

const unsaved = new Map<symbol, string>();

/** What would be lost by leaving the page, in a sentence; null when nothing would. */
export const unsavedWords = (): string | null => unsaved.values().next().value ?? null;

/**
 * Says while `isUnsaved` that something on the page would be lost by leaving it. What it gives forgets that at once, for
 * a page that leaves by itself after saving.
 */
export function useUnsaved(isUnsaved: boolean, words: string): () => void {
  const [key] = useState(() => Symbol(words));
  useEffect(() => {
    if (!isUnsaved) return undefined;
    unsaved.set(key, words);
    return () => void unsaved.delete(key);
  }, [isUnsaved, key, words]);
  return useCallback(() => void unsaved.delete(key), [key]);
}
