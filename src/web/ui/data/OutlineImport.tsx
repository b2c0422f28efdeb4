import { useBooks } from '../../app/garden-context.ts';
import { useState } from 'react';
import { readOutlines, type OutlineRow } from '../../../contract/geojson.ts';
import type { ImportReport } from '../../../contract/imports.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { orRefused, refusalSentence, describeFinding } from '../../../words/refusal-words.ts';
import { bedAsChange } from '../../api/as-change.ts';
import { useReadRows } from '../../api/data.ts';
import { formatFigure } from '../../../words/figures.ts';
import { measuresOf } from '../../../words/measures.ts';
import { ImportFoot } from './ImportFoot.tsx';

function outlinesIn(text: string, beds: GardenBooks['beds']): { rows: OutlineRow[]; trouble: string | null } {
  const read = orRefused(() => readOutlines(text, beds));
  return 'refused' in read
    ? { rows: [], trouble: refusalSentence('The file', read.refused) }
    : { rows: read.result, trouble: null };
}

/** Outlines of beds: shown beside the areas in the book, so that a wrong bed shows itself. */
export function OutlineImport({ text, source }: { text: string; source: string }) {
  const books = useBooks();
  const [report, setReport] = useState<ImportReport | null>(null);
  const read = useReadRows(books.garden.id);
  const measures = measuresOf(books.garden);
  const { rows, trouble } = outlinesIn(text, books.beds);
  const isWhole = rows.every(({ reasons }) => reasons.length === 0);
  const send = (isDryRun: boolean) => {
    const changes = rows.flatMap(({ bed, outline }) => {
      if (!bed) return [];
      const { version, ...fields } = bedAsChange(bed);
      return [{ ...fields, id: bed.id, outline }];
    });
    const request = {
      collection: 'beds' as const,
      summary: `outlines of beds, from ${source}`,
      rows: changes,
    };
    read.mutate({ request, isDryRun }, { onSuccess: setReport });
  };
  const hindrance =
    trouble ??
    (rows.length === 0
      ? 'The file has no outlines.'
      : isWhole
        ? null
        : 'Correct the outlines below in the file, then choose it again.');
  return (
    <div className="import-step">
      <h3>Outlines of beds</h3>
      {rows.length > 0 && (
        <div className="table-scroll">
          <table className="figures-table">
            <thead>
              <tr>
                <th scope="col">Bed</th>
                <th scope="col">Inside the outline</th>
                <th scope="col">In your records</th>
                <th scope="col">Reason it cannot be imported</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ bed, name, areaM2, reasons }, i) => (
                <tr key={i}>
                  <td>{bed?.name ?? name}</td>
                  <td>{areaM2 > 0 ? measures.area(areaM2) : '–'}</td>
                  <td>
                    {bed
                      ? `${measures.area(bed.areaM2)}${areaM2 > 0 ? ` (${formatFigure(areaM2 / bed.areaM2, 2)} times)` : ''}`
                      : '–'}
                  </td>
                  <td className={reasons.length > 0 ? 'import-rejected' : undefined}>
                    {reasons.map((found) => describeFinding(found).sentence).join(' ')}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="soft">The areas in your records stay as they are; all amounts are for them.</p>
        </div>
      )}
      <ImportFoot
        report={report}
        hindrance={hindrance}
        isBusy={read.isPending}
        failure={read.error}
        gardenId={books.garden.id}
        onTry={() => send(true)}
        onRead={() => send(false)}
      />
    </div>
  );
}
