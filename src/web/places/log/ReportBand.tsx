import { useState } from 'react';
import type { SoilReport } from '../../../core/bed/index.ts';
import { ReportInput } from '../../ui/log/ReportInput.tsx';
import { ReportSamples } from '../../ui/log/ReportSamples.tsx';

/** A laboratory's table of many samples, pasted or as a file. */
export function ReportBand({ onClose }: { readonly onClose: () => void }) {
  const [{ reports, count }, setRead] = useState<{ reports: readonly SoilReport[]; count: number }>({
    reports: [],
    count: 0,
  });
  return (
    <section className="band" aria-label="A laboratory’s table">
      <h2>A laboratory’s table</h2>
      <p className="soft">
        Paste the table with its first line, which names the columns and their units, or choose the file.
      </p>
      <ReportInput onReports={(next) => setRead({ reports: next, count: count + 1 })} />
      <ReportSamples key={count} reports={reports} onClose={onClose} />
    </section>
  );
}
