import { useState } from 'react';
import { useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { outlinesAsGeoJson } from '../../../contract/geojson.ts';
import { GARDEN_TABLES, type Table } from '../../../contract/tables/garden-tables.ts';
import { asCsv } from '../../../contract/tables/csv.ts';
import { tableCells } from '../../../contract/tables/table-rows.ts';
import { gardenFileAddress } from '../../api/data.ts';
import { Choice } from '../../ui/forms/inputs.tsx';
import { calendarAddress } from '../../api/journal.ts';
import { saveFile } from '../../drawing/save-file.ts';

/** Everything as one file, tables one by one, and what other programs read. */
export function TakeOut() {
  const books = useBooks();
  const { garden, beds } = books;
  const mapped = beds.filter(({ outline }) => outline !== null);
  return (
    <section aria-label="Export">
      <div className="section-head">
        <h2>Export</h2>
      </div>
      <p className="data-whole">
        <a className="button-link" href={gardenFileAddress(garden.id)} download={`${garden.name}.json`}>
          The whole garden as one file
        </a>
        <span className="soft">
          JSON, photos among it. Imported elsewhere, it makes the same garden, record for record.
        </span>
      </p>
      {beds.length > 0 && <OneBed />}
      <div className="data-tables">
        {GARDEN_TABLES.map((table) => (
          <TableLine key={table.id} table={table} />
        ))}
        <div className="data-table-line">
          <span>Calendar</span>
          <a href={calendarAddress(garden.id)} download>
            iCalendar
          </a>
        </div>
        <div className="data-table-line">
          <span>
            Outlines of beds <span className="soft">{mapped.length === 0 ? 'none yet' : mapped.length}</span>
          </span>
          <Button
            type="link"
            size="small"
            disabled={mapped.length === 0}
            onClick={() =>
              saveFile(
                `${garden.name} beds.geojson`,
                `${JSON.stringify(outlinesAsGeoJson(beds), null, 1)}\n`,
                'application/geo+json',
              )
            }
          >
            GeoJSON
          </Button>
        </div>
      </div>
      <p className="soft">
        Ledgers and lines of years are saved where they stand: “CSV”, “SVG” and “PNG” beside each of them.
        Sheets to print are on the page of a bed, of a spreading day and of a year. Other programs read and
        write the same books: <a href="/api/docs">how they ask</a>.
      </p>
    </section>
  );
}

/** A single bed with all that was written about it, as a garden file of its own. */
function OneBed() {
  const { garden, beds } = useBooks();
  const [bedId, setBedId] = useState(beds[0]!.id);
  const name = beds.find(({ id }) => id === bedId)?.name ?? '';
  return (
    <div className="band-fields">
      <Choice
        name="One bed as a file"
        value={bedId}
        onChange={setBedId}
        width={190}
        options={beds.map((bed) => ({ value: bed.id, label: bed.name }))}
      />
      <div className="field">
        <span className="field-name">&nbsp;</span>
        <a className="button-link" href={gardenFileAddress(garden.id, bedId)} download={`${name}.json`}>
          Save the bed
        </a>
      </div>
    </div>
  );
}

function TableLine({ table }: { table: Table }) {
  const books = useBooks();
  const cells = tableCells(table, books[table.collection], books);
  const count = cells.data.length;
  return (
    <div className="data-table-line">
      <span>
        {table.title} <span className="soft figure">{count === 0 ? 'none yet' : count}</span>
      </span>
      <Button
        type="link"
        size="small"
        aria-label={`${table.title} as CSV`}
        onClick={() => saveFile(`${books.garden.name} ${table.id}.csv`, `${asCsv(cells)}\r\n`)}
      >
        CSV
      </Button>
    </div>
  );
}
