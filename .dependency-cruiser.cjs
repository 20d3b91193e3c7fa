/** The layers of core, lowest first; a folder may import itself, its own line, and what stands before it. */
const LAYERS = [
  ['quantity'],
  ['verdicts', 'fault-finder', 'cutting', 'build-order', 'bay-week'],
  ['catalogue'],
  ['design'],
  ['vehicle', 'travel'],
  ['plant'],
  ['loads', 'supply', 'cable'],
  ['commands', 'mains'],
  ['network'],
  ['places', 'routes', 'protection', 'trip'],
  ['tree', 'rig-trip', 'enclosure'],
  ['circuit'],
  ['rules'],
  ['trip-analysis'],
  ['draft', 'order', 'fit', 'prove', 'explain'],
  ['assess'],
  ['couplings'],
  ['diagram', 'handover', 'formats', 'case-files', 'demo', 'search', 'overrides', 'quick', 'supply-options', 'supply-flow', 'rig-list', 'faults', 'changes', 'test-plan', 'care', 'labels'],
  ['quote', 'price-list'],
];

/** The layers of the application: each with what it may import of the others. */
const WEB = {
  ui: [],
  pictures: ['ui'],
  data: [],
  fields: ['ui', 'pictures', 'data'],
  comments: ['ui', 'data'],
  photos: ['ui', 'data'],
  frame: ['ui', 'pictures', 'data', 'fields', 'comments', 'photos'],
  stages: ['ui', 'pictures', 'data', 'fields', 'comments', 'photos', 'frame'],
  workshop: ['ui', 'pictures', 'data', 'fields', 'frame'],
};

const web = (names) => `^web/src/app/(${names.join('|')})/`;

const webRules = Object.entries(WEB).map(([name, below]) => ({
  name: `web-${name}-imports-only-what-is-below`,
  severity: 'error',
  from: { path: web([name]), pathNot: '\\.spec\\.ts$' },
  to: { path: '^web/src/app/', pathNot: web([name, ...below]) },
}));

const folder = (name) => `^core/src/${name}/`;

const layerRules = LAYERS.flatMap((line, i) => {
  const higher = LAYERS.slice(i + 1).flat();
  if (!higher.length) return [];
  return line.map((name) => ({
    name: `${name}-imports-nothing-higher`,
    severity: 'error',
    from: { path: folder(name), pathNot: '\\.spec\\.ts$' },
    to: { path: `^core/src/(${higher.join('|')})/` },
  }));
});

const doorRules = LAYERS.flat().map((name) => ({
  name: `${name}-has-one-door`,
  comment: 'the inside of a folder is imported through its index only',
  severity: 'error',
  from: { path: '^core/src/', pathNot: [folder(name), '\\.spec\\.ts$'] },
  to: { path: folder(name), pathNot: `^core/src/${name}/index\\.ts$` },
}));

module.exports = {
  forbidden: [
    { name: 'no-cycle', severity: 'error', from: {}, to: { circular: true } },
    ...layerRules,
    ...doorRules,
    ...webRules,
    {
      name: 'a-stage-knows-no-other',
      comment: 'what two stages share stands below them',
      severity: 'error',
      from: { path: '^web/src/app/(stages|workshop)/([^/]+)/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^web/src/app/$1/', pathNot: '^web/src/app/$1/$2/' },
    },
    {
      name: 'core-is-alone',
      severity: 'error',
      from: { path: '^core/src/', pathNot: ['\\.spec\\.ts$', '^core/src/testing/'] },
      to: { path: ['^(server|web|cli)/', '^node:'], dependencyTypesNot: ['type-only'] },
    },
    { name: 'core-has-no-node', severity: 'error', from: { path: '^core/src/', pathNot: ['\\.spec\\.ts$', '^core/src/testing/'] }, to: { dependencyTypes: ['core'] } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.js'], exportsFields: ['exports'], conditionNames: ['import', 'default'] },
  },
};
