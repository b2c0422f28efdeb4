import { QuantityField } from '../forms/QuantityField.tsx';
import type { FigureField, TypedFigures } from './figure-fields.ts';

interface FigureInputsProps {
  readonly fields: readonly FigureField[];
  readonly typed: TypedFigures;
  readonly onChange: (typed: TypedFigures) => void;
  /** By field, as the hints. */
  readonly troubles: Readonly<Record<string, string | undefined>>;
  readonly hints?: Readonly<Record<string, string>> | undefined;
}

/** The figures that describe a material. */
export const FigureInputs = ({ fields, typed, onChange, troubles, hints = {} }: FigureInputsProps) =>
  fields.map(({ field, name, quantity }) => (
    <QuantityField
      key={field}
      name={name}
      quantity={quantity}
      value={typed[field]!}
      onChange={(value) => onChange({ ...typed, [field]: value })}
      trouble={troubles[field]}
      hint={hints[field]}
      width={130}
    />
  ));

/** What the server said of the figures of a basis, by their own names. */
export const ofBasis = (troubles: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(troubles).flatMap(([field, sentence]) =>
      field.startsWith('basis.') ? [[field.slice('basis.'.length), sentence]] : [],
    ),
  );
