import { z } from 'zod';
import { creation, date, filed, finite, id, name, note, stamp, version } from './fields.ts';
import type { ReadBy, Unchanging } from './shapes.ts';
import {
  BREW_IDS,
  BREW_STATES,
  HOW_MANY,
  LEAF_STEPS,
  MARK_STATES,
  PLANT_SIGNS,
  SMELLS,
  SQUEEZES,
  TRIAL_PLACES,
  VIGORS,
  WATER_BEHAVIORS,
  YEAR_CHOICES,
} from './vocabulary.ts';

/** What is written down about a garden beside its postings: what was seen, ticked off, tried and closed. */

/** One thing seen, measured or done in the garden, by what it is. Units are in the names. */
export const observedFields = {
  leafColor: { type: z.literal('leafColor'), step: z.union(LEAF_STEPS.map((step) => z.literal(step))) },
  growth: { type: z.literal('growth'), vigor: z.enum(VIGORS) },
  threads: { type: z.literal('threads'), amount: z.enum(HOW_MANY) },
  worms: { type: z.literal('worms'), count: z.int().min(0).max(500) },
  thickness: {
    type: z.literal('thickness'),
    /** Of one layer, or of all that lies there when null. */
    layerId: id.nullable(),
    thicknessCm: finite.min(0).max(150),
  },
  smell: { type: z.literal('smell'), smell: z.enum(SMELLS) },
  squeeze: { type: z.literal('squeeze'), squeeze: z.enum(SQUEEZES) },
  waterBehavior: { type: z.literal('waterBehavior'), behavior: z.enum(WATER_BEHAVIORS) },
  hours: { type: z.literal('hours'), hours: finite.gt(0).max(24) },
  soilTemperature: { type: z.literal('soilTemperature'), temperatureC: finite.min(-30).max(60) },
  yield: { type: z.literal('yield'), massKg: finite.gt(0).max(1e5) },
  signs: {
    type: z.literal('signs'),
    signs: z.array(z.enum(PLANT_SIGNS)).max(PLANT_SIGNS.length),
    beganOn: date.nullable(),
  },
  note: { type: z.literal('note') },
} as const;
export const observedShape = z.discriminatedUnion('type', [
  z.strictObject(observedFields.leafColor),
  z.strictObject(observedFields.growth),
  z.strictObject(observedFields.threads),
  z.strictObject(observedFields.worms),
  z.strictObject(observedFields.thickness),
  z.strictObject(observedFields.smell),
  z.strictObject(observedFields.squeeze),
  z.strictObject(observedFields.waterBehavior),
  z.strictObject(observedFields.hours),
  z.strictObject(observedFields.soilTemperature),
  z.strictObject(observedFields.yield),
  z.strictObject(observedFields.signs),
  z.strictObject(observedFields.note),
]);

const common = { date, note };
const MOST_MORE_PHOTOS = 7;
const TRIAL_PLOTS_MOST = 200;

/** Fields by the kind of record. */
export const journalFields = {
  observation: {
    kind: z.literal('observation'),
    ...common,
    bedId: id,
    plantingId: id.nullable(),
    photoId: id.nullable(),
    /** Those beside the first. */
    morePhotoIds: z.array(id).max(MOST_MORE_PHOTOS).nullish(),
    observed: observedShape,
  },
  /** A task of the calendar marked as done, postponed or deleted. `date` is when that was done. */
  mark: {
    kind: z.literal('mark'),
    ...common,
    taskKey: z.string().min(1).max(160),
    state: z.enum(MARK_STATES),
    /** The day the task was due when it was marked: one that comes round again is another. */
    dueOn: date,
    /** Postponed until this day. */
    untilDate: date.nullable(),
  },
  /** A brew set up on `date`. */
  brew: {
    kind: z.literal('brew'),
    ...common,
    brewId: z.enum(BREW_IDS),
    litres: finite.gt(0).max(10_000),
    state: z.enum(BREW_STATES),
    /**
     * When it was used up or thrown away, and on which bed it was poured; absent or null for elsewhere, and while it
     * goes.
     */
    endedOn: date.nullish(),
    pouredOnBedId: id.nullish(),
  },
  /** Treatments side by side, begun on `date`. Where each lies follows from the seed. */
  trial: {
    kind: z.literal('trial'),
    ...common,
    bedId: id.nullable(),
    name,
    place: z.enum(TRIAL_PLACES),
    /** The first one is what the others are held against. */
    treatments: z.array(name).min(2).max(8),
    repeats: z.int().min(1).max(25),
    seed: z.int().min(1).max(999_999),
    measure: name,
    unit: z.string().trim().max(20),
    isMoreBetter: z.boolean(),
  },
  /** What was measured on one plot of a trial. */
  plotReading: {
    kind: z.literal('plotReading'),
    ...common,
    trialId: id,
    /** Counted from 0 in the order of placement. */
    plot: z.int().min(0).max(TRIAL_PLOTS_MOST),
    value: finite.min(-1e6).max(1e6),
  },
  /** The books of a bed closed for a year, with the balances as they were that day. */
  yearClose: {
    kind: z.literal('yearClose'),
    ...common,
    bedId: id,
    year: z.int().min(1960).max(2100),
    choice: z.enum(YEAR_CHOICES).nullable(),
    /** In the books when it was closed. */
    carbonGPerM2: finite,
    nitrogenGPerM2: finite,
    organicMatterPct: finite.min(0).max(100),
  },
} as const;

/** A record of any kind, with fields that all kinds have. */
export const anyJournalRecord = <Extra extends z.ZodRawShape>(extra: Extra) =>
  z.discriminatedUnion('kind', [
    z.strictObject({ ...extra, ...journalFields.observation }),
    z.strictObject({ ...extra, ...journalFields.mark }),
    z.strictObject({ ...extra, ...journalFields.brew }),
    z.strictObject({ ...extra, ...journalFields.trial }),
    z.strictObject({ ...extra, ...journalFields.plotReading }),
    z.strictObject({ ...extra, ...journalFields.yearClose }),
  ]);

export const journalRow = anyJournalRecord(creation);
export const journalChange = anyJournalRecord({ version });
export const journalRecord = anyJournalRecord({ ...stamp, gardenId: id });
export const journalFiled = anyJournalRecord(filed);
export type JournalChange = z.infer<typeof journalChange>;
export type JournalRecord = z.infer<typeof journalRecord>;
export type BrewRecord = Extract<JournalRecord, { kind: 'brew' }>;
export type TrialRecord = Extract<JournalRecord, { kind: 'trial' }>;
export type ObservationRecord = Extract<JournalRecord, { kind: 'observation' }>;

export type Observed = Unchanging<z.infer<typeof observedShape>>;
export type ObservedType = Observed['type'];

/** The same records as the model reads them. */
type Fields = typeof journalFields;
export type Observation = ReadBy<Fields['observation']>;
export type TaskMark = ReadBy<Fields['mark']>;
export type Brew = ReadBy<Fields['brew']>;
export type Trial = ReadBy<Fields['trial']>;
export type PlotReading = ReadBy<Fields['plotReading']>;
export type YearClose = ReadBy<Fields['yearClose']>;
export type Journaled = Observation | TaskMark | Brew | Trial | PlotReading | YearClose;
