import { HELD_TOLD_FROM_G } from '../../core/bed/index.ts';
import { counted } from '../../words/counted.ts';
import type { Measures } from '../../words/measures.ts';
import { COLORS, LETTER_PX } from '../theme/tokens.ts';
import { stackLabels } from './label-stack.ts';
import { HEIGHT, TOP, type NamedLayer, type PlacedLayer } from './section-frame.ts';
import { useSectionFrame } from './use-section-frame.ts';

const LABEL_HEIGHT = 33;
const LINE_HEIGHT = 13;
/** What fits beside the drawing on one line. */
const MOST_DETAIL_LETTERS = 31;

/** A name beside the drawing, and the height of what it names. */
export interface Label {
  readonly key: string;
  readonly targetY: number;
  readonly title: string;
  /** One line or several. */
  readonly detail: string;
  readonly color: string;
}

export function Labels({ labels }: { labels: readonly Label[] }) {
  const { right, labelX } = useSectionFrame();
  const tops = stackLabels(
    labels.map(({ targetY, detail }) => ({
      targetY,
      height: LABEL_HEIGHT + (detail.split('\n').length - 1) * LINE_HEIGHT,
    })),
    TOP,
    HEIGHT - 2,
  );
  return (
    <g>
      {labels.map(({ key, targetY, title, detail, color }, i) => (
        <g key={key}>
          <path
            d={`M${right + 2} ${targetY}L${labelX - 5} ${tops[i]! + 12}`}
            stroke={COLORS.softInk}
            strokeWidth={0.8}
          />
          <text x={labelX} y={tops[i]! + 13} fontSize={LETTER_PX} fontWeight={650} fill={color}>
            {title}
          </text>
          {detail.split('\n').map((line, row) => (
            <text
              key={row}
              x={labelX}
              y={tops[i]! + 27 + row * LINE_HEIGHT}
              fontSize={LETTER_PX}
              fill={COLORS.softInk}
              className="figure"
            >
              {line}
            </text>
          ))}
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
export function layerLabels(placed: readonly PlacedLayer[], measures: Measures): Label[] {
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
      title: `Remains of ${counted(rest.length, 'layer')}`,
      detail: measures.thickness(height),
      color: COLORS.ink,
    });
  }
  return labels;
}

/** What is available in a zone, what is locked up there, and how warm it is. */
export function zoneDetail(availableG: number, heldG: number, soilC: number, measures: Measures): string {
  const held =
    heldG >= HELD_TOLD_FROM_G
      ? [`${measures.rateFigure(heldG).toFixed(measures.rateDecimals)} locked up`]
      : [];
  const available = `${measures.rate(availableG)} available`;
  const rest = [...held, measures.warmth(soilC)].join(', ');
  const line = `${available}, ${rest}`;
  return line.length <= MOST_DETAIL_LETTERS ? line : `${available}\n${rest}`;
}

const HELD_NAMED_FROM_G = 0.25;
export const zoneColor = (heldG: number): string =>
  heldG >= HELD_NAMED_FROM_G ? COLORS.stop : COLORS.nitrogen;

/** What was dug in, called by what is left of most. */
export function dugLabel(
  dug: readonly NamedLayer[],
  surface: number,
  scale: number,
  measures: Measures,
): Label[] {
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
