import { lazy, Suspense, useEffect, useState } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { isTyping } from '../keys.ts';

const SearchDialog = lazy(async () => ({ default: (await import('./SearchDialog.tsx')).SearchDialog }));

/** Opens the search: by its button, by / or by Ctrl+K. */
export function Search({ books }: { books: GardenBooks }) {
  const [isOpen, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isSlash = event.key === '/' && !event.ctrlKey && !event.metaKey && !isTyping(event.target);
      const isCtrlK = event.key.toLowerCase() === 'k' && (event.ctrlKey || event.metaKey);
      if (!isSlash && !isCtrlK) return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <button type="button" className="search-open" onClick={() => setOpen(true)}>
        <span>Search</span> <kbd>/</kbd>
      </button>
      {isOpen && (
        <Suspense fallback={null}>
          <SearchDialog books={books} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
