import type { MixPurpose } from '../../../records/vocabulary.ts';
/** What a mix for a purpose should come to; null where it does not matter. */
export interface MixTarget {
  readonly purpose: MixPurpose;
  readonly carbonToNitrogen: readonly [low: number, high: number] | null;
  /** Wet basis. */
  readonly moisture: readonly [low: number, high: number] | null;
  /** Share of the volume that is air, at least. */
  readonly freeAir: number | null;
  readonly source: string;
}

export const MIX_TARGETS: Readonly<Record<MixPurpose, MixTarget>> = {
  hotCompost: {
    purpose: 'hotCompost',
    carbonToNitrogen: [25, 30],
    moisture: [0.5, 0.6],
    freeAir: 0.3,
    source: 'NRAES-54, On-Farm Composting Handbook: 25-30:1 and 50-60 % water preferred (from memory)',
  },
  fungalMulch: {
    purpose: 'fungalMulch',
    carbonToNitrogen: [40, 80],
    moisture: [0.45, 0.65],
    freeAir: 0.3,
    source: 'three woody to one green by volume (common practice, no source); what that comes to, set here',
  },
  sheetLayer: {
    purpose: 'sheetLayer',
    carbonToNitrogen: [25, 40],
    moisture: [0.5, 0.65],
    freeAir: null,
    source: 'browns and greens in layers of 5 cm (common practice, no source); range set here',
  },
  bedding: {
    purpose: 'bedding',
    carbonToNitrogen: [50, 1000],
    moisture: [0, 0.35],
    freeAir: 0.4,
    source: 'dry and high in carbon so that it drinks and binds (common practice, no source); range set here',
  },
  leafMould: {
    purpose: 'leafMould',
    carbonToNitrogen: [30, 80],
    moisture: [0.5, 0.65],
    freeAir: null,
    source: 'leaves alone, kept moist for one or two years (common practice, no source); range set here',
  },
  pottingMix: {
    purpose: 'pottingMix',
    carbonToNitrogen: [12, 25],
    moisture: [0.4, 0.6],
    freeAir: 0.2,
    source:
      'finished compost, leaf mould or coir, and something coarse (common practice, no source); C:N no wider than 25 so that nothing is locked up in the pot, set here',
  },
  open: { purpose: 'open', carbonToNitrogen: null, moisture: null, freeAir: null, source: 'no target' },
};
