import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureInstalled, root, tool } from './run.mjs';

/** Installs if needed, builds, serves. One command on a fresh machine. */
await ensureInstalled();
const build = await tool('vite/bin/vite.js', ['build', join(root, 'web'), '--logLevel', 'warn']);
if (build.code !== 0) process.exit(build.code);
const server = spawn(process.execPath, ['--import', 'tsx', join(root, 'server', 'main.ts')], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
