import { spawnSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { MUTATIONS, type Mutation } from './mutations.ts';

/**
 * Makes each mistake of the list in turn and runs the tests that ought to notice it; puts the file back whatever
 * happens. `npm run mutate -- slash` takes only those whose file has the word in its path.
 */
const only = process.argv[2] ?? '';

function noticed({ file, from, to, tests }: Mutation): boolean {
  const text = readFileSync(file, 'utf8');
  if (text.split(from).length !== 2) throw new Error(`mutate: expected “${from}” once in ${file}`);
  writeFileSync(
    file,
    text.replace(from, () => to),
  );
  try {
    const run = spawnSync('npx', ['vitest', 'run', '--bail=1', ...tests], { stdio: 'ignore' });
    return run.status !== 0;
  } finally {
    writeFileSync(file, text);
  }
}

const tried = MUTATIONS.filter((m) => m.file.includes(only));
const alive = tried.filter((m) => {
  const seen = noticed(m);
  process.stdout.write(`${seen ? 'noticed' : 'LIVES  '}  ${m.file}: ${m.from} → ${m.to || '(nothing)'}\n`);
  return !seen;
});
process.stdout.write(`${tried.length} mistakes made, ${tried.length - alive.length} noticed, ${alive.length} live.\n`);
process.exit(alive.length > 0 ? 1 : 0);
