import { useMeasures } from '../../app/garden-context.ts';
import { memo, useCallback, useMemo, useState } from 'react';
import type { BedRecord } from '../../../records/bed.ts';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { DayNumber } from '../../../core/ground/index.ts';
import { type BedProjection, atEndOf } from '../../../core/bed/index.ts';
import { NitrogenTide } from '../../charts/nitrogen-tide.tsx';
import { BedSection } from '../../drawing/bed-section.tsx';
import { Foldable } from '../../ui/fold/Foldable.tsx';
import { Pictured } from '../../drawing/Pictured.tsx';
import { SectionHandles } from '../../drawing/section-handles.tsx';
import { dayOf } from '../../../words/dates.ts';
import { Answers } from './Answers.tsx';
import { sectionInWords, tideInWords, wantedBy } from './bed-words.ts';
import { LayerList } from './LayerList.tsx';
import { Ledger } from './Ledger.tsx';
import { LikelyRangeNote } from './LikelyRangeNote.tsx';
import { MindList } from './MindList.tsx';
import { bedNames, datedNames, namedCrops, namedLayers, recordNames } from '../../ui/garden/naming.ts';
import { TimeSlider } from './TimeSlider.tsx';
import type { BedAnswers } from './use-bed-answers.ts';
import type { LayerActions } from './use-layer-actions.ts';
import { useLearning } from './use-learning.ts';
import type { useLikelyRange } from '../../ui/planning/use-likely-range.ts';

interface BedBodyProps {
  /** The records as they would be, with everything that is being tried. */
  readonly books: GardenBooks;
  readonly bed: BedRecord;
  readonly projection: BedProjection;
  readonly advice: BedAnswers['advice'];
  readonly monthBooks: BedAnswers['books'];
  readonly isAdviceStale: boolean;
  readonly likely: ReturnType<typeof useLikelyRange>;
  /** An edge is under the hand. */
  readonly isHovering: boolean;
  readonly actions: LayerActions;
  readonly selectedId: string | null;
  readonly onSelect: (layerId: string | null) => void;
  readonly onOpen: (what: 'schools' | 'saveBuildUp') => void;
  readonly today: DayNumber;
  readonly day: DayNumber;
  readonly onDay: (day: DayNumber) => void;
}

const BEFORE_TODAY_DAYS = 92;
const AFTER_TODAY_DAYS = 365;

/** The height the drawing makes room for; it holds still while an edge is under the hand. */
function useHighestMulch({ samples }: BedProjection, isHovering: boolean): number {
  const highest = useMemo(() => Math.max(2, ...samples.map(({ mulchCm }) => mulchCm)), [samples]);
  const [steady, setSteady] = useState(highest);
  if (!isHovering && steady !== highest) setSteady(highest);
  return isHovering ? steady : highest;
}

/** The bed on one day: its section to take hold of, its answers, its tide, its books. */
export const BedBody = memo(function BedBody(props: BedBodyProps) {
  const measures = useMeasures();
  const { books, bed, projection, advice, monthBooks, likely, actions, today, day, onDay } = props;
  const { selectedId, onSelect, onOpen } = props;
  const learning = useLearning(bed);
  const inLearning = useMemo(() => datedNames(books), [books]);
  const saveAsBuildUp = useCallback(() => onOpen('saveBuildUp'), [onOpen]);
  const compareSchools = useCallback(() => onOpen('schools'), [onOpen]);
  const sample = atEndOf(projection, day);
  const layers = useMemo(
    () => namedLayers({ sample, entries: books.entries, names: books }),
    [sample, books],
  );
  const crops = useMemo(() => namedCrops(sample, books), [sample, books]);
  const highestMulchCm = useHighestMulch(projection, props.isHovering);
  const entries = useMemo(() => books.entries.filter(({ bedId }) => bedId === bed.id), [books, bed.id]);
  const firstDate = entries.reduce((first, { date }) => Math.min(first, dayOf(date)), today);
  const [names, inRecords] = useMemo(() => [bedNames(books), recordNames(books)], [books]);
  const fromDay = Math.max(projection.startDay, Math.min(day, today) - BEFORE_TODAY_DAYS);
  const untilDay = Math.min(projection.endDay, Math.max(fromDay + BEFORE_TODAY_DAYS + AFTER_TODAY_DAYS, day));
  const dosesShown = useMemo(
    () =>
      (advice?.feeding?.doses ?? [])
        .filter((dose) => dose.day >= fromDay && dose.day <= untilDay)
        .map((dose) => ({ day: dose.day, label: measures.nitrogen(dose.nitrogenGPerM2 * bed.areaM2) })),
    [advice, fromDay, untilDay, measures, bed.areaM2],
  );
  const band = useMemo(() => {
    if (!likely.shown) return null;
    const { range, plan } = likely.shown;
    return { days: plan.tideDays, low: range.availableG.low, high: range.availableG.high };
  }, [likely.shown]);
  const isHeld = (id: string) => entries.some((entry) => entry.id === id && entry.type === 'lay');
  const sectionWords = sectionInWords({ sample, layers, crops, day, measures });
  const tideWords = tideInWords(projection, today, measures);
  const wanted = wantedBy({ projection, fromDay, untilDay, names: names.crops });
  const concerned = likely.shown?.plan.cropIds ?? [];
  return (
    <>
      <div className="bed-top">
        <div>
          <Foldable what="the drawing">
            <Pictured title={`${bed.name} section`}>
              <div className="section-instrument">
                <BedSection
                  sample={sample}
                  layers={layers}
                  crops={crops}
                  rootZoneCm={bed.rootZoneCm}
                  highestMulchCm={highestMulchCm}
                  selectedId={selectedId}
                  description={sectionWords}
                />
                <SectionHandles
                  layers={layers}
                  rootZoneCm={bed.rootZoneCm}
                  highestMulchCm={highestMulchCm}
                  isHeld={isHeld}
                  onSelect={(id) => onSelect(id === selectedId ? null : id)}
                  onHover={actions.hover}
                  onDrop={actions.thicken}
                  onMove={actions.move}
                  onRemove={actions.remove}
                />
              </div>
            </Pictured>
          </Foldable>
          <TimeSlider
            fromDay={Math.max(projection.startDay, firstDate - 14)}
            untilDay={projection.endDay}
            today={today}
            day={day}
            onDay={onDay}
          />
          <LayerList
            {...{ layers, entries, measures, selectedId, onSelect, actions }}
            areaM2={bed.areaM2}
            onSaveAsBuildUp={saveAsBuildUp}
          />
        </div>
        <div>
          <Answers
            {...{ advice, bed, names }}
            garden={books.garden}
            isStale={props.isAdviceStale}
            onCompareSchools={compareSchools}
          />
          <Pictured title={`${bed.name} nitrogen`}>
            <NitrogenTide
              samples={projection.samples}
              fromDay={fromDay}
              untilDay={untilDay}
              today={today}
              selectedDay={day}
              doses={dosesShown}
              band={band}
              wantedBy={wanted}
              onSelect={onDay}
              description={tideWords}
            />
          </Pictured>
          {advice && <MindList {...{ advice, today }} names={inRecords} />}
          <LikelyRangeNote
            state={likely}
            bedId={bed.id}
            crop={concerned.length > 0 ? names.crops(concerned).toLowerCase() : 'what grows here'}
            names={names}
            datedNames={inLearning}
            {...{ learning }}
          />
        </div>
      </div>
      {monthBooks && (
        <Ledger
          books={monthBooks}
          {...{ day, sample, layers, onDay }}
          bedName={bed.name}
          areaM2={bed.areaM2}
        />
      )}
    </>
  );
});
