/** One draw, looked at as the plan says. Amounts per m2. */
export interface DrawnOutcome {
  /** Where each input came to lie in its range, in the order of `drawnInputs`. */
  readonly places: readonly number[];
  readonly availableG: readonly number[];
  readonly heldG: readonly number[];
  /** Null for a draw that was followed through the season only. */
  readonly organicMatterPct: readonly number[] | null;
  /** Share of their need the crops concerned miss for good; 0 when none is concerned. */
  readonly missedShare: number;
  readonly peakHeldG: number;
  readonly waterSavedMm: number;
  /** Logarithm of how well the draw explains all that was measured; 0 at best. */
  readonly logLikelihood: number;
  /** How fast the layers that were measured have rotted, per year, by layer. */
  readonly rotRates: Readonly<Record<string, number | null | undefined>>;
}
