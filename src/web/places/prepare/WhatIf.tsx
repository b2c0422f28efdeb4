import { Button } from 'antd';
import { findLibraryMaterial } from '../../../core/ground/index.ts';
import { type Blend, type MixFix, type Remedy, aimsMissed, fixesFor } from '../../../core/yard/index.ts';
import { useMeasures } from '../../app/garden-context.ts';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { aimsOfForm, waterL, waterTyped, withMore, type BenchForm, type BenchPart } from './mix-form.ts';

interface WhatIfProps {
  readonly form: BenchForm;
  readonly mix: Blend;
  readonly parts: readonly BenchPart[];
  readonly set: (change: Partial<BenchForm>) => void;
}

const REMEDY_TITLES: Partial<Record<MixFix['code'], string>> = {
  addNitrogen: 'To bring C:N down, what if I had',
  addCarbon: 'To bring C:N up, what if I had',
  addDry: 'To dry it, what if I had',
};

/** What would bring the mix on the bench to its aims; a press puts it in. */
export function WhatIf({ form, mix, parts, set }: WhatIfProps) {
  const measures = useMeasures();
  const reader = useReader();
  if (mix.massFreshKg === 0) return null;
  const fixes = fixesFor(mix, aimsMissed(aimsOfForm(form, reader), mix));
  if (fixes.length === 0) return null;
  const add = ({ materialId, massFreshKg }: Remedy) =>
    set({ rows: withMore(form, parts, { materialId, massFreshKg, unit: measures.bucketUnit }) });
  const pour = (litres: number) => set({ water: waterTyped(waterL(form, reader) + litres, reader) });
  return (
    <section aria-label="What if I had">
      {fixes.map((fix) => (
        <div key={fix.code} className="what-if">
          <p className="field-name">{REMEDY_TITLES[fix.code] ?? 'To wet it, pour on'}</p>
          <span className="actions">
            {fix.code === 'addWater' && (
              <Button size="small" onClick={() => pour(fix.waterL)}>
                {measures.liquid(fix.waterL)} of water
              </Button>
            )}
            {'with' in fix &&
              fix.with.map((remedy) => (
                <Button key={remedy.materialId} size="small" onClick={() => add(remedy)}>
                  {measures.volume(remedy.volumeL)} of {nameOf(remedy.materialId)}
                </Button>
              ))}
          </span>
        </div>
      ))}
    </section>
  );
}

const nameOf = (id: string): string => findLibraryMaterial(id)!.name.toLowerCase();
