/** Who may import whom. Each rule says why; docs/architecture.md has the picture. */

// Core, lowest first. A folder may import only those before it.
const CORE = [
  'messages',
  'base',
  'measure',
  'geometry',
  'trade',
  'job',
  'survey',
  'saw',
  'openings',
  'joinery',
  'pieces',
  'plan',
  'workshop',
  'takeoff',
  'lists',
  'drawings',
  'advice',
  'calculators',
  'api-schemas',
  'survey-edits',
  'documents',
];

// The page, highest first. A layer may import those after it, and a feature no other feature.
const WEB = ['app', 'features', 'session', 'drawing', 'workers', 'api', 'shared', 'messages'];

// Tests stand outside the layers: they may look at anything.
const TEST = '[.]test[.]tsx?$';

const downwards = CORE.map((folder, index) => ({
  name: `core-${folder}-only-downwards`,
  comment: `core/${folder} may import only what lies below it: ${CORE.slice(0, index).join(', ') || 'nothing'}`,
  severity: 'error',
  from: { path: `^packages/core/src/${folder}/`, pathNot: TEST },
  to: { path: `^packages/core/src/(${[...CORE.slice(index + 1), 'index\\.ts'].join('|')})` },
}));

const pageDownwards = WEB.slice(1).map((folder, index) => ({
  name: `web-${folder}-only-downwards`,
  comment: `web/${folder} may import only what lies below it: ${WEB.slice(index + 2).join(', ') || 'nothing'}`,
  severity: 'error',
  from: { path: `^packages/web/src/${folder}/`, pathNot: TEST },
  to: { path: `^packages/web/src/(${[...WEB.slice(0, index + 1), 'main[.]tsx'].join('|')})` },
}));

module.exports = {
  forbidden: [
    ...downwards,
    ...pageDownwards,
    {
      name: 'web-workers-say-nothing',
      comment:
        'the words wait for their language: a worker that waits would lose its first message; mark them by later',
      severity: 'error',
      from: { path: '^packages/web/src/workers/' },
      to: { path: '^packages/web/src/messages/t[.]ts$', reachable: true },
    },
    {
      name: 'web-features-apart',
      comment: 'a feature does not reach into another: what both need lies below, what joins them is app',
      severity: 'error',
      from: { path: '^packages/web/src/features/([^/]+)/', pathNot: TEST },
      to: { path: '^packages/web/src/features/', pathNot: '^packages/web/src/features/$1/' },
    },
    {
      name: 'core-through-the-door',
      comment: 'another domain of core is imported through its index.ts only',
      severity: 'error',
      from: { path: '^packages/core/src/([^/]+)/', pathNot: TEST },
      to: { path: '^packages/core/src/([^/]+)/(?!index\\.ts)', pathNot: '^packages/core/src/$1/' },
    },
    {
      name: 'core-is-pure',
      comment: 'core knows no server, no page, no interface library and no Node',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: TEST },
      to: { path: ['^packages/(server|web)', 'node_modules/(react|@mantine|express|mysql2)'] },
    },
    {
      name: 'core-without-node',
      comment: 'core runs in a browser worker too',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: TEST },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-packages',
      comment: 'core uses zod for its schemas and one package for ICU messages, nothing else',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: TEST },
      to: { path: 'node_modules/', pathNot: 'node_modules/(zod|intl-messageformat|@formatjs)/' },
    },
    {
      name: 'optimiser-knows-nothing-of-jobs',
      comment: 'the optimiser imports nothing of ours, and one package: the linear solver behind its port',
      severity: 'error',
      from: { path: '^packages/optimiser/src/', pathNot: TEST },
      to: { pathNot: ['^packages/optimiser/src/', 'node_modules/highs/'] },
    },
    {
      name: 'highs-in-one-folder',
      comment: 'one user of the solver package',
      severity: 'error',
      from: { path: '^packages/optimiser/src/', pathNot: ['^packages/optimiser/src/solver/', TEST] },
      to: { path: 'node_modules/highs/' },
    },
    {
      name: 'optimiser-through-the-door',
      comment: 'whoever uses the optimiser imports its index.ts, or the solver of solver/index.ts',
      severity: 'error',
      from: { path: '^packages/(core|server|web)/src/', pathNot: TEST },
      to: { path: '^packages/optimiser/src/(?!index[.]ts|solver/index[.]ts)' },
    },
    {
      name: 'server-not-web',
      comment: 'server and page meet in core/contract',
      severity: 'error',
      from: { path: '^packages/server' },
      to: { path: '^packages/web' },
    },
    {
      name: 'web-not-server',
      comment: 'server and page meet in core/contract',
      severity: 'error',
      from: { path: '^packages/web' },
      to: { path: '^packages/server' },
    },
    {
      name: 'sql-in-repositories',
      comment: 'only repositories, db and the start touch the database driver at run time',
      severity: 'error',
      from: { path: '^packages/server/src/', pathNot: '(repository|/db/|main)' },
      to: { path: 'node_modules/mysql2', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'no-circular',
      comment: 'cycles hide who depends on whom',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'resolvable',
      comment: 'an import must lead somewhere',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '[?]url$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(dist|\\.cache|test/fixtures)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'types', 'default'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'],
    },
  },
};
