import { useMeasures } from '../../app/garden-context.ts';
import { SQUEEZES, type Squeeze } from '../../../records/vocabulary.ts';
import { Button, Segmented } from 'antd';
import { useState, type ReactNode } from 'react';
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
import { formatPercent, plainFigure } from '../../../words/figures.ts';
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

/** A bucket on a scale: the bulk density of the material. */
function BucketTool({ onUse }: { onUse: (kgPerM3: number) => void }) {
  const measures = useMeasures();
  const [full, setFull] = useState('');
  const [empty, setEmpty] = useState('');
  const [litres, setLitres] = useState('10');
  const scale = useScale();
  const found = tryOut(full !== '' && empty !== '', () =>
    bulkDensityFromBucket(numberFromText(full), numberFromText(empty), numberFromText(litres)),
  );
  const readInto = (set: (kg: string) => void) => () =>
    scale.read((massG) => set(plainFigure(massG / 1000, 4)));
  return (
    <Tool title="Weigh a bucket" found={found} words={measures.density} onUse={onUse}>
      <TextField
        name="Bucket holds, L"
        value={litres}
        onChange={setLitres}
        trouble={troubleOf(found, 'bucketL')}
      />
      <TextField name="Empty, kg" value={empty} onChange={setEmpty} trouble={troubleOf(found, 'emptyKg')} />
      <TextField
        name="Full, not packed, kg"
        value={full}
        onChange={setFull}
        trouble={troubleOf(found, 'grossKg')}
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
  const [way, setWay] = useState<'squeeze' | 'dry'>('squeeze');
  const [squeeze, setSqueeze] = useState<Squeeze | null>(null);
  const [wet, setWet] = useState('');
  const [dry, setDry] = useState('');
  const [dish, setDish] = useState('0');
  const found =
    way === 'squeeze'
      ? tryOut(squeeze !== null, () => MOISTURE_BY_SQUEEZE[squeeze!][1])
      : tryOut(wet !== '' && dry !== '', () =>
          moistureFromDrying(numberFromText(wet), numberFromText(dry), numberFromText(dish)),
        );
  const words = (value: number) => {
    if (way !== 'squeeze' || squeeze === null) return `${formatPercent(value)} water`;
    const [low, , high] = MOISTURE_BY_SQUEEZE[squeeze];
    return `about ${formatPercent(value)} water (${formatPercent(low)} to ${formatPercent(high)})`;
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
          <TextField
            name="Dish alone, g"
            value={dish}
            onChange={setDish}
            trouble={troubleOf(found, 'dish')}
          />
          <TextField
            name="Wet with dish, g"
            value={wet}
            onChange={setWet}
            trouble={troubleOf(found, 'wet')}
          />
          <TextField
            name="Dry with dish, g"
            value={dry}
            onChange={setDry}
            trouble={troubleOf(found, 'dry')}
            hint="oven at 105 °C until it loses no more, or a microwave in bursts of a minute; never unattended"
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
