import type { B } from './circle-b.ts';
export interface A {
  readonly b: B;
}
