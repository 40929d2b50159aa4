/** Folders of the core, lowest first: each may import from those before it. */
const ORDER = [
  'measure',
  'settings',
  'wood',
  'form',
  'ring',
  'making',
  'surface',
  'inlay',
  'pattern',
  'lumber',
  'blank',
  'shop',
  'check',
  'simulate',
  'project',
  'record',
  'exchange',
  'demo',
];

const src = '^packages/core/src/';
const TESTS = '(\\.test\\.tsx?$|/testing/|/bench/)';

const downwards = ORDER.map((folder, i) => ({
  name: `core-${folder}-imports-upwards`,
  severity: 'error',
  from: { path: `${src}${folder}/`, pathNot: TESTS },
  to: { path: `${src}(${[...ORDER.slice(i + 1), 'index', 'testing'].join('|')})(/|\\.ts$)` },
}));

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    ...downwards,
    {
      name: 'core-stands-alone',
      comment:
        'The core computes: no interface, no server, no file, no clock. These packages are all it needs.',
      severity: 'error',
      from: { path: src, pathNot: TESTS },
      to: {
        pathNot: [
          src,
          '^node_modules/(zod|immer|papaparse|@types/papaparse|svgpath|dxf-parser|@tarikjabiri/dxf|culori|@types/culori|clipper2-ts|earcut|@types/earcut)/',
        ],
      },
    },
    {
      name: 'apps-meet-in-the-core',
      severity: 'error',
      from: { path: '^apps/([^/]+)/' },
      to: { path: '^apps/', pathNot: '^apps/$1/' },
    },
    {
      name: 'controls-know-no-station',
      comment: 'What all stations share imports none of them.',
      severity: 'error',
      from: { path: '^apps/web/src/ui/', pathNot: TESTS },
      to: { path: '^apps/web/src/(?!ui/|store/)' },
    },
    {
      name: 'core-by-its-door',
      comment: 'Applications import @fellside/core, not files inside it.',
      severity: 'error',
      from: { path: '^apps/' },
      to: { path: src, pathNot: `${src}(index|demo/index)\\.ts$` },
    },
    {
      name: 'no-lost-files',
      severity: 'error',
      from: {
        orphan: true,
        pathNot: [
          '(\\.test\\.tsx?$|\\.d\\.ts$|vite\\.config\\.ts$|\\.css$|/public/|/bench/|/bin/|playwright\\.config\\.ts$|\\.spec\\.ts$)',
        ],
      },
      to: {},
    },
    {
      name: 'not-to-unresolvable',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\?(url|worker)$' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|bundle|test-results)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.tests.json' },
    enhancedResolveOptions: {
      conditionNames: ['fellside-source', 'import', 'types', 'node', 'default'],
      exportsFields: ['exports'],
    },
  },
};
