import { Checkbox } from 'antd';
import { useState } from 'react';
import type { ImportReport } from '../../../contract/imports.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { useReadGarden } from '../../api/data.ts';
import { judgedRows } from './import-form.ts';
import { ImportFoot } from './ImportFoot.tsx';
import { Verdict } from './Verdict.tsx';

/** A whole garden: a new one, the same one brought up to the file, or a copy beside it. */
export function GardenImport({ file, books }: { file: Blob; books: GardenBooks | null }) {
  const [isCopy, setCopy] = useState(false);
  const [report, setReport] = useState<ImportReport | null>(null);
  const read = useReadGarden();
  const send = (isDryRun: boolean) =>
    read.mutate({ file, isDryRun, isCopy }, { onSuccess: setReport, onError: () => setReport(null) });
  return (
    <div className="import-step">
      <h3>A garden file</h3>
      <p>
        Records that are in the books already are brought up to the file; none is removed. A garden that is
        not here yet is made.
      </p>
      <Checkbox
        checked={isCopy}
        onChange={(event) => {
          setCopy(event.target.checked);
          setReport(null);
        }}
      >
        Make a second garden of it, beside the one that is here
      </Checkbox>
      {report && !report.isWritten && (
        <Verdict counts={report.counts} rows={judgedRows(report, undefined, null)} />
      )}
      <ImportFoot
        report={report}
        hindrance={null}
        isBusy={read.isPending}
        failure={read.error}
        gardenId={books?.garden.id ?? null}
        onTry={() => send(true)}
        onRead={() => send(false)}
      />
    </div>
  );
}
