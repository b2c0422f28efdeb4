import { queryOptions } from '@tanstack/react-query';
import type { FeedRecord } from '../../contract/keepsakes.ts';
import type { JournalChange, JournalRecord } from '../../records/journal.ts';
import type { JournalDraft } from '../../contract/requests.ts';
import { answered, bodyOf, client } from './client.ts';
import { useWrite } from './use-write.ts';

const { gardens, journal, feeds } = client.api;

/** Records of the journal written together: all of them or none. */
export const sendJournal = (gardenId: string, records: JournalDraft[]) =>
  bodyOf(gardens[':gardenId'].journal.$post({ param: { gardenId }, json: { records } }));

export const useWriteJournal = (gardenId: string) =>
  useWrite((records: JournalDraft[]) => sendJournal(gardenId, records));

export const useChangeJournal = () =>
  useWrite(({ recordId, change }: { recordId: string; change: JournalChange }) =>
    bodyOf(journal[':recordId'].$put({ param: { recordId }, json: change })),
  );

export const useRemoveJournal = () =>
  useWrite(({ id, version }: Pick<JournalRecord, 'id' | 'version'>) =>
    answered(journal[':recordId'].$delete({ param: { recordId: id }, query: { version: String(version) } })),
  );

export const useRestoreJournal = () =>
  useWrite((recordId: string) => bodyOf(journal[':recordId'].restore.$post({ param: { recordId } })));

/** Pictures go as they are, not as JSON. */
export const sendPhoto = (gardenId: string, photoId: string, picture: Blob) =>
  answered(
    fetch(`/api/gardens/${gardenId}/photos/${photoId}`, {
      method: 'PUT',
      body: picture,
      headers: { 'Content-Type': picture.type },
    }),
  );

export const photoAddress = (photoId: string): string => `/api/photos/${photoId}`;

export const calendarAddress = (gardenId: string): string => `/api/gardens/${gardenId}/calendar.ics`;

export const feedsQuery = (gardenId: string) =>
  queryOptions({
    queryKey: ['gardens', gardenId, 'feeds'],
    queryFn: () => bodyOf(gardens[':gardenId'].feeds.$get({ param: { gardenId } })),
  });

export const useMakeFeed = (gardenId: string) =>
  useWrite((name: string) =>
    bodyOf(gardens[':gardenId'].feeds.$post({ param: { gardenId }, json: { name } })),
  );

export const useRevokeFeed = () =>
  useWrite(({ id }: Pick<FeedRecord, 'id'>) => answered(feeds[':feedId'].$delete({ param: { feedId: id } })));
