import { queryOptions } from '@tanstack/react-query';
import type { Person, PersonChange, PersonDraft } from '../../contract/people.ts';
import { answered, bodyOf, client } from './client.ts';
import { useWrite } from './use-write.ts';

const { gardens, people } = client.api;

/** Who may come into a garden. */
export const peopleQuery = (gardenId: string) =>
  queryOptions({
    queryKey: ['gardens', gardenId, 'people'],
    queryFn: () => bodyOf(gardens[':gardenId'].people.$get({ param: { gardenId } })),
  });

/** Who wrote which line of the log; asked for again after each write. */
export const signaturesQuery = (gardenId: string) =>
  queryOptions({
    queryKey: ['gardens', gardenId, 'signatures'],
    queryFn: () => bodyOf(gardens[':gardenId'].signatures.$get({ param: { gardenId } })),
  });

export const useLetIn = (gardenId: string) =>
  useWrite((draft: PersonDraft) =>
    bodyOf(gardens[':gardenId'].people.$post({ param: { gardenId }, json: draft })),
  );

export const useChangePerson = () =>
  useWrite(({ id, change }: { id: string; change: PersonChange }) =>
    bodyOf(people[':personId'].$put({ param: { personId: id }, json: change })),
  );

export const useLetInNoMore = () =>
  useWrite(({ id }: Pick<Person, 'id'>) =>
    answered(people[':personId'].$delete({ param: { personId: id } })),
  );

export const useMakeLink = (gardenId: string) =>
  useWrite((name: string) =>
    bodyOf(gardens[':gardenId'].links.$post({ param: { gardenId }, json: { name } })),
  );
