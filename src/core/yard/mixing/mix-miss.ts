/** A figure to come to, and how far off it may be. */
export interface Aim {
  readonly aim: number;
  readonly tolerance: number;
}

/** What a mix could not be brought to. */
export type MixMiss =
  | { readonly what: 'carbonToNitrogen'; readonly is: number | null; readonly aim: Aim }
  | { readonly what: 'moisture'; readonly is: number; readonly aim: Aim }
  | { readonly what: 'bulkDensity'; readonly is: number; readonly aim: Aim }
  | { readonly what: 'volume'; readonly isL: number; readonly wantedL: number }
  | { readonly what: 'cost'; readonly is: number; readonly most: number };
