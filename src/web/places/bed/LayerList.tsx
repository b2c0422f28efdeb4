import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { Button, Dropdown, Input } from 'antd';
import { memo, useState } from 'react';
import { Link } from 'react-router';
import type { EntryRecord } from '../../../records/entry.ts';
import type { NamedLayer } from '../../drawing/section-frame.ts';
import { parseQuantity } from '../../../quantities/parse-quantity.ts';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { neighborOnTheDay } from './revision.ts';
import type { LayerActions } from './use-layer-actions.ts';

interface LayerListProps {
  /** From the soil upwards. */
  readonly layers: readonly NamedLayer[];
  readonly entries: readonly EntryRecord[];
  readonly areaM2: number;
  readonly selectedId: string | null;
  readonly onSelect: (layerId: string | null) => void;
  readonly actions: LayerActions;
  readonly onSaveAsBuildUp: () => void;
}

/** The layers of the drawing as a plain list, top first, with everything that can be done to each. */
export const LayerList = memo(function LayerList(props: LayerListProps) {
  const { layers, entries, selectedId, onSaveAsBuildUp } = props;
  const onTop = layers.filter(({ isOnTop }) => isOnTop).reverse();
  const dug = layers.filter(({ isOnTop }) => !isOnTop);
  const own = onTop.filter(({ id }) => entries.some((entry) => entry.id === id));
  if (layers.length === 0) {
    return (
      <section aria-label="Layers">
        <h2 className="list-head">Layers</h2>
        <p className="soft">
          Nothing lies here yet. Choose a build-up, or lay a single material; then take hold of it in the
          drawing.
        </p>
      </section>
    );
  }
  return (
    <section aria-label="Layers">
      <div className="section-head">
        <h2>Layers, top first</h2>
        {own.length > 0 && (
          <>
            <Button size="small" type="link" onClick={onSaveAsBuildUp}>
              Save as a build-up
            </Button>
            <LiftLink entries={entries} />
          </>
        )}
      </div>
      <ol className="layer-list">
        {[...onTop, ...dug].map((layer) => (
          <LayerLine key={layer.id} layer={layer} isOpen={layer.id === selectedId} {...props} />
        ))}
      </ol>
    </section>
  );
});

/** Layers are lifted where their real state stands beside them. */
function LiftLink({ entries }: Pick<LayerListProps, 'entries'>) {
  const { garden } = useBooks();
  const bedId = entries[0]?.bedId;
  if (bedId === undefined) return null;
  return <Link to={`/garden/${garden.id}/year?bed=${bedId}`}>Lift onto a pile or another bed</Link>;
}

interface LayerLineProps extends LayerListProps {
  readonly layer: NamedLayer;
  readonly isOpen: boolean;
}

function LayerLine({ layer, isOpen, entries, areaM2, onSelect, actions }: LayerLineProps) {
  const measures = useMeasures();
  const isOwn = entries.some(({ id, type }) => id === layer.id && type === 'lay');
  return (
    <li className={layer.isDraft ? 'is-draft' : ''}>
      <div className="layer-line">
        <button
          type="button"
          className="layer-name"
          aria-expanded={isOpen}
          onClick={() => onSelect(isOpen ? null : layer.id)}
        >
          <span aria-hidden="true">{isOpen ? '▾' : '▸'}</span> {layer.name}{' '}
          <span className="soft">
            {layer.isOnTop ? layer.age : `dug in ${measures.thickness(layer.dugDepthCm)}, ${layer.age}`}
          </span>
        </button>
        {layer.isOnTop && isOwn ? (
          <Thickness key={layer.thicknessCm.toFixed(2)} layer={layer} actions={actions} />
        ) : (
          <span className="figure soft">{layer.isOnTop ? measures.thickness(layer.thicknessCm) : ''}</span>
        )}
        {isOwn ? <LayerMenu {...{ layer, entries, actions }} /> : <span />}
      </div>
      {isOpen && <LayerStory {...{ layer, areaM2 }} />}
    </li>
  );
}

interface LayerPartProps {
  readonly layer: NamedLayer;
  readonly actions: LayerActions;
}

/** How thick it lies on the day shown; another figure changes how much of it is laid. */
function Thickness({ layer, actions }: LayerPartProps) {
  const measures = useMeasures();
  const reader = useReader();
  const shown = measures.depthFigure(layer.thicknessCm).toFixed(1);
  const [text, setText] = useState(shown);
  const keep = () => {
    const read = parseQuantity(text, { ...reader, quantity: 'length' });
    if (text !== shown && read.ok && read.value > 0)
      actions.thicken(layer.id, read.value / layer.thicknessCm);
    else setText(shown);
  };
  return (
    <Input
      size="small"
      className="layer-thickness"
      value={text}
      aria-label={`Thickness of ${layer.name}, ${measures.depthUnit}`}
      suffix={measures.depthUnit}
      inputMode="decimal"
      onChange={(event) => setText(event.target.value)}
      onBlur={keep}
      onPressEnter={keep}
    />
  );
}

function LayerMenu({
  layer,
  entries,
  actions,
}: Omit<LayerPartProps, 'measures'> & { entries: readonly EntryRecord[] }) {
  const above = neighborOnTheDay(entries, layer.id, 1) >= 0;
  const below = neighborOnTheDay(entries, layer.id, -1) >= 0;
  const isInBook = entries.some(({ id, version }) => id === layer.id && version > 0);
  const otherDay = 'Only layers of one day change places; the rest lie by date.';
  return (
    <Dropdown
      trigger={['click']}
      autoFocus
      menu={{
        items: [
          ...(layer.isOnTop
            ? [
                { key: 'up', label: 'One up', disabled: !above, ...(above ? {} : { title: otherDay }) },
                { key: 'down', label: 'One down', disabled: !below, ...(below ? {} : { title: otherDay }) },
                { key: 'split', label: 'Split in two' },
                { key: 'dig', label: 'Dig in …', disabled: !isInBook },
                { key: 'takeOff', label: 'Take off …', disabled: !isInBook },
                { type: 'divider' as const },
              ]
            : []),
          { key: 'change', label: 'Change the entry', disabled: !isInBook },
          { key: 'remove', label: 'Delete', danger: true },
        ],
        onClick: ({ key }) => actions.byName(key, layer.id),
      }}
    >
      <Button size="small" type="text" aria-label={`What to do with ${layer.name}`}>
        ⋯
      </Button>
    </Dropdown>
  );
}

/** The carbon and nitrogen of one layer from the day it was laid. */
function LayerStory({ layer, areaM2 }: Pick<LayerListProps, 'areaM2'> & { layer: NamedLayer }) {
  const measures = useMeasures();
  const carbon = (g: number) => measures.mass((g * areaM2) / 1000);
  const nitrogen = (g: number) => measures.nitrogen(g * areaM2);
  const inAir = layer.respiredCarbonG;
  const left = layer.freshCarbonG + layer.microbialCarbonG;
  return (
    <div className="layer-story">
      <dl className="story-carbon" aria-label="Its carbon">
        <div>
          <dt>■ carbon spread</dt>
          <dd>{carbon(layer.laidCarbonG)}</dd>
        </div>
        <div>
          <dt>left, and its microbes</dt>
          <dd>{carbon(left)}</dd>
        </div>
        <div>
          <dt>humus it brought or made</dt>
          <dd>{carbon(layer.humusCarbonG)}</dd>
        </div>
        {layer.charCarbonG > 0 && (
          <div>
            <dt>char</dt>
            <dd>{carbon(layer.charCarbonG)}</dd>
          </div>
        )}
        <div>
          <dt>gone to the air</dt>
          <dd>{carbon(inAir)}</dd>
        </div>
      </dl>
      <dl className="story-nitrogen" aria-label="Its nitrogen">
        <div>
          <dt>● nitrogen spread</dt>
          <dd>{nitrogen(layer.laidNitrogenG)}</dd>
        </div>
        <div>
          <dt>still bound in it</dt>
          <dd>{nitrogen(layer.boundNitrogenG)}</dd>
        </div>
        <div>
          <dt>in its humus</dt>
          <dd>{nitrogen(layer.humusNitrogenG)}</dd>
        </div>
        <div>
          <dt>drawn from around it</dt>
          <dd>{nitrogen(layer.drawnNitrogenG)}</dd>
        </div>
        <div>
          <dt>given back so far</dt>
          <dd>{nitrogen(layer.releasedNitrogenG)}</dd>
        </div>
        <div>
          <dt>locked (immobilised) now</dt>
          <dd>{nitrogen(layer.lockedNitrogenG)}</dd>
        </div>
        <div>
          <dt>lost as ammonia</dt>
          <dd>{nitrogen(layer.ammoniaNitrogenG)}</dd>
        </div>
      </dl>
    </div>
  );
}
