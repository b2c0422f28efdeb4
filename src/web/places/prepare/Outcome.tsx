import { useMeasures } from '../../app/garden-context.ts';
import { findLibraryMaterial } from '../../../core/ground/index.ts';
import { type Blend, mixCautions, nitrogenToAddG, partnerMassKg } from '../../../core/yard/index.ts';
import { Gauge } from '../../drawing/gauge.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { formatFixed, formatPercent, plainFigure } from '../../../words/figures.ts';
import { mixCautionWords } from '../../../words/mix-words.ts';
import { ratioAim, type BenchForm, type BenchPart } from './mix-form.ts';

interface OutcomeProps {
  readonly form: BenchForm;
  readonly mix: Blend;
  readonly parts: readonly BenchPart[];
}

/** What most people would reach for to feed a lean heap. */
const FEEDER = findLibraryMaterial('feather_meal')!;

const span = (low: string, high: string, scale = 1): readonly [number, number] | null => {
  if (low.trim() === '' || high.trim() === '') return null;
  const ends = [numberFromText(low) / scale, numberFromText(high) / scale] as const;
  return Number.isFinite(ends[0] + ends[1]) ? ends : null;
};

/** What the mix comes to, live. */
export function Outcome({ form, mix, parts }: OutcomeProps) {
  const measures = useMeasures();
  if (mix.massFreshKg === 0) {
    return (
      <p className="soft">Nothing is in it yet: say how much of something, or let the solver find it.</p>
    );
  }
  const aim = ratioAim(form);
  const edge = aim && mix.carbonToNitrogen !== null ? aim.aim + aim.tolerance : null;
  const lackG = edge === null ? 0 : nitrogenToAddG(mix, edge);
  const feederKg = edge === null ? null : partnerMassKg(mix, FEEDER, edge);
  const cautions = mixCautions(mix, parts);
  return (
    <>
      <div className="outcome-head">
        <span className="figure outcome-ratio">
          {mix.carbonToNitrogen === null ? 'no nitrogen' : `${plainFigure(mix.carbonToNitrogen)} : 1`}
        </span>
        <span className="soft">carbon to nitrogen</span>
      </div>
      <Gauge
        label="C:N"
        value={mix.carbonToNitrogen}
        low={0}
        high={Math.max(60, (mix.carbonToNitrogen ?? 0) * 1.1)}
        target={span(form.ratioLow, form.ratioHigh)}
        format={(value) => formatFixed(value, 0)}
      />
      <div className="outcome-head">
        <span className="figure outcome-water">{formatPercent(mix.moistureFractionWetBasis)}</span>
        <span className="soft">moisture</span>
      </div>
      <Gauge
        label="Moisture"
        value={mix.moistureFractionWetBasis}
        low={0}
        high={0.9}
        target={span(form.moistureLowPct, form.moistureHighPct, 100)}
        format={formatPercent}
      />
      <dl className="figures-row">
        {(
          [
            ['volume, at most', `${measures.volume(mix.volumeL)} · ${measures.barrows(mix.volumeL)}`],
            ['weighs', measures.mass(mix.massFreshKg)],
            ['dry matter', measures.mass(mix.dryKg)],
            [
              'nitrogen',
              `${measures.nitrogen(mix.nitrogenG)}, ${plainFigure(mix.nitrogenFractionDryBasis * 100, 2)} % of dry`,
            ],
            ['bulk density', measures.density(mix.bulkDensityKgPerM3)],
            ['air, roughly', formatPercent(mix.freeAirShare)],
          ] as const
        ).map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      {lackG > 0.5 && edge !== null && (
        <p>
          Instead of more greens, <strong className="figure">{measures.nitrogen(lackG)}</strong> of nitrogen
          would bring it to {plainFigure(edge)} : 1
          {feederKg !== null && `, such as ${measures.mass(feederKg)} of ${FEEDER.name.toLowerCase()}`}.
        </p>
      )}
      {cautions.length > 0 && (
        <ul className="caution-list">
          {cautions.map((caution) => (
            <li key={caution.code}>{mixCautionWords(caution)}</li>
          ))}
        </ul>
      )}
    </>
  );
}
