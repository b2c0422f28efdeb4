import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { Link } from 'react-router';
import type { LotLine } from '../../../core/yard/index.ts';
import { useRemoveMovement, useRestoreMovement } from '../../api/stock.ts';
import { shortDate } from '../../../words/dates.ts';
import { formatFixed, formatPercent } from '../../../words/figures.ts';
import { movementInWords, ratioFigure } from '../../../words/stock-words.ts';
import { massUnitsOf } from '../../../quantities/units.ts';
import { useUndo } from '../../app/use-undo.tsx';

interface LotAccountProps {
  readonly lotId: string;
  readonly lines: readonly LotLine[];
  readonly balanceError: number;
}

/** Signed, with a real minus; nothing for nothing. */
const signed = (value: number, decimals: number): string => {
  if (Math.abs(value) < 0.5 * 10 ** -decimals) return '—';
  return value > 0 ? `+${formatFixed(value, decimals)}` : formatFixed(value, decimals);
};

/** The running account of a lot, newest first, with a balance after every posting. */
export function LotAccount({ lotId, lines, balanceError }: LotAccountProps) {
  const books = useBooks();
  const measures = useMeasures();
  const isMetric = measures.system === 'metric';
  const { mass, smallMass } = massUnitsOf(measures.system);
  const movements = new Map(books.movements.map((movement) => [movement.id, movement]));
  const nameOf = (id: string) => books.lots.find((lot) => lot.id === id)?.name ?? 'something deleted';
  const bedName = (id: string) => books.beds.find((bed) => bed.id === id)?.name ?? 'a bed';
  const remove = useRemoveMovement();
  const restore = useRestoreMovement();
  const failure = remove.error;
  const offerUndo = useUndo();
  const describe = ({ cause }: LotLine) => {
    switch (cause.type) {
      case 'time':
        return <span className="soft">rotted, breathed out, wetted or dried</span>;
      case 'bed':
        return (
          <>
            to <Link to={`/garden/${books.garden.id}/bed/${cause.bedId}`}>{bedName(cause.bedId)}</Link>
          </>
        );
      case 'movement': {
        const movement = movements.get(cause.movementId);
        if (!movement) return '…';
        return (
          <>
            {movementInWords(movement, lotId, { nameOf, measures })}
            {movement.note !== '' && (
              <span className="soft" translate="no">
                {' '}
                · {movement.note}
              </span>
            )}
          </>
        );
      }
    }
  };
  return (
    <section aria-label="Account">
      <table className="ledger lot-account">
        <thead>
          <tr>
            <th>date</th>
            <th className="words">what</th>
            <th>volume, {measures.volumeUnit}</th>
            <th>dry matter, {mass.symbol}</th>
            <th>carbon, {mass.symbol}</th>
            <th>nitrogen, {smallMass.symbol}</th>
            <th className="red-rule">then in stock</th>
            <th>C:N</th>
            <th>moisture</th>
            <th aria-label="delete" />
          </tr>
        </thead>
        <tbody>
          {lines.toReversed().map((line, i) => {
            const { cause } = line;
            const movement = cause.type === 'movement' ? movements.get(cause.movementId) : undefined;
            return (
              <tr key={lines.length - i} className={line.isPlanned ? 'planned' : undefined}>
                <td>{shortDate(cause.type === 'time' ? line.day - 1 : line.day)}</td>
                <td className="words">
                  {line.isPlanned && 'planned: '}
                  {describe(line)}
                  {line.missingL > 0 && (
                    <span className="status-stop">
                      {' '}
                      · {measures.volume(line.missingL)} of it not in stock
                    </span>
                  )}
                </td>
                <td>{signed(measures.volumeFigure(line.volumeL), isMetric ? 0 : 1)}</td>
                <td>{signed(mass.fromBase(line.dryKg), 1)}</td>
                <td>{signed(mass.fromBase(line.carbonG / 1000), 1)}</td>
                <td>{signed(smallMass.fromBase(line.nitrogenG), isMetric ? 0 : 1)}</td>
                <td className="red-rule">{measures.volume(line.balance.volumeL)}</td>
                <td>{line.balance.dryKg > 0 ? ratioFigure(line.balance.carbonToNitrogen) : '—'}</td>
                <td>{line.balance.dryKg > 0 ? formatPercent(line.balance.moistureFractionWetBasis) : '—'}</td>
                <td>
                  {movement?.state === 'laid' && (
                    <Button
                      type="text"
                      size="small"
                      aria-label={`Delete: ${movementInWords(movement, lotId, { nameOf, measures })}`}
                      onClick={() =>
                        remove.mutate(movement, {
                          onSuccess: () => offerUndo('Deleted.', () => restore.mutateAsync(movement.id)),
                        })
                      }
                    >
                      Delete
                    </Button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {failure && (
        <p className="trouble" role="alert">
          {failure.message}
        </p>
      )}
      <p className="soft estimate">
        Every gram of carbon and nitrogen that came in is still in the pile, was taken from it, or went into
        the air: the account closes to {balanceError < 1e-9 ? 'a billionth' : formatPercent(balanceError)}.
      </p>
    </section>
  );
}
