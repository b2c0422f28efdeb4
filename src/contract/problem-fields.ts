import type { z } from 'zod';
import { fieldOf, finding, refusal, type Finding, type Refusal } from '../refusals/refusal.ts';

const isNumericIssue = (issue: z.core.$ZodIssue): boolean =>
  issue.code === 'invalid_type' && (issue.expected === 'number' || issue.expected === 'int');

const lengthOf = (origin: string): 'characters' | 'items' | null =>
  origin === 'string' ? 'characters' : origin === 'number' || origin === 'int' ? null : 'items';

function refusalOf(issue: z.core.$ZodIssue): Refusal {
  if (isNumericIssue(issue)) return refusal('notANumber', { got: undefined });
  switch (issue.code) {
    case 'invalid_type': {
      const isMissing = issue.message.includes('received undefined');
      return refusal('wrongKind', { wanted: issue.expected, isMissing });
    }
    case 'unrecognized_keys':
      return refusal('unknownFields', { fields: issue.keys });
    case 'invalid_value':
      return refusal('notOneOf', { allowed: issue.values.map(String), got: undefined });
    case 'too_small': {
      const least = Number(issue.minimum);
      const bounds = issue.inclusive ? { min: least } : { above: least };
      const of = lengthOf(issue.origin);
      return of
        ? refusal('wrongLength', { ...bounds, of })
        : refusal('outOfRange', { ...bounds, got: undefined });
    }
    case 'too_big': {
      const bounds = { max: Number(issue.maximum) };
      const of = lengthOf(issue.origin);
      return of
        ? refusal('wrongLength', { ...bounds, of })
        : refusal('outOfRange', { ...bounds, got: undefined });
    }
    case 'invalid_union':
      return 'options' in issue && Array.isArray(issue.options)
        ? refusal('notOneOf', { allowed: issue.options.map(String), got: undefined })
        : refusal('noKnownForm');
    case 'custom': {
      const own = issue.params?.['refusal'] as Refusal | undefined;
      return own ?? refusal('mustBe', { requirement: issue.message });
    }
    default:
      return refusal('mustBe', { requirement: issue.message });
  }
}

/** What a schema refuses, field by field. */
export const findingsOf = (error: Pick<z.core.$ZodError, 'issues'>): Finding[] =>
  error.issues.map((issue) =>
    finding(refusalOf(issue), fieldOf(issue.path.filter((key) => typeof key !== 'symbol'))),
  );

const IN_A_LIST = /^(\w+)\.(\d+)\.(.+)$/;

/** A finding about a whole garden file, put to the record of the list in which it lies. */
export function inGardenFile(found: Finding, file: unknown): Finding {
  const [, collection, index, field] = IN_A_LIST.exec(found.at.field) ?? [];
  if (collection === undefined || field === undefined) return found;
  const list = (file as Record<string, unknown>)[collection];
  const record = Array.isArray(list) ? (list[Number(index)] as { id?: unknown } | null) : null;
  return typeof record?.id === 'string' ? { ...found, at: { collection, id: record.id, field } } : found;
}
