import { calendarDateOf, dayNumberFromIso } from '../climate/calendar.ts';
import { InputError } from '../input-error.ts';
import type { BedRecord, EntryRecord, PlantingRecord } from '../records/bed-records.ts';
import type { JournalRecord, Observation, PlotReading, TrialRecord, YearClose } from './journal-records.ts';

/** What a record of the journal is held against before it is kept. */
export interface JournalSetting {
  /** ISO date. */
  readonly today: string;
  readonly beds: readonly BedRecord[];
  readonly entries: readonly (EntryRecord & { readonly bedId: string })[];
  readonly plantings: readonly (PlantingRecord & { readonly bedId: string })[];
  readonly trials: readonly TrialRecord[];
  readonly hasPhoto: (photoId: string) => boolean;
}

/** Throws InputError naming the field for what cannot have been so. */
export function checkJournal(record: JournalRecord, setting: JournalSetting): void {
  switch (record.kind) {
    case 'observation':
      return checkObservation(record, setting);
    case 'mark':
      return checkPast(record.date, setting);
    case 'brew':
      return;
    case 'trial':
      return checkTrial(record, setting);
    case 'plotReading':
      return checkReading(record, setting);
    case 'yearClose':
      return checkClose(record, setting);
  }
}

function checkPast(date: string, { today }: JournalSetting): void {
  if (date > today) {
    throw new InputError(
      ['date'],
      'bad_date',
      `lies in the future; got ${date}, and today is ${today}. What has not happened yet belongs into the plan`,
    );
  }
}

function requireBed(bedId: string, { beds }: JournalSetting): BedRecord {
  const bed = beds.find(({ id }) => id === bedId);
  if (!bed) throw new InputError(['bedId'], 'unknown', `names no bed of this garden; got "${bedId}"`);
  return bed;
}

function checkObservation(record: Observation, setting: JournalSetting): void {
  const { date, bedId, plantingId, photoId, observed } = record;
  const { startedOn } = requireBed(bedId, setting);
  checkPast(date, setting);
  if (startedOn !== null && date < startedOn) {
    throw new InputError(
      ['date'],
      'bad_order',
      `lies before the bed was made on ${startedOn}; got ${date}. Is the year right?`,
    );
  }
  if (plantingId !== null) checkPlanting(plantingId, record, setting);
  if (photoId !== null && !setting.hasPhoto(photoId)) {
    throw new InputError(['photoId'], 'unknown', 'names no photo that has been sent');
  }
  if (observed.type === 'thickness' && observed.layerId !== null)
    checkLayer(observed.layerId, record, setting);
  if (observed.type === 'signs' && observed.beganOn !== null && observed.beganOn > date) {
    throw new InputError(['observed', 'beganOn'], 'bad_order', 'lies after the day it was seen');
  }
}

function checkPlanting(
  plantingId: string,
  { bedId, date }: Observation,
  { plantings }: JournalSetting,
): void {
  const planting = plantings.find(({ id }) => id === plantingId);
  if (planting?.bedId !== bedId) {
    throw new InputError(['plantingId'], 'unknown', 'names nothing that grows on this bed');
  }
  if (date < planting.plantedOn) {
    throw new InputError(
      ['date'],
      'bad_order',
      `lies before this was planted on ${planting.plantedOn}; got ${date}`,
    );
  }
}

function checkLayer(layerId: string, { bedId, date }: Observation, { entries }: JournalSetting): void {
  const layer = entries.find(({ id }) => id === layerId);
  if (layer?.bedId !== bedId || layer.type !== 'lay') {
    throw new InputError(['observed', 'layerId'], 'unknown', 'names no layer of this bed');
  }
  if (date < layer.date) {
    throw new InputError(
      ['date'],
      'bad_order',
      `lies before that layer was laid on ${layer.date}; got ${date}`,
    );
  }
}

function checkTrial({ bedId, treatments }: TrialRecord, setting: JournalSetting): void {
  if (bedId !== null) requireBed(bedId, setting);
  const names = treatments.map((name) => name.trim().toLowerCase());
  const twice = names.findIndex((name, i) => names.indexOf(name) !== i);
  if (twice >= 0) {
    throw new InputError(['treatments', twice], 'duplicate', `is there twice; got "${treatments[twice]}"`);
  }
}

function checkReading({ trialId, plot, date }: PlotReading, setting: JournalSetting): void {
  checkPast(date, setting);
  const trial = setting.trials.find(({ id }) => id === trialId);
  if (!trial) throw new InputError(['trialId'], 'unknown', 'names no trial of this garden');
  if (date < trial.date) {
    throw new InputError(['date'], 'bad_order', `lies before the trial began on ${trial.date}; got ${date}`);
  }
  const plots = trial.treatments.length * trial.repeats;
  if (plot >= plots) {
    throw new InputError(
      ['plot'],
      'out_of_range',
      `must be one of the ${plots} of this trial; got ${plot + 1}`,
    );
  }
}

function checkClose({ bedId, date, year }: YearClose, setting: JournalSetting): void {
  requireBed(bedId, setting);
  checkPast(date, setting);
  const closedIn = calendarDateOf(dayNumberFromIso(date, ['date'])).year;
  if (year > closedIn) {
    throw new InputError(['year'], 'bad_order', `has not begun on ${date}; got ${year}`);
  }
}
