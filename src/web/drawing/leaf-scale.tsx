import type { LeafStep } from '../../records/vocabulary.ts';

/** Blade and veins of a leaf at each step, from yellow to dark green; veins grow darker as well, so that it is not color alone. */
const LEAVES: Record<LeafStep, { readonly blade: string; readonly vein: string; readonly veins: number }> = {
  1: { blade: '#E6D36A', vein: '#C9B24A', veins: 1 },
  2: { blade: '#B4C25E', vein: '#8C9A3F', veins: 2 },
  3: { blade: '#6E9E45', vein: '#4B7430', veins: 3 },
  4: { blade: '#34652F', vein: '#1E4420', veins: 4 },
};

const VEIN_PATHS = [
  'M32 26l-10 -8M32 26l10 -8',
  'M32 36l-13 -9M32 36l13 -9',
  'M32 46l-14 -9M32 46l14 -9',
  'M32 18l-6 -6M32 18l6 -6',
];

/** One step of the leaf-color scale, drawn. */
export function LeafDrawing({ step, size = 64 }: { step: LeafStep; size?: number }) {
  const { blade, vein, veins } = LEAVES[step];
  return (
    <svg viewBox="0 0 64 72" width={size} height={(size * 72) / 64} aria-hidden="true">
      <path
        d="M32 4C50 14 56 34 48 50C44 57 38 60 32 60C26 60 20 57 16 50C8 34 14 14 32 4Z"
        fill={blade}
        stroke={vein}
        strokeWidth={1.6}
      />
      <path d="M32 10V70" stroke={vein} strokeWidth={2.4} fill="none" strokeLinecap="round" />
      {VEIN_PATHS.slice(0, veins).map((path) => (
        <path key={path} d={path} stroke={vein} strokeWidth={1.6} fill="none" strokeLinecap="round" />
      ))}
    </svg>
  );
}
