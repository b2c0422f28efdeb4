import type { ClimateNormals } from '../../../records/garden.ts';

export interface ClimatePattern extends ClimateNormals {
  readonly id: string;
  readonly name: string;
  readonly source: string;
}

/** Typical climates to start from; a gardener replaces them with twelve months of their own. */
export const CLIMATE_PATTERNS: readonly ClimatePattern[] = [
  {
    id: 'cool_temperate',
    name: 'Cool and even (lowland north-west Europe)',
    source: 'Rothamsted monthly means of the RothC-26.3 manual, open-pan evaporation x 0.75 (from memory)',
    temperatureC: [3.4, 3.6, 5.1, 7.3, 11.0, 13.9, 16.0, 16.0, 13.5, 10.2, 6.1, 4.6],
    rainMm: [74, 59, 62, 51, 52, 57, 34, 55, 58, 56, 75, 71],
    evapotranspirationMm: [6, 7.5, 20, 37, 62, 74, 77, 68, 52, 25.5, 12, 6],
  },
  {
    id: 'mild_maritime',
    name: 'Mild and maritime, dry summer',
    source: 'invented, typical of a mild oceanic coast',
    temperatureC: [5, 6.5, 8.5, 11, 14.5, 17.5, 20.5, 20.5, 17.5, 12.5, 8, 5],
    rainMm: [125, 95, 95, 70, 60, 40, 15, 18, 38, 85, 145, 150],
    evapotranspirationMm: [15, 24, 45, 68, 98, 117, 145, 125, 80, 43, 19, 13],
  },
  {
    id: 'cold_continental',
    name: 'Cold winter, short summer',
    source: 'invented, typical of the northern interior',
    temperatureC: [-4, -4, -1, 4, 10, 15, 17, 16, 11, 6.5, 1.5, -2.5],
    rainMm: [36, 27, 26, 29, 33, 45, 65, 60, 52, 48, 48, 41],
    evapotranspirationMm: [3, 6, 20, 45, 80, 95, 90, 70, 38, 16, 5, 3],
  },
  {
    id: 'southern_temperate',
    name: 'Southern hemisphere, temperate',
    source: 'invented: the mild maritime pattern moved by half a year, with more even rain',
    temperatureC: [20, 20, 17.5, 13.5, 10, 7, 6.5, 7.5, 10, 13, 15.5, 18],
    rainMm: [45, 45, 55, 60, 75, 85, 85, 75, 65, 60, 55, 50],
    evapotranspirationMm: [140, 118, 85, 50, 28, 16, 18, 30, 50, 80, 108, 130],
  },
];
