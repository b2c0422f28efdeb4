import { useState } from 'react';
import type { JournalDraft } from '../../../contract/requests.ts';
import type { EntryDraft } from '../../../records/entry.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { Observed } from '../../../records/journal.ts';
import { useOutbox } from '../../outbox/use-outbox.ts';
import type { NewParcel } from '../../outbox/outbox.ts';
import { shrinkPhoto } from './shrink-photo.ts';

/** What one is looking at: the bed, what grows there, the day, and words and photos to go with it. */
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

interface Seen {
  readonly subject: LogSubject;
  readonly observed: Observed;
  /** What is said once it is in the books. */
  readonly words: string;
  readonly note?: string;
  readonly photos?: readonly Blob[];
}

interface Posted {
  readonly subject: LogSubject;
  readonly entry: EntryWithoutDate;
  /** What is said once it is in the books. */
  readonly words: string;
  readonly note?: string;
}

/** Writing into the logbook, whether there is a connection or not. */
export function useLogBook(books: GardenBooks) {
  const outbox = useOutbox();
  const [said, setSaid] = useState<string | null>(null);
  const gardenId = books.garden.id;

  const send = async (parcels: readonly NewParcel[], words: string) => {
    const isThrough = await outbox.add(parcels);
    setSaid(isThrough ? words : `${words} It waits here until the connection is back.`);
  };

  const observe = async ({ subject, observed, words, note = '', photos = [] }: Seen) => {
    const pictures = await Promise.all(
      photos.map(async (photo) => ({ photoId: crypto.randomUUID(), picture: await shrinkPhoto(photo) })),
    );
    const [first, ...others] = pictures.map(({ photoId }) => photoId);
    const record: JournalDraft = {
      kind: 'observation',
      id: crypto.randomUUID(),
      ...subject,
      note,
      photoId: first ?? null,
      ...(others.length > 0 ? { morePhotoIds: others } : {}),
      observed: observed as Extract<JournalDraft, { kind: 'observation' }>['observed'],
    };
    const parcels = pictures.map((one): NewParcel => ({ type: 'photo', gardenId, ...one }));
    await send([...parcels, { type: 'journal', gardenId, record }], words);
  };

  const post = ({ subject, entry, words, note = '' }: Posted) =>
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
