import { Button, Input } from 'antd';
import { useState } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { GardenImport } from './GardenImport.tsx';
import { kindOf } from './import-form.ts';
import { OutlineImport } from './OutlineImport.tsx';
import { SheetImport } from './SheetImport.tsx';
import { isWorkbook, sheetsOf, UnreadableWorkbook, type NamedGrid } from './workbook.ts';

interface ImportWizardProps {
  /** Null before there is any garden: then only a whole one can be imported. */
  readonly books: GardenBooks | null;
  readonly onClose: () => void;
}

/** Something handed in as a file or pasted; what it is shows what is asked next. */
export function ImportWizard({ books, onClose }: ImportWizardProps) {
  const [text, setText] = useState('');
  const [fileName, setFileName] = useState<string | null>(null);
  const [sheets, setSheets] = useState<readonly NamedGrid[] | null>(null);
  /** A garden file is handed on as it is: with its photos it may be larger than a page can hold. */
  const [garden, setGarden] = useState<File | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const kind = garden ? 'garden' : sheets ? 'table' : kindOf(text);
  const putAway = () => {
    setTrouble(null);
    setSheets(null);
    setGarden(null);
    setText('');
  };
  const take = async (file: File) => {
    putAway();
    setFileName(file.name);
    try {
      if (isWorkbook(file)) setSheets(await sheetsOf(file));
      else if (kindOf(await file.slice(0, HEAD_BYTES).text()) === 'garden') setGarden(file);
      else setText(await file.text());
    } catch (error) {
      if (!(error instanceof UnreadableWorkbook)) throw error;
      setTrouble(error.message);
    }
  };
  const source = fileName ?? 'what was pasted';
  return (
    <section className="band import-band" aria-label="Import a file or table">
      <div className="section-head">
        <h2>Import a file or table</h2>
        <Button size="small" type="text" onClick={onClose}>
          Close
        </Button>
      </div>
      <p>
        {books
          ? 'A table (.xlsx, .ods, CSV, or copied out of a spreadsheet), the report of a soil laboratory, the log of a weather station, a garden file of Vine Ledger, or outlines of beds as GeoJSON. It is only tried at first: nothing is written before you have seen what would be.'
          : 'The file of a whole garden, as Vine Ledger makes it. It is only tried at first.'}
      </p>
      <div className="import-source">
        <input
          type="file"
          aria-label="The file"
          accept=".csv,.tsv,.txt,.xlsx,.ods,.xls,.json,.geojson,text/csv,application/json"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void take(file);
          }}
        />
        <span className="soft">or paste it here:</span>
        <Input.TextArea
          aria-label="The table or text"
          value={text.length > SHOWN_CHARACTERS ? `${text.slice(0, SHOWN_CHARACTERS)} …` : text}
          readOnly={text.length > SHOWN_CHARACTERS}
          autoSize={{ minRows: 3, maxRows: 7 }}
          placeholder={'bed;date;material;amount;unit\nLong bed;14.05.2026;Cereal straw;2;barrow85L'}
          onChange={(event) => {
            putAway();
            setFileName(null);
            setText(event.target.value);
          }}
        />
      </div>
      {kind === 'garden' && (
        <GardenImport
          key={garden ? `${garden.name} ${garden.lastModified} ${garden.size}` : text}
          file={garden ?? new Blob([text])}
          books={books}
        />
      )}
      {kind === 'outlines' && books && <OutlineImport key={text} text={text} source={source} />}
      {kind === 'table' && books && (
        <SheetImport
          key={sheets ? `${fileName} ${sheets.length}` : text}
          content={sheets ?? text}
          source={source}
          onClose={onClose}
        />
      )}
      {trouble !== null && (
        <p className="field-trouble" role="alert">
          {trouble}
        </p>
      )}
      {(kind === 'table' || kind === 'outlines') && !books && (
        <p className="field-trouble" role="alert">
          This is no garden file. Make a garden first; tables are imported on its page “Your data”.
        </p>
      )}
    </section>
  );
}

/** In which a file says what it is. */
const HEAD_BYTES = 1000;
/** More than this is not for reading in a box. */
const SHOWN_CHARACTERS = 20_000;
