import type { SampleSent } from '../contract/instruments.ts';
import { dayNumberFromIso } from '../core/ground/index.ts';
import {
  bedScenario,
  booksOfBed,
  carriedForward,
  materialFinder,
  phOn,
  projectBed,
} from '../core/bed/index.ts';
import { keptRecords } from './kept-stock.ts';
import { requireFound } from './answers.ts';
import type { Stores } from './stores.ts';

/** 1 g/m2 is 10 kg/ha. */
const KG_PER_HA_PER_G_PER_M2 = 10;

/** A sample of a bed down to the bottom of its root zone, with what its book says it holds this morning. */
export function sampleOf(stores: Stores, bedId: string, todayIso: string): SampleSent {
  const bed = requireFound(stores.beds.find(bedId), 'bed');
  const records = carriedForward(keptRecords(stores, bed.gardenId), todayIso);
  const books = requireFound(booksOfBed(records, bedId), 'bed');
  const today = dayNumberFromIso(todayIso, ['today']);
  const scenario = bedScenario({ books, findMaterial: materialFinder(records), today, endDay: today + 1 });
  const sample = projectBed(scenario, scenario.endDay - scenario.startDay, [today]).samples.find(
    ({ day }) => day === today,
  )!;
  return {
    bedId,
    bedName: bed.name,
    date: todayIso,
    sampledDepthCm: bed.rootZoneCm,
    ph: phOn(books, today),
    organicMatterPct: sample.organicMatterPct,
    mineralNitrogenKgPerHa: (sample.availableContactG + sample.availableRootG) * KG_PER_HA_PER_G_PER_M2,
  };
}
