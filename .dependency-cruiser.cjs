/**
 * Imports run one way. A room may import the rooms above it in its list and itself; a folder named inside another
 * (`out/pdf` in `out`) is a room of its own. The lists are the whole of the rule: to add a room, put it in its place.
 */
const ROOMS = {
  core: [
    'units',
    'speech',
    'numeric',
    'geometry',
    'pattern',
    'form',
    'cloth',
    'sew',
    'drape',
    'paper/guard',
    'paper/slash',
    'paper/truing',
    'blocks',
    'in/tracing',
    'in/photo',
    'alterations',
    'fitting/fit',
    'documents',
    'fitting/compare',
    'fitting/plan',
    'fitting/toile',
    'fitting/solve',
    'fitting/onForm',
    'practice',
    'out/layout',
    'out/patch',
    'out',
    'out/pdf',
    'out/projector',
    'out/bureau',
    'out/model',
    'in/readers',
    'documents/bundle',
    'words',
  ],
  'web/src': ['lib', 'ui', 'workers', 'store', 'shared', 'devices', 'stations', 'app'],
};

/** Folders whose neighbours do not know each other: what two of them need lies further down. */
const APART = [
  'web/src/stations',
  'web/src/devices',
  'core/alterations/(?:bust|dart|shoulder|back|length|width|neck|follow)',
];

/** Rooms that are loaded with what needs them: only a path of their own leads in. */
const BEHIND_OWN_PATH = ['out/pdf', 'out/model', 'documents/bundle', 'in/readers'];

/** The packages a room is built on, besides Zod; all others are plain TypeScript. */
const PACKAGES = {
  units: ['memoize'],
  numeric: ['ml-matrix'],
  geometry: ['polylabel'],
  sew: ['@kninnug/constrainautor', 'delaunator', 'robust-predicates'],
  'documents/bundle': ['fflate', '@noble/hashes'],
  'in/readers': ['saxes', 'xmlchars', 'svgpath'],
  'out/model': ['@gltf-transform/core'],
  'out/patch': ['@countertype/clipper2-ts'],
  'fitting/fit': ['papaparse'],
  practice: ['pure-rand'],
};

const TESTS = '\\.test\\.tsx?$';
const TESTING = '^core/testing/';
const inside = (base, room, rooms) => {
  const nested = rooms.filter((r) => r !== room && r.startsWith(`${room}/`)).map((r) => r.slice(room.length + 1));
  return `^${base}/${room}/${nested.length > 0 ? `(?!(?:${nested.join('|')})/)` : ''}`;
};

const oneWay = Object.entries(ROOMS).flatMap(([base, rooms]) =>
  rooms.map((room, i) => ({
    name: `${base}-${room}-imports-only-what-lies-below`,
    severity: 'error',
    from: { path: inside(base, room, rooms), pathNot: TESTS },
    to: {
      path: `^${base}/`,
      pathNot: [...rooms.slice(0, i + 1).map((r) => inside(base, r, rooms)), `^${base}/(?:in/text|styles\\.css|vite)`],
    },
  })),
);

const apart = APART.map((folder) => ({
  name: `${folder.split('/').slice(0, 3).join('-')}-apart`,
  severity: 'error',
  from: { path: `^(${folder})/([^/]+)/`, pathNot: TESTS },
  to: { path: `^${folder}/`, pathNot: ['^$1/$2/'] },
}));

const behindOwnPath = BEHIND_OWN_PATH.map((room) => ({
  name: `core-${room}-stays-behind-its-own-path`,
  severity: 'error',
  from: { path: '^core/', pathNot: [`^core/${room}/`, TESTING, TESTS] },
  to: { path: `^core/${room}/` },
}));

const packages = ROOMS.core.map((room) => ({
  name: `core-${room}-packages`,
  severity: 'error',
  from: { path: inside('core', room, ROOMS.core), pathNot: TESTS },
  to: { pathNot: ['^core/', '^types/', `^node_modules/(?:${['zod', ...(PACKAGES[room] ?? [])].join('|')})/`] },
}));

module.exports = {
  forbidden: [
    ...oneWay,
    ...apart,
    ...behindOwnPath,
    ...packages,
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'every-file-has-a-room',
      severity: 'error',
      from: { pathNot: TESTS },
      to: {
        path: '^core/[^/]+/.*\\.ts$',
        pathNot: [...ROOMS.core.map((room) => inside('core', room, ROOMS.core)), TESTING, '^core/in/text'],
      },
    },
    {
      name: 'nothing-but-the-app-imports-the-interface',
      severity: 'error',
      from: { pathNot: '^(web|e2e)/' },
      to: { path: '^web/' },
    },
    {
      name: 'the-app-starts-with-the-demo-and-nothing-else-reads-it',
      severity: 'error',
      from: { path: '^(core|web/src|cli|server)/', pathNot: [TESTS, TESTING, '^web/src/main\\.tsx$'] },
      to: { path: '^samples/' },
    },
    {
      name: 'tests-are-not-imported',
      severity: 'error',
      from: { pathNot: [TESTS, TESTING, '^(e2e|scripts)/'] },
      to: { path: [TESTS, TESTING] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.tsx', '.js', '.mjs'],
    },
  },
};
