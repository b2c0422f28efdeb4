import { useMemo } from 'react';
import type { BedRecord, GardenBooks } from '../../../contract/records.ts';
import type { DayNumber } from '../../../core/climate/calendar.ts';
import { atEndOf, type BedProjection } from '../../../core/projection/bed-projection.ts';
import { NitrogenTide } from '../../charts/nitrogen-tide.tsx';
import { BedSection } from '../../drawing/bed-section.tsx';
import { dayOf } from '../../format/dates.ts';
import type { Measures } from '../../format/measures.ts';
import { Answers } from './Answers.tsx';
import { sectionInWords, tideInWords, wantedBy } from './bed-words.ts';
import { Ledger } from './Ledger.tsx';
import { cropNames, namedCrops, namedLayers } from './naming.ts';
import { TimeSlider } from './TimeSlider.tsx';
import type { BedAnswers } from './use-bed-answers.ts';

interface BedBodyProps {
  readonly books: GardenBooks;
  readonly bed: BedRecord;
  readonly projection: BedProjection;
  readonly answers: BedAnswers;
  readonly measures: Measures;
  readonly today: DayNumber;
  readonly day: DayNumber;
  readonly onDay: (day: DayNumber) => void;
}

const BEFORE_TODAY_DAYS = 92;
const AFTER_TODAY_DAYS = 365;

/** The bed on one day: its section, its answers, its tide, its books. */
export function BedBody({ books, bed, projection, answers, measures, today, day, onDay }: BedBodyProps) {
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
  const dosesShown = useMemo(
    () =>
      (advice?.doses?.doses ?? [])
        .filter((dose) => dose.nitrogenGPerM2 > 0 && dose.day >= fromDay && dose.day <= untilDay)
        .map((dose) => ({ day: dose.day, label: measures.nitrogen(dose.nitrogenGPerM2 * bed.areaM2) })),
    [advice, fromDay, untilDay, measures, bed.areaM2],
  );
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
