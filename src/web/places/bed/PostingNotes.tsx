import type { BedRecord, EntryRecord } from '../../../contract/records.ts';
import { feedingCautions, layingCautions, type Caution } from '../../../core/advice/cautions.ts';
import type { Material } from '../../../core/materials/material.ts';
import { amountFromMassFreshKg, type AmountUnit } from '../../../core/units/amount.ts';
import { plainFigure } from '../../format/figures.ts';
import { UNIT_WORDS, type Measures } from '../../format/measures.ts';
import { cautionInWords } from '../../format/words.ts';

interface PostingNotesProps {
  readonly entry: EntryRecord;
  readonly bed: BedRecord;
  readonly material: Material | undefined;
  readonly measures: Measures;
}

/** What an entry means to carry, and what to mind, while it is being written. */
export function PostingNotes(props: PostingNotesProps) {
  const cautions = cautionsFor(props);
  return (
    <>
      <Carried {...props} />
      {cautions.length > 0 && (
        <ul className="cautions" aria-label="Mind">
          {cautions.map((caution) => (
            <li key={caution.code}>
              <span aria-hidden="true">⚠ </span>
              {cautionInWords(caution)}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

function cautionsFor({ entry, bed, material }: PostingNotesProps): Caution[] {
  if (entry.type === 'feed') return feedingCautions(entry.nitrogenG / bed.areaM2);
  if (entry.type !== 'lay' || !material) return [];
  const { date, materialId, dugDepthCm, massFreshKg } = entry;
  const measured = { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: bed.areaM2 };
  const thicknessCm = amountFromMassFreshKg(massFreshKg, 'cm', measured);
  return layingCautions({ date, materialId, material, dugDepthCm, thicknessCm }, bed);
}

/** The same amount in the other ways of saying it. */
function Carried({ entry, bed, material, measures }: PostingNotesProps) {
  if (entry.type !== 'lay' || !material) return null;
  const measured = { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: bed.areaM2 };
  const inUnit = (unit: AmountUnit) =>
    `${plainFigure(amountFromMassFreshKg(entry.massFreshKg, unit, measured), 2)} ${UNIT_WORDS[unit]}`;
  const [depth, bucket, barrow] = measures.units;
  return (
    <p className="soft carried figure">
      {inUnit(depth!)} over the bed = {inUnit(barrow!)} = {inUnit(bucket!)} ={' '}
      {measures.mass(entry.massFreshKg)}
    </p>
  );
}
