import type { JournalDraft } from '../../contract/requests.ts';
import type { Observed } from '../../records/journal.ts';
import { dayNumberFromIso, isoDateOf, seededStream } from '../../core/ground/index.ts';
import { placePlots } from '../../core/season/index.ts';
import type { Stores } from '../stores.ts';

/** What was seen on a bed so many days before today, on the planting and layer of the given numbers. */
interface DemoSeen {
  readonly bed: string;
  readonly daysAgo: number;
  readonly observed: Observed;
  readonly note?: string;
}

/** A log as a gardener keeps it: now and then, and not always as the book expected. All invented. */
const SEEN: readonly DemoSeen[] = [
  {
    bed: 'ferry-strip',
    daysAgo: 62,
    observed: { type: 'thickness', layerId: 'demo-ferry-strip-layer-3', thicknessCm: 3.4 },
    note: 'Ruler at three places.',
  },
  { bed: 'ferry-strip', daysAgo: 12, observed: { type: 'leafColor', step: 3 } },
  { bed: 'ferry-strip', daysAgo: 12, observed: { type: 'growth', vigor: 'steady' } },
  { bed: 'ferry-strip', daysAgo: 6, observed: { type: 'worms', count: 10 } },
  {
    bed: 'ferry-strip',
    daysAgo: 5,
    observed: { type: 'hours', hours: 1 },
    note: 'Weeding between the rows.',
  },
  {
    bed: 'gourd-mound',
    daysAgo: 20,
    observed: { type: 'worms', count: 20 },
    note: 'Under the card, all pink.',
  },
  { bed: 'gourd-mound', daysAgo: 20, observed: { type: 'smell', smell: 'earthy' } },
  { bed: 'char-bed', daysAgo: 10, observed: { type: 'leafColor', step: 4 } },
  { bed: 'char-bed', daysAgo: 3, observed: { type: 'squeeze', squeeze: 'holds' } },
  { bed: 'sawpit-corner', daysAgo: 30, observed: { type: 'waterBehavior', behavior: 'soaksIn' } },
  { bed: 'sawpit-corner', daysAgo: 8, observed: { type: 'soilTemperature', temperatureC: 11 } },
  { bed: 'currant-line', daysAgo: 190, observed: { type: 'threads', amount: 'some' } },
  {
    bed: 'currant-line',
    daysAgo: 60,
    observed: { type: 'thickness', layerId: 'demo-currant-line-layer-2', thicknessCm: 2.1 },
  },
  {
    bed: 'currant-line',
    daysAgo: 15,
    observed: { type: 'thickness', layerId: 'demo-currant-line-layer-3', thicknessCm: 3.6 },
    note: 'Sinking faster than last year.',
  },
  { bed: 'currant-line', daysAgo: 15, observed: { type: 'leafColor', step: 4 } },
  { bed: 'nursery-frame', daysAgo: 9, observed: { type: 'growth', vigor: 'strong' } },
  {
    bed: 'boathouse-path',
    daysAgo: 40,
    observed: { type: 'thickness', layerId: null, thicknessCm: 9 },
    note: 'Trodden hard at the gate.',
  },
];

const TRIAL = {
  kind: 'trial',
  bedId: null,
  name: 'Alder char in pots',
  place: 'pots',
  treatments: ['no char', '5 % char', '10 % char', '20 % char'],
  repeats: 5,
  seed: 4711,
  measure: 'height of marigolds',
  unit: 'cm',
  isMoreBetter: true,
  note: 'Same compost in all, same water.',
} as const;
/** Invented: what each treatment does to the height, and how much pots differ by themselves, cm. */
const HEIGHT_CM = [14.2, 15.1, 17.3, 13.9];
const POT_SPREAD_CM = 1.6;
const TRIAL_BEGUN_DAYS = 54;
const TRIAL_MEASURED_DAYS = 2;

/** Puts the journal of the demo garden into its stores. */
export function journalDemoGarden(stores: Stores, gardenId: string, today: string): void {
  const day = dayNumberFromIso(today, ['today']);
  const dateOf = (daysAgo: number) => isoDateOf(day - daysAgo);
  const keep = (record: JournalDraft) => stores.journal.insert({ ...record, gardenId });
  SEEN.forEach(({ bed, daysAgo, observed, note = '' }, i) => {
    const bedId = `demo-${bed}`;
    const date = dateOf(daysAgo);
    if (!layerIsThere(stores, observed, date)) return;
    const planting = stores.plantings
      .listOf(bedId)
      .find(({ plantedOn, clearedOn }) => plantedOn <= date && (clearedOn === null || clearedOn >= date));
    keep({
      kind: 'observation',
      id: `demo-seen-${i + 1}`,
      bedId,
      plantingId: planting?.id ?? null,
      photoId: null,
      date,
      note,
      observed: observed as Extract<JournalDraft, { kind: 'observation' }>['observed'],
    });
  });
  keep({
    kind: 'brew',
    id: 'demo-brew',
    date: dateOf(5),
    note: '',
    brewId: 'nativeStarter',
    litres: 2,
    state: 'going',
  });
  keep({ ...TRIAL, treatments: [...TRIAL.treatments], id: 'demo-trial', date: dateOf(TRIAL_BEGUN_DAYS) });
  const next = seededStream(TRIAL.seed);
  for (const { plot, treatment } of placePlots(TRIAL)) {
    const value = HEIGHT_CM[treatment]! + (next() + next() - 1) * POT_SPREAD_CM;
    keep({
      kind: 'plotReading',
      id: `demo-reading-${plot + 1}`,
      date: dateOf(TRIAL_MEASURED_DAYS),
      note: '',
      trialId: 'demo-trial',
      plot,
      value: Math.round(value * 10) / 10,
    });
  }
}

/** Layers are dated by the calendar, what was seen by days before today: early in a year a layer may not lie there yet. */
function layerIsThere(stores: Stores, observed: Observed, date: string): boolean {
  if (observed.type !== 'thickness' || observed.layerId === null) return true;
  const layer = stores.entries.find(observed.layerId);
  return layer !== undefined && layer.date <= date;
}
