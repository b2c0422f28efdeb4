import { Button, Select } from 'antd';
import { useState } from 'react';
import { useBooks } from '../../app/garden-context.ts';
import { useRemoveRecipe, useRestoreRecipe, useSaveRecipe } from '../../api/stock.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { plainFigure } from '../../../words/figures.ts';
import { useUndo } from '../../app/use-undo.tsx';
import {
  aimsOf,
  ingredientsOf,
  newRow,
  waterL,
  waterTyped,
  type BenchForm,
  type BenchPart,
} from './mix-form.ts';
import { useSameName } from '../../ui/forms/use-same-name.ts';

interface RecipesProps {
  readonly form: BenchForm;
  readonly parts: readonly BenchPart[];
  readonly set: (change: Partial<BenchForm>) => void;
}

/** Mixes saved to make again. */
export function Recipes({ form, parts, set }: RecipesProps) {
  const books = useBooks();
  const reader = useReader();
  const [isNaming, setNaming] = useState(false);
  const remove = useRemoveRecipe();
  const restore = useRestoreRecipe();
  const offerUndo = useUndo();
  const [chosen, setChosen] = useState<string | null>(null);
  const recipe = books.recipes.find(({ id }) => id === chosen);
  const open = (id: string) => {
    const found = books.recipes.find((one) => one.id === id);
    if (!found) return;
    setChosen(id);
    set({
      rows: found.ingredients.map(({ lotId, materialId, amount, unit }) =>
        newRow(lotId === null ? `material:${materialId}` : `lot:${lotId}`, unit, plainFigure(amount, 4)),
      ),
      water: waterTyped(found.waterL, reader),
      isLayered: found.isLayered,
      ...aimsOf(found.purpose),
    });
  };
  return (
    <div className="actions bench-recipes">
      {isNaming ? (
        <NameRecipe form={form} parts={parts} onClose={() => setNaming(false)} />
      ) : (
        <>
          {books.recipes.length > 0 && (
            <Select
              aria-label="Recipes"
              placeholder="Recipes you saved"
              style={{ width: 230 }}
              popupMatchSelectWidth={false}
              {...(chosen === null ? {} : { value: chosen })}
              onChange={open}
              options={books.recipes.map(({ id, name: label }) => ({ value: id, label }))}
            />
          )}
          {recipe && (
            <Button
              type="text"
              onClick={() =>
                remove.mutate(recipe, {
                  onSuccess: () => {
                    setChosen(null);
                    offerUndo('The recipe is gone.', () => restore.mutateAsync(recipe.id));
                  },
                })
              }
            >
              Delete the recipe
            </Button>
          )}
          <Button disabled={ingredientsOf(parts).length === 0} onClick={() => setNaming(true)}>
            Save as a recipe
          </Button>
        </>
      )}
    </div>
  );
}

interface NameRecipeProps extends Pick<RecipesProps, 'form' | 'parts'> {
  readonly onClose: () => void;
}

/** The mix on the bench is given a name. */
function NameRecipe({ form, parts, onClose }: NameRecipeProps) {
  const books = useBooks();
  const reader = useReader();
  const save = useSaveRecipe(books.garden.id);
  const { fields, set, submitWith } = useRecordForm(() => ({ name: '' }));
  const sameName = useSameName('recipes', fields.name);
  const saveRecipe = () =>
    save.mutate(
      {
        name: fields.name,
        purpose: form.purpose,
        ingredients: ingredientsOf(parts),
        waterL: waterL(form, reader),
        isLayered: form.isLayered,
        note: '',
      },
      { onSuccess: onClose },
    );
  return (
    <form className="band-fields" onSubmit={submitWith(saveRecipe)}>
      <TextField
        name="Name of the recipe"
        isNumber={false}
        value={fields.name}
        onChange={(name) => set({ name })}
        width={220}
        trouble={save.error?.message}
        hint={sameName}
        autoFocus
      />
      <Button type="primary" htmlType="submit" loading={save.isPending}>
        Save
      </Button>
      <Button onClick={onClose}>Cancel</Button>
    </form>
  );
}
