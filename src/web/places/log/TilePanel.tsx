import { useMeasures, useBooks } from '../../app/garden-context.ts';
import type { TilePanelProps } from '../../ui/log/tile-panel-props.ts';
import { Button, Input, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import {
  HOW_MANY,
  LEAF_STEPS,
  SMELLS,
  VIGORS,
  WATER_BEHAVIORS,
  SQUEEZES,
} from '../../../records/vocabulary.ts';
import type { Observed } from '../../../records/journal.ts';
import { KILOGRAMS_PER_POUND, LITRES_PER_GALLON, centimetresFromInches } from '../../../core/ground/index.ts';
import { LeafDrawing } from '../../drawing/leaf-scale.tsx';
import {
  HOW_MANY_WORDS,
  LEAF_STEP_WORDS,
  observedInWords,
  SMELL_WORDS,
  VIGOR_WORDS,
  WATER_BEHAVIOR_WORDS,
} from '../../../words/journal-words.ts';
import type { Measures } from '../../../words/measures.ts';
import { layName } from '../../../words/record-names.ts';
import { SQUEEZE_WORDS } from '../../../words/stock-words.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { SoilTestForm } from '../../ui/log/SoilTestForm.tsx';
import type { LogBook } from '../../ui/log/use-log-book.ts';
import { fixed } from '../../../words/figures.ts';
import { useProbe, type Instrument } from '../../ui/stock/use-instruments.ts';

const isMetric = (measures: Measures): boolean => measures.depthUnit === 'cm';

/** The second tap: how it is. */
export function TilePanel(props: TilePanelProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { tile, subject, book, onDone } = props;
  const bedName = books.beds.find(({ id }) => id === subject.bedId)?.name ?? '';
  const say = (observed: Observed) => `${bedName}: ${observedInWords(observed, measures)}.`;
  const see = (observed: Observed, more: Parameters<LogBook['observe']>[3] = {}) => {
    onDone();
    void book.observe(subject, observed, say(observed), more);
  };
  switch (tile) {
    case 'leafColor':
      return (
        <Choices
          label="Color of the older leaves"
          options={LEAF_STEPS.map((step) => ({
            key: String(step),
            label: LEAF_STEP_WORDS[step],
            picture: <LeafDrawing step={step} />,
            onChoose: () => see({ type: 'leafColor', step }),
          }))}
        />
      );
    case 'growth':
      return (
        <Choices
          label="It grows"
          options={VIGORS.map((vigor) => option(VIGOR_WORDS[vigor], () => see({ type: 'growth', vigor })))}
        />
      );
    case 'threads':
      return (
        <Choices
          label="White threads under the layer"
          options={HOW_MANY.map((amount) =>
            option(HOW_MANY_WORDS[amount], () => see({ type: 'threads', amount })),
          )}
        />
      );
    case 'worms':
      return (
        <Choices
          label="Worms in a spadeful"
          options={[0, 2, 5, 10, 20].map((count) =>
            option(count === 20 ? '20 or more' : count === 0 ? 'none' : `about ${count}`, () =>
              see({ type: 'worms', count }),
            ),
          )}
        />
      );
    case 'smell':
      return (
        <Choices
          label="It smells"
          options={SMELLS.map((smell) => option(SMELL_WORDS[smell], () => see({ type: 'smell', smell })))}
        />
      );
    case 'squeeze':
      return (
        <Choices
          label="A handful, squeezed"
          options={SQUEEZES.map((squeeze) =>
            option(SQUEEZE_WORDS[squeeze], () => see({ type: 'squeeze', squeeze })),
          )}
        />
      );
    case 'waterBehavior':
      return (
        <Choices
          label="Water poured on it"
          options={WATER_BEHAVIORS.map((behavior) =>
            option(WATER_BEHAVIOR_WORDS[behavior], () => see({ type: 'waterBehavior', behavior })),
          )}
        />
      );
    case 'thickness':
      return <ThicknessForm {...props} onSee={see} />;
    case 'hours':
      return (
        <Choices
          label="Hours worked on it"
          options={[0.25, 0.5, 1, 2, 3, 4].map((hours) =>
            option(`${hours} h`, () => see({ type: 'hours', hours })),
          )}
        />
      );
    case 'soilTemperature':
      return (
        <SoilTemperatureForm
          isCelsius={isMetric(measures)}
          onCelsius={(temperatureC) => see({ type: 'soilTemperature', temperatureC })}
        />
      );
    case 'yield':
      return (
        <FigureForm
          label={`Harvested, ${isMetric(measures) ? 'kg' : 'lb'}`}
          isFit={(figure) => figure > 0}
          onFigure={(figure) =>
            see({ type: 'yield', massKg: isMetric(measures) ? figure : figure * KILOGRAMS_PER_POUND })
          }
        />
      );
    case 'watering':
      return <WateringForm {...props} />;
    case 'soilTest':
      return <SoilTestForm {...props} />;
    case 'note':
      return <NoteForm onSee={(note, photo) => see({ type: 'note' }, { note, photo })} />;
  }
}

interface Option {
  readonly key: string;
  readonly label: string;
  readonly picture?: ReactNode;
  readonly onChoose: () => void;
}

const option = (label: string, onChoose: () => void): Option => ({ key: label, label, onChoose });

function Choices({ label, options }: { label: string; options: readonly Option[] }) {
  return (
    <fieldset className="log-panel">
      <legend>{label}</legend>
      <div className="log-choices">
        {options.map(({ key, label: name, picture, onChoose }) => (
          <button key={key} type="button" className="log-choice" onClick={onChoose}>
            {picture}
            {name}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

interface FigureFormProps {
  /** Fills the field with what it says. */
  readonly instrument?: Instrument;
  readonly label: string;
  readonly isFit: (figure: number) => boolean;
  readonly onFigure: (figure: number) => void;
  readonly children?: ReactNode;
}

function FigureForm({ label, isFit, onFigure, instrument, children }: FigureFormProps) {
  const [typed, setTyped] = useState('');
  const [isTried, setTried] = useState(false);
  const figure = numberFromText(typed);
  return (
    <form
      className="log-panel"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (isFit(figure)) onFigure(figure);
      }}
    >
      <div className="band-fields">
        <TextField
          name={label}
          value={typed}
          onChange={setTyped}
          width={110}
          autoFocus
          trouble={isTried && !isFit(figure) ? 'a figure that can be' : (instrument?.trouble ?? undefined)}
        />
        {instrument?.isThere && (
          <div className="field">
            <span className="field-name">&nbsp;</span>
            <Button onClick={() => instrument.read((read) => setTyped(fixed(read, 1)))}>
              Read the probe
            </Button>
          </div>
        )}
        {children}
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="primary" htmlType="submit">
            Write it down
          </Button>
        </div>
      </div>
    </form>
  );
}

/** Typed, or read off the probe where one is connected. */
function SoilTemperatureForm({
  isCelsius,
  onCelsius,
}: {
  isCelsius: boolean;
  onCelsius: (temperatureC: number) => void;
}) {
  const probe = useProbe();
  const shown = (celsius: number) => (isCelsius ? celsius : celsius * 1.8 + 32);
  return (
    <FigureForm
      label={`Soil, ${isCelsius ? '°C' : '°F'}, a finger deep`}
      isFit={(figure) => figure > -30 && figure < 140}
      instrument={{ ...probe, read: (use) => probe.read((celsius) => use(shown(celsius))) }}
      onFigure={(figure) => onCelsius(isCelsius ? figure : (figure - 32) / 1.8)}
    />
  );
}

const EVERYTHING = 'everything on top';

function ThicknessForm({ subject, onSee }: TilePanelProps & { onSee: (observed: Observed) => void }) {
  const books = useBooks();
  const measures = useMeasures();
  const layers = books.entries
    .filter(
      (entry) =>
        entry.bedId === subject.bedId &&
        entry.type === 'lay' &&
        entry.state === 'laid' &&
        entry.dugDepthCm === 0,
    )
    .flatMap((entry) =>
      entry.type === 'lay' ? [{ id: entry.id, name: `${layName(entry, books)}, ${entry.date}` }] : [],
    )
    .toReversed();
  const [layerId, setLayerId] = useState(layers[0]?.id ?? EVERYTHING);
  return (
    <FigureForm
      label={`Left, ${measures.depthUnit}`}
      isFit={(figure) => figure >= 0 && figure < 150}
      onFigure={(figure) =>
        onSee({
          type: 'thickness',
          layerId: layerId === EVERYTHING ? null : layerId,
          thicknessCm: isMetric(measures) ? figure : centimetresFromInches(figure),
        })
      }
    >
      <div className="field">
        <span className="field-name">of</span>
        <Select
          aria-label="Which layer"
          value={layerId}
          onChange={setLayerId}
          style={{ width: 230 }}
          popupMatchSelectWidth={false}
          options={[
            ...layers.map(({ id, name }) => ({ value: id, label: name })),
            { value: EVERYTHING, label: EVERYTHING },
          ]}
        />
      </div>
    </FigureForm>
  );
}

/** Litres over the bed, as the can holds them; the book wants millimetres. */
function WateringForm({ subject, book, onDone }: TilePanelProps) {
  const books = useBooks();
  const measures = useMeasures();
  const bed = books.beds.find(({ id }) => id === subject.bedId)!;
  const water = (litres: number) => {
    onDone();
    const waterMm = litres / bed.areaM2;
    void book.post(
      subject,
      { type: 'water', waterMm },
      `${bed.name}: watered, ${measures.liquid(litres)} or ${measures.water(waterMm)}.`,
    );
  };
  return (
    <FigureForm
      label={`Given, ${isMetric(measures) ? 'L' : 'gal'}`}
      isFit={(figure) => figure > 0 && figure / bed.areaM2 < 500}
      onFigure={(figure) => water(isMetric(measures) ? figure : figure * LITRES_PER_GALLON)}
    >
      <p className="soft watering-note">
        {isMetric(measures) ? 'A can holds 10 L.' : 'A can holds 2 gal.'} Only what you give by hand
        {bed.isWatered ? ' beyond the usual watering' : ''}.
      </p>
    </FigureForm>
  );
}

function NoteForm({ onSee }: { onSee: (note: string, photo: Blob | null) => void }) {
  const [note, setNote] = useState('');
  const [photo, setPhoto] = useState<File | null>(null);
  const isEmpty = note.trim() === '' && photo === null;
  return (
    <form
      className="log-panel"
      onSubmit={(event) => {
        event.preventDefault();
        if (!isEmpty) onSee(note.trim(), photo);
      }}
    >
      <Input.TextArea
        aria-label="Note"
        value={note}
        onChange={(event) => setNote(event.target.value)}
        maxLength={2000}
        autoSize={{ minRows: 2 }}
        placeholder="What you saw"
      />
      <div className="band-fields note-foot">
        <label className="photo-input">
          <input
            type="file"
            accept="image/*"
            onChange={(event) => setPhoto(event.target.files?.[0] ?? null)}
          />
          {photo ? photo.name : 'Add a photo'}
        </label>
        <Button type="primary" htmlType="submit" disabled={isEmpty}>
          Write it down
        </Button>
      </div>
      <p className="soft hint">Where and when a photo was taken is removed from it before it is kept.</p>
    </form>
  );
}
