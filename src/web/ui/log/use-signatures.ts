import { useQuery } from '@tanstack/react-query';
import type { Signature } from '../../../contract/people.ts';
import { signaturesQuery } from '../../api/people.ts';
import { useBooks } from '../../app/garden-context.ts';

const NONE: readonly Signature[] = [];

/** Who wrote which line of the log, as far as that is known yet. */
export const useSignatures = (): readonly Signature[] =>
  useQuery(signaturesQuery(useBooks().garden.id)).data?.signatures ?? NONE;
