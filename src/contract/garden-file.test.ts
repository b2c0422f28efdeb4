import { refusalOf } from '../../tests/fixtures/refused.ts';
import { Validator } from '@cfworker/json-schema';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { fullFormats } from 'ajv-formats/dist/formats.js';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { gardenFileSchema, gardenFileSchemaText } from './garden-file-schema.ts';
import { GARDEN_FILE_VERSION, gardenFileText, readGardenFile, upgradeFile } from './garden-file.ts';
import { GARDEN } from '../../tests/fixtures/books.ts';

const stamp = { createdAt: '2024-03-01T08:00:00.000Z', updatedAt: '2024-03-01T08:00:00.000Z' };
const bed = {
  id: 'bed',
  ...stamp,
  name: 'First bed',
  kind: 'annual',
  areaM2: 5,
  organicMatterPct: 4,
  bulkDensityGPerCm3: 1.2,
  clayPct: 20,
  rootZoneCm: 30,
  exposure: 'normal',
  isWatered: true,
  note: '',
};
/** As version 1 wrote it: before there was weather, and before beds had outlines. */
const VERSION_1 = {
  format: 'vine-ledger-garden',
  version: 1,
  garden: { ...GARDEN, ...stamp },
  materials: [],
  labResults: [],
  recipes: [],
  buildUps: [],
  habits: [],
  lots: [],
  movements: [],
  beds: [bed],
  entries: [],
  plantings: [],
  journal: [],
};

describe('the garden file', () => {
  it('is described in formats that every validator knows, dates among them', () => {
    const formats = [...gardenFileSchemaText().matchAll(/"format": "([^"]+)"/g)].map(([, format]) => format);
    expect(new Set(formats)).toEqual(new Set(['date']));
    expect(formats.length).toBeGreaterThan(20);
  });

  it('is described so that two validators agree on what is one', () => {
    const schema = gardenFileSchema() as { readonly $id: string; readonly $schema: string };
    const ajv = new Ajv2020({
      strict: true,
      strictTypes: false,
      allErrors: true,
      formats: { date: fullFormats.date },
    });
    const byAjv = ajv.compile(schema);
    const other = new Validator(schema, '2020-12');
    const verdicts = (file: unknown) => [byAjv(file), other.validate(file).valid];
    const file = gardenFileText(readGardenFile(VERSION_1));
    expect(verdicts(JSON.parse(file))).toEqual([true, true]);
    const filed = JSON.parse(file) as { readonly beds: readonly [object] };
    for (const wrong of [{ areaM2: -1 }, { name: '' }, { kind: 'lawn' }, { surprise: 1 }]) {
      expect(verdicts({ ...filed, beds: [{ ...filed.beds[0], ...wrong }] })).toEqual([false, false]);
    }
    const seen = { temperatureC: 9, rainMm: 0, evapotranspirationMm: null, id: 'w', ...stamp };
    expect(verdicts({ ...filed, weather: [{ ...seen, date: '2026-02-28' }] })).toEqual([true, true]);
    expect(verdicts({ ...filed, weather: [{ ...seen, date: '2026-02-31' }] })).toEqual([false, false]);
  });

  it('is described by the schema in docs, which npm run schema writes', () => {
    expect(readFileSync('docs/garden-file.schema.json', 'utf8')).toBe(gardenFileSchemaText());
    expect(gardenFileSchema()).toMatchObject({ type: 'object', additionalProperties: false });
  });

  it('of version 1 is read as the newest, with nothing lost and what is new left empty', () => {
    const file = readGardenFile(VERSION_1);
    expect(file.version).toBe(GARDEN_FILE_VERSION);
    expect(file.model).toBe(2);
    expect(file.weather).toEqual([]);
    expect(file.beds).toMatchObject([{ ...bed, outline: null, learnsFromLog: true, part: '' }]);
    expect(upgradeFile(VERSION_1)).toMatchObject({
      version: GARDEN_FILE_VERSION,
      garden: { name: 'Trial plot' },
    });
  });

  it('names the first field that cannot be', () => {
    const spoilt = { ...VERSION_1, beds: [{ ...bed, areaM2: 'large' }] };
    expect(refusalOf(() => readGardenFile(spoilt))).toMatch(/^beds\.0\.areaM2 must be a finite number\.$/);
    expect(refusalOf(() => readGardenFile({ ...VERSION_1, surplus: 1 }))).toMatch(/unknown fields: surplus/);
  });
});
