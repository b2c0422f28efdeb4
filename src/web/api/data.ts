import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query';
import type { GardenFile } from '../../contract/garden-file.ts';
import type { ImportReport, ImportRequest } from '../../contract/imports.ts';
import { renamedGarden, templateOf } from '../../contract/parts-of-garden.ts';
import type { GardenRecord } from '../../records/garden.ts';
import type { StationReading } from '../../contract/weather-station.ts';
import { bodyOf, client } from './client.ts';

const { gardens, imports, backups, session, instruments } = client.api;

export const gardenFileAddress = (gardenId: string): string => `/api/gardens/${gardenId}/garden.json`;

const asWord = (flag: boolean) => (flag ? ('true' as const) : ('false' as const));

/** Everything on the screen may have changed. */
function useRefreshing<Output, Input = null>(act: (input: Input) => Promise<Output>) {
  const queries = useQueryClient();
  return useMutation({ mutationFn: act, onSuccess: () => queries.invalidateQueries() });
}

export interface FileToRead {
  readonly json: string;
  readonly isDryRun: boolean;
  readonly isCopy: boolean;
}

/** A garden file goes as it is: what is wrong with it is for the server to say. */
export const useReadGarden = () =>
  useRefreshing(({ json, isDryRun, isCopy }: FileToRead): Promise<ImportReport> =>
    bodyOf(
      fetch(`/api/imports?dryRun=${asWord(isDryRun)}&copy=${asWord(isCopy)}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: json,
      }),
    ),
  );

/** The file of a garden as the server gives it. */
export const readGardenFile = (gardenId: string): Promise<GardenFile> =>
  bodyOf(fetch(gardenFileAddress(gardenId)));

/** Makes another garden out of one, with everything or without what was done in it. */
export const useCopyGarden = () => {
  const read = useReadGarden();
  return useMutation({
    mutationFn: async ({ garden, isTemplate }: { garden: GardenRecord; isTemplate: boolean }) => {
      const file = await readGardenFile(garden.id);
      const part = renamedGarden(isTemplate ? templateOf(file) : file, `Copy of ${garden.name}`);
      return read.mutateAsync({ json: JSON.stringify(part), isDryRun: false, isCopy: true });
    },
  });
};

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

export const useSayPassphrase = () =>
  useRefreshing((passphrase: string) => bodyOf(session.$post({ json: { passphrase } })));

export const useLeave = () =>
  useRefreshing(async () => {
    await session.$delete();
  });

export const readStation = (from: string, until: string): Promise<StationReading> =>
  bodyOf(instruments.weather.$get({ query: { from, until } }));

/** Makes the demo garden, or resets it. */
export const useMakeDemo = () => useRefreshing(() => bodyOf(client.api['demo-garden'].$post()));
