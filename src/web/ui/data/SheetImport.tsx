import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { stationDays } from '../../../contract/tables/station-days.ts';
import { counted } from '../../../words/counted.ts';
import { ReportSamples } from '../log/ReportSamples.tsx';
import { gridOf } from './import-form.ts';
import { laboratoryIn } from './laboratory.ts';
import { TableImport } from './TableImport.tsx';
import type { NamedGrid } from './workbook.ts';

interface SheetImportProps {
  /** A text with its cells parted by something, or the sheets of a workbook. */
  readonly content: string | readonly NamedGrid[];
  readonly source: string;
  readonly onClose: () => void;
}

/** A table by what it is: a soil laboratory's, a weather station's, or one of ours. */
export function SheetImport({ content, source, onClose }: SheetImportProps) {
  const [isPlain, setPlain] = useState(false);
  const found = useMemo(() => {
    const grid = typeof content === 'string' ? gridOf(content).grid : (content[0]?.grid ?? []);
    return { laboratory: laboratoryIn(grid), days: stationDays(grid) };
  }, [content]);
  const { laboratory, days } = found;
  const plainly = (
    <Button size="small" type="text" onClick={() => setPlain(true)}>
      It is another table
    </Button>
  );
  if (laboratory && !isPlain) {
    return (
      <div className="import-step">
        <h3>A laboratory’s report on soil {plainly}</h3>
        {'trouble' in laboratory ? (
          <p className="field-trouble" role="alert">
            {laboratory.trouble}
          </p>
        ) : (
          <ReportSamples reports={laboratory.reports} onClose={onClose} />
        )}
      </div>
    );
  }
  if (days && !isPlain) {
    return (
      <>
        <p>
          The file of a weather station: its lines are taken together to {counted(days.length - 1, 'day')},
          with the mean temperature and all the rain of each. {plainly}
        </p>
        <TableImport content={[{ name: 'days', grid: days }]} source={source} />
      </>
    );
  }
  return <TableImport content={content} source={source} />;
}
