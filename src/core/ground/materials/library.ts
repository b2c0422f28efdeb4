import rows from './library.json' with { type: 'json' };
import { OTHER_NAMES } from './material-names.ts';
import { MATERIAL_LINES } from './material-table.ts';
import {
  type LibraryMaterial,
  MATERIAL_DEFAULTS,
  type MaterialKind,
  type MaterialTrait,
  type ParticleSize,
} from './material.ts';
import { poolsByLignin } from './pools-by-lignin.ts';

/** How far a material lies apart in moisture, as a share of wet mass, and in its C:N, as a factor (set here). */
const MOISTURE_APART = 0.15;
const CARBON_TO_NITROGEN = { low: 0.65, high: 1.5 } as const;
const SOURCE =
  'orders of magnitude of compost, feed and manure tables; pools by lignin and nitrogen (from memory)';

const share = (percent: string): number => Number(percent) / 100;

function materialOfLine(cells: readonly string[]): LibraryMaterial {
  const [
    id,
    name,
    others,
    kind,
    moisture,
    carbon,
    nitrogen,
    ammonium,
    density,
    lignin,
    humus,
    ,
    ,
    size,
    decay,
    exposed,
    traits,
  ] = cells;
  const moistureFractionWetBasis = Number(moisture);
  const [carbonFractionDryBasis, nitrogenFractionDryBasis] = [share(carbon), share(nitrogen)];
  const ratio = carbonFractionDryBasis / nitrogenFractionDryBasis;
  return {
    ...MATERIAL_DEFAULTS,
    id,
    name,
    synonyms: others.split(', '),
    kind: kind as MaterialKind,
    moistureFractionWetBasis,
    carbonFractionDryBasis,
    nitrogenFractionDryBasis,
    ammoniumShareOfNitrogen: Number(ammonium),
    bulkDensityKgPerM3: Number(density),
    pools: poolsByLignin({
      carbonFractionDryBasis,
      nitrogenFractionDryBasis,
      ligninFractionDryBasis: share(lignin),
      humusShare: Number(humus),
    }),
    particleSize: size as ParticleSize,
    decayFactor: Number(decay),
    ammoniaExposure: Number(exposed),
    ...(traits === '' ? {} : { traits: traits.split(' ') as MaterialTrait[] }),
    moistureRange: [
      Math.max(0, moistureFractionWetBasis - MOISTURE_APART),
      Math.min(0.98, moistureFractionWetBasis + MOISTURE_APART),
    ],
    carbonToNitrogenRange:
      carbonFractionDryBasis > 0 ? [CARBON_TO_NITROGEN.low * ratio, CARBON_TO_NITROGEN.high * ratio] : null,
    source: SOURCE,
  };
}

/**
 * The library. Moisture, carbon, nitrogen and bulk density of a row of library.json come from its `source`, all from memory;
 * its pool shares and decay factors are calibrated (tests/anchors). Rows of the table have pools by their lignin and nitrogen.
 */
export const MATERIAL_LIBRARY: readonly LibraryMaterial[] = [
  ...(rows as unknown as readonly Omit<LibraryMaterial, 'synonyms'>[]).map((row) => ({
    ...row,
    synonyms: OTHER_NAMES[row.id]?.split(', ') ?? [],
  })),
  ...MATERIAL_LINES.map(materialOfLine),
];

const byId = new Map(MATERIAL_LIBRARY.map((material) => [material.id, material]));

export const findLibraryMaterial = (id: string): LibraryMaterial | undefined => byId.get(id);
