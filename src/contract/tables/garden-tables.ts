import { STARTS_AS } from '../../core/crops/crop-library.ts';
import { EXPOSURES } from '../../core/materials/material.ts';
import { CUTTING_SEASONS } from '../../core/materials/wood-chips.ts';
import { BED_KINDS, CROPPING_BEFORE, RECORD_STATES } from '../../core/records/bed-records.ts';
import { KEEPINGS } from '../../core/stock/keeping.ts';
import { LOT_FORMS } from '../../core/stock/stock-records.ts';
import { AMOUNT_UNITS } from '../../core/units/amount.ts';
import { SOIL_NITROGEN_UNITS } from '../../core/units/soil-nitrogen.ts';
import type { CollectionName } from '../garden-file.ts';
import type { Column } from './column.ts';
import { asEntry, asMovement, asObservation, movementCells, observationCells } from './folded-records.ts';
import { AMOUNT_UNIT_WORDS } from './unit-words.ts';

/** A kind of record as rows and columns. */
export interface Table {
  readonly id: string;
  readonly title: string;
  readonly collection: CollectionName;
  readonly columns: readonly Column[];
  /** Only records of the collection that belong into this table. */
  readonly holds?: (record: object) => boolean;
  /** Where a record has more shapes than a row: flat for the row, and back. */
  readonly unfold?: (record: object) => object;
  readonly fold?: (flat: Record<string, unknown>) => object;
}

const ID: Column = { field: 'id', header: 'id', kind: 'text' };
const NOTE: Column = {
  field: 'note',
  header: 'note',
  kind: 'text',
  also: ['notes', 'remark', 'comment'],
  empty: '',
};
const DATE: Column = { field: 'date', header: 'date', kind: 'date', also: ['day', 'when', 'on'] };
const STATE: Column = {
  field: 'state',
  header: 'state',
  kind: 'code',
  codes: RECORD_STATES,
  also: ['status'],
  empty: 'laid',
};
const BED: readonly Column[] = [
  { field: 'bedId', header: 'bed_id', kind: 'bed' },
  { field: 'bedId', header: 'bed', kind: 'bed', also: ['plot', 'where', 'bed name'], isName: true },
];
const MATERIAL: readonly Column[] = [
  { field: 'materialId', header: 'material_id', kind: 'material' },
  {
    field: 'materialId',
    header: 'material',
    kind: 'material',
    also: ['what', 'stuff', 'mulch'],
    isName: true,
  },
];
const LOT: readonly Column[] = [
  { field: 'lotId', header: 'lot_id', kind: 'lot' },
  { field: 'lotId', header: 'lot', kind: 'lot', also: ['pile', 'heap', 'lot name'], isName: true },
];
const AMOUNT: readonly Column[] = [
  {
    field: 'amount',
    header: 'amount',
    kind: 'number',
    also: ['quantity', 'how much', 'weight', 'mass', 'volume', 'thickness'],
  },
  {
    field: 'unit',
    header: 'unit',
    kind: 'code',
    codes: [...AMOUNT_UNITS, ...SOIL_NITROGEN_UNITS],
    codeWords: AMOUNT_UNIT_WORDS,
    also: ['units'],
  },
];
const number = (field: string, header: string, more: Partial<Column> = {}): Column => ({
  field,
  header,
  kind: 'number',
  ...more,
});
const depth = (field: string, header: string, more: Partial<Column> = {}): Column =>
  number(field, header, { quantity: 'length', ...more });
const share = (field: string, header: string, more: Partial<Column> = {}): Column =>
  number(field, header, { quantity: 'share', ...more });
const flag = (field: string, header: string, more: Partial<Column> = {}): Column => ({
  field,
  header,
  kind: 'boolean',
  ...more,
});

const kindIs = (kind: string) => (record: object) => (record as { kind?: unknown }).kind === kind;

export const GARDEN_TABLES: readonly Table[] = [
  {
    id: 'beds',
    title: 'Beds',
    collection: 'beds',
    columns: [
      ID,
      { field: 'name', header: 'name', kind: 'text', also: ['bed', 'bed name'] },
      { field: 'kind', header: 'kind', kind: 'code', codes: BED_KINDS, also: ['type'], empty: 'annual' },
      number('areaM2', 'area_m2', { quantity: 'area', also: ['area', 'size'] }),
      number('organicMatterPct', 'organic_matter_pct', { also: ['organic matter', 'som', 'om'] }),
      number('bulkDensityGPerCm3', 'bulk_density_g_per_cm3', { also: ['bulk density'], empty: 1.2 }),
      number('clayPct', 'clay_pct', { also: ['clay'] }),
      depth('rootZoneCm', 'root_zone_cm', { also: ['root zone', 'root depth'], empty: 30 }),
      { field: 'exposure', header: 'exposure', kind: 'code', codes: EXPOSURES, empty: 'normal' },
      flag('isWatered', 'is_watered', { also: ['watered', 'irrigated'], empty: true }),
      { field: 'startedOn', header: 'started_on', kind: 'date', also: ['made on', 'since'], empty: null },
      number('ph', 'ph', { empty: null }),
      {
        field: 'croppingBefore',
        header: 'cropping_before',
        kind: 'code',
        codes: CROPPING_BEFORE,
        empty: 'unknown',
      },
      flag('learnsFromLog', 'learns_from_log', { empty: true }),
      { field: 'outline', header: 'outline_json', kind: 'json', empty: null },
      NOTE,
    ],
  },
  {
    id: 'entries',
    title: 'Entries: laid, dug, fed, tested, watered',
    collection: 'entries',
    columns: [
      ID,
      ...BED,
      {
        field: 'type',
        header: 'type',
        kind: 'code',
        codes: ['lay', 'dig', 'takeOff', 'feed', 'soilTest', 'water'],
        also: ['act', 'action'],
        empty: 'lay',
      },
      STATE,
      DATE,
      ...MATERIAL,
      ...LOT,
      ...AMOUNT,
      number('massFreshKg', 'mass_fresh_kg', { isDerived: true }),
      number('seasonedMonths', 'seasoned_months', { also: ['seasoned', 'age in months'] }),
      depth('dugDepthCm', 'dug_depth_cm', { also: ['depth', 'dug depth', 'dug in', 'depth dug'] }),
      { field: 'layerId', header: 'layer_id', kind: 'text' },
      share('shareTakenOff', 'share_taken_off'),
      share('humusShareTakenOff', 'humus_share_taken_off'),
      number('nitrogenG', 'nitrogen_g', { also: ['nitrogen', 'n', 'n g'] }),
      depth('sampledDepthCm', 'sampled_depth_cm', { also: ['sampled depth', 'sampling depth'] }),
      number('ph', 'ph'),
      number('organicMatterPct', 'organic_matter_pct', { also: ['organic matter', 'som'] }),
      number('waterMm', 'water_mm', { quantity: 'water', also: ['water', 'watering'] }),
      NOTE,
    ],
    fold: asEntry,
  },
  {
    id: 'plantings',
    title: 'Plantings',
    collection: 'plantings',
    columns: [
      ID,
      ...BED,
      STATE,
      { field: 'cropId', header: 'crop_id', kind: 'crop' },
      { field: 'cropId', header: 'crop', kind: 'crop', also: ['plant', 'what'], isName: true },
      {
        field: 'plantedOn',
        header: 'planted_on',
        kind: 'date',
        also: ['planted', 'sown', 'sown on', 'date'],
      },
      {
        field: 'clearedOn',
        header: 'cleared_on',
        kind: 'date',
        also: ['cleared', 'harvested', 'until'],
        empty: null,
      },
      number('nitrogenDemandGPerM2', 'nitrogen_demand_g_per_m2', { also: ['nitrogen demand'] }),
      depth('rootDepthCm', 'root_depth_cm', { also: ['root depth'] }),
      { field: 'startsAs', header: 'starts_as', kind: 'code', codes: STARTS_AS, also: ['start'] },
      share('areaShare', 'area_share', { empty: 1 }),
      flag('isUndersown', 'is_undersown', { empty: false }),
      NOTE,
    ],
  },
  {
    id: 'observations',
    title: 'Observations',
    collection: 'journal',
    holds: kindIs('observation'),
    columns: [
      ID,
      DATE,
      ...BED,
      { field: 'type', header: 'type', kind: 'text', also: ['observed', 'observation', 'what'] },
      { field: 'value', header: 'value', kind: 'text', also: ['reading', 'result', 'figure'], empty: '' },
      { field: 'layerId', header: 'layer_id', kind: 'text', empty: null },
      { field: 'beganOn', header: 'began_on', kind: 'date', empty: null },
      { field: 'plantingId', header: 'planting_id', kind: 'text', empty: null },
      { field: 'photoId', header: 'photo_id', kind: 'text', empty: null },
      NOTE,
    ],
    unfold: observationCells,
    fold: asObservation,
  },
  {
    id: 'weather',
    title: 'Weather',
    collection: 'weather',
    columns: [
      DATE,
      number('temperatureC', 'temperature_c', {
        quantity: 'temperature',
        also: ['temperature', 'temp', 'mean temperature', 'tavg', 't mean'],
      }),
      number('rainMm', 'rain_mm', {
        quantity: 'water',
        also: ['rain', 'precipitation', 'rainfall', 'precip'],
      }),
      number('evapotranspirationMm', 'evapotranspiration_mm', {
        quantity: 'water',
        also: ['evapotranspiration', 'et0', 'et', 'pet', 'evaporation'],
        empty: null,
      }),
    ],
  },
  {
    id: 'lab-results',
    title: 'Laboratory results of materials',
    collection: 'labResults',
    columns: [
      ID,
      ...MATERIAL,
      DATE,
      { field: 'laboratory', header: 'laboratory', kind: 'text', also: ['lab'], empty: '' },
      share('moistureFractionWetBasis', 'moisture_share_wet_basis', {
        also: ['moisture', 'water'],
        empty: null,
      }),
      share('carbonFractionDryBasis', 'carbon_share_dry_basis', {
        also: ['carbon', 'c', 'total carbon'],
        empty: null,
      }),
      share('nitrogenFractionDryBasis', 'nitrogen_share_dry_basis', {
        also: ['nitrogen', 'n', 'total nitrogen'],
        empty: null,
      }),
      share('ammoniumShareOfNitrogen', 'ammonium_share_of_nitrogen', { also: ['ammonium'], empty: null }),
      number('bulkDensityKgPerM3', 'bulk_density_kg_per_m3', {
        also: ['bulk density', 'density'],
        empty: null,
      }),
      NOTE,
    ],
  },
  {
    id: 'materials',
    title: 'Materials of your own',
    collection: 'materials',
    columns: [
      ID,
      { field: 'name', header: 'name', kind: 'text', also: ['material'] },
      { field: 'basis.type', header: 'basis', kind: 'code', codes: ['chips', 'figures'], empty: 'figures' },
      {
        field: 'basis.likeMaterialId',
        header: 'like_material_id',
        kind: 'material',
        also: ['like', 'similar to'],
      },
      share('basis.moistureFractionWetBasis', 'moisture_share_wet_basis', { also: ['moisture'] }),
      share('basis.carbonFractionDryBasis', 'carbon_share_dry_basis', { also: ['carbon', 'c'] }),
      share('basis.nitrogenFractionDryBasis', 'nitrogen_share_dry_basis', { also: ['nitrogen', 'n'] }),
      number('basis.bulkDensityKgPerM3', 'bulk_density_kg_per_m3', { also: ['bulk density', 'density'] }),
      depth('basis.branchDiameterCm', 'branch_diameter_cm', { also: ['branch diameter'] }),
      share('basis.leafShare', 'leaf_share', { also: ['leaf'] }),
      share('basis.coniferShare', 'conifer_share', { also: ['conifer'] }),
      share('basis.barkShare', 'bark_share', { also: ['bark'] }),
      { field: 'basis.season', header: 'season', kind: 'code', codes: CUTTING_SEASONS },
      NOTE,
    ],
  },
  {
    id: 'lots',
    title: 'Stock: piles and bags',
    collection: 'lots',
    columns: [
      ID,
      { field: 'name', header: 'name', kind: 'text', also: ['lot', 'pile', 'heap'] },
      { field: 'form', header: 'form', kind: 'code', codes: LOT_FORMS },
      { field: 'keeping', header: 'keeping', kind: 'code', codes: KEEPINGS },
      flag('isTurned', 'is_turned', { empty: false }),
      flag('isHot', 'is_hot', { empty: false }),
      number('reserveL', 'reserve_l', { also: ['reserve'], empty: 0 }),
      NOTE,
    ],
  },
  {
    id: 'stock-postings',
    title: 'Stock: what came and went',
    collection: 'movements',
    columns: [
      ID,
      ...LOT,
      {
        field: 'type',
        header: 'type',
        kind: 'code',
        codes: [
          'receive',
          'make',
          'move',
          'takeOut',
          'stocktake',
          'keep',
          'turn',
          'water',
          'reading',
          'sign',
          'burn',
          'crush',
        ],
        empty: 'receive',
      },
      STATE,
      DATE,
      ...MATERIAL,
      ...AMOUNT,
      share('moistureFractionWetBasis', 'moisture_share_wet_basis', { also: ['moisture'] }),
      number('bulkDensityKgPerM3', 'bulk_density_kg_per_m3', { also: ['bulk density', 'density'] }),
      number('seasonedMonths', 'seasoned_months', { also: ['seasoned'] }),
      { field: 'toLotId', header: 'to_lot_id', kind: 'lot', also: ['to', 'to lot'] },
      { field: 'reason', header: 'reason', kind: 'text' },
      number('temperatureC', 'temperature_c', { quantity: 'temperature', also: ['temperature'] }),
      number('waterL', 'water_l', { also: ['water'] }),
      { field: 'details', header: 'details_json', kind: 'json' },
      NOTE,
    ],
    unfold: movementCells,
    fold: asMovement,
  },
];

export const findTable = (id: string): Table | undefined => GARDEN_TABLES.find((table) => table.id === id);
