import { useMeasures } from '../../app/garden-context.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import { Button } from 'antd';
import { useState } from 'react';
import {
  type FixedShare,
  SHARE_SEASONS,
  type ShareProblem,
  type ShareSeason,
} from '../../../core/long-run/index.ts';
import { massFreshKgFromAmount } from '../../../core/ground/index.ts';
import { stockUnits, UNIT_WORDS } from '../../../words/measures.ts';
import { SEASON_WORDS } from '../../../words/share-words.ts';
import { Choice, TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import type { Names } from './share-names.ts';

const WATER = { bulkDensityKgPerM3: 1000, areaM2: 1 };
/** A liter of water weighs a kilogram: that turns any volume into liters. */
const litresPer = (unit: AmountUnit): number => massFreshKgFromAmount({ amount: 1, unit, measured: WATER });
const isMassUnit = (unit: AmountUnit): boolean => ['kg', 'gram', 'pound'].includes(unit);

interface FixShareProps {
  readonly problem: ShareProblem;
  readonly fixed: readonly FixedShare[];
  readonly setFixed: (fixed: readonly FixedShare[]) => void;
  readonly names: Names;
}

/** Choices of one's own: they stay, and everything else is shared around them. */
export function FixShare({ problem, fixed, setFixed, names }: FixShareProps) {
  const measures = useMeasures();
  const [pileId, setPileId] = useState<string | null>(null);
  const [bedId, setBedId] = useState<string | null>(null);
  const [season, setSeason] = useState<ShareSeason>('now');
  const [typed, setTyped] = useState('');
  const [unit, setUnit] = useState<AmountUnit>(measures.barrowUnit);
  const amount = numberFromText(typed);
  const isReady = pileId !== null && bedId !== null && amount >= 0;
  const fix = () => {
    if (pileId === null || bedId === null) return;
    const others = fixed.filter(
      (one) => one.pileId !== pileId || one.bedId !== bedId || one.season !== season,
    );
    setFixed([...others, { pileId, bedId, season, litres: amount * litresPer(unit) }]);
    setTyped('');
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
        onSubmit={(event) => {
          event.preventDefault();
          if (isReady) fix();
        }}
      >
        <Choice
          name="Of"
          value={pileId}
          onChange={setPileId}
          placeholder="a pile"
          options={problem.piles.map(({ id }) => ({ value: id, label: names.pile(id) }))}
        />
        <Choice
          name="to"
          value={bedId}
          onChange={setBedId}
          placeholder="a bed"
          options={problem.beds.map(({ id }) => ({ value: id, label: names.bed(id) }))}
          width={160}
        />
        <Choice
          name="when"
          value={season}
          onChange={setSeason}
          options={SHARE_SEASONS.map((one) => ({ value: one, label: SEASON_WORDS[one] }))}
          width={140}
        />
        <TextField
          name="exactly"
          value={typed}
          onChange={setTyped}
          trouble={typed !== '' && !(amount >= 0) ? 'must be 0 or more' : undefined}
          hint="0 keeps it off"
        />
        <Choice<AmountUnit>
          name="of"
          value={unit}
          onChange={setUnit}
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
