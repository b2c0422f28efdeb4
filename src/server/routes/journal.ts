import { Hono } from 'hono';
import {
  journalChange,
  type Journaled as CheckedRecord,
  type JournalChange,
  type JournalRecord,
} from '../../records/journal.ts';
import { journalPosting, type JournalDraft } from '../../contract/requests.ts';
import { InputError } from '../../refusals/input-error.ts';
import { checkJournal } from '../../core/season/index.ts';
import type { AppContext } from '../app-context.ts';
import type { FieldPath } from '../../refusals/refusal.ts';
import { fromInputError } from '../problems.ts';
import type { Stores } from '../stores.ts';
import { requireFound, requireRemoved, requireSeen, sentAgain, requireWritten } from '../answers.ts';
import { body, seenVersion } from './validated.ts';

/** Writes records of the journal of a garden. Each throws a problem naming the field for what cannot have been so. */
export function journalKeeper({
  stores,
  gardenId,
  today,
}: {
  readonly stores: Stores;
  readonly gardenId: string;
  readonly today: string;
}) {
  const requireTrue = (record: CheckedRecord) => {
    const bedId = 'bedId' in record ? record.bedId : null;
    checkJournal(record, {
      today,
      beds: stores.beds.listOf(gardenId),
      entries: bedId === null ? [] : stores.entries.listOf(bedId),
      plantings: bedId === null ? [] : stores.plantings.listOf(bedId),
      trials: stores.journal.listOf(gardenId).filter((one) => one.kind === 'trial'),
      hasPhoto: (photoId) => stores.photos.find(photoId)?.gardenId === gardenId,
    });
  };
  const requireOwn = (id: string): JournalRecord => {
    const record = requireFound(stores.journal.find(id), 'record');
    return requireFound(record.gardenId === gardenId ? record : undefined, 'record');
  };
  return {
    /** A new record; `path` leads to it in what was sent. */
    keep: (draft: JournalDraft, path: FieldPath): JournalRecord => {
      const record = { ...draft, gardenId };
      const known = sentAgain(stores.journal.find(draft.id), record);
      if (known) return known;
      try {
        requireTrue(record);
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        throw fromInputError(error.at([...path, ...error.path]));
      }
      return stores.journal.insert(record);
    },
    change: (id: string, { version, ...values }: JournalChange): JournalRecord => {
      const before = requireOwn(id);
      requireSeen(before, version);
      if (before.kind !== values.kind) {
        throw new InputError(['kind'], 'mustStay', { kind: before.kind, got: values.kind });
      }
      const kept = requireWritten(stores.journal.update(id, version, values), 'record');
      requireTrue(kept);
      return kept;
    },
    remove: (id: string, version: number): void => {
      requireOwn(id);
      requireRemoved(stores.journal.remove(id, version), 'record');
    },
  };
}

/** What is seen, ticked off, tried, brewed and closed. */
export const journalRoutes = ({ stores, today }: AppContext) => {
  const keeperOf = (gardenId: string) => journalKeeper({ stores, gardenId, today: today() });
  const ownerOf = (id: string) => requireFound(stores.journal.find(id), 'record').gardenId;
  return new Hono()
    .post('/gardens/:gardenId/journal', body(journalPosting), (c) =>
      stores.atomically(() => {
        const { id: gardenId } = requireFound(stores.gardens.find(c.req.param('gardenId')), 'garden');
        const keeper = keeperOf(gardenId);
        const records = c.req.valid('json').records.map((draft, i) => keeper.keep(draft, ['records', i]));
        return c.json({ records }, 201);
      }),
    )
    .put('/journal/:recordId', body(journalChange), (c) => {
      const id = c.req.param('recordId');
      const change = c.req.valid('json');
      return stores.atomically(() => c.json(keeperOf(ownerOf(id)).change(id, change), 200));
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
