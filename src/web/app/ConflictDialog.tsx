import { Button, Modal, Radio } from 'antd';
import { useEffect, useState } from 'react';
import { fieldWords } from '../../words/field-words.ts';
import { valueWords } from '../../words/value-words.ts';
import { COLLECTION_NAMES } from '../../records/collections.ts';
import { recordTitle } from '../../words/record-titles.ts';
import type { GardenBooks } from '../../contract/garden-books.ts';
import {
  differingFields,
  isUntouched,
  settleConflictsBy,
  type Conflict,
  type Settlement,
} from '../api/conflicts.ts';
import { useBooks } from './garden-context.ts';

type Side = 'mine' | 'theirs';
type Sides = Readonly<Record<string, Side>>;

interface Question {
  readonly conflict: Conflict;
  readonly answer: (settled: Settlement) => void;
}

/** Asks what is kept when a record was changed elsewhere since it was opened, field by field. */
export function ConflictDialog() {
  const [question, setQuestion] = useState<Question | null>(null);
  useEffect(() => {
    settleConflictsBy((conflict) => new Promise((resolve) => setQuestion({ conflict, answer: resolve })));
    return () => settleConflictsBy(null);
  }, []);
  if (!question) return null;
  const settle = (settled: Settlement) => {
    setQuestion(null);
    question.answer(settled);
  };
  return question.conflict.mine === null ? (
    <DeletedOrChanged conflict={question.conflict} onSettle={settle} />
  ) : (
    <FieldByField conflict={question.conflict} onSettle={settle} />
  );
}

interface SettleProps {
  readonly conflict: Conflict;
  readonly onSettle: (settled: Settlement) => void;
}

/** What a gardener calls the record; several of one request may be newer. */
function titleOf({ theirs: { id } }: Conflict, books: GardenBooks): string {
  const collection = COLLECTION_NAMES.find((name) =>
    books[name].some((record: object) => 'id' in record && record.id === id),
  );
  return collection && typeof id === 'string' ? recordTitle(collection, id, books) : 'this';
}

function DeletedOrChanged({ conflict, onSettle }: SettleProps) {
  const title = titleOf(conflict, useBooks());
  return (
    <Modal
      open
      title="Changed meanwhile"
      transitionName=""
      maskTransitionName=""
      onCancel={() => onSettle(null)}
      footer={[
        <Button key="keep" onClick={() => onSettle(null)}>
          Keep it
        </Button>,
        <Button key="delete" type="primary" onClick={() => onSettle(true)}>
          Delete it all the same
        </Button>,
      ]}
    >
      <p>Someone, or another window, has changed {title} since you opened it.</p>
    </Modal>
  );
}

function FieldByField({ conflict, onSettle }: SettleProps) {
  const books = useBooks();
  const fields = differingFields(conflict);
  const [sides, setSides] = useState<Sides>({});
  // Of what one did not touch oneself, what the other wrote is kept.
  const sideOf = (field: string): Side => sides[field] ?? (isUntouched(conflict, field) ? 'theirs' : 'mine');
  const mine = conflict.mine!;
  const settled = {
    ...mine,
    ...Object.fromEntries(
      fields.filter((field) => sideOf(field) === 'theirs').map((field) => [field, conflict.theirs[field]]),
    ),
  };
  return (
    <Modal
      open
      width={640}
      title="Changed meanwhile"
      transitionName=""
      maskTransitionName=""
      onCancel={() => onSettle(null)}
      footer={[
        <Button key="theirs" onClick={() => onSettle(null)}>
          Leave it as it is now
        </Button>,
        <Button key="save" type="primary" onClick={() => onSettle(settled)}>
          Save what is chosen
        </Button>,
      ]}
    >
      <p>
        Someone, or another window, has changed {titleOf(conflict, books)} since you opened it. Choose what is
        kept; nothing has been overwritten yet.
      </p>
      {fields.length === 0 && <p>What was changed touches nothing that you wrote: yours can be saved.</p>}
      {fields.map((field) => (
        <fieldset key={field} className="conflict-field">
          <legend>{fieldWords(field)}</legend>
          <Radio.Group
            value={sideOf(field)}
            onChange={({ target }) => setSides({ ...sides, [field]: target.value as Side })}
            options={[
              { value: 'mine', label: `yours: ${valueWords(field, mine[field], books)}` },
              { value: 'theirs', label: `as it is now: ${valueWords(field, conflict.theirs[field], books)}` },
            ]}
          />
        </fieldset>
      ))}
    </Modal>
  );
}
