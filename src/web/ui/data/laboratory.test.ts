import { describe, expect, it } from 'vitest';
import { gridOf } from './import-form.ts';
import { laboratoryIn } from './laboratory.ts';

const found = (...lines: string[]) => laboratoryIn(gridOf(lines.join('\n')).grid);

describe('a laboratory’s report among the tables that are brought in', () => {
  it('is known by what was found, below titles, with pounds an acre and organic matter in percent', () => {
    const read = found(
      'Soil report 4711,,,,',
      ',,,,',
      'Sample ID,pH,OM,P Mehlich-3,K',
      ',,%,lb/acre,lb/acre',
      'North bed,6.4,4.2,180,300',
      'Long bed,6.9,3.1,90,n/a',
    );
    expect(read).toMatchObject({
      reports: [
        {
          sample: 'North bed',
          ph: 6.4,
          organicMatterPct: 4.2,
          extraction: 'mehlich3',
          figures: { phosphorusMgPerKg: 90, potassiumMgPerKg: 150 },
        },
        { sample: 'Long bed', figures: { phosphorusMgPerKg: 45 } },
      ],
    });
  });
  it('says which figure cannot be', () => {
    expect(found('sample,pH,OM (%)', 'North bed,64,4')).toEqual({
      trouble: 'row 2, pH must be between 2 and 11; got 64.',
    });
  });
  it('is told from our own tables, and from those of anything else', () => {
    expect(found('bed,type,date,ph,organic_matter_pct', 'North bed,soilTest,2026-04-01,6.4,4')).toBeNull();
    expect(found('date,bed,material,amount,unit', '2026-04-01,North bed,Straw,1,barrow')).toBeNull();
    expect(found('date;temperature;rain', '2026-04-01;12;3')).toBeNull();
    expect(found('')).toBeNull();
  });
});
