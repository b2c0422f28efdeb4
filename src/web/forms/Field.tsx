import type { ReactNode } from 'react';

interface FieldProps {
  readonly name: string;
  readonly trouble?: string | undefined;
  readonly hint?: string | undefined;
  readonly children: ReactNode;
}

/** One input with its name above it and what is wrong with it beneath. */
export function Field({ name, trouble, hint, children }: FieldProps) {
  return (
    <label className="field">
      <span className="field-name">{name}</span>
      {children}
      {trouble !== undefined && (
        <span className="field-trouble" role="alert">
          {trouble}
        </span>
      )}
      {trouble === undefined && hint !== undefined && <span className="soft hint">{hint}</span>}
    </label>
  );
}
