import { Button, Input } from 'antd';
import { counted } from '../../../words/counted.ts';
import { useRecordForm } from '../forms/use-record-form.ts';

interface NoteFields {
  readonly note: string;
  readonly photos: readonly File[];
}

/** As many as one note may hold. */
const MOST_PHOTOS = 8;

/** Words, photos, or both. */
export function NoteForm({ onSee }: { onSee: (note: string, photos: readonly Blob[]) => void }) {
  const { fields, set, submitWith } = useRecordForm<NoteFields>(() => ({ note: '', photos: [] }));
  const { note, photos } = fields;
  const isEmpty = note.trim() === '' && photos.length === 0;
  const isTooMany = photos.length > MOST_PHOTOS;
  return (
    <form
      className="log-panel"
      onSubmit={submitWith(() => {
        if (!isEmpty && !isTooMany) onSee(note.trim(), photos);
      })}
    >
      <Input.TextArea
        aria-label="Note"
        value={note}
        onChange={(event) => set({ note: event.target.value })}
        maxLength={2000}
        autoSize={{ minRows: 2 }}
        placeholder="What you saw"
      />
      <div className="band-fields note-foot">
        <label className="photo-input">
          <input
            type="file"
            accept="image/*"
            multiple
            onChange={(event) => set({ photos: [...(event.target.files ?? [])] })}
          />
          {photos.length === 0
            ? 'Add photos'
            : photos.length === 1
              ? photos[0]!.name
              : counted(photos.length, 'photo')}
        </label>
        <Button type="primary" htmlType="submit" disabled={isEmpty || isTooMany}>
          Save
        </Button>
      </div>
      {isTooMany && (
        <p className="field-trouble" role="alert">
          At most {MOST_PHOTOS} photos to a note; write another note for the rest.
        </p>
      )}
      <p className="soft hint">Where and when a photo was taken is removed from it before it is kept.</p>
    </form>
  );
}
