import { mkdirSync, writeFileSync } from 'node:fs';
import { writeDocument } from '@ample/core/documents';
import { DEMO_JOBS, DEMO_WEARERS, inlineDemoJob } from '@ample/samples';

/** Writes the demo scenario as documents a terminal can take. A test keeps them true. */
const folder = new URL('../samples/documents/', import.meta.url);
mkdirSync(folder, { recursive: true });
for (const wearer of DEMO_WEARERS) writeFileSync(new URL(`${wearer.id}.wearer.json`, folder), writeDocument(wearer));
for (const job of DEMO_JOBS) writeFileSync(new URL(`${job.id}.job.json`, folder), writeDocument(inlineDemoJob(job.id)));
