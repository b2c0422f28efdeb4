import { describe, expect, it } from 'vitest';
import { MATERIAL_LIBRARY } from '../../ground/index.ts';
import { blend, mixCautions } from '../../yard/index.ts';
import { layingCautions } from './cautions.ts';

const bed = { kind: 'annual', clayPct: 20 } as const;

describe('what has to be minded of a material', () => {
  it.each(MATERIAL_LIBRARY.map(({ id, ...material }) => [id, material] as const))(
    'is the same on a bed and at the mixing bench: %s',
    (materialId, material) => {
      const laying = { date: '2026-05-01', material, dugDepthCm: 0, thicknessCm: 2 };
      const parts = [{ materialId, material, massFreshKg: 10 }];
      const onBed = layingCautions(laying, bed).map(({ code }) => code);
      const atBench = mixCautions(blend(parts), parts).map(({ code }) => code);
      for (const code of ['persistentWeedkiller', 'rawManure', 'metals', 'plastic'] as const)
        expect([code, onBed.includes(code)]).toEqual([code, atBench.includes(code)]);
    },
  );
});
