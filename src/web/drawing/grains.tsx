import { memo, type ReactElement } from 'react';
import { type MaterialKind, seededStream } from '../../core/ground/index.ts';

/** How a material looks in section: a ground color and its grain. They differ in texture, not only in hue. */
interface Grain {
  readonly ground: string;
  readonly marks: readonly string[];
  readonly shape: 'sliver' | 'straw' | 'leaf' | 'crumb' | 'sheet' | 'shard' | 'speck';
  readonly count: number;
}

const GRAINS: Record<MaterialKind | 'soil', Grain> = {
  wood: {
    ground: '#C9A36B',
    marks: ['#E5CC9C', '#A87B45', '#8F6435', '#DDBB82'],
    shape: 'sliver',
    count: 34,
  },
  residue: { ground: '#DEC980', marks: ['#F0E2AC', '#B99F4F', '#CDB566'], shape: 'straw', count: 26 },
  leaf: { ground: '#A9793E', marks: ['#C4924F', '#7E5628', '#D2A55E', '#93632F'], shape: 'leaf', count: 22 },
  green: { ground: '#7C9150', marks: ['#9DB06B', '#5D7338', '#B5C283'], shape: 'straw', count: 26 },
  manure: { ground: '#6B5330', marks: ['#8A7045', '#4A3820', '#BBA35E'], shape: 'crumb', count: 30 },
  compost: { ground: '#46352A', marks: ['#5E4A3B', '#2E221A', '#6F5947'], shape: 'crumb', count: 34 },
  paper: { ground: '#CDBB9C', marks: ['#B39E79', '#E1D3B8'], shape: 'sheet', count: 9 },
  fertiliser: { ground: '#D9CFB4', marks: ['#8F8768', '#F2ECD9'], shape: 'speck', count: 30 },
  char: { ground: '#2A2724', marks: ['#0F0E0D', '#5A5550', '#3B3733'], shape: 'shard', count: 30 },
  none: { ground: '#B7AB95', marks: ['#93876F'], shape: 'speck', count: 20 },
  soil: { ground: '#8B6B4B', marks: ['#6E5136', '#A38563', '#5B432D'], shape: 'crumb', count: 20 },
};

export const grainId = (kind: MaterialKind | 'soil'): string => `grain-${kind}`;
export const groundColor = (kind: MaterialKind): string => GRAINS[kind].ground;

const TILE = 72;

function mark(
  shape: Grain['shape'],
  x: number,
  y: number,
  r: () => number,
  color: string,
  key: string,
): ReactElement {
  const turn = `rotate(${Math.round(r() * 180)} ${x} ${y})`;
  switch (shape) {
    case 'sliver':
      return (
        <rect
          key={key}
          x={x}
          y={y}
          width={5 + r() * 9}
          height={1.6 + r() * 2.2}
          rx={0.8}
          fill={color}
          transform={`rotate(${-30 + r() * 60} ${x} ${y})`}
        />
      );
    case 'straw':
      return (
        <rect
          key={key}
          x={x}
          y={y}
          width={14 + r() * 14}
          height={1.1}
          fill={color}
          transform={`rotate(${-25 + r() * 50} ${x} ${y})`}
        />
      );
    case 'leaf':
      return (
        <ellipse key={key} cx={x} cy={y} rx={5 + r() * 3} ry={2 + r() * 1.2} fill={color} transform={turn} />
      );
    case 'crumb':
      return (
        <ellipse
          key={key}
          cx={x}
          cy={y}
          rx={1.2 + r() * 2}
          ry={1 + r() * 1.4}
          fill={color}
          transform={turn}
        />
      );
    case 'sheet':
      return <rect key={key} x={0} y={y} width={TILE} height={0.8} fill={color} />;
    case 'shard':
      return (
        <path
          key={key}
          d={`M${x} ${y}l${2 + r() * 5} ${r() * 2}l${-1 - r() * 3} ${1 + r() * 3}z`}
          fill={color}
          transform={turn}
        />
      );
    case 'speck':
      return <circle key={key} cx={x} cy={y} r={0.7 + r() * 0.8} fill={color} />;
  }
}

function GrainPattern({ kind }: { kind: MaterialKind | 'soil' }) {
  const { ground, marks, shape, count } = GRAINS[kind];
  const r = seededStream(kind.length * 7919 + count);
  return (
    <pattern id={grainId(kind)} width={TILE} height={TILE} patternUnits="userSpaceOnUse">
      <rect width={TILE} height={TILE} fill={ground} />
      {Array.from({ length: count }, (_, i) =>
        mark(shape, r() * TILE, r() * TILE, r, marks[i % marks.length]!, `${kind}${i}`),
      )}
    </pattern>
  );
}

export const HATCH_ID = 'held-hatch';

/** All grains, and the hatch of what is held back; once per drawing surface. */
export const GrainDefinitions = memo(function GrainDefinitions() {
  return (
    <defs>
      {(Object.keys(GRAINS) as (keyof typeof GRAINS)[]).map((kind) => (
        <GrainPattern key={kind} kind={kind} />
      ))}
      <pattern id={HATCH_ID} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width={2.4} height={7} fill="#9E2F22" />
      </pattern>
    </defs>
  );
});
