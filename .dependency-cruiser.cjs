/** Imports run one way: units → geometry → pattern → guard → layout, slash, truing, tracing, photo → alterations → fit → draft → solve, formats; words beside them. */
const order = [
  'units',
  'geometry',
  'pattern',
  'guard',
  'layout',
  'slash',
  'truing',
  'tracing',
  'photo',
  'alterations',
  'fit',
  'draft',
  'toile',
  'solve',
  'patch',
];
const below = (folder) => order.slice(0, order.indexOf(folder));
const oneWay = order.map((folder) => ({
  name: `core-${folder}-looks-down-only`,
  severity: 'error',
  from: { path: `^core/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: {
    path: '^core/',
    pathNot: `^core/(${[...below(folder), folder].join('|')})/${['draft', 'toile', 'solve', 'patch'].includes(folder) ? '|^core/formats/schema\\w*\\.ts$' : ''}${folder === 'draft' ? '|^core/drafting/' : ''}`,
  },
}));

module.exports = {
  forbidden: [
    ...oneWay,
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true, dependencyTypesNot: ['type-only'] } },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: {
        path: '^core/',
        pathNot:
          '\\.test\\.ts$|^core/testing/|^core/formats/(bundle|incoming)/|^core/patch/regions|^core/fit/chart\\.ts',
      },
      to: { pathNot: '^core/|^node_modules/zod/' },
    },
    {
      name: 'computation-does-not-speak',
      severity: 'error',
      from: { path: '^core/', pathNot: '^core/words/|^core/testing/|\\.test\\.ts$' },
      to: { path: '^core/words/' },
    },
    {
      name: 'pdf-stays-behind-its-own-path',
      severity: 'error',
      from: { path: '^core/', pathNot: '^core/formats/pdf/|^core/testing/|\\.test\\.ts$' },
      to: { path: '^core/formats/pdf/' },
    },
    {
      name: 'bundle-packs-with-two-libraries',
      severity: 'error',
      from: { path: '^core/formats/bundle/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^core/|^node_modules/(zod|fflate|@noble/hashes)/' },
    },
    {
      name: 'bundle-stays-behind-its-own-path',
      severity: 'error',
      from: { path: '^core/', pathNot: '^core/formats/bundle/|^core/testing/' },
      to: { path: '^core/formats/bundle/' },
    },
    {
      name: 'incoming-reads-with-two-libraries',
      severity: 'error',
      from: { path: '^core/formats/incoming/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^core/|^node_modules/(zod|saxes|xmlchars|svgpath)/' },
    },
    {
      name: 'incoming-stays-behind-its-own-path',
      severity: 'error',
      from: { path: '^core/', pathNot: '^core/formats/incoming/|^core/testing/|\\.test\\.ts$' },
      to: { path: '^core/formats/incoming/' },
    },
    {
      name: 'regions-cut-with-one-library',
      severity: 'error',
      from: { path: '^core/patch/regions' },
      to: { pathNot: '^core/|^node_modules/@countertype/clipper2-ts/' },
    },
    {
      name: 'drafting-knows-no-alteration',
      severity: 'error',
      from: { path: '^core/drafting/' },
      to: { path: '^core/(alterations|fit|draft|formats|words)/' },
    },
    {
      name: 'nothing-imports-the-interface',
      severity: 'error',
      from: { pathNot: '^(web|e2e)/' },
      to: { path: '^web/' },
    },
    {
      name: 'tests-are-not-imported',
      severity: 'error',
      from: { pathNot: '\\.test\\.tsx?$|^core/testing/' },
      to: { path: '\\.test\\.tsx?$|^core/testing/', pathNot: '^core/testing/shapes\\.ts$' },
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
