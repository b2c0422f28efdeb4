/** Twelve monthly normals, January first. */
export interface ClimateNormals {
  /** Mean air temperature, degrees C. */
  readonly temperatureC: readonly number[];
  /** Rain, mm per month. */
  readonly rainMm: readonly number[];
  /** Potential evapotranspiration of a green cover, mm per month. */
  readonly evapotranspirationMm: readonly number[];
}

/** True when June to August is colder than December to February. */
export function isSouthern({ temperatureC: t }: ClimateNormals): boolean {
  return t[5] + t[6] + t[7] < t[11] + t[0] + t[1];
}
