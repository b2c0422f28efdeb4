import { Button } from 'antd';
import type { ReactNode } from 'react';

interface FormFootProps {
  /** What the button that sends it says. */
  readonly label: string;
  readonly isSaving: boolean;
  readonly onClose?: (() => void) | undefined;
  /** Sentences about what has no field of its own. */
  readonly troubles: readonly string[];
  readonly children?: ReactNode;
}

/** The foot of a form: keep it, leave it, and what is wrong with it as a whole. */
export function FormFoot({ label, isSaving, onClose, troubles, children }: FormFootProps) {
  return (
    <div className="band-foot">
      <Button type="primary" htmlType="submit" loading={isSaving}>
        {label}
      </Button>
      {onClose && <Button onClick={onClose}>Cancel</Button>}
      {children}
      {troubles.map((sentence) => (
        <span key={sentence} className="field-trouble" role="alert">
          {sentence}
        </span>
      ))}
    </div>
  );
}
