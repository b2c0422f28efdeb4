import { Button } from 'antd';
import { useCallback, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { BedRecord, EntryRecord, GardenBooks } from '../../../contract/records.ts';
import type { DayNumber } from '../../../core/climate/calendar.ts';
import { atEndOf } from '../../../core/projection/bed-projection.ts';
import { useRemoveBed, useRestoreBed } from '../../api/gardens.ts';
import { dayOf } from '../../format/dates.ts';
import { fixed } from '../../format/figures.ts';
import { measuresOf } from '../../format/measures.ts';
import { BED_KIND_WORDS, ESTIMATE } from '../../format/words.ts';
import '../garden/garden.css';
import { useGardenBooks } from '../shell/use-garden-books.ts';
import { useUndo } from '../shell/use-undo.tsx';
import './bed.css';
import { BedBands, type OpenBand } from './BedBands.tsx';
import { BedBody } from './BedBody.tsx';
import { Outlook } from './Outlook.tsx';
import { growingWords, namedLayers } from './naming.ts';
import { Postings } from './Postings.tsx';
import { useBedAnswers } from './use-bed-answers.ts';
import type { Preview } from './use-posting.ts';

/** The heart: the bed cut open, its nitrogen through the year, its answers and its books. */
export function BedPage() {
  const { bedId = '' } = useParams();
  const books = useGardenBooks();
  if (!books) return <p className="page soft">Opening the books …</p>;
  const bed = books.beds.find(({ id }) => id === bedId);
  if (!bed) {
    return (
      <div className="page empty">
        <h1>There is no such bed</h1>
        <p>It may have been removed.</p>
        <Link to={`/garden/${books.garden.id}`}>Back to the garden</Link>
      </div>
    );
  }
  return <OpenBed key={bed.id} books={books} bed={bed} />;
}

/** The records as they would be with the draft in them; a changed entry keeps its place. */
function withPreview(books: GardenBooks, preview: Preview | null, changing: EntryRecord | null): GardenBooks {
  if (!preview) return books;
  const { entry, material } = preview;
  const own = material
    ? [{ ...material, id: material.id!, gardenId: books.garden.id, version: 1, createdAt: '', updatedAt: '' }]
    : [];
  const shown = changing ? { ...entry, id: changing.id } : entry;
  const entries = changing
    ? books.entries.map((other) => (other.id === changing.id ? shown : other))
    : [...books.entries, shown];
  return { ...books, entries, materials: [...books.materials, ...own] };
}

function OpenBed({ books, bed }: { books: GardenBooks; bed: BedRecord }) {
  const today = dayOf(books.today);
  const measures = measuresOf(books.garden);
  const [open, setOpen] = useState<OpenBand | null>(null);
  const [preview, setPreview] = useState<Preview | null>(null);
  const [day, setDay] = useState<DayNumber>(today);
  const [trouble, setTrouble] = useState<string | null>(null);
  const close = () => setOpen(null);
  const showPreview = useCallback(
    (next: Preview | null) => {
      setPreview(next);
      if (next) setDay(dayOf(next.entry.date));
    },
    [setPreview, setDay],
  );
  const openAtTop = (band: OpenBand) => {
    setOpen(band);
    window.scrollTo({ top: 0 });
  };
  const showTrouble = (failure: unknown) =>
    setTrouble(failure instanceof Error ? failure.message : 'That did not work.');

  const changing = open?.band === 'posting' ? open.changing : null;
  const records = useMemo(() => withPreview(books, preview, changing), [books, preview, changing]);
  const answers = useBedAnswers(records, bed.id);
  const entries = books.entries.filter(({ bedId }) => bedId === bed.id);
  const plantings = books.plantings.filter(({ bedId }) => bedId === bed.id);
  const { projection } = answers;
  const now = projection && atEndOf(projection, today);
  const takeable = now
    ? namedLayers(now, entries, plantings, books.materials).filter(
        ({ id, isOnTop }) => isOnTop && entries.some((entry) => entry.id === id),
      )
    : [];

  return (
    <div className="page bed-page">
      <header className="page-head">
        <div>
          <h1>{bed.name}</h1>
          <p className="soft">
            {[
              now ? growingWords(now, plantings, today) : BED_KIND_WORDS[bed.kind],
              BED_KIND_WORDS[bed.kind],
              measures.area(bed.areaM2),
              `${fixed(bed.clayPct, 0)} % clay`,
              `${fixed(bed.organicMatterPct, 1)} % organic matter at the start`,
            ].join(' · ')}
          </p>
        </div>
        <div className="actions">
          <RemoveBed bed={bed} gardenId={books.garden.id} onTrouble={showTrouble} />
          <Button type="text" onClick={() => setOpen({ band: 'bed' })}>
            Change the bed
          </Button>
          <Button onClick={() => setOpen({ band: 'planting', changing: null })}>Plant something</Button>
          <Button type="primary" onClick={() => setOpen({ band: 'posting', changing: null })}>
            Lay something
          </Button>
        </div>
      </header>
      {trouble !== null && (
        <p className="trouble" role="alert">
          {trouble}{' '}
          <Button size="small" onClick={() => setTrouble(null)}>
            Understood
          </Button>
        </p>
      )}
      <BedBands
        open={open}
        layers={takeable}
        refusal={preview ? answers.refusal : null}
        onPreview={showPreview}
        onClose={close}
        {...{ books, bed, measures }}
      />
      {!projection ? (
        answers.refusal ? (
          <p className="trouble">{answers.refusal.sentence}</p>
        ) : (
          <p className="soft">Working out the bed, day by day …</p>
        )
      ) : (
        <BedBody {...{ books: records, bed, projection, answers, measures, today, day, onDay: setDay }} />
      )}
      <div className="two-books bed-foot">
        <Postings
          books={books}
          entries={entries}
          plantings={plantings}
          measures={measures}
          onChange={(entry) => openAtTop({ band: 'posting', changing: entry })}
          onChangePlanting={(planting) => openAtTop({ band: 'planting', changing: planting })}
          onTrouble={showTrouble}
        />
        <section aria-label="Ten years">
          <div className="section-head">
            <h2>Ten years</h2>
          </div>
          {answers.years ? (
            <Outlook years={answers.years} areaM2={bed.areaM2} />
          ) : (
            <p className="soft">Looking ahead …</p>
          )}
        </section>
      </div>
      <p className="soft estimate">{ESTIMATE}</p>
    </div>
  );
}

function RemoveBed({
  bed,
  gardenId,
  onTrouble,
}: {
  bed: BedRecord;
  gardenId: string;
  onTrouble: (failure: unknown) => void;
}) {
  const remove = useRemoveBed();
  const restore = useRestoreBed();
  const undo = useUndo();
  const navigate = useNavigate();
  return (
    <Button
      type="text"
      onClick={() =>
        remove.mutate(bed, {
          onSuccess: () => {
            void navigate(`/garden/${gardenId}`);
            undo(`${bed.name} was taken out of the book.`, () =>
              restore.mutate(bed.id, { onError: onTrouble }),
            );
          },
          onError: onTrouble,
        })
      }
    >
      Remove the bed
    </Button>
  );
}
