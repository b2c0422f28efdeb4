import { Hono } from 'hono';
import { LOG_BOOKS, type EarlierVersion, type LogBookName } from '../../contract/log-history.ts';
import type { AppContext } from '../app-context.ts';
import { requireFound } from '../answers.ts';
import type { Stores } from '../stores.ts';

/** The garden of a record that is still there; nothing for one that is not. */
function gardenOf(stores: Stores, book: LogBookName, id: string): string | undefined {
  const record = stores[book].find(id);
  if (!record) return undefined;
  return 'gardenId' in record ? record.gardenId : stores.beds.find(record.bedId)?.gardenId;
}

/** What lines of the log said before they were changed. */
export const logHistoryRoutes = ({ stores }: AppContext) =>
  new Hono().get('/gardens/:gardenId/log/:book/:recordId/earlier', (c) => {
    const { gardenId, recordId } = c.req.param();
    const book = requireFound(
      LOG_BOOKS.find((one) => one === c.req.param('book')),
      'record',
    );
    requireFound(gardenOf(stores, book, recordId) === gardenId ? gardenId : undefined, 'record');
    return c.json({ earlier: stores.earlier.listOf(book, recordId) as EarlierVersion[] }, 200);
  });
