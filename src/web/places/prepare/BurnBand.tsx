import { useMeasures, useBooks } from '../../app/garden-context.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { BURN_METHOD_FACTS } from '../../../core/yard/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { usePostStock } from '../../api/stock.ts';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { BURN_WARNING_WORDS } from '../../../words/char-words.ts';
import type { Measures } from '../../../words/measures.ts';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { quantityTroubles } from '../../ui/forms/troubles.ts';
import type { Reader } from '../../ui/forms/typed-quantity.ts';
import { BurnCharFields } from './BurnCharFields.tsx';
import { BurnFeedFields } from './BurnFeedFields.tsx';
import { BurnSteps } from './BurnSteps.tsx';
import { fieldsOfOne, otherTroubles, useStockPost } from '../../ui/stock/use-stock-post.ts';
import {
  blankBurn,
  burnFormOf,
  burnPosting,
  pilesBegun,
  readQuenchWater,
  withStep,
  type BurnForm,
  type BurnRecord,
} from './burn-form.ts';

interface BurnBandProps {
  /** The burn to go on with; null for a new one. */
  readonly burn: BurnRecord | null;
  readonly onClose: () => void;
}

/** A burn from the sorted wood to measured char: a checklist with a clock, saved whenever one likes. */
export function BurnBand({ burn, onClose }: BurnBandProps) {
  const books = useBooks();
  const measures = useMeasures();
  const reader = useReader();
  const {
    fields: form,
    set,
    submitWith,
  } = useRecordForm<BurnForm>(() => startOf(books, burn, { measures, reader }));
  const { send, troubles: refused, isSaving } = useStockPost(books.garden.id);
  const change = usePostStock(books.garden.id);
  const ofWater = quantityTroubles({ 'log.quenchWaterL': readQuenchWater(form, reader) });
  const troubles = { ...fieldsOfOne(sentencesOf(change.error)), ...refused, ...ofWater };
  const facts = BURN_METHOD_FACTS[form.method];
  const save = () => {
    const movement = burnPosting(form, reader);
    const lots = pilesBegun(form, (lotId) => books.lots.some(({ id }) => id === lotId));
    if (burn) {
      change.mutate(
        { lots, movements: [], changes: [{ ...movement, version: burn.version }] },
        { onSuccess: onClose },
      );
      return;
    }
    send({ lots, movements: [movement] }, 'The burn is saved.', onClose);
  };
  return (
    <form
      className="band"
      aria-label={burn ? 'Go on with a burn' : 'Record a burn'}
      onSubmit={submitWith(() => {
        if (Object.keys(ofWater).length === 0) save();
      })}
    >
      <Warnings warnings={facts.warnings} />
      <div className="two-columns">
        <div>
          <BurnFeedFields form={form} set={set} troubles={troubles} isNew={!burn} />
          <BurnCharFields form={form} set={set} troubles={troubles} />
        </div>
        <BurnSteps form={form} onTick={(step) => set(withStep(form, step, new Date().toISOString()))} />
      </div>
      <FormFoot
        label={form.char.amount === '' ? 'Save the burn so far' : 'Save the char'}
        isSaving={isSaving || change.isPending}
        onClose={onClose}
        troubles={otherTroubles(troubles, SHOWN)}
      />
    </form>
  );
}

const SHOWN = [
  'feedstock.0.amount',
  'yield.amount',
  'yield.moistureFractionWetBasis',
  'unburntShare',
  'unburntToLotId',
  'date',
  'log.quenchWaterL',
  'log.coldCheckedOn',
];

function startOf(
  books: GardenBooks,
  burn: BurnRecord | null,
  { measures, reader }: { readonly measures: Measures; readonly reader: Reader },
): BurnForm {
  const blank = blankBurn(books.today, 'material:log_wood', {
    mass: measures.massUnit,
    volume: measures.bucketUnit,
  });
  if (!burn) return blank;
  return burnFormOf(burn, books.lots.find(({ id }) => id === burn.lotId)?.name ?? '', { blank, reader });
}

function Warnings({ warnings }: { warnings: readonly string[] }) {
  return (
    <div className="trouble burn-warnings" role="note">
      <strong>Before you light anything</strong>
      <ul className="caution-list">
        {warnings.map((code) => (
          <li key={code}>{BURN_WARNING_WORDS[code]}</li>
        ))}
      </ul>
    </div>
  );
}
