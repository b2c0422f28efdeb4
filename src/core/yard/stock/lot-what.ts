import { findLibraryMaterial, hasTrait, type MaterialKind } from '../../ground/index.ts';
import { isEmpty, type LotContents } from './lot-contents.ts';
import { isLeafMould, LEAF_MOULD } from './nearest-material.ts';
import { bodyOf, isMature, isMix, kindOf } from './lot-figures.ts';

/** What a lot has become, as a gardener would name it. */
export interface LotWhat {
  readonly what:
    | { readonly code: 'material'; readonly materialId: string }
    | { readonly code: 'finishedCompost' }
    | { readonly code: 'mix' }
    | { readonly code: 'kind'; readonly kind: MaterialKind };
  /** There is char in it besides. */
  readonly hasChar: boolean;
}

/** Kinds that say too little of a thing by themselves: it goes by its material. */
const BY_MATERIAL: ReadonlySet<MaterialKind> = new Set(['compost', 'fertiliser', 'none']);

/** What an untouched lot of one thing, or a mix, has become. Not for an empty lot. */
export function whatOf(contents: LotContents): LotWhat {
  const body = bodyOf(contents);
  const isChar = isEmpty(body) || kindOf(contents) === 'char';
  const hasChar = !isChar && contents.cohorts.some(({ kind }) => kind === 'char');
  return { what: namedWhat(contents, isEmpty(body) ? contents : body), hasChar };
}

function namedWhat(contents: LotContents, named: LotContents): LotWhat['what'] {
  const kind = kindOf(contents);
  const [{ materialId }] = named.cohorts;
  const isOne = named.cohorts.every((one) => one.materialId === materialId);
  const cameSo = named.cohorts.every((one) => one.kind === kind);
  if (isLeafMould(named)) return { code: 'material', materialId: LEAF_MOULD };
  if (
    kind === 'compost' &&
    isMature(contents) &&
    !(isOne && cameSo && hasTrait(findLibraryMaterial(materialId), 'isMature'))
  ) {
    return { code: 'finishedCompost' };
  }
  if (isOne && cameSo && BY_MATERIAL.has(kind)) return { code: 'material', materialId };
  return isMix(named) && kind !== 'char' ? { code: 'mix' } : { code: 'kind', kind };
}
