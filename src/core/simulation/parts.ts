/**
 * A cohort is decomposed in parts that differ in place: where they may draw nitrogen from and where they
 * give it to. This table holds the parts of one sub-step and their requests; it carries nothing over.
 */
export interface Parts {
  count: number;
  readonly cohort: Int32Array;
  readonly share: Float64Array;
  readonly decayClass: Int32Array;
  /** Mineral account it gives to. */
  readonly releasesTo: Int32Array;
  // potentials, g/m2 in the sub-step
  readonly quickC: Float64Array;
  readonly structuralC: Float64Array;
  readonly woodyC: Float64Array;
  readonly quickN: Float64Array;
  readonly structuralN: Float64Array;
  readonly woodyN: Float64Array;
  readonly microbialC: Float64Array;
  readonly microbialN: Float64Array;
  readonly humifiedN: Float64Array;
  readonly turnedN: Float64Array;
  readonly growthC: Float64Array;
  readonly demandN: Float64Array;
  readonly supplyN: Float64Array;
  readonly need: Float64Array;
  readonly got: Float64Array;
  // requests: two slots per part, chained by account
  readonly firstRequest: Int32Array;
  readonly nextRequest: Int32Array;
  readonly reach: Float64Array;
  readonly gain: Float64Array;
  readonly cap: Float64Array;
  readonly asked: Float64Array;
}

export const NO_REQUEST = -1;
export const REQUESTS_PER_PART = 2;

export function createParts(capacity: number, accountCount: number): Parts {
  const floats = () => new Float64Array(capacity);
  const requests = () => new Float64Array(capacity * REQUESTS_PER_PART);
  return {
    count: 0,
    cohort: new Int32Array(capacity),
    share: floats(),
    decayClass: new Int32Array(capacity),
    releasesTo: new Int32Array(capacity),
    quickC: floats(),
    structuralC: floats(),
    woodyC: floats(),
    quickN: floats(),
    structuralN: floats(),
    woodyN: floats(),
    microbialC: floats(),
    microbialN: floats(),
    humifiedN: floats(),
    turnedN: floats(),
    growthC: floats(),
    demandN: floats(),
    supplyN: floats(),
    need: floats(),
    got: floats(),
    firstRequest: new Int32Array(accountCount).fill(NO_REQUEST),
    nextRequest: new Int32Array(capacity * REQUESTS_PER_PART),
    reach: requests(),
    gain: requests(),
    cap: requests(),
    asked: requests(),
  };
}

/** Starts a new part and returns its index. Mutates parts. */
export function addPart(
  parts: Parts,
  cohort: number,
  share: number,
  decayClass: number,
  releasesTo: number,
): number {
  const part = parts.count++;
  parts.cohort[part] = cohort;
  parts.share[part] = share;
  parts.decayClass[part] = decayClass;
  parts.releasesTo[part] = releasesTo;
  return part;
}

/** Lets a part draw on an account: slot 0 or 1, at most `cap` g, asking `gain` of its need. Mutates parts. */
export function allowDraw(
  parts: Parts,
  part: number,
  slot: 0 | 1,
  account: number,
  reach: number,
  gain: number,
  cap: number,
): void {
  const request = part * REQUESTS_PER_PART + slot;
  parts.reach[request] = reach;
  parts.gain[request] = gain;
  parts.cap[request] = cap;
  parts.nextRequest[request] = parts.firstRequest[account]!;
  parts.firstRequest[account] = request;
}

/** Empties the table. Mutates parts. */
export function clearParts(parts: Parts): void {
  parts.count = 0;
  parts.firstRequest.fill(NO_REQUEST);
}
