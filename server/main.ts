import { fileURLToPath } from 'node:url';
import { performance } from 'node:perf_hooks';
import { createApp } from './app.ts';

// DIST serves another build than the one beside this file.
const dist = process.env['DIST'] ?? fileURLToPath(new URL('../web/dist', import.meta.url));
// 0 takes any free port; the line below says which.
const port = Number(process.env['PORT'] ?? 4180);
const host = process.env['HOST'] ?? '127.0.0.1';

// How long a job takes in the stand-in bureau's queue, ms.
const pace = Number(process.env['BUREAU_PACE'] ?? 5000);

// Names besides this machine's own, set apart by commas: behind a proxy, or on a home network.
const names = (process.env['NAMES'] ?? '').split(',').filter((n) => n.trim() !== '');

// The path it is reached under, where that is not the root: the same BASE the folder was built with.
const base = `/${(process.env['BASE'] ?? '').replace(/^\/+|\/+$/g, '')}`;

const server = createApp(dist, {
  bureau: { pace, now: () => performance.timeOrigin + performance.now() },
  names,
  base,
}).listen(port, host, (error?: Error) => {
  if (error) {
    process.stderr.write(`The server could not start on port ${port}: ${error.message}. Set PORT to a free one.\n`);
    process.exitCode = 1;
    return;
  }
  const at = server.address();
  const taken = at !== null && typeof at === 'object' ? at.port : port;
  process.stdout.write(
    `Ample Draft is at http://${host}:${taken}${base === '/' ? '' : `${base}/`} with the demo scenario on the rail.\n`,
  );
});
const stop = (): void => {
  server.close();
  server.closeAllConnections();
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
