import { Button } from 'antd';
import type { MaterialRecord } from '../../../records/material.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useChangeMaterial, useRemoveMaterial, useRestoreMaterial } from '../../api/stock.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { otherTroubles } from '../../ui/stock/use-stock-post.ts';
import {
  CHIPS_FIGURES,
  OWN_FIGURES,
  readFigures,
  typedFigures,
  type FigureField,
} from '../../ui/materials/figure-fields.ts';
import { FigureInputs, ofBasis } from '../../ui/materials/FigureInputs.tsx';
import { useSameName } from '../../ui/forms/use-same-name.ts';

const fieldsOf = ({ basis }: MaterialRecord): readonly FigureField[] =>
  basis.type === 'chips' ? CHIPS_FIGURES : OWN_FIGURES;

/** A material of one's own: renamed, corrected, or taken off the list. */
export function OwnMaterial({ material, onGone }: { material: MaterialRecord; onGone: () => void }) {
  const reader = useReader();
  const fields = fieldsOf(material);
  const form = useRecordForm(() => ({
    name: material.name,
    typed: typedFigures(fields, { ...material.basis }, reader),
  }));
  const { name, typed } = form.fields;
  const sameName = useSameName('materials', name, material.id);
  const read = readFigures(fields, typed, reader);
  const change = useChangeMaterial();
  const remove = useRemoveMaterial();
  const restore = useRestoreMaterial();
  const offerUndo = useUndo();
  const troubles = { ...sentencesOf(remove.error), ...sentencesOf(change.error) };
  const save = () => {
    if (Object.keys(read.troubles).length > 0) return;
    change.mutate({
      materialId: material.id,
      change: {
        version: material.version,
        name,
        note: material.note,
        basis: { ...material.basis, ...read.values },
      },
    });
  };
  return (
    <form className="tool" aria-label="Your own material" onSubmit={form.submitWith(save)}>
      <div className="band-fields">
        <TextField
          name="Name"
          isNumber={false}
          value={name}
          onChange={(next) => form.set({ name: next })}
          width={230}
          trouble={troubles['name']}
          hint={sameName}
        />
        <FigureInputs
          fields={fields}
          typed={typed}
          onChange={(next) => form.set({ typed: next })}
          troubles={{ ...ofBasis(troubles), ...read.troubles }}
        />
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
                form.forget();
                offerUndo(`${material.name} is deleted.`, () => restore.mutateAsync(material.id));
                onGone();
              },
            })
          }
        >
          Delete the material
        </Button>
        {otherTroubles(troubles, ['name', ...fields.map(({ field }) => `basis.${field}`)]).map((sentence) => (
          <span key={sentence} className="field-trouble" role="alert">
            {sentence}
          </span>
        ))}
      </div>
    </form>
  );
}
