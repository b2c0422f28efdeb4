import { z } from 'zod';
import { BREW_IDS } from '../core/brews/brew-recipes.ts';
import {
  BREW_STATES,
  HOW_MANY,
  MARK_STATES,
  PLANT_SIGNS,
  SMELLS,
  TRIAL_PLACES,
  VIGORS,
  WATER_BEHAVIORS,
  YEAR_CHOICES,
} from '../core/journal/journal-records.ts';
import { SQUEEZES } from '../core/judging/judging.ts';
import { creation, date, filed, finite, id, MOST_AT_ONCE, name, note, stamp, version } from './fields.ts';

const leafStep = z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4)]);
const observed = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('leafColor'), step: leafStep }),
  z.strictObject({ type: z.literal('growth'), vigor: z.enum(VIGORS) }),
  z.strictObject({ type: z.literal('threads'), amount: z.enum(HOW_MANY) }),
  z.strictObject({ type: z.literal('worms'), count: z.int().min(0).max(500) }),
  z.strictObject({
    type: z.literal('thickness'),
    layerId: id.nullable(),
    thicknessCm: finite.min(0).max(150),
  }),
  z.strictObject({ type: z.literal('smell'), smell: z.enum(SMELLS) }),
  z.strictObject({ type: z.literal('squeeze'), squeeze: z.enum(SQUEEZES) }),
  z.strictObject({ type: z.literal('waterBehavior'), behavior: z.enum(WATER_BEHAVIORS) }),
  z.strictObject({ type: z.literal('hours'), hours: finite.gt(0).max(24) }),
  z.strictObject({ type: z.literal('soilTemperature'), temperatureC: finite.min(-30).max(60) }),
  z.strictObject({ type: z.literal('yield'), massKg: finite.gt(0).max(1e5) }),
  z.strictObject({
    type: z.literal('signs'),
    signs: z.array(z.enum(PLANT_SIGNS)).max(PLANT_SIGNS.length),
    beganOn: date.nullable(),
  }),
  z.strictObject({ type: z.literal('note') }),
]);

const TRIAL_PLOTS_MOST = 200;
const fields = {
  observation: {
    kind: z.literal('observation'),
    date,
    note,
    bedId: id,
    plantingId: id.nullable(),
    photoId: id.nullable(),
    observed,
  },
  mark: {
    kind: z.literal('mark'),
    date,
    note,
    taskKey: z.string().min(1).max(160),
    state: z.enum(MARK_STATES),
    dueOn: date,
    untilDate: date.nullable(),
  },
  brew: {
    kind: z.literal('brew'),
    date,
    note,
    brewId: z.enum(BREW_IDS),
    litres: finite.gt(0).max(10_000),
    state: z.enum(BREW_STATES),
  },
  trial: {
    kind: z.literal('trial'),
    date,
    note,
    bedId: id.nullable(),
    name,
    place: z.enum(TRIAL_PLACES),
    treatments: z.array(name).min(2).max(8),
    repeats: z.int().min(1).max(25),
    seed: z.int().min(1).max(999_999),
    measure: name,
    unit: z.string().trim().max(20),
    isMoreBetter: z.boolean(),
  },
  plotReading: {
    kind: z.literal('plotReading'),
    date,
    note,
    trialId: id,
    plot: z.int().min(0).max(TRIAL_PLOTS_MOST),
    value: finite.min(-1e6).max(1e6),
  },
  yearClose: {
    kind: z.literal('yearClose'),
    date,
    note,
    bedId: id,
    year: z.int().min(1960).max(2100),
    choice: z.enum(YEAR_CHOICES).nullable(),
    carbonGPerM2: finite,
    nitrogenGPerM2: finite,
    organicMatterPct: finite.min(0).max(100),
  },
} as const;

const anyRecord = <Extra extends z.ZodRawShape>(extra: Extra) =>
  z.discriminatedUnion('kind', [
    z.strictObject({ ...extra, ...fields.observation }),
    z.strictObject({ ...extra, ...fields.mark }),
    z.strictObject({ ...extra, ...fields.brew }),
    z.strictObject({ ...extra, ...fields.trial }),
    z.strictObject({ ...extra, ...fields.plotReading }),
    z.strictObject({ ...extra, ...fields.yearClose }),
  ]);

export const journalRow = anyRecord(creation);
export const journalChange = anyRecord({ version });
export const journalRecord = anyRecord({ ...stamp, gardenId: id });
export const journalFiled = anyRecord(filed);
export type JournalChange = z.infer<typeof journalChange>;
export type JournalRecord = z.infer<typeof journalRecord>;

/** Records written together: all of them or none. The sender names them, so that sending again keeps one. */
export const journalPosting = z.strictObject({
  records: z.array(anyRecord({ id })).min(1).max(MOST_AT_ONCE),
});
export type JournalPosting = z.infer<typeof journalPosting>;
export type JournalDraft = JournalPosting['records'][number];
export type BrewRecord = Extract<JournalRecord, { kind: 'brew' }>;
export type TrialRecord = Extract<JournalRecord, { kind: 'trial' }>;
export type ObservationRecord = Extract<JournalRecord, { kind: 'observation' }>;

/** A photo as it is kept; the picture itself lies beside the database. */
export interface PhotoRecord {
  readonly id: string;
  readonly gardenId: string;
  readonly mediaType: string;
  readonly bytes: number;
  readonly createdAt: string;
}

/** An address a calendar program reads from; its secret is shown once, when it is made. */
export interface FeedRecord {
  readonly id: string;
  readonly gardenId: string;
  readonly name: string;
  readonly createdAt: string;
  readonly lastReadAt: string | null;
}
export const feedDraft = z.strictObject({ name });
