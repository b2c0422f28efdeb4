import { describe, expect, it } from 'vitest';
import { measuresOf } from '../../words/measures.ts';
import { zoneDetail } from './section-labels.tsx';

describe('what is said of a zone beside the drawing', () => {
  it('stands on one line where it fits, and on two where it does not', () => {
    const metric = measuresOf({ measures: 'metric' });
    const customary = measuresOf({ measures: 'customary' });
    expect(zoneDetail(0.4, 2, 14, metric)).toBe('0.4 g/m² available\n2.0 locked up, 14 °C');
    expect(zoneDetail(2.3, 0, 9, metric)).toBe('2.3 g/m² available, 9 °C');
    expect(zoneDetail(0.15, 3.2, 14, customary)).toBe('0.03 lb/1000 sq ft available\n0.66 locked up, 57 °F');
  });
});
