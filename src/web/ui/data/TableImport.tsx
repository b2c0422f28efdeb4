import { useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import type { ImportReport } from '../../../contract/imports.ts';
import { useReadRows } from '../../api/data.ts';
import { Choice } from '../forms/inputs.tsx';
import {
  gridOf,
  judgedRows,
  needsAmountUnit,
  ownerMissing,
  readSheet,
  sheetOf,
  unreadRows,
  withCell,
  type JudgedRow,
  type Separator,
  type Sheet,
} from './import-form.ts';
import { asLastTime, rememberMapping } from './import-memory.ts';
import { ImportFoot } from './ImportFoot.tsx';
import { ColumnMapping } from './ColumnMapping.tsx';
import { NamesToPlace } from './NamesToPlace.tsx';
import { SheetStyle } from './SheetStyle.tsx';
import { Verdict } from './Verdict.tsx';
import type { NamedGrid } from './workbook.ts';

interface TableImportProps {
  /** A text with its cells parted by something, or the sheets of a workbook. */
  readonly content: string | readonly NamedGrid[];
  /** Where it comes from. */
  readonly source: string;
}

const NONE: ReadonlySet<number | null> = new Set();

/** What keeps a table from being tried. */
function hindranceOf(sheet: Sheet): string | null {
  if (sheet.parts.rows.length === 0) return 'There is a header and no row below it.';
  if (sheet.isDateOrderOpen) return 'Say first whether the day or the month comes first in the dates.';
  const owner = ownerMissing(sheet);
  if (owner && sheet.mapping.everyRow[owner.field] === undefined)
    return `Say first which ${owner.kind === 'bed' ? 'bed' : 'pile'} the rows are for, or in which column it stands.`;
  if (needsAmountUnit(sheet) && sheet.mapping.amountUnit === null)
    return 'Say first in which unit the amounts are.';
  return null;
}

/** How a content is cut into cells: by what in a text, in which sheet of a workbook. */
interface Cut {
  readonly separator: Separator | null;
  readonly sheetName: string | null;
}

/** A table: how it is written, which column is what, what its words mean, what would become of each row. */
export function TableImport({ content, source }: TableImportProps) {
  const books = useBooks();
  const { id: gardenId, name: gardenName } = books.garden;
  const firstLook = ({ separator, sheetName }: Partial<Cut>, tableId?: string) => {
    const cut =
      typeof content === 'string'
        ? { ...gridOf(content, separator ?? undefined), sheetName: null }
        : { ...(content.find(({ name }) => name === sheetName) ?? content[0]!), separator: null };
    const sheet = asLastTime(sheetOf(cut.grid, books, tableId), gardenId);
    return { sheet, separator: cut.separator, sheetName: 'name' in cut ? cut.name : null };
  };
  const [{ sheet, separator, sheetName }, setLook] = useState(() => firstLook({}));
  /** Lines of the file that are left out because they cannot be imported. */
  const [leftOut, setLeftOut] = useState<ReadonlySet<number | null>>(NONE);
  const [tried, setTried] = useState<{ report: ImportReport; rows: JudgedRow[] } | null>(null);
  const read = useReadRows(gardenId);
  const rows = useMemo(() => readSheet(sheet, books), [sheet, books]);
  const { lines } = sheet.parts;
  const lookAgain = (look: ReturnType<typeof firstLook>) => {
    setLook(look);
    setTried(null);
    setLeftOut(NONE);
  };
  const change = (next: Sheet) => lookAgain({ sheet: next, separator, sheetName });
  const refusedLines = new Set(
    tried?.rows.filter(({ outcome }) => outcome === 'rejected').map(({ line }) => line) ?? [],
  );

  const send = (asked: {
    readonly isDryRun: boolean;
    readonly without: ReadonlySet<number | null>;
    readonly of: Sheet;
  }) => {
    const { isDryRun, without, of } = asked;
    const own = of === sheet ? rows : readSheet(of, books);
    const unread = unreadRows(own, of.parts).filter(({ line }) => !without.has(line));
    const left = own.flatMap((row, i) =>
      row.reasons.length > 0 || without.has(lines[i]!) ? [] : [{ record: row.record, line: lines[i]! }],
    );
    if (left.length === 0) {
      const counts = { added: 0, changed: 0, same: 0, rejected: unread.length };
      setTried({
        report: { gardenId, gardenName, isWritten: false, importId: null, counts, rows: [] },
        rows: unread,
      });
      return;
    }
    const request = {
      collection: of.table.collection,
      summary: `${of.table.title.toLowerCase()}, from ${source}`,
      rows: left.map(({ record }) => record as Record<string, unknown>),
    };
    read.mutate(
      { request, isDryRun: isDryRun || unread.length > 0 },
      {
        onSuccess: (report) => {
          if (report.isWritten) rememberMapping(of, gardenId);
          const judged = judgedRows(
            report,
            of.table,
            left.map(({ line }) => line),
          );
          const counts = { ...report.counts, rejected: report.counts.rejected + unread.length };
          setTried({ report: { ...report, counts }, rows: [...unread, ...judged] });
        },
      },
    );
  };
  const leaveOut = (without: ReadonlySet<number | null>) => {
    setLeftOut(without);
    send({ isDryRun: true, without, of: sheet });
  };
  const rewrite = (line: number, column: number, text: string) => {
    const next = withCell(sheet, { row: lines.indexOf(line), column, text });
    setLook({ sheet: next, separator, sheetName });
    send({ isDryRun: true, without: leftOut, of: next });
  };
  const isJudged = tried !== null && !tried.report.isWritten;
  return (
    <div className="import-step">
      {typeof content !== 'string' && content.length > 1 && (
        <Choice
          name="Sheet of the workbook"
          value={sheetName}
          width={220}
          onChange={(name) => lookAgain(firstLook({ sheetName: name }))}
          options={content.map(({ name }) => ({ value: name, label: name }))}
        />
      )}
      <SheetStyle
        sheet={sheet}
        separator={separator}
        onSeparator={(next) => lookAgain(firstLook({ separator: next }, sheet.table.id))}
        onTable={(tableId) => lookAgain(firstLook({ separator, sheetName }, tableId))}
        onChange={change}
      />
      <ColumnMapping key={`${sheet.table.id} ${separator} ${sheetName}`} sheet={sheet} onChange={change} />
      <NamesToPlace sheet={sheet} onChange={change} />
      {isJudged && (
        <Verdict
          counts={tried.report.counts}
          rows={tried.rows}
          mending={{
            sheet,
            onLeaveOut: (line) => leaveOut(new Set([...leftOut, line])),
            onRewrite: rewrite,
          }}
        />
      )}
      {isJudged && refusedLines.size > 0 && refusedLines.size < rows.length && (
        <Button size="small" onClick={() => leaveOut(new Set([...leftOut, ...refusedLines]))}>
          Leave out the {refusedLines.size === 1 ? 'one' : refusedLines.size} that cannot be imported
        </Button>
      )}
      {leftOut.size > 0 && (
        <p className="soft">
          {leftOut.size} rows of the file are left out.{' '}
          <Button size="small" type="text" onClick={() => leaveOut(NONE)}>
            Take them in again
          </Button>
        </p>
      )}
      <ImportFoot
        report={tried?.report ?? null}
        hindrance={hindranceOf(sheet)}
        isBusy={read.isPending}
        failure={read.error}
        gardenId={gardenId}
        onTry={() => send({ isDryRun: true, without: leftOut, of: sheet })}
        onRead={() => send({ isDryRun: false, without: leftOut, of: sheet })}
      />
    </div>
  );
}
