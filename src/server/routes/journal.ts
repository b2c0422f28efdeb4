import { Hono } from 'hono';
import { journalChange, type Journaled as CheckedRecord } from '../../records/journal.ts';
import { journalPosting } from '../../contract/requests.ts';
import { InputError } from '../../refusals/input-error.ts';
import { checkJournal } from '../../core/season/index.ts';
import type { AppContext } from '../app-context.ts';
import { fromInputError } from '../problems.ts';
import { requireFound, requireRemoved, requireSeen, sentAgain, requireWritten } from '../answers.ts';
import { body, seenVersion } from './validated.ts';

/** What is seen, ticked off, tried, brewed and closed. */
export const journalRoutes = ({ stores, today }: AppContext) => {
  /** Throws a problem naming the field for what cannot have been so. */
  const requireTrue = (record: CheckedRecord & { readonly gardenId: string }) => {
    const { gardenId } = record;
    const bedId = 'bedId' in record ? record.bedId : null;
    checkJournal(record, {
      today: today(),
      beds: stores.beds.listOf(gardenId),
      entries: bedId === null ? [] : stores.entries.listOf(bedId),
      plantings: bedId === null ? [] : stores.plantings.listOf(bedId),
      trials: stores.journal.listOf(gardenId).filter((one) => one.kind === 'trial'),
      hasPhoto: (photoId) => stores.photos.find(photoId)?.gardenId === gardenId,
    });
  };
  return new Hono()
    .post('/gardens/:gardenId/journal', body(journalPosting), (c) =>
      stores.atomically(() => {
        const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
        const records = c.req.valid('json').records.map((draft, i) => {
          const record = { ...draft, gardenId };
          const known = sentAgain(stores.journal.find(draft.id), record);
          if (known) return known;
          try {
            requireTrue(record);
          } catch (error) {
            if (!(error instanceof InputError)) throw error;
            throw fromInputError(error.at(['records', i, ...error.path]));
          }
          return stores.journal.insert(record);
        });
        return c.json({ records }, 201);
      }),
    )
    .put('/journal/:recordId', body(journalChange), (c) => {
      const id = c.req.param('recordId');
      const { version, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        const before = requireFound(stores.journal.find(id), 'record');
        requireSeen(before, version);
        if (before.kind !== values.kind) {
          throw new InputError(['kind'], 'mustStay', { kind: before.kind, got: values.kind });
        }
        const kept = requireWritten(stores.journal.update(id, version, values), 'record');
        requireTrue(kept);
        return c.json(kept, 200);
      });
    })
    .delete('/journal/:recordId', seenVersion, (c) => {
      const { version } = c.req.valid('query');
      requireRemoved(stores.journal.remove(c.req.param('recordId'), version), 'record');
      return c.body(null, 204);
    })
    .post('/journal/:recordId/restore', (c) =>
      c.json(requireWritten(stores.journal.restore(c.req.param('recordId')), 'record'), 200),
    );
};
