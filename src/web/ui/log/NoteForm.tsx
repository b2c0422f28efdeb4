import { Button, Input } from 'antd';
import { useRecordForm } from '../forms/use-record-form.ts';

interface NoteFields {
  readonly note: string;
  readonly photo: File | null;
}

/** Words, a photo, or both. */
export function NoteForm({ onSee }: { onSee: (note: string, photo: Blob | null) => void }) {
  const { fields, set, submitWith } = useRecordForm<NoteFields>(() => ({ note: '', photo: null }));
  const { note, photo } = fields;
  const isEmpty = note.trim() === '' && photo === null;
  return (
    <form
      className="log-panel"
      onSubmit={submitWith(() => {
        if (!isEmpty) onSee(note.trim(), photo);
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
            onChange={(event) => set({ photo: event.target.files?.[0] ?? null })}
          />
          {photo ? photo.name : 'Add a photo'}
        </label>
        <Button type="primary" htmlType="submit" disabled={isEmpty}>
          Save
        </Button>
      </div>
      <p className="soft hint">Where and when a photo was taken is removed from it before it is kept.</p>
    </form>
  );
}
