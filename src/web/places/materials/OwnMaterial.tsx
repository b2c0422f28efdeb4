import { Button } from 'antd';
import { useState } from 'react';
import type { MaterialRecord } from '../../../records/material.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useChangeMaterial, useRemoveMaterial, useRestoreMaterial } from '../../api/stock.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { plainFigure } from '../../../words/figures.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { otherTroubles } from '../../ui/stock/use-stock-post.ts';

type Figures = Record<string, string>;

/** The figures of a basis that can be typed, in percent where they are shares. */
function figuresOf({ basis }: MaterialRecord): Figures {
  const pct = (share: number) => plainFigure(share * 100, 4);
  return basis.type === 'chips'
    ? {
        branchDiameterCm: plainFigure(basis.branchDiameterCm, 4),
        leafShare: pct(basis.leafShare),
        coniferShare: pct(basis.coniferShare),
      }
    : {
        moistureFractionWetBasis: pct(basis.moistureFractionWetBasis),
        carbonFractionDryBasis: pct(basis.carbonFractionDryBasis),
        nitrogenFractionDryBasis: pct(basis.nitrogenFractionDryBasis),
        bulkDensityKgPerM3: plainFigure(basis.bulkDensityKgPerM3, 4),
      };
}

const FIGURE_WORDS: Record<string, string> = {
  branchDiameterCm: 'Branches, cm thick',
  leafShare: 'Leaf, %',
  coniferShare: 'Conifer, %',
  moistureFractionWetBasis: 'Water, %',
  carbonFractionDryBasis: 'Carbon, % of dry',
  nitrogenFractionDryBasis: 'Nitrogen, % of dry',
  bulkDensityKgPerM3: 'Lies at, kg/m³',
};
const AS_TYPED = new Set(['branchDiameterCm', 'bulkDensityKgPerM3']);

/** A material of one's own: renamed, corrected, or taken off the list. */
export function OwnMaterial({ material, onGone }: { material: MaterialRecord; onGone: () => void }) {
  const [name, setName] = useState(material.name);
  const [figures, setFigures] = useState(() => figuresOf(material));
  const change = useChangeMaterial();
  const remove = useRemoveMaterial();
  const restore = useRestoreMaterial();
  const offerUndo = useUndo();
  const troubles = { ...sentencesOf(remove.error), ...sentencesOf(change.error) };
  const save = () => {
    const values = Object.fromEntries(
      Object.entries(figures).map(([field, text]) => [
        field,
        numberFromText(text) / (AS_TYPED.has(field) ? 1 : 100),
      ]),
    );
    change.mutate({
      materialId: material.id,
      change: {
        version: material.version,
        name,
        note: material.note,
        basis: { ...material.basis, ...values },
      },
    });
  };
  return (
    <form
      className="tool"
      aria-label="Your own material"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <div className="band-fields">
        <TextField
          name="Name"
          isNumber={false}
          value={name}
          onChange={setName}
          width={230}
          trouble={troubles['name']}
        />
        {Object.entries(figures).map(([field, value]) => (
          <TextField
            key={field}
            name={FIGURE_WORDS[field] ?? field}
            value={value}
            onChange={(text) => setFigures({ ...figures, [field]: text })}
            trouble={troubles[`basis.${field}`]}
            width={120}
          />
        ))}
      </div>
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={change.isPending}>
          Save the change
        </Button>
        <Button
          danger
          type="text"
          onClick={() =>
            remove.mutate(material, {
              onSuccess: () => {
                offerUndo(`${material.name} is off the list.`, () => restore.mutateAsync(material.id));
                onGone();
              },
            })
          }
        >
          Take it off the list
        </Button>
        {otherTroubles(troubles, ['name', ...Object.keys(figures).map((field) => `basis.${field}`)]).map(
          (sentence) => (
            <span key={sentence} className="field-trouble" role="alert">
              {sentence}
            </span>
          ),
        )}
      </div>
    </form>
  );
}
