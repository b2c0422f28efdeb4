import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { EntryRecord } from '../../../records/entry.ts';
import type { MovementRecord } from '../../../records/movement.ts';
import { lotsNamedBy } from '../../../core/yard/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useChangeMovement, useRemoveMovement, useRestoreMovement } from '../../api/stock.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { amountInWords } from '../../../words/amount-words.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { movementInWords } from '../../../words/stock-words.ts';
import { DateField } from '../forms/DateField.tsx';
import { FormFoot } from '../forms/FormFoot.tsx';
import { AmountField } from '../forms/inputs.tsx';
import { numberFromText } from '../forms/parse-number.ts';
import { useRecordForm } from '../forms/use-record-form.ts';
import { movementAsChange } from '../../api/as-change.ts';
import { otherTroubles } from './use-stock-post.ts';

type Laying = Extract<EntryRecord, { type: 'lay' }>;

/** What is planned for a pile, or for all of them: when and how much, done by one tap, changed or deleted. */
export function PlannedPostings({ lotId }: { readonly lotId: string | null }) {
  const { movements, entries } = useBooks();
  const isOf = (ids: readonly string[]) => lotId === null || ids.includes(lotId);
  const planned = movements.filter((one) => one.state === 'planned' && isOf(lotsNamedBy(one)));
  const layings = entries.filter(
    (one): one is Laying =>
      lotId !== null && one.type === 'lay' && one.state === 'planned' && one.lotId === lotId,
  );
  const all: (MovementRecord | Laying)[] = [...planned, ...layings];
  if (all.length === 0) return null;
  all.sort((a, b) => a.date.localeCompare(b.date));
  return (
    <section aria-label="Planned">
      <div className="section-head">
        <h2>Planned</h2>
      </div>
      <ul className="plain-list planned-postings">
        {all.map((one) => (
          <li key={one.id}>
            {'bedId' in one ? (
              <PlannedLaying entry={one} />
            ) : (
              <PlannedMovement movement={one} lotId={lotId} />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What a bed will get: it is changed where the bed is. */
function PlannedLaying({ entry }: { readonly entry: Laying }) {
  const books = useBooks();
  const measures = useMeasures();
  const bed = books.beds.find(({ id }) => id === entry.bedId);
  const { amount, unit } = entry;
  return (
    <>
      {fullDate(dayOf(entry.date))}: {amountInWords({ amount, unit }, measures)} to{' '}
      <Link to={`/garden/${books.garden.id}/bed/${entry.bedId}`}>{bed?.name ?? 'a bed'}</Link>
    </>
  );
}

interface PlannedMovementProps {
  readonly movement: MovementRecord;
  /** From whose side it is told; null where the pile must be named. */
  readonly lotId: string | null;
}

function PlannedMovement({ movement, lotId }: PlannedMovementProps) {
  const books = useBooks();
  const measures = useMeasures();
  const [isChanging, setChanging] = useState(false);
  const change = useChangeMovement();
  const remove = useRemoveMovement();
  const restore = useRestoreMovement();
  const offerUndo = useUndo();
  const nameOf = (id: string) => books.lots.find((lot) => lot.id === id)?.name ?? 'something deleted';
  const words = plannedWords(
    movement,
    movementInWords(movement, lotId ?? movement.lotId, { nameOf, measures }),
  );
  const failure = change.error ?? remove.error;
  // What is done or deleted leaves this list, and may be taken back all the same.
  const tickOff = async () => {
    const before = movementAsChange(movement);
    const send = (one: typeof before) => change.mutateAsync({ movementId: movement.id, change: one });
    const done = await send({ ...before, state: 'laid', date: books.today }).catch(() => null);
    if (done) offerUndo(`Done today: ${words}.`, () => send({ ...before, version: done.version }));
  };
  const deleteIt = async () => {
    const isGone = await remove.mutateAsync(movement).then(
      () => true,
      () => false,
    );
    if (isGone) offerUndo('Deleted.', () => restore.mutateAsync(movement.id));
  };
  if (isChanging) return <ChangePlan movement={movement} onClose={() => setChanging(false)} />;
  return (
    <>
      {fullDate(dayOf(movement.date))}: {words}
      {lotId === null && (
        <>
          {' '}
          · <Link to={`/garden/${books.garden.id}/stock/${movement.lotId}`}>{nameOf(movement.lotId)}</Link>
        </>
      )}
      {movement.note !== '' && (
        <span className="soft" translate="no">
          {' '}
          · {movement.note}
        </span>
      )}{' '}
      <span className="row-acts">
        <Button
          size="small"
          aria-label={`Done today: ${words}`}
          loading={change.isPending}
          onClick={() => void tickOff()}
        >
          Done today
        </Button>
        <Button size="small" type="text" aria-label={`Change: ${words}`} onClick={() => setChanging(true)}>
          Change
        </Button>
        <Button size="small" type="text" aria-label={`Delete: ${words}`} onClick={() => void deleteIt()}>
          Delete
        </Button>
      </span>
      {failure && (
        <span className="field-trouble" role="alert">
          {' '}
          {failure.message}
        </span>
      )}
    </>
  );
}

/** What has not come yet is not "received". */
const plannedWords = ({ type }: MovementRecord, words: string): string =>
  type === 'receive' ? words.replace(/^Received /, 'delivery of ') : words;

interface ChangePlanProps {
  readonly movement: MovementRecord;
  readonly onClose: () => void;
}

/** Another day, or another amount. */
function ChangePlan({ movement, onClose }: ChangePlanProps) {
  const hasAmount = movement.type === 'receive' || movement.type === 'move' || movement.type === 'takeOut';
  const { fields, set, submitWith } = useRecordForm(() => ({
    date: movement.date,
    amount: hasAmount
      ? { amount: String(movement.amount), unit: movement.unit }
      : { amount: '', unit: 'litre' as const },
  }));
  const change = useChangeMovement();
  const troubles = change.error ? sentencesOf(change.error) : {};
  const send = () =>
    change.mutate(
      {
        movementId: movement.id,
        change: {
          ...movementAsChange(movement),
          date: fields.date,
          ...(hasAmount ? { amount: numberFromText(fields.amount.amount), unit: fields.amount.unit } : {}),
        },
      },
      { onSuccess: onClose },
    );
  return (
    <form className="band" aria-label="Change the plan" onSubmit={submitWith(send)}>
      <div className="band-fields">
        <DateField
          name="On"
          value={fields.date}
          onChange={(date) => set({ date })}
          trouble={troubles['date']}
        />
        {hasAmount && (
          <AmountField
            name="How much"
            value={fields.amount}
            onChange={(amount) => set({ amount })}
            trouble={troubles['amount']}
          />
        )}
      </div>
      <FormFoot
        label="Save the change"
        isSaving={change.isPending}
        onClose={onClose}
        troubles={otherTroubles(troubles, ['date', 'amount'])}
      />
    </form>
  );
}
