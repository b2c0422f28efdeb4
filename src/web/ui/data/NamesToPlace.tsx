import { Select } from 'antd';
import { counted } from '../../../words/counted.ts';
import { namedList, placeKey, type NameKind } from '../../../contract/tables/table-rows.ts';
import { useBooks } from '../../app/garden-context.ts';
import { openNames, withMapping, type OpenName, type Sheet } from './import-form.ts';

const KIND_WORDS: Readonly<Record<NameKind, string>> = {
  bed: 'bed',
  lot: 'pile',
  material: 'material',
  crop: 'crop',
};

/** Words of the file that name nothing of ours: each is placed once, for all its rows and for the next file. */
export function NamesToPlace({ sheet, onChange }: { sheet: Sheet; onChange: (sheet: Sheet) => void }) {
  const books = useBooks();
  const open = openNames(sheet, books);
  if (open.length === 0) return null;
  const place = ({ kind, text }: OpenName, id: string) =>
    onChange(withMapping(sheet, { values: { ...sheet.mapping.values, [placeKey(kind, text)]: id } }));
  const optionsOf = ({ kind, nearest }: OpenName) => {
    const list = namedList(kind, books);
    const near = nearest.flatMap((id) => list.find((one) => one.id === id) ?? []);
    const others = list
      .filter(({ id }) => !nearest.includes(id))
      .toSorted((a, b) => a.name.localeCompare(b.name));
    return [...near, ...others].map(({ id, name, synonyms = [] }) => ({
      value: id,
      label: name,
      words: [name, ...synonyms].join(' ').toLowerCase(),
    }));
  };
  return (
    <fieldset className="import-names">
      <legend>What is meant by</legend>
      {open.map((one) => {
        const placed = sheet.mapping.values[placeKey(one.kind, one.text)];
        return (
          <div key={`${one.kind} ${one.text}`} className="import-name">
            <span>
              “{one.text}” <span className="soft">({counted(one.rows, 'row')})</span>
            </span>
            <Select
              aria-label={`What “${one.text}” is`}
              showSearch={{
                filterOption: (typed, option) => option?.words.includes(typed.toLowerCase()) ?? false,
              }}
              value={placed ?? null}
              placeholder={`which ${KIND_WORDS[one.kind]}?`}
              onChange={(id: string) => place(one, id)}
              popupMatchSelectWidth={false}
              style={{ width: 260 }}
              options={optionsOf(one)}
            />
          </div>
        );
      })}
    </fieldset>
  );
}
