export interface Names {
  readonly bed: (id: string) => string;
  readonly pile: (id: string) => string;
}
