import { useMeasures } from '../app/garden-context.ts';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { COLORS } from '../theme/tokens.ts';
import {
  HEIGHT,
  LEFT,
  placeLayers,
  sectionScale,
  type NamedLayer,
  type PlacedLayer,
} from './section-frame.ts';
import { useSectionFrame } from './use-section-frame.ts';

interface SectionHandlesProps {
  readonly layers: readonly NamedLayer[];
  readonly rootZoneCm: number;
  readonly highestMulchCm: number;
  /** Layers that are saved and can be dragged. */
  readonly isHeld: (layerId: string) => boolean;
  readonly onSelect: (layerId: string) => void;
  /** While an edge is being dragged: how many times as thick. */
  readonly onHover: (layerId: string, factor: number) => void;
  readonly onDrop: (layerId: string, factor: number) => void;
  readonly onMove: (layerId: string, step: 1 | -1) => void;
  readonly onRemove: (layerId: string) => void;
}

interface Grip {
  readonly layerId: string;
  readonly what: 'edge' | 'body';
  readonly fromY: number;
  readonly y: number;
  readonly startCm: number;
}

const THINNEST_CM = 0.2;
const KEY_STEP_CM = 0.5;
const EDGE_PX = 12;
/** A body moved less than this was only tapped. */
const TAP_PX = 5;

/** What can be taken hold of in the section: edges to thicken or thin, bodies to select or put in another order. */
export function SectionHandles(props: SectionHandlesProps) {
  const measures = useMeasures();
  const { width, body } = useSectionFrame();
  const { layers, rootZoneCm, highestMulchCm, isHeld, onSelect, onHover, onDrop, onMove } = props;
  const { pxPerCm, surface } = sectionScale(highestMulchCm, rootZoneCm);
  const placed = placeLayers(layers, surface, pxPerCm).filter(({ layer }) => isHeld(layer.id));
  const drawing = useRef<SVGSVGElement>(null);
  const [grip, setGrip] = useState<Grip | null>(null);

  const yOf = (event: PointerEvent): number => {
    const box = drawing.current!.getBoundingClientRect();
    return ((event.clientY - box.top) / box.height) * HEIGHT;
  };
  const cmOf = ({ startCm, fromY, y }: Grip): number =>
    Math.max(THINNEST_CM, Math.round((startCm + (fromY - y) / pxPerCm) * 10) / 10);
  const take = (what: Grip['what'], layer: NamedLayer) => (event: PointerEvent<SVGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const y = yOf(event);
    setGrip({ layerId: layer.id, what, fromY: y, y, startCm: layer.thicknessCm });
  };
  const move = (event: PointerEvent) => {
    if (!grip) return;
    const next = { ...grip, y: yOf(event) };
    setGrip(next);
    if (next.what === 'edge') onHover(next.layerId, cmOf(next) / next.startCm);
  };
  const letGo = () => {
    if (!grip) return;
    setGrip(null);
    const way = grip.fromY - grip.y;
    if (grip.what === 'edge') onDrop(grip.layerId, cmOf(grip) / grip.startCm);
    else if (Math.abs(way) < TAP_PX) onSelect(grip.layerId);
    else onMove(grip.layerId, way > 0 ? 1 : -1);
  };
  const hand = { onPointerMove: move, onPointerUp: letGo, onPointerCancel: () => setGrip(null) };

  return (
    <svg
      ref={drawing}
      viewBox={`0 0 ${width} ${HEIGHT}`}
      className="section-handles"
      role="group"
      aria-label="Layers to take hold of"
    >
      {placed.map((one) => (
        <rect
          key={one.layer.id}
          x={LEFT}
          y={one.top}
          width={body}
          height={Math.max(4, one.bottom - one.top)}
          className="layer-body"
          onPointerDown={take('body', one.layer)}
          {...hand}
        >
          <title>{`${one.layer.name}: tap for its story, drag to put it in another order`}</title>
        </rect>
      ))}
      {placed.map((one) => (
        <Edge key={one.layer.id} placed={one} {...props}>
          <rect
            x={LEFT}
            y={one.top - EDGE_PX / 2}
            width={body}
            height={EDGE_PX}
            fill="transparent"
            onPointerDown={take('edge', one.layer)}
            {...hand}
          />
        </Edge>
      ))}
      {grip?.what === 'edge' && <Ghost y={grip.y} label={measures.thickness(cmOf(grip))} />}
      {grip?.what === 'body' && Math.abs(grip.fromY - grip.y) >= TAP_PX && (
        <Ghost y={grip.y} label={grip.y < grip.fromY ? 'one up' : 'one down'} />
      )}
    </svg>
  );
}

interface EdgeProps extends SectionHandlesProps {
  readonly placed: PlacedLayer;
  readonly children: React.ReactNode;
}

/** The upper edge of a layer: by pointer through its child, by arrow keys here. */
function Edge({ placed: { layer, top }, onDrop, onMove, onRemove, onSelect, children }: EdgeProps) {
  const measures = useMeasures();
  const { right } = useSectionFrame();
  const onKeyDown = (event: KeyboardEvent) => {
    const step = { ArrowUp: KEY_STEP_CM, ArrowDown: -KEY_STEP_CM, PageUp: 2, PageDown: -2 }[event.key];
    if (step !== undefined && event.altKey) onMove(layer.id, step > 0 ? 1 : -1);
    else if (step !== undefined)
      onDrop(layer.id, Math.max(THINNEST_CM, layer.thicknessCm + step) / layer.thicknessCm);
    else if (event.key === 'Delete') onRemove(layer.id);
    else if (event.key === 'Enter' || event.key === ' ') onSelect(layer.id);
    else return;
    event.preventDefault();
  };
  return (
    <g
      className="layer-edge"
      tabIndex={0}
      role="slider"
      aria-orientation="vertical"
      aria-label={`Thickness of ${layer.name}`}
      aria-valuenow={Math.round(layer.thicknessCm * 10) / 10}
      aria-valuemin={THINNEST_CM}
      aria-valuemax={100}
      aria-valuetext={measures.thickness(layer.thicknessCm)}
      onKeyDown={onKeyDown}
    >
      <path d={`M${LEFT} ${top}H${right}`} className="edge-line" />
      <g className="edge-grip">
        <rect
          x={right - 34}
          y={top - 5}
          width={26}
          height={10}
          rx={5}
          fill={COLORS.sheet}
          stroke={COLORS.ink}
        />
        <path d={`M${right - 27} ${top - 1.6}h12M${right - 27} ${top + 1.6}h12`} stroke={COLORS.ink} />
      </g>
      {children}
    </g>
  );
}

function Ghost({ y, label }: { y: number; label: string }) {
  const { right } = useSectionFrame();
  return (
    <g pointerEvents="none">
      <path
        d={`M${LEFT - 4} ${y}H${right + 4}`}
        stroke={COLORS.ink}
        strokeWidth={1.6}
        strokeDasharray="6 3"
      />
      <text
        x={LEFT + 8}
        y={y - 6}
        fontSize={13}
        fontWeight={700}
        fill={COLORS.ink}
        className="figure on-drawing"
      >
        {label}
      </text>
    </g>
  );
}
