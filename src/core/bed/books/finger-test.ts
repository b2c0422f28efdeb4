import type { SoilTexture } from './soil-textures.ts';

/**
 * Texture by feel in at most four questions, a shortened form of the flow diagram of Thien 1979 (from memory): each
 * question has an answer that ends the test and one that goes on.
 */
export const FINGER_QUESTIONS = ['holdsABall', 'rollsToASausage', 'rollsPencilThin', 'bendsToARing'] as const;
export type FingerQuestion = (typeof FINGER_QUESTIONS)[number];

/** What the soil is when a question is answered with no; after four times yes it is clay. */
const WHEN_NOT: Record<FingerQuestion, SoilTexture> = {
  holdsABall: 'sand',
  rollsToASausage: 'sandyLoam',
  rollsPencilThin: 'loam',
  bendsToARing: 'clayLoam',
};

export type FingerStep = { readonly ask: FingerQuestion } | { readonly texture: SoilTexture };

/** The next question after these answers, or what they come to. */
export function fingerStep(answers: readonly boolean[]): FingerStep {
  const no = answers.indexOf(false);
  if (no >= 0) return { texture: WHEN_NOT[FINGER_QUESTIONS[no]] };
  const next = FINGER_QUESTIONS.at(answers.length);
  return next === undefined ? { texture: 'clay' } : { ask: next };
}
