import { counted } from '../../../words/counted.ts';
import { useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import { Pictured } from '../../drawing/Pictured.tsx';
import { GardenStrip, type StripBed } from '../../drawing/garden-strip.tsx';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { measuresOf, type Measures } from '../../../words/measures.ts';
import { growingWords, namedCrops, namedLayers } from '../../ui/garden/naming.ts';
import { DemoGuide } from '../../ui/guide/DemoGuide.tsx';
import { FirstSteps } from '../../ui/guide/FirstSteps.tsx';
import { BedRows } from './BedRows.tsx';
import { useBedBriefs, type BriefedBed } from './use-bed-briefs.ts';
import '../../ui/garden/garden.css';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

const BedForm = lazy(async () => ({ default: (await import('../../ui/garden/BedForm.tsx')).BedForm }));
const GardenForm = lazy(async () => ({
  default: (await import('../../ui/garden/GardenForm.tsx')).GardenForm,
}));

/** More beds than these, two rows of the drawing, would push what is to be done off the window. */
const DRAWN_FIRST = 16;

/** Where each bed stands today, and what to do next. */
export function GardenPage() {
  const books = useBooks();
  const [open, setOpen] = useState<'bed' | 'garden' | null>(null);
  const close = () => setOpen(null);
  const navigate = useNavigate();
  const briefed = useBedBriefs(books);
  const measures = measuresOf(books.garden);
  const today = dayOf(books.today);
  const hrefOf = (bedId: string) => `/garden/${books.garden.id}/bed/${bedId}`;
  const strip = useStrip(briefed, books, hrefOf);
  const isLarge = books.beds.length > DRAWN_FIRST;
  const drawing = (
    <Pictured title={books.garden.name}>
      <div className={isLarge ? 'strip-scroll strip-below' : 'strip-scroll'}>
        <GardenStrip
          beds={strip}
          onOpen={(href) => void navigate(href)}
          scaleCm={measures.scaleCm}
          scaleLabel={measures.thickness(measures.scaleCm)}
        />
      </div>
    </Pictured>
  );
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <PageHeading>
            {fullDate(today)} at {books.garden.name}
          </PageHeading>
          <p className="soft">{summary(briefed, measures)}</p>
        </div>
        <div className="actions">
          <Button type="text" onClick={() => setOpen('garden')}>
            Change the garden
          </Button>
          <Button type={books.beds.length === 0 ? 'primary' : 'default'} onClick={() => setOpen('bed')}>
            Make a bed
          </Button>
        </div>
      </header>
      <FirstSteps books={books} />
      <DemoGuide gardenId={books.garden.id} />
      {open !== null && (
        <Suspense fallback={<p className="soft">Opening the form …</p>}>
          {open === 'bed' ? (
            <BedForm
              gardenId={books.garden.id}
              changing={null}
              onClose={close}
              onKept={(bedId) => void navigate(hrefOf(bedId))}
            />
          ) : (
            <div className="band">
              <GardenForm garden={books.garden} onClose={close} />
            </div>
          )}
        </Suspense>
      )}
      {books.beds.length === 0 ? (
        open === null && (
          <div className="empty">
            <h2>No beds yet</h2>
            <p>
              A bed is a piece of ground whose carbon and nitrogen you want to follow: a row, a raised bed,
              the ring under a tree, a path. Make the first one, then spread something on it and see what
              happens.
            </p>
          </div>
        )
      ) : (
        <>
          {!isLarge && drawing}
          <BedRows briefed={briefed} hrefOf={hrefOf} />
          {isLarge && drawing}
          <p className="soft estimate">
            Worked out day by day from what you wrote down. An estimate, not a measurement: a soil test and
            your local advisory service come first. <Link to={hrefOf(books.beds[0]!.id)}>Open a bed</Link> to
            see its books.
          </p>
        </>
      )}
    </div>
  );
}

const LIST = new Intl.ListFormat('en');
/** More names than these nobody reads in a sentence. */
const MOST_NAMED = 3;

function summary(briefed: readonly BriefedBed[], measures: Measures): string {
  const area = measures.area(briefed.reduce((sum, { bed }) => sum + bed.areaM2, 0));
  if (briefed.length === 0) return 'There is no bed yet.';
  const waiting = briefed.filter(({ brief, refusal }) => !brief && !refusal).length;
  const count = `${counted(briefed.length, 'bed')}, ${area}.`;
  if (waiting > 0) return `${count} Working out ${waiting} of them …`;
  const hungry = briefed.filter(({ brief }) => brief && ['short', 'pale'].includes(brief.standing.status));
  if (hungry.length === 0) return `${count} None is short of nitrogen today.`;
  const names = hungry.slice(0, MOST_NAMED).map(({ bed }) => bed.name);
  const others = hungry.length - names.length;
  const listed = LIST.format(others > 0 ? [...names, counted(others, 'other bed')] : names);
  return `${count} ${listed} ${hungry.length === 1 ? 'is' : 'are'} short of nitrogen today.`;
}

/** The beds as they are drawn; one of which nothing is new is the same object, and is not drawn again. */
function useStrip(
  briefed: readonly BriefedBed[],
  books: GardenBooks,
  hrefOf: (bedId: string) => string,
): StripBed[] {
  const drawn = useMemo(() => ({ books, beds: new WeakMap<BriefedBed, StripBed>() }), [books]);
  return briefed.map((one) => {
    const known = drawn.beds.get(one) ?? stripBed(one, drawn.books, hrefOf);
    drawn.beds.set(one, known);
    return known;
  });
}

function stripBed(
  { bed, brief }: BriefedBed,
  books: GardenBooks,
  hrefOf: (bedId: string) => string,
): StripBed {
  const entries = books.entries.filter(({ bedId }) => bedId === bed.id);
  const growing = {
    plantings: books.plantings.filter(({ bedId }) => bedId === bed.id),
    crops: books.crops,
  };
  return {
    id: bed.id,
    name: bed.name,
    subtitle: !brief
      ? '…'
      : bed.kind === 'path'
        ? 'Path'
        : growingWords(brief.now, growing, dayOf(books.today)),
    sample: brief?.now,
    layers: brief ? namedLayers({ sample: brief.now, entries, names: books }) : [],
    crops: brief ? namedCrops(brief.now, growing) : [],
    href: hrefOf(bed.id),
  };
}
