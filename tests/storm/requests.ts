import { COMPOST_ACT } from '../fixtures/years.ts';
import { GARDEN } from '../fixtures/books.ts';

/** A request the server would carry out, to be spoilt in one place. */
export interface ValidRequest {
  readonly method: 'POST' | 'PUT';
  readonly path: string;
  readonly body: Readonly<Record<string, unknown>>;
  /** Fields it cannot do without. */
  readonly needed: readonly string[];
  /** Places where anything may stand. */
  readonly free?: readonly string[];
}

const { id: _, ...gardenFields } = GARDEN;
const bedFields = {
  name: 'A bed',
  kind: 'annual',
  areaM2: 5,
  organicMatterPct: 4,
  bulkDensityGPerCm3: 1.2,
  clayPct: 20,
  rootZoneCm: 30,
  exposure: 'normal',
  isWatered: true,
  startedOn: null,
  ph: 6.5,
  croppingBefore: 'unknown',
  learnsFromLog: true,
  outline: [
    [0, 0],
    [0.001, 0],
    [0.001, 0.001],
  ],
  note: '',
};
const lay = {
  type: 'lay',
  state: 'laid',
  date: '2026-05-01',
  note: '',
  materialId: 'straw_cereal',
  amount: 5,
  unit: 'kg',
  dugDepthCm: 0,
  seasonedMonths: 0,
};
const BED = 'demo-ferry-strip';
const inGarden = (rest: string): string => `/api/gardens/ternhollow/${rest}`;

export const REQUESTS: readonly ValidRequest[] = [
  {
    method: 'POST',
    path: '/api/gardens',
    body: gardenFields,
    needed: ['name', 'place', 'climate', 'depositionGPerM2Year', 'measures'],
  },
  {
    method: 'PUT',
    path: '/api/gardens/ternhollow',
    body: { ...gardenFields, version: 1 },
    needed: ['version', 'name', 'climate'],
  },
  {
    method: 'POST',
    path: inGarden('beds'),
    body: bedFields,
    needed: ['name', 'kind', 'areaM2', 'clayPct', 'note'],
  },
  {
    method: 'POST',
    path: `/api/beds/${BED}/entries`,
    body: lay,
    needed: ['type', 'state', 'date', 'amount', 'unit', 'note'],
  },
  {
    method: 'POST',
    path: `/api/beds/${BED}/entries`,
    body: {
      type: 'soilTest',
      state: 'laid',
      date: '2026-05-01',
      note: '',
      amount: 40,
      unit: 'kgPerHa',
      sampledDepthCm: 30,
      ph: 6.5,
      organicMatterPct: 4,
    },
    needed: ['type', 'unit', 'sampledDepthCm'],
  },
  {
    method: 'POST',
    path: `/api/beds/${BED}/revisions`,
    body: { creates: [{ ...lay, id: 'never-kept' }], changes: [], removals: [], restores: [], order: [] },
    needed: ['creates', 'changes', 'removals', 'restores', 'order'],
  },
  {
    method: 'POST',
    path: `/api/beds/${BED}/plantings`,
    body: {
      state: 'planned',
      cropId: 'leek',
      plantedOn: '2029-04-20',
      clearedOn: '2029-10-01',
      nitrogenDemandGPerM2: 12,
      rootDepthCm: 40,
      startsAs: 'transplant',
      areaShare: 1,
      isUndersown: false,
      note: '',
    },
    needed: ['state', 'cropId', 'plantedOn', 'clearedOn', 'nitrogenDemandGPerM2', 'rootDepthCm', 'note'],
  },
  {
    method: 'POST',
    path: inGarden('materials'),
    body: {
      name: 'Odd chips',
      basis: {
        type: 'figures',
        likeMaterialId: 'chips_branch',
        moistureFractionWetBasis: 0.4,
        carbonFractionDryBasis: 0.49,
        nitrogenFractionDryBasis: 0.01,
        bulkDensityKgPerM3: 280,
      },
      note: '',
    },
    needed: ['name', 'basis', 'note'],
  },
  {
    method: 'POST',
    path: inGarden('crops'),
    body: { name: 'Odd kale', likeCropId: 'kale', rootDepthCm: 60, note: '' },
    needed: ['name', 'likeCropId', 'note'],
  },
  {
    method: 'POST',
    path: inGarden('beds/several'),
    body: { beds: [{ ...bedFields, id: 'odd-1' }] },
    needed: ['beds'],
  },
  {
    method: 'POST',
    path: '/api/gardens/begun',
    body: {
      garden: { ...gardenFields, id: 'odd-garden' },
      bed: { ...bedFields, id: 'odd-first' },
      entry: { ...lay, id: 'odd-lay' },
      planting: null,
    },
    needed: ['garden', 'bed', 'entry', 'planting'],
  },
  {
    method: 'POST',
    path: inGarden('acts'),
    body: {
      journal: { creates: [], changes: [], removals: [] },
      entries: { creates: [{ bedId: BED, draft: { ...lay, id: 'odd-fed' } }], changes: [], removals: [] },
      plantings: { changes: [] },
      movements: { creates: [], changes: [], removals: [] },
    },
    needed: ['journal', 'entries', 'plantings', 'movements'],
  },
  {
    method: 'POST',
    path: inGarden('stock'),
    body: {
      materials: [],
      lots: [
        {
          id: 'odd-lot',
          name: 'Odd lot',
          form: 'pile',
          keeping: 'open',
          isTurned: false,
          isHot: false,
          reserveL: 0,
          note: '',
        },
      ],
      movements: [
        {
          id: 'odd-arrival',
          type: 'receive',
          state: 'laid',
          date: '2026-05-01',
          note: '',
          lotId: 'odd-lot',
          amount: 4,
          unit: 'barrow85L',
          materialId: 'chips_branch',
          moistureFractionWetBasis: null,
          bulkDensityKgPerM3: null,
          seasonedMonths: 0,
        },
      ],
    },
    needed: ['lots', 'movements'],
  },
  {
    method: 'POST',
    path: inGarden('journal'),
    body: {
      records: [
        {
          id: 'odd-sight',
          kind: 'observation',
          date: '2026-05-01',
          note: '',
          bedId: BED,
          plantingId: null,
          photoId: null,
          observed: { type: 'soilTemperature', temperatureC: 12 },
        },
      ],
    },
    needed: ['records'],
  },
  {
    method: 'POST',
    path: inGarden('habits'),
    body: { name: 'Odd habit', keepsCrops: true, acts: [COMPOST_ACT], note: '' },
    needed: ['name', 'keepsCrops', 'acts', 'note'],
  },
  {
    method: 'POST',
    path: inGarden('lab-results'),
    body: {
      materialId: 'chips_branch',
      date: '2026-05-01',
      laboratory: 'Ossrey',
      moistureFractionWetBasis: 0.5,
      carbonFractionDryBasis: 0.49,
      nitrogenFractionDryBasis: 0.01,
      ammoniumShareOfNitrogen: 0,
      bulkDensityKgPerM3: 300,
      note: '',
    },
    needed: ['materialId', 'date', 'laboratory', 'note'],
  },
  {
    method: 'POST',
    path: inGarden('imports'),
    body: {
      collection: 'weather',
      summary: 'odd',
      rows: [{ date: '2026-05-01', temperatureC: 12, rainMm: 0 }],
    },
    needed: ['collection', 'summary', 'rows'],
    // A row that cannot be is reported by itself, with 200.
    free: ['rows.0', 'rows.0.date', 'rows.0.temperatureC', 'rows.0.rainMm'],
  },
  { method: 'POST', path: '/api/session', body: { passphrase: 'odd' }, needed: ['passphrase'] },
  {
    method: 'POST',
    path: '/api/gardens/ternhollow/people',
    body: { name: 'Robin', role: 'helper', passphrase: 'rakes lean on the wall' },
    needed: ['name', 'role', 'passphrase'],
  },
  {
    method: 'POST',
    path: '/api/gardens/ternhollow/links',
    body: { name: 'For the neighbors' },
    needed: ['name'],
  },
];

const bytes = (...values: number[]): Uint8Array<ArrayBuffer> => new Uint8Array(values);
const utf16 = (text: string): Uint8Array<ArrayBuffer> =>
  new Uint8Array(Buffer.from(`\ufeff${text}`, 'utf16le'));

/** Things that have broken readers of JSON before. */
export const CORPUS: readonly (readonly [string, string | Uint8Array<ArrayBuffer>])[] = [
  ['nothing at all', ''],
  ['a null', 'null'],
  ['a list', '[]'],
  ['a text', '"name"'],
  ['a number beyond all numbers', '{"areaM2": 1e999, "name": 1e999}'],
  ['a number of a thousand digits', `{"version": ${'9'.repeat(1000)}}`],
  ['not a number', '{"areaM2": NaN}'],
  ['comments', '{/* a bed */ "name": "x"}'],
  ['a comma too many', '{"name": "x",}'],
  ['single quotes', "{'name': 'x'}"],
  ['a prototype', '{"__proto__": {"isAdmin": true}, "constructor": {"prototype": {}}}'],
  ['half a pair of surrogates', '{"name": "\\ud800", "id": "\\udc00"}'],
  ['bytes that are no UTF-8', bytes(0x7b, 0x22, 0xff, 0xfe, 0x22, 0x3a, 0x31, 0x7d)],
  ['UTF-16', utf16('{"name": "x"}')],
  ['zeros', bytes(...Array<number>(200).fill(0))],
  ['a compressed stream', bytes(0x1f, 0x8b, 0x08, 0x00, 0x00, 0x00, 0x00, 0x00, 0x00, 0x03, 0x01)],
  ['brackets without end', '['.repeat(60_000)],
  ['brackets with an end', `${'{"a":'.repeat(20_000)}1${'}'.repeat(20_000)}`],
  [
    'a thousand fields',
    JSON.stringify(Object.fromEntries(Array.from({ length: 1000 }, (_, i) => [`f${i}`, i]))),
  ],
  ['markup', '<garden name="x"/>'],
  ['SQL', `{"id": "'; DROP TABLE bed; --", "name": 7}`],
];
