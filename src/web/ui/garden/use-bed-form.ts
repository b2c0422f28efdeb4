import { useState } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import { useChangeBed, useMakeBeds } from '../../api/gardens.ts';
import { sentencesOf } from '../../api/failures.ts';
import { useReader } from '../forms/QuantityField.tsx';
import { quantityTroubles, troublesOf } from '../forms/troubles.ts';
import { useRecordForm } from '../forms/use-record-form.ts';
import {
  MOST_ALIKE,
  fieldsOf,
  figuresOf,
  namesAlike,
  newBed,
  readFields,
  type BedFields,
} from './bed-form.ts';

export interface BedFormProps {
  readonly gardenId: string;
  /** The bed to change; null for a new one. */
  readonly changing: BedRecord | null;
  readonly onClose: () => void;
  readonly onKept: (bedId: string) => void;
}

/** What is wrong with the first of several beds, by the fields of the form. */
const ofFirst = (sentences: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(sentences).map(([field, sentence]) => [field.replace(/^beds\.\d+\./, ''), sentence]),
  );

/** The life of a bed being written: typed, measured, kept; several alike at once. */
export function useBedForm({ gardenId, changing, onKept }: BedFormProps) {
  const reader = useReader();
  const [id] = useState(() => changing?.id ?? crypto.randomUUID());
  // The books may take in what another window writes; what was typed is about the bed as it was.
  const [seenVersion] = useState(changing?.version ?? 0);
  const form = useRecordForm<BedFields>(() => (changing ? fieldsOf(changing, reader) : newBed(reader)));
  const { fields, wasTried } = form;
  const makeBeds = useMakeBeds(gardenId);
  const changeBed = useChangeBed();
  const figures = figuresOf(fields, reader);
  const parsed = readFields({ fields, id, figures, changing });
  const names = namesAlike(fields);
  const troubles: Readonly<Record<string, string>> = {
    ...troublesOf(parsed, changeBed.error),
    ...ofFirst(sentencesOf(makeBeds.error)),
    ...quantityTroubles({
      rootZoneCm: figures.rootZoneCm,
      ...(figures.areaM2 ? { areaM2: figures.areaM2 } : {}),
    }),
    ...(names === null ? { alike: `From 1 to ${MOST_ALIKE} beds can be made at once.` } : {}),
  };
  const onSuccess = () => {
    form.forget();
    onKept(id);
  };
  const save = () => {
    if (!parsed.success || names === null) return;
    const { id: _, ...values } = parsed.data;
    if (changing) {
      changeBed.mutate({ bedId: id, change: { ...values, version: seenVersion } }, { onSuccess });
    } else {
      const beds = names.map((name, i) => ({ ...values, name, id: i === 0 ? id : `${id}-${i + 1}` }));
      makeBeds.mutate(beds, { onSuccess });
    }
  };
  return {
    ...form,
    figures,
    reader,
    id,
    isNew: changing === null,
    trouble: (field: string) => (wasTried ? troubles[field] : undefined),
    isSaving: makeBeds.isPending || changeBed.isPending,
    onSubmit: form.submitWith(save),
    text: (field: 'name' | 'part' | 'organicMatter' | 'ph' | 'alike', width: number) => ({
      value: fields[field],
      onChange: (event: { target: { value: string } }) => form.set({ [field]: event.target.value }),
      style: { width },
    }),
    /** Another soil has the density of its clay. */
    setClay: (clay: string) => form.set({ clay, bulkDensityGPerCm3: null }),
  };
}

export type WritingBed = ReturnType<typeof useBedForm>;
