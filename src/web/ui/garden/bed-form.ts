import { bedDraft, bedFields, type BedRecord } from '../../../records/bed.ts';
import type { BedKind, CroppingBefore, Exposure } from '../../../records/vocabulary.ts';
import { bulkDensityOfClay, litresOfPot } from '../../../core/bed/index.ts';
import { bedAsChange } from '../../api/as-change.ts';
import { askedOf } from '../forms/asked-of.ts';
import { numberFromText } from '../forms/parse-number.ts';
import {
  figureOf,
  readQuantity,
  typedFrom,
  type Reader,
  type ReadQuantity,
  type TypedQuantity,
} from '../forms/typed-quantity.ts';
import { USUAL_CM } from '../forms/usual-figures.ts';
import {
  blankShape,
  readShape,
  shapeOfKind,
  shapeOfPots,
  type ReadShape,
  type ShapeForm,
} from './shape-form.ts';

/** What has been typed and chosen of a bed, as typed. */
export interface BedFields {
  readonly name: string;
  readonly part: string;
  readonly kind: BedKind;
  readonly area: TypedQuantity;
  /** What the area follows from; null where it is typed itself. */
  readonly shape: ShapeForm | null;
  /** Beds alike, made at once. */
  readonly alike: string;
  readonly organicMatter: string;
  readonly clay: string;
  /** Of a mix it was filled with; null where it follows from the clay. */
  readonly bulkDensityGPerCm3: number | null;
  readonly rootZone: TypedQuantity;
  readonly exposure: Exposure;
  readonly isWatered: boolean;
  readonly ph: string;
  readonly startedOn: string;
  readonly croppingBefore: CroppingBefore;
}

export const newBed = (reader: Reader): BedFields => ({
  name: '',
  part: '',
  kind: 'annual',
  area: typedFrom(null, 'area', reader),
  shape: null,
  alike: '1',
  organicMatter: '4',
  clay: '20',
  bulkDensityGPerCm3: null,
  rootZone: typedFrom(USUAL_CM[reader.system].rootZone, 'length', reader),
  exposure: 'normal',
  isWatered: true,
  ph: '',
  startedOn: '',
  croppingBefore: 'unknown',
});

export const fieldsOf = (bed: BedRecord, reader: Reader): BedFields => ({
  name: bed.name,
  part: bed.part,
  kind: bed.kind,
  area: typedFrom(bed.areaM2, 'area', reader),
  shape:
    bed.potCount === null
      ? null
      : shapeOfPots(bed.potCount, litresOfPot({ ...bed, potCount: bed.potCount }), reader),
  alike: '1',
  organicMatter: String(bed.organicMatterPct),
  clay: String(bed.clayPct),
  bulkDensityGPerCm3: bed.bulkDensityGPerCm3,
  rootZone: typedFrom(bed.rootZoneCm, 'length', reader),
  exposure: bed.exposure,
  isWatered: bed.isWatered,
  ph: bed.ph === null ? '' : String(bed.ph),
  startedOn: bed.startedOn ?? '',
  croppingBefore: bed.croppingBefore,
});

const AREA = askedOf(bedFields.areaM2);
const ROOT_ZONE = askedOf(bedFields.rootZoneCm);

/** The figures of a form as they were understood. */
export interface ReadFigures {
  readonly rootZoneCm: ReadQuantity;
  /** Null where the area follows from the shape. */
  readonly areaM2: ReadQuantity | null;
  readonly shape: ReadShape | null;
}

export function figuresOf({ area, rootZone, shape }: BedFields, reader: Reader): ReadFigures {
  const rootZoneCm = readQuantity(rootZone, ROOT_ZONE, reader);
  return shape
    ? { rootZoneCm, areaM2: null, shape: readShape(shape, figureOf(rootZoneCm) ?? Number.NaN, reader) }
    : { rootZoneCm, areaM2: readQuantity(area, AREA, reader), shape: null };
}

/** Another kind is measured otherwise: pots by their volume, a ring round its trunk. */
export function withKind(fields: BedFields, kind: BedKind, reader: Reader): Partial<BedFields> {
  const wanted = shapeOfKind(kind);
  if (wanted !== null)
    return { kind, shape: fields.shape?.type === wanted ? fields.shape : blankShape(wanted, reader) };
  return { kind, shape: fields.shape?.type === 'pots' ? null : fields.shape };
}

/** The draft the fields amount to; a bed being changed keeps what the form does not ask. */
export function readFields({
  fields,
  id,
  figures,
  changing,
}: {
  readonly fields: BedFields;
  readonly id: string;
  readonly figures: ReadFigures;
  readonly changing: BedRecord | null;
}) {
  const clayPct = numberFromText(fields.clay);
  const { version: _, ...kept } = changing ? bedAsChange(changing) : { version: 0, note: '' };
  return bedDraft.safeParse({
    ...kept,
    id,
    name: fields.name,
    part: fields.part,
    kind: fields.kind,
    areaM2: figures.areaM2 ? figureOf(figures.areaM2) : (figures.shape?.areaM2 ?? Number.NaN),
    potCount: figures.shape?.potCount ?? null,
    organicMatterPct: numberFromText(fields.organicMatter),
    bulkDensityGPerCm3: fields.bulkDensityGPerCm3 ?? bulkDensityOfClay(clayPct),
    clayPct,
    rootZoneCm: figureOf(figures.rootZoneCm),
    exposure: fields.exposure,
    isWatered: fields.isWatered,
    ph: fields.ph.trim() === '' ? null : numberFromText(fields.ph),
    startedOn: fields.startedOn === '' ? null : fields.startedOn,
    croppingBefore: fields.croppingBefore,
  });
}

export const MOST_ALIKE = 50;

/** Names of beds alike: "Row 1", "Row 2"; a single one keeps its name. Null for a number of beds that cannot be. */
export function namesAlike({ name, alike, shape }: BedFields): string[] | null {
  // Pots are counted as pots.
  const count = shape?.type === 'pots' ? 1 : numberFromText(alike);
  if (!Number.isInteger(count) || count < 1 || count > MOST_ALIKE) return null;
  return count === 1 ? [name] : Array.from({ length: count }, (_, i) => `${name} ${i + 1}`);
}
