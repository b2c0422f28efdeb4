import { useId, type ReactNode } from 'react';

/** What ties an input to its name, its hint and what is wrong with it; spread it onto the input. */
export interface FieldControl {
  readonly id: string;
  readonly 'aria-describedby': string;
  readonly 'aria-invalid': boolean;
}

interface FieldProps {
  readonly name: string;
  readonly trouble?: string | undefined;
  readonly hint?: string | undefined;
  readonly children: (control: FieldControl) => ReactNode;
}

/** One input with its name above it, and beneath it a hint or what is wrong. */
export function Field({ name, trouble, hint, children }: FieldProps) {
  const id = useId();
  const noteId = `${id}note`;
  return (
    <div className="field">
      <label className="field-name" htmlFor={id}>
        {name}
      </label>
      {children({ id, 'aria-describedby': noteId, 'aria-invalid': trouble !== undefined })}
      <span id={noteId}>
        {trouble !== undefined ? (
          <span className="field-trouble" role="alert">
            {trouble}
          </span>
        ) : (
          hint !== undefined && <span className="soft hint">{hint}</span>
        )}
      </span>
    </div>
  );
}
