import type { ReactElement } from 'react';
import type { PlantForm } from '../../core/ground/index.ts';
import { COLORS } from '../theme/tokens.ts';

interface PlantProps {
  readonly form: PlantForm;
  readonly x: number;
  /** Where it leaves the ground. */
  readonly y: number;
  readonly height: number;
  readonly isPale: boolean;
}

const leafPath = (x: number, y: number, dx: number, dy: number): string =>
  `M${x} ${y}q${dx * 0.35} ${dy - 5} ${dx} ${dy}q${-dx * 0.25} ${5 - dy * 0.1} ${-dx} ${-dy}z`;

/** Shapes in a box one unit high; each form of growth has its own silhouette. */
function silhouette(form: PlantForm, x: number, y: number, h: number, color: string): ReactElement {
  const stem = {
    stroke: color,
    strokeWidth: Math.max(1.4, h / 26),
    fill: 'none',
    strokeLinecap: 'round' as const,
  };
  switch (form) {
    case 'upright':
      return (
        <g>
          {[-0.34, -0.14, 0.06, 0.28].map((lean, i) => (
            <path
              key={lean}
              d={`M${x} ${y}C${x} ${y - h * 0.5} ${x + lean * h * 0.3} ${y - h * 0.8} ${x + lean * h} ${y - h * (0.86 + (i % 2) * 0.14)}`}
              {...stem}
              strokeWidth={Math.max(2, h / 13)}
            />
          ))}
        </g>
      );
    case 'grassy':
      return (
        <g>
          {[-0.45, -0.25, -0.08, 0.12, 0.3, 0.48].map((lean, i) => (
            <path
              key={lean}
              d={`M${x} ${y}Q${x + lean * h * 0.2} ${y - h * 0.7} ${x + lean * h * 0.7} ${y - h * (0.75 + (i % 3) * 0.12)}`}
              {...stem}
            />
          ))}
        </g>
      );
    case 'root':
      return (
        <g fill={color}>
          {[-0.55, -0.2, 0.2, 0.55].map((lean) => (
            <g key={lean}>
              <path
                d={`M${x} ${y}L${x + lean * h * 0.4} ${y - h * 0.55}`}
                stroke="#8A3A4A"
                strokeWidth={1.6}
              />
              <ellipse
                cx={x + lean * h * 0.5}
                cy={y - h * 0.68}
                rx={h * 0.15}
                ry={h * 0.3}
                transform={`rotate(${lean * 40} ${x + lean * h * 0.5} ${y - h * 0.68})`}
              />
            </g>
          ))}
          <circle cx={x} cy={y + 2} r={Math.max(2, h * 0.1)} fill="#8A3A4A" />
        </g>
      );
    case 'leafy':
      return (
        <g fill={color}>
          {[-1, -0.55, 0.55, 1].map((side) => (
            <path key={side} d={leafPath(x, y - 1, side * h * 0.62, -h * (1.05 - Math.abs(side) * 0.5))} />
          ))}
          <path d={`M${x} ${y}q${-h * 0.22} ${-h * 0.6} 0 ${-h}q${h * 0.22} ${h * 0.4} 0 ${h}z`} />
        </g>
      );
    case 'sprawling':
      return (
        <g fill={color}>
          <path d={`M${x - h} ${y - 2}Q${x} ${y - h * 0.7} ${x + h} ${y - 2}`} {...stem} />
          {[-0.8, -0.35, 0.1, 0.55].map((at) => (
            <circle key={at} cx={x + at * h} cy={y - h * (0.55 - at * at * 0.3)} r={h * 0.22} />
          ))}
          <ellipse cx={x + h * 0.55} cy={y - h * 0.16} rx={h * 0.24} ry={h * 0.18} fill="#C77B30" />
        </g>
      );
    case 'climbing':
      return (
        <g fill={color}>
          <path d={`M${x} ${y}V${y - h * 1.15}`} stroke="#8F7A55" strokeWidth={1.6} />
          <path
            d={`M${x} ${y}q${h * 0.25} ${-h * 0.28} 0 ${-h * 0.52}q${-h * 0.25} ${-h * 0.28} 0 ${-h * 0.52}`}
            {...stem}
          />
          {[0.25, 0.5, 0.75, 1].map((up, i) => (
            <path key={up} d={leafPath(x, y - h * up, (i % 2 ? -1 : 1) * h * 0.32, -h * 0.1)} />
          ))}
        </g>
      );
    case 'shrub':
    case 'bushy':
      return (
        <g fill={color}>
          {[-0.3, 0, 0.3].map((lean) => (
            <path
              key={lean}
              d={`M${x} ${y}Q${x + lean * h * 0.4} ${y - h * 0.5} ${x + lean * h} ${y - h * 0.85}`}
              {...stem}
              stroke={form === 'shrub' ? '#6B4E33' : color}
            />
          ))}
          {[
            [-0.36, 0.8],
            [0, 0.95],
            [0.36, 0.8],
            [-0.2, 0.6],
            [0.22, 0.58],
          ].map(([dx, up]) => (
            <ellipse key={`${dx!}`} cx={x + dx! * h} cy={y - up! * h} rx={h * 0.2} ry={h * 0.15} />
          ))}
        </g>
      );
    case 'tree':
      return (
        <g fill={color}>
          <path d={`M${x} ${y}V${y - h * 0.6}`} stroke="#6B4E33" strokeWidth={Math.max(3, h / 10)} />
          <circle cx={x} cy={y - h * 0.78} r={h * 0.34} />
          <circle cx={x - h * 0.28} cy={y - h * 0.62} r={h * 0.22} />
          <circle cx={x + h * 0.28} cy={y - h * 0.62} r={h * 0.22} />
        </g>
      );
  }
}

/** One plant above ground, by its form of growth; a pale one is yellowish and droops a little. */
export function Plant({ form, x, y, height, isPale }: PlantProps) {
  return silhouette(form, x, y, isPale ? height * 0.88 : height, isPale ? COLORS.paleLeaf : COLORS.leaf);
}

interface RootsProps {
  readonly x: number;
  readonly y: number;
  readonly depth: number;
  readonly spread: number;
}

/** A spray of roots down to a depth. */
export function Roots({ x, y, depth, spread }: RootsProps) {
  return (
    <g stroke="#F3E6CF" strokeWidth={1.1} fill="none" strokeLinecap="round" opacity={0.9}>
      {[-1, -0.62, -0.3, 0, 0.28, 0.6, 0.95].map((lean, i) => {
        const down = depth * (1 - Math.abs(lean) * 0.32 - (i % 2) * 0.06);
        return (
          <path
            key={lean}
            d={`M${x} ${y}C${x + lean * spread * 0.25} ${y + down * 0.35} ${x + lean * spread * 0.8} ${y + down * 0.5} ${x + lean * spread} ${y + down}`}
          />
        );
      })}
    </g>
  );
}
