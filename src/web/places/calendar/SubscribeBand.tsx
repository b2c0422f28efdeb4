import { useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useState } from 'react';
import { sentencesOf } from '../../api/failures.ts';
import { calendarAddress, feedsQuery, useMakeFeed, useRevokeFeed } from '../../api/journal.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';

/** The calendar for other programs: a file, and addresses to subscribe to. */
export function SubscribeBand({ gardenId, onClose }: { gardenId: string; onClose: () => void }) {
  const { fields, set, submitWith } = useRecordForm(() => ({ name: '' }));
  const { name } = fields;
  const [made, setMade] = useState<string | null>(null);
  const { data } = useQuery(feedsQuery(gardenId));
  const make = useMakeFeed(gardenId);
  const revoke = useRevokeFeed();
  const troubles = Object.values({ ...sentencesOf(make.error), ...sentencesOf(revoke.error) });
  return (
    <section className="band" aria-label="The calendar elsewhere">
      <div className="section-head">
        <h2>The calendar elsewhere</h2>
      </div>
      <p>
        <a href={calendarAddress(gardenId)} download>
          Download it once as an iCalendar file
        </a>
        , or make an address that a calendar program on this machine reads again and again: tasks move there
        when they move here.
      </p>
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
        <div className="made-address" role="status">
          <Input
            readOnly
            value={made}
            aria-label="Address of the calendar"
            onFocus={(event) => event.target.select()}
          />
          <Button onClick={() => void navigator.clipboard.writeText(made)}>Copy</Button>
          <p className="soft">
            Whoever has this address can read your calendar. It is shown this once; make another whenever you
            need one, and revoke those you no longer use.
          </p>
        </div>
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
      <Button onClick={onClose}>Close</Button>
    </section>
  );
}
