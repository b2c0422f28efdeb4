import { bucketHolds } from '../../../core/yard/index.ts';
import { type Material, carbonToNitrogenRatio, effectOf } from '../../../core/ground/index.ts';
import { formatPercent, plainFigure } from '../../../words/figures.ts';
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

type Fact = readonly [name: string, of: (row: MaterialRow) => string];

/** What is told of a material, by name. */
export const factsFor = (measures: Measures): Fact[] => [
  ['kind', ({ material }) => KIND_WORDS[material.kind]],
  ['in the first season', ({ material }) => EFFECT_WORDS[effectOf(material)]],
  ['C:N', ({ material }) => ratioOf(material)],
  ['carbon, % of dry', ({ material }) => share(material.carbonFractionDryBasis)],
  ['nitrogen, % of dry', ({ material }) => share(material.nitrogenFractionDryBasis)],
  ['of it ready (ammonium, urea)', ({ material }) => formatPercent(material.ammoniumShareOfNitrogen)],
  ['phosphorus, % of dry', ({ phosphorusFraction }) => share(phosphorusFraction)],
  ['potassium, % of dry', ({ potassiumFraction }) => share(potassiumFraction)],
  ['water', ({ material }) => formatPercent(material.moistureFractionWetBasis)],
  [
    'usual water',
    ({ library }) =>
      library
        ? `${formatPercent(library.moistureRange[0])} to ${formatPercent(library.moistureRange[1])}`
        : '—',
  ],
  ['bulk density', ({ material }) => measures.density(material.bulkDensityKgPerM3)],
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
