// Who may import whom. Row may import column:
//   core -> core; contract -> core; words -> core, contract; server -> core, contract, words;
//   cli, standins -> core, contract; web -> core, contract, words, and the type of the server's API in web/api only.
const may = (from, ...to) => ({
  name: `${from}-imports`,
  comment: `src/${from} may import only ${to.join(', ')}`,
  severity: 'error',
  from: { path: `^src/${from}/` },
  to: { path: '^src/', pathNot: `^src/(${[from, ...to].join('|')})/` },
});

module.exports = {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      from: { path: '^src' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-depends-on-nothing',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '[.]test[.]ts$' },
      to: { pathNot: '^src/core/', dependencyTypesNot: ['local'] },
    },
    may('core'),
    may('contract', 'core'),
    may('words', 'core', 'contract'),
    may('server', 'core', 'contract', 'words'),
    may('cli', 'core', 'contract'),
    may('standins', 'core', 'contract'),
    may('web', 'core', 'contract', 'words', 'server'),
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
      name: 'units-and-numerics-know-no-domain',
      severity: 'error',
      from: { path: '^src/core/(units|numerics)/' },
      to: { path: '^src/core/', pathNot: '^src/core/(units|numerics)/|^src/core/input-error' },
    },
    {
      name: 'materials-and-climate-come-before-the-rest',
      severity: 'error',
      from: { path: '^src/core/(materials|climate)/' },
      to: {
        path: '^src/core/',
        pathNot: '^src/core/(units|numerics|materials|climate)/|^src/core/input-error',
      },
    },
    {
      name: 'only-the-store-knows-sql',
      severity: 'error',
      from: { path: '^src/', pathNot: '^src/server/(db|jobs|main)' },
      to: { path: 'better-sqlite3' },
    },
    {
      name: 'no-test-code-in-the-product',
      severity: 'error',
      from: { path: '^src/', pathNot: '[.]test[.]tsx?$' },
      to: { path: '[.]test[.]tsx?$|^tests/' },
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
