import { spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';

/** Runs a command in the project's folder. Resolves with its exit code and what it printed. */
export function run(command, args, { quiet = false, env = {} } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let out = '';
    const take = (stream) => (chunk) => {
      out += chunk;
      if (!quiet) stream.write(chunk);
    };
    child.stdout.on('data', take(process.stdout));
    child.stderr.on('data', take(process.stderr));
    child.on('error', (error) => resolve({ code: 127, out: out + error.message }));
    child.on('close', (code) => resolve({ code: code ?? 1, out }));
  });
}

/** True when node_modules was installed from the lock file as it is now. */
function installed() {
  const mark = join(root, 'node_modules', '.package-lock.json');
  if (!existsSync(mark)) return false;
  const wanted = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8')).packages;
  const have = JSON.parse(readFileSync(mark, 'utf8')).packages;
  // Optional packages for other machines are in the lock file and rightly not installed.
  return Object.entries(wanted).every(
    ([name, p]) =>
      name === '' || p.link || p.optional || !name.startsWith('node_modules') || have[name]?.version === p.version,
  );
}

/** Installs the packages of the lock file when they are not there. */
export async function ensureInstalled() {
  if (installed()) return;
  process.stdout.write('Installing packages from the lock file…\n');
  const { code } = await run(npm, ['ci', '--ignore-scripts', '--no-audit', '--no-fund']);
  if (code !== 0) {
    process.stderr.write('The packages could not be installed. Look at the lines above, then try again.\n');
    process.exit(1);
  }
}

/** Runs the script of an installed package. */
export const tool = (name, args, options) =>
  run(process.execPath, [join(root, 'node_modules', ...name.split('/')), ...args], options);
