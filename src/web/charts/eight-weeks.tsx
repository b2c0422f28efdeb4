import type { DayNumber } from '../../core/ground/index.ts';
import { COLORS } from '../theme/tokens.ts';

interface EightWeeksProps {
  readonly ahead: readonly { readonly day: DayNumber; readonly availableG: number; readonly wantG: number }[];
  readonly description: string;
}

const WIDTH = 92;
const HEIGHT = 26;

/** What is available to roots over the next weeks as a small tide, and what the crops will need as a dashed line. */
export function EightWeeks({ ahead, description }: EightWeeksProps) {
  const [first] = ahead;
  const last = ahead.at(-1);
  if (!first || !last || last.day === first.day) return null;
  const highest = Math.max(1, ...ahead.map(({ availableG, wantG }) => Math.max(availableG, wantG)));
  const x = (day: DayNumber) => (((day - first.day) / (last.day - first.day)) * WIDTH).toFixed(1);
  const y = (g: number) => (HEIGHT - 1 - (g / highest) * (HEIGHT - 3)).toFixed(1);
  const line = (read: (one: (typeof ahead)[number]) => number) =>
    ahead.map((one, i) => `${i === 0 ? 'M' : 'L'}${x(one.day)} ${y(read(one))}`).join('');
  const available = line(({ availableG }) => availableG);
  return (
    <svg width={WIDTH} height={HEIGHT} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={description}>
      <path d={`${available}L${WIDTH} ${HEIGHT}L0 ${HEIGHT}Z`} fill={COLORS.nitrogenWash} />
      <path d={available} fill="none" stroke={COLORS.nitrogen} strokeWidth={1.6} />
      <path
        d={line(({ wantG }) => wantG)}
        fill="none"
        stroke={COLORS.ink}
        strokeWidth={1.1}
        strokeDasharray="3 2"
      />
      <path d={`M0 ${HEIGHT - 0.5}H${WIDTH}`} stroke={COLORS.softInk} strokeWidth={0.8} />
    </svg>
  );
}
