// src/server/main.ts
import { serve } from '@hono/node-server';
import { randomUUID } from 'node:crypto';
import { existsSync as existsSync4, rmSync as rmSync2 } from 'node:fs';
import { isIP as isIP2 } from 'node:net';
import { join as join6 } from 'node:path';

// src/server/access.ts
import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { promisify } from 'node:util';
import { z } from 'zod';
var COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 };
var KEY_BYTES = 32;
var TOKEN_BYTES = 32;
var SESSION_MS = 30 * 24 * 36e5;
var GUESSES = { ofOne: 5, ofAll: 50, withinMs: 15 * 6e4 };
var derive = promisify(scrypt);
var passphraseFile = z.strictObject({
  salt: z.base64(),
  key: z.base64(),
  ...{ N: z.literal(COST.N), r: z.literal(COST.r), p: z.literal(COST.p) },
});
var hasPassphrase = (file) => existsSync(file);
async function isPassphrase(file, guess) {
  const { salt, key } = passphraseFile.parse(JSON.parse(readFileSync(file, 'utf8')));
  const found2 = await derive(guess.normalize('NFC'), Buffer.from(salt, 'base64'), KEY_BYTES, COST);
  return timingSafeEqual(found2, Buffer.from(key, 'base64'));
}
var digestOf = (token) => createHash('sha256').update(token).digest('hex');
function accessBy(file, clock = () => performance.now()) {
  const sessions = /* @__PURE__ */ new Map();
  let guesses = [];
  const secondsToWait = (from) => {
    const now2 = clock();
    guesses = guesses.filter(({ at }) => now2 - at < GUESSES.withinMs);
    const own = guesses.filter((guess) => guess.from === from);
    const blocking =
      own.length >= GUESSES.ofOne ? own[0] : guesses.length >= GUESSES.ofAll ? guesses[0] : void 0;
    return blocking ? Math.ceil((GUESSES.withinMs - (now2 - blocking.at)) / 1e3) : 0;
  };
  return {
    maxAgeSeconds: SESSION_MS / 1e3,
    admit: async (passphrase, from) => {
      const seconds = secondsToWait(from);
      if (seconds > 0) return { outcome: 'wait', seconds };
      const guess = { from, at: clock() };
      guesses.push(guess);
      if (!(await isPassphrase(file, passphrase))) return { outcome: 'wrong' };
      guesses = guesses.filter((one) => one !== guess);
      const token = randomBytes(TOKEN_BYTES).toString('base64url');
      sessions.set(digestOf(token), clock() + SESSION_MS);
      return { outcome: 'admitted', token };
    },
    isAdmitted: (token) => {
      if (token === void 0) return false;
      const until = sessions.get(digestOf(token));
      if (until === void 0) return false;
      if (until < clock()) {
        sessions.delete(digestOf(token));
        return false;
      }
      return true;
    },
    dismiss: (token) => {
      if (token !== void 0) sessions.delete(digestOf(token));
    },
  };
}

// src/server/app.ts
import { Hono as Hono20 } from 'hono';

// src/server/guards.ts
import { bodyLimit } from 'hono/body-limit';
import { secureHeaders } from 'hono/secure-headers';

// src/server/problems.ts
import { HTTPException } from 'hono/http-exception';

// src/contract/problem-fields.ts
var isNumericIssue = (issue) =>
  issue.code === 'invalid_type' && (issue.expected === 'number' || issue.expected === 'int');
var KIND_IN_WORDS = {
  string: 'text',
  array: 'a list',
  object: 'an object',
  boolean: 'true or false',
};
function requirementOf(issue) {
  if (isNumericIssue(issue)) return 'must be a finite number';
  switch (issue.code) {
    case 'invalid_type': {
      const isMissing = issue.message.includes('received undefined');
      return `${isMissing ? 'is missing; it ' : ''}must be ${KIND_IN_WORDS[issue.expected] ?? issue.expected}`;
    }
    case 'unrecognized_keys':
      return `has unknown fields: ${issue.keys.join(', ')}`;
    case 'invalid_value':
      return `must be one of ${issue.values.join(', ')}`;
    case 'too_small':
      return `must be ${issue.inclusive ? 'at least' : 'greater than'} ${String(issue.minimum)}${issue.origin === 'string' ? ' characters long' : ''}`;
    case 'too_big':
      return `must be at most ${String(issue.maximum)}${issue.origin === 'string' ? ' characters long' : ''}`;
    case 'invalid_union':
      return 'has none of the known forms';
    default:
      return issue.message;
  }
}
var fieldName = (path) => (path.length === 0 ? 'input' : path.join('.'));
function problemsOf(error) {
  return error.issues.map((issue) => {
    const field = fieldName(issue.path.filter((key) => typeof key !== 'symbol'));
    return { field, sentence: `${field} ${requirementOf(issue)}.` };
  });
}

// src/core/input-error.ts
var InputError = class extends Error {
  constructor(path, code, requirement) {
    super(`${path.join('.')} ${requirement}`);
    this.path = path;
    this.code = code;
    this.requirement = requirement;
    this.name = 'InputError';
  }
  path;
  code;
  requirement;
};
var shown = (value) => {
  if (typeof value === 'string') return JSON.stringify(value);
  if (value === null || typeof value !== 'object') return String(value);
  return Array.isArray(value) ? 'a list' : 'an object';
};
var boundsInWords = ({ min, max, above }) => {
  if (above !== void 0) {
    return max === void 0 ? `greater than ${above}` : `greater than ${above} and at most ${max}`;
  }
  if (min !== void 0 && max !== void 0) return `between ${min} and ${max}`;
  return min === void 0 ? `at most ${max}` : `at least ${min}`;
};
function requireNumber(value, path, bounds = {}) {
  if (typeof value !== 'number' || !Number.isFinite(value)) {
    throw new InputError(path, 'not_a_number', `must be a finite number; got ${shown(value)}`);
  }
  const { min = -Infinity, max = Infinity, above = -Infinity } = bounds;
  const isAbove = above === -Infinity || value > above;
  if (!(value >= min && value <= max && isAbove)) {
    throw new InputError(path, 'out_of_range', `must be ${boundsInWords(bounds)}; got ${value}`);
  }
  return value;
}
function requireOneOf(value, path, allowed) {
  if (!allowed.includes(value)) {
    throw new InputError(path, 'unknown', `must be one of ${allowed.join(', ')}; got ${shown(value)}`);
  }
  return value;
}

// src/server/stores.ts
var IdTaken = class extends Error {};

// src/server/problems.ts
var ProblemError = class extends Error {
  constructor(status, title, detail, extra = {}) {
    super(detail);
    this.status = status;
    this.title = title;
    this.extra = extra;
  }
  status;
  title;
  extra;
};
var notFound = (what) =>
  new ProblemError(404, 'Not found', `There is no such ${what}; it may have been removed.`);
var stale = (current) =>
  new ProblemError(
    409,
    'Changed meanwhile',
    'Someone, or another window, has changed this since you opened it. Nothing was overwritten.',
    { current },
  );
var invalid = (errors) =>
  new ProblemError(422, 'Not accepted', errors.map(({ sentence }) => sentence).join(' '), { errors });
var fromInputError = (error) => {
  const field = fieldName(error.path);
  return invalid([{ field, sentence: `${field} ${error.requirement}.` }]);
};
var IN_WORDS = {
  damaged:
    'The file of the books is damaged, so nothing is written into it. On the page \u201CYour data\u201D you can save what can still be read, and restore a backup.',
  readOnly:
    'The file of the books cannot be written to: the disk is full, or it may only be read. Make room or mend that, then start Vine Ledger again. Nothing was changed.',
};
function diskProblem(error) {
  const code = 'code' in error && typeof error.code === 'string' ? error.code : '';
  if (code === 'SQLITE_FULL' || code === 'ENOSPC' || code === 'EFBIG') {
    const detail =
      'The disk is full: nothing was written. Make room, then send it again; what you typed is still here.';
    return new ProblemError(507, 'Disk full', detail);
  }
  if (/^SQLITE_(READONLY|IOERR|CANTOPEN|PERM)/.test(code) || ['EROFS', 'EACCES', 'EPERM'].includes(code)) {
    return new ProblemError(503, 'Read only', IN_WORDS.readOnly);
  }
  if (/^SQLITE_(CORRUPT|NOTADB)/.test(code)) return new ProblemError(503, 'Damaged', IN_WORDS.damaged);
  if (code.startsWith('SQLITE_BUSY')) {
    return new ProblemError(
      503,
      'Busy',
      'Another program holds the file of the books; try again in a moment.',
    );
  }
  if (code.startsWith('SQLITE_CONSTRAINT')) {
    return new ProblemError(
      422,
      'Not accepted',
      'This does not fit with what is in the books; nothing was changed.',
    );
  }
  return void 0;
}
function asProblemError(error) {
  if (error instanceof ProblemError) return error;
  if (error instanceof InputError) return fromInputError(error);
  if (error instanceof IdTaken) {
    const detail = 'This id belongs to something that was removed; bring that back, or send a new id.';
    return new ProblemError(409, 'Removed meanwhile', detail);
  }
  if (error instanceof HTTPException) {
    return new ProblemError(error.status, 'Not accepted', error.message);
  }
  const disk = diskProblem(error);
  if (disk) return disk;
  console.error(error);
  return new ProblemError(
    500,
    'Something broke',
    'The server failed; nothing was changed. Its log says why.',
  );
}
function answerProblem(error, c) {
  const { status, title, message, extra } = asProblemError(error);
  const problem = { type: 'about:blank', title, status, detail: message, ...extra };
  return c.body(JSON.stringify(problem), status, { 'Content-Type': 'application/problem+json' });
}

// src/server/guards.ts
var LARGEST_BODY_BYTES = 1024 * 1024;
var LARGEST_PHOTO_BYTES = 8 * LARGEST_BODY_BYTES;
var LARGEST_FILE_BYTES = 64 * LARGEST_BODY_BYTES;
var FILE_PATH = /^\/api\/(gardens\/[^/]+\/)?imports$/;
var PHOTO_PATH = /^\/api\/gardens\/[^/]+\/photos\/[^/]+$/;
var LOOPBACK_NAMES = /* @__PURE__ */ new Set(['127.0.0.1', 'localhost', '[::1]']);
var READING = /* @__PURE__ */ new Set(['GET', 'HEAD']);
function hostName(authority) {
  try {
    return new URL(`http://${authority}`).hostname;
  } catch {
    return '';
  }
}
var FETCH_SITES = /* @__PURE__ */ new Set(['same-origin', 'none']);
var sameHostOnly = (hosts = []) => {
  const known = /* @__PURE__ */ new Set([...LOOPBACK_NAMES, ...hosts]);
  return async (c, next) => {
    const host = c.req.header('host') ?? '';
    if (!known.has(hostName(host))) {
      throw new ProblemError(403, 'Refused', 'Vine Ledger answers only to the names it was started for.');
    }
    const origin = c.req.header('origin');
    const isOwnPage = origin === void 0 || [`http://${host}`, `https://${host}`].includes(origin);
    const site = c.req.header('sec-fetch-site');
    const isOwnSite = site === void 0 || FETCH_SITES.has(site);
    if (!READING.has(c.req.method) && !(isOwnPage && isOwnSite)) {
      throw new ProblemError(403, 'Refused', 'Another site may not write into these books.');
    }
    await next();
  };
};
var WAYS_OUT = /^\/api\/(session|backups\/[^/]+\/restore)$/;
var readOnlyUnlessSound = (state) => async (c, next) => {
  const { kind } = state();
  if (kind !== 'sound' && !READING.has(c.req.method) && !WAYS_OUT.test(c.req.path)) {
    throw new ProblemError(503, 'Read only', IN_WORDS[kind]);
  }
  await next();
};
var limitedTo = (maxSize, inWords) =>
  bodyLimit({
    maxSize,
    onError: (c) => {
      c.header('Connection', 'close');
      throw new ProblemError(413, 'Too large', `That is more than ${inWords}; nothing was saved.`);
    },
  });
var limitedRecords = limitedTo(LARGEST_BODY_BYTES, '1 MB');
var limitedPhoto = limitedTo(LARGEST_PHOTO_BYTES, '8 MB');
var limitedFile = limitedTo(LARGEST_FILE_BYTES, '64 MB');
var limitedBody = (c, next) => {
  if (FILE_PATH.test(c.req.path)) return limitedFile(c, next);
  return (PHOTO_PATH.test(c.req.path) ? limitedPhoto : limitedRecords)(c, next);
};
var DEEPEST_JSON = 40;
function depthOf(text) {
  let depth = 0;
  let deepest = 0;
  let isInString = false;
  for (let i = 0; i < text.length; i++) {
    const sign = text.charCodeAt(i);
    if (isInString) {
      if (sign === 92) i += 1;
      else if (sign === 34) isInString = false;
    } else if (sign === 34) isInString = true;
    else if (sign === 123 || sign === 91) deepest = Math.max(deepest, ++depth);
    else if (sign === 125 || sign === 93) depth -= 1;
  }
  return deepest;
}
var shallowJson = async function shallowJson2(c, next) {
  if (c.req.header('content-type')?.includes('json') && depthOf(await c.req.text()) > DEEPEST_JSON) {
    throw new ProblemError(
      400,
      'Not accepted',
      'The file is nested deeper than any of ours; nothing was saved.',
    );
  }
  await next();
};
var headers = secureHeaders({
  contentSecurityPolicy: {
    defaultSrc: ["'none'"],
    // The solver of the mixing bench is WebAssembly.
    scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
    styleSrc: ["'self'", "'unsafe-inline'"],
    fontSrc: ["'self'"],
    imgSrc: ["'self'", 'data:'],
    connectSrc: ["'self'"],
    workerSrc: ["'self'"],
    formAction: ["'none'"],
    frameAncestors: ["'none'"],
    baseUri: ["'none'"],
  },
});

// src/server/routes/backups.ts
import { Hono } from 'hono';
var backupRoutes = ({ books }) =>
  new Hono()
    .get('/', (c) => c.json({ state: books.state(), backups: books.backups() }, 200))
    .post('/', async (c) => c.json(await books.backUp(), 201))
    .get('/:name', (c) => c.json(books.check(c.req.param('name')), 200))
    .post('/:name/restore', async (c) => c.json(await books.restore(c.req.param('name')), 200));

// src/server/routes/session.ts
import { getConnInfo } from '@hono/node-server/conninfo';
import { Hono as Hono2 } from 'hono';
import { deleteCookie, getCookie, setCookie } from 'hono/cookie';
import { z as z3 } from 'zod';

// src/server/routes/validated.ts
import { zValidator } from '@hono/zod-validator';
import { z as z2 } from 'zod';
var body = (schema) =>
  zValidator('json', schema, (result) => {
    if (!result.success) throw invalid(problemsOf(result.error));
  });
var query = (schema) =>
  zValidator('query', schema, (result) => {
    if (!result.success) throw invalid(problemsOf(result.error));
  });
var removal = z2.object({ version: z2.coerce.number().int().min(1) });
var seenVersion = zValidator('query', removal, (result) => {
  if (!result.success) throw invalid(problemsOf(result.error));
});

// src/server/routes/session.ts
var COOKIE = 'vine_ledger_session';
var OPEN_PATHS = /* @__PURE__ */ new Set(['/api/session', '/api/health']);
var LONGEST_PASSPHRASE = 1e3;
var login = z3.strictObject({ passphrase: z3.string().min(1).max(LONGEST_PASSPHRASE) });
var admittedOnly = (access) => async (c, next) => {
  const isOpen = access === void 0 || OPEN_PATHS.has(c.req.path);
  if (!isOpen && !access.isAdmitted(getCookie(c, COOKIE))) {
    throw new ProblemError(401, 'Passphrase needed', 'Say the passphrase of these books first.');
  }
  await next();
};
var sessionRoutes = ({ access }) =>
  new Hono2()
    .get('/', (c) =>
      c.json(
        { isNeeded: access !== void 0, isAdmitted: access?.isAdmitted(getCookie(c, COOKIE)) ?? true },
        200,
      ),
    )
    .post('/', body(login), async (c) => {
      if (!access) return c.json({ isNeeded: false, isAdmitted: true }, 200);
      const from = getConnInfo(c).remote.address ?? '';
      const admission = await access.admit(c.req.valid('json').passphrase, from);
      if (admission.outcome === 'wait') {
        c.header('Retry-After', String(admission.seconds));
        const minutes = Math.ceil(admission.seconds / 60);
        const detail = `Too many wrong passphrases. Try again in ${minutes} minute${minutes === 1 ? '' : 's'}.`;
        throw new ProblemError(429, 'Too many attempts', detail);
      }
      if (admission.outcome === 'wrong') {
        throw new ProblemError(401, 'Wrong passphrase', 'That is not the passphrase of these books.', {
          errors: [{ field: 'passphrase', sentence: 'That is not the passphrase of these books.' }],
        });
      }
      setCookie(c, COOKIE, admission.token, {
        httpOnly: true,
        sameSite: 'Strict',
        path: '/',
        maxAge: access.maxAgeSeconds,
        // Over plain HTTP in a home network there is no other way; behind a proxy with TLS it is set.
        secure: c.req.header('x-forwarded-proto') === 'https',
      });
      return c.json({ isNeeded: true, isAdmitted: true }, 200);
    })
    .delete('/', (c) => {
      access?.dismiss(getCookie(c, COOKIE));
      deleteCookie(c, COOKIE, { path: '/' });
      return c.body(null, 204);
    });

// src/server/routes/beds.ts
import { Hono as Hono3 } from 'hono';

// src/contract/records.ts
import { z as z5 } from 'zod';

// src/core/crops/crop-library.ts
var STARTS_AS = ['seed', 'transplant', 'set'];
var SEED_SIZES = ['tiny', 'small', 'medium', 'large'];
var VEGETABLE_TABLES = 'order of magnitude of vegetable fertiliser tables (from memory)';
var ROOT_TABLES = 'rooting depth of irrigation handbooks (from memory)';
var COVER_TABLES = 'order of magnitude of cover-crop handbooks (from memory)';
var PERENNIAL_TABLES =
  'order of magnitude of advisory leaflets on fruit and perennial vegetables (from memory)';
var SHARE_SET_HERE = 'share left on the bed set here';
var ROWS = [
  ['leek', 'Leek', 'upright', 16, 50, 190, 'transplant', 0.25, 'veg_waste', 'small soil leaf'],
  ['onion', 'Onion', 'upright', 11, 35, 130, 'set', 0.1, 'veg_waste', 'small soil'],
  ['garlic', 'Garlic', 'upright', 10, 40, 260, 'set', 0.1, 'veg_waste', 'large soil'],
  ['cabbage', 'Cabbage', 'leafy', 24, 60, 120, 'transplant', 0.4, 'veg_waste', 'small leaf soil'],
  ['kale', 'Kale', 'leafy', 20, 60, 200, 'transplant', 0.35, 'veg_waste', 'small leaf'],
  ['spinach', 'Spinach', 'leafy', 12, 40, 55, 'seed', 0.2, 'veg_waste', 'medium leaf soil'],
  ['beetroot', 'Beetroot', 'root', 15, 60, 110, 'seed', 0.4, 'veg_waste', 'medium soil'],
  ['parsnip', 'Parsnip', 'root', 13, 80, 180, 'seed', 0.35, 'veg_waste', 'medium soil'],
  ['turnip', 'Turnip', 'root', 10, 50, 70, 'seed', 0.35, 'veg_waste', 'small soil'],
  ['potato', 'Potato', 'bushy', 16, 50, 115, 'set', 0.3, 'veg_waste', 'large soil'],
  ['tomato', 'Tomato', 'climbing', 20, 80, 130, 'transplant', 0.4, 'veg_waste', 'small'],
  ['pepper', 'Pepper', 'bushy', 16, 60, 130, 'transplant', 0.4, 'veg_waste', 'small'],
  ['pumpkin', 'Pumpkin', 'sprawling', 15, 80, 120, 'transplant', 0.45, 'veg_waste', 'large soil'],
  ['cucumber', 'Cucumber', 'climbing', 16, 60, 95, 'transplant', 0.4, 'veg_waste', 'large'],
  ['sweetcorn', 'Sweetcorn', 'grassy', 18, 80, 110, 'seed', 0.55, 'cereal_residue_1N', 'large'],
  ['pea', 'Pea', 'climbing', 14, 60, 95, 'seed', 0.5, 'clover_cover', 'large legume'],
  ['french_bean', 'French bean', 'bushy', 12, 50, 85, 'seed', 0.5, 'clover_cover', 'large legume'],
  ['clover', 'Clover, green manure', 'leafy', 12, 60, 200, 'seed', 1, 'clover_cover', 'tiny legume cover'],
  ['vetch_rye', 'Vetch and rye, green manure', 'grassy', 12, 80, 210, 'seed', 1, 'rye_young', 'medium cover'],
  ['phacelia', 'Phacelia, green manure', 'leafy', 8, 60, 80, 'seed', 1, 'veg_waste', 'tiny cover'],
  ['asparagus', 'Asparagus', 'upright', 10, 120, 365, 'set', 0.5, 'straw_cereal', 'medium perennial soil'],
  ['strawberry', 'Strawberry', 'leafy', 8, 40, 365, 'transplant', 0.5, 'veg_waste', 'tiny perennial soil'],
  ['currant', 'Currant', 'shrub', 8, 80, 365, 'transplant', 0.5, 'leaves_mixed', 'small perennial woody'],
  ['raspberry', 'Raspberry', 'shrub', 8, 70, 365, 'transplant', 0.4, 'leaves_mixed', 'small perennial woody'],
  ['hazel', 'Hazel', 'shrub', 7, 120, 365, 'transplant', 0.6, 'leaves_mixed', 'large perennial woody'],
  [
    'white_clover',
    'White clover',
    'leafy',
    10,
    40,
    365,
    'seed',
    1,
    'clover_cover',
    'tiny legume perennial cover mulch',
  ],
  ['trefoil', 'Black medick', 'leafy', 8, 40, 150, 'seed', 1, 'clover_cover', 'tiny legume cover mulch'],
  ['rye', 'Rye, green manure', 'grassy', 10, 90, 200, 'seed', 1, 'rye_young', 'medium cover'],
  [
    'lupin',
    'Blue lupin, green manure',
    'upright',
    14,
    90,
    120,
    'seed',
    1,
    'clover_cover',
    'large legume cover',
  ],
  ['celeriac', 'Celeriac', 'root', 18, 50, 180, 'transplant', 0.35, 'veg_waste', 'tiny soil'],
  ['broccoli', 'Broccoli', 'leafy', 24, 60, 110, 'transplant', 0.5, 'veg_waste', 'small'],
  ['squash_winter', 'Winter squash', 'sprawling', 15, 80, 120, 'seed', 0.45, 'veg_waste', 'large soil'],
  ['sunflower', 'Sunflower', 'upright', 12, 100, 110, 'seed', 0.5, 'cereal_residue_1N', 'large'],
  ['medlar', 'Medlar', 'tree', 6, 120, 365, 'transplant', 0.5, 'leaves_mixed', 'medium perennial woody'],
  [
    'gooseberry',
    'Gooseberry',
    'shrub',
    8,
    60,
    365,
    'transplant',
    0.5,
    'leaves_mixed',
    'small perennial woody',
  ],
  ['quince', 'Quince', 'tree', 7, 120, 365, 'transplant', 0.5, 'leaves_mixed', 'medium perennial woody'],
];
function sourceOf(traits) {
  const demand = traits.includes('cover')
    ? COVER_TABLES
    : traits.includes('perennial')
      ? PERENNIAL_TABLES
      : VEGETABLE_TABLES;
  return `demand: ${demand}; roots: ${ROOT_TABLES}; ${SHARE_SET_HERE}`;
}
var CROP_LIBRARY = ROWS.map(
  ([
    id2,
    name2,
    form,
    nitrogenDemandGPerM2,
    rootDepthCm2,
    daysInGround,
    startsAs,
    residueShare,
    residueMaterialId,
    traits,
  ]) => ({
    id: id2,
    name: name2,
    form,
    nitrogenDemandGPerM2,
    rootDepthCm: rootDepthCm2,
    daysInGround,
    startsAs,
    seedSize: SEED_SIZES.find((size) => traits.includes(size)),
    isEatenFromSoil: traits.includes('soil'),
    isLeafEaten: traits.includes('leaf'),
    isCoverCrop: traits.includes('cover'),
    isLivingMulch: traits.includes('mulch'),
    isWoody: traits.includes('woody'),
    isLegume: traits.includes('legume'),
    isPerennial: traits.includes('perennial'),
    residueShare,
    residueMaterialId,
    source: sourceOf(traits),
  }),
);
var byId = new Map(CROP_LIBRARY.map((crop) => [crop.id, crop]));
var findCrop = (id2) => byId.get(id2);

// src/core/materials/material.ts
var PARTICLE_SIZES = ['fine', 'chip', 'coarse', 'log'];
var CHAR_TEMPERATURES = ['low', 'medium', 'high'];
var EXPOSURES = ['damp', 'normal', 'dry'];
var MATERIAL_KINDS = [
  'wood',
  'residue',
  'leaf',
  'green',
  'manure',
  'compost',
  'paper',
  'fertiliser',
  'char',
  'none',
];

// src/core/numerics/interpolation.ts
var clamp = (value, low, high) => (value < low ? low : value > high ? high : value);
var smoothStep = (x) => {
  const t = clamp(x, 0, 1);
  return t * t * (3 - 2 * t);
};

// src/core/materials/wood-chips.ts
var CUTTING_SEASONS = ['inLeaf', 'leafless'];
var THINNEST_CM = 5;
var THICKEST_CM = 30;
var RATIO_EXPONENT = Math.log(10) / Math.log(THICKEST_CM / THINNEST_CM);
var WOOD_CARBON = 0.49;
var LEAF_NITROGEN = 0.025;
var BARK_OF_THIN = 0.25;
var BARK_OF_THICK = 0.1;
var BARK_EXTRA_NITROGEN = 4e-3;
var BARK_SLOWNESS = 0.3;
var LEAFLESS_GAIN = 1.1;
var LEAST_NITROGEN = 5e-4;
function woodChipMaterial(traits, path = ['chips']) {
  const diameter = clamp(
    requireNumber(traits.branchDiameterCm, [...path, 'branchDiameterCm'], { above: 0, max: 300 }),
    THINNEST_CM,
    THICKEST_CM,
  );
  const leaf = requireNumber(traits.leafShare, [...path, 'leafShare'], { min: 0, max: 1 });
  const conifer = requireNumber(traits.coniferShare, [...path, 'coniferShare'], { min: 0, max: 1 });
  const thinness = 1 - (diameter - THINNEST_CM) / (THICKEST_CM - THINNEST_CM);
  const usualBark = BARK_OF_THICK + (BARK_OF_THIN - BARK_OF_THICK) * thinness;
  const moreBark = (barkOf(traits, path) ?? usualBark) - usualBark;
  const woodRatio = 50 * (diameter / THINNEST_CM) ** RATIO_EXPONENT * (1 + 0.5 * conifer);
  const seasonal = traits.season === 'leafless' ? LEAFLESS_GAIN : 1;
  const woodNitrogen = (WOOD_CARBON / woodRatio) * seasonal + moreBark * BARK_EXTRA_NITROGEN;
  const nitrogen2 =
    (1 - leaf) * Math.max(LEAST_NITROGEN, woodNitrogen) + leaf * LEAF_NITROGEN * (1 - 0.4 * conifer);
  const quick = (1 - leaf) * (0.04 + 0.06 * thinness) + 0.28 * leaf;
  const woody = (1 - leaf) * (0.3 + 0.08 * conifer) + 0.2 * leaf;
  return {
    kind: 'wood',
    moistureFractionWetBasis: 0.45 + 0.1 * leaf,
    carbonFractionDryBasis: WOOD_CARBON,
    nitrogenFractionDryBasis: nitrogen2,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 280,
    pools: { quick, structural: 1 - quick - woody, woody, microbial: 0, humus: 0, char: 0 },
    particleSize: 'chip',
    decayFactor: (1 - 0.4 * conifer) * (1 - BARK_SLOWNESS * Math.max(0, moreBark)),
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
  };
}
var barkOf = ({ barkShare }, path) =>
  barkShare === void 0 || barkShare === null
    ? void 0
    : requireNumber(barkShare, [...path, 'barkShare'], { min: 0, max: 1 });

// src/core/records/bed-records.ts
var BED_KINDS = [
  'annual',
  'raised',
  'seedbed',
  'perennial',
  'shrubs',
  'treeRing',
  'container',
  'path',
  'resting',
];
var RECORD_STATES = ['laid', 'planned'];
var CROPPING_BEFORE = ['unknown', 'hard', 'ordinary', 'rested'];
var SCHOOLS = ['cautious', 'byDepth', 'relaxed'];

// src/core/units/length.ts
var CENTIMETRES_PER_INCH = 2.54;
var CENTIMETRES_PER_FOOT = 12 * CENTIMETRES_PER_INCH;
var CENTIMETRES_PER_METRE = 100;
var inchesFromCentimetres = (centimetres) => centimetres / CENTIMETRES_PER_INCH;

// src/core/units/mass.ts
var KILOGRAMS_PER_POUND = 0.45359237;
var GRAMS_PER_KILOGRAM = 1e3;
var GRAMS_PER_OUNCE = (KILOGRAMS_PER_POUND * GRAMS_PER_KILOGRAM) / 16;
var poundsFromKilograms = (kilograms) => kilograms / KILOGRAMS_PER_POUND;
var ouncesFromGrams = (grams) => grams / GRAMS_PER_OUNCE;

// src/core/units/volume.ts
var LITRES_PER_GALLON = 3.785411784;
var LITRES_PER_QUART = LITRES_PER_GALLON / 4;
var LITRES_PER_CUP = LITRES_PER_GALLON / 16;
var LITRES_PER_TABLESPOON = LITRES_PER_CUP / 16;
var LITRES_PER_TEASPOON = LITRES_PER_CUP / 48;
var LITRES_PER_CUBIC_FOOT = 28.316846592;
var LITRES_PER_CUBIC_YARD = LITRES_PER_CUBIC_FOOT * 27;
var LITRES_PER_CUBIC_METRE = 1e3;
var LITRES_PER_METRIC_BUCKET = 10;
var LITRES_PER_CUSTOMARY_BUCKET = 5 * LITRES_PER_GALLON;
var LITRES_PER_METRIC_BARROW = 85;
var LITRES_PER_CUSTOMARY_BARROW = 3 * LITRES_PER_CUBIC_FOOT;

// src/core/units/amount.ts
var BY_DEPTH_CM = {
  cm: 1,
  inch: CENTIMETRES_PER_INCH,
  metre: CENTIMETRES_PER_METRE,
  foot: CENTIMETRES_PER_FOOT,
};
var BY_VOLUME_L = {
  litre: 1,
  cubicMetre: LITRES_PER_CUBIC_METRE,
  bucket10L: LITRES_PER_METRIC_BUCKET,
  barrow85L: LITRES_PER_METRIC_BARROW,
  cup: LITRES_PER_CUP,
  quart: LITRES_PER_QUART,
  gallon: LITRES_PER_GALLON,
  bucket5Gal: LITRES_PER_CUSTOMARY_BUCKET,
  barrow3CuFt: LITRES_PER_CUSTOMARY_BARROW,
  cubicFoot: LITRES_PER_CUBIC_FOOT,
  cubicYard: LITRES_PER_CUBIC_YARD,
};
var BY_MASS_KG = { kg: 1, gram: 1e-3, pound: KILOGRAMS_PER_POUND };
var AMOUNT_UNITS = [...Object.keys(BY_DEPTH_CM), ...Object.keys(BY_VOLUME_L), ...Object.keys(BY_MASS_KG)];
var isDepthUnit = (unit2) => unit2 in BY_DEPTH_CM;
var STOCK_UNITS = AMOUNT_UNITS.filter((unit2) => !isDepthUnit(unit2));
var LITRES_PER_M2_CM = 10;
function massPerUnitKg(unit2, { bulkDensityKgPerM3, areaM2 }) {
  if (unit2 in BY_MASS_KG) return BY_MASS_KG[unit2];
  const kgPerLitre = bulkDensityKgPerM3 / LITRES_PER_CUBIC_METRE;
  if (unit2 in BY_VOLUME_L) return BY_VOLUME_L[unit2] * kgPerLitre;
  return BY_DEPTH_CM[unit2] * LITRES_PER_M2_CM * areaM2 * kgPerLitre;
}
function massFreshKgFromAmount(amount, unit2, measured, path = ['amount']) {
  requireNumber(amount, path, { above: 0 });
  requireOneOf(unit2, [...path.slice(0, -1), 'unit'], AMOUNT_UNITS);
  const massKg = amount * massPerUnitKg(unit2, measured);
  if (!Number.isFinite(massKg)) throw new InputError(path, 'out_of_range', `is far too large; got ${amount}`);
  return massKg;
}

// src/core/units/soil-nitrogen.ts
var SOIL_NITROGEN_UNITS = ['gPerM2', 'kgPerHa', 'lbPerAcre', 'mgPerKg'];
var G_PER_M2_PER_KG_PER_HA = 0.1;
var G_PER_M2_PER_LB_PER_ACRE = 453.59237 / 4046.8564224;
var SOIL_KG_PER_M2_PER_G_PER_CM3_AND_CM = 10;
function mineralNitrogenGPerM2(amount, unit2, soil) {
  switch (unit2) {
    case 'gPerM2':
      return amount;
    case 'kgPerHa':
      return amount * G_PER_M2_PER_KG_PER_HA;
    case 'lbPerAcre':
      return amount * G_PER_M2_PER_LB_PER_ACRE;
    case 'mgPerKg': {
      const soilKg = soil.bulkDensityGPerCm3 * soil.sampledDepthCm * SOIL_KG_PER_M2_PER_G_PER_CM3_AND_CM;
      return (amount * soilKg) / 1e3;
    }
  }
}

// src/contract/fields.ts
import { z as z4 } from 'zod';

// src/core/climate/calendar.ts
var EARLIEST_YEAR = 1700;
var LATEST_YEAR = 2500;
var DAYS_BEFORE_1970 = 719162;
var MILLISECONDS_PER_DAY = 864e5;
var isLeapYear = (year) => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
var daysInMonth = (year, month) =>
  month === 2 ? (isLeapYear(year) ? 29 : 28) : [4, 6, 9, 11].includes(month) ? 30 : 31;
var dayNumberOf = ({ year, month, day }) =>
  Date.UTC(year, month - 1, day) / MILLISECONDS_PER_DAY + DAYS_BEFORE_1970 + 1;
function calendarDateOf(dayNumber) {
  const instant2 = new Date((dayNumber - DAYS_BEFORE_1970 - 1) * MILLISECONDS_PER_DAY);
  return {
    year: instant2.getUTCFullYear(),
    month: instant2.getUTCMonth() + 1,
    day: instant2.getUTCDate(),
  };
}
function isoDateOf(dayNumber) {
  const { year, month, day } = calendarDateOf(dayNumber);
  return `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
}
function dayNumberFromIso(text, path) {
  const match = typeof text === 'string' ? /^(\d{4})-(\d{2})-(\d{2})$/.exec(text) : null;
  if (!match) {
    throw new InputError(path, 'bad_date', `must be a date written YYYY-MM-DD; got ${JSON.stringify(text)}`);
  }
  const [year, month, day] = [Number(match[1]), Number(match[2]), Number(match[3])];
  if (!(year >= EARLIEST_YEAR && year <= LATEST_YEAR)) {
    throw new InputError(
      path,
      'bad_date',
      `must lie between the years ${EARLIEST_YEAR} and ${LATEST_YEAR}; got ${match[0]}`,
    );
  }
  if (month < 1 || month > 12 || day < 1 || day > daysInMonth(year, month)) {
    throw new InputError(path, 'bad_date', `must be a day of the calendar; ${match[0]} does not exist`);
  }
  return dayNumberOf({ year, month, day });
}

// src/contract/fields.ts
var FIRST_DATE = '1960-01-01';
var LAST_DATE = '2100-12-31';
var finite = z4.number();
var share = finite.min(0).max(1);
var name = z4.string().trim().min(1).max(80);
var note = z4.string().trim().max(2e3);
var id = z4.string().regex(/^[A-Za-z0-9_-]{1,64}$/, 'must be 1 to 64 letters, digits, - or _');
var version = z4.int().min(1);
var date = z4.string().superRefine((text, context) => {
  try {
    dayNumberFromIso(text, []);
    if (text < FIRST_DATE || text > LAST_DATE) {
      context.addIssue(`must lie between ${FIRST_DATE} and ${LAST_DATE}; got ${text}`);
    }
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    context.addIssue(error.requirement);
  }
});
var INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,9})?Z$/;
var instant = z4.string().regex(INSTANT, 'must be an instant in UTC such as 2026-05-14T08:30:00.000Z');
var filed = { id, createdAt: instant, updatedAt: instant };
var stamp = { id, version, createdAt: z4.string(), updatedAt: z4.string() };
var creation = { id: id.optional() };
var MOST_AT_ONCE = 100;

// src/contract/records.ts
var MONTHS = 12;
var climateNormals = z5.strictObject({
  temperatureC: z5.array(finite.min(-60).max(60)).length(MONTHS),
  rainMm: z5.array(finite.min(0).max(2e3)).length(MONTHS),
  evapotranspirationMm: z5.array(finite.min(0).max(1e3)).length(MONTHS),
});
var price = finite.min(0).max(1e6).nullable();
var gardenPrices = z5.strictObject({
  nitrogenPerKg: price,
  phosphorusPerKg: price,
  potassiumPerKg: price,
  hour: price,
});
var gardenFields = {
  name,
  place: note,
  climate: climateNormals,
  depositionGPerM2Year: finite.min(0).max(20),
  measures: z5.enum(['metric', 'customary']),
  school: z5.enum(SCHOOLS).default('byDepth'),
  /** The carrier in which doses are worked out. */
  feedMaterialId: id.default('feather_meal'),
  /** Null when nobody has told any. */
  prices: gardenPrices.nullable().default(null),
};
var gardenDraft = z5.strictObject({ ...creation, ...gardenFields });
var gardenChange = z5.strictObject({ version, ...gardenFields });
var gardenRecord = z5.object({ ...stamp, ...gardenFields });
var gardenFiled = z5.strictObject({ ...filed, ...gardenFields });
var bedFields = {
  name,
  kind: z5.enum(BED_KINDS),
  areaM2: finite.gt(0).max(1e5),
  organicMatterPct: finite.min(0).max(100),
  bulkDensityGPerCm3: finite.min(0.05).max(2.5),
  clayPct: finite.min(0).max(100),
  rootZoneCm: finite.min(10).max(200),
  exposure: z5.enum(EXPOSURES),
  isWatered: z5.boolean(),
  startedOn: date.nullable().default(null),
  ph: finite.min(2).max(11).nullable().default(null),
  croppingBefore: z5.enum(CROPPING_BEFORE).default('unknown'),
  /** Whether its likely range is weighed by what its log says. */
  learnsFromLog: z5.boolean().default(true),
  /** Corners by longitude and latitude, degrees; the first is not repeated at the end. Null when nobody has mapped it. */
  outline: z5
    .array(z5.tuple([finite.min(-180).max(180), finite.min(-90).max(90)]))
    .min(3)
    .max(500)
    .nullable()
    .default(null),
  note,
};
var bedDraft = z5.strictObject({ ...creation, ...bedFields });
var bedChange = z5.strictObject({ version, ...bedFields });
var bedRecord = z5.object({ ...stamp, gardenId: id, ...bedFields });
var bedFiled = z5.strictObject({ ...filed, ...bedFields });
var entryCommon = { state: z5.enum(RECORD_STATES), date, note };
var layFields = {
  ...entryCommon,
  type: z5.literal('lay'),
  materialId: id,
  /** Taken from this lot of the stock. */
  lotId: id.nullish(),
  amount: finite.gt(0).max(1e9),
  unit: z5.enum(AMOUNT_UNITS),
  dugDepthCm: finite.min(0).max(200),
  seasonedMonths: finite.min(0).max(120),
};
var digFields = {
  ...entryCommon,
  type: z5.literal('dig'),
  layerId: id.nullable(),
  dugDepthCm: finite.gt(0).max(200),
};
var takeOffFields = {
  ...entryCommon,
  type: z5.literal('takeOff'),
  layerId: id,
  shareTakenOff: share,
  /** Of the humus it has made on the spot: lifted with it. */
  humusShareTakenOff: share.nullish(),
};
var feedFields = { ...entryCommon, type: z5.literal('feed'), nitrogenG: finite.gt(0).max(1e6) };
var soilTestFields = {
  ...entryCommon,
  type: z5.literal('soilTest'),
  amount: finite.min(0).max(1e3),
  unit: z5.enum(SOIL_NITROGEN_UNITS),
  sampledDepthCm: finite.min(5).max(200),
  ph: finite.min(2).max(11).nullable().default(null),
  organicMatterPct: finite.min(0).max(100).nullable().default(null),
};
var waterFields = { ...entryCommon, type: z5.literal('water'), waterMm: finite.gt(0).max(500) };
var anyEntry = (extra) =>
  z5.discriminatedUnion('type', [
    z5.strictObject({ ...extra, ...layFields }),
    z5.strictObject({ ...extra, ...digFields }),
    z5.strictObject({ ...extra, ...takeOffFields }),
    z5.strictObject({ ...extra, ...feedFields }),
    z5.strictObject({ ...extra, ...soilTestFields }),
    z5.strictObject({ ...extra, ...waterFields }),
  ]);
var entryDraft = anyEntry(creation);
var entryRow = anyEntry({ ...creation, bedId: id });
var entryChange = anyEntry({ version });
var entryStamp = { ...stamp, bedId: id };
var massFreshKg = finite.gt(0).max(1e12);
var entryFiledStamp = { ...filed, bedId: id };
var entryFiled = z5.discriminatedUnion('type', [
  z5.strictObject({ ...entryFiledStamp, ...layFields, massFreshKg }),
  z5.strictObject({ ...entryFiledStamp, ...digFields }),
  z5.strictObject({ ...entryFiledStamp, ...takeOffFields }),
  z5.strictObject({ ...entryFiledStamp, ...feedFields }),
  z5.strictObject({ ...entryFiledStamp, ...soilTestFields }),
  z5.strictObject({ ...entryFiledStamp, ...waterFields }),
]);
var entryRecord = z5.discriminatedUnion('type', [
  z5.object({ ...entryStamp, ...layFields, massFreshKg: finite }),
  z5.object({ ...entryStamp, ...digFields }),
  z5.object({ ...entryStamp, ...takeOffFields }),
  z5.object({ ...entryStamp, ...feedFields }),
  z5.object({ ...entryStamp, ...soilTestFields }),
  z5.object({ ...entryStamp, ...waterFields }),
]);
var liftDraft = z5.strictObject({
  id: z5.string().regex(/^[A-Za-z0-9_-]{1,50}$/, 'must be 1 to 50 letters, digits, - or _'),
  date,
  note,
  layerIds: z5.array(id).min(1).max(20),
  lotName: name,
});
var seen = z5.strictObject({ id, version });
var bedRevision = z5.strictObject({
  creates: z5.array(anyEntry({ id })).max(MOST_AT_ONCE),
  changes: z5.array(anyEntry({ id, version })).max(MOST_AT_ONCE),
  removals: z5.array(seen).max(MOST_AT_ONCE),
  restores: z5.array(id).max(MOST_AT_ONCE),
  /** Entries of one day from the soil upwards; empty leaves the order as it is. */
  order: z5.array(id).max(MOST_AT_ONCE),
});
var plantingFields = {
  state: z5.enum(RECORD_STATES),
  cropId: id,
  plantedOn: date,
  clearedOn: date.nullable(),
  nitrogenDemandGPerM2: finite.min(0).max(100),
  rootDepthCm: finite.min(5).max(500),
  startsAs: z5.enum(STARTS_AS).default('seed'),
  areaShare: share.gt(0).default(1),
  isUndersown: z5.boolean().default(false),
  note,
};
var plantingDraft = z5.strictObject({ ...creation, ...plantingFields });
var plantingRow = z5.strictObject({ ...creation, bedId: id, ...plantingFields });
var plantingChange = z5.strictObject({ version, ...plantingFields });
var plantingRecord = z5.object({ ...stamp, bedId: id, ...plantingFields });
var plantingFiled = z5.strictObject({ ...filed, bedId: id, ...plantingFields });
var planRevision = z5.strictObject({
  beds: z5
    .array(
      z5.strictObject({
        bedId: id,
        entries: bedRevision,
        plantings: z5.strictObject({
          creates: z5.array(z5.strictObject({ id, ...plantingFields })).max(MOST_AT_ONCE),
          removals: z5.array(seen).max(MOST_AT_ONCE),
          restores: z5.array(id).max(MOST_AT_ONCE),
        }),
      }),
    )
    .min(1)
    .max(MOST_AT_ONCE),
});
var materialBasis = z5.discriminatedUnion('type', [
  z5.strictObject({
    type: z5.literal('chips'),
    branchDiameterCm: finite.gt(0).max(300),
    leafShare: share,
    coniferShare: share,
    barkShare: share.nullish(),
    season: z5.enum(CUTTING_SEASONS).nullish(),
  }),
  z5.strictObject({
    type: z5.literal('figures'),
    likeMaterialId: id,
    moistureFractionWetBasis: share.max(0.999),
    carbonFractionDryBasis: share,
    nitrogenFractionDryBasis: share,
    bulkDensityKgPerM3: finite.gt(0).max(3e3),
  }),
]);
var materialFields = { name, basis: materialBasis, note };
var materialDraft = z5.strictObject({ ...creation, ...materialFields });
var materialChange = z5.strictObject({ version, ...materialFields });
var namedMaterialDraft = z5.strictObject({ id, ...materialFields });
var materialRecord = z5.object({ ...stamp, gardenId: id, ...materialFields });
var materialFiled = z5.strictObject({ ...filed, ...materialFields });
var buildUpLayer = z5.strictObject({
  materialId: id,
  thicknessCm: finite.gt(0).max(100),
  dugDepthCm: finite.min(0).max(200),
  seasonedMonths: finite.min(0).max(120),
});
var buildUpFields = {
  name,
  layers: z5.array(buildUpLayer).min(1).max(20),
  waitDays: z5.int().min(0).max(1e3),
  note,
};
var buildUpDraft = z5.strictObject({ ...creation, ...buildUpFields });
var buildUpRecord = z5.object({ ...stamp, gardenId: id, ...buildUpFields });
var buildUpFiled = z5.strictObject({ ...filed, ...buildUpFields });

// src/contract/as-entered.ts
var fieldAsEntered = (field) => (field === 'massFreshKg' ? 'amount' : field);

// src/core/journal/soil-report.ts
var MOST_MINERAL_NITROGEN_G_PER_M2 = 60;
var ORGANIC_MATTER_PCT = { least: 0.2, most: 95 };
function checkSoilTest({ amount, unit: unit2, organicMatterPct: organicMatterPct2 }, soil) {
  const gPerM2 = mineralNitrogenGPerM2(amount, unit2, soil);
  if (gPerM2 > MOST_MINERAL_NITROGEN_G_PER_M2) {
    throw new InputError(
      ['amount'],
      'out_of_range',
      `comes to ${Math.round(gPerM2 * 10)} kg/ha of mineral nitrogen, more than any garden soil holds. Is the unit right? mg/kg (ppm), kg/ha and % are easily mixed up, and total nitrogen is not mineral nitrogen`,
    );
  }
  if (organicMatterPct2 === null) return;
  if (organicMatterPct2 < ORGANIC_MATTER_PCT.least || organicMatterPct2 > ORGANIC_MATTER_PCT.most) {
    throw new InputError(
      ['organicMatterPct'],
      'out_of_range',
      `must be between ${ORGANIC_MATTER_PCT.least} and ${ORGANIC_MATTER_PCT.most} %; got ${organicMatterPct2}. ${organicMatterPct2 < 1 ? 'A share of 0.04 is 4 %' : '1 % is 10 000 ppm'}`,
    );
  }
}

// src/core/materials/check-material.ts
var SHARE = { min: 0, max: 1 };
var WETTEST = 0.999;
var POOL_SUM_TOLERANCE = 1e-6;
function checkMaterial(material, path) {
  const at = (name2) => [...path, name2];
  requireOneOf(material.kind, at('kind'), MATERIAL_KINDS);
  requireNumber(material.moistureFractionWetBasis, at('moistureFractionWetBasis'), { min: 0, max: WETTEST });
  requireNumber(material.carbonFractionDryBasis, at('carbonFractionDryBasis'), SHARE);
  requireNumber(material.nitrogenFractionDryBasis, at('nitrogenFractionDryBasis'), SHARE);
  requireNumber(material.ammoniumShareOfNitrogen, at('ammoniumShareOfNitrogen'), SHARE);
  requireNumber(material.bulkDensityKgPerM3, at('bulkDensityKgPerM3'), { above: 0 });
  requireOneOf(material.particleSize, at('particleSize'), PARTICLE_SIZES);
  requireNumber(material.decayFactor, at('decayFactor'), { min: 0 });
  requireNumber(material.ammoniaExposure, at('ammoniaExposure'), SHARE);
  requireNumber(material.vaporBarrier, at('vaporBarrier'), SHARE);
  requireOneOf(material.charTemperature, at('charTemperature'), CHAR_TEMPERATURES);
  if (material.charCapacityGPerKg !== void 0) {
    requireNumber(material.charCapacityGPerKg, at('charCapacityGPerKg'), { min: 0 });
  }
  checkPools(material.pools, at('pools'));
}
function checkPools(pools, path) {
  const names = ['quick', 'structural', 'woody', 'microbial', 'humus', 'char'];
  const sum = names.reduce(
    (total3, name2) => total3 + requireNumber(pools[name2], [...path, name2], SHARE),
    0,
  );
  if (Math.abs(sum - 1) > POOL_SUM_TOLERANCE) {
    throw new InputError(path, 'out_of_range', `must add up to 1; they add up to ${sum}`);
  }
}

// src/core/ledger/flows.ts
var carbon = (from, to) => ({ element: 'carbon', from, to });
var nitrogen = (from, to) => ({ element: 'nitrogen', from, to });
var ROUTES = {
  carbonLaidAsFresh: carbon('materials', 'fresh'),
  carbonLaidAsMicrobes: carbon('materials', 'microbes'),
  carbonLaidAsHumus: carbon('materials', 'humus'),
  carbonLaidAsChar: carbon('materials', 'char'),
  freshCarbonGrown: carbon('fresh', 'microbes'),
  freshCarbonHumified: carbon('fresh', 'humus'),
  freshCarbonRespired: carbon('fresh', 'air'),
  microbialCarbonHumified: carbon('microbes', 'humus'),
  microbialCarbonRespired: carbon('microbes', 'air'),
  laidHumusCarbonRespired: carbon('humus', 'air'),
  nativeHumusCarbonRespired: carbon('humus', 'air'),
  charCarbonRespired: carbon('char', 'air'),
  freshCarbonTakenOff: carbon('fresh', 'takenOff'),
  microbialCarbonTakenOff: carbon('microbes', 'takenOff'),
  humusCarbonTakenOff: carbon('humus', 'takenOff'),
  charCarbonTakenOff: carbon('char', 'takenOff'),
  nitrogenLaidAsFresh: nitrogen('materials', 'fresh'),
  nitrogenLaidAsMicrobes: nitrogen('materials', 'microbes'),
  nitrogenLaidAsHumus: nitrogen('materials', 'humus'),
  nitrogenLaidAsChar: nitrogen('materials', 'char'),
  nitrogenLaidAsAmmonium: nitrogen('materials', 'ammonium'),
  residueNitrogenToFresh: nitrogen('crops', 'fresh'),
  residueNitrogenToMicrobes: nitrogen('crops', 'microbes'),
  residueNitrogenToHumus: nitrogen('crops', 'humus'),
  residueNitrogenToChar: nitrogen('crops', 'char'),
  residueNitrogenToAmmonium: nitrogen('crops', 'ammonium'),
  fedToContactZone: nitrogen('fertiliser', 'contactZone'),
  fedToRootZone: nitrogen('fertiliser', 'rootZone'),
  deposited: nitrogen('deposition', 'contactZone'),
  testedContactZone: nitrogen('soilTest', 'contactZone'),
  testedRootZone: nitrogen('soilTest', 'rootZone'),
  fixed: nitrogen('fixation', 'crops'),
  liftedFromSubsoil: nitrogen('subsoil', 'crops'),
  freshNitrogenTaken: nitrogen('fresh', 'microbes'),
  immobilizedFromLayers: nitrogen('layers', 'microbes'),
  immobilizedFromContactZone: nitrogen('contactZone', 'microbes'),
  immobilizedFromRootZone: nitrogen('rootZone', 'microbes'),
  mineralizedToLayers: nitrogen('microbes', 'layers'),
  mineralizedToContactZone: nitrogen('microbes', 'contactZone'),
  mineralizedToRootZone: nitrogen('microbes', 'rootZone'),
  microbialNitrogenHumified: nitrogen('microbes', 'humus'),
  laidHumusToLayers: nitrogen('humus', 'layers'),
  laidHumusToContactZone: nitrogen('humus', 'contactZone'),
  laidHumusToRootZone: nitrogen('humus', 'rootZone'),
  nativeHumusToContactZone: nitrogen('humus', 'contactZone'),
  nativeHumusToRootZone: nitrogen('humus', 'rootZone'),
  charToContactZone: nitrogen('char', 'contactZone'),
  charToRootZone: nitrogen('char', 'rootZone'),
  contactZoneToChar: nitrogen('contactZone', 'char'),
  rootZoneToChar: nitrogen('rootZone', 'char'),
  charToLayers: nitrogen('char', 'layers'),
  ammoniumToLayers: nitrogen('ammonium', 'layers'),
  ammoniumToContactZone: nitrogen('ammonium', 'contactZone'),
  ammoniumToRootZone: nitrogen('ammonium', 'rootZone'),
  ammoniumVolatilized: nitrogen('ammonium', 'ammonia'),
  layersVolatilized: nitrogen('layers', 'ammonia'),
  layersToContactZone: nitrogen('layers', 'contactZone'),
  layersToRootZone: nitrogen('layers', 'rootZone'),
  contactZoneToRootZone: nitrogen('contactZone', 'rootZone'),
  leached: nitrogen('rootZone', 'leached'),
  contactZoneDenitrified: nitrogen('contactZone', 'denitrified'),
  rootZoneDenitrified: nitrogen('rootZone', 'denitrified'),
  contactZoneToCrops: nitrogen('contactZone', 'crops'),
  rootZoneToCrops: nitrogen('rootZone', 'crops'),
  harvested: nitrogen('crops', 'harvested'),
  freshNitrogenTakenOff: nitrogen('fresh', 'takenOff'),
  microbialNitrogenTakenOff: nitrogen('microbes', 'takenOff'),
  humusNitrogenTakenOff: nitrogen('humus', 'takenOff'),
  charNitrogenTakenOff: nitrogen('char', 'takenOff'),
  ammoniumTakenOff: nitrogen('ammonium', 'takenOff'),
  layersTakenOff: nitrogen('layers', 'takenOff'),
};
var FLOW_NAMES = Object.keys(ROUTES);
var FLOW_COUNT = FLOW_NAMES.length;
var FLOW = {
  carbonLaidAsFresh: 0,
  carbonLaidAsMicrobes: 1,
  carbonLaidAsHumus: 2,
  carbonLaidAsChar: 3,
  freshCarbonGrown: 4,
  freshCarbonHumified: 5,
  freshCarbonRespired: 6,
  microbialCarbonHumified: 7,
  microbialCarbonRespired: 8,
  laidHumusCarbonRespired: 9,
  nativeHumusCarbonRespired: 10,
  charCarbonRespired: 11,
  freshCarbonTakenOff: 12,
  microbialCarbonTakenOff: 13,
  humusCarbonTakenOff: 14,
  charCarbonTakenOff: 15,
  nitrogenLaidAsFresh: 16,
  nitrogenLaidAsMicrobes: 17,
  nitrogenLaidAsHumus: 18,
  nitrogenLaidAsChar: 19,
  nitrogenLaidAsAmmonium: 20,
  residueNitrogenToFresh: 21,
  residueNitrogenToMicrobes: 22,
  residueNitrogenToHumus: 23,
  residueNitrogenToChar: 24,
  residueNitrogenToAmmonium: 25,
  fedToContactZone: 26,
  fedToRootZone: 27,
  deposited: 28,
  testedContactZone: 29,
  testedRootZone: 30,
  fixed: 31,
  liftedFromSubsoil: 32,
  freshNitrogenTaken: 33,
  immobilizedFromLayers: 34,
  immobilizedFromContactZone: 35,
  immobilizedFromRootZone: 36,
  mineralizedToLayers: 37,
  mineralizedToContactZone: 38,
  mineralizedToRootZone: 39,
  microbialNitrogenHumified: 40,
  laidHumusToLayers: 41,
  laidHumusToContactZone: 42,
  laidHumusToRootZone: 43,
  nativeHumusToContactZone: 44,
  nativeHumusToRootZone: 45,
  charToContactZone: 46,
  charToRootZone: 47,
  contactZoneToChar: 48,
  rootZoneToChar: 49,
  charToLayers: 50,
  ammoniumToLayers: 51,
  ammoniumToContactZone: 52,
  ammoniumToRootZone: 53,
  ammoniumVolatilized: 54,
  layersVolatilized: 55,
  layersToContactZone: 56,
  layersToRootZone: 57,
  contactZoneToRootZone: 58,
  leached: 59,
  contactZoneDenitrified: 60,
  rootZoneDenitrified: 61,
  contactZoneToCrops: 62,
  rootZoneToCrops: 63,
  harvested: 64,
  freshNitrogenTakenOff: 65,
  microbialNitrogenTakenOff: 66,
  humusNitrogenTakenOff: 67,
  charNitrogenTakenOff: 68,
  ammoniumTakenOff: 69,
  layersTakenOff: 70,
};

// src/core/numerics/exponential-loss.ts
var SERIES_UP_TO = 0.15;
function lostShare(x) {
  if (x > SERIES_UP_TO) return 1 - Math.exp(-x);
  const x2 = x * x;
  const low = 1 - x * 0.5 + x2 * (1 / 6 - x * (1 / 24));
  const high = 1 / 120 - x * (1 / 720) + x2 * (1 / 5040 - x * (1 / 40320) + x2 * (1 / 362880));
  return x * (low + x2 * x2 * high);
}

// src/core/climate/modifiers.ts
function temperatureModifier(airC, frozenC, cap) {
  if (airC <= frozenC) return 0;
  return Math.min(cap, 47.91 / (1 + Math.exp(106.06 / (airC + 18.27))));
}
var Q10_REFERENCE_C = 15;
var q10Modifier = (airC) => 2 ** ((airC - Q10_REFERENCE_C) / 10);
function moistureModifier(deficitMm, maximumDeficitMm) {
  const onset = 0.444 * maximumDeficitMm;
  if (deficitMm <= onset) return 1;
  return Math.max(0.2, 0.2 + (0.8 * (maximumDeficitMm - deficitMm)) / (maximumDeficitMm - onset));
}
var respiredPerKept = (clayPct) => 1.67 * (1.85 + 1.6 * Math.exp(-0.0786 * clayPct));
var clayFactor = (clayPct, referenceClayPct) =>
  (respiredPerKept(referenceClayPct) + 1) / (respiredPerKept(clayPct) + 1);
var maximumDeficitPer23Cm = (clayPct) => 20 + 1.3 * clayPct - 0.01 * clayPct * clayPct;

// src/core/simulation/cohort-table.ts
var POOL_NAMES = ['quick', 'structural', 'woody', 'microbial', 'humus', 'labileChar', 'stableChar'];
var COLUMN_COUNT = 50;
function createColumns(column) {
  return {
    // carbon, g/m2
    quickC: column(),
    structuralC: column(),
    woodyC: column(),
    microbialC: column(),
    humusC: column(),
    labileCharC: column(),
    stableCharC: column(),
    // nitrogen, g/m2
    quickN: column(),
    structuralN: column(),
    woodyN: column(),
    microbialN: column(),
    humusN: column(),
    labileCharN: column(),
    stableCharN: column(),
    ammoniumN: column(),
    charHeldN: column(),
    charCapacityN: column(),
    // what is left of the humus that arrived, were it only sinking into the soil; 0 once dug
    unmixedHumusC: column(),
    openingStructuralC: column(),
    // all that came with it, g/m2
    openingC: column(),
    openingN: column(),
    // 1 on the day it is laid, falling to 0 as the layer settles
    unsettledShare: column(),
    // memo counters, g/m2
    respiredC: column(),
    humifiedC: column(),
    drawnFromLayersN: column(),
    drawnFromContactZoneN: column(),
    drawnFromRootZoneN: column(),
    releasedToLayersN: column(),
    releasedToContactZoneN: column(),
    releasedToRootZoneN: column(),
    volatilizedN: column(),
    peakLockedN: column(),
    decayLimit: column(),
    // the layer as it lies in the current sub-step
    thicknessCm: column(),
    contactShare: column(),
    coverCm: column(),
    // properties that do not change
    decayRateFactor: column(),
    microbialCn: column(),
    thicknessCmPerG: column(),
    ammoniaExposure: column(),
    vaporBarrier: column(),
    // 1 for finished compost: roots live in it, and it draws on nothing
    countsAsSoil: column(),
    // 1 where fungal threads lift no more than a capped flux out of the soil
    isLiftCapped: column(),
    stableCharResidenceDays: column(),
    // place: 0 on the surface, else the depth it was dug to
    dugDepthCm: column(),
    shareInContactZone: column(),
    reachInContactZone: column(),
    reachInRootZone: column(),
    // index into the decay classes, one per part
    upperClass: column(),
    contactClass: column(),
  };
}
function createCohortTable(capacity) {
  const values = new Float64Array(capacity * COLUMN_COUNT);
  let next = 0;
  const column = () => values.subarray(next, (next += capacity));
  const columns = createColumns(column);
  return Object.assign(columns, { count: 0, values, ids: [], kinds: [] });
}
function copyCohorts(source, target) {
  target.values.set(source.values);
  target.count = source.count;
  target.ids.length = 0;
  target.ids.push(...source.ids);
  target.kinds.length = 0;
  target.kinds.push(...source.kinds);
}
var carbonPools = (t) => [
  t.quickC,
  t.structuralC,
  t.woodyC,
  t.microbialC,
  t.humusC,
  t.labileCharC,
  t.stableCharC,
];
var nitrogenPools = (t) => [
  t.quickN,
  t.structuralN,
  t.woodyN,
  t.microbialN,
  t.humusN,
  t.labileCharN,
  t.stableCharN,
];
var freshCarbon = (t, i) => t.quickC[i] + t.structuralC[i] + t.woodyC[i];
var livingCarbon = (t, i) => freshCarbon(t, i) + t.microbialC[i];
var humusOnTop = (t, i) => Math.min(t.humusC[i], t.unmixedHumusC[i]);
var isOnSurface = (t, i) => t.dugDepthCm[i] === 0;
var drawnNitrogen = (t, i) => t.drawnFromLayersN[i] + t.drawnFromContactZoneN[i] + t.drawnFromRootZoneN[i];
var releasedNitrogen = (t, i) =>
  t.releasedToLayersN[i] + t.releasedToContactZoneN[i] + t.releasedToRootZoneN[i];

// src/core/simulation/crop-table.ts
var COLUMN_COUNT2 = 24;
function createColumns2(column) {
  return {
    demandAtHarvest: column(),
    lengthDays: column(),
    rootDepthCm: column(),
    fixedShare: column(),
    deepShare: column(),
    // share of the growing time passed, 0 to 1
    progress: column(),
    // nitrogen, g/m2
    standingN: column(),
    demandedN: column(),
    takenN: column(),
    fixedN: column(),
    subsoilN: column(),
    shortN: column(),
    backlogN: column(),
    paleness: column(),
    palestSoFar: column(),
    paleDays: column(),
    // day number, 0 while it has not paled
    firstPaleDay: column(),
    // flags, 0 or 1
    isLegume: column(),
    isPerennial: column(),
    isAlive: column(),
    // scratch of a sub-step
    wanted: column(),
    got: column(),
    contactWeight: column(),
    reachInRootZone: column(),
  };
}
function createCropTable(capacity) {
  const values = new Float64Array(capacity * COLUMN_COUNT2);
  let next = 0;
  const columns = createColumns2(() => values.subarray(next, (next += capacity)));
  return Object.assign(columns, { count: 0, firstLiving: 0, values, ids: [] });
}
function copyCrops(source, target) {
  target.values.set(source.values);
  target.count = source.count;
  target.firstLiving = source.firstLiving;
  target.ids.length = 0;
  target.ids.push(...source.ids);
}

// src/core/simulation/decay-classes.ts
var LOSSES_PER_CLASS = 4;
var INITIAL_CAPACITY = 16;
var createDecayClasses = () => ({
  count: 0,
  rateFactor: [],
  exposure: [],
  zone: [],
  losses: new Float64Array(INITIAL_CAPACITY * LOSSES_PER_CLASS),
  workedOutFor: [],
});
function decayClassFor(classes, rateFactor, zone, exposure) {
  for (let i = 0; i < classes.count; i++) {
    if (classes.rateFactor[i] === rateFactor && classes.zone[i] === zone && classes.exposure[i] === exposure)
      return i;
  }
  classes.rateFactor.push(rateFactor);
  classes.zone.push(zone);
  classes.exposure.push(exposure);
  classes.workedOutFor.push(Number.NaN);
  if (classes.count * LOSSES_PER_CLASS >= classes.losses.length) {
    const larger = new Float64Array(classes.losses.length * 2);
    larger.set(classes.losses);
    classes.losses = larger;
  }
  return classes.count++;
}
function updateDecayClasses(classes, p, contactModifier, rootModifier, dtDays) {
  for (let i = 0; i < classes.count; i++) {
    const modifier = (classes.zone[i] === 0 ? contactModifier : rootModifier) * classes.exposure[i];
    if (classes.workedOutFor[i] === modifier) continue;
    classes.workedOutFor[i] = modifier;
    const years = (modifier * dtDays) / 365;
    const paced = classes.rateFactor[i] * years;
    const at = i * LOSSES_PER_CLASS;
    classes.losses[at] = lostShare(p.quickDecayPerYear * paced);
    classes.losses[at + 1] = lostShare(p.structuralDecayPerYear * paced);
    classes.losses[at + 2] = lostShare(p.woodyDecayPerYear * paced);
    classes.losses[at + 3] = lostShare(p.microbialTurnoverPerYear * years);
  }
}

// src/core/simulation/parts.ts
var NO_REQUEST = -1;
var REQUESTS_PER_PART = 2;
function createParts(capacity, accountCount) {
  const floats = () => new Float64Array(capacity);
  const requests = () => new Float64Array(capacity * REQUESTS_PER_PART);
  return {
    count: 0,
    cohort: new Int32Array(capacity),
    share: floats(),
    decayClass: new Int32Array(capacity),
    releasesTo: new Int32Array(capacity),
    quickC: floats(),
    structuralC: floats(),
    woodyC: floats(),
    quickN: floats(),
    structuralN: floats(),
    woodyN: floats(),
    microbialC: floats(),
    microbialN: floats(),
    humifiedN: floats(),
    turnedN: floats(),
    growthC: floats(),
    demandN: floats(),
    supplyN: floats(),
    need: floats(),
    got: floats(),
    firstRequest: new Int32Array(accountCount).fill(NO_REQUEST),
    nextRequest: new Int32Array(capacity * REQUESTS_PER_PART),
    reach: requests(),
    gain: requests(),
    cap: requests(),
    asked: requests(),
  };
}
function addPart(parts2, cohort, share2, decayClass, releasesTo) {
  const part2 = parts2.count++;
  parts2.cohort[part2] = cohort;
  parts2.share[part2] = share2;
  parts2.decayClass[part2] = decayClass;
  parts2.releasesTo[part2] = releasesTo;
  return part2;
}
function allowDraw(parts2, part2, slot, account, reach, gain, cap) {
  const request = part2 * REQUESTS_PER_PART + slot;
  parts2.reach[request] = reach;
  parts2.gain[request] = gain;
  parts2.cap[request] = cap;
  parts2.nextRequest[request] = parts2.firstRequest[account];
  parts2.firstRequest[account] = request;
}
function clearParts(parts2) {
  parts2.count = 0;
  parts2.firstRequest.fill(NO_REQUEST);
}

// src/core/simulation/scenario.ts
var CONTACT_ZONE_CM = 5;
var SOIL_DEFAULTS = {
  samplingDepthCm: 20,
  clayPct: 20,
  rootZoneCm: 30,
  carbonToNitrogen: 11,
  mineralNGPerM2: [0.5, 2],
  deficitMm: [0, 0],
};
var DEFAULT_STEPS_PER_DAY = 2;
var isFromPile = (event) => 'pileId' in event;
var isFromStock = (event) => 'opening' in event;
var endingOn = (scenario, endDay) => ({
  ...scenario,
  endDay,
  events: scenario.events.filter(({ day }) => day < endDay),
  crops: scenario.crops.filter(({ plantDay }) => plantDay < endDay),
});
var withoutMaterials = (scenario) => ({
  ...scenario,
  events: scenario.events.filter(({ type }) => !['apply', 'dig', 'remove'].includes(type)),
  piles: [],
});

// src/core/simulation/bed.ts
var CONTACT_ZONE = 0;
var ROOT_ZONE = 1;
var FIRST_LAYER = 2;
var layerAccount = (cohort) => FIRST_LAYER + cohort;
var RAIN_GAUGE_DEPTH_CM = 23;
var SATURATED_CLAY_PCT = 50;
var NO_DENITRIFICATION_CLAY_PCT = 10;
var CARBON_FROM_ORGANIC_MATTER = 1.724;
var createSubStep = () => ({
  day: 0,
  waterMm: 0,
  evapotranspirationMm: 0,
  temperatureModifier: 0,
  q10Modifier: 0,
  contactMoisture: 1,
  rootMoisture: 1,
  contactDrainMm: 0,
  rootDrainMm: 0,
  mulchCm: 0,
  soilShield: 1,
  contactHumusLoss: 0,
  rootHumusLoss: 0,
});
var inertCarbon = (organicC) => Math.min(organicC, 100 * 0.049 * (organicC / 100) ** 1.139);
var soilMass = (soil) => soil.bulkDensityGPerCm3 * soil.samplingDepthCm * 1e4;
var organicCarbon = (soil) => (soil.organicMatterPct / 100 / CARBON_FROM_ORGANIC_MATTER) * soilMass(soil);
function bedConstants(soil, p, stepsPerDay, depositionGPerM2Year) {
  const dt = 1 / stepsPerDay;
  const belowCm = soil.rootZoneCm - CONTACT_ZONE_CM;
  const maximum = maximumDeficitPer23Cm(soil.clayPct);
  const theta = p.fieldCapacityBase + p.fieldCapacityPerClayPct * soil.clayPct;
  const heldPerCm = p.heldAmmoniumGPerM2Cm * clamp(soil.clayPct / 20, 0.2, 1.5);
  const byClay = clayFactor(soil.clayPct, p.referenceClayPct);
  const inertC = inertCarbon(organicCarbon(soil));
  return {
    parameters: p,
    stepsPerDay,
    dtDays: dt,
    depositionGPerM2Year,
    rootZoneCm: soil.rootZoneCm,
    soilMassGPerM2: soilMass(soil),
    inertC,
    inertN: inertC / soil.carbonToNitrogen,
    contactHumusShare: CONTACT_ZONE_CM / Math.max(soil.samplingDepthCm, CONTACT_ZONE_CM),
    maximumDeficitMm: [
      (maximum * CONTACT_ZONE_CM) / RAIN_GAUGE_DEPTH_CM,
      (maximum * belowCm) / RAIN_GAUGE_DEPTH_CM,
    ],
    waterMm: [theta * CONTACT_ZONE_CM * 10, theta * belowCm * 10],
    heldAmmoniumG: [heldPerCm * CONTACT_ZONE_CM, heldPerCm * belowCm],
    denitrificationWeight: clamp(
      (soil.clayPct - NO_DENITRIFICATION_CLAY_PCT) / (SATURATED_CLAY_PCT - NO_DENITRIFICATION_CLAY_PCT),
      0,
      1,
    ),
    biomassHumified: p.biomassHumifiedShare * byClay,
    woodyHumified: p.woodyHumifiedShare * byClay,
    microbialDraw: 1 - (1 - p.microbialDrawPerDay) ** dt,
    cropDraw: 1 - (1 - p.cropDrawPerDay) ** dt,
    charFilling: lostShare(dt / p.charFillingDays),
    charLargestDraw: 1 - 0.9 ** dt,
    charFouling: Math.exp((-p.charFoulingPerYear * dt) / 365),
    labileCharLoss: lostShare(dt / p.labileCharResidenceDays),
    settlingKept: Math.exp(-dt / p.settlingDays),
    humusMixingKept: Math.exp((-p.humusMixingPerYear * dt) / 365),
  };
}
function createBed(constants, soil, cohortCapacity2, cropCapacity2) {
  const nativeHumusC = organicCarbon(soil) - constants.inertC;
  const mineralN = new Float64Array(FIRST_LAYER + cohortCapacity2);
  mineralN[CONTACT_ZONE] = soil.mineralNGPerM2[0];
  mineralN[ROOT_ZONE] = soil.mineralNGPerM2[1];
  const classes = createDecayClasses();
  const cohorts = createCohortTable(cohortCapacity2);
  const flows = new Float64Array(FLOW_COUNT);
  return {
    constants,
    classes,
    decay: {
      parts: createParts(cohortCapacity2 * 2, mineralN.length),
      cohorts,
      classes,
      mineralN,
      flows,
      parameters: constants.parameters,
      microbialDraw: constants.microbialDraw,
      biomassHumified: constants.biomassHumified,
      woodyHumified: constants.woodyHumified,
    },
    state: {
      nativeHumusC,
      nativeHumusN: nativeHumusC / soil.carbonToNitrogen,
      contactDeficitMm: soil.deficitMm[0],
      rootDeficitMm: soil.deficitMm[1],
      drainedMm: 0,
      mineralN,
      cohorts,
      crops: createCropTable(cropCapacity2),
      flows,
    },
  };
}
function copyState(source, target) {
  target.nativeHumusC = source.nativeHumusC;
  target.nativeHumusN = source.nativeHumusN;
  target.contactDeficitMm = source.contactDeficitMm;
  target.rootDeficitMm = source.rootDeficitMm;
  target.drainedMm = source.drainedMm;
  target.mineralN.set(source.mineralN);
  target.flows.set(source.flows);
  copyCohorts(source.cohorts, target.cohorts);
  copyCrops(source.crops, target.crops);
}

// src/core/simulation/cohort-opening.ts
var GRAMS_PER_KILOGRAM2 = 1e3;
var LIQUID_MOISTURE = 0.9;
var CHAR_MAJORITY = 0.5;
function microbialCnForFeed(feedCarbonG, feedNitrogenG, p) {
  const feedCn = feedNitrogenG > 0 ? feedCarbonG / feedNitrogenG : 1e9;
  return clamp(
    p.biomassCnLow + p.biomassCnSlope * (feedCn - p.biomassCnOnset),
    p.biomassCnLow,
    p.biomassCnHigh,
  );
}
function shareOrganicNitrogen(carbonG2, organicG, p) {
  const weights = [
    p.quickNitrogenWeight,
    p.structuralNitrogenWeight,
    p.woodyNitrogenWeight,
    p.quickNitrogenWeight,
    p.humusNitrogenWeight,
    p.charNitrogenWeight,
    p.charNitrogenWeight,
  ];
  const weighted = carbonG2.map((c, i) => c * weights[i]);
  const total3 = weighted.reduce((sum, w) => sum + w, 0);
  const shares = weighted.map((w) => (organicG * w) / total3);
  const largest = shares.indexOf(Math.max(...shares));
  shares[largest] += organicG - shares.reduce((sum, s) => sum + s, 0);
  return shares;
}
var openingFromFreshMass = (material, massFreshKg2, p) =>
  openingFromDryMass(
    material,
    GRAMS_PER_KILOGRAM2 * massFreshKg2 * (1 - material.moistureFractionWetBasis),
    p,
  );
function openingFromDryMass(material, dryG2, p) {
  const carbonG2 = dryG2 * material.carbonFractionDryBasis;
  const nitrogenG2 = dryG2 * material.nitrogenFractionDryBasis;
  const { quick, structural, woody, microbial, humus, char } = material.pools;
  const pools = [
    quick,
    structural,
    woody,
    microbial,
    humus,
    char * p.labileCharShare,
    char * (1 - p.labileCharShare),
  ].map((share2) => share2 * carbonG2);
  const allAmmonium = carbonG2 === 0;
  const arrivingG = allAmmonium ? nitrogenG2 : nitrogenG2 * material.ammoniumShareOfNitrogen;
  const poolsN = allAmmonium ? pools.map(() => 0) : shareOrganicNitrogen(pools, nitrogenG2 - arrivingG, p);
  const capacityG =
    char > CHAR_MAJORITY
      ? (dryG2 / GRAMS_PER_KILOGRAM2) * (material.charCapacityGPerKg ?? p.charCapacityGPerKg)
      : 0;
  const heldG = material.isCharged ? Math.min(capacityG, arrivingG) : 0;
  return {
    kind: material.kind,
    carbonG: pools,
    nitrogenG: poolsN,
    ammoniumG: arrivingG - heldG,
    charHeldG: heldG,
    charCapacityG: capacityG,
    microbialCn: microbialCnForFeed(pools[0] + pools[1] + pools[2], poolsN[0] + poolsN[1] + poolsN[2], p),
    decayRateFactor: p.particleFactor[material.particleSize] * material.decayFactor,
    ammoniaExposure: material.ammoniaExposure,
    vaporBarrier: material.vaporBarrier,
    charTemperature: material.charTemperature,
    dryMassG: dryG2,
    carbonPerDryMass: material.carbonFractionDryBasis,
    dryDensityKgPerM3: material.bulkDensityKgPerM3 * (1 - material.moistureFractionWetBasis),
    isLiquid: material.moistureFractionWetBasis >= LIQUID_MOISTURE,
  };
}
var thicknessCmPerGramCarbon = (opening) =>
  opening.carbonPerDryMass > 0
    ? 100 / (opening.carbonPerDryMass * GRAMS_PER_KILOGRAM2 * opening.dryDensityKgPerM3)
    : 0;
function stableCharResidenceDays(temperature, p) {
  const left = p.charLeftAfter100Years[temperature];
  return (100 / Math.log((1 - p.labileCharShare) / left)) * 365;
}

// src/core/numerics/total.ts
function total(values) {
  let sum = 0;
  for (const value of values) sum += value;
  return sum;
}

// src/core/simulation/cohorts.ts
var LAID = {
  fresh: FLOW.nitrogenLaidAsFresh,
  microbes: FLOW.nitrogenLaidAsMicrobes,
  humus: FLOW.nitrogenLaidAsHumus,
  char: FLOW.nitrogenLaidAsChar,
  ammonium: FLOW.nitrogenLaidAsAmmonium,
};
var RESIDUE = {
  fresh: FLOW.residueNitrogenToFresh,
  microbes: FLOW.residueNitrogenToMicrobes,
  humus: FLOW.residueNitrogenToHumus,
  char: FLOW.residueNitrogenToChar,
  ammonium: FLOW.residueNitrogenToAmmonium,
};
function postOpening(flows, opening, origin) {
  const { carbonG: c, nitrogenG: n } = opening;
  const nitrogenFlow = origin === 'materials' ? LAID : RESIDUE;
  flows[FLOW.carbonLaidAsFresh] += total(c.slice(0, 3));
  flows[FLOW.carbonLaidAsMicrobes] += c[3];
  flows[FLOW.carbonLaidAsHumus] += c[4];
  flows[FLOW.carbonLaidAsChar] += total(c.slice(5));
  flows[nitrogenFlow.fresh] += total(n.slice(0, 3));
  flows[nitrogenFlow.microbes] += n[3];
  flows[nitrogenFlow.humus] += n[4];
  flows[nitrogenFlow.char] += total(n.slice(5)) + opening.charHeldG;
  flows[nitrogenFlow.ammonium] += opening.ammoniumG;
}
var effectiveExposure = (kind, exposure) =>
  exposure === 'normal' && (kind === 'compost' || kind === 'manure') ? 'damp' : exposure;
var LIFT_CAPPED = /* @__PURE__ */ new Set(['wood', 'residue', 'leaf', 'paper']);
function openCohort(bed, opening, placing) {
  const { cohorts, flows } = bed.state;
  const { parameters: p } = bed.constants;
  const i = cohorts.count++;
  cohorts.ids[i] = placing.id ?? `c${i + 1}`;
  cohorts.kinds[i] = opening.kind;
  carbonPools(cohorts).forEach((pool, k) => (pool[i] = opening.carbonG[k]));
  nitrogenPools(cohorts).forEach((pool, k) => (pool[i] = opening.nitrogenG[k]));
  cohorts.ammoniumN[i] = opening.ammoniumG;
  cohorts.charHeldN[i] = opening.charHeldG;
  cohorts.charCapacityN[i] = opening.charCapacityG;
  cohorts.unmixedHumusC[i] = opening.carbonG[4];
  cohorts.openingStructuralC[i] = opening.carbonG[1];
  cohorts.openingC[i] = total(opening.carbonG);
  cohorts.openingN[i] = total(opening.nitrogenG) + opening.ammoniumG + opening.charHeldG;
  cohorts.unsettledShare[i] = 1;
  cohorts.decayLimit[i] = 1;
  cohorts.decayRateFactor[i] = opening.decayRateFactor;
  cohorts.microbialCn[i] = opening.microbialCn;
  cohorts.thicknessCmPerG[i] = thicknessCmPerGramCarbon(opening);
  cohorts.ammoniaExposure[i] = opening.ammoniaExposure;
  cohorts.vaporBarrier[i] = opening.vaporBarrier;
  cohorts.countsAsSoil[i] = opening.kind === 'compost' ? 1 : 0;
  cohorts.isLiftCapped[i] = LIFT_CAPPED.has(opening.kind) ? 1 : 0;
  cohorts.stableCharResidenceDays[i] = stableCharResidenceDays(opening.charTemperature, p);
  const exposure = effectiveExposure(opening.kind, placing.exposure);
  const path = placing.isOnPath ? p.compactedPathFactor : 1;
  const rate = opening.decayRateFactor;
  cohorts.contactClass[i] = decayClassFor(bed.classes, rate, 0, p.contactExposure[exposure] * path);
  cohorts.upperClass[i] = decayClassFor(bed.classes, rate, 0, p.upperExposure[exposure] * path);
  postOpening(flows, opening, placing.origin);
  return i;
}
function digCohort(bed, i, depthCm) {
  const { cohorts, mineralN, flows } = bed.state;
  const { rootZoneCm } = bed.constants;
  const depth = Math.min(depthCm, rootZoneCm);
  const inContact = Math.min(1, CONTACT_ZONE_CM / depth);
  cohorts.dugDepthCm[i] = depth;
  cohorts.shareInContactZone[i] = inContact;
  cohorts.reachInContactZone[i] = Math.min(1, depth / CONTACT_ZONE_CM);
  cohorts.reachInRootZone[i] = clamp((depth - CONTACT_ZONE_CM) / (rootZoneCm - CONTACT_ZONE_CM), 0, 1);
  cohorts.unmixedHumusC[i] = 0;
  cohorts.contactClass[i] = decayClassFor(bed.classes, cohorts.decayRateFactor[i], 0, 1);
  cohorts.upperClass[i] = decayClassFor(bed.classes, cohorts.decayRateFactor[i], 1, 1);
  const ammonium = cohorts.ammoniumN[i];
  const layer = mineralN[layerAccount(i)];
  const toContact = inContact;
  const toRoot = 1 - inContact;
  cohorts.ammoniumN[i] = 0;
  mineralN[layerAccount(i)] = 0;
  mineralN[CONTACT_ZONE] += (ammonium + layer) * toContact;
  mineralN[ROOT_ZONE] += (ammonium + layer) * toRoot;
  cohorts.releasedToContactZoneN[i] += ammonium * toContact;
  cohorts.releasedToRootZoneN[i] += ammonium * toRoot;
  flows[FLOW.ammoniumToContactZone] += ammonium * toContact;
  flows[FLOW.ammoniumToRootZone] += ammonium * toRoot;
  flows[FLOW.layersToContactZone] += layer * toContact;
  flows[FLOW.layersToRootZone] += layer * toRoot;
}
var CARBON_TAKEN_OFF = [
  FLOW.freshCarbonTakenOff,
  FLOW.freshCarbonTakenOff,
  FLOW.freshCarbonTakenOff,
  FLOW.microbialCarbonTakenOff,
  FLOW.humusCarbonTakenOff,
  FLOW.charCarbonTakenOff,
  FLOW.charCarbonTakenOff,
];
var NITROGEN_TAKEN_OFF = [
  FLOW.freshNitrogenTakenOff,
  FLOW.freshNitrogenTakenOff,
  FLOW.freshNitrogenTakenOff,
  FLOW.microbialNitrogenTakenOff,
  FLOW.humusNitrogenTakenOff,
  FLOW.charNitrogenTakenOff,
  FLOW.charNitrogenTakenOff,
];
function takeOffCohort(bed, i, share2, sunkHumusShare = 0) {
  const { cohorts, mineralN, flows } = bed.state;
  const carbon2 = carbonPools(cohorts);
  const nitrogen2 = nitrogenPools(cohorts);
  const humusC = cohorts.humusC[i];
  const humusOnTop2 = Math.min(humusC, cohorts.unmixedHumusC[i]);
  const sunk = Math.max(0, humusC - humusOnTop2);
  const humusShare = humusC > 0 ? (share2 * humusOnTop2 + sunkHumusShare * sunk) / humusC : 0;
  carbon2.forEach((pool, k) => {
    const taken = pool[i] * (pool === cohorts.humusC ? humusShare : share2);
    pool[i] -= taken;
    flows[CARBON_TAKEN_OFF[k]] += taken;
  });
  nitrogen2.forEach((pool, k) => {
    const taken = pool[i] * (pool === cohorts.humusN ? humusShare : share2);
    pool[i] -= taken;
    flows[NITROGEN_TAKEN_OFF[k]] += taken;
  });
  const ammonium = cohorts.ammoniumN[i] * share2;
  const held = cohorts.charHeldN[i] * share2;
  const layer = mineralN[layerAccount(i)] * share2;
  cohorts.ammoniumN[i] -= ammonium;
  cohorts.charHeldN[i] -= held;
  mineralN[layerAccount(i)] -= layer;
  flows[FLOW.ammoniumTakenOff] += ammonium;
  flows[FLOW.charNitrogenTakenOff] += held;
  flows[FLOW.layersTakenOff] += layer;
  cohorts.charCapacityN[i] *= 1 - share2;
  cohorts.unmixedHumusC[i] *= 1 - share2;
}
function soakIn(bed, i) {
  const { cohorts, mineralN, flows } = bed.state;
  let beneath = i - 1;
  while (beneath >= 0 && cohorts.dugDepthCm[beneath] !== 0) beneath -= 1;
  const intoSoil = beneath < 0 || cohorts.countsAsSoil[beneath] === 1;
  const soaked = cohorts.ammoniumN[i] * bed.constants.parameters.liquidSoakShare;
  cohorts.ammoniumN[i] -= soaked;
  mineralN[intoSoil ? CONTACT_ZONE : layerAccount(beneath)] += soaked;
  if (intoSoil) {
    cohorts.releasedToContactZoneN[i] += soaked;
    flows[FLOW.ammoniumToContactZone] += soaked;
  } else {
    cohorts.releasedToLayersN[i] += soaked;
    flows[FLOW.ammoniumToLayers] += soaked;
  }
}

// src/core/climate/weather.ts
var MID_MONTH = 15;
function airTemperatureC(normals, dayNumber) {
  const { year, month, day } = calendarDateOf(dayNumber);
  return temperatureOnDate(normals.temperatureC, year, month, day);
}
function temperatureOnDate(means, year, month, day) {
  const fromMonth = day >= MID_MONTH ? month : month === 1 ? 12 : month - 1;
  const fromYear = day < MID_MONTH && month === 1 ? year - 1 : year;
  const span = daysInMonth(fromYear, fromMonth);
  const elapsed = day >= MID_MONTH ? day - MID_MONTH : day + span - MID_MONTH;
  const from = means[fromMonth - 1];
  const to = means[fromMonth % 12];
  return from + ((to - from) * elapsed) / span;
}
function weatherSeries(normals, firstDay2, dayCount, rules, measured = []) {
  const measuredOn = new Map(measured.map((one) => [dayNumberFromIso(one.date, ['weather', 'date']), one]));
  const series = {
    firstDay: firstDay2,
    temperatureModifier: new Float64Array(dayCount),
    q10Modifier: new Float64Array(dayCount),
    rainMm: new Float64Array(dayCount),
    evapotranspirationMm: new Float64Array(dayCount),
    month: new Uint8Array(dayCount),
  };
  let { year, month, day } = calendarDateOf(firstDay2);
  let monthLength = daysInMonth(year, month);
  let gatheredRainMm = 0;
  for (let i = 0; i < dayCount; i++) {
    const asMeasured2 = measuredOn.get(firstDay2 + i);
    const airC = asMeasured2?.temperatureC ?? temperatureOnDate(normals.temperatureC, year, month, day);
    series.temperatureModifier[i] = temperatureModifier(airC, rules.frozenC, rules.temperatureModifierCap);
    series.q10Modifier[i] = q10Modifier(airC);
    series.evapotranspirationMm[i] =
      asMeasured2?.evapotranspirationMm ?? normals.evapotranspirationMm[month - 1] / monthLength;
    series.month[i] = month;
    if (asMeasured2) series.rainMm[i] = asMeasured2.rainMm;
    else gatheredRainMm += normals.rainMm[month - 1] / monthLength;
    if (!asMeasured2 && (firstDay2 + i) % rules.rainGapDays === 0) {
      series.rainMm[i] = gatheredRainMm;
      gatheredRainMm = 0;
    }
    day += 1;
    if (day > monthLength) {
      day = 1;
      month = month === 12 ? 1 : month + 1;
      if (month === 1) year += 1;
      monthLength = daysInMonth(year, month);
    }
  }
  return series;
}

// src/core/simulation/nitrogen-limited-decay.ts
function workOutPotentials(task2) {
  const { parts: parts2, cohorts, classes, parameters: p } = task2;
  for (let k = 0; k < parts2.count; k++) {
    const i = parts2.cohort[k];
    const share2 = parts2.share[k];
    const at = parts2.decayClass[k] * LOSSES_PER_CLASS;
    const quickLoss = share2 * classes.losses[at];
    const structuralLoss = share2 * classes.losses[at + 1];
    const woodyLoss = share2 * classes.losses[at + 2];
    const turnover = share2 * classes.losses[at + 3];
    const quickC = quickLoss * cohorts.quickC[i];
    const structuralC = structuralLoss * cohorts.structuralC[i];
    const woodyC = woodyLoss * cohorts.woodyC[i];
    const quickN = quickLoss * cohorts.quickN[i];
    const structuralN = structuralLoss * cohorts.structuralN[i];
    const woodyN = woodyLoss * cohorts.woodyN[i];
    const microbialC = turnover * cohorts.microbialC[i];
    const microbialN = turnover * cohorts.microbialN[i];
    const humifiedN = Math.min((task2.biomassHumified * microbialC) / p.humusCarbonToNitrogen, microbialN);
    const turnedN = microbialN - humifiedN;
    const growthC = p.growthEfficiency * (quickC + structuralC) + p.woodyGrowthEfficiency * woodyC;
    const demandN =
      growthC / cohorts.microbialCn[i] + (task2.woodyHumified * woodyC) / p.humusCarbonToNitrogen;
    const supplyN = quickN + structuralN + woodyN;
    const shortN = demandN - supplyN;
    parts2.quickC[k] = quickC;
    parts2.structuralC[k] = structuralC;
    parts2.woodyC[k] = woodyC;
    parts2.quickN[k] = quickN;
    parts2.structuralN[k] = structuralN;
    parts2.woodyN[k] = woodyN;
    parts2.microbialC[k] = microbialC;
    parts2.microbialN[k] = microbialN;
    parts2.humifiedN[k] = humifiedN;
    parts2.turnedN[k] = turnedN;
    parts2.growthC[k] = growthC;
    parts2.demandN[k] = demandN;
    parts2.supplyN[k] = supplyN;
    parts2.got[k] = 0;
    if (shortN > turnedN) {
      parts2.need[k] = shortN - turnedN;
    } else {
      parts2.need[k] = 0;
      release(task2, k, turnedN - shortN);
    }
  }
}
function release({ parts: parts2, cohorts, mineralN, flows }, part2, nitrogenG2) {
  const account = parts2.releasesTo[part2];
  const i = parts2.cohort[part2];
  mineralN[account] += nitrogenG2;
  if (account === 0) {
    cohorts.releasedToContactZoneN[i] += nitrogenG2;
    flows[FLOW.mineralizedToContactZone] += nitrogenG2;
  } else if (account === 1) {
    cohorts.releasedToRootZoneN[i] += nitrogenG2;
    flows[FLOW.mineralizedToRootZone] += nitrogenG2;
  } else {
    cohorts.releasedToLayersN[i] += nitrogenG2;
    flows[FLOW.mineralizedToLayers] += nitrogenG2;
  }
}
function settleRequests(task2, account) {
  const { parts: parts2, mineralN, microbialDraw } = task2;
  const content = mineralN[account];
  if (content <= 0) return;
  let total3 = 0;
  let largestReach = 0;
  for (let r = parts2.firstRequest[account]; r !== NO_REQUEST; r = parts2.nextRequest[r]) {
    const part2 = (r / REQUESTS_PER_PART) | 0;
    const missing = parts2.need[part2] - parts2.got[part2];
    if (missing <= 0) {
      parts2.asked[r] = 0;
      continue;
    }
    const reach = parts2.reach[r];
    const ask2 = Math.min(parts2.gain[r] * missing, microbialDraw * reach * content, parts2.cap[r]);
    parts2.asked[r] = ask2;
    total3 += ask2;
    if (reach > largestReach) largestReach = reach;
  }
  if (total3 <= 0) return;
  const limit = microbialDraw * largestReach * content;
  pay(task2, account, total3 <= limit ? 1 : limit / total3);
}
function pay(task2, account, scale) {
  const { parts: parts2, cohorts, mineralN, flows } = task2;
  const drawn =
    account === 0
      ? cohorts.drawnFromContactZoneN
      : account === 1
        ? cohorts.drawnFromRootZoneN
        : cohorts.drawnFromLayersN;
  let paid = 0;
  for (let r = parts2.firstRequest[account]; r !== NO_REQUEST; r = parts2.nextRequest[r]) {
    const amount = parts2.asked[r] * scale;
    if (amount === 0) continue;
    const part2 = (r / REQUESTS_PER_PART) | 0;
    parts2.got[part2] += amount;
    drawn[parts2.cohort[part2]] += amount;
    paid += amount;
  }
  mineralN[account] = Math.max(0, mineralN[account] - paid);
  const flow =
    account === 0
      ? FLOW.immobilizedFromContactZone
      : account === 1
        ? FLOW.immobilizedFromRootZone
        : FLOW.immobilizedFromLayers;
  flows[flow] += paid;
}
function applyDecay(task2) {
  const { parts: parts2, cohorts, flows, parameters: p } = task2;
  let allGrownC = 0;
  let allWoodyHumusC = 0;
  let allFreshRespiredC = 0;
  let allBiomassHumusC = 0;
  let allBiomassRespiredC = 0;
  let allTakenN = 0;
  let allHumusN = 0;
  for (let k = 0; k < parts2.count; k++) {
    const i = parts2.cohort[k];
    const turnedN = parts2.turnedN[k];
    const demandN = parts2.demandN[k];
    const supplyN = parts2.supplyN[k];
    const microbialC = parts2.microbialC[k];
    let pace = 1;
    let growthShare = 1;
    if (parts2.need[k] > 0) {
      const available = turnedN + parts2.got[k];
      pace = Math.min(1, available / (demandN - supplyN));
      if (pace < p.starvedDecayFloor) {
        pace = p.starvedDecayFloor;
        growthShare = (pace * supplyN + available) / (pace * demandN);
      }
    }
    const quickC = pace * parts2.quickC[k];
    const structuralC = pace * parts2.structuralC[k];
    const woodyC = pace * parts2.woodyC[k];
    const eatenC = quickC + structuralC + woodyC;
    const grownC = pace * growthShare * parts2.growthC[k];
    const woodyHumusC = growthShare * task2.woodyHumified * woodyC;
    const biomassHumusC = task2.biomassHumified * microbialC;
    const woodyHumusN = woodyHumusC / p.humusCarbonToNitrogen;
    const takenN = pace * supplyN;
    cohorts.quickC[i] -= quickC;
    cohorts.structuralC[i] -= structuralC;
    cohorts.woodyC[i] -= woodyC;
    cohorts.quickN[i] -= pace * parts2.quickN[k];
    cohorts.structuralN[i] -= pace * parts2.structuralN[k];
    cohorts.woodyN[i] -= pace * parts2.woodyN[k];
    cohorts.microbialC[i] += grownC - microbialC;
    cohorts.microbialN[i] += grownC / cohorts.microbialCn[i] - parts2.microbialN[k];
    cohorts.humusC[i] += woodyHumusC + biomassHumusC;
    cohorts.humusN[i] += woodyHumusN + parts2.humifiedN[k];
    cohorts.humifiedC[i] += woodyHumusC + biomassHumusC;
    const freshRespiredC = eatenC - grownC - woodyHumusC;
    cohorts.respiredC[i] += freshRespiredC + (microbialC - biomassHumusC);
    cohorts.decayLimit[i] += parts2.share[k] * pace;
    allGrownC += grownC;
    allWoodyHumusC += woodyHumusC;
    allFreshRespiredC += freshRespiredC;
    allBiomassHumusC += biomassHumusC;
    allBiomassRespiredC += microbialC - biomassHumusC;
    allTakenN += takenN;
    allHumusN += woodyHumusN + parts2.humifiedN[k];
  }
  flows[FLOW.freshCarbonGrown] += allGrownC;
  flows[FLOW.freshCarbonHumified] += allWoodyHumusC;
  flows[FLOW.freshCarbonRespired] += allFreshRespiredC;
  flows[FLOW.microbialCarbonHumified] += allBiomassHumusC;
  flows[FLOW.microbialCarbonRespired] += allBiomassRespiredC;
  flows[FLOW.freshNitrogenTaken] += allTakenN;
  flows[FLOW.microbialNitrogenHumified] += allHumusN;
}

// src/core/simulation/pile-run.ts
var PILE_ACCOUNT = 2;
function startPile(contents, mineralNitrogenG, stepsPerDay, p) {
  const cohorts = createCohortTable(contents.length);
  const classes = createDecayClasses();
  const mineralN = new Float64Array(PILE_ACCOUNT + 1);
  mineralN[PILE_ACCOUNT] = mineralNitrogenG;
  contents.forEach((one, i) => {
    cohorts.count += 1;
    carbonPools(cohorts).forEach((pool, k) => (pool[i] = one.carbonG[k]));
    nitrogenPools(cohorts).forEach((pool, k) => (pool[i] = one.nitrogenG[k]));
    cohorts.microbialCn[i] = one.microbialCn;
    cohorts.contactClass[i] = decayClassFor(classes, one.decayRateFactor, 0, 1);
  });
  const task2 = {
    parts: createParts(contents.length, mineralN.length),
    cohorts,
    classes,
    mineralN,
    flows: new Float64Array(FLOW_COUNT),
    parameters: p,
    microbialDraw: 1 - (1 - p.microbialDrawPerDay) ** (1 / stepsPerDay),
    biomassHumified: p.biomassHumifiedShare,
    woodyHumified: p.woodyHumifiedShare,
  };
  return { task: task2, dtDays: 1 / stepsPerDay };
}
function agePileSubStep({ task: task2, dtDays }, warmth, modifier) {
  const { cohorts, mineralN, flows, parameters: p, parts: parts2, classes } = task2;
  const ammonia = mineralN[PILE_ACCOUNT] * lostShare(p.pileAmmoniaLossPerDay * warmth * dtDays);
  mineralN[PILE_ACCOUNT] -= ammonia;
  flows[FLOW.layersVolatilized] += ammonia;
  decayHumus(task2, lostShare((p.humusDecayPerYear * modifier * dtDays) / 365));
  updateDecayClasses(classes, p, modifier, modifier, dtDays);
  clearParts(parts2);
  for (let i = 0; i < cohorts.count; i++) {
    if (livingCarbon(cohorts, i) === 0) continue;
    const part2 = addPart(parts2, i, 1, cohorts.contactClass[i], PILE_ACCOUNT);
    allowDraw(parts2, part2, 0, PILE_ACCOUNT, 1, 1, Infinity);
  }
  workOutPotentials(task2);
  settleRequests(task2, PILE_ACCOUNT);
  applyDecay(task2);
}
function decayHumus({ cohorts, mineralN, flows }, lost2) {
  for (let i = 0; i < cohorts.count; i++) {
    const lostC = cohorts.humusC[i] * lost2;
    const lostN = cohorts.humusN[i] * lost2;
    cohorts.humusC[i] -= lostC;
    cohorts.humusN[i] -= lostN;
    mineralN[PILE_ACCOUNT] += lostN;
    flows[FLOW.laidHumusCarbonRespired] += lostC;
    flows[FLOW.laidHumusToLayers] += lostN;
  }
}
var mineralNitrogenOf = ({ task: task2 }) => task2.mineralN[PILE_ACCOUNT];
function drawMineralNitrogen({ task: task2 }, nitrogenG2) {
  task2.mineralN[PILE_ACCOUNT] -= nitrogenG2;
}
var ammoniaLostG = ({ task: task2 }) => task2.flows[FLOW.layersVolatilized];
var carbonRespiredG = ({ task: { flows } }) =>
  flows[FLOW.freshCarbonRespired] + flows[FLOW.microbialCarbonRespired] + flows[FLOW.laidHumusCarbonRespired];
var poolsOf = (t, i) => ({
  carbonG: carbonPools(t).map((pool) => pool[i]),
  nitrogenG: nitrogenPools(t).map((pool) => pool[i]),
});

// src/core/simulation/pile.ts
var COMPOST_BELOW_CN = 20;
var SPREAD_AMMONIA_EXPOSURE = 0.3;
function runPile(plan, climate, p) {
  const mixed = openPile(plan, p);
  const airFactor2 = (plan.isTurned ? p.turnedPileFactor : p.stillPileFactor) * plan.moistureFactor;
  for (let i = 0; i < plan.endDay - plan.startDay; i++) {
    const heating = plan.isHot ? p.pileHeatingC * Math.exp(-i / p.pileCoolingDays) : 0;
    const heapC = airTemperatureC(climate, plan.startDay + i) + heating;
    const warmth = temperatureModifier(heapC, p.frozenC, p.temperatureModifierCap);
    for (let s = 0; s < plan.stepsPerDay; s++) agePileSubStep(mixed.pile, warmth, warmth * airFactor2);
  }
  return closePile(plan, mixed);
}
function openPile(plan, p) {
  const openings = plan.mix.map(({ material, massFreshKg: massFreshKg2 }) =>
    openingFromFreshMass(material, massFreshKg2, p),
  );
  const arrivingN = total(openings.map(({ ammoniumG, charHeldG }) => ammoniumG + charHeldG));
  return { pile: startPile(openings, arrivingN, plan.stepsPerDay, p), openings };
}
var poolTotals = (pools) => pools.map((pool) => total(pool));
function dryMassLeft(openings, carbonInG, carbonLeftG) {
  const dryInG = total(openings.map((o) => o.dryMassG));
  return Math.max(2 * carbonLeftG, 2 * carbonLeftG + (dryInG - 2 * carbonInG));
}
function closePile(plan, { pile, openings }) {
  const { cohorts } = pile.task;
  const carbonPoolsG = poolTotals(carbonPools(cohorts));
  const nitrogenPoolsG = poolTotals(nitrogenPools(cohorts));
  const carbonInG = total(openings.flatMap((o) => o.carbonG));
  const carbonLeftG = total(carbonPoolsG);
  const mineralNitrogenG = mineralNitrogenOf(pile);
  const nitrogenLeftG = total(nitrogenPoolsG) + mineralNitrogenG;
  const carbonToNitrogen = carbonLeftG / nitrogenLeftG;
  const byCarbon2 = (value) => total(openings.map((o) => value(o) * total(o.carbonG))) / carbonInG;
  return {
    id: plan.id,
    massInKg: total(plan.mix.map((input) => input.massFreshKg)),
    carbonInG,
    nitrogenInG: total(openings.flatMap((o) => [...o.nitrogenG, o.ammoniumG, o.charHeldG])),
    ammoniaG: ammoniaLostG(pile),
    respiredCarbonG: carbonRespiredG(pile),
    carbonLeftG,
    nitrogenLeftG,
    carbonToNitrogen,
    visibleShare: sumFresh(cohorts) / carbonInG,
    carbonPoolsG,
    nitrogenPoolsG,
    mineralNitrogenG,
    dryMassG: dryMassLeft(openings, carbonInG, carbonLeftG),
    kind: plan.kind ?? (carbonToNitrogen < COMPOST_BELOW_CN ? 'compost' : 'residue'),
    decayRateFactor: byCarbon2((o) => o.decayRateFactor),
    dryDensityKgPerM3: byCarbon2((o) => o.dryDensityKgPerM3),
  };
}
function sumFresh(cohorts) {
  let freshC = 0;
  for (let i = 0; i < cohorts.count; i++) freshC += freshCarbon(cohorts, i);
  return freshC;
}
function openingFromPile(pile, massInKg, p) {
  const share2 = massInKg / pile.massInKg;
  const [quick, structural, woody] = pile.carbonPoolsG;
  const [quickN, structuralN, woodyN] = pile.nitrogenPoolsG;
  return {
    kind: pile.kind,
    carbonG: pile.carbonPoolsG.map((c) => c * share2),
    nitrogenG: pile.nitrogenPoolsG.map((n) => n * share2),
    ammoniumG: pile.mineralNitrogenG * share2,
    charHeldG: 0,
    charCapacityG: 0,
    microbialCn: microbialCnForFeed(quick + structural + woody, quickN + structuralN + woodyN, p),
    decayRateFactor: pile.decayRateFactor,
    ammoniaExposure: SPREAD_AMMONIA_EXPOSURE,
    vaporBarrier: 0,
    charTemperature: 'medium',
    dryMassG: pile.dryMassG * share2,
    carbonPerDryMass: pile.carbonLeftG / pile.dryMassG,
    dryDensityKgPerM3: pile.dryDensityKgPerM3,
    isLiquid: false,
  };
}

// src/core/simulation/events.ts
function carryOut(bed, event, piles) {
  switch (event.type) {
    case 'apply':
      apply(bed, event, piles);
      return 0;
    case 'dig':
      dig(bed, event);
      return 0;
    case 'feed':
      feed(bed, event);
      return 0;
    case 'remove':
      remove(bed, event);
      return 0;
    case 'soilTest':
      adjustToTest(bed, event);
      return 0;
    case 'irrigate':
      return event.waterMm;
  }
}
function openingOf(event, piles, p) {
  if (isFromStock(event)) return event.opening;
  return isFromPile(event)
    ? openingFromPile(piles.get(event.pileId), event.massFreshKgPerM2, p)
    : openingFromFreshMass(event.material, event.massFreshKgPerM2, p);
}
function apply(bed, event, piles) {
  const opening = openingOf(event, piles, bed.constants.parameters);
  const cohort = openCohort(bed, opening, { ...event, origin: 'materials' });
  if (event.dugDepthCm > 0) digCohort(bed, cohort, event.dugDepthCm);
  else if (opening.isLiquid) soakIn(bed, cohort);
}
function dig(bed, { cohortIds, depthCm }) {
  const { cohorts } = bed.state;
  for (let i = 0; i < cohorts.count; i++) {
    const isMeant = cohortIds === 'all' || cohortIds.includes(cohorts.ids[i]);
    if (isMeant && isOnSurface(cohorts, i)) digCohort(bed, i, depthCm);
  }
}
function feed(bed, { nitrogenGPerM2, depthCm }) {
  const depth = clamp(depthCm, CONTACT_ZONE_CM, bed.constants.rootZoneCm);
  const toContact = (nitrogenGPerM2 * CONTACT_ZONE_CM) / depth;
  feedZone(bed, CONTACT_ZONE, toContact);
  feedZone(bed, ROOT_ZONE, nitrogenGPerM2 - toContact);
}
function feedZone({ state }, zone, nitrogenG2) {
  state.mineralN[zone] += nitrogenG2;
  state.flows[zone === CONTACT_ZONE ? FLOW.fedToContactZone : FLOW.fedToRootZone] += nitrogenG2;
}
var giveDose = (bed, nitrogenGPerM2) => feedZone(bed, CONTACT_ZONE, nitrogenGPerM2);
function remove(bed, { cohortId, share: share2, humusShare = 0 }) {
  takeOffCohort(bed, bed.state.cohorts.ids.indexOf(cohortId), share2, humusShare);
}
function adjustToTest({ state }, { mineralNGPerM2 }) {
  const { mineralN, flows } = state;
  flows[FLOW.testedContactZone] += mineralNGPerM2[0] - mineralN[CONTACT_ZONE];
  flows[FLOW.testedRootZone] += mineralNGPerM2[1] - mineralN[ROOT_ZONE];
  mineralN[CONTACT_ZONE] = mineralNGPerM2[0];
  mineralN[ROOT_ZONE] = mineralNGPerM2[1];
}
function plantCrop({ state, constants }, crop) {
  const { crops } = state;
  const k = crops.count++;
  crops.ids[k] = crop.id;
  crops.demandAtHarvest[k] = crop.nitrogenDemandGPerM2;
  crops.lengthDays[k] = crop.harvestDay - crop.plantDay;
  crops.rootDepthCm[k] = crop.rootDepthCm;
  crops.fixedShare[k] = crop.fixedShare ?? constants.parameters.legumeFixedShare;
  crops.deepShare[k] = crop.deepShare;
  crops.isLegume[k] = crop.isLegume ? 1 : 0;
  crops.isPerennial[k] = crop.isPerennial ? 1 : 0;
  crops.isAlive[k] = 1;
}
var residueId = (cropId) => `${cropId}_residue`;
function harvestCrop(bed, crop) {
  const { crops, flows } = bed.state;
  const k = crops.ids.indexOf(crop.id);
  crops.shortN[k] += crops.backlogN[k];
  crops.backlogN[k] = 0;
  crops.paleness[k] = 0;
  crops.isAlive[k] = 0;
  while (crops.firstLiving < crops.count && !crops.isAlive[crops.firstLiving]) crops.firstLiving += 1;
  const standing = crops.standingN[k];
  crops.standingN[k] = 0;
  const residueN = crop.residueMaterial ? standing * crop.residueShare : 0;
  flows[FLOW.harvested] += standing - residueN;
  if (residueN > 0 && crop.residueMaterial) layResidue(bed, crop, crop.residueMaterial, residueN);
}
function layResidue(bed, crop, material, nitrogenG2) {
  const dryG2 = nitrogenG2 / material.nitrogenFractionDryBasis;
  const opening = openingFromDryMass(material, dryG2, bed.constants.parameters);
  const cohort = openCohort(bed, opening, {
    id: residueId(crop.id),
    exposure: 'normal',
    isOnPath: false,
    origin: 'crops',
  });
  if (crop.residueDugDepthCm > 0) digCohort(bed, cohort, crop.residueDugDepthCm);
}

// src/core/simulation/parameters.ts
var CALIBRATED = 'calibrated, tests/anchors';
var SET_HERE = 'set here';
var PARAMETER_TABLE = {
  quickDecayPerYear: {
    symbol: 'k_q',
    value: 12.5,
    low: 8,
    high: 20,
    unit: '/yr',
    meaning: 'decay of quick carbon',
    source: 'RothC DPM is 10 (from memory); calibrated, tests/anchors',
  },
  structuralDecayPerYear: {
    symbol: 'k_s',
    value: 3.3,
    low: 2.3,
    high: 4.5,
    unit: '/yr',
    meaning: 'decay of structural carbon, fine particles',
    source: CALIBRATED,
  },
  woodyDecayPerYear: {
    symbol: 'k_w',
    value: 0.42,
    low: 0.25,
    high: 0.55,
    unit: '/yr',
    meaning: 'decay of woody carbon, fine particles',
    source: 'RothC RPM is 0.3 (from memory); calibrated, tests/anchors',
  },
  microbialTurnoverPerYear: {
    symbol: 'k_b',
    value: 1.4,
    low: 0.9,
    high: 2,
    unit: '/yr',
    meaning: 'turnover of decomposer biomass and its fresh remains',
    source: 'RothC BIO is 0.66 (from memory); calibrated, tests/anchors',
  },
  humusDecayPerYear: {
    symbol: 'k_h',
    value: 0.017,
    low: 0.012,
    high: 0.024,
    unit: '/yr',
    meaning: 'net decay of humus',
    source: 'RothC HUM is 0.02 gross, about a fifth re-formed (from memory)',
  },
  growthEfficiency: {
    symbol: 'e',
    value: 0.41,
    low: 0.35,
    high: 0.48,
    unit: '-',
    meaning: 'share of quick and structural carbon kept as biomass',
    source: 'literature 0.3-0.6 (from memory); calibrated, tests/anchors',
  },
  woodyGrowthEfficiency: {
    symbol: 'e_w',
    value: 0.12,
    low: 0.08,
    high: 0.2,
    unit: '-',
    meaning: 'share of woody carbon kept as biomass',
    source: CALIBRATED,
  },
  biomassHumifiedShare: {
    symbol: 'h_b',
    value: 0.37,
    low: 0.3,
    high: 0.43,
    unit: '-',
    meaning: 'share of dying biomass carbon turned into humus at the reference clay',
    source: CALIBRATED,
  },
  woodyHumifiedShare: {
    symbol: 'h_w',
    value: 0.13,
    low: 0.08,
    high: 0.22,
    unit: '-',
    meaning: 'share of decayed woody carbon turned straight into humus',
    source: CALIBRATED,
  },
  humusCarbonToNitrogen: {
    symbol: 'cn_h',
    value: 11,
    low: 10,
    high: 12.5,
    unit: '-',
    meaning: 'C:N of newly made humus',
    source: 'textbooks 10-12 (from memory)',
  },
  biomassCnLow: {
    symbol: 'cnb_lo',
    value: 7,
    low: 6.5,
    high: 8.5,
    unit: '-',
    meaning: 'C:N of bacterial biomass',
    source: 'textbooks 5-8 (from memory); calibrated, tests/anchors',
  },
  biomassCnHigh: {
    symbol: 'cnb_hi',
    value: 12,
    low: 10.5,
    high: 15,
    unit: '-',
    meaning: 'C:N of fungal biomass',
    source: 'textbooks 8-15 (from memory); calibrated, tests/anchors',
  },
  biomassCnSlope: {
    symbol: 'cnb_slope',
    value: 0.03,
    low: 0.02,
    high: 0.06,
    unit: '-',
    meaning: 'rise of biomass C:N per unit of feed C:N',
    source:
      'Nicolardot et al. 2001 use a rising curve too, theirs is higher (from memory); calibrated, tests/anchors',
  },
  biomassCnOnset: {
    symbol: 'cnb_cn',
    value: 12,
    unit: '-',
    meaning: 'feed C:N from which biomass C:N rises',
    source: CALIBRATED,
  },
  quickNitrogenWeight: {
    symbol: 'w_q',
    value: 2.6,
    low: 1.8,
    high: 3.6,
    unit: '-',
    meaning: 'relative nitrogen per carbon, quick and biomass',
    source: CALIBRATED,
  },
  structuralNitrogenWeight: {
    symbol: 'w_s',
    value: 1,
    unit: '-',
    meaning: 'relative nitrogen per carbon, structural',
    source: CALIBRATED,
  },
  woodyNitrogenWeight: {
    symbol: 'w_w',
    value: 0.9,
    low: 0.5,
    high: 1.1,
    unit: '-',
    meaning: 'relative nitrogen per carbon, woody',
    source: CALIBRATED,
  },
  humusNitrogenWeight: {
    symbol: 'w_h',
    value: 3.5,
    low: 2.5,
    high: 4.2,
    unit: '-',
    meaning: 'relative nitrogen per carbon, arriving humus',
    source: CALIBRATED,
  },
  charNitrogenWeight: {
    symbol: 'w_c',
    value: 1,
    unit: '-',
    meaning: 'relative nitrogen per carbon, char',
    source: SET_HERE,
  },
  starvedDecayFloor: {
    symbol: 'f_min',
    value: 0.25,
    low: 0.1,
    high: 0.4,
    unit: '-',
    meaning: 'floor of nitrogen-starved decay (overflow respiration)',
    source: CALIBRATED,
  },
  microbialDrawPerDay: {
    symbol: 'phi',
    value: 0.8,
    low: 0.5,
    high: 0.95,
    unit: '/d',
    meaning: 'largest share of the nitrogen of a zone that microbes take in a day',
    source: SET_HERE,
  },
  cropDrawPerDay: {
    symbol: 'phi_crop',
    value: 0.2,
    low: 0.1,
    high: 0.4,
    unit: '/d',
    meaning: 'the same for roots in soil they reach',
    source: SET_HERE,
  },
  temperatureModifierCap: {
    symbol: 'a_max',
    value: 6,
    low: 4,
    high: 7,
    unit: '-',
    meaning: 'cap on the temperature modifier',
    source: SET_HERE,
  },
  frozenC: {
    symbol: 't_zero',
    value: -5,
    unit: 'C',
    meaning: 'no decay at or below',
    source: 'RothC convention (from memory)',
  },
  referenceClayPct: {
    symbol: 'clay_ref',
    value: 23.4,
    unit: '%',
    meaning: 'clay at which the humified shares hold',
    source: 'Rothamsted Hoosfield (from memory)',
  },
  contactDepthCm: {
    symbol: 'contact_cm',
    value: 2.5,
    low: 1.5,
    high: 4,
    unit: 'cm',
    meaning: 'mulch in touch with the soil',
    source: SET_HERE,
  },
  contactDraw: {
    symbol: 'contact_draw',
    value: 0.6,
    low: 0.3,
    high: 1,
    unit: '-',
    meaning: 'share of its need the contact part may ask of the soil',
    source: CALIBRATED,
  },
  fungalLiftGPerM2Day: {
    symbol: 'draw_flux',
    value: 7e-3,
    low: 4e-3,
    high: 0.012,
    unit: 'g/m2/d',
    meaning: 'most nitrogen fungal threads lift into a layer from below',
    source: 'Frey et al. 2000 report 2-3 g N/m2/yr (from memory)',
  },
  humusMixingPerYear: {
    symbol: 'hum_mix',
    value: 0.5,
    low: 0.2,
    high: 1,
    unit: '/yr',
    meaning: 'arriving humus on top carried into the soil',
    source: SET_HERE,
  },
  compactedPathFactor: {
    symbol: 'path',
    value: 0.6,
    low: 0.4,
    high: 0.8,
    unit: '-',
    meaning: 'decay on a compacted path',
    source: SET_HERE,
  },
  settlingShare: {
    symbol: 'settle',
    value: 0.25,
    low: 0.1,
    high: 0.4,
    unit: '-',
    meaning: 'settling of a fresh layer',
    source: SET_HERE,
  },
  settlingDays: {
    symbol: 'settle_days',
    value: 45,
    low: 20,
    high: 90,
    unit: 'd',
    meaning: 'e-folding time of settling',
    source: SET_HERE,
  },
  bareSoilEvaporation: {
    symbol: 'kc_bare',
    value: 0.5,
    low: 0.3,
    high: 0.7,
    unit: '-',
    meaning: 'evaporation of bare soil over potential',
    source: SET_HERE,
  },
  contactZoneEvaporationShare: {
    symbol: 'et_top',
    value: 0.25,
    low: 0.15,
    high: 0.4,
    unit: '-',
    meaning: 'share of evapotranspiration drawn from the contact zone',
    source: SET_HERE,
  },
  mulchEvaporationCut: {
    symbol: 'mulch_et',
    value: 0.5,
    low: 0.3,
    high: 0.7,
    unit: '-',
    meaning: 'cut in bare-soil evaporation under 5 cm of mulch or more',
    source: SET_HERE,
  },
  fieldCapacityBase: {
    symbol: 'theta0',
    value: 0.14,
    low: 0.1,
    high: 0.2,
    unit: '-',
    meaning: 'water at field capacity without clay',
    source: 'general pedotransfer, set here',
  },
  fieldCapacityPerClayPct: {
    symbol: 'theta_clay',
    value: 5e-3,
    low: 3e-3,
    high: 6e-3,
    unit: '/%',
    meaning: 'rise of field capacity per % clay',
    source: 'general pedotransfer, set here',
  },
  rainGapDays: {
    symbol: 'rain_gap',
    value: 4,
    low: 1,
    high: 7,
    unit: 'd',
    meaning: 'rain falls every so many days',
    source: SET_HERE,
  },
  washingMm: {
    symbol: 'wash_mm',
    value: 10,
    low: 5,
    high: 20,
    unit: 'mm',
    meaning: 'e-folding rain for washing nitrogen down out of a layer',
    source: SET_HERE,
  },
  ammoniaLossPerDay: {
    symbol: 'k_vol',
    value: 0.2,
    low: 0.08,
    high: 0.35,
    unit: '/d',
    meaning: 'ammonia loss at 15 C, fully exposed',
    source: 'about half in 3 days, extension manure tables (from memory)',
  },
  layerAmmoniaLossPerDay: {
    symbol: 'k_vol_layer',
    value: 0.03,
    low: 0.02,
    high: 0.04,
    unit: '/d',
    meaning: 'ammonia loss from nitrogen mineralized in a layer, 15 C',
    source: SET_HERE,
  },
  pileAmmoniaLossPerDay: {
    symbol: 'k_vol_pile',
    value: 8e-3,
    low: 3e-3,
    high: 0.02,
    unit: '/d',
    meaning: 'ammonia loss from a pile at modifier 1',
    source: '20-50 % loss of a hot heap, range of NRAES-54 (from memory)',
  },
  ammoniaCoverCm: {
    symbol: 'vol_cover_cm',
    value: 2,
    low: 1,
    high: 4,
    unit: 'cm',
    meaning: 'e-folding cover that stops ammonia',
    source: SET_HERE,
  },
  labileCharShare: {
    symbol: 'char_lab',
    value: 0.03,
    low: 0.01,
    high: 0.06,
    unit: '-',
    meaning: 'labile share of char carbon',
    source: 'Wang et al. 2016 (from memory)',
  },
  labileCharResidenceDays: {
    symbol: 'char_lab_mrt_d',
    value: 108,
    low: 50,
    high: 200,
    unit: 'd',
    meaning: 'mean residence time of labile char',
    source: 'Wang et al. 2016 (from memory)',
  },
  charCapacityGPerKg: {
    symbol: 'char_cap',
    value: 2,
    low: 0.5,
    high: 6,
    unit: 'g N/kg dry',
    meaning: 'mineral nitrogen held by raw char',
    source: 'general sorption literature, inconsistent (from memory)',
  },
  charFillingDays: {
    symbol: 'char_ads_days',
    value: 21,
    low: 7,
    high: 60,
    unit: 'd',
    meaning: 'filling time of char sites',
    source: SET_HERE,
  },
  charFoulingPerYear: {
    symbol: 'char_foul',
    value: 0.5,
    low: 0.2,
    high: 1.5,
    unit: '/yr',
    meaning: 'closing of char sites',
    source: SET_HERE,
  },
  stillPileFactor: {
    symbol: 'pile_static',
    value: 0.8,
    low: 0.4,
    high: 1,
    unit: '-',
    meaning: 'air and moisture factor of a still pile',
    source: SET_HERE,
  },
  turnedPileFactor: {
    symbol: 'pile_turned',
    value: 1,
    low: 0.8,
    high: 1.1,
    unit: '-',
    meaning: 'air and moisture factor of a turned pile',
    source: SET_HERE,
  },
  pileHeatingC: {
    symbol: 'pile_dt',
    value: 40,
    low: 25,
    high: 50,
    unit: 'C',
    meaning: 'self-heating of a hot pile above the air',
    source: SET_HERE,
  },
  pileCoolingDays: {
    symbol: 'pile_tau',
    value: 40,
    low: 20,
    high: 60,
    unit: 'd',
    meaning: 'e-folding time of self-heating',
    source: SET_HERE,
  },
  liquidSoakShare: {
    symbol: 'soak',
    value: 0.7,
    low: 0.4,
    high: 0.9,
    unit: '-',
    meaning: 'share of the ammonium of a liquid that soaks in at once',
    source: SET_HERE,
  },
  heldAmmoniumGPerM2Cm: {
    symbol: 'hold_n',
    value: 0.04,
    low: 0.02,
    high: 0.06,
    unit: 'g/m2/cm',
    meaning: 'ammonium held against leaching at 20 % clay',
    source: 'set here (spring mineral nitrogen)',
  },
  denitrifiedPer10Mm: {
    symbol: 'k_den',
    value: 0.04,
    low: 0.01,
    high: 0.08,
    unit: 'per 10 mm',
    meaning: 'share denitrified per 10 mm drained, 50 % clay or more',
    source: SET_HERE,
  },
  backlogDays: {
    symbol: 'backlog_d',
    value: 14,
    low: 7,
    high: 21,
    unit: 'd',
    meaning: 'e-folding time after which unmet demand of a crop is lost',
    source: SET_HERE,
  },
  legumeFixedShare: {
    symbol: 'fix_share',
    value: 0.5,
    low: 0.3,
    high: 0.8,
    unit: '-',
    meaning: 'share of the demand of a legume fixed whatever the soil holds',
    source: SET_HERE,
  },
  doseStepG: {
    symbol: 'dose_step',
    value: 0.5,
    unit: 'g/m2',
    meaning: 'step of the doses tried',
    source: SET_HERE,
  },
  doseMaximumG: {
    symbol: 'dose_max',
    value: 10,
    unit: 'g/m2',
    meaning: 'largest dose tried',
    source: SET_HERE,
  },
  dosePrice: {
    symbol: 'dose_price',
    value: 0.15,
    unit: '-',
    meaning: 'lost crop nitrogen that one gram of dose must save',
    source: SET_HERE,
  },
};
var PARAMETER_CLASSES = {
  contactExposure: {
    symbol: 'exp_contact',
    value: { damp: 0.9, normal: 0.73, dry: 0.35 },
    range: '+-25 %',
    meaning: 'decay of a layer where it touches the soil',
    source: 'calibrated (life of chips), tests/anchors',
  },
  upperExposure: {
    symbol: 'exp_upper',
    value: { damp: 0.7, normal: 0.51, dry: 0.22 },
    range: '+-30 %',
    meaning: 'decay of a layer above the soil',
    source: 'calibrated (life of chips), tests/anchors',
  },
  particleFactor: {
    symbol: 'size',
    value: { fine: 1, chip: 0.6, coarse: 0.4, log: 0.12 },
    range: 'chip 0.4-0.8, coarse 0.25-0.55, log 0.06-0.2',
    meaning: 'particle factor on decay',
    source: SET_HERE,
  },
  charLeftAfter100Years: {
    symbol: 'char_fperm',
    value: { low: 0.65, medium: 0.8, high: 0.89 },
    range: '+-0.11 to 0.13',
    meaning: 'char carbon left after 100 years: 350-450, 450-600, above 600 C',
    source: 'IPCC 2019 refinement (from memory)',
  },
};
var scalarNames = Object.keys(PARAMETER_TABLE);
var defaultParameters = {
  ...Object.fromEntries(scalarNames.map((name2) => [name2, PARAMETER_TABLE[name2].value])),
  contactExposure: PARAMETER_CLASSES.contactExposure.value,
  upperExposure: PARAMETER_CLASSES.upperExposure.value,
  particleFactor: PARAMETER_CLASSES.particleFactor.value,
  charLeftAfter100Years: PARAMETER_CLASSES.charLeftAfter100Years.value,
};
function withOverrides(overrides = {}) {
  return {
    ...defaultParameters,
    ...overrides,
    contactExposure: { ...defaultParameters.contactExposure, ...overrides.contactExposure },
    upperExposure: { ...defaultParameters.upperExposure, ...overrides.upperExposure },
    particleFactor: { ...defaultParameters.particleFactor, ...overrides.particleFactor },
    charLeftAfter100Years: { ...defaultParameters.charLeftAfter100Years, ...overrides.charLeftAfter100Years },
  };
}

// src/core/simulation/check-parameters.ts
var SHARES = /* @__PURE__ */ new Set([
  'growthEfficiency',
  'woodyGrowthEfficiency',
  'biomassHumifiedShare',
  'woodyHumifiedShare',
  'starvedDecayFloor',
  'microbialDrawPerDay',
  'cropDrawPerDay',
  'contactDraw',
  'settlingShare',
  'contactZoneEvaporationShare',
  'mulchEvaporationCut',
  'labileCharShare',
  'liquidSoakShare',
  'legumeFixedShare',
]);
var ABOVE_ZERO = /* @__PURE__ */ new Set([
  'humusCarbonToNitrogen',
  'biomassCnLow',
  'biomassCnHigh',
  'contactDepthCm',
  'settlingDays',
  'washingMm',
  'ammoniaCoverCm',
  'labileCharResidenceDays',
  'charFillingDays',
  'pileCoolingDays',
  'backlogDays',
  'doseStepG',
  'quickNitrogenWeight',
  'structuralNitrogenWeight',
  'woodyNitrogenWeight',
  'humusNitrogenWeight',
  'charNitrogenWeight',
  'fieldCapacityBase',
]);
function checkParameters(overrides) {
  for (const [name2, value] of Object.entries(overrides)) {
    const path = ['parameters', name2];
    if (name2 in PARAMETER_TABLE) checkScalar(name2, value, path);
    else if (name2 in PARAMETER_CLASSES) checkClasses(name2, value, path);
    else throw new InputError(path, 'unknown', 'is not a parameter of the model');
  }
}
function checkScalar(name2, value, path) {
  if (name2 === 'frozenC') requireNumber(value, path, { min: -18 });
  else if (name2 === 'rainGapDays') {
    if (!Number.isInteger(requireNumber(value, path, { min: 1 }))) {
      throw new InputError(path, 'out_of_range', `must be a whole number of days; got ${String(value)}`);
    }
  } else if (SHARES.has(name2)) requireNumber(value, path, { min: 0, max: 1 });
  else if (ABOVE_ZERO.has(name2)) requireNumber(value, path, { above: 0 });
  else requireNumber(value, path, { min: 0 });
}
function checkClasses(name2, value, path) {
  if (typeof value !== 'object' || value === null) {
    throw new InputError(path, 'bad_shape', 'must be an object of classes');
  }
  for (const [key, entry] of Object.entries(value)) {
    if (!(key in PARAMETER_CLASSES[name2].value)) {
      throw new InputError([...path, key], 'unknown', 'is not a class of this parameter');
    }
    requireNumber(
      entry,
      [...path, key],
      name2 === 'charLeftAfter100Years' ? { above: 0, max: 0.999 } : { min: 0 },
    );
  }
}

// src/core/simulation/check-scenario.ts
var THICKEST_LAYER_CM = 100;
var HEAVIEST_LAYER_DRY_KG_PER_M2 = 500;
var SHALLOWEST_ROOT_ZONE_CM = 10;
var MONTHS2 = 12;
function checkScenario(scenario) {
  requireNumber(scenario.startDay, ['startDay']);
  requireNumber(scenario.endDay, ['endDay']);
  if (scenario.endDay <= scenario.startDay) {
    throw new InputError(['endDay'], 'bad_order', 'must be after the start');
  }
  checkClimate(scenario);
  checkSoil(scenario);
  checkSteps(scenario.stepsPerDay, ['stepsPerDay']);
  requireNumber(scenario.depositionGPerM2Year, ['depositionGPerM2Year'], { min: 0 });
  if (scenario.parameters) checkParameters(scenario.parameters);
  if (scenario.irrigation) checkIrrigation(scenario);
  scenario.piles.forEach((pile, i) => checkPile(pile, ['piles', i]));
  refuseRepeats(scenario.piles, 'piles');
  scenario.crops.forEach((crop, i) => checkCrop(crop, scenario, ['crops', i]));
  refuseRepeats(scenario.crops, 'crops');
  scenario.events.forEach((event, i) => checkEvent(event, scenario, ['events', i]));
  checkCohortNames(scenario);
  checkPileBalances(scenario);
}
function checkClimate({ climate }) {
  const lists = {
    temperatureC: { min: -60, max: 60 },
    rainMm: { min: 0 },
    evapotranspirationMm: { min: 0 },
  };
  for (const name2 of Object.keys(lists)) {
    const values = climate[name2];
    if (!Array.isArray(values) || values.length !== MONTHS2) {
      throw new InputError(['climate', name2], 'bad_shape', 'must list twelve months');
    }
    values.forEach((value, i) => requireNumber(value, ['climate', name2, i], lists[name2]));
  }
}
function checkSoil({ soil }) {
  const at = (name2) => ['soil', name2];
  requireNumber(soil.organicMatterPct, at('organicMatterPct'), { min: 0, max: 100 });
  requireNumber(soil.bulkDensityGPerCm3, at('bulkDensityGPerCm3'), { min: 0.05, max: 2.5 });
  requireNumber(soil.samplingDepthCm, at('samplingDepthCm'), { above: 0, max: 200 });
  requireNumber(soil.clayPct, at('clayPct'), { min: 0, max: 100 });
  requireNumber(soil.rootZoneCm, at('rootZoneCm'), { min: SHALLOWEST_ROOT_ZONE_CM });
  requireNumber(soil.carbonToNitrogen, at('carbonToNitrogen'), { above: 0 });
  checkPair(soil.mineralNGPerM2, at('mineralNGPerM2'));
  checkPair(soil.deficitMm, at('deficitMm'));
}
function checkPair(pair, path) {
  if (!Array.isArray(pair) || pair.length !== 2) {
    throw new InputError(path, 'bad_shape', 'must list two figures: contact zone and root zone');
  }
  pair.forEach((value, i) => requireNumber(value, [...path, i], { min: 0 }));
}
function checkSteps(steps, path) {
  requireNumber(steps, path, { min: 1 });
  if (!Number.isInteger(steps)) {
    throw new InputError(path, 'out_of_range', `must be a whole number; got ${steps}`);
  }
}
function checkIrrigation({ irrigation }) {
  irrigation.months.forEach((month, i) =>
    requireNumber(month, ['irrigation', 'months', i], { min: 1, max: MONTHS2 }),
  );
  requireNumber(irrigation.trigger, ['irrigation', 'trigger'], { min: 0, max: 1 });
  requireNumber(irrigation.refill, ['irrigation', 'refill'], { min: 0, max: 1 });
}
function checkPile(pile, path) {
  if (pile.endDay <= pile.startDay) {
    throw new InputError([...path, 'endDay'], 'bad_order', 'must be after the start of the pile');
  }
  requireNumber(pile.moistureFactor, [...path, 'moistureFactor'], { min: 0, max: 1.5 });
  checkSteps(pile.stepsPerDay, [...path, 'stepsPerDay']);
  pile.mix.forEach(({ material, massFreshKg: massFreshKg2 }, i) => {
    requireNumber(massFreshKg2, [...path, 'mix', i, 'massFreshKg'], { above: 0 });
    checkMaterial(material, [...path, 'mix', i, 'material']);
  });
  if (!pile.mix.some(({ material }) => material.carbonFractionDryBasis > 0)) {
    throw new InputError([...path, 'mix'], 'bad_shape', 'must hold something with carbon in it');
  }
}
function checkDay(day, scenario, path) {
  requireNumber(day, path);
  if (day < scenario.startDay || day >= scenario.endDay) {
    throw new InputError(path, 'bad_date', 'must lie on or after the start and before the end');
  }
}
function checkCrop(crop, scenario, path) {
  const at = (name2) => [...path, name2];
  checkDay(crop.plantDay, scenario, at('plantDay'));
  requireNumber(crop.harvestDay, at('harvestDay'));
  if (crop.harvestDay <= crop.plantDay) {
    throw new InputError(at('harvestDay'), 'bad_order', 'must be after planting');
  }
  requireNumber(crop.nitrogenDemandGPerM2, at('nitrogenDemandGPerM2'), { min: 0 });
  requireNumber(crop.rootDepthCm, at('rootDepthCm'), { min: CONTACT_ZONE_CM });
  if (crop.fixedShare !== void 0) {
    requireNumber(crop.fixedShare, at('fixedShare'), { min: 0, max: 1 });
  }
  requireNumber(crop.deepShare, at('deepShare'), { min: 0, max: 1 });
  requireNumber(crop.residueShare, at('residueShare'), { min: 0, max: 1 });
  requireNumber(crop.residueDugDepthCm, at('residueDugDepthCm'), { min: 0 });
  if (crop.residueMaterial) {
    checkMaterial(crop.residueMaterial, at('residueMaterial'));
    if (!(crop.residueMaterial.nitrogenFractionDryBasis > 0)) {
      throw new InputError(at('residueMaterial'), 'out_of_range', 'must contain nitrogen');
    }
  } else if (crop.residueShare > 0) {
    throw new InputError(at('residueMaterial'), 'bad_shape', 'must be named when a residue is left');
  }
}
function checkEvent(event, scenario, path) {
  const at = (name2) => [...path, name2];
  requireOneOf(event.type, at('type'), ['apply', 'dig', 'feed', 'remove', 'soilTest', 'irrigate']);
  checkDay(event.day, scenario, at('day'));
  switch (event.type) {
    case 'apply':
      checkApplication(event, scenario, path);
      break;
    case 'dig':
      requireNumber(event.depthCm, at('depthCm'), { above: 0 });
      break;
    case 'feed':
      requireNumber(event.nitrogenGPerM2, at('nitrogenGPerM2'), { min: 0 });
      requireNumber(event.depthCm, at('depthCm'), { min: 0 });
      break;
    case 'remove':
      requireNumber(event.share, at('share'), { min: 0, max: 1 });
      requireNumber(event.humusShare ?? 0, at('humusShare'), { min: 0, max: 1 });
      break;
    case 'soilTest':
      checkPair(event.mineralNGPerM2, at('mineralNGPerM2'));
      break;
    case 'irrigate':
      requireNumber(event.waterMm, at('waterMm'), { min: 0 });
      break;
  }
}
function checkApplication(event, scenario, path) {
  const at = (name2) => [...path, name2];
  requireNumber(event.massFreshKgPerM2, at('massFreshKgPerM2'), { above: 0 });
  requireNumber(event.dugDepthCm, at('dugDepthCm'), { min: 0 });
  requireOneOf(event.exposure, at('exposure'), EXPOSURES);
  if (isFromPile(event)) {
    const pile = scenario.piles.find(({ id: id2 }) => id2 === event.pileId);
    if (!pile) throw new InputError(at('pileId'), 'unknown', `names no pile; got "${event.pileId}"`);
    if (event.day < pile.endDay) {
      throw new InputError(at('day'), 'bad_date', `must not be before the pile "${pile.id}" ends`);
    }
    return;
  }
  if (isFromStock(event)) {
    const { dryMassG, dryDensityKgPerM3 } = event.opening;
    checkLayer(dryMassG / 1e3, dryDensityKgPerM3, at('massFreshKgPerM2'));
    return;
  }
  checkMaterial(event.material, at('material'));
  checkLayerSize(event.material, event.massFreshKgPerM2, at('massFreshKgPerM2'));
}
function checkLayerSize(material, massFreshKgPerM2, path) {
  const dryShare = 1 - material.moistureFractionWetBasis;
  checkLayer(massFreshKgPerM2 * dryShare, material.bulkDensityKgPerM3 * dryShare, path);
}
function checkLayer(dryKg, dryDensityKgPerM3, path) {
  const thicknessCm = (dryKg / dryDensityKgPerM3) * 100;
  if (thicknessCm > THICKEST_LAYER_CM) {
    throw new InputError(
      path,
      'out_of_range',
      `makes a layer ${Math.round(thicknessCm).toLocaleString('en')} cm thick; at most ${THICKEST_LAYER_CM} cm can be laid at once. Were feet meant, not metres, or inches, not cm?`,
    );
  }
  if (dryKg > HEAVIEST_LAYER_DRY_KG_PER_M2) {
    throw new InputError(
      path,
      'out_of_range',
      `is ${Math.round(dryKg)} kg of dry matter per m2; at most ${HEAVIEST_LAYER_DRY_KG_PER_M2} can be laid at once`,
    );
  }
}
function refuseRepeats(items, list2) {
  const seen2 = /* @__PURE__ */ new Set();
  items.forEach(({ id: id2 }, i) => {
    if (seen2.has(id2)) throw new InputError([list2, i, 'id'], 'duplicate', `"${id2}" is used twice`);
    seen2.add(id2);
  });
}
function checkCohortNames(scenario) {
  const mentions = [
    ...scenario.events.map((event, i) => ({
      day: event.day,
      run: (known2) => mentionEvent(event, ['events', i], known2),
    })),
    ...scenario.crops
      .map((crop, i) => ({ crop, i }))
      .filter(({ crop }) => crop.residueShare > 0 && crop.harvestDay < scenario.endDay)
      .map(({ crop, i }) => ({
        day: crop.harvestDay,
        run: (known2) => open(known2, residueId(crop.id), ['crops', i, 'id']),
      })),
  ];
  mentions.sort((a, b) => a.day - b.day);
  const known = /* @__PURE__ */ new Map();
  for (const mention of mentions) mention.run(known);
}
function open(known, id2, path) {
  if (known.has(id2)) throw new InputError(path, 'duplicate', `"${id2}" is used twice`);
  known.set(id2, known.size);
}
function mentionEvent(event, path, known) {
  if (event.type === 'apply') {
    open(known, event.id ?? `c${known.size + 1}`, [...path, 'id']);
  } else if (event.type === 'dig' && event.cohortIds !== 'all') {
    event.cohortIds.forEach((id2, k) => requireKnown(known, id2, [...path, 'cohortIds', k]));
  } else if (event.type === 'remove') {
    requireKnown(known, event.cohortId, [...path, 'cohortId']);
  }
}
function requireKnown(known, id2, path) {
  if (!known.has(id2)) {
    throw new InputError(path, 'unknown', `names nothing that lies on the bed by that date; got "${id2}"`);
  }
}
var ROUNDING = 1e-9;
function checkPileBalances(scenario) {
  const takenKg = /* @__PURE__ */ new Map();
  scenario.events.forEach((event, i) => {
    if (event.type !== 'apply' || !isFromPile(event)) return;
    const pile = scenario.piles.find(({ id: id2 }) => id2 === event.pileId);
    const inKg = pile.mix.reduce((sum, { massFreshKg: massFreshKg2 }) => sum + massFreshKg2, 0);
    const soFar = (takenKg.get(pile.id) ?? 0) + event.massFreshKgPerM2;
    takenKg.set(pile.id, soFar);
    if (soFar > inKg * (1 + ROUNDING)) {
      throw new InputError(
        ['events', i, 'massFreshKgPerM2'],
        'out_of_range',
        `takes more from the pile "${pile.id}" than the ${inKg} kg that went in`,
      );
    }
  });
}

// src/core/climate/climate.ts
function isSouthern({ temperatureC: t }) {
  return t[5] + t[6] + t[7] < t[11] + t[0] + t[1];
}

// src/core/materials/nutrients.ts
var MINERALS = {
  chips_branch: { phosphorus: 7e-4, potassium: 3e-3 },
  chips_inleaf: { phosphorus: 14e-4, potassium: 6e-3 },
  chips_mixed: { phosphorus: 4e-4, potassium: 2e-3 },
  chips_hardwood_trunk: { phosphorus: 1e-4, potassium: 1e-3 },
  chips_softwood_trunk: { phosphorus: 1e-4, potassium: 6e-4 },
  chips_conifer_green: { phosphorus: 9e-4, potassium: 4e-3 },
  bark_softwood: { phosphorus: 2e-4, potassium: 15e-4 },
  bark_hardwood: { phosphorus: 4e-4, potassium: 25e-4 },
  straw_cereal: { phosphorus: 8e-4, potassium: 0.012 },
  cereal_residue_1N: { phosphorus: 12e-4, potassium: 0.013 },
  hay_grass: { phosphorus: 25e-4, potassium: 0.018 },
  leaves_mixed: { phosphorus: 12e-4, potassium: 5e-3 },
  leaves_oak_conifer: { phosphorus: 9e-4, potassium: 3e-3 },
  leaf_mould: { phosphorus: 1e-3, potassium: 3e-3 },
  grass_clippings: { phosphorus: 4e-3, potassium: 0.024 },
  clover_cover: { phosphorus: 3e-3, potassium: 0.025 },
  rye_young: { phosphorus: 4e-3, potassium: 0.03 },
  ryegrass_jenkinson: { phosphorus: 3e-3, potassium: 0.025 },
  veg_waste: { phosphorus: 4e-3, potassium: 0.025 },
  dairy_fresh: { phosphorus: 6e-3, potassium: 0.018 },
  dairy_separated: { phosphorus: 4e-3, potassium: 8e-3 },
  cattle_fym: { phosphorus: 5e-3, potassium: 0.02 },
  horse_bedding: { phosphorus: 3e-3, potassium: 0.014 },
  sheep_manure: { phosphorus: 6e-3, potassium: 0.022 },
  broiler_litter: { phosphorus: 0.015, potassium: 0.02 },
  layer_manure: { phosphorus: 0.02, potassium: 0.02 },
  poultry_pellets: { phosphorus: 0.016, potassium: 0.02 },
  compost_manure: { phosphorus: 8e-3, potassium: 0.016 },
  compost_yard: { phosphorus: 2e-3, potassium: 7e-3 },
  compost_garden: { phosphorus: 3e-3, potassium: 0.01 },
  mushroom_compost: { phosphorus: 6e-3, potassium: 0.02 },
  worm_castings: { phosphorus: 6e-3, potassium: 0.01 },
  fish_emulsion: { phosphorus: 0.01, potassium: 0.02 },
  alfalfa_meal: { phosphorus: 3e-3, potassium: 0.02 },
  feather_meal: { phosphorus: 3e-3, potassium: 2e-3 },
  blood_meal: { phosphorus: 3e-3, potassium: 3e-3 },
  urine: { phosphorus: 0.018, potassium: 0.04 },
  wood_ash: { phosphorus: 0.01, potassium: 0.05 },
  molasses: { phosphorus: 1e-3, potassium: 0.04 },
  cover_mixed: { phosphorus: 3e-3, potassium: 0.025 },
  weeds_fresh: { phosphorus: 4e-3, potassium: 0.035 },
  coffee_grounds: { phosphorus: 2e-3, potassium: 6e-3 },
  biochar_raw: { phosphorus: 1e-3, potassium: 5e-3 },
  biochar_charged: { phosphorus: 2e-3, potassium: 7e-3 },
};
var mineralsOf = (materialId, material) => MINERALS[materialId] ?? MINERALS[material?.mineralsLike ?? ''];
var phosphorusFractionDryBasis = (materialId, material) => mineralsOf(materialId, material)?.phosphorus ?? 0;
var potassiumFractionDryBasis = (materialId, material) => mineralsOf(materialId, material)?.potassium ?? 0;

// src/core/stock/lot-contents.ts
var NOTHING = { cohorts: [], mineralNitrogenG: 0, waterG: 0 };
var ORGANIC_PER_CARBON = 2;
var GRAMS_PER_KILOGRAM3 = 1e3;
function contentsOfMaterial(materialId, material, dryG2, p) {
  const opening = openingFromDryMass(material, dryG2, p);
  const carbonG2 = total(opening.carbonG);
  const ashG = Math.max(0, dryG2 - ORGANIC_PER_CARBON * carbonG2);
  const moisture2 = material.moistureFractionWetBasis;
  const { kind, carbonG: pools, nitrogenG: nitrogenG2, microbialCn, decayRateFactor } = opening;
  return {
    cohorts: [
      {
        materialId,
        kind,
        carbonG: pools,
        nitrogenG: nitrogenG2,
        microbialCn,
        decayRateFactor,
        charHeldG: opening.charHeldG,
        charCapacityG: opening.charCapacityG,
        ashG,
        arrivedCarbonG: carbonG2,
        ageDays: 0,
        organicPerCarbon: carbonG2 > 0 ? (dryG2 - ashG) / carbonG2 : 0,
        dryDensityKgPerM3: opening.dryDensityKgPerM3,
        ammoniaExposure: opening.ammoniaExposure,
        vaporBarrier: opening.vaporBarrier,
        charTemperature: opening.charTemperature,
        phosphorusG: dryG2 * phosphorusFractionDryBasis(materialId, material),
        potassiumG: dryG2 * potassiumFractionDryBasis(materialId, material),
      },
    ],
    mineralNitrogenG: opening.ammoniumG,
    waterG: (dryG2 * moisture2) / (1 - moisture2),
  };
}
var cohortCarbonG = (cohort) => total(cohort.carbonG);
var cohortDryG = (cohort) => cohort.ashG + cohort.organicPerCarbon * cohortCarbonG(cohort);
var carbonG = ({ cohorts }) => total(cohorts.map(cohortCarbonG));
var nitrogenG = ({ cohorts, mineralNitrogenG }) =>
  total(cohorts.flatMap((one) => [...one.nitrogenG, one.charHeldG])) + mineralNitrogenG;
var dryG = ({ cohorts }) => total(cohorts.map(cohortDryG));
var freshKg = (contents) => (dryG(contents) + contents.waterG) / GRAMS_PER_KILOGRAM3;
var volumeL = ({ cohorts }) => total(cohorts.map((one) => cohortDryG(one) / one.dryDensityKgPerM3));
var isEmpty = (contents) => dryG(contents) <= 0;
var scaledCohort = (one, share2) => ({
  ...one,
  carbonG: one.carbonG.map((c) => c * share2),
  nitrogenG: one.nitrogenG.map((n) => n * share2),
  charHeldG: one.charHeldG * share2,
  charCapacityG: one.charCapacityG * share2,
  ashG: one.ashG * share2,
  arrivedCarbonG: one.arrivedCarbonG * share2,
  phosphorusG: one.phosphorusG * share2,
  potassiumG: one.potassiumG * share2,
});
var scaled = (contents, share2) => ({
  cohorts: contents.cohorts.map((one) => scaledCohort(one, share2)),
  mineralNitrogenG: contents.mineralNitrogenG * share2,
  waterG: contents.waterG * share2,
});
var together = (parts2) => ({
  cohorts: parts2.flatMap(({ cohorts }) => cohorts),
  mineralNitrogenG: total(parts2.map(({ mineralNitrogenG }) => mineralNitrogenG)),
  waterG: total(parts2.map(({ waterG }) => waterG)),
});
var atMoisture = (contents, moistureFractionWetBasis) => ({
  ...contents,
  waterG: (dryG(contents) * moistureFractionWetBasis) / (1 - moistureFractionWetBasis),
});
function atBulkDensity(contents, bulkDensityKgPerM3) {
  const factor = (bulkDensityKgPerM3 * volumeL(contents)) / (freshKg(contents) * GRAMS_PER_KILOGRAM3);
  return {
    ...contents,
    cohorts: contents.cohorts.map((one) => ({ ...one, dryDensityKgPerM3: one.dryDensityKgPerM3 * factor })),
  };
}
function atAnalysis(contents, measured) {
  const dry = dryG(contents);
  const carbonFactor =
    measured.carbonFractionDryBasis === void 0 || carbonG(contents) === 0
      ? 1
      : (measured.carbonFractionDryBasis * dry) / carbonG(contents);
  const organicN = total(contents.cohorts.flatMap((one) => one.nitrogenG));
  const fixedN = nitrogenG(contents) - organicN;
  const nitrogenFactor =
    measured.nitrogenFractionDryBasis === void 0 || organicN === 0
      ? 1
      : Math.max(0, (measured.nitrogenFractionDryBasis * dry - fixedN) / organicN);
  return {
    ...contents,
    cohorts: contents.cohorts.map((one) => ({
      ...one,
      carbonG: one.carbonG.map((c) => c * carbonFactor),
      arrivedCarbonG: one.arrivedCarbonG * carbonFactor,
      nitrogenG: one.nitrogenG.map((n) => n * nitrogenFactor),
      organicPerCarbon: one.organicPerCarbon / carbonFactor,
    })),
  };
}
function charTemperatureOf({ cohorts }) {
  const carbonAt = (temperature) =>
    total(
      cohorts.filter((one) => one.charTemperature === temperature && one.kind === 'char').map(cohortCarbonG),
    );
  return CHAR_TEMPERATURES.reduce((best, one) => (carbonAt(one) > carbonAt(best) ? one : best), 'medium');
}

// src/core/stock/lot-figures.ts
var POOL_COUNT = 7;
var QUICK = 0;
var LIVING_POOLS = 3;
var FIRST_CHAR_POOL = 5;
var GRAMS_PER_KILOGRAM4 = 1e3;
var FINISHED_QUICK_SHARE = 0.03;
var FINISHED_RECOGNIZABLE_SHARE = 0.35;
var FINISHED_FROM_DAYS = 90;
var ADDITIONS = /* @__PURE__ */ new Set(['char', 'fertiliser', 'none']);
var sumPool = ({ cohorts }, k) => total(cohorts.map(({ carbonG: pools }) => pools[k]));
var recognizableShareOf = (contents) =>
  ratio(
    total(Array.from({ length: LIVING_POOLS }, (_, k) => sumPool(contents, k))),
    total(contents.cohorts.map(({ arrivedCarbonG }) => arrivedCarbonG)),
  );
var ratio = (top, bottom) => (bottom > 0 ? top / bottom : 0);
function figuresOf(contents) {
  const dry = dryG(contents);
  const fresh = freshKg(contents);
  const volume = volumeL(contents);
  const carbon2 = carbonG(contents);
  const nitrogen2 = nitrogenG(contents);
  return {
    freshKg: fresh,
    dryKg: dry / GRAMS_PER_KILOGRAM4,
    volumeL: volume,
    moistureFractionWetBasis: ratio(contents.waterG, dry + contents.waterG),
    bulkDensityKgPerM3: ratio(fresh * GRAMS_PER_KILOGRAM4, volume),
    carbonKg: carbon2 / GRAMS_PER_KILOGRAM4,
    nitrogenG: nitrogen2,
    mineralNitrogenG: contents.mineralNitrogenG,
    charHeldNitrogenG: total(contents.cohorts.map(({ charHeldG }) => charHeldG)),
    charCarbonKg:
      (sumPool(contents, FIRST_CHAR_POOL) + sumPool(contents, FIRST_CHAR_POOL + 1)) / GRAMS_PER_KILOGRAM4,
    phosphorusG: total(contents.cohorts.map(({ phosphorusG }) => phosphorusG)),
    potassiumG: total(contents.cohorts.map(({ potassiumG }) => potassiumG)),
    carbonToNitrogen: nitrogen2 > 0 ? carbon2 / nitrogen2 : null,
    nitrogenFractionDryBasis: ratio(nitrogen2, dry),
    recognizableShare: recognizableShareOf(contents),
  };
}
function kindOf(contents) {
  const byKind = /* @__PURE__ */ new Map();
  for (const one of contents.cohorts) {
    byKind.set(one.kind, (byKind.get(one.kind) ?? 0) + cohortCarbonG(one) + Number.MIN_VALUE);
  }
  const [main2 = 'none'] = [...byKind].sort((a, b) => b[1] - a[1]).map(([kind]) => kind);
  if (carbonG(contents) === 0 || main2 === 'char' || main2 === 'paper' || main2 === 'fertiliser')
    return main2;
  const body2 = contents.cohorts.filter(({ kind }) => !ADDITIONS.has(kind));
  if (isFinished({ ...contents, cohorts: body2 })) return 'compost';
  const kinds = [...new Set(body2.map(({ kind }) => kind))];
  return kinds.length === 1 ? kinds[0] : 'residue';
}
var isFinished = (contents) =>
  contents.cohorts.every(({ ageDays }) => ageDays >= FINISHED_FROM_DAYS) &&
  sumPool(contents, QUICK) / carbonG(contents) < FINISHED_QUICK_SHARE &&
  recognizableShareOf(contents) < FINISHED_RECOGNIZABLE_SHARE &&
  carbonG(contents) / nitrogenG(contents) < COMPOST_BELOW_CN;
var byCarbon = (contents, value) => {
  const carbon2 = carbonG(contents);
  if (carbon2 === 0) return value(contents.cohorts[0]);
  return total(contents.cohorts.map((one) => value(one) * cohortCarbonG(one))) / carbon2;
};
function openingOfContents(contents, p) {
  const pools = (of) =>
    Array.from({ length: POOL_COUNT }, (_, k) => total(contents.cohorts.map((one) => one[of][k])));
  const carbonPools2 = pools('carbonG');
  const nitrogenPools2 = pools('nitrogenG');
  const dry = dryG(contents);
  const carbon2 = total(carbonPools2);
  const living = (values) => total(values.slice(0, LIVING_POOLS));
  const { moistureFractionWetBasis } = figuresOf(contents);
  return {
    kind: kindOf(contents),
    carbonG: carbonPools2,
    nitrogenG: nitrogenPools2,
    ammoniumG: contents.mineralNitrogenG,
    charHeldG: total(contents.cohorts.map(({ charHeldG }) => charHeldG)),
    charCapacityG: total(contents.cohorts.map(({ charCapacityG }) => charCapacityG)),
    microbialCn: microbialCnForFeed(living(carbonPools2), living(nitrogenPools2), p),
    decayRateFactor: byCarbon(contents, ({ decayRateFactor }) => decayRateFactor),
    ammoniaExposure:
      contents.cohorts.length === 1 ? contents.cohorts[0].ammoniaExposure : SPREAD_AMMONIA_EXPOSURE,
    vaporBarrier: contents.cohorts.length === 1 ? contents.cohorts[0].vaporBarrier : 0,
    charTemperature: charTemperatureOf(contents),
    dryMassG: dry,
    carbonPerDryMass: carbon2 / dry,
    dryDensityKgPerM3: dry / volumeL(contents),
    isLiquid: moistureFractionWetBasis >= 0.9,
  };
}

// src/core/records/bed-scenario.ts
var DAYS_PER_MONTH = 365 / 12;
var WATERING = { trigger: 0.35, refill: 0.9 };
var WARM_MONTHS_NORTH = [5, 6, 7, 8, 9];
var WARM_MONTHS_SOUTH = [11, 12, 1, 2, 3];
var IN_LEAF_NORTH = { from: { month: 3, day: 15 }, until: { month: 11, day: 1 } };
var IN_LEAF_SOUTH = { from: { month: 9, day: 15 }, until: { month: 5, day: 1 } };
function openingDay({ site, entries, plantings }, today) {
  const dates = [...entries.map(({ date: date2 }) => date2), ...plantings.map(({ plantedOn }) => plantedOn)];
  const first = Math.min(today, ...dates.map((date2) => dayNumberFromIso(date2, ['date'])));
  const month = isSouthern(site.climate) ? 4 : 10;
  const { year } = calendarDateOf(first);
  const thisYears = dayNumberOf({ year, month, day: 1 });
  return thisYears < first ? thisYears : dayNumberOf({ year: year - 1, month, day: 1 });
}
function wateringOf({ site, bed }) {
  if (!bed.isWatered) return void 0;
  return { months: isSouthern(site.climate) ? WARM_MONTHS_SOUTH : WARM_MONTHS_NORTH, ...WATERING };
}
function bedScenario(books, findMaterial, today, endDay) {
  const { site, bed, plantings } = books;
  const entries = inOrder(books.entries).filter(({ day }) => day < endDay);
  const laid = entries.map(({ entry, day, path }) => laying(entry, day, path, books, findMaterial));
  const watering = wateringOf(books);
  return {
    startDay: openingDay(books, today),
    endDay,
    climate: site.climate,
    ...(site.weather ? { weather: site.weather } : {}),
    soil: {
      ...SOIL_DEFAULTS,
      organicMatterPct: bed.organicMatterPct,
      bulkDensityGPerCm3: bed.bulkDensityGPerCm3,
      clayPct: bed.clayPct,
      rootZoneCm: bed.rootZoneCm,
    },
    events: laid.map(({ event }) => event),
    piles: laid.flatMap(({ pile }) => pile ?? []),
    crops: plantings.flatMap((planting, i) =>
      cropPlans(planting, ['plantings', i], books, findMaterial, endDay),
    ),
    ...(watering ? { irrigation: watering } : {}),
    depositionGPerM2Year: site.depositionGPerM2Year,
    stepsPerDay: DEFAULT_STEPS_PER_DAY,
  };
}
function inOrder(entries) {
  return entries
    .map((entry, i) => ({
      entry,
      day: dayNumberFromIso(entry.date, ['entries', i, 'date']),
      path: ['entries', i],
    }))
    .sort((a, b) => a.day - b.day);
}
function laying(entry, day, path, books, findMaterial) {
  const { bed } = books;
  switch (entry.type) {
    case 'lay':
      return layingOf(entry, day, path, books, findMaterial);
    case 'dig': {
      const cohortIds = entry.layerId === null ? 'all' : [entry.layerId];
      return { event: { type: 'dig', day, depthCm: entry.dugDepthCm, cohortIds } };
    }
    case 'takeOff':
      return {
        event: {
          type: 'remove',
          day,
          cohortId: entry.layerId,
          share: entry.shareTakenOff,
          humusShare: entry.humusShareTakenOff ?? 0,
        },
      };
    case 'feed':
      return {
        event: {
          type: 'feed',
          day,
          nitrogenGPerM2: entry.nitrogenG / bed.areaM2,
          depthCm: CONTACT_ZONE_CM,
        },
      };
    case 'soilTest':
      return { event: { type: 'soilTest', day, mineralNGPerM2: testedZones(entry, bed) } };
    case 'water':
      return { event: { type: 'irrigate', day, waterMm: entry.waterMm } };
  }
}
function testedZones(entry, bed) {
  const { amount, unit: unit2, sampledDepthCm } = entry;
  const { bulkDensityGPerCm3, rootZoneCm } = bed;
  const perCm = mineralNitrogenGPerM2(amount, unit2, { sampledDepthCm, bulkDensityGPerCm3 }) / sampledDepthCm;
  return [perCm * CONTACT_ZONE_CM, perCm * (rootZoneCm - CONTACT_ZONE_CM)];
}
function layingOf(entry, day, path, { site, bed, taken }, findMaterial) {
  const placing = {
    type: 'apply',
    day,
    id: entry.id,
    dugDepthCm: entry.dugDepthCm,
    exposure: bed.exposure,
    isOnPath: bed.kind === 'path',
  };
  if (entry.lotId) return { event: { ...placing, ...outOfStock(entry, entry.lotId, taken, bed, path) } };
  const material = findMaterial(entry.materialId, day);
  if (!material) {
    throw new InputError([...path, 'materialId'], 'unknown', `names no material; got "${entry.materialId}"`);
  }
  const massFreshKgPerM2 = entry.massFreshKg / bed.areaM2;
  if (entry.seasonedMonths === 0) return { event: { ...placing, material, massFreshKgPerM2 } };
  const heap = seasoningHeap(entry, day, material, massFreshKgPerM2);
  const perKg = runPile({ ...heap, mix: [{ material, massFreshKg: 1 }] }, site.climate, withOverrides());
  const dryKgPerM2 = massFreshKgPerM2 * (1 - material.moistureFractionWetBasis);
  const massPutInKgPerM2 = (dryKgPerM2 * 1e3) / perKg.dryMassG;
  return {
    event: { ...placing, pileId: heap.id, massFreshKgPerM2: massPutInKgPerM2 },
    pile: { ...heap, mix: [{ material, massFreshKg: massPutInKgPerM2 }] },
  };
}
function outOfStock({ id: id2 }, lotId, taken, { areaM2 }, path) {
  const given = taken?.get(id2);
  if (!given) throw new InputError([...path, 'lotId'], 'unknown', `names nothing in stock; got "${lotId}"`);
  return {
    opening: openingOfContents(scaled(given.contents, 1 / areaM2), withOverrides()),
    massFreshKgPerM2: given.massFreshKg / areaM2,
  };
}
function seasoningHeap(entry, day, material, massFreshKg2) {
  return {
    id: `heap of ${entry.id}`,
    startDay: day - Math.max(1, Math.round(entry.seasonedMonths * DAYS_PER_MONTH)),
    endDay: day,
    mix: [{ material, massFreshKg: massFreshKg2 }],
    isTurned: false,
    isHot: false,
    moistureFactor: 1,
    kind: material.kind,
    stepsPerDay: DEFAULT_STEPS_PER_DAY,
  };
}
function cropPlans(planting, path, books, findMaterial, endDay) {
  const crop = findCrop(planting.cropId);
  if (!crop) {
    throw new InputError([...path, 'cropId'], 'unknown', `names no crop; got "${planting.cropId}"`);
  }
  const residue = crop.residueMaterialId === null ? void 0 : findMaterial(crop.residueMaterialId);
  return growingTimes(planting, path, crop, books.site, endDay).map(({ plantDay, harvestDay }, season) => ({
    id: crop.isPerennial ? `${planting.id}:${season + 1}` : planting.id,
    plantDay,
    harvestDay,
    nitrogenDemandGPerM2: planting.nitrogenDemandGPerM2 * planting.areaShare,
    rootDepthCm: planting.rootDepthCm,
    isLegume: crop.isLegume,
    isPerennial: crop.isPerennial,
    deepShare: 0,
    residueShare: residue ? crop.residueShare : 0,
    ...(residue ? { residueMaterial: residue } : {}),
    residueDugDepthCm: 0,
  }));
}
function growingTimes(planting, path, crop, site, endDay) {
  const plantDay = dayNumberFromIso(planting.plantedOn, [...path, 'plantedOn']);
  const clearedDay =
    planting.clearedOn === null ? null : dayNumberFromIso(planting.clearedOn, [...path, 'clearedOn']);
  if (clearedDay !== null && clearedDay <= plantDay) {
    throw new InputError([...path, 'clearedOn'], 'bad_order', 'must be after planting; is the year right?');
  }
  if (plantDay >= endDay) return [];
  if (!crop.isPerennial) {
    if (clearedDay === null) {
      throw new InputError(
        [...path, 'clearedOn'],
        'bad_date',
        'is missing; an annual crop is cleared one day',
      );
    }
    return [{ plantDay, harvestDay: clearedDay }];
  }
  const inLeaf = isSouthern(site.climate) ? IN_LEAF_SOUTH : IN_LEAF_NORTH;
  const lastDay2 = Math.min(clearedDay ?? endDay, endDay);
  const times = [];
  for (let year = calendarDateOf(plantDay).year - 1; year <= calendarDateOf(lastDay2).year; year++) {
    const budDay = dayNumberOf({ year, ...inLeaf.from });
    const fallYear = inLeaf.until.month > inLeaf.from.month ? year : year + 1;
    const fallDay = dayNumberOf({ year: fallYear, ...inLeaf.until });
    const from = Math.max(budDay, plantDay);
    const until = clearedDay === null ? fallDay : Math.min(fallDay, clearedDay);
    if (from < until && from < lastDay2) times.push({ plantDay: from, harvestDay: until });
  }
  return times;
}
var RECORD_FIELDS = {
  day: 'date',
  pileId: 'seasonedMonths',
  massFreshKgPerM2: 'massFreshKg',
  depthCm: 'dugDepthCm',
  cohortIds: 'layerId',
  cohortId: 'layerId',
  share: 'shareTakenOff',
  nitrogenGPerM2: 'nitrogenG',
  mineralNGPerM2: 'amount',
  plantDay: 'plantedOn',
  harvestDay: 'clearedOn',
};
function inRecordWords(error, books) {
  const [list2, index, field, ...rest] = error.path;
  const named2 = typeof field === 'string' ? (RECORD_FIELDS[field] ?? field) : void 0;
  if (list2 === 'events' && typeof index === 'number' && named2 !== void 0) {
    const entry = inOrder(books.entries).at(index);
    if (entry)
      return new InputError([...entry.path, named2, ...rest.slice(1)], error.code, error.requirement);
  }
  if (list2 === 'soil' && typeof index === 'string') {
    return new InputError(['bed', index], error.code, error.requirement);
  }
  return error;
}

// src/core/records/check-books.ts
function checkBooks(books, findMaterial, today) {
  const lastDay2 = Math.max(
    today,
    ...books.entries.map(({ date: date2 }, i) => dayNumberFromIso(date2, ['entries', i, 'date'])),
    ...books.plantings.map(({ plantedOn }, i) => dayNumberFromIso(plantedOn, ['plantings', i, 'plantedOn'])),
  );
  refuseBeforeTheBed(books);
  refuseOtherUnits(books);
  try {
    checkScenario(bedScenario(books, findMaterial, today, lastDay2 + 1));
  } catch (error) {
    throw error instanceof InputError ? inRecordWords(error, books) : error;
  }
}
function refuseBeforeTheBed({ bed: { startedOn }, entries, plantings }) {
  if (startedOn === null) return;
  const requirement = (date2) =>
    `lies before the bed was made on ${startedOn}; got ${date2}. Is the year right? If the bed is older, change the day it was made`;
  entries.forEach(({ date: date2 }, i) => {
    if (date2 < startedOn) throw new InputError(['entries', i, 'date'], 'bad_order', requirement(date2));
  });
  plantings.forEach(({ plantedOn }, i) => {
    if (plantedOn < startedOn) {
      throw new InputError(['plantings', i, 'plantedOn'], 'bad_order', requirement(plantedOn));
    }
  });
}
function refuseOtherUnits({ bed: { bulkDensityGPerCm3 }, entries }) {
  entries.forEach((entry, i) => {
    if (entry.type !== 'soilTest') return;
    try {
      checkSoilTest(entry, { sampledDepthCm: entry.sampledDepthCm, bulkDensityGPerCm3 });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      throw new InputError(['entries', i, ...error.path], error.code, error.requirement);
    }
  });
}

// src/core/materials/lab-result.ts
var MEASURED = [
  'moistureFractionWetBasis',
  'carbonFractionDryBasis',
  'nitrogenFractionDryBasis',
  'ammoniumShareOfNitrogen',
  'bulkDensityKgPerM3',
];
function asMeasured(material, report) {
  const found2 = MEASURED.filter((field) => report[field] !== null).map((field) => [field, report[field]]);
  return { ...material, ...Object.fromEntries(found2) };
}

// src/core/materials/library.json
var library_default = [
  {
    id: 'chips_branch',
    name: 'Wood chips, leafless branches up to 5 cm',
    kind: 'wood',
    moistureFractionWetBasis: 0.45,
    carbonFractionDryBasis: 0.49,
    nitrogenFractionDryBasis: 98e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 280,
    pools: { quick: 0.1, structural: 0.6, woody: 0.3, microbial: 0, humus: 0, char: 0 },
    particleSize: 'chip',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.3, 0.6],
    carbonToNitrogenRange: [40, 80],
    source: 'common arborist practice ~50:1; NRAES-54 Table A.1 for density (from memory)',
  },
  {
    id: 'chips_inleaf',
    name: 'Wood chips, leafy branches (summer)',
    kind: 'wood',
    moistureFractionWetBasis: 0.5,
    carbonFractionDryBasis: 0.48,
    nitrogenFractionDryBasis: 0.0155,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 300,
    pools: { quick: 0.17, structural: 0.57, woody: 0.26, microbial: 0, humus: 0, char: 0 },
    particleSize: 'chip',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.4, 0.6],
    carbonToNitrogenRange: [25, 45],
    source: 'common arborist practice ~30:1 (from memory)',
  },
  {
    id: 'chips_mixed',
    name: 'Wood chips, mixed branches and stems',
    kind: 'wood',
    moistureFractionWetBasis: 0.45,
    carbonFractionDryBasis: 0.49,
    nitrogenFractionDryBasis: 49e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 280,
    pools: { quick: 0.08, structural: 0.61, woody: 0.31, microbial: 0, humus: 0, char: 0 },
    particleSize: 'chip',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.3, 0.6],
    carbonToNitrogenRange: [60, 200],
    source: 'between branch and trunk values; common practice ~100:1 (from memory)',
  },
  {
    id: 'chips_hardwood_trunk',
    name: 'Wood chips, hardwood stem wood',
    kind: 'wood',
    moistureFractionWetBasis: 0.4,
    carbonFractionDryBasis: 0.49,
    nitrogenFractionDryBasis: 1e-3,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 280,
    pools: { quick: 0.04, structural: 0.66, woody: 0.3, microbial: 0, humus: 0, char: 0 },
    particleSize: 'chip',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.2, 0.55],
    carbonToNitrogenRange: [300, 800],
    source: 'NRAES-54 Table A.1: hardwood chips ~560:1 (from memory)',
  },
  {
    id: 'chips_softwood_trunk',
    name: 'Wood chips, softwood stem wood',
    kind: 'wood',
    moistureFractionWetBasis: 0.4,
    carbonFractionDryBasis: 0.5,
    nitrogenFractionDryBasis: 8e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 260,
    pools: { quick: 0.04, structural: 0.58, woody: 0.38, microbial: 0, humus: 0, char: 0 },
    particleSize: 'chip',
    decayFactor: 0.6,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.2, 0.55],
    carbonToNitrogenRange: [400, 1300],
    source: 'NRAES-54 Table A.1: softwood chips ~640:1 (from memory)',
  },
  {
    id: 'chips_conifer_green',
    name: 'Wood chips, conifer branches with needles',
    kind: 'wood',
    moistureFractionWetBasis: 0.5,
    carbonFractionDryBasis: 0.5,
    nitrogenFractionDryBasis: 85e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 290,
    pools: { quick: 0.11, structural: 0.53, woody: 0.36, microbial: 0, humus: 0, char: 0 },
    particleSize: 'chip',
    decayFactor: 0.65,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.4, 0.6],
    carbonToNitrogenRange: [45, 90],
    source: 'between wood and needle values (from memory)',
  },
  {
    id: 'sawdust_hardwood',
    name: 'Sawdust, hardwood',
    kind: 'wood',
    moistureFractionWetBasis: 0.35,
    carbonFractionDryBasis: 0.49,
    nitrogenFractionDryBasis: 11e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 240,
    pools: { quick: 0.05, structural: 0.67, woody: 0.28, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.15, 0.6],
    carbonToNitrogenRange: [250, 750],
    source: 'NRAES-54 Table A.1 (sawdust ~440:1, 410 lb/yd3); Allison 1965 (from memory)',
  },
  {
    id: 'sawdust_softwood',
    name: 'Sawdust, softwood',
    kind: 'wood',
    moistureFractionWetBasis: 0.35,
    carbonFractionDryBasis: 0.5,
    nitrogenFractionDryBasis: 9e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 230,
    pools: { quick: 0.04, structural: 0.6, woody: 0.36, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 0.55,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.15, 0.6],
    carbonToNitrogenRange: [400, 1e3],
    source: 'NRAES-54 Table A.1; Allison 1965 (from memory)',
  },
  {
    id: 'shavings',
    name: 'Planer shavings, mostly softwood',
    kind: 'wood',
    moistureFractionWetBasis: 0.15,
    carbonFractionDryBasis: 0.5,
    nitrogenFractionDryBasis: 9e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 120,
    pools: { quick: 0.04, structural: 0.6, woody: 0.36, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 0.5,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.08, 0.3],
    carbonToNitrogenRange: [400, 800],
    source: 'NRAES-54 Table A.1 (from memory)',
  },
  {
    id: 'bark_softwood',
    name: 'Bark, softwood',
    kind: 'wood',
    moistureFractionWetBasis: 0.5,
    carbonFractionDryBasis: 0.52,
    nitrogenFractionDryBasis: 14e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 300,
    pools: { quick: 0.05, structural: 0.4, woody: 0.55, microbial: 0, humus: 0, char: 0 },
    particleSize: 'coarse',
    decayFactor: 0.6,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.4, 0.65],
    carbonToNitrogenRange: [130, 1e3],
    source: 'NRAES-54 Table A.1: softwood bark ~500:1; Allison 1965 bark slow (from memory)',
  },
  {
    id: 'bark_hardwood',
    name: 'Bark, hardwood',
    kind: 'wood',
    moistureFractionWetBasis: 0.5,
    carbonFractionDryBasis: 0.5,
    nitrogenFractionDryBasis: 24e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 320,
    pools: { quick: 0.06, structural: 0.46, woody: 0.48, microbial: 0, humus: 0, char: 0 },
    particleSize: 'coarse',
    decayFactor: 0.75,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.4, 0.65],
    carbonToNitrogenRange: [110, 450],
    source: 'NRAES-54 Table A.1: hardwood bark ~220:1 (from memory)',
  },
  {
    id: 'log_wood',
    name: 'Logs and thick branches',
    kind: 'wood',
    moistureFractionWetBasis: 0.45,
    carbonFractionDryBasis: 0.49,
    nitrogenFractionDryBasis: 14e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 450,
    pools: { quick: 0.04, structural: 0.64, woody: 0.32, microbial: 0, humus: 0, char: 0 },
    particleSize: 'log',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.3, 0.6],
    carbonToNitrogenRange: [200, 800],
    source: 'whole-tree wood ~350-500:1, common practice (from memory)',
  },
  {
    id: 'straw_cereal',
    name: 'Cereal straw',
    kind: 'residue',
    moistureFractionWetBasis: 0.12,
    carbonFractionDryBasis: 0.45,
    nitrogenFractionDryBasis: 6e-3,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 60,
    pools: { quick: 0.1, structural: 0.72, woody: 0.18, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.05, 0.25],
    carbonToNitrogenRange: [50, 130],
    source: 'NRAES-54 Table A.1: wheat straw ~127:1, general straw ~80:1 (from memory)',
  },
  {
    id: 'cereal_residue_1N',
    name: 'Mature cereal cover-crop residue (~1 % N)',
    kind: 'residue',
    moistureFractionWetBasis: 0.4,
    carbonFractionDryBasis: 0.44,
    nitrogenFractionDryBasis: 0.01,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 90,
    pools: { quick: 0.14, structural: 0.7, woody: 0.16, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.15, 0.75],
    carbonToNitrogenRange: [35, 60],
    source: "PNW 636 class 'mature cereal' (from memory)",
  },
  {
    id: 'hay_grass',
    name: 'Hay, grass',
    kind: 'residue',
    moistureFractionWetBasis: 0.12,
    carbonFractionDryBasis: 0.45,
    nitrogenFractionDryBasis: 0.017,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 110,
    pools: { quick: 0.22, structural: 0.6, woody: 0.18, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.08, 0.3],
    carbonToNitrogenRange: [20, 32],
    source: 'NRAES-54 Table A.1: non-legume hay ~32:1, 1.3 % N; general hay 15-32:1 (from memory)',
  },
  {
    id: 'leaves_mixed',
    name: 'Autumn leaves, mixed',
    kind: 'leaf',
    moistureFractionWetBasis: 0.38,
    carbonFractionDryBasis: 0.47,
    nitrogenFractionDryBasis: 9e-3,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 120,
    pools: { quick: 0.12, structural: 0.53, woody: 0.35, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.15, 0.6],
    carbonToNitrogenRange: [40, 80],
    source: 'NRAES-54 Table A.1: leaves ~54:1, 0.9 % N, 38 % moisture (from memory)',
  },
  {
    id: 'leaves_oak_conifer',
    name: 'Oak leaves or conifer needles',
    kind: 'leaf',
    moistureFractionWetBasis: 0.35,
    carbonFractionDryBasis: 0.49,
    nitrogenFractionDryBasis: 8e-3,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 110,
    pools: { quick: 0.09, structural: 0.48, woody: 0.43, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 0.8,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.15, 0.55],
    carbonToNitrogenRange: [50, 90],
    source: 'litter-quality literature, general (from memory)',
  },
  {
    id: 'leaf_mould',
    name: 'Leaf mould (2 years)',
    kind: 'compost',
    moistureFractionWetBasis: 0.6,
    carbonFractionDryBasis: 0.36,
    nitrogenFractionDryBasis: 0.015,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 420,
    pools: { quick: 0.02, structural: 0.3, woody: 0.38, microbial: 0, humus: 0.3, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.45, 0.7],
    carbonToNitrogenRange: [18, 32],
    source: 'general horticultural figure (from memory)',
  },
  {
    id: 'grass_clippings',
    name: 'Grass clippings, fresh',
    kind: 'green',
    moistureFractionWetBasis: 0.8,
    carbonFractionDryBasis: 0.44,
    nitrogenFractionDryBasis: 0.034,
    ammoniumShareOfNitrogen: 0.02,
    bulkDensityKgPerM3: 240,
    pools: { quick: 0.35, structural: 0.55, woody: 0.1, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.3,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.7, 0.85],
    carbonToNitrogenRange: [9, 25],
    source:
      'NRAES-54 Table A.1: ~17:1, 3.4 % N, 82 % moisture (C:N by its C 58 %; here by C 44 %) (from memory)',
  },
  {
    id: 'clover_cover',
    name: 'Legume cover crop, cut (3.2 % N)',
    kind: 'green',
    moistureFractionWetBasis: 0.8,
    carbonFractionDryBasis: 0.43,
    nitrogenFractionDryBasis: 0.032,
    ammoniumShareOfNitrogen: 0.01,
    bulkDensityKgPerM3: 200,
    pools: { quick: 0.34, structural: 0.54, woody: 0.12, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.2,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.7, 0.88],
    carbonToNitrogenRange: [11, 18],
    source: "PNW 636 class 'legume 3-3.5 % N' (from memory)",
  },
  {
    id: 'rye_young',
    name: 'Young cereal cover crop (2 % N)',
    kind: 'green',
    moistureFractionWetBasis: 0.8,
    carbonFractionDryBasis: 0.43,
    nitrogenFractionDryBasis: 0.02,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 180,
    pools: { quick: 0.26, structural: 0.62, woody: 0.12, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.1,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.7, 0.85],
    carbonToNitrogenRange: [18, 28],
    source: "PNW 636 class 'vegetative cereal' (from memory)",
  },
  {
    id: 'ryegrass_jenkinson',
    name: 'Ryegrass tops, labeled-litter experiment',
    kind: 'green',
    moistureFractionWetBasis: 0.2,
    carbonFractionDryBasis: 0.43,
    nitrogenFractionDryBasis: 0.019,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 120,
    pools: { quick: 0.24, structural: 0.54, woody: 0.22, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.1, 0.8],
    carbonToNitrogenRange: [18, 30],
    source: 'Jenkinson 1965/1977; C:N ~23 (from memory)',
  },
  {
    id: 'veg_waste',
    name: 'Vegetable and kitchen scraps',
    kind: 'green',
    moistureFractionWetBasis: 0.8,
    carbonFractionDryBasis: 0.42,
    nitrogenFractionDryBasis: 0.027,
    ammoniumShareOfNitrogen: 0.02,
    bulkDensityKgPerM3: 500,
    pools: { quick: 0.45, structural: 0.47, woody: 0.08, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.3,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.65, 0.9],
    carbonToNitrogenRange: [11, 20],
    source: 'NRAES-54 Table A.1: vegetable wastes 11-19:1 (from memory)',
  },
  {
    id: 'dairy_fresh',
    name: 'Dairy manure solids, fresh',
    kind: 'manure',
    moistureFractionWetBasis: 0.75,
    carbonFractionDryBasis: 0.42,
    nitrogenFractionDryBasis: 0.022,
    ammoniumShareOfNitrogen: 0.15,
    bulkDensityKgPerM3: 700,
    pools: { quick: 0.08, structural: 0.47, woody: 0.32, microbial: 0, humus: 0.13, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 1,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.65, 0.85],
    carbonToNitrogenRange: [13, 25],
    source: 'NRAES-54 Table A.1: cattle ~19:1, 2.4 % N; PNW 533-type PAN tables (from memory)',
  },
  {
    id: 'dairy_separated',
    name: 'Dairy separated solids',
    kind: 'manure',
    moistureFractionWetBasis: 0.75,
    carbonFractionDryBasis: 0.44,
    nitrogenFractionDryBasis: 0.015,
    ammoniumShareOfNitrogen: 0.08,
    bulkDensityKgPerM3: 500,
    pools: { quick: 0.08, structural: 0.58, woody: 0.31, microbial: 0, humus: 0.03, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.8,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.68, 0.82],
    carbonToNitrogenRange: [22, 38],
    source: 'university-extension tables (from memory)',
  },
  {
    id: 'cattle_fym',
    name: 'Farmyard cattle manure with straw, stacked',
    kind: 'manure',
    moistureFractionWetBasis: 0.72,
    carbonFractionDryBasis: 0.38,
    nitrogenFractionDryBasis: 0.02,
    ammoniumShareOfNitrogen: 0.12,
    bulkDensityKgPerM3: 700,
    pools: { quick: 0.05, structural: 0.43, woody: 0.34, microbial: 0, humus: 0.18, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.8,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.6, 0.8],
    carbonToNitrogenRange: [14, 25],
    source: 'RothC FYM class; British farm-manure tables (from memory)',
  },
  {
    id: 'horse_bedding',
    name: 'Horse manure with bedding',
    kind: 'manure',
    moistureFractionWetBasis: 0.65,
    carbonFractionDryBasis: 0.43,
    nitrogenFractionDryBasis: 0.014,
    ammoniumShareOfNitrogen: 0.1,
    bulkDensityKgPerM3: 550,
    pools: { quick: 0.1, structural: 0.55, woody: 0.32, microbial: 0, humus: 0.03, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.7,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.55, 0.78],
    carbonToNitrogenRange: [22, 50],
    source: 'NRAES-54 Table A.1: horse general ~30:1, 1.6 % N, 72 % moisture (from memory)',
  },
  {
    id: 'broiler_litter',
    name: 'Broiler litter',
    kind: 'manure',
    moistureFractionWetBasis: 0.35,
    carbonFractionDryBasis: 0.38,
    nitrogenFractionDryBasis: 0.032,
    ammoniumShareOfNitrogen: 0.2,
    bulkDensityKgPerM3: 480,
    pools: { quick: 0.2, structural: 0.45, woody: 0.25, microbial: 0, humus: 0.1, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 1,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.2, 0.45],
    carbonToNitrogenRange: [9, 15],
    source: 'NRAES-54 Table A.1: broiler litter ~14:1, 2.7 % N; 1.6-3.9 (from memory)',
  },
  {
    id: 'layer_manure',
    name: 'Laying-hen manure',
    kind: 'manure',
    moistureFractionWetBasis: 0.65,
    carbonFractionDryBasis: 0.36,
    nitrogenFractionDryBasis: 0.055,
    ammoniumShareOfNitrogen: 0.35,
    bulkDensityKgPerM3: 850,
    pools: { quick: 0.42, structural: 0.46, woody: 0.12, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 1,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.45, 0.75],
    carbonToNitrogenRange: [3, 10],
    source: 'NRAES-54 Table A.1: laying hens ~6:1, 8 % N (4-10) (from memory)',
  },
  {
    id: 'sheep_manure',
    name: 'Sheep or goat manure',
    kind: 'manure',
    moistureFractionWetBasis: 0.68,
    carbonFractionDryBasis: 0.42,
    nitrogenFractionDryBasis: 0.027,
    ammoniumShareOfNitrogen: 0.18,
    bulkDensityKgPerM3: 650,
    pools: { quick: 0.16, structural: 0.54, woody: 0.25, microbial: 0, humus: 0.05, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.9,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.6, 0.75],
    carbonToNitrogenRange: [13, 20],
    source: 'NRAES-54 Table A.1: sheep ~16:1, 2.7 % N, 69 % moisture (from memory)',
  },
  {
    id: 'compost_yard',
    name: 'Finished yard-debris compost',
    kind: 'compost',
    moistureFractionWetBasis: 0.45,
    carbonFractionDryBasis: 0.26,
    nitrogenFractionDryBasis: 0.015,
    ammoniumShareOfNitrogen: 0.01,
    bulkDensityKgPerM3: 620,
    pools: { quick: 0.02, structural: 0.25, woody: 0.38, microbial: 0, humus: 0.35, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.35, 0.6],
    carbonToNitrogenRange: [14, 22],
    source: 'university-extension compost tables; PNW 533 (from memory)',
  },
  {
    id: 'compost_manure',
    name: 'Finished manure compost',
    kind: 'compost',
    moistureFractionWetBasis: 0.45,
    carbonFractionDryBasis: 0.25,
    nitrogenFractionDryBasis: 0.02,
    ammoniumShareOfNitrogen: 0.02,
    bulkDensityKgPerM3: 650,
    pools: { quick: 0.02, structural: 0.25, woody: 0.35, microbial: 0, humus: 0.38, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.3, 0.6],
    carbonToNitrogenRange: [10, 16],
    source: 'university-extension compost tables (from memory)',
  },
  {
    id: 'compost_garden',
    name: 'Home garden compost, part-mature',
    kind: 'compost',
    moistureFractionWetBasis: 0.55,
    carbonFractionDryBasis: 0.28,
    nitrogenFractionDryBasis: 0.016,
    ammoniumShareOfNitrogen: 0.01,
    bulkDensityKgPerM3: 580,
    pools: { quick: 0.03, structural: 0.31, woody: 0.38, microbial: 0, humus: 0.28, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.4, 0.65],
    carbonToNitrogenRange: [14, 25],
    source: 'general horticultural figure (from memory)',
  },
  {
    id: 'mushroom_compost',
    name: 'Spent mushroom substrate',
    kind: 'compost',
    moistureFractionWetBasis: 0.62,
    carbonFractionDryBasis: 0.32,
    nitrogenFractionDryBasis: 0.022,
    ammoniumShareOfNitrogen: 0.05,
    bulkDensityKgPerM3: 450,
    pools: { quick: 0.08, structural: 0.36, woody: 0.3, microbial: 0, humus: 0.26, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.3,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.55, 0.7],
    carbonToNitrogenRange: [12, 18],
    source: 'general horticultural figure (from memory)',
  },
  {
    id: 'worm_castings',
    name: 'Worm castings',
    kind: 'compost',
    moistureFractionWetBasis: 0.6,
    carbonFractionDryBasis: 0.28,
    nitrogenFractionDryBasis: 0.022,
    ammoniumShareOfNitrogen: 0.04,
    bulkDensityKgPerM3: 650,
    pools: { quick: 0.04, structural: 0.26, woody: 0.34, microbial: 0, humus: 0.36, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.45, 0.75],
    carbonToNitrogenRange: [9, 18],
    source: 'vermicompost reviews, general (from memory)',
  },
  {
    id: 'cardboard',
    name: 'Corrugated cardboard',
    kind: 'paper',
    moistureFractionWetBasis: 0.08,
    carbonFractionDryBasis: 0.44,
    nitrogenFractionDryBasis: 12e-4,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 110,
    pools: { quick: 0.03, structural: 0.79, woody: 0.18, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 3,
    ammoniaExposure: 0,
    vaporBarrier: 0.85,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.05, 0.12],
    carbonToNitrogenRange: [250, 600],
    source: 'NRAES-54 Table A.1: corrugated cardboard ~560:1, 0.1 % N, 8 % moisture (from memory)',
  },
  {
    id: 'paper_sheets',
    name: 'Paper, several sheets thick',
    kind: 'paper',
    moistureFractionWetBasis: 0.08,
    carbonFractionDryBasis: 0.43,
    nitrogenFractionDryBasis: 1e-3,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 150,
    pools: { quick: 0.03, structural: 0.79, woody: 0.18, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 3,
    ammoniaExposure: 0,
    vaporBarrier: 0.6,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.05, 0.12],
    carbonToNitrogenRange: [200, 800],
    source: 'plain uncoated paper, near cardboard but thinner (from memory)',
  },
  {
    id: 'feather_meal',
    name: 'Feather meal',
    kind: 'fertiliser',
    moistureFractionWetBasis: 0.08,
    carbonFractionDryBasis: 0.45,
    nitrogenFractionDryBasis: 0.13,
    ammoniumShareOfNitrogen: 0.01,
    bulkDensityKgPerM3: 480,
    pools: { quick: 0.35, structural: 0.45, woody: 0.2, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 0.6,
    ammoniaExposure: 0.3,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.05, 0.12],
    carbonToNitrogenRange: [3.2, 4],
    source: 'fertiliser tables 12-14 % N; PNW 636-type PAN 75 % (from memory)',
  },
  {
    id: 'alfalfa_meal',
    name: 'Alfalfa meal / pellets',
    kind: 'fertiliser',
    moistureFractionWetBasis: 0.1,
    carbonFractionDryBasis: 0.44,
    nitrogenFractionDryBasis: 0.028,
    ammoniumShareOfNitrogen: 0.01,
    bulkDensityKgPerM3: 600,
    pools: { quick: 0.3, structural: 0.54, woody: 0.16, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.1,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.08, 0.12],
    carbonToNitrogenRange: [13, 18],
    source: 'fertiliser tables 2.5-3 % N (from memory)',
  },
  {
    id: 'urea',
    name: 'Urea (46 % N)',
    kind: 'fertiliser',
    moistureFractionWetBasis: 0,
    carbonFractionDryBasis: 0,
    nitrogenFractionDryBasis: 0.46,
    ammoniumShareOfNitrogen: 1,
    bulkDensityKgPerM3: 750,
    pools: { quick: 1, structural: 0, woody: 0, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.4,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0, 0.01],
    carbonToNitrogenRange: null,
    source: 'stoichiometry: C 20 %, N 46.6 %; its C leaves as CO2 in days (from memory)',
  },
  {
    id: 'urine',
    name: 'Human urine, undiluted',
    kind: 'fertiliser',
    moistureFractionWetBasis: 0.96,
    carbonFractionDryBasis: 0.15,
    nitrogenFractionDryBasis: 0.15,
    ammoniumShareOfNitrogen: 0.92,
    bulkDensityKgPerM3: 1010,
    pools: { quick: 1, structural: 0, woody: 0, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.5,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.94, 0.97],
    carbonToNitrogenRange: [0.6, 1.2],
    source: 'sanitation literature: ~6 g N per litre as voided (0.6 % of fresh mass) (from memory)',
  },
  {
    id: 'biochar_raw',
    name: 'Biochar, raw (500 C)',
    kind: 'char',
    moistureFractionWetBasis: 0.3,
    carbonFractionDryBasis: 0.75,
    nitrogenFractionDryBasis: 6e-3,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 250,
    pools: { quick: 0, structural: 0, woody: 0, microbial: 0, humus: 0, char: 1 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    charCapacityGPerKg: 2,
    isCharged: false,
    moistureRange: [0.05, 0.5],
    carbonToNitrogenRange: [80, 300],
    source: 'Wang et al. 2016; IPCC 2019 annex (from memory)',
  },
  {
    id: 'biochar_charged',
    name: 'Biochar, charged in urine/compost tea',
    kind: 'char',
    moistureFractionWetBasis: 0.45,
    carbonFractionDryBasis: 0.73,
    nitrogenFractionDryBasis: 9e-3,
    ammoniumShareOfNitrogen: 0.25,
    bulkDensityKgPerM3: 350,
    pools: { quick: 0, structural: 0, woody: 0, microbial: 0, humus: 0, char: 1 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.5,
    vaporBarrier: 0,
    charTemperature: 'medium',
    charCapacityGPerKg: 2,
    isCharged: true,
    moistureRange: [0.3, 0.6],
    carbonToNitrogenRange: [50, 120],
    source: 'charged load ~2 g mineral N/kg dry char, set here (from memory)',
  },
  {
    id: 'blood_meal',
    name: 'Blood meal',
    kind: 'fertiliser',
    moistureFractionWetBasis: 0.08,
    carbonFractionDryBasis: 0.46,
    nitrogenFractionDryBasis: 0.135,
    ammoniumShareOfNitrogen: 0.02,
    bulkDensityKgPerM3: 640,
    pools: { quick: 0.45, structural: 0.4, woody: 0.15, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 0.8,
    ammoniaExposure: 0.3,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.05, 0.12],
    carbonToNitrogenRange: [3, 4],
    source:
      'extension fertiliser tables, 12-14 % N (from memory); pools calibrated (feed-products.test.ts), quicker than feather meal',
  },
  {
    id: 'fish_emulsion',
    name: 'Fish emulsion, concentrate',
    kind: 'fertiliser',
    moistureFractionWetBasis: 0.5,
    carbonFractionDryBasis: 0.35,
    nitrogenFractionDryBasis: 0.1,
    ammoniumShareOfNitrogen: 0.15,
    bulkDensityKgPerM3: 1150,
    pools: { quick: 0.9, structural: 0.1, woody: 0, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.2,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.4, 0.6],
    carbonToNitrogenRange: [3, 5],
    source: 'product labels of 5 % N (common practice, no source); pools set here',
  },
  {
    id: 'poultry_pellets',
    name: 'Poultry manure, pelleted',
    kind: 'fertiliser',
    moistureFractionWetBasis: 0.12,
    carbonFractionDryBasis: 0.36,
    nitrogenFractionDryBasis: 0.045,
    ammoniumShareOfNitrogen: 0.12,
    bulkDensityKgPerM3: 650,
    pools: { quick: 0.45, structural: 0.35, woody: 0.05, microbial: 0, humus: 0.15, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.5,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.08, 0.18],
    carbonToNitrogenRange: [6, 11],
    source:
      'product labels of 4 % N (common practice, no source); pools between layer manure and litter, set here',
  },
  {
    id: 'calcium_ammonium_nitrate',
    name: 'Mineral nitrogen, 27 % (calcium ammonium nitrate)',
    kind: 'fertiliser',
    moistureFractionWetBasis: 0,
    carbonFractionDryBasis: 0,
    nitrogenFractionDryBasis: 0.27,
    ammoniumShareOfNitrogen: 1,
    bulkDensityKgPerM3: 1e3,
    pools: { quick: 1, structural: 0, woody: 0, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.05,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0, 0.02],
    carbonToNitrogenRange: null,
    source: 'fertiliser grade of 27 % N (from memory)',
  },
  {
    id: 'wood_ash',
    name: 'Wood ash, sieved and dry',
    kind: 'none',
    moistureFractionWetBasis: 0.02,
    carbonFractionDryBasis: 0,
    nitrogenFractionDryBasis: 0,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 480,
    pools: { quick: 1, structural: 0, woody: 0, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0, 0.1],
    carbonToNitrogenRange: null,
    source: 'lime and potassium, no nitrogen: extension leaflets on wood ash (from memory)',
  },
  {
    id: 'garden_lime',
    name: 'Garden lime',
    kind: 'none',
    moistureFractionWetBasis: 0,
    carbonFractionDryBasis: 0,
    nitrogenFractionDryBasis: 0,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 1300,
    pools: { quick: 1, structural: 0, woody: 0, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0, 0.05],
    carbonToNitrogenRange: null,
    source: 'ground limestone; its carbonate is no part of the carbon book (set here)',
  },
  {
    id: 'molasses',
    name: 'Molasses',
    kind: 'green',
    moistureFractionWetBasis: 0.25,
    carbonFractionDryBasis: 0.4,
    nitrogenFractionDryBasis: 8e-3,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 1400,
    pools: { quick: 1, structural: 0, woody: 0, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.2, 0.3],
    carbonToNitrogenRange: [30, 80],
    source: 'feed tables: about half sugar, 0.5-1 % N (from memory)',
  },
  {
    id: 'coffee_grounds',
    name: 'Coffee grounds',
    kind: 'green',
    moistureFractionWetBasis: 0.6,
    carbonFractionDryBasis: 0.48,
    nitrogenFractionDryBasis: 0.022,
    ammoniumShareOfNitrogen: 0.01,
    bulkDensityKgPerM3: 430,
    pools: { quick: 0.25, structural: 0.6, woody: 0.15, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.1,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.5, 0.7],
    carbonToNitrogenRange: [18, 26],
    source: 'NRAES-54 Table A.1: about 20:1 (from memory); pools set here',
  },
  {
    id: 'weeds_fresh',
    name: 'Weeds, fresh and seedless',
    kind: 'green',
    moistureFractionWetBasis: 0.8,
    carbonFractionDryBasis: 0.42,
    nitrogenFractionDryBasis: 0.024,
    ammoniumShareOfNitrogen: 0.02,
    bulkDensityKgPerM3: 220,
    pools: { quick: 0.3, structural: 0.6, woody: 0.1, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.1,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.7, 0.88],
    carbonToNitrogenRange: [12, 25],
    source: 'between grass and vegetable waste of NRAES-54 (from memory); pools set here',
  },
  {
    id: 'prunings_green',
    name: 'Whole green fronds and unchipped prunings',
    kind: 'residue',
    moistureFractionWetBasis: 0.5,
    carbonFractionDryBasis: 0.47,
    nitrogenFractionDryBasis: 0.011,
    ammoniumShareOfNitrogen: 0,
    bulkDensityKgPerM3: 80,
    pools: { quick: 0.15, structural: 0.6, woody: 0.25, microbial: 0, humus: 0, char: 0 },
    particleSize: 'coarse',
    decayFactor: 1,
    ammoniaExposure: 0,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.35, 0.65],
    carbonToNitrogenRange: [30, 60],
    source:
      'gone in about 18 months where warm and wet (common practice, no source); C:N between twigs and leaves, set here',
  },
  {
    id: 'cover_mixed',
    name: 'Mixed cover crop, cut before flower',
    kind: 'green',
    moistureFractionWetBasis: 0.8,
    carbonFractionDryBasis: 0.43,
    nitrogenFractionDryBasis: 0.026,
    ammoniumShareOfNitrogen: 0.01,
    bulkDensityKgPerM3: 190,
    pools: { quick: 0.28, structural: 0.6, woody: 0.12, microbial: 0, humus: 0, char: 0 },
    particleSize: 'fine',
    decayFactor: 1,
    ammoniaExposure: 0.05,
    vaporBarrier: 0,
    charTemperature: 'medium',
    isCharged: false,
    moistureRange: [0.7, 0.87],
    carbonToNitrogenRange: [13, 22],
    source: 'between young cereal and legume cover crops of extension tables (from memory); pools set here',
  },
];

// src/core/materials/library.ts
var MATERIAL_LIBRARY = library_default;
var byId2 = new Map(MATERIAL_LIBRARY.map((material) => [material.id, material]));
var findLibraryMaterial = (id2) => byId2.get(id2);

// src/core/materials/own-material.ts
function ownMaterial(basis, path = ['basis']) {
  if (basis.type === 'chips') return { ...woodChipMaterial(basis, path), mineralsLike: chipsLike(basis) };
  const { likeMaterialId } = basis;
  const like = findLibraryMaterial(likeMaterialId);
  if (!like) {
    throw new InputError(
      [...path, 'likeMaterialId'],
      'unknown',
      `names no material of the library; got "${likeMaterialId}"`,
    );
  }
  const material = {
    ...like,
    moistureFractionWetBasis: basis.moistureFractionWetBasis,
    carbonFractionDryBasis: basis.carbonFractionDryBasis,
    nitrogenFractionDryBasis: basis.nitrogenFractionDryBasis,
    bulkDensityKgPerM3: basis.bulkDensityKgPerM3,
    mineralsLike: likeMaterialId,
  };
  checkMaterial(material, path);
  return material;
}
function chipsLike({ branchDiameterCm, leafShare, coniferShare }) {
  if (coniferShare > 0.6) return 'chips_conifer_green';
  if (leafShare > 0.2) return 'chips_inleaf';
  return branchDiameterCm <= 8 ? 'chips_branch' : 'chips_mixed';
}

// src/core/stock/keeping.ts
var KEEPINGS = ['open', 'covered', 'roofed', 'watered', 'shut'];
var OPEN_MIDDLE = 0.5;
var OPEN_SWING = 0.2;
var WATERED = 0.6;
var ROOFED = 0.2;
var MOISTURE_DAYS = 60;
function restingMoisture(keeping, climate, day) {
  switch (keeping) {
    case 'covered':
    case 'shut':
      return null;
    case 'roofed':
      return ROOFED;
    case 'watered':
      return WATERED;
    case 'open': {
      const { month } = calendarDateOf(day);
      const rain = climate.rainMm[month - 1];
      const drying = climate.evapotranspirationMm[month - 1];
      const balance = rain + drying > 0 ? (rain - drying) / (rain + drying) : 0;
      return OPEN_MIDDLE + OPEN_SWING * balance;
    }
  }
}
function moistureNextDay(moisture2, resting) {
  return resting === null
    ? moisture2
    : moisture2 + (resting - moisture2) * (1 - Math.exp(-1 / MOISTURE_DAYS));
}
function moistureFactor(moisture2) {
  const dry = clamp((moisture2 - 0.12) / (0.4 - 0.12), 0, 1);
  const wet = 1 - 0.6 * clamp((moisture2 - 0.65) / 0.15, 0, 1);
  return dry * wet;
}
function airFactor({ keeping, isTurned }, p) {
  return (isTurned ? p.turnedPileFactor : p.stillPileFactor) * (keeping === 'shut' ? 0.5 : 1);
}
var READINGS_JOINED_DAYS = 21;
function heapTemperatureC(climate, day, treatment, heatingFrom, readings, p) {
  const airC = airTemperatureC(climate, day);
  const excessAt = ({ day: on, temperatureC: temperatureC2 }) => temperatureC2 - airTemperatureC(climate, on);
  const after = readings.find((one) => one.day >= day);
  const before = readings.findLast((one) => one.day <= day && one.day >= heatingFrom);
  if (before && after && after.day - before.day <= READINGS_JOINED_DAYS) {
    const share2 = after.day === before.day ? 0 : (day - before.day) / (after.day - before.day);
    return airC + excessAt(before) + (excessAt(after) - excessAt(before)) * share2;
  }
  if (before) return airC + excessAt(before) * Math.exp(-(day - before.day) / p.pileCoolingDays);
  if (!treatment.isHot) return airC;
  return airC + p.pileHeatingC * Math.exp(-(day - heatingFrom) / p.pileCoolingDays);
}

// src/core/stock/age-lot.ts
var CHAR_DRAW_PER_DAY = 0.1;
function ageLot(start, fromDay, untilDay, setting, onMorning) {
  if (start.cohorts.length === 0) {
    for (let day = fromDay; day < untilDay; day++) onMorning?.(day, () => start);
    return { contents: start, respiredCarbonG: 0, ammoniaG: 0 };
  }
  const { parameters: p, climate, treatment } = setting;
  const pile = startPile(start.cohorts, start.mineralNitrogenG, DEFAULT_STEPS_PER_DAY, p);
  const char = start.cohorts.map(({ charHeldG, charCapacityG }) => ({ heldG: charHeldG, charCapacityG }));
  const dry = dryG(start);
  let moisture2 = start.waterG / (start.waterG + dry);
  let days = 0;
  const read2 = () => atMoisture(contentsOf(start, pile, char, days), moisture2);
  for (let day = fromDay; day < untilDay; day++) {
    onMorning?.(day, read2);
    const heapC = heapTemperatureC(climate, day, treatment, setting.heatingFrom, setting.readings, p);
    const warmth = temperatureModifier(heapC, p.frozenC, p.temperatureModifierCap);
    const modifier = warmth * airFactor(treatment, p) * moistureFactor(moisture2);
    for (let s = 0; s < DEFAULT_STEPS_PER_DAY; s++) agePileSubStep(pile, warmth, modifier);
    chargeChar(pile, char, p);
    days += 1;
    moisture2 = moistureNextDay(moisture2, restingMoisture(treatment.keeping, climate, day));
  }
  return {
    contents: read2(),
    respiredCarbonG: carbonRespiredG(pile),
    ammoniaG: ammoniaLostG(pile),
  };
}
function chargeChar(pile, char, p) {
  for (const sites of char) {
    if (sites.charCapacityG <= sites.heldG) continue;
    const wanted = (sites.charCapacityG - sites.heldG) * lostShare(1 / p.charFillingDays);
    const taken = Math.min(wanted, CHAR_DRAW_PER_DAY * mineralNitrogenOf(pile));
    sites.heldG += taken;
    drawMineralNitrogen(pile, taken);
  }
}
function contentsOf(start, pile, char, days) {
  const cohorts = start.cohorts.map((one, i) => ({
    ...one,
    ...poolsOf(pile.task.cohorts, i),
    charHeldG: char[i].heldG,
    ageDays: one.ageDays + days,
  }));
  return { cohorts, mineralNitrogenG: mineralNitrogenOf(pile), waterG: 0 };
}

// src/core/stock/arriving.ts
var DAYS_PER_MONTH2 = 365 / 12;
var WETTEST2 = 0.97;
function materialOf(materialId, find, day, path) {
  const material = find(materialId, day);
  if (!material) throw new InputError(path, 'unknown', `names no material; got "${materialId}"`);
  return material;
}
function arriving(materialId, { amount, unit: unit2 }, seen2, { day, setting, findMaterial }, path) {
  const material = materialOf(materialId, findMaterial, day, [...path, 'materialId']);
  const moisture2 = seen2.moistureFractionWetBasis ?? material.moistureFractionWetBasis;
  requireMoisture(moisture2, [...path, 'moistureFractionWetBasis']);
  const { parameters, climate } = setting;
  const months = requireNumber(seen2.seasonedMonths, [...path, 'seasonedMonths'], { min: 0, max: 120 });
  let sample2 = contentsOfMaterial(materialId, material, 1e3, parameters);
  if (months > 0) {
    sample2 = ageLot(sample2, day - Math.round(months * DAYS_PER_MONTH2), day, {
      climate,
      treatment: { keeping: 'covered', isTurned: false, isHot: false },
      heatingFrom: 0,
      readings: [],
      parameters,
    }).contents;
  }
  const wetted = atMoisture(sample2, moisture2);
  const lying =
    seen2.bulkDensityKgPerM3 === null
      ? wetted
      : atBulkDensity(
          wetted,
          requireNumber(seen2.bulkDensityKgPerM3, [...path, 'bulkDensityKgPerM3'], { min: 10, max: 2500 }),
        );
  const { bulkDensityKgPerM3 } = figuresOf(lying);
  const massKg = massFreshKgFromAmount(amount, unit2, { bulkDensityKgPerM3, areaM2: 1 }, [...path, 'amount']);
  return scaled(lying, massKg / freshKg(lying));
}
function requireMoisture(moisture2, path) {
  if (moisture2 > 1 && moisture2 <= 100) {
    throw new InputError(path, 'out_of_range', `must be a share below 1; did you mean ${moisture2} %?`);
  }
  requireNumber(moisture2, path, { min: 0, max: WETTEST2 });
}

// src/core/stock/charring.ts
var RAW_CHAR_ID = 'biochar_raw';
var CARBON_FRACTION = { low: 0.68, medium: 0.77, high: 0.85 };
function rawChar(charTemperature, moistureFractionWetBasis) {
  const char = findLibraryMaterial(RAW_CHAR_ID);
  const moisture2 = moistureFractionWetBasis ?? char.moistureFractionWetBasis;
  const dryDensity = char.bulkDensityKgPerM3 * (1 - char.moistureFractionWetBasis);
  return {
    ...char,
    charTemperature,
    carbonFractionDryBasis: CARBON_FRACTION[charTemperature],
    moistureFractionWetBasis: moisture2,
    bulkDensityKgPerM3: dryDensity / (1 - moisture2),
  };
}
function yieldDryKg(charTemperature, found2, path) {
  const moisture2 = requireNumber(found2.moistureFractionWetBasis, [...path, 'moistureFractionWetBasis'], {
    min: 0,
    max: 0.9,
  });
  const { bulkDensityKgPerM3 } = rawChar(charTemperature, moisture2);
  const freshKg2 = massFreshKgFromAmount(found2.amount, found2.unit, { bulkDensityKgPerM3, areaM2: 1 }, [
    ...path,
    'amount',
  ]);
  return freshKg2 * (1 - moisture2);
}
function charOf(fed, found2, charTemperature, p, path) {
  const dryKg = yieldDryKg(charTemperature, found2, path);
  const char = rawChar(charTemperature, found2.moistureFractionWetBasis);
  const fedKg = dryG(fed) / 1e3;
  if (dryKg > fedKg || dryKg * 1e3 * char.carbonFractionDryBasis > carbonG(fed)) {
    throw new InputError(
      [...path, 'amount'],
      'out_of_range',
      `is more than went in: ${dryKg.toPrecision(3)} kg of dry char out of ${fedKg.toPrecision(3)} kg of dry wood. Was it weighed wet, or did you mean litres?`,
    );
  }
  const nitrogenFraction = Math.min(char.nitrogenFractionDryBasis, nitrogenG(fed) / (dryKg * 1e3));
  const made = contentsOfMaterial(
    RAW_CHAR_ID,
    { ...char, nitrogenFractionDryBasis: nitrogenFraction },
    dryKg * 1e3,
    p,
  );
  const minerals = (of) => total(fed.cohorts.map((one) => one[of]));
  return {
    ...made,
    cohorts: made.cohorts.map((one) => ({
      ...one,
      phosphorusG: Math.min(one.phosphorusG, minerals('phosphorusG')),
      potassiumG: Math.min(one.potassiumG, minerals('potassiumG')),
    })),
  };
}

// src/core/stock/stock-ledger.ts
var LOOK_EVERY_DAYS = 7;
var CONTENTS_EVERY_DAYS = 28;
var ALL_OF_IT = 1.01;
var createLot = (record, readings) => ({
  record,
  contents: NOTHING,
  lastContents: NOTHING,
  day: null,
  openedOn: null,
  treatment: record,
  heatingFrom: 0,
  readings,
  looks: [],
  lines: [],
  respiredCarbonG: 0,
  ammoniaG: 0,
});
function bringTo(lot, day, setting) {
  const { openedOn } = lot;
  if (lot.day === null || openedOn === null || lot.day >= day) return;
  const before = lot.contents;
  const aged = ageLot(
    before,
    lot.day,
    day,
    {
      climate: setting.climate,
      treatment: lot.treatment,
      heatingFrom: lot.heatingFrom,
      readings: lot.readings,
      parameters: setting.parameters,
    },
    (morning, read2) => {
      if ((morning - openedOn) % LOOK_EVERY_DAYS === 0) lot.looks.push(lookAt(read2(), morning, openedOn));
    },
  );
  lot.contents = aged.contents;
  lot.respiredCarbonG += aged.respiredCarbonG;
  lot.ammoniaG += aged.ammoniaG;
  lot.day = day;
  if (!isEmpty(before)) postLine(lot, before, { day, cause: { type: 'time' }, isPlanned: false });
}
var lookAt = (contents, day, openedOn) => ({
  day,
  figures: figuresOf(contents),
  contents: (day - openedOn) % CONTENTS_EVERY_DAYS === 0 ? contents : null,
});
function postLine(lot, before, line) {
  const after = lot.contents;
  lot.lines.push({
    missingL: 0,
    ...line,
    freshKg: freshKg(after) - freshKg(before),
    volumeL: volumeL(after) - volumeL(before),
    dryKg: (dryG(after) - dryG(before)) / 1e3,
    carbonG: carbonG(after) - carbonG(before),
    nitrogenG: nitrogenG(after) - nitrogenG(before),
    balance: figuresOf(after),
  });
}
function putIn(lot, what, posting) {
  const before = lot.contents;
  lot.contents = isEmpty(before) ? what : together([before, what]);
  lot.lastContents = lot.contents;
  lot.day ??= posting.day;
  lot.openedOn ??= posting.day;
  lot.heatingFrom = posting.day;
  postLine(lot, before, posting);
}
function adjust(lot, found2, posting) {
  const before = lot.contents;
  lot.contents = found2;
  if (!isEmpty(found2)) lot.lastContents = found2;
  postLine(lot, before, posting);
}
function askedKg(lot, amount, unit2, areaM2, path) {
  const contents = isEmpty(lot.contents) ? lot.lastContents : lot.contents;
  const { bulkDensityKgPerM3 } = figuresOf(contents);
  return massFreshKgFromAmount(amount, unit2, { bulkDensityKgPerM3, areaM2 }, path);
}
function takeOut(lot, massFreshKg2, posting, setting, path) {
  const thereKg = freshKg(lot.contents);
  const before = lot.contents;
  if (massFreshKg2 > thereKg * ALL_OF_IT) {
    if (setting.isStrict || isEmpty(lot.lastContents)) throw moreThanThere(lot, massFreshKg2, path);
    lot.contents = NOTHING;
    const source = isEmpty(before) ? lot.lastContents : before;
    const missingL = ((massFreshKg2 - thereKg) / freshKg(source)) * volumeL(source);
    postLine(lot, before, { ...posting, missingL });
    return scaled(source, massFreshKg2 / freshKg(source));
  }
  const share2 = Math.min(1, massFreshKg2 / thereKg);
  const taken = scaled(before, share2);
  lot.contents = share2 === 1 ? NOTHING : scaled(before, 1 - share2);
  postLine(lot, before, posting);
  return taken;
}
function moreThanThere(lot, massFreshKg2, path) {
  const thereKg = freshKg(lot.contents);
  const { name: name2 } = lot.record;
  const times = thereKg > 0 ? massFreshKg2 / thereKg : Infinity;
  const hint = times > 5 && times < 1e3 ? '. Perhaps litres were meant, or one barrow fewer' : '';
  const there =
    thereKg > 0
      ? `only ${thereKg.toPrecision(3)} kg (${volumeL(lot.contents).toPrecision(3)} L) of "${name2}" are there on that day`
      : `nothing of "${name2}" is there on that day`;
  return new InputError(
    path,
    'out_of_range',
    `is more than there is: ${there}, and this asks for ${massFreshKg2.toPrecision(3)} kg${hint}`,
  );
}
function balanceError(lot) {
  const posted = (of) => total(lot.lines.map((line) => line[of]));
  const scale = (of) => Math.max(1, total(lot.lines.map((line) => Math.max(0, line[of]))));
  return Math.max(
    Math.abs(posted('carbonG') - carbonG(lot.contents)) / scale('carbonG'),
    Math.abs(posted('nitrogenG') - nitrogenG(lot.contents)) / scale('nitrogenG'),
    Math.abs(airborne(lot, 'carbonG') - lot.respiredCarbonG) / scale('carbonG'),
    Math.abs(airborne(lot, 'nitrogenG') - lot.ammoniaG) / scale('nitrogenG'),
  );
}
var airborne = (lot, of) =>
  -total(lot.lines.filter(({ cause }) => cause.type === 'time').map((line) => line[of]));

// src/core/stock/movements.ts
function carryOutMovement(movement, context) {
  switch (movement.type) {
    case 'receive':
      return receive(movement, context);
    case 'make':
      return make(movement, context);
    case 'move':
      return move(movement, context);
    case 'takeOut': {
      takePortion(movement, context, postingOf(movement, context));
      return;
    }
    case 'stocktake':
      return takeStock(movement, context);
    case 'keep': {
      const lot = lotOf(movement.lotId, context);
      requireOneOf(movement.keeping, [...context.path, 'keeping'], KEEPINGS);
      bringTo(lot, context.day, context.setting);
      lot.treatment = movement;
      return;
    }
    case 'turn': {
      bringTo(filledLot(movement.lotId, context), context.day, context.setting);
      return;
    }
    case 'water':
      return addWater(movement.lotId, movement.waterL, movement, context);
    case 'reading':
      return read(movement, context);
    case 'sign':
    case 'crush': {
      bringTo(filledLot(movement.lotId, context), context.day, context.setting);
      return;
    }
    case 'burn':
      return burn(movement, context);
  }
}
var postingOf = (movement, { day }) => ({
  day,
  cause: { type: 'movement', movementId: movement.id },
  isPlanned: movement.state === 'planned',
});
function lotOf(lotId, { lots, path }, field = 'lotId') {
  const lot = lots.get(lotId);
  if (!lot) throw new InputError([...path, field], 'unknown', `names nothing in stock; got "${lotId}"`);
  return lot;
}
function filledLot(lotId, context, field = 'lotId') {
  const lot = lotOf(lotId, context, field);
  bringTo(lot, context.day, context.setting);
  if (lot.openedOn !== null) return lot;
  const requirement = `has nothing in it by that date: "${lot.record.name}" came later. Is the date right?`;
  throw new InputError([...context.path, field], 'bad_order', requirement);
}
function receive(movement, context) {
  const lot = lotOf(movement.lotId, context);
  bringTo(lot, context.day, context.setting);
  putIn(
    lot,
    arriving(movement.materialId, movement, movement, context, context.path),
    postingOf(movement, context),
  );
}
var AS_BOUGHT = { moistureFractionWetBasis: null, bulkDensityKgPerM3: null, seasonedMonths: 0 };
function gather(ingredient2, into, movement, context, path) {
  if (ingredient2.lotId === null)
    return arriving(ingredient2.materialId, ingredient2, AS_BOUGHT, context, path);
  if (ingredient2.lotId === into) {
    throw new InputError(
      [...path, 'lotId'],
      'bad_shape',
      'cannot be made of itself; choose another name for what is made',
    );
  }
  return takePortion(
    { ...ingredient2, lotId: ingredient2.lotId },
    { ...context, path },
    postingOf(movement, context),
  );
}
function takePortion(portion, context, posting) {
  const lot = filledLot(portion.lotId, context);
  const at = [...context.path, 'amount'];
  const massKg = askedKg(lot, portion.amount, portion.unit, 1, at);
  return takeOut(lot, massKg, posting, context.setting, at);
}
function make(movement, context) {
  const lot = lotOf(movement.lotId, context);
  if (movement.ingredients.length === 0) {
    throw new InputError(
      [...context.path, 'ingredients'],
      'bad_shape',
      'is empty; a mix of nothing cannot be made',
    );
  }
  requireNumber(movement.waterL, [...context.path, 'waterL'], { min: 0 });
  bringTo(lot, context.day, context.setting);
  const parts2 = movement.ingredients.map((ingredient2, i) =>
    gather(ingredient2, movement.lotId, movement, context, [...context.path, 'ingredients', i]),
  );
  const mixed = together(parts2);
  putIn(lot, { ...mixed, waterG: mixed.waterG + movement.waterL * 1e3 }, postingOf(movement, context));
}
function move(movement, context) {
  if (movement.toLotId === movement.lotId) {
    throw new InputError(
      [...context.path, 'toLotId'],
      'bad_shape',
      'must be another pile than it comes from',
    );
  }
  const target = lotOf(movement.toLotId, context, 'toLotId');
  const source = filledLot(movement.lotId, context);
  bringTo(target, context.day, context.setting);
  const { heatingFrom } = source;
  const wasEmpty = isEmpty(target.contents);
  const moved = takePortion(movement, context, postingOf(movement, context));
  putIn(target, moved, postingOf(movement, context));
  if (wasEmpty) target.heatingFrom = heatingFrom;
}
function takeStock(movement, context) {
  const lot = filledLot(movement.lotId, context);
  const at = [...context.path, 'amount'];
  requireNumber(movement.amount, at, { min: 0 });
  const source = isEmpty(lot.contents) ? lot.lastContents : lot.contents;
  const foundKg = movement.amount === 0 ? 0 : askedKg(lot, movement.amount, movement.unit, 1, at);
  const found2 = foundKg === 0 ? NOTHING : scaled(source, foundKg / freshKg(source));
  adjust(lot, found2, postingOf(movement, context));
}
function addWater(lotId, waterL, movement, context) {
  const lot = filledLot(lotId, context);
  requireNumber(waterL, [...context.path, 'waterL'], { above: 0 });
  const wetter = { ...lot.contents, waterG: lot.contents.waterG + waterL * 1e3 };
  const { moistureFractionWetBasis } = figuresOf(wetter);
  adjust(
    lot,
    moistureFractionWetBasis > HOLDS_AT_MOST ? atMoisture(wetter, HOLDS_AT_MOST) : wetter,
    postingOf(movement, context),
  );
}
var HOLDS_AT_MOST = 0.75;
function read(movement, context) {
  const lot = filledLot(movement.lotId, context);
  const at = (field) => [...context.path, field];
  if (movement.temperatureC !== null) {
    requireNumber(movement.temperatureC, at('temperatureC'), { min: -40, max: 95 });
  }
  if (isEmpty(lot.contents)) return;
  let found2 = lot.contents;
  if (movement.moistureFractionWetBasis !== null) {
    requireMoisture(movement.moistureFractionWetBasis, at('moistureFractionWetBasis'));
    found2 = atMoisture(found2, movement.moistureFractionWetBasis);
  }
  if (movement.bulkDensityKgPerM3 !== null) {
    requireNumber(movement.bulkDensityKgPerM3, at('bulkDensityKgPerM3'), { min: 10, max: 2500 });
    found2 = atBulkDensity(found2, movement.bulkDensityKgPerM3);
  }
  found2 = analysed(found2, movement, at);
  if (found2 !== lot.contents) adjust(lot, found2, postingOf(movement, context));
}
function analysed(contents, { carbonFractionDryBasis: carbon2, nitrogenFractionDryBasis: nitrogen2 }, at) {
  if (carbon2 === null && nitrogen2 === null) return contents;
  if (carbon2 !== null) requireNumber(carbon2, at('carbonFractionDryBasis'), { above: 0, max: 0.95 });
  if (nitrogen2 !== null) requireNumber(nitrogen2, at('nitrogenFractionDryBasis'), { above: 0, max: 0.5 });
  return atAnalysis(contents, {
    ...(carbon2 === null ? {} : { carbonFractionDryBasis: carbon2 }),
    ...(nitrogen2 === null ? {} : { nitrogenFractionDryBasis: nitrogen2 }),
  });
}
function burn(movement, context) {
  const { path, setting } = context;
  const lot = lotOf(movement.lotId, context);
  if (movement.feedstock.length === 0) {
    throw new InputError([...path, 'feedstock'], 'bad_shape', 'is empty; nothing was burnt');
  }
  bringTo(lot, context.day, setting);
  const first = movement.feedstock[0].lotId;
  const posting = postingOf(movement, context);
  const fed = together(
    movement.feedstock.map((one, i) =>
      gather(one, movement.lotId, movement, context, [...path, 'feedstock', i]),
    ),
  );
  requireNumber(movement.unburntShare, [...path, 'unburntShare'], { min: 0, max: 0.95 });
  if (movement.unburntShare > 0 && first !== null) {
    putBack(lotOf(first, context), scaled(fed, movement.unburntShare), posting);
  }
  const burntWood = scaled(fed, 1 - movement.unburntShare);
  const dryWoodKg = dryG(burntWood) / 1e3;
  if (movement.yield === null) {
    context.burnt.set(movement.id, { dryWoodKg, dryCharKg: 0, charCarbonKg: 0 });
    return;
  }
  const char = charOf(burntWood, movement.yield, movement.charTemperature, setting.parameters, [
    ...path,
    'yield',
  ]);
  context.burnt.set(movement.id, {
    dryWoodKg,
    dryCharKg: dryG(char) / 1e3,
    charCarbonKg: carbonG(char) / 1e3,
  });
  putIn(lot, char, posting);
}
function putBack(lot, what, posting) {
  const before = lot.contents;
  lot.contents = isEmpty(before) ? what : together([before, what]);
  lot.lastContents = lot.contents;
  postLine(lot, before, posting);
}

// src/core/stock/run-stock.ts
function runStock(books, findMaterial, options) {
  const setting = {
    climate: books.site.climate,
    parameters: withOverrides(),
    isStrict: !options.withPlans,
  };
  const lots = new Map(
    books.lots.map((record) => [record.id, createLot(record, readingsOf(record.id, books.movements))]),
  );
  const taken = /* @__PURE__ */ new Map();
  const burnt = /* @__PURE__ */ new Map();
  const isMeant = ({ state }) => options.withPlans || state === 'laid';
  const steps = [
    ...books.movements.map((movement, i) => {
      const path = ['movements', i];
      const day = dayNumberFromIso(movement.date, [...path, 'date']);
      return {
        isMeant: isMeant(movement),
        day,
        run: (all) => carryOutMovement(movement, { lots: all, day, path, setting, findMaterial, burnt }),
      };
    }),
    ...books.takes.map((take, i) => {
      const path = ['takes', i];
      const day = dayNumberFromIso(take.date, [...path, 'date']);
      return {
        isMeant: isMeant(take),
        day,
        run: (all) => taken.set(take.entryId, takeForBed(take, all, day, path, setting)),
      };
    }),
  ].filter((step) => step.isMeant && step.day < options.until);
  steps.sort((a, b) => a.day - b.day);
  for (const step of steps) step.run(lots);
  for (const lot of lots.values()) bringTo(lot, options.until, setting);
  return {
    lots: new Map([...lots].map(([id2, lot]) => [id2, historyOf(lot, options.until)])),
    taken,
    burnt,
  };
}
var readingsOf = (lotId, movements) =>
  movements
    .flatMap((one, i) =>
      one.type === 'reading' && one.lotId === lotId && one.temperatureC !== null
        ? [{ day: dayNumberFromIso(one.date, ['movements', i, 'date']), temperatureC: one.temperatureC }]
        : [],
    )
    .sort((a, b) => a.day - b.day);
function takeForBed(take, lots, day, path, setting) {
  const lot = lots.get(take.lotId);
  if (!lot)
    throw new InputError([...path, 'lotId'], 'unknown', `names nothing in stock; got "${take.lotId}"`);
  bringTo(lot, day, setting);
  const at = [...path, 'amount'];
  requireNumber(take.amount, at, { above: 0 });
  if (lot.openedOn === null) throw emptyLot(lot, [...path, 'lotId']);
  const massFreshKg2 = askedKg(lot, take.amount, take.unit, take.areaM2, at);
  const contents = takeOut(
    lot,
    massFreshKg2,
    {
      day,
      cause: { type: 'bed', entryId: take.entryId, bedId: take.bedId },
      isPlanned: take.state === 'planned',
    },
    setting,
    at,
  );
  return { contents, massFreshKg: freshKg(contents) };
}
var emptyLot = ({ record: { name: name2 } }, path) =>
  new InputError(
    path,
    'bad_order',
    `has nothing in it by that date: "${name2}" came later. Is the date right?`,
  );
function historyOf(lot, until) {
  const last =
    lot.openedOn === null ? [] : [{ day: until, figures: figuresOf(lot.contents), contents: lot.contents }];
  return {
    lotId: lot.record.id,
    openedOn: lot.openedOn,
    looks: [...lot.looks, ...last],
    lines: lot.lines,
    contents: lot.contents,
    treatment: lot.treatment,
    heatingFrom: lot.heatingFrom,
    balanceError: balanceError(lot),
  };
}

// src/core/records/garden-books.ts
var siteOf = ({ garden, weather }) => (weather ? { ...garden, weather } : garden);
function materialFinder({ materials, labResults }) {
  const own = new Map(materials.map(({ id: id2, basis }) => [id2, basis]));
  const reports = labResults
    .map((result) => ({ result, day: dayNumberFromIso(result.date, ['labResults', 'date']) }))
    .sort((a, b) => a.day - b.day);
  return (materialId, on) => {
    const basis = own.get(materialId);
    const material = basis ? ownMaterial(basis) : findLibraryMaterial(materialId);
    const report = reports.findLast(
      ({ result, day }) => result.materialId === materialId && (on === void 0 || day <= on),
    );
    return material && report ? asMeasured(material, report.result) : material;
  };
}
function carriedForward(records, today) {
  const later = (one) => (one.state === 'planned' && one.date < today ? { ...one, date: today } : one);
  return {
    ...records,
    entries: records.entries.map(later),
    movements: records.movements.map(later),
    plantings: records.plantings.map((one) =>
      one.state === 'planned' && one.plantedOn < today ? plantedLater(one, today) : one,
    ),
  };
}
function plantedLater(planting, today) {
  const by = dayNumberFromIso(today, ['today']) - dayNumberFromIso(planting.plantedOn, ['plantedOn']);
  return {
    ...planting,
    plantedOn: today,
    clearedOn:
      planting.clearedOn === null
        ? null
        : isoDateOf(dayNumberFromIso(planting.clearedOn, ['clearedOn']) + by),
  };
}
function takesOf({ beds, entries }) {
  const areas = new Map(beds.map(({ id: id2, areaM2 }) => [id2, areaM2]));
  return entries.flatMap((entry) => {
    const areaM2 = areas.get(entry.bedId);
    if (entry.type !== 'lay' || !entry.lotId || areaM2 === void 0) return [];
    const {
      id: entryId,
      bedId,
      state,
      date: date2,
      lotId,
      amount = entry.massFreshKg,
      unit: unit2 = 'kg',
    } = entry;
    return [{ entryId, bedId, areaM2, state, date: date2, lotId, amount, unit: unit2 }];
  });
}
var stockBooksOf = (records) => ({
  site: records.garden,
  lots: records.lots,
  movements: records.movements,
  takes: takesOf(records),
});
var drawsOnStock = (entry) => entry.type === 'lay' && Boolean(entry.lotId);
function lastTake(entries, bedId) {
  const days = entries
    .filter((entry) => entry.bedId === bedId && drawsOnStock(entry))
    .map(({ date: date2 }) => dayNumberFromIso(date2, ['date']));
  return days.length > 0 ? Math.max(...days) + 1 : void 0;
}
function takenByBed(records, bedId) {
  const until = lastTake(records.entries, bedId);
  if (until === void 0) return void 0;
  return runStock(stockBooksOf(records), materialFinder(records), { until, withPlans: true }).taken;
}
function booksOfBed(records, bedId, takenFor = takenByBed) {
  const bed = records.beds.find(({ id: id2 }) => id2 === bedId);
  if (!bed) return void 0;
  const taken = takenFor(records, bedId);
  return {
    site: siteOf(records),
    bed,
    entries: records.entries.filter((entry) => entry.bedId === bedId),
    plantings: records.plantings.filter((planting) => planting.bedId === bedId),
    ...(taken ? { taken } : {}),
  };
}

// src/server/routes/answers.ts
function written(result, what) {
  if (result.outcome === 'missing') throw notFound(what);
  if (result.outcome === 'stale') throw stale(result.current);
  return result.current;
}
function requireRemoved(result, what) {
  if (result.outcome === 'missing') throw notFound(what);
  if (result.outcome === 'stale') throw stale(result.current);
}
function found(record, what) {
  if (record === void 0) throw notFound(what);
  return record;
}
function requireSeen(current, seenVersion2) {
  if (current.version !== seenVersion2) throw stale(current);
}
function sentAgain(known, draft) {
  if (!known) return void 0;
  const kept2 = new Map(Object.entries(known));
  const isSame = Object.entries(draft).every(
    ([field, value]) => JSON.stringify(kept2.get(field)) === JSON.stringify(value),
  );
  if (!isSame) throw stale(known);
  return known;
}

// src/server/kept-stock.ts
function keptRecords(stores, gardenId) {
  return {
    garden: found(stores.gardens.find(gardenId), 'garden'),
    beds: stores.beds.listOf(gardenId),
    entries: stores.entries.listOfGarden(gardenId),
    plantings: stores.plantings.listOfGarden(gardenId),
    materials: stores.materials.listOf(gardenId),
    labResults: stores.labResults.listOf(gardenId),
    lots: stores.lots.listOf(gardenId),
    movements: stores.movements.listOf(gardenId),
    weather: measuredWeather(stores, gardenId),
  };
}
var measuredWeather = (stores, gardenId) =>
  stores.weather
    .listOf(gardenId)
    .map(({ date: date2, temperatureC: temperatureC2, rainMm, evapotranspirationMm }) => ({
      date: date2,
      temperatureC: temperatureC2,
      rainMm,
      evapotranspirationMm,
    }));
function lastDay({ movements, takes }, today) {
  const dates = [
    today,
    ...movements.map(({ date: date2 }) => date2),
    ...takes.map(({ date: date2 }) => date2),
  ];
  return Math.max(...dates.map((date2) => dayNumberFromIso(date2, ['date'])));
}
function requireSoundStock(records, today, about) {
  const books = stockBooksOf(records);
  const findMaterial = materialFinder(records);
  const until = lastDay(books, today) + 1;
  try {
    runStock(books, findMaterial, { until, withPlans: false });
    return runStock(books, findMaterial, { until, withPlans: true });
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw problemAbout(error, books, about);
  }
}
function problemAbout(error, books, about) {
  const [list2, index, ...rest] = error.path;
  const path = rest.map((key) => (typeof key === 'string' ? fieldAsEntered(key) : key));
  if (typeof index !== 'number' || (list2 !== 'movements' && list2 !== 'takes')) return fromInputError(error);
  const culprit = list2 === 'movements' ? books.movements[index] : books.takes[index];
  if (!culprit) return fromInputError(error);
  const id2 = 'entryId' in culprit ? culprit.entryId : culprit.id;
  if (about.includes(id2)) return fromInputError(new InputError(path, error.code, error.requirement));
  const what = list2 === 'movements' ? 'stock posting' : 'entry on a bed';
  return new ProblemError(
    422,
    'Not accepted',
    `The ${what} of ${culprit.date} would no longer make sense: its ${path.join('.')} ${error.requirement}. Change that one first.`,
  );
}

// src/server/kept-books.ts
function requireSoundBooks(stores, bedId, today, change) {
  const bed = change.bed ?? stores.beds.find(bedId);
  if (!bed) throw notFound('bed');
  const garden = stores.gardens.find(bed.gardenId);
  if (!garden) throw notFound('garden');
  const kept2 = {
    entries: stores.entries.listOf(bedId),
    plantings: stores.plantings.listOf(bedId),
    materials: stores.materials.listOf(garden.id),
  };
  const entries = change.entries?.(kept2.entries) ?? kept2.entries;
  const plantings = change.plantings?.(kept2.plantings) ?? kept2.plantings;
  const materials = change.materials?.(kept2.materials) ?? kept2.materials;
  const taken = [...kept2.entries, ...entries].some(drawsOnStock)
    ? takenFromSoundStock(stores, bed, { entries, materials }, today, change.about ?? [])
    : void 0;
  try {
    checkBooks(
      {
        site: siteOf({ garden, weather: measuredWeather(stores, garden.id) }),
        bed,
        entries,
        plantings,
        ...(taken ? { taken } : {}),
      },
      materialFinder({ materials, labResults: stores.labResults.listOf(garden.id) }),
      dayNumberFromIso(today, ['today']),
    );
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    throw problemAbout2(error, { entries, plantings, about: change.about });
  }
}
function takenFromSoundStock(stores, bed, { entries, materials }, today, about) {
  const kept2 = keptRecords(stores, bed.gardenId);
  const records = {
    ...kept2,
    materials,
    beds: kept2.beds.map((one) => (one.id === bed.id ? bed : one)),
    entries: [...kept2.entries.filter(({ bedId }) => bedId !== bed.id), ...entries],
  };
  requireSoundStock(records, today, about);
  return takenByBed(records, bed.id);
}
function problemAbout2(error, books) {
  const [list2, index, ...rest] = error.path;
  if ((list2 !== 'entries' && list2 !== 'plantings') || typeof index !== 'number')
    return fromInputError(error);
  const culprit = books[list2].at(index);
  if (!culprit || books.about?.includes(culprit.id))
    return fromInputError(
      new InputError(
        rest.map((key) => (typeof key === 'string' ? fieldAsEntered(key) : key)),
        error.code,
        error.requirement,
      ),
    );
  const when = 'date' in culprit ? culprit.date : culprit.plantedOn;
  const what = list2 === 'entries' ? 'entry' : 'planting';
  return new ProblemError(
    422,
    'Not accepted',
    `The ${what} of ${when} would no longer make sense: its ${rest.join('.')} ${error.requirement}. Change that one first.`,
  );
}

// src/server/routes/beds.ts
var bedRoutes = ({ stores, today, newId }) =>
  new Hono3()
    .post('/gardens/:gardenId/beds', body(bedDraft), (c) => {
      const garden = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const id2 = draft.id ?? newId();
      const known = sentAgain(stores.beds.find(id2), { ...draft, gardenId: garden.id });
      if (known) return c.json(known, 200);
      return c.json(stores.beds.insert({ ...draft, id: id2, gardenId: garden.id }), 201);
    })
    .put('/beds/:bedId', body(bedChange), (c) => {
      const bedId = c.req.param('bedId');
      const { version: version2, ...values } = c.req.valid('json');
      const bed = found(stores.beds.find(bedId), 'bed');
      requireSeen(bed, version2);
      requireSoundBooks(stores, bedId, today(), { bed: { ...bed, ...values } });
      return c.json(written(stores.beds.update(bedId, version2, values), 'bed'), 200);
    })
    .delete('/beds/:bedId', seenVersion, (c) => {
      requireRemoved(stores.beds.remove(c.req.param('bedId'), c.req.valid('query').version), 'bed');
      return c.body(null, 204);
    })
    .post('/beds/:bedId/restore', (c) =>
      c.json(written(stores.beds.restore(c.req.param('bedId')), 'bed'), 200),
    );

// src/server/routes/build-ups.ts
import { Hono as Hono4 } from 'hono';
function requireKnownMaterials(layers, own) {
  const find = materialFinder({ materials: own, labResults: [] });
  layers.forEach(({ materialId }, i) => {
    if (!find(materialId)) {
      throw new InputError(['layers', i, 'materialId'], 'unknown', `names no material; got "${materialId}"`);
    }
  });
}
var buildUpRoutes = ({ stores, newId }) =>
  new Hono4()
    .post('/gardens/:gardenId/build-ups', body(buildUpDraft), (c) => {
      const garden = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const id2 = draft.id ?? newId();
      const known = sentAgain(stores.buildUps.find(id2), { ...draft, gardenId: garden.id });
      if (known) return c.json(known, 200);
      requireKnownMaterials(draft.layers, stores.materials.listOf(garden.id));
      return c.json(stores.buildUps.insert({ ...draft, id: id2, gardenId: garden.id }), 201);
    })
    .delete('/build-ups/:buildUpId', seenVersion, (c) => {
      const { version: version2 } = c.req.valid('query');
      requireRemoved(stores.buildUps.remove(c.req.param('buildUpId'), version2), 'build-up');
      return c.body(null, 204);
    })
    .post('/build-ups/:buildUpId/restore', (c) =>
      c.json(written(stores.buildUps.restore(c.req.param('buildUpId')), 'build-up'), 200),
    );

// src/server/routes/habits.ts
import { Hono as Hono5 } from 'hono';

// src/contract/habit-records.ts
import { z as z6 } from 'zod';

// src/core/years/habit.ts
var MOST_YEARS = 30;
var CM_PER_M = 100;
var MOST_CM_AT_A_TIME = 100;
var MONTHS3 = 12;
function checkHabit(habit, findMaterial) {
  habit.acts.forEach((act, i) => checkAct(act, ['acts', i], findMaterial));
}
var isWhole = (value, path, min, max) => {
  requireNumber(value, path, { min, max });
  if (!Number.isInteger(value)) {
    throw new InputError(path, 'out_of_range', `must be a whole number; got ${value}`);
  }
};
function checkAct(act, path, findMaterial) {
  isWhole(act.month, [...path, 'month'], 1, MONTHS3);
  isWhole(act.everyYears, [...path, 'everyYears'], 1, MOST_YEARS);
  isWhole(act.fromYear, [...path, 'fromYear'], 1, MOST_YEARS);
  if (act.untilYear !== null) {
    isWhole(act.untilYear, [...path, 'untilYear'], 1, MOST_YEARS);
    if (act.untilYear < act.fromYear) {
      throw new InputError(
        [...path, 'untilYear'],
        'bad_order',
        `must not come before it starts: it starts in year ${act.fromYear} and would end in year ${act.untilYear}`,
      );
    }
  }
  if (act.type === 'feed')
    requireNumber(act.nitrogenGPerM2, [...path, 'nitrogenGPerM2'], { above: 0, max: 100 });
  if (act.type === 'grow' && !findCrop(act.cropId)?.isCoverCrop) {
    throw new InputError([...path, 'cropId'], 'unknown', `names no cover crop; got "${act.cropId}"`);
  }
  if (act.type === 'lay') checkLay(act, path, findMaterial);
}
function checkLay(act, path, findMaterial) {
  requireNumber(act.amount, [...path, 'amount'], { above: 0 });
  requireOneOf(act.unit, [...path, 'unit'], AMOUNT_UNITS);
  requireNumber(act.dugDepthCm, [...path, 'dugDepthCm'], { min: 0, max: 200 });
  requireNumber(act.seasonedMonths, [...path, 'seasonedMonths'], { min: 0, max: 120 });
  const material = findMaterial(act.materialId);
  if (!material) {
    throw new InputError([...path, 'materialId'], 'unknown', `names no material; got "${act.materialId}"`);
  }
  const thicknessCm = (massOfLay(act, findMaterial) / material.bulkDensityKgPerM3) * CM_PER_M;
  if (thicknessCm > MOST_CM_AT_A_TIME) {
    throw new InputError(
      [...path, 'amount'],
      'out_of_range',
      `would lie ${Math.round(thicknessCm)} cm deep; ${MOST_CM_AT_A_TIME} cm at a time is the most that can be followed`,
    );
  }
}
function massOfLay({ amount, unit: unit2, materialId }, findMaterial) {
  const { bulkDensityKgPerM3 } = findMaterial(materialId);
  return massFreshKgFromAmount(amount, unit2, { bulkDensityKgPerM3, areaM2: 1 });
}

// src/contract/habit-records.ts
var recurring = {
  month: z6.int().min(1).max(12),
  everyYears: z6.int().min(1).max(MOST_YEARS),
  fromYear: z6.int().min(1).max(MOST_YEARS),
  untilYear: z6.int().min(1).max(MOST_YEARS).nullable(),
};
var habitAct = z6.discriminatedUnion('type', [
  z6.strictObject({
    ...recurring,
    type: z6.literal('lay'),
    materialId: id,
    amount: finite.gt(0).max(1e6),
    unit: z6.enum(AMOUNT_UNITS),
    dugDepthCm: finite.min(0).max(200),
    seasonedMonths: finite.min(0).max(120),
  }),
  z6.strictObject({ ...recurring, type: z6.literal('grow'), cropId: id }),
  z6.strictObject({ ...recurring, type: z6.literal('feed'), nitrogenGPerM2: finite.gt(0).max(100) }),
  z6.strictObject({ ...recurring, type: z6.literal('pull') }),
]);
var MOST_ACTS = 20;
var habitFields = {
  name,
  keepsCrops: z6.boolean(),
  acts: z6.array(habitAct).max(MOST_ACTS),
  note,
};
var habitDraft = z6.strictObject({ ...creation, ...habitFields });
var habitChange = z6.strictObject({ version, ...habitFields });
var habitRecord = z6.object({ ...stamp, gardenId: id, ...habitFields });
var habitFiled = z6.strictObject({ ...filed, ...habitFields });

// src/server/routes/habits.ts
function requireSoundHabit(stores, gardenId, habit) {
  checkHabit(habit, materialFinder({ materials: stores.materials.listOf(gardenId), labResults: [] }));
}
var habitRoutes = ({ stores, newId }) =>
  new Hono5()
    .post('/gardens/:gardenId/habits', body(habitDraft), (c) => {
      const garden = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const id2 = draft.id ?? newId();
      const known = sentAgain(stores.habits.find(id2), { ...draft, gardenId: garden.id });
      if (known) return c.json(known, 200);
      requireSoundHabit(stores, garden.id, draft);
      return c.json(stores.habits.insert({ ...draft, id: id2, gardenId: garden.id }), 201);
    })
    .put('/habits/:habitId', body(habitChange), (c) => {
      const { version: version2, ...values } = c.req.valid('json');
      const before = found(stores.habits.find(c.req.param('habitId')), 'habit');
      requireSoundHabit(stores, before.gardenId, values);
      return c.json(written(stores.habits.update(before.id, version2, values), 'habit'), 200);
    })
    .delete('/habits/:habitId', seenVersion, (c) => {
      requireRemoved(stores.habits.remove(c.req.param('habitId'), c.req.valid('query').version), 'habit');
      return c.body(null, 204);
    })
    .post('/habits/:habitId/restore', (c) =>
      c.json(written(stores.habits.restore(c.req.param('habitId')), 'habit'), 200),
    );

// src/server/routes/plans.ts
import { Hono as Hono6 } from 'hono';

// src/core/records/planting-clash.ts
var ROUNDING2 = 1e-9;
var FOR_EVER = '9999-12-31';
var nameOf = ({ cropId }) => findCrop(cropId)?.name ?? cropId;
var end = ({ clearedOn }) => clearedOn ?? FOR_EVER;
var stands = (one, date2) => one.plantedOn <= date2 && date2 < end(one);
function checkRoom(planting, all) {
  if (planting.isUndersown) return;
  const others = all.filter(({ id: id2, isUndersown }) => id2 !== planting.id && !isUndersown);
  const starts = [planting.plantedOn, ...others.map(({ plantedOn }) => plantedOn)];
  for (const date2 of starts) {
    if (!stands(planting, date2)) continue;
    const beside = others.filter((other) => stands(other, date2));
    const share2 = beside.reduce((sum, { areaShare }) => sum + areaShare, planting.areaShare);
    if (share2 <= 1 + ROUNDING2 || beside.length === 0) continue;
    const names = beside.map((one) => `${nameOf(one)} (until ${one.clearedOn ?? 'it is cleared'})`);
    throw new InputError(
      ['plantedOn'],
      'bad_order',
      `overlaps ${names.join(' and ')}, which already fills the bed. Clear that first, give each a share of the bed, or mark this one as undersown`,
    );
  }
}

// src/core/stock/nearest-material.ts
function nearestMaterialId(contents) {
  const kind = kindOf(contents);
  if (kind === 'compost' && contents.cohorts.some((one) => one.kind !== 'compost')) {
    return contents.cohorts.some((one) => one.kind === 'manure') ? 'compost_manure' : 'compost_garden';
  }
  if (kind === 'char' && figuresOf(contents).charHeldNitrogenG > 0) return 'biochar_charged';
  const main2 = contents.cohorts.reduce((best, one) =>
    cohortCarbonG(one) > cohortCarbonG(best) ||
    (cohortCarbonG(best) === 0 && cohortDryG(one) > cohortDryG(best))
      ? one
      : best,
  );
  return main2.materialId;
}

// src/server/entry-revision.ts
var UNSTAMPED = { version: 1, createdAt: '', updatedAt: '' };
function takenFromStock(stores, entry, gardenId, today) {
  const records = keptRecords(stores, gardenId);
  const others = records.entries.filter(({ id: id2 }) => id2 !== entry.id);
  const { taken } = requireSoundStock({ ...records, entries: [...others, entry] }, today, [entry.id]);
  const given = taken.get(entry.id);
  return { ...entry, massFreshKg: given.massFreshKg, materialId: nearestMaterialId(given.contents) };
}
function weighed({ stores, today }, bed, id2, draft) {
  const kept2 = { ...draft, ...UNSTAMPED, id: id2, bedId: bed.id };
  if (kept2.type !== 'lay') return kept2;
  if (kept2.lotId) return takenFromStock(stores, { ...kept2, massFreshKg: 0 }, bed.gardenId, today);
  const findMaterial = materialFinder({
    materials: stores.materials.listOf(bed.gardenId),
    labResults: stores.labResults.listOf(bed.gardenId),
  });
  const material = findMaterial(kept2.materialId, dayNumberFromIso(kept2.date, ['date']));
  if (!material) {
    throw new InputError(['materialId'], 'unknown', `names no material; got "${kept2.materialId}"`);
  }
  const measured = { bulkDensityKgPerM3: material.bulkDensityKgPerM3, areaM2: bed.areaM2 };
  return { ...kept2, massFreshKg: massFreshKgFromAmount(kept2.amount, kept2.unit, measured) };
}
function carryOutRevision({ stores, today }, bed, revision) {
  for (const { id: id2, version: version2 } of revision.removals)
    requireRemoved(stores.entries.remove(id2, version2), 'entry');
  for (const id2 of revision.restores) written(stores.entries.restore(id2), 'entry');
  for (const draft of revision.creates) {
    const known = sentAgain(stores.entries.find(draft.id), { ...draft, bedId: bed.id });
    if (!known) stores.entries.insert(weighed({ stores, today }, bed, draft.id, draft));
  }
  for (const { id: id2, ...change } of revision.changes) {
    const before = found(stores.entries.find(id2), 'entry');
    requireSeen(before, change.version);
    written(
      stores.entries.update(id2, change.version, weighed({ stores, today }, bed, id2, change)),
      'entry',
    );
  }
  requireOwnEntries(
    stores,
    bed.id,
    revision.order.map((id2) => ({ id: id2 })),
  );
  stores.entries.reorder(revision.order);
}
function requireOwnEntries(stores, bedId, named2) {
  const own = new Set(stores.entries.listOf(bedId).map(({ id: id2 }) => id2));
  for (const { id: id2 } of named2) if (!own.has(id2)) throw notFound('entry');
}

// src/server/routes/plans.ts
function revisePlantings(stores, bedId, { creates, removals, restores }) {
  const own = new Set(stores.plantings.listOf(bedId).map(({ id: id2 }) => id2));
  for (const { id: id2, version: version2 } of removals) {
    if (!own.has(id2)) throw notFound('planting');
    requireRemoved(stores.plantings.remove(id2, version2), 'planting');
  }
  for (const id2 of restores) written(stores.plantings.restore(id2), 'planting');
  for (const draft of creates) {
    if (sentAgain(stores.plantings.find(draft.id), { ...draft, bedId })) continue;
    checkRoom(draft, stores.plantings.listOf(bedId));
    stores.plantings.insert({ ...draft, bedId });
  }
}
var planRoutes = ({ stores, today }) =>
  new Hono6().post('/gardens/:gardenId/plans', body(planRevision), (c) =>
    stores.atomically(() => {
      const garden = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const { beds } = c.req.valid('json');
      for (const { bedId, entries, plantings } of beds) {
        const bed = found(stores.beds.find(bedId), 'bed');
        if (bed.gardenId !== garden.id) throw notFound('bed');
        requireOwnEntries(stores, bed.id, [...entries.changes, ...entries.removals]);
        carryOutRevision({ stores, today: today() }, bed, entries);
        revisePlantings(stores, bed.id, plantings);
      }
      for (const { bedId, entries, plantings } of beds) {
        const about = [...entries.creates, ...entries.changes, ...plantings.creates].map(
          ({ id: id2 }) => id2,
        );
        requireSoundBooks(stores, bedId, today(), { about });
      }
      return c.json(
        {
          entries: beds.flatMap(({ bedId }) => stores.entries.listOf(bedId)),
          plantings: beds.flatMap(({ bedId }) => stores.plantings.listOf(bedId)),
        },
        200,
      );
    }),
  );

// src/server/routes/entries.ts
import { Hono as Hono7 } from 'hono';
var withEntry = (entries, entry) =>
  entries.some(({ id: id2 }) => id2 === entry.id)
    ? entries.map((other) => (other.id === entry.id ? entry : other))
    : [...entries, entry];
var entryRoutes = ({ stores, today, newId }) =>
  new Hono7()
    .post('/beds/:bedId/entries', body(entryDraft), (c) => {
      const draft = c.req.valid('json');
      const id2 = draft.id ?? newId();
      return stores.atomically(() => {
        const bed = found(stores.beds.find(c.req.param('bedId')), 'bed');
        const known = sentAgain(stores.entries.find(id2), { ...draft, bedId: bed.id });
        if (known) return c.json(known, 200);
        const entry = weighed({ stores, today: today() }, bed, id2, draft);
        requireSoundBooks(stores, bed.id, today(), { entries: (all) => withEntry(all, entry), about: [id2] });
        return c.json(stores.entries.insert(entry), 201);
      });
    })
    .post('/beds/:bedId/revisions', body(bedRevision), (c) =>
      stores.atomically(() => {
        const revision = c.req.valid('json');
        const bed = found(stores.beds.find(c.req.param('bedId')), 'bed');
        requireOwnEntries(stores, bed.id, [...revision.changes, ...revision.removals]);
        carryOutRevision({ stores, today: today() }, bed, revision);
        requireSoundBooks(stores, bed.id, today(), {
          about: [...revision.creates, ...revision.changes].map(({ id: id2 }) => id2),
        });
        return c.json({ entries: stores.entries.listOf(bed.id) }, 200);
      }),
    )
    .put('/entries/:entryId', body(entryChange), (c) => {
      const id2 = c.req.param('entryId');
      const change = c.req.valid('json');
      return stores.atomically(() => {
        const before = found(stores.entries.find(id2), 'entry');
        requireSeen(before, change.version);
        const bed = found(stores.beds.find(before.bedId), 'bed');
        const entry = weighed({ stores, today: today() }, bed, id2, change);
        requireSoundBooks(stores, bed.id, today(), { entries: (all) => withEntry(all, entry), about: [id2] });
        return c.json(written(stores.entries.update(id2, change.version, entry), 'entry'), 200);
      });
    })
    .delete('/entries/:entryId', seenVersion, (c) => {
      const id2 = c.req.param('entryId');
      stores.atomically(() => {
        const { bedId } = found(stores.entries.find(id2), 'entry');
        requireSoundBooks(stores, bedId, today(), {
          entries: (all) => all.filter((entry) => entry.id !== id2),
        });
        requireRemoved(stores.entries.remove(id2, c.req.valid('query').version), 'entry');
      });
      return c.body(null, 204);
    })
    .post('/entries/:entryId/restore', (c) =>
      stores.atomically(() => {
        const entry = written(stores.entries.restore(c.req.param('entryId')), 'entry');
        requireSoundBooks(stores, entry.bedId, today(), { about: [entry.id] });
        return c.json(entry, 200);
      }),
    );

// src/server/routes/feeds.ts
import { Hono as Hono8 } from 'hono';
import { createHash as createHash2, randomBytes as randomBytes2 } from 'node:crypto';

// src/contract/journal-records.ts
import { z as z7 } from 'zod';

// src/core/brews/brew-recipes.ts
var BREW_IDS = ['compostTea', 'molassesWater', 'molassesPath', 'nativeStarter', 'nativeWater'];
var perGallon = (litres) => litres / LITRES_PER_GALLON;
var parts = (...shares) => {
  const all = shares.reduce((sum, [, amount]) => sum + amount, 0);
  return shares.map(([what, amount]) => ({ what, litres: amount / all }));
};
var STARTER = parts(
  ['woodlandSoil', 2 * LITRES_PER_CUP],
  ['cookedRice', LITRES_PER_CUP],
  ['molasses', 2 * LITRES_PER_TABLESPOON],
);
var BREWS = [
  {
    id: 'compostTea',
    perLitre: parts(['compost_garden', 1], ['water', 5]),
    days: [1, 2],
    steps: [
      { code: 'steep', day: 0 },
      { code: 'stir', day: 0 },
      { code: 'pourOverCard', day: 1 },
    ],
    go: ['smellsOfEarth'],
    noGo: ['smellsFoul'],
    cautions: ['notOnLeaves', 'washHands', 'legionella'],
    dilution: 1,
  },
  {
    id: 'molassesWater',
    perLitre: [
      { what: 'molasses', litres: perGallon(LITRES_PER_TEASPOON) },
      { what: 'water', litres: 1 - perGallon(LITRES_PER_TEASPOON) },
    ],
    days: [0, 0],
    steps: [
      { code: 'dissolve', day: 0 },
      { code: 'pourOnMulch', day: 0 },
    ],
    go: ['mulchIsMoist'],
    noGo: ['cropIsPale'],
    cautions: ['molassesCostsNitrogen'],
    dilution: 1,
  },
  {
    id: 'molassesPath',
    perLitre: [
      { what: 'molasses', litres: 0.05 },
      { what: 'water', litres: 0.95 },
    ],
    days: [0, 0],
    steps: [
      { code: 'dissolve', day: 0 },
      { code: 'pourOnPath', day: 0 },
    ],
    go: ['chipsAreFresh'],
    noGo: ['bedBesideIsPale'],
    cautions: ['molassesCostsNitrogen', 'slippery'],
    dilution: 1,
  },
  {
    id: 'nativeStarter',
    perLitre: STARTER,
    days: [7, 14],
    steps: [
      { code: 'mixStarter', day: 0 },
      { code: 'keepLoose', day: 0 },
      { code: 'lookForMould', day: 7 },
      { code: 'lookForMould', day: 14 },
    ],
    go: ['whiteMould'],
    noGo: ['blueOrGreenMould', 'smellsFoul'],
    cautions: ['looseLid', 'mouldSpores', 'washHands'],
    dilution: 1,
  },
  {
    id: 'nativeWater',
    perLitre: parts(['starter', 1], ['molasses', 1], ['water', 20]),
    days: [7, 7],
    steps: [
      { code: 'mixWater', day: 0 },
      { code: 'looseLid', day: 0 },
      { code: 'useUp', day: 7 },
    ],
    go: ['smellsSweetSour'],
    noGo: ['smellsFoul', 'blueOrGreenMould'],
    cautions: ['neverTightLid', 'noChlorine', 'molassesCostsNitrogen'],
    dilution: perGallon(LITRES_PER_CUP),
  },
];
var findBrew = (id2) => {
  const brew = BREWS.find((one) => one.id === id2);
  if (!brew) throw new InputError(['brew'], 'unknown', `names no brew; got "${id2}"`);
  return brew;
};

// src/core/journal/journal-records.ts
var VIGORS = ['stalled', 'slow', 'steady', 'strong'];
var HOW_MANY = ['none', 'some', 'many'];
var SMELLS = ['none', 'earthy', 'sour', 'rotten', 'ammonia'];
var WATER_BEHAVIORS = ['soaksIn', 'stands', 'runsOff'];
var PLANT_SIGNS = [
  'olderLeavesFirst',
  'youngLeavesFirst',
  'greenVeins',
  'wholePlantPale',
  'purpleLeaves',
  'brownEdges',
  'limpAtNoon',
  'limpAllDay',
  'seedlings',
  'justPlantedOut',
  'rootsEaten',
  'rootsBrown',
  'rootsCircling',
  'spotsOrMould',
  'soilSoaked',
  'soilDry',
  'soilCold',
  'neighborFine',
  'neighborPaleToo',
];
var MARK_STATES = ['done', 'snoozed', 'dropped'];
var BREW_STATES = ['going', 'used', 'discarded'];
var TRIAL_PLACES = ['plots', 'corners', 'pots'];
var YEAR_CHOICES = ['stack', 'pull', 'rest'];
var isObservation = (record) => record.kind === 'observation';
var isMark = (record) => record.kind === 'mark';

// src/core/judging/judging.ts
var SQUEEZES = ['runs', 'drops', 'holds', 'crumbles', 'dusty'];

// src/contract/journal-records.ts
var leafStep = z7.union([z7.literal(1), z7.literal(2), z7.literal(3), z7.literal(4)]);
var observed = z7.discriminatedUnion('type', [
  z7.strictObject({ type: z7.literal('leafColor'), step: leafStep }),
  z7.strictObject({ type: z7.literal('growth'), vigor: z7.enum(VIGORS) }),
  z7.strictObject({ type: z7.literal('threads'), amount: z7.enum(HOW_MANY) }),
  z7.strictObject({ type: z7.literal('worms'), count: z7.int().min(0).max(500) }),
  z7.strictObject({
    type: z7.literal('thickness'),
    layerId: id.nullable(),
    thicknessCm: finite.min(0).max(150),
  }),
  z7.strictObject({ type: z7.literal('smell'), smell: z7.enum(SMELLS) }),
  z7.strictObject({ type: z7.literal('squeeze'), squeeze: z7.enum(SQUEEZES) }),
  z7.strictObject({ type: z7.literal('waterBehavior'), behavior: z7.enum(WATER_BEHAVIORS) }),
  z7.strictObject({ type: z7.literal('hours'), hours: finite.gt(0).max(24) }),
  z7.strictObject({ type: z7.literal('soilTemperature'), temperatureC: finite.min(-30).max(60) }),
  z7.strictObject({ type: z7.literal('yield'), massKg: finite.gt(0).max(1e5) }),
  z7.strictObject({
    type: z7.literal('signs'),
    signs: z7.array(z7.enum(PLANT_SIGNS)).max(PLANT_SIGNS.length),
    beganOn: date.nullable(),
  }),
  z7.strictObject({ type: z7.literal('note') }),
]);
var TRIAL_PLOTS_MOST = 200;
var fields = {
  observation: {
    kind: z7.literal('observation'),
    date,
    note,
    bedId: id,
    plantingId: id.nullable(),
    photoId: id.nullable(),
    observed,
  },
  mark: {
    kind: z7.literal('mark'),
    date,
    note,
    taskKey: z7.string().min(1).max(160),
    state: z7.enum(MARK_STATES),
    dueOn: date,
    untilDate: date.nullable(),
  },
  brew: {
    kind: z7.literal('brew'),
    date,
    note,
    brewId: z7.enum(BREW_IDS),
    litres: finite.gt(0).max(1e4),
    state: z7.enum(BREW_STATES),
  },
  trial: {
    kind: z7.literal('trial'),
    date,
    note,
    bedId: id.nullable(),
    name,
    place: z7.enum(TRIAL_PLACES),
    treatments: z7.array(name).min(2).max(8),
    repeats: z7.int().min(1).max(25),
    seed: z7.int().min(1).max(999999),
    measure: name,
    unit: z7.string().trim().max(20),
    isMoreBetter: z7.boolean(),
  },
  plotReading: {
    kind: z7.literal('plotReading'),
    date,
    note,
    trialId: id,
    plot: z7.int().min(0).max(TRIAL_PLOTS_MOST),
    value: finite.min(-1e6).max(1e6),
  },
  yearClose: {
    kind: z7.literal('yearClose'),
    date,
    note,
    bedId: id,
    year: z7.int().min(1960).max(2100),
    choice: z7.enum(YEAR_CHOICES).nullable(),
    carbonGPerM2: finite,
    nitrogenGPerM2: finite,
    organicMatterPct: finite.min(0).max(100),
  },
};
var anyRecord = (extra) =>
  z7.discriminatedUnion('kind', [
    z7.strictObject({ ...extra, ...fields.observation }),
    z7.strictObject({ ...extra, ...fields.mark }),
    z7.strictObject({ ...extra, ...fields.brew }),
    z7.strictObject({ ...extra, ...fields.trial }),
    z7.strictObject({ ...extra, ...fields.plotReading }),
    z7.strictObject({ ...extra, ...fields.yearClose }),
  ]);
var journalRow = anyRecord(creation);
var journalChange = anyRecord({ version });
var journalRecord = anyRecord({ ...stamp, gardenId: id });
var journalFiled = anyRecord(filed);
var journalPosting = z7.strictObject({
  records: z7.array(anyRecord({ id })).min(1).max(MOST_AT_ONCE),
});
var feedDraft = z7.strictObject({ name });

// src/server/calendar/garden-calendar.ts
import ical, { ICalCalendarMethod, ICalEventTransparency } from 'ical-generator';

// src/core/agenda/agenda.ts
var SAME_TASK_DAYS = 90;
var SEEN_BEFORE_DAYS = 10;
var SEEN_BY = {
  sweetManure: ['smell'],
  manureWorms: ['worms'],
  manureCrumbs: ['thickness', 'smell', 'worms'],
  threads: ['threads'],
  leaves: ['leafColor', 'growth'],
  thickness: ['thickness'],
};
var dayOf = (iso) => dayNumberFromIso(iso, ['date']);
function agendaOf(tasks, journal, today) {
  const marks = /* @__PURE__ */ new Map();
  for (const mark of journal.filter(isMark)) marks.set(mark.taskKey, mark);
  return tasks
    .map((task2) => itemOf(task2, marks.get(task2.key), journal, today))
    .sort((a, b) => a.shownDay - b.shownDay || a.key.localeCompare(b.key));
}
var isOfThisRound = (mark, { day }) => Math.abs(dayOf(mark.dueOn) - day) < SAME_TASK_DAYS;
function itemOf(task2, known, journal, today) {
  const mark = known && isOfThisRound(known, task2) ? known : null;
  const state = stateOf(task2, mark, journal, today);
  const shownDay = state === 'snoozed' ? dayOf(mark.untilDate) : task2.day;
  return { ...task2, state, shownDay, mark, lateDays: state === 'open' ? Math.max(0, today - task2.day) : 0 };
}
function stateOf(task2, mark, journal, today) {
  if (wasSeen(task2, journal) || wasClosed(task2, journal)) return 'done';
  if (!mark) return 'open';
  if (mark.state !== 'snoozed') return mark.state;
  return mark.untilDate !== null && dayOf(mark.untilDate) > today ? 'snoozed' : 'open';
}
function wasSeen({ what, bedId, day }, journal) {
  if (what.code !== 'check') return false;
  return journal
    .filter(isObservation)
    .some(
      (one) =>
        one.bedId === bedId &&
        SEEN_BY[what.check].includes(one.observed.type) &&
        dayOf(one.date) >= day - SEEN_BEFORE_DAYS,
    );
}
var wasClosed = ({ what, bedId }, journal) =>
  what.code === 'closeYear' &&
  journal.some((one) => one.kind === 'yearClose' && one.bedId === bedId && one.year === what.year);

// src/core/ledger/accounts.ts
var CARBON_ACCOUNTS = ['fresh', 'microbes', 'humus', 'char'];
var CARBON_SOURCES = ['materials'];
var CARBON_SINKS = ['air', 'takenOff'];
var NITROGEN_ACCOUNTS = [
  'fresh',
  'microbes',
  'humus',
  'char',
  'ammonium',
  'layers',
  'contactZone',
  'rootZone',
  'crops',
];
var NITROGEN_SOURCES = ['materials', 'fertiliser', 'deposition', 'fixation', 'subsoil', 'soilTest'];
var NITROGEN_SINKS = ['leached', 'denitrified', 'ammonia', 'harvested', 'takenOff'];

// src/core/ledger/balance.ts
function flowsTouching(element, side, parties) {
  return FLOW_NAMES.flatMap((name2, index) => {
    const route = ROUTES[name2];
    return route.element === element && parties.includes(route[side]) ? [index] : [];
  });
}
var CARBON_INCOME = flowsTouching('carbon', 'from', CARBON_SOURCES);
var CARBON_EXPENSE = flowsTouching('carbon', 'to', CARBON_SINKS);
var NITROGEN_INCOME = flowsTouching('nitrogen', 'from', NITROGEN_SOURCES);
var NITROGEN_EXPENSE = flowsTouching('nitrogen', 'to', NITROGEN_SINKS);
var total2 = (flows, indices) => {
  let sum = 0;
  for (const index of indices) sum += flows[index];
  return sum;
};
var carbonIncome = (flows) => total2(flows, CARBON_INCOME);
var carbonExpense = (flows) => total2(flows, CARBON_EXPENSE);
var nitrogenIncome = (flows) => total2(flows, NITROGEN_INCOME);
var nitrogenExpense = (flows) => total2(flows, NITROGEN_EXPENSE);

// src/core/simulation/books.ts
var BALANCE_COUNT = CARBON_ACCOUNTS.length + NITROGEN_ACCOUNTS.length;
function readBalances({ state, constants }, out, offset = 0) {
  const { cohorts: t, crops, mineralN } = state;
  let freshC = 0;
  let microbialC = 0;
  let humusC = constants.inertC + state.nativeHumusC;
  let charC = 0;
  let freshN = 0;
  let microbialN = 0;
  let humusN = constants.inertN + state.nativeHumusN;
  let charN = 0;
  let ammonium = 0;
  let layers = 0;
  let cropN = 0;
  for (let i = 0; i < t.count; i++) {
    freshC += freshCarbon(t, i);
    microbialC += t.microbialC[i];
    humusC += t.humusC[i];
    charC += t.labileCharC[i] + t.stableCharC[i];
    freshN += t.quickN[i] + t.structuralN[i] + t.woodyN[i];
    microbialN += t.microbialN[i];
    humusN += t.humusN[i];
    charN += t.labileCharN[i] + t.stableCharN[i] + t.charHeldN[i];
    ammonium += t.ammoniumN[i];
    layers += mineralN[layerAccount(i)];
  }
  for (let k = 0; k < crops.count; k++) cropN += crops.standingN[k];
  out[offset] = freshC;
  out[offset + 1] = microbialC;
  out[offset + 2] = humusC;
  out[offset + 3] = charC;
  out[offset + 4] = freshN;
  out[offset + 5] = microbialN;
  out[offset + 6] = humusN;
  out[offset + 7] = charN;
  out[offset + 8] = ammonium;
  out[offset + 9] = layers;
  out[offset + 10] = mineralN[CONTACT_ZONE];
  out[offset + 11] = mineralN[ROOT_ZONE];
  out[offset + 12] = cropN;
}
var sumRange = (values, from, to) => {
  let sum = 0;
  for (let i = from; i < to; i++) sum += values[i];
  return sum;
};
function readBooks(bed, opening, scratch) {
  readBalances(bed, scratch);
  const carbonEnd = CARBON_ACCOUNTS.length;
  const { flows } = bed.state;
  return {
    carbonIn: sumRange(opening, 0, carbonEnd) + carbonIncome(flows),
    carbonAccounted: sumRange(scratch, 0, carbonEnd) + carbonExpense(flows),
    nitrogenIn: sumRange(opening, carbonEnd, BALANCE_COUNT) + nitrogenIncome(flows),
    nitrogenAccounted: sumRange(scratch, carbonEnd, BALANCE_COUNT) + nitrogenExpense(flows),
  };
}
function relativeError(books) {
  const carbon2 = Math.abs(books.carbonIn - books.carbonAccounted) / Math.max(1, books.carbonIn);
  const nitrogen2 = Math.abs(books.nitrogenIn - books.nitrogenAccounted) / Math.max(1, books.nitrogenIn);
  return Math.max(carbon2, nitrogen2);
}

// src/core/simulation/processes/crop-uptake.ts
var ROOTS_FULL_AT = 0.6;
var NEGLIGIBLE_G = 1e-12;
function rootDepthCm(fullDepthCm, progress, isPerennial) {
  const full = Math.max(CONTACT_ZONE_CM, fullDepthCm);
  return isPerennial
    ? full
    : CONTACT_ZONE_CM + (full - CONTACT_ZONE_CM) * Math.min(1, progress / ROOTS_FULL_AT);
}
function growCrops(bed) {
  const { crops } = bed.state;
  let living = 0;
  let largestReach = 0;
  for (let k = crops.firstLiving; k < crops.count; k++) {
    if (!crops.isAlive[k]) continue;
    living += 1;
    advance(bed, k);
    largestReach = Math.max(largestReach, crops.reachInRootZone[k]);
  }
  if (living === 0) return;
  for (const round of [0, 1]) {
    takeUp(bed, CONTACT_ZONE, round, 1);
    takeUp(bed, ROOT_ZONE, round, largestReach);
  }
  for (let k = crops.firstLiving; k < crops.count; k++) {
    if (crops.isAlive[k]) settle(bed, k);
  }
}
function advance({ state, constants }, k) {
  const { crops, flows } = state;
  const before = crops.progress[k];
  const now2 = Math.min(1, before + constants.dtDays / crops.lengthDays[k]);
  crops.progress[k] = now2;
  let wanted = crops.demandAtHarvest[k] * (smoothStep(now2) - smoothStep(before));
  crops.demandedN[k] += wanted;
  if (crops.isPerennial[k]) {
    const lifted2 = wanted * crops.deepShare[k];
    crops.subsoilN[k] += lifted2;
    crops.standingN[k] += lifted2;
    flows[FLOW.liftedFromSubsoil] += lifted2;
    wanted -= lifted2;
  }
  if (crops.isLegume[k]) {
    const fixed2 = wanted * crops.fixedShare[k];
    fix(crops, flows, k, fixed2);
    wanted -= fixed2;
  }
  const depth = rootDepthCm(crops.rootDepthCm[k], now2, crops.isPerennial[k] === 1);
  const reached = Math.min(depth, constants.rootZoneCm);
  crops.contactWeight[k] = CONTACT_ZONE_CM / reached;
  crops.reachInRootZone[k] = clamp(
    (reached - CONTACT_ZONE_CM) / (constants.rootZoneCm - CONTACT_ZONE_CM),
    0,
    1,
  );
  crops.wanted[k] = wanted + crops.backlogN[k];
  crops.got[k] = 0;
}
function fix(crops, flows, k, nitrogenG2) {
  crops.fixedN[k] += nitrogenG2;
  crops.standingN[k] += nitrogenG2;
  flows[FLOW.fixed] += nitrogenG2;
}
function ask(crops, k, zone, round, content, draw) {
  if (!crops.isAlive[k]) return 0;
  const reach = zone === CONTACT_ZONE ? 1 : crops.reachInRootZone[k];
  const missing = crops.wanted[k] - crops.got[k];
  const weight = zone === CONTACT_ZONE ? crops.contactWeight[k] : 1 - crops.contactWeight[k];
  const limit = round === 0 ? Math.min(crops.wanted[k] * weight, missing) : missing;
  return Math.max(0, Math.min(limit, draw * reach * content));
}
function takeUp({ state, constants }, zone, round, largestReach) {
  const { crops, mineralN, flows } = state;
  const content = mineralN[zone];
  const draw = constants.cropDraw;
  let total3 = 0;
  for (let k = crops.firstLiving; k < crops.count; k++) total3 += ask(crops, k, zone, round, content, draw);
  if (total3 <= 0) return;
  const limit = draw * largestReach * content;
  const scale = total3 <= limit ? 1 : limit / total3;
  let paid = 0;
  for (let k = crops.firstLiving; k < crops.count; k++) {
    const amount = ask(crops, k, zone, round, content, draw) * scale;
    crops.got[k] += amount;
    paid += amount;
  }
  mineralN[zone] = Math.max(0, content - paid);
  flows[zone === CONTACT_ZONE ? FLOW.contactZoneToCrops : FLOW.rootZoneToCrops] += paid;
}
function settle({ state, constants }, k) {
  const { crops, flows } = state;
  const got = crops.got[k];
  crops.takenN[k] += got;
  crops.standingN[k] += got;
  let missing = crops.wanted[k] - got;
  if (missing < NEGLIGIBLE_G) missing = 0;
  if (crops.isLegume[k]) {
    fix(crops, flows, k, missing);
    missing = 0;
  }
  const lost2 = missing * lostShare(constants.dtDays / constants.parameters.backlogDays);
  crops.shortN[k] += lost2;
  crops.backlogN[k] = missing - lost2;
}

// src/core/simulation/processes/mulch-stack.ts
function layerThicknessCm(cohorts, i, settlingShare) {
  const carbonG2 =
    livingCarbon(cohorts, i) + cohorts.labileCharC[i] + cohorts.stableCharC[i] + humusOnTop(cohorts, i);
  return carbonG2 * cohorts.thicknessCmPerG[i] * (1 - settlingShare * (1 - cohorts.unsettledShare[i]));
}
var VANISHED_CM = 1e-9;
function stackMulch({ state, constants }, step) {
  const { cohorts } = state;
  const { contactDepthCm, settlingShare } = constants.parameters;
  let heightCm = 0;
  for (let i = 0; i < cohorts.count; i++) {
    if (!isOnSurface(cohorts, i)) continue;
    const thicknessCm = layerThicknessCm(cohorts, i, settlingShare);
    cohorts.thicknessCm[i] = thicknessCm;
    cohorts.contactShare[i] =
      thicknessCm > VANISHED_CM
        ? clamp((contactDepthCm - heightCm) / thicknessCm, 0, 1)
        : heightCm < contactDepthCm
          ? 1
          : 0;
    heightCm += thicknessCm;
    cohorts.coverCm[i] = -heightCm;
  }
  for (let i = 0; i < cohorts.count; i++) {
    if (isOnSurface(cohorts, i)) cohorts.coverCm[i] += heightCm;
  }
  step.mulchCm = heightCm;
}

// src/core/simulation/report.ts
var ORGANIC_MATTER_FROM_CARBON_PCT = 172.4;
function organicMatterPct({ state, constants }) {
  const { cohorts } = state;
  let humusC = constants.inertC + state.nativeHumusC;
  for (let i = 0; i < cohorts.count; i++) humusC += cohorts.humusC[i] - humusOnTop(cohorts, i);
  return (ORGANIC_MATTER_FROM_CARBON_PCT * humusC) / constants.soilMassGPerM2;
}
function mulchHeightCm({ state, constants }) {
  const { cohorts } = state;
  let heightCm = 0;
  for (let i = 0; i < cohorts.count; i++) {
    if (isOnSurface(cohorts, i)) {
      heightCm += layerThicknessCm(cohorts, i, constants.parameters.settlingShare);
    }
  }
  return heightCm;
}
function mineralNitrogen({ state }) {
  let layers = 0;
  for (let i = 0; i < state.cohorts.count; i++) layers += state.mineralN[layerAccount(i)];
  return [layers, state.mineralN[CONTACT_ZONE], state.mineralN[ROOT_ZONE]];
}
var poolAmounts = (pools, i) => Object.fromEntries(POOL_NAMES.map((name2, k) => [name2, pools[k][i]]));
function reportCohort({ state, constants }, i) {
  const t = state.cohorts;
  const onSurface = isOnSurface(t, i);
  const drawnG = drawnNitrogen(t, i);
  const releasedG = releasedNitrogen(t, i);
  return {
    id: t.ids[i],
    place: onSurface ? 'surface' : 'dug',
    openingCarbonG: t.openingC[i],
    openingNitrogenG: t.openingN[i],
    carbonG: poolAmounts(carbonPools(t), i),
    nitrogenG: poolAmounts(nitrogenPools(t), i),
    ammoniumG: t.ammoniumN[i],
    layerNitrogenG: state.mineralN[layerAccount(i)],
    charHeldG: t.charHeldN[i],
    respiredCarbonG: t.respiredC[i],
    humifiedCarbonG: t.humifiedC[i],
    drawnG,
    drawnByZoneG: [t.drawnFromLayersN[i], t.drawnFromContactZoneN[i], t.drawnFromRootZoneN[i]],
    releasedG,
    lockedG: Math.max(0, drawnG - releasedG),
    volatilizedG: t.volatilizedN[i],
    decayLimit: t.decayLimit[i],
    thicknessCm: onSurface ? layerThicknessCm(t, i, constants.parameters.settlingShare) : 0,
    peakLockedG: t.peakLockedN[i],
  };
}
function heldNitrogen({ state }) {
  const held = [0, 0, 0];
  for (let i = 0; i < state.cohorts.count; i++) {
    const [layers, contact, root] = heldByCohort(state.cohorts, i);
    held[0] += layers;
    held[1] += contact;
    held[2] += root;
  }
  return held;
}
function heldByCohort(t, i) {
  const layers = Math.max(0, t.drawnFromLayersN[i] - t.releasedToLayersN[i]);
  const contact = Math.max(0, t.drawnFromContactZoneN[i] - t.releasedToContactZoneN[i]);
  const root = Math.max(0, t.drawnFromRootZoneN[i] - t.releasedToRootZoneN[i]);
  const total3 = layers + contact + root;
  if (total3 === 0) return [0, 0, 0];
  const share2 = Math.min(1, t.microbialN[i] / total3);
  return [layers * share2, contact * share2, root * share2];
}

// src/core/simulation/processes/ageing.ts
function age({ state, constants }) {
  const { cohorts } = state;
  for (let i = 0; i < cohorts.count; i++) {
    cohorts.unsettledShare[i] *= constants.settlingKept;
    cohorts.unmixedHumusC[i] *= constants.humusMixingKept;
    const lockedN = drawnNitrogen(cohorts, i) - releasedNitrogen(cohorts, i);
    if (lockedN > cohorts.peakLockedN[i]) cohorts.peakLockedN[i] = lockedN;
  }
}

// src/core/simulation/processes/char.ts
function decayChar({ state, constants }) {
  const { cohorts, mineralN, flows } = state;
  for (let i = 0; i < cohorts.count; i++) {
    const stableC = cohorts.stableCharC[i];
    if (stableC === 0) continue;
    const stableLoss = lostShare(constants.dtDays / cohorts.stableCharResidenceDays[i]);
    const labileC = cohorts.labileCharC[i];
    const lostLabileC = labileC * constants.labileCharLoss;
    const lostStableC = stableC * stableLoss;
    const lostLabileN = cohorts.labileCharN[i] * constants.labileCharLoss;
    const lostStableN = cohorts.stableCharN[i] * stableLoss;
    cohorts.labileCharC[i] -= lostLabileC;
    cohorts.stableCharC[i] -= lostStableC;
    cohorts.labileCharN[i] -= lostLabileN;
    cohorts.stableCharN[i] -= lostStableN;
    cohorts.respiredC[i] += lostLabileC + lostStableC;
    cohorts.releasedToContactZoneN[i] += lostLabileN + lostStableN;
    mineralN[CONTACT_ZONE] += lostLabileN + lostStableN;
    flows[FLOW.charCarbonRespired] += lostLabileC + lostStableC;
    flows[FLOW.charToContactZone] += lostLabileN + lostStableN;
  }
}
function exchangeCharNitrogen(bed) {
  const { cohorts } = bed.state;
  for (let i = 0; i < cohorts.count; i++) {
    if (cohorts.charCapacityN[i] === 0) continue;
    cohorts.charCapacityN[i] *= bed.constants.charFouling;
    const spare = cohorts.charCapacityN[i] - cohorts.charHeldN[i];
    const onSurface = isOnSurface(cohorts, i);
    const inContact = onSurface ? 1 : cohorts.shareInContactZone[i];
    if (spare < 0) {
      handBack(bed, i, -spare, inContact);
    } else {
      const touching = onSurface ? cohorts.contactShare[i] : 1;
      fillSites(bed, i, spare * bed.constants.charFilling * touching, inContact);
    }
  }
}
function handBack({ state }, i, excessG, inContact) {
  const { cohorts, mineralN, flows } = state;
  const toContact = excessG * inContact;
  const toRoot = excessG - toContact;
  cohorts.charHeldN[i] -= excessG;
  cohorts.releasedToContactZoneN[i] += toContact;
  cohorts.releasedToRootZoneN[i] += toRoot;
  mineralN[CONTACT_ZONE] += toContact;
  mineralN[ROOT_ZONE] += toRoot;
  flows[FLOW.charToContactZone] += toContact;
  flows[FLOW.charToRootZone] += toRoot;
}
function fillSites({ state, constants }, i, wantedG, inContact) {
  const { cohorts, mineralN, flows } = state;
  const fromContact = Math.min(wantedG * inContact, constants.charLargestDraw * mineralN[CONTACT_ZONE]);
  const fromRoot = Math.min(wantedG * (1 - inContact), constants.charLargestDraw * mineralN[ROOT_ZONE]);
  cohorts.charHeldN[i] += fromContact + fromRoot;
  cohorts.drawnFromContactZoneN[i] += fromContact;
  cohorts.drawnFromRootZoneN[i] += fromRoot;
  mineralN[CONTACT_ZONE] -= fromContact;
  mineralN[ROOT_ZONE] -= fromRoot;
  flows[FLOW.contactZoneToChar] += fromContact;
  flows[FLOW.rootZoneToChar] += fromRoot;
}

// src/core/simulation/processes/wash-in.ts
var accountOfLayer = (cohorts, i) => (cohorts.countsAsSoil[i] === 1 ? CONTACT_ZONE : layerAccount(i));
function layerBeneath(cohorts, i) {
  let below = i - 1;
  while (below >= 0 && !isOnSurface(cohorts, below)) below -= 1;
  return below;
}
var LAYER_WASH_REFERENCE_CM = 5;
function washAndVolatilize({ state, constants }, step) {
  const { cohorts } = state;
  const p = constants.parameters;
  const warmth = step.q10Modifier * constants.dtDays;
  let shield = 1;
  for (let i = cohorts.count - 1; i >= 0; i--) {
    if (!isOnSurface(cohorts, i)) continue;
    const ammoniumG = cohorts.ammoniumN[i];
    const layerG = state.mineralN[layerAccount(i)];
    if (ammoniumG > 0 || layerG > 0) {
      const beneath = layerBeneath(cohorts, i);
      const target = beneath < 0 ? CONTACT_ZONE : accountOfLayer(cohorts, beneath);
      const wash = (shield * step.waterMm) / p.washingMm;
      const escape = shield * warmth * (1 - lostShare(cohorts.coverCm[i] / p.ammoniaCoverCm));
      washAmmonium(state, i, target, wash, p.ammoniaLossPerDay * cohorts.ammoniaExposure[i] * escape);
      const thickness = clamp(cohorts.thicknessCm[i] / LAYER_WASH_REFERENCE_CM, 0.2, 3);
      washLayer(state, i, target, wash / thickness, p.layerAmmoniaLossPerDay * escape);
    }
    const laidStructural = cohorts.openingStructuralC[i];
    if (cohorts.vaporBarrier[i] > 0 && laidStructural > 0) {
      shield *= 1 - cohorts.vaporBarrier[i] * smoothStep(cohorts.structuralC[i] / laidStructural);
    }
  }
  step.soilShield = shield;
}
function washAmmonium(state, i, target, wash, escape) {
  const { cohorts, mineralN, flows } = state;
  const content = cohorts.ammoniumN[i];
  const rate = wash + escape;
  if (content === 0 || rate === 0) return;
  const gone = content * lostShare(rate);
  const ammonia = (gone * escape) / rate;
  const washed = gone - ammonia;
  cohorts.ammoniumN[i] = content - gone;
  cohorts.volatilizedN[i] += ammonia;
  flows[FLOW.ammoniumVolatilized] += ammonia;
  mineralN[target] += washed;
  if (target === CONTACT_ZONE) {
    cohorts.releasedToContactZoneN[i] += washed;
    flows[FLOW.ammoniumToContactZone] += washed;
  } else {
    cohorts.releasedToLayersN[i] += washed;
    flows[FLOW.ammoniumToLayers] += washed;
  }
}
function washLayer(state, i, target, wash, escape) {
  const { cohorts, mineralN, flows } = state;
  const account = layerAccount(i);
  const content = mineralN[account];
  const rate = wash + escape;
  if (content === 0 || rate === 0) return;
  const gone = content * lostShare(rate);
  const ammonia = (gone * escape) / rate;
  const washed = gone - ammonia;
  mineralN[account] = content - gone;
  cohorts.volatilizedN[i] += ammonia;
  flows[FLOW.layersVolatilized] += ammonia;
  mineralN[target] += washed;
  if (target === CONTACT_ZONE) flows[FLOW.layersToContactZone] += washed;
}

// src/core/simulation/processes/decomposition.ts
var THINNEST_SOURCE_CM = 0.1;
var NO_LAYER = -1;
function decompose(bed, step) {
  const { state, constants, classes, decay } = bed;
  const { parameters: p, dtDays } = constants;
  const contactModifier = step.temperatureModifier * step.contactMoisture;
  updateDecayClasses(classes, p, contactModifier, step.temperatureModifier * step.rootMoisture, dtDays);
  collectParts(bed, p.fungalLiftGPerM2Day * contactModifier * dtDays);
  if (decay.parts.count === 0) return;
  workOutPotentials(decay);
  for (let i = state.cohorts.count - 1; i >= 0; i--) settleRequests(decay, layerAccount(i));
  settleRequests(decay, CONTACT_ZONE);
  settleRequests(decay, ROOT_ZONE);
  applyDecay(decay);
}
function collectParts({ state, constants, decay: { parts: parts2 } }, liftG) {
  const { cohorts } = state;
  clearParts(parts2);
  let beneath = NO_LAYER;
  for (let i = 0; i < cohorts.count; i++) {
    const onSurface = isOnSurface(cohorts, i);
    if (livingCarbon(cohorts, i) > 0) {
      cohorts.decayLimit[i] = 0;
      if (!onSurface) addDugParts(parts2, cohorts, i);
      else if (cohorts.countsAsSoil[i] === 1) addCompostParts(parts2, cohorts, i);
      else {
        const source = beneath === NO_LAYER ? NO_LAYER : accountOfLayer(cohorts, beneath);
        addLayerParts(parts2, cohorts, i, source, liftG, constants.parameters);
      }
    }
    if (onSurface && cohorts.thicknessCm[i] >= THINNEST_SOURCE_CM) beneath = i;
  }
}
function addDugParts(parts2, cohorts, i) {
  const inContact = cohorts.shareInContactZone[i];
  const upper = addPart(parts2, i, inContact, cohorts.contactClass[i], CONTACT_ZONE);
  allowDraw(parts2, upper, 0, CONTACT_ZONE, cohorts.reachInContactZone[i], 1, Infinity);
  if (inContact < 1) {
    const lower = addPart(parts2, i, 1 - inContact, cohorts.upperClass[i], ROOT_ZONE);
    allowDraw(parts2, lower, 0, ROOT_ZONE, cohorts.reachInRootZone[i], 1, Infinity);
  }
}
function addCompostParts(parts2, cohorts, i) {
  const touching = cohorts.contactShare[i];
  if (touching > 0) addPart(parts2, i, touching, cohorts.contactClass[i], CONTACT_ZONE);
  if (touching < 1) addPart(parts2, i, 1 - touching, cohorts.upperClass[i], CONTACT_ZONE);
}
function addLayerParts(parts2, cohorts, i, sourceBeneath, liftG, { contactDepthCm, contactDraw }) {
  const touching = cohorts.contactShare[i];
  const thicknessCm = cohorts.thicknessCm[i];
  const own = layerAccount(i);
  if (touching > 0) {
    const contact = addPart(parts2, i, touching, cohorts.contactClass[i], CONTACT_ZONE);
    const cap =
      cohorts.isLiftCapped[i] === 1
        ? liftG * Math.min(1, (touching * thicknessCm) / contactDepthCm)
        : Infinity;
    allowDraw(parts2, contact, 0, own, 1, 1, Infinity);
    allowDraw(parts2, contact, 1, CONTACT_ZONE, 1, contactDraw, cap);
  }
  if (touching < 1) {
    const upper = addPart(parts2, i, 1 - touching, cohorts.upperClass[i], own);
    allowDraw(parts2, upper, 0, own, 1, 1, Infinity);
    if (sourceBeneath !== NO_LAYER) {
      const cap = liftG * Math.min(1, ((1 - touching) * thicknessCm) / contactDepthCm);
      allowDraw(parts2, upper, 1, sourceBeneath, 1, 1, cap);
    }
  }
}

// src/core/simulation/processes/deposition.ts
function receiveDeposition({ state, constants }) {
  const nitrogenG2 = (constants.depositionGPerM2Year / 365) * constants.dtDays;
  state.mineralN[CONTACT_ZONE] += nitrogenG2;
  state.flows[FLOW.deposited] += nitrogenG2;
}

// src/core/simulation/processes/humus-decay.ts
function decayNativeHumus(bed, step) {
  const { constants } = bed;
  const years = (constants.parameters.humusDecayPerYear * step.temperatureModifier * constants.dtDays) / 365;
  step.contactHumusLoss = lostShare(years * step.contactMoisture);
  step.rootHumusLoss = lostShare(years * step.rootMoisture);
  const share2 = constants.contactHumusShare;
  loseNativeHumus(bed, share2 * step.contactHumusLoss, CONTACT_ZONE, FLOW.nativeHumusToContactZone);
  loseNativeHumus(bed, (1 - share2) * step.rootHumusLoss, ROOT_ZONE, FLOW.nativeHumusToRootZone);
}
function loseNativeHumus({ state }, loss, zone, flow) {
  const carbonG2 = loss * state.nativeHumusC;
  const nitrogenG2 = loss * state.nativeHumusN;
  state.nativeHumusC -= carbonG2;
  state.nativeHumusN -= nitrogenG2;
  state.mineralN[zone] += nitrogenG2;
  state.flows[FLOW.nativeHumusCarbonRespired] += carbonG2;
  state.flows[flow] += nitrogenG2;
}
function decayLaidHumus(bed, step) {
  const { cohorts, mineralN, flows } = bed.state;
  const { contactHumusLoss: contactLoss, rootHumusLoss: rootLoss } = step;
  for (let i = 0; i < cohorts.count; i++) {
    const carbonG2 = cohorts.humusC[i];
    if (carbonG2 === 0) continue;
    const inContact = isOnSurface(cohorts, i) ? 1 : cohorts.shareInContactZone[i];
    const fromContact = inContact * contactLoss;
    const fromRoot = (1 - inContact) * rootLoss;
    const nitrogenG2 = cohorts.humusN[i];
    const lostC = carbonG2 * (fromContact + fromRoot);
    const toContact = nitrogenG2 * fromContact;
    const toRoot = nitrogenG2 * fromRoot;
    cohorts.humusC[i] = carbonG2 - lostC;
    cohorts.humusN[i] = nitrogenG2 - toContact - toRoot;
    cohorts.respiredC[i] += lostC;
    cohorts.releasedToContactZoneN[i] += toContact;
    cohorts.releasedToRootZoneN[i] += toRoot;
    mineralN[CONTACT_ZONE] += toContact;
    mineralN[ROOT_ZONE] += toRoot;
    flows[FLOW.laidHumusCarbonRespired] += lostC;
    flows[FLOW.laidHumusToContactZone] += toContact;
    flows[FLOW.laidHumusToRootZone] += toRoot;
  }
}

// src/core/simulation/processes/leaching.ts
var WARMEST_DENITRIFICATION = 2;
var DRAIN_REFERENCE_MM = 10;
var EQUAL_RATES = 1e-9;
function leachAndDenitrify({ state, constants }, step) {
  if (step.contactDrainMm === 0 && step.rootDrainMm === 0) return;
  const { mineralN, flows } = state;
  const heldContact = Math.min(mineralN[CONTACT_ZONE], constants.heldAmmoniumG[0]);
  const heldRoot = Math.min(mineralN[ROOT_ZONE], constants.heldAmmoniumG[1]);
  const contact = mineralN[CONTACT_ZONE] - heldContact;
  const root = mineralN[ROOT_ZONE] - heldRoot;
  const contactRate = (step.soilShield * step.contactDrainMm) / constants.waterMm[0];
  const rootRate = (step.soilShield * step.rootDrainMm) / constants.waterMm[1];
  const intoRoot = contact * lostShare(contactRate);
  const caught =
    Math.abs(rootRate - contactRate) <= EQUAL_RATES
      ? contactRate * Math.exp(-contactRate)
      : (contactRate * (Math.exp(-contactRate) - Math.exp(-rootRate))) / (rootRate - contactRate);
  const leached = root * lostShare(rootRate) + Math.max(0, intoRoot - contact * caught);
  const contactLeft = contact - intoRoot;
  const rootLeft = root + intoRoot - leached;
  flows[FLOW.contactZoneToRootZone] += intoRoot;
  flows[FLOW.leached] += leached;
  const rate =
    (constants.parameters.denitrifiedPer10Mm *
      Math.min(WARMEST_DENITRIFICATION, step.temperatureModifier) *
      constants.denitrificationWeight) /
    DRAIN_REFERENCE_MM;
  const contactGas = denitrified(contact, contactLeft, rate * step.contactDrainMm);
  const rootGas = denitrified(root, rootLeft, rate * step.rootDrainMm);
  flows[FLOW.contactZoneDenitrified] += contactGas;
  flows[FLOW.rootZoneDenitrified] += rootGas;
  mineralN[CONTACT_ZONE] = heldContact + contactLeft - contactGas;
  mineralN[ROOT_ZONE] = heldRoot + rootLeft - rootGas;
}
var denitrified = (before, after, exponent) => Math.min(after, ((before + after) / 2) * lostShare(exponent));

// src/core/simulation/processes/water-balance.ts
var FULL_COVER_MULCH_CM = 5;
function groundCover(crops) {
  let cover = 0;
  for (let k = crops.firstLiving; k < crops.count; k++) {
    if (crops.isAlive[k]) cover = Math.max(cover, smoothStep(crops.progress[k]));
  }
  return cover;
}
function balanceWater({ state, constants }, step) {
  const { parameters: p, maximumDeficitMm } = constants;
  const contact = state.contactDeficitMm - step.waterMm;
  step.contactDrainMm = Math.max(0, -contact);
  const root = state.rootDeficitMm - step.contactDrainMm;
  step.rootDrainMm = Math.max(0, -root);
  const cover = groundCover(state.crops);
  const mulchCut = p.mulchEvaporationCut * Math.min(1, step.mulchCm / FULL_COVER_MULCH_CM);
  const evaporationMm =
    step.evapotranspirationMm * (cover + p.bareSoilEvaporation * (1 - cover) * (1 - mulchCut));
  const fromContactMm = p.contactZoneEvaporationShare * evaporationMm;
  const contactDeficit = Math.max(0, contact);
  const rootDeficit = Math.max(0, root);
  state.contactDeficitMm = contactDeficit + Math.min(fromContactMm, maximumDeficitMm[0] - contactDeficit);
  state.rootDeficitMm =
    rootDeficit +
    Math.min((1 - p.contactZoneEvaporationShare) * evaporationMm, maximumDeficitMm[1] - rootDeficit);
  state.drainedMm += step.rootDrainMm;
  step.contactMoisture = moistureModifier(state.contactDeficitMm, maximumDeficitMm[0]);
  step.rootMoisture = moistureModifier(state.rootDeficitMm, maximumDeficitMm[1]);
}

// src/core/simulation/step-day.ts
function stepOnce(bed, step) {
  receiveDeposition(bed);
  stackMulch(bed, step);
  balanceWater(bed, step);
  washAndVolatilize(bed, step);
  decayNativeHumus(bed, step);
  decayLaidHumus(bed, step);
  decayChar(bed);
  decompose(bed, step);
  exchangeCharNitrogen(bed);
  age(bed);
  growCrops(bed);
  leachAndDenitrify(bed, step);
}
var PALENESS_WINDOW_DAYS = 14;
var PALENESS_FROM_DEMAND_SHARE = 0.03;
var VISIBLY_PALE = 0.25;
function automaticWaterMm(bed, irrigation, month) {
  if (!irrigation.months.includes(month)) return 0;
  const { maximumDeficitMm } = bed.constants;
  const deficit = bed.state.contactDeficitMm + bed.state.rootDeficitMm;
  const largest = maximumDeficitMm[0] + maximumDeficitMm[1];
  return deficit > irrigation.trigger * largest ? irrigation.refill * deficit : 0;
}
function stepDay(bed, step, weather, index, wateringMm) {
  const steps = bed.constants.stepsPerDay;
  step.day = weather.firstDay + index;
  step.waterMm = (weather.rainMm[index] + wateringMm) / steps;
  step.evapotranspirationMm = weather.evapotranspirationMm[index] / steps;
  step.temperatureModifier = weather.temperatureModifier[index];
  step.q10Modifier = weather.q10Modifier[index];
  for (let s = 0; s < steps; s++) stepOnce(bed, step);
  judgePaleness(bed, step.day);
}
function judgePaleness({ state: { crops } }, day) {
  for (let k = crops.firstLiving; k < crops.count; k++) {
    if (!crops.isAlive[k]) continue;
    const demand = crops.demandAtHarvest[k];
    const now2 = crops.progress[k];
    const earlier = smoothStep(now2 - PALENESS_WINDOW_DAYS / crops.lengthDays[k]);
    const recentDemand = demand * (smoothStep(now2) - earlier);
    const isLargeEnough = crops.demandedN[k] > PALENESS_FROM_DEMAND_SHARE * demand;
    const paleness = isLargeEnough && recentDemand > 0 ? Math.min(1, crops.backlogN[k] / recentDemand) : 0;
    crops.paleness[k] = paleness;
    crops.palestSoFar[k] = Math.max(crops.palestSoFar[k], paleness);
    if (paleness > VISIBLY_PALE) {
      crops.paleDays[k] += 1;
      if (crops.firstPaleDay[k] === 0) crops.firstPaleDay[k] = day;
    }
  }
}

// src/core/simulation/run.ts
var BALANCE_TOLERANCE = 1e-9;
var PROVED_EVERY_DAYS = 10;
function groupByDay(items, daysOf) {
  const byDay = /* @__PURE__ */ new Map();
  for (const item of items) {
    for (const day of daysOf(item)) {
      const sameDay = byDay.get(day);
      if (sameDay) sameDay.push(item);
      else byDay.set(day, [item]);
    }
  }
  return byDay;
}
function scheduleOf(scenario) {
  const events = groupByDay(scenario.events, (event) => [event.day]);
  const crops = groupByDay(scenario.crops, (crop) => [crop.plantDay, crop.harvestDay]);
  const isBusy = new Uint8Array(scenario.endDay - scenario.startDay);
  for (const day of [...events.keys(), ...crops.keys()]) isBusy[day - scenario.startDay] = 1;
  return { isBusy, events, crops };
}
var cohortCapacity = ({ events, crops }) =>
  events.filter((event) => event.type === 'apply').length + crops.length;
var cropCapacity = ({ crops }) => crops.length + 1;
function startRun(scenario) {
  checkScenario(scenario);
  const parameters = withOverrides(scenario.parameters);
  const constants = bedConstants(
    scenario.soil,
    parameters,
    scenario.stepsPerDay,
    scenario.depositionGPerM2Year,
  );
  const bed = createBed(constants, scenario.soil, cohortCapacity(scenario), cropCapacity(scenario));
  const opening = new Float64Array(BALANCE_COUNT);
  readBalances(bed, opening);
  return {
    scenario,
    bed,
    weather: weatherSeries(
      scenario.climate,
      scenario.startDay,
      scenario.endDay - scenario.startDay,
      parameters,
      scenario.weather,
    ),
    piles: new Map(scenario.piles.map((plan) => [plan.id, runPile(plan, scenario.climate, parameters)])),
    opening,
    schedule: scheduleOf(scenario),
    doses: /* @__PURE__ */ new Map(),
    day: scenario.startDay,
    largestRelativeError: 0,
    step: createSubStep(),
    scratch: new Float64Array(BALANCE_COUNT),
  };
}
function runTo(run2, untilDay, onMorning) {
  while (run2.day < untilDay) {
    onMorning?.(run2);
    runDay(run2);
    if (run2.day === untilDay || run2.day % PROVED_EVERY_DAYS === 0) proveBooks(run2);
  }
}
function runDay(run2) {
  const { bed, scenario, schedule, weather, day } = run2;
  let wateringMm = 0;
  const index = day - scenario.startDay;
  if (schedule.isBusy[index] === 1) {
    for (const event of schedule.events.get(day) ?? []) wateringMm += carryOut(bed, event, run2.piles);
  }
  const dose = run2.doses.size > 0 ? run2.doses.get(day) : void 0;
  if (dose) giveDose(bed, dose);
  if (schedule.isBusy[index] === 1) {
    for (const crop of schedule.crops.get(day) ?? []) {
      if (crop.plantDay === day) plantCrop(bed, crop);
      else harvestCrop(bed, crop);
    }
  }
  if (scenario.irrigation) wateringMm += automaticWaterMm(bed, scenario.irrigation, weather.month[index]);
  stepDay(bed, run2.step, weather, index, wateringMm);
  run2.day = day + 1;
}
function proveBooks(run2) {
  const error = relativeError(readBooks(run2.bed, run2.opening, run2.scratch));
  if (!(error <= BALANCE_TOLERANCE)) {
    throw new Error(`The books no longer balance by day ${run2.day}: relative difference ${error}`);
  }
  run2.largestRelativeError = Math.max(run2.largestRelativeError, error);
}
function bookmark(run2) {
  const copy = createBed(
    run2.bed.constants,
    run2.scenario.soil,
    cohortCapacity(run2.scenario),
    cropCapacity(run2.scenario),
  ).state;
  copyState(run2.bed.state, copy);
  return { day: run2.day, state: copy };
}
function returnTo(run2, mark) {
  copyState(mark.state, run2.bed.state);
  run2.day = mark.day;
}
function missedByTrialCrop(run2, crop) {
  const mark = bookmark(run2);
  plantCrop(run2.bed, crop);
  const { crops } = run2.bed.state;
  const k = crops.count - 1;
  runTo(run2, crop.harvestDay);
  const missedG = crops.shortN[k] + crops.backlogN[k];
  returnTo(run2, mark);
  return missedG;
}

// src/core/projection/bed-projection.ts
var NEAR_STEP_DAYS = 7;
var FAR_STEP_DAYS = 28;
var NEAR_BEFORE_DAYS = 100;
var NEAR_AFTER_DAYS = 400;
var looksAround = (today) => (day) => {
  const isNear = day >= today - NEAR_BEFORE_DAYS && day <= today + NEAR_AFTER_DAYS;
  return (day - today) % (isNear ? NEAR_STEP_DAYS : FAR_STEP_DAYS) === 0;
};
var WANT_AHEAD_DAYS = 28;
function projectBed(scenario, looksAt, alsoOn = []) {
  const run2 = startRun(scenario);
  const isLook = typeof looksAt === 'number' ? (day) => (day - scenario.startDay) % looksAt === 0 : looksAt;
  const wanted = new Set(alsoOn);
  const samples = [];
  let looks = wanted.size + 1;
  for (let day = scenario.startDay; day < scenario.endDay; day++) if (isLook(day)) looks += 1;
  const buffer = new Float64Array(looks * BOOKS_WIDTH);
  const look = (bed, day) => {
    const from = samples.length * BOOKS_WIDTH;
    samples.push(sample(bed, day, scenario, buffer.subarray(from, from + BOOKS_WIDTH)));
  };
  runTo(run2, scenario.endDay, ({ bed, day }) => {
    if (isLook(day) || wanted.has(day)) look(bed, day);
  });
  look(run2.bed, scenario.endDay);
  return {
    startDay: scenario.startDay,
    endDay: scenario.endDay,
    samples,
    largestRelativeError: run2.largestRelativeError,
    crops: cropOutcomes(run2.bed, scenario),
  };
}
var BOOKS_WIDTH = BALANCE_COUNT + FLOW_COUNT;
function sample(bed, day, scenario, books) {
  const balances = books.subarray(0, BALANCE_COUNT);
  const flows = books.subarray(BALANCE_COUNT);
  readBalances(bed, balances);
  flows.set(bed.state.flows);
  const [, availableContactG, availableRootG] = mineralNitrogen(bed);
  const [, heldContactG, heldRootG] = heldNitrogen(bed);
  return {
    day,
    balances,
    flows,
    availableContactG,
    availableRootG,
    heldContactG,
    heldRootG,
    cropWantG: scenario.crops.reduce((sum, crop) => sum + wantAhead(crop, day), 0),
    cropShortG: bed.state.crops.shortN.reduce((sum, short) => sum + short, 0),
    organicMatterPct: organicMatterPct(bed),
    humusCarbonG: balances[2],
    charCarbonG: balances[3],
    humusBandCm: humusBandCm(bed),
    mulchCm: mulchHeightCm(bed),
    topsoilDryness: bed.state.contactDeficitMm / bed.constants.maximumDeficitMm[0],
    layers: layerStates(bed),
    crops: cropStates(bed),
  };
}
var HUMUS_DENSITY_G_PER_CM3 = 0.5;
var ORGANIC_MATTER_PER_CARBON = 1.724;
var SQUARE_CM_PER_M2 = 1e4;
function humusBandCm({ state: { cohorts } }) {
  const carbonG2 = total(cohorts.humusC.subarray(0, cohorts.count));
  return (carbonG2 * ORGANIC_MATTER_PER_CARBON) / HUMUS_DENSITY_G_PER_CM3 / SQUARE_CM_PER_M2;
}
function wantAhead(crop, day) {
  const length = crop.harvestDay - crop.plantDay;
  const progress = (d) => smoothStep((d - crop.plantDay) / length);
  return day >= crop.harvestDay
    ? 0
    : crop.nitrogenDemandGPerM2 * (progress(day + WANT_AHEAD_DAYS) - progress(day));
}
var THINNEST_SHOWN_CM = 0.05;
var LEAST_SHOWN_CARBON_G = 1;
function layerStates({ state, constants }) {
  const t = state.cohorts;
  const states = [];
  for (let i = 0; i < t.count; i++) {
    const isOnTop = isOnSurface(t, i);
    const thicknessCm = isOnTop ? layerThicknessCm(t, i, constants.parameters.settlingShare) : 0;
    const freshCarbonG = freshCarbon(t, i);
    const charCarbonG = t.labileCharC[i] + t.stableCharC[i];
    const isSpent = freshCarbonG + t.microbialC[i] + t.humusC[i] + charCarbonG < LEAST_SHOWN_CARBON_G;
    if (isSpent || (isOnTop && thicknessCm < THINNEST_SHOWN_CM)) continue;
    const drawnNitrogenG = drawnNitrogen(t, i);
    const releasedNitrogenG = releasedNitrogen(t, i);
    const [, heldContactG, heldRootG] = heldByCohort(t, i);
    states.push({
      id: t.ids[i],
      kind: t.kinds[i],
      isOnTop,
      dugDepthCm: t.dugDepthCm[i],
      thicknessCm,
      freshCarbonG,
      microbialCarbonG: t.microbialC[i],
      humusCarbonG: t.humusC[i],
      charCarbonG,
      respiredCarbonG: t.respiredC[i],
      laidCarbonG: t.openingC[i],
      laidNitrogenG: t.openingN[i],
      boundNitrogenG: boundNitrogen(t, i),
      humusNitrogenG: t.humusN[i],
      drawnNitrogenG,
      releasedNitrogenG,
      ammoniaNitrogenG: t.volatilizedN[i],
      lockedNitrogenG: Math.max(0, drawnNitrogenG - releasedNitrogenG),
      heldContactG,
      heldRootG,
    });
  }
  return states;
}
var boundNitrogen = (t, i) =>
  t.quickN[i] +
  t.structuralN[i] +
  t.woodyN[i] +
  t.microbialN[i] +
  t.labileCharN[i] +
  t.stableCharN[i] +
  t.ammoniumN[i] +
  t.charHeldN[i];
function cropStates({ state: { crops } }) {
  const states = [];
  for (let k = 0; k < crops.count; k++) {
    if (crops.isAlive[k] === 0) continue;
    states.push({
      id: crops.ids[k],
      progress: crops.progress[k],
      rootDepthCm: rootDepthCm(crops.rootDepthCm[k], crops.progress[k], crops.isPerennial[k] === 1),
      paleness: crops.paleness[k],
    });
  }
  return states;
}
function cropOutcomes({ state: { crops } }, scenario) {
  return scenario.crops.flatMap((plan) => {
    const k = crops.ids.indexOf(plan.id);
    if (k < 0) return [];
    const firstPaleDay = crops.firstPaleDay[k];
    return {
      id: plan.id,
      plantDay: plan.plantDay,
      harvestDay: plan.harvestDay,
      demandG: crops.demandedN[k],
      shortG: crops.shortN[k],
      paleDays: crops.paleDays[k],
      firstPaleDay: firstPaleDay === 0 ? null : firstPaleDay,
    };
  });
}
var telltaleDays = ({ events }, today) => [today + 1, ...events.map(({ day }) => day + 1)];
var atEndOf = (projection, day) => sampleOn(projection, day + 1);
function sampleOn({ samples }, day) {
  let low = 0;
  let high = samples.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (samples[middle].day <= day) low = middle;
    else high = middle - 1;
  }
  return samples[low];
}

// src/core/advice/crop-prospects.ts
var PALE_SEEN_DAYS = 7;
function cropProspects(scenario, projection, rules) {
  const bare = projectBed(withoutMaterials(scenario), scenario.endDay - scenario.startDay);
  const onBare = new Map(bare.crops.map((crop) => [crop.id, crop]));
  return projection.crops.map((crop) => {
    const twin = onBare.get(crop.id) ?? crop;
    return {
      ...crop,
      shortWithoutMaterialsG: twin.shortG,
      paleDaysWithoutMaterials: twin.paleDays,
      verdict: verdictOf(crop, twin, rules),
    };
  });
}
function verdictOf(crop, twin, rules) {
  if (crop.demandG === 0) return 'unharmed';
  const pales = crop.paleDays - twin.paleDays >= PALE_SEEN_DAYS;
  if (crop.shortG <= rules.harmlessShare * crop.demandG) return pales ? 'palesOnly' : 'unharmed';
  const blamed = (crop.shortG - twin.shortG) / crop.demandG > rules.blamedShare;
  return blamed ? 'losesGrowth' : 'hungryAnyway';
}

// src/core/supplement/least-doses.ts
var COST_TOLERANCE = 1e-9;
var MET_FLOOR_G = 0.02;
var MET_SHARE_OF_SHORTAGE = 0.05;
var MET_SHARE_OF_DEMAND = 0.01;
function leastDoses(scenario, plan) {
  checkScenario(scenario);
  checkPlan(scenario, plan);
  const own = solve(scenario, plan);
  const twin = solve(withoutMaterials(scenario), plan);
  return plan.days.map((day, i) => {
    const { doseG, unmetWithoutG, unmetWithG } = own[i];
    const demandG = demandBetween(scenario, plan, intervalAt(scenario, plan, i));
    const acceptable = Math.max(
      MET_FLOOR_G,
      MET_SHARE_OF_SHORTAGE * unmetWithoutG,
      MET_SHARE_OF_DEMAND * demandG,
    );
    return {
      day,
      nitrogenGPerM2: doseG,
      unmetWithoutG: Math.max(0, unmetWithoutG),
      unmetWithG: Math.max(0, unmetWithG),
      isMet: unmetWithG <= acceptable,
      twinNitrogenGPerM2: twin[i].doseG,
      priceGPerM2: doseG - twin[i].doseG,
      productNitrogenGPerM2: doseG / plan.availability,
    };
  });
}
function checkPlan(scenario, { days, cropIds, availability, maximumDoseGPerM2 }) {
  days.forEach((day, i) => {
    const path = ['supplement', 'days', i];
    if (!(day >= scenario.startDay && day < scenario.endDay)) {
      throw new InputError(path, 'bad_date', 'must lie on or after the start and before the end');
    }
    if (i > 0 && day <= days[i - 1]) {
      throw new InputError(path, 'bad_order', 'must come after the date before it');
    }
  });
  if (cropIds !== 'all') {
    cropIds.forEach((id2, i) => {
      if (!scenario.crops.some((crop) => crop.id === id2)) {
        throw new InputError(['supplement', 'cropIds', i], 'unknown', `names no crop; got "${id2}"`);
      }
    });
  }
  requireNumber(availability, ['supplement', 'availability'], { above: 0, max: 1 });
  if (maximumDoseGPerM2 !== void 0) {
    requireNumber(maximumDoseGPerM2, ['supplement', 'maximumDoseGPerM2'], { min: 0 });
  }
}
var intervalAt = (scenario, { days }, i) => ({
  day: days[i],
  untilDay: days[i + 1] ?? scenario.endDay,
});
var isConcerned = ({ cropIds }, id2) => cropIds === 'all' || cropIds.includes(id2);
function missed({ bed }, plan) {
  const { crops } = bed.state;
  let sum = 0;
  for (let k = 0; k < crops.count; k++) {
    if (isConcerned(plan, crops.ids[k])) sum += crops.shortN[k] + crops.backlogN[k];
  }
  return sum;
}
function backlog({ bed }, plan) {
  const { crops } = bed.state;
  return crops.backlogN.reduce(
    (sum, owedG, k) => (k < crops.count && isConcerned(plan, crops.ids[k]) ? sum + owedG : sum),
    0,
  );
}
function demandBetween(scenario, plan, { day, untilDay }) {
  let sum = 0;
  for (const crop of scenario.crops) {
    if (!isConcerned(plan, crop.id)) continue;
    const length = crop.harvestDay - crop.plantDay;
    const progress = (d) => smoothStep((d - crop.plantDay) / length);
    sum += crop.nitrogenDemandGPerM2 * (progress(untilDay) - progress(day));
  }
  return sum;
}
function solve(scenario, plan) {
  const run2 = startRun(scenario);
  return plan.days.map((day, i) => {
    runTo(run2, day);
    return solveInterval(run2, plan, intervalAt(scenario, plan, i));
  });
}
function solveInterval(run2, plan, { day, untilDay }) {
  const { doseStepG, doseMaximumG, dosePrice } = run2.bed.constants.parameters;
  const mark = bookmark(run2);
  const before = missed(run2, plan);
  const owed = backlog(run2, plan);
  const shortageWith = (doseG) => {
    returnTo(run2, mark);
    run2.doses.set(day, doseG);
    runTo(run2, untilDay);
    return missed(run2, plan) - before;
  };
  const steps = Math.floor((plan.maximumDoseGPerM2 ?? doseMaximumG) / doseStepG + COST_TOLERANCE);
  const unmetWithoutG = shortageWith(0);
  let best = { doseG: 0, unmetG: unmetWithoutG, cost: unmetWithoutG };
  for (let k = 1; k <= steps; k++) {
    const doseG = k * doseStepG;
    if (dosePrice * doseG - owed >= best.cost) break;
    const unmetG = shortageWith(doseG);
    const cost = unmetG + dosePrice * doseG;
    if (cost < best.cost - COST_TOLERANCE) best = { doseG, unmetG, cost };
  }
  shortageWith(best.doseG);
  return { doseG: best.doseG, unmetWithoutG, unmetWithG: best.unmetG };
}

// src/core/advice/dose-plan.ts
var LOOK_AHEAD_DAYS = 365;
var DOSE_EVERY_DAYS = 28;
var LAST_DOSE_BEFORE_HARVEST_DAYS = 21;
var MOST_DOSES = 5;
function cropsConcerned(crops, today) {
  const ahead = crops
    .filter(({ plantDay, harvestDay }) => harvestDay > today && plantDay <= today + LOOK_AHEAD_DAYS)
    .sort((a, b) => a.plantDay - b.plantDay);
  const first = ahead.at(0);
  if (!first) return [];
  return ahead.filter(({ plantDay }) => plantDay < Math.max(first.harvestDay, today + 1));
}
function dosePlan(scenario, today, reserveShare) {
  const crops = cropsConcerned(scenario.crops, today);
  if (crops.length === 0) return null;
  const untilDay = Math.max(...crops.map(({ harvestDay }) => harvestDay));
  const firstDay2 = Math.max(today, Math.min(...crops.map(({ plantDay }) => plantDay)));
  const lastDay2 = Math.max(firstDay2, untilDay - LAST_DOSE_BEFORE_HARVEST_DAYS);
  const days = [];
  for (let day = firstDay2; day <= lastDay2 && days.length < MOST_DOSES; day += DOSE_EVERY_DAYS)
    days.push(day);
  const cropIds = crops.map(({ id: id2 }) => id2);
  const doses = leastDoses(endingOn(scenario, untilDay), { days, cropIds, availability: 1 });
  return { cropIds, untilDay, doses: doses.map((dose) => withReserve(dose, reserveShare)) };
}
function withReserve(dose, reserveShare) {
  const reserveGPerM2 = reserveShare * Math.max(0, dose.priceGPerM2);
  return { ...dose, nitrogenGPerM2: dose.nitrogenGPerM2 + reserveGPerM2, reserveGPerM2 };
}

// src/core/advice/lock-up.ts
var NAMED_FROM_SHARE = 0.15;
function causesOf({ layers }, zone, peakG) {
  return layers
    .map(({ id: id2, heldContactG, heldRootG }) => ({
      layerId: id2,
      share: (zone === 'contact' ? heldContactG : heldRootG) / peakG,
    }))
    .filter(({ share: share2 }) => share2 >= NAMED_FROM_SHARE)
    .sort((a, b) => b.share - a.share);
}
var heldIn = (sample2, zone) => (zone === 'contact' ? sample2.heldContactG : sample2.heldRootG);
function lockUpWindow(samples, zone, today, feltFromG) {
  const held = samples.map((sample2) => heldIn(sample2, zone));
  const isFelt = (i) => held[i] >= feltFromG;
  const now2 = Math.max(
    0,
    samples.findLastIndex(({ day }) => day <= today),
  );
  let from = now2;
  if (isFelt(now2)) while (from > 0 && isFelt(from - 1)) from -= 1;
  else from = samples.findIndex((_, i) => i > now2 && isFelt(i));
  if (from < 0) return null;
  let end2 = from;
  let peak = from;
  while (end2 < samples.length && isFelt(end2)) {
    if (held[end2] > held[peak]) peak = end2;
    end2 += 1;
  }
  const halfBack = samples.findIndex((_, i) => i > peak && held[i] <= held[peak] / 2);
  if (halfBack >= 0 && samples[halfBack].day <= today) return null;
  return {
    zone,
    fromDay: samples[from].day,
    peakDay: samples[peak].day,
    peakG: held[peak],
    nowG: held[now2],
    halfBackDay: halfBack < 0 ? null : samples[halfBack].day,
    causes: causesOf(samples[peak], zone, held[peak]),
  };
}

// src/core/advice/planting-dates.ts
var STARTS = ['seedlings', 'transplants'];
var TRIALS = {
  seedlings: { demandG: 3, rootDepthCm: 12, rootsAtOnce: false, coldestC: 8 },
  transplants: { demandG: 4, rootDepthCm: 20, rootsAtOnce: true, coldestC: 9 },
};
var TRIAL_DAYS = 42;
var STEP_DAYS = 7;
var LOOK_AHEAD_DAYS2 = 364;
var clearedToday = (scenario, today) => ({
  ...scenario,
  crops: scenario.crops
    .filter(({ plantDay }) => plantDay < today)
    .map((crop) => ({ ...crop, harvestDay: Math.min(crop.harvestDay, today) })),
});
function plantingDates(scenario, today, rules) {
  const endDay = today + LOOK_AHEAD_DAYS2 + TRIAL_DAYS + 1;
  const ground = { ...clearedToday(endingOn(scenario, endDay), today), endDay };
  return STARTS.map((start) =>
    earliest(start, startRun(ground), startRun(withoutMaterials(ground)), today, rules),
  );
}
function trialCrop(start, plantDay, heedsContact) {
  const { demandG } = TRIALS[start];
  const { rootDepthCm: rootDepthCm2, rootsAtOnce } = TRIALS[heedsContact ? 'seedlings' : start];
  return {
    id: 'trial',
    plantDay,
    harvestDay: plantDay + TRIAL_DAYS,
    nitrogenDemandGPerM2: demandG,
    rootDepthCm: rootDepthCm2,
    isLegume: false,
    isPerennial: rootsAtOnce,
    deepShare: 0,
    residueShare: 0,
    residueDugDepthCm: 0,
  };
}
function earliest(start, run2, bareRun, today, rules) {
  const { demandG, coldestC } = TRIALS[start];
  let waitFor2 = null;
  let missedShare = 0;
  let missedShareBare = 0;
  for (let day = today; day <= today + LOOK_AHEAD_DAYS2; day += STEP_DAYS) {
    runTo(run2, day);
    runTo(bareRun, day);
    if (meanTemperatureC(run2, day) < coldestC) {
      waitFor2 ??= 'cold';
      continue;
    }
    const crop = trialCrop(start, day, rules.heedsContactForAll);
    missedShare = missedByTrialCrop(run2, crop) / demandG;
    missedShareBare = missedByTrialCrop(bareRun, crop) / demandG;
    if (missedShare <= Math.max(rules.harmlessShare, missedShareBare + rules.blamedShare)) {
      return { start, day, waitFor: waitFor2, missedShare, missedShareBare };
    }
    waitFor2 ??= 'lockedUp';
  }
  return { start, day: null, waitFor: waitFor2, missedShare, missedShareBare };
}
var meanTemperatureC = ({ scenario }, day) =>
  (airTemperatureC(scenario.climate, day) + airTemperatureC(scenario.climate, day + TRIAL_DAYS)) / 2;

// src/core/advice/bed-advice.ts
var PALENESS_SHOWN = 0.25;
function bedStanding(scenario, projection, today, { isPath, rules }) {
  const contact = lockUpWindow(projection.samples, 'contact', today, rules.feltFromG);
  const root = lockUpWindow(projection.samples, 'root', today, rules.feltFromG);
  const doses = isPath ? null : dosePlan(scenario, today, rules.reserveShare);
  const prospects = cropProspects(scenario, projection, rules);
  const standing = { today, contact, root, doses, prospects, rules };
  return { ...standing, status: isPath ? 'path' : statusOf(projection, standing) };
}
var isGoingOn = (window, today) => window !== null && window.fromDay <= today;
function statusOf(projection, { contact, root, doses, prospects, rules, today }) {
  const concerned = prospects.filter(({ id: id2 }) => doses?.cropIds.includes(id2));
  const isStanding = concerned.some(({ plantDay }) => plantDay <= today);
  const missesMuch = concerned.some(({ shortG, demandG }) => shortG > rules.harmlessShare * demandG);
  const isPale = atEndOf(projection, today).crops.some(({ paleness }) => paleness > PALENESS_SHOWN);
  if (isPale) return 'pale';
  if (missesMuch && (doses?.doses.some(({ nitrogenGPerM2 }) => nitrogenGPerM2 > 0) ?? false)) return 'short';
  if (isGoingOn(root, today) || isGoingOn(contact, today)) return 'held';
  return isStanding ? 'fed' : 'resting';
}

// src/core/advice/schools.ts
var SCHOOL_RULES = {
  cautious: {
    feltFromG: 0.15,
    harmlessShare: 0.05,
    blamedShare: 0.02,
    heedsContactForAll: true,
    // The book finds hardwood sawdust a third below Allison 1965 (from memory); see docs/method.md.
    reserveShare: 1 / 3,
  },
  byDepth: {
    feltFromG: 0.25,
    harmlessShare: 0.1,
    blamedShare: 0.05,
    heedsContactForAll: false,
    reserveShare: 0,
  },
  relaxed: {
    feltFromG: 0.5,
    harmlessShare: 0.2,
    blamedShare: 0.15,
    heedsContactForAll: false,
    reserveShare: 0,
  },
};
var SANDY_BELOW_CLAY_PCT = 10;
var BITING_FACTOR = 0.5;
function rulesFor(school, ground) {
  const rules = SCHOOL_RULES[school];
  const bites = ground.clayPct < SANDY_BELOW_CLAY_PCT || ground.croppingBefore === 'hard';
  if (!bites || school === 'relaxed') return rules;
  return {
    ...rules,
    harmlessShare: rules.harmlessShare * BITING_FACTOR,
    blamedShare: rules.blamedShare * BITING_FACTOR,
  };
}

// src/core/simulation/season-trial.ts
var TRIAL_SEASON_DAYS = 150;
var seasonTrial = (tried, days = TRIAL_SEASON_DAYS) => {
  const day = dayNumberOf({ year: 2001, month: 1, day: 1 });
  return {
    startDay: day,
    endDay: day + days,
    climate: {
      temperatureC: Array(12).fill(17),
      rainMm: Array(12).fill(0),
      evapotranspirationMm: Array(12).fill(0),
    },
    soil: { ...SOIL_DEFAULTS, organicMatterPct: 3, bulkDensityGPerCm3: 1.2, mineralNGPerM2: [50, 250] },
    events: [{ type: 'apply', day, dugDepthCm: 15, exposure: 'normal', isOnPath: false, ...tried }],
    crops: [],
    piles: [],
    depositionGPerM2Year: 0,
    stepsPerDay: DEFAULT_STEPS_PER_DAY,
  };
};

// src/core/stock/lock-up-power.ts
var DRY_KG_PER_M2 = 1;
function lockUpPower(contents) {
  const sample2 = scaled(contents, (DRY_KG_PER_M2 * 1e3) / dryG(contents));
  const opening = openingOfContents(sample2, withOverrides());
  const run2 = startRun(seasonTrial({ opening, massFreshKgPerM2: DRY_KG_PER_M2 }));
  runTo(run2, run2.scenario.endDay);
  const { releasedG, drawnG, peakLockedG } = reportCohort(run2.bed, 0);
  const brought = nitrogenG(sample2);
  return {
    peakLockGPerKgDry: peakLockedG / DRY_KG_PER_M2,
    availableShare: brought > 0 ? (releasedG - drawnG) / brought : 0,
  };
}

// src/core/stock/promises.ts
var isTaking = ({ volumeL: volumeL2, cause, missingL }) =>
  cause.type !== 'time' && (volumeL2 < 0 || missingL > 0);
function promisesOf(planned, ahead, today, reserveL) {
  const coming = planned.lines.filter(({ isPlanned, day }) => isPlanned || day > today);
  const arrival = coming.find(
    ({ cause, isPlanned, volumeL: volumeL2, day }) =>
      cause.type !== 'time' && isPlanned && volumeL2 > 0 && day >= today,
  );
  const takings = coming.filter((line) => line.isPlanned && isTaking(line));
  const promised = takings.map(promiseOf);
  const thereL = volumeOn(ahead, today);
  const until = arrival?.day ?? Infinity;
  const spare = takings
    .filter(({ day }) => day <= until)
    .map(
      ({ day, balance }) => ((balance.volumeL - reserveL) * thereL) / Math.max(volumeOn(ahead, day), 1e-9),
    );
  return {
    promised,
    promisedL: promised.reduce((sum, { litres }) => sum + litres, 0),
    nextArrival: arrival?.day ?? null,
    freeL: Math.max(0, Math.min(thereL - reserveL, ...spare)),
    shortOn: promised.find(({ missingL }) => missingL > 0)?.day ?? null,
    reserveBrokenOn:
      reserveL > 0 ? (takings.find(({ balance }) => balance.volumeL < reserveL)?.day ?? null) : null,
  };
}
var volumeOn = ({ looks }, day) => looks.findLast((look) => look.day <= day)?.figures.volumeL ?? 0;
var promiseOf = ({ day, cause, volumeL: volumeL2, missingL }) => ({
  day,
  cause,
  litres: missingL - volumeL2,
  missingL,
});

// src/core/stock/lot-outlook.ts
var LOT_HORIZON_DAYS = 730;
var SEASONED_SHARE = 0.5;
var SEASONS = /* @__PURE__ */ new Set(['wood', 'residue', 'leaf', 'manure']);
var WORTH_SEASONING = 0.5;
var kept = (history) =>
  history.looks.flatMap(({ day, contents }) => (contents && !isEmpty(contents) ? [{ day, contents }] : []));
function firstDay(history, holds) {
  return kept(history).find(({ contents }) => holds(contents))?.day ?? null;
}
function seasoning(history) {
  const [first] = kept(history);
  const none = { seasonedOn: null, needsSeasoning: false };
  if (history.openedOn === null || !SEASONS.has(kindOf(first.contents))) return none;
  const fresh = lockUpPower(first.contents).peakLockGPerKgDry;
  if (fresh < WORTH_SEASONING) return none;
  const limit = fresh * SEASONED_SHARE;
  return {
    needsSeasoning: true,
    seasonedOn: firstDay(history, (contents) => lockUpPower(contents).peakLockGPerKgDry <= limit),
  };
}
function lotBrief({ today, ahead, planned }, lotId, setting) {
  const now2 = today.lots.get(lotId);
  const future = ahead.lots.get(lotId);
  const isThere = now2.openedOn !== null && !isEmpty(now2.contents);
  const promises = promisesOf(planned.lots.get(lotId), future, setting.today, setting.reserveL);
  if (!isThere) {
    return {
      lotId,
      now: null,
      kind: 'none',
      nearestMaterialId: null,
      openedOn: now2.openedOn,
      warmthC: null,
      power: null,
      seasonedOn: null,
      needsSeasoning: false,
      finishedOn: null,
      promises,
    };
  }
  return {
    lotId,
    now: figuresOf(now2.contents),
    kind: kindOf(now2.contents),
    nearestMaterialId: nearestMaterialId(now2.contents),
    openedOn: now2.openedOn,
    warmthC: heapTemperatureC(
      setting.climate,
      setting.today,
      now2.treatment,
      now2.heatingFrom,
      setting.readings,
      withOverrides(),
    ),
    power: lockUpPower(now2.contents),
    ...seasoning(future),
    finishedOn: finishedOn(now2, future, setting.today),
    promises,
  };
}
function finishedOn(now2, future, today) {
  if (new Set(now2.contents.cohorts.map(({ kind }) => kind)).size === 1) return null;
  const found2 = firstDay(future, (contents) => kindOf(contents) === 'compost');
  return kindOf(now2.contents) === 'compost' ? Math.min(today, found2 ?? today) : found2;
}

// src/core/advice/cautions.ts
var MANURE_TO_HARVEST_DAYS = { ediblePartTouchesSoil: 120, otherwise: 90 };
var URINE_TO_HARVEST_DAYS = 30;

// src/core/advice/waits.ts
var URINE_ID = 'urine';
var PERENNIAL_TOLD_DAYS = 365;
function harvestWaits(entries, plantings, findMaterial, today) {
  const waits = [];
  for (const entry of entries) {
    if (entry.type !== 'lay') continue;
    const isUrine = entry.materialId === URINE_ID;
    if (!isUrine && findMaterial(entry.materialId)?.kind !== 'manure') continue;
    for (const planting of plantings) {
      const wait = waitFor(entry, planting, isUrine);
      if (wait && wait.earliestDay >= today) waits.push(wait);
    }
  }
  return waits.sort((a, b) => Number(b.isTooEarly) - Number(a.isTooEarly) || b.earliestDay - a.earliestDay);
}
function waitFor(entry, planting, isUrine) {
  const crop = findCrop(planting.cropId);
  if (!crop || crop.isCoverCrop) return null;
  const laidDay = dayNumberFromIso(entry.date, ['date']);
  const plantDay = dayNumberFromIso(planting.plantedOn, ['plantedOn']);
  const { ediblePartTouchesSoil, otherwise } = MANURE_TO_HARVEST_DAYS;
  const days = isUrine ? URINE_TO_HARVEST_DAYS : crop.isEatenFromSoil ? ediblePartTouchesSoil : otherwise;
  const earliestDay = laidDay + days;
  const plannedDay = planting.clearedOn === null ? null : dayNumberFromIso(planting.clearedOn, ['clearedOn']);
  const isOver = plannedDay !== null ? plannedDay <= laidDay : laidDay + PERENNIAL_TOLD_DAYS < plantDay;
  if (isOver || plantDay >= earliestDay) return null;
  return {
    code: isUrine ? 'urine' : 'manure',
    entryId: entry.id,
    plantingId: planting.id,
    laidDay,
    days,
    earliestDay,
    plannedDay,
    isTooEarly: plannedDay !== null && plannedDay < earliestDay,
  };
}

// src/core/climate/ground.ts
var HEAVY_CLAY_FROM_PCT = 35;
var COLD_SOIL_BELOW_C = 8;
function isWetMonth({ rainMm, evapotranspirationMm }, day) {
  const month = calendarDateOf(day).month - 1;
  return rainMm[month] > evapotranspirationMm[month];
}
function groundWarnings(climate, clayPct, day, work) {
  const temperatureC2 = airTemperatureC(climate, day);
  return [
    ...(work.needsWarmth && temperatureC2 < COLD_SOIL_BELOW_C
      ? [{ code: 'coldSoil', temperatureC: temperatureC2 }]
      : []),
    ...(work.treadsOrDigs && clayPct >= HEAVY_CLAY_FROM_PCT && isWetMonth(climate, day)
      ? [{ code: 'wetClay' }]
      : []),
  ];
}
function nextSeasonDay(climate, northernMonth, from) {
  const month = isSouthern(climate) ? ((northernMonth + 5) % 12) + 1 : northernMonth;
  const { year } = calendarDateOf(from);
  const thisYears = dayNumberOf({ year, month, day: 1 });
  return thisYears >= from ? thisYears : dayNumberOf({ year: year + 1, month, day: 1 });
}

// src/core/agenda/cover-tasks.ts
var COVER_CM = {
  annual: { least: 3, full: 6 },
  raised: { least: 3, full: 6 },
  perennial: { least: 4, full: 8 },
  shrubs: { least: 5, full: 10 },
  treeRing: { least: 5, full: 10 },
  path: { least: 6, full: 10 },
};
var LEFT_ALONE_DAYS = 90;
var LIFT_AFTER_DAYS = 913;
var DAYS_PER_YEAR = 365.25;
var MULCHES = /* @__PURE__ */ new Set(['wood', 'residue', 'leaf']);
var isMulch = ({ kind, isOnTop }) => isOnTop && MULCHES.has(kind);
var mulchCm = ({ layers }) => layers.filter(isMulch).reduce((sum, { thicknessCm }) => sum + thicknessCm, 0);
var coverTasks = (setting) => [...topUp(setting), ...liftPath(setting)];
function mulchesLaid({ books, findMaterial }) {
  return books.entries
    .filter((entry) => entry.type === 'lay' && entry.dugDepthCm === 0)
    .filter(({ materialId }) => MULCHES.has(findMaterial(materialId)?.kind ?? ''))
    .map((entry) => ({ entry, day: dayNumberFromIso(entry.date, ['date']) }))
    .sort((a, b) => a.day - b.day);
}
function topUp(setting) {
  const { books, projection, today } = setting;
  const cover = COVER_CM[books.bed.kind];
  const laid = mulchesLaid(setting).filter(({ entry }) => entry.state === 'laid');
  const last = laid.at(-1);
  if (!cover || !last) return [];
  const first = Math.max(today, last.day + LEFT_ALONE_DAYS);
  const wasFull = projection.samples.some(
    (sample2) => sample2.day <= today && mulchCm(sample2) > cover.least,
  );
  const thin = projection.samples.find((sample2) => sample2.day >= first && mulchCm(sample2) < cover.least);
  const isPlanned = mulchesLaid(setting).some(
    ({ entry, day }) => entry.state === 'planned' && thin !== void 0 && day <= thin.day + LEFT_ALONE_DAYS,
  );
  if (!thin || !wasFull || isPlanned) return [];
  const nowCm = mulchCm(atEndOf(projection, thin.day));
  return [
    {
      key: `topup:${last.entry.id}`,
      group: 'laying',
      what: { code: 'topUp', nowCm, addCm: cover.full - nowCm, materialId: last.entry.materialId },
      bedId: books.bed.id,
      lotId: null,
      day: thin.day,
      record: null,
      warnings: [],
      lateCost: null,
    },
  ];
}
function liftPath(setting) {
  const { books, projection, today } = setting;
  if (books.bed.kind !== 'path') return [];
  const there = new Set(
    atEndOf(projection, today)
      .layers.filter(isMulch)
      .map(({ id: id2 }) => id2),
  );
  const oldest = mulchesLaid(setting).find(({ entry }) => there.has(entry.id));
  if (!oldest) return [];
  return [
    {
      key: `lift:${oldest.entry.id}`,
      group: 'laying',
      what: { code: 'liftPath', layerIds: [oldest.entry.id], years: LIFT_AFTER_DAYS / DAYS_PER_YEAR },
      bedId: books.bed.id,
      lotId: null,
      day: oldest.day + LIFT_AFTER_DAYS,
      record: null,
      warnings: [],
      lateCost: null,
    },
  ];
}

// src/core/agenda/late-cost.ts
var FOLLOWED_DAYS = 300;
var TOLD_G = 0.1;
var TOLD_PALE_DAYS = 3;
var run = (books, findMaterial, today) =>
  projectBed(bedScenario(books, findMaterial, today, today + FOLLOWED_DAYS), FOLLOWED_DAYS * 10);
var missed2 = ({ crops }) => crops.reduce((sum, { shortG }) => sum + shortG, 0);
var pale = ({ crops }) => crops.reduce((sum, { paleDays }) => sum + paleDays, 0);
function lost({ samples }) {
  const { flows } = samples.at(-1);
  return (
    flows[FLOW.ammoniumVolatilized] +
    flows[FLOW.layersVolatilized] +
    flows[FLOW.leached] +
    flows[FLOW.contactZoneDenitrified] +
    flows[FLOW.rootZoneDenitrified]
  );
}
function lateCost({ books, moved, plannedFor }, findMaterial, today) {
  const lateDays = today - dayNumberFromIso(plannedFor, ['date']);
  if (lateDays <= 0) return null;
  const onTime = run(books, findMaterial, today);
  const now2 = run(moved, findMaterial, today);
  const cost = {
    lateDays,
    cropMissesG: missed2(now2) - missed2(onTime),
    paleDays: pale(now2) - pale(onTime),
    lostNitrogenG: lost(now2) - lost(onTime),
  };
  const counts =
    Math.abs(cost.cropMissesG) >= TOLD_G ||
    Math.abs(cost.lostNitrogenG) >= TOLD_G ||
    Math.abs(cost.paleDays) >= TOLD_PALE_DAYS;
  return counts ? cost : null;
}

// src/core/agenda/tasks.ts
var AGENDA_BACK_DAYS = 365;
var AGENDA_AHEAD_DAYS = 400;
var isWithinAgenda = (day, today) => day >= today - AGENDA_BACK_DAYS && day <= today + AGENDA_AHEAD_DAYS;

// src/core/ash/ash-gate.ts
var ASH_YEARLY_CAP_G_PER_M2 = 100;
var ASH_HIGHEST_PH = 7.5;
var LOW_PH = 6;
var APART_DAYS = 21;
var YEAR_DAYS = 365;
var FRESH_AMMONIUM_SHARE = 0.05;
var dayOf2 = (iso) => dayNumberFromIso(iso, ['date']);
var isAsh = (entry) => entry.type === 'lay' && entry.materialId === 'wood_ash';
function lastPh({ bed, entries, day }) {
  const tests = entries.flatMap((entry) =>
    entry.type === 'soilTest' && entry.ph !== null && dayOf2(entry.date) <= day
      ? [{ value: entry.ph, day: dayOf2(entry.date) }]
      : [],
  );
  const last = tests.sort((a, b) => a.day - b.day).at(-1);
  if (last) return last;
  return bed.ph === null ? null : { value: bed.ph, day: null };
}
function bringsAmmonium(entry, findMaterial) {
  if (entry.type === 'feed') return true;
  if (entry.type !== 'lay') return false;
  const material = findMaterial(entry.materialId, dayOf2(entry.date));
  return (
    material !== void 0 &&
    material.kind !== 'compost' &&
    material.nitrogenFractionDryBasis > 0 &&
    material.ammoniumShareOfNitrogen >= FRESH_AMMONIUM_SHARE
  );
}
function ashMonths(climate) {
  return isSouthern(climate) ? [4, 9] : [10, 3];
}
var isWithin = (month, [from, until]) =>
  from <= until ? month >= from && month <= until : month >= from || month <= until;
function isGrowing({ plantedOn, clearedOn }, day) {
  return dayOf2(plantedOn) <= day && (clearedOn === null || dayOf2(clearedOn) > day);
}
function ashGate(question, findMaterial) {
  const { bed, entries, day, climate, plantings, condition } = question;
  const ash = entries
    .filter(isAsh)
    .map((entry) => ({ day: dayOf2(entry.date), gPerM2: (entry.massFreshKg * 1e3) / bed.areaM2 }));
  const lastYear = ash.filter((one) => one.day > day - YEAR_DAYS && one.day <= day);
  const given = lastYear.reduce((sum, one) => sum + one.gPerM2, 0);
  const ph = lastPh(question);
  const isSour = ph !== null && ph.value < LOW_PH;
  const sinceTest = ash.filter((one) => one.day <= day && (ph?.day == null || one.day > ph.day));
  const sinceTestG = sinceTest.reduce((sum, one) => sum + one.gPerM2, 0);
  const capGPerM2 =
    isSour && given === 0 && sinceTest.length === 0 ? ASH_YEARLY_CAP_G_PER_M2 * 2 : ASH_YEARLY_CAP_G_PER_M2;
  const left = Math.max(0, capGPerM2 - given);
  const near = entries
    .filter((entry) => bringsAmmonium(entry, findMaterial) && Math.abs(dayOf2(entry.date) - day) < APART_DAYS)
    .at(0);
  const months = ashMonths(climate);
  const growing = plantings.find((one) => isGrowing(one, day));
  const stops = [
    ph !== null && ph.value > ASH_HIGHEST_PH && { code: 'phTooHigh', ph: ph.value },
    near && {
      code: 'nearAmmonium',
      entryId: near.id,
      day: dayOf2(near.date),
      freeFrom: dayOf2(near.date) + APART_DAYS,
    },
    isSour &&
      sinceTestG > ASH_YEARLY_CAP_G_PER_M2 && {
        code: 'retestFirst',
        since: Math.max(...sinceTest.map((one) => one.day)),
      },
    left <= 0 && {
      code: 'capReached',
      givenGPerM2: given,
      againFrom: Math.min(...lastYear.map((one) => one.day)) + YEAR_DAYS,
    },
    condition.isSooty && { code: 'sooty' },
    !condition.isCleanWood && { code: 'dirtyWood' },
  ];
  const minds = [
    ph === null && { code: 'phUnknown' },
    !isWithin(calendarDateOf(day).month, months) && {
      code: 'wrongSeason',
      fromMonth: months[0],
      untilMonth: months[1],
    },
    growing && { code: 'growingPlants', plantingId: growing.id },
    !condition.isSieved && { code: 'sieveFirst' },
    condition.isDamp && { code: 'damp' },
  ];
  const is = (reason) => Boolean(reason);
  const stopping = stops.filter(is);
  return {
    isOpen: stopping.length === 0,
    stops: stopping,
    minds: minds.filter(is),
    leftGPerM2: left,
    capGPerM2,
    givenGPerM2: given,
    ph,
  };
}

// src/core/agenda/watch-tasks.ts
var MANURE_CHECKS = [
  ['sweetManure', 14],
  ['manureWorms', 50],
  ['manureCrumbs', 90],
];
var WOOD_CHECKS = [
  ['thickness', 180],
  ['threads', 270],
];
var LEAVES_AFTER_DAYS = 21;
var SOIL_TEST_EVERY_DAYS = 365;
var SAMPLING_MONTH = 3;
var CLOSING_MONTH = 11;
var CHECK_TOLD_DAYS = 60;
var dayOf3 = (iso) => dayNumberFromIso(iso, ['date']);
var watchTasks = (setting) => [
  ...layerChecks(setting),
  ...leafChecks(setting),
  ...soilRetest(setting),
  ...phAfterAsh(setting),
  closeYear(setting),
];
var ofBed = ({ books }, key, day, group, what) => ({
  key,
  group,
  what,
  bedId: books.bed.id,
  lotId: null,
  day,
  record: null,
  warnings: [],
  lateCost: null,
});
function checksOf({ findMaterial }, entry) {
  const kind = findMaterial(entry.materialId)?.kind;
  if (kind === 'manure') return MANURE_CHECKS;
  return kind === 'wood' && entry.dugDepthCm === 0 ? WOOD_CHECKS : [];
}
function layerChecks(setting) {
  const laid = setting.books.entries.filter((entry) => entry.type === 'lay' && entry.state === 'laid');
  return laid.flatMap((entry) =>
    checksOf(setting, entry)
      .map(([check, afterDays]) => ({ check, day: dayOf3(entry.date) + afterDays }))
      .filter(({ day }) => day >= setting.today - CHECK_TOLD_DAYS)
      .map(({ check, day }) =>
        ofBed(setting, `check:${entry.id}:${check}`, day, 'watching', {
          code: 'check',
          check,
          aboutId: entry.id,
        }),
      ),
  );
}
function leafChecks(setting) {
  const { books, projection, today, standing } = setting;
  return books.plantings.flatMap((planting) => {
    const day = dayOf3(planting.plantedOn) + LEAVES_AFTER_DAYS;
    const sample2 = projection.samples.find((one) => one.day >= day);
    const isHeld = sample2 !== void 0 && sample2.heldContactG + sample2.heldRootG >= standing.rules.feltFromG;
    if (!isHeld || day < today - CHECK_TOLD_DAYS) return [];
    return [
      ofBed(setting, `check:${planting.id}:leaves`, day, 'watching', {
        code: 'check',
        check: 'leaves',
        aboutId: planting.id,
      }),
    ];
  });
}
function soilRetest(setting) {
  const { books, today } = setting;
  if (books.bed.kind === 'path') return [];
  const tests = books.entries.filter(({ type }) => type === 'soilTest');
  const last = tests
    .filter(({ state }) => state === 'laid')
    .map(({ date: date2 }) => dayOf3(date2))
    .sort((a, b) => a - b)
    .at(-1);
  if (tests.some(({ state }) => state === 'planned')) return [];
  const due = last === void 0 ? void 0 : last + SOIL_TEST_EVERY_DAYS;
  const isNear = due !== void 0 && due >= today - CHECK_TOLD_DAYS;
  const day = isNear ? due : nextSeasonDay(books.site.climate, SAMPLING_MONTH, today);
  return [
    ofBed(setting, `retest:${books.bed.id}:${calendarDateOf(day).year}`, day, 'testing', {
      code: 'retest',
      what: 'soil',
    }),
  ];
}
function phAfterAsh(setting) {
  const { books, findMaterial, today } = setting;
  const { stops } = ashGate(
    {
      bed: books.bed,
      entries: books.entries.filter(({ state }) => state === 'laid'),
      plantings: books.plantings,
      climate: books.site.climate,
      day: today,
      condition: { isSooty: false, isCleanWood: true, isSieved: true, isDamp: false },
    },
    findMaterial,
  );
  const stop = stops.find((one) => one.code === 'retestFirst');
  if (!stop) return [];
  const day = nextSeasonDay(books.site.climate, SAMPLING_MONTH, stop.since);
  return [
    ofBed(setting, `ph:${books.bed.id}:${stop.since}`, day, 'testing', {
      code: 'retest',
      what: 'phAfterAsh',
    }),
  ];
}
function closeYear(setting) {
  const { books, today } = setting;
  const day = nextSeasonDay(books.site.climate, CLOSING_MONTH, today - CHECK_TOLD_DAYS);
  const { year } = calendarDateOf(day);
  return ofBed(setting, `close:${books.bed.id}:${year}`, day, 'testing', { code: 'closeYear', year });
}

// src/core/agenda/bed-tasks.ts
var CLEARED_TOLD_DAYS = 14;
var SOWN = /* @__PURE__ */ new Set(['annual', 'raised', 'seedbed', 'container']);
var GROUP_OF_ENTRY = {
  lay: 'laying',
  dig: 'laying',
  takeOff: 'laying',
  feed: 'feeding',
  water: 'feeding',
  soilTest: 'testing',
};
var dayOf4 = (iso) => dayNumberFromIso(iso, ['date']);
function bedTasks(setting) {
  const { today } = setting;
  return [
    ...entryTasks(setting),
    ...plantingTasks(setting),
    ...doseTasks(setting),
    ...safeTasks(setting),
    ...harvestFromTasks(setting),
    ...coverTasks(setting),
    ...watchTasks(setting),
  ]
    .filter(({ day }) => isWithinAgenda(day, today))
    .sort((a, b) => a.day - b.day);
}
function warningsFor({ books: { site, bed }, today }, day, work) {
  return groundWarnings(site.climate, bed.clayPct, Math.max(day, today), work);
}
function entryTasks(setting) {
  const { books, findMaterial, today, todayIso } = setting;
  return books.entries
    .filter(({ state }) => state === 'planned')
    .map((entry) => {
      const day = dayOf4(entry.date);
      const digs = entry.type === 'dig' || (entry.type === 'lay' && entry.dugDepthCm > 0);
      return {
        key: `entry:${entry.id}`,
        group: GROUP_OF_ENTRY[entry.type],
        what: { code: 'entry', entry },
        bedId: books.bed.id,
        lotId: entry.type === 'lay' ? (entry.lotId ?? null) : null,
        day,
        record: { type: 'entry', id: entry.id },
        warnings: warningsFor(setting, day, { needsWarmth: entry.type === 'feed', treadsOrDigs: digs }),
        lateCost: lateCost(
          {
            books,
            moved: {
              ...books,
              entries: books.entries.map((one) => (one.id === entry.id ? { ...one, date: todayIso } : one)),
            },
            plannedFor: entry.date,
          },
          findMaterial,
          today,
        ),
      };
    });
}
function plantingTasks(setting) {
  return setting.books.plantings.flatMap((planting) => [
    ...(planting.state === 'planned' ? [plantTask(setting, planting)] : []),
    ...clearTask(setting, planting),
  ]);
}
function plantTask(setting, planting) {
  const { books, findMaterial, today, todayIso } = setting;
  const day = dayOf4(planting.plantedOn);
  const isHardy = findCrop(planting.cropId)?.isCoverCrop === true || planting.startsAs === 'set';
  return {
    key: `planting:${planting.id}`,
    group: 'growing',
    what: { code: 'plant', cropId: planting.cropId, isSown: planting.startsAs === 'seed' },
    bedId: books.bed.id,
    lotId: null,
    day,
    record: { type: 'planting', id: planting.id },
    warnings: warningsFor(setting, day, { needsWarmth: !isHardy, treadsOrDigs: true }),
    lateCost: lateCost(
      {
        books,
        moved: {
          ...books,
          plantings: books.plantings.map((one) =>
            one.id === planting.id ? plantedLater(one, todayIso) : one,
          ),
        },
        plannedFor: planting.plantedOn,
      },
      findMaterial,
      today,
    ),
  };
}
function clearTask(setting, { id: id2, cropId, clearedOn }) {
  if (clearedOn === null) return [];
  const day = dayOf4(clearedOn);
  if (day < setting.today - CLEARED_TOLD_DAYS) return [];
  return [
    {
      key: `clear:${id2}`,
      group: 'growing',
      what: { code: 'clear', cropId },
      bedId: setting.books.bed.id,
      lotId: null,
      day,
      record: null,
      warnings: [],
      lateCost: null,
    },
  ];
}
function doseTasks(setting) {
  const { standing, books } = setting;
  const { doses } = standing;
  if (!doses) return [];
  const given = doses.doses.filter(({ nitrogenGPerM2 }) => nitrogenGPerM2 > 0);
  return given.map((dose, i) => ({
    key: `dose:${doses.cropIds.at(0) ?? books.bed.id}:${i + 1}`,
    group: 'feeding',
    what: {
      code: 'dose',
      nitrogenG: dose.nitrogenGPerM2 * books.bed.areaM2,
      cropIds: doses.cropIds,
      missedWithoutG: dose.unmetWithoutG * books.bed.areaM2,
      missedWithG: dose.unmetWithG * books.bed.areaM2,
    },
    bedId: books.bed.id,
    lotId: null,
    day: dose.day,
    record: null,
    warnings: warningsFor(setting, dose.day, { needsWarmth: true, treadsOrDigs: false }),
    lateCost: null,
  }));
}
function safeTasks({ planting, books }) {
  if (!SOWN.has(books.bed.kind)) return [];
  return planting
    .filter(({ waitFor: waitFor2, day }) => waitFor2 === 'lockedUp' && day !== null)
    .map(({ start, day }) => ({
      key: `safe:${books.bed.id}:${start}`,
      group: 'growing',
      what: { code: 'safe', start },
      bedId: books.bed.id,
      lotId: null,
      day,
      record: null,
      warnings: [],
      lateCost: null,
    }));
}
function harvestFromTasks({ books, findMaterial, today }) {
  const crops = new Map(books.plantings.map(({ id: id2, cropId }) => [id2, cropId]));
  return harvestWaits(books.entries, books.plantings, findMaterial, today).map((wait) => ({
    key: `wait:${wait.entryId}:${wait.plantingId}`,
    group: 'growing',
    what: { code: 'harvestFrom', cropId: crops.get(wait.plantingId), raw: wait.code },
    bedId: books.bed.id,
    lotId: null,
    day: wait.earliestDay,
    record: null,
    warnings: [],
    lateCost: null,
  }));
}

// src/core/char/charge-recipes.ts
var GALLON_PER_CUP = LITRES_PER_GALLON / LITRES_PER_CUP;
var CHARGE_RECIPES = [
  {
    id: 'slurry',
    perLitreOfChar: [{ materialId: 'compost_garden', litres: 1 }],
    waterPerLitreOfChar: GALLON_PER_CUP,
    days: [1, 1],
    stirrings: 2,
    inoculates: true,
    feeds: true,
    fineness: 'dust',
  },
  {
    id: 'soak',
    perLitreOfChar: [
      { materialId: 'worm_castings', litres: 0.1 },
      { materialId: 'fish_emulsion', litres: 0.01 },
    ],
    waterPerLitreOfChar: 1.5,
    days: [14, 28],
    stirrings: 4,
    inoculates: true,
    feeds: true,
    fineness: null,
  },
  {
    id: 'compostBlend',
    perLitreOfChar: [{ materialId: 'compost_garden', litres: 4 }],
    waterPerLitreOfChar: 0,
    days: [21, 42],
    stirrings: 2,
    inoculates: true,
    feeds: true,
    fineness: null,
  },
  {
    id: 'castingsBlend',
    perLitreOfChar: [{ materialId: 'worm_castings', litres: 0.25 }],
    waterPerLitreOfChar: 0,
    days: [0, 14],
    stirrings: 0,
    inoculates: true,
    feeds: true,
    fineness: null,
  },
  {
    id: 'throughHeap',
    perLitreOfChar: [
      { materialId: 'horse_bedding', litres: 5 },
      { materialId: 'grass_clippings', litres: 4 },
    ],
    waterPerLitreOfChar: 0,
    days: [90, 180],
    stirrings: 3,
    inoculates: true,
    feeds: true,
    fineness: null,
  },
  {
    id: 'nitrogenSoak',
    perLitreOfChar: [{ materialId: 'urine', litres: 0.1 }],
    waterPerLitreOfChar: 0.9,
    days: [3, 10],
    stirrings: 2,
    inoculates: false,
    feeds: true,
    fineness: null,
  },
];
var findChargeRecipe = (id2) => CHARGE_RECIPES.find((recipe) => recipe.id === id2);

// src/core/agenda/stock-tasks.ts
var YOUNG_HEAP_DAYS = 60;
var TURN_YOUNG_DAYS = 10;
var TURN_OLD_DAYS = 75;
var TOLD_DAYS = 60;
var dayOf5 = (iso) => dayNumberFromIso(iso, ['date']);
var task = (about) => ({
  group: 'yard',
  bedId: null,
  lotId: null,
  record: null,
  warnings: [],
  lateCost: null,
  ...about,
});
function stockTasks(setting) {
  const { movements, brews, today } = setting;
  return [
    ...movements.flatMap((movement) => movementTasks(movement, today)),
    ...heapTasks(setting),
    ...readyTasks(setting),
    ...brews.flatMap(brewTasks),
  ]
    .filter(({ day }) => isWithinAgenda(day, today))
    .sort((a, b) => a.day - b.day);
}
function movementTasks(movement, today) {
  const { id: id2, lotId } = movement;
  const day = dayOf5(movement.date);
  if (movement.state === 'planned') {
    return [
      task({
        key: `movement:${id2}`,
        what: { code: 'movement', movement },
        day,
        lotId,
        record: { type: 'movement', id: id2 },
      }),
    ];
  }
  if (movement.type === 'burn') return burnTasks(movement, day, lotId);
  return movement.type === 'make' ? chargeTasks(movement, day, today) : [];
}
function burnTasks({ id: id2, log, yield: given }, day, lotId) {
  return [
    ...(log.coldCheckedOn === null
      ? [task({ key: `cold:${id2}`, what: { code: 'coldCheck' }, day: day + 1, lotId })]
      : []),
    ...(given === null
      ? [task({ key: `yield:${id2}`, what: { code: 'measureChar' }, day: day + 1, lotId })]
      : []),
  ];
}
function chargeTasks({ id: id2, lotId, chargeRecipe, readyOn }, day, today) {
  if (!chargeRecipe || !readyOn) return [];
  const { stirrings } = findChargeRecipe(chargeRecipe);
  const ready = dayOf5(readyOn);
  if (ready < today - TOLD_DAYS) return [];
  const stirs = Array.from({ length: stirrings }, (_, i) =>
    task({
      key: `stir:${id2}:${i + 1}`,
      what: { code: 'stirCharge' },
      day: day + Math.round(((i + 1) * (ready - day)) / (stirrings + 1)),
      lotId,
    }),
  );
  return [...stirs, task({ key: `ready:${id2}`, what: { code: 'charReady' }, day: ready, lotId })];
}
function heapTasks({ lots, briefs, movements, today }) {
  return lots.flatMap(({ id: id2, isTurned, isHot }) => {
    const brief = briefs.get(id2);
    const made = movements
      .filter((one) => one.type === 'make' && one.lotId === id2 && one.state === 'laid')
      .at(-1);
    if (!isTurned || !isHot || !brief?.now || !made || (brief.finishedOn ?? Infinity) <= today) return [];
    const turned = movements.filter(
      (one) => one.type === 'turn' && one.lotId === id2 && one.state === 'laid',
    );
    const last = Math.max(dayOf5(made.date), ...turned.map(({ date: date2 }) => dayOf5(date2)));
    const days = last - dayOf5(made.date) < YOUNG_HEAP_DAYS ? TURN_YOUNG_DAYS : TURN_OLD_DAYS;
    return [
      task({ key: `turn:${id2}:${last}`, what: { code: 'turnHeap', days }, day: last + days, lotId: id2 }),
    ];
  });
}
function readyTasks({ briefs, today }) {
  return [...briefs.values()].flatMap(({ lotId, seasonedOn, finishedOn: finishedOn2, promises }) => {
    const missingL = promises.promised.reduce((sum, one) => sum + one.missingL, 0);
    return [
      ...(seasonedOn !== null && seasonedOn > today
        ? [task({ key: `seasoned:${lotId}`, what: { code: 'seasoned' }, day: seasonedOn, lotId })]
        : []),
      ...(finishedOn2 !== null && finishedOn2 > today
        ? [task({ key: `finished:${lotId}`, what: { code: 'finished' }, day: finishedOn2, lotId })]
        : []),
      ...(promises.shortOn !== null
        ? [task({ key: `short:${lotId}`, what: { code: 'short', missingL }, day: promises.shortOn, lotId })]
        : []),
    ];
  });
}
function brewTasks({ id: id2, brewId, date: date2, state }) {
  if (state !== 'going') return [];
  const brew = findBrew(brewId);
  const start = dayOf5(date2);
  return [
    ...brew.steps
      .filter(({ day }) => day > 0 && day < brew.days[1])
      .map(({ code, day }) =>
        task({
          key: `brew:${id2}:${code}:${day}`,
          what: { code: 'brewStep', brewId, step: code },
          day: start + day,
        }),
      ),
    task({
      key: `brew:${id2}`,
      what: { code: 'brewReady', brewId, lastDay: start + brew.days[1] },
      day: start + brew.days[0],
      record: { type: 'brew', id: id2 },
    }),
  ];
}

// src/core/agenda/garden-agenda.ts
var HORIZON_DAYS = AGENDA_AHEAD_DAYS + 200;
function bedAgenda(records, bedId, todayIso, booksOf = booksOfBed) {
  const today = dayNumberFromIso(todayIso, ['today']);
  const books = booksOf(records, bedId);
  const forward = booksOf(carriedForward(records, todayIso), bedId);
  if (!books || !forward) return [];
  const findMaterial = materialFinder(records);
  const scenario = bedScenario(forward, findMaterial, today, today + HORIZON_DAYS);
  const projection = projectBed(scenario, looksAround(today), telltaleDays(scenario, today));
  const rules = rulesFor(records.garden.school, books.bed);
  const isPath = books.bed.kind === 'path';
  const standing = bedStanding(scenario, projection, today, { isPath, rules });
  const isHeld = standing.contact !== null || standing.root !== null;
  return bedTasks({
    books,
    findMaterial,
    today,
    todayIso,
    projection,
    standing,
    planting: isHeld && !isPath ? plantingDates(scenario, today, rules) : [],
  });
}
function yardAgenda(records, brews, todayIso) {
  const today = dayNumberFromIso(todayIso, ['today']);
  const forward = carriedForward(records, todayIso);
  const books = stockBooksOf(forward);
  const find = materialFinder(records);
  const run2 = (until, withPlans) => runStock(books, find, { until, withPlans });
  const runs = {
    today: run2(today + 1, false),
    ahead: run2(today + LOT_HORIZON_DAYS, false),
    planned: run2(today + LOT_HORIZON_DAYS, true),
  };
  const briefs = new Map(
    records.lots.map(({ id: id2, reserveL }) => [
      id2,
      lotBrief(runs, id2, { climate: records.garden.climate, today, readings: [], reserveL }),
    ]),
  );
  return stockTasks({ movements: records.movements, brews, lots: records.lots, briefs, today });
}

// src/core/units/area.ts
var SQUARE_METRES_PER_SQUARE_FOOT = 0.3048 ** 2;
var squareFeetFromSquareMetres = (squareMetres) => squareMetres / SQUARE_METRES_PER_SQUARE_FOOT;

// src/words/figures.ts
var THIN_SPACE = ' ';
var MINUS = '\u2212';
function grouped(text) {
  const [whole = '', fraction] = text.split('.');
  const spaced = whole.length > 3 ? whole.replace(/\B(?=(\d{3})+$)/g, THIN_SPACE) : whole;
  return fraction === void 0 ? spaced : `${spaced}.${fraction}`;
}
function fixed(value, decimals) {
  const text = Math.abs(value).toFixed(decimals);
  const isZero = Number(text) === 0;
  return `${value < 0 && !isZero ? MINUS : ''}${grouped(text)}`;
}
function figure(value, digits = 3) {
  if (value === 0) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(value)));
  return fixed(value, Math.min(6, Math.max(0, digits - 1 - magnitude)));
}
function plainFigure(value, digits = 3) {
  const text = figure(value, digits);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}
function roundFigure(value) {
  if (value === 0) return '0';
  const magnitude = Math.floor(Math.log10(Math.abs(value)));
  const step = 10 ** Math.max(magnitude - 1, -2);
  return fixed(Math.round(value / step) * step, Math.max(0, -Math.log10(step)));
}
var percent = (share2) => `${fixed(share2 * 100, 0)} %`;

// src/words/measures.ts
var SQUARE_FEET_OF_A_RATE = 100;
var OUNCES_PER_100_SQFT_PER_G_PER_M2 =
  (SQUARE_FEET_OF_A_RATE * SQUARE_METRES_PER_SQUARE_FOOT) / GRAMS_PER_OUNCE;
var barrowWords = (barrows) => {
  const words = barrows < 9.5 ? plainFigure(Math.round(barrows * 2) / 2, 2) : fixed(barrows, 0);
  return `${words} barrow${words === '1' ? '' : 's'}`;
};
var NOTHING_G = 5e-3;
var SPOONS_UP_TO_L = 12 * LITRES_PER_TEASPOON;
var spoonsOr = (scoop) => (litres) =>
  litres > SPOONS_UP_TO_L ? scoop(litres) : `${plainFigure(litres / LITRES_PER_TEASPOON, 2)} tsp`;
var metricScoop = (litres) =>
  litres < 2 ? `${plainFigure(litres / LITRES_PER_CUP, 2)} cups` : `${plainFigure(litres, 2)} L`;
var customaryScoop = (litres) => {
  const cups = litres / LITRES_PER_CUP;
  return cups < 16 ? `${plainFigure(cups, 2)} cups` : `${plainFigure(litres / LITRES_PER_GALLON, 2)} gal`;
};
var metric = {
  thickness: (cm) => `${fixed(cm, cm < 10 ? 1 : 0).replace(/\.0$/, '')} cm`,
  area: (m2) => `${plainFigure(m2, 2)} m\xB2`,
  nitrogen: (g) => `${roundFigure(g < NOTHING_G ? 0 : g)} g`,
  rateFigure: (gPerM2) => gPerM2,
  rateUnit: 'g/m\xB2',
  rateDecimals: 1,
  rate: (gPerM2) => `${fixed(gPerM2, 1)} g/m\xB2`,
  mass: (kg) => (kg < 1 ? `${roundFigure(kg * 1e3)} g` : `${plainFigure(kg)} kg`),
  areaMassFigure: (kgPerM2) => kgPerM2,
  areaMassUnit: 'kg/m\xB2',
  scaleCm: 10,
  depthFigure: (cm) => cm,
  depthUnit: 'cm',
  smallVolume: metricScoop,
  spoons: spoonsOr(metricScoop),
  liquid: (litres) => `${plainFigure(litres, 2)} L`,
  volume: (litres) => (litres < 1e3 ? `${roundFigure(litres)} L` : `${plainFigure(litres / 1e3, 2)} m\xB3`),
  barrows: (litres) => barrowWords(litres / LITRES_PER_METRIC_BARROW),
  density: (kgPerM3) => `${roundFigure(kgPerM3)} kg/m\xB3`,
  warmth: (celsius) => `${fixed(celsius, 0)} \xB0C`,
  barrowUnit: 'barrow85L',
  bucketUnit: 'bucket10L',
  massUnit: 'kg',
  water: (mm) => `${plainFigure(mm, 2)} mm`,
  units: ['cm', 'bucket10L', 'barrow85L', 'litre', 'cubicMetre', 'kg', 'gram', 'metre'],
};
var customary = {
  thickness: (cm) => `${fixed(inchesFromCentimetres(cm), 1).replace(/\.0$/, '')} in`,
  area: (m2) => `${plainFigure(squareFeetFromSquareMetres(m2), 2)} sq ft`,
  nitrogen: (g) => `${roundFigure(ouncesFromGrams(g < NOTHING_G ? 0 : g))} oz`,
  rateFigure: (gPerM2) => gPerM2 * OUNCES_PER_100_SQFT_PER_G_PER_M2,
  rateUnit: 'oz/100 sq ft',
  rateDecimals: 2,
  rate: (gPerM2) => `${fixed(gPerM2 * OUNCES_PER_100_SQFT_PER_G_PER_M2, 2)} oz/100 sq ft`,
  mass: (kg) => {
    const pounds = poundsFromKilograms(kg);
    return pounds < 1 ? `${roundFigure(pounds * 16)} oz` : `${plainFigure(pounds)} lb`;
  },
  areaMassFigure: (kgPerM2) =>
    poundsFromKilograms(kgPerM2) * SQUARE_FEET_OF_A_RATE * SQUARE_METRES_PER_SQUARE_FOOT,
  areaMassUnit: 'lb/100 sq ft',
  scaleCm: 4 * CENTIMETRES_PER_INCH,
  depthFigure: inchesFromCentimetres,
  depthUnit: 'in',
  smallVolume: customaryScoop,
  spoons: spoonsOr(customaryScoop),
  liquid: (litres) => `${plainFigure(litres / LITRES_PER_GALLON, 2)} gal`,
  volume: (litres) => {
    const feet = litres / LITRES_PER_CUBIC_FOOT;
    return feet < 1 ? `${plainFigure(litres / LITRES_PER_GALLON, 2)} gal` : `${plainFigure(feet, 2)} cu ft`;
  },
  barrows: (litres) => barrowWords(litres / LITRES_PER_CUSTOMARY_BARROW),
  density: (kgPerM3) =>
    `${roundFigure(poundsFromKilograms(kgPerM3) * LITRES_PER_CUBIC_FOOT * 1e-3)} lb/cu ft`,
  warmth: (celsius) => `${fixed(celsius * 1.8 + 32, 0)} \xB0F`,
  barrowUnit: 'barrow3CuFt',
  bucketUnit: 'bucket5Gal',
  massUnit: 'pound',
  water: (mm) => `${plainFigure(inchesFromCentimetres(mm / 10), 2)} in`,
  units: [
    'inch',
    'bucket5Gal',
    'barrow3CuFt',
    'cubicFoot',
    'cubicYard',
    'gallon',
    'quart',
    'cup',
    'pound',
    'foot',
  ],
};
var BY_NAME = { metric, customary };
var measuresOf = ({ measures }) => BY_NAME[measures];
var SOIL_NITROGEN_WORDS = {
  gPerM2: 'g/m\xB2',
  kgPerHa: 'kg/ha',
  lbPerAcre: 'lb/acre',
  mgPerKg: 'mg/kg (ppm)',
};
var UNIT_WORDS = {
  cm: 'cm thick',
  inch: 'inches thick',
  metre: 'metres thick',
  foot: 'feet thick',
  litre: 'litres',
  cubicMetre: 'cubic metres',
  bucket10L: 'buckets (10 L)',
  barrow85L: 'barrows (85 L)',
  cup: 'cups',
  quart: 'quarts',
  gallon: 'gallons',
  bucket5Gal: 'buckets (5 gal)',
  barrow3CuFt: 'barrows (3 cu ft)',
  cubicFoot: 'cubic feet',
  cubicYard: 'cubic yards',
  kg: 'kg',
  gram: 'g',
  pound: 'lb',
};

// src/words/brew-words.ts
var BREW_WORDS = {
  compostTea: { name: 'Compost tea', aim: 'over cardboard, so that it softens and comes alive' },
  molassesWater: {
    name: 'Molasses water for mulch',
    aim: 'a teaspoon to the gallon on woody mulch, to set microbes to work',
  },
  molassesPath: { name: 'Molasses water for new paths', aim: 'five in a hundred on fresh chips of a path' },
  nativeStarter: { name: 'Native-soil starter', aim: 'a culture of the life in nearby woodland soil' },
  nativeWater: {
    name: 'Starter water',
    aim: 'the starter stretched with molasses and water; a cup to the gallon, monthly while things grow',
  },
};
var BREW_STEP_WORDS = {
  steep: 'Put the compost in the water',
  stir: 'Stir it through twice',
  pourOverCard: 'Pour it over the wetted card',
  dissolve: 'Dissolve the molasses in a little warm water, then thin it',
  pourOnMulch: 'Pour it over the moist mulch',
  pourOnPath: 'Pour it over the chips and tread them in',
  mixStarter: 'Mix soil, rice and molasses; crumbly, not wet',
  keepLoose: 'Keep it in the dark under a cloth or a loose lid',
  lookForMould: 'Look at it: white is right',
  mixWater: 'Stir starter and molasses into water without chlorine',
  looseLid: 'Stand it under a loose lid, never a tight one',
  useUp: 'Use it up within a few days',
};

// src/words/dates.ts
var MONTH_NAMES = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];
var MONTH_LETTERS = MONTH_NAMES.map((month) => month.slice(0, 3));
function dateNear(day, today) {
  const { year, month, day: dayOfMonth } = calendarDateOf(day);
  const short = `${dayOfMonth} ${MONTH_NAMES[month - 1]}`;
  return year === calendarDateOf(today).year ? short : `${short} ${year}`;
}

// src/words/record-names.ts
var materialName = (materialId, materials) =>
  materials.find(({ id: id2 }) => id2 === materialId)?.name ??
  findLibraryMaterial(materialId)?.name ??
  materialId;
function layName({ lotId, materialId }, { materials, lots }) {
  const lot = lotId ? lots.find(({ id: id2 }) => id2 === lotId) : void 0;
  return lot?.name ?? materialName(materialId, materials);
}
var plantingOf = (cropId, plantings) =>
  plantings.find(({ id: id2 }) => cropId === id2 || cropId.startsWith(`${id2}:`));
function cropName(cropId, plantings) {
  const planting = plantingOf(cropId, plantings);
  return (planting && findCrop(planting.cropId)?.name) ?? 'Crop';
}
var cropNames = (cropIds, plantings) =>
  [...new Set(cropIds.map((id2) => cropName(id2, plantings)))].join(' and ');
function layerName(layerId, entries, plantings, names) {
  const entry = entries.find(({ id: id2 }) => id2 === layerId);
  return entry?.type === 'lay' ? layName(entry, names) : residueName(layerId, plantings);
}
function residueName(layerId, plantings) {
  const cropId = layerId.slice(0, layerId.length - residueId('').length);
  return `${cropName(cropId, plantings)} remains`;
}

// src/words/entry-words.ts
function entryWords(entry, entries, books, measures) {
  const layerName2 = (layerId) => {
    const layer = entries.find(({ id: id2 }) => id2 === layerId);
    return layer?.type === 'lay' ? layName(layer, books) : 'a layer';
  };
  switch (entry.type) {
    case 'lay': {
      const amount = `${plainFigure(entry.amount)} ${UNIT_WORDS[entry.unit]}`;
      const age2 = entry.seasonedMonths > 0 ? `, ${entry.seasonedMonths} months old` : '';
      const place = entry.dugDepthCm > 0 ? `, dug in ${measures.thickness(entry.dugDepthCm)} deep` : '';
      return `${layName(entry, books)}: ${amount} (${measures.mass(entry.massFreshKg)})${age2}${place}`;
    }
    case 'dig': {
      const what = entry.layerId === null ? 'Everything on top' : layerName2(entry.layerId);
      return `${what} dug in ${measures.thickness(entry.dugDepthCm)} deep`;
    }
    case 'takeOff':
      return `${layerName2(entry.layerId)}: ${percent(entry.shareTakenOff)} taken off`;
    case 'feed':
      return `Fed ${measures.nitrogen(entry.nitrogenG)} nitrogen`;
    case 'soilTest':
      return soilTestWords(entry, measures);
    case 'water':
      return `Watered, ${measures.water(entry.waterMm)}`;
  }
}
function soilTestWords(entry, measures) {
  const { amount, unit: unit2, sampledDepthCm, ph, organicMatterPct: organicMatterPct2 } = entry;
  return [
    `Soil test: ${plainFigure(amount)} ${SOIL_NITROGEN_WORDS[unit2]} mineral nitrogen, 0 to ${measures.thickness(sampledDepthCm)}`,
    ...(ph === null ? [] : [`pH ${plainFigure(ph)}`]),
    ...(organicMatterPct2 === null ? [] : [`${plainFigure(organicMatterPct2)} % organic matter`]),
  ].join(', ');
}

// src/words/stock-words.ts
var KEEPING_WORDS = {
  open: 'open to the rain',
  covered: 'covered, keeps its moisture',
  roofed: 'dry, under a roof',
  watered: 'kept watered',
  shut: 'shut: bag, drum, lid',
};
var treatmentWords = ({ keeping, isTurned, isHot }) =>
  [
    KEEPING_WORDS[keeping],
    isTurned ? 'turned now and then' : 'left still',
    ...(isHot ? ['heats up'] : []),
  ].join(', ');
var SIGN_WORDS = {
  earthySmell: 'smells of earth',
  sourSmell: 'smells sour',
  ammoniaSmell: 'smells of ammonia',
  darkCrumb: 'dark and crumbly',
  nothingRecognizable: 'nothing left to recognize',
  coolAfterTurning: 'stays cool after turning',
  whiteThreads: 'white threads',
  worms: 'worms in it',
  seedlingsGrow: 'cress or beans grow in it',
};
var REASON_WORDS = {
  given: 'given away',
  sold: 'sold',
  spilt: 'spilt or spoilt',
  used: 'used elsewhere',
};
var amountWords = ({ amount, unit: unit2 }) => `${plainFigure(amount)} ${UNIT_WORDS[unit2]}`;
function movementInWords(movement, lotId, nameOf2) {
  switch (movement.type) {
    case 'receive':
      return `Received ${amountWords(movement)}`;
    case 'make':
      return movement.lotId === lotId
        ? `Made of ${movement.ingredients.length} thing${movement.ingredients.length === 1 ? '' : 's'}${movement.isLayered ? ', layered' : ', mixed'}`
        : `Into ${nameOf2(movement.lotId)}`;
    case 'move':
      return movement.lotId === lotId
        ? `${amountWords(movement)} to ${nameOf2(movement.toLotId)}`
        : `${amountWords(movement)} from ${nameOf2(movement.lotId)}`;
    case 'takeOut':
      return `${amountWords(movement)} ${REASON_WORDS[movement.reason]}`;
    case 'stocktake':
      return `Counted: ${movement.amount === 0 ? 'nothing left' : amountWords(movement)}`;
    case 'keep':
      return `Now ${treatmentWords(movement)}`;
    case 'turn':
      return 'Turned';
    case 'water':
      return `Watered with ${plainFigure(movement.waterL)} L`;
    case 'reading':
      return readingWords(movement);
    case 'sign':
      return movement.signs.map((sign) => SIGN_WORDS[sign]).join(', ');
    case 'burn':
      return movement.lotId === lotId ? 'Char out of the fire' : `Burnt to ${nameOf2(movement.lotId)}`;
    case 'crush':
      return `Crushed: ${movement.fineness}`;
  }
}
function readingWords(reading) {
  const found2 = [
    reading.temperatureC !== null && `${fixed(reading.temperatureC, 0)} \xB0C inside`,
    reading.moistureFractionWetBasis !== null &&
      `${fixed(reading.moistureFractionWetBasis * 100, 0)} % water`,
    reading.bulkDensityKgPerM3 !== null && `${fixed(reading.bulkDensityKgPerM3, 0)} kg/m\xB3`,
    reading.carbonFractionDryBasis !== null && `${plainFigure(reading.carbonFractionDryBasis * 100)} % C`,
    reading.nitrogenFractionDryBasis !== null && `${plainFigure(reading.nitrogenFractionDryBasis * 100)} % N`,
  ].filter((one) => one !== false);
  return `Measured ${found2.join(', ')}`;
}

// src/words/task-words.ts
var cropName2 = (cropId) => findCrop(cropId)?.name ?? 'A crop';
var lotName = (lotId, { lots }) => lots.find(({ id: id2 }) => id2 === lotId)?.name ?? 'a pile';
function placeWords({ bedId, lotId }, names) {
  if (bedId !== null) return names.beds.find(({ id: id2 }) => id2 === bedId)?.name ?? '';
  return lotId === null ? '' : lotName(lotId, names);
}
function taskWords(task2, names, measures) {
  const { what } = task2;
  switch (what.code) {
    case 'entry':
      return entryTaskWords(what.entry, names, measures);
    case 'plant':
      return `${what.isSown ? 'Sow' : 'Plant'} ${cropName2(what.cropId).toLowerCase()}`;
    case 'clear':
      return `Harvest and clear ${cropName2(what.cropId).toLowerCase()}`;
    case 'dose':
      return `Feed ${cropNames(what.cropIds, names.plantings).toLowerCase()}: ${measures.nitrogen(what.nitrogenG)} of quick nitrogen`;
    case 'topUp':
      return `Top up with ${measures.thickness(what.addCm)} of ${materialName(what.materialId, names.materials).toLowerCase()}`;
    case 'liftPath':
      return 'Lift the bottom of the path: it has become crumbs';
    case 'safe':
      return `From here ${what.start === 'seedlings' ? 'seed may be sown' : 'young plants may be set'}: what was laid no longer starves them`;
    case 'harvestFrom':
      return `From here ${cropName2(what.cropId).toLowerCase()} may be harvested after ${what.raw === 'urine' ? 'the urine' : 'the raw manure'}`;
    case 'check':
      return checkWords(what, names);
    case 'retest':
      return what.what === 'soil'
        ? 'Sample the soil: mineral nitrogen, pH, organic matter'
        : 'Test the pH before any more ash';
    case 'closeYear':
      return `Close the books of ${what.year}`;
    default:
      return yardWords(what, task2.lotId, names);
  }
}
function entryTaskWords(entry, names, measures) {
  const words = entryWords(entry, names.entries, names, measures);
  switch (entry.type) {
    case 'lay':
      return `${entry.dugDepthCm > 0 ? 'Dig in' : 'Lay'} ${words}`;
    case 'feed':
      return `Feed ${measures.nitrogen(entry.nitrogenG)} of nitrogen`;
    case 'water':
      return `Water with ${measures.water(entry.waterMm)}`;
    case 'soilTest':
      return 'Have the soil tested, as planned';
    case 'dig':
      return `Dig in ${entry.layerId === null ? 'everything on top' : layerNameOf(entry.layerId, names)}, ${measures.thickness(entry.dugDepthCm)} deep`;
    case 'takeOff':
      return `Take off ${percent(entry.shareTakenOff)} of ${layerNameOf(entry.layerId, names)}`;
  }
}
var layerNameOf = (layerId, { entries, plantings, ...names }) =>
  layerName(layerId, entries, plantings, names).toLowerCase();
function checkWords({ check, aboutId }, { entries, plantings, ...names }) {
  const entry = entries.find(({ id: id2 }) => id2 === aboutId);
  const layer = entry?.type === 'lay' ? layName(entry, names).toLowerCase() : 'the layer';
  switch (check) {
    case 'sweetManure':
      return `Look under the cover: ${layer} should be dark and smell sweet`;
    case 'manureWorms':
      return `Look for worms in the ${layer}`;
    case 'manureCrumbs':
      return `Is the ${layer} dark crumbs by now?`;
    case 'threads':
      return `Look for white threads under the ${layer}`;
    case 'thickness':
      return `Measure how thick the ${layer} still lies`;
    case 'leaves':
      return `Look at the leaves of the ${cropNames([aboutId], plantings).toLowerCase()}: nitrogen is held beneath them`;
  }
}
function yardWords(what, lotId, names) {
  switch (what.code) {
    case 'movement':
      return movementInWords(what.movement, lotId ?? '', (id2) => lotName(id2, names));
    case 'charReady':
      return 'Charged char is ready';
    case 'stirCharge':
      return 'Stir the charge';
    case 'coldCheck':
      return 'Feel for warmth to the bottom of the fire pit: heaps re-light hours later';
    case 'measureChar':
      return 'Measure what the fire gave';
    case 'turnHeap':
      return 'Turn the heap';
    case 'seasoned':
      return 'Seasoned: down to half of the lock-up it had when fresh';
    case 'finished':
      return 'Finished compost';
    case 'short':
      return `Will be short by ${plainFigure(what.missingL, 2)} L of what is planned`;
    case 'brewStep':
      return `${BREW_WORDS[what.brewId].name}: ${BREW_STEP_WORDS[what.step]?.toLowerCase() ?? what.step}`;
    case 'brewReady':
      return `${BREW_WORDS[what.brewId].name} is ready`;
    default:
      return '';
  }
}
var LEAST_TOLD_G = 0.05;
function taskReason({ what }, measures, today) {
  switch (what.code) {
    case 'dose':
      return what.missedWithoutG < LEAST_TOLD_G
        ? 'It makes good what the crop is owed already.'
        : `Without it the crop misses ${measures.nitrogen(what.missedWithoutG)} until the next, with it ${measures.nitrogen(what.missedWithG)}.`;
    case 'topUp':
      return `By then ${measures.thickness(what.nowCm)} are left, by the model.`;
    case 'liftPath':
      return `The lowest chips have lain ${plainFigure(what.years, 2)} years: lift them after two to three (common practice). Weeds rooting in the top say the same; take perennial weeds out first, lay fresh card after.`;
    case 'harvestFrom':
      return 'Local food-safety rules come first.';
    case 'retest':
      return what.what === 'soil'
        ? 'A test is an opening balance on its date; the book and its likely range learn from it.'
        : 'The first dose on sour ground was doubled.';
    case 'closeYear':
      return 'See what went in, what was expected and what was found; then stack, pull or rest.';
    case 'brewReady':
      return `Use it up by ${dateNear(what.lastDay, today)}, or discard it if it smells foul or the mold is blue or green.`;
    case 'turnHeap':
      return `${what.days} days after it was last turned.`;
    case 'coldCheck':
      return 'Never leave it before it is cold to the hand, all the way down.';
    default:
      return '';
  }
}
function warningWords(warning, measures) {
  return warning.code === 'coldSoil'
    ? `Cold soil: about ${measures.warmth(warning.temperatureC)} by the climate of that day. Seed sits and rots, organic feed lies idle.`
    : 'Wet clay: that month brings more rain than the air takes up. Keep off it, do not dig; wait for a dry spell.';
}
function lateCostWords(cost, areaM2, measures) {
  const { lateDays, cropMissesG, paleDays, lostNitrogenG } = cost;
  const parts2 = [
    Math.abs(cropMissesG * areaM2) >= 0.05 &&
      `the crops miss ${measures.nitrogen(Math.abs(cropMissesG) * areaM2)} of nitrogen ${cropMissesG > 0 ? 'more' : 'less'}`,
    Math.abs(paleDays) >= 1 &&
      `${Math.abs(Math.round(paleDays))} pale days ${paleDays > 0 ? 'more' : 'fewer'}`,
    Math.abs(lostNitrogenG * areaM2) >= 0.05 &&
      `${measures.nitrogen(Math.abs(lostNitrogenG) * areaM2)} ${lostNitrogenG > 0 ? 'more' : 'less'} goes to air and groundwater`,
  ].filter((part2) => part2 !== false);
  const late = `${lateDays} day${lateDays === 1 ? '' : 's'} late`;
  return parts2.length === 0
    ? `${late}; it makes no difference that counts.`
    : `${late}: done today instead, ${parts2.join(', ')}.`;
}

// src/server/calendar/garden-calendar.ts
function gardenAgenda({ yard, beds, journal, today }) {
  const brews = journal.filter((one) => one.kind === 'brew');
  const tasks = [
    ...beds.flatMap(({ id: id2 }) => bedAgenda(yard, id2, today)),
    ...(yard.lots.length > 0 || brews.length > 0 ? yardAgenda(yard, brews, today) : []),
  ];
  return agendaOf(tasks, journal, dayNumberFromIso(today, ['today'])).filter(
    ({ state }) => state === 'open' || state === 'snoozed',
  );
}
var MINUTE_MS = 6e4;
var SEQUENCE_SINCE_MS = Date.UTC(2024, 0, 1);
function calendarFile(records, now2) {
  const measures = measuresOf(records.garden);
  const today = dayNumberFromIso(records.today, ['today']);
  const calendar = ical({
    name: `${records.garden.name}, Vine Ledger`,
    prodId: { company: 'Vine Ledger', product: 'Garden calendar', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 6 * 60 * 60,
  });
  for (const item of gardenAgenda(records)) {
    const area = records.beds.find(({ id: id2 }) => id2 === item.bedId)?.areaM2 ?? 0;
    const place = placeWords(item, records);
    const details = [
      taskReason(item, measures, today),
      ...item.warnings.map((warning) => warningWords(warning, measures)),
      item.lateCost ? lateCostWords(item.lateCost, area, measures) : '',
      item.mark?.note ?? '',
    ];
    calendar.createEvent({
      id: `${item.key}@${records.garden.id}.vine-ledger`,
      sequence: Math.floor((now2.getTime() - SEQUENCE_SINCE_MS) / MINUTE_MS),
      stamp: now2,
      // Late ones stand on today: a calendar shows what is before one, not behind.
      start: /* @__PURE__ */ new Date(`${isoDateOf(Math.max(item.shownDay, today))}T00:00:00Z`),
      allDay: true,
      summary:
        place === '' ? taskWords(item, records, measures) : `${place}: ${taskWords(item, records, measures)}`,
      description: details.filter((line) => line !== '').join('\n') || null,
      categories: [{ name: item.group }],
      transparency: ICalEventTransparency.TRANSPARENT,
    });
  }
  return calendar.toString();
}

// src/server/routes/feeds.ts
var SECRET_BYTES = 24;
var digestOf2 = (token) => createHash2('sha256').update(token).digest('hex');
function calendarRecords(stores, gardenId, today) {
  const garden = found(stores.gardens.find(gardenId), 'garden');
  const lots = stores.lots.listOf(gardenId);
  return {
    garden,
    beds: stores.beds.listOf(gardenId),
    entries: stores.entries.listOfGarden(gardenId),
    plantings: stores.plantings.listOfGarden(gardenId),
    materials: stores.materials.listOf(gardenId),
    lots,
    yard: { ...keptRecords(stores, gardenId), lots, movements: stores.movements.listOf(gardenId) },
    journal: stores.journal.listOf(gardenId),
    today,
  };
}
function remembered() {
  let last;
  return (records) => {
    const key = JSON.stringify(records);
    if (last?.key !== key) last = { key, file: calendarFile(records, /* @__PURE__ */ new Date()) };
    return last.file;
  };
}
function calendarFiles({ stores, today }) {
  const fileOf = remembered();
  const answer = (gardenId, disposition) =>
    new Response(fileOf(calendarRecords(stores, gardenId, today())), {
      headers: {
        'Content-Type': 'text/calendar; charset=utf-8',
        'Content-Disposition': `${disposition}; filename="vine-ledger.ics"`,
        'Cache-Control': 'private, no-cache',
      },
    });
  return new Hono8()
    .get('/feeds/:file{[A-Za-z0-9_-]+\\.ics}', (c) => {
      const token = c.req.param('file').replace(/\.ics$/, '');
      const feed2 = stores.feeds.opened(digestOf2(token));
      if (!feed2) throw notFound('calendar; its address may have been revoked');
      return answer(feed2.gardenId, 'inline');
    })
    .get('/api/gardens/:gardenId/calendar.ics', (c) => answer(c.req.param('gardenId'), 'attachment'));
}
var feedRoutes = ({ stores, newId }) =>
  new Hono8()
    .get('/gardens/:gardenId/feeds', (c) =>
      c.json(
        { feeds: stores.feeds.listOf(found(stores.gardens.find(c.req.param('gardenId')), 'garden').id) },
        200,
      ),
    )
    .post('/gardens/:gardenId/feeds', body(feedDraft), (c) => {
      const { id: gardenId } = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const token = randomBytes2(SECRET_BYTES).toString('base64url');
      const feed2 = stores.feeds.insert(
        { id: newId(), gardenId, name: c.req.valid('json').name },
        digestOf2(token),
      );
      return c.json({ feed: feed2, path: `/feeds/${token}.ics` }, 201);
    })
    .delete('/feeds/:feedId', (c) => {
      if (!stores.feeds.revoke(c.req.param('feedId'))) throw notFound('calendar address');
      return c.body(null, 204);
    });

// src/server/routes/gardens.ts
import { Hono as Hono9 } from 'hono';
var gardenRoutes = ({ stores, today, newId }) =>
  new Hono9()
    .get('/', (c) => c.json({ today: today(), gardens: stores.gardens.list() }, 200))
    .post('/', body(gardenDraft), (c) => {
      const draft = c.req.valid('json');
      const id2 = draft.id ?? newId();
      const known = sentAgain(stores.gardens.find(id2), draft);
      return known ? c.json(known, 200) : c.json(stores.gardens.insert({ ...draft, id: id2 }), 201);
    })
    .get('/:gardenId/books', (c) => {
      const garden = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const books = {
        today: today(),
        garden,
        beds: stores.beds.listOf(garden.id),
        entries: stores.entries.listOfGarden(garden.id),
        plantings: stores.plantings.listOfGarden(garden.id),
        materials: stores.materials.listOf(garden.id),
        buildUps: stores.buildUps.listOf(garden.id),
        habits: stores.habits.listOf(garden.id),
        lots: stores.lots.listOf(garden.id),
        movements: stores.movements.listOf(garden.id),
        labResults: stores.labResults.listOf(garden.id),
        recipes: stores.recipes.listOf(garden.id),
        journal: stores.journal.listOf(garden.id),
        weather: measuredWeather(stores, garden.id),
      };
      return c.json(books, 200);
    })
    .put('/:gardenId', body(gardenChange), (c) => {
      const { version: version2, ...values } = c.req.valid('json');
      return c.json(written(stores.gardens.update(c.req.param('gardenId'), version2, values), 'garden'), 200);
    })
    .delete('/:gardenId', seenVersion, (c) => {
      requireRemoved(stores.gardens.remove(c.req.param('gardenId'), c.req.valid('query').version), 'garden');
      return c.body(null, 204);
    })
    .post('/:gardenId/restore', (c) =>
      c.json(written(stores.gardens.restore(c.req.param('gardenId')), 'garden'), 200),
    );

// src/server/routes/imports.ts
import { Hono as Hono10 } from 'hono';
import { z as z12 } from 'zod';

// src/contract/garden-file.ts
import { z as z10 } from 'zod';

// src/contract/weather-records.ts
import { z as z8 } from 'zod';
var weatherFields = {
  date,
  temperatureC: finite.min(-60).max(55),
  rainMm: finite.min(0).max(600),
  evapotranspirationMm: finite.min(0).max(25).nullable().default(null),
};
var weatherRow = z8.strictObject({ ...creation, ...weatherFields });
var weatherFiled = z8.strictObject({ ...filed, ...weatherFields });
var weatherRecord = z8.object({ ...stamp, gardenId: id, ...weatherFields });

// src/contract/stock-records.ts
import { z as z9 } from 'zod';

// src/core/char/char-codes.ts
var BURN_METHODS = ['emberRescue', 'trench', 'conePit', 'topLitDrum', 'closedRetort'];
var CHAR_FINENESSES = ['coarse', 'pea', 'sand', 'dust'];
var CHARGE_RECIPE_IDS = ['slurry', 'soak', 'compostBlend', 'castingsBlend', 'throughHeap', 'nitrogenSoak'];

// src/core/mixing/purposes.ts
var MIX_PURPOSES = ['hotCompost', 'fungalMulch', 'sheetLayer', 'bedding', 'leafMould', 'open'];

// src/core/stock/stock-records.ts
var LOT_FORMS = ['pile', 'heap', 'bag', 'bin', 'drum', 'bale'];
var REASONS_TAKEN = ['given', 'sold', 'spilt', 'used'];
var READINESS_SIGNS = [
  'earthySmell',
  'sourSmell',
  'ammoniaSmell',
  'darkCrumb',
  'nothingRecognizable',
  'coolAfterTurning',
  'whiteThreads',
  'worms',
  'seedlingsGrow',
];

// src/contract/stock-records.ts
var lotFields = {
  name,
  form: z9.enum(LOT_FORMS),
  keeping: z9.enum(KEEPINGS),
  isTurned: z9.boolean(),
  isHot: z9.boolean(),
  /** Kept back when the stock is shared out, litres. */
  reserveL: finite.min(0).max(1e7).default(0),
  note,
};
var lotDraft = z9.strictObject({ ...creation, ...lotFields });
var lotChange = z9.strictObject({ version, ...lotFields });
var lotRecord = z9.object({ ...stamp, gardenId: id, ...lotFields });
var lotFiled = z9.strictObject({ ...filed, ...lotFields });
var unit = z9.enum(STOCK_UNITS);
var amountFields = { amount: finite.gt(0).max(1e9), unit };
var moisture = finite
  .min(0)
  .refine((value) => value < 1, 'must be below 100 %, wet basis: water in what was weighed wet');
var temperatureC = finite.min(-40).max(95);
var bulkDensity = finite.min(10).max(2500);
var ingredient = z9.union([
  z9.strictObject({ lotId: id, materialId: z9.null(), ...amountFields }),
  z9.strictObject({ lotId: z9.null(), materialId: id, ...amountFields }),
]);
var MOST_INGREDIENTS = 30;
var ingredients = z9.array(ingredient).min(1).max(MOST_INGREDIENTS);
var movementCommon = { state: z9.enum(RECORD_STATES), date, note, lotId: id };
var burnLog = z9.strictObject({
  method: z9.enum(BURN_METHODS),
  isOneThickness: z9.boolean().nullable(),
  dryness: z9.enum(['dry', 'halfDry', 'green']).nullable(),
  quench: z9.enum(['water', 'soil', 'closed']).nullable(),
  quenchWaterL: finite.min(0).max(1e5).nullable(),
  /** Cold to the bottom, looked at on this day. */
  coldCheckedOn: date.nullable(),
  isMagnetPassed: z9.boolean(),
  /** Steps ticked off, with the instant. */
  steps: z9.array(z9.strictObject({ step: z9.string().max(60), at: z9.string().max(40) })).max(60),
});
var movementFields = {
  receive: {
    ...movementCommon,
    type: z9.literal('receive'),
    ...amountFields,
    materialId: id,
    moistureFractionWetBasis: moisture.nullable(),
    bulkDensityKgPerM3: bulkDensity.nullable(),
    seasonedMonths: finite.min(0).max(120),
  },
  make: {
    ...movementCommon,
    type: z9.literal('make'),
    ingredients,
    waterL: finite.min(0).max(1e6),
    isLayered: z9.boolean(),
    /** What it is being made ready for, and the day it should be. */
    chargeRecipe: z9.enum(CHARGE_RECIPE_IDS).nullable().default(null),
    readyOn: date.nullable().default(null),
  },
  move: { ...movementCommon, type: z9.literal('move'), ...amountFields, toLotId: id },
  takeOut: {
    ...movementCommon,
    type: z9.literal('takeOut'),
    ...amountFields,
    reason: z9.enum(REASONS_TAKEN),
  },
  stocktake: {
    ...movementCommon,
    type: z9.literal('stocktake'),
    amount: finite.min(0).max(1e9),
    unit,
  },
  keep: {
    ...movementCommon,
    type: z9.literal('keep'),
    keeping: z9.enum(KEEPINGS),
    isTurned: z9.boolean(),
    isHot: z9.boolean(),
  },
  turn: { ...movementCommon, type: z9.literal('turn') },
  water: { ...movementCommon, type: z9.literal('water'), waterL: finite.gt(0).max(1e6) },
  reading: {
    ...movementCommon,
    type: z9.literal('reading'),
    temperatureC: temperatureC.nullable(),
    moistureFractionWetBasis: moisture.nullable(),
    bulkDensityKgPerM3: bulkDensity.nullable(),
    carbonFractionDryBasis: finite.gt(0).max(0.95).nullable(),
    nitrogenFractionDryBasis: finite.gt(0).max(0.5).nullable(),
  },
  sign: {
    ...movementCommon,
    type: z9.literal('sign'),
    signs: z9.array(z9.enum(READINESS_SIGNS)).min(1).max(20),
  },
  burn: {
    ...movementCommon,
    type: z9.literal('burn'),
    feedstock: ingredients,
    charTemperature: z9.enum(CHAR_TEMPERATURES),
    yield: z9.strictObject({ ...amountFields, moistureFractionWetBasis: moisture }).nullable(),
    unburntShare: finite.min(0).max(0.95),
    log: burnLog,
  },
  crush: { ...movementCommon, type: z9.literal('crush'), fineness: z9.enum(CHAR_FINENESSES) },
};
var anyMovement = (extra) =>
  z9.discriminatedUnion('type', [
    z9.strictObject({ ...extra, ...movementFields.receive }),
    z9.strictObject({ ...extra, ...movementFields.make }),
    z9.strictObject({ ...extra, ...movementFields.move }),
    z9.strictObject({ ...extra, ...movementFields.takeOut }),
    z9.strictObject({ ...extra, ...movementFields.stocktake }),
    z9.strictObject({ ...extra, ...movementFields.keep }),
    z9.strictObject({ ...extra, ...movementFields.turn }),
    z9.strictObject({ ...extra, ...movementFields.water }),
    z9.strictObject({ ...extra, ...movementFields.reading }),
    z9.strictObject({ ...extra, ...movementFields.sign }),
    z9.strictObject({ ...extra, ...movementFields.burn }),
    z9.strictObject({ ...extra, ...movementFields.crush }),
  ]);
var movementDraft = anyMovement(creation);
var movementChange = anyMovement({ version });
var movementRecord = anyMovement({ ...stamp, gardenId: id });
var movementFiled = anyMovement(filed);
var stockPosting = z9.strictObject({
  materials: z9.array(namedMaterialDraft).max(MOST_AT_ONCE).default([]),
  lots: z9.array(z9.strictObject({ id, ...lotFields })).max(MOST_AT_ONCE),
  movements: z9.array(anyMovement({ id })).max(MOST_AT_ONCE),
});
var labFields = {
  materialId: id,
  date,
  laboratory: z9.string().trim().max(120),
  moistureFractionWetBasis: moisture.nullable(),
  carbonFractionDryBasis: finite.gt(0).max(0.95).nullable(),
  nitrogenFractionDryBasis: finite.gt(0).max(0.5).nullable(),
  ammoniumShareOfNitrogen: share.nullable(),
  bulkDensityKgPerM3: bulkDensity.nullable(),
  note,
};
var labResultDraft = z9.strictObject({ ...creation, ...labFields });
var labResultChange = z9.strictObject({ version, ...labFields });
var labResultRecord = z9.object({ ...stamp, gardenId: id, ...labFields });
var labResultFiled = z9.strictObject({ ...filed, ...labFields });
var recipeFields = {
  name,
  purpose: z9.enum(MIX_PURPOSES),
  ingredients,
  waterL: finite.min(0).max(1e6),
  isLayered: z9.boolean(),
  note,
};
var recipeDraft = z9.strictObject({ ...creation, ...recipeFields });
var recipeRecord = z9.object({ ...stamp, gardenId: id, ...recipeFields });
var recipeFiled = z9.strictObject({ ...filed, ...recipeFields });

// src/contract/garden-file.ts
var GARDEN_FILE_FORMAT = 'vine-ledger-garden';
var GARDEN_FILE_VERSION = 2;
var MOST_RECORDS = 2e5;
var MOST_PHOTOS = 2e3;
var photoFiled = z10.strictObject({
  id,
  createdAt: filed.createdAt,
  mediaType: z10.enum(['image/jpeg', 'image/png']),
  base64: z10.base64(),
});
var filedCollections = {
  materials: materialFiled,
  labResults: labResultFiled,
  recipes: recipeFiled,
  buildUps: buildUpFiled,
  habits: habitFiled,
  lots: lotFiled,
  movements: movementFiled,
  beds: bedFiled,
  entries: entryFiled,
  plantings: plantingFiled,
  journal: journalFiled,
  weather: weatherFiled,
};
var COLLECTION_NAMES = Object.keys(filedCollections);
var list = (schema) => z10.array(schema).max(MOST_RECORDS);
var gardenFile = z10.strictObject({
  format: z10.literal(GARDEN_FILE_FORMAT),
  version: z10.literal(GARDEN_FILE_VERSION),
  garden: gardenFiled,
  materials: list(materialFiled),
  labResults: list(labResultFiled),
  recipes: list(recipeFiled),
  buildUps: list(buildUpFiled),
  habits: list(habitFiled),
  lots: list(lotFiled),
  movements: list(movementFiled),
  beds: list(bedFiled),
  entries: list(entryFiled),
  plantings: list(plantingFiled),
  journal: list(journalFiled),
  weather: list(weatherFiled),
  /** The pictures of the log; absent when the file was made without them. */
  photos: z10.array(photoFiled).max(MOST_PHOTOS).optional(),
});
var UPGRADES = {
  // Weather came with version 2; outlines of beds did too, and are null where a bed has none.
  1: (file) => ({ ...file, weather: [] }),
};
var isObject = (value) => typeof value === 'object' && value !== null && !Array.isArray(value);
function upgraded(raw) {
  if (!isObject(raw) || raw['format'] !== GARDEN_FILE_FORMAT) {
    throw new InputError(['format'], 'bad_shape', `must be "${GARDEN_FILE_FORMAT}": this is no garden file`);
  }
  const version2 = raw['version'];
  if (typeof version2 !== 'number' || !Number.isInteger(version2) || version2 < 1) {
    throw new InputError(['version'], 'bad_shape', 'must be a whole number from 1 on');
  }
  if (version2 > GARDEN_FILE_VERSION) {
    throw new InputError(
      ['version'],
      'unknown',
      `is ${version2}, and this Vine Ledger reads up to ${GARDEN_FILE_VERSION}: update Vine Ledger to open it`,
    );
  }
  let file = raw;
  for (let from = version2; from < GARDEN_FILE_VERSION; from++)
    file = { ...UPGRADES[from](file), version: from + 1 };
  return file;
}
var gardenFileText = (file) => `${JSON.stringify(gardenFile.parse(file), null, 1)}
`;

// src/contract/imports.ts
import { z as z11 } from 'zod';
var rowSchemas = {
  materials: materialDraft,
  labResults: labResultDraft,
  recipes: recipeDraft,
  buildUps: buildUpDraft,
  habits: habitDraft,
  lots: lotDraft,
  movements: movementDraft,
  beds: bedDraft,
  entries: entryRow,
  plantings: plantingRow,
  journal: journalRow,
  weather: weatherRow,
};
var MOST_ROWS = 5e4;
var importRequest = z11.strictObject({
  collection: z11.enum(COLLECTION_NAMES),
  /** Where they come from, for the list of what was read in. */
  summary: z11.string().trim().min(1).max(200),
  rows: z11.array(z11.record(z11.string(), z11.unknown())).min(1).max(MOST_ROWS),
});

// src/server/imports/exported-garden.ts
function filed2(record) {
  const { version: version2, gardenId, ...rest } = record;
  return rest;
}
function standingAlone(journal, layerIds, plantingIds) {
  const trialIds = new Set(journal.filter(({ kind }) => kind === 'trial').map(({ id: id2 }) => id2));
  return journal.flatMap((record) => {
    if (record.kind === 'plotReading') return trialIds.has(record.trialId) ? [record] : [];
    if (record.kind !== 'observation') return [record];
    const { observed: observed2 } = record;
    const isLost =
      observed2.type === 'thickness' && observed2.layerId !== null && !layerIds.has(observed2.layerId);
    return [
      {
        ...record,
        plantingId:
          record.plantingId !== null && plantingIds.has(record.plantingId) ? record.plantingId : null,
        observed: isLost ? { ...observed2, layerId: null } : observed2,
      },
    ];
  });
}
function gardenFileOf(stores, photoFiles, gardenId) {
  const garden = found(stores.gardens.find(gardenId), 'garden');
  const entries = stores.entries.listOfGarden(gardenId);
  const plantings = stores.plantings.listOfGarden(gardenId);
  const idsOf = (records) => new Set(records.map(({ id: id2 }) => id2));
  const journal = standingAlone(stores.journal.listOf(gardenId), idsOf(entries), idsOf(plantings));
  const photos = stores.photos.listOf(gardenId).flatMap(({ id: id2, createdAt, mediaType }) => {
    const picture = photoFiles.read(id2);
    return picture
      ? [{ id: id2, createdAt, mediaType, base64: Buffer.from(picture).toString('base64') }]
      : [];
  });
  return gardenFile.parse({
    format: GARDEN_FILE_FORMAT,
    version: GARDEN_FILE_VERSION,
    garden: filed2(garden),
    materials: stores.materials.listOf(gardenId).map(filed2),
    labResults: stores.labResults.listOf(gardenId).map(filed2),
    recipes: stores.recipes.listOf(gardenId).map(filed2),
    buildUps: stores.buildUps.listOf(gardenId).map(filed2),
    habits: stores.habits.listOf(gardenId).map(filed2),
    lots: stores.lots.listOf(gardenId).map(filed2),
    movements: stores.movements.listOf(gardenId).map(filed2),
    beds: stores.beds.listOf(gardenId).map(filed2),
    entries: entries.map(filed2),
    plantings: plantings.map(filed2),
    journal: journal.map(filed2),
    weather: stores.weather.listOf(gardenId).map(filed2),
    photos,
  });
}

// src/server/imports/import-garden.ts
import { createHash as createHash4 } from 'node:crypto';

// src/server/photos/clean-photo.ts
function cleanPhoto(bytes) {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  try {
    if (bytes[0] === 255 && bytes[1] === 216) return asClean('image/jpeg', cleanJpeg(view));
    if (PNG_SIGNATURE.every((byte, i) => bytes[i] === byte)) return asClean('image/png', cleanPng(view));
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
  }
  return void 0;
}
var asClean = (mediaType, parts2) => parts2 && { mediaType, picture: new Uint8Array(Buffer.concat(parts2)) };
var part = (view, from, until) => {
  if (until > view.byteLength) throw new RangeError('cut off');
  return new Uint8Array(view.buffer, view.byteOffset + from, until - from);
};
var MARKER = { app0: 224, app1: 225, app2: 226, app14: 238, app15: 239, comment: 254 };
var START_OF_SCAN = 218;
var END_OF_IMAGE = 217;
var START = Uint8Array.of(255, 216);
var END = Uint8Array.of(255, END_OF_IMAGE);
var startsWith = (view, at, text) =>
  Array.from({ length: text.length }, (_, i) => i).every(
    (i) => view.getUint8(at + i) === text.codePointAt(i),
  );
function staysIn(view, marker, at) {
  if (marker === MARKER.app0 || marker === MARKER.app14) return true;
  if (marker === MARKER.app2) return startsWith(view, at + 4, 'ICC_PROFILE');
  return !(marker >= MARKER.app0 && marker <= MARKER.app15) && marker !== MARKER.comment;
}
function cleanJpeg(view) {
  const kept2 = [];
  let turned = 1;
  let hasScan = false;
  let at = 2;
  while (at + 2 <= view.byteLength) {
    if (view.getUint8(at) !== 255) return void 0;
    const marker = view.getUint8(at + 1);
    if (marker === END_OF_IMAGE) return hasScan ? [START, ...turnedBy(turned), ...kept2, END] : void 0;
    if (marker === 255) {
      at += 1;
      continue;
    }
    const end2 = at + 2 + view.getUint16(at + 2);
    if (marker === MARKER.app1) turned = orientationIn(view, at, end2) ?? turned;
    if (staysIn(view, marker, at)) kept2.push(part(view, at, end2));
    at = end2;
    if (marker === START_OF_SCAN) {
      hasScan = true;
      at = endOfScan(view, at);
      kept2.push(part(view, end2, at));
    }
  }
  return void 0;
}
function endOfScan(view, from) {
  for (let at = from; at + 1 < view.byteLength; at++) {
    if (view.getUint8(at) !== 255) continue;
    const next = view.getUint8(at + 1);
    if (next !== 0 && next !== 255 && !(next >= 208 && next <= 215)) return at;
  }
  throw new RangeError('cut off');
}
var ORIENTATION_TAG = 274;
function orientationIn(view, at, end2) {
  if (!startsWith(view, at + 4, 'Exif')) return void 0;
  const tiff = at + 10;
  const isLittle = view.getUint16(tiff) === 18761;
  const directory = tiff + view.getUint32(tiff + 4, isLittle);
  const count = view.getUint16(directory, isLittle);
  for (let i = 0; i < count; i++) {
    const field = directory + 2 + i * 12;
    if (field + 12 > end2) return void 0;
    if (view.getUint16(field, isLittle) !== ORIENTATION_TAG) continue;
    const value = view.getUint16(field + 8, isLittle);
    return value >= 1 && value <= 8 ? value : void 0;
  }
  return void 0;
}
function turnedBy(orientation) {
  if (orientation === 1) return [];
  const exif = [69, 120, 105, 102, 0, 0];
  const tiff = [77, 77, 0, 42, 0, 0, 0, 8];
  const directory = [0, 1, 1, 18, 0, 3, 0, 0, 0, 1, 0, orientation, 0, 0, 0, 0, 0, 0];
  const body2 = [...exif, ...tiff, ...directory];
  return [Uint8Array.from([255, MARKER.app1, 0, body2.length + 2, ...body2])];
}
var PNG_SIGNATURE = [137, 80, 78, 71, 13, 10, 26, 10];
var PNG_CHUNKS = new Set('IHDR PLTE IDAT IEND tRNS gAMA cHRM sRGB iCCP sBIT bKGD pHYs'.split(' '));
function cleanPng(view) {
  const kept2 = [Uint8Array.from(PNG_SIGNATURE)];
  let at = PNG_SIGNATURE.length;
  while (at + 12 <= view.byteLength) {
    const end2 = at + 12 + view.getUint32(at);
    const name2 = String.fromCodePoint(...part(view, at + 4, at + 8));
    if (PNG_CHUNKS.has(name2)) kept2.push(part(view, at, end2));
    if (name2 === 'IEND') return kept2.length > 3 ? kept2 : void 0;
    at = end2;
  }
  return void 0;
}

// src/server/imports/as-copy.ts
var NAMES_A_RECORD = /^id$|Id$/;
var LISTS_RECORDS = /Ids$/;
function ownIds(file) {
  const lists = Object.values(file).flatMap((value) => (Array.isArray(value) ? value : []));
  const records = [file['garden'], ...lists];
  return records.flatMap((record) => {
    const id2 = record?.id;
    return typeof id2 === 'string' ? [id2] : [];
  });
}
function asCopy(file, newId) {
  const renamed = new Map(ownIds(file).map((id2) => [id2, newId()]));
  const walk = (value, key) => {
    if (Array.isArray(value)) return value.map((one) => walk(one, LISTS_RECORDS.test(key) ? 'id' : key));
    if (typeof value === 'object' && value !== null) {
      return Object.fromEntries(Object.entries(value).map(([name2, one]) => [name2, walk(one, name2)]));
    }
    if (typeof value !== 'string') return value;
    if (key === 'taskKey') {
      return value
        .split(':')
        .map((part2) => renamed.get(part2) ?? part2)
        .join(':');
    }
    return NAMES_A_RECORD.test(key) ? (renamed.get(value) ?? value) : value;
  };
  return walk(file, '');
}

// src/server/imports/write-import.ts
import { createHash as createHash3 } from 'node:crypto';

// src/core/journal/check-journal.ts
function checkJournal(record, setting) {
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
function checkPast(date2, { today }) {
  if (date2 > today) {
    throw new InputError(
      ['date'],
      'bad_date',
      `lies in the future; got ${date2}, and today is ${today}. What has not happened yet belongs into the plan`,
    );
  }
}
function requireBed(bedId, { beds }) {
  const bed = beds.find(({ id: id2 }) => id2 === bedId);
  if (!bed) throw new InputError(['bedId'], 'unknown', `names no bed of this garden; got "${bedId}"`);
  return bed;
}
function checkObservation(record, setting) {
  const { date: date2, bedId, plantingId, photoId, observed: observed2 } = record;
  const { startedOn } = requireBed(bedId, setting);
  checkPast(date2, setting);
  if (startedOn !== null && date2 < startedOn) {
    throw new InputError(
      ['date'],
      'bad_order',
      `lies before the bed was made on ${startedOn}; got ${date2}. Is the year right?`,
    );
  }
  if (plantingId !== null) checkPlanting(plantingId, record, setting);
  if (photoId !== null && !setting.hasPhoto(photoId)) {
    throw new InputError(['photoId'], 'unknown', 'names no photo that has been sent');
  }
  if (observed2.type === 'thickness' && observed2.layerId !== null)
    checkLayer2(observed2.layerId, record, setting);
  if (observed2.type === 'signs' && observed2.beganOn !== null && observed2.beganOn > date2) {
    throw new InputError(['observed', 'beganOn'], 'bad_order', 'lies after the day it was seen');
  }
}
function checkPlanting(plantingId, { bedId, date: date2 }, { plantings }) {
  const planting = plantings.find(({ id: id2 }) => id2 === plantingId);
  if (planting?.bedId !== bedId) {
    throw new InputError(['plantingId'], 'unknown', 'names nothing that grows on this bed');
  }
  if (date2 < planting.plantedOn) {
    throw new InputError(
      ['date'],
      'bad_order',
      `lies before this was planted on ${planting.plantedOn}; got ${date2}`,
    );
  }
}
function checkLayer2(layerId, { bedId, date: date2 }, { entries }) {
  const layer = entries.find(({ id: id2 }) => id2 === layerId);
  if (layer?.bedId !== bedId || layer.type !== 'lay') {
    throw new InputError(['observed', 'layerId'], 'unknown', 'names no layer of this bed');
  }
  if (date2 < layer.date) {
    throw new InputError(
      ['date'],
      'bad_order',
      `lies before that layer was laid on ${layer.date}; got ${date2}`,
    );
  }
}
function checkTrial({ bedId, treatments }, setting) {
  if (bedId !== null) requireBed(bedId, setting);
  const names = treatments.map((name2) => name2.trim().toLowerCase());
  const twice = names.findIndex((name2, i) => names.indexOf(name2) !== i);
  if (twice >= 0) {
    throw new InputError(['treatments', twice], 'duplicate', `is there twice; got "${treatments[twice]}"`);
  }
}
function checkReading({ trialId, plot, date: date2 }, setting) {
  checkPast(date2, setting);
  const trial2 = setting.trials.find(({ id: id2 }) => id2 === trialId);
  if (!trial2) throw new InputError(['trialId'], 'unknown', 'names no trial of this garden');
  if (date2 < trial2.date) {
    throw new InputError(
      ['date'],
      'bad_order',
      `lies before the trial began on ${trial2.date}; got ${date2}`,
    );
  }
  const plots = trial2.treatments.length * trial2.repeats;
  if (plot >= plots) {
    throw new InputError(
      ['plot'],
      'out_of_range',
      `must be one of the ${plots} of this trial; got ${plot + 1}`,
    );
  }
}
function checkClose({ bedId, date: date2, year }, setting) {
  requireBed(bedId, setting);
  checkPast(date2, setting);
  const closedIn = calendarDateOf(dayNumberFromIso(date2, ['date'])).year;
  if (year > closedIn) {
    throw new InputError(['year'], 'bad_order', `has not begun on ${date2}; got ${year}`);
  }
}

// src/server/imports/check-import.ts
function faultOf(collection, id2, path, error) {
  const field = fieldName(path.map((key) => (typeof key === 'string' ? fieldAsEntered(key) : key)));
  return { collection, id: id2, reason: { field, sentence: `${field} ${error.requirement}.` } };
}
function faultsFrom(check, asFault) {
  try {
    check();
    return [];
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return [asFault(error)];
  }
}
function bedFaults(records, taken, today) {
  const findMaterial = materialFinder(records);
  return records.beds.flatMap((bed) => {
    const entries = records.entries.filter(({ bedId }) => bedId === bed.id);
    const plantings = records.plantings.filter(({ bedId }) => bedId === bed.id);
    const books = { site: siteOf(records), bed, entries, plantings, ...(taken ? { taken } : {}) };
    return faultsFrom(
      () => checkBooks(books, findMaterial, dayNumberFromIso(today, ['today'])),
      (error) => {
        const [list2, index, ...rest] = error.path;
        const isListed = (list2 === 'entries' || list2 === 'plantings') && typeof index === 'number';
        return isListed
          ? faultOf(list2, books[list2][index]?.id ?? null, rest, error)
          : faultOf('beds', bed.id, error.path, error);
      },
    );
  });
}
function stockFaults(records, today) {
  const books = stockBooksOf(records);
  const dates = [
    today,
    ...books.movements.map(({ date: date2 }) => date2),
    ...books.takes.map(({ date: date2 }) => date2),
  ];
  const until = Math.max(...dates.map((date2) => dayNumberFromIso(date2, ['date']))) + 1;
  const findMaterial = materialFinder(records);
  let run2;
  const faults = faultsFrom(
    () => {
      runStock(books, findMaterial, { until, withPlans: false });
      run2 = runStock(books, findMaterial, { until, withPlans: true });
    },
    (error) => {
      const [list2, index, ...rest] = error.path;
      if (list2 === 'movements' && typeof index === 'number')
        return faultOf('movements', books.movements[index]?.id ?? null, rest, error);
      if (list2 === 'takes' && typeof index === 'number')
        return faultOf('entries', books.takes[index]?.entryId ?? null, rest, error);
      return faultOf('lots', null, error.path, error);
    },
  );
  return run2 ? { faults, taken: run2.taken } : { faults };
}
function materialFaults(records) {
  const findMaterial = materialFinder(records);
  const own = records.materials.flatMap(({ id: id2, basis }) =>
    faultsFrom(
      () => {
        if (findLibraryMaterial(id2))
          throw new InputError(['id'], 'duplicate', 'belongs to a material of the library');
        checkMaterial(ownMaterial(basis), []);
      },
      (error) => faultOf('materials', id2, error.path, error),
    ),
  );
  const reports = records.labResults.flatMap(({ id: id2, materialId }) =>
    faultsFrom(
      () => {
        const material = findMaterial(materialId);
        if (!material)
          throw new InputError(['materialId'], 'unknown', `names no material; got "${materialId}"`);
        checkMaterial(material, []);
      },
      (error) => faultOf('labResults', id2, error.path, error),
    ),
  );
  return [...own, ...reports];
}
function modelFaults(stores, gardenId, today) {
  const records = keptRecords(stores, gardenId);
  const materials = materialFaults(records);
  if (materials.length > 0) return materials;
  const stock = stockFaults(records, today);
  if (stock.faults.length > 0) return stock.faults;
  return bedFaults(records, stock.taken, today);
}
function journalFaults(stores, gardenId, { ids, today, isWholeGarden }) {
  const journal = stores.journal.listOf(gardenId);
  const setting = {
    today,
    beds: stores.beds.listOf(gardenId),
    entries: stores.entries.listOfGarden(gardenId),
    plantings: stores.plantings.listOfGarden(gardenId),
    trials: journal.filter((one) => one.kind === 'trial'),
    hasPhoto: (photoId) => stores.photos.find(photoId)?.gardenId === gardenId,
  };
  return journal
    .filter(({ id: id2 }) => ids.has(id2))
    .flatMap((record) =>
      faultsFrom(
        () => {
          try {
            checkJournal(record, setting);
          } catch (error) {
            const isReference = error instanceof InputError && error.code === 'unknown';
            if (!isWholeGarden || isReference || !(error instanceof InputError)) throw error;
          }
        },
        (error) => faultOf('journal', record.id, error.path, error),
      ),
    );
}

// src/server/imports/write-import.ts
var storeOf = (stores, collection) => stores[collection];
function plain(value) {
  if (Array.isArray(value)) return value.map(plain);
  if (typeof value !== 'object' || value === null) return value ?? null;
  const fields2 = Object.entries(value).filter(([, one]) => one !== null && one !== void 0);
  return Object.fromEntries(
    fields2.sort(([a], [b]) => (a < b ? -1 : 1)).map(([field, one]) => [field, plain(one)]),
  );
}
var sameValue = (a, b) => JSON.stringify(plain(a)) === JSON.stringify(plain(b));
var differing = (record, kept2) =>
  Object.entries(record)
    .filter(([field, value]) => !sameValue(value, kept2[field]))
    .map(([field]) => field);
var digestOf3 = (text) => createHash3('sha256').update(text).digest('hex').slice(0, 24);
function named({ stores, gardenId }, rows) {
  const seen2 = /* @__PURE__ */ new Map();
  const weather = new Map(stores.weather.listOf(gardenId).map(({ date: date2, id: id2 }) => [date2, id2]));
  return rows.map((row) => {
    if (row.record.id !== void 0) return { ...row, id: row.record.id };
    if (row.collection === 'weather' && 'date' in row.record) {
      const date2 = String(row.record.date);
      return { ...row, id: weather.get(date2) ?? `day-${digestOf3(`${gardenId} ${date2}`)}` };
    }
    const content = JSON.stringify([row.collection, row.record]);
    const nth = seen2.get(content) ?? 0;
    seen2.set(content, nth + 1);
    return {
      ...row,
      id: `line-${digestOf3(`${nth} ${gardenId} ${content}`)}`,
    };
  });
}
var gardenOf = (stores, record) =>
  record.gardenId ?? (record.bedId === void 0 ? void 0 : stores.beds.look(record.bedId)?.record.gardenId);
var isOwnBed = ({ stores, gardenId }, bedId) =>
  typeof bedId === 'string' && stores.beds.find(bedId)?.gardenId === gardenId;
var isOwnLot = ({ stores, gardenId }, lotId) =>
  typeof lotId === 'string' && stores.lots.find(lotId)?.gardenId === gardenId;
function missingReferences(named2, collection, record) {
  const { bedId, lotId, toLotId, layerId } = record;
  const missing = [];
  const say = (field, what, value) =>
    missing.push({ field, sentence: `${field} names no ${what} of this garden; got "${String(value)}".` });
  if (bedId !== void 0 && bedId !== null && !isOwnBed(named2, bedId)) say('bedId', 'bed', bedId);
  if (lotId !== void 0 && lotId !== null && !isOwnLot(named2, lotId)) say('lotId', 'pile', lotId);
  if (toLotId !== void 0 && !isOwnLot(named2, toLotId)) say('toLotId', 'pile', toLotId);
  if (collection === 'entries' && typeof layerId === 'string' && !named2.stores.entries.look(layerId))
    say('layerId', 'layer', layerId);
  return missing;
}
function asKept(setting, row, kept2) {
  const { stores, now: now2, gardenId, today } = setting;
  const isOfBed = row.collection === 'entries' || row.collection === 'plantings';
  const stamped2 = {
    createdAt: kept2?.createdAt ?? now2,
    updatedAt: now2,
    ...row.record,
    id: row.id,
    ...(isOfBed ? {} : { gardenId }),
  };
  if (
    row.collection !== 'entries' ||
    !('type' in stamped2) ||
    stamped2.type !== 'lay' ||
    'massFreshKg' in stamped2
  )
    return stamped2;
  const { createdAt, updatedAt, bedId, ...draft } = stamped2;
  const bed = stores.beds.find(bedId);
  const entry = weighed({ stores, today }, bed, row.id, draft);
  return { ...entry, createdAt, updatedAt };
}
var refused = (row, reasons) => ({
  collection: row.collection,
  index: row.index,
  id: row.id,
  outcome: 'rejected',
  fields: [],
  reasons,
});
function writeRow(setting, row, writes) {
  const { stores, gardenId } = setting;
  if (row.reasons.length > 0) return refused(row, row.reasons);
  const store = storeOf(stores, row.collection);
  const kept2 = store.look(row.id);
  if (kept2 && gardenOf(stores, kept2.record) !== gardenId) {
    const sentence = 'id belongs to a record of another garden; take it in as a copy, or leave the id out.';
    return refused(row, [{ field: 'id', sentence }]);
  }
  const missing = missingReferences({ stores, gardenId }, row.collection, row.record);
  if (missing.length > 0) return refused(row, missing);
  const before = kept2 && !kept2.isRemoved ? kept2.record : void 0;
  const fields2 = before ? differing(row.record, before) : [];
  const outcome = !before ? 'added' : fields2.length > 0 ? 'changed' : 'same';
  if (outcome !== 'same') {
    let record;
    try {
      record = asKept(setting, row, before);
    } catch (error) {
      const problem = error instanceof InputError ? fromInputError(error) : error;
      if (!(problem instanceof ProblemError)) throw error;
      return refused(row, problem.extra.errors ?? [{ field: 'row', sentence: problem.message }]);
    }
    const { version: version2 } = store.put(record);
    writes.push({ collection: row.collection, id: row.id, version: version2, before: before ?? null });
  }
  return { collection: row.collection, index: row.index, id: row.id, outcome, fields: fields2, reasons: [] };
}
var inWritingOrder = (rows) => {
  const rank = ({ collection, record }) =>
    COLLECTION_NAMES.indexOf(collection) * 2 +
    (collection === 'entries' && !('materialId' in record) ? 1 : 0);
  return [...rows].sort((a, b) => rank(a) - rank(b));
};
function reordered(stores, rows) {
  const idsOf = (collection) =>
    rows
      .filter((row) => row.collection === collection && row.outcome !== 'rejected')
      .sort((a, b) => a.index - b.index)
      .map(({ id: id2 }) => id2);
  stores.entries.reorder(idsOf('entries'));
  stores.movements.reorder(idsOf('movements'));
  stores.journal.reorder(idsOf('journal'));
}
function withFaults(rows, faults) {
  const left = new Set(faults);
  const judged = rows.map((row) => {
    const own = faults.filter(({ collection, id: id2 }) => collection === row.collection && id2 === row.id);
    own.forEach((fault) => left.delete(fault));
    if (own.length === 0) return row;
    return { ...row, outcome: 'rejected', reasons: own.map(({ reason }) => reason) };
  });
  const others = [...left].map(({ collection, id: id2, reason }) => ({
    collection,
    index: -1,
    id: id2 ?? '',
    outcome: 'rejected',
    fields: [],
    reasons: [reason],
  }));
  return [...judged, ...others];
}
var countsOf = (rows) => {
  const counts = { added: 0, changed: 0, same: 0, rejected: 0 };
  for (const { outcome } of rows) counts[outcome] += 1;
  return counts;
};
var NothingKept = class extends Error {
  constructor(report) {
    super('nothing is kept');
    this.report = report;
  }
  report;
};
function importRows({ stores, today, newId }, plan) {
  const setting = {
    stores,
    today: today(),
    now: /* @__PURE__ */ new Date().toISOString(),
    gardenId: plan.gardenId,
  };
  try {
    return stores.atomically(() => {
      const first = plan.before?.() ?? { rows: [], writes: [] };
      const writes = [...first.writes];
      const rowsInOrder = inWritingOrder(named(setting, plan.rows));
      const written2 = [...first.rows, ...rowsInOrder.map((row) => writeRow(setting, row, writes))];
      reordered(stores, written2);
      const rows = checked(setting, plan, written2);
      const counts = countsOf(rows);
      const isWritten = counts.rejected === 0 && !plan.isDryRun;
      const importId = isWritten && writes.length > 0 ? newId() : null;
      const report = {
        gardenId: plan.gardenId,
        gardenName: stores.gardens.find(plan.gardenId).name,
        isWritten,
        importId,
        counts,
        rows: rows.filter(({ outcome }) => outcome !== 'same'),
      };
      if (!isWritten) throw new NothingKept(report);
      if (importId !== null)
        stores.imports.insert({ id: importId, gardenId: plan.gardenId, summary: plan.summary, writes });
      return report;
    });
  } catch (error) {
    if (error instanceof NothingKept) return error.report;
    throw error;
  }
}
function checked(setting, plan, written2) {
  const isWhole2 = written2.every(({ outcome }) => outcome !== 'rejected');
  if (!isWhole2) return [...written2];
  const { stores, gardenId, today } = setting;
  const ids = new Set(
    written2.filter(({ collection }) => collection === 'journal').map(({ id: id2 }) => id2),
  );
  const touchesModel = written2.some(
    ({ collection, outcome }) => collection !== 'journal' && outcome !== 'same',
  );
  return withFaults(written2, [
    ...(touchesModel ? modelFaults(stores, gardenId, today) : []),
    ...journalFaults(stores, gardenId, { ids, today, isWholeGarden: plan.isWholeGarden }),
  ]);
}
function undoImport({ stores, today }, importId) {
  return stores.atomically(() => {
    const record = stores.imports.find(importId);
    if (!record) throw new ProblemError(404, 'Not found', 'There is no such import.');
    const isLater = record.writes.some(({ collection, id: id2, version: version2 }) => {
      const kept2 = undoStore(stores, collection).look(id2);
      return kept2 !== void 0 && kept2.record.version !== version2;
    });
    if (isLater) {
      const detail =
        'Something that was read in has been changed since; taking it back would lose that. Nothing was changed.';
      throw new ProblemError(409, 'Changed meanwhile', detail);
    }
    if (!stores.imports.markUndone(importId)) {
      throw new ProblemError(409, 'Taken back already', 'This has been taken back already.');
    }
    for (const { collection, id: id2, version: version2, before } of [...record.writes].reverse()) {
      const store = undoStore(stores, collection);
      if (before) store.put(before);
      else store.remove(id2, version2);
    }
    const isGardenGone = !stores.gardens.find(record.gardenId);
    const [fault] = isGardenGone ? [] : modelFaults(stores, record.gardenId, today());
    if (fault) {
      const detail = `What was written since leans on it: ${fault.reason.sentence} Nothing was changed.`;
      throw new ProblemError(422, 'Not accepted', detail);
    }
    return { gardenId: record.gardenId };
  });
}
var undoStore = (stores, collection) =>
  collection === 'garden' ? stores.gardens : storeOf(stores, collection);

// src/server/imports/import-garden.ts
var REFERENCE = gardenFile.pick({ photos: true });
function readRows(file) {
  return COLLECTION_NAMES.flatMap((collection) => {
    const list2 = file[collection];
    if (!Array.isArray(list2)) {
      throw invalid([{ field: collection, sentence: `${collection} is missing; it must be a list.` }]);
    }
    const seen2 = /* @__PURE__ */ new Set();
    return list2.map((raw, index) => {
      const read2 = filedCollections[collection].safeParse(raw);
      if (!read2.success) return { collection, index, record: {}, reasons: problemsOf(read2.error) };
      const record = read2.data;
      const isTwice = seen2.has(record.id);
      seen2.add(record.id);
      const reasons = isTwice ? [{ field: 'id', sentence: `id is there twice; got "${record.id}".` }] : [];
      return { collection, index, record, reasons };
    });
  });
}
function unknownFields(file) {
  const known = new Set(Object.keys(gardenFile.shape));
  const unknown = Object.keys(file).filter((key) => !known.has(key));
  if (unknown.length > 0) {
    throw invalid([{ field: 'input', sentence: `input has unknown fields: ${unknown.join(', ')}.` }]);
  }
}
function newPhotos({ stores }, gardenId, file) {
  const read2 = REFERENCE.safeParse({ photos: file['photos'] });
  if (!read2.success) throw invalid(problemsOf(read2.error));
  return (read2.data.photos ?? []).flatMap((photo, i) => {
    const kept2 = stores.photos.find(photo.id);
    if (kept2) {
      if (kept2.gardenId === gardenId) return [];
      throw invalid([{ field: `photos.${i}.id`, sentence: `photos.${i}.id belongs to another garden.` }]);
    }
    const bytes = new Uint8Array(Buffer.from(photo.base64, 'base64'));
    const clean = cleanPhoto(bytes);
    if (!clean) {
      throw invalid([
        { field: `photos.${i}.base64`, sentence: `photos.${i}.base64 must be a whole JPEG or PNG picture.` },
      ]);
    }
    return [{ photo, clean, sentSha256: createHash4('sha256').update(bytes).digest('hex') }];
  });
}
function importGarden(context, raw, { isDryRun, isCopy }) {
  const newest = upgraded(raw);
  const file = isCopy ? asCopy(newest, context.newId) : newest;
  unknownFields(file);
  const read2 = gardenFiled.safeParse(file['garden']);
  if (!read2.success) {
    throw invalid(
      problemsOf({
        issues: read2.error.issues.map((issue) => ({ ...issue, path: ['garden', ...issue.path] })),
      }),
    );
  }
  const garden = read2.data;
  const { stores, photoFiles } = context;
  const photos = newPhotos(context, garden.id, file);
  if (!isDryRun) for (const { photo, clean } of photos) photoFiles.write(photo.id, clean.picture);
  return importRows(context, {
    gardenId: garden.id,
    rows: readRows(file),
    summary: `the garden ${garden.name}, from a file`,
    isDryRun,
    isWholeGarden: true,
    before: () => {
      const kept2 = stores.gardens.look(garden.id);
      const before = kept2 && !kept2.isRemoved ? kept2.record : null;
      const fields2 = before
        ? Object.entries(garden)
            .filter(([field, value]) => JSON.stringify(value) !== JSON.stringify(before[field]))
            .map(([field]) => field)
        : [];
      const outcome = !before ? 'added' : fields2.length > 0 ? 'changed' : 'same';
      const writes = [];
      if (outcome !== 'same') {
        const { version: version2 } = stores.gardens.put(garden);
        writes.push({ collection: 'garden', id: garden.id, version: version2, before });
      }
      for (const { photo, clean, sentSha256 } of photos) {
        const { id: id2, createdAt, mediaType } = photo;
        if (mediaType !== clean.mediaType) {
          throw new ProblemError(422, 'Not accepted', `photos: ${id2} is not of the kind ${mediaType}.`);
        }
        stores.photos.insert({
          id: id2,
          createdAt,
          gardenId: garden.id,
          mediaType,
          bytes: clean.picture.length,
          sentSha256,
        });
      }
      return {
        rows: [
          { collection: 'garden', index: 0, id: garden.id, outcome, fields: fields2, reasons: [] },
          ...photos.map(({ photo }, index) => ({
            collection: 'photos',
            index,
            id: photo.id,
            outcome: 'added',
            fields: [],
            reasons: [],
          })),
        ],
        writes,
      };
    },
  });
}

// src/server/routes/imports.ts
var flag = z12.enum(['true', 'false']).default('false');
var trial = query(z12.strictObject({ dryRun: flag }));
var fileTrial = query(z12.strictObject({ dryRun: flag, copy: flag }));
var gardenFileRoutes = ({ stores, photoFiles }) =>
  new Hono10().get('/api/gardens/:gardenId/garden.json', (c) => {
    const file = gardenFileOf(stores, photoFiles, c.req.param('gardenId'));
    return c.body(gardenFileText(file), 200, {
      'Content-Type': 'application/json; charset=utf-8',
      'Content-Disposition': 'attachment; filename="vine-ledger-garden.json"',
      'Cache-Control': 'private, no-cache',
    });
  });
var importRoutes = (context) => {
  const { stores } = context;
  return new Hono10()
    .post('/imports', fileTrial, body(z12.unknown()), (c) => {
      const { dryRun, copy } = c.req.valid('query');
      const choices = { isDryRun: dryRun === 'true', isCopy: copy === 'true' };
      return c.json(importGarden(context, c.req.valid('json'), choices), 200);
    })
    .post('/gardens/:gardenId/imports', trial, body(importRequest), (c) => {
      const { id: gardenId } = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const { collection, summary, rows } = c.req.valid('json');
      const read2 = rows.map((raw, index) => {
        const result = rowSchemas[collection].safeParse(raw);
        return result.success
          ? { collection, index, record: result.data, reasons: [] }
          : { collection, index, record: {}, reasons: problemsOf(result.error) };
      });
      const isDryRun = c.req.valid('query').dryRun === 'true';
      return c.json(
        importRows(context, { gardenId, rows: read2, summary, isDryRun, isWholeGarden: false }),
        200,
      );
    })
    .get('/gardens/:gardenId/imports', (c) => {
      const { id: id2 } = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const imports = stores.imports.listOf(id2);
      return c.json({ imports }, 200);
    })
    .post('/imports/:importId/undo', (c) => c.json(undoImport(context, c.req.param('importId')), 200));
};

// src/server/routes/instruments.ts
import { Hono as Hono11 } from 'hono';

// src/contract/weather-station.ts
import { z as z13 } from 'zod';
var stationDays = z13.object({
  days: z13.array(z13.record(z13.string(), z13.unknown())).max(5e3),
});
var weatherSpan = z13.strictObject({ from: date, until: date });

// src/server/instruments.ts
import { z as z15 } from 'zod';

// src/contract/instruments.ts
import { z as z14 } from 'zod';
var scaleReading = z14.object({
  massG: z14.number().min(-50).max(5e4),
  /** False while it still swings. */
  isStable: z14.boolean(),
});
var probeReading = z14.object({ temperatureC: z14.number().min(-40).max(95) });
var labSample = z14.object({
  id: z14.string().regex(/^\w{1,40}$/),
  bedId: z14.string(),
  sentOn: z14.string(),
  readyOn: z14.string(),
});
var labSamples = z14.object({ samples: z14.array(labSample).max(1e3) });
var labReport = z14.object({
  sample: z14.string().max(200),
  date: z14.string(),
  sampledDepthCm: z14.number().min(1).max(200),
  ph: z14.number().min(2).max(11),
  organicMatterPct: z14.number().min(0).max(100),
  mineralNitrogenKgPerHa: z14.number().min(0).max(2e3),
});

// src/server/instruments.ts
var PATIENCE_MS = 3e3;
async function askInstrument(address, schema, what, { path, body: body2 } = { path: '/reading' }) {
  if (address === void 0) {
    throw new ProblemError(404, 'Not connected', `No ${what} is connected; type the figure instead.`);
  }
  let answer;
  try {
    const response = await fetch(new URL(path, address), {
      signal: AbortSignal.timeout(PATIENCE_MS),
      ...(body2 ? { method: 'POST', body: JSON.stringify(body2) } : {}),
    });
    answer = await response.json();
  } catch {
    throw new ProblemError(
      502,
      'No answer',
      `The ${what} does not answer. Is it on? You can type the figure instead.`,
    );
  }
  const reading = schema.safeParse(answer);
  if (!reading.success) {
    throw new ProblemError(
      502,
      'Absurd reading',
      `The ${what} says something that cannot be. Read it again, or type the figure.`,
    );
  }
  return reading.data;
}
async function readScale({ scale }) {
  const reading = await askInstrument(scale, scaleReading, 'kitchen scale');
  if (!reading.isStable) {
    throw new ProblemError(
      503,
      'Still swinging',
      'The scale has not come to rest; read it again in a moment.',
    );
  }
  return reading;
}
var readProbe = ({ probe }) => askInstrument(probe, probeReading, 'probe');
var LABORATORY = 'soil laboratory';
var sendSample = ({ laboratory }, sample2) =>
  askInstrument(laboratory, labSample, LABORATORY, { path: '/samples', body: sample2 });
var samplesOf = ({ laboratory }, bedId) =>
  askInstrument(laboratory, labSamples, LABORATORY, { path: `/samples?bed=${encodeURIComponent(bedId)}` });
async function reportOn({ laboratory }, sampleId, today) {
  const path = `/samples/${encodeURIComponent(sampleId)}.json?on=${today}`;
  const answer = await askInstrument(
    laboratory,
    z15.union([labReport, z15.object({ readyOn: z15.string() })]),
    LABORATORY,
    {
      path,
    },
  );
  if ('readyOn' in answer) {
    throw new ProblemError(503, 'Not ready', `The laboratory will have the report on ${answer.readyOn}.`);
  }
  return answer;
}

// src/server/weather-station.ts
var MOST_DAYS = 3660;
async function readWeather({ weather }, { from, until }) {
  const first = dayNumberFromIso(from, ['from']);
  const last = Math.min(dayNumberFromIso(until, ['until']), first + MOST_DAYS);
  const path = `/days?from=${from}&until=${isoDateOf(last)}`;
  const told = await askInstrument(weather, stationDays, 'weather station', { path });
  const days = /* @__PURE__ */ new Map();
  const leftOut = [];
  for (const raw of told.days) {
    const read2 = weatherRow.safeParse(raw);
    const date2 = typeof raw['date'] === 'string' ? raw['date'] : '';
    if (!read2.success) {
      leftOut.push({ date: date2, sentence: problemsOf(read2.error)[0].sentence });
    } else if (date2 < from || date2 > isoDateOf(last)) {
      leftOut.push({ date: date2, sentence: 'was not asked for.' });
    } else if (days.has(date2)) {
      leftOut.push({ date: date2, sentence: 'is told twice; the first was taken.' });
    } else {
      const { temperatureC: temperatureC2, rainMm, evapotranspirationMm } = read2.data;
      days.set(date2, { date: date2, temperatureC: temperatureC2, rainMm, evapotranspirationMm });
    }
  }
  for (let day = first; day <= last; day++) {
    const date2 = isoDateOf(day);
    if (!days.has(date2) && !leftOut.some((one) => one.date === date2))
      leftOut.push({ date: date2, sentence: 'is missing at the station.' });
  }
  return { days: [...days.values()].sort((a, b) => a.date.localeCompare(b.date)), leftOut };
}

// src/core/advice/conflicts.ts
var dated = (entry) => ({
  entry,
  day: dayNumberFromIso(entry.date, ['date']),
});
function phOn({ bed, entries }, day) {
  const tests = entries
    .flatMap((entry) =>
      entry.type === 'soilTest' && entry.ph !== null ? [{ ...dated(entry), ph: entry.ph }] : [],
    )
    .filter((test) => test.day <= day)
    .sort((a, b) => a.day - b.day);
  return tests.at(-1)?.ph ?? bed.ph;
}

// src/server/soil-samples.ts
var KG_PER_HA_PER_G_PER_M2 = 10;
function sampleOf(stores, bedId, todayIso) {
  const bed = found(stores.beds.find(bedId), 'bed');
  const records = carriedForward(keptRecords(stores, bed.gardenId), todayIso);
  const books = found(booksOfBed(records, bedId), 'bed');
  const today = dayNumberFromIso(todayIso, ['today']);
  const scenario = bedScenario(books, materialFinder(records), today, today + 1);
  const sample2 = projectBed(scenario, scenario.endDay - scenario.startDay, [today]).samples.find(
    ({ day }) => day === today,
  );
  return {
    bedId,
    bedName: bed.name,
    date: todayIso,
    sampledDepthCm: bed.rootZoneCm,
    ph: phOn(books, today),
    organicMatterPct: sample2.organicMatterPct,
    mineralNitrogenKgPerHa: (sample2.availableContactG + sample2.availableRootG) * KG_PER_HA_PER_G_PER_M2,
  };
}

// src/server/routes/instruments.ts
var instrumentRoutes = ({ instruments = {}, stores, today }) =>
  new Hono11()
    .get('/', (c) =>
      c.json(
        {
          scale: instruments.scale !== void 0,
          probe: instruments.probe !== void 0,
          laboratory: instruments.laboratory !== void 0,
          weather: instruments.weather !== void 0,
        },
        200,
      ),
    )
    .get('/scale', async (c) => c.json(await readScale(instruments), 200))
    .get('/probe', async (c) => c.json(await readProbe(instruments), 200))
    .get('/laboratory/beds/:bedId/samples', async (c) =>
      c.json(await samplesOf(instruments, c.req.param('bedId')), 200),
    )
    .post('/laboratory/beds/:bedId/samples', async (c) =>
      c.json(await sendSample(instruments, sampleOf(stores, c.req.param('bedId'), today())), 201),
    )
    .get('/weather', query(weatherSpan), async (c) =>
      c.json(await readWeather(instruments, c.req.valid('query')), 200),
    )
    .get('/laboratory/samples/:sampleId', async (c) =>
      c.json(await reportOn(instruments, c.req.param('sampleId'), today()), 200),
    );

// src/server/routes/journal.ts
import { Hono as Hono12 } from 'hono';
var journalRoutes = ({ stores, today }) => {
  const requireTrue = (record) => {
    const { gardenId } = record;
    checkJournal(record, {
      today: today(),
      beds: stores.beds.listOf(gardenId),
      entries: stores.entries.listOfGarden(gardenId),
      plantings: stores.plantings.listOfGarden(gardenId),
      trials: stores.journal.listOf(gardenId).filter((one) => one.kind === 'trial'),
      hasPhoto: (photoId) => stores.photos.find(photoId)?.gardenId === gardenId,
    });
  };
  return new Hono12()
    .post('/gardens/:gardenId/journal', body(journalPosting), (c) =>
      stores.atomically(() => {
        const { id: gardenId } = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
        const records = c.req.valid('json').records.map((draft, i) => {
          const record = { ...draft, gardenId };
          const known = sentAgain(stores.journal.find(draft.id), record);
          if (known) return known;
          try {
            requireTrue(record);
          } catch (error) {
            if (!(error instanceof InputError)) throw error;
            throw fromInputError(
              new InputError(['records', i, ...error.path], error.code, error.requirement),
            );
          }
          return stores.journal.insert(record);
        });
        return c.json({ records }, 201);
      }),
    )
    .put('/journal/:recordId', body(journalChange), (c) => {
      const id2 = c.req.param('recordId');
      const { version: version2, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        const before = found(stores.journal.find(id2), 'record');
        requireSeen(before, version2);
        if (before.kind !== values.kind) {
          throw new InputError(['kind'], 'bad_shape', `must stay ${before.kind}; got ${values.kind}`);
        }
        const kept2 = written(stores.journal.update(id2, version2, values), 'record');
        requireTrue(kept2);
        return c.json(kept2, 200);
      });
    })
    .delete('/journal/:recordId', seenVersion, (c) => {
      const { version: version2 } = c.req.valid('query');
      requireRemoved(stores.journal.remove(c.req.param('recordId'), version2), 'record');
      return c.body(null, 204);
    })
    .post('/journal/:recordId/restore', (c) =>
      c.json(written(stores.journal.restore(c.req.param('recordId')), 'record'), 200),
    );
};

// src/server/routes/lab-results.ts
import { Hono as Hono13 } from 'hono';
var labResultRoutes = ({ stores, today, newId }) => {
  const requireSound = (gardenId, materialId) => {
    const records = keptRecords(stores, gardenId);
    const material = materialFinder(records)(materialId);
    if (!material) {
      throw new InputError(['materialId'], 'unknown', `names no material; got "${materialId}"`);
    }
    checkMaterial(material, []);
    requireSoundStock(records, today(), []);
  };
  return new Hono13()
    .post('/gardens/:gardenId/lab-results', body(labResultDraft), (c) => {
      const draft = c.req.valid('json');
      const id2 = draft.id ?? newId();
      return stores.atomically(() => {
        const { id: gardenId } = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
        const known = sentAgain(stores.labResults.find(id2), { ...draft, gardenId });
        if (known) return c.json(known, 200);
        const kept2 = stores.labResults.insert({ ...draft, id: id2, gardenId });
        requireSound(gardenId, draft.materialId);
        return c.json(kept2, 201);
      });
    })
    .put('/lab-results/:labResultId', body(labResultChange), (c) => {
      const id2 = c.req.param('labResultId');
      const { version: version2, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        requireSeen(found(stores.labResults.find(id2), 'laboratory report'), version2);
        const kept2 = written(stores.labResults.update(id2, version2, values), 'laboratory report');
        requireSound(kept2.gardenId, kept2.materialId);
        return c.json(kept2, 200);
      });
    })
    .delete('/lab-results/:labResultId', seenVersion, (c) => {
      const { version: version2 } = c.req.valid('query');
      requireRemoved(stores.labResults.remove(c.req.param('labResultId'), version2), 'laboratory report');
      return c.body(null, 204);
    })
    .post('/lab-results/:labResultId/restore', (c) =>
      c.json(written(stores.labResults.restore(c.req.param('labResultId')), 'laboratory report'), 200),
    );
};

// src/server/routes/lifts.ts
import { Hono as Hono14 } from 'hono';

// src/core/year/lift.ts
var LIFTED_HUMUS_SHARE = 0.8;
var LIFTED_MOISTURE = 0.5;
var LIKE_COMPOST_BELOW = 25;
var CARBON = [
  FLOW.freshCarbonTakenOff,
  FLOW.microbialCarbonTakenOff,
  FLOW.humusCarbonTakenOff,
  FLOW.charCarbonTakenOff,
];
var NITROGEN = [
  FLOW.freshNitrogenTakenOff,
  FLOW.microbialNitrogenTakenOff,
  FLOW.humusNitrogenTakenOff,
  FLOW.charNitrogenTakenOff,
  FLOW.ammoniumTakenOff,
  FLOW.layersTakenOff,
];
function liftFrom(scenario, layerIds, day, areaM2) {
  const events = layerIds.map((cohortId) => ({
    type: 'remove',
    day,
    cohortId,
    share: 1,
    humusShare: LIFTED_HUMUS_SHARE,
  }));
  const until = endingOn(scenario, day + 1);
  const run2 = startRun({ ...until, events: [...until.events, ...events] });
  runTo(run2, day);
  const before = run2.bed.state.flows.slice();
  const total3 = (flows) =>
    flows.reduce((sum, flow) => sum + run2.bed.state.flows[flow] - before[flow], 0) * areaM2;
  runTo(run2, day + 1);
  const [carbonG2, nitrogenG2] = [total3(CARBON), total3(NITROGEN)];
  if (!(carbonG2 > 0) || !(nitrogenG2 > 0)) {
    throw new InputError(['layerIds'], 'out_of_range', 'have nothing left in them to lift');
  }
  const likeMaterialId = carbonG2 / nitrogenG2 < LIKE_COMPOST_BELOW ? 'compost_yard' : 'chips_branch';
  const like = findLibraryMaterial(likeMaterialId);
  const dryKg = carbonG2 / 1e3 / like.carbonFractionDryBasis;
  return {
    carbonG: carbonG2,
    nitrogenG: nitrogenG2,
    massFreshKg: dryKg / (1 - LIFTED_MOISTURE),
    basis: {
      type: 'figures',
      likeMaterialId,
      moistureFractionWetBasis: LIFTED_MOISTURE,
      carbonFractionDryBasis: like.carbonFractionDryBasis,
      nitrogenFractionDryBasis: nitrogenG2 / 1e3 / dryKg,
      bulkDensityKgPerM3: like.bulkDensityKgPerM3,
    },
  };
}

// src/server/routes/lifts.ts
function lifted(stores, bed, { date: date2, layerIds }, today) {
  if (date2 > today) throw new InputError(['date'], 'bad_date', `lies in the future; got ${date2}`);
  const entries = stores.entries.listOf(bed.id);
  layerIds.forEach((layerId, i) => {
    const layer = entries.find(({ id: id2 }) => id2 === layerId);
    if (layer?.type !== 'lay' || layer.date > date2) {
      throw new InputError(['layerIds', i], 'unknown', 'names no layer that lay on this bed by then');
    }
    const off = entries.find(
      (entry) => entry.type === 'takeOff' && entry.layerId === layerId && entry.shareTakenOff === 1,
    );
    if (off) throw new InputError(['layerIds', i], 'bad_order', `was taken off on ${off.date} already`);
  });
  const records = keptRecords(stores, bed.gardenId);
  const day = dayNumberFromIso(date2, ['date']);
  const scenario = bedScenario(
    found(booksOfBed(records, bed.id), 'bed'),
    materialFinder(records),
    day,
    day + 1,
  );
  return liftFrom(scenario, layerIds, day, bed.areaM2);
}
function carryOut2(stores, bed, draft, { basis, massFreshKg: massFreshKg2 }) {
  const { id: id2, date: date2, note: note2, layerIds, lotName: lotName2 } = draft;
  const { gardenId } = bed;
  const name2 = `Lifted from ${bed.name}, ${date2}`.slice(0, 80);
  const entries = layerIds.map((layerId, i) =>
    stores.entries.insert({
      id: `${id2}-off-${i + 1}`,
      bedId: bed.id,
      type: 'takeOff',
      state: 'laid',
      date: date2,
      note: note2,
      layerId,
      shareTakenOff: 1,
      humusShareTakenOff: LIFTED_HUMUS_SHARE,
    }),
  );
  const material = stores.materials.insert({ id: `${id2}-stuff`, gardenId, name: name2, basis, note: note2 });
  const lot = stores.lots.insert({
    id: `${id2}-lot`,
    gardenId,
    name: lotName2,
    form: 'pile',
    keeping: 'covered',
    isTurned: false,
    isHot: false,
    reserveL: 0,
    note: note2,
  });
  const movement = stores.movements.insert({
    id: `${id2}-in`,
    gardenId,
    lotId: lot.id,
    type: 'receive',
    state: 'laid',
    date: date2,
    note: note2,
    materialId: material.id,
    amount: massFreshKg2,
    unit: 'kg',
    moistureFractionWetBasis: null,
    bulkDensityKgPerM3: null,
    seasonedMonths: 0,
  });
  return { entries, lot, movement };
}
var liftRoutes = ({ stores, today }) =>
  new Hono14().post('/beds/:bedId/lifts', body(liftDraft), (c) => {
    const draft = c.req.valid('json');
    return stores.atomically(() => {
      const bed = found(stores.beds.find(c.req.param('bedId')), 'bed');
      const known = stores.lots.find(`${draft.id}-lot`);
      if (known) {
        const entries = stores.entries
          .listOf(bed.id)
          .filter(({ id: id2 }) => id2.startsWith(`${draft.id}-off-`));
        return c.json(
          { entries, lot: known, movement: found(stores.movements.find(`${draft.id}-in`), 'posting') },
          200,
        );
      }
      const written2 = carryOut2(stores, bed, draft, lifted(stores, bed, draft, today()));
      requireSoundBooks(stores, bed.id, today(), { about: written2.entries.map(({ id: id2 }) => id2) });
      requireSoundStock(keptRecords(stores, bed.gardenId), today(), [written2.movement.id]);
      return c.json(written2, 201);
    });
  });

// src/server/routes/materials.ts
import { Hono as Hono15 } from 'hono';
function bedsWith(stores, gardenId, materialId) {
  const entries = stores.entries.listOfGarden(gardenId);
  const using = entries.filter((entry) => entry.type === 'lay' && entry.materialId === materialId);
  return [...new Set(using.map(({ bedId }) => bedId))];
}
function keepMaterial({ materials }, gardenId, draft) {
  const known = sentAgain(materials.find(draft.id), { ...draft, gardenId });
  if (known) return known;
  if (findLibraryMaterial(draft.id)) {
    throw new ProblemError(422, 'Not accepted', `id "${draft.id}" belongs to a material of the library.`);
  }
  ownMaterial(draft.basis);
  return materials.insert({ ...draft, gardenId });
}
var materialRoutes = ({ stores, today, newId }) =>
  new Hono15()
    .post('/gardens/:gardenId/materials', body(materialDraft), (c) => {
      const garden = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const id2 = draft.id ?? newId();
      const isKnown = stores.materials.find(id2) !== void 0;
      return c.json(keepMaterial(stores, garden.id, { ...draft, id: id2 }), isKnown ? 200 : 201);
    })
    .put('/materials/:materialId', body(materialChange), (c) => {
      const id2 = c.req.param('materialId');
      const { version: version2, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        const before = found(stores.materials.find(id2), 'material');
        requireSeen(before, version2);
        ownMaterial(values.basis);
        const changed = { ...before, ...values };
        for (const bedId of bedsWith(stores, before.gardenId, id2)) {
          requireSoundBooks(stores, bedId, today(), {
            materials: (all) => all.map((other) => (other.id === id2 ? changed : other)),
          });
        }
        return c.json(written(stores.materials.update(id2, version2, values), 'material'), 200);
      });
    })
    .delete('/materials/:materialId', seenVersion, (c) => {
      const id2 = c.req.param('materialId');
      const material = found(stores.materials.find(id2), 'material');
      if (bedsWith(stores, material.gardenId, id2).length > 0) {
        throw new ProblemError(
          422,
          'In use',
          'This material lies on a bed; take it out of those entries first.',
        );
      }
      requireRemoved(stores.materials.remove(id2, c.req.valid('query').version), 'material');
      return c.body(null, 204);
    })
    .post('/materials/:materialId/restore', (c) =>
      c.json(written(stores.materials.restore(c.req.param('materialId')), 'material'), 200),
    );

// src/server/routes/photos.ts
import { Hono as Hono16 } from 'hono';
import { createHash as createHash5 } from 'node:crypto';
var shown2 = ({ id: id2, gardenId, mediaType, bytes, createdAt }) => ({
  id: id2,
  gardenId,
  mediaType,
  bytes,
  createdAt,
});
function sentBefore(stores, id2, sentSha256) {
  const known = stores.photos.find(id2);
  if (known && known.sentSha256 !== sentSha256) {
    throw new ProblemError(
      409,
      'Another photo',
      'Another photo is kept under this id; send it under a new one.',
    );
  }
  return known && shown2(known);
}
var photoRoutes = ({ stores, photoFiles }) =>
  new Hono16()
    .put('/gardens/:gardenId/photos/:photoId', async (c) => {
      const { id: gardenId } = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const checked2 = id.safeParse(c.req.param('photoId'));
      if (!checked2.success) throw invalid(problemsOf(checked2.error));
      const sent = new Uint8Array(await c.req.arrayBuffer());
      const sentSha256 = createHash5('sha256').update(sent).digest('hex');
      const known = sentBefore(stores, checked2.data, sentSha256);
      if (known) return c.json(known, 200);
      const photo = cleanPhoto(sent);
      if (!photo) {
        throw new ProblemError(
          422,
          'Not a photo',
          'That is not a photo in JPEG or PNG, or only a part of one.',
          {
            errors: [{ field: 'photo', sentence: 'photo must be a whole JPEG or PNG picture.' }],
          },
        );
      }
      photoFiles.write(checked2.data, photo.picture);
      const kept2 = stores.photos.insert({
        id: checked2.data,
        gardenId,
        mediaType: photo.mediaType,
        bytes: photo.picture.length,
        sentSha256,
      });
      return c.json(shown2(kept2), 201);
    })
    .get('/photos/:photoId', (c) => {
      const photo = found(stores.photos.find(c.req.param('photoId')), 'photo');
      const picture = found(photoFiles.read(photo.id), 'photo');
      return c.body(picture, 200, {
        'Content-Type': photo.mediaType,
        'Cache-Control': 'private, max-age=31536000, immutable',
      });
    });

// src/server/routes/plantings.ts
import { Hono as Hono17 } from 'hono';
var UNSTAMPED2 = { version: 1, createdAt: '', updatedAt: '' };
var withPlanting = (all, planting) => [...all.filter(({ id: id2 }) => id2 !== planting.id), planting];
var takesOtherRoom = (before, after) =>
  ['plantedOn', 'clearedOn', 'areaShare', 'isUndersown'].some((field) => before[field] !== after[field]);
var plantingRoutes = ({ stores, today, newId }) =>
  new Hono17()
    .post('/beds/:bedId/plantings', body(plantingDraft), (c) => {
      const draft = c.req.valid('json');
      const id2 = draft.id ?? newId();
      return stores.atomically(() => {
        const bed = found(stores.beds.find(c.req.param('bedId')), 'bed');
        const known = sentAgain(stores.plantings.find(id2), { ...draft, bedId: bed.id });
        if (known) return c.json(known, 200);
        const planting = { ...draft, ...UNSTAMPED2, id: id2, bedId: bed.id };
        checkRoom(planting, stores.plantings.listOf(bed.id));
        requireSoundBooks(stores, bed.id, today(), {
          plantings: (all) => withPlanting(all, planting),
          about: [id2],
        });
        return c.json(stores.plantings.insert(planting), 201);
      });
    })
    .put('/plantings/:plantingId', body(plantingChange), (c) => {
      const id2 = c.req.param('plantingId');
      const { version: version2, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        const before = found(stores.plantings.find(id2), 'planting');
        requireSeen(before, version2);
        const changed = { ...before, ...values };
        if (takesOtherRoom(before, changed)) checkRoom(changed, stores.plantings.listOf(before.bedId));
        requireSoundBooks(stores, before.bedId, today(), {
          plantings: (all) => withPlanting(all, changed),
          about: [id2],
        });
        return c.json(written(stores.plantings.update(id2, version2, values), 'planting'), 200);
      });
    })
    .delete('/plantings/:plantingId', seenVersion, (c) => {
      const id2 = c.req.param('plantingId');
      requireRemoved(stores.plantings.remove(id2, c.req.valid('query').version), 'planting');
      return c.body(null, 204);
    })
    .post('/plantings/:plantingId/restore', (c) =>
      stores.atomically(() => {
        const planting = written(stores.plantings.restore(c.req.param('plantingId')), 'planting');
        checkRoom(planting, stores.plantings.listOf(planting.bedId));
        requireSoundBooks(stores, planting.bedId, today(), { about: [planting.id] });
        return c.json(planting, 200);
      }),
    );

// src/server/routes/recipes.ts
import { Hono as Hono18 } from 'hono';
var recipeRoutes = ({ stores, newId }) =>
  new Hono18()
    .post('/gardens/:gardenId/recipes', body(recipeDraft), (c) => {
      const garden = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
      const draft = c.req.valid('json');
      const id2 = draft.id ?? newId();
      const known = sentAgain(stores.recipes.find(id2), { ...draft, gardenId: garden.id });
      if (known) return c.json(known, 200);
      return c.json(stores.recipes.insert({ ...draft, id: id2, gardenId: garden.id }), 201);
    })
    .delete('/recipes/:recipeId', seenVersion, (c) => {
      requireRemoved(stores.recipes.remove(c.req.param('recipeId'), c.req.valid('query').version), 'recipe');
      return c.body(null, 204);
    })
    .post('/recipes/:recipeId/restore', (c) =>
      c.json(written(stores.recipes.restore(c.req.param('recipeId')), 'recipe'), 200),
    );

// src/server/routes/stock.ts
import { Hono as Hono19 } from 'hono';
var stockRoutes = ({ stores, today }) => {
  const requireSound = (gardenId, about) => requireSoundStock(keptRecords(stores, gardenId), today(), about);
  return new Hono19()
    .post('/gardens/:gardenId/stock', body(stockPosting), (c) => {
      const { materials, lots, movements } = c.req.valid('json');
      return stores.atomically(() => {
        const { id: gardenId } = found(stores.gardens.find(c.req.param('gardenId')), 'garden');
        for (const material of materials) keepMaterial(stores, gardenId, material);
        const keptLots = lots.map((draft) => {
          const lot = { ...draft, gardenId };
          return sentAgain(stores.lots.find(lot.id), lot) ?? stores.lots.insert(lot);
        });
        const keptMovements = movements.map((draft) => {
          found(stores.lots.find(draft.lotId), 'pile');
          const movement = { ...draft, gardenId };
          return sentAgain(stores.movements.find(movement.id), movement) ?? stores.movements.insert(movement);
        });
        requireSound(
          gardenId,
          movements.map(({ id: id2 }) => id2),
        );
        return c.json({ lots: keptLots, movements: keptMovements }, 201);
      });
    })
    .put('/lots/:lotId', body(lotChange), (c) => {
      const id2 = c.req.param('lotId');
      const { version: version2, ...values } = c.req.valid('json');
      return stores.atomically(() => {
        const lot = written(stores.lots.update(id2, version2, values), 'pile');
        requireSound(lot.gardenId, []);
        return c.json(lot, 200);
      });
    })
    .delete('/lots/:lotId', seenVersion, (c) => {
      const id2 = c.req.param('lotId');
      stores.atomically(() => {
        const { gardenId } = found(stores.lots.find(id2), 'pile');
        requireRemoved(stores.lots.remove(id2, c.req.valid('query').version), 'pile');
        requireSound(gardenId, []);
      });
      return c.body(null, 204);
    })
    .post('/lots/:lotId/restore', (c) =>
      stores.atomically(() => {
        const lot = written(stores.lots.restore(c.req.param('lotId')), 'pile');
        requireSound(lot.gardenId, []);
        return c.json(lot, 200);
      }),
    )
    .put('/movements/:movementId', body(movementChange), (c) => {
      const id2 = c.req.param('movementId');
      const change = c.req.valid('json');
      return stores.atomically(() => {
        const before = found(stores.movements.find(id2), 'stock posting');
        requireSeen(before, change.version);
        const after = written(stores.movements.update(id2, change.version, change), 'stock posting');
        requireSound(before.gardenId, [id2]);
        return c.json(after, 200);
      });
    })
    .delete('/movements/:movementId', seenVersion, (c) => {
      const id2 = c.req.param('movementId');
      stores.atomically(() => {
        const { gardenId } = found(stores.movements.find(id2), 'stock posting');
        requireRemoved(stores.movements.remove(id2, c.req.valid('query').version), 'stock posting');
        requireSound(gardenId, []);
      });
      return c.body(null, 204);
    })
    .post('/movements/:movementId/restore', (c) =>
      stores.atomically(() => {
        const movement = written(stores.movements.restore(c.req.param('movementId')), 'stock posting');
        requireSound(movement.gardenId, [movement.id]);
        return c.json(movement, 200);
      }),
    );
};

// src/server/app.ts
var nothingAt = (path) => new ProblemError(404, 'Not found', `There is nothing at ${path}.`);
function createApp(context) {
  const app = new Hono20();
  app.onError(answerProblem);
  app.notFound((c) => answerProblem(nothingAt(c.req.path), c));
  app.use(headers);
  app.use(sameHostOnly(context.hosts));
  app.use('/api/*', limitedBody);
  app.use('/api/*', admittedOnly(context.access));
  app.use('/api/*', shallowJson);
  app.use('/api/*', readOnlyUnlessSound(context.books.state));
  app.route('/', calendarFiles(context));
  app.route('/', gardenFileRoutes(context));
  const api = app
    .get('/api/health', (c) => c.json({ status: context.books.state().kind }, 200))
    .route('/api/gardens', gardenRoutes(context))
    .route('/api', bedRoutes(context))
    .route('/api', entryRoutes(context))
    .route('/api', plantingRoutes(context))
    .route('/api', materialRoutes(context))
    .route('/api', buildUpRoutes(context))
    .route('/api', habitRoutes(context))
    .route('/api', planRoutes(context))
    .route('/api/instruments', instrumentRoutes(context))
    .route('/api', stockRoutes(context))
    .route('/api', labResultRoutes(context))
    .route('/api', recipeRoutes(context))
    .route('/api', journalRoutes(context))
    .route('/api', photoRoutes(context))
    .route('/api', feedRoutes(context))
    .route('/api', liftRoutes(context))
    .route('/api', importRoutes(context))
    .route('/api/backups', backupRoutes(context))
    .route('/api/session', sessionRoutes(context));
  app.all('/api/*', (c) => {
    throw nothingAt(c.req.path);
  });
  context.servePages?.(app);
  return api;
}

// src/server/db/books-file.ts
import Database2 from 'better-sqlite3';
import {
  closeSync,
  copyFileSync as copyFileSync2,
  existsSync as existsSync3,
  fsyncSync,
  mkdirSync as mkdirSync2,
  mkdtempSync,
  openSync,
  readdirSync as readdirSync2,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join as join2 } from 'node:path';

// src/server/db/migrate.ts
import { readdirSync, readFileSync as readFileSync2 } from 'node:fs';
import { join } from 'node:path';
var FOLDER = join(import.meta.dirname, 'migrations');
function migrations() {
  const found2 = readdirSync(FOLDER)
    .filter((file) => /^\d{4}_\w+\.sql$/.test(file))
    .sort()
    .map((file) => ({ number: Number(file.slice(0, 4)), file }));
  found2.forEach(({ number, file }, i) => {
    if (number !== i + 1) throw new Error(`Migration ${file} should be number ${i + 1}`);
  });
  return found2;
}
var versionOf = (db) => db.pragma('user_version', { simple: true });
function pendingMigrations(db) {
  const newest = migrations().length;
  const version2 = versionOf(db);
  if (version2 > newest) {
    throw new Error(
      `This database was written by a newer Vine Ledger (version ${version2}, this one knows ${newest}). Update Vine Ledger to open it.`,
    );
  }
  return newest - version2;
}
function migrate(db) {
  const wanted = migrations().slice(versionOf(db));
  db.pragma('foreign_keys = OFF');
  try {
    for (const { number, file } of wanted) {
      db.transaction(() => {
        db.exec(readFileSync2(join(FOLDER, file), 'utf8'));
        const broken = db.pragma('foreign_key_check');
        if (broken.length > 0) throw new Error(`Migration ${file} leaves ${broken.length} broken references`);
        db.pragma(`user_version = ${number}`);
      }).immediate();
    }
  } finally {
    db.pragma('foreign_keys = ON');
  }
}

// src/server/db/open.ts
import Database from 'better-sqlite3';
import { copyFileSync, existsSync as existsSync2, mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
var BUSY_TIMEOUT_MS = 5e3;
var DamagedFile = class extends Error {};
var UnwritableFile = class extends Error {};
var codeOf = (error) => {
  const code = error?.code;
  return typeof code === 'string' ? code : '';
};
function understood(error) {
  const code = codeOf(error);
  if (code.startsWith('SQLITE_CORRUPT') || code === 'SQLITE_NOTADB') return new DamagedFile(error.message);
  const isUnwritable = [
    'SQLITE_READONLY',
    'SQLITE_CANTOPEN',
    'SQLITE_PERM',
    'SQLITE_FULL',
    'SQLITE_IOERR',
  ].some((one) => code.startsWith(one));
  const isDisk = ['EACCES', 'EROFS', 'EPERM', 'ENOSPC'].includes(code);
  return isUnwritable || isDisk ? new UnwritableFile(error.message) : error;
}
function openDatabase(file) {
  let db;
  try {
    if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
    const isNew = file === ':memory:' || !existsSync2(file);
    db = new Database(file);
    db.pragma('journal_mode = WAL');
    db.pragma('synchronous = FULL');
    db.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
    db.pragma('foreign_keys = ON');
    if (!isNew) {
      requireIntegrity(db);
      if (pendingMigrations(db) > 0) backUpBeforeMigration(db, file);
    }
    migrate(db);
    requireWritable(db);
    return db;
  } catch (error) {
    db?.close();
    throw understood(error);
  }
}
function requireIntegrity(db) {
  const verdict = String(db.pragma('integrity_check(1)', { simple: true }));
  if (verdict !== 'ok') throw new DamagedFile(verdict);
}
function requireWritable(db) {
  const version2 = Number(db.pragma('user_version', { simple: true }));
  db.pragma(`user_version = ${version2}`);
}
function backUpBeforeMigration(db, file) {
  db.pragma('wal_checkpoint(TRUNCATE)');
  const version2 = String(db.pragma('user_version', { simple: true }));
  copyFileSync(file, `${file}.before-migration-from-${version2}`);
}
function openCopy(copy) {
  const db = new Database(copy);
  try {
    migrate(db);
    db.pragma('query_only = ON');
    return db;
  } catch (error) {
    db.close();
    throw understood(error);
  }
}

// src/server/db/keepsake-stores.ts
function photoStore(db, now2) {
  const find = (id2) =>
    db
      .prepare(
        `SELECT id, garden_id AS gardenId, media_type AS mediaType, bytes, created_at AS createdAt,
                sent_sha256 AS sentSha256 FROM photo WHERE id = @id`,
      )
      .get({ id: id2 });
  return {
    find,
    listOf: (gardenId) =>
      db
        .prepare(
          `SELECT id, garden_id AS gardenId, media_type AS mediaType, bytes, created_at AS createdAt
           FROM photo WHERE garden_id = @gardenId ORDER BY created_at, id`,
        )
        .all({ gardenId }),
    insert: (photo) => {
      db.prepare(
        `INSERT INTO photo (id, garden_id, media_type, bytes, sent_sha256, created_at)
         VALUES (@id, @gardenId, @mediaType, @bytes, @sentSha256, @createdAt)`,
      ).run({ createdAt: now2(), ...photo });
      return find(photo.id);
    },
  };
}
var FEED = 'id, garden_id AS gardenId, name, created_at AS createdAt, last_read_at AS lastReadAt';
function feedStore(db, now2) {
  const find = (id2) => db.prepare(`SELECT ${FEED} FROM feed WHERE id = @id`).get({ id: id2 });
  return {
    listOf: (gardenId) =>
      db
        .prepare(
          `SELECT ${FEED} FROM feed WHERE garden_id = @gardenId AND revoked_at IS NULL ORDER BY created_at, id`,
        )
        .all({ gardenId }),
    insert: (feed2, tokenSha256) => {
      db.prepare(
        `INSERT INTO feed (id, garden_id, name, token_sha256, created_at)
         VALUES (@id, @gardenId, @name, @tokenSha256, @now)`,
      ).run({ ...feed2, tokenSha256, now: now2() });
      return find(feed2.id);
    },
    opened: (tokenSha256) => {
      const feed2 = db
        .prepare(`SELECT ${FEED} FROM feed WHERE token_sha256 = @tokenSha256 AND revoked_at IS NULL`)
        .get({ tokenSha256 });
      if (feed2)
        db.prepare('UPDATE feed SET last_read_at = @now WHERE id = @id').run({ id: feed2.id, now: now2() });
      return feed2;
    },
    revoke: (id2) =>
      db
        .prepare('UPDATE feed SET revoked_at = @now WHERE id = @id AND revoked_at IS NULL')
        .run({ id: id2, now: now2() }).changes === 1,
  };
}
var IMPORT = 'id, garden_id AS gardenId, at, summary, undone_at AS undoneAt';
function importLog(db, now2) {
  const find = (id2) => {
    const row = db
      .prepare(`SELECT ${IMPORT}, writes_json AS writes FROM import WHERE id = @id`)
      .get({ id: id2 });
    return row && { ...row, writes: JSON.parse(row.writes) };
  };
  return {
    find,
    insert: (record) => {
      db.prepare(
        `INSERT INTO import (id, garden_id, at, summary, writes_json)
         VALUES (@id, @gardenId, @now, @summary, @writes)`,
      ).run({ ...record, writes: JSON.stringify(record.writes), now: now2() });
      return find(record.id);
    },
    listOf: (gardenId) =>
      db
        .prepare(
          `SELECT ${IMPORT} FROM import WHERE garden_id = @gardenId ORDER BY at DESC, rowid DESC LIMIT 20`,
        )
        .all({ gardenId }),
    markUndone: (id2) =>
      db
        .prepare('UPDATE import SET undone_at = @now WHERE id = @id AND undone_at IS NULL')
        .run({ id: id2, now: now2() }).changes === 1,
  };
}

// src/server/db/versioned-table.ts
var STAMP = {
  id: ['id'],
  version: ['version'],
  createdAt: ['created_at'],
  updatedAt: ['updated_at'],
};
var FIXED = /* @__PURE__ */ new Set(['id', 'version', 'createdAt']);
function toColumn(value, kind = 'plain') {
  if (value === void 0 || value === null) return null;
  if (kind === 'boolean') return value === true ? 1 : 0;
  return kind === 'json' ? JSON.stringify(value) : value;
}
function fromColumn(value, kind = 'plain') {
  if (kind === 'boolean') return value === 1;
  return kind === 'json' ? JSON.parse(value) : value;
}
var VersionedTable = class {
  constructor(db, table, columns, order = 'created_at, id') {
    this.db = db;
    this.table = table;
    this.order = order;
    this.#columns = { ...STAMP, ...columns };
  }
  db;
  table;
  order;
  #columns;
  get #selected() {
    return Object.entries(this.#columns)
      .map(([field, [column]]) => `${column} AS ${field}`)
      .join(', ');
  }
  #fromRow(row) {
    const entries = Object.entries(this.#columns).map(([field, [, kind]]) => [
      field,
      fromColumn(row[field], kind),
    ]);
    return Object.fromEntries(entries);
  }
  /** Named parameters for the fields of `values` that have a column. */
  #bound(values) {
    return Object.fromEntries(
      Object.entries(this.#columns).map(([field, [, kind]]) => [field, toColumn(values[field], kind)]),
    );
  }
  find(id2) {
    const row = this.db
      .prepare(`SELECT ${this.#selected} FROM ${this.table} WHERE id = @id AND removed_at IS NULL`)
      .get({ id: id2 });
    return row === void 0 ? void 0 : this.#fromRow(row);
  }
  /** Records that are not removed and meet a condition of the store on `@value`. */
  listWhere(condition, value) {
    return this.db
      .prepare(
        `SELECT ${this.#selected} FROM ${this.table}
         WHERE ${condition} AND removed_at IS NULL ORDER BY ${this.order}`,
      )
      .all({ value })
      .map((row) => this.#fromRow(row));
  }
  list() {
    return this.db
      .prepare(`SELECT ${this.#selected} FROM ${this.table} WHERE removed_at IS NULL ORDER BY ${this.order}`)
      .all()
      .map((row) => this.#fromRow(row));
  }
  /** Keeps a new record. Throws IdTaken when a removed one still holds its id. */
  insert(record, now2) {
    const values = { ...record, version: 1, createdAt: now2, updatedAt: now2 };
    const columns = Object.values(this.#columns).map(([column]) => column);
    const parameters = Object.keys(this.#columns).map((field) => `@${field}`);
    if (this.#isKnown(record.id)) throw new IdTaken();
    this.db
      .prepare(`INSERT INTO ${this.table} (${columns.join(', ')}) VALUES (${parameters.join(', ')})`)
      .run(this.#bound(values));
    return this.find(record.id);
  }
  /** Whatever has this id, removed or not. */
  look(id2) {
    const row = this.db
      .prepare(`SELECT ${this.#selected}, removed_at AS removedAt FROM ${this.table} WHERE id = @id`)
      .get({ id: id2 });
    return row && { record: this.#fromRow(row), isRemoved: row['removedAt'] !== null };
  }
  /** Keeps a record with the time stamps it brings, in the place of whatever has its id. */
  put(record) {
    const columns = Object.values(this.#columns).map(([column]) => column);
    const overwritten = columns
      .filter((column) => column !== 'id' && column !== 'version')
      .map((column) => `${column} = excluded.${column}`);
    const parameters = Object.keys(this.#columns).map((field) => `@${field}`);
    this.db
      .prepare(
        `INSERT INTO ${this.table} (${columns.join(', ')}) VALUES (${parameters.join(', ')})
         ON CONFLICT (id) DO UPDATE SET ${overwritten.join(', ')},
           version = ${this.table}.version + 1, removed_at = NULL`,
      )
      .run(this.#bound({ ...record, version: 1 }));
    return this.find(record.id);
  }
  #isKnown(id2) {
    return this.db.prepare(`SELECT 1 FROM ${this.table} WHERE id = @id`).get({ id: id2 }) !== void 0;
  }
  update(id2, version2, values, now2) {
    const changed = { ...values, updatedAt: now2 };
    const fields2 = Object.keys(this.#columns).filter((field) => field in changed && !FIXED.has(field));
    const assignments = fields2.map((field) => `${this.#columns[field][0]} = @${field}`);
    const { changes } = this.db
      .prepare(
        `UPDATE ${this.table} SET ${assignments.join(', ')}, version = version + 1
         WHERE id = @id AND version = @version AND removed_at IS NULL`,
      )
      .run({ ...pick(this.#bound(changed), fields2), id: id2, version: version2 });
    return this.#outcome(id2, changes === 1);
  }
  remove(id2, version2, now2) {
    const before = this.find(id2);
    const { changes } = this.db
      .prepare(
        `UPDATE ${this.table} SET removed_at = @now, updated_at = @now, version = version + 1
         WHERE id = @id AND version = @version AND removed_at IS NULL`,
      )
      .run({ id: id2, version: version2, now: now2 });
    if (changes === 1) return { outcome: 'removed' };
    return before ? { outcome: 'stale', current: before } : { outcome: 'missing' };
  }
  restore(id2, now2) {
    this.db
      .prepare(
        `UPDATE ${this.table} SET removed_at = NULL, updated_at = @now, version = version + 1
         WHERE id = @id AND removed_at IS NOT NULL`,
      )
      .run({ id: id2, now: now2 });
    return this.#outcome(id2, true);
  }
  #outcome(id2, isWritten) {
    const current = this.find(id2);
    if (!current) return { outcome: 'missing' };
    return { outcome: isWritten ? 'written' : 'stale', current };
  }
};
var pick = (row, fields2) => Object.fromEntries(fields2.map((field) => [field, row[field]]));

// src/server/db/packed-store.ts
var STAMPED = ['id', 'version', 'createdAt', 'updatedAt'];
function packedStore(
  { db, now: now2 },
  { table: name2, columns, order },
  ownedBy,
  tidy = (record) => record,
) {
  const table = new VersionedTable(db, name2, columns, order);
  const common = /* @__PURE__ */ new Set([...STAMPED, ...Object.keys(columns)]);
  const pack = (values) => {
    const fields2 = Object.entries(values);
    const isCommon = ([field]) => common.has(field);
    const details = Object.fromEntries(fields2.filter((one) => !isCommon(one)));
    return { ...Object.fromEntries(fields2.filter(isCommon)), details };
  };
  const unpack = ({ details, ...fields2 }) => tidy({ ...fields2, ...details });
  const unpacked = (result) =>
    'current' in result ? { ...result, current: unpack(result.current) } : result;
  return {
    find: (id2) => {
      const row = table.find(id2);
      return row && unpack(row);
    },
    insert: (record) => unpack(table.insert(pack(record), now2())),
    update: (id2, version2, values) => unpacked(table.update(id2, version2, pack(values), now2())),
    remove: (id2, version2) => unpacked(table.remove(id2, version2, now2())),
    look: (id2) => {
      const kept2 = table.look(id2);
      return kept2 && { ...kept2, record: unpack(kept2.record) };
    },
    put: (record) => unpack(table.put(pack(record))),
    restore: (id2) => unpacked(table.restore(id2, now2())),
    listOf: (ownerId) => table.listWhere(ownedBy, ownerId).map(unpack),
  };
}

// src/server/db/stores.ts
var GARDEN = {
  name: ['name'],
  place: ['place'],
  climate: ['climate_json', 'json'],
  depositionGPerM2Year: ['deposition_g_per_m2_year'],
  measures: ['measures'],
  school: ['school'],
  feedMaterialId: ['feed_material_id'],
  prices: ['prices_json', 'json'],
};
var BED = {
  gardenId: ['garden_id'],
  name: ['name'],
  kind: ['kind'],
  areaM2: ['area_m2'],
  organicMatterPct: ['organic_matter_pct'],
  bulkDensityGPerCm3: ['bulk_density_g_per_cm3'],
  clayPct: ['clay_pct'],
  rootZoneCm: ['root_zone_cm'],
  exposure: ['exposure'],
  isWatered: ['is_watered', 'boolean'],
  startedOn: ['started_on'],
  ph: ['ph'],
  croppingBefore: ['cropping_before'],
  learnsFromLog: ['learns_from_log', 'boolean'],
  outline: ['outline_json', 'json'],
  note: ['note'],
};
var MATERIAL = {
  gardenId: ['garden_id'],
  name: ['name'],
  basis: ['basis_json', 'json'],
  note: ['note'],
};
var ENTRY = {
  bedId: ['bed_id'],
  type: ['type'],
  state: ['state'],
  date: ['date'],
  note: ['note'],
  materialId: ['material_id'],
  lotId: ['lot_id'],
  amount: ['amount'],
  unit: ['unit'],
  massFreshKg: ['mass_fresh_kg'],
  seasonedMonths: ['seasoned_months'],
  dugDepthCm: ['dug_depth_cm'],
  layerId: ['layer_id'],
  shareTakenOff: ['share_taken_off'],
  humusShareTakenOff: ['humus_share_taken_off'],
  nitrogenG: ['nitrogen_g'],
  sampledDepthCm: ['sampled_depth_cm'],
  ph: ['ph'],
  organicMatterPct: ['organic_matter_pct'],
  waterMm: ['water_mm'],
};
var BUILD_UP = {
  gardenId: ['garden_id'],
  name: ['name'],
  layers: ['layers_json', 'json'],
  waitDays: ['wait_days'],
  note: ['note'],
};
var HABIT = {
  gardenId: ['garden_id'],
  name: ['name'],
  keepsCrops: ['keeps_crops', 'boolean'],
  acts: ['acts_json', 'json'],
  note: ['note'],
};
var LOT = {
  gardenId: ['garden_id'],
  name: ['name'],
  form: ['form'],
  keeping: ['keeping'],
  isTurned: ['is_turned', 'boolean'],
  isHot: ['is_hot', 'boolean'],
  reserveL: ['reserve_l'],
  note: ['note'],
};
var MOVEMENT = {
  gardenId: ['garden_id'],
  lotId: ['lot_id'],
  type: ['type'],
  state: ['state'],
  date: ['date'],
  note: ['note'],
  details: ['details_json', 'json'],
};
var JOURNAL = {
  gardenId: ['garden_id'],
  bedId: ['bed_id'],
  kind: ['kind'],
  date: ['date'],
  note: ['note'],
  details: ['details_json', 'json'],
};
var LAB_RESULT = {
  gardenId: ['garden_id'],
  materialId: ['material_id'],
  date: ['date'],
  laboratory: ['laboratory'],
  moistureFractionWetBasis: ['moisture_fraction_wet_basis'],
  carbonFractionDryBasis: ['carbon_fraction_dry_basis'],
  nitrogenFractionDryBasis: ['nitrogen_fraction_dry_basis'],
  ammoniumShareOfNitrogen: ['ammonium_share_of_nitrogen'],
  bulkDensityKgPerM3: ['bulk_density_kg_per_m3'],
  note: ['note'],
};
var WEATHER = {
  gardenId: ['garden_id'],
  date: ['date'],
  temperatureC: ['temperature_c'],
  rainMm: ['rain_mm'],
  evapotranspirationMm: ['evapotranspiration_mm'],
};
var RECIPE = {
  gardenId: ['garden_id'],
  name: ['name'],
  purpose: ['purpose'],
  ingredients: ['ingredients_json', 'json'],
  waterL: ['water_l'],
  isLayered: ['is_layered', 'boolean'],
  note: ['note'],
};
var ENTRY_FIELDS = {
  lay: ['materialId', 'lotId', 'amount', 'unit', 'massFreshKg', 'seasonedMonths', 'dugDepthCm'],
  dig: ['dugDepthCm', 'layerId'],
  takeOff: ['layerId', 'shareTakenOff', 'humusShareTakenOff'],
  feed: ['nitrogenG'],
  soilTest: ['amount', 'unit', 'sampledDepthCm', 'ph', 'organicMatterPct'],
  water: ['waterMm'],
};
var COMMON_ENTRY_FIELDS = [
  'id',
  'version',
  'createdAt',
  'updatedAt',
  'bedId',
  'type',
  'state',
  'date',
  'note',
];
var PLANTING = {
  bedId: ['bed_id'],
  state: ['state'],
  cropId: ['crop_id'],
  plantedOn: ['planted_on'],
  clearedOn: ['cleared_on'],
  nitrogenDemandGPerM2: ['nitrogen_demand_g_per_m2'],
  rootDepthCm: ['root_depth_cm'],
  startsAs: ['starts_as'],
  areaShare: ['area_share'],
  isUndersown: ['is_undersown', 'boolean'],
  note: ['note'],
};
function trimEntry(row) {
  const fields2 = [...COMMON_ENTRY_FIELDS, ...ENTRY_FIELDS[row.type]];
  return Object.fromEntries(Object.entries(row).filter(([field]) => fields2.includes(field)));
}
var spreadEntry = (values) => ({
  ...Object.fromEntries(
    Object.values(ENTRY_FIELDS).flatMap((fields2) => fields2.map((field) => [field, null])),
  ),
  ...values,
});
function storeOver(table, now2) {
  return {
    find: (id2) => table.find(id2),
    insert: (record) => table.insert(record, now2()),
    update: (id2, version2, values) => table.update(id2, version2, values, now2()),
    remove: (id2, version2) => table.remove(id2, version2, now2()),
    restore: (id2) => table.restore(id2, now2()),
    look: (id2) => table.look(id2),
    put: (record) => table.put(record),
  };
}
function createStores(db, now2) {
  const gardens = new VersionedTable(db, 'garden', GARDEN);
  const beds = new VersionedTable(db, 'bed', BED, 'created_at, rowid');
  const materials = new VersionedTable(db, 'material', MATERIAL, 'name, id');
  const buildUps = new VersionedTable(db, 'build_up', BUILD_UP, 'name, id');
  const habits = new VersionedTable(db, 'habit', HABIT, 'created_at, rowid');
  const entries = new VersionedTable(db, 'entry', ENTRY, 'date, sequence');
  const lots = new VersionedTable(db, 'lot', LOT, 'created_at, rowid');
  const labResults = new VersionedTable(db, 'lab_result', LAB_RESULT, 'date, id');
  const weather = new VersionedTable(db, 'weather', WEATHER, 'date, id');
  const recipes = new VersionedTable(db, 'recipe', RECIPE, 'name, id');
  const plantings = new VersionedTable(db, 'planting', PLANTING, 'planted_on, id');
  const ofGarden = `bed_id IN (SELECT id FROM bed WHERE removed_at IS NULL AND garden_id = @value)`;
  const entryStore = storeOver(entries, now2);
  return {
    gardens: { ...storeOver(gardens, now2), list: () => gardens.list() },
    beds: { ...storeOver(beds, now2), listOf: (gardenId) => beds.listWhere('garden_id = @value', gardenId) },
    materials: {
      ...storeOver(materials, now2),
      listOf: (gardenId) => materials.listWhere('garden_id = @value', gardenId),
    },
    buildUps: {
      ...storeOver(buildUps, now2),
      listOf: (gardenId) => buildUps.listWhere('garden_id = @value', gardenId),
    },
    habits: {
      ...storeOver(habits, now2),
      listOf: (gardenId) => habits.listWhere('garden_id = @value', gardenId),
    },
    lots: { ...storeOver(lots, now2), listOf: (gardenId) => lots.listWhere('garden_id = @value', gardenId) },
    movements: movementStore(db, now2),
    journal: journalStore(db, now2),
    weather: {
      ...storeOver(weather, now2),
      listOf: (gardenId) => weather.listWhere('garden_id = @value', gardenId),
    },
    photos: photoStore(db, now2),
    feeds: feedStore(db, now2),
    imports: importLog(db, now2),
    labResults: {
      ...storeOver(labResults, now2),
      listOf: (gardenId) => labResults.listWhere('garden_id = @value', gardenId),
    },
    recipes: {
      ...storeOver(recipes, now2),
      listOf: (gardenId) => recipes.listWhere('garden_id = @value', gardenId),
    },
    entries: {
      reorder: (ids) => reorder(db, 'entry', ids),
      find: (id2) => trimmed(entryStore.find(id2)),
      insert: (record) => trimEntry(entryStore.insert(record)),
      update: (id2, version2, values) =>
        trimmedOutcome(entryStore.update(id2, version2, spreadEntry(values))),
      remove: (id2, version2) => trimmedOutcome(entryStore.remove(id2, version2)),
      restore: (id2) => trimmedOutcome(entryStore.restore(id2)),
      look: (id2) => {
        const kept2 = entryStore.look(id2);
        return kept2 && { ...kept2, record: trimEntry(kept2.record) };
      },
      put: (record) => trimEntry(entryStore.put(spreadEntry(record))),
      listOf: (bedId) => entries.listWhere('bed_id = @value', bedId).map(trimEntry),
      listOfGarden: (gardenId) => entries.listWhere(ofGarden, gardenId).map(trimEntry),
    },
    plantings: {
      ...storeOver(plantings, now2),
      listOf: (bedId) => plantings.listWhere('bed_id = @value', bedId),
      listOfGarden: (gardenId) => plantings.listWhere(ofGarden, gardenId),
    },
    atomically: (act) => db.transaction(act).immediate(),
  };
}
var movementStore = (db, now2) => ({
  reorder: (ids) => reorder(db, 'stock_movement', ids),
  ...packedStore(
    { db, now: now2 },
    { table: 'stock_movement', columns: MOVEMENT, order: 'date, sequence' },
    `lot_id IN (SELECT id FROM lot WHERE removed_at IS NULL AND garden_id = @value)`,
  ),
});
var journalStore = (db, now2) => ({
  reorder: (ids) => reorder(db, 'journal', ids),
  ...packedStore(
    { db, now: now2 },
    { table: 'journal', columns: JOURNAL, order: 'date, sequence' },
    `garden_id = @value AND (bed_id IS NULL OR bed_id IN (SELECT id FROM bed WHERE removed_at IS NULL))`,
    (record) => ('bedId' in record && !isAboutBed(record.kind) ? withoutBed(record) : record),
  ),
});
var isAboutBed = (kind) => kind === 'observation' || kind === 'trial' || kind === 'yearClose';
var withoutBed = ({ bedId, ...record }) => record;
function reorder(db, table, ids) {
  const places = db
    .prepare(
      `SELECT sequence FROM ${table} WHERE id IN (SELECT value FROM json_each(@ids)) ORDER BY sequence`,
    )
    .pluck()
    .all({ ids: JSON.stringify(ids) });
  const put = db.prepare(`UPDATE ${table} SET sequence = @place WHERE id = @id`);
  ids.forEach((id2, i) => put.run({ id: id2, place: places[i] }));
}
var trimmed = (entry) => entry && trimEntry(entry);
var trimmedOutcome = (result) =>
  'current' in result ? { ...result, current: trimEntry(result.current) } : result;

// src/server/db/books-file.ts
var BACKUPS_KEPT = 14;
var NAME = /^\d{4}-\d{2}-\d{2}_\d{6}-(\d{2})\.sqlite$/;
var stamped = (now2) => `${now2.slice(0, 10)}_${now2.slice(11, 19).replaceAll(':', '')}`;
function fsynced(path) {
  const file = openSync(path, 'r');
  fsyncSync(file);
  closeSync(file);
}
function copied(file) {
  const folder = mkdtempSync(join2(tmpdir(), 'vine-ledger-'));
  const copy = join2(folder, 'copy.sqlite');
  copyFileSync2(file, copy);
  if (existsSync3(`${file}-wal`)) copyFileSync2(`${file}-wal`, `${copy}-wal`);
  return copy;
}
var dropCopy = (copy) => rmSync(join2(copy, '..'), { recursive: true, force: true });
function openToRead(file, now2, state) {
  let db;
  try {
    db = openCopy(copied(file));
  } catch (error) {
    if (state.kind === 'readOnly') throw error;
    db = new Database2(':memory:');
    migrate(db);
    db.pragma('query_only = ON');
  }
  return { db, stores: createStores(db, now2), state };
}
function openFile(file, now2) {
  try {
    const db = openDatabase(file);
    return { db, stores: createStores(db, now2), state: { kind: 'sound', reason: null } };
  } catch (error) {
    if (error instanceof DamagedFile)
      return openToRead(file, now2, { kind: 'damaged', reason: error.message });
    if (error instanceof UnwritableFile && existsSync3(file))
      return openToRead(file, now2, { kind: 'readOnly', reason: error.message });
    throw error;
  }
}
function contentsOf2(db) {
  const count = (table) => db.prepare(`SELECT count(*) FROM ${table} WHERE removed_at IS NULL`).pluck().get();
  const newest = db
    .prepare(
      `SELECT max(updated_at) FROM (
         SELECT updated_at FROM garden UNION ALL SELECT updated_at FROM bed UNION ALL SELECT updated_at FROM entry
         UNION ALL SELECT updated_at FROM planting UNION ALL SELECT updated_at FROM journal
         UNION ALL SELECT updated_at FROM stock_movement)`,
    )
    .pluck()
    .get();
  return {
    gardens: db
      .prepare('SELECT name FROM garden WHERE removed_at IS NULL ORDER BY created_at, id')
      .pluck()
      .all(),
    beds: count('bed'),
    entries: count('entry'),
    observations: count('journal'),
    newestRecordAt: newest,
  };
}
function openBooks(file, now2) {
  const folder = `${file}-backups`;
  let open2 = openFile(file, now2);
  const stores = new Proxy({}, { get: (_, key) => Reflect.get(open2.stores, key) });
  const entryOf = (name2) => {
    const { size, mtime } = statSync(join2(folder, name2));
    return { name: name2, bytes: size, at: mtime.toISOString() };
  };
  const backups = () =>
    existsSync3(folder)
      ? readdirSync2(folder)
          .filter((name2) => NAME.test(name2))
          .sort()
          .reverse()
          .map(entryOf)
      : [];
  const pathOf = (name2) => {
    if (!NAME.test(name2) || !existsSync3(join2(folder, name2))) {
      throw new ProblemError(404, 'Not found', 'There is no such backup.');
    }
    return join2(folder, name2);
  };
  const freeName = () => {
    const stem = stamped(now2());
    const last = backups().find(({ name: name2 }) => name2.startsWith(`${stem}-`));
    const nth = last ? Number(NAME.exec(last.name)?.[1]) + 1 : 0;
    return `${stem}-${String(nth).padStart(2, '0')}.sqlite`;
  };
  const backUp = async () => {
    mkdirSync2(folder, { recursive: true });
    const name2 = freeName();
    const half = join2(folder, `${name2}.part`);
    rmSync(half, { force: true });
    await open2.db.backup(half);
    fsynced(half);
    renameSync(half, join2(folder, name2));
    for (const { name: old } of backups().slice(BACKUPS_KEPT)) rmSync(join2(folder, old), { force: true });
    return entryOf(name2);
  };
  const check = (name2) => {
    const path = pathOf(name2);
    const copy = copied(path);
    try {
      const db = openCopy(copy);
      try {
        requireIntegrity(db);
        return { ...entryOf(name2), ...contentsOf2(db) };
      } finally {
        db.close();
      }
    } catch (error) {
      if (error instanceof ProblemError) throw error;
      const detail = `This backup cannot be restored: ${error.message}. Nothing was changed.`;
      throw new ProblemError(422, 'Not restored', detail);
    } finally {
      dropCopy(copy);
    }
  };
  const restore = async (name2) => {
    if (open2.state.kind === 'readOnly') throw new ProblemError(503, 'Read only', IN_WORDS.readOnly);
    const found2 = check(name2);
    const restoring = `${file}.restoring`;
    copyFileSync2(pathOf(name2), restoring);
    fsynced(restoring);
    if (open2.state.kind === 'sound') await backUp();
    else copyFileSync2(file, `${file}.damaged-${stamped(now2())}`);
    open2.db.close();
    for (const suffix of ['-wal', '-shm']) rmSync(`${file}${suffix}`, { force: true });
    renameSync(restoring, file);
    open2 = openFile(file, now2);
    return found2;
  };
  return { stores, state: () => open2.state, backUp, backups, check, restore, close: () => open2.db.close() };
}

// src/core/climate/patterns.ts
var CLIMATE_PATTERNS = [
  {
    id: 'cool_temperate',
    name: 'Cool and even (lowland north-west Europe)',
    source: 'Rothamsted monthly means of the RothC-26.3 manual, open-pan evaporation x 0.75 (from memory)',
    temperatureC: [3.4, 3.6, 5.1, 7.3, 11, 13.9, 16, 16, 13.5, 10.2, 6.1, 4.6],
    rainMm: [74, 59, 62, 51, 52, 57, 34, 55, 58, 56, 75, 71],
    evapotranspirationMm: [6, 7.5, 20, 37, 62, 74, 77, 68, 52, 25.5, 12, 6],
  },
  {
    id: 'mild_maritime',
    name: 'Mild and maritime, dry summer',
    source: 'invented, typical of a mild oceanic coast',
    temperatureC: [5, 6.5, 8.5, 11, 14.5, 17.5, 20.5, 20.5, 17.5, 12.5, 8, 5],
    rainMm: [125, 95, 95, 70, 60, 40, 15, 18, 38, 85, 145, 150],
    evapotranspirationMm: [15, 24, 45, 68, 98, 117, 145, 125, 80, 43, 19, 13],
  },
  {
    id: 'cold_continental',
    name: 'Cold winter, short summer',
    source: 'invented, typical of the northern interior',
    temperatureC: [-4, -4, -1, 4, 10, 15, 17, 16, 11, 6.5, 1.5, -2.5],
    rainMm: [36, 27, 26, 29, 33, 45, 65, 60, 52, 48, 48, 41],
    evapotranspirationMm: [3, 6, 20, 45, 80, 95, 90, 70, 38, 16, 5, 3],
  },
  {
    id: 'southern_temperate',
    name: 'Southern hemisphere, temperate',
    source: 'invented: the mild maritime pattern moved by half a year, with more even rain',
    temperatureC: [20, 20, 17.5, 13.5, 10, 7, 6.5, 7.5, 10, 13, 15.5, 18],
    rainMm: [45, 45, 55, 60, 75, 85, 85, 75, 65, 60, 55, 50],
    evapotranspirationMm: [140, 118, 85, 50, 28, 16, 18, 30, 50, 80, 108, 130],
  },
];

// src/core/numerics/seeded-stream.ts
function seededStream(seed) {
  let state = seed >>> 0;
  return () => {
    state = (state + 1831565813) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

// src/core/trials/placement.ts
function placePlots({ treatments, repeats, seed }) {
  const next = seededStream(seed);
  for (let i = 0; i < 4; i++) next();
  return Array.from({ length: repeats }, (_, block) =>
    shuffled(treatments.length, next).map((treatment, i) => ({
      plot: block * treatments.length + i,
      block,
      treatment,
    })),
  ).flat();
}
function shuffled(count, next) {
  const order = Array.from({ length: count }, (_, i) => i);
  for (let i = count - 1; i > 0; i--) {
    const j = Math.floor(next() * (i + 1));
    [order[i], order[j]] = [order[j], order[i]];
  }
  return order;
}

// src/server/demo/demo-journal.ts
var SEEN = [
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
var TRIAL = {
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
};
var HEIGHT_CM = [14.2, 15.1, 17.3, 13.9];
var POT_SPREAD_CM = 1.6;
var TRIAL_BEGUN_DAYS = 54;
var TRIAL_MEASURED_DAYS = 2;
function journalDemoGarden(stores, gardenId, today) {
  const day = dayNumberFromIso(today, ['today']);
  const dateOf2 = (daysAgo) => isoDateOf(day - daysAgo);
  const keep = (record) => stores.journal.insert({ ...record, gardenId });
  SEEN.forEach(({ bed, daysAgo, observed: observed2, note: note2 = '' }, i) => {
    const bedId = `demo-${bed}`;
    const date2 = dateOf2(daysAgo);
    if (!layerIsThere(stores, observed2, date2)) return;
    const planting = stores.plantings
      .listOf(bedId)
      .find(({ plantedOn, clearedOn }) => plantedOn <= date2 && (clearedOn === null || clearedOn >= date2));
    keep({
      kind: 'observation',
      id: `demo-seen-${i + 1}`,
      bedId,
      plantingId: planting?.id ?? null,
      photoId: null,
      date: date2,
      note: note2,
      observed: observed2,
    });
  });
  keep({
    kind: 'brew',
    id: 'demo-brew',
    date: dateOf2(5),
    note: '',
    brewId: 'nativeStarter',
    litres: 2,
    state: 'going',
  });
  keep({ ...TRIAL, treatments: [...TRIAL.treatments], id: 'demo-trial', date: dateOf2(TRIAL_BEGUN_DAYS) });
  const next = seededStream(TRIAL.seed);
  for (const { plot, treatment } of placePlots(TRIAL)) {
    const value = HEIGHT_CM[treatment] + (next() + next() - 1) * POT_SPREAD_CM;
    keep({
      kind: 'plotReading',
      id: `demo-reading-${plot + 1}`,
      date: dateOf2(TRIAL_MEASURED_DAYS),
      note: '',
      trialId: 'demo-trial',
      plot,
      value: Math.round(value * 10) / 10,
    });
  }
}
function layerIsThere(stores, observed2, date2) {
  if (observed2.type !== 'thickness' || observed2.layerId === null) return true;
  const layer = stores.entries.find(observed2.layerId);
  return layer !== void 0 && layer.date <= date2;
}

// src/server/demo/demo-stock.ts
var LOTS = [
  { id: 'demo-lot-hazel', name: 'Hazel chips by the gate', form: 'pile', keeping: 'open', reserveL: 200 },
  {
    id: 'demo-lot-shelterbelt',
    name: 'New shelterbelt chips',
    form: 'pile',
    keeping: 'open',
    note: 'Still warm when they were tipped.',
  },
  { id: 'demo-lot-goat', name: 'Goat litter', form: 'heap', keeping: 'covered' },
  { id: 'demo-lot-clippings', name: 'Meadow clippings', form: 'heap', keeping: 'covered' },
  { id: 'demo-lot-heap', name: 'Spring heap', form: 'heap', keeping: 'covered', isTurned: true, isHot: true },
  { id: 'demo-lot-leaves', name: 'Leaf cage', form: 'bin', keeping: 'open', note: 'For leaf mould.' },
  { id: 'demo-lot-compost', name: 'Last year\u2019s compost', form: 'heap', keeping: 'covered' },
  { id: 'demo-lot-poles', name: 'Dry alder poles', form: 'pile', keeping: 'roofed' },
  { id: 'demo-lot-char', name: 'Alder char', form: 'drum', keeping: 'shut' },
  { id: 'demo-lot-charged', name: 'Charged alder char', form: 'bin', keeping: 'covered' },
  { id: 'demo-lot-ash', name: 'Stove ash', form: 'drum', keeping: 'shut', note: 'Sieved, dry, lid on.' },
  { id: 'demo-lot-feather', name: 'Feather meal', form: 'bag', keeping: 'shut' },
];
var receive2 = (lotId, materialId, daysAgo, amount, unit2, more = {}) => ({
  type: 'receive',
  lotId,
  materialId,
  daysAgo,
  amount,
  unit: unit2,
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  seasonedMonths: 0,
  ...more,
});
var NOTHING_READ = {
  type: 'reading',
  temperatureC: null,
  moistureFractionWetBasis: null,
  bulkDensityKgPerM3: null,
  carbonFractionDryBasis: null,
  nitrogenFractionDryBasis: null,
};
var HEAP_PROBED = [
  [46, 34],
  [44, 57],
  [42, 62],
  [39, 60],
  [36, 61],
  [33, 58],
  [30, 56],
  [27, 52],
  [22, 47],
  [15, 41],
  [6, 34],
];
var MOVEMENTS = [
  receive2('demo-lot-leaves', 'leaves_mixed', 190, 1.6, 'cubicMetre', { note: 'Raked along the sea wall.' }),
  receive2('demo-lot-hazel', 'demo-hazel-chips', 176, 3.4, 'cubicMetre', {
    note: 'Two days with the chipper.',
  }),
  {
    ...NOTHING_READ,
    lotId: 'demo-lot-hazel',
    daysAgo: 176,
    moistureFractionWetBasis: 0.48,
    bulkDensityKgPerM3: 296,
    note: 'A 10 L bucket weighed 2.96 kg net.',
  },
  receive2('demo-lot-compost', 'compost_garden', 160, 9, 'barrow85L', { note: 'From the old bays.' }),
  receive2('demo-lot-poles', 'log_wood', 150, 260, 'kg', {
    moistureFractionWetBasis: 0.22,
    note: 'Split and stacked last summer.',
  }),
  receive2('demo-lot-feather', 'feather_meal', 90, 20, 'kg'),
  receive2('demo-lot-ash', 'wood_ash', 70, 14, 'kg', {
    note: 'A winter of the kitchen stove, clean alder and hazel.',
  }),
  {
    type: 'burn',
    lotId: 'demo-lot-char',
    daysAgo: 62,
    feedstock: [{ lotId: 'demo-lot-poles', materialId: null, amount: 120, unit: 'kg' }],
    charTemperature: 'high',
    yield: { amount: 110, unit: 'litre', moistureFractionWetBasis: 0.35 },
    unburntShare: 0.04,
    log: {
      method: 'conePit',
      isOneThickness: true,
      dryness: 'dry',
      quench: 'water',
      quenchWaterL: 240,
      coldCheckedOn: null,
      isMagnetPassed: true,
      steps: [],
    },
    note: 'Still air after rain; quenched to the bottom, cold next morning.',
  },
  { type: 'crush', lotId: 'demo-lot-char', daysAgo: 60, fineness: 'pea' },
  {
    type: 'make',
    lotId: 'demo-lot-charged',
    daysAgo: 55,
    ingredients: [
      { lotId: 'demo-lot-char', materialId: null, amount: 60, unit: 'litre' },
      { lotId: 'demo-lot-compost', materialId: null, amount: 240, unit: 'litre' },
      { lotId: null, materialId: 'urine', amount: 6, unit: 'litre' },
    ],
    waterL: 10,
    isLayered: false,
    chargeRecipe: 'compostBlend',
    readyOn: null,
  },
  receive2('demo-lot-goat', 'demo-goat-litter', 50, 9, 'barrow85L', { note: 'Mucked out in one morning.' }),
  {
    type: 'make',
    lotId: 'demo-lot-heap',
    daysAgo: 46,
    ingredients: [
      { lotId: 'demo-lot-hazel', materialId: null, amount: 9, unit: 'barrow85L' },
      { lotId: 'demo-lot-goat', materialId: null, amount: 6, unit: 'barrow85L' },
      { lotId: null, materialId: 'weeds_fresh', amount: 3, unit: 'barrow85L' },
    ],
    waterL: 60,
    isLayered: true,
    chargeRecipe: null,
    readyOn: null,
  },
  ...HEAP_PROBED.map(([daysAgo, temperatureC2]) => ({
    ...NOTHING_READ,
    lotId: 'demo-lot-heap',
    daysAgo,
    temperatureC: temperatureC2,
  })),
  { type: 'turn', lotId: 'demo-lot-heap', daysAgo: 37 },
  { type: 'turn', lotId: 'demo-lot-heap', daysAgo: 28 },
  { type: 'turn', lotId: 'demo-lot-heap', daysAgo: 14 },
  { type: 'water', lotId: 'demo-lot-heap', daysAgo: 28, waterL: 40 },
  { type: 'sign', lotId: 'demo-lot-heap', daysAgo: 6, signs: ['earthySmell', 'whiteThreads'] },
  receive2('demo-lot-shelterbelt', 'demo-shelterbelt-chips', 16, 4.2, 'cubicMetre', {
    note: 'The spring trailer load.',
  }),
  receive2('demo-lot-clippings', 'grass_clippings', 3, 5, 'barrow85L', {
    note: 'First cut of the orchard meadow, no weedkiller used.',
  }),
  {
    type: 'takeOut',
    lotId: 'demo-lot-compost',
    daysAgo: 30,
    amount: 2,
    unit: 'barrow85L',
    reason: 'given',
    note: 'To the ferry keeper.',
  },
  receive2('demo-lot-hazel', 'demo-hazel-chips', -200, 2.5, 'cubicMetre', {
    note: 'Coppice work next winter.',
  }),
];
function stockDemoGarden(stores, gardenId, today) {
  for (const lot of LOTS) {
    stores.lots.insert({
      keeping: 'open',
      isTurned: false,
      isHot: false,
      reserveL: 0,
      note: '',
      ...lot,
      gardenId,
    });
  }
  const day = dayNumberFromIso(today, ['today']);
  MOVEMENTS.forEach(({ daysAgo, note: note2 = '', ...movement }, i) => {
    stores.movements.insert({
      ...movement,
      id: `demo-movement-${i + 1}`,
      gardenId,
      note: note2,
      date: isoDateOf(day - daysAgo),
      ...(movement.type === 'burn'
        ? { log: { ...movement.log, coldCheckedOn: isoDateOf(day - daysAgo + 1) } }
        : {}),
      state: daysAgo >= 0 ? 'laid' : 'planned',
    });
  });
  stores.labResults.insert({
    id: 'demo-lab-goat',
    gardenId,
    materialId: 'demo-goat-litter',
    date: isoDateOf(day - 52),
    laboratory: 'Island school laboratory',
    moistureFractionWetBasis: 0.63,
    carbonFractionDryBasis: 0.405,
    nitrogenFractionDryBasis: 0.0225,
    ammoniumShareOfNitrogen: 0.14,
    bulkDensityKgPerM3: null,
    note: 'Sampled at mucking out.',
  });
  stores.recipes.insert({
    id: 'demo-recipe-heap',
    gardenId,
    name: 'Three barrows of chips, two of litter, one of weeds',
    purpose: 'hotCompost',
    ingredients: [
      { lotId: null, materialId: 'demo-hazel-chips', amount: 3, unit: 'barrow85L' },
      { lotId: null, materialId: 'demo-goat-litter', amount: 2, unit: 'barrow85L' },
      { lotId: null, materialId: 'weeds_fresh', amount: 1, unit: 'barrow85L' },
    ],
    waterL: 20,
    isLayered: true,
    note: 'Heats well.',
  });
}

// src/server/demo/demo-habits.ts
var EVERY_SECOND = { everyYears: 2, fromYear: 1, untilYear: null, dugDepthCm: 0 };
var DEMO_HABITS = [
  {
    id: 'demo-habit-goat-hazel',
    name: 'Goat litter under hazel',
    keepsCrops: true,
    note: 'What the yard gives without buying anything.',
    acts: [
      {
        ...EVERY_SECOND,
        type: 'lay',
        materialId: 'demo-goat-litter',
        amount: 6,
        unit: 'kg',
        seasonedMonths: 4,
        month: 11,
      },
      {
        ...EVERY_SECOND,
        type: 'lay',
        materialId: 'demo-hazel-chips',
        amount: 3,
        unit: 'cm',
        seasonedMonths: 8,
        month: 11,
      },
    ],
  },
];

// src/server/demo/demo-beds.ts
var DEMO_MATERIALS = [
  {
    id: 'demo-hazel-chips',
    name: 'Hazel coppice chips',
    basis: { type: 'chips', branchDiameterCm: 6, leafShare: 0.04, coniferShare: 0 },
    note: 'From the coppice behind the boathouse, cut in the leafless months.',
  },
  {
    id: 'demo-shelterbelt-chips',
    name: 'Shelterbelt chips, part spruce',
    basis: { type: 'chips', branchDiameterCm: 10, leafShare: 0.12, coniferShare: 0.55 },
    note: 'A trailer load every spring when the windbreak is thinned.',
  },
  {
    id: 'demo-goat-litter',
    name: 'Goat house litter',
    basis: {
      type: 'figures',
      likeMaterialId: 'sheep_manure',
      moistureFractionWetBasis: 0.6,
      carbonFractionDryBasis: 0.41,
      nitrogenFractionDryBasis: 0.021,
      bulkDensityKgPerM3: 480,
    },
    note: 'More straw in it than bought manure; weighed by the bucket.',
  },
];
var DEMO_BEDS = [
  {
    bed: {
      name: 'Ferry Strip',
      kind: 'annual',
      areaM2: 6.2,
      organicMatterPct: 4.1,
      clayPct: 24,
      rootZoneCm: 30,
      isWatered: true,
    },
    laid: [
      { on: [-2, '10-20'], material: 'compost_garden', amount: 3, unit: 'cm' },
      { on: [-1, '03-28'], material: 'compost_garden', amount: 2.5, unit: 'cm' },
      { on: [-1, '10-09'], material: 'demo-hazel-chips', amount: 6, unit: 'cm', seasonedMonths: 7 },
      { on: [0, '03-20'], material: 'compost_garden', amount: 2, unit: 'cm', note: 'Sieved over the chips.' },
      { on: [0, '10-12'], material: 'demo-hazel-chips', lot: 'demo-lot-hazel', amount: 4, unit: 'cm' },
      { on: [1, '03-22'], material: 'compost_garden', amount: 2.5, unit: 'cm' },
    ],
    fed: [{ on: [-1, '06-14'], nitrogenG: 22, note: 'Feather meal, watered in.' }],
    grown: [
      { crop: 'onion', from: [-2, '04-02'], until: [-2, '08-20'] },
      { crop: 'kale', from: [-1, '05-06'], until: [-1, '10-05'] },
      { crop: 'leek', from: [0, '04-24'], until: [0, '10-10'] },
      { crop: 'garlic', from: [0, '10-20'], until: [1, '07-08'] },
    ],
  },
  {
    bed: {
      name: 'Gourd Mound',
      kind: 'annual',
      areaM2: 4.5,
      organicMatterPct: 5,
      clayPct: 30,
      rootZoneCm: 30,
      isWatered: true,
    },
    laid: [
      { on: [-2, '11-02'], material: 'demo-goat-litter', amount: 1.5, unit: 'barrow85L' },
      { on: [-2, '11-02'], material: 'cardboard', amount: 4, unit: 'kg' },
      { on: [-2, '11-03'], material: 'straw_cereal', amount: 8, unit: 'cm' },
      { on: [-1, '11-06'], material: 'demo-goat-litter', amount: 1.5, unit: 'barrow85L' },
      {
        on: [-1, '11-06'],
        material: 'cardboard',
        amount: 4,
        unit: 'kg',
        note: 'Overlapped by a hand and a half.',
      },
      { on: [-1, '11-07'], material: 'demo-hazel-chips', amount: 5, unit: 'cm', seasonedMonths: 8 },
      { on: [0, '11-08'], material: 'demo-goat-litter', amount: 1.5, unit: 'barrow85L' },
      { on: [0, '11-08'], material: 'cardboard', amount: 4, unit: 'kg' },
      { on: [0, '11-09'], material: 'straw_cereal', amount: 8, unit: 'cm' },
    ],
    grown: [
      { crop: 'pumpkin', from: [-1, '05-25'], until: [-1, '10-01'] },
      { crop: 'pumpkin', from: [0, '05-24'], until: [0, '10-03'] },
      { crop: 'pumpkin', from: [1, '05-25'], until: [1, '10-01'] },
    ],
  },
  {
    bed: {
      name: 'Char Bed',
      kind: 'raised',
      areaM2: 3.6,
      organicMatterPct: 4.6,
      clayPct: 18,
      rootZoneCm: 30,
      isWatered: true,
    },
    laid: [
      { on: [-2, '03-30'], material: 'biochar_charged', amount: 3, unit: 'bucket10L', dugDepthCm: 15 },
      { on: [-2, '03-30'], material: 'compost_manure', amount: 12, unit: 'bucket10L', dugDepthCm: 15 },
      { on: [-1, '03-26'], material: 'biochar_charged', amount: 3, unit: 'bucket10L', dugDepthCm: 10 },
      { on: [-1, '03-26'], material: 'compost_manure', amount: 10, unit: 'bucket10L', dugDepthCm: 10 },
      { on: [0, '03-29'], material: 'compost_manure', amount: 10, unit: 'bucket10L' },
      { on: [1, '03-28'], material: 'biochar_charged', amount: 2, unit: 'bucket10L', dugDepthCm: 10 },
      { on: [1, '03-28'], material: 'compost_manure', amount: 10, unit: 'bucket10L' },
    ],
    grown: [
      { crop: 'beetroot', from: [-2, '04-24'], until: [-2, '08-20'] },
      { crop: 'tomato', from: [-1, '05-28'], until: [-1, '10-08'] },
      { crop: 'beetroot', from: [0, '04-18'], until: [0, '08-18'] },
      { crop: 'turnip', from: [0, '08-22'], until: [0, '11-20'] },
      { crop: 'pepper', from: [1, '05-28'], until: [1, '10-08'] },
    ],
  },
  {
    bed: {
      name: 'Sawpit Corner',
      kind: 'annual',
      areaM2: 8,
      organicMatterPct: 3.2,
      clayPct: 12,
      rootZoneCm: 30,
      isWatered: false,
    },
    laid: [
      { on: [-2, '04-06'], material: 'compost_yard', amount: 3, unit: 'cm' },
      {
        on: [0, '03-14'],
        material: 'sawdust_softwood',
        amount: 16,
        unit: 'bucket10L',
        dugDepthCm: 20,
        note: 'Dug in before we knew better.',
      },
      { on: [1, '03-18'], material: 'compost_yard', amount: 4, unit: 'cm' },
    ],
    tested: [
      {
        on: [0, '02-24'],
        kgPerHa: 19,
        ph: 6.1,
        organicMatterPct: 3.3,
        note: 'Sample of fifteen cores, sent to the laboratory at Quill Harbor.',
      },
    ],
    watered: [{ on: [0, '05-02'], waterMm: 15 }],
    grown: [
      { crop: 'potato', from: [-2, '04-20'], until: [-2, '08-25'] },
      { crop: 'pea', from: [-1, '03-30'], until: [-1, '07-10'] },
      { crop: 'sweetcorn', from: [0, '05-16'], until: [0, '09-12'] },
      { crop: 'trefoil', from: [0, '06-25'], until: [0, '09-12'] },
      { crop: 'clover', from: [0, '09-16'], until: [1, '04-20'] },
      { crop: 'potato', from: [1, '04-26'], until: [1, '08-28'] },
    ],
  },
  {
    bed: {
      name: 'Currant Line',
      kind: 'shrubs',
      areaM2: 9.5,
      organicMatterPct: 4.4,
      clayPct: 22,
      rootZoneCm: 40,
      isWatered: false,
    },
    laid: [
      { on: [-2, '03-08'], material: 'demo-shelterbelt-chips', amount: 8, unit: 'cm' },
      { on: [-1, '03-12'], material: 'demo-shelterbelt-chips', amount: 5, unit: 'cm' },
      { on: [0, '03-10'], material: 'demo-shelterbelt-chips', amount: 5, unit: 'cm' },
      { on: [1, '03-10'], material: 'demo-shelterbelt-chips', amount: 5, unit: 'cm' },
    ],
    grown: [{ crop: 'currant', from: [-2, '03-01'], until: null }],
  },
  {
    bed: {
      name: 'Hazel Ring',
      kind: 'treeRing',
      areaM2: 3.1,
      organicMatterPct: 3.8,
      clayPct: 22,
      rootZoneCm: 40,
      isWatered: false,
    },
    laid: [
      { on: [-2, '11-20'], material: 'leaves_mixed', amount: 12, unit: 'cm' },
      { on: [-1, '11-22'], material: 'leaves_mixed', amount: 12, unit: 'cm' },
      { on: [0, '11-21'], material: 'leaves_mixed', amount: 12, unit: 'cm' },
    ],
    grown: [{ crop: 'hazel', from: [-2, '03-01'], until: null }],
  },
  {
    bed: {
      name: 'Nursery Frame',
      kind: 'seedbed',
      areaM2: 2.4,
      organicMatterPct: 6.5,
      clayPct: 16,
      rootZoneCm: 25,
      isWatered: true,
    },
    laid: [
      { on: [-2, '03-16'], material: 'leaf_mould', amount: 4, unit: 'cm' },
      { on: [-1, '03-14'], material: 'worm_castings', amount: 4, unit: 'bucket10L' },
      { on: [0, '03-12'], material: 'worm_castings', amount: 4, unit: 'bucket10L' },
      { on: [1, '03-12'], material: 'leaf_mould', amount: 3, unit: 'cm' },
    ],
    grown: [
      { crop: 'spinach', from: [-2, '03-28'], until: [-2, '05-30'] },
      { crop: 'turnip', from: [-1, '04-04'], until: [-1, '06-20'] },
      { crop: 'spinach', from: [0, '03-30'], until: [0, '06-04'] },
      { crop: 'phacelia', from: [0, '08-20'], until: [0, '12-01'] },
      { crop: 'spinach', from: [1, '03-28'], until: [1, '05-30'] },
    ],
  },
  {
    bed: {
      name: 'Boathouse Path',
      kind: 'path',
      areaM2: 11,
      organicMatterPct: 2.8,
      clayPct: 24,
      rootZoneCm: 20,
      isWatered: false,
      exposure: 'dry',
    },
    laid: [
      { on: [-2, '02-20'], material: 'cardboard', amount: 8, unit: 'kg' },
      { on: [-2, '02-20'], material: 'demo-shelterbelt-chips', amount: 10, unit: 'cm' },
      { on: [-1, '03-01'], material: 'demo-shelterbelt-chips', amount: 2.5, unit: 'cm' },
      { on: [0, '03-02'], material: 'demo-shelterbelt-chips', amount: 2.5, unit: 'cm' },
      { on: [1, '03-02'], material: 'demo-shelterbelt-chips', amount: 2.5, unit: 'cm' },
    ],
    grown: [],
  },
];

// src/server/demo/demo-garden.ts
var DEMO_GARDEN_ID = 'ternhollow';
function dateOf([yearsFromNow, monthDay], today) {
  return `${Number(today.slice(0, 4)) + yearsFromNow}-${monthDay}`;
}
function plantDemoGarden(stores, today) {
  const climate = CLIMATE_PATTERNS.find(({ id: id2 }) => id2 === 'mild_maritime');
  stores.atomically(() => {
    stores.gardens.insert({
      id: DEMO_GARDEN_ID,
      name: 'Ternhollow',
      place: 'On the island of Ossrey: mild winters, dry summers. All of it is invented.',
      climate: {
        temperatureC: [...climate.temperatureC],
        rainMm: [...climate.rainMm],
        evapotranspirationMm: [...climate.evapotranspirationMm],
      },
      depositionGPerM2Year: 1,
      measures: 'metric',
      school: 'byDepth',
      feedMaterialId: 'feather_meal',
      prices: null,
    });
    for (const material of DEMO_MATERIALS) stores.materials.insert({ ...material, gardenId: DEMO_GARDEN_ID });
    stockDemoGarden(stores, DEMO_GARDEN_ID, today);
    for (const habit of DEMO_HABITS) {
      stores.habits.insert({ ...habit, acts: [...habit.acts], gardenId: DEMO_GARDEN_ID });
    }
    for (const demoBed of DEMO_BEDS) plantBed({ stores, today }, demoBed);
    journalDemoGarden(stores, DEMO_GARDEN_ID, today);
  });
}
function plantBed({ stores, today }, { bed, laid, fed = [], tested = [], watered = [], grown }) {
  const bedId = `demo-${bed.name.toLowerCase().replaceAll(' ', '-')}`;
  const findMaterial = materialFinder({
    materials: stores.materials.listOf(DEMO_GARDEN_ID),
    labResults: [],
  });
  stores.beds.insert({
    bulkDensityGPerCm3: 1.2,
    exposure: 'normal',
    startedOn: null,
    ph: 6.5,
    croppingBefore: 'ordinary',
    learnsFromLog: true,
    outline: null,
    note: '',
    ...bed,
    id: bedId,
    gardenId: DEMO_GARDEN_ID,
  });
  const stateOn = (date2) => (date2 <= today ? 'laid' : 'planned');
  laid.forEach(
    (
      {
        on,
        material: materialId,
        lot = null,
        amount,
        unit: unit2,
        dugDepthCm = 0,
        seasonedMonths = 0,
        note: note2 = '',
      },
      i,
    ) => {
      const date2 = dateOf(on, today);
      const { bulkDensityKgPerM3 } = findMaterial(materialId);
      stores.entries.insert({
        id: `${bedId}-layer-${i + 1}`,
        bedId,
        type: 'lay',
        state: stateOn(date2),
        date: date2,
        materialId,
        lotId: lot,
        amount,
        unit: unit2,
        massFreshKg: massFreshKgFromAmount(amount, unit2, { bulkDensityKgPerM3, areaM2: bed.areaM2 }),
        dugDepthCm,
        seasonedMonths,
        note: note2,
      });
    },
  );
  fed.forEach(({ on, nitrogenG: nitrogenG2, note: note2 = '' }, i) => {
    const date2 = dateOf(on, today);
    stores.entries.insert({
      id: `${bedId}-feed-${i + 1}`,
      bedId,
      type: 'feed',
      state: stateOn(date2),
      date: date2,
      nitrogenG: nitrogenG2,
      note: note2,
    });
  });
  tested.forEach(({ on, kgPerHa, ph, organicMatterPct: organicMatterPct2, note: note2 }, i) => {
    const date2 = dateOf(on, today);
    stores.entries.insert({
      id: `${bedId}-test-${i + 1}`,
      bedId,
      type: 'soilTest',
      state: stateOn(date2),
      date: date2,
      amount: kgPerHa,
      unit: 'kgPerHa',
      sampledDepthCm: 30,
      ph,
      organicMatterPct: organicMatterPct2,
      note: note2,
    });
  });
  watered.forEach(({ on, waterMm }, i) => {
    const date2 = dateOf(on, today);
    stores.entries.insert({
      id: `${bedId}-water-${i + 1}`,
      bedId,
      type: 'water',
      state: stateOn(date2),
      date: date2,
      waterMm,
      note: '',
    });
  });
  grown.forEach(({ crop: cropId, from, until }, i) => {
    const crop = findCrop(cropId);
    const plantedOn = dateOf(from, today);
    stores.plantings.insert({
      id: `${bedId}-crop-${i + 1}`,
      bedId,
      state: stateOn(plantedOn),
      cropId,
      plantedOn,
      clearedOn: until === null ? null : dateOf(until, today),
      nitrogenDemandGPerM2: crop.nitrogenDemandGPerM2,
      rootDepthCm: crop.rootDepthCm,
      startsAs: crop.startsAs,
      areaShare: 1,
      isUndersown: crop.isLivingMulch,
      note: '',
    });
  });
  requireSoundBooks(stores, bedId, today, {});
}

// src/server/jobs/daily-backup.ts
var HOUR_MS = 36e5;
var FIRST_AFTER_MS = 6e4;
var isBackupDue = (newestAt, now2) => newestAt === void 0 || newestAt.slice(0, 10) !== now2.slice(0, 10);
function backUpDaily(books, now2) {
  const look = async () => {
    if (books.state().kind !== 'sound' || !isBackupDue(books.backups().at(0)?.at, now2())) return;
    try {
      await books.backUp();
    } catch (error) {
      console.error('The daily backup could not be made:', error.message);
    }
  };
  const first = setTimeout(() => void look(), FIRST_AFTER_MS).unref();
  const hourly = setInterval(() => void look(), HOUR_MS).unref();
  return () => {
    clearTimeout(first);
    clearInterval(hourly);
  };
}

// src/server/options.ts
import { isIP } from 'node:net';
import { networkInterfaces } from 'node:os';
import { join as join3 } from 'node:path';
import { parseArgs } from 'node:util';
var PROJECT = join3(import.meta.dirname, '..', '..');
var OWN_BOOKS = join3(PROJECT, 'data', 'vine-ledger.sqlite');
var DEMO_BOOKS = join3(PROJECT, 'data', 'demo.sqlite');
var LOOPBACK = '127.0.0.1';
var LOOPBACK_HOSTS = /* @__PURE__ */ new Set([LOOPBACK, 'localhost', '::1']);
var OPTIONS = {
  port: { type: 'string', default: '4180' },
  /** The address to listen on; any but this machine's own needs a passphrase. */
  host: { type: 'string', default: LOOPBACK },
  /** Names by which it is called there, besides its addresses. */
  'allow-host': { type: 'string', multiple: true, default: [] },
  db: { type: 'string' },
  /** A fresh demo garden instead of one's own books. */
  demo: { type: 'boolean', default: false },
  /** Pretend it is this day, YYYY-MM-DD. */
  today: { type: 'string' },
  /** Where a kitchen scale, a probe, a soil laboratory and a weather station answer, as http://host:port. */
  scale: { type: 'string' },
  probe: { type: 'string' },
  laboratory: { type: 'string' },
  weather: { type: 'string' },
};
var inUrl = (address) => (isIP(address) === 6 ? `[${address}]` : address);
function hostsOf(host, named2) {
  const isAny = host === '0.0.0.0' || host === '::';
  const own = Object.values(networkInterfaces()).flatMap((list2) =>
    (list2 ?? []).map(({ address }) => address),
  );
  return [...(isAny ? own : [host]).map(inUrl), ...named2.map((name2) => name2.toLowerCase())];
}
var passphraseFileOf = (file) => `${file}.passphrase`;
function readOptions(args) {
  const { values } = parseArgs({ args: [...args], options: OPTIONS });
  const port = Number(values.port);
  if (!(Number.isInteger(port) && port >= 0 && port <= 65535)) {
    throw new Error(`--port must be a whole number from 0 to 65535; got ${values.port}`);
  }
  if (values.today !== void 0) dayNumberFromIso(values.today, ['--today']);
  if (!LOOPBACK_HOSTS.has(values.host) && isIP(values.host) === 0) {
    throw new Error(`--host must be an address such as 192.168.1.20 or 0.0.0.0; got ${values.host}`);
  }
  const { scale, probe, laboratory, weather } = values;
  const isLoopback = LOOPBACK_HOSTS.has(values.host);
  return {
    port,
    host: values.host,
    isLoopback,
    hosts: isLoopback ? values['allow-host'] : hostsOf(values.host, values['allow-host']),
    file: values.db ?? (values.demo ? DEMO_BOOKS : OWN_BOOKS),
    isDemo: values.demo,
    today: values.today,
    instruments: { scale, probe, laboratory, weather },
  };
}

// src/server/pages.ts
import { serveStatic } from '@hono/node-server/serve-static';
import { readFileSync as readFileSync3 } from 'node:fs';
import { join as join4, relative } from 'node:path';
var A_YEAR = 'public, max-age=31536000, immutable';
function servePages(app, folder) {
  const page = readFileSync3(join4(folder, 'index.html'), 'utf8');
  const root = relative(process.cwd(), folder);
  app.use('/assets/*', serveStatic({ root, onFound: (_, c) => c.header('Cache-Control', A_YEAR) }));
  app.get('/assets/*', () => {
    throw new ProblemError(404, 'Not found', 'There is no such file.');
  });
  app.get('/favicon.svg', serveStatic({ root }));
  app.get('*', (c) => c.html(page, 200, { 'Cache-Control': 'no-cache' }));
}

// src/server/photos/photo-files.ts
import {
  closeSync as closeSync2,
  fsyncSync as fsyncSync2,
  mkdirSync as mkdirSync3,
  openSync as openSync2,
  readFileSync as readFileSync4,
  renameSync as renameSync2,
  writeFileSync as writeFileSync2,
} from 'node:fs';
import { join as join5 } from 'node:path';
function photoFilesIn(folder) {
  return {
    write: (id2, picture) => {
      mkdirSync3(folder, { recursive: true });
      const path = join5(folder, id2);
      const half = `${path}.part`;
      writeFileSync2(half, picture);
      const file = openSync2(half, 'r');
      fsyncSync2(file);
      closeSync2(file);
      renameSync2(half, path);
    },
    read: (id2) => {
      try {
        return new Uint8Array(readFileSync4(join5(folder, id2)));
      } catch (error) {
        if (error.code === 'ENOENT') return void 0;
        throw error;
      }
    },
  };
}

// src/server/main.ts
var PAGES = join6(PROJECT, 'dist');
var twoDigits = (n) => String(n).padStart(2, '0');
function todayHere() {
  const now2 = /* @__PURE__ */ new Date();
  return `${now2.getFullYear()}-${twoDigits(now2.getMonth() + 1)}-${twoDigits(now2.getDate())}`;
}
var now = () => /* @__PURE__ */ new Date().toISOString();
function accessFor({ isLoopback, file }) {
  const passphrase = passphraseFileOf(file);
  if (hasPassphrase(passphrase)) return accessBy(passphrase);
  if (isLoopback) return void 0;
  throw new Error(
    'These books can be reached from other machines only with a passphrase. Set one first: npm run passphrase',
  );
}
function main() {
  const options = readOptions(process.argv.slice(2));
  const { file, isDemo } = options;
  const access = accessFor(options);
  const today = () => options.today ?? todayHere();
  const photoFolder = `${file}-photos`;
  if (isDemo) {
    for (const suffix of ['', '-wal', '-shm']) rmSync2(`${file}${suffix}`, { force: true });
    for (const folder of [photoFolder, `${file}-backups`]) rmSync2(folder, { force: true, recursive: true });
  }
  const books = openBooks(file, now);
  const { kind, reason } = books.state();
  if (kind !== 'sound') console.error(`${file} is opened to be read only (${kind}: ${String(reason)})`);
  if (isDemo) plantDemoGarden(books.stores, today());
  const endBackups = backUpDaily(books, now);
  const hasPages = existsSync4(join6(PAGES, 'index.html'));
  const app = createApp({
    stores: books.stores,
    books,
    access,
    hosts: options.hosts,
    today,
    newId: randomUUID,
    photoFiles: photoFilesIn(photoFolder),
    instruments: options.instruments,
    ...(hasPages ? { servePages: (base) => servePages(base, PAGES) } : {}),
  });
  const server = serve({ fetch: app.fetch, hostname: options.host, port: options.port }, (address) => {
    const host = isIP2(options.host) === 6 ? `[${options.host}]` : options.host;
    console.log(`listening on http://${host}:${address.port}`);
  });
  const close = () => {
    endBackups();
    server.close(() => {
      books.close();
      process.exit(0);
    });
  };
  process.on('SIGINT', close);
  process.on('SIGTERM', close);
}
try {
  main();
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
