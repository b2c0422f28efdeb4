import { Checkbox } from 'antd';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import {
  CHECK_GROUPS,
  type CheckGroup,
  MODEL_VERSION,
  PUBLISHED_CHECKS,
  type PublishedCheck,
  countOf,
  isHit,
  placeOf,
} from '../../../core/model/index.ts';
import {
  CHECK_GROUP_WORDS,
  checkFigures,
  checkText,
  validationSummary,
} from '../../../words/validation-words.ts';
import { ROW_HEIGHT, swarmOf, xOf } from './check-swarm.ts';
import './checks.css';
import { useBooks } from '../../app/garden-context.ts';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';
import { proofAsked } from '../../ui/proof/proof-link.ts';
import { OwnRecord } from './OwnRecord.tsx';

const WIDTH = 500;
const MARK_RADIUS = 3.6;
const BAR_HEIGHT = 16;

const groupOf = (group: CheckGroup) => PUBLISHED_CHECKS.filter((check) => check.group === group);

/**
 * Published results beside the model: the picture of all of them, then each with its figures and source. Whoever comes from a
 * range finds what that range stands on first, and what was found in the garden itself.
 */
export function ChecksPage() {
  const { garden } = useBooks();
  const [query] = useSearchParams();
  const { groups, bedId } = proofAsked(query);
  const others = CHECK_GROUPS.filter((group) => !groups.includes(group));
  const [onlyOutside, setOnlyOutside] = useState(false);
  return (
    <div className="page checks-page">
      <header className="page-head">
        <div>
          <PageHeading>How well does it do?</PageHeading>
          {validationSummary().map((line) => (
            <p key={line} className="soft checks-summary">
              {line}
            </p>
          ))}
          <p className="soft">
            Version {MODEL_VERSION} of the model. <Link to={`/garden/${garden.id}/method`}>How it works</Link>
          </p>
        </div>
      </header>
      <section aria-label="All checks at a glance" className="checks-overview">
        <h2>{groups.length > 0 ? 'What that range stands on' : 'At a glance'}</h2>
        <p className="soft checks-key">
          <span className="checks-key-range" aria-hidden="true" /> the published range, drawn equally wide for
          every check;{' '}
          <span aria-hidden="true" className="checks-key-hit">
            ●
          </span>{' '}
          the model inside it;{' '}
          <span aria-hidden="true" className="checks-key-miss">
            ▲
          </span>{' '}
          the model outside.
        </p>
        {(groups.length > 0 ? groups : others).map((group) => (
          <Strip key={group} group={group} />
        ))}
        {groups.length > 0 && (
          <details>
            <summary>The other checks</summary>
            {others.map((group) => (
              <Strip key={group} group={group} />
            ))}
          </details>
        )}
      </section>
      <OwnRecord bedId={bedId} />
      <Checkbox checked={onlyOutside} onChange={(event) => setOnlyOutside(event.target.checked)}>
        Show only what lies outside
      </Checkbox>
      {[...groups, ...others].map((group) => (
        <Group key={group} group={group} onlyOutside={onlyOutside} />
      ))}
    </div>
  );
}

function Strip({ group }: { readonly group: CheckGroup }) {
  const checks = groupOf(group);
  const { hits, all } = countOf(checks);
  const { marks, rows } = swarmOf(checks, WIDTH);
  const height = rows * ROW_HEIGHT + 6;
  return (
    <div className="checks-strip">
      <span>
        {CHECK_GROUP_WORDS[group]}{' '}
        <span className="soft">
          {hits} of {all}
        </span>
      </span>
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        role="img"
        aria-label={`${CHECK_GROUP_WORDS[group]}: ${hits} of ${all} inside the published range`}
      >
        <rect
          x={xOf(0, WIDTH)}
          width={xOf(1, WIDTH) - xOf(0, WIDTH)}
          height={height}
          className="checks-range"
        />
        {marks.map(({ check, x, y, isInside }) => (
          <Mark key={check.id} x={x} y={height - y - ROW_HEIGHT / 2 - 2} isInside={isInside}>
            {check.quantity}
          </Mark>
        ))}
      </svg>
    </div>
  );
}

interface MarkProps {
  readonly x: number;
  readonly y: number;
  readonly isInside: boolean;
  readonly children: string;
}

/** A dot for what lies inside, a triangle for what does not: color is not the only sign. */
function Mark({ x, y, isInside, children }: MarkProps) {
  const r = MARK_RADIUS;
  return isInside ? (
    <circle cx={x} cy={y} r={r} className="checks-hit">
      <title>{children}</title>
    </circle>
  ) : (
    <path d={`M${x - r - 1},${y + r}h${2 * r + 2}l${-r - 1},${-2 * r}z`} className="checks-miss">
      <title>{children}</title>
    </path>
  );
}

function Group({ group, onlyOutside }: { readonly group: CheckGroup; readonly onlyOutside: boolean }) {
  const checks = groupOf(group).filter((check) => !onlyOutside || !isHit(check));
  if (checks.length === 0) return null;
  const { hits, all } = countOf(groupOf(group));
  return (
    <section aria-label={CHECK_GROUP_WORDS[group]} className="checks-group">
      <h2>
        {CHECK_GROUP_WORDS[group]}: {hits} of {all} inside
      </h2>
      <ul className="plain-list">
        {checks.map((check) => (
          <Check key={check.id} check={check} />
        ))}
      </ul>
    </section>
  );
}

function Check({ check }: { readonly check: PublishedCheck }) {
  const inside = isHit(check);
  const mid = BAR_HEIGHT / 2;
  return (
    <li className="checks-row">
      <div>
        {checkText(check.quantity)}
        <span className="soft"> {checkText(check.setting)}</span>
      </div>
      <svg viewBox={`0 0 ${WIDTH} ${BAR_HEIGHT}`} preserveAspectRatio="none" aria-hidden="true">
        <line x1={0} x2={WIDTH} y1={mid} y2={mid} className="checks-line" />
        <rect
          x={xOf(0, WIDTH)}
          width={xOf(1, WIDTH) - xOf(0, WIDTH)}
          height={BAR_HEIGHT}
          className="checks-range"
        />
        <rect
          x={xOf(placeOf(check), WIDTH) - 3}
          width={6}
          height={BAR_HEIGHT}
          className={inside ? 'checks-hit' : 'checks-miss'}
        />
      </svg>
      <div className="figures checks-figures">
        <span className={inside ? '' : 'checks-outside'}>
          {inside ? '' : '▲ '}
          {checkFigures(check)}
        </span>
      </div>
      <div className="soft checks-source">
        {check.source}; from memory, range {SURE[check.confidence]}
        {check.isOwn ? '; not in sight while the model was tuned' : ''}
      </div>
      {check.missReason !== undefined && <div className="checks-reason">Outside. {check.missReason}</div>}
    </li>
  );
}

const SURE = { high: 'well known', middling: 'fairly sure', low: 'rather a guess' } as const;
