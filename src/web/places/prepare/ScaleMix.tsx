import { Button } from 'antd';
import { useState } from 'react';
import { useBooks } from '../../app/garden-context.ts';
import { Choice } from '../../ui/forms/inputs.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { figureOf, readQuantity, typedFrom, type QuantityAsked } from '../../ui/forms/typed-quantity.ts';
import { scaledBy, type BenchForm } from './mix-form.ts';

interface ScaleMixProps {
  readonly form: BenchForm;
  readonly set: (change: Partial<BenchForm>) => void;
  /** What the mix comes to as it is, L. */
  readonly volumeL: number;
}

const BIN: QuantityAsked = { quantity: 'volume', above: 0, max: 1e6 };
const DEPTH: QuantityAsked = { quantity: 'length', above: 0, max: 200 };
/** A bin of half a cubic meter, and a layer of five centimeters, to begin with (set here). */
const USUAL_BIN_L = 500;
const USUAL_DEPTH_CM = 5;
const LITRES_PER_M2_CM = 10;

/** The same mix for a bin of so much, or for a bed so thick. */
export function ScaleMix({ form, set, volumeL }: ScaleMixProps) {
  const books = useBooks();
  const reader = useReader();
  const [bedId, setBedId] = useState('');
  const [bin, setBin] = useState(() => typedFrom(USUAL_BIN_L, 'volume', { ...reader, digits: 2 }));
  const [depth, setDepth] = useState(() => typedFrom(USUAL_DEPTH_CM, 'length', { ...reader, digits: 2 }));
  const bed = books.beds.find(({ id }) => id === bedId);
  const readBin = readQuantity(bin, BIN, reader);
  const readDepth = readQuantity(depth, DEPTH, reader);
  const wantedL = bed
    ? (figureOf(readDepth) ?? Number.NaN) * bed.areaM2 * LITRES_PER_M2_CM
    : (figureOf(readBin) ?? Number.NaN);
  return (
    <form
      className="band-fields bench-row"
      aria-label="Scale the mix"
      onSubmit={(event) => {
        event.preventDefault();
        if (wantedL > 0) set(scaledBy(form, wantedL / volumeL, reader));
      }}
    >
      <Choice
        name="Scale it to"
        value={bedId}
        onChange={setBedId}
        options={[
          { value: '', label: 'a bin or heap of' },
          ...books.beds.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        width={190}
      />
      {bed ? (
        <QuantityField
          name="so thick"
          quantity="length"
          value={depth}
          onChange={setDepth}
          trouble={quantityTrouble(readDepth, 'thickness')}
          width={110}
        />
      ) : (
        <QuantityField
          name="that holds"
          quantity="volume"
          value={bin}
          onChange={setBin}
          trouble={quantityTrouble(readBin, 'volume')}
          width={110}
        />
      )}
      <div className="field">
        <span className="field-name">&nbsp;</span>
        <Button htmlType="submit" disabled={!(wantedL > 0)}>
          Scale
        </Button>
      </div>
    </form>
  );
}
