import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button, Dropdown } from 'antd';
import { memo, useCallback, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { BedRecord } from '../../../records/bed.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { PlantingRecord } from '../../../records/planting.ts';
import type { DayNumber } from '../../../core/ground/index.ts';
import { type BedSample, atEndOf } from '../../../core/bed/index.ts';
import { useRemoveBed, useRestoreBed } from '../../api/gardens.ts';
import type { NamedLayer } from '../../drawing/section-frame.ts';
import { dayOf } from '../../../words/dates.ts';
import { formatFixed } from '../../../words/figures.ts';
import { sizeWords } from '../../../words/pot-words.ts';
import { BED_KIND_WORDS, ESTIMATE } from '../../../words/words.ts';
import '../../ui/garden/garden.css';
import { FirstSteps } from '../../ui/guide/FirstSteps.tsx';
import { useUnsaved } from '../../app/unsaved.ts';
import { useUndo } from '../../app/use-undo.tsx';
import './bed.css';
import { BedBands, type OpenBand } from './BedBands.tsx';
import { BedBody } from './BedBody.tsx';
import { bedNames, growingWords, namedLayers } from '../../ui/garden/naming.ts';
import { Outlook } from './Outlook.tsx';
import { Postings } from './Postings.tsx';
import { withPreview, type Preview } from './preview.ts';
import { SaveBuildUp } from './SaveBuildUp.tsx';
import { SchoolsDrawer } from './SchoolsDrawer.tsx';
import { SheetBar } from './SheetBar.tsx';
import { useBedAnswers } from './use-bed-answers.ts';
import { useLayerActions } from './use-layer-actions.ts';
import { observationsOf } from '../../ui/log/observations-of.ts';
import { useLikelyRange } from '../../ui/planning/use-likely-range.ts';

import { useSheet } from './use-sheet.ts';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

/** The heart: the bed cut open, its nitrogen through the year, its answers and its books. */
export function BedPage() {
  const { bedId = '' } = useParams();
  const books = useBooks();
  const bed = books.beds.find(({ id }) => id === bedId);
  if (!bed) return <NoSuchBed gardenId={books.garden.id} />;
  return <OpenBed key={bed.id} bed={bed} />;
}

function NoSuchBed({ gardenId }: { gardenId: string }) {
  return (
    <div className="page empty">
      <PageHeading>There is no such bed</PageHeading>
      <p>It may have been removed.</p>
      <Link to={`/garden/${gardenId}`}>Back to the garden</Link>
    </div>
  );
}

/** Saved layers that lie on top: those one can dig in or take off. */
const ownLayersOnTop = (now: BedSample, entries: readonly EntryRecord[], names: GardenBooks): NamedLayer[] =>
  namedLayers({ sample: now, entries, names }).filter(
    ({ id, isOnTop }) => isOnTop && entries.some((entry) => entry.id === id),
  );

type Opened = 'schools' | 'saveBuildUp' | null;

function OpenBed({ bed }: { bed: BedRecord }) {
  const books = useBooks();
  const today = dayOf(books.today);
  const [open, setOpen] = useState<OpenBand | null>(null);
  const [opened, setOpened] = useState<Opened>(null);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [day, setDay] = useState<DayNumber>(today);
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const showPreview = useCallback(
    (next: Preview | null) => {
      setPreview(next);
      if (next) setDay(dayOf(next.entry.date));
    },
    [setPreview, setDay],
  );
  const openAtTop = useCallback((band: OpenBand) => {
    setOpen(band);
    window.scrollTo({ top: 0 });
  }, []);
  const showTrouble = useCallback(
    (failure: unknown) => setTrouble(failure instanceof Error ? failure.message : 'That did not work.'),
    [],
  );

  const entries = useMemo(() => books.entries.filter(({ bedId }) => bedId === bed.id), [books, bed.id]);
  const plantings = useMemo(() => books.plantings.filter(({ bedId }) => bedId === bed.id), [books, bed.id]);
  const sheet = useSheet(bed.id, entries);
  const records = useMemo(() => {
    const others = books.entries.filter(({ bedId }) => bedId !== bed.id);
    return withPreview({ ...books, entries: [...others, ...sheet.entries] }, preview);
  }, [books, bed.id, sheet.entries, preview]);
  const answers = useBedAnswers(records, bed.id);
  const observations = useMemo(
    () => (bed.learnsFromLog ? observationsOf(books.journal, bed.id) : null),
    [books.journal, bed.id, bed.learnsFromLog],
  );
  const likely = useLikelyRange({
    question: answers.question,
    isWanted: answers.isAnswered && !sheet.isHovering,
    drawnQuestion: answers.drawnQuestion,
    observations,
  });
  const { projection } = answers;
  const now = projection && atEndOf(projection, today);
  const takeable = now ? ownLayersOnTop(now, entries, books) : [];
  const changeEntry = useCallback(
    (entry: EntryRecord) => openAtTop({ band: 'posting', changing: entry }),
    [openAtTop],
  );
  const changePlanting = useCallback(
    (planting: PlantingRecord) => openAtTop({ band: 'planting', changing: planting }),
    [openAtTop],
  );
  const startPosting = useCallback(
    (type: 'dig' | 'takeOff') => (layerId: string) =>
      openAtTop({ band: 'posting', changing: null, start: { type, layerId } }),
    [openAtTop],
  );
  const actions = useLayerActions({
    edit: sheet.edit,
    hover: sheet.hover,
    onChange: useCallback(
      (id: string) => {
        const entry = entries.find((one) => one.id === id);
        if (entry) changeEntry(entry);
      },
      [entries, changeEntry],
    ),
    onDig: useMemo(() => startPosting('dig'), [startPosting]),
    onTakeOff: useMemo(() => startPosting('takeOff'), [startPosting]),
  });
  const tryOnBed = (tried: readonly EntryRecord[]) => {
    sheet.edit({ type: 'add', entries: tried });
    setOpen(null);
    const dates = tried.map(({ date }) => dayOf(date)).filter((date) => date <= dayOf(tried[0]!.date));
    setDay(Math.max(today, ...dates));
  };
  const refusal = answers.refusal?.sentence ?? null;
  useUnsaved(sheet.isChanged || preview !== null, 'What you tried on this bed is not saved yet.');

  return (
    <div className="page bed-page">
      <BedHead
        {...{ bed, showTrouble }}
        growing={now ? growingWords(now, { plantings, crops: books.crops }, today) : BED_KIND_WORDS[bed.kind]}
        onOpen={setOpen}
      />
      <FirstSteps books={answers.drawnFrom} />
      <TroubleNote trouble={trouble} onUnderstood={() => setTrouble(null)} />
      <BedBands
        open={open}
        layers={takeable}
        refusal={preview ? answers.refusal : null}
        onPreview={showPreview}
        onTry={tryOnBed}
        onClose={() => setOpen(null)}
        {...{ bed }}
      />
      <SheetBar sheet={sheet} refusal={sheet.isChanged && !preview ? refusal : null} />
      {!projection ? (
        <Waiting refusal={refusal} />
      ) : (
        <BedBody
          books={answers.drawnFrom}
          advice={answers.advice}
          monthBooks={answers.books}
          isAdviceStale={answers.isAdviceStale}
          isHovering={sheet.isHovering}
          {...{ bed, projection, likely, actions, selectedId, today, day }}
          onSelect={setSelectedId}
          onDay={setDay}
          onOpen={setOpened}
        />
      )}
      <div className="two-books bed-foot">
        <Postings
          entries={entries}
          plantings={plantings}
          onChange={changeEntry}
          onChangePlanting={changePlanting}
          onTrouble={showTrouble}
        />
        <Outlook
          years={answers.years}
          areaM2={bed.areaM2}
          yearsAddress={`/garden/${bed.gardenId}/years?beds=${bed.id}`}
          band={likely.shown?.range.organicMatterPct ?? null}
        />
      </div>
      <p className="soft estimate">{ESTIMATE}</p>
      {opened === 'schools' && answers.advice && (
        <SchoolsDrawer
          {...{ records, bed }}
          names={bedNames(records)}
          feedAvailability={answers.advice.feedAvailability}
          onClose={() => setOpened(null)}
        />
      )}
      {opened === 'saveBuildUp' && projection && (
        <SaveBuildUp
          gardenId={books.garden.id}
          layers={namedLayers({
            sample: atEndOf(projection, day),
            entries: records.entries,
            names: records,
          })}
          entries={sheet.entries}
          onClose={() => setOpened(null)}
        />
      )}
    </div>
  );
}

function Waiting({ refusal }: { refusal: string | null }) {
  if (refusal !== null) return <p className="trouble">{refusal}</p>;
  return <p className="soft">Working out the bed, day by day …</p>;
}

function TroubleNote({ trouble, onUnderstood }: { trouble: string | null; onUnderstood: () => void }) {
  if (trouble === null) return null;
  return (
    <p className="trouble" role="alert">
      {trouble}{' '}
      <Button size="small" onClick={onUnderstood}>
        Close
      </Button>
    </p>
  );
}

interface BedHeadProps {
  readonly bed: BedRecord;
  readonly growing: string;
  readonly onOpen: (band: OpenBand) => void;
  readonly showTrouble: (failure: unknown) => void;
}

/** What bed it is, and what can be done on it. */
const BedHead = memo(function BedHead({ bed, growing, onOpen, showTrouble }: BedHeadProps) {
  const books = useBooks();
  const measures = useMeasures();
  const remove = useRemoveBed();
  const restore = useRestoreBed();
  const undo = useUndo();
  const navigate = useNavigate();
  const removeBed = () =>
    remove.mutate(bed, {
      onSuccess: () => {
        void navigate(`/garden/${books.garden.id}`);
        undo(`${bed.name} was deleted.`, () => restore.mutateAsync(bed.id));
      },
      onError: showTrouble,
    });
  return (
    <header className="page-head">
      <div>
        <PageHeading>{bed.name}</PageHeading>
        <p className="soft">
          {[
            growing,
            BED_KIND_WORDS[bed.kind],
            sizeWords(bed, measures),
            `${formatFixed(bed.clayPct, 0)} % clay`,
            ...(bed.ph === null ? [] : [`pH ${formatFixed(bed.ph, 1)}`]),
            `${formatFixed(bed.organicMatterPct, 1)} % organic matter at first`,
          ].join(' · ')}
        </p>
      </div>
      <div className="actions">
        <Dropdown
          trigger={['click']}
          menu={{
            items: [
              ...(bed.kind === 'path' ? [] : [{ key: 'ways', label: 'Which way to help it?' }]),
              { key: 'sheet', label: 'Sheet to print' },
              { key: 'remove', label: 'Remove the bed', danger: true },
            ],
            onClick: ({ key }) => {
              if (key === 'ways') void navigate(`../ways?bed=${bed.id}&pile=any`);
              else if (key === 'sheet') void navigate('sheet');
              else removeBed();
            },
          }}
        >
          <Button type="text">More</Button>
        </Dropdown>
        <Button type="text" onClick={() => onOpen({ band: 'bed' })}>
          Change the bed
        </Button>
        <Button onClick={() => onOpen({ band: 'planting', changing: null })}>Plant something</Button>
        <Button onClick={() => onOpen({ band: 'buildUp' })}>Build up</Button>
        <Button type="primary" onClick={() => onOpen({ band: 'posting', changing: null })}>
          Spread something
        </Button>
      </div>
    </header>
  );
});
