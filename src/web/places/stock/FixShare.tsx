import { useMeasures } from '../../app/garden-context.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import { Button } from 'antd';
import {
  SHARE_SEASONS,
  type Share,
  type ShareProblem,
  type ShareSeason,
} from '../../../core/long-run/index.ts';
import { massFreshKgFromAmount } from '../../../core/ground/index.ts';
import { stockUnits, UNIT_WORDS } from '../../../words/measures.ts';
import { SEASON_WORDS } from '../../../words/share-words.ts';
import { Choice, TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import type { Names } from './share-names.ts';

const WATER = { bulkDensityKgPerM3: 1000, areaM2: 1 };
/** A liter of water weighs a kilogram: that turns any volume into liters. */
export const litresPer = (unit: AmountUnit): number =>
  massFreshKgFromAmount({ amount: 1, unit, measured: WATER });
const isMassUnit = (unit: AmountUnit): boolean => ['kg', 'gram', 'pound'].includes(unit);

interface ShareFields {
  readonly pileId: string | null;
  readonly bedId: string | null;
  readonly season: ShareSeason;
  readonly typed: string;
  readonly unit: AmountUnit;
}

interface FixShareProps {
  readonly problem: ShareProblem;
  readonly fixed: readonly Share[];
  readonly setFixed: (fixed: readonly Share[]) => void;
  readonly names: Names;
}

/** Choices of one's own: they stay, and everything else is shared around them. */
export function FixShare({ problem, fixed, setFixed, names }: FixShareProps) {
  const measures = useMeasures();
  const { fields, set, submitWith } = useRecordForm<ShareFields>(() => ({
    pileId: null,
    bedId: null,
    season: 'now',
    typed: '',
    unit: measures.barrowUnit,
  }));
  const { pileId, bedId, season, typed, unit } = fields;
  const amount = numberFromText(typed);
  const isReady = pileId !== null && bedId !== null && amount >= 0;
  const fix = () => {
    if (pileId === null || bedId === null) return;
    const others = fixed.filter(
      (one) => one.pileId !== pileId || one.bedId !== bedId || one.season !== season,
    );
    setFixed([...others, { pileId, bedId, season, litres: amount * litresPer(unit) }]);
    set({ pileId: null, bedId: null, season: 'now', typed: '' });
  };
  return (
    <section aria-label="Your own choices" className="band">
      <h2>Your own choices</h2>
      {fixed.length > 0 && (
        <ul>
          {fixed.map((one, i) => (
            <li key={i}>
              {measures.volume(one.litres)} of {names.pile(one.pileId)} to {names.bed(one.bedId)},{' '}
              {SEASON_WORDS[one.season]}{' '}
              <Button
                size="small"
                type="text"
                onClick={() => setFixed(fixed.filter((other) => other !== one))}
              >
                Remove
              </Button>
            </li>
          ))}
        </ul>
      )}
      <form
        className="band-fields"
        onSubmit={submitWith(() => {
          if (isReady) fix();
        })}
      >
        <Choice
          name="Of"
          value={pileId}
          onChange={(next) => set({ pileId: next })}
          placeholder="a pile"
          options={problem.piles.map(({ id }) => ({ value: id, label: names.pile(id) }))}
        />
        <Choice
          name="to"
          value={bedId}
          onChange={(next) => set({ bedId: next })}
          placeholder="a bed"
          options={problem.beds.map(({ id }) => ({ value: id, label: names.bed(id) }))}
          width={160}
        />
        <Choice
          name="when"
          value={season}
          onChange={(next) => set({ season: next })}
          options={SHARE_SEASONS.map((one) => ({ value: one, label: SEASON_WORDS[one] }))}
          width={140}
        />
        <TextField
          name="exactly"
          value={typed}
          onChange={(next) => set({ typed: next })}
          trouble={typed !== '' && !(amount >= 0) ? 'must be 0 or more' : undefined}
          hint="0 keeps it off"
        />
        <Choice<AmountUnit>
          name="of"
          value={unit}
          onChange={(next) => set({ unit: next })}
          options={stockUnits(measures)
            .filter((one) => !isMassUnit(one))
            .map((one) => ({ value: one, label: UNIT_WORDS[one] }))}
          width={142}
        />
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button htmlType="submit" disabled={!isReady}>
            Add
          </Button>
        </div>
      </form>
    </section>
  );
}
