import { run, tool } from './run.mjs';

/** Each part by its own rules: the core without a browser, the workers without a page. */
const projects = ['core', 'core/tsconfig.test.json', 'web', 'web/tsconfig.worker.json', 'node.tsconfig.json'];
let failed = false;
for (const project of projects) failed = (await tool('typescript/bin/tsc', ['-p', project])).code !== 0 || failed;
// The compiler finds codes without a sentence; this finds sentences without a code.
failed = (await run(process.execPath, ['--import', 'tsx', 'scripts/sentences.ts'])).code !== 0 || failed;
process.exit(failed ? 1 : 0);
