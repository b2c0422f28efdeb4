const COLUMN_COUNT = 24;

function createColumns(column: () => Float64Array) {
  return {
    demandAtHarvest: column(),
    lengthDays: column(),
    rootDepthCm: column(),
    fixedShare: column(),
    deepShare: column(),
    // share of the growing time passed, 0 to 1
    progress: column(),
    // nitrogen, g/m2
    standingN: column(),
    demandedN: column(),
    takenN: column(),
    fixedN: column(),
    subsoilN: column(),
    shortN: column(),
    backlogN: column(),
    paleness: column(),
    palestSoFar: column(),
    paleDays: column(),
    // day number, 0 while it has not paled
    firstPaleDay: column(),
    // flags, 0 or 1
    isLegume: column(),
    isPerennial: column(),
    isAlive: column(),
    // scratch of a sub-step
    wanted: column(),
    got: column(),
    contactWeight: column(),
    reachInRootZone: column(),
  };
}

/** Crops in order of planting, one array per column over one buffer. */
export interface CropTable extends Readonly<ReturnType<typeof createColumns>> {
  count: number;
  /** No crop before this one is alive: what loops over the living starts here. */
  firstLiving: number;
  readonly values: Float64Array;
  readonly ids: string[];
}

export function createCropTable(capacity: number): CropTable {
  const values = new Float64Array(capacity * COLUMN_COUNT);
  let next = 0;
  const columns = createColumns(() => values.subarray(next, (next += capacity)));
  return Object.assign(columns, { count: 0, firstLiving: 0, values, ids: [] });
}

/** Makes `target` equal to `source`; both have the same capacity. Mutates target. */
export function copyCrops(source: CropTable, target: CropTable): void {
  target.values.set(source.values);
  target.count = source.count;
  target.firstLiving = source.firstLiving;
  target.ids.length = 0;
  target.ids.push(...source.ids);
}
