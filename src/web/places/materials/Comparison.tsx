import { Button } from 'antd';
import { formatPercent } from '../../../words/figures.ts';
import { useMeasures } from '../../app/garden-context.ts';
import { POOLS, factsFor } from './material-facts.ts';
import type { MaterialRow } from './material-rows.ts';

interface ComparisonProps {
  readonly rows: readonly MaterialRow[];
  readonly onClose: () => void;
}

/** What the carbon of each is made of, as bars of one length. */
function PoolBars({ rows }: { rows: readonly MaterialRow[] }) {
  return (
    <div className="pool-bars">
      {rows.map(({ id, name, material: { pools, carbonFractionDryBasis } }) => (
        <div key={id} className="pool-bar-row">
          <span>{name}</span>
          <span
            className="pool-bar"
            role="img"
            aria-label={`Carbon of ${name}: ${POOLS.map(([pool, words]) => `${words} ${formatPercent(pools[pool])}`).join(', ')}`}
          >
            {carbonFractionDryBasis > 0 &&
              POOLS.map(([pool]) => (
                <span key={pool} className={`pool pool-${pool}`} style={{ width: `${pools[pool] * 100}%` }} />
              ))}
          </span>
        </div>
      ))}
      <p className="soft">
        {POOLS.map(([pool, words]) => (
          <span key={pool} className="pool-key">
            <span className={`pool-swatch pool-${pool}`} /> {words}
          </span>
        ))}
      </p>
    </div>
  );
}

/** Up to four beside each other. */
export function Comparison({ rows, onClose }: ComparisonProps) {
  const measures = useMeasures();
  return (
    <section className="band" aria-label="Compared">
      <PoolBars rows={rows} />
      <table className="ledger comparison">
        <thead>
          <tr>
            <th />
            {rows.map(({ id, name }) => (
              <th key={id}>{name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {factsFor(measures).map(([name, of]) => {
            const values = rows.map(of);
            return (
              <tr key={name} className={new Set(values).size > 1 ? undefined : 'soft'}>
                <td>{name}</td>
                {rows.map((row, i) => (
                  <td key={row.id}>{values[i]}</td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="band-foot">
        <Button onClick={onClose}>Close</Button>
      </div>
    </section>
  );
}
