import { useQuery } from '@tanstack/react-query';
import { Button, Input, Popconfirm, Select } from 'antd';
import { useState } from 'react';
import { ROLES, SHORTEST_PASSPHRASE, type Person, type Role } from '../../../contract/people.ts';
import { counted } from '../../../words/counted.ts';
import { dayOf, instantWords, shortDate } from '../../../words/dates.ts';
import { ROLE_WORDS } from '../../../words/people-words.ts';
import { sessionQuery, useEndVisit, visitsQuery } from '../../api/data.ts';
import { sentencesOf } from '../../api/failures.ts';
import { peopleQuery, useChangePerson, useLetIn, useLetInNoMore, useMakeLink } from '../../api/people.ts';
import { useFailureNotice } from '../../app/use-failure-notice.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { Choice, TextField } from '../../ui/forms/inputs.tsx';
import { MadeAddress } from '../../ui/forms/MadeAddress.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';

const ROLE_OPTIONS = ROLES.map((value) => ({ value, label: ROLE_WORDS[value] }));
const TOO_SHORT = `must be at least ${SHORTEST_PASSPHRASE} characters long: four or five words will do`;

/** Who comes into this garden beside the keeper of the books, and by which links it is read. */
export function People({ gardenId }: { readonly gardenId: string }) {
  const { data } = useQuery(peopleQuery(gardenId));
  const { data: session } = useQuery(sessionQuery());
  const [adding, setAdding] = useState<'person' | 'link' | null>(null);
  if (!data) return null;
  const close = () => setAdding(null);
  return (
    <section aria-label="Who comes in">
      <div className="section-head">
        <h2>Who comes in</h2>
      </div>
      <p>
        Others can come into this garden under names of their own, and what they write bears their name in the
        log. A link shows it to anybody who has it.
      </p>
      {session?.isNeeded === false && (
        <p className="soft">
          So far these books open only on this machine, to whoever sits at it. The README says how others
          reach them: by “npm run passphrase” and the option “--host”.
        </p>
      )}
      <ul className="plain-list data-people">
        {data.people.map((person) => (
          <PersonLine key={person.id} person={person} />
        ))}
      </ul>
      {session?.isNeeded === true && session.visitor?.role === 'keeper' && <Visits />}
      {adding === null && (
        <div className="band-foot">
          <Button onClick={() => setAdding('person')}>Let somebody in</Button>
          <Button onClick={() => setAdding('link')}>Make a link to read</Button>
        </div>
      )}
      {adding === 'person' && <NewPerson gardenId={gardenId} onClose={close} />}
      {adding === 'link' && <NewLink gardenId={gardenId} onClose={close} />}
    </section>
  );
}

/** Who is in now, each to be ended. */
function Visits() {
  const { data } = useQuery(visitsQuery());
  const end = useEndVisit();
  const showFailure = useFailureNotice();
  if (!data || data.visits.length === 0) return null;
  return (
    <details className="data-visits">
      <summary>In now: {counted(data.visits.length, 'visit')}</summary>
      <ul className="plain-list data-people">
        {data.visits.map(({ id, name, since, lastSeenAt, isOwn }) => (
          <li key={id}>
            <span>
              {name ?? 'The keeper of the books'}
              {isOwn && ', on this device'}
              <span className="soft">
                {' '}
                since {instantWords(since)}, last seen {instantWords(lastSeenAt)}
              </span>
            </span>
            {!isOwn && (
              <Button
                size="small"
                onClick={() =>
                  end.mutate(id, { onError: (failure) => showFailure('The visit goes on.', failure) })
                }
              >
                End this visit
              </Button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

function PersonLine({ person }: { readonly person: Person }) {
  const { id, name, role, isLink, createdAt } = person;
  const change = useChangePerson();
  const remove = useLetInNoMore();
  const showFailure = useFailureNotice();
  const [isChanging, setChanging] = useState(false);
  const onError = (failure: Error) => showFailure(`${name} is as before.`, failure);
  return (
    <li>
      <span>
        <strong>{name}</strong>
        {isLink && (
          <span className="soft">, a link to read, made {shortDate(dayOf(createdAt.slice(0, 10)))}</span>
        )}
      </span>
      <span className="data-people-acts">
        {!isLink && (
          <>
            <Select<Role>
              size="small"
              aria-label={`What ${name} may do`}
              value={role}
              loading={change.isPending}
              popupMatchSelectWidth={false}
              options={ROLE_OPTIONS}
              onChange={(next) => change.mutate({ id, change: { role: next } }, { onError })}
            />
            <Button size="small" onClick={() => setChanging(!isChanging)} aria-expanded={isChanging}>
              New passphrase
            </Button>
          </>
        )}
        <Popconfirm
          title={isLink ? `End the link “${name}”?` : `Let ${name} in no more?`}
          description={
            isLink
              ? 'Whoever looks at the garden by it is shown nothing more.'
              : 'They are out at once. What they wrote stays, under their name.'
          }
          okText={isLink ? 'End it' : 'Let in no more'}
          cancelText="Cancel"
          onConfirm={() => remove.mutate({ id }, { onError })}
        >
          <Button size="small" loading={remove.isPending}>
            {isLink ? 'End it' : 'Let in no more'}
          </Button>
        </Popconfirm>
      </span>
      {isChanging && <NewPassphrase person={person} onClose={() => setChanging(false)} />}
    </li>
  );
}

function PassphraseField({
  value,
  onChange,
  trouble,
}: {
  readonly value: string;
  readonly onChange: (next: string) => void;
  readonly trouble: string | undefined;
}) {
  return (
    <Field
      name="Passphrase"
      trouble={trouble}
      hint="Four or five words. Tell it them yourself: it is shown nowhere."
    >
      {(control) => (
        <Input
          {...control}
          type="password"
          autoComplete="new-password"
          value={value}
          onChange={(event) => onChange(event.target.value)}
          style={{ width: 280 }}
        />
      )}
    </Field>
  );
}

function NewPassphrase({ person, onClose }: { readonly person: Person; readonly onClose: () => void }) {
  const { fields, set, submitWith, wasTried, forget } = useRecordForm(() => ({ passphrase: '' }));
  const { passphrase } = fields;
  const change = useChangePerson();
  const isShort = passphrase.length < SHORTEST_PASSPHRASE;
  const save = () => {
    if (isShort) return;
    change.mutate(
      { id: person.id, change: { passphrase } },
      {
        onSuccess: () => {
          forget();
          onClose();
        },
      },
    );
  };
  return (
    <form className="band-fields" noValidate onSubmit={submitWith(save)}>
      <PassphraseField
        value={passphrase}
        onChange={(next) => set({ passphrase: next })}
        trouble={wasTried && isShort ? TOO_SHORT : undefined}
      />
      <FormFoot
        label="Change it"
        isSaving={change.isPending}
        onClose={onClose}
        troubles={Object.values(sentencesOf(change.error))}
      />
    </form>
  );
}

const NOBODY = { name: '', role: 'helper' as Role, passphrase: '' };

function NewPerson({ gardenId, onClose }: { readonly gardenId: string; readonly onClose: () => void }) {
  const { fields, set, submitWith, wasTried, forget } = useRecordForm(() => NOBODY);
  const { name, role, passphrase } = fields;
  const letIn = useLetIn(gardenId);
  const isShort = passphrase.length < SHORTEST_PASSPHRASE;
  const hasNoName = name.trim() === '';
  const { name: nameTrouble, passphrase: phraseTrouble, ...troubles } = sentencesOf(letIn.error);
  const save = () => {
    if (isShort || hasNoName) return;
    letIn.mutate(
      { name: name.trim(), role, passphrase },
      {
        onSuccess: () => {
          forget();
          onClose();
        },
      },
    );
  };
  return (
    <form className="band" aria-label="Let somebody in" noValidate onSubmit={submitWith(save)}>
      <div className="band-fields">
        <TextField
          name="Name"
          value={name}
          onChange={(next) => set({ name: next })}
          width={200}
          isNumber={false}
          autoFocus
          trouble={wasTried && hasNoName ? 'must be given: they come in by it' : nameTrouble}
        />
        <Choice<Role>
          name="May do"
          value={role}
          onChange={(next) => set({ role: next })}
          options={ROLE_OPTIONS}
          width={370}
        />
        <PassphraseField
          value={passphrase}
          onChange={(next) => set({ passphrase: next })}
          trouble={wasTried && isShort ? TOO_SHORT : phraseTrouble}
        />
      </div>
      <FormFoot
        label="Let them in"
        isSaving={letIn.isPending}
        onClose={onClose}
        troubles={Object.values(troubles)}
      />
    </form>
  );
}

function NewLink({ gardenId, onClose }: { readonly gardenId: string; readonly onClose: () => void }) {
  const { fields, set, submitWith, forget } = useRecordForm(() => ({ name: '' }));
  const name = fields.name.trim();
  const make = useMakeLink(gardenId);
  const [made, setMade] = useState<string | null>(null);
  const save = () =>
    make.mutate(name, {
      onSuccess: ({ path }) => {
        forget();
        setMade(window.location.origin + path);
        set({ name: '' });
      },
    });
  if (made !== null) return <MadeLink address={made} onClose={onClose} />;
  return (
    <form className="band" aria-label="Make a link to read" noValidate onSubmit={submitWith(save)}>
      <TextField
        name="For whom"
        value={fields.name}
        onChange={(next) => set({ name: next })}
        width={240}
        isNumber={false}
        autoFocus
        hint="Only to know it again in this list."
        trouble={sentencesOf(make.error)['name']}
      />
      <FormFoot label="Make the link" isSaving={make.isPending} onClose={onClose} troubles={[]} />
    </form>
  );
}

function MadeLink({ address, onClose }: { readonly address: string; readonly onClose: () => void }) {
  return (
    <div className="band">
      <MadeAddress name="Address of the link" address={address}>
        Whoever has this address can read the garden, and not write in it. It is shown this once; make another
        whenever you need one, and end those you no longer use.
      </MadeAddress>
      <Button onClick={onClose}>Close</Button>
    </div>
  );
}
