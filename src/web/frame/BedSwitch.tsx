import { Select } from 'antd';
import { NavLink, useMatch, useNavigate } from 'react-router';
import type { BedRecord } from '../../records/bed.ts';
import { BED_KINDS } from '../../records/vocabulary.ts';
import { BED_KIND_WORDS } from '../../words/words.ts';

/** More beds than these are chosen from a list instead of standing in the margin. */
const MOST_TABS = 10;

interface BedSwitchProps {
  readonly gardenId: string;
  readonly beds: readonly BedRecord[];
}

/** The way from bed to bed: a tab each, or one list to search when there are many. */
export function BedSwitch({ gardenId, beds }: BedSwitchProps) {
  const open = useMatch('/garden/:gardenId/bed/:bedId')?.params.bedId;
  const shown = beds.length <= MOST_TABS ? beds : beds.filter(({ id }) => id === open);
  return (
    <>
      {beds.length > MOST_TABS && (
        <li className="bed-list">
          <BedList gardenId={gardenId} beds={beds} />
        </li>
      )}
      {shown.map((bed) => (
        <li key={bed.id} className="bed-tab own-bed">
          <NavLink to={`/garden/${gardenId}/bed/${bed.id}`}>{bed.name}</NavLink>
        </li>
      ))}
    </>
  );
}

/** All beds by their kind; typing narrows them. */
function BedList({ gardenId, beds }: BedSwitchProps) {
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
