import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ensureInstalled, root, run, tool } from './run.mjs';

/**
 * Everything a change must pass, on a fresh machine too: packages, Debian's browser and PDF tools, types, lint,
 * imports, unit tests, build, browser tests. The last line counts them all.
 */
const NEEDS = [
  ['/usr/bin/chromium', 'chromium'],
  ['/usr/bin/pdftoppm', 'poppler-utils'],
  ['/usr/bin/qpdf', 'qpdf'],
  ['/usr/bin/rsvg-convert', 'librsvg2-bin'],
];

async function ensureDebianPackages() {
  const missing = NEEDS.filter(([file]) => !existsSync(file)).map(([, name]) => name);
  if (missing.length === 0) return;
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    process.stderr.write(
      `Browser tests need ${missing.join(' and ')}. Install them (on Debian: sudo apt-get install ${missing.join(' ')}) and run again.\n`,
    );
    process.exit(1);
  }
  process.stdout.write(`Installing ${missing.join(' and ')}…\n`);
  await run('apt-get', ['update'], { quiet: true });
  const { code } = await run('apt-get', ['install', '-y', '--no-install-recommends', ...missing], {
    quiet: true,
    env: { DEBIAN_FRONTEND: 'noninteractive' },
  });
  if (code !== 0) {
    process.stderr.write(`apt-get could not install ${missing.join(' and ')}. Install them by hand and run again.\n`);
    process.exit(1);
  }
}

let passed = 0;
let failed = 0;
/** What failed, by name: said again at the end, where a clipped log still shows it. */
const failures = [];
async function step(name, work) {
  process.stdout.write(`\n── ${name}\n`);
  const begun = Date.now();
  const { code, out } = await work();
  const seconds = ((Date.now() - begun) / 1000).toFixed(0);
  process.stdout.write(`── ${name}: ${code === 0 ? 'passed' : 'FAILED'} (${seconds} s)\n`);
  return { code, out };
}
/** A step that is one check. */
async function check(name, work) {
  const { code } = await step(name, work);
  tally(name, code);
}
function tally(name, code) {
  if (code === 0) passed += 1;
  else {
    failed += 1;
    failures.push(name);
  }
}
const QUIET = { quiet: true };
/** A check beside others: what it printed comes in one go, once it is done. */
async function quietly(name, work) {
  const begun = Date.now();
  const { code, out } = await work();
  const seconds = ((Date.now() - begun) / 1000).toFixed(0);
  process.stdout.write(`\n── ${name}\n${out}── ${name}: ${code === 0 ? 'passed' : 'FAILED'} (${seconds} s)\n`);
  tally(name, code);
}
/** A step that counts tests of its own; a run that counted none has failed. */
async function count(name, work) {
  const { code, out } = await step(name, work);
  // eslint-disable-next-line no-control-regex
  const plain = out.replace(/\u001b\[[0-9;]*m/g, '');
  const line = plain.split('\n').findLast((l) => /\d+ passed/.test(l) && !/Test Files/.test(l)) ?? '';
  const tail = plain.slice(plain.lastIndexOf('\n  ', plain.lastIndexOf(' passed')) - 400);
  const good = Number(/(\d+) passed/.exec(line)?.[1] ?? 0);
  const bad = Number(/(\d+) failed/.exec(line)?.[1] ?? /(\d+) failed/.exec(tail)?.[1] ?? 0);
  passed += good;
  failed += bad;
  if (bad === 0 && (code !== 0 || good === 0)) failed += 1;
  const named = plain.split('\n').filter((l) => /^\s*(FAIL|✘)\s/.test(l));
  if (named.length > 0) failures.push(...new Set(named.map((l) => l.trim())));
  else if (code !== 0) failures.push(name);
}

await ensureInstalled();
await ensureDebianPackages();
// Each of these uses one core: two go side by side.
await Promise.all([
  quietly('types', () => run(process.execPath, [join(root, 'scripts/typecheck.mjs')], QUIET)),
  (async () => {
    await quietly('lint', () =>
      tool('eslint/bin/eslint.js', ['.', '--cache', '--cache-location', '.cache/eslint'], QUIET),
    );
    await quietly('format', () => tool('prettier/bin/prettier.cjs', ['--check', '.', '--log-level', 'warn'], QUIET));
    await quietly('imports', () => run(process.execPath, [join(root, 'scripts/imports.mjs')], QUIET));
  })(),
]);
await count('unit tests', () => tool('vitest/vitest.mjs', ['run', '--reporter=dot']));
await check('build', () => tool('vite/bin/vite.js', ['build', join(root, 'web'), '--logLevel', 'warn']));
await count('browser tests', () => tool('@playwright/test/cli.js', ['test', '--config', 'e2e/playwright.config.ts']));

if (failures.length > 0) process.stdout.write(`\nFailed:\n${failures.map((f) => `  ${f}\n`).join('')}`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exitCode = failed === 0 ? 0 : 1;
