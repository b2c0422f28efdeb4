import type { GardenFile } from './garden-file.ts';

/** The same garden under a name of its own, to be read in as another one. */
export const renamedGarden = (file: GardenFile, name: string): GardenFile => ({
  ...file,
  garden: { ...file.garden, name },
});

/** What a garden is made of without anything that was done in it: beds, places for piles, materials, crops, habits, recipes. */
export const templateOf = (file: GardenFile): GardenFile => ({
  ...file,
  movements: [],
  entries: [],
  plantings: [],
  journal: [],
  weather: [],
  photos: [],
});

/** Ids of the photos that a line of the journal shows. */
const photosOf = (record: object): readonly string[] => {
  const { photoId, morePhotoIds } = record as {
    readonly photoId?: string | null;
    readonly morePhotoIds?: readonly string[] | null;
  };
  return [...(photoId ? [photoId] : []), ...(morePhotoIds ?? [])];
};

/** Ids of all photos that a file shows somewhere. */
export const photosShown = ({ journal }: GardenFile): ReadonlySet<string> =>
  new Set(journal.flatMap(photosOf));

/**
 * One bed with all that was written about it, but the photos themselves. The stock comes along whole when the bed took from it: what a pile had become by
 * then hangs on all that came and went.
 */
export function onlyBed(file: GardenFile, bedId: string): GardenFile {
  const isItsOwn = (record: object): boolean => 'bedId' in record && record.bedId === bedId;
  const entries = file.entries.filter(isItsOwn);
  const journal = file.journal.filter(isItsOwn);
  const takesFromStock = entries.some((entry) => entry.type === 'lay' && entry.lotId !== null);
  return {
    ...file,
    beds: file.beds.filter(({ id }) => id === bedId),
    entries,
    plantings: file.plantings.filter(isItsOwn),
    journal,
    movements: takesFromStock ? file.movements : [],
  };
}
