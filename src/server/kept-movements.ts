import type { MovementChange, MovementDraft, MovementRecord } from '../records/movement.ts';
import { checkBurn } from '../core/yard/index.ts';
import { requireSeen, requireWritten, sentAgain } from './answers.ts';
import type { Stores } from './stores.ts';

/** Where stock postings are written, and when: an ISO date. */
interface Writing {
  readonly stores: Stores;
  readonly today: string;
}

/** Keeps a posting, or finds the one that was sent before. Throws InputError for a fire that cannot have been so. */
export function keepMovement(
  { stores, today }: Writing,
  gardenId: string,
  draft: MovementDraft & { readonly id: string },
): MovementRecord {
  if (draft.type === 'burn') checkBurn(draft, today);
  const movement = { ...draft, gardenId };
  return sentAgain(stores.movements.find(draft.id), movement) ?? stores.movements.insert(movement);
}

/** Changes a posting that was seen as it stands. Throws as `keepMovement` does. */
export function changeMovement(
  { stores, today }: Writing,
  before: MovementRecord,
  change: MovementChange,
): MovementRecord {
  requireSeen(before, change.version);
  if (change.type === 'burn') checkBurn(change, today);
  return requireWritten(stores.movements.update(before.id, change.version, change), 'stock posting');
}
