import type { School } from '../records/vocabulary.ts';
import type { Measures } from './measures.ts';

interface SchoolWords {
  readonly name: string;
  readonly belief: string;
  readonly changes: string;
}

export const SCHOOL_NAMES: Record<School, string> = {
  cautious: 'Cautious',
  byDepth: 'By depth',
  relaxed: 'Relaxed',
};

/** What a school holds, and what it changes in the answers. */
export function schoolWords(school: School, measures: Measures): SchoolWords {
  const top = measures.rule('length', 5);
  const from = (gPerM2: number) => measures.areaMass(gPerM2);
  switch (school) {
    case 'cautious':
      return {
        name: SCHOOL_NAMES.cautious,
        belief: 'Lock-up is real: fresh material, spread or dug in, starves a crop unless you feed for it.',
        changes: `Warns from ${from(0.15)} on, accepts that a crop misses 5 %, also counts the top ${top} against transplants, and adds a third to the extra nitrogen because of wood.`,
      };
    case 'byDepth':
      return {
        name: SCHOOL_NAMES.byDepth,
        belief: `Lock-up happens where the material touches roots: on top only in the top ${top}, dug in wherever it is mixed.`,
        changes: `Warns from ${from(0.25)} on, accepts that a crop misses 10 %, and asks where its roots are.`,
      };
    case 'relaxed':
      return {
        name: SCHOOL_NAMES.relaxed,
        belief: 'Mulch never hurt anyone for long: a pale week or two passes once the roots grow deeper.',
        changes: `Warns from ${from(0.5)} on, accepts that a crop misses 20 %, and makes no allowance for sand or hard-cropped ground.`,
      };
  }
}

/** Under every comparison. */
export const SAME_PHYSICS =
  'All three look at the same forecast of this bed; they differ in what they call worth acting on. A soil test tells you more than any of them.';
