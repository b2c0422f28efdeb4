import type { EntryRecord } from '../../records/entry.ts';
import type { z } from 'zod';
import type { LabResultDraft, LabResultRecord } from '../../records/lab-result.ts';
import type { LotChange, LotRecord } from '../../records/lot.ts';
import type { MovementChange, MovementRecord } from '../../records/movement.ts';
import type { RecipeDraft, RecipeRecord } from '../../records/recipe.ts';
import type { StockPosting } from '../../contract/requests.ts';
import type { materialChange } from '../../records/material.ts';
import { answered, bodyOf, client } from './client.ts';
import { useWrite } from './use-write.ts';

const { gardens, lots, movements, recipes, materials, 'lab-results': labResults } = client.api;

type Seen<Record extends { readonly id: string; readonly version: number }> = Pick<Record, 'id' | 'version'>;
const seenVersion = ({ id, version }: { readonly id: string; readonly version: number }) => ({ id, version });

interface TakenBack {
  readonly movements: readonly MovementRecord[];
  readonly lots: readonly LotRecord[];
  readonly entries: readonly EntryRecord[];
}

export const usePostStock = (gardenId: string) =>
  useWrite((posting: StockPosting) =>
    bodyOf(gardens[':gardenId'].stock.$post({ param: { gardenId }, json: posting })),
  );

/** What was posted together, taken back together: all of it or nothing. */
export const useTakeBack = (gardenId: string) =>
  useWrite(({ movements = [], lots = [], entries = [] }: Partial<TakenBack>) =>
    answered(
      gardens[':gardenId'].stock['taken-back'].$post({
        param: { gardenId },
        json: {
          movements: movements.map(seenVersion),
          lots: lots.map(seenVersion),
          entries: entries.map(seenVersion),
        },
      }),
    ),
  );

export const useChangeLot = () =>
  useWrite(({ lotId, change }: { lotId: string; change: LotChange }) =>
    bodyOf(lots[':lotId'].$put({ param: { lotId }, json: change })),
  );

export const useRemoveLot = () =>
  useWrite(({ id, version }: Seen<LotRecord>) =>
    answered(lots[':lotId'].$delete({ param: { lotId: id }, query: { version: String(version) } })),
  );

export const useRestoreLot = () =>
  useWrite((lotId: string) => bodyOf(lots[':lotId'].restore.$post({ param: { lotId } })));

export const useChangeMovement = () =>
  useWrite(({ movementId, change }: { movementId: string; change: MovementChange }) =>
    bodyOf(movements[':movementId'].$put({ param: { movementId }, json: change })),
  );

export const useRemoveMovement = () =>
  useWrite(({ id, version }: Seen<MovementRecord>) =>
    answered(
      movements[':movementId'].$delete({ param: { movementId: id }, query: { version: String(version) } }),
    ),
  );

export const useRestoreMovement = () =>
  useWrite((movementId: string) => bodyOf(movements[':movementId'].restore.$post({ param: { movementId } })));

export const useSaveRecipe = (gardenId: string) =>
  useWrite((draft: RecipeDraft) =>
    bodyOf(gardens[':gardenId'].recipes.$post({ param: { gardenId }, json: draft })),
  );

export const useRemoveRecipe = () =>
  useWrite(({ id, version }: Seen<RecipeRecord>) =>
    answered(recipes[':recipeId'].$delete({ param: { recipeId: id }, query: { version: String(version) } })),
  );

export const useRestoreRecipe = () =>
  useWrite((recipeId: string) => bodyOf(recipes[':recipeId'].restore.$post({ param: { recipeId } })));

export const useReportLab = (gardenId: string) =>
  useWrite((draft: LabResultDraft) =>
    bodyOf(gardens[':gardenId']['lab-results'].$post({ param: { gardenId }, json: draft })),
  );

export const useRemoveLab = () =>
  useWrite(({ id, version }: Seen<LabResultRecord>) =>
    answered(
      labResults[':labResultId'].$delete({ param: { labResultId: id }, query: { version: String(version) } }),
    ),
  );

export const useRestoreLab = () =>
  useWrite((labResultId: string) =>
    bodyOf(labResults[':labResultId'].restore.$post({ param: { labResultId } })),
  );

export const useChangeMaterial = () =>
  useWrite(({ materialId, change }: { materialId: string; change: z.infer<typeof materialChange> }) =>
    bodyOf(materials[':materialId'].$put({ param: { materialId }, json: change })),
  );

export const useRemoveMaterial = () =>
  useWrite(({ id, version }: { id: string; version: number }) =>
    answered(
      materials[':materialId'].$delete({ param: { materialId: id }, query: { version: String(version) } }),
    ),
  );

export const useRestoreMaterial = () =>
  useWrite((materialId: string) => bodyOf(materials[':materialId'].restore.$post({ param: { materialId } })));
