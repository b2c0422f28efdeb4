import type { HabitChange, HabitDraft, HabitRecord } from '../../records/habit.ts';
import type { PlanRevision } from '../../contract/requests.ts';
import { answered, bodyOf, client } from './client.ts';
import { useWrite } from './use-write.ts';

const { gardens, habits } = client.api;

export const useKeepHabit = (gardenId: string) =>
  useWrite((draft: HabitDraft) =>
    bodyOf(gardens[':gardenId'].habits.$post({ param: { gardenId }, json: draft })),
  );

export const useChangeHabit = () =>
  useWrite(({ habitId, change }: { habitId: string; change: HabitChange }) =>
    bodyOf(habits[':habitId'].$put({ param: { habitId }, json: change })),
  );

export const useRemoveHabit = () =>
  useWrite(({ id, version }: Pick<HabitRecord, 'id' | 'version'>) =>
    answered(habits[':habitId'].$delete({ param: { habitId: id }, query: { version: String(version) } })),
  );

export const useRestoreHabit = () =>
  useWrite((habitId: string) => bodyOf(habits[':habitId'].restore.$post({ param: { habitId } })));

/** What is planned on several beds, kept or taken back together. */
export const usePlanBeds = (gardenId: string) =>
  useWrite((revision: PlanRevision) =>
    bodyOf(gardens[':gardenId'].plans.$post({ param: { gardenId }, json: revision })),
  );
