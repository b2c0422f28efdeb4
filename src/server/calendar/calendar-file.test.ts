import fc from 'fast-check';
import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import { bedOf, GARDEN, MILD } from '../../../tests/fixtures/books.ts';
import { dayNumberFromIso } from '../../core/ground/index.ts';
import { calendarFile, type CalendarNames } from './calendar-file.ts';

const TODAY = '2026-05-14';
const today = dayNumberFromIso(TODAY, []);
type Items = Parameters<typeof calendarFile>[1];

const recordsOf = (bedName: string) =>
  ({
    garden: { ...GARDEN, climate: MILD, version: 1, createdAt: '', updatedAt: '' },
    beds: [bedOf({ name: bedName })],
    entries: [],
    plantings: [],
    materials: [],
    crops: [],
    lots: [],
    today: TODAY,
  }) as unknown as CalendarNames;

const itemsWith = (note: string): Items => [
  {
    key: 'clear:p',
    group: 'growing',
    what: { code: 'clear', cropId: 'leek' },
    bedId: 'bed',
    lotId: null,
    day: today,
    shownDay: today + 3,
    record: null,
    warnings: [],
    lateCost: null,
    state: 'snoozed',
    lateDays: 0,
    mark: {
      id: 'm',
      kind: 'mark',
      date: TODAY,
      note,
      taskKey: 'clear:p',
      state: 'snoozed',
      dueOn: TODAY,
      untilDate: '2026-05-17',
    },
  },
];

const fileOf = (bedName: string, note: string): string =>
  calendarFile(recordsOf(bedName), itemsWith(note), {
    alarm: 'morning',
    groups: null,
    bedIds: null,
    origin: 'http://127.0.0.1:4173',
    now: new Date('2026-05-14T06:00:00Z'),
  });

/** Lines of RFC 5545, section 3.1, put together again by hand: a second reading beside that of the library. */
const unfolded = (file: string): string[] => file.replaceAll(/\r\n[ \t]/g, '').split('\r\n');
/** TEXT of section 3.3.11. */
const unescaped = (text: string): string =>
  text.replaceAll(/\\([\\;,nN])/g, (_, sign: string) => (sign.toLowerCase() === 'n' ? '\n' : sign));
const valueOf = (lines: readonly string[], name: string): string => {
  const from = lines.indexOf('BEGIN:VEVENT');
  const line = lines.slice(from).find((one) => one.startsWith(`${name}:`)) ?? '';
  return unescaped(line.slice(name.length + 1));
};

/** What people write: letters of any script, signs that the format uses itself, ends of lines, pictures. */
const words = (maxLength: number) =>
  fc
    .array(
      fc.oneof(
        fc.string({ unit: 'grapheme' }),
        fc.constantFrom(',', ';', '\\', '\n', '\\n', ':', '"', '🪱', 'ß漢', ' '),
      ),
      {
        maxLength,
      },
    )
    .map((parts) => parts.join('').trim());

describe('the calendar as a file', () => {
  it('says the same words to two readers, whatever stands in names and notes, in lines no longer than they may be', () => {
    fc.assert(
      fc.property(words(12), words(60), (bedName, note) => {
        const file = fileOf(bedName, note);
        expect(file.endsWith('END:VCALENDAR\r\n') || file.endsWith('END:VCALENDAR')).toBe(true);
        for (const line of file.split('\r\n')) {
          expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
          expect(line).not.toMatch(/[\n\r]/);
        }
        const event = new ICAL.Event(
          new ICAL.Component(ICAL.parse(file) as [string, [], []]).getFirstSubcomponent('vevent')!,
        );
        const lines = unfolded(file);
        const place = bedName === '' ? '' : `${bedName}: `;
        expect(event.summary).toBe(`${place}Harvest and clear leek`);
        expect(valueOf(lines, 'SUMMARY')).toBe(event.summary);
        expect(event.description).toContain(note);
        expect(valueOf(lines, 'DESCRIPTION')).toBe(event.description);
      }),
      { numRuns: 200 },
    );
  });
  it('has what the standard asks for once: a name, a version, and for each event an id, a stamp and a day', () => {
    const lines = unfolded(fileOf('North', 'later'));
    expect(lines[0]).toBe('BEGIN:VCALENDAR');
    for (const name of ['VERSION:2.0', 'PRODID:']) {
      expect(lines.filter((line) => line.startsWith(name))).toHaveLength(1);
    }
    for (const name of [
      'UID:',
      'DTSTAMP:',
      'DTSTART;VALUE=DATE:20260517',
      'SEQUENCE:',
      'CATEGORIES:',
      'URL',
    ]) {
      expect(
        lines.filter((line) => line.startsWith(name)),
        name,
      ).toHaveLength(1);
    }
    expect(lines.filter((line) => line === 'BEGIN:VALARM')).toHaveLength(1);
  });
});
