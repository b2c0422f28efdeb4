import { useState } from 'react';
import type { JournalDraft } from '../../../contract/requests.ts';
import type { EntryDraft } from '../../../records/entry.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { Observed } from '../../../records/journal.ts';
import { useOutbox } from '../../outbox/use-outbox.ts';
import type { NewParcel } from '../../outbox/outbox.ts';
import { shrinkPhoto } from './shrink-photo.ts';

/** What one is looking at: the bed, what grows there, the day, and words and a photo to go with it. */
export interface LogSubject {
  readonly bedId: string;
  readonly plantingId: string | null;
  /** ISO date. */
  readonly date: string;
}

type EntryWithoutDate = EntryDraft extends infer Draft
  ? Draft extends unknown
    ? Omit<Draft, 'id' | 'state' | 'date' | 'note'>
    : never
  : never;

/** Writing into the logbook, whether there is a connection or not. */
export function useLogBook(books: GardenBooks) {
  const outbox = useOutbox();
  const [said, setSaid] = useState<string | null>(null);
  const gardenId = books.garden.id;

  const send = async (parcels: readonly NewParcel[], words: string) => {
    const isThrough = await outbox.add(parcels);
    setSaid(isThrough ? words : `${words} It waits here until the connection is back.`);
  };

  const observe = async (
    subject: LogSubject,
    observed: Observed,
    words: string,
    more: { readonly note?: string; readonly photo?: Blob | null } = {},
  ) => {
    const photoId = more.photo ? crypto.randomUUID() : null;
    const record: JournalDraft = {
      kind: 'observation',
      id: crypto.randomUUID(),
      ...subject,
      note: more.note ?? '',
      photoId,
      observed: observed as Extract<JournalDraft, { kind: 'observation' }>['observed'],
    };
    const photo: NewParcel[] =
      more.photo && photoId
        ? [{ type: 'photo', gardenId, photoId, picture: await shrinkPhoto(more.photo) }]
        : [];
    await send([...photo, { type: 'journal', gardenId, record }], words);
  };

  const post = (subject: LogSubject, entry: EntryWithoutDate, words: string, note = '') =>
    send(
      [
        {
          type: 'entry',
          gardenId,
          bedId: subject.bedId,
          draft: {
            ...entry,
            id: crypto.randomUUID(),
            state: 'laid',
            date: subject.date,
            note,
          } as EntryDraft & {
            id: string;
          },
        },
      ],
      words,
    );

  return { outbox, said, observe, post };
}

export type LogBook = ReturnType<typeof useLogBook>;
