import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { AgendaItem } from '../../../core/season/index.ts';
import { type DayNumber, isoDateOf } from '../../../core/ground/index.ts';
import { dateNear } from '../../../words/dates.ts';
import {
  lateCostWords,
  minutesInWords,
  minutesOf,
  placeWords,
  TASK_GROUP_MARKS,
  TASK_GROUP_WORDS,
  taskReason,
  taskWords,
  warningWords,
} from '../../../words/task-words.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { TextField } from '../../ui/forms/inputs.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import type { Really } from './done-acts.ts';
import { FedForm, HarvestForm, SeenForm } from './DoneForms.tsx';
import { LaidForm } from './LaidForm.tsx';
import { whereToGo } from './where-to-go.ts';
import type { TaskActs } from './use-task-acts.ts';

export interface TaskRowProps {
  readonly item: AgendaItem;
  readonly today: DayNumber;
  readonly acts: TaskActs;
}

const WEEK_DAYS = 7;

/** One task: what, where, why, what it costs to be late, and what can be done with it. */
export function TaskRow({ item, today, acts }: TaskRowProps) {
  const books = useBooks();
  const measures = useMeasures();
  const [open, setOpen] = useState<'done' | 'putOff' | null>(null);
  const close = () => setOpen(null);
  const place = placeWords(item, books);
  const howLong = minutesInWords(minutesOf(item, books));
  const href = whereToGo(item, books.garden.id);
  const isOpen = item.state === 'open' || item.state === 'snoozed';
  const bed = books.beds.find(({ id }) => id === item.bedId);
  return (
    <li className={`task task-${item.state}`}>
      <span className="task-date figure">{dateNear(item.shownDay, today)}</span>
      <span className="task-mark" title={TASK_GROUP_WORDS[item.group]}>
        {TASK_GROUP_MARKS[item.group]}
      </span>
      <div className="task-body">
        <p className="task-what">
          {place !== '' && (
            <>
              <Link to={href}>{place}</Link>:{' '}
            </>
          )}
          {taskWords(item, books, measures)}
          {isOpen && howLong !== '' && <span className="task-minutes"> {howLong}</span>}
        </p>
        <TaskNotes item={item} areaM2={bed?.areaM2 ?? 0} today={today} />
        {acts.troubles[item.key] !== undefined && (
          <p className="field-trouble" role="alert">
            {acts.troubles[item.key]}
          </p>
        )}
        {open === 'done' && <DoneForm item={item} acts={acts} onClose={close} />}
        {open === 'putOff' && <PutOffForm item={item} today={today} acts={acts} onClose={close} />}
      </div>
      <span className="task-acts">
        {isOpen ? (
          <>
            <DoneButtons item={item} acts={acts} onAsk={() => setOpen('done')} />
            <Button size="small" type="text" onClick={() => setOpen('putOff')}>
              Postpone
            </Button>
          </>
        ) : (
          item.mark && (
            <Button size="small" type="text" onClick={() => void acts.reopen(item)}>
              Reopen
            </Button>
          )
        )}
      </span>
    </li>
  );
}

/** What is asked when a task is done: nothing, something that is prefilled, or something only the gardener knows. */
function askedWhenDone({ what }: AgendaItem): 'nothing' | 'prefilled' | 'open' | 'elsewhere' {
  switch (what.code) {
    case 'closeYear':
      return 'elsewhere';
    case 'liftPath':
      return what.isCrumbs ? 'elsewhere' : 'nothing';
    case 'entry':
      return what.entry.type === 'lay' ? 'open' : 'nothing';
    case 'dose':
      return 'prefilled';
    case 'clear':
    case 'check':
      return 'open';
    default:
      return 'nothing';
  }
}

function DoneButtons({
  item,
  acts,
  onAsk,
}: Pick<TaskRowProps, 'item' | 'acts'> & { readonly onAsk: () => void }) {
  const asked = askedWhenDone(item);
  if (asked === 'elsewhere') return null;
  const isLaying = item.what.code === 'entry' && asked === 'open';
  return (
    <>
      <Button
        size="small"
        loading={acts.busy === item.key}
        onClick={() => (asked === 'open' ? onAsk() : void acts.done(item, null))}
      >
        {isLaying ? 'Spread …' : asked === 'open' ? 'Done …' : 'Done'}
      </Button>
      {asked === 'prefilled' && (
        <Button size="small" type="text" onClick={onAsk}>
          Otherwise …
        </Button>
      )}
    </>
  );
}

function DoneForm({
  item,
  acts,
  onClose,
}: Pick<TaskRowProps, 'item' | 'acts'> & { readonly onClose: () => void }) {
  const { today } = useBooks();
  const { what } = item;
  const isSaving = acts.busy === item.key;
  const onDone = (really: Really) => void acts.done(item, really).then((isDone) => isDone && onClose());
  if (what.code === 'check') return <SeenForm item={item} onClose={onClose} />;
  if (what.code === 'dose') return <FedForm {...{ item, isSaving, onDone, onClose }} />;
  if (what.code === 'clear') return <HarvestForm {...{ item, isSaving, onDone, onClose }} />;
  if (what.code !== 'entry' || what.entry.type !== 'lay') return null;
  return (
    <LaidForm
      entry={what.entry}
      today={today}
      isSaving={isSaving}
      onLaid={(laid) => onDone({ as: 'laid', ...laid })}
      onClose={onClose}
    />
  );
}

function TaskNotes({ item, areaM2, today }: Pick<TaskRowProps, 'item' | 'today'> & { areaM2: number }) {
  const measures = useMeasures();
  const reason = taskReason(item, measures, today);
  return (
    <>
      {item.lateCost ? (
        <p className="task-late">▲ {lateCostWords(item.lateCost, areaM2, measures)}</p>
      ) : (
        item.lateDays > 0 && <p className="task-late">▲ {item.lateDays} days late</p>
      )}
      {item.mark && item.mark.note !== '' && (
        <p className="soft">
          {item.state === 'snoozed' || item.mark.state === 'snoozed' ? 'Postponed' : 'Said'}: {item.mark.note}
        </p>
      )}
      {reason !== '' && <p className="soft">{reason}</p>}
      {item.warnings.map((warning) => (
        <p key={warning.code} className="task-warning">
          ⚠ {warningWords(warning, measures)}
        </p>
      ))}
    </>
  );
}

function PutOffForm({
  item,
  today,
  acts,
  onClose,
}: Pick<TaskRowProps, 'item' | 'today' | 'acts'> & { onClose: () => void }) {
  const { fields, set, submitWith } = useRecordForm(() => ({
    until: isoDateOf(Math.max(item.shownDay, today) + WEEK_DAYS),
    reason: '',
  }));
  const { until, reason } = fields;
  const isLater = /^\d{4}-\d\d-\d\d$/.test(until) && until > isoDateOf(today);
  return (
    <form
      className="task-form"
      onSubmit={submitWith(() => {
        if (isLater) void acts.putOff(item, until, reason.trim()).then(onClose);
      })}
    >
      <div className="band-fields">
        <DateField
          name="Until"
          value={until}
          onChange={(next) => set({ until: next })}
          trouble={isLater ? undefined : 'a day after today'}
        />
        <TextField
          name="Why"
          value={reason}
          onChange={(next) => set({ reason: next })}
          width={220}
          isNumber={false}
          autoFocus
        />
      </div>
      <div className="band-foot">
        <Button size="small" type="primary" htmlType="submit">
          Postpone it
        </Button>
        <Button size="small" onClick={() => void acts.drop(item, reason.trim()).then(onClose)}>
          Not doing it
        </Button>
        <Button size="small" type="text" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
