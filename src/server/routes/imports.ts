import { Hono } from 'hono';
import { stream } from 'hono/streaming';
import { z } from 'zod';
import { copyRequest, importRequest, type ImportEntry } from '../../contract/imports.ts';
import { onlyBed, photosShown } from '../../contract/parts-of-garden.ts';
import type { AppContext } from '../app-context.ts';
import { discarded } from '../bodies.ts';
import { copyGarden } from '../imports/copy-garden.ts';
import { gardenFileOf, gardenFilePieces, photosThere } from '../imports/exported-garden.ts';
import { takeBack, takeGarden, takeTable } from '../imports/import-desk.ts';
import { readGardenFile } from '../imports/read-garden-file.ts';
import { jsonText, requireFound } from '../answers.ts';
import { body, query } from './validated.ts';

const flag = z.enum(['true', 'false']).default('false');
const trial = query(z.strictObject({ dryRun: flag }));
const fileTrial = query(z.strictObject({ dryRun: flag, copy: flag }));

/** All of a garden, or one bed of it, to be kept as a file. */
const fileAsked = query(z.strictObject({ bed: z.string().optional() }));

/** The garden as a file, for the page and for anything that keeps files. */
export const gardenFileRoutes = (context: AppContext) =>
  new Hono().get('/api/gardens/:gardenId/garden.json', fileAsked, async (c) => {
    const gardenId = c.req.param('gardenId');
    const { bed } = c.req.valid('query');
    const whole = await gardenFileOf(context, gardenId);
    if (bed !== undefined)
      requireFound(
        whole.beds.find(({ id }) => id === bed),
        'bed',
      );
    const file = bed === undefined ? whole : onlyBed(whole, bed);
    const shown = photosShown(file);
    const photos = photosThere(context, gardenId).filter(({ id }) => bed === undefined || shown.has(id));
    c.header('Content-Type', 'application/json; charset=utf-8');
    c.header('Content-Disposition', 'attachment; filename="vine-ledger-garden.json"');
    c.header('Cache-Control', 'private, no-cache');
    return stream(c, async (out) => {
      for await (const piece of gardenFilePieces(context, file, photos)) {
        if (out.aborted) return;
        await out.write(piece);
      }
    });
  });

/** Files read in, tried first, and taken back. */
export const importRoutes = (context: AppContext) => {
  const { stores } = context;
  return new Hono()
    .post('/imports', fileTrial, async (c) => {
      const { dryRun, copy } = c.req.valid('query');
      const choices = { isDryRun: dryRun === 'true', isCopy: copy === 'true' };
      const stage = choices.isDryRun ? null : context.photoFiles.stage();
      try {
        const garden = await readGardenFile(c.req.raw.body, stage);
        return jsonText(c, await takeGarden(context, garden, choices), 200);
      } catch (error) {
        // A sender who is cut off never reads why.
        if (!(await discarded(c.req.raw.body))) c.header('Connection', 'close');
        throw error;
      } finally {
        stage?.end();
      }
    })
    .post('/gardens/:gardenId/copies', body(copyRequest), async (c) =>
      jsonText(c, await copyGarden(context, c.req.param('gardenId'), c.req.valid('json')), 201),
    )
    .post('/gardens/:gardenId/imports', trial, body(importRequest), async (c) => {
      const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const isDryRun = c.req.valid('query').dryRun === 'true';
      return jsonText(c, await takeTable(context, gardenId, { table: c.req.valid('json'), isDryRun }), 200);
    })
    .get('/gardens/:gardenId/imports', (c) => {
      const { id } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const imports: readonly ImportEntry[] = stores.imports.listOf(id);
      return c.json({ imports }, 200);
    })
    .post('/imports/:importId/undo', async (c) =>
      jsonText(c, await takeBack(context, c.req.param('importId')), 200),
    );
};
