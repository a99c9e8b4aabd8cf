import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { jobFileOf, search } from '../core/testing/fuzz/index.ts';

/**
 * Looks for plans that go wrong without a word: `npm run fuzz -- --seed 7 --seconds 600`. Every failure is made small
 * and, with `--out DIR`, written as a job that the app and the terminal can open. Exits 1 when there is one.
 */
const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '7' },
    seconds: { type: 'string', default: '60' },
    out: { type: 'string' },
  },
});
const [seed, seconds] = [Number(values.seed), Number(values.seconds)];
const until = performance.now() + seconds * 1000;
const { tally, failures } = search(
  seed,
  () => performance.now() > until,
  (f) =>
    process.stdout.write(
      `${f.what}\n  ${f.case.draft}\n${f.case.steps.map((s) => `  ${s.alteration} ${s.side} ${JSON.stringify(s.values)}\n`).join('')}`,
    ),
);
if (values.out !== undefined) {
  mkdirSync(values.out, { recursive: true });
  failures.forEach((f, i) =>
    writeFileSync(
      join(values.out as string, `failure-${seed}-${i + 1}.job.json`),
      `${JSON.stringify(jobFileOf(f), null, 2)}\n`,
    ),
  );
}
process.stdout.write(
  `seed ${seed}: ${tally.drafts} drafts, ${tally.steps} steps, ${tally.carried} carried out, ${tally.refused} refused (${tally.byGuard} by the guard), ${tally.cuts} cuts of the kernel, ${failures.length} kinds of silent fault\n`,
);
process.exitCode = failures.length === 0 ? 0 : 1;
