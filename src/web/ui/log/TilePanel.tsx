import { useBooks, useMeasures } from '../../app/garden-context.ts';
import type { TilePanelProps } from './tile-panel-props.ts';
import type { ReactNode } from 'react';
import {
  HOW_MANY,
  LEAF_STEPS,
  SMELLS,
  SQUEEZES,
  VIGORS,
  WATER_BEHAVIORS,
} from '../../../records/vocabulary.ts';
import type { Observed } from '../../../records/journal.ts';
import { LeafDrawing } from '../../drawing/leaf-scale.tsx';
import {
  HOW_MANY_WORDS,
  LEAF_STEP_WORDS,
  observedInWords,
  SMELL_WORDS,
  VIGOR_WORDS,
  WATER_BEHAVIOR_WORDS,
} from '../../../words/journal-words.ts';
import { SQUEEZE_WORDS } from '../../../words/stock-words.ts';
import { SoilTestForm } from './SoilTestForm.tsx';
import type { LogBook } from './use-log-book.ts';
import { NoteForm } from './NoteForm.tsx';
import { SoilTemperatureForm, ThicknessForm, WateringForm, YieldForm } from './reading-tiles.tsx';

/** The second tap: how it is. */
export function TilePanel(props: TilePanelProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { tile, subject, book, onDone } = props;
  const bedName = books.beds.find(({ id }) => id === subject.bedId)?.name ?? '';
  const say = (observed: Observed) => `${bedName}: ${observedInWords(observed, measures)}.`;
  const see = (observed: Observed, more: Pick<Parameters<LogBook['observe']>[0], 'note' | 'photos'> = {}) => {
    onDone();
    void book.observe({ subject, observed, words: say(observed), ...more });
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
      return <SoilTemperatureForm onSee={see} />;
    case 'yield':
      return <YieldForm onSee={see} />;
    case 'watering':
      return <WateringForm {...props} />;
    case 'soilTest':
      return <SoilTestForm {...props} />;
    case 'note':
      return <NoteForm onSee={(note, photos) => see({ type: 'note' }, { note, photos })} />;
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
