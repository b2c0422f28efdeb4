import { Link } from 'react-router';
import type { GardenBooks } from '../../../contract/records.ts';
import { nextStep, type NextStep } from '../../../core/advice/next-step.ts';
import type { EntryRecord } from '../../../core/records/bed-records.ts';
import type { BedStatus } from '../../../core/advice/bed-advice.ts';
import { findCrop } from '../../../core/crops/crop-library.ts';
import { CONTACT_ZONE_CM } from '../../../core/simulation/scenario.ts';
import { lockUpAnswer } from '../../format/advice-words.ts';
import { dateNear, dayOf } from '../../format/dates.ts';
import { fixed } from '../../format/figures.ts';
import type { Measures } from '../../format/measures.ts';
import { STATUS_WORDS } from '../../format/words.ts';
import { bedNames, materialName } from '../bed/naming.ts';
import type { BriefedBed } from './use-bed-briefs.ts';

interface BedRowsProps {
  readonly briefed: readonly BriefedBed[];
  readonly books: GardenBooks;
  readonly measures: Measures;
  readonly hrefOf: (bedId: string) => string;
}

const URGENCY: readonly BedStatus[] = ['pale', 'short', 'held', 'fed', 'resting', 'path'];

const urgency = ({ brief }: BriefedBed): number =>
  brief ? URGENCY.indexOf(brief.standing.status) : URGENCY.length;

/** One line a bed, those that need attention first. */
export function BedRows({ briefed, books, measures, hrefOf }: BedRowsProps) {
  const ordered = [...briefed].sort((a, b) => urgency(a) - urgency(b));
  return (
    <table className="ledger bed-rows">
      <thead>
        <tr>
          <th scope="col">bed</th>
          <th scope="col">now</th>
          <th scope="col">lock-up</th>
          <th scope="col">next</th>
          <th scope="col">
            top {measures.thickness(CONTACT_ZONE_CM)}, {measures.rateUnit}
          </th>
          <th scope="col">root zone</th>
          <th scope="col">organic matter</th>
        </tr>
      </thead>
      <tbody>
        {ordered.map((one) => (
          <BedRow
            key={one.bed.id}
            briefedBed={one}
            books={books}
            measures={measures}
            href={hrefOf(one.bed.id)}
          />
        ))}
      </tbody>
    </table>
  );
}

function BedRow({
  briefedBed,
  books,
  measures,
  href,
}: {
  briefedBed: BriefedBed;
  books: GardenBooks;
  measures: Measures;
  href: string;
}) {
  const { bed, brief, refusal } = briefedBed;
  if (!brief) {
    return (
      <tr>
        <td>
          <Link to={href}>{bed.name}</Link>
        </td>
        <td className="words" colSpan={6}>
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
      <td>{fixed(measures.rateFigure(brief.now.availableContactG), measures.rateDecimals)}</td>
      <td>{fixed(measures.rateFigure(brief.now.availableRootG), measures.rateDecimals)}</td>
      <td>
        {fixed(brief.now.organicMatterPct, 1)} %{' '}
        <span className="soft" title={`In a year: ${fixed(brief.organicMatterNextYearPct, 1)} %`}>
          {trend > 0.05 ? '↗ rising' : trend < -0.05 ? '↘ falling' : '→ steady'}
        </span>
      </td>
    </tr>
  );
}

/** The first thing to do on a bed, and when. */
function nextWords({ bed, brief }: BriefedBed, books: GardenBooks, measures: Measures): string {
  const ofBed = ({ bedId }: { bedId: string }) => bedId === bed.id;
  const step = brief && nextStep(brief.standing, books.entries.filter(ofBed), books.plantings.filter(ofBed));
  if (!step) return 'nothing planned';
  const today = dayOf(books.today);
  const words = stepWords(step, bed.areaM2, books, measures);
  if (step.day < today) return `${words}, planned for ${dateNear(step.day, today)}`;
  return step.day === today ? `${words} today` : `${words}, ${dateNear(step.day, today)}`;
}

function stepWords(step: NextStep, areaM2: number, books: GardenBooks, measures: Measures): string {
  switch (step.code) {
    case 'dose':
      return `feed ${measures.nitrogen(step.nitrogenGPerM2 * areaM2)} nitrogen`;
    case 'planting':
      return `plant ${findCrop(step.planting.cropId)?.name.toLowerCase() ?? 'a crop'}`;
    case 'entry':
      return entryStepWords(step.entry, books, measures);
  }
}

function entryStepWords(entry: EntryRecord, books: GardenBooks, measures: Measures): string {
  switch (entry.type) {
    case 'lay':
      return `lay ${materialName(entry.materialId, books.materials).toLowerCase()}`;
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
