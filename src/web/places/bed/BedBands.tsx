import { useBooks } from '../../app/garden-context.ts';
import type { BedRecord } from '../../../records/bed.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import type { PlantingRecord } from '../../../records/planting.ts';
import { BedForm } from '../../ui/garden/BedForm.tsx';
import { BuildUpBand } from './BuildUpBand.tsx';
import type { PostingForm } from './posting-form.ts';
import { PlantingBand } from './PlantingBand.tsx';
import { PostingBand } from './PostingBand.tsx';
import type { NamedLayerChoice } from './PostingFields.tsx';
import type { Preview } from './preview.ts';
import type { Refusal } from './use-posting.ts';

/** The form that is open above the bed, if one is. */
export type OpenBand =
  | { readonly band: 'posting'; readonly changing: EntryRecord | null; readonly start?: Partial<PostingForm> }
  | { readonly band: 'buildUp' }
  | { readonly band: 'planting'; readonly changing: PlantingRecord | null }
  | { readonly band: 'bed' };

interface BedBandsProps {
  readonly open: OpenBand | null;
  readonly bed: BedRecord;
  readonly layers: readonly NamedLayerChoice[];
  readonly refusal: Refusal | null;
  readonly onPreview: (preview: Preview | null) => void;
  /** Lays a build-up on the drawing. */
  readonly onTry: (entries: readonly EntryRecord[]) => void;
  readonly onClose: () => void;
}

export function BedBands(props: BedBandsProps) {
  const books = useBooks();
  const { open, bed, layers, refusal, onPreview, onTry, onClose } = props;
  switch (open?.band) {
    case 'posting':
      return (
        <PostingBand
          key={open.changing?.id ?? 'new'}
          changing={open.changing}
          start={open.start}
          {...{ bed, layers, refusal, onPreview, onClose }}
        />
      );
    case 'planting':
      return (
        <PlantingBand
          key={open.changing?.id ?? 'new'}
          changing={open.changing}
          bedId={bed.id}
          onClose={onClose}
        />
      );
    case 'buildUp':
      return <BuildUpBand {...{ bed, onTry, onClose }} />;
    case 'bed':
      return <BedForm gardenId={books.garden.id} changing={bed} onKept={onClose} {...{ onClose }} />;
    case undefined:
      return null;
  }
}
