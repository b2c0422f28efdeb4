import { BUCKET_OF } from '../../../words/measures.ts';
import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Checkbox, Input, Select } from 'antd';
import { useSearchParams } from 'react-router';
import { Fragment, useMemo, useState } from 'react';
import { layingCautions } from '../../../core/bed/index.ts';
import { bucketHolds } from '../../../core/yard/index.ts';
import {
  type Material,
  type MaterialEffect,
  type MaterialKind,
  carbonToNitrogenRatio,
  effectOf,
} from '../../../core/ground/index.ts';
import { formatPercent, plainFigure } from '../../../words/figures.ts';
import { type Measures } from '../../../words/measures.ts';
import { EFFECT_WORDS, KIND_WORDS, ratioFigure } from '../../../words/stock-words.ts';
import { cautionInWords } from '../../../words/words.ts';
import { LabReports } from './LabReports.tsx';
import {
  filterMaterials,
  materialRows,
  type MaterialFilter,
  type MaterialRow,
  type Sorting,
} from './material-rows.ts';
import { MakeOwn } from './MakeOwn.tsx';
import { OwnMaterial } from './OwnMaterial.tsx';
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
        <Detail key={open.id} row={open} onClose={() => setOpenId(null)} onMade={setOpenId} />
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
                      <Detail row={row} onClose={() => setOpenId(null)} onMade={setOpenId} />
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

const ratioOf = (material: Material): string =>
  material.nitrogenFractionDryBasis === 0 ? 'no N' : ratioFigure(carbonToNitrogenRatio(material));

const share = (fraction: number): string => (fraction === 0 ? '—' : plainFigure(fraction * 100, 2));

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

const POOLS = [
  ['quick', 'quick: sugars, soft leaf'],
  ['structural', 'structural: cellulose'],
  ['woody', 'woody: lignin'],
  ['microbial', 'microbes'],
  ['humus', 'humus'],
  ['char', 'char'],
] as const;

type Fact = readonly [name: string, of: (row: MaterialRow) => string];

const factsFor = (measures: Measures): Fact[] => [
  ['kind', ({ material }) => KIND_WORDS[material.kind]],
  ['in the first season', ({ material }) => EFFECT_WORDS[effectOf(material)]],
  ['C:N', ({ material }) => ratioOf(material)],
  ['carbon, % of dry', ({ material }) => share(material.carbonFractionDryBasis)],
  ['nitrogen, % of dry', ({ material }) => share(material.nitrogenFractionDryBasis)],
  ['of it ready (ammonium, urea)', ({ material }) => formatPercent(material.ammoniumShareOfNitrogen)],
  ['phosphorus, % of dry', ({ phosphorusFraction }) => share(phosphorusFraction)],
  ['potassium, % of dry', ({ potassiumFraction }) => share(potassiumFraction)],
  ['water', ({ material }) => formatPercent(material.moistureFractionWetBasis)],
  [
    'usual water',
    ({ library }) =>
      library
        ? `${formatPercent(library.moistureRange[0])} to ${formatPercent(library.moistureRange[1])}`
        : '—',
  ],
  ['bulk density', ({ material }) => measures.density(material.bulkDensityKgPerM3)],
  ['pieces', ({ material }) => material.particleSize],
  ...POOLS.map(([pool, words]): Fact => [
    words,
    ({ material }) => (material.carbonFractionDryBasis > 0 ? formatPercent(material.pools[pool]) : '—'),
  ]),
  [
    `nitrogen in ${BUCKET_OF[measures.system].words}`,
    ({ material }) => measures.nitrogen(bucketHolds(material, BUCKET_OF[measures.system].litres).nitrogenG),
  ],
];

interface ComparisonProps {
  readonly rows: readonly MaterialRow[];
  readonly onClose: () => void;
}

const ALL_KINDS = { value: null, label: 'all kinds' };
const KIND_OPTIONS = [ALL_KINDS, ...wordOptions(KIND_WORDS)];
const EFFECT_OPTIONS = [{ value: null, label: 'whatever it does' }, ...wordOptions(EFFECT_WORDS)];

function wordOptions<Code extends string>(words: Readonly<Record<Code, string>>) {
  return (Object.entries(words) as [Code, string][]).map(([value, label]) => ({ value, label }));
}

/** What the carbon of each is made of, as bars of one length. */
function PoolBars({ rows }: { rows: readonly MaterialRow[] }) {
  return (
    <div className="pool-bars">
      {rows.map(({ id, name, material: { pools, carbonFractionDryBasis } }) => (
        <div key={id} className="pool-bar-row">
          <span>{name}</span>
          <span
            className="pool-bar"
            role="img"
            aria-label={`Carbon of ${name}: ${POOLS.map(([pool, words]) => `${words} ${formatPercent(pools[pool])}`).join(', ')}`}
          >
            {carbonFractionDryBasis > 0 &&
              POOLS.map(([pool]) => (
                <span key={pool} className={`pool pool-${pool}`} style={{ width: `${pools[pool] * 100}%` }} />
              ))}
          </span>
        </div>
      ))}
      <p className="soft">
        {POOLS.map(([pool, words]) => (
          <span key={pool} className="pool-key">
            <span className={`pool-swatch pool-${pool}`} /> {words}
          </span>
        ))}
      </p>
    </div>
  );
}

/** Up to four beside each other. */
function Comparison({ rows, onClose }: ComparisonProps) {
  const measures = useMeasures();
  return (
    <section className="band" aria-label="Compared">
      <PoolBars rows={rows} />
      <table className="ledger comparison">
        <thead>
          <tr>
            <th />
            {rows.map(({ id, name }) => (
              <th key={id}>{name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {factsFor(measures).map(([name, of]) => {
            const values = rows.map(of);
            return (
              <tr key={name} className={new Set(values).size > 1 ? undefined : 'soft'}>
                <td>{name}</td>
                {rows.map((row, i) => (
                  <td key={row.id}>{values[i]}</td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="band-foot">
        <Button onClick={onClose}>Close</Button>
      </div>
    </section>
  );
}

interface DetailProps {
  readonly row: MaterialRow;
  readonly onClose: () => void;
  readonly onMade: (id: string) => void;
}

function Detail({ row, onClose, onMade }: DetailProps) {
  const books = useBooks();
  const measures = useMeasures();
  const cautions = layingCautions(
    { material: row.material, date: books.today, dugDepthCm: 1, thicknessCm: 0 },
    { kind: 'annual', clayPct: 0 },
  );
  const own = books.materials.find(({ id }) => id === row.id);
  return (
    <section className="band" aria-label={row.name}>
      <div className="section-head material-head">
        <h2>{row.name}</h2>
        <Button onClick={onClose}>Close</Button>
      </div>
      <dl className="figures-row">
        {factsFor(measures).map(([name, of]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{of(row)}</dd>
          </div>
        ))}
      </dl>
      {row.library && <p className="soft">Source: {row.library.source}.</p>}
      {own && own.note !== '' && <p>{own.note}</p>}
      {cautions.length > 0 && (
        <ul className="caution-list">
          {cautions.map((caution) => (
            <li key={caution.code}>{cautionInWords(caution, measures)}</li>
          ))}
        </ul>
      )}
      {own && <OwnMaterial key={`${own.id} ${own.version}`} material={own} onGone={onClose} />}
      {row.library && <MakeOwn gardenId={books.garden.id} like={row.library} onMade={onMade} />}
      <LabReports materialId={row.id} />
    </section>
  );
}
