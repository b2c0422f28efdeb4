import { calendarDateOf, dayNumberFromIso } from '../../ground/index.ts';
import { InputError } from '../../../refusals/input-error.ts';
import type { Bed } from '../../../records/bed.ts';
import type { Entry } from '../../../records/entry.ts';
import type { Planting } from '../../../records/planting.ts';
import type {
  Brew,
  Journaled,
  Observation,
  PlotReading,
  Trial,
  YearClose,
} from '../../../records/journal.ts';

/** What a record of the journal is held against before it is kept. */
export interface JournalSetting {
  /** ISO date. */
  readonly today: string;
  readonly beds: readonly Bed[];
  readonly entries: readonly (Entry & { readonly bedId: string })[];
  readonly plantings: readonly (Planting & { readonly bedId: string })[];
  readonly trials: readonly Trial[];
  readonly hasPhoto: (photoId: string) => boolean;
}

/** Throws InputError naming the field for what cannot have been so. */
export function checkJournal(record: Journaled, setting: JournalSetting): void {
  switch (record.kind) {
    case 'observation':
      return checkObservation(record, setting);
    case 'mark':
      return checkPast(record.date, setting);
    case 'brew':
      return checkBrew(record, setting);
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
    throw new InputError(['date'], 'inTheFuture', { date, today, isPlannable: true });
  }
}

function requireBed(bedId: string, { beds }: JournalSetting): Bed {
  const bed = beds.find(({ id }) => id === bedId);
  if (!bed) throw new InputError(['bedId'], 'namesNone', { what: 'bed', got: bedId });
  return bed;
}

function checkBrew({ date, endedOn, pouredOnBedId }: Brew, { today, beds }: JournalSetting): void {
  if (endedOn != null) {
    if (endedOn > today)
      throw new InputError(['endedOn'], 'inTheFuture', { date: endedOn, today, isPlannable: false });
    if (endedOn < date) throw new InputError(['endedOn'], 'beforeItBegan', { date: endedOn, begunOn: date });
  }
  if (pouredOnBedId != null && !beds.some(({ id }) => id === pouredOnBedId)) {
    throw new InputError(['pouredOnBedId'], 'namesNone', { what: 'bed', got: pouredOnBedId });
  }
}

function checkObservation(record: Observation, setting: JournalSetting): void {
  const { date, bedId, plantingId, photoId, morePhotoIds, observed } = record;
  const { startedOn } = requireBed(bedId, setting);
  checkPast(date, setting);
  if (startedOn !== null && date < startedOn) {
    throw new InputError(['date'], 'beforeTheBed', { date, startedOn, canBeMoved: false });
  }
  if (plantingId !== null) checkPlanting(plantingId, record, setting);
  if (photoId !== null && !setting.hasPhoto(photoId)) {
    throw new InputError(['photoId'], 'namesNone', { what: 'photo', got: null });
  }
  (morePhotoIds ?? []).forEach((one, i) => {
    if (!setting.hasPhoto(one))
      throw new InputError(['morePhotoIds', i], 'namesNone', { what: 'photo', got: null });
  });
  if (observed.type === 'thickness' && observed.layerId !== null)
    checkLayer(observed.layerId, record, setting);
  if (observed.type === 'signs' && observed.beganOn !== null && observed.beganOn > date) {
    throw new InputError(['observed', 'beganOn'], 'afterItWasSeen');
  }
}

function checkPlanting(
  plantingId: string,
  { bedId, date }: Observation,
  { plantings }: JournalSetting,
): void {
  const planting = plantings.find(({ id }) => id === plantingId);
  if (planting?.bedId !== bedId) {
    throw new InputError(['plantingId'], 'namesNone', { what: 'planting', got: null });
  }
  if (date < planting.plantedOn) {
    throw new InputError(['date'], 'beforePlanting', { date, plantedOn: planting.plantedOn });
  }
}

function checkLayer(layerId: string, { bedId, date }: Observation, { entries }: JournalSetting): void {
  const layer = entries.find(({ id }) => id === layerId);
  if (layer?.bedId !== bedId || layer.type !== 'lay') {
    throw new InputError(['observed', 'layerId'], 'namesNone', { what: 'layer', got: null });
  }
  if (date < layer.date) {
    throw new InputError(['date'], 'beforeItsLayer', { date, laidOn: layer.date });
  }
}

function checkTrial({ bedId, treatments }: Trial, setting: JournalSetting): void {
  if (bedId !== null) requireBed(bedId, setting);
  const names = treatments.map((name) => name.trim().toLowerCase());
  const twice = names.findIndex((name, i) => names.indexOf(name) !== i);
  if (twice >= 0) {
    throw new InputError(['treatments', twice], 'thereTwice', { got: treatments[twice] });
  }
}

function checkReading({ trialId, plot, date }: PlotReading, setting: JournalSetting): void {
  checkPast(date, setting);
  const trial = setting.trials.find(({ id }) => id === trialId);
  if (!trial) throw new InputError(['trialId'], 'namesNone', { what: 'trial', got: null });
  if (date < trial.date) {
    throw new InputError(['date'], 'beforeTheTrial', { date, trialDate: trial.date });
  }
  const plots = trial.treatments.length * trial.repeats;
  if (plot >= plots) {
    throw new InputError(['plot'], 'plotOutside', { plots, plot: plot + 1 });
  }
}

function checkClose({ bedId, date, year }: YearClose, setting: JournalSetting): void {
  requireBed(bedId, setting);
  checkPast(date, setting);
  const closedIn = calendarDateOf(dayNumberFromIso(date, ['date'])).year;
  if (year > closedIn) {
    throw new InputError(['year'], 'yearNotBegun', { date, year });
  }
}
