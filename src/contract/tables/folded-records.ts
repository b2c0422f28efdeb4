/** Records that have a shape of their own by type, laid out in one row, and back. */

type Flat = Record<string, unknown>;

/** The one figure or word that an observation of this type is about. */
const VALUE_OF: Readonly<Record<string, string>> = {
  leafColor: 'step',
  growth: 'vigor',
  threads: 'amount',
  worms: 'count',
  thickness: 'thicknessCm',
  smell: 'smell',
  squeeze: 'squeeze',
  waterBehavior: 'behavior',
  hours: 'hours',
  soilTemperature: 'temperatureC',
  yield: 'massKg',
};
const IN_FIGURES = new Set(['leafColor', 'worms', 'thickness', 'hours', 'soilTemperature', 'yield']);

export function observationCells(record: object): object {
  const { observed, ...common } = record as { observed: Flat };
  const type = String(observed['type']);
  const field = VALUE_OF[type];
  const signs = Array.isArray(observed['signs']) ? observed['signs'].join(' ') : '';
  const { morePhotoIds } = common as { readonly morePhotoIds?: readonly string[] | null };
  return {
    ...common,
    type,
    value: field === undefined ? signs : observed[field],
    layerId: observed['layerId'],
    beganOn: observed['beganOn'],
    morePhotoIds: morePhotoIds?.join(' '),
  };
}

const asFigure = (value: unknown): unknown => {
  const figure = Number(String(value).replace(',', '.'));
  return String(value).trim() !== '' && Number.isFinite(figure) ? figure : value;
};

function observedOf(type: string, { value, layerId, beganOn }: Flat): Flat {
  if (type === 'note') return { type };
  if (type === 'signs') {
    const signs = typeof value === 'string' ? value.split(/[\s;,]+/).filter((sign) => sign !== '') : [];
    return { type, signs, beganOn };
  }
  const field = VALUE_OF[type];
  if (field === undefined) return { type };
  const said = { type, [field]: IN_FIGURES.has(type) ? asFigure(value) : value };
  return type === 'thickness' ? { ...said, layerId } : said;
}

export function asObservation({ type, value, layerId, beganOn, morePhotoIds, ...common }: Flat): object {
  const observed = observedOf(typeof type === 'string' ? type : '', {
    value,
    layerId: layerId ?? null,
    beganOn: beganOn ?? null,
  });
  const more = typeof morePhotoIds === 'string' ? morePhotoIds.split(/\s+/).filter((one) => one !== '') : [];
  return { ...common, ...(more.length > 0 ? { morePhotoIds: more } : {}), kind: 'observation', observed };
}

/** Fields of stock postings that have a column of their own; all others of a type go together. */
const MOVEMENT_COLUMNS = new Set([
  'lotId',
  'type',
  'state',
  'date',
  'materialId',
  'amount',
  'unit',
  'moistureFractionWetBasis',
  'bulkDensityKgPerM3',
  'seasonedMonths',
  'toLotId',
  'reason',
  'temperatureC',
  'waterL',
]);
export const hasMovementColumn = (field: string): boolean => MOVEMENT_COLUMNS.has(field);
const IN_EVERY_TABLE = new Set(['id', 'note']);
const STAMPS = new Set(['version', 'createdAt', 'updatedAt', 'gardenId']);

export function movementCells(record: object): object {
  const fields = Object.entries(record).filter(([field]) => !STAMPS.has(field));
  const isOwn = ([field]: [string, unknown]) => hasMovementColumn(field) || IN_EVERY_TABLE.has(field);
  const details = Object.fromEntries(fields.filter((one) => !isOwn(one)));
  const flat = Object.fromEntries(fields.filter(isOwn));
  return Object.keys(details).length > 0 ? { ...flat, details } : flat;
}

/** Fields that a type must name even when there is nothing to say. */
const MOVEMENT_EMPTY: Readonly<Record<string, Flat>> = {
  receive: { moistureFractionWetBasis: null, bulkDensityKgPerM3: null, seasonedMonths: 0 },
  reading: {
    temperatureC: null,
    moistureFractionWetBasis: null,
    bulkDensityKgPerM3: null,
    carbonFractionDryBasis: null,
    nitrogenFractionDryBasis: null,
  },
};

export function asMovement({ details, ...flat }: Flat): object {
  const more = typeof details === 'object' && details !== null ? details : {};
  return { ...MOVEMENT_EMPTY[String(flat['type'])], ...more, ...flat };
}

const ENTRY_EMPTY: Readonly<Record<string, Flat>> = {
  lay: { dugDepthCm: 0, seasonedMonths: 0 },
  dig: { layerId: null },
};

/** A row of the entries; what is laid lies on top unless the row says how deep. */
export const asEntry = (flat: Flat): object => ({ ...ENTRY_EMPTY[String(flat['type'])], ...flat });
