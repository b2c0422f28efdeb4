import { useEffect } from 'react';

type Words = string | number;

/** The heading of a page, which is also what the browser's tab, its history and a screen reader call the page. */
export function PageHeading({ children }: { readonly children: Words | readonly Words[] }) {
  const words = [children].flat().join('');
  useEffect(() => {
    const before = document.title;
    document.title = `${words} – Vine Ledger`;
    return () => {
      document.title = before;
    };
  }, [words]);
  return <h1>{words}</h1>;
}
