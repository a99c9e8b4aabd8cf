// A thread of Node 20 does not inherit the loader of TypeScript: it registers it for itself.
import { register } from 'tsx/esm/api';

register();
await import('./pages.worker.ts');
