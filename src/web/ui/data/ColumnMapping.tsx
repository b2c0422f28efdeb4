import { Select } from 'antd';
import { useState } from 'react';
import { unitsOf } from '../../../contract/tables/column.ts';
import { unitIn } from '../../../contract/tables/recognize.ts';
import { replacedAt, withMapping, type Sheet } from './import-form.ts';

const NOT_THERE = -1;

function columnsInOrder({ table, mapping }: Sheet): number[] {
  const shown = table.columns.flatMap(({ isDerived }, i) => (isDerived ? [] : [i]));
  const isFound = (i: number) => mapping.columns[i] !== null;
  return [...shown.filter(isFound), ...shown.filter((i) => !isFound(i))];
}

/** Which column of the file goes where, and in which unit it is; the first row shows whether that is right. */
export function ColumnMapping({ sheet, onChange }: { sheet: Sheet; onChange: (sheet: Sheet) => void }) {
  const {
    table,
    mapping,
    parts: { headers, rows },
  } = sheet;
  const [first] = rows;
  const put = (i: number, from: number) => {
    const index = from === NOT_THERE ? null : from;
    const unit = index === null ? null : unitIn(headers[index] ?? '', table.columns[i]!);
    onChange(
      withMapping(sheet, {
        columns: replacedAt(mapping.columns, i, index),
        units: replacedAt(mapping.units, i, unit),
      }),
    );
  };
  // What was found comes first; it stays where it is while the rest is put right.
  const [order] = useState(() => columnsInOrder(sheet));
  const unused = headers.filter((_, i) => !mapping.columns.includes(i));
  return (
    <>
      <div className="table-scroll import-columns">
        <table className="figures-table">
          <thead>
            <tr>
              <th scope="col">In the books</th>
              <th scope="col">Column of the file</th>
              <th scope="col">Unit</th>
              <th scope="col">First row</th>
            </tr>
          </thead>
          <tbody>
            {order.map((i) => {
              const column = table.columns[i]!;
              const from = mapping.columns[i] ?? null;
              const units = column.quantity ? unitsOf(column.quantity) : [];
              return (
                <tr key={column.header}>
                  <td>{column.header.replaceAll('_', ' ')}</td>
                  <td>
                    <Select
                      size="small"
                      aria-label={`Column for ${column.header}`}
                      value={from ?? NOT_THERE}
                      onChange={(value: number) => put(i, value)}
                      popupMatchSelectWidth={false}
                      style={{ width: 200 }}
                      options={[
                        { value: NOT_THERE, label: 'not in the file' },
                        ...headers.map((header, index) => ({
                          value: index,
                          label: header || `column ${index + 1}`,
                        })),
                      ]}
                    />
                  </td>
                  <td>
                    {from !== null && units.length > 0 && (
                      <Select
                        size="small"
                        aria-label={`Unit of ${column.header}`}
                        value={mapping.units[i]?.name ?? units[0]!.name}
                        onChange={(name: string) => {
                          const unit = units.find((one) => one.name === name) ?? null;
                          onChange(withMapping(sheet, { units: replacedAt(mapping.units, i, unit) }));
                        }}
                        style={{ width: 84 }}
                        options={units.map(({ name }) => ({ value: name, label: name }))}
                      />
                    )}
                  </td>
                  <td className="soft">{from === null ? '' : first?.[from]}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {unused.length > 0 && <p className="soft">Not read: {unused.join(', ')}.</p>}
    </>
  );
}
