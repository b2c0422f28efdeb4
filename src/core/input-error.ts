export type FieldPath = readonly (string | number)[];

export type InputErrorCode =
  'not_a_number' | 'out_of_range' | 'unknown' | 'duplicate' | 'bad_date' | 'bad_order' | 'bad_shape';

/**
 * An argument the model cannot accept. `path` names the field from the outermost object inwards;
 * `requirement` completes the sentence "<field> ...", for instance "must be greater than 0; got -1".
 */
export class InputError extends Error {
  constructor(
    readonly path: FieldPath,
    readonly code: InputErrorCode,
    readonly requirement: string,
  ) {
    super(`${path.join('.')} ${requirement}`);
    this.name = 'InputError';
  }
}

const shown = (value: unknown): string => {
  if (typeof value === 'string') return JSON.stringify(value);
  if (value === null || typeof value !== 'object') return String(value);
  return Array.isArray(value) ? 'a list' : 'an object';
};

interface Bounds {
  readonly min?: number;
  readonly max?: number;
  readonly above?: number;
}

const boundsInWords = ({ min, max, above }: Bounds): string => {
  if (above !== undefined) {
    return max === undefined ? `greater than ${above}` : `greater than ${above} and at most ${max}`;
  }
  if (min !== undefined && max !== undefined) return `between ${min} and ${max}`;
  return min === undefined ? `at most ${max}` : `at least ${min}`;
};

/** Returns `value` when it is a finite number within `bounds`; otherwise throws an InputError naming `path`. */
export function requireNumber(value: unknown, path: FieldPath, bounds: Bounds = {}): number {
  if (typeof value !== 'number' || !Number.isFinite(value)) {
    throw new InputError(path, 'not_a_number', `must be a finite number; got ${shown(value)}`);
  }
  const { min = -Infinity, max = Infinity, above = -Infinity } = bounds;
  const isAbove = above === -Infinity || value > above;
  if (!(value >= min && value <= max && isAbove)) {
    throw new InputError(path, 'out_of_range', `must be ${boundsInWords(bounds)}; got ${value}`);
  }
  return value;
}

/** Returns `value` when it is one of `allowed`; otherwise throws an InputError listing what is allowed. */
export function requireOneOf<T extends string>(value: unknown, path: FieldPath, allowed: readonly T[]): T {
  if (!allowed.includes(value as T)) {
    throw new InputError(path, 'unknown', `must be one of ${allowed.join(', ')}; got ${shown(value)}`);
  }
  return value as T;
}

/** What is wrong with a field as a sentence; a requirement may end with a question. */
export const faultSentence = (field: string, requirement: string): string =>
  `${field} ${requirement}${requirement.endsWith('?') ? '' : '.'}`;
