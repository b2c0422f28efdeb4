import { counted } from '../../../words/counted.ts';
import { GARDEN_TABLES } from '../../../contract/tables/garden-tables.ts';
import type { DateOrder } from '../../../contract/tables/cells.ts';
import { AMOUNT_UNITS } from '../../../records/vocabulary.ts';
import { Choice } from '../forms/inputs.tsx';
import { UNIT_WORDS } from '../../../words/measures.ts';
import {
  needsAmountUnit,
  sheetOf,
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
  readonly text: string;
  readonly onChange: (sheet: Sheet) => void;
}

/** What the table is of, and how its figures and dates are written: recognized, and to be put right. */
export function SheetStyle({ sheet, text, onChange }: SheetStyleProps) {
  const { table, separator, mapping, dateOrders, isDateOrderOpen } = sheet;
  return (
    <>
      <h3>{counted(sheet.rows.length, 'row')}, read as follows</h3>
      <div className="band-fields">
        <Choice
          name="Table of"
          value={table.id}
          width={270}
          onChange={(tableId) => onChange(sheetOf(text, { separator, tableId }))}
          options={GARDEN_TABLES.map(({ id, title }) => ({ value: id, label: title }))}
        />
        <Choice
          name="Cells parted by"
          value={separator}
          width={130}
          onChange={(next) => onChange(sheetOf(text, { separator: next, tableId: table.id }))}
          options={Object.entries(SEPARATOR_WORDS).map(([value, label]) => ({
            value: value as Separator,
            label,
          }))}
        />
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
