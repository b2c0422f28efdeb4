import { DateField } from '../../ui/forms/DateField.tsx';
import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Segmented } from 'antd';
import type { BedRecord } from '../../../records/bed.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import { PostingFields, type NamedLayerChoice } from './PostingFields.tsx';
import { Cautions, Carried, StockShort } from './PostingNotes.tsx';
import type { PostingForm } from './posting-form.ts';
import type { Preview } from './preview.ts';
import { usePosting, type Refusal } from './use-posting.ts';

interface PostingBandProps {
  readonly bed: BedRecord;
  /** Layers one can dig in or take off, lowest first. */
  readonly layers: readonly NamedLayerChoice[];
  /** The entry to change; null for a new one. */
  readonly changing: EntryRecord | null;
  /** What a new entry starts with. */
  readonly start?: Partial<PostingForm> | undefined;
  /** What the model says against the draft on show. */
  readonly refusal: Refusal | null;
  readonly onPreview: (preview: Preview | null) => void;
  readonly onClose: () => void;
}

const TYPES = [
  { value: 'lay', label: 'Spread' },
  { value: 'dig', label: 'Dig in what lies there' },
  { value: 'takeOff', label: 'Take off' },
  { value: 'feed', label: 'Feed' },
  { value: 'water', label: 'Water' },
  { value: 'soilTest', label: 'Soil test' },
] as const;

/** Writing something into the books of a bed; the page answers while it is being written. */
export function PostingBand(props: PostingBandProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { bed, layers, changing, onClose } = props;
  const { form, set, material, stocked, preview, troubles, isSaving, onSubmit } = usePosting(props);
  const types = TYPES.map((type) => ({
    ...type,
    disabled: (type.value === 'takeOff' || type.value === 'dig') && layers.length === 0,
  }));
  return (
    <form className="band" aria-label={changing ? 'Change an entry' : 'Write an entry'} onSubmit={onSubmit}>
      {!changing && (
        <Segmented
          className="band-types"
          value={form.type}
          onChange={(type) => set({ type })}
          options={types}
        />
      )}
      <div className="band-fields">
        <PostingFields {...{ form, set, books, measures, material, stocked, layers, troubles }} />
        <DateField
          name="When"
          value={form.date}
          onChange={(date) => set({ date, isPlanned: date > books.today })}
          trouble={troubles['date']}
        />
        <div className="field">
          <span className="field-name">Saved as</span>
          <Segmented
            value={form.isPlanned}
            onChange={(isPlanned) => set({ isPlanned })}
            options={[
              { value: false, label: 'done' },
              { value: true, label: 'planned' },
            ]}
          />
        </div>
      </div>
      {preview && <Cautions entry={preview.entry} bed={bed} material={material} />}
      {preview && <StockShort entry={preview.entry} stocked={stocked} />}
      <div className="band-foot">
        <Button type="primary" htmlType="submit" loading={isSaving}>
          {changing ? 'Save the change' : form.isPlanned ? 'Save planned entry' : 'Save entry'}
        </Button>
        <Button onClick={onClose}>Cancel</Button>
        {preview && (
          <>
            <Carried entry={preview.entry} bed={bed} material={material} />
            <span className="preview-note" role="status">
              Shown below as if it were saved.
            </span>
          </>
        )}
        {troubles[''] !== undefined && (
          <span className="field-trouble" role="alert">
            {troubles['']}
          </span>
        )}
      </div>
    </form>
  );
}
