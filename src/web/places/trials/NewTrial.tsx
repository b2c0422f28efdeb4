import { useBooks } from '../../app/garden-context.ts';
import { Button, Checkbox, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import type { TrialRecord } from '../../../records/journal.ts';
import { placePlots } from '../../../core/season/index.ts';
import { TrialPlots } from '../../drawing/trial-plots.tsx';
import { sentencesOf } from '../../api/failures.ts';
import { useWriteJournal } from '../../api/journal.ts';
import { Field } from '../../ui/forms/Field.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { Choice, TextField } from '../../ui/forms/inputs.tsx';
import { TRIAL_PLACE_WORDS, TRIAL_TEMPLATES } from '../../../words/trial-words.ts';
import {
  fromTemplate,
  linesOf,
  newTrialForm,
  raisesDust,
  treatmentsOf,
  type TrialForm,
} from './trial-form.ts';

const PLACES = Object.entries(TRIAL_PLACE_WORDS).map(([value, { many }]) => ({
  value: value as TrialRecord['place'],
  label: many,
}));
const MOST_REPEATS = 25;
const newSeed = (): number => 1 + Math.floor(Math.random() * 999_998);

/** Setting up a trial: what against what, how many of each, and where each comes to lie by lot. */
export function NewTrial({ onClose, onKept }: { onClose: () => void; onKept: (trialId: string) => void }) {
  const books = useBooks();
  const [id] = useState(() => crypto.randomUUID());
  const write = useWriteJournal(books.garden.id);
  const {
    fields: draft,
    set,
    submitWith,
    forget,
  } = useRecordForm<TrialForm>(() => newTrialForm(books, newSeed()));
  const treatments = treatmentsOf(draft);
  const troubles = sentencesOf(write.error);
  return (
    <form
      className="band"
      aria-label="A new trial"
      onSubmit={submitWith(() => {
        const record = { ...draft, treatments, kind: 'trial' as const, id, note: '' };
        const onSuccess = () => {
          forget();
          onKept(id);
        };
        write.mutate([record], { onSuccess });
      })}
    >
      <div className="band-fields">
        <Choice
          name="Like"
          value={null}
          placeholder="a usual one …"
          onChange={(name) => set(fromTemplate(name))}
          options={TRIAL_TEMPLATES.map(({ name }) => ({ value: name, label: name }))}
          width={230}
        />
        <TextField
          name="Name"
          value={draft.name}
          onChange={(name) => set({ name })}
          isNumber={false}
          width={230}
        />
        <Choice
          name="In"
          value={draft.place}
          onChange={(place) => set({ place })}
          options={PLACES}
          width={110}
        />
        <Field name="On">
          {(control) => (
            <Select
              {...control}
              value={draft.bedId ?? ''}
              onChange={(bedId) => set({ bedId: bedId === '' ? null : bedId })}
              style={{ width: 150 }}
              options={[
                { value: '', label: 'no bed' },
                ...books.beds.map((bed) => ({ value: bed.id, label: bed.name })),
              ]}
            />
          )}
        </Field>
        <DateField name="Begun on" value={draft.date} onChange={(date) => set({ date })} />
      </div>
      <div className="band-fields">
        <Field
          name="What you compare, one on each line; the others are compared with the first"
          trouble={treatments.length < 2 ? 'at least two' : undefined}
        >
          {(control) => (
            <Input.TextArea
              {...control}
              value={draft.treatments.join('\n')}
              onChange={(event) => set({ treatments: linesOf(event.target.value) })}
              autoSize={{ minRows: 4 }}
              style={{ width: 320 }}
            />
          )}
        </Field>
        <Field
          name={`${TRIAL_PLACE_WORDS[draft.place].many} of each`}
          hint={draft.repeats < 3 ? 'fewer than three tell nothing' : undefined}
        >
          {(control) => (
            <InputNumber
              {...control}
              min={1}
              max={MOST_REPEATS}
              value={draft.repeats}
              onChange={(repeats) => set({ repeats: repeats ?? 1 })}
              style={{ width: 80 }}
            />
          )}
        </Field>
        <TextField
          name="Measured"
          value={draft.measure}
          onChange={(measure) => set({ measure })}
          isNumber={false}
          width={130}
        />
        <TextField
          name="in"
          value={draft.unit}
          onChange={(unit) => set({ unit })}
          isNumber={false}
          width={70}
        />
        <Field name="More is">
          {(control) => (
            <Checkbox
              id={control.id}
              checked={draft.isMoreBetter}
              onChange={(event) => set({ isMoreBetter: event.target.checked })}
            >
              better
            </Checkbox>
          )}
        </Field>
      </div>
      {treatments.length >= 2 && (
        <div className="trial-lot">
          <TrialPlots
            plots={placePlots({ ...draft, treatments })}
            treatments={treatments}
            arePots={draft.place === 'pots'}
            captionOf={() => ''}
          />
          <div>
            <p className="soft">
              Each row has every treatment once, in an order drawn by lot (number {draft.seed}), so that none
              gets the sunny end every time.
            </p>
            <Button size="small" onClick={() => set({ seed: newSeed() })}>
              Draw again
            </Button>
          </div>
        </div>
      )}
      {raisesDust(treatments) && (
        <p className="soft">⚠ Dust of char and ash harms lungs and eyes: mask and goggles, damp it down.</p>
      )}
      <FormFoot
        label="Begin the trial"
        isSaving={write.isPending}
        onClose={onClose}
        troubles={Object.values(troubles)}
      />
    </form>
  );
}
