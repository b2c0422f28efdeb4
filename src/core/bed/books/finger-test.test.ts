import { describe, expect, it } from 'vitest';
import { fingerStep } from './finger-test.ts';

describe('the finger test', () => {
  it.each([
    [[false], 'sand'],
    [[true, false], 'sandyLoam'],
    [[true, true, false], 'loam'],
    [[true, true, true, false], 'clayLoam'],
    [[true, true, true, true], 'clay'],
  ])('%j comes to %s', (answers, texture) => expect(fingerStep(answers)).toEqual({ texture }));
  it('asks on while the answer is yes', () => {
    expect(fingerStep([])).toEqual({ ask: 'holdsABall' });
    expect(fingerStep([true, true])).toEqual({ ask: 'rollsPencilThin' });
  });
});
