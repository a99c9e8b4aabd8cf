import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureInstalled, root } from './run.mjs';

await ensureInstalled();
const vite = spawn(process.execPath, [join(root, 'node_modules/vite/bin/vite.js'), join(root, 'web')], {
  cwd: root,
  stdio: 'inherit',
});
vite.on('exit', (code) => process.exit(code ?? 0));
