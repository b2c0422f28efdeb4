import { describe, expect, it } from 'vitest';
import { dayNumberFromIso } from '../core/ground/index.ts';
import type { JournalLine } from '../core/model/index.ts';
import { journalWords } from './journal-line-words.ts';

const line = (change: Partial<JournalLine>): JournalLine => ({
  fromDay: dayNumberFromIso('2026-05-01', []),
  untilDay: dayNumberFromIso('2026-06-01', []),
  basis: 'facts',
  element: 'nitrogen',
  name: 'leached',
  from: 'lowerSubsoil',
  to: 'leached',
  gPerM2: 2,
  ...change,
});

describe('a posting in words', () => {
  it('has a whole month by its name, and part of one by its days', () => {
    expect(journalWords(line({})).days).toBe('May 2026');
    const part = line({ untilDay: dayNumberFromIso('2026-05-15', []) });
    expect(journalWords(part).days).toBe('1 May 2026 to 14 May 2026');
  });
  it('is found by both its accounts, their terms and whether it is expected', () => {
    const { text, from } = journalWords(line({ basis: 'forecast' }));
    for (const word of ['may 2026', 'leaching', 'nitrogen', 'forecast', from]) expect(text).toContain(word);
  });
  it('tells native humus from what was laid, as what gives and never as what takes', () => {
    const gives = line({ name: 'nativeHumusToRootZone', from: 'humus', to: 'rootZone' });
    expect(journalWords(gives)).toMatchObject({ from: 'native humus', to: 'available, root zone' });
  });
});
