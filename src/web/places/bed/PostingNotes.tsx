import { amountInWords } from '../../../words/amount-words.ts';
import { useBooks, useMeasures } from '../../app/garden-context.ts';
import { overPromisedL } from '../../../core/yard/index.ts';
import { dayOf } from '../../../words/dates.ts';
import type { StockedLot } from '../../worker/stock-answers.ts';
import type { BedRecord } from '../../../records/bed.ts';
import type { EntryRecord } from '../../../records/entry.ts';
import type { AmountUnit } from '../../../records/vocabulary.ts';
import { type Caution, feedingCautions, layingCautions } from '../../../core/bed/index.ts';
import { type Material, amountFromMassFreshKg } from '../../../core/ground/index.ts';
import { cautionInWords } from '../../../words/words.ts';

interface PostingNotesProps {
  readonly entry: EntryRecord;
  readonly bed: BedRecord;
  readonly material: Material | undefined;
}

/** What to mind about an entry, while it is being written. */
export function Cautions(props: PostingNotesProps) {
  const measures = useMeasures();
  const cautions = cautionsFor(props);
  if (cautions.length === 0) return null;
  return (
    <ul className="cautions" aria-label="Mind">
      {cautions.map((caution) => (
        <li key={caution.code}>
          <span aria-hidden="true">⚠ </span>
          {cautionInWords(caution, measures)}
        </li>
      ))}
    </ul>
  );
}

interface StockShortProps {
  readonly entry: EntryRecord;
  readonly stocked: readonly StockedLot[];
}

/** Told before a plan is written that its pile cannot keep. */
export function StockShort({ entry, stocked }: StockShortProps) {
  const books = useBooks();
  const measures = useMeasures();
  if (entry.type !== 'lay' || !entry.lotId) return null;
  const brief = stocked.find(({ lotId }) => lotId === entry.lotId);
  if (!brief?.now) return null;
  const { freeL, promised } = brief.promises;
  const own = promised.find(({ cause }) => cause.type === 'bed' && cause.entryId === entry.id);
  const day = dayOf(entry.date);
  const wantedL = (entry.massFreshKg * 1000) / brief.now.bulkDensityKgPerM3;
  const overL = overPromisedL(brief.promises, { wantedL, ownL: own?.litres ?? 0, day });
  if (overL === 0) return null;
  const name = books.lots.find(({ id }) => id === entry.lotId)?.name ?? 'the pile';
  return (
    <p className="cautions status-stop" role="status">
      ▲ {measures.volume(overL)} of this would not be there: {measures.volume(freeL + (own?.litres ?? 0))} of{' '}
      {name} is available, the rest is reserved for other plans or kept back.
    </p>
  );
}

function cautionsFor({ entry, bed, material }: PostingNotesProps): Caution[] {
  if (entry.type === 'feed') return feedingCautions(entry.nitrogenG / bed.areaM2);
  if (entry.type !== 'lay' || !material) return [];
  const { date, dugDepthCm, massFreshKg } = entry;
  const measured = { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: bed.areaM2 };
  const thicknessCm = amountFromMassFreshKg(massFreshKg, 'cm', measured);
  return layingCautions({ date, material, dugDepthCm, thicknessCm }, bed);
}

/** The same amount in the other ways of saying it: what there is to carry. */
export function Carried({ entry, bed, material }: PostingNotesProps) {
  const measures = useMeasures();
  if (entry.type !== 'lay' || !material) return null;
  const measured = { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: bed.areaM2 };
  const inUnit = (unit: AmountUnit) =>
    amountInWords({ amount: amountFromMassFreshKg(entry.massFreshKg, unit, measured), unit }, measures);
  const [depth, bucket, barrow] = measures.units;
  return (
    <span className="soft carried figure">
      {inUnit(depth!)} over the bed = {inUnit(barrow!)} = {inUnit(bucket!)} ={' '}
      {measures.mass(entry.massFreshKg)}
    </span>
  );
}
