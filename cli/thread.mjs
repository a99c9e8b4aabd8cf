// A thread of Node 20 does not inherit the loader of TypeScript: it registers it for itself.
import { parentPort } from 'node:worker_threads';
import { register } from 'tsx/esm/api';

register();
const { main } = await import('./main.ts');
parentPort?.postMessage(await main(process.argv.slice(2), new Date().toISOString().slice(0, 10)));
