#!/usr/bin/env node
// Plain JavaScript: everything else runs in a thread, which is ended when a file holds more than a pattern does.
import { rmSync } from 'node:fs';
import { Worker } from 'node:worker_threads';

/** A file that is read for longer holds more than a pattern, ms; any other command has longer. */
const PATIENCE = Number(process.env.AMPLE_PATIENCE ?? 60_000);
const LONGEST = 10 * PATIENCE;
/** Memory a command may take, MB. */
const MEMORY = 700;

const argv = process.argv.slice(2);
const patience = argv[0] === 'bring' || argv[0] === 'backup' ? PATIENCE : LONGEST;
const thread = new Worker(new URL('./thread.mjs', import.meta.url), {
  argv,
  resourceLimits: { maxOldGenerationSizeMb: MEMORY },
});

/** Files begun and not whole yet: taken away if the thread is stopped. */
let parts = [];
let over = false;

function end(code, err = '') {
  if (over) return;
  over = true;
  clearTimeout(timer);
  process.exitCode = code;
  if (err !== '') process.stderr.write(err);
  void thread.terminate().then(() => {
    for (const part of parts) rmSync(part, { force: true });
  });
}
const MORE = 'the file holds more than a pattern does. Save the pages you need as a file of their own.';
const timer = setTimeout(
  () => end(1, `command-stopped: It was stopped after ${Math.round(patience / 1000)} seconds: ${MORE}\n`),
  patience,
);

thread.on('message', (word) => {
  if (word.parts) parts = word.parts;
  if (word.out !== undefined) {
    process.stdout.write(word.out);
    end(word.code, word.err);
  }
});
thread.on('error', (error) =>
  end(
    1,
    error.code === 'ERR_WORKER_OUT_OF_MEMORY'
      ? `command-too-large: It was stopped because it took too much memory: ${MORE}\n`
      : `command-failed: It failed unexpectedly (${error.message}). Nothing was written; please report what you did.\n`,
  ),
);
thread.on('exit', () => end(1, 'command-failed: It ended without an answer. Please report what you did.\n'));

// Whoever reads what is said may stop reading; that is no fault.
for (const stream of [process.stdout, process.stderr])
  stream.on('error', (error) => {
    if (error.code !== 'EPIPE') throw error;
    end(0);
  });
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    end(signal === 'SIGINT' ? 130 : 143);
  });
