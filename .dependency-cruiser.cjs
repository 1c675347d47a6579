/** Dependencies run one way: web, server -> api -> core; inside the core down the list of its rooms. */
const ROOMS = [
  'error',
  'schema',
  'quantity',
  'sheet',
  'material',
  'section',
  'input',
  'load',
  'family',
  'beam',
  'building',
  'takedown',
  'analysis',
  'standard',
  'design',
  'drawing',
  'exchange',
  'tool',
];

const roomRules = ROOMS.slice(0, -1).map((room, i) => ({
  name: `core-${room}-looks-only-up`,
  severity: 'error',
  // tests may take what they need from anywhere in the core
  from: { path: `^core/src/${room}/`, pathNot: '\\.test(\\.data)?\\.ts$' },
  to: { path: `^core/src/(${ROOMS.slice(i + 1).join('|')})/` },
}));

module.exports = {
  forbidden: [
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    { name: 'core-knows-nobody', severity: 'error', from: { path: '^core/src' }, to: { path: '^(api|server|web|scripts|e2e|bench)/' } },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test(\\.data)?\\.ts$' },
      to: { dependencyTypes: ['core', 'npm'], pathNot: '^node_modules/(zod|mathjs)/' },
    },
    { name: 'api-knows-only-core', severity: 'error', from: { path: '^api/src' }, to: { path: '^(server|web)/' } },
    { name: 'server-and-web-apart', severity: 'error', from: { path: '^server/src' }, to: { path: '^web/' } },
    { name: 'web-and-server-apart', severity: 'error', from: { path: '^web/src' }, to: { path: '^server/' } },
    {
      name: 'rooms-have-one-door',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/', pathNot: '\\.test(\\.data)?\\.ts$' },
      to: { path: '^core/src/([^/]+)/', pathNot: ['^core/src/$1/', '^core/src/[^/]+/index\\.ts$'] },
    },
    ...roomRules,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js'] },
    exclude: { path: '(dist|node_modules)/' },
  },
};
