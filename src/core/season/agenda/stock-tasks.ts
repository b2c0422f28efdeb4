import { type LotBrief, brewDates, findBrew, findChargeRecipe } from '../../yard/index.ts';
import { type DayNumber, dayNumberFromIso } from '../../ground/index.ts';
import type { Brew } from '../../../records/journal.ts';
import type { BurnMovement, MakeMovement, Movement } from '../../../records/movement.ts';
import { isWithinAgenda, type Task } from './tasks.ts';

/** Movements with what only the yard's log knows of them. */
export type LoggedMovement =
  | Exclude<Movement, MakeMovement | BurnMovement>
  | (MakeMovement & { readonly readyOn?: string | null | undefined })
  | (BurnMovement & { readonly log: { readonly coldCheckedOn: string | null } });

/** What the tasks of the yard are worked out from. */
export interface StockAgendaSetting {
  readonly movements: readonly LoggedMovement[];
  readonly brews: readonly Brew[];
  readonly lots: readonly { readonly id: string; readonly isTurned: boolean; readonly isHot: boolean }[];
  readonly briefs: ReadonlyMap<string, LotBrief>;
  readonly today: DayNumber;
}

/** A hot heap is turned often at first and then every few months (common practice, no source). */
const YOUNG_HEAP_DAYS = 60;
const TURN_YOUNG_DAYS = 10;
const TURN_OLD_DAYS = 75;
const TOLD_DAYS = 60;
const dayOf = (iso: string): DayNumber => dayNumberFromIso(iso, ['date']);

const task = (
  about: Pick<Task, 'key' | 'what' | 'day'> & Partial<Pick<Task, 'lotId' | 'record' | 'group'>>,
): Task => ({
  group: 'yard',
  bedId: null,
  lotId: null,
  record: null,
  warnings: [],
  lateCost: null,
  ...about,
});

/** Everything that stock, heaps, fires, charges and brews imply, by day. */
export function stockTasks(setting: StockAgendaSetting): Task[] {
  const { movements, brews, today } = setting;
  return [
    ...movements.flatMap((movement) => movementTasks(movement, today)),
    ...heapTasks(setting),
    ...readyTasks(setting),
    ...brews.flatMap(brewTasks),
  ]
    .filter(({ day }) => isWithinAgenda(day, today))
    .sort((a, b) => a.day - b.day);
}

function movementTasks(movement: LoggedMovement, today: DayNumber): Task[] {
  const { id, lotId } = movement;
  const day = dayOf(movement.date);
  if (movement.state === 'planned') {
    return [
      task({
        key: `movement:${id}`,
        what: { code: 'movement', movement },
        day,
        lotId,
        record: { type: 'movement', id },
      }),
    ];
  }
  if (movement.type === 'burn') return burnTasks(movement, day, lotId);
  return movement.type === 'make' ? chargeTasks(movement, day, today) : [];
}

function burnTasks(
  { id, log, yield: given }: Extract<LoggedMovement, { type: 'burn' }>,
  day: DayNumber,
  lotId: string,
): Task[] {
  return [
    ...(log.coldCheckedOn === null
      ? [task({ key: `cold:${id}`, what: { code: 'coldCheck' }, day: day + 1, lotId })]
      : []),
    ...(given === null
      ? [task({ key: `yield:${id}`, what: { code: 'measureChar' }, day: day + 1, lotId })]
      : []),
  ];
}

function chargeTasks(
  { id, lotId, chargeRecipe, readyOn }: Extract<LoggedMovement, { type: 'make' }>,
  day: DayNumber,
  today: DayNumber,
): Task[] {
  if (!chargeRecipe || !readyOn) return [];
  const { stirrings } = findChargeRecipe(chargeRecipe);
  const ready = dayOf(readyOn);
  if (ready < today - TOLD_DAYS) return [];
  const stirs = Array.from({ length: stirrings }, (_, i) =>
    task({
      key: `stir:${id}:${i + 1}`,
      what: { code: 'stirCharge' },
      day: day + Math.round(((i + 1) * (ready - day)) / (stirrings + 1)),
      lotId,
    }),
  );
  return [...stirs, task({ key: `ready:${id}`, what: { code: 'charReady' }, day: ready, lotId })];
}

/** The next turning of every heap that is turned, until it is compost. */
function heapTasks({ lots, briefs, movements, today }: StockAgendaSetting): Task[] {
  return lots.flatMap(({ id, isTurned, isHot }) => {
    const brief = briefs.get(id);
    const made = movements
      .filter((one) => one.type === 'make' && one.lotId === id && one.state === 'laid')
      .at(-1);
    if (!isTurned || !isHot || !brief?.now || !made || (brief.finishedOn ?? Infinity) <= today) return [];
    const turned = movements.filter((one) => one.type === 'turn' && one.lotId === id && one.state === 'laid');
    const last = Math.max(dayOf(made.date), ...turned.map(({ date }) => dayOf(date)));
    const days = last - dayOf(made.date) < YOUNG_HEAP_DAYS ? TURN_YOUNG_DAYS : TURN_OLD_DAYS;
    return [
      task({ key: `turn:${id}:${last}`, what: { code: 'turnHeap', days }, day: last + days, lotId: id }),
    ];
  });
}

function readyTasks({ briefs, today }: StockAgendaSetting): Task[] {
  return [...briefs.values()].flatMap(({ lotId, seasonedOn, finishedOn, promises }) => {
    const missingL = promises.promised.reduce((sum, one) => sum + one.missingL, 0);
    return [
      ...(seasonedOn !== null && seasonedOn > today
        ? [task({ key: `seasoned:${lotId}`, what: { code: 'seasoned' }, day: seasonedOn, lotId })]
        : []),
      ...(finishedOn !== null && finishedOn > today
        ? [task({ key: `finished:${lotId}`, what: { code: 'finished' }, day: finishedOn, lotId })]
        : []),
      ...(promises.shortOn !== null
        ? [task({ key: `short:${lotId}`, what: { code: 'short', missingL }, day: promises.shortOn, lotId })]
        : []),
    ];
  });
}

/** What a brew that is going asks for after its first day. */
function brewTasks({ id, brewId, date, state }: Brew): Task[] {
  if (state !== 'going') return [];
  const brew = findBrew(brewId);
  const start = dayOf(date);
  const { readyFrom, useBy } = brewDates(brewId, start);
  const record = { type: 'brew', id } as const;
  return [
    ...brew.steps
      .filter(({ day }) => day > 0 && day < brew.days[1])
      .map(({ code, day }) =>
        task({
          key: `brew:${id}:${code}:${day}`,
          what: { code: 'brewStep', brewId, step: code },
          day: start + day,
        }),
      ),
    task({
      key: `brew:${id}`,
      what: { code: 'brewReady', brewId, lastDay: useBy },
      day: readyFrom,
      record,
    }),
    ...(useBy > readyFrom
      ? [task({ key: `brew:${id}:useBy`, what: { code: 'brewUseBy', brewId }, day: useBy, record })]
      : []),
  ];
}
