import { db } from './db.ts';
import { openFile, useBring } from './bring.ts';
import { standingOf, withoutTrace } from './bringHistory.ts';

/** Files up to this are kept for a reload, bytes; a larger one is chosen again. */
const MOST_KEPT = 60_000_000;
/** Written when nothing changed for so long, ms. */
const PAUSE = 400;

let timer: ReturnType<typeof setTimeout> | undefined;
async function write(): Promise<void> {
  const state = useBring.getState();
  const { file } = state;
  if (state.raw === null || file === null || file.size > MOST_KEPT) return void (await db.sheet.delete('bring'));
  // What is being read is read again; the browser need not keep it.
  const { contact, ...standing } = standingOf(state);
  await db.sheet.put({
    key: 'bring',
    name: file.name,
    file,
    standing: { ...standing, contact: contact && contact.state === 'ready' ? contact : null },
  });
}

useBring.subscribe((s, before) => {
  const [now, was] = [standingOf(s), standingOf(before)];
  if (s.raw === before.raw && (Object.keys(now) as (keyof typeof now)[]).every((k) => now[k] === was[k])) return;
  clearTimeout(timer);
  // A browser that keeps nothing (full, or private) still works; only the reload begins anew.
  timer = setTimeout(() => void write().catch(() => undefined), PAUSE);
});

/** After a reload: the file as it was, and what had been done with it. */
export async function standAgain(): Promise<void> {
  if (useBring.getState().raw !== null || useBring.getState().state === 'reading') return;
  const kept = await db.sheet.get('bring').catch(() => undefined);
  if (!kept || useBring.getState().raw !== null) return;
  await openFile(new File([kept.file], kept.name));
  if (useBring.getState().state === 'ready') withoutTrace(() => useBring.setState(kept.standing));
}
