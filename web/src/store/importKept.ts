import { db } from './db.ts';
import { openFile, useImport } from './import.ts';
import { standingOf, withoutTrace, type Standing } from './importHistory.ts';

/** Files up to this are kept for a reload, bytes; a larger one is chosen again. */
const MOST_KEPT = 60_000_000;
/** Written when nothing changed for so long, ms. */
const PAUSE = 400;

let timer: ReturnType<typeof setTimeout> | undefined;
/** The file that lies in the browser now: it is large, and written once. */
let written: File | null = null;

async function write(): Promise<void> {
  const state = useImport.getState();
  const { file } = state;
  if (state.raw === null || file === null || file.size > MOST_KEPT) {
    written = null;
    return void (await db.sheet.clear());
  }
  const { contact, ...standing } = standingOf(state);
  // What is being read is read again; the browser need not keep it.
  const kept: Standing = { ...standing, contact: contact?.state === 'ready' ? contact : null };
  await db.transaction('rw', db.sheet, async () => {
    if (written !== file) await db.sheet.put({ key: 'file', name: file.name, file });
    await db.sheet.put({ key: 'standing', standing: kept });
  });
  written = file;
}

useImport.subscribe((s, before) => {
  const [now, was] = [standingOf(s), standingOf(before)];
  if (s.raw === before.raw && (Object.keys(now) as (keyof Standing)[]).every((k) => now[k] === was[k])) return;
  clearTimeout(timer);
  // A browser that keeps nothing (full, or private) still works; only the reload begins anew.
  timer = setTimeout(() => void write().catch(() => undefined), PAUSE);
});

/** After a reload: the file as it was, and what had been done with it. */
export async function standAgain(): Promise<void> {
  const open = (): boolean => useImport.getState().raw !== null || useImport.getState().state === 'reading';
  if (open()) return;
  const [file, standing] = await db.sheet.bulkGet(['file', 'standing']).catch(() => []);
  if (file?.key !== 'file' || standing?.key !== 'standing' || open()) return;
  await openFile(new File([file.file], file.name));
  if (useImport.getState().state === 'ready') withoutTrace(() => useImport.setState(standing.standing));
}
