import { Input } from 'antd';
import { QUANTITIES } from '../../../quantities/units.ts';
import { retyped, type Reader } from '../forms/typed-quantity.ts';
import { CLIMATE_ROWS, type ClimateField, type TypedClimate } from './climate-form.ts';
import { MONTH_LETTERS } from '../../../words/dates.ts';

interface ClimateMonthsProps {
  readonly typed: TypedClimate;
  readonly reader: Reader;
  readonly onChange: (typed: TypedClimate) => void;
  /** What is wrong, by field and month. */
  readonly troubles: Record<string, string>;
}

/** Twelve months of one's own: mean temperature, rain, and what a green cover evaporates. */
export function ClimateMonths({ typed, reader, onChange, troubles }: ClimateMonthsProps) {
  const set = (field: ClimateField, month: number, text: string) => {
    // A row copied from a table fills the months that follow.
    const pasted = text.trim().split(/[\t;]+|\s{2,}/);
    const next = [...typed[field]];
    const texts = pasted.length > 1 ? pasted.slice(0, 12 - month) : [text];
    texts.forEach((typedText, i) => (next[month + i] = retyped(next[month + i]!, typedText)));
    onChange({ ...typed, [field]: next });
  };
  const wrong = Object.entries(troubles).find(([field]) => field.startsWith('climate'));
  return (
    <div>
      <table className="climate-months">
        <thead>
          <tr>
            <th scope="col">month</th>
            {MONTH_LETTERS.map((month) => (
              <th key={month} scope="col">
                {month}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {CLIMATE_ROWS.map(({ field, name, quantity }) => (
            <tr key={field}>
              <th scope="row">
                {name}, {QUANTITIES[quantity].shown[reader.system].symbol}
              </th>
              {typed[field].map(({ text }, month) => (
                <td key={MONTH_LETTERS[month]}>
                  <Input
                    size="small"
                    value={text}
                    aria-label={`${name}, ${QUANTITIES[quantity].shown[reader.system].symbol}, ${MONTH_LETTERS[month]}`}
                    status={troubles[`climate.${field}.${month}`] === undefined ? '' : 'error'}
                    onChange={(event) => set(field, month, event.target.value)}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <span className="soft hint">
        Means of many years; a row copied from a table fills all months. Warm in January means the southern
        half of the world.
      </span>
      {wrong && (
        <p className="field-trouble" role="alert">
          {wrong[1]}
        </p>
      )}
    </div>
  );
}
