import type { BedRecord, EntryRecord, GardenBooks, PlantingRecord } from '../../../contract/records.ts';
import type { Measures } from '../../format/measures.ts';
import { BedForm } from '../garden/BedForm.tsx';
import { PlantingBand } from './PlantingBand.tsx';
import { PostingBand } from './PostingBand.tsx';
import type { NamedLayerChoice } from './PostingFields.tsx';
import type { Preview, Refusal } from './use-posting.ts';

/** The form that is open above the bed, if one is. */
export type OpenBand =
  | { readonly band: 'posting'; readonly changing: EntryRecord | null }
  | { readonly band: 'planting'; readonly changing: PlantingRecord | null }
  | { readonly band: 'bed' };

interface BedBandsProps {
  readonly open: OpenBand | null;
  readonly books: GardenBooks;
  readonly bed: BedRecord;
  readonly measures: Measures;
  readonly layers: readonly NamedLayerChoice[];
  readonly refusal: Refusal | null;
  readonly onPreview: (preview: Preview | null) => void;
  readonly onClose: () => void;
}

export function BedBands({ open, books, bed, measures, layers, refusal, onPreview, onClose }: BedBandsProps) {
  switch (open?.band) {
    case 'posting':
      return (
        <PostingBand
          key={open.changing?.id ?? 'new'}
          changing={open.changing}
          {...{ books, bed, measures, layers, refusal, onPreview, onClose }}
        />
      );
    case 'planting':
      return (
        <PlantingBand
          key={open.changing?.id ?? 'new'}
          changing={open.changing}
          bedId={bed.id}
          {...{ books, onClose }}
        />
      );
    case 'bed':
      return (
        <BedForm gardenId={books.garden.id} changing={bed} onKept={onClose} {...{ measures, onClose }} />
      );
    case undefined:
      return null;
  }
}
