import { COLORS, LETTER_PX } from '../theme/tokens.ts';

interface GaugeProps {
  /** What is measured, for those who cannot see it. */
  readonly label: string;
  readonly value: number | null;
  readonly low: number;
  readonly high: number;
  /** Where it should lie; null where it does not matter. */
  readonly target: readonly [low: number, high: number] | null;
  readonly format: (value: number) => string;
}

const WIDTH = 250;
const HEIGHT = 34;
const BAR_TOP = 8;
const BAR = 9;

/** A figure on a line, with the stretch where it should lie. */
export function Gauge({ label, value, low, high, target, format }: GaugeProps) {
  const at = (figure: number) => (WIDTH * (Math.min(high, Math.max(low, figure)) - low)) / (high - low);
  const isGood = value !== null && target !== null && value >= target[0] && value <= target[1];
  const words = value === null ? 'nothing' : format(value);
  const ends = target ? [...target] : [low, high];
  return (
    <svg
      className="gauge"
      viewBox={`-14 0 ${WIDTH + 28} ${HEIGHT}`}
      role="img"
      aria-label={`${label}: ${words}${target ? `, wanted ${format(target[0])} to ${format(target[1])}` : ''}`}
    >
      <rect x={0} y={BAR_TOP} width={WIDTH} height={BAR} rx={2} fill={COLORS.tab} />
      {target && (
        <rect
          x={at(target[0])}
          y={BAR_TOP}
          width={Math.max(3, at(target[1]) - at(target[0]))}
          height={BAR}
          fill={COLORS.nitrogenDeepWash}
        />
      )}
      {ends.map((end, i) => (
        <text
          key={i === 0 ? 'low' : 'high'}
          x={at(end)}
          y={HEIGHT - 3}
          // Beside a target the figures stand outside it, at the ends of the line inside.
          textAnchor={(i === 0) === (target !== null) ? 'end' : 'start'}
          fontSize={LETTER_PX}
          fill={COLORS.softInk}
        >
          {format(end)}
        </text>
      ))}
      {value !== null && (
        <path
          d={`M${at(value)} ${BAR_TOP - 6}l5 -0l-5 8l-5 -8z M${at(value) - 0.9} ${BAR_TOP}h1.8v${BAR}h-1.8z`}
          fill={target === null || isGood ? COLORS.ink : COLORS.stop}
        />
      )}
    </svg>
  );
}
