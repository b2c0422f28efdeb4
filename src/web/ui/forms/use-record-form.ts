import { useCallback, useState, type SyntheticEvent } from 'react';
import {
  useForm,
  useWatch,
  type DefaultValues,
  type FieldValues,
  type Path,
  type PathValue,
} from 'react-hook-form';
import { useUnsaved } from '../../app/unsaved.ts';

type Change<Fields> = Partial<Fields> | ((before: Fields) => Partial<Fields>);

export interface RecordForm<Fields> {
  /** What has been typed and chosen, as typed. */
  readonly fields: Fields;
  readonly set: (change: Change<Fields>) => void;
  /** Something differs from what the form began with. */
  readonly isTouched: boolean;
  /** Saving was tried, so that everything that is wrong is told. */
  readonly wasTried: boolean;
  /** For the form: `save` sends what can be sent; of what cannot, the first field gets the focus. */
  readonly submitWith: (save: () => void) => (event: SyntheticEvent<HTMLFormElement>) => void;
  /** The form is saved: the page may leave. */
  readonly forget: () => void;
}

const UNSAVED = 'What you typed in the form is not saved yet.';

const focusFirstFault = (form: HTMLFormElement): void =>
  void requestAnimationFrame(() => form.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());

/** The life of a form that becomes a record: filled in, tried, saved; leaving it half-filled is asked about. */
export function useRecordForm<Fields extends FieldValues>(start: () => Fields): RecordForm<Fields> {
  const [defaultValues] = useState(() => start() as DefaultValues<Fields>);
  const { control, getValues, setValue, handleSubmit, formState } = useForm<Fields>({ defaultValues });
  const fields = useWatch({ control }) as Fields;
  const { isDirty, isSubmitted } = formState;
  const forget = useUnsaved(isDirty, UNSAVED);
  const set = useCallback(
    (change: Change<Fields>) => {
      const next = typeof change === 'function' ? change(getValues()) : change;
      for (const [name, value] of Object.entries(next)) {
        setValue(name as Path<Fields>, value as PathValue<Fields, Path<Fields>>, { shouldDirty: true });
      }
    },
    [getValues, setValue],
  );
  const submitWith = (save: () => void) => (event: SyntheticEvent<HTMLFormElement>) => {
    const form = event.currentTarget;
    void handleSubmit(save)(event).then(() => focusFirstFault(form));
  };
  return { fields, set, isTouched: isDirty, wasTried: isSubmitted, submitWith, forget };
}
