import { Input, Modal } from 'antd';
import { useId, useMemo, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { searchablesOf, searcherOf, type Searchable, type SearchKind } from './search-index.ts';
import './search.css';

const KIND_WORDS: Readonly<Record<SearchKind, string>> = {
  bed: 'bed',
  pile: 'pile',
  material: 'material',
  log: 'note',
  place: 'page',
};

interface SearchDialogProps {
  readonly books: GardenBooks;
  readonly onClose: () => void;
}

/** One box that finds beds, piles, materials, notes and pages, by their names and by what people call them. */
export function SearchDialog({ books, onClose }: SearchDialogProps) {
  const navigate = useNavigate();
  const listId = useId();
  const search = useMemo(() => searcherOf(searchablesOf(books)), [books]);
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(0);
  const found = useMemo(() => search(text), [search, text]);
  const open = (one: Searchable) => {
    onClose();
    void navigate(one.to);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step !== 0 && found.length > 0) {
      event.preventDefault();
      setChosen((chosen + step + found.length) % found.length);
    }
    const one = found[chosen];
    if (event.key === 'Enter' && one) open(one);
  };
  const optionId = (i: number) => `${listId}-${i}`;
  return (
    <Modal open title="Search" footer={null} onCancel={onClose} width={560} destroyOnHidden>
      <Input
        autoFocus
        size="large"
        role="combobox"
        aria-label="Search this garden"
        aria-expanded={found.length > 0}
        aria-controls={listId}
        {...(found.length > 0 ? { 'aria-activedescendant': optionId(chosen) } : {})}
        placeholder="a bed, a pile, a material, a note, a page"
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          setChosen(0);
        }}
        onKeyDown={onKeyDown}
      />
      <ul id={listId} className="search-found" role="listbox" aria-label="Found">
        {found.map((one, i) => (
          <li
            key={one.id}
            id={optionId(i)}
            role="option"
            aria-selected={i === chosen}
            className={i === chosen ? 'is-chosen' : undefined}
            onClick={() => open(one)}
            onMouseEnter={() => setChosen(i)}
          >
            <span className="search-title">{one.title}</span>
            <span className="soft">
              {KIND_WORDS[one.kind]}
              {one.detail !== '' && ` · ${one.detail}`}
            </span>
          </li>
        ))}
      </ul>
      {text.trim() !== '' && found.length === 0 && (
        <p className="soft" role="status">
          Nothing is called so. Try a shorter word, or another name for it.
        </p>
      )}
    </Modal>
  );
}
