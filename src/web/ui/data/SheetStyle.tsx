import { counted } from '../../../words/counted.ts';
import { GARDEN_TABLES } from '../../../contract/tables/garden-tables.ts';
import type { DateOrder } from '../../../contract/tables/cells.ts';
import { AMOUNT_UNITS } from '../../../records/vocabulary.ts';
import { Choice } from '../forms/inputs.tsx';
import { UNIT_WORDS } from '../../../words/measures.ts';
import { useBooks } from '../../app/garden-context.ts';
import {
  needsAmountUnit,
  ownerMissing,
  withMapping,
  withStyle,
  type Separator,
  type Sheet,
} from './import-form.ts';

const SEPARATOR_WORDS: Readonly<Record<Separator, string>> = {
  ',': 'comma',
  ';': 'semicolon',
  '\t': 'tab',
  '|': 'upright stroke',
};
const DATE_WORDS: Readonly<Record<DateOrder, string>> = {
  ymd: 'year, month, day',
  dmy: 'day, month, year',
  mdy: 'month, day, year',
};

interface SheetStyleProps {
  readonly sheet: Sheet;
  /** What parts the cells of a text; null for a workbook. */
  readonly separator: Separator | null;
  readonly onSeparator: (separator: Separator) => void;
  readonly onTable: (tableId: string) => void;
  readonly onChange: (sheet: Sheet) => void;
}

/** What the table is of, and how its figures and dates are written: recognized, and to be put right. */
export function SheetStyle({ sheet, separator, onSeparator, onTable, onChange }: SheetStyleProps) {
  const books = useBooks();
  const { table, parts, mapping, dateOrders, isDateOrderOpen } = sheet;
  const owner = ownerMissing(sheet);
  return (
    <>
      <h3>{counted(parts.rows.length, 'row')}, read as follows</h3>
      {parts.skipped.length > 0 && (
        <details>
          <summary>
            {counted(parts.skipped.length, 'line is', 'lines are')} taken for a title, a sum or a remark, and
            not read
          </summary>
          <ul>
            {parts.skipped.map(({ line, text }) => (
              <li key={line}>
                line {line}: {text}
              </li>
            ))}
          </ul>
        </details>
      )}
      <div className="band-fields">
        <Choice
          name="Table of"
          value={table.id}
          width={270}
          onChange={onTable}
          options={GARDEN_TABLES.map(({ id, title }) => ({ value: id, label: title }))}
        />
        {separator !== null && (
          <Choice
            name="Cells parted by"
            value={separator}
            width={130}
            onChange={onSeparator}
            options={Object.entries(SEPARATOR_WORDS).map(([value, label]) => ({
              value: value as Separator,
              label,
            }))}
          />
        )}
        <Choice
          name="Decimal sign"
          value={mapping.style.decimal}
          width={130}
          onChange={(decimal) => onChange(withStyle(sheet, { decimal }))}
          options={[
            { value: '.', label: 'point: 1.5' },
            { value: ',', label: 'comma: 1,5' },
          ]}
        />
        <Choice
          name="Dates written as"
          value={isDateOrderOpen ? null : mapping.style.dateOrder}
          placeholder="which is it?"
          width={170}
          onChange={(dateOrder) => onChange(withStyle(sheet, { dateOrder }))}
          options={Object.entries(DATE_WORDS).map(([value, label]) => ({ value: value as DateOrder, label }))}
          trouble={
            isDateOrderOpen
              ? `both ${dateOrders.map((order) => DATE_WORDS[order]).join(' and ')} would do: say which`
              : undefined
          }
        />
        {owner && (
          <Choice
            name={owner.kind === 'bed' ? 'All rows are for the bed' : 'All rows are of the pile'}
            value={mapping.everyRow[owner.field] ?? null}
            placeholder="which one?"
            width={190}
            onChange={(id) =>
              onChange(withMapping(sheet, { everyRow: { ...mapping.everyRow, [owner.field]: id } }))
            }
            options={(owner.kind === 'bed' ? books.beds : books.lots).map(({ id, name }) => ({
              value: id,
              label: name,
            }))}
          />
        )}
        {needsAmountUnit(sheet) && (
          <Choice
            name="Amounts are in"
            value={mapping.amountUnit}
            placeholder="which unit?"
            width={170}
            onChange={(amountUnit) => onChange(withMapping(sheet, { amountUnit }))}
            options={AMOUNT_UNITS.map((unit) => ({ value: unit, label: UNIT_WORDS[unit] }))}
          />
        )}
      </div>
    </>
  );
}
