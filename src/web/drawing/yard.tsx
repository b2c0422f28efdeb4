import { COLORS, LETTER_PX } from '../theme/tokens.ts';
import type { MaterialKind } from '../../core/ground/index.ts';
import type { LotForm } from '../../records/vocabulary.ts';
import { GrainDefinitions, grainId } from './grains.tsx';

export interface YardLot {
  readonly id: string;
  readonly name: string;
  readonly amount: string;
  readonly form: LotForm;
  readonly kind: MaterialKind;
  readonly volumeL: number;
  readonly href: string;
}

interface YardProps {
  readonly lots: readonly YardLot[];
  readonly onOpen: (href: string) => void;
}

const WIDTH = 1080;
const GROUND = 118;
const HEIGHT = GROUND + 44;
const TALLEST = 104;
const HEIGHT_TO_WIDTH = 0.5;
const NARROWEST = 74;
const GAP = 14;

/** A heap is about half as high as it is wide; its width goes with the cube root of its volume. */
const widthOf = (volumeL: number, cubeRootScale: number): number => Math.cbrt(volumeL) * cubeRootScale;

function shape({ form }: YardLot, x: number, width: number, height: number): string {
  const top = GROUND - height;
  const isBox = form === 'bin' || form === 'drum' || form === 'bag' || form === 'bale';
  if (!isBox) {
    return `M${x} ${GROUND}Q${x + width * 0.14} ${top} ${x + width / 2} ${top}Q${x + width * 0.86} ${top} ${x + width} ${GROUND}Z`;
  }
  const round = form === 'bag' ? height * 0.3 : form === 'drum' ? 6 : 2;
  const left = x + width * 0.18;
  const right = x + width * 0.82;
  return `M${left} ${GROUND}V${top + round}Q${left} ${top} ${left + round} ${top}H${right - round}Q${right} ${top} ${right} ${top + round}V${GROUND}Z`;
}

/** Everything in stock side by side, each as large as it is beside the others. */
export function Yard({ lots, onOpen }: YardProps) {
  const roots = lots.reduce((sum, { volumeL }) => sum + Math.cbrt(volumeL), 0);
  const biggest = Math.max(1, ...lots.map(({ volumeL }) => Math.cbrt(volumeL)));
  const room = WIDTH - GAP * (lots.length - 1);
  const scale = Math.min(TALLEST / HEIGHT_TO_WIDTH / biggest, room / Math.max(roots, 1));
  const slots = lots.map((lot) => Math.max(NARROWEST, widthOf(lot.volumeL, scale)));
  const spread = Math.min(1, room / slots.reduce((sum, width) => sum + width, 0));
  const starts = slots.map((_, i) => slots.slice(0, i).reduce((sum, width) => sum + width * spread + GAP, 0));
  return (
    <svg
      className="yard"
      viewBox={`-12 0 ${WIDTH + 34} ${HEIGHT}`}
      role="group"
      aria-label="The yard, to scale"
    >
      <GrainDefinitions />
      {lots.map((lot, i) => {
        const slot = slots[i]! * spread;
        const width = Math.min(widthOf(lot.volumeL, scale), slot);
        const height = Math.max(4, Math.min(TALLEST, width * HEIGHT_TO_WIDTH));
        const middle = starts[i]! + slot / 2;
        const left = middle - width / 2;
        return (
          <a
            key={lot.id}
            href={lot.href}
            className="yard-lot"
            onClick={(event) => {
              event.preventDefault();
              onOpen(lot.href);
            }}
            aria-label={`${lot.name}, ${lot.amount}`}
          >
            <rect x={middle - slot / 2} y={0} width={slot} height={HEIGHT} fill="transparent" />
            <path
              d={shape(lot, left, width, height)}
              fill={`url(#${grainId(lot.kind)})`}
              stroke={COLORS.ink}
              strokeWidth={0.8}
            />
            <LotLabel lot={lot} middle={middle} slot={slot} />
          </a>
        );
      })}
      <line x1={0} x2={WIDTH} y1={GROUND} y2={GROUND} stroke={COLORS.ink} strokeWidth={1.4} />
    </svg>
  );
}

const CHARACTER = 6.1;

function LotLabel({ lot, middle, slot }: { lot: YardLot; middle: number; slot: number }) {
  const most = Math.floor((slot + GAP - 4) / CHARACTER);
  const name = lot.name.length > most ? `${lot.name.slice(0, Math.max(3, most - 1))}…` : lot.name;
  return (
    <>
      <text
        x={middle}
        y={GROUND + 17}
        textAnchor="middle"
        fontSize={LETTER_PX}
        fontWeight={600}
        fill={COLORS.ink}
      >
        {name}
      </text>
      <text x={middle} y={GROUND + 33} textAnchor="middle" fontSize={LETTER_PX} fill={COLORS.softInk}>
        {lot.amount}
      </text>
    </>
  );
}
