import { useQuery } from '@tanstack/react-query';
import { Button, Checkbox, Select } from 'antd';
import { useState } from 'react';
import { TASK_GROUPS, type TaskGroup } from '../../../core/season/index.ts';
import { TASK_GROUP_WORDS } from '../../../words/task-words.ts';
import { sentencesOf } from '../../api/failures.ts';
import { calendarAddress, feedsQuery, useMakeFeed, useRevokeFeed } from '../../api/journal.ts';
import { useBooks } from '../../app/garden-context.ts';
import { Field } from '../../ui/forms/Field.tsx';
import { TextField } from '../../ui/forms/inputs.tsx';
import { MadeAddress } from '../../ui/forms/MadeAddress.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { DeviceNotices } from './DeviceNotices.tsx';

const ALARM_WORDS = {
  none: 'no reminder',
  morning: 'in the morning of the day, at 8',
  dayBefore: 'the day before, at 8',
} as const;

interface FeedChoice {
  readonly alarm: keyof typeof ALARM_WORDS;
  readonly kinds: readonly TaskGroup[];
  /** Null for the whole garden. */
  readonly bedId: string | null;
}

/** The choice as it stands behind an address; nothing where all of it is usual. */
function questionOf({ alarm, kinds, bedId }: FeedChoice): string {
  const query = new URLSearchParams({
    ...(alarm === 'none' ? {} : { alarm }),
    ...(kinds.length === TASK_GROUPS.length ? {} : { kinds: kinds.join(',') }),
    ...(bedId === null ? {} : { beds: bedId }),
  }).toString();
  return query === '' ? '' : `?${query}`;
}

const WHOLE_GARDEN = 'whole garden';

function FeedChoices({
  choice,
  onChange,
}: {
  readonly choice: FeedChoice;
  readonly onChange: (choice: FeedChoice) => void;
}) {
  const { beds } = useBooks();
  return (
    <div className="band-fields">
      <Field name="Reminder">
        {(control) => (
          <Select
            {...control}
            value={choice.alarm}
            onChange={(alarm) => onChange({ ...choice, alarm })}
            style={{ width: 240 }}
            options={Object.entries(ALARM_WORDS).map(([value, label]) => ({
              value: value as FeedChoice['alarm'],
              label,
            }))}
          />
        )}
      </Field>
      <Field name="Tasks of">
        {(control) => (
          <Select
            {...control}
            value={choice.bedId ?? WHOLE_GARDEN}
            onChange={(id) => onChange({ ...choice, bedId: id === WHOLE_GARDEN ? null : id })}
            style={{ width: 180 }}
            options={[
              { value: WHOLE_GARDEN, label: 'the whole garden' },
              ...beds.map(({ id, name: label }) => ({ value: id, label })),
            ]}
          />
        )}
      </Field>
      <div className="field">
        <span className="field-name">Kinds of tasks</span>
        <Checkbox.Group
          aria-label="Kinds of tasks in the file"
          value={[...choice.kinds]}
          onChange={(kinds: TaskGroup[]) =>
            onChange({ ...choice, kinds: TASK_GROUPS.filter((kind) => kinds.includes(kind)) })
          }
          options={TASK_GROUPS.map((value) => ({ value, label: TASK_GROUP_WORDS[value] }))}
        />
      </div>
    </div>
  );
}

/** The calendar for other programs: a file, and addresses to subscribe to. */
export function SubscribeBand({ gardenId, onClose }: { gardenId: string; onClose: () => void }) {
  const { fields, set, submitWith } = useRecordForm(() => ({ name: '' }));
  const { name } = fields;
  const [choice, setChoice] = useState<FeedChoice>({ alarm: 'none', kinds: TASK_GROUPS, bedId: null });
  const asked = questionOf(choice);
  const [made, setMade] = useState<string | null>(null);
  const { data } = useQuery(feedsQuery(gardenId));
  const make = useMakeFeed(gardenId);
  const revoke = useRevokeFeed();
  const troubles = Object.values({ ...sentencesOf(make.error), ...sentencesOf(revoke.error) });
  return (
    <section className="band" aria-label="The calendar elsewhere">
      <div className="section-head">
        <h2>Reminders, and the calendar elsewhere</h2>
      </div>
      <p>
        <a href={calendarAddress(gardenId) + asked} download>
          Download it once as an iCalendar file
        </a>
        , or make an address that a calendar program on this machine reads again and again: tasks move there
        when they move here. What you choose here goes into both.
      </p>
      <FeedChoices choice={choice} onChange={setChoice} />
      <form
        className="band-fields subscribe-form"
        onSubmit={submitWith(() =>
          make.mutate(name.trim(), {
            onSuccess: ({ path }) => {
              setMade(window.location.origin + path);
              set({ name: '' });
            },
          }),
        )}
      >
        <TextField
          name="For what"
          value={name}
          onChange={(next) => set({ name: next })}
          width={180}
          isNumber={false}
        />
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button htmlType="submit" loading={make.isPending} disabled={name.trim() === ''}>
            Make an address
          </Button>
        </div>
      </form>
      {made !== null && (
        <MadeAddress name="Address of the calendar" address={made + asked}>
          Whoever has this address can read your calendar. It is shown this once; make another whenever you
          need one, and revoke those you no longer use.
        </MadeAddress>
      )}
      {troubles.map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
      <ul className="feeds">
        {data?.feeds.map((feed) => (
          <li key={feed.id}>
            <strong>{feed.name}</strong>{' '}
            <span className="soft">
              made {feed.createdAt.slice(0, 10)},{' '}
              {feed.lastReadAt === null
                ? 'not read yet'
                : `last read ${feed.lastReadAt.slice(0, 16).replace('T', ' ')}`}
            </span>
            <Button size="small" type="link" onClick={() => revoke.mutate(feed)}>
              Revoke
            </Button>
          </li>
        ))}
      </ul>
      <DeviceNotices />
      <Button onClick={onClose}>Close</Button>
    </section>
  );
}
