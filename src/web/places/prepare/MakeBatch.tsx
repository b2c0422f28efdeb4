import { useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { type Blend, heatsUp, mixCautions } from '../../../core/yard/index.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { TextField } from '../../ui/forms/inputs.tsx';
import type { Keeping } from '../../../records/vocabulary.ts';
import { TreatmentFields } from '../../ui/stock/TreatmentFields.tsx';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { MIX_PURPOSE_WORDS } from '../../../words/mix-words.ts';
import { otherTroubles, useStockPost } from '../../ui/stock/use-stock-post.ts';
import { batchPosting, type BatchPlan, type BenchForm, type BenchPart } from './mix-form.ts';
import { useSameName } from '../../ui/forms/use-same-name.ts';
import { capitalized } from '../../../words/capitalized.ts';

interface MakeBatchProps {
  readonly form: BenchForm;
  readonly parts: readonly BenchPart[];
  readonly mix: Blend;
}

/** Stock is debited, a heap is born. */
export function MakeBatch({ form, parts, mix }: MakeBatchProps) {
  const books = useBooks();
  const reader = useReader();
  const {
    fields: plan,
    set,
    submitWith,
    forget,
  } = useRecordForm(() => ({
    lotId: crypto.randomUUID(),
    movementId: crypto.randomUUID(),
    name: '',
    date: books.today,
    keeping: 'open' as Keeping,
    isTurned: false,
    isHot: null as boolean | null,
  }));
  const { send, troubles, isSaving } = useStockPost(books.garden.id);
  const navigate = useNavigate();
  const suggestion = `${capitalized(MIX_PURPOSE_WORDS[form.purpose])}, ${books.today}`;
  const sameName = useSameName('lots', plan.name);
  const isStopped = mixCautions(mix, parts).some(({ code }) => code === 'ashWithAmmonium');
  const isHot = plan.isHot ?? heatsUp(mix);
  const batch: BatchPlan = { ...plan, isHot, name: plan.name.trim() === '' ? suggestion : plan.name };
  return (
    <form
      className="band make-batch"
      aria-label="Make the batch"
      onSubmit={submitWith(() =>
        send(
          batchPosting({ plan: batch, form, parts, today: books.today, reader }),
          `${batch.name} is made; the stock is debited.`,
          () => {
            forget();
            void navigate(`/garden/${books.garden.id}/stock/${batch.lotId}`);
          },
        ),
      )}
    >
      <div className="band-fields">
        <TextField
          name="Call the heap"
          isNumber={false}
          value={plan.name}
          onChange={(name) => set({ name })}
          hint={plan.name === '' ? `else: ${suggestion}` : sameName}
          trouble={troubles['name']}
          width={250}
        />
        <DateField
          name="Made on"
          value={plan.date}
          onChange={(date) => set({ date })}
          trouble={troubles['date']}
        />
        <TreatmentFields
          name="How is it kept?"
          treatment={{ keeping: plan.keeping, isTurned: plan.isTurned, isHot }}
          onChange={set}
        />
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <span className="soft hint">
            {heatsUp(mix)
              ? 'large, rich and moist enough to heat'
              : 'too small, lean, wet or dry to heat by itself'}
          </span>
        </div>
        <div className="field">
          <span className="field-name">&nbsp;</span>
          <Button type="primary" htmlType="submit" loading={isSaving} disabled={isStopped}>
            {plan.date > books.today ? 'Plan the heap' : 'Make the heap'}
          </Button>
        </div>
      </div>
      {isStopped && (
        <p className="field-trouble" role="alert">
          Ash and ammonium do not go into one heap: take one of them away first.
        </p>
      )}
      {otherTroubles(troubles, ['name', 'date']).map((sentence) => (
        <p key={sentence} className="field-trouble" role="alert">
          {sentence}
        </p>
      ))}
    </form>
  );
}
