import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { SEEN_CHIPS } from '../../ui/materials/seen-chips.ts';
import { useEffect, useMemo, useState } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import type { EntryDraft, EntryRecord } from '../../../records/entry.ts';
import { type Material, massFreshKgFromAmount } from '../../../core/ground/index.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useChangeEntry, useMakeMaterial, useWriteEntry } from '../../api/gardens.ts';
import { resolveMaterial } from '../../ui/materials/material-options.ts';
import { readChips } from '../../ui/materials/chips-form.ts';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import { useRecordForm } from '../../ui/forms/use-record-form.ts';
import { useStock } from '../../ui/stock/use-stock.ts';
import type { Preview } from './preview.ts';
import { chosenLot, emptyForm, formOf, readForm, type PostingForm } from './posting-form.ts';

export interface Refusal {
  readonly field: string;
  readonly sentence: string;
}

/** The draft as a record, weighed; null while its material is unknown. */
function asRecord({
  draft,
  as,
  bed,
  material,
}: {
  readonly draft: EntryDraft;
  readonly as: Pick<EntryRecord, 'id' | 'version'>;
  readonly bed: BedRecord;
  readonly material: Material | undefined;
}): EntryRecord | null {
  const { id, version } = as;
  const stamp = { id, version, createdAt: '', updatedAt: '', bedId: bed.id };
  if (draft.type !== 'lay') return { ...draft, ...stamp };
  if (!material) return null;
  const measured = { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: bed.areaM2 };
  return {
    ...draft,
    ...stamp,
    massFreshKg: massFreshKgFromAmount({ amount: draft.amount, unit: draft.unit, measured }),
  };
}

interface Posting {
  readonly bed: BedRecord;
  readonly changing: EntryRecord | null;
  readonly start?: Partial<PostingForm> | undefined;
  readonly refusal: Refusal | null;
  readonly onPreview: (preview: Preview | null) => void;
  readonly onClose: () => void;
}

/** The life of an entry being written: typed, shown on the page, kept. */
export function usePosting(posting: Posting) {
  const books = useBooks();
  const measures = useMeasures();
  const { bed, changing, start, refusal, onPreview, onClose } = posting;
  const reader = useReader();
  const {
    fields: form,
    set,
    wasTried,
    submitWith,
  } = useRecordForm<PostingForm>(() => {
    const blank = emptyForm(books.today, measures.units[0]!, reader);
    return changing ? formOf(changing, blank, reader) : { ...blank, ...start };
  });
  const [newId] = useState(() => crypto.randomUUID());
  const writeEntry = useWriteEntry(bed.id);
  const changeEntry = useChangeEntry();
  const makeMaterial = useMakeMaterial(books.garden.id);

  const read = useMemo(() => readForm(form, reader), [form, reader]);
  const chips = useMemo(
    () => (form.materialId === SEEN_CHIPS && read.ok ? readChips(form.chips, reader).draft : null),
    [form, read, reader],
  );
  const { lots } = useStock(books);
  const stocked = useMemo(() => lots.flatMap(({ brief }) => brief ?? []), [lots]);
  const lotId = chosenLot(form.materialId);
  const material = useMemo(
    () =>
      lotId === null
        ? resolveMaterial(form.materialId, books, chips)
        : (stocked.find((one) => one.lotId === lotId)?.material ?? undefined),
    [form.materialId, lotId, stocked, books, chips],
  );
  const preview = useMemo<Preview | null>(() => {
    const as = changing ?? { id: newId, version: 0 };
    const entry = read.ok ? asRecord({ draft: read.draft, as, bed, material }) : null;
    return entry && { entry, material: chips };
  }, [read, changing, newId, bed, material, chips]);
  useEffect(() => onPreview(preview), [preview, onPreview]);
  useEffect(() => () => onPreview(null), [onPreview]);

  const typed = [form.amount, form.nitrogen.text, form.water.text, form.test.amount];
  const isUntouched = typed.every((text) => text === '') && !wasTried;
  const failure = writeEntry.error ?? changeEntry.error ?? makeMaterial.error;
  const troubles: Record<string, string> = isUntouched
    ? {}
    : {
        ...(read.ok ? {} : read.troubles),
        ...(refusal ? { [refusal.field]: refusal.sentence } : {}),
        ...sentencesOf(failure),
      };

  const keep = async (draft: EntryDraft): Promise<void> => {
    if (chips && draft.type === 'lay') await makeMaterial.mutateAsync(chips);
    if (!changing) {
      await writeEntry.mutateAsync({ ...draft, id: newId });
      return;
    }
    const { id, ...values } = draft;
    await changeEntry.mutateAsync({ entryId: changing.id, change: { ...values, version: changing.version } });
  };
  const save = async (): Promise<void> => {
    if (!read.ok || refusal) return;
    try {
      await keep(read.draft);
      onClose();
    } catch {
      // The mutation holds the failure; the form shows it among its troubles.
    }
  };

  return {
    form,
    set,
    material,
    stocked,
    preview,
    troubles,
    isSaving: writeEntry.isPending || changeEntry.isPending || makeMaterial.isPending,
    onSubmit: submitWith(() => void save()),
  };
}
