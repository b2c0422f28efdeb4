import { useBooks } from '../../app/garden-context.ts';
import { Segmented } from 'antd';
import { useState } from 'react';
import { CHAR_FINENESSES, type CharFineness } from '../../../records/vocabulary.ts';
import { DateField } from '../../ui/forms/DateField.tsx';
import { FormFoot } from '../../ui/forms/FormFoot.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { CHAR_DUST, FINENESS_WORDS } from '../../../words/char-words.ts';
import { otherTroubles, useStockPost } from '../../ui/stock/use-stock-post.ts';

interface CrushFields {
  readonly fineness: CharFineness;
  readonly date: string;
}

/** Char broken up. */
export function CrushBand({ lotId, onClose }: { lotId: string; onClose: () => void }) {
  const books = useBooks();
  const { fields, set, submitWith } = useRecordForm<CrushFields>(() => ({
    fineness: 'pea',
    date: books.today,
  }));
  const { fineness, date } = fields;
  const [id] = useState(() => crypto.randomUUID());
  const { send, troubles, isSaving } = useStockPost(books.garden.id);
  return (
    <form
      className="band"
      aria-label="Crush char"
      onSubmit={submitWith(() =>
        send(
          { lots: [], movements: [{ id, type: 'crush', state: 'laid', date, note: '', lotId, fineness }] },
          'Crushed.',
          onClose,
        ),
      )}
    >
      <p>{CHAR_DUST}</p>
      <div className="band-fields">
        <div className="field">
          <span className="field-name">Down to</span>
          <Segmented
            value={fineness}
            onChange={(next) => set({ fineness: next })}
            options={CHAR_FINENESSES.map((value) => ({ value, label: FINENESS_WORDS[value] }))}
          />
        </div>
        <DateField
          name="On"
          value={date}
          onChange={(next) => set({ date: next })}
          trouble={troubles['date']}
        />
      </div>
      <p className="soft hint">
        Finer char is colonized and charged sooner. Some pave a path with it, tread it for a season and hoe it
        into the bed.
      </p>
      <FormFoot
        label="Save entry"
        isSaving={isSaving}
        onClose={onClose}
        troubles={otherTroubles(troubles, ['date'])}
      />
    </form>
  );
}
