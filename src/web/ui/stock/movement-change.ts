import type { MovementChange, MovementRecord } from '../../../records/movement.ts';

/** A record as one may send it back, with the version one has seen. */
export function asMovementChange(movement: MovementRecord): MovementChange {
  const { id, createdAt, updatedAt, gardenId, ...change } = movement;
  return change;
}
