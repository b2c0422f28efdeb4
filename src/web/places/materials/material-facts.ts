import { bucketHolds } from '../../../core/yard/index.ts';
import { LOADS_APART, type Material, carbonToNitrogenRatio, effectOf } from '../../../core/ground/index.ts';
import { formatFixed, formatPercent, plainFigure } from '../../../words/figures.ts';
import { BUCKET_OF, type Measures } from '../../../words/measures.ts';
import { EFFECT_WORDS, KIND_WORDS, ratioFigure } from '../../../words/stock-words.ts';
import type { MaterialRow } from './material-rows.ts';

/** C:N as it is shown. */
export const ratioOf = (material: Material): string =>
  material.nitrogenFractionDryBasis === 0 ? 'no N' : ratioFigure(carbonToNitrogenRatio(material));

/** A share of dry mass in percent, as it is shown. */
export const share = (fraction: number): string => (fraction === 0 ? '—' : plainFigure(fraction * 100, 2));

/** Pools of carbon and what they are to a gardener. */
export const POOLS = [
  ['quick', 'quick: sugars, soft leaf'],
  ['structural', 'structural: cellulose'],
  ['woody', 'woody: lignin'],
  ['microbial', 'microbes'],
  ['humus', 'humus'],
  ['char', 'char'],
] as const;

/** A figure from memory with how far loads lie apart; a dash where none is known. */
function withRange(
  value: number | null,
  shown: (value: number) => string,
  factor: number = LOADS_APART.factor,
): string {
  if (value === null) return '—';
  return `${shown(value)} (${shown(value / factor)} to ${shown(value * factor)})`;
}

function phWithRange(ph: number | null): string {
  if (ph === null) return '—';
  const [low, likely, high] = [ph - LOADS_APART.ph, ph, ph + LOADS_APART.ph].map((one) =>
    formatFixed(one, 1),
  );
  return `${likely} (${low} to ${high})`;
}

type Fact = readonly [name: string, of: (row: MaterialRow) => string];

/** What is told of a material, by name. */
export const factsFor = (measures: Measures): Fact[] => [
  ['kind', ({ material }) => KIND_WORDS[material.kind]],
  ['in the first season', ({ material }) => EFFECT_WORDS[effectOf(material)]],
  ['C:N', ({ material }) => ratioOf(material)],
  [
    'usual C:N',
    ({ library }) =>
      library?.carbonToNitrogenRange ? library.carbonToNitrogenRange.map(ratioFigure).join(' to ') : '—',
  ],
  ['carbon, % of dry', ({ material }) => share(material.carbonFractionDryBasis)],
  ['nitrogen, % of dry', ({ material }) => share(material.nitrogenFractionDryBasis)],
  ['of it ready (ammonium, urea)', ({ material }) => formatPercent(material.ammoniumShareOfNitrogen)],
  ['phosphorus, % of dry', ({ phosphorusFraction }) => withRange(phosphorusFraction || null, share)],
  ['potassium, % of dry', ({ potassiumFraction }) => withRange(potassiumFraction || null, share)],
  ['calcium, % of dry', ({ chemistry: { calcium } }) => withRange(calcium, share)],
  ['magnesium, % of dry', ({ chemistry: { magnesium } }) => withRange(magnesium, share)],
  [
    'salts in five parts of water, dS/m',
    ({ chemistry }) => withRange(chemistry.saltsDSPerM, (one) => plainFigure(one, 2)),
  ],
  ['pH', ({ chemistry: { ph } }) => phWithRange(ph)],
  ['water', ({ material }) => formatPercent(material.moistureFractionWetBasis)],
  [
    'usual water',
    ({ library }) =>
      library
        ? `${formatPercent(library.moistureRange[0])} to ${formatPercent(library.moistureRange[1])}`
        : '—',
  ],
  [
    'bulk density',
    ({ material }) => withRange(material.bulkDensityKgPerM3, measures.density, LOADS_APART.densityFactor),
  ],
  ['pieces', ({ material }) => material.particleSize],
  ...POOLS.map(([pool, words]): Fact => [
    words,
    ({ material }) => (material.carbonFractionDryBasis > 0 ? formatPercent(material.pools[pool]) : '—'),
  ]),
  [
    `nitrogen in ${BUCKET_OF[measures.system].words}`,
    ({ material }) => measures.nitrogen(bucketHolds(material, BUCKET_OF[measures.system].litres).nitrogenG),
  ],
];
