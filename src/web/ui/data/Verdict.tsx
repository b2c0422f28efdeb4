import type { ImportOutcome, ImportReport } from '../../../contract/imports.ts';
import { Button } from 'antd';
import { CellToMend } from './CellToMend.tsx';
import { worstFirst, type JudgedRow, type Sheet } from './import-form.ts';

const MOST_SHOWN = 200;
const OUTCOME_WORDS: Readonly<Record<ImportOutcome, string>> = {
  added: 'added',
  changed: 'changed',
  same: 'the same',
  rejected: 'cannot be imported',
};
const OUTCOME_MARKS: Readonly<Record<ImportOutcome, string>> = {
  added: '+',
  changed: '~',
  same: '=',
  rejected: '×',
};

interface Mending {
  readonly sheet: Sheet;
  readonly onLeaveOut: (line: number) => void;
  /** Puts another text into a cell of the file. */
  readonly onRewrite: (line: number, column: number, text: string) => void;
}

interface VerdictProps {
  readonly counts: ImportReport['counts'];
  readonly rows: readonly JudgedRow[];
  /** Absent where lines cannot be put right one by one. */
  readonly mending?: Mending;
}

/** What would happen, row by row, what cannot be imported first: mended in its place, or left out. */
export function Verdict({ counts, rows, mending }: VerdictProps) {
  const sorted = worstFirst(rows);
  return (
    <div className="import-verdict" role="status">
      <ul className="import-counts">
        {(Object.keys(OUTCOME_WORDS) as ImportOutcome[]).map((outcome) => (
          <li key={outcome} className={counts[outcome] === 0 ? 'soft' : `import-${outcome}`}>
            <strong className="figure">{counts[outcome]}</strong> {OUTCOME_WORDS[outcome]}
          </li>
        ))}
      </ul>
      {sorted.length > 0 && (
        <div className="table-scroll import-rows">
          <table className="figures-table">
            <thead>
              <tr>
                <th scope="col">Line</th>
                <th scope="col">What would happen</th>
                <th scope="col">Column and reason</th>
              </tr>
            </thead>
            <tbody>
              {sorted.slice(0, MOST_SHOWN).map((row, i) => (
                <tr key={`${row.line} ${row.name} ${i}`}>
                  <td>{row.line ?? row.name}</td>
                  <td className={`import-${row.outcome}`}>
                    {OUTCOME_MARKS[row.outcome]} {OUTCOME_WORDS[row.outcome]}
                  </td>
                  <td>
                    {row.outcome === 'changed'
                      ? row.details.map(({ column }) => column).join(', ')
                      : row.details.map(({ sentence }) => sentence).join(' ')}
                    {mending && row.outcome === 'rejected' && row.line !== null && (
                      <div className="import-mend">
                        {row.details.map((detail) => (
                          <CellToMend
                            key={detail.column}
                            sheet={mending.sheet}
                            line={row.line!}
                            header={detail.column}
                            onRewrite={mending.onRewrite}
                          />
                        ))}
                        <Button size="small" onClick={() => mending.onLeaveOut(row.line!)}>
                          Leave out line {row.line}
                        </Button>
                      </div>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {sorted.length > MOST_SHOWN && <p className="soft">and {sorted.length - MOST_SHOWN} more rows</p>}
        </div>
      )}
    </div>
  );
}
