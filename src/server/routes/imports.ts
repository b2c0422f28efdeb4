import { rowSchemas } from '../../records/collections.ts';
import { Hono } from 'hono';
import { z } from 'zod';
import { gardenFileText } from '../../contract/garden-file.ts';
import { importRequest, type ImportEntry } from '../../contract/imports.ts';
import { findingAbout, findingsFrom } from '../../contract/check-garden.ts';
import { requireLikelyDates } from '../likely-dates.ts';
import { findingsOf } from '../../contract/problem-fields.ts';
import type { AppContext } from '../app-context.ts';
import { gardenFileOf } from '../imports/exported-garden.ts';
import { importGarden } from '../imports/import-garden.ts';
import type { ReadRow } from '../imports/rows.ts';
import { undoImport } from '../imports/undo-import.ts';
import { importRows } from '../imports/write-import.ts';
import { requireFound } from '../answers.ts';
import { body, query } from './validated.ts';

const flag = z.enum(['true', 'false']).default('false');
const trial = query(z.strictObject({ dryRun: flag }));
const fileTrial = query(z.strictObject({ dryRun: flag, copy: flag }));

/** The garden as a file, for the page and for anything that keeps files. */
export const gardenFileRoutes = ({ stores, photoFiles }: AppContext) =>
  new Hono().get('/api/gardens/:gardenId/garden.json', (c) => {
    const file = gardenFileOf(stores, photoFiles, c.req.param('gardenId'));
    return c.body(gardenFileText(file), 200, {
      'Content-Type': 'application/json; charset=utf-8',
      'Content-Disposition': 'attachment; filename="vine-ledger-garden.json"',
      'Cache-Control': 'private, no-cache',
    });
  });

/** Files read in, tried first, and taken back. */
export const importRoutes = (context: AppContext) => {
  const { stores } = context;
  return new Hono()
    .post('/imports', fileTrial, body(z.unknown()), (c) => {
      const { dryRun, copy } = c.req.valid('query');
      const choices = { isDryRun: dryRun === 'true', isCopy: copy === 'true' };
      return c.json(importGarden(context, c.req.valid('json'), choices), 200);
    })
    .post('/gardens/:gardenId/imports', trial, body(importRequest), (c) => {
      const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const { collection, summary, rows } = c.req.valid('json');
      const read = rows.map((raw, index): ReadRow => {
        const result = rowSchemas[collection].safeParse(raw);
        if (!result.success) return { collection, index, record: {}, reasons: findingsOf(result.error) };
        const record: ReadRow['record'] = result.data;
        const reasons = findingsFrom(
          () => requireLikelyDates(record, context.today()),
          (error) => findingAbout({ collection, id: record.id ?? null, path: error.path, error }),
        );
        return { collection, index, record, reasons };
      });
      const isDryRun = c.req.valid('query').dryRun === 'true';
      return c.json(
        importRows(context, { gardenId, rows: read, summary, isDryRun, isWholeGarden: false }),
        200,
      );
    })
    .get('/gardens/:gardenId/imports', (c) => {
      const { id } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const imports: readonly ImportEntry[] = stores.imports.listOf(id);
      return c.json({ imports }, 200);
    })
    .post('/imports/:importId/undo', (c) => c.json(undoImport(context, c.req.param('importId')), 200));
};
