import { type ReactNode, useState } from 'react';
import { Tooltip } from 'recharts';
import './values.css';

/** What one column of a chart's values is called, and what it says of a row; null where there is nothing to tell. */
export interface ValueColumn<Row> {
  readonly name: string;
  readonly read: (row: Row) => string | null;
}

/** How the values behind a chart are read, by pointer, by arrow keys and as a table: the same words in all three. */
export interface ChartValues<Row> {
  /** What runs along the chart: "Day", "Year". */
  readonly along: string;
  readonly at: (row: Row) => string;
  readonly columns: readonly ValueColumn<Row>[];
}

interface TipProps {
  readonly active?: boolean | undefined;
  readonly payload?: readonly { readonly payload?: unknown }[] | undefined;
}

/** The values at the place pointed to, or reached by the arrow keys. A function, since the library clones no components of ours. */
export function valuesTip<Row>({ at, columns }: ChartValues<Row>): ReactNode {
  const content = ({ active, payload }: TipProps) => {
    const row = payload?.[0]?.payload as Row | undefined;
    if (!active || row === undefined) return null;
    return (
      <div className="chart-tip" role="status">
        <strong>{at(row)}</strong>
        <dl>
          {columns.map(({ name, read }) => {
            const value = read(row);
            return (
              value !== null && (
                <div key={name}>
                  <dt>{name}</dt>
                  <dd className="figure">{value}</dd>
                </div>
              )
            );
          })}
        </dl>
      </div>
    );
  };
  return <Tooltip content={content} isAnimationActive={false} />;
}

interface ValuesTableProps<Row> {
  readonly title: string;
  readonly rows: readonly Row[];
  readonly values: ChartValues<Row>;
}

/** The values of a chart as a table, folded away until asked for. */
export function ValuesTable<Row>({ title, rows, values: { along, at, columns } }: ValuesTableProps<Row>) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details className="chart-values" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Values as a table</summary>
      {isOpen && (
        <div className="chart-values-scroll" role="region" aria-label={`Values: ${title}`} tabIndex={0}>
          <table>
            <thead>
              <tr>
                <th scope="col">{along}</th>
                {columns.map(({ name }) => (
                  <th key={name} scope="col">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map((row, i) => (
                <tr key={i}>
                  <th scope="row">{at(row)}</th>
                  {columns.map(({ name, read }) => (
                    <td key={name} className="figure">
                      {read(row) ?? '–'}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </details>
  );
}
