import { useMeasures } from '../../app/garden-context.ts';
import { SQUEEZES, type Squeeze } from '../../../records/vocabulary.ts';
import { Button, Segmented } from 'antd';
import { useState, type ComponentProps, type ReactNode } from 'react';
import { BUCKET_OF } from '../../../words/measures.ts';
import { InputError } from '../../../refusals/input-error.ts';
import { toldError } from '../../../words/refusal-words.ts';
import {
  MOISTURE_BY_SQUEEZE,
  bulkDensityFromBucket,
  leafShareFromCount,
  moistureFromDrying,
} from '../../../core/yard/index.ts';
import { Choice, TextField } from '../forms/inputs.tsx';
import { numberFromText } from '../forms/parse-number.ts';
import { QuantityField, useReader } from '../forms/QuantityField.tsx';
import { quantityTroubles } from '../forms/troubles.ts';
import {
  figureOf,
  NOTHING_TYPED,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type TypedQuantity,
} from '../forms/typed-quantity.ts';
import { formatPercent } from '../../../words/figures.ts';
import { SQUEEZE_WORDS } from '../../../words/stock-words.ts';
import { useScale } from './use-instruments.ts';

/** What a tool found, or what is wrong with what was typed into it. */
type Found = { readonly value: number } | { readonly field: string; readonly sentence: string } | null;

function tryOut(isTyped: boolean, work: () => number): Found {
  if (!isTyped) return null;
  try {
    return { value: work() };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return toldError(error);
  }
}

const troubleOf = (found: Found, field: string): string | undefined =>
  found && 'sentence' in found && found.field === field ? found.sentence : undefined;

interface ToolProps {
  readonly title: string;
  readonly found: Found;
  readonly words: (value: number) => string;
  readonly onUse: (value: number) => void;
  readonly children: ReactNode;
}

function Tool({ title, found, words, onUse, children }: ToolProps) {
  const value = found && 'value' in found ? found.value : null;
  return (
    <section className="tool" aria-label={title}>
      <h3>{title}</h3>
      <div className="band-fields">
        {children}
        {value !== null && (
          <div className="field">
            <span className="field-name">comes to</span>
            <span className="tool-result">
              <output className="figure">{words(value)}</output>
              <Button size="small" onClick={() => onUse(value)}>
                Use it
              </Button>
            </span>
          </div>
        )}
      </div>
    </section>
  );
}

const BUCKET: QuantityAsked = { quantity: 'volume', above: 0, max: 1000 };
const EMPTY_BUCKET: QuantityAsked = { quantity: 'mass', min: 0, max: 100 };
const FULL_BUCKET: QuantityAsked = { quantity: 'mass', above: 0, max: 1000 };
const DISH: QuantityAsked = { quantity: 'smallMass', min: 0, max: 100_000 };

const isTyped = ({ text }: TypedQuantity): boolean => text.trim() !== '';

interface WeighedProps extends Omit<ComponentProps<typeof QuantityField>, 'trouble'> {
  readonly field: string;
  readonly found: Found;
  /** What is wrong with what was typed, by field. */
  readonly troubles: Readonly<Record<string, string>>;
}

/** One figure of a tool, with what is wrong with it as typed or beside the others. */
const Weighed = ({ field, found, troubles, ...shown }: WeighedProps) => (
  <QuantityField {...shown} trouble={troubles[field] ?? troubleOf(found, field)} />
);

/** A bucket on a scale: the bulk density of the material. */
function BucketTool({ onUse }: { onUse: (kgPerM3: number) => void }) {
  const measures = useMeasures();
  const reader = useReader();
  const [full, setFull] = useState(NOTHING_TYPED);
  const [empty, setEmpty] = useState(NOTHING_TYPED);
  const [bucket, setBucket] = useState(() => typedFrom(BUCKET_OF[reader.system].litres, 'volume', reader));
  const scale = useScale();
  const read = {
    grossKg: readQuantity(full, FULL_BUCKET, reader),
    emptyKg: readQuantity(empty, EMPTY_BUCKET, reader),
    bucketL: readQuantity(bucket, BUCKET, reader),
  };
  const areTyped = isTyped(full) && isTyped(empty);
  const areRead = Object.values(read).every(({ ok }) => ok);
  const found = tryOut(areTyped && areRead, () =>
    bulkDensityFromBucket(figureOf(read.grossKg)!, figureOf(read.emptyKg)!, figureOf(read.bucketL)!),
  );
  const troubles = areTyped ? quantityTroubles(read) : {};
  const readInto = (set: (kg: TypedQuantity) => void) => () =>
    scale.read((massG) => set(typedFrom(massG / 1000, 'mass', { ...reader, digits: 4 })));
  return (
    <Tool title="Weigh a bucket" found={found} words={measures.density} onUse={onUse}>
      <Weighed
        field="bucketL"
        name="The bucket holds"
        quantity="volume"
        value={bucket}
        onChange={setBucket}
        {...{ found, troubles }}
      />
      <Weighed
        field="emptyKg"
        name="Empty"
        quantity="mass"
        value={empty}
        onChange={setEmpty}
        {...{ found, troubles }}
      />
      <Weighed
        field="grossKg"
        name="Full, not packed"
        quantity="mass"
        value={full}
        onChange={setFull}
        {...{ found, troubles }}
      />
      {scale.isThere && (
        <div className="field">
          <span className="field-name">From the scale</span>
          <span className="tool-result">
            <Button size="small" onClick={readInto(setEmpty)}>
              read empty
            </Button>
            <Button size="small" onClick={readInto(setFull)}>
              read full
            </Button>
          </span>
          {scale.trouble !== null && <span className="field-trouble">{scale.trouble}</span>}
        </div>
      )}
    </Tool>
  );
}

/** A squeezed handful, or one dried in the oven or in short bursts in a microwave. */
function MoistureTool({ onUse }: { onUse: (fraction: number) => void }) {
  const measures = useMeasures();
  const [way, setWay] = useState<'squeeze' | 'dry'>('squeeze');
  const [squeeze, setSqueeze] = useState<Squeeze | null>(null);
  const reader = useReader();
  const [wet, setWet] = useState(NOTHING_TYPED);
  const [dry, setDry] = useState(NOTHING_TYPED);
  const [dish, setDish] = useState(() => typedFrom(0, 'smallMass', reader));
  const read = {
    wet: readQuantity(wet, DISH, reader),
    dry: readQuantity(dry, DISH, reader),
    dish: readQuantity(dish, DISH, reader),
  };
  const areTyped = isTyped(wet) && isTyped(dry);
  const areRead = Object.values(read).every(({ ok }) => ok);
  const troubles = areTyped ? quantityTroubles(read) : {};
  const found =
    way === 'squeeze'
      ? tryOut(squeeze !== null, () => MOISTURE_BY_SQUEEZE[squeeze!][1])
      : tryOut(areTyped && areRead, () =>
          moistureFromDrying(figureOf(read.wet)!, figureOf(read.dry)!, figureOf(read.dish)!),
        );
  const words = (value: number) => {
    if (way !== 'squeeze' || squeeze === null) return `${formatPercent(value)} moisture`;
    const [low, , high] = MOISTURE_BY_SQUEEZE[squeeze];
    return `about ${formatPercent(value)} moisture (${formatPercent(low)} to ${formatPercent(high)})`;
  };
  return (
    <Tool title="How wet is it?" found={found} words={words} onUse={onUse}>
      <div className="field">
        <span className="field-name">by</span>
        <Segmented
          value={way}
          onChange={setWay}
          options={[
            { value: 'squeeze', label: 'squeezing' },
            { value: 'dry', label: 'drying' },
          ]}
        />
      </div>
      {way === 'squeeze' ? (
        <Choice<Squeeze>
          name="A squeezed handful"
          value={squeeze}
          onChange={setSqueeze}
          placeholder="what does it do?"
          options={SQUEEZES.map((value) => ({ value, label: SQUEEZE_WORDS[value] }))}
        />
      ) : (
        <>
          <Weighed
            field="dish"
            name="Dish alone"
            quantity="smallMass"
            value={dish}
            onChange={setDish}
            {...{ found, troubles }}
          />
          <Weighed
            field="wet"
            name="Wet with dish"
            quantity="smallMass"
            value={wet}
            onChange={setWet}
            {...{ found, troubles }}
          />
          <Weighed
            field="dry"
            name="Dry with dish"
            quantity="smallMass"
            value={dry}
            onChange={setDry}
            {...{ found, troubles }}
            hint={`oven at ${measures.warmth(105)} until it loses no more, or a microwave in bursts of a minute; never unattended`}
          />
        </>
      )}
    </Tool>
  );
}

/** Pieces of leaf counted among pieces of wood. */
function LeafTool({ onUse }: { onUse: (share: number) => void }) {
  const [leaf, setLeaf] = useState('');
  const [wood, setWood] = useState('');
  const found = tryOut(leaf !== '' && wood !== '', () =>
    leafShareFromCount(numberFromText(leaf), numberFromText(wood)),
  );
  return (
    <Tool
      title="Count a handful"
      found={found}
      words={(value) => `${formatPercent(value)} leaf by dry mass`}
      onUse={onUse}
    >
      <TextField
        name="Pieces of leaf"
        value={leaf}
        onChange={setLeaf}
        trouble={troubleOf(found, 'leafPieces')}
      />
      <TextField
        name="Pieces of wood"
        value={wood}
        onChange={setWood}
        trouble={troubleOf(found, 'woodPieces')}
      />
    </Tool>
  );
}

const TOOL_WORDS = { bucket: 'Weigh a bucket', moisture: 'How wet is it?', leaf: 'Count leaf' } as const;
type ToolName = keyof typeof TOOL_WORDS;

interface JudgingProps {
  readonly onDensity: (kgPerM3: number) => void;
  readonly onMoisture: (fraction: number) => void;
  /** Only for chips. */
  readonly onLeafShare?: ((share: number) => void) | undefined;
}

/** Tools to judge a load by, one open at a time. */
export function Judging({ onDensity, onMoisture, onLeafShare }: JudgingProps) {
  const [open, setOpen] = useState<ToolName | null>(null);
  const names: ToolName[] = onLeafShare ? ['bucket', 'moisture', 'leaf'] : ['bucket', 'moisture'];
  const done = (use: (value: number) => void) => (value: number) => {
    use(value);
    setOpen(null);
  };
  return (
    <div className="judging">
      <span className="field-name">Judge it</span>
      {names.map((name) => (
        <Button
          key={name}
          size="small"
          aria-expanded={open === name}
          type={open === name ? 'primary' : 'default'}
          onClick={() => setOpen(open === name ? null : name)}
        >
          {TOOL_WORDS[name]}
        </Button>
      ))}
      {open === 'bucket' && <BucketTool onUse={done(onDensity)} />}
      {open === 'moisture' && <MoistureTool onUse={done(onMoisture)} />}
      {open === 'leaf' && onLeafShare && <LeafTool onUse={done(onLeafShare)} />}
    </div>
  );
}
