import { Link } from 'react-router';
import type { CheckGroup } from '../../../core/model/index.ts';
import { useBooks } from '../../app/garden-context.ts';
import { proofAddress } from './proof-link.ts';

/** Stands beside every likely range: the published results behind it, and what was found on the bed itself. */
export function ProofLink({
  groups,
  bedId = null,
}: {
  readonly groups: readonly CheckGroup[];
  readonly bedId?: string | null;
}) {
  const { garden } = useBooks();
  return <Link to={proofAddress(garden.id, { groups, bedId })}>How far can such a range be trusted?</Link>;
}
