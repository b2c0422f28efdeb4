import { Button } from 'antd';
import { useState } from 'react';
import type { LibraryMaterial } from '../../../core/ground/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useMakeMaterial } from '../../api/gardens.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import type { FiguresBasis } from '../../../records/material.ts';
import { otherTroubles } from '../../ui/stock/use-stock-post.ts';
import { OWN_FIGURES, readFigures, typedFigures } from '../../ui/materials/figure-fields.ts';
import { FigureInputs, ofBasis } from '../../ui/materials/FigureInputs.tsx';
import { useSameName } from '../../ui/forms/use-same-name.ts';

type OwnFigure = Exclude<keyof FiguresBasis, 'type' | 'likeMaterialId'>;

interface MakeOwnProps {
  readonly gardenId: string;
  readonly like: LibraryMaterial;
  readonly onMade: (id: string) => void;
}

/** A material of one's own that is like one of the library but for its figures. */
export function MakeOwn(props: MakeOwnProps) {
  const [isOpen, setOpen] = useState(false);
  if (isOpen) return <OwnForm {...props} onClose={() => setOpen(false)} />;
  return (
    <Button size="small" onClick={() => setOpen(true)}>
      Make one of your own like this
    </Button>
  );
}

function OwnForm({ gardenId, like, onMade, onClose }: MakeOwnProps & { readonly onClose: () => void }) {
  const [id] = useState(() => crypto.randomUUID());
  const reader = useReader();
  const {
    fields: { name, typed },
    set,
    wasTried,
    submitWith,
    forget,
  } = useRecordForm(() => ({ name: '', typed: typedFigures(OWN_FIGURES, { ...like }, reader) }));
  const sameName = useSameName('materials', name);
  const read = readFigures(OWN_FIGURES, typed, reader);
  const make = useMakeMaterial(gardenId);
  const troubles = sentencesOf(make.error);
  return (
    <form
      className="tool"
      aria-label="One of your own"
      onSubmit={submitWith(() => {
        if (Object.keys(read.troubles).length > 0) return;
        make.mutate(
          {
            id,
            name,
            basis: {
              type: 'figures',
              likeMaterialId: like.id,
              ...(read.values as Record<OwnFigure, number>),
            },
            note: '',
          },
          {
            onSuccess: (made) => {
              forget();
              onMade(made.id);
            },
          },
        );
      })}
    >
      <div className="band-fields">
        <TextField
          name="Name"
          value={name}
          onChange={(called) => set({ name: called })}
          trouble={troubles['name']}
          hint={sameName}
          isNumber={false}
          width={220}
          autoFocus
        />
        <FigureInputs
          fields={OWN_FIGURES}
          typed={typed}
          onChange={(figures) => set({ typed: figures })}
          troubles={{ ...ofBasis(troubles), ...(wasTried ? read.troubles : {}) }}
        />
      </div>
      <FormFoot
        label="Save the material"
        isSaving={make.isPending}
        onClose={onClose}
        troubles={otherTroubles(troubles, SHOWN)}
      />
    </form>
  );
}

const SHOWN = ['name', ...OWN_FIGURES.map(({ field }) => `basis.${field}`)];
