import { type DayNumber, dayNumberFromIso } from '../../ground/index.ts';
import { type BedSample, atEndOf, isCrumbs, recognizableShareOf } from '../../bed/index.ts';
import type { BedKind } from '../../../records/vocabulary.ts';
import type { LayEntry } from '../../../records/entry.ts';
import { bedTask } from './bed-task.ts';
import type { BedAgendaSetting } from './bed-agenda-setting.ts';
import type { Task } from './tasks.ts';

/** A cover thinner than this no longer does its work, and so thick it is made again, cm (common practice, no source). */
const COVER_CM: Partial<Record<BedKind, { readonly least: number; readonly full: number }>> = {
  annual: { least: 3, full: 6 },
  raised: { least: 3, full: 6 },
  perennial: { least: 4, full: 8 },
  shrubs: { least: 5, full: 10 },
  treeRing: { least: 5, full: 10 },
  path: { least: 6, full: 10 },
};
/** Right after laying nothing is topped up, days (set here). */
const LEFT_ALONE_DAYS = 90;
/** Path layers are lifted after two to three years (common practice, no source); the middle of it here. */
const LIFT_AFTER_DAYS = 913;
const DAYS_PER_YEAR = 365.25;
const MULCHES: ReadonlySet<string> = new Set(['wood', 'residue', 'leaf']);

const isMulch = ({ kind, isOnTop }: BedSample['layers'][number]): boolean => isOnTop && MULCHES.has(kind);

const mulchCm = ({ layers }: BedSample): number =>
  layers.filter(isMulch).reduce((sum, { thicknessCm }) => sum + thicknessCm, 0);

/** What the cover of a bed, or a path, asks for. */
export const coverTasks = (setting: BedAgendaSetting): Task[] => [...topUp(setting), ...liftPath(setting)];

interface LaidMulch {
  readonly entry: LayEntry;
  readonly day: DayNumber;
}

function mulchesLaid({ books, findMaterial }: BedAgendaSetting): LaidMulch[] {
  return books.entries
    .filter((entry): entry is LayEntry => entry.type === 'lay' && entry.dugDepthCm === 0)
    .filter(({ materialId }) => MULCHES.has(findMaterial(materialId)?.kind ?? ''))
    .map((entry) => ({ entry, day: dayNumberFromIso(entry.date, ['date']) }))
    .sort((a, b) => a.day - b.day);
}

/** When the mulch that lies there gets too thin, unless more is planned before that. */
function topUp(setting: BedAgendaSetting): Task[] {
  const { books, projection, today } = setting;
  const cover = COVER_CM[books.bed.kind];
  const laid = mulchesLaid(setting).filter(({ entry }) => entry.state === 'laid');
  const last = laid.at(-1);
  if (!cover || !last) return [];
  const first = Math.max(today, last.day + LEFT_ALONE_DAYS);
  const wasFull = projection.samples.some((sample) => sample.day <= today && mulchCm(sample) > cover.least);
  const thin = projection.samples.find((sample) => sample.day >= first && mulchCm(sample) < cover.least);
  const isPlanned = mulchesLaid(setting).some(
    ({ entry, day }) => entry.state === 'planned' && thin !== undefined && day <= thin.day + LEFT_ALONE_DAYS,
  );
  if (!thin || !wasFull || isPlanned) return [];
  const nowCm = mulchCm(atEndOf(projection, thin.day));
  return [
    bedTask(setting, {
      key: `topup:${last.entry.id}`,
      group: 'laying',
      what: { code: 'topUp', nowCm, addCm: cover.full - nowCm, materialId: last.entry.materialId },
      day: thin.day,
    }),
  ];
}

/** When the oldest layer of a path is crumbs by the model; after the usual time where it is not within what is projected. */
function liftPath(setting: BedAgendaSetting): Task[] {
  const { books, projection, today } = setting;
  if (books.bed.kind !== 'path') return [];
  const there = new Set(
    atEndOf(projection, today)
      .layers.filter(isMulch)
      .map(({ id }) => id),
  );
  const oldest = mulchesLaid(setting).find(({ entry }) => there.has(entry.id));
  if (!oldest) return [];
  const layerOn = ({ layers }: BedSample) => layers.find(({ id }) => id === oldest.entry.id);
  const crumbs = projection.samples.find((sample) => {
    const layer = sample.day > oldest.day ? layerOn(sample) : undefined;
    return layer && isCrumbs(layer);
  });
  const day = crumbs?.day ?? oldest.day + LIFT_AFTER_DAYS;
  const then = layerOn(atEndOf(projection, Math.min(day, projection.endDay - 1)));
  return [
    bedTask(setting, {
      key: `lift:${oldest.entry.id}`,
      group: 'laying',
      what: {
        code: 'liftPath',
        layerIds: [oldest.entry.id],
        years: (day - oldest.day) / DAYS_PER_YEAR,
        recognizableShare: then ? recognizableShareOf(then) : 0,
        isCrumbs: crumbs !== undefined,
      },
      day,
    }),
  ];
}
