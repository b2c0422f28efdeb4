import type { TrialPlot } from '../../core/season/index.ts';
import { COLORS, LETTER_PX } from '../theme/tokens.ts';

interface TrialPlotsProps {
  readonly plots: readonly TrialPlot[];
  readonly treatments: readonly string[];
  readonly arePots: boolean;
  /** What is written in a plot below its treatment: its reading, or nothing. */
  readonly captionOf: (plot: number) => string;
}

const CELL = 84;
const GAP = 6;
/** A pattern for each treatment, so that they differ without color. */
const FILLS = ['none', 'stripes', 'dots', 'cross', 'dense', 'waves', 'rings', 'bars'] as const;

/** Where each treatment lies: a row for every block. */
export function TrialPlots({ plots, treatments, arePots, captionOf }: TrialPlotsProps) {
  const columns = treatments.length;
  const rows = Math.ceil(plots.length / columns);
  const width = columns * (CELL + GAP);
  const height = rows * (CELL + GAP);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      style={{ maxWidth: width, width: '100%' }}
      role="img"
      aria-label={plots.map(({ plot, treatment }) => `${plot + 1}: ${treatments[treatment]}`).join(', ')}
    >
      <defs>
        <pattern id="plot-stripes" width="8" height="8" patternUnits="userSpaceOnUse">
          <path d="M0 8L8 0" stroke={COLORS.carbon} strokeWidth={1.2} opacity={0.5} />
        </pattern>
        <pattern id="plot-dots" width="8" height="8" patternUnits="userSpaceOnUse">
          <circle cx="4" cy="4" r="1.4" fill={COLORS.carbon} opacity={0.6} />
        </pattern>
        <pattern id="plot-cross" width="10" height="10" patternUnits="userSpaceOnUse">
          <path d="M5 1v8M1 5h8" stroke={COLORS.carbon} opacity={0.5} />
        </pattern>
        <pattern id="plot-dense" width="5" height="5" patternUnits="userSpaceOnUse">
          <path d="M0 5L5 0M0 0L5 5" stroke={COLORS.carbon} opacity={0.4} />
        </pattern>
        <pattern id="plot-waves" width="12" height="8" patternUnits="userSpaceOnUse">
          <path d="M0 4q3 -4 6 0t6 0" stroke={COLORS.carbon} fill="none" opacity={0.5} />
        </pattern>
        <pattern id="plot-rings" width="12" height="12" patternUnits="userSpaceOnUse">
          <circle cx="6" cy="6" r="3.4" stroke={COLORS.carbon} fill="none" opacity={0.5} />
        </pattern>
        <pattern id="plot-bars" width="6" height="6" patternUnits="userSpaceOnUse">
          <path d="M3 0v6" stroke={COLORS.carbon} opacity={0.5} />
        </pattern>
      </defs>
      {plots.map(({ plot, treatment }) => {
        const x = (plot % columns) * (CELL + GAP) + GAP / 2;
        const y = Math.floor(plot / columns) * (CELL + GAP) + GAP / 2;
        const fill = FILLS[treatment % FILLS.length]!;
        const shape = { fill: fill === 'none' ? COLORS.sheet : `url(#plot-${fill})`, stroke: COLORS.ink };
        return (
          <g key={plot}>
            {arePots ? (
              <path d={`M${x + 4} ${y + 6}h${CELL - 8}l-8 ${CELL - 12}h${24 - CELL}z`} {...shape} />
            ) : (
              <rect x={x} y={y} width={CELL} height={CELL} {...shape} />
            )}
            <rect x={x + 9} y={y + 8} width={CELL - 18} height={49} fill={COLORS.sheet} opacity={0.9} />
            <text x={x + CELL / 2} y={y + 18} fontSize={LETTER_PX} textAnchor="middle" fill={COLORS.softInk}>
              {plot + 1}
            </text>
            <text x={x + CELL / 2} y={y + 36} fontSize={LETTER_PX} textAnchor="middle" fill={COLORS.ink}>
              {short(treatments[treatment]!)}
            </text>
            <text
              x={x + CELL / 2}
              y={y + 51}
              fontSize={LETTER_PX}
              fontWeight={700}
              textAnchor="middle"
              fill={COLORS.nitrogen}
            >
              {captionOf(plot)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

const short = (name: string): string => (name.length > 10 ? `${name.slice(0, 9)}…` : name);
