import { useMutation, useQueryClient } from '@tanstack/react-query';

/** After any write everything read before is asked for again. */
export function useWrite<Input, Output>(write: (input: Input) => Promise<Output>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: write,
    onSuccess: () => queries.invalidateQueries({ queryKey: ['gardens'] }),
  });
}
