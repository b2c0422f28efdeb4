import { Button } from 'antd';
import { type AshCondition, ashVolumeL, heapTakesAsh } from '../../../core/yard/index.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { Choice } from '../../ui/forms/inputs.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTrouble } from '../../ui/forms/troubles.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type QuantityAsked,
  type TypedQuantity,
} from '../../ui/forms/typed-quantity.ts';
import { otherTroubles, useStockPost } from '../../ui/stock/use-stock-post.ts';
import type { ListedLot } from '../../ui/stock/use-stock.ts';
import { type AshTarget, ashPiles, ashPosting, ashToWeighG, LOOSE_MIXES } from './ash-mix.ts';

const LITRES: QuantityAsked = { quantity: 'volume', above: 0, max: 1e6 };
const RAW_KINDS: ReadonlySet<string> = new Set(['manure', 'residue', 'green', 'compost']);

interface AshIntoMixesProps {
  readonly lots: readonly ListedLot[];
  readonly condition: AshCondition;
}

/** How much ash goes into compost, topsoil or pots, and into which heap it may not. */
export function AshIntoMixes({ lots, condition }: AshIntoMixesProps) {
  const takesAsh = ({ brief }: ListedLot) => Boolean(brief?.material && heapTakesAsh(brief.material));
  const raw = lots.filter((one) => one.brief && RAW_KINDS.has(one.brief.kind) && !takesAsh(one));
  return (
    <section aria-label="Ash into compost, soil or pots">
      <div className="section-head">
        <h2>Into compost, soil or pots</h2>
      </div>
      <MixInAsh heaps={lots.filter(takesAsh)} ashLots={ashPiles(lots)} condition={condition} />
      {raw.length > 0 && (
        <p className="status-stop">
          ▲ Not into {raw.map(({ lot }) => lot.name).join(', ')}: still at work or raw. Ash would drive the
          ammonium off as ammonia; wait until it is finished.
        </p>
      )}
    </section>
  );
}

interface MixFields {
  readonly into: string;
  /** As typed; null for what is usual. */
  readonly litres: TypedQuantity | null;
  /** Empty for ash from outside; null for the first pile of ash there is. */
  readonly fromLotId: string | null;
}

interface MixInAshProps {
  readonly heaps: readonly ListedLot[];
  readonly ashLots: readonly ListedLot[];
  readonly condition: AshCondition;
}

function MixInAsh({ heaps, ashLots, condition }: MixInAshProps) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const { fields, set, submitWith } = useRecordForm<MixFields>(() => ({
    into: LOOSE_MIXES[0].use,
    litres: null,
    fromLotId: null,
  }));
  const { send, troubles, isSaving } = useStockPost(books.garden.id);
  const heap = heaps.find(({ lot }) => lot.id === fields.into);
  const loose = LOOSE_MIXES.find(({ use }) => use === fields.into) ?? LOOSE_MIXES[0];
  const typed = fields.litres ?? typedFrom(loose.usualL, 'volume', { ...reader, digits: 3 });
  const read = readQuantity(typed, LITRES, reader);
  const target: AshTarget = heap ? { heap } : { use: loose.use, litres: figureOf(read) ?? 0 };
  const weighedG = ashToWeighG(target, condition);
  const fromLotId = fields.fromLotId ?? ashLots[0]?.lot.id ?? '';
  const posting = ashPosting(target, { weighedG, fromLotId, today: books.today });
  return (
    <form
      className="tool"
      aria-label="Mix ash in"
      onSubmit={submitWith(() => {
        if (!posting || !condition.isCleanWood) return;
        const done = heap ? `Ash is mixed into ${heap.lot.name}.` : 'Ash is taken from stock.';
        send(posting, done, () => set({ litres: null }));
      })}
    >
      <div className="band-fields">
        <Choice
          name="Into"
          value={fields.into}
          onChange={(into) => set({ into, litres: null })}
          options={[
            ...LOOSE_MIXES.map(({ use, label }) => ({ value: use as string, label })),
            ...heaps.map(({ lot }) => ({ value: lot.id, label: lot.name })),
          ]}
          width={250}
        />
        {!heap && (
          <QuantityField
            name="How much of it"
            quantity="volume"
            value={typed}
            onChange={(litres) => set({ litres })}
            trouble={quantityTrouble(read, 'litres')}
          />
        )}
        <div className="field">
          <span className="field-name">{condition.isDamp ? 'damp ash, at most' : 'ash, at most'}</span>
          <span className="tool-result figure">
            {weighedG > 0
              ? `${measures.mass(weighedG / 1000)}, ${measures.smallVolume(ashVolumeL(weighedG))}`
              : 'none more'}
          </span>
        </div>
        {(heap !== undefined || ashLots.length > 0) && (
          <Choice
            name="From"
            value={fromLotId}
            onChange={(next) => set({ fromLotId: next })}
            options={[
              ...(heap ? [{ value: '', label: 'outside' }] : []),
              ...ashLots.map(({ lot }) => ({ value: lot.id, label: lot.name })),
            ]}
            width={150}
          />
        )}
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button htmlType="submit" disabled={!posting || !condition.isCleanWood} loading={isSaving}>
            {heap ? 'Mix it in' : 'Take it from stock'}
          </Button>
        </div>
      </div>
      <p className="soft hint">
        {condition.isCleanWood
          ? `By the lowest of the recipes. ${heap ? 'What is mixed into a heap counts on every bed that gets some of it.' : 'Not for plants that want acid soil.'}`
          : 'Ash of painted or treated wood, card, coal or briquettes goes into nothing that is planted.'}
      </p>
      {otherTroubles(troubles, []).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </form>
  );
}
