import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { Button, Checkbox, Progress, Segmented, Select } from 'antd';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { MOST_YEARS } from '../../../records/vocabulary.ts';
import { YEAR_MEASURES } from '../../../core/long-run/index.ts';
import { ESTIMATE } from '../../../words/words.ts';
import { YEAR_MEASURE_GROUPS, YEAR_MEASURE_WORDS } from '../../../words/years-words.ts';
import { useUnsaved } from '../../app/unsaved.ts';
import { TextField } from '../../ui/forms/inputs.tsx';
import { numberFromText } from '../../ui/forms/parse-number.ts';
import { useReader } from '../../ui/forms/QuantityField.tsx';
import type { Reader } from '../../ui/forms/typed-quantity.ts';
import { AdoptBand } from './AdoptBand.tsx';
import { HabitList } from './HabitList.tsx';
import { keptLineId, lineOf, shownIds, type Drafts } from './lines.ts';
import { Opinions } from './Opinions.tsx';
import { firstTarget, readTarget, TargetBand, type TargetForm } from './TargetBand.tsx';
import { usePlan } from './use-plan.ts';
import { useYears } from './use-years.ts';
import { viewOf, type YearsView } from './view.ts';
import { WorthBand } from './WorthBand.tsx';
import { YearAnswers } from './YearAnswers.tsx';
import { YearsCharts } from './YearsCharts.tsx';
import { YearsTable } from './YearsTable.tsx';
import { seriesCsv } from './series-csv.ts';
import { saveFile } from '../../drawing/save-file.ts';
import '../../theme/figures-table.css';
import './years.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

export const WHOLE_GARDEN = 'garden';
const MOST_BEDS = 2;
const FIRST_YEARS = 10;

/** What beds come to over the years under one habit or another. */
export function YearsPage() {
  const books = useBooks();
  if (books.beds.length === 0) {
    return (
      <div className="page">
        <PageHeading>Years</PageHeading>
        <div className="empty">
          <h2>No bed yet</h2>
          <p>
            Here you see what a bed’s humus, char and nitrogen come to in one to thirty years, and what
            another habit would make of it. <Link to={`/garden/${books.garden.id}`}>Make a bed first</Link>.
          </p>
        </div>
      </div>
    );
  }
  return <OpenYears />;
}

/** What is shown, as the address says it. */
function useAddress(books: GardenBooks) {
  const [query, setQuery] = useSearchParams();
  const asked = (query.get('beds') ?? '').split(',');
  const isGarden = asked[0] === WHOLE_GARDEN;
  const chosen = books.beds.filter(({ id }) => asked.includes(id)).slice(0, MOST_BEDS);
  const beds = isGarden ? books.beds : chosen.length > 0 ? chosen : books.beds.slice(0, 1);
  const askedYears = Number(query.get('years') ?? FIRST_YEARS);
  const years = isYears(askedYears) ? askedYears : FIRST_YEARS;
  const measure = YEAR_MEASURES.find((one) => one === query.get('measure')) ?? 'organicMatterPct';
  const set = (change: Record<string, string>) =>
    setQuery({ ...Object.fromEntries(query), ...change }, { replace: true });
  return {
    beds,
    isGarden,
    years,
    measure,
    isStacked: query.get('measure') === 'stack',
    shown: shownIds(query.get('habits')),
    set,
  };
}

function OpenYears() {
  const books = useBooks();
  const { beds, isGarden, years, measure, isStacked, shown, set } = useAddress(books);
  const [drafts, setDrafts] = useState<Drafts>({});
  useUnsaved(Object.keys(drafts).length > 0, 'A habit you changed is not saved yet.');
  const [focused, setFocused] = useState<string | null>(null);
  const [hasOpinions, setHasOpinions] = useState(false);
  const reader = useReader();
  const [targetForm, setTargetForm] = useState(() => firstTarget(reader));

  const lines = shown.flatMap((id) => lineOf(id, books, drafts) ?? []);
  const plan = usePlan({ books, beds, lines, years, isGarden });
  const following = useYears(plan);
  const view = following.followed && viewOf({ followed: following.followed, beds, lines, isGarden, books });
  const focus = Math.max(
    0,
    lines.findIndex(({ id }) => id === focused),
  );
  const show = (ids: readonly string[]) => set({ habits: ids.join(',') });
  return (
    <div className="page years">
      <header className="page-head">
        <div>
          <PageHeading>Years</PageHeading>
          <p className="soft">What becomes of a bed under one habit or another.</p>
        </div>
        <div className="actions">
          <BedChoice
            isGarden={isGarden}
            chosen={beds.map(({ id }) => id)}
            onChoose={(ids) => set({ beds: ids.join(',') })}
          />
          <YearsAhead years={years} onChange={(value) => set({ years: String(value) })} />
        </div>
      </header>
      {view && <YearAnswers view={view} focus={focus} measure={measure} />}
      <div className="years-columns">
        <HabitList
          beds={beds}
          lines={lines}
          shown={shown}
          drafts={drafts}
          focus={focus}
          onShow={show}
          onFocus={setFocused}
          onDraft={(id, draft) => setDrafts((all) => withDraft(all, id, draft))}
          onKept={(lineId, habitId) => {
            setDrafts((all) => withDraft(all, lineId, null));
            show(shown.map((id) => (id === lineId ? keptLineId(habitId) : id)));
            setFocused(keptLineId(habitId));
          }}
        />
        <section aria-label="Over the years">
          <MeasureChoice
            chosen={isStacked ? 'stack' : measure}
            onChoose={(chosen) => set({ measure: chosen })}
          />
          <Waiting
            refusal={following.followed?.refusal ?? null}
            hasView={view !== null}
            years={years}
            count={lines.length}
          />
          {view && (
            <YearsCharts
              view={view}
              measure={measure}
              isStacked={isStacked}
              focus={focus}
              aimPct={aimOf(targetForm, reader)}
              hasOpinions={hasOpinions && measure === 'humusCarbonG' && !isStacked}
            />
          )}
          <div className="years-foot">
            <Checkbox
              checked={hasOpinions}
              onChange={({ target }) => {
                setHasOpinions(target.checked);
                if (target.checked) set({ measure: 'humusCarbonG' });
              }}
            >
              Second opinions
            </Checkbox>
            {view && <Exports view={view} />}
            <Drawing view={view} {...following} />
          </div>
          {hasOpinions && <Opinions />}
        </section>
      </div>
      {view && plan && (
        <>
          <YearsTable view={view} measure={measure} />
          <TargetBand view={view} plan={plan} form={targetForm} setForm={setTargetForm} />
          <WorthBand view={view} />
          <AdoptBand key={`${focus} ${lines[focus]!.name}`} line={lines[focus]!} view={view} />
        </>
      )}
      <p className="soft estimate">{ESTIMATE}</p>
    </div>
  );
}

/** The organic matter that is aimed at, %; null for any other target. */
function aimOf(form: TargetForm, reader: Reader): number | null {
  const read = readTarget(form, 1, reader);
  return 'target' in read && read.target.type === 'organicMatter' ? read.target.pct : null;
}

/** How far is looked; what cannot be is said and not followed. */
function YearsAhead({ years, onChange }: { years: number; onChange: (years: number) => void }) {
  const [typed, setTyped] = useState(String(years));
  const asked = numberFromText(typed);
  const isSound = isYears(asked);
  return (
    <TextField
      name="Years ahead"
      value={typed}
      onChange={(text) => {
        setTyped(text);
        const value = numberFromText(text);
        if (isYears(value)) onChange(value);
      }}
      trouble={isSound ? undefined : `must be whole years from 1 to ${MOST_YEARS}`}
      width={84}
    />
  );
}

const isYears = (value: number): boolean => Number.isInteger(value) && value >= 1 && value <= MOST_YEARS;

const ALL_CARBON = { value: 'stack', label: 'All carbon' };

function MeasureChoice({ chosen, onChoose }: { chosen: string; onChoose: (chosen: string) => void }) {
  return (
    <div className="years-views">
      {YEAR_MEASURE_GROUPS.map(({ name, measures }, i) => (
        <div key={name} className="years-view">
          <span className="field-name">{name}</span>
          <Segmented<string>
            aria-label={`What is shown: ${name}`}
            size="small"
            value={chosen}
            onChange={onChoose}
            options={[
              ...measures.map((one) => ({ value: one as string, label: YEAR_MEASURE_WORDS[one].name })),
              ...(i === 0 ? [ALL_CARBON] : []),
            ]}
          />
        </div>
      ))}
    </div>
  );
}

interface WaitingProps {
  readonly refusal: string | null;
  readonly hasView: boolean;
  readonly years: number;
  readonly count: number;
}

function Waiting({ refusal, hasView, years, count }: WaitingProps) {
  if (count === 0) return <p className="soft">Choose a habit to follow.</p>;
  if (refusal !== null) {
    return (
      <p className="trouble" role="alert">
        {refusal}
      </p>
    );
  }
  return hasView ? null : <p className="soft">Following {years} years …</p>;
}

function withDraft(all: Drafts, id: string, draft: Drafts[string] | null): Drafts {
  const { [id]: _, ...others } = all;
  return draft ? { ...others, [id]: draft } : others;
}

interface BedChoiceProps {
  readonly isGarden: boolean;
  readonly chosen: readonly string[];
  readonly onChoose: (ids: readonly string[]) => void;
}

/** One bed, two beside each other, or all as one. */
function BedChoice({ isGarden, chosen, onChoose }: BedChoiceProps) {
  const books = useBooks();
  const choose = (ids: readonly string[]) => {
    const last = ids.at(-1);
    if (last === undefined) return;
    if (last === WHOLE_GARDEN) onChoose([WHOLE_GARDEN]);
    else onChoose(ids.filter((id) => id !== WHOLE_GARDEN).slice(-MOST_BEDS));
  };
  return (
    <Select
      mode="multiple"
      aria-label="Beds"
      value={isGarden ? [WHOLE_GARDEN] : [...chosen]}
      onChange={choose}
      popupMatchSelectWidth={false}
      style={{ minWidth: 260 }}
      options={[
        { value: WHOLE_GARDEN, label: 'The whole garden' },
        ...books.beds.map(({ id, name }) => ({ value: id, label: name })),
      ]}
    />
  );
}

function Exports({ view }: { view: YearsView }) {
  const { system } = useMeasures();
  const save = () => {
    const series = view.beds.flatMap((bed) =>
      bed.lines.map(({ line, points }) => ({ bed: bed.name, habit: line.name, areaM2: bed.areaM2, points })),
    );
    saveFile(`${view.beds.map(({ name }) => name).join(' and ')} years.csv`, seriesCsv(series, system));
  };
  return (
    <Button size="small" onClick={save}>
      Series as CSV
    </Button>
  );
}

interface DrawingProps {
  readonly view: YearsView | null;
  readonly isStopped: boolean;
  readonly stop: () => void;
  readonly goOn: () => void;
}

/** How far the likely range has been drawn, and the way to stop it. */
function Drawing({ view, isStopped, stop, goOn }: DrawingProps) {
  if (!view || view.done >= view.total) return null;
  return (
    <span className="years-drawing">
      <Progress
        percent={Math.round((100 * view.done) / view.total)}
        size="small"
        showInfo={false}
        aria-label="Drawing the likely range"
        style={{ width: 120 }}
      />
      {isStopped ? (
        <Button size="small" onClick={goOn}>
          Draw on
        </Button>
      ) : (
        <Button size="small" onClick={stop}>
          Stop drawing
        </Button>
      )}
    </span>
  );
}
