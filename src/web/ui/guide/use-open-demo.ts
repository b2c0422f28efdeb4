import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { useMakeDemo } from '../../api/data.ts';
import { gardensQuery } from '../../api/gardens.ts';
import { DEMO_GARDEN_ID } from './demo-garden.ts';

/** The demo garden as it is, or made when there is none; reset only on request. */
export function useOpenDemo() {
  const queries = useQueryClient();
  const make = useMakeDemo();
  const navigate = useNavigate();
  const show = () => void navigate(`/garden/${DEMO_GARDEN_ID}?guide=1`);
  const makeAfresh = () => make.mutate(null, { onSuccess: show });
  const look = useMutation({
    mutationFn: () => queries.query(gardensQuery()),
    onSuccess: ({ gardens }) => (gardens.some(({ id }) => id === DEMO_GARDEN_ID) ? show() : makeAfresh()),
  });
  return {
    open: () => look.mutate(),
    makeAfresh,
    isPending: look.isPending || make.isPending,
    failure: look.error ?? make.error,
  };
}
