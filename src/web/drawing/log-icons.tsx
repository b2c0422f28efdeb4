import type { ReactNode } from 'react';
import { COLORS } from '../theme/tokens.ts';

/** What a tile of the logbook stands for. */
export const LOG_TILES = [
  'leafColor',
  'growth',
  'thickness',
  'worms',
  'threads',
  'smell',
  'squeeze',
  'waterBehavior',
  'watering',
  'soilTemperature',
  'yield',
  'hours',
  'soilTest',
  'note',
] as const;
export type LogTile = (typeof LOG_TILES)[number];

const INK = COLORS.ink;
const LINE = {
  fill: 'none',
  stroke: INK,
  strokeWidth: 2,
  strokeLinecap: 'round',
  strokeLinejoin: 'round',
} as const;

const SHAPES: Record<LogTile, ReactNode> = {
  leafColor: (
    <>
      <path
        d="M24 6C36 12 39 26 33 36C30 40 27 41 24 41C21 41 18 40 15 36C9 26 12 12 24 6Z"
        fill="#7FA552"
        stroke={INK}
        strokeWidth={1.5}
      />
      <path d="M24 12V46" {...LINE} />
    </>
  ),
  growth: (
    <path
      d="M24 44V18M24 30C14 30 12 22 12 18C20 18 24 24 24 30ZM24 24C24 16 28 10 36 10C36 18 32 24 24 24Z"
      {...LINE}
    />
  ),
  thickness: (
    <>
      <path d="M6 16h36M6 34h36" {...LINE} />
      <path
        d="M10 20l8 4M22 21l9 2M34 20l5 5M8 28l9 -2M21 29l8 2M33 29l7 -2"
        {...LINE}
        stroke={COLORS.carbon}
      />
      <path d="M44 16v18M42 18l2 -2l2 2M42 32l2 2l2 -2" {...LINE} strokeWidth={1.4} />
    </>
  ),
  worms: (
    <path d="M8 34C12 22 18 22 20 30S28 40 32 28S38 16 42 20" {...LINE} stroke="#A2584C" strokeWidth={4} />
  ),
  threads: (
    <path
      d="M24 8V40M24 16L12 26M24 16L36 26M24 26L14 40M24 26L34 40M12 26L7 36M36 26L41 36"
      {...LINE}
      strokeWidth={1.6}
    />
  ),
  smell: (
    <path d="M18 10C12 20 12 26 20 26C20 36 28 38 34 34M30 12c4 4 -2 6 2 10M38 12c4 4 -2 6 2 10" {...LINE} />
  ),
  squeeze: (
    <>
      <path
        d="M10 24C10 14 16 12 24 12S38 14 38 24C38 30 32 32 24 32S10 30 10 24ZM16 13v10M22 12v10M28 12v10M34 14v9"
        {...LINE}
      />
      <path d="M24 36c-3 4 -3 7 0 7s3 -3 0 -7z" fill="#5B86A3" stroke={INK} strokeWidth={1.2} />
    </>
  ),
  waterBehavior: (
    <>
      <path d="M6 22c6 -5 12 5 18 0s12 5 18 0" {...LINE} stroke="#3E6C8B" />
      <path
        d="M6 30h36M14 34v8M24 34v8M34 34v8M12 40l2 2l2 -2M22 40l2 2l2 -2M32 40l2 2l2 -2"
        {...LINE}
        strokeWidth={1.6}
      />
    </>
  ),
  watering: <path d="M8 24h18v16H8zM26 28l12 -10l4 4M12 24v-6h10v6M38 26l1 4M43 25l2 4" {...LINE} />,
  soilTemperature: <path d="M24 8a4 4 0 0 1 4 4v18a7 7 0 1 1 -8 0V12a4 4 0 0 1 4 -4zM24 18v16" {...LINE} />,
  yield: <path d="M8 22h32l-4 20H12zM14 22c0 -8 4 -12 10 -12s10 4 10 12M14 30h20" {...LINE} />,
  hours: <path d="M24 24m-17 0a17 17 0 1 0 34 0a17 17 0 1 0 -34 0M24 14v10l7 5" {...LINE} />,
  soilTest: <path d="M18 8h12M20 8v12L10 38a4 4 0 0 0 4 5h20a4 4 0 0 0 4 -5L28 20V8M15 32h18" {...LINE} />,
  note: <path d="M8 16h8l3 -5h10l3 5h8v24H8zM24 28m-7 0a7 7 0 1 0 14 0a7 7 0 1 0 -14 0" {...LINE} />,
};

/** A tile of the logbook, drawn. */
export function LogIcon({ tile }: { tile: LogTile }) {
  return (
    <svg viewBox="0 0 50 50" width={40} height={40} aria-hidden="true">
      {SHAPES[tile]}
    </svg>
  );
}
