import type { Journaled, Observation, TaskMark } from '../../../records/journal.ts';

export const isObservation = (record: Journaled): record is Observation => record.kind === 'observation';
export const isMark = (record: Journaled): record is TaskMark => record.kind === 'mark';
