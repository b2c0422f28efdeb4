import { Input } from 'antd';
import { useState } from 'react';
import { fileColumn, type Sheet } from './import-form.ts';

interface CellToMendProps {
  readonly sheet: Sheet;
  readonly line: number;
  /** Of the column in the books. */
  readonly header: string;
  readonly onRewrite: (line: number, column: number, text: string) => void;
}

/** A cell that cannot be taken, to be written anew; nothing where the file has no such column. */
export function CellToMend({ sheet, line, header, onRewrite }: CellToMendProps) {
  const column = fileColumn(sheet, (one) => one.header === header);
  const { rows, lines, headers } = sheet.parts;
  const text = column === null ? '' : (rows[lines.indexOf(line)]?.[column] ?? '');
  const [typed, setTyped] = useState(text);
  if (column === null) return null;
  const write = () => {
    if (typed !== text) onRewrite(line, column, typed);
  };
  return (
    <Input
      size="small"
      aria-label={`${headers[column] || header} in line ${line}`}
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={write}
      onPressEnter={write}
      style={{ width: 150 }}
    />
  );
}
