import { Button, Input, Modal } from 'antd';
import { useState } from 'react';
import { buildUpDraft } from '../../../records/build-up.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import { useSaveBuildUp } from '../../api/gardens.ts';
import type { NamedLayer } from '../../drawing/section-frame.ts';
import { Field } from '../../ui/forms/Field.tsx';
import { troublesOf } from '../../ui/forms/troubles.ts';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { useOpening } from '../../app/use-opening.ts';
import { useSameName } from '../../ui/forms/use-same-name.ts';

interface SaveBuildUpProps {
  readonly gardenId: string;
  /** What lies on the bed, from the soil upwards. */
  readonly layers: readonly NamedLayer[];
  readonly entries: readonly EntryRecord[];
  readonly onClose: () => void;
}

/** Keeps the layers that lie on a bed as a build-up to start from elsewhere. */
export function SaveBuildUp({ gardenId, layers, entries, onClose }: SaveBuildUpProps) {
  const [id] = useState(() => crypto.randomUUID());
  const { fields, set, wasTried, submitWith } = useRecordForm(() => ({ name: '' }));
  const { name } = fields;
  const { shut, ...opening } = useOpening(onClose);
  const save = useSaveBuildUp(gardenId);
  const parsed = buildUpDraft.safeParse({
    id,
    name,
    waitDays: 0,
    note: '',
    layers: layers.flatMap((layer) => {
      const entry = entries.find((one) => one.id === layer.id);
      if (entry?.type !== 'lay' || !layer.isOnTop) return [];
      const { materialId, dugDepthCm, seasonedMonths } = entry;
      return { materialId, dugDepthCm, seasonedMonths, thicknessCm: Number(layer.thicknessCm.toFixed(1)) };
    }),
  });
  const troubles = troublesOf(parsed, save.error);
  const sameName = useSameName('buildUps', name);
  const keep = () => {
    if (parsed.success) save.mutate(parsed.data, { onSuccess: shut });
  };
  return (
    <Modal
      {...opening}
      title="Save these layers as a build-up"
      onCancel={shut}
      footer={[
        <Button key="cancel" onClick={shut}>
          Cancel
        </Button>,
        <Button key="save" type="primary" htmlType="submit" form={id} loading={save.isPending}>
          Save the build-up
        </Button>,
      ]}
    >
      <form id={id} onSubmit={submitWith(keep)}>
        <Field
          name="What do you call it?"
          trouble={wasTried ? Object.values(troubles)[0] : undefined}
          hint={sameName}
        >
          {(control) => (
            <Input
              {...control}
              value={name}
              autoFocus
              onChange={(event) => set({ name: event.target.value })}
            />
          )}
        </Field>
        <p className="soft">As thick as they lie today, for any bed of this garden.</p>
      </form>
    </Modal>
  );
}
