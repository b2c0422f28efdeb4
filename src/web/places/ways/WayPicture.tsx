import { useId } from 'react';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { materialFinder } from '../../../core/bed/index.ts';
import type { Way } from '../../../core/long-run/index.ts';
import { groundColor } from '../../drawing/grains.tsx';

const WIDTH = 96;
const HEIGHT = 84;
const SURFACE = 48;
const PX_PER_CM = 2.4;
const LEAST_PX = 3;
const SOIL = '#8B6B4B';

/** The bed in section once the way is gone: what lies on it, what is dug in. */
export function WayPicture({
  way,
  materials,
}: {
  readonly way: Way;
  readonly materials: GardenBooks['materials'];
}) {
  const title = useId();
  const find = materialFinder({ materials, labResults: [] });
  const layers = way.steps.flatMap((step) => {
    if (step.code !== 'lay') return [];
    const kind = find(step.materialId)?.kind ?? 'none';
    return [
      { ...step, color: groundColor(kind), heightPx: Math.max(LEAST_PX, step.thicknessCm * PX_PER_CM) },
    ];
  });
  const above = (i: number) =>
    layers.slice(0, i + 1).reduce((sum, one) => sum + (one.dugDepthCm > 0 ? 0 : one.heightPx), 0);
  return (
    <svg className="way-picture" viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-labelledby={title}>
      <title id={title}>The bed in section</title>
      <rect x={0} y={SURFACE} width={WIDTH} height={HEIGHT - SURFACE} fill={SOIL} />
      {layers.map(({ dugDepthCm, thicknessCm, color, heightPx }, i) => {
        if (dugDepthCm > 0) {
          const share = Math.min(0.9, thicknessCm / dugDepthCm);
          return (
            <rect
              key={i}
              x={0}
              y={SURFACE}
              width={WIDTH}
              height={dugDepthCm * PX_PER_CM}
              fill={color}
              opacity={0.25 + share}
            />
          );
        }
        return <rect key={i} x={0} y={SURFACE - above(i)} width={WIDTH} height={heightPx} fill={color} />;
      })}
    </svg>
  );
}
