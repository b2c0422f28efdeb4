export interface GoodBefore {
  /** Whether the check was good with all files as they are now. */
  readonly isGood: boolean;
  keep(): void;
}

export function goodBefore(folder: string, check: string, isRead?: (name: string) => boolean): GoodBefore;
