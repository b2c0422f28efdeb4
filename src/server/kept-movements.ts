import type { MovementChange, MovementDraft, MovementRecord } from '../records/movement.ts';
import { checkBurn } from '../core/yard/index.ts';
import { requireFound, requireSeen, requireWritten, sentAgain } from './answers.ts';
import type { Stores } from './stores.ts';

/** Where stock postings are written, and when: an ISO date. */
interface Writing {
  readonly stores: Stores;
  readonly today: string;
}

/** A pile of another garden is none here; what else a posting names is found when the stock is proved. */
function requireOwnLot(stores: Stores, gardenId: string, lotId: string): void {
  const lot = stores.lots.find(lotId);
  requireFound(lot?.gardenId === gardenId ? lot : undefined, 'pile');
}

/** Keeps a posting, or finds the one that was sent before. Throws InputError for a fire that cannot have been so. */
export function keepMovement(
  { stores, today }: Writing,
  gardenId: string,
  draft: MovementDraft & { readonly id: string },
): MovementRecord {
  requireOwnLot(stores, gardenId, draft.lotId);
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
  if ('lotId' in change) requireOwnLot(stores, before.gardenId, change.lotId);
  if (change.type === 'burn') checkBurn(change, today);
  return requireWritten(stores.movements.update(before.id, change.version, change), 'stock posting');
}
