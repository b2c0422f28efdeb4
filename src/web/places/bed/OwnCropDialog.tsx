import { Button, Modal } from 'antd';
import { useState } from 'react';
import type { CropRecord } from '../../../records/crop.ts';
import { STARTS_AS, WARMTHS } from '../../../records/vocabulary.ts';
import { CROP_LIBRARY, findLibraryCrop, type Crop } from '../../../core/ground/index.ts';
import { AREA_SPREAD_ON_M2, AREA_WORDS } from '../../../words/amount-words.ts';
import { STARTED, WARMTH_WORDS } from '../../../words/crop-words.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useChangeCrop, useMakeCrop, useRemoveCrop, useRestoreCrop } from '../../api/gardens.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { useOpening } from '../../app/use-opening.ts';
import { useUndo } from '../../app/use-undo.tsx';
import { Field } from '../../ui/forms/Field.tsx';
import { Choice, TextField } from '../../ui/forms/inputs.tsx';
import { NameSelect } from '../../ui/forms/NameSelect.tsx';
import { QuantityField, useReader } from '../../ui/forms/QuantityField.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { otherTroubles } from '../../ui/stock/use-stock-post.ts';
import { cropsByGroup, groupName } from '../../ui/garden/crop-choice.ts';
import { ownCropFormOf, readOwnCrop, type OwnCropForm } from './own-crop-form.ts';
import { useSameName } from '../../ui/forms/use-same-name.ts';

interface OwnCropDialogProps {
  /** The crop to change; null for a new one. */
  readonly changing: CropRecord | null;
  /** What a new one is like at first. */
  readonly likeCropId: string;
  readonly onKept: (crop: CropRecord) => void;
  /** It was deleted. */
  readonly onGone: (crop: CropRecord) => void;
  readonly onClose: () => void;
}

/** The life of a crop of one's own being written: typed, weighed, kept, deleted. */
function useOwnCrop({ changing, likeCropId, onKept, onGone }: OwnCropDialogProps, shut: () => void) {
  const { garden } = useBooks();
  const reader = useReader();
  const [id] = useState(() => changing?.id ?? crypto.randomUUID());
  const [seenVersion] = useState(changing?.version ?? 0);
  const form = useRecordForm<OwnCropForm>(() => ownCropFormOf(changing, likeCropId, reader));
  const { draft, troubles } = readOwnCrop(form.fields, { reader, id, note: changing?.note ?? '' });
  const make = useMakeCrop(garden.id);
  const change = useChangeCrop();
  const remove = useRemoveCrop();
  const restore = useRestoreCrop();
  const offerUndo = useUndo();
  const done = {
    onSuccess: (kept: CropRecord) => {
      form.forget();
      onKept(kept);
      shut();
    },
  };
  const save = () => {
    if (!draft) return;
    const { id: cropId, ...values } = draft;
    if (!changing) make.mutate(draft, done);
    else change.mutate({ cropId, change: { ...values, version: seenVersion } }, done);
  };
  const takeAway = (crop: CropRecord) =>
    remove.mutate(crop, {
      onSuccess: () => {
        form.forget();
        offerUndo(`${crop.name} is deleted.`, () => restore.mutateAsync(crop.id));
        onGone(crop);
        shut();
      },
    });
  return {
    ...form,
    id,
    takeAway,
    troubles: {
      ...(form.wasTried ? troubles : {}),
      ...sentencesOf(make.error ?? change.error ?? remove.error),
    } as Readonly<Record<string, string>>,
    isSaving: make.isPending || change.isPending,
    onSubmit: form.submitWith(save),
  };
}

/** A crop of one's own: like one of the library but for what is stated here. */
export function OwnCropDialog(props: OwnCropDialogProps) {
  const { changing, onClose } = props;
  const { shut, ...opening } = useOpening(onClose);
  const crop = useOwnCrop(props, shut);
  const deleting = changing && (
    <Button key="delete" danger type="text" onClick={() => crop.takeAway(changing)}>
      Delete the crop
    </Button>
  );
  return (
    <Modal
      {...opening}
      title={changing ? `Change ${changing.name}` : 'A crop of your own'}
      onCancel={shut}
      width={620}
      footer={[
        deleting,
        <Button key="cancel" onClick={shut}>
          Cancel
        </Button>,
        <Button key="save" type="primary" htmlType="submit" form={crop.id} loading={crop.isSaving}>
          Save the crop
        </Button>,
      ]}
    >
      <form
        id={crop.id}
        aria-label="A crop of your own"
        onSubmit={(event) => {
          // The dialog is opened from a form, to which React would hand this on.
          event.stopPropagation();
          crop.onSubmit(event);
        }}
      >
        <Named {...crop} ownId={changing?.id} />
        <Figures {...crop} like={findLibraryCrop(crop.fields.likeCropId)!} />
        {otherTroubles(crop.troubles, SHOWN).map((sentence) => (
          <p key={sentence} className="field-trouble" role="alert">
            {sentence}
          </p>
        ))}
      </form>
    </Modal>
  );
}

const CROPS = cropsByGroup(CROP_LIBRARY, 'annual');
const SHOWN = [
  'name',
  'likeCropId',
  'nitrogenDemandGPerM2',
  'rootDepthCm',
  'daysInGround',
  'startsAs',
  'warmth',
  'yieldKgPerM2',
];

type PartProps = Pick<ReturnType<typeof useOwnCrop>, 'fields' | 'set' | 'troubles'>;

function Named({ fields, set, troubles, ownId }: PartProps & { readonly ownId: string | undefined }) {
  const sameName = useSameName('crops', fields.name, ownId);
  return (
    <>
      <p className="soft own-crop-lead">
        Choose what it is most like. What you leave empty below stays as with that one.
      </p>
      <div className="band-fields">
        <TextField
          name="Name"
          value={fields.name}
          onChange={(name) => set({ name })}
          trouble={troubles['name']}
          hint={sameName}
          isNumber={false}
          width={230}
          autoFocus
        />
        <Field name="Most like" trouble={troubles['likeCropId']}>
          {(control) => (
            <NameSelect
              control={control}
              value={fields.likeCropId}
              all={CROPS}
              headingOf={groupName}
              onChange={(likeCropId) => set({ likeCropId })}
              width={230}
            />
          )}
        </Field>
      </div>
    </>
  );
}

function Figures({ fields, set, troubles, like }: PartProps & { readonly like: Crop }) {
  const measures = useMeasures();
  const { system } = measures;
  const as = (figure: string) => `${like.name}: ${figure}`;
  return (
    <div className="band-fields">
      <QuantityField
        name="Nitrogen it takes up"
        quantity="massPerArea"
        value={fields.demand}
        onChange={(demand) => set({ demand })}
        trouble={troubles['nitrogenDemandGPerM2']}
        width={150}
        hint={as(measures.rate(like.nitrogenDemandGPerM2))}
      />
      <QuantityField
        name="Roots to"
        quantity="length"
        value={fields.rootDepth}
        onChange={(rootDepth) => set({ rootDepth })}
        trouble={troubles['rootDepthCm']}
        width={150}
        hint={as(measures.thickness(like.rootDepthCm))}
      />
      {!like.isPerennial && (
        <TextField
          name="Days in the ground"
          value={fields.days}
          onChange={(days) => set({ days })}
          trouble={troubles['daysInGround']}
          width={150}
          hint={as(String(like.daysInGround))}
        />
      )}
      <Choice
        name="Starts as"
        value={fields.startsAs}
        onChange={(startsAs) => set({ startsAs })}
        width={150}
        options={[
          { value: '' as const, label: as(STARTED[like.startsAs]) },
          ...STARTS_AS.map((value) => ({ value, label: STARTED[value] })),
        ]}
      />
      <Choice
        name="Warmth"
        value={fields.warmth}
        onChange={(warmth) => set({ warmth })}
        width={150}
        options={[
          { value: '' as const, label: as(WARMTH_WORDS[like.warmth]) },
          ...WARMTHS.map((value) => ({ value, label: WARMTH_WORDS[value] })),
        ]}
      />
      {!like.isCoverCrop && (
        <QuantityField
          name={`Harvest from ${AREA_WORDS[system]}`}
          quantity="mass"
          value={fields.harvest}
          onChange={(harvest) => set({ harvest })}
          trouble={troubles['yieldKgPerM2']}
          width={150}
          hint={as(measures.mass(like.yieldKgPerM2 * AREA_SPREAD_ON_M2[system]))}
        />
      )}
    </div>
  );
}
