import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Checkbox, Select } from 'antd';
import { useState } from 'react';
import type { Habit } from '../../../records/habit.ts';
import { CROP_LIBRARY, isSouthern, ownCrop } from '../../../core/ground/index.ts';
import { materialFinder } from '../../../core/bed/index.ts';
import { HABIT_ACT_TYPES } from '../../../core/long-run/index.ts';
import { MONTH_NAMES } from '../../../words/dates.ts';
import { UNIT_WORDS, unitsFor } from '../../../words/measures.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useChangeHabit, useKeepHabit, useRemoveHabit, useRestoreHabit } from '../../api/habits.ts';
import { Choice, TextField } from '../../ui/forms/inputs.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { AREA_WORDS, areaOf } from '../../../words/amount-words.ts';
import { materialOptions } from '../../ui/materials/material-options.ts';
import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { formOf, newAct, readHabit, type ActForm, type HabitForm } from './habit-form.ts';
import type { HabitDraftOnPage, Line } from './lines.ts';
import { useSameName } from '../../ui/forms/use-same-name.ts';

interface HabitEditorProps {
  readonly line: Line;
  readonly habit: Habit;
  readonly onDraft: (id: string, draft: HabitDraftOnPage | null) => void;
  readonly onKept: (lineId: string, habitId: string) => void;
  readonly onDone: () => void;
}

const TYPE_WORDS: Record<ActForm['type'], string> = {
  lay: 'spread',
  grow: 'grow a cover crop',
  feed: 'buy nitrogen',
  pull: 'pull all mulch',
};

/** A habit changed in place: every change that can be followed is followed at once. */
export function HabitEditor({ line, habit, onDraft, onKept, onDone }: HabitEditorProps) {
  const books = useBooks();
  const reader = useReader();
  const setting = { isSouth: isSouthern(books.garden.climate), reader };
  const names = { findMaterial: materialFinder(books), crops: books.crops };
  const record = useRecordForm<HabitForm>(() => formOf(line.name, habit, setting));
  const form = record.fields;
  const sameName = useSameName('habits', form.name, line.kept?.id);
  const [isNew, setIsNew] = useState(0);
  const keep = useKeepHabit(books.garden.id);
  const change = useChangeHabit();
  const remove = useRemoveHabit();
  const restore = useRestoreHabit();
  const offerUndo = useUndo();
  const read = readHabit(form, names, setting);
  const isSound = Object.keys(read.troubles).length === 0;
  const set = (changes: Partial<HabitForm>) => {
    record.set(changes);
    const { name, habit: typed, troubles } = readHabit({ ...form, ...changes }, names, setting);
    if (Object.keys(troubles).length === 0) onDraft(line.id, { name, habit: typed });
  };
  const setAct = (key: string, changes: Partial<ActForm>) =>
    set({ acts: form.acts.map((act) => (act.key === key ? { ...act, ...changes } : act)) });
  const save = async () => {
    const fields = {
      name: read.name,
      keepsCrops: read.habit.keepsCrops,
      acts: [...read.habit.acts],
      note: '',
    };
    const kept = line.kept
      ? await change.mutateAsync({ habitId: line.kept.id, change: { ...fields, version: line.kept.version } })
      : await keep.mutateAsync({ ...fields, id: crypto.randomUUID() });
    onKept(line.id, kept.id);
    onDone();
  };
  const deleteIt = async () => {
    const kept = line.kept;
    if (!kept) return;
    await remove.mutateAsync(kept);
    onDraft(line.id, null);
    offerUndo(`“${kept.name}” is deleted.`, () => restore.mutateAsync(kept.id));
    onDone();
  };
  const failures = Object.values({
    ...sentencesOf(keep.error),
    ...sentencesOf(change.error),
    ...sentencesOf(remove.error),
  });
  return (
    <form
      className="habit-editor"
      onSubmit={record.submitWith(() => {
        if (isSound) void save();
      })}
    >
      <TextField
        name="Name"
        value={form.name}
        onChange={(name) => set({ name })}
        trouble={read.troubles['name']}
        hint={sameName}
        isNumber={false}
        width={200}
      />
      {form.acts.map((act, i) => (
        <ActFields
          key={act.key}
          act={act}
          place={i}
          troubles={read.troubles}
          set={(changes) => setAct(act.key, changes)}
          onRemove={() => set({ acts: form.acts.filter(({ key }) => key !== act.key) })}
        />
      ))}
      <div className="band-foot">
        <Button
          size="small"
          onClick={() => {
            setIsNew(isNew + 1);
            set({ acts: [...form.acts, newAct(`new ${isNew}`, reader)] });
          }}
        >
          Add something done
        </Button>
        <Checkbox checked={form.keepsCrops} onChange={({ target }) => set({ keepsCrops: target.checked })}>
          what grows now grows on
        </Checkbox>
      </div>
      <div className="band-foot">
        <Button
          type="primary"
          size="small"
          htmlType="submit"
          disabled={!isSound}
          loading={keep.isPending || change.isPending}
        >
          {line.kept ? 'Save the change' : 'Save as my habit'}
        </Button>
        {line.isChanged && (
          <Button
            size="small"
            onClick={() => {
              onDraft(line.id, null);
              onDone();
            }}
          >
            Discard changes
          </Button>
        )}
        {line.kept && (
          <Button size="small" onClick={() => void deleteIt()}>
            Delete
          </Button>
        )}
        {failures.map((sentence) => (
          <span key={sentence} className="field-trouble" role="alert">
            {sentence}
          </span>
        ))}
      </div>
    </form>
  );
}

interface ActFieldsProps {
  readonly act: ActForm;
  readonly place: number;
  readonly troubles: Readonly<Record<string, string>>;
  readonly set: (changes: Partial<ActForm>) => void;
  readonly onRemove: () => void;
}

function ActFields({ act, place, troubles, set, onRemove }: ActFieldsProps) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const text = ({
    name,
    key,
    width = 62,
  }: {
    readonly name: string;
    readonly key: 'amount' | 'seasonedMonths' | 'everyYears' | 'fromYear' | 'untilYear';
    readonly width?: number;
  }) => (
    <TextField
      name={name}
      value={act[key]}
      onChange={(value) => set({ [key]: value })}
      trouble={troubles[`acts.${place}.${key}`]}
      width={width}
    />
  );
  return (
    <fieldset className="act-fields">
      <legend>
        {place + 1}.{' '}
        <Select<ActForm['type']>
          size="small"
          variant="borderless"
          aria-label={`What is done, ${place + 1}`}
          value={act.type}
          onChange={(type) => set({ type })}
          popupMatchSelectWidth={false}
          options={HABIT_ACT_TYPES.map((type) => ({ value: type, label: TYPE_WORDS[type] }))}
        />
        <Button size="small" type="text" onClick={onRemove} aria-label={`Remove what is done, ${place + 1}`}>
          ×
        </Button>
      </legend>
      <div className="band-fields">
        {act.type === 'lay' && (
          <>
            <Choice<string>
              name="Material"
              value={act.materialId}
              onChange={(materialId) => set({ materialId })}
              trouble={troubles[`acts.${place}.materialId`]}
              options={materialOptions(books).flatMap(({ options }) =>
                options.filter(({ value }) => value !== SEEN_CHIPS),
              )}
              width={210}
            />
            {text({ name: 'Each time', key: 'amount' })}
            <Choice
              name={areaOf(act.unit, reader.system) === null ? 'of' : `of, on ${AREA_WORDS[reader.system]}`}
              value={act.unit}
              onChange={(unit) => set({ unit })}
              options={unitsFor(measures).map((unit) => ({ value: unit, label: UNIT_WORDS[unit] }))}
              width={124}
            />
            <QuantityField
              name="Dug in to"
              quantity="length"
              value={act.dugDepth}
              onChange={(dugDepth) => set({ dugDepth })}
              trouble={troubles[`acts.${place}.dugDepthCm`]}
              width={84}
            />
            {text({ name: 'Months old', key: 'seasonedMonths', width: 84 })}
          </>
        )}
        {act.type === 'grow' && (
          <Choice<string>
            name="Cover crop"
            value={act.cropId}
            onChange={(cropId) => set({ cropId })}
            trouble={troubles[`acts.${place}.cropId`]}
            options={[...books.crops.map(ownCrop), ...CROP_LIBRARY]
              .filter(({ isCoverCrop }) => isCoverCrop)
              .map(({ id, name }) => ({
                value: id,
                label: name,
              }))}
          />
        )}
        {act.type === 'feed' && (
          <QuantityField
            name="Nitrogen"
            quantity="massPerArea"
            value={act.nitrogen}
            onChange={(nitrogen) => set({ nitrogen })}
            trouble={troubles[`acts.${place}.nitrogenGPerM2`]}
            width={130}
          />
        )}
        <Choice<string>
          name="In"
          value={act.month}
          onChange={(month) => set({ month })}
          options={MONTH_NAMES.map((name, i) => ({ value: String(i + 1), label: name }))}
          width={112}
        />
        {text({ name: 'Every … years', key: 'everyYears', width: 84 })}
        {text({ name: 'From year', key: 'fromYear', width: 66 })}
        {text({ name: 'To year', key: 'untilYear', width: 66 })}
      </div>
    </fieldset>
  );
}
