import { Input } from 'antd';
import Papa from 'papaparse';
import { useState } from 'react';
import { type SoilReport, soilReports } from '../../../core/bed/index.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { refusalSentence } from '../../../words/refusal-words.ts';

/** A laboratory's table, pasted or as a file. Gets no reports while it cannot be read, and the reason is told here. */
export function ReportInput({ onReports }: { readonly onReports: (reports: readonly SoilReport[]) => void }) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const read = (text: string) => {
    setTrouble(null);
    try {
      const rows = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true }).data;
      onReports(rows.length === 0 ? [] : soilReports(rows));
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      onReports([]);
      setTrouble(refusalSentence(error.path.join('.'), error.refusal));
    }
  };
  return (
    <>
      <Input.TextArea
        aria-label="The laboratory’s table"
        autoSize={{ minRows: 3, maxRows: 8 }}
        placeholder={'sample, pH, organic matter (%), nitrate N (mg/kg), Olsen P (ppm), K (ppm)'}
        onChange={(event) => read(event.target.value)}
      />
      <input
        type="file"
        accept=".csv,.txt,text/csv"
        aria-label="The laboratory’s file"
        onChange={(event) => void event.target.files?.[0]?.text().then(read)}
      />
      {trouble !== null && (
        <p className="field-trouble" role="alert">
          {trouble}
        </p>
      )}
    </>
  );
}
