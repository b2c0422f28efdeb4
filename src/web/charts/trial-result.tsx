import { useIsPhone } from '../app/use-phone.ts';
import { COLORS, LETTER_PX } from '../theme/tokens.ts';

export interface TrialBar {
  readonly name: string;
  readonly values: readonly number[];
  readonly mean: number | null;
}

interface TrialResultChartProps {
  readonly bars: readonly TrialBar[];
  readonly unit: string;
  readonly format: (value: number) => string;
}

const ROW = 34;
/** Room across, of it for the names, and the letters that fit there. */
const WIDE = { width: 530, label: 150, mostLetters: 22 };
const NARROW = { width: 350, label: 112, mostLetters: 15 };
const RIGHT = 30;
const MARGIN_SHARE = 0.08;

/** Every plot as a dot, every treatment's mean as a line through them. */
export function TrialResultChart({ bars, unit, format }: TrialResultChartProps) {
  const { width, label, mostLetters } = useIsPhone() ? NARROW : WIDE;
  const values = bars.flatMap((bar) => bar.values);
  if (values.length === 0) return null;
  // Dots need no zero: the room goes to their differences.
  const span = Math.max(...values) - Math.min(...values) || Math.abs(values[0]!) || 1;
  const low = Math.min(...values) - span * MARGIN_SHARE;
  const high = Math.max(...values) + span * MARGIN_SHARE;
  const at = (value: number) => label + ((value - low) / (high - low)) * (width - label - RIGHT);
  const height = bars.length * ROW + 24;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="trial-chart"
      role="img"
      aria-label={inWords(bars, unit, format)}
    >
      {[low, (low + high) / 2, high].map((tick) => (
        <g key={tick}>
          <path d={`M${at(tick)} 0V${height - 20}`} stroke={COLORS.rule} />
          <text x={at(tick)} y={height - 6} fontSize={LETTER_PX} textAnchor="middle" fill={COLORS.softInk}>
            {format(tick)}
          </text>
        </g>
      ))}
      {bars.map(({ name, values: own, mean }, i) => {
        const y = i * ROW + ROW / 2;
        return (
          <g key={name}>
            <text x={0} y={y + 4} fontSize={13} fill={COLORS.ink}>
              {name.length > mostLetters ? `${name.slice(0, mostLetters - 1)}…` : name}
            </text>
            <path d={`M${label} ${y}H${width - RIGHT}`} stroke={COLORS.rule} />
            {own.map((value, k) => (
              <circle
                key={`${k} ${value}`}
                cx={at(value)}
                cy={y}
                r={4.5}
                fill={COLORS.nitrogenDeepWash}
                stroke={COLORS.nitrogen}
              >
                <title>{`${name}: ${format(value)} ${unit}`}</title>
              </circle>
            ))}
            {mean !== null && <path d={`M${at(mean)} ${y - 11}v22`} stroke={COLORS.ink} strokeWidth={2.5} />}
          </g>
        );
      })}
    </svg>
  );
}

const inWords = (bars: readonly TrialBar[], unit: string, format: (value: number) => string): string =>
  bars
    .map(({ name, values, mean }) =>
      mean === null ? `${name}: not measured` : `${name}: mean ${format(mean)} ${unit} of ${values.length}`,
    )
    .join('; ');
