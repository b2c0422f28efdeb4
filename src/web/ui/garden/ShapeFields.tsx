import { Button, Select } from 'antd';
import { BED_SHAPES, type BedShape } from '../../../core/bed/index.ts';
import type { Quantity } from '../../../refusals/refusal.ts';
import { useMeasures } from '../../app/garden-context.ts';
import { Field } from '../forms/Field.tsx';
import { TextField } from '../forms/inputs.tsx';
import { QuantityField, useReader } from '../forms/QuantityField.tsx';
import { typedFrom, type TypedQuantity } from '../forms/typed-quantity.ts';
import type { ReadShape, ShapeForm } from './shape-form.ts';

const SHAPE_WORDS: Readonly<Record<BedShape['type'], string>> = {
  rectangle: 'a rectangle',
  circle: 'a circle',
  ring: 'a ring round a trunk',
  uneven: 'uneven, by its widths',
  pots: 'pots',
};

interface ShapeFieldsProps {
  readonly shape: ShapeForm;
  readonly read: ReadShape;
  readonly wasTried: boolean;
  readonly onChange: (shape: ShapeForm) => void;
  /** The area is typed instead; absent where it has to follow from the shape. */
  readonly onLeave?: () => void;
}

/** The size of a bed by what is measured of its shape. */
export function ShapeFields({ shape, read, wasTried, onChange, onLeave }: ShapeFieldsProps) {
  const measures = useMeasures();
  const reader = useReader();
  const set = (change: Partial<ShapeForm>) => onChange({ ...shape, ...change });
  const trouble = (field: string) => (wasTried ? read.troubles[field] : undefined);
  const measured = ({
    name,
    field,
    quantity = 'length',
  }: {
    readonly name: string;
    readonly field: 'length' | 'width' | 'diameter' | 'clear' | 'volume';
    readonly quantity?: Quantity;
  }) => (
    <QuantityField
      name={name}
      quantity={quantity}
      value={shape[field]}
      onChange={(value) => set({ [field]: value })}
      trouble={trouble(field)}
      width={110}
    />
  );
  return (
    <fieldset className="shape-fields">
      <legend>Size</legend>
      <div className="band-fields">
        <Field name="It is">
          {(control) => (
            <Select
              {...control}
              value={shape.type}
              onChange={(type: BedShape['type']) => set({ type })}
              style={{ width: 190 }}
              options={BED_SHAPES.map((value) => ({ value, label: SHAPE_WORDS[value] }))}
            />
          )}
        </Field>
        {(shape.type === 'rectangle' || shape.type === 'uneven') &&
          measured({ name: 'Length', field: 'length' })}
        {shape.type === 'rectangle' && measured({ name: 'Width', field: 'width' })}
        {(shape.type === 'circle' || shape.type === 'ring') &&
          measured({ name: 'Across', field: 'diameter' })}
        {shape.type === 'ring' && measured({ name: 'Kept clear, across', field: 'clear' })}
        {shape.type === 'uneven' && (
          <Widths
            widths={shape.widths}
            trouble={trouble}
            onChange={(widths) => set({ widths })}
            onMore={() => set({ widths: [...shape.widths, typedFrom(null, 'length', reader)] })}
          />
        )}
        {shape.type === 'pots' && (
          <>
            <TextField
              name="How many"
              value={shape.count}
              onChange={(count) => set({ count })}
              trouble={trouble('count')}
              width={90}
            />
            {measured({ name: 'Each holds', field: 'volume', quantity: 'volume' })}
          </>
        )}
        <p className="shape-area" aria-live="polite">
          {read.areaM2 === null ? '' : `= ${measures.area(read.areaM2)}`}
        </p>
      </div>
      {onLeave && (
        <Button type="link" size="small" style={{ paddingInline: 0 }} onClick={onLeave}>
          I know the area
        </Button>
      )}
    </fieldset>
  );
}

interface WidthsProps {
  readonly widths: readonly TypedQuantity[];
  readonly trouble: (field: string) => string | undefined;
  readonly onChange: (widths: readonly TypedQuantity[]) => void;
  readonly onMore: () => void;
}

/** Widths at equal steps, from one end to the other. */
function Widths({ widths, trouble, onChange, onMore }: WidthsProps) {
  return (
    <>
      {widths.map((width, i) => (
        <QuantityField
          // Widths have nothing but their place to be known by.
          key={i}
          name={i === 0 ? 'Width at one end' : i === widths.length - 1 ? 'at the other end' : 'then'}
          quantity="length"
          value={width}
          onChange={(value) => onChange(widths.map((one, j) => (j === i ? value : one)))}
          trouble={trouble(`widths.${i}`)}
          width={i === 0 || i === widths.length - 1 ? 140 : 90}
        />
      ))}
      <div className="field">
        <span className="field-name">in equal steps</span>
        <Button onClick={onMore}>One more width</Button>
      </div>
    </>
  );
}
