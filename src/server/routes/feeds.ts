import { Hono } from 'hono';
import { createHash, randomBytes } from 'node:crypto';
import { feedDraft } from '../../contract/requests.ts';
import type { AppContext } from '../app-context.ts';
import { calendarFile, type CalendarRecords } from '../calendar/garden-calendar.ts';
import { notFound } from '../problems.ts';
import { keptRecords } from '../kept-stock.ts';
import type { Stores } from '../stores.ts';
import { requireFound } from '../answers.ts';
import { body } from './validated.ts';

const SECRET_BYTES = 24;
const digestOf = (token: string): string => createHash('sha256').update(token).digest('hex');

function calendarRecords(stores: Stores, gardenId: string, today: string): CalendarRecords {
  const garden = requireFound(stores.gardens.find(gardenId), 'garden');
  const lots = stores.lots.listOf(gardenId);
  return {
    garden,
    beds: stores.beds.listOf(gardenId),
    entries: stores.entries.listOfGarden(gardenId),
    plantings: stores.plantings.listOfGarden(gardenId),
    materials: stores.materials.listOf(gardenId),
    crops: stores.crops.listOf(gardenId),
    lots,
    yard: { ...keptRecords(stores, gardenId), lots, movements: stores.movements.listOf(gardenId) },
    today,
  };
}

/** Working out a garden's calendar takes a moment, and programs ask often: the last one is kept while nothing changes. */
function remembered() {
  let last: { readonly key: string; readonly file: string } | undefined;
  return (records: CalendarRecords): string => {
    const key = JSON.stringify(records);
    if (last?.key !== key) last = { key, file: calendarFile(records, new Date()) };
    return last.file;
  };
}

/** The calendar as a file, for anybody with the secret of a feed, or from the page itself. */
export function calendarFiles({ stores, today }: AppContext) {
  const fileOf = remembered();
  const answer = (gardenId: string, disposition: string) =>
    new Response(fileOf(calendarRecords(stores, gardenId, today())), {
      headers: {
        'Content-Type': 'text/calendar; charset=utf-8',
        'Content-Disposition': `${disposition}; filename="vine-ledger.ics"`,
        'Cache-Control': 'private, no-cache',
      },
    });
  return new Hono()
    .get('/feeds/:file{[A-Za-z0-9_-]+\\.ics}', (c) => {
      const token = c.req.param('file').replace(/\.ics$/, '');
      const feed = stores.feeds.opened(digestOf(token));
      if (!feed) throw notFound('calendar; its address may have been revoked');
      return answer(feed.gardenId, 'inline');
    })
    .get('/api/gardens/:gardenId/calendar.ics', (c) => answer(c.req.param('gardenId'), 'attachment'));
}

/** Addresses that calendar programs subscribe to; each can be revoked by itself. */
export const feedRoutes = ({ stores, newId }: AppContext) =>
  new Hono()
    .get('/gardens/:gardenId/feeds', (c) =>
      c.json(
        {
          feeds: stores.feeds.listOf(requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden').id),
        },
        200,
      ),
    )
    .post('/gardens/:gardenId/feeds', body(feedDraft), (c) => {
      const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const token = randomBytes(SECRET_BYTES).toString('base64url');
      const feed = stores.feeds.insert(
        { id: newId(), gardenId, name: c.req.valid('json').name },
        digestOf(token),
      );
      return c.json({ feed, path: `/feeds/${token}.ics` }, 201);
    })
    .delete('/feeds/:feedId', (c) => {
      if (!stores.feeds.revoke(c.req.param('feedId'))) throw notFound('calendar address');
      return c.body(null, 204);
    });
