import type { z } from 'zod';
import type { FieldPath } from '../core/input-error.ts';

/** One thing wrong with an input: where, and what must hold, as a sentence a gardener understands. */
export interface FieldProblem {
  readonly field: string;
  readonly sentence: string;
}

const isNumericIssue = (issue: z.core.$ZodIssue): boolean =>
  issue.code === 'invalid_type' && (issue.expected === 'number' || issue.expected === 'int');

const KIND_IN_WORDS: Record<string, string> = {
  string: 'text',
  array: 'a list',
  object: 'an object',
  boolean: 'true or false',
};

function requirementOf(issue: z.core.$ZodIssue): string {
  if (isNumericIssue(issue)) return 'must be a finite number';
  switch (issue.code) {
    case 'invalid_type': {
      const isMissing = issue.message.includes('received undefined');
      return `${isMissing ? 'is missing; it ' : ''}must be ${KIND_IN_WORDS[issue.expected] ?? issue.expected}`;
    }
    case 'unrecognized_keys':
      return `has unknown fields: ${issue.keys.join(', ')}`;
    case 'invalid_value':
      return `must be one of ${issue.values.join(', ')}`;
    case 'too_small':
      return `must be ${issue.inclusive ? 'at least' : 'greater than'} ${String(issue.minimum)}${issue.origin === 'string' ? ' characters long' : ''}`;
    case 'too_big':
      return `must be at most ${String(issue.maximum)}${issue.origin === 'string' ? ' characters long' : ''}`;
    case 'invalid_union':
      return 'options' in issue && Array.isArray(issue.options)
        ? `must be one of ${issue.options.join(', ')}`
        : 'has none of the known forms';
    default:
      return issue.message;
  }
}

export const fieldName = (path: FieldPath): string => (path.length === 0 ? 'input' : path.join('.'));

/** Zod's issues as field problems. */
export function problemsOf(error: Pick<z.core.$ZodError, 'issues'>): FieldProblem[] {
  return error.issues.map((issue) => {
    const field = fieldName(issue.path.filter((key) => typeof key !== 'symbol'));
    return { field, sentence: `${field} ${requirementOf(issue)}.` };
  });
}
