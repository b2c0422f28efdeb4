import type { School } from '../records/vocabulary.ts';

export const SCHOOL_WORDS: Record<School, { name: string; belief: string; changes: string }> = {
  cautious: {
    name: 'Cautious',
    belief: 'Lock-up is real: what is mixed in or laid fresh starves a crop, and one had better feed for it.',
    changes:
      'Speaks of less (from 0.15 g/m²), lets a crop miss 5 %, counts the top 5 cm against transplants too, and adds a third to the price of wood.',
  },
  byDepth: {
    name: 'By depth',
    belief:
      'It is real where the material touches the roots: on top only the top 5 cm, mixed in wherever it is mixed.',
    changes: 'Speaks from 0.25 g/m², lets a crop miss 10 %, and asks where its roots are.',
  },
  relaxed: {
    name: 'Relaxed',
    belief: 'Mulch never hurt anyone for long: a pale week or two passes once roots reach further.',
    changes:
      'Speaks from 0.5 g/m², lets a crop miss 20 %, and makes no allowance for sand or hard-cropped ground.',
  },
};

/** Under every comparison. */
export const SAME_PHYSICS =
  'All three look at the same run of this bed; only what counts as worth acting on differs. A soil test settles more than a school.';
