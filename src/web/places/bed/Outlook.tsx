import { useMeasures } from '../../app/garden-context.ts';
import { memo } from 'react';
import { Link } from 'react-router';
import { type OutlookYear, changesSoil } from '../../../core/long-run/index.ts';
import { Pictured } from '../../drawing/Pictured.tsx';
import { HumusYears } from '../../charts/humus-years.tsx';
import { formatFixed } from '../../../words/figures.ts';

/** A smaller rise is not spoken of. */
const TOLD_RISE_CM = 0.5;

interface OutlookProps {
  /** Undefined while they are being worked out. */
  readonly years: readonly OutlookYear[] | undefined;
  readonly areaM2: number;
  /** Where the same bed is followed under other habits. */
  readonly yearsAddress: string;
  readonly band: { readonly low: readonly number[]; readonly high: readonly number[] } | null;
}

/** Humus and char in ten years, in a sentence and a line. */
export const Outlook = memo(function Outlook({ years, yearsAddress, ...rest }: OutlookProps) {
  return (
    <section aria-label="Ten years">
      <div className="section-head">
        <h2>Ten years</h2>
        <Link to={yearsAddress}>Under other habits</Link>
      </div>
      {years ? <Years years={years} {...rest} /> : <p className="soft">Looking ahead …</p>}
    </section>
  );
});

function Years({
  years,
  areaM2,
  band,
}: Omit<OutlookProps, 'yearsAddress'> & { years: readonly OutlookYear[] }) {
  const measures = useMeasures();
  const first = years[0]!;
  const last = years.at(-1)!;
  const charKg = (last.charCarbonG * areaM2) / 1000;
  return (
    <>
      <p>
        <strong>
          From {formatFixed(first.organicMatterPct, 1)} % to {formatFixed(last.organicMatterPct, 1)} % organic
          matter in {last.yearsAhead} years
        </strong>
        {', '}
        <span className="soft">
          {changesSoil(years)
            ? `${formatFixed(last.bareOrganicMatterPct, 1)} % if you had spread nothing`
            : 'the same if you spread nothing'}
          . Humus alone then: {formatFixed(last.humusPct, 1)} %,{' '}
          {measures.mass((last.humusCarbonG * areaM2) / 1000)} of carbon in the bed
          {charKg >= 0.1 ? `, and ${measures.mass(charKg)} in char that stays` : ''}.
          {last.riseCm >= TOLD_RISE_CM
            ? ` The bed stands ${measures.thickness(last.riseCm)} above its first surface.`
            : ''}
        </span>
      </p>
      <Pictured title="organic matter of ten years">
        <HumusYears
          years={years}
          band={band}
          description={`Organic matter in the soil: ${formatFixed(first.organicMatterPct, 1)} % now, ${formatFixed(last.organicMatterPct, 1)} % in ten years, ${formatFixed(last.bareOrganicMatterPct, 1)} % without what you spread.`}
        />
      </Pictured>
    </>
  );
}
