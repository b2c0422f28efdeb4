/** Under which the books of a garden are kept among what has been read. */
export const booksKey = (gardenId: string): readonly string[] => ['gardens', gardenId, 'books'];

export const isBooksKey = (key: readonly unknown[]): boolean =>
  key[0] === 'gardens' && key.length === 3 && key[2] === 'books';
