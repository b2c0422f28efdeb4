import { useMeasures } from '../../app/garden-context.ts';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { MATERIAL_LIBRARY } from '../../../core/ground/index.ts';
import { solveOnThread } from '../../solver/ask-solver.ts';
import type { SolvedMix } from '../../solver/solver-worker.ts';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { plainFigure } from '../../../words/figures.ts';
import { fixWords, missWords } from '../../../words/mix-words.ts';
import { problemOf, readTotal, waterTyped, withLitres, type BenchForm, type BenchPart } from './mix-form.ts';

interface SolvePanelProps {
  readonly form: BenchForm;
  readonly parts: readonly BenchPart[];
  readonly set: (change: Partial<BenchForm>) => void;
}

const nameOf = (id: string): string => MATERIAL_LIBRARY.find((one) => one.id === id)?.name ?? id;

/** The rows left free are found: within the aims, within what is there. */
export function SolvePanel({ form, parts, set }: SolvePanelProps) {
  const [solved, setSolved] = useState<SolvedMix | 'asking' | null>(null);
  const reader = useReader();
  const free = form.rows.filter(({ isFree }) => isFree).length;
  const take = (litres: readonly number[], waterL: number) =>
    set({ rows: withLitres(parts, litres), water: waterTyped(waterL, reader) });
  const solve = async () => {
    setSolved('asking');
    const problem = problemOf(form, parts, reader);
    try {
      const found = await solveOnThread(problem);
      setSolved(found);
      if (found.ok) take(found.answer.litres, found.answer.waterL);
    } catch {
      setSolved({ ok: false, field: '', sentence: 'The solver failed; the rows are as they were.' });
    }
  };
  return (
    <div className="tool" role="group" aria-label="Solver">
      <div className="band-fields">
        <QuantityField
          name="Make"
          quantity="volume"
          value={form.total}
          onChange={(total) => set({ total })}
          trouble={quantityTrouble(readTotal(form, reader), 'totalL')}
          hint="empty: as little as does it"
          width={120}
        />
        <div className="field">
          <span className="field-name">In</span>
          <span className="tool-result">
            <Checkbox checked={form.isWhole} onChange={(event) => set({ isWhole: event.target.checked })}>
              whole buckets and barrows
            </Checkbox>
          </span>
        </div>
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button
            type="primary"
            disabled={free === 0}
            loading={solved === 'asking'}
            onClick={() => void solve()}
          >
            Find the amounts
          </Button>
        </div>
      </div>
      {free === 0 && <p className="soft hint">Tick “find” on what may vary; the rest stays as typed.</p>}
      <div role="status">
        {solved !== null && solved !== 'asking' && (
          <SolvedWords solved={solved} parts={parts} isWhole={form.isWhole} />
        )}
      </div>
    </div>
  );
}

interface SolvedProps {
  readonly solved: SolvedMix;
  readonly parts: readonly BenchPart[];
  readonly isWhole: boolean;
}

function SolvedWords({ solved, parts, isWhole }: SolvedProps) {
  const measures = useMeasures();
  if (!solved.ok) return <p className="field-trouble">{solved.sentence}</p>;
  const { answer } = solved;
  if (answer.status === 'solved') {
    return (
      <p>
        Found: C:N {plainFigure(answer.blend.carbonToNitrogen ?? 0)}
        {answer.waterL > 0.05 ? `, with ${measures.liquid(answer.waterL)} of water` : ''}.
      </p>
    );
  }
  const usedUp = parts.filter(({ row }) => answer.usedUp.includes(row.key) && row.isFree);
  return (
    <>
      <p>
        <strong className="status-stop">It cannot be met exactly; the nearest is filled in above.</strong>{' '}
        {answer.misses.map((miss) => missWords(miss, measures)).join(' ')}
        {isWhole && ' Without whole buckets it may come nearer.'}
        {usedUp.length > 0 && ` All of ${usedUp.map(({ mixable }) => mixable.name).join(' and ')} is used.`}
      </p>
      <ul className="caution-list">
        {answer.fixes.map((fix) => (
          <li key={fix.code}>{fixWords(fix, nameOf, measures)}</li>
        ))}
      </ul>
    </>
  );
}
