import type { A } from './circle-a.ts';
export interface B {
  readonly a: A;
}
