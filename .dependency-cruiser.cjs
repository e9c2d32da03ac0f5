/** The floors of the house: a core folder imports only from folders above it in this list. */
const floors = [
  'quantity',
  'calendar',
  'statistics',
  'anatomy',
  'access',
  'order',
  'screening',
  'measuring',
  'drawing',
  'sizing',
  'setting',
  'shaping',
  'strapping',
  'checking',
  'wearing',
  'reviewing',
  'programmes',
  'logbook',
  'exchange',
];

module.exports = {
  forbidden: [
    ...floors.slice(0, -1).map((floor, i) => ({
      name: `${floor}-below-${floors[i + 1]}`,
      comment: 'Floors follow the order of the work: import only from folders above in the list.',
      severity: 'error',
      from: { path: `^core/src/${floor}/` },
      to: { path: `^core/src/(${floors.slice(i + 1).join('|')})/` },
    })),
    {
      name: 'core-folder-has-a-floor',
      comment: 'A new core folder gets its place in the list above.',
      severity: 'error',
      from: { path: '^core/src/', pathNot: `^core/src/((${floors.join('|')})/|untyped-references)` },
      to: {},
    },
    {
      name: 'folders-by-their-index',
      comment: 'Another folder of core is imported by its public index alone; tests share test-*.ts as well.',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/' },
      to: {
        path: '^core/src/([^/]+)/.+',
        pathNot: ['^core/src/$1/', '^core/src/[^/]+/(index|test-[a-z-]+)\\.ts$'],
      },
    },
    {
      name: 'core-is-pure',
      comment: 'core imports no interface, server or Node code.',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$' },
      to: {
        path: '^(node:|(web|server|e2e|scripts)/|node_modules/(react|react-dom|express|typeorm|styled-components|mysql2))',
        pathNot: 'never',
      },
    },
    {
      name: 'core-no-node-builtins',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'web-and-server-apart',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^server/' },
    },
    {
      name: 'server-and-web-apart',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^web/' },
    },
    {
      name: 'core-by-its-public-index',
      comment: 'web and server import core by the index of each folder; tests may use its test logbook.',
      severity: 'error',
      from: { path: '^(web|server)/src/', pathNot: '(\\.test\\.tsx?|/test-[a-z]+\\.tsx?)$' },
      to: { path: '^core/src/', pathNot: '^core/src/[^/]+/index\\.ts$' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'resolves', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules/.cache)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json'],
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
};
