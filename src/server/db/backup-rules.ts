import { BACKUP_KINDS, type BackupKind } from '../../contract/backups.ts';

/** Copies that are kept: of so many days, weeks and months the newest each, and so many of those made for another reason. */
export const KEPT = { days: 14, weeks: 8, months: 12, manual: 10, beforeRestore: 10 } as const;

/** Copies from before the kinds were told apart have none in their name; those were made daily. */
const NAME = new RegExp(
  String.raw`^(\d{4}-\d{2}-\d{2})_\d{6}-\d{2}(?:\.(${BACKUP_KINDS.join('|')}))?\.sqlite$`,
);

/** What the name of a copy says; null for a file that is none. */
export function readBackupName(name: string): { readonly day: string; readonly kind: BackupKind } | null {
  const [, day, kind] = NAME.exec(name) ?? [];
  return day === undefined ? null : { day, kind: (kind as BackupKind | undefined) ?? 'daily' };
}

const MOST_IN_A_SECOND = 100;

/** A name that no copy has yet, in the order of making. `now` is an instant, ISO in UTC. */
export function freeBackupName(now: string, kind: BackupKind, taken: readonly string[]): string {
  const stem = `${now.slice(0, 10)}_${now.slice(11, 19).replaceAll(':', '')}`;
  const numbers = taken.flatMap((name) =>
    name.startsWith(`${stem}-`) ? [Number(name.slice(stem.length + 1, stem.length + 3))] : [],
  );
  const nth = Math.max(-1, ...numbers) + 1;
  if (nth >= MOST_IN_A_SECOND) throw new Error(`More than ${MOST_IN_A_SECOND} backups within a second.`);
  return `${stem}-${String(nth).padStart(2, '0')}.${kind}.sqlite`;
}

const DAY_MS = 86_400_000;
/** Weeks since a Monday long ago. */
const weekOf = (day: string): string => String(Math.floor((Date.parse(day) / DAY_MS + 3) / 7));
const monthOf = (day: string): string => day.slice(0, 7);

/** The newest of each of the last so many days, weeks or months that have one. */
function newestOfEach(names: readonly string[], periodOf: (day: string) => string, most: number): string[] {
  const newest = new Map<string, string>();
  for (const name of names) {
    const period = periodOf(readBackupName(name)!.day);
    if (!newest.has(period)) newest.set(period, name);
  }
  return [...newest.values()].slice(0, most);
}

/**
 * The copies that stay, of all there are. Those of days that are still to come were made while a clock was wrong: they
 * push out none of the others. `today` is an ISO date.
 */
export function keptBackups(names: readonly string[], today: string): ReadonlySet<string> {
  const newestFirst = [...names]
    .filter((name) => readBackupName(name) !== null)
    .sort()
    .reverse();
  const ofKind = (kind: BackupKind, list: readonly string[]) =>
    list.filter((name) => readBackupName(name)!.kind === kind);
  const past = newestFirst.filter((name) => readBackupName(name)!.day <= today);
  const daily = ofKind('daily', past);
  return new Set([
    ...newestOfEach(daily, (day) => day, KEPT.days),
    ...newestOfEach(daily, weekOf, KEPT.weeks),
    ...newestOfEach(daily, monthOf, KEPT.months),
    ...ofKind('manual', past).slice(0, KEPT.manual),
    ...ofKind('beforeRestore', past).slice(0, KEPT.beforeRestore),
    ...newestFirst.filter((name) => !past.includes(name)).slice(0, KEPT.days),
  ]);
}
