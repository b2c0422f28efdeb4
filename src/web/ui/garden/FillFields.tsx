import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import {
  FILL_PARTS,
  FILL_RECIPES,
  type FillPart,
  type FillPartId,
  type FillSoil,
  soilOfFill,
} from '../../../core/bed/index.ts';
import { FILL_RECIPE_NAMES, fillPartName, fillSentences } from '../../../words/fill-words.ts';
import { orRefused, refusalSentence } from '../../../words/refusal-words.ts';
import { Field } from '../forms/Field.tsx';
import { numberFromText } from '../forms/parse-number.ts';

interface TypedPart {
  readonly id: FillPartId;
  readonly parts: string;
}

const typedMix = (mix: readonly FillPart[]): TypedPart[] =>
  mix.map(({ id, parts }) => ({ id, parts: String(parts) }));

interface FillFieldsProps {
  readonly isForPots: boolean;
  readonly onUse: (soil: FillSoil) => void;
}

/** What a raised bed or a pot is filled with, by parts; the mix becomes the soil the bed begins with. */
export function FillFields({ isForPots, onUse }: FillFieldsProps) {
  const recipes = FILL_RECIPES.filter((recipe) => recipe.isForPots === isForPots);
  const [recipeId, setRecipeId] = useState(recipes[0]!.id);
  const [mix, setMix] = useState(() => typedMix(recipes[0]!.mix));
  const weighed = orRefused(() =>
    soilOfFill(mix.map(({ id, parts }) => ({ id, parts: numberFromText(parts) }))),
  );
  const others = FILL_PARTS.filter((id) => mix.every((part) => part.id !== id));
  const setParts = (id: FillPartId, parts: string) =>
    setMix((before) => before.map((part) => (part.id === id ? { ...part, parts } : part)));
  return (
    <fieldset className="shape-fields">
      <legend>What it is filled with</legend>
      <div className="band-fields">
        <Field name="A mix to start from">
          {(control) => (
            <Select
              {...control}
              value={recipeId}
              onChange={(id) => {
                setRecipeId(id);
                setMix(typedMix(recipes.find((recipe) => recipe.id === id)!.mix));
              }}
              style={{ width: 270 }}
              options={recipes.map(({ id }) => ({ value: id, label: FILL_RECIPE_NAMES[id] }))}
            />
          )}
        </Field>
        {mix.map(({ id, parts }) => (
          <Field key={id} name={fillPartName(id)} hint="parts by volume">
            {(control) => (
              <Input
                {...control}
                value={parts}
                inputMode="decimal"
                onChange={(event) => setParts(id, event.target.value)}
                style={{ width: 120 }}
              />
            )}
          </Field>
        ))}
        <Field name="Something else in it">
          {(control) => (
            <Select<FillPartId | null>
              {...control}
              value={null}
              onChange={(id) => id && setMix((before) => [...before, { id, parts: '1' }])}
              style={{ width: 200 }}
              options={others.map((id) => ({ value: id, label: fillPartName(id) }))}
            />
          )}
        </Field>
      </div>
      {'refused' in weighed ? (
        <p className="field-trouble" role="alert">
          {refusalSentence('The mix', weighed.refused)}
        </p>
      ) : (
        <>
          <p className="soft">{fillSentences(weighed.result).join(' ')}</p>
          <Button onClick={() => onUse(weighed.result)}>Begin with this mix</Button>
        </>
      )}
    </fieldset>
  );
}
