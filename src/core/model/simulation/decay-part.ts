/** Where mineral nitrogen lies that decomposers may draw on. A pile's common account is one of layers. */
export type MineralPlace = 'layers' | 'contactZone' | 'rootZone';

/** Mineral nitrogen of one place, and who asks for it in the current sub-step. */
export class MineralAccount {
  readonly place: MineralPlace;
  /** g/m2 in a bed, g in a pile. */
  nitrogenG = NaN;
  /** The last request made; the others hang on it. */
  requests: DrawRequest | null = null;

  constructor(place: MineralPlace, nitrogenG = 0) {
    this.place = place;
    this.nitrogenG = nitrogenG;
  }
}

/** What one part of a cohort asks of one account in a sub-step. */
export class DrawRequest {
  readonly part: DecayPart;
  account: MineralAccount | null = null;
  /** Share of the account it may draw on, 0 to 1. */
  reach = NaN;
  /** Share of its need it may ask for here, 0 to 1. */
  gain = NaN;
  /** Most it may ask for here, g. */
  cap = NaN;
  asked = NaN;
  paid = NaN;
  next: DrawRequest | null = null;

  constructor(part: DecayPart) {
    this.part = part;
  }
}

/**
 * A cohort is decomposed in two parts that differ in place: where they may draw nitrogen and where they give it.
 * What a part would lose, grow and need in the current sub-step, g; nothing is carried over. The fields start as NaN
 * so that engines keep them as plain doubles.
 */
export class DecayPart {
  share = NaN;
  quickC = NaN;
  structuralC = NaN;
  woodyC = NaN;
  quickN = NaN;
  structuralN = NaN;
  woodyN = NaN;
  microbialC = NaN;
  microbialN = NaN;
  /** Of the dying biomass: nitrogen that stays in humus. */
  humifiedN = NaN;
  /** Nitrogen its growth wants beyond its own supply and turnover; what it sets free is negative. */
  need = NaN;
  got = NaN;
  /** On the account it lies in, and on the one beneath it. */
  readonly first = new DrawRequest(this);
  readonly second = new DrawRequest(this);
}

/** Hangs a request on an account. Mutates both. */
export function askNitrogen(
  one: DrawRequest,
  account: MineralAccount,
  reach: number,
  gain: number,
  cap: number,
): void {
  one.account = account;
  one.reach = reach;
  one.gain = gain;
  one.cap = cap;
  one.next = account.requests;
  account.requests = one;
}
