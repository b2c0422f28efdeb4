import { useMeasures } from '../app/garden-context.ts';
import { memo } from 'react';
import { type BedSample, HELD_TOLD_FROM_G, type LayerState } from '../../core/bed/index.ts';
import { CONTACT_ZONE_CM } from '../../core/model/index.ts';
import { COLORS, LETTER_PX } from '../theme/tokens.ts';
import { GrainDefinitions, grainId, HATCH_ID } from './grains.tsx';
import { Plant, Roots } from './plants.tsx';
import {
  HEIGHT,
  LEFT,
  placeLayers,
  sectionScale,
  SUBSOIL_CM,
  TOP,
  type NamedCrop,
  type NamedLayer,
  type PlacedLayer,
} from './section-frame.ts';
import { dugLabel, layerLabels, Labels, zoneColor, zoneDetail, type Label } from './section-labels.tsx';
import { useSectionFrame } from './use-section-frame.ts';

interface BedSectionProps {
  readonly sample: BedSample;
  readonly layers: readonly NamedLayer[];
  readonly crops: readonly NamedCrop[];
  readonly rootZoneCm: number;
  /** Highest the layers ever stand, cm, so that the scale holds still while time moves. */
  readonly highestMulchCm: number;
  /** The layer whose story is open. */
  readonly selectedId?: string | null;
  /** Everything the drawing shows, in words. */
  readonly description: string;
}

/** This much held back is drawn with the densest hatch, g/m2. */
const HATCH_FULL_G = 5;

/** Share of a layer that has rotted: it darkens as it goes. */
const rottedShare = ({
  freshCarbonG,
  microbialCarbonG,
  humusCarbonG,
  charCarbonG,
  respiredCarbonG,
}: LayerState): number => {
  const all = freshCarbonG + microbialCarbonG + humusCarbonG + charCarbonG + respiredCarbonG;
  return all > 0 ? respiredCarbonG / all : 0;
};

/** A line that is not ruled: the top of a layer as it lies. */
function uneven(y: number, from: number, to: number, swell: number): string {
  const steps = 6;
  const width = (to - from) / steps;
  let path = `M${from} ${y}`;
  for (let i = 0; i < steps; i++) {
    path += `q${width / 2} ${(i % 2 === 0 ? -1 : 1) * swell} ${width} 0`;
  }
  return path;
}

function Layer({ placed: { layer, top, bottom }, isSelected }: { placed: PlacedLayer; isSelected: boolean }) {
  const { right } = useSectionFrame();
  const swell = Math.min(3, (bottom - top) / 5);
  // It reaches a little under the layer below, whose uneven top would else leave a gap.
  const sunk = bottom + Math.min(3, swell + 1);
  const outline = `${uneven(top, LEFT, right, swell)}L${right} ${sunk}L${LEFT} ${sunk}Z`;
  return (
    <g>
      <path d={outline} fill={`url(#${grainId(layer.kind)})`} />
      <path d={outline} fill="#241A10" opacity={0.62 * rottedShare(layer)} />
      {(layer.isDraft || isSelected) && (
        <path
          d={outline}
          fill="none"
          stroke={COLORS.ink}
          strokeWidth={isSelected ? 2.2 : 1.5}
          strokeDasharray={layer.isDraft ? '5 3' : undefined}
        />
      )}
    </g>
  );
}

/** What was dug in, as grain in the soil down to its depth, fading as it rots. */
function DugIn({ layer, surface, scale }: { layer: NamedLayer; surface: number; scale: number }) {
  const { body } = useSectionFrame();
  const left = 1 - rottedShare(layer);
  return (
    <rect
      x={LEFT}
      y={surface}
      width={body}
      height={layer.dugDepthCm * scale}
      fill={`url(#${grainId(layer.kind)})`}
      opacity={0.12 + 0.3 * left}
    />
  );
}

interface ZoneProps {
  readonly top: number;
  readonly bottom: number;
  readonly heldG: number;
}

/** From here on the hatch carries its figure, g/m2. */
const FIGURE_FROM_G = 0.25;

function HeldHatch({ top, bottom, heldG }: ZoneProps) {
  const measures = useMeasures();
  const { body } = useSectionFrame();
  if (heldG < HELD_TOLD_FROM_G) return null;
  const strength = Math.min(1, heldG / HATCH_FULL_G);
  return (
    <g>
      <rect
        x={LEFT}
        y={top}
        width={body}
        height={bottom - top}
        fill={`url(#${HATCH_ID})`}
        opacity={0.3 + 0.6 * strength}
      />
      {heldG >= FIGURE_FROM_G && (
        <text
          x={LEFT + 6}
          y={Math.min((top + bottom) / 2, top + 40) + 4}
          fontSize={LETTER_PX}
          fontWeight={650}
          fill={COLORS.stop}
          className="figure on-drawing held-figure"
        >
          −{measures.rateFigure(heldG).toFixed(measures.rateDecimals)}
        </text>
      )}
    </g>
  );
}

function DepthScale({
  surface,
  scale,
  mulchCm,
  depthCm,
}: {
  surface: number;
  scale: number;
  mulchCm: number;
  depthCm: number;
}) {
  const measures = useMeasures();
  const marks = [mulchCm >= 1.5 ? mulchCm : null, 0, -CONTACT_ZONE_CM, -depthCm].filter((cm) => cm !== null);
  return (
    <g fontSize={LETTER_PX} fill={COLORS.softInk} textAnchor="end" className="figure">
      <text x={LEFT - 10} y={TOP + 10}>
        {measures.depthUnit}
      </text>
      {marks.map((cm) => {
        const y = surface - cm * scale;
        const shown = measures.depthFigure(Math.abs(cm));
        const sign = cm > 0 ? '+' : cm < 0 ? '−' : '';
        return (
          <g key={cm}>
            <path d={`M${LEFT - 6} ${y}H${LEFT}`} stroke={COLORS.ink} />
            <text
              x={LEFT - 10}
              y={y + 4}
            >{`${sign}${shown.toFixed(shown < 10 && shown % 1 > 0.05 ? 1 : 0)}`}</text>
          </g>
        );
      })}
    </g>
  );
}

/** The bed cut open: what lies on what, to scale, what is held where, and how deep the roots are. */
export const BedSection = memo(function BedSection(props: BedSectionProps) {
  const measures = useMeasures();
  const { width, body, right } = useSectionFrame();
  const { sample, layers, crops, rootZoneCm, highestMulchCm, description, selectedId = null } = props;
  const { pxPerCm: scale, surface } = sectionScale(highestMulchCm, rootZoneCm);
  const contactEnd = surface + CONTACT_ZONE_CM * scale;
  const rootEnd = surface + rootZoneCm * scale;
  const placed = placeLayers(layers, surface, scale);
  const mulchTop = placed.at(-1)?.top ?? surface;
  const dug = layers.filter(({ isOnTop, dugDepthCm }) => !isOnTop && dugDepthCm > 0);

  const labels: Label[] = [
    ...layerLabels(placed, measures),
    {
      key: 'contact',
      targetY: (surface + contactEnd) / 2,
      title: `Contact zone, top ${measures.thickness(CONTACT_ZONE_CM)}`,
      detail: zoneDetail(sample.availableContactG, sample.heldContactG, sample.soilC[0], measures),
      color: zoneColor(sample.heldContactG),
    },
    {
      key: 'root',
      targetY: (contactEnd + rootEnd) / 2,
      title: 'Root zone',
      detail: zoneDetail(sample.availableRootG, sample.heldRootG, sample.soilC[1], measures),
      color: zoneColor(sample.heldRootG),
    },
    ...dugLabel(dug, surface, scale, measures),
    {
      key: 'humus',
      targetY: rootEnd - 8,
      title: `${sample.organicMatterPct.toFixed(1)} % organic matter`,
      detail: `of it humus alone ${sample.humusPct.toFixed(1)} %`,
      color: COLORS.carbon,
    },
    {
      key: 'below',
      targetY: Math.min(HEIGHT - 4, rootEnd + (SUBSOIL_CM / 2) * scale),
      title: 'Below, for deep roots',
      detail: measures.rate(sample.belowBedG),
      color: COLORS.softInk,
    },
  ];

  return (
    <svg viewBox={`0 0 ${width} ${HEIGHT}`} role="img" aria-label={description} className="bed-section">
      <GrainDefinitions />
      <rect x={LEFT} y={surface} width={body} height={HEIGHT - surface} fill="#B08D66" />
      <rect x={LEFT} y={surface} width={body} height={rootEnd - surface} fill={`url(#${grainId('soil')})`} />
      <rect
        x={LEFT}
        y={surface}
        width={body}
        height={rootEnd - surface}
        fill="#2A1B0E"
        opacity={Math.min(0.55, sample.organicMatterPct * 0.045)}
      />
      <rect
        x={LEFT}
        y={surface}
        width={body}
        height={sample.humusBandCm * scale}
        fill="#2B1D12"
        opacity={0.6}
      />
      {dug.map((layer) => (
        <DugIn key={layer.id} layer={layer} surface={surface} scale={scale} />
      ))}
      <HeldHatch top={surface} bottom={contactEnd} heldG={sample.heldContactG} />
      <HeldHatch top={contactEnd} bottom={rootEnd} heldG={sample.heldRootG} />
      {crops.flatMap((crop, k) =>
        plantPositions(crops.length, k, body).map((x) => (
          <Roots
            key={`${crop.id}${x}`}
            x={x}
            y={surface}
            depth={Math.min(crop.rootDepthCm * scale, HEIGHT - surface - 4)}
            spread={30}
          />
        )),
      )}
      {[...placed].reverse().map((one) => (
        <Layer key={one.layer.id} placed={one} isSelected={one.layer.id === selectedId} />
      ))}
      {crops.flatMap((crop, k) =>
        plantPositions(crops.length, k, body).map((x) => (
          <Plant
            key={`${crop.id}${x}`}
            form={crop.form}
            x={x}
            y={mulchTop + 2}
            height={14 + 52 * Math.min(1, crop.progress * 1.4)}
            isPale={crop.isPale}
          />
        )),
      )}
      <path d={`M${LEFT} ${surface}H${right}`} stroke={COLORS.strongRule} strokeWidth={1.6} />
      <path d={`M${LEFT} ${contactEnd}H${right}`} stroke="#FFFDF8" strokeDasharray="4 3" />
      <DepthScale surface={surface} scale={scale} mulchCm={sample.mulchCm} depthCm={rootZoneCm} />
      <Labels labels={labels.sort((a, b) => a.targetY - b.targetY)} />
    </svg>
  );
});

/** Three plants of one crop, or a pair each when several share the bed. */
function plantPositions(cropCount: number, k: number, body: number): number[] {
  const places = cropCount === 1 ? [0.2, 0.5, 0.8] : [(k + 0.3) / cropCount, (k + 0.75) / cropCount];
  return places.map((share) => LEFT + share * body);
}
