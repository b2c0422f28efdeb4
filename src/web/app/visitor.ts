import { useQuery } from '@tanstack/react-query';
import type { Visitor } from '../../contract/people.ts';
import { sessionQuery } from '../api/data.ts';

/** Whoever is in; undefined until that is known. */
export const useVisitor = (): Visitor | undefined => useQuery(sessionQuery()).data?.visitor ?? undefined;
