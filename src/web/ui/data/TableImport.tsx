import { useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import type { ImportReport } from '../../../contract/imports.ts';
import { useReadRows } from '../../api/data.ts';
import {
  judgedRows,
  needsAmountUnit,
  readSheet,
  sheetOf,
  unreadRows,
  type JudgedRow,
  type Sheet,
} from './import-form.ts';
import { ImportFoot } from './ImportFoot.tsx';
import { ColumnMapping } from './ColumnMapping.tsx';
import { SheetStyle } from './SheetStyle.tsx';
import { Verdict } from './Verdict.tsx';

interface TableImportProps {
  readonly text: string;
  /** Where it comes from. */
  readonly source: string;
}

const NONE: ReadonlySet<number | null> = new Set();

/** What keeps a table from being tried. */
function hindranceOf(sheet: Sheet): string | null {
  if (sheet.rows.length === 0) return 'There is a header and no row below it.';
  if (sheet.isDateOrderOpen) return 'Say first whether the day or the month comes first in the dates.';
  if (needsAmountUnit(sheet) && sheet.mapping.amountUnit === null)
    return 'Say first in which unit the amounts are.';
  return null;
}

/** A table: how it is written, which column is what, what would become of each row. */
export function TableImport({ text, source }: TableImportProps) {
  const books = useBooks();
  const [sheet, setSheet] = useState(() => sheetOf(text));
  /** Rows of the file that are left out because they cannot be taken. */
  const [leftOut, setLeftOut] = useState<ReadonlySet<number | null>>(NONE);
  const [tried, setTried] = useState<{ report: ImportReport; rows: JudgedRow[] } | null>(null);
  const read = useReadRows(books.garden.id);
  const rows = useMemo(() => readSheet(sheet, books), [sheet, books]);
  const change = (next: Sheet) => {
    setSheet(next);
    setTried(null);
    setLeftOut(NONE);
  };
  const refusedLines = new Set(
    tried?.rows.filter(({ outcome }) => outcome === 'rejected').map(({ line }) => line) ?? [],
  );

  const send = (isDryRun: boolean, without: ReadonlySet<number | null>) => {
    const unread = unreadRows(rows);
    const left = rows.flatMap((row, i) =>
      row.reasons.length > 0 || without.has(i + 2) ? [] : [{ record: row.record, line: i + 2 }],
    );
    const isOpen = unread.some(({ line }) => !without.has(line));
    const request = {
      collection: sheet.table.collection,
      summary: `${sheet.table.title.toLowerCase()}, from ${source}`,
      rows: left.map(({ record }) => record as Record<string, unknown>),
    };
    if (left.length === 0) {
      const counts = { added: 0, changed: 0, same: 0, rejected: unread.length };
      const { id: gardenId, name: gardenName } = books.garden;
      setTried({
        report: { gardenId, gardenName, isWritten: false, importId: null, counts, rows: [] },
        rows: unread,
      });
      return;
    }
    read.mutate(
      { request, isDryRun: isDryRun || isOpen },
      {
        onSuccess: (report) => {
          const judged = judgedRows(
            report,
            sheet.table,
            left.map(({ line }) => line),
          );
          const open = unread.filter(({ line }) => !without.has(line));
          const counts = { ...report.counts, rejected: report.counts.rejected + open.length };
          setTried({ report: { ...report, counts }, rows: [...open, ...judged] });
        },
      },
    );
  };
  return (
    <div className="import-step">
      <SheetStyle sheet={sheet} text={text} onChange={change} />
      <ColumnMapping key={`${sheet.table.id} ${sheet.separator}`} sheet={sheet} onChange={change} />
      {tried && !tried.report.isWritten && <Verdict counts={tried.report.counts} rows={tried.rows} />}
      {tried && !tried.report.isWritten && refusedLines.size > 0 && refusedLines.size < rows.length && (
        <Button
          size="small"
          onClick={() => {
            const without = new Set([...leftOut, ...refusedLines]);
            setLeftOut(without);
            send(true, without);
          }}
        >
          Leave out the {refusedLines.size === 1 ? 'one' : refusedLines.size} that cannot be taken
        </Button>
      )}
      {leftOut.size > 0 && <p className="soft">{leftOut.size} rows of the file are left out.</p>}
      <ImportFoot
        report={tried?.report ?? null}
        hindrance={hindranceOf(sheet)}
        isBusy={read.isPending}
        failure={read.error}
        gardenId={books.garden.id}
        onTry={() => send(true, leftOut)}
        onRead={() => send(false, leftOut)}
      />
    </div>
  );
}
