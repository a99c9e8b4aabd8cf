// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { DEMO } from '@ample/samples';
import { db } from './db.ts';
import { editJob, history, openJob, useJob } from './job.ts';
import { openLibrary, setDemo } from './library.ts';
import { keepUndo, takeUpUndo } from './undoKept.ts';

/** What a reload leaves: the documents as stored, and no history. */
function loadAgain(): void {
  const { job, wearer } = useJob.getState();
  history().pause();
  useJob.setState({ job: structuredClone(job), wearer: structuredClone(wearer) });
  history().resume();
  history().clear();
}
const fabric = () => useJob.getState().job?.fabric;

setDemo(DEMO);
beforeEach(async () => {
  sessionStorage.clear();
  await db.delete();
  await db.open();
  useJob.setState({ job: null, wearer: null });
  await openLibrary();
  openJob('marit-causeway');
});

describe('undo over a reload', () => {
  it('goes back step by step and forth again', () => {
    const first = fabric();
    editJob((j) => ({ ...j, fabric: 'Rust linen' }));
    editJob((j) => ({ ...j, fabric: 'Slate wool' }));
    history().undo();
    keepUndo();
    loadAgain();
    takeUpUndo();
    expect(fabric()).toBe('Rust linen');
    history().redo();
    expect(fabric()).toBe('Slate wool');
    history().undo();
    history().undo();
    expect(fabric()).toBe(first);
  });
  it('begins anew where the documents are not those it was kept with', () => {
    editJob((j) => ({ ...j, fabric: 'Rust linen' }));
    keepUndo();
    loadAgain();
    history().pause();
    editJob((j) => ({ ...j, fabric: 'from the other window' }));
    history().resume();
    takeUpUndo();
    expect(history().pastStates).toEqual([]);
  });
  it('keeps two hundred steps in less than half the room of as many copies', () => {
    for (let i = 0; i < 200; i++) editJob((j) => ({ ...j, fabric: `cloth ${i}` }));
    keepUndo();
    const one = JSON.stringify([useJob.getState().job, useJob.getState().wearer]).length;
    expect(sessionStorage.getItem('ample-draft.undo')!.length).toBeLessThan(100 * one);
    loadAgain();
    takeUpUndo();
    expect(history().pastStates).toHaveLength(200);
  });
});
