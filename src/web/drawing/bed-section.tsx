import type { PlantForm } from '../../core/crops/crop-library.ts';
import type { BedSample, LayerState } from '../../core/projection/bed-projection.ts';
import { CONTACT_ZONE_CM } from '../../core/simulation/scenario.ts';
import type { Measures } from '../format/measures.ts';
import { COLORS } from '../theme/tokens.ts';
import { GrainDefinitions, grainId, HATCH_ID } from './grains.tsx';
import { stackLabels } from './label-stack.ts';
import { Plant, Roots } from './plants.tsx';

export interface NamedLayer extends LayerState {
  readonly name: string;
  readonly age: string;
  /** Not saved yet. */
  readonly isDraft: boolean;
}

export interface NamedCrop {
  readonly id: string;
  readonly name: string;
  readonly form: PlantForm;
  readonly progress: number;
  readonly rootDepthCm: number;
  readonly isPale: boolean;
}

interface BedSectionProps {
  readonly sample: BedSample;
  readonly layers: readonly NamedLayer[];
  readonly crops: readonly NamedCrop[];
  readonly rootZoneCm: number;
  /** Highest the layers ever stand, cm, so that the scale holds still while time moves. */
  readonly highestMulchCm: number;
  readonly measures: Measures;
  /** Everything the drawing shows, in words. */
  readonly description: string;
}

const WIDTH = 500;
const HEIGHT = 452;
const LEFT = 46;
const BODY = 270;
const RIGHT = LEFT + BODY;
const LABEL_X = RIGHT + 22;
const TOP = 8;
const PLANT_ROOM = 78;
const SUBSOIL_CM = 8;
const LEAST_LAYER_PX = 2;
const LABEL_HEIGHT = 33;
const HELD_SHOWN_FROM_G = 0.05;
/** This much held back is drawn with the densest hatch, g/m2. */
const HATCH_FULL_G = 5;

interface PlacedLayer {
  readonly layer: NamedLayer;
  readonly top: number;
  readonly bottom: number;
}

/** Layers from the soil upwards, in pixels. */
function placeLayers(layers: readonly NamedLayer[], surface: number, scale: number): PlacedLayer[] {
  let bottom = surface;
  return layers
    .filter(({ isOnTop }) => isOnTop)
    .map((layer) => {
      const top = bottom - Math.max(LEAST_LAYER_PX, layer.thicknessCm * scale);
      const placed = { layer, top, bottom };
      bottom = top;
      return placed;
    });
}

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

function Layer({ placed: { layer, top, bottom } }: { placed: PlacedLayer }) {
  const swell = Math.min(3, (bottom - top) / 5);
  // It reaches a little under the layer below, whose uneven top would else leave a gap.
  const sunk = bottom + Math.min(3, swell + 1);
  const outline = `${uneven(top, LEFT, RIGHT, swell)}L${RIGHT} ${sunk}L${LEFT} ${sunk}Z`;
  return (
    <g>
      <path d={outline} fill={`url(#${grainId(layer.kind)})`} />
      <path d={outline} fill="#241A10" opacity={0.62 * rottedShare(layer)} />
      {layer.isDraft && (
        <path d={outline} fill="none" stroke={COLORS.ink} strokeWidth={1.5} strokeDasharray="5 3" />
      )}
    </g>
  );
}

/** What was dug in, as grain in the soil down to its depth, fading as it rots. */
function DugIn({ layer, surface, scale }: { layer: NamedLayer; surface: number; scale: number }) {
  const left = 1 - rottedShare(layer);
  return (
    <rect
      x={LEFT}
      y={surface}
      width={BODY}
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

function HeldHatch({ top, bottom, heldG }: ZoneProps) {
  if (heldG < HELD_SHOWN_FROM_G) return null;
  const strength = Math.min(1, heldG / HATCH_FULL_G);
  return (
    <rect
      x={LEFT}
      y={top}
      width={BODY}
      height={bottom - top}
      fill={`url(#${HATCH_ID})`}
      opacity={0.3 + 0.6 * strength}
    />
  );
}

interface Label {
  readonly key: string;
  readonly targetY: number;
  readonly title: string;
  readonly detail: string;
  readonly color: string;
}

function Labels({ labels }: { labels: readonly Label[] }) {
  const tops = stackLabels(
    labels.map(({ targetY }) => ({ targetY, height: LABEL_HEIGHT })),
    TOP,
    HEIGHT - 2,
  );
  return (
    <g>
      {labels.map(({ key, targetY, title, detail, color }, i) => (
        <g key={key}>
          <path
            d={`M${RIGHT + 2} ${targetY}L${LABEL_X - 5} ${tops[i]! + 12}`}
            stroke={COLORS.softInk}
            strokeWidth={0.8}
          />
          <text x={LABEL_X} y={tops[i]! + 13} fontSize={12.5} fontWeight={650} fill={color}>
            {title}
          </text>
          <text x={LABEL_X} y={tops[i]! + 27} fontSize={12} fill={COLORS.softInk} className="figure">
            {detail}
          </text>
        </g>
      ))}
    </g>
  );
}

const MOST_TITLE_LETTERS = 23;
/** The name up to its first comma, if that is what makes it fit. */
function shortened(name: string): string {
  if (name.length <= MOST_TITLE_LETTERS) return name;
  const [first = name] = name.split(',');
  return first.length <= MOST_TITLE_LETTERS ? first : `${first.slice(0, MOST_TITLE_LETTERS - 1).trimEnd()}…`;
}

/** Names of the layers; when there are many, those that are nearly gone share one. */
function layerLabels(placed: readonly PlacedLayer[], measures: Measures): Label[] {
  const NEARLY_GONE_CM = 0.6;
  const MOST = 5;
  const shown =
    placed.length <= MOST ? placed : placed.filter(({ layer }) => layer.thicknessCm >= NEARLY_GONE_CM);
  const kept = shown.slice(-MOST);
  const labels = [...kept].reverse().map(({ layer, top, bottom }) => ({
    key: layer.id,
    targetY: (top + bottom) / 2,
    title: shortened(layer.name),
    detail: `${measures.thickness(layer.thicknessCm)}, ${layer.age}${layer.isDraft ? ', draft' : ''}`,
    color: COLORS.ink,
  }));
  const rest = placed.filter((one) => !kept.includes(one));
  if (rest.length > 0) {
    const height = rest.reduce((sum, { layer }) => sum + layer.thicknessCm, 0);
    labels.push({
      key: 'remains',
      targetY: rest[0]!.bottom - 2,
      title: `Remains of ${rest.length} layer${rest.length === 1 ? '' : 's'}`,
      detail: measures.thickness(height),
      color: COLORS.ink,
    });
  }
  return labels;
}

function zoneDetail(availableG: number, heldG: number, measures: Measures): string {
  const available = `${measures.rate(availableG)} free`;
  return heldG >= HELD_SHOWN_FROM_G
    ? `${available}, ${measures.rateFigure(heldG).toFixed(measures.rateDecimals)} held`
    : available;
}

const HELD_NAMED_FROM_G = 0.25;
const zoneColor = (heldG: number): string => (heldG >= HELD_NAMED_FROM_G ? COLORS.stop : COLORS.nitrogen);

function DepthScale({
  surface,
  scale,
  mulchCm,
  depthCm,
  measures,
}: {
  surface: number;
  scale: number;
  mulchCm: number;
  depthCm: number;
  measures: Measures;
}) {
  const marks = [mulchCm >= 1.5 ? mulchCm : null, 0, -CONTACT_ZONE_CM, -depthCm].filter((cm) => cm !== null);
  return (
    <g fontSize={11.5} fill={COLORS.softInk} textAnchor="end" className="figure">
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
export function BedSection(props: BedSectionProps) {
  const { sample, layers, crops, rootZoneCm, highestMulchCm, measures, description } = props;
  const scale = (HEIGHT - TOP - PLANT_ROOM) / (highestMulchCm + rootZoneCm + SUBSOIL_CM);
  const surface = TOP + PLANT_ROOM + highestMulchCm * scale;
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
      detail: zoneDetail(sample.availableContactG, sample.heldContactG, measures),
      color: zoneColor(sample.heldContactG),
    },
    {
      key: 'root',
      targetY: (contactEnd + rootEnd) / 2,
      title: 'Root zone',
      detail: zoneDetail(sample.availableRootG, sample.heldRootG, measures),
      color: zoneColor(sample.heldRootG),
    },
    ...dugLabel(dug, surface, scale, measures),
    {
      key: 'humus',
      targetY: rootEnd - 8,
      title: `${sample.organicMatterPct.toFixed(1)} % organic matter`,
      detail: 'in the soil itself',
      color: COLORS.carbon,
    },
  ];

  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={description} className="bed-section">
      <GrainDefinitions />
      <rect x={LEFT} y={surface} width={BODY} height={HEIGHT - surface} fill="#B08D66" />
      <rect x={LEFT} y={surface} width={BODY} height={rootEnd - surface} fill={`url(#${grainId('soil')})`} />
      <rect
        x={LEFT}
        y={surface}
        width={BODY}
        height={rootEnd - surface}
        fill="#2A1B0E"
        opacity={Math.min(0.55, sample.organicMatterPct * 0.045)}
      />
      {dug.map((layer) => (
        <DugIn key={layer.id} layer={layer} surface={surface} scale={scale} />
      ))}
      <HeldHatch top={surface} bottom={contactEnd} heldG={sample.heldContactG} />
      <HeldHatch top={contactEnd} bottom={rootEnd} heldG={sample.heldRootG} />
      {crops.flatMap((crop, k) =>
        plantPositions(crops.length, k).map((x) => (
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
        <Layer key={one.layer.id} placed={one} />
      ))}
      {crops.flatMap((crop, k) =>
        plantPositions(crops.length, k).map((x) => (
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
      <path d={`M${LEFT} ${surface}H${RIGHT}`} stroke={COLORS.strongRule} strokeWidth={1.6} />
      <path d={`M${LEFT} ${contactEnd}H${RIGHT}`} stroke="#FFFDF8" strokeDasharray="4 3" />
      <DepthScale
        surface={surface}
        scale={scale}
        mulchCm={sample.mulchCm}
        depthCm={rootZoneCm}
        measures={measures}
      />
      <Labels labels={labels.sort((a, b) => a.targetY - b.targetY)} />
    </svg>
  );
}

/** Three plants of one crop, or a pair each when several share the bed. */
function plantPositions(cropCount: number, k: number): number[] {
  const places = cropCount === 1 ? [0.2, 0.5, 0.8] : [(k + 0.3) / cropCount, (k + 0.75) / cropCount];
  return places.map((share) => LEFT + share * BODY);
}

function dugLabel(dug: readonly NamedLayer[], surface: number, scale: number, measures: Measures): Label[] {
  const deepest = dug.reduce<NamedLayer | undefined>(
    (best, layer) =>
      best === undefined || layer.freshCarbonG + layer.charCarbonG > best.freshCarbonG + best.charCarbonG
        ? layer
        : best,
    undefined,
  );
  if (!deepest) return [];
  return [
    {
      key: 'dug',
      targetY: surface + deepest.dugDepthCm * scale - 6,
      title: shortened(`${deepest.name}${dug.length > 1 ? ` +${dug.length - 1}` : ''}`),
      detail: `dug in ${measures.thickness(deepest.dugDepthCm)}, ${deepest.age}${deepest.isDraft ? ', draft' : ''}`,
      color: COLORS.ink,
    },
  ];
}
