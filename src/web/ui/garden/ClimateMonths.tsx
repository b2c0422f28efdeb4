import { Input } from 'antd';
import { MONTH_LETTERS } from '../../../words/dates.ts';

/** Twelve months as typed, by what was measured. */
export interface TypedClimate {
  readonly temperatureC: readonly string[];
  readonly rainMm: readonly string[];
  readonly evapotranspirationMm: readonly string[];
}

const ROWS: readonly { field: keyof TypedClimate; name: string }[] = [
  { field: 'temperatureC', name: 'Temperature, °C' },
  { field: 'rainMm', name: 'Rain, mm' },
  { field: 'evapotranspirationMm', name: 'Evaporation, mm' },
];

interface ClimateMonthsProps {
  readonly typed: TypedClimate;
  readonly onChange: (typed: TypedClimate) => void;
  /** What is wrong, by field and month. */
  readonly troubles: Record<string, string>;
}

/** Twelve months of one's own: mean temperature, rain, and what a green cover evaporates. */
export function ClimateMonths({ typed, onChange, troubles }: ClimateMonthsProps) {
  const set = (field: keyof TypedClimate, month: number, text: string) => {
    // A row copied from a table fills the months that follow.
    const pasted = text.trim().split(/[\t;]+|\s{2,}/);
    const next = [...typed[field]];
    pasted.slice(0, 12 - month).forEach((value, i) => (next[month + i] = value));
    onChange({ ...typed, [field]: pasted.length > 1 ? next : next.with(month, text) });
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
          {ROWS.map(({ field, name }) => (
            <tr key={field}>
              <th scope="row">{name}</th>
              {typed[field].map((text, month) => (
                <td key={MONTH_LETTERS[month]}>
                  <Input
                    size="small"
                    value={text}
                    aria-label={`${name}, ${MONTH_LETTERS[month]}`}
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
