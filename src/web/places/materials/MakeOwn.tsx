import { Button } from 'antd';
import { useState } from 'react';
import type { LibraryMaterial } from '../../../core/ground/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useMakeMaterial } from '../../api/gardens.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { plainFigure } from '../../../words/figures.ts';
import { otherTroubles } from '../../ui/stock/use-stock-post.ts';

interface MakeOwnProps {
  readonly gardenId: string;
  readonly like: LibraryMaterial;
  readonly onMade: (id: string) => void;
}

const pct = (share: number): string => plainFigure(share * 100, 4);

/** A material of one's own that is like one of the library but for its figures. */
export function MakeOwn({ gardenId, like, onMade }: MakeOwnProps) {
  const [isOpen, setOpen] = useState(false);
  const [id] = useState(() => crypto.randomUUID());
  const [form, setForm] = useState({
    name: '',
    moisture: pct(like.moistureFractionWetBasis),
    carbon: pct(like.carbonFractionDryBasis),
    nitrogen: pct(like.nitrogenFractionDryBasis),
    density: plainFigure(like.bulkDensityKgPerM3, 4),
  });
  const make = useMakeMaterial(gardenId);
  const troubles = sentencesOf(make.error);
  if (!isOpen) {
    return (
      <Button size="small" onClick={() => setOpen(true)}>
        Make one of your own like this
      </Button>
    );
  }
  const field = ({
    name,
    key,
    trouble,
    width = 120,
  }: {
    readonly name: string;
    readonly key: keyof typeof form;
    readonly trouble: string;
    readonly width?: number;
  }) => (
    <TextField
      name={name}
      value={form[key]}
      onChange={(value) => setForm({ ...form, [key]: value })}
      trouble={troubles[trouble]}
      isNumber={key !== 'name'}
      width={width}
    />
  );
  return (
    <form
      className="tool"
      aria-label="One of your own"
      onSubmit={(event) => {
        event.preventDefault();
        make.mutate(
          {
            id,
            name: form.name,
            basis: {
              type: 'figures',
              likeMaterialId: like.id,
              moistureFractionWetBasis: numberFromText(form.moisture) / 100,
              carbonFractionDryBasis: numberFromText(form.carbon) / 100,
              nitrogenFractionDryBasis: numberFromText(form.nitrogen) / 100,
              bulkDensityKgPerM3: numberFromText(form.density),
            },
            note: '',
          },
          { onSuccess: (made) => onMade(made.id) },
        );
      }}
    >
      <div className="band-fields">
        {field({ name: 'Call it', key: 'name', trouble: 'name', width: 220 })}
        {field({ name: 'Water, %', key: 'moisture', trouble: 'basis.moistureFractionWetBasis' })}
        {field({ name: 'Carbon, % of dry', key: 'carbon', trouble: 'basis.carbonFractionDryBasis' })}
        {field({ name: 'Nitrogen, % of dry', key: 'nitrogen', trouble: 'basis.nitrogenFractionDryBasis' })}
        {field({ name: 'Lies at, kg/m³', key: 'density', trouble: 'basis.bulkDensityKgPerM3' })}
      </div>
      <FormFoot
        label="Put it on the list"
        isSaving={make.isPending}
        onClose={() => setOpen(false)}
        troubles={otherTroubles(troubles, SHOWN)}
      />
    </form>
  );
}

const SHOWN = [
  'name',
  'basis.moistureFractionWetBasis',
  'basis.carbonFractionDryBasis',
  'basis.nitrogenFractionDryBasis',
  'basis.bulkDensityKgPerM3',
];
