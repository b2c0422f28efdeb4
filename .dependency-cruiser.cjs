// Who may import whom. Layers from the ground up: refusals, records, core, quantities, contract, words, then server and web,
// and beside them cli and standins. docs/architecture.md draws it; tests/architecture plants a breach of every rule.

const TESTS = '[.]test[.]tsx?$';

/** A layer may import itself and these. */
const layer = (from, ...to) => ({
  name: `${from}-imports`,
  comment: `src/${from} may import only ${to.join(', ') || 'itself'}`,
  severity: 'error',
  from: { path: `^src/${from}/`, pathNot: TESTS },
  to: { path: '^src/', pathNot: `^src/(${[from, ...to].join('|')})/` },
});

/** Wings of the core from the ground up: each may import those before it. */
const WINGS = ['ground', 'model', 'yard', 'bed', 'season', 'long-run'];
const wings = WINGS.map((wing, i) => ({
  name: `core-${wing}-looks-down`,
  comment: `src/core/${wing} may import only itself and the wings below it`,
  severity: 'error',
  from: { path: `^src/core/${wing}/`, pathNot: TESTS },
  to: { path: '^src/core/', pathNot: `^src/core/(${WINGS.slice(0, i + 1).join('|')})/` },
}));

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      comment: 'Files that import each other in a circle cannot be read one after the other; types count too',
      severity: 'error',
      from: { path: '^src' },
      to: { circular: true },
    },
    layer('refusals'),
    layer('records', 'refusals'),
    layer('core', 'refusals', 'records'),
    layer('quantities', 'refusals', 'core'),
    layer('contract', 'refusals', 'records', 'core', 'quantities'),
    layer('words', 'refusals', 'records', 'core', 'quantities', 'contract'),
    layer('server', 'refusals', 'records', 'core', 'contract', 'words'),
    layer('cli', 'refusals', 'records', 'core', 'contract', 'words'),
    layer('standins', 'refusals', 'records', 'core', 'contract'),
    layer('web', 'refusals', 'records', 'core', 'quantities', 'contract', 'words', 'server'),
    {
      name: 'core-depends-on-no-package',
      severity: 'error',
      from: { path: '^src/(core|refusals)/', pathNot: TESTS },
      to: { pathNot: '^src/', dependencyTypesNot: ['local'] },
    },
    {
      name: 'core-runs-no-schema',
      comment: 'The core knows records by their types; lists of words and dates are plain values',
      severity: 'error',
      from: { path: '^src/core/', pathNot: TESTS },
      to: {
        path: '^src/records/',
        pathNot: '^src/records/(vocabulary|iso-date)',
        dependencyTypesNot: ['type-only'],
      },
    },
    ...wings,
    {
      name: 'core-wings-by-their-face',
      comment: 'Who is not of the wing asks its index',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/', pathNot: TESTS },
      to: { path: '^src/core/[^/]+/.+[.]ts$', pathNot: '^src/core/$1/|^src/core/[^/]+/index[.]ts$' },
    },
    {
      name: 'core-by-its-faces',
      comment: 'Who is not of the core asks the index of a wing',
      severity: 'error',
      from: { path: '^src/', pathNot: `^src/core/|${TESTS}` },
      to: { path: '^src/core/[^/]+/.+[.]ts$', pathNot: '^src/core/[^/]+/index[.]ts$' },
    },
    {
      name: 'units-and-numerics-know-no-domain',
      severity: 'error',
      from: { path: '^src/core/ground/(units|numerics)/', pathNot: TESTS },
      to: { path: '^src/core/', pathNot: '^src/core/ground/(units|numerics)/' },
    },
    {
      name: 'web-knows-only-the-type-of-the-api',
      severity: 'error',
      from: { path: '^src/web/' },
      to: { path: '^src/server/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'only-web-api-knows-the-server',
      severity: 'error',
      from: { path: '^src/web/', pathNot: '^src/web/api/' },
      to: { path: '^src/server/' },
    },
    {
      name: 'places-never-sideways',
      comment: 'Pages share through web/ui and web/app, styles too',
      severity: 'error',
      from: { path: '^src/web/places/([^/]+)/' },
      to: { path: '^src/web/places/', pathNot: '^src/web/places/$1/' },
    },
    {
      name: 'places-by-their-face',
      severity: 'error',
      from: { path: '^src/web/', pathNot: '^src/web/places/' },
      to: { path: '^src/web/places/', pathNot: '^src/web/places/[^/]+/index[.]ts$' },
    },
    {
      name: 'shared-pieces-lie-below-pages',
      severity: 'error',
      from: { path: '^src/web/', pathNot: '^src/web/(places/|routes[.]tsx)' },
      to: { path: '^src/web/places/' },
    },
    {
      name: 'providers-lie-below-controls',
      severity: 'error',
      from: { path: '^src/web/(app|api|drawing|charts|worker|outbox|solver|theme)/' },
      to: { path: '^src/web/(ui|frame|places)/' },
    },
    {
      name: 'only-the-store-knows-sql',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/server/(db|jobs|main)' },
      to: { path: 'better-sqlite3' },
    },
    {
      name: 'only-the-app-knows-routes',
      comment: 'What the server does is not bound to how it is asked',
      severity: 'error',
      from: { path: '^src/server/', pathNot: '^src/server/(app[.]ts|routes/)' },
      to: { path: '^src/server/routes/' },
    },
    {
      name: 'no-test-code-in-the-product',
      severity: 'error',
      from: { path: '^src/', pathNot: TESTS },
      to: { path: `${TESTS}|^tests/` },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: `${__dirname}/tsconfig.base.json` },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'types'],
    },
  },
};
