import ts from 'typescript';

/**
 * Sentences nobody says. That every code has a sentence is the compiler's business; this asks it the other way round:
 * whether some expression of the program, outside the words themselves, can have the code as its value.
 */
const WORDS = /\/core\/words\/|\.words?\.en\.ts$|words\.en\.ts$|\/units\/codes\.ts$|\/kit\/phrases\//;
const root = process.cwd();
const options: ts.CompilerOptions = {
  ...ts.parseConfigFileTextToJson('', ts.sys.readFile(`${root}/tsconfig.base.json`) ?? '').config.compilerOptions,
  target: ts.ScriptTarget.ES2023,
  module: ts.ModuleKind.ESNext,
  moduleResolution: ts.ModuleResolutionKind.Bundler,
  jsx: ts.JsxEmit.ReactJSX,
  lib: ['lib.es2023.d.ts', 'lib.dom.d.ts', 'lib.dom.iterable.d.ts'],
  types: ['vite/client', 'node'],
  incremental: false,
};
const files = ['core', 'web/src', 'cli', 'server'].flatMap((folder) =>
  ts.sys
    .readDirectory(`${root}/${folder}`, ['.ts', '.tsx'], ['**/node_modules/**', '**/*.test.*', '**/testing/**'])
    .map((f) => f),
);
const program = ts.createProgram(files, options);
const checker = program.getTypeChecker();
const source = (path: string): ts.SourceFile => {
  const file = program.getSourceFile(`${root}/${path}`);
  if (!file) throw new Error(`sentences: expected ${path}`);
  return file;
};
const exported = (path: string, name: string): ts.Type => {
  const symbol = checker.getSymbolAtLocation(source(path));
  const found = symbol && checker.getExportsOfModule(symbol).find((s) => s.name === name);
  if (!found) throw new Error(`sentences: expected ${name} in ${path}`);
  return found.flags & ts.SymbolFlags.TypeAlias
    ? checker.getDeclaredTypeOfSymbol(found)
    : checker.getTypeOfSymbolAtLocation(found, source(path));
};

/** Every string an expression may be. */
const possible = (type: ts.Type): readonly string[] =>
  type.isStringLiteral() ? [type.value] : type.isUnion() ? type.types.flatMap(possible) : [];

const said = new Set<string>();
const look = (node: ts.Node): void => {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) said.add(node.text);
  else if (ts.isTemplateExpression(node)) {
    const asked = checker.getContextualType(node);
    for (const text of possible(checker.getTypeAtLocation(node))) said.add(text);
    // A template is a plain string to whoever does not ask for more: then what it may be is what is asked for.
    if (asked && possible(asked).length > 0) for (const text of matching(node, possible(asked))) said.add(text);
  }
  ts.forEachChild(node, look);
};

/** The asked-for strings a template can give: each of its holes takes what its own type allows. */
function matching(node: ts.TemplateExpression, texts: readonly string[]): readonly string[] {
  let made = [node.head.text];
  for (const span of node.templateSpans) {
    const holes = possible(checker.getTypeAtLocation(span.expression));
    if (holes.length === 0) return [];
    made = made.flatMap((text) => holes.map((hole) => text + hole + span.literal.text));
  }
  return texts.filter((text) => made.includes(text));
}

for (const file of program.getSourceFiles())
  if (file.fileName.startsWith(root) && !file.fileName.includes('node_modules') && !WORDS.test(file.fileName))
    look(file);

const TABLES: readonly (readonly [string, string])[] = [
  ['core/alterations/words.ts', 'STEPS'],
  ['core/alterations/words.ts', 'WHY'],
  ['core/words/findings.ts', 'FINDING_WORDS'],
  ['core/words/fit.ts', 'FIT_WORDS'],
  ['core/words/errors.ts', 'ERROR_WORDS'],
  ['core/words/files.ts', 'FILE_WORDS'],
  ['core/words/bureau.ts', 'BUREAU_WORDS'],
  ['core/words/projector.ts', 'CALIBRATE_WORDS'],
];
const unsaid = TABLES.flatMap(([path, name]) =>
  exported(path, name)
    .getProperties()
    .map((p) => p.name)
    .filter((code) => !said.has(code))
    .map((code) => `${path}: nothing says “${code}” (${name})`),
);
if (unsaid.length > 0) {
  process.stderr.write(`${unsaid.join('\n')}\n`);
  process.exit(1);
}
