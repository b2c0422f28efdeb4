import {
  CHECK_GROUPS,
  countOf,
  isHit,
  PUBLISHED_CHECKS,
  type PublishedCheck,
} from '../../src/core/model/validation/published-checks.ts';
import { CHECK_GROUP_WORDS, checkFigure, validationSummary } from '../../src/words/validation-words.ts';

const rowOf = (check: PublishedCheck): string =>
  [
    '',
    check.id,
    `${check.quantity} (${check.setting})`,
    `${checkFigure(check.low)} to ${checkFigure(check.high)} ${check.unit}`,
    checkFigure(check.value),
    isHit(check) ? 'inside' : `**outside**: ${check.missReason}`,
    `${check.source}; ${check.confidence}`,
    '',
  ]
    .join(' | ')
    .trim();

/** docs/validation.md, written from the checks themselves. */
export function validationPage(): string {
  const groups = CHECK_GROUPS.map((group) => {
    const checks = PUBLISHED_CHECKS.filter((check) => check.group === group);
    const { hits, all } = countOf(checks);
    return [
      `## ${CHECK_GROUP_WORDS[group]}: ${hits} of ${all} inside`,
      '',
      '| id | what, and where | published | model | verdict | source; how sure we are of the range |',
      '| --- | --- | --- | --- | --- | --- |',
      ...checks.map(rowOf),
    ].join('\n');
  });
  return [
    '<!-- Written by `npm run validation`; a test holds it to what the model gives. -->',
    '',
    '# How well does it do?',
    '',
    ...validationSummary().flatMap((line) => [line, '']),
    'The app draws the same on its page "How well does it do?". The scenarios lie in `tests/published`.',
    '',
    groups.join('\n\n'),
    '',
  ].join('\n');
}
