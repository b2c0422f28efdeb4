import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { Login } from '../../contract/people.ts';
import type { ImportReport, ImportRequest } from '../../contract/imports.ts';
import type { GardenRecord } from '../../records/garden.ts';
import type { StationReading } from '../../contract/weather-station.ts';
import { answered, bodyOf, client } from './client.ts';

const { gardens, imports, backups, session, instruments } = client.api;

/** The whole garden, or one bed of it. */
export const gardenFileAddress = (gardenId: string, bedId?: string): string =>
  `/api/gardens/${gardenId}/garden.json${bedId === undefined ? '' : `?bed=${encodeURIComponent(bedId)}`}`;

const asWord = (flag: boolean) => (flag ? ('true' as const) : ('false' as const));

/** Everything on the screen may have changed. */
function useRefreshing<Output, Input = null>(act: (input: Input) => Promise<Output>) {
  const queries = useQueryClient();
  return useMutation({ mutationFn: act, onSuccess: () => queries.invalidateQueries() });
}

export interface FileToRead {
  readonly file: Blob;
  readonly isDryRun: boolean;
  readonly isCopy: boolean;
}

/** A garden file goes as it is: what is wrong with it is for the server to say. */
export const useReadGarden = () =>
  useRefreshing(({ file, isDryRun, isCopy }: FileToRead): Promise<ImportReport> =>
    bodyOf(
      fetch(`/api/imports?dryRun=${asWord(isDryRun)}&copy=${asWord(isCopy)}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: file,
      }),
    ),
  );

/** Makes another garden out of one, with everything or without what was done in it. */
export const useCopyGarden = () =>
  useRefreshing(
    ({ garden, isTemplate }: { garden: GardenRecord; isTemplate: boolean }): Promise<ImportReport> =>
      bodyOf(
        gardens[':gardenId'].copies.$post({
          param: { gardenId: garden.id },
          json: { name: `Copy of ${garden.name}`, isTemplate },
        }),
      ),
  );

export const useReadRows = (gardenId: string) =>
  useRefreshing(
    ({ request, isDryRun }: { request: ImportRequest; isDryRun: boolean }): Promise<ImportReport> =>
      bodyOf(
        gardens[':gardenId'].imports.$post({
          param: { gardenId },
          query: { dryRun: asWord(isDryRun) },
          json: request,
        }),
      ),
  );

export const importsQuery = (gardenId: string) =>
  queryOptions({
    queryKey: ['gardens', gardenId, 'imports'],
    queryFn: () => bodyOf(gardens[':gardenId'].imports.$get({ param: { gardenId } })),
  });

export const useUndoImport = () =>
  useRefreshing((importId: string) => bodyOf(imports[':importId'].undo.$post({ param: { importId } })));

export const backupsQuery = () =>
  queryOptions({ queryKey: ['backups'], queryFn: () => bodyOf(backups.$get()) });

export const roomQuery = (gardenId: string) =>
  queryOptions({
    queryKey: ['gardens', gardenId, 'room'],
    queryFn: () => bodyOf(gardens[':gardenId'].room.$get({ param: { gardenId } })),
  });

export const useDropUnshownPhotos = (gardenId: string) =>
  useRefreshing(() => bodyOf(gardens[':gardenId'].photos.unshown.$delete({ param: { gardenId } })));

export const useBackUp = () => useRefreshing(() => bodyOf(backups.$post()));

export const backupCheckQuery = (name: string) =>
  queryOptions({
    queryKey: ['backups', name],
    queryFn: () => bodyOf(backups[':name'].$get({ param: { name } })),
    retry: false,
  });

export const useRestoreBackup = () =>
  useRefreshing((name: string) => bodyOf(backups[':name'].restore.$post({ param: { name } })));

export const sessionQuery = () =>
  queryOptions({ queryKey: ['session'], queryFn: () => bodyOf(session.$get()) });

/** Comes in as the keeper of the books, under a name, or by a link. */
export const useComeIn = () => useRefreshing((login: Login) => bodyOf(session.$post({ json: login })));

/** Who is in now. */
export const visitsQuery = () =>
  queryOptions({ queryKey: ['session', 'visits'], queryFn: () => bodyOf(session.visits.$get()) });

export const useEndVisit = () =>
  useRefreshing(async (visitId: string) => {
    await answered(session.visits[':visitId'].$delete({ param: { visitId } }));
  });

export const useLeave = () =>
  useRefreshing(async () => {
    await session.$delete();
  });

export const readStation = (from: string, until: string): Promise<StationReading> =>
  bodyOf(instruments.weather.$get({ query: { from, until } }));

/** Makes the demo garden, or resets it. */
export const useMakeDemo = () => useRefreshing(() => bodyOf(client.api['demo-garden'].$post()));
