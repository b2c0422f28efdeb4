import type { ClimateNormals } from '../../records/garden.ts';
import type { DemoBed } from './demo-beds.ts';

/** Hot wet summers around the turn of the year, dry mild winters. Invented. */
export const SOUTHERN_CLIMATE: ClimateNormals = {
  temperatureC: [25, 25, 24, 21, 18, 16, 15, 16, 18, 21, 23, 24],
  rainMm: [160, 170, 140, 90, 75, 65, 55, 40, 35, 75, 100, 135],
  evapotranspirationMm: [150, 125, 120, 90, 65, 50, 55, 75, 105, 125, 140, 155],
};

/** What grows in that garden, whose spring is in September. Invented. */
export const SOUTHERN_BEDS: readonly DemoBed[] = [
  {
    bed: {
      name: 'Runner Terrace',
      kind: 'annual',
      areaM2: 8,
      organicMatterPct: 3.2,
      clayPct: 14,
      rootZoneCm: 30,
      isWatered: true,
    },
    laid: [
      { on: [-2, '09-28'], material: 'compost_yard', amount: 2, unit: 'cm' },
      { on: [-1, '04-02'], material: 'sugarcane_trash', amount: 8, unit: 'cm', note: 'After the lifting.' },
      { on: [-1, '09-30'], material: 'compost_yard', amount: 2, unit: 'cm' },
      { on: [0, '04-05'], material: 'sugarcane_trash', amount: 8, unit: 'cm' },
      { on: [0, '10-01'], material: 'compost_yard', amount: 2, unit: 'cm' },
    ],
    grown: [
      { crop: 'sweet_potato', from: [-2, '10-10'], until: [-1, '03-20'] },
      { crop: 'sweet_potato', from: [-1, '10-12'], until: [0, '03-22'] },
      { crop: 'sweet_potato', from: [0, '10-12'], until: [1, '03-22'] },
    ],
  },
  {
    bed: {
      name: 'Lantern Bed',
      kind: 'annual',
      areaM2: 5,
      organicMatterPct: 2.6,
      clayPct: 32,
      rootZoneCm: 30,
      isWatered: true,
      ph: 5.8,
    },
    laid: [
      { on: [-1, '05-20'], material: 'rice_husk', amount: 6, unit: 'cm', dugDepthCm: 15 },
      { on: [0, '03-10'], material: 'compost_manure', amount: 1.5, unit: 'cm' },
      { on: [0, '06-15'], material: 'rice_husk', amount: 4, unit: 'cm' },
    ],
    fed: [{ on: [-1, '11-02'], nitrogenG: 24, note: 'Soybean meal, watered in.' }],
    grown: [
      { crop: 'okra', from: [-1, '09-25'], until: [0, '02-20'] },
      { crop: 'cowpea_cover', from: [0, '03-15'], until: [0, '06-10'] },
      { crop: 'okra', from: [0, '09-28'], until: [1, '02-24'] },
    ],
  },
  {
    bed: {
      name: 'Shade House',
      kind: 'raised',
      areaM2: 3,
      organicMatterPct: 6.5,
      clayPct: 10,
      rootZoneCm: 35,
      exposure: 'damp',
      isWatered: true,
    },
    laid: [
      { on: [-1, '09-10'], material: 'sugarcane_bagasse', amount: 5, unit: 'cm', dugDepthCm: 20 },
      { on: [0, '01-15'], material: 'banana_leaves', amount: 5, unit: 'cm' },
      { on: [0, '09-12'], material: 'compost_yard', amount: 3, unit: 'cm' },
    ],
    grown: [
      { crop: 'ginger', from: [-1, '09-20'], until: [0, '06-10'] },
      { crop: 'ginger', from: [0, '09-22'], until: [1, '06-12'] },
    ],
  },
];
