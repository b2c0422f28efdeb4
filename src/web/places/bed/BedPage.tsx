import { Button } from 'antd';
import { useCallback, useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { BedRecord, EntryRecord, GardenBooks } from '../../../contract/records.ts';
import type { DayNumber } from '../../../core/climate/calendar.ts';
import { atEndOf, type BedProjection } from '../../../core/projection/bed-projection.ts';
import { useRemoveBed, useRestoreBed } from '../../api/gardens.ts';
import { HumusYears } from '../../charts/humus-years.tsx';
import { NitrogenTide } from '../../charts/nitrogen-tide.tsx';
import { BedSection } from '../../drawing/bed-section.tsx';
import { dateNear, dayOf, fullDate } from '../../format/dates.ts';
import { fixed } from '../../format/figures.ts';
import { measuresOf, type Measures } from '../../format/measures.ts';
import { BED_KIND_WORDS, ESTIMATE } from '../../format/words.ts';
import '../garden/garden.css';
import { useGardenBooks } from '../shell/use-garden-books.ts';
import { useUndo } from '../shell/use-undo.tsx';
import { Answers } from './Answers.tsx';
import './bed.css';
import { Ledger } from './Ledger.tsx';
import { cropNames, growingWords, namedCrops, namedLayers } from './naming.ts';
import { PlantingBand } from './PlantingBand.tsx';
import { PostingBand } from './PostingBand.tsx';
import { Postings } from './Postings.tsx';
import { TimeSlider } from './TimeSlider.tsx';
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

type OpenBand =
  { readonly band: 'posting'; readonly changing: EntryRecord | null } | { readonly band: 'planting' };

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
          <Button onClick={() => setOpen({ band: 'planting' })}>Plant something</Button>
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
      {open?.band === 'posting' && (
        <PostingBand
          key={open.changing?.id ?? 'new'}
          books={books}
          bed={bed}
          measures={measures}
          layers={takeable}
          changing={open.changing}
          refusal={preview ? answers.refusal : null}
          onPreview={showPreview}
          onClose={close}
        />
      )}
      {open?.band === 'planting' && <PlantingBand books={books} bedId={bed.id} onClose={close} />}
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
          onChange={(entry) => {
            setOpen({ band: 'posting', changing: entry });
            window.scrollTo({ top: 0 });
          }}
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

interface BedBodyProps {
  readonly books: GardenBooks;
  readonly bed: BedRecord;
  readonly projection: BedProjection;
  readonly answers: ReturnType<typeof useBedAnswers>;
  readonly measures: Measures;
  readonly today: DayNumber;
  readonly day: DayNumber;
  readonly onDay: (day: DayNumber) => void;
}

const BEFORE_TODAY_DAYS = 92;
const AFTER_TODAY_DAYS = 365;

function BedBody({ books, bed, projection, answers, measures, today, day, onDay }: BedBodyProps) {
  const sample = atEndOf(projection, day);
  const layers = namedLayers(sample, books.entries, books.plantings, books.materials);
  const crops = namedCrops(sample, books.plantings);
  const highestMulchCm = useMemo(
    () => Math.max(2, ...projection.samples.map(({ mulchCm }) => mulchCm)),
    [projection],
  );
  const firstDate = books.entries
    .filter(({ bedId }) => bedId === bed.id)
    .reduce((first, { date }) => Math.min(first, dayOf(date)), today);
  const names = (cropIds: readonly string[]) => cropNames(cropIds, books.plantings);
  const { advice } = answers;
  const fromDay = Math.max(projection.startDay, Math.min(day, today) - BEFORE_TODAY_DAYS);
  const untilDay = Math.min(projection.endDay, Math.max(fromDay + BEFORE_TODAY_DAYS + AFTER_TODAY_DAYS, day));
  const dosesShown = (advice?.doses?.doses ?? [])
    .filter((dose) => dose.nitrogenGPerM2 > 0 && dose.day >= fromDay && dose.day <= untilDay)
    .map((dose) => ({ day: dose.day, label: measures.nitrogen(dose.nitrogenGPerM2 * bed.areaM2) }));
  return (
    <>
      <div className="bed-top">
        <div>
          <BedSection
            sample={sample}
            layers={layers}
            crops={crops}
            rootZoneCm={bed.rootZoneCm}
            highestMulchCm={highestMulchCm}
            measures={measures}
            description={sectionInWords(sample, layers, crops, day, measures)}
          />
          <TimeSlider
            fromDay={Math.max(projection.startDay, firstDate - 14)}
            untilDay={projection.endDay}
            today={today}
            day={day}
            onDay={onDay}
          />
        </div>
        <div>
          <Answers
            advice={advice}
            areaM2={bed.areaM2}
            names={names}
            measures={measures}
            isStale={answers.isAdviceStale}
          />
          <NitrogenTide
            samples={projection.samples}
            fromDay={fromDay}
            untilDay={untilDay}
            today={today}
            selectedDay={day}
            doses={dosesShown}
            wantedBy={wantedBy(projection, fromDay, untilDay, names)}
            measures={measures}
            onSelect={onDay}
            description={tideInWords(projection, today, measures)}
          />
        </div>
      </div>
      <Ledger projection={projection} closingDay={day} areaM2={bed.areaM2} />
    </>
  );
}

/** The crop that wants most in the window, as the subject of "what … will want". */
function wantedBy(
  { samples, crops }: BedProjection,
  fromDay: DayNumber,
  untilDay: DayNumber,
  names: (cropIds: readonly string[]) => string,
): string | null {
  const peak = samples
    .filter(({ day }) => day >= fromDay && day <= untilDay)
    .reduce<(typeof samples)[number] | undefined>(
      (best, one) => (!best || one.cropWantG > best.cropWantG ? one : best),
      undefined,
    );
  if (!peak || peak.cropWantG <= 0) return null;
  const standing = crops.filter(
    ({ plantDay, harvestDay }) => plantDay <= peak.day + 28 && harvestDay > peak.day,
  );
  return standing.length === 0 ? null : names(standing.slice(0, 1).map(({ id }) => id)).toLowerCase();
}

function sectionInWords(
  sample: ReturnType<typeof atEndOf>,
  layers: ReturnType<typeof namedLayers>,
  crops: ReturnType<typeof namedCrops>,
  day: DayNumber,
  measures: Measures,
): string {
  const onTop = layers.filter(({ isOnTop }) => isOnTop);
  const stack =
    onTop.length === 0
      ? 'Nothing lies on the soil.'
      : `From the soil upwards: ${onTop.map(({ name, thicknessCm }) => `${measures.thickness(thicknessCm)} ${name}`).join(', ')}.`;
  const dug = layers.filter(({ isOnTop, dugDepthCm }) => !isOnTop && dugDepthCm > 0);
  const dugWords = dug.length > 0 ? ` Dug in: ${dug.map(({ name }) => name).join(', ')}.` : '';
  const growing =
    crops.length > 0
      ? ` Growing: ${crops.map(({ name, rootDepthCm }) => `${name}, roots to ${measures.thickness(rootDepthCm)}`).join('; ')}.`
      : '';
  return `Section of the bed on ${fullDate(day)}. ${stack}${dugWords}${growing} Contact zone: ${measures.rate(sample.availableContactG)} nitrogen available, ${measures.rate(sample.heldContactG)} held. Root zone: ${measures.rate(sample.availableRootG)} available, ${measures.rate(sample.heldRootG)} held.`;
}

function tideInWords({ samples }: BedProjection, today: DayNumber, measures: Measures): string {
  const ahead = samples.filter(({ day }) => day >= today && day <= today + AFTER_TODAY_DAYS);
  const held = ahead.reduce(
    (best, one) => (one.heldContactG + one.heldRootG > best.heldContactG + best.heldRootG ? one : best),
    ahead[0]!,
  );
  return `Nitrogen over the coming year. Most is held on ${dateNear(held.day, today)}: ${measures.rate(held.heldContactG)} in the contact zone, ${measures.rate(held.heldRootG)} in the root zone.`;
}

function Outlook({
  years,
  areaM2,
}: {
  years: NonNullable<ReturnType<typeof useBedAnswers>['years']>;
  areaM2: number;
}) {
  const first = years[0]!;
  const last = years.at(-1)!;
  const humusKg = (carbonG: number) => fixed((carbonG * areaM2) / 1000, 0);
  const charKg = (last.charCarbonG * areaM2) / 1000;
  return (
    <>
      <p>
        <strong>
          From {fixed(first.organicMatterPct, 1)} % to {fixed(last.organicMatterPct, 1)} % organic matter in{' '}
          {last.yearsAhead} years
        </strong>
        {', '}
        <span className="soft">
          {fixed(last.bareOrganicMatterPct, 1)} % had nothing been laid. Humus then:{' '}
          {humusKg(last.humusCarbonG)} kg of carbon in the bed
          {charKg >= 0.1 ? `, and ${fixed(charKg, 1)} kg in char that stays` : ''}.
        </span>
      </p>
      <HumusYears
        years={years}
        description={`Organic matter in the soil: ${fixed(first.organicMatterPct, 1)} % now, ${fixed(last.organicMatterPct, 1)} % in ten years, ${fixed(last.bareOrganicMatterPct, 1)} % without what was laid.`}
      />
    </>
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
