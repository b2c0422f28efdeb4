import { queryOptions } from '@tanstack/react-query';
import type { LogBookName } from '../../contract/log-history.ts';
import { bodyOf, client } from './client.ts';

interface Asked {
  readonly gardenId: string;
  readonly book: LogBookName;
  readonly record: { readonly id: string; readonly version: number };
}

/** What a line of the log said before; asked again when its record has another version. */
export const logHistoryQuery = ({ gardenId, book, record: { id, version } }: Asked) =>
  queryOptions({
    queryKey: ['gardens', gardenId, 'earlier', book, id, version],
    queryFn: () =>
      bodyOf(
        client.api.gardens[':gardenId'].log[':book'][':recordId'].earlier.$get({
          param: { gardenId, book, recordId: id },
        }),
      ),
  });
