import { useMeasures, useBooks } from '../../app/garden-context.ts';
import { memo, useState } from 'react';
import { Link } from 'react-router';
import { EightWeeks } from '../../charts/eight-weeks.tsx';
import type { GardenBooks } from '../../../contract/garden-books.ts';
import type { Entry } from '../../../records/entry.ts';
import type { NextStep } from '../../../core/bed/index.ts';
import { findCrop } from '../../../core/ground/index.ts';
import { lockUpAnswer } from '../../../words/advice-words.ts';
import { dateNear, dayOf } from '../../../words/dates.ts';
import { formatFixed } from '../../../words/figures.ts';
import type { Measures } from '../../../words/measures.ts';
import { STATUS_WORDS } from '../../../words/words.ts';
import { counted } from '../../../words/counted.ts';
import { useFold } from '../../ui/fold/use-fold.ts';
import { gardenParts, REST_OF_GARDEN, type GardenPart } from '../../ui/garden/parts.ts';
import { bedNames } from '../../ui/garden/naming.ts';
import { layName } from '../../../words/record-names.ts';
import { inBedOrder, nextStepOf, type BedOrder } from './bed-order.ts';
import type { BriefedBed } from './use-bed-briefs.ts';

interface BedRowsProps {
  readonly briefed: readonly BriefedBed[];
  readonly hrefOf: (bedId: string) => string;
}

/** One line a bed, those that need attention first, or in the order of the column chosen. */
export function BedRows({ briefed, hrefOf }: BedRowsProps) {
  const books = useBooks();
  const measures = useMeasures();
  const [order, setOrder] = useState<BedOrder>('attention');
  const [isReversed, setIsReversed] = useState(false);
  const choose = (chosen: BedOrder) => {
    setIsReversed(chosen === order && !isReversed);
    setOrder(chosen);
  };
  const head = (column: BedOrder, label: string) => (
    <th scope="col" aria-sort={column !== order ? 'none' : isReversed ? 'descending' : 'ascending'}>
      <button type="button" className="sort-head" onClick={() => choose(column)}>
        {label}
        <span aria-hidden="true">{column !== order ? '' : isReversed ? ' ▴' : ' ▾'}</span>
      </button>
    </th>
  );
  const parts = gardenParts(inBedOrder({ briefed, order, isReversed, books }), ({ bed }) => bed.part);
  return (
    <table className="ledger bed-rows">
      <thead>
        <tr>
          {head('name', 'bed')}
          {head('attention', 'now')}
          {head('lockUp', 'lock-up')}
          {head('next', 'next')}
          {head('nitrogen', `available to roots, ${measures.rateUnit}, 8 weeks`)}
          {head('organicMatter', 'organic matter')}
        </tr>
      </thead>
      {parts.map((part) =>
        parts.length === 1 && part.name === '' ? (
          <tbody key={part.name}>{rowsOf(part.beds, hrefOf)}</tbody>
        ) : (
          <PartRows key={part.name} gardenId={books.garden.id} part={part} hrefOf={hrefOf} />
        ),
      )}
    </table>
  );
}

const rowsOf = (briefed: readonly BriefedBed[], hrefOf: (bedId: string) => string) =>
  briefed.map((one) => <BedRow key={one.bed.id} briefedBed={one} href={hrefOf(one.bed.id)} />);

interface PartRowsProps {
  readonly gardenId: string;
  readonly part: GardenPart<BriefedBed>;
  readonly hrefOf: (bedId: string) => string;
}

/** The beds of one part of the garden, which folds away; the device remembers it. */
function PartRows({ gardenId, part, hrefOf }: PartRowsProps) {
  const { isFolded, turn } = useFold(`${gardenId} ${part.name}`);
  return (
    <tbody>
      <tr className="part-row">
        <th scope="rowgroup" colSpan={6}>
          <button type="button" className="sort-head" aria-expanded={!isFolded} onClick={turn}>
            <span aria-hidden="true">{isFolded ? '▸' : '▾'}</span> {part.name || REST_OF_GARDEN}
          </button>{' '}
          <span className="soft">{counted(part.beds.length, 'bed')}</span>
        </th>
      </tr>
      {!isFolded && rowsOf(part.beds, hrefOf)}
    </tbody>
  );
}

interface BedRowProps {
  readonly briefedBed: BriefedBed;
  readonly href: string;
}

const BedRow = memo(function BedRow({ briefedBed, href }: BedRowProps) {
  const books = useBooks();
  const measures = useMeasures();
  const { bed, brief, refusal } = briefedBed;
  if (!brief) {
    return (
      <tr>
        <td>
          <Link to={href}>{bed.name}</Link>
        </td>
        <td className="words" colSpan={5}>
          {refusal ?? 'working it out …'}
        </td>
      </tr>
    );
  }
  const { mark, word, isStop } = STATUS_WORDS[brief.standing.status];
  const trend = brief.organicMatterNextYearPct - brief.now.organicMatterPct;
  return (
    <tr>
      <td>
        <Link to={href} className="bed-name">
          {bed.name}
        </Link>
      </td>
      <td className="words">
        <span className={`status ${isStop ? 'status-stop' : 'status-good'}`}>
          {mark} {word}
        </span>
      </td>
      <td className="words">{lockUpAnswer(brief.standing, bedNames(books), measures).headline}</td>
      <td className="words">{nextWords(briefedBed, books, measures)}</td>
      <td className="reach" data-name={`available to roots, ${measures.rateUnit}`}>
        <EightWeeks ahead={brief.ahead} description={aheadWords(brief, measures)} />
        {formatFixed(
          measures.rateFigure(brief.now.availableContactG + brief.now.availableRootG),
          measures.rateDecimals,
        )}
      </td>
      <td data-name="organic matter">
        {formatFixed(brief.now.organicMatterPct, 1)} %{' '}
        <span className="soft" title={`In a year: ${formatFixed(brief.organicMatterNextYearPct, 1)} %`}>
          {trend > 0.05 ? '↗ more in a year' : trend < -0.05 ? '↘ less in a year' : '→ the same in a year'}
        </span>
      </td>
    </tr>
  );
});

/** Least that is available to roots over the coming weeks, against what is needed then. */
function aheadWords({ ahead }: NonNullable<BriefedBed['brief']>, measures: Measures): string {
  const least = ahead.reduce((low, one) => (one.availableG < low.availableG ? one : low), ahead[0]!);
  return `Next eight weeks: at least ${measures.rate(least.availableG)} available to roots, when ${measures.rate(least.wantG)} is needed.`;
}

/** The first thing to do on a bed, and when. */
function nextWords(briefedBed: BriefedBed, books: GardenBooks, measures: Measures): string {
  const step = nextStepOf(briefedBed, books);
  if (!step) return 'nothing planned';
  const today = dayOf(books.today);
  const words = stepWords({ step, areaM2: briefedBed.bed.areaM2, books, measures });
  if (step.day < today) return `${words}, planned for ${dateNear(step.day, today)}`;
  return step.day === today ? `${words} today` : `${words}, ${dateNear(step.day, today)}`;
}

function stepWords({
  step,
  areaM2,
  books,
  measures,
}: {
  readonly step: NextStep;
  readonly areaM2: number;
  readonly books: GardenBooks;
  readonly measures: Measures;
}): string {
  switch (step.code) {
    case 'dose':
      return `feed ${measures.nitrogen(step.nitrogenGPerM2 * areaM2)} nitrogen`;
    case 'planting':
      return `plant ${findCrop(step.planting.cropId, books.crops)?.name.toLowerCase() ?? 'a crop'}`;
    case 'entry':
      return entryStepWords(step.entry, books, measures);
  }
}

function entryStepWords(entry: Entry, books: GardenBooks, measures: Measures): string {
  switch (entry.type) {
    case 'lay':
      return `spread ${layName(entry, books).toLowerCase()}`;
    case 'dig':
      return 'dig in';
    case 'takeOff':
      return 'take mulch off';
    case 'feed':
      return `feed ${measures.nitrogen(entry.nitrogenG)} nitrogen`;
    case 'soilTest':
      return 'take a soil sample';
    case 'water':
      return 'water';
  }
}
