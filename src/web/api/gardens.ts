import { queryOptions, useMutation } from '@tanstack/react-query';
import type { BedChange } from '../../records/bed.ts';
import type { BedRevision, BedsPosting, BegunGarden, LiftAsked } from '../../contract/requests.ts';
import type { BuildUpDraft, BuildUpRecord } from '../../records/build-up.ts';
import type { CropChange, CropDraft, CropRecord } from '../../records/crop.ts';
import type { EntryChange, EntryDraft, EntryRecord } from '../../records/entry.ts';
import type { GardenBooks } from '../../contract/garden-books.ts';
import type { GardenChange, GardenDraft, GardenRecord } from '../../records/garden.ts';
import type { MaterialDraft } from '../../records/material.ts';
import type { PlantingChange, PlantingDraft, PlantingRecord } from '../../records/planting.ts';
import type { BooksChange } from '../../contract/changes.ts';
import { booksInHand, readBooks, type BooksSource } from './books-in-hand.ts';
import { answered, bodyOf, client, type HttpAnswer } from './client.ts';
import { UnreachableFailure } from './failures.ts';
import { booksKey } from './books-key.ts';
import { useWrite } from './use-write.ts';

const { gardens, beds, entries, plantings, crops, 'build-ups': buildUps } = client.api;

/** With no connection an answer kept by an earlier version may stand in, which told of no deleted gardens. */
const OF_AN_EARLIER_VERSION = { deleted: [] };

export const gardensQuery = () =>
  queryOptions({
    queryKey: ['gardens'],
    queryFn: async () => ({ ...OF_AN_EARLIER_VERSION, ...(await bodyOf(gardens.$get())) }),
  });

const booksSource: BooksSource = {
  whole: async (gardenId) => {
    const response = await answered(gardens[':gardenId'].books.$get({ param: { gardenId } }));
    return { books: (await response.json()) as GardenBooks, tag: response.headers.get('etag') };
  },
  changes: (gardenId, { epoch, number }) =>
    bodyOf(
      gardens[':gardenId'].changes.$get({
        param: { gardenId },
        query: { epoch, since: String(number) },
      }) as Promise<HttpAnswer<BooksChange>>,
    ),
};

/** With no connection the books stay as they are in hand. */
async function booksOf(gardenId: string): Promise<GardenBooks> {
  try {
    return await readBooks(gardenId, booksSource);
  } catch (failure) {
    const held = failure instanceof UnreachableFailure ? booksInHand(gardenId) : undefined;
    if (held) return held;
    throw failure;
  }
}

export const gardenBooksQuery = (gardenId: string) =>
  queryOptions({
    queryKey: booksKey(gardenId),
    queryFn: () => booksOf(gardenId),
    // What has not changed is the same object already.
    structuralSharing: false,
  });

export const useMakeGarden = () => useWrite((draft: GardenDraft) => bodyOf(gardens.$post({ json: draft })));

/** A garden with its first bed and what is on it. */
export const useBeginGarden = () =>
  useWrite((begun: BegunGarden) => bodyOf(gardens.begun.$post({ json: begun })));

export const useChangeGarden = () =>
  useWrite(({ gardenId, change }: { gardenId: string; change: GardenChange }) =>
    bodyOf(gardens[':gardenId'].$put({ param: { gardenId }, json: change })),
  );

/** Only the caller refetches what was read before, after it has led away from the garden. */
export const useRemoveGarden = () =>
  useMutation({
    mutationFn: ({ id, version }: Pick<GardenRecord, 'id' | 'version'>) =>
      answered(
        gardens[':gardenId'].$delete({ param: { gardenId: id }, query: { version: String(version) } }),
      ),
  });

export const useRestoreGarden = () =>
  useWrite((gardenId: string) => bodyOf(gardens[':gardenId'].restore.$post({ param: { gardenId } })));

/** Several beds at once: all of them or none. */
export const useMakeBeds = (gardenId: string) =>
  useWrite((drafts: BedsPosting['beds']) =>
    bodyOf(gardens[':gardenId'].beds.several.$post({ param: { gardenId }, json: { beds: drafts } })),
  );

export const useChangeBed = () =>
  useWrite(({ bedId, change }: { bedId: string; change: BedChange }) =>
    bodyOf(beds[':bedId'].$put({ param: { bedId }, json: change })),
  );

export const useMakeMaterial = (gardenId: string) =>
  useWrite((draft: MaterialDraft) =>
    bodyOf(gardens[':gardenId'].materials.$post({ param: { gardenId }, json: draft })),
  );

export const useMakeCrop = (gardenId: string) =>
  useWrite((draft: CropDraft) =>
    bodyOf(gardens[':gardenId'].crops.$post({ param: { gardenId }, json: draft })),
  );

export const useChangeCrop = () =>
  useWrite(({ cropId, change }: { cropId: string; change: CropChange }) =>
    bodyOf(crops[':cropId'].$put({ param: { cropId }, json: change })),
  );

export const useRemoveCrop = () =>
  useWrite(({ id, version }: Pick<CropRecord, 'id' | 'version'>) =>
    answered(crops[':cropId'].$delete({ param: { cropId: id }, query: { version: String(version) } })),
  );

export const useRestoreCrop = () =>
  useWrite((cropId: string) => bodyOf(crops[':cropId'].restore.$post({ param: { cropId } })));

export const useWriteEntry = (bedId: string) => useWrite((draft: EntryDraft) => sendEntry(bedId, draft));

export const sendEntry = (bedId: string, draft: EntryDraft) =>
  bodyOf(beds[':bedId'].entries.$post({ param: { bedId }, json: draft }));

export const useChangeEntry = () =>
  useWrite(({ entryId, change }: { entryId: string; change: EntryChange }) =>
    bodyOf(entries[':entryId'].$put({ param: { entryId }, json: change })),
  );

export const useRemoveEntry = () =>
  useWrite(({ id, version }: Pick<EntryRecord, 'id' | 'version'>) =>
    answered(entries[':entryId'].$delete({ param: { entryId: id }, query: { version: String(version) } })),
  );

export const useRestoreEntry = () =>
  useWrite((entryId: string) => bodyOf(entries[':entryId'].restore.$post({ param: { entryId } })));

export const useReviseBed = (bedId: string) =>
  useWrite((revision: BedRevision) =>
    bodyOf(beds[':bedId'].revisions.$post({ param: { bedId }, json: revision })),
  );

export const useLift = (bedId: string) =>
  useWrite((draft: LiftAsked) => bodyOf(beds[':bedId'].lifts.$post({ param: { bedId }, json: draft })));

export const useSaveBuildUp = (gardenId: string) =>
  useWrite((draft: BuildUpDraft) =>
    bodyOf(gardens[':gardenId']['build-ups'].$post({ param: { gardenId }, json: draft })),
  );

export const useRemoveBuildUp = () =>
  useWrite(({ id, version }: Pick<BuildUpRecord, 'id' | 'version'>) =>
    answered(
      buildUps[':buildUpId'].$delete({ param: { buildUpId: id }, query: { version: String(version) } }),
    ),
  );

export const useRestoreBuildUp = () =>
  useWrite((buildUpId: string) => bodyOf(buildUps[':buildUpId'].restore.$post({ param: { buildUpId } })));

export const usePlant = (bedId: string) =>
  useWrite((draft: PlantingDraft) =>
    bodyOf(beds[':bedId'].plantings.$post({ param: { bedId }, json: draft })),
  );

export const useChangePlanting = () =>
  useWrite(({ plantingId, change }: { plantingId: string; change: PlantingChange }) =>
    bodyOf(plantings[':plantingId'].$put({ param: { plantingId }, json: change })),
  );

export const useRemovePlanting = () =>
  useWrite(({ id, version }: Pick<PlantingRecord, 'id' | 'version'>) =>
    answered(
      plantings[':plantingId'].$delete({ param: { plantingId: id }, query: { version: String(version) } }),
    ),
  );

export const useRestorePlanting = () =>
  useWrite((plantingId: string) => bodyOf(plantings[':plantingId'].restore.$post({ param: { plantingId } })));

export const useRemoveBed = () =>
  useWrite(({ id, version }: { id: string; version: number }) =>
    answered(beds[':bedId'].$delete({ param: { bedId: id }, query: { version: String(version) } })),
  );

export const useRestoreBed = () =>
  useWrite((bedId: string) => bodyOf(beds[':bedId'].restore.$post({ param: { bedId } })));
