import Papa from 'papaparse';
import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { figureText } from '../src/contract/tables/cells.ts';
import type { GardenFile } from '../src/contract/garden-file.ts';
import type { GardenBooks } from '../src/contract/garden-books.ts';
import { blend } from '../src/core/yard/mixing/blend.ts';
import { findLibraryMaterial } from '../src/core/ground/materials/library.ts';
import { massFreshKgFromAmount } from '../src/core/ground/units/amount.ts';
import { proposedWays, weighedWay } from '../src/web/worker/ways-answers.ts';
import { openYears, yearsLine } from '../src/web/worker/years-answers.ts';
import { newFolder, removeFolder, startServer } from './http/server.ts';

const TODAY = '2026-05-14';
const folder = newFolder();
const GARDEN = join(folder, 'garden.json');
let file: GardenFile;
let books: GardenBooks;

/** What the command runs, once it is built. */
const vine = (...args: string[]) =>
  spawnSync(process.execPath, ['.cache/cli/main.mjs', ...args], {
    encoding: 'utf8',
    maxBuffer: 64 * 1024 * 1024,
  });
const rowsOf = (csv: string) => Papa.parse<Record<string, string>>(csv.trim(), { header: true }).data;
const written = (name: string, content: string): string => {
  writeFileSync(join(folder, name), content);
  return join(folder, name);
};

beforeAll(async () => {
  const server = await startServer(join(folder, 'demo.sqlite'), ['--demo']);
  const text = await (await fetch(`${server.address}/api/gardens/ternhollow/garden.json`)).text();
  books = (await (await fetch(`${server.address}/api/gardens/ternhollow/books`)).json()) as GardenBooks;
  await server.stop();
  writeFileSync(GARDEN, text);
  file = JSON.parse(text) as GardenFile;
});
afterAll(() => removeFolder(folder));

describe('the terminal on a garden file', () => {
  it('simulates a bed, as JSON and as a row a week, and its books balance', () => {
    const json = vine('simulate', GARDEN, '--bed', 'ferry strip', '--today', TODAY);
    expect(json.status).toBe(0);
    const report = JSON.parse(json.stdout) as {
      name: string;
      ledger: { max_rel_error: string };
      weekly: unknown[];
    };
    expect(report.name).toBe('Ferry Strip');
    expect(report.ledger.max_rel_error).toBe('<1e-9');
    const csv = vine('simulate', GARDEN, '--bed', 'Ferry Strip', '--today', TODAY, '--csv');
    const rows = rowsOf(csv.stdout);
    expect(rows).toHaveLength(report.weekly.length);
    expect(Number(rows[10]['mineral_n.Z0'])).toBeGreaterThan(0);
  });

  it('weighs the ways of using a pile as the page does, and otherwise where that is asked', () => {
    const asked = [
      'ways',
      GARDEN,
      '--bed',
      'Sawpit Corner',
      '--pile',
      'hazel chips by the gate',
      '--today',
      TODAY,
    ];
    const { stdout, status } = vine(...asked, '--liters', '400');
    expect(status).toBe(0);
    const { ways } = JSON.parse(stdout) as { ways: { way: string; n_lost_g: number; hours: number }[] };
    const bed = file.beds.find(({ name }) => name === 'Sawpit Corner')!;
    const lot = file.lots.find(({ name }) => name === 'Hazel chips by the gate')!;
    const waysAsked = {
      question: { records: books, today: TODAY },
      asked: { bedId: bed.id, from: { lotId: lot.id }, amountL: 400 },
      prefix: 'page',
      prices: null,
    };
    const onPage = proposedWays(waysAsked).ways.map(({ key }) => weighedWay(waysAsked, key));
    expect(ways).toHaveLength(onPage.length);
    for (const { way, nitrogenLostG } of onPage) {
      const line = ways.find((one) => one.way === way.key)!;
      expect([line.hours, line.n_lost_g]).toEqual([way.hours, nitrogenLostG]);
    }
    const load = ['ways', GARDEN, '--bed', bed.name, '--material', 'leaves_mixed', '--today', TODAY];
    type Step = { readonly date: string; readonly thicknessCm: number };
    const late = vine(...load, '--from', '2026-06-20', '--thick', '3').stdout;
    const lateWays = (JSON.parse(late) as { ways: { steps: Step[] }[] }).ways;
    const last = lateWays[0].steps.at(-1)!;
    const lateRows = vine(...load, '--from', '2026-06-20', '--thick', '3', '--csv').stdout;
    expect(rowsOf(lateRows)).toHaveLength(lateWays.length);
    expect(last.date >= '2026-06-20').toBe(true);
    expect(last.thicknessCm).toBeLessThanOrEqual(3);
  });

  it('compares all beds or all piles where one is not named, and says what is missing', () => {
    const waysOf = (...args: string[]) =>
      (
        JSON.parse(vine('ways', GARDEN, ...args, '--today', TODAY).stdout) as {
          ways: { bed: string; pile: string }[];
        }
      ).ways;
    const anywhere = waysOf('--pile', 'hazel chips by the gate', '--liters', '200');
    expect(new Set(anywhere.map(({ bed }) => bed)).size).toBeGreaterThan(3);
    const anything = waysOf('--bed', 'Sawpit Corner');
    expect(new Set(anything.map(({ pile }) => pile)).size).toBeGreaterThan(3);
    const refused = (reason: RegExp) => ({ status: 2, stderr: expect.stringMatching(reason) as string });
    expect(vine('ways', GARDEN)).toMatchObject(refused(/--bed/));
    expect(vine('ways', GARDEN, '--bed', 'Sawpit Corner', '--pile', 'moon')).toMatchObject(refused(/--pile/));
    expect(vine('ways', GARDEN, '--bed', 'Sawpit Corner', '--with', 'urine')).toMatchObject(
      refused(/--with-liters/),
    );
  });

  it('gives the years of the page, figure for figure', () => {
    const bed = file.beds[0];
    const plan = {
      key: 'terminal',
      records: books,
      today: TODAY,
      years: 5,
      bedIds: [bed.id],
      habits: ['planned' as const],
      lineIds: ['planned'],
      sparesPaths: false,
    };
    openYears(plan);
    const line = yearsLine({ plan: 'terminal', bed: 0, habit: 0, draw: null })!;
    const { stdout } = vine('years', GARDEN, '--bed', bed.name, '--years', '5', '--today', TODAY);
    expect((JSON.parse(stdout) as { points: unknown }).points).toEqual(
      JSON.parse(JSON.stringify(line.points)),
    );
    const csv = rowsOf(
      vine('years', GARDEN, '--bed', bed.name, '--years', '5', '--today', TODAY, '--csv').stdout,
    );
    expect(csv.map((row) => row['organic_matter_pct'])).toEqual(
      line.points.map(({ organicMatterPct }) => figureText(organicMatterPct)),
    );
  });

  it.each([
    ['of the book', () => file.habits[0].name],
    ['built in', () => 'Compost yearly'],
  ])('follows a habit %s', (_, named) => {
    const habit = named();
    const { stdout, status } = vine(
      'years',
      GARDEN,
      '--bed',
      file.beds[0].name,
      '--habit',
      habit,
      '--years',
      '3',
      '--today',
      TODAY,
    );
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ habit, points: expect.any(Array) as unknown[] });
  });

  it('tells lock-ups and doses of a bed', () => {
    const { stdout } = vine('doses', GARDEN, '--bed', 'Sawpit Corner', '--today', TODAY);
    const report = JSON.parse(stdout) as { status: string; doses: { date: string; n_g_per_m2: number }[] };
    expect(['short', 'pale', 'held', 'fed', 'resting', 'path']).toContain(report.status);
    for (const { date, n_g_per_m2 } of report.doses) {
      expect(date >= TODAY).toBe(true);
      expect(n_g_per_m2).toBeGreaterThanOrEqual(0);
    }
    const csv = vine('doses', GARDEN, '--bed', 'Sawpit Corner', '--today', TODAY, '--csv');
    expect(csv.status).toBe(0);
  });

  it('adds up a mix as the bench does', () => {
    const { stdout } = vine('mix', 'chips_branch=3barrow85L', 'grass_clippings=1barrow85L', '--water', '20');
    const part = (id: string, amount: number) => {
      const material = findLibraryMaterial(id)!;
      const { bulkDensityKgPerM3 } = material;
      return {
        material,
        massFreshKg: massFreshKgFromAmount({
          amount,
          unit: 'barrow85L',
          measured: { bulkDensityKgPerM3, areaM2: 1 },
        }),
      };
    };
    const mixed = blend([part('chips_branch', 3), part('grass_clippings', 1)], 20);
    expect(JSON.parse(stdout)).toEqual(JSON.parse(JSON.stringify(mixed)));
  });

  it('judges a burn, what lasts of it, and how much a bed takes', () => {
    const { stdout } = vine(
      'char',
      '--char',
      '10',
      '--wood',
      '50',
      '--method',
      'trench',
      '--area',
      '6',
      '--clay',
      '8',
    );
    const report = JSON.parse(stdout) as {
      burn: { share: number };
      lasting: { lastingKg: number[] };
      dose: { atOnceL: number };
    };
    expect(report.burn.share).toBeCloseTo(0.2, 12);
    expect(report.lasting.lastingKg[1]).toBeLessThan(7.5);
    expect(report.dose.atOnceL).toBeGreaterThan(0);
  });

  it('finds a file valid, tells all that is wrong with another, and tells them apart by the exit code', () => {
    const good = vine('validate', GARDEN, '--today', TODAY);
    expect(good.status).toBe(0);
    expect(JSON.parse(good.stdout)).toMatchObject({ valid: true, records: { beds: 8 } });
    const bad = { ...file, beds: file.beds.map((bed) => ({ ...bed, areaM2: -1 })) };
    const refused = vine('validate', written('bad.json', JSON.stringify(bad)), '--today', TODAY);
    expect(refused.status).toBe(1);
    const names = file.beds.map(({ name }) => `${name}: area must be greater than 0.`);
    expect(refused.stderr.trim().split('\n')).toEqual(names);
    const lay = file.entries.findIndex((entry) => entry.type === 'lay' && !entry.lotId);
    const odd = {
      ...file,
      entries: file.entries.map((entry, i) => (i === lay ? { ...entry, materialId: 'moon' } : entry)),
    };
    const unsound = vine('validate', written('odd.json', JSON.stringify(odd)), '--today', TODAY);
    expect([unsound.status, unsound.stderr]).toEqual([
      1,
      expect.stringMatching(
        /^a material, laid on .+ on \d{4}-\d\d-\d\d: material names no material; got "moon"/,
      ),
    ]);
    expect(vine('validate', 'tests/reference/scenarios/01_sawdust_dug.json').status).toBe(0);
  });

  it('gives the same file back, the newest version of an older one, and any table of it', () => {
    expect(vine('convert', GARDEN).stdout).toBe(`${JSON.stringify(file, null, 1)}\n`);
    const { weather, model, crops, ...rest } = file;
    expect(model).toBe(3);
    const old = {
      ...rest,
      version: 1,
      beds: file.beds.map(({ outline, ...bed }) => bed),
    };
    expect(vine('convert', written('old.json', JSON.stringify(old))).stdout).toBe(
      `${JSON.stringify({ ...file, model: 2, weather: [], crops: [] }, null, 1)}\n`,
    );
    const rows = rowsOf(vine('convert', GARDEN, '--table', 'entries').stdout);
    expect(rows).toHaveLength(file.entries.length);
    expect(rows[0]['bed']).toBe(file.beds.find(({ id }) => id === file.entries[0].bedId)!.name);
  });

  it('turns somebody else’s table into ours, or says row by row why not', () => {
    const weather = written('w.csv', 'Day;Temp (F);Rain (in)\n14.05.2026;50;0,5\n15.05.2026;68;0\n');
    expect(rowsOf(vine('convert', weather).stdout)).toEqual([
      { date: '2026-05-14', temperature_c: '10', rain_mm: '12.7', evapotranspiration_mm: '' },
      { date: '2026-05-15', temperature_c: '20', rain_mm: '0', evapotranspiration_mm: '' },
    ]);
    const odd = vine(
      'convert',
      written('odd.csv', 'date,temperature_c,rain_mm\n2026-05-14,warm,1\n2026-05-15,9,-3\n'),
    );
    expect(odd.status).toBe(1);
    expect(odd.stderr).toMatch(
      /^row 2: temperature_c must be a number; got "warm"\.\nrow 3: rain_mm must be at least 0\./,
    );
  });

  it.each([
    [['years', GARDEN], /Say which bed with --bed: Ferry Strip/],
    [
      ['years', GARDEN, '--bed', 'Ferry Strip', '--years', '99'],
      /--years must be a whole number from 1 to 30/,
    ],
    [
      ['years', GARDEN, '--bed', 'Ferry Strip', '--habit', 'none'],
      /--habit must be one of these: .*Compost yearly/,
    ],
    [['mix', 'chips_branch=3armful'], /must be written as material=amountunit/],
    [['mix', 'moon=3kg'], /names no material/],
    [['char'], /Say how much char/],
    [['convert', GARDEN, '--table', 'moons'], /--table must be one of beds, entries/],
    [['simulate', GARDEN, '--moon'], /moon/],
    [['fly'], /Usage/],
    [['doses', 'no-such-file.json'], /cannot be read/],
  ])('says what to do about %j, and ends with 2', (args, sentence) => {
    const { status, stdout, stderr } = vine(...args);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toMatch(sentence);
    expect(stderr).not.toMatch(/ at .*:\d+:\d+/);
  });

  it('explains itself', () => {
    expect(vine('--help').stdout).toMatch(/Usage.*simulate.*mix.*char.*doses.*years.*validate.*convert/s);
    expect(vine('mix', '--help').stdout).toMatch(/for example: mix/i);
    expect(vine('--help').status).toBe(0);
  });
});
