import { useMutation, useQueryClient } from '@tanstack/react-query';

/** Asks anew for everything read before: what is on the page may have been changed elsewhere. */
export function useReadAgain(): () => Promise<void> {
  const queries = useQueryClient();
  return () => queries.invalidateQueries({ queryKey: ['gardens'] });
}

/** After any write everything read before is asked for again. */
export function useWrite<Input, Output>(write: (input: Input) => Promise<Output>) {
  const readAgain = useReadAgain();
  return useMutation({ mutationFn: write, onSuccess: readAgain });
}
