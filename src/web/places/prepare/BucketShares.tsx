import { type BucketRatio, bucketHolds } from '../../../core/yard/index.ts';
import { GrainDefinitions, grainId } from '../../drawing/grains.tsx';
import { useMeasures } from '../../app/garden-context.ts';
import { useIsPhone } from '../../app/use-phone.ts';
import { BUCKET_OF } from '../../../words/measures.ts';
import { formatPercent, plainFigure } from '../../../words/figures.ts';
import { COLORS, LETTER_PX } from '../../theme/tokens.ts';
import { partsAsMeasured, type BenchPart } from './mix-form.ts';

const ROWS = [
  ['volume', 'of the volume'],
  ['dryMass', 'of the dry matter'],
  ['carbon', 'of the carbon'],
  ['nitrogen', 'of the nitrogen'],
] as const;
const LABEL = 130;
const BAR = 22;
const STEP = 30;
/** Length of a whole bar, and the least share of it with room for its figure. */
const WIDE = { whole: 700, enoughForFigure: 0.07 };
const NARROW = { whole: 210, enoughForFigure: 0.22 };

/** Why a ratio by the bucket misleads: the same parts by volume, dry mass, carbon and nitrogen. */
export function BucketShares({ parts, ratio }: { parts: readonly BenchPart[]; ratio: BucketRatio }) {
  const measures = useMeasures();
  const { whole, enoughForFigure } = useIsPhone() ? NARROW : WIDE;
  const { carbonToNitrogen } = ratio.blend;
  return (
    <section aria-label="What the buckets truly give">
      <div className="section-head">
        <h2>
          {partsAsMeasured(parts)} is truly{' '}
          {carbonToNitrogen === null ? 'carbon alone' : `${plainFigure(carbonToNitrogen)} : 1`}
        </h2>
        {ratio.likely && (
          <span className="soft">
            {plainFigure(ratio.likely[0], 2)} to {plainFigure(ratio.likely[1], 2)} with such materials as they
            come
          </span>
        )}
      </div>
      <svg
        className="bucket-shares"
        viewBox={`0 0 ${LABEL + whole} ${ROWS.length * STEP}`}
        role="img"
        aria-label={parts
          .map(
            ({ mixable }, i) =>
              `${mixable.name}: ${ROWS.map(([key, words]) => `${formatPercent(ratio.shares[i]?.[key] ?? 0)} ${words}`).join(', ')}`,
          )
          .join('; ')}
      >
        <GrainDefinitions />
        {ROWS.map(([key, words], row) => {
          let x = LABEL;
          return (
            <g key={key}>
              <text x={0} y={row * STEP + BAR * 0.7} fontSize={13} fill={COLORS.softInk}>
                {words}
              </text>
              {parts.map((part, i) => {
                const share = ratio.shares[i]?.[key] ?? 0;
                const width = share * whole;
                const left = x;
                x += width;
                return (
                  <g key={part.row.key}>
                    <rect
                      x={left}
                      y={row * STEP}
                      width={width}
                      height={BAR}
                      fill={`url(#${grainId(part.material.kind)})`}
                      stroke={COLORS.sheet}
                    />
                    {share > enoughForFigure && (
                      <ShareFigure
                        x={left + width / 2}
                        y={row * STEP + BAR * 0.7}
                        words={formatPercent(share)}
                      />
                    )}
                  </g>
                );
              })}
            </g>
          );
        })}
      </svg>
      <p className="soft">
        {parts
          .filter(({ volumeL }) => volumeL > 0)
          .map(({ mixable, material }) => {
            const { words, litres } = BUCKET_OF[measures.system];
            const { dryKg, nitrogenG } = bucketHolds(material, litres);
            return `${words.replace(/^a/, 'A')} of ${mixable.name.toLowerCase()} holds ${measures.mass(dryKg)} of dry matter and ${measures.nitrogen(nitrogenG)} of nitrogen.`;
          })
          .join(' ')}
      </p>
    </section>
  );
}

function ShareFigure({ x, y, words }: { x: number; y: number; words: string }) {
  return (
    <>
      <rect x={x - 21} y={y - 12.5} width={42} height={16} rx={3} fill={COLORS.sheet} opacity={0.92} />
      <text x={x} y={y} fontSize={LETTER_PX} textAnchor="middle" fill={COLORS.ink}>
        {words}
      </text>
    </>
  );
}
