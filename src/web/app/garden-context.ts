import { createContext, useContext, useMemo } from 'react';
import type { GardenBooks } from '../../contract/garden-books.ts';
import { measuresOf, type Measures } from '../../words/measures.ts';

const Books = createContext<GardenBooks | undefined>(undefined);

/** Gives the pages of a garden its books; what stands under it asks `useBooks` and `useMeasures`. */
export const GardenProvider = Books.Provider;

/** The books of the garden whose page is open. Throws outside of one, and before they have been read. */
export function useBooks(): GardenBooks {
  const books = useContext(Books);
  if (!books)
    throw new Error('There are no books here: only pages of a garden that has been read may ask for them.');
  return books;
}

/** The measures its owner reads: the same object as long as they are not changed. */
export function useMeasures(): Measures {
  const { measures } = useBooks().garden;
  return useMemo(() => measuresOf({ measures }), [measures]);
}
