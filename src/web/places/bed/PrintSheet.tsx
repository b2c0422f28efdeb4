import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { Button } from 'antd';
import { Link, useParams } from 'react-router';
import type { BedRecord } from '../../../records/bed.ts';
import { atEndOf, materialFinder, statementsOf } from '../../../core/bed/index.ts';
import { MODEL_VERSION } from '../../../core/model/index.ts';
import { BedSection } from '../../drawing/bed-section.tsx';
import { lockUpAnswer } from '../../../words/advice-words.ts';
import { doseAnswer } from '../../../words/feeding-words.ts';
import { plantingAnswer } from '../../../words/planting-words.ts';
import { dayOf, fullDate } from '../../../words/dates.ts';
import { measuresOf } from '../../../words/measures.ts';
import { BED_KIND_WORDS, CARBON_WORDS, ESTIMATE, NITROGEN_WORDS } from '../../../words/words.ts';
import './bed.css';
import './print-sheet.css';
import { productsFor } from './products.ts';
import { sectionInWords } from './bed-words.ts';
import { StatementTable } from '../../ui/ledger/StatementTable.tsx';
import { MindList } from './MindList.tsx';
import { bedNames, namedCrops, namedLayers, recordNames } from '../../ui/garden/naming.ts';
import { layName } from '../../../words/record-names.ts';
import { useBedAnswers, type BedAnswers } from './use-bed-answers.ts';
import { PageHeading } from '../../ui/heading/PageHeading.tsx';

/** One bed on paper: how it lies, what to do, what to mind, and its books of the year. */
export function PrintSheet() {
  const { bedId = '' } = useParams();
  const books = useBooks();
  const bed = books.beds.find(({ id }) => id === bedId);
  if (!bed) return <p className="page">There is no such bed; it may have been removed.</p>;
  return <Sheet bed={bed} />;
}

interface SheetProps {
  readonly bed: BedRecord;
}

function Sheet({ bed }: SheetProps) {
  const books = useBooks();
  const answers = useBedAnswers(books, bed.id);
  const measures = measuresOf(books.garden);
  const today = dayOf(books.today);
  const isReady = answers.projection && answers.advice && answers.books;
  return (
    <div className="page print-sheet">
      <div className="not-printed">
        <Link to="..">Back to the bed</Link>{' '}
        <Button type="primary" disabled={!isReady} onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <PageHeading>{bed.name}</PageHeading>
      <p>
        {books.garden.name}, {fullDate(today)} · {BED_KIND_WORDS[bed.kind]} · {measures.area(bed.areaM2)}
      </p>
      {!isReady ? (
        <p className="soft">Working out the bed, day by day …</p>
      ) : (
        <WorkedSheet {...{ bed, answers }} />
      )}
      <p className="soft">
        {ESTIMATE} Version {MODEL_VERSION} of the model.
      </p>
    </div>
  );
}

function WorkedSheet({ bed, answers }: SheetProps & { answers: BedAnswers }) {
  const books = useBooks();
  const measures = useMeasures();
  const today = dayOf(books.today);
  const { projection, advice } = answers;
  if (!projection || !advice || !answers.books) return null;
  const sample = atEndOf(projection, today);
  const layers = namedLayers({ sample, entries: books.entries, names: books });
  const crops = namedCrops(sample, books);
  const names = bedNames(books);
  const product = productsFor(bed, advice.feedAvailability);
  const { carbon, nitrogen } = statementsOf(answers.books, today, { kind: 'year', withForecast: false });
  const spoken = [
    { title: 'Lock-up', answer: lockUpAnswer(advice, names, measures) },
    { title: 'Feed', answer: doseAnswer(advice, { ...bed, names, measures, product }) },
    { title: 'Planting', answer: plantingAnswer(advice, { measures, names }) },
  ];
  return (
    <>
      <div className="sheet-top">
        <BedSection
          sample={sample}
          layers={layers}
          crops={crops}
          rootZoneCm={bed.rootZoneCm}
          highestMulchCm={Math.max(2, sample.mulchCm)}
          description={sectionInWords({ sample, layers, crops, day: today, measures })}
        />
        <div>
          {spoken.map(({ title, answer: { headline, details } }) => (
            <section key={title} aria-label={title}>
              <h2>
                {title}: {headline}
              </h2>
              {details.map((sentence) => (
                <p key={sentence}>{sentence}</p>
              ))}
            </section>
          ))}
        </div>
      </div>
      <Plan {...{ bed }} />
      <MindList {...{ advice, today }} names={recordNames(books)} />
      <div className="two-books">
        <StatementTable
          title="Carbon this year, to date"
          statement={carbon}
          words={CARBON_WORDS}
          areaM2={bed.areaM2}
        />
        <StatementTable
          title="Nitrogen this year, to date"
          statement={nitrogen}
          words={NITROGEN_WORDS}
          areaM2={bed.areaM2}
        />
      </div>
    </>
  );
}

/** What is planned, in barrows to carry, with room for a tick. */
function Plan({ bed }: SheetProps & {}) {
  const books = useBooks();
  const measures = useMeasures();
  const find = materialFinder(books);
  const planned = books.entries.filter(({ bedId, state }) => bedId === bed.id && state === 'planned');
  return (
    <section aria-label="To do">
      <h2>To do</h2>
      {planned.length === 0 && <p>Nothing is planned.</p>}
      <ul className="to-do">
        {planned.map((entry) => {
          const material = entry.type === 'lay' ? find(entry.materialId) : undefined;
          const carried =
            entry.type === 'lay' && material
              ? `${layName(entry, books)}: ${measures.barrows((entry.massFreshKg / material.bulkDensityKgPerM3) * 1000)}, ${measures.mass(entry.massFreshKg)}`
              : entry.type === 'feed'
                ? `Feed ${measures.nitrogen(entry.nitrogenG)} of nitrogen`
                : entry.type === 'water'
                  ? `Water, ${measures.water(entry.waterMm)}`
                  : 'See the bed page';
          return (
            <li key={entry.id}>
              ☐ {fullDate(dayOf(entry.date))}: {carried} {entry.note}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
