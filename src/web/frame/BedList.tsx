import { Select } from 'antd';
import { useNavigate } from 'react-router';
import { BED_KINDS } from '../../records/vocabulary.ts';
import { BED_KIND_WORDS } from '../../words/words.ts';
import type { BedRecord } from '../../records/bed.ts';

export interface BedListProps {
  readonly gardenId: string;
  readonly beds: readonly BedRecord[];
}

/** All beds by their kind; typing narrows them. */
export function BedList({ gardenId, beds }: BedListProps) {
  const navigate = useNavigate();
  const groups = BED_KINDS.map((kind) => ({
    label: BED_KIND_WORDS[kind],
    options: beds.filter((bed) => bed.kind === kind).map(({ id, name }) => ({ value: id, label: name })),
  })).filter(({ options }) => options.length > 0);
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
