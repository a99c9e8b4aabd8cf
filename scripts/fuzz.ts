import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { jobFileOf, search, searchDocuments } from '../core/testing/fuzz/index.ts';

/**
 * Looks for plans that go wrong without a word: `npm run fuzz -- --seed 7 --seconds 600`; with `--files` for documents and
 * files that are neither read nor refused in a sentence. Every failure is made small and, with `--out DIR`, written as a
 * job that the app and the terminal can open, or as the file it was. Exits 1 when there is one.
 */
const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '7' },
    seconds: { type: 'string', default: '60' },
    out: { type: 'string' },
    files: { type: 'boolean', default: false },
  },
});
const [seed, seconds] = [Number(values.seed), Number(values.seconds)];
const until = performance.now() + seconds * 1000;
if (values.out !== undefined) mkdirSync(values.out, { recursive: true });
process.exitCode = (values.files ? await documents() : plans()) === 0 ? 0 : 1;

/** Documents and files changed at random; returns how many kinds went wrong. */
async function documents(): Promise<number> {
  const { tally, broken } = await searchDocuments(
    seed,
    () => performance.now() > until,
    (b) => process.stdout.write(`${b.base}: ${b.what}\n${b.mutations.map((m) => `  ${m}\n`).join('')}`),
  );
  if (values.out !== undefined)
    broken.forEach((b, i) => writeFileSync(join(values.out as string, `unread-${seed}-${i + 1}.${b.base}`), b.bytes));
  process.stdout.write(
    `seed ${seed}: ${tally.read + tally.refused} documents and files, ${tally.read} read, ${tally.refused} refused in a sentence, the longest ${(tally.longest / 1000).toFixed(1)} s, ${broken.length} kinds that were neither\n`,
  );
  return broken.length;
}

/** Plans carried out at random; returns how many kinds went wrong without a word. */
function plans(): number {
  const { tally, failures } = search(
    seed,
    () => performance.now() > until,
    (f) =>
      process.stdout.write(
        `${f.what}\n  ${f.case.draft}\n${f.case.steps.map((s) => `  ${s.alteration} ${s.side} ${JSON.stringify(s.values)}\n`).join('')}`,
      ),
  );
  if (values.out !== undefined) {
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
  return failures.length;
}
