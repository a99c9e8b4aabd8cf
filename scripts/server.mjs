import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './run.mjs';

/**
 * The app's server on a free port, for tests, pictures and benches: resolves once it answers, with its address and what
 * ends it. Two of them never get in each other's way, nor in that of a server somebody has running.
 */
export function startServer(env = {}) {
  const child = spawn(process.execPath, ['--import', 'tsx', join(root, 'server/main.ts')], {
    cwd: root,
    env: { ...process.env, PORT: '0', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  const stop = async () => {
    child.kill();
    await ended;
  };
  return new Promise((resolve, reject) => {
    let said = '';
    const hear = (chunk) => {
      said += chunk;
      const base = /http:\/\/[\d.]+:\d+/.exec(said)?.[0];
      if (base) resolve({ base, port: Number(new URL(base).port), stop });
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    void ended.then((code) => reject(new Error(`the server ended with ${code}: ${said}`)));
  });
}
