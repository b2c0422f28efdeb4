import { memo } from 'react';
import type { BedSample } from '../../core/bed/index.ts';
import { CONTACT_ZONE_CM } from '../../core/model/index.ts';
import { COLORS, LETTER_PX } from '../theme/tokens.ts';
import type { NamedCrop, NamedLayer } from './section-frame.ts';
import { GrainDefinitions, grainId, HATCH_ID } from './grains.tsx';
import { Plant } from './plants.tsx';

export interface StripBed {
  readonly id: string;
  readonly name: string;
  readonly subtitle: string;
  readonly sample: BedSample | undefined;
  readonly layers: readonly NamedLayer[];
  readonly crops: readonly NamedCrop[];
  readonly href: string;
}

interface GardenStripProps {
  readonly beds: readonly StripBed[];
  readonly onOpen: (href: string) => void;
  /** A length to draw the scale by, and what it is called in the garden's own unit. */
  readonly scaleCm: number;
  readonly scaleLabel: string;
}

const BED = 124;
const GAP = 12;
const CM = 5;
const SOIL_CM = 15;
const PLANT_ROOM = 52;
const HIGHEST_CM = 16;
const SURFACE = PLANT_ROOM + HIGHEST_CM * CM;
const BASE = SURFACE + SOIL_CM * CM;
const HEIGHT = BASE + 42;
/** From one row of beds to the next. */
const ROW = HEIGHT + 10;
const LEFT = 30;
const PER_ROW = 8;
/** Less than this cannot be made out so small, g/m2. */
const HATCHED_FROM_G = 0.25;

function Hatch({ x, top, bottom, heldG }: { x: number; top: number; bottom: number; heldG: number }) {
  if (heldG < HATCHED_FROM_G) return null;
  return (
    <rect
      x={x}
      y={top}
      width={BED}
      height={bottom - top}
      fill={`url(#${HATCH_ID})`}
      opacity={Math.min(0.9, 0.35 + heldG / 8)}
    />
  );
}

function StripLayers({ layers, x }: { layers: readonly NamedLayer[]; x: number }) {
  let bottom = SURFACE;
  return layers
    .filter(({ isOnTop }) => isOnTop)
    .map((layer) => {
      const height = Math.min(layer.thicknessCm, HIGHEST_CM) * CM;
      bottom -= height;
      return (
        <rect
          key={layer.id}
          x={x}
          y={bottom}
          width={BED}
          height={height}
          fill={`url(#${grainId(layer.kind)})`}
        />
      );
    });
}

const StripBedDrawing = memo(function StripBedDrawing({ bed, x }: { bed: StripBed; x: number }) {
  const { sample, layers, crops } = bed;
  const mulchPx = Math.min(sample?.mulchCm ?? 0, HIGHEST_CM) * CM;
  return (
    <g>
      <rect
        x={x}
        y={SURFACE}
        width={BED}
        height={BASE - SURFACE}
        fill={`url(#${grainId('soil')})`}
        opacity={sample ? 1 : 0.4}
      />
      {sample && (
        <>
          <rect
            x={x}
            y={SURFACE}
            width={BED}
            height={BASE - SURFACE}
            fill="#2A1B0E"
            opacity={Math.min(0.55, sample.organicMatterPct * 0.045)}
          />
          <Hatch x={x} top={SURFACE} bottom={SURFACE + CONTACT_ZONE_CM * CM} heldG={sample.heldContactG} />
          <Hatch x={x} top={SURFACE + CONTACT_ZONE_CM * CM} bottom={BASE} heldG={sample.heldRootG} />
          <StripLayers layers={layers} x={x} />
          {crops
            .slice(0, 1)
            .flatMap((crop) =>
              [0.2, 0.5, 0.8].map((share) => (
                <Plant
                  key={share}
                  form={crop.form}
                  x={x + share * BED}
                  y={SURFACE - mulchPx + 1}
                  height={10 + 30 * Math.min(1, crop.progress * 1.4)}
                  isPale={crop.isPale}
                />
              )),
            )}
        </>
      )}
      <text x={x} y={BASE + 19} fontSize={15} fontWeight={600} fontFamily="var(--figures)" fill={COLORS.ink}>
        {bed.name.length > 15 ? `${bed.name.slice(0, 14)}…` : bed.name}
      </text>
      <text x={x} y={BASE + 35} fontSize={LETTER_PX} fill={COLORS.softInk}>
        {bed.subtitle.length > 20 ? `${bed.subtitle.slice(0, 19)}…` : bed.subtitle}
      </text>
    </g>
  );
});

function StripRow({ beds, onOpen, scaleCm, scaleLabel }: GardenStripProps) {
  return (
    <>
      {beds.map((bed, i) => {
        const x = LEFT + i * (BED + GAP);
        return (
          <g key={bed.id} className="strip-bed" onClick={() => onOpen(bed.href)}>
            <rect x={x} y={0} width={BED} height={HEIGHT} fill="transparent" />
            <StripBedDrawing bed={bed} x={x} />
          </g>
        );
      })}
      <path
        d={`M24 ${SURFACE}H${LEFT + beds.length * (BED + GAP)}`}
        stroke={COLORS.strongRule}
        strokeWidth={1.5}
      />
      <g stroke={COLORS.softInk} fill={COLORS.softInk}>
        <path
          d={`M16 ${SURFACE}V${SURFACE - scaleCm * CM}M12 ${SURFACE}h8M12 ${SURFACE - scaleCm * CM}h8`}
          fill="none"
        />
        <text x={10} y={SURFACE - scaleCm * CM - 7} fontSize={LETTER_PX} stroke="none" className="figure">
          {scaleLabel}
        </text>
      </g>
    </>
  );
}

/** All beds on one soil surface and to one scale, a row of eight at a time; each opens its page. One picture of them all. */
export function GardenStrip({ beds, ...rest }: GardenStripProps) {
  const rows = Array.from({ length: Math.ceil(beds.length / PER_ROW) }, (_, row) =>
    beds.slice(row * PER_ROW, (row + 1) * PER_ROW),
  );
  return (
    <svg
      viewBox={`0 0 ${LEFT + PER_ROW * (BED + GAP)} ${rows.length * ROW}`}
      className="garden-strip"
      aria-hidden="true"
    >
      <GrainDefinitions />
      {rows.map((row, i) => (
        <g key={row[0]!.id} transform={`translate(0 ${i * ROW})`}>
          <StripRow beds={row} {...rest} />
        </g>
      ))}
    </svg>
  );
}
