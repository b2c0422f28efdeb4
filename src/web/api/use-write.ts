import { useMutation, useQueryClient } from '@tanstack/react-query';
import { isBooksKey } from './books-key.ts';

/** Refetches everything read before: what is on the page may have been changed elsewhere. */
export function useReadAgain(): () => Promise<void> {
  const queries = useQueryClient();
  return () => queries.invalidateQueries({ queryKey: ['gardens'] });
}

/** After a write all that was read before is asked for again, but the books: the answer brought what became of them. */
export function useWrite<Input, Output>(write: (input: Input) => Promise<Output>) {
  const queries = useQueryClient();
  const readAgain = () =>
    queries.invalidateQueries({ queryKey: ['gardens'], predicate: ({ queryKey }) => !isBooksKey(queryKey) });
  return useMutation({ mutationFn: write, onSuccess: readAgain });
}
