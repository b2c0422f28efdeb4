import { describe, expect, it } from 'vitest';
import { proofAddress, proofAsked } from './proof-link.ts';

describe('the address of the proof of a range', () => {
  const queryOf = (address: string) => new URLSearchParams(address.split('?')[1]);
  it('asks what was meant', () => {
    const asked = { groups: ['lock-up', 'soil warmth'] as const, bedId: 'first bed' };
    const address = proofAddress('garden', asked);
    expect(address).toMatch(/^\/garden\/garden\/method\/checks\?/);
    expect(proofAsked(queryOf(address))).toEqual(asked);
    expect(proofAsked(queryOf(proofAddress('garden', { groups: ['char'], bedId: null }))).bedId).toBeNull();
  });
  it('takes an address without a question for the whole page, and knows no groups that are none', () => {
    expect(proofAsked(new URLSearchParams())).toEqual({ groups: [], bedId: null });
    expect(proofAsked(new URLSearchParams('of=char,moon'))).toEqual({ groups: ['char'], bedId: null });
  });
});
