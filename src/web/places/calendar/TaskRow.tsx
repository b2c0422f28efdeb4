import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import type { AgendaItem } from '../../../core/season/index.ts';
import { type DayNumber, isoDateOf } from '../../../core/ground/index.ts';
import { dateNear } from '../../../words/dates.ts';
import {
  lateCostWords,
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
  const [open, setOpen] = useState<'laid' | 'putOff' | null>(null);
  const close = () => setOpen(null);
  const place = placeWords(item, books);
  const href = whereToGo(item, books.garden.id);
  const laid = item.what.code === 'entry' && item.what.entry.type === 'lay' ? item.what.entry : null;
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
        </p>
        <TaskNotes item={item} areaM2={bed?.areaM2 ?? 0} today={today} />
        {acts.troubles[item.key] !== undefined && (
          <p className="field-trouble" role="alert">
            {acts.troubles[item.key]}
          </p>
        )}
        {open === 'laid' && laid && (
          <LaidForm
            entry={laid}
            today={books.today}
            isSaving={acts.busy === item.key}
            onLaid={(really) => void acts.done(item, really).then(close)}
            onClose={close}
          />
        )}
        {open === 'putOff' && <PutOffForm item={item} today={today} acts={acts} onClose={close} />}
      </div>
      <span className="task-acts">
        {isOpen ? (
          <>
            {item.what.code !== 'closeYear' && item.what.code !== 'liftPath' && (
              <Button
                size="small"
                loading={acts.busy === item.key}
                onClick={() => (laid ? setOpen('laid') : void acts.done(item, null))}
              >
                {laid ? 'Spread …' : 'Done'}
              </Button>
            )}
            <Button size="small" type="text" onClick={() => setOpen('putOff')}>
              Postpone
            </Button>
          </>
        ) : (
          item.mark && (
            <Button size="small" type="text" onClick={() => void acts.reopen(item)}>
              Bring back
            </Button>
          )
        )}
      </span>
    </li>
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
