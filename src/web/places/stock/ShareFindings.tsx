import type {
  IdlePile,
  ShareAnswer,
  ShareMeasure,
  ShareProblem,
  UnmetWant,
} from '../../../core/long-run/index.ts';
import {
  barrowsCount,
  idleWords,
  metWords,
  passedWords,
  unmetWords,
  wantWords,
} from '../../../words/share-words.ts';
import { counted } from '../../../words/counted.ts';
import { useMeasures } from '../../app/garden-context.ts';
import { capitalized } from '../../../words/capitalized.ts';
import type { Names } from './share-names.ts';

interface WaysOfSharingProps {
  readonly answer: Extract<ShareAnswer, { status: 'solved' }>;
  readonly hasOwn: boolean;
  readonly names: Names;
}

/** What was worked out beside what one might do without it. */
export function WaysOfSharing({ answer: { measure, even, own }, hasOwn, names }: WaysOfSharingProps) {
  const measures = useMeasures();
  const ways: readonly (readonly [string, ShareMeasure])[] = [
    ['As proposed', measure],
    ['Evenly over all beds', even],
    ...(hasOwn ? ([['Your own choices alone', own]] as const) : []),
  ];
  return (
    <div className="table-scroll">
      <table className="figures-table ways">
        <thead>
          <tr>
            <th scope="col">Way of sharing</th>
            <th scope="col">needs met</th>
            <th scope="col">to carry</th>
            <th scope="col">carbon left in 5 years</th>
            <th scope="col">limits passed</th>
          </tr>
        </thead>
        <tbody>
          {ways.map(([name, way]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>{metWords(way)}</td>
              <td>{barrowsCount(way.barrows)}</td>
              <td>{measures.mass(way.lastingCarbonKg)}</td>
              <td>{way.passed.length === 0 ? 'none' : way.passed.length}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {ways
        .filter(([, { passed }]) => passed.length > 0)
        .map(([name, { passed }]) => (
          <details key={name}>
            <summary>
              {name}: {counted(passed.length, 'limit')} passed
            </summary>
            <p>{capitalized(passedWords(passed, names.bed))}.</p>
          </details>
        ))}
    </div>
  );
}

/** What stays in the yard, and why no bed takes it. */
export function IdleStock({ idle, names }: { readonly idle: readonly IdlePile[]; readonly names: Names }) {
  const measures = useMeasures();
  if (idle.length === 0) return null;
  return (
    <section aria-label="What stays in the yard" className="band">
      <h2>What stays in the yard</h2>
      <ul className="share-idle">
        {idle.map((pile) => (
          <li key={pile.pileId}>
            <strong>{names.pile(pile.pileId)}</strong>, {measures.volume(pile.leftL)}:{' '}
            <span className="share-why">{idleWords(pile, names.bed)}.</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface WhatStaysOpenProps {
  readonly problem: ShareProblem;
  readonly unmet: readonly UnmetWant[];
  readonly names: Names;
}

export function WhatStaysOpen({ problem, unmet, names }: WhatStaysOpenProps) {
  const measures = useMeasures();
  return (
    <details className="unmet">
      <summary>What stays open, and what each bed was found to want</summary>
      <div className="table-scroll">
        <table className="figures-table">
          <thead>
            <tr>
              <th scope="col">Bed</th>
              <th scope="col">wants this season</th>
              <th scope="col">stays open</th>
            </tr>
          </thead>
          <tbody>
            {problem.beds.map((bed) => (
              <tr key={bed.id}>
                <th scope="row">{names.bed(bed.id)}</th>
                <td>{wantWords(bed.wants.now, measures)}</td>
                <td>
                  {unmet
                    .filter((one) => one.bedId === bed.id && one.season === 'now')
                    .map(unmetWords)
                    .join('; ') || 'nothing'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="soft hint">
        Measured in wants met over four half years, each weighed by the area of the bed, by what it is for and
        by how large the gap is, less a little for every load. What a pile does on a bed comes from running it
        there for five years; what is washed out comes from the bed as it is, with its crops. Loads are whole
        barrows, or buckets where a bed takes less than a barrow. Logs, ash, raw char and bought feed are not
        shared out here.
      </p>
    </details>
  );
}
