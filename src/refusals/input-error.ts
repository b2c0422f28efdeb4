import {
  refusal,
  type Bounds,
  type Finding,
  type FieldPath,
  type Refusal,
  type RefusalArguments,
} from './refusal.ts';

export type { FieldPath };

/** An argument that cannot be. `path` names the field from the outermost object inwards; the refusal says why. */
export class InputError extends Error {
  readonly path: FieldPath;
  readonly refusal: Refusal;

  constructor(path: FieldPath, ...because: RefusalArguments) {
    const refused = refusal(...because);
    super(`${path.join('.')} ${refused.code} ${JSON.stringify(refused.facts)}`);
    this.name = 'InputError';
    this.path = path;
    this.refusal = refused;
  }

  /** A finding thrown. */
  static of({ at, ...refused }: Finding): InputError {
    return new InputError(
      at.field.split('.'),
      ...([refused.code, refused.facts] as unknown as RefusalArguments),
    );
  }

  /** The same refusal of a field that is called otherwise, or lies deeper. */
  at(path: FieldPath): InputError {
    return new InputError(path, ...([this.refusal.code, this.refusal.facts] as unknown as RefusalArguments));
  }
}

/** Returns `value` when it is a finite number within `bounds`; otherwise throws an InputError naming `path`. */
export function requireNumber(value: unknown, path: FieldPath, bounds: Bounds = {}): number {
  if (typeof value !== 'number' || !Number.isFinite(value)) {
    throw new InputError(path, 'notANumber', { got: value });
  }
  const { min = -Infinity, max = Infinity, above = -Infinity } = bounds;
  const isAbove = above === -Infinity || value > above;
  if (!(value >= min && value <= max && isAbove)) {
    throw new InputError(path, 'outOfRange', { ...bounds, got: value });
  }
  return value;
}

/** Returns `value` when it is one of `allowed`; otherwise throws an InputError listing what is allowed. */
export function requireOneOf<T extends string>(value: unknown, path: FieldPath, allowed: readonly T[]): T {
  if (!allowed.includes(value as T)) throw new InputError(path, 'notOneOf', { allowed, got: value });
  return value as T;
}
