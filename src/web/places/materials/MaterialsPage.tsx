import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Checkbox, Input, Select } from 'antd';
import { useSearchParams } from 'react-router';
import { Fragment, useMemo, useState } from 'react';
import { type MaterialEffect, type MaterialKind, effectOf } from '../../../core/ground/index.ts';
import { formatPercent, plainFigure } from '../../../words/figures.ts';
import { EFFECT_WORDS, KIND_WORDS } from '../../../words/stock-words.ts';
import {
  filterMaterials,
  materialRows,
  type MaterialFilter,
  type MaterialRow,
  type Sorting,
} from './material-rows.ts';
import { Comparison } from './Comparison.tsx';
import { ratioOf, share } from './material-facts.ts';
import { MaterialDetail } from './MaterialDetail.tsx';
import '../../ui/stock/stock.css';
import './materials.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

const MOST_COMPARED = 4;
const EVERYTHING: MaterialFilter = { looked: '', kind: null, effect: null, sorting: null };

/** Everything that can be laid: its analysis, where that is from, and what a laboratory said of it. */
export function MaterialsPage() {
  const books = useBooks();
  const [filter, setFilter] = useState(EVERYTHING);
  const [query, setQuery] = useSearchParams();
  const openId = query.get('show');
  const setOpenId = (id: string | null) => setQuery(id === null ? {} : { show: id }, { replace: true });
  const [compared, setCompared] = useState<readonly string[]>([]);
  const rows = useMemo(() => materialRows(books), [books]);
  const shown = filterMaterials(rows, filter);
  const open = rows.find(({ id }) => id === openId);
  const together = compared.flatMap((id) => rows.filter((row) => row.id === id));
  const compare = (id: string, isWanted: boolean) =>
    setCompared((before) =>
      isWanted ? [...before, id].slice(-MOST_COMPARED) : before.filter((one) => one !== id),
    );
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>Materials</PageHeading>
          <p className="soft">
            {shown.length === rows.length ? rows.length : `${shown.length} of ${rows.length}`} materials,{' '}
            {books.materials.length} of them your own. Tick up to four to compare them.
          </p>
        </div>
        <div className="actions">
          <Input
            aria-label="Search"
            placeholder="search: any of its names"
            allowClear
            value={filter.looked}
            onChange={(event) => setFilter({ ...filter, looked: event.target.value })}
            style={{ width: 220 }}
          />
          <Select
            aria-label="Kind"
            value={filter.kind}
            onChange={(kind: MaterialKind | null) => setFilter({ ...filter, kind })}
            options={KIND_OPTIONS}
            style={{ width: 170 }}
          />
          <Select
            aria-label="What it does"
            value={filter.effect}
            onChange={(effect: MaterialEffect | null) => setFilter({ ...filter, effect })}
            options={EFFECT_OPTIONS}
            style={{ width: 170 }}
          />
        </div>
      </header>
      {together.length > 1 && <Comparison rows={together} onClose={() => setCompared([])} />}
      {open && !shown.includes(open) && (
        <MaterialDetail key={open.id} row={open} onClose={() => setOpenId(null)} onMade={setOpenId} />
      )}
      {shown.length === 0 ? (
        <p className="soft">
          Nothing is called that. Chips can be described when they are received in the stock; anything else is
          like one of these, with figures of its own: open the nearest and add a laboratory report.
        </p>
      ) : (
        <table className="ledger material-rows">
          <thead>
            <tr>
              <SortHead name="material" sorting="name" {...{ filter, setFilter }} />
              <th>kind</th>
              <th>in the first season</th>
              <SortHead name="C:N" sorting="carbonToNitrogen" {...{ filter, setFilter }} />
              <th>usual range</th>
              <SortHead name="N, % of dry" sorting="nitrogen" {...{ filter, setFilter }} />
              <th>readily available N</th>
              <th>moisture</th>
              <th>bulk density</th>
              <th>P</th>
              <th>K</th>
              <th>compare</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <Fragment key={row.id}>
                <MaterialLine
                  row={row}
                  isOpen={row.id === openId}
                  isCompared={compared.includes(row.id)}
                  onOpen={() => setOpenId(row.id === openId ? null : row.id)}
                  onCompare={(isWanted) => compare(row.id, isWanted)}
                />
                {row.id === openId && (
                  <tr>
                    <td colSpan={COLUMNS} className="words">
                      <MaterialDetail row={row} onClose={() => setOpenId(null)} onMade={setOpenId} />
                    </td>
                  </tr>
                )}
              </Fragment>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}

const COLUMNS = 12;

interface SortHeadProps {
  readonly name: string;
  readonly sorting: Sorting;
  readonly filter: MaterialFilter;
  readonly setFilter: (filter: MaterialFilter) => void;
}

/** A heading that sorts by its column, and no longer when it is pressed again. */
function SortHead({ name, sorting, filter, setFilter }: SortHeadProps) {
  const isSorted = filter.sorting === sorting;
  return (
    <th aria-sort={isSorted ? (sorting === 'nitrogen' ? 'descending' : 'ascending') : 'none'}>
      <button
        type="button"
        className="sort-head"
        onClick={() => setFilter({ ...filter, sorting: isSorted ? null : sorting })}
      >
        {name} {isSorted ? '▾' : '▹'}
      </button>
    </th>
  );
}

interface LineProps {
  readonly row: MaterialRow;
  readonly isOpen: boolean;
  readonly isCompared: boolean;
  readonly onOpen: () => void;
  readonly onCompare: (isWanted: boolean) => void;
}

function MaterialLine({ row, isOpen, isCompared, onOpen, onCompare }: LineProps) {
  const measures = useMeasures();
  const { material, library } = row;
  const range = library?.carbonToNitrogenRange;
  return (
    <tr>
      <td>
        <button type="button" className="link-like" aria-expanded={isOpen} onClick={onOpen}>
          {row.name}
        </button>
        {library === null && <span className="soft"> · your own</span>}
        {row.isReported && <span className="status-good"> ● lab</span>}
      </td>
      <td className="words">{KIND_WORDS[material.kind]}</td>
      <td className="words">{EFFECT_WORDS[effectOf(material)]}</td>
      <td>{ratioOf(material)}</td>
      <td>{range ? `${plainFigure(range[0])} to ${plainFigure(range[1])}` : '—'}</td>
      <td>{share(material.nitrogenFractionDryBasis)}</td>
      <td>{material.ammoniumShareOfNitrogen > 0 ? formatPercent(material.ammoniumShareOfNitrogen) : '—'}</td>
      <td>{formatPercent(material.moistureFractionWetBasis)}</td>
      <td>{measures.density(material.bulkDensityKgPerM3)}</td>
      <td>{share(row.phosphorusFraction)}</td>
      <td>{share(row.potassiumFraction)}</td>
      <td>
        <Checkbox
          aria-label={`Compare ${row.name}`}
          checked={isCompared}
          onChange={(event) => onCompare(event.target.checked)}
        />
      </td>
    </tr>
  );
}

const ALL_KINDS = { value: null, label: 'all kinds' };
const KIND_OPTIONS = [ALL_KINDS, ...wordOptions(KIND_WORDS)];
const EFFECT_OPTIONS = [{ value: null, label: 'whatever it does' }, ...wordOptions(EFFECT_WORDS)];

function wordOptions<Code extends string>(words: Readonly<Record<Code, string>>) {
  return (Object.entries(words) as [Code, string][]).map(([value, label]) => ({ value, label }));
}
