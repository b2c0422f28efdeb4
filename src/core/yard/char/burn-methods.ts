import type { CharTemperature, BurnMethod } from '../../../records/vocabulary.ts';

/** A step of a burn: what is done, and how long it usually takes. */
export interface BurnStep {
  readonly code: string;
  /** Minutes, where a clock helps; null where the fire decides. */
  readonly minutes: readonly [low: number, high: number] | null;
}

/** One way of making char. Steps and times are common practice without a source. */
export interface BurnMethodFacts {
  readonly method: BurnMethod;
  readonly steps: readonly BurnStep[];
  /** Dry char over dry wood that such fires give (order of magnitude of kiln reports, from memory). */
  readonly yieldShare: readonly [low: number, high: number];
  /** What the char usually is fired to (general literature, from memory). */
  readonly charTemperature: CharTemperature;
  readonly warnings: readonly string[];
}

const step = (code: string, low?: number, high?: number): BurnStep => ({
  code,
  minutes: low === undefined || high === undefined ? null : [low, high],
});

const BEFORE = [step('checkRules'), step('clearGround'), step('waterAtHand'), step('sortWood')];
const AFTER = [step('quench'), step('drainSteam'), step('coldCheck'), step('magnet'), step('measure')];
const OPEN_FIRE = ['localRules', 'wind', 'neverAlone', 'waterAtHand', 'steam', 'smoke'];

export const BURN_METHOD_FACTS: Readonly<Record<BurnMethod, BurnMethodFacts>> = {
  emberRescue: {
    method: 'emberRescue',
    steps: [
      ...BEFORE,
      step('steelVessel'),
      step('bonfire', 120, 180),
      step('shovelEmbers'),
      step('leaveEmbers'),
      ...AFTER,
    ],
    yieldShare: [0.05, 0.15],
    charTemperature: 'medium',
    warnings: [...OPEN_FIRE, 'whiteIsAsh', 'hotSteel'],
  },
  trench: {
    method: 'trench',
    steps: [
      ...BEFORE,
      step('digTrench'),
      step('lightSeveral'),
      step('feedLittle', 60, 180),
      step('flamesSpent'),
      ...AFTER,
    ],
    yieldShare: [0.12, 0.25],
    charTemperature: 'medium',
    warnings: [...OPEN_FIRE, 'straightPieces', 'doNotLeave'],
  },
  conePit: {
    method: 'conePit',
    steps: [
      ...BEFORE,
      step('digCone'),
      step('lightTop'),
      step('layerAtFirstWhite', 60, 240),
      step('flamesSpent'),
      ...AFTER,
    ],
    yieldShare: [0.15, 0.25],
    charTemperature: 'high',
    warnings: [...OPEN_FIRE, 'lateIsAsh', 'tooMuchSmothers', 'tooEarlyFlares'],
  },
  topLitDrum: {
    method: 'topLitDrum',
    steps: [
      ...BEFORE,
      step('holesBelow'),
      step('packEvenly'),
      step('lightTop'),
      step('lidGap'),
      step('wetWall'),
      step('burnDown', 15, 80),
      step('closeAir'),
      ...AFTER,
    ],
    yieldShare: [0.15, 0.28],
    charTemperature: 'high',
    warnings: [...OPEN_FIRE, 'hotSteel', 'flareAtLid'],
  },
  closedRetort: {
    method: 'closedRetort',
    steps: [
      ...BEFORE,
      step('packRetort'),
      step('gasHole'),
      step('buildFire', 60, 180),
      step('blueFlame'),
      step('letCool', 480, 960),
      ...AFTER,
    ],
    yieldShare: [0.22, 0.35],
    charTemperature: 'medium',
    warnings: ['localRules', 'wind', 'waterAtHand', 'smoke', 'hotSteel', 'neverSealed', 'openCold'],
  },
};

export const FEEDSTOCK_SHAPES = ['thin', 'thick', 'stalks'] as const;
export type FeedstockShape = (typeof FEEDSTOCK_SHAPES)[number];

/** How long a top-lit drum runs by what is in it, minutes (common practice, no source). */
export const DRUM_MINUTES: Readonly<Record<FeedstockShape, readonly [low: number, high: number]>> = {
  thin: [35, 40],
  thick: [60, 80],
  stalks: [15, 20],
};
