import { Select } from 'antd';
import { useNavigate } from 'react-router';
import { BED_KINDS } from '../../records/vocabulary.ts';
import { BED_KIND_WORDS } from '../../words/words.ts';
import type { BedRecord } from '../../records/bed.ts';
import { gardenParts, REST_OF_GARDEN } from '../ui/garden/parts.ts';

export interface BedListProps {
  readonly gardenId: string;
  readonly beds: readonly BedRecord[];
}

/** All beds by the part of the garden they lie in, or by their kind where no part is named. */
function groupsOf(beds: readonly BedRecord[]): { label: string; beds: readonly BedRecord[] }[] {
  if (beds.some(({ part }) => part !== '')) {
    return gardenParts(beds, ({ part }) => part).map((one) => ({
      label: one.name || REST_OF_GARDEN,
      beds: one.beds,
    }));
  }
  return BED_KINDS.map((kind) => ({
    label: BED_KIND_WORDS[kind],
    beds: beds.filter((bed) => bed.kind === kind),
  })).filter((group) => group.beds.length > 0);
}

/** The way to any of many beds; typing narrows them. */
export function BedList({ gardenId, beds }: BedListProps) {
  const navigate = useNavigate();
  const groups = groupsOf(beds).map(({ label, beds: own }) => ({
    label,
    options: own.map(({ id, name }) => ({ value: id, label: name })),
  }));
  return (
    <Select<string | null>
      aria-label="Go to a bed"
      value={null}
      placeholder={`${beds.length} beds`}
      showSearch={{ optionFilterProp: 'label' }}
      onChange={(bedId) => void navigate(`/garden/${gardenId}/bed/${bedId!}`)}
      options={groups}
      popupMatchSelectWidth={240}
      listHeight={420}
    />
  );
}
