import { Hono } from 'hono';
import { z } from 'zod';
import { feedDraft } from '../../contract/requests.ts';
import type { AppContext } from '../app-context.ts';
import { TASK_GROUPS } from '../../core/season/index.ts';
import { id } from '../../records/fields.ts';
import { ALARMS, type CalendarChoice } from '../calendar/calendar-file.ts';
import { notFound } from '../problems.ts';
import { requireFound } from '../answers.ts';
import { digestOf, newToken } from '../secret.ts';
import { body, query } from './validated.ts';

const listed = (text: string): string[] => text.split(',').filter((one) => one !== '');

/** What a calendar program may ask for behind the address: `?alarm=morning&kinds=feeding,laying&beds=...`. */
const calendarChoice = query(
  z.object({
    alarm: z.enum(ALARMS).default('none'),
    kinds: z
      .string()
      .max(200)
      .transform(listed)
      .pipe(z.array(z.enum(TASK_GROUPS)))
      .optional(),
    beds: z.string().max(8000).transform(listed).pipe(z.array(id)).optional(),
  }),
);

/** The calendar as a file, for anybody with the secret of a feed, or from the page itself. */
export function calendarFiles({ stores, gardens, sendBooks }: AppContext) {
  const answer = async (gardenId: string, disposition: string, choice: CalendarChoice) => {
    const { body: books, tag } = await sendBooks(requireFound(stores.gardens.find(gardenId), 'garden'));
    const file = await gardens.ask((api) => api.calendar({ books, tag, choice }, new Date()));
    return new Response(file, {
      headers: {
        'Content-Type': 'text/calendar; charset=utf-8',
        'Content-Disposition': `${disposition}; filename="vine-ledger.ics"`,
        'Cache-Control': 'private, no-cache',
      },
    });
  };
  return new Hono()
    .get('/feeds/:file{[A-Za-z0-9_-]+\\.ics}', calendarChoice, (c) => {
      const token = c.req.param('file').replace(/\.ics$/, '');
      const feed = stores.feeds.opened(digestOf(token));
      if (!feed) throw notFound('calendar; its address may have been revoked');
      const { alarm, kinds = null, beds = null } = c.req.valid('query');
      const { origin } = new URL(c.req.url);
      return answer(feed.gardenId, 'inline', { alarm, groups: kinds, bedIds: beds, origin });
    })
    .get('/api/gardens/:gardenId/calendar.ics', calendarChoice, (c) => {
      const { alarm, kinds = null, beds = null } = c.req.valid('query');
      const { origin } = new URL(c.req.url);
      return answer(c.req.param('gardenId'), 'attachment', { alarm, groups: kinds, bedIds: beds, origin });
    });
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
      const token = newToken();
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
