import type { GardenAct } from '../../../contract/act.ts';
import type { EntryDraft } from '../../../records/entry.ts';
import type { MovementDraft } from '../../../records/movement.ts';
import type { Way } from '../../../core/long-run/index.ts';
import { actOf } from '../../api/acts.ts';

type MovementOfAct = GardenAct['movements']['creates'][number];
type EntryOfAct = GardenAct['entries']['creates'][number];

/** What is not known of a fire that is still to come. */
const NOT_BURNT_YET = {
  method: 'trench',
  isOneThickness: null,
  dryness: null,
  quench: null,
  quenchWaterL: null,
  coldCheckedOn: null,
  isMagnetPassed: false,
  steps: [],
} as const;

function asDraft(movement: Way['records']['movements'][number]): MovementOfAct {
  const noted = { ...movement, note: '' };
  return (noted.type === 'burn' ? { ...noted, log: NOT_BURNT_YET } : noted) as MovementDraft as MovementOfAct;
}

function asEntry({ bedId, massFreshKg, ...entry }: Way['records']['entries'][number]): EntryOfAct {
  return { bedId, draft: { ...entry, note: '' } as EntryDraft as EntryOfAct['draft'] };
}

/** A way as what it writes: piles, what comes into them, what is laid, all of it planned. New piles are called `pileName`. */
export const actOfWay = ({ records }: Way, pileName: string): GardenAct =>
  actOf({
    lots: { creates: records.lots.map((lot) => ({ ...lot, name: pileName, reserveL: 0, note: '' })) },
    movements: { creates: records.movements.map(asDraft) },
    entries: { creates: records.entries.map(asEntry) },
  });
