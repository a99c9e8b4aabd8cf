import { tool } from './run.mjs';

/** Imports run one way. The count guards against a tool that silently reads nothing. */
const AT_LEAST = 100;
const { code, out } = await tool('dependency-cruiser/bin/dependency-cruise.mjs', [
  'core',
  'web/src',
  'cli',
  'server',
  'samples',
  '--config',
  '.dependency-cruiser.cjs',
]);
const modules = Number(/\((\d+) modules/.exec(out)?.[1] ?? 0);
if (modules < AT_LEAST) {
  process.stderr.write(`The import check read ${modules} modules; expected at least ${AT_LEAST}.\n`);
  process.exit(1);
}
process.exit(code);
