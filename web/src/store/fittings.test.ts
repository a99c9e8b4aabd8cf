// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { DEMO } from '@ample/samples';
import { draft } from '@ample/core/fitting/plan';
import type { Fitting } from '@ample/core/documents';
import { rankCauses, type Change } from '@ample/core/fitting/toile';
import { wholeSample } from '@ample/core/blocks';
import { db } from './db.ts';
import {
  addFitting,
  addObservation,
  editFitting,
  followUp,
  goBackTo,
  keepVersion,
  removeVersion,
  setObservation,
  takeChange,
} from './fittings.ts';
import { editJob, history, openJob, useJob } from './job.ts';
import { openLibrary, setDemo } from './library.ts';

const TODAY = '2026-11-24';
setDemo(DEMO);
beforeEach(async () => {
  localStorage.clear();
  await db.delete();
  await db.open();
  useJob.setState({ job: null, wearer: null });
  await openLibrary();
  openJob('marit-causeway');
});
const job = () => useJob.getState().job!;
const fitting = (id: string): Fitting => job().fittings.find((f) => f.id === id)!;
const change = (id: string, cause: string): { change: Change; seen: string[] } => {
  const d = draft({ job: job(), wearer: useJob.getState().wearer!, pattern: wholeSample('causeway') });
  const found = rankCauses(fitting(id).observations, d, job()).find((r) => r.cause === cause);
  if (!found) throw new Error(`expected ${cause}`);
  return { change: found.change, seen: found.seen.map((o) => o.id) };
};

describe('a fitting', () => {
  it('keeps the plan it was sewn from, once for all fittings of the same plan', () => {
    const first = addFitting('tissue', TODAY, 'Tissue-fit 1');
    const second = addFitting('toile', TODAY, 'Toile 1');
    expect(job().versions.map((v) => v.name)).toEqual(['Tissue-fit 1']);
    expect(fitting(second).version).toBe(fitting(first).version);
    editJob((j) => ({ ...j, size: '5' }));
    const third = addFitting('toile', TODAY, 'Toile 2');
    expect(job().versions.map((v) => [v.name, v.size])).toEqual([
      ['Tissue-fit 1', null],
      ['Toile 2', '5'],
    ]);
    // What a fitting was sewn from is not thrown away.
    removeVersion(fitting(third).version!);
    expect(job().versions).toHaveLength(2);
  });
  it('found right is open again when something more is seen', () => {
    const id = addFitting('toile', TODAY, 'Toile 1');
    editFitting(id, (f) => ({ ...f, verdict: 'good' }));
    addObservation(id, 'waist-low');
    expect(fitting(id).verdict).toBe('open');
  });
});

describe('taking what a cause would change', () => {
  it('adds, edits and undoes, each one change to undo, and notes it with what was seen', () => {
    const id = addFitting('toile', TODAY, 'Toile 1');
    const seat = addObservation(id, 'cloth-above-seat', { pinned: 8 });
    const before = job();
    const add = change(id, 'swayback');
    takeChange(id, 'swayback', add.seen, add.change, TODAY);
    const added = job().steps.find((s) => s.alteration === 'swayback-waist-seam')!;
    expect(added.values).toEqual({ by: 8 });
    expect(fitting(id).observations[0]?.answers).toMatchObject([
      { did: 'add', step: added.id, from: null, to: 8, date: TODAY },
    ]);
    expect(fitting(id).verdict).toBe('alter');
    history().undo();
    expect(job()).toEqual(before);
    history().redo();

    setObservation(id, seat, { pinned: 5 });
    const edit = change(id, 'swayback');
    takeChange(id, 'swayback', edit.seen, edit.change, TODAY);
    expect(job().steps.find((s) => s.id === added.id)?.values).toEqual({ by: 13 });

    addObservation(id, 'hem-rises-back');
    const undo = change(id, 'sway-overdone');
    takeChange(id, 'sway-overdone', undo.seen, undo.change, TODAY);
    expect(job().steps.find((s) => s.id === added.id)).toMatchObject({ on: false, values: { by: 13 } });
    expect(fitting(id).observations.at(-1)?.answers).toMatchObject([{ did: 'undo', from: 13, to: null }]);
  });
  it('makes an amount of the bust one’s own', () => {
    const id = addFitting('toile', TODAY, 'Toile 1');
    addObservation(id, 'tight-bust', { pinned: 12 });
    const { change: edit, seen } = change(id, 'fuller-bust');
    takeChange(id, 'fuller-bust', seen, edit, TODAY);
    // Marit’s bust is 48 over the chart’s; the pin adds 12.
    expect(Number(job().steps[0]?.values['total'])).toBeCloseTo(60, 0);
  });
  it('leaves the plan alone where nothing can be done', () => {
    const id = addFitting('toile', TODAY, 'Toile 1');
    // The bust is let out already, and nothing was pinned that would tell by how much more.
    addObservation(id, 'tight-bust');
    const before = job();
    const { change: none, seen } = change(id, 'fuller-bust');
    takeChange(id, 'fuller-bust', seen, none, TODAY);
    expect(job()).toBe(before);
  });
  it('widens a tight sleeve by what the pin says is missing', () => {
    const id = addFitting('toile', TODAY, 'Toile 1');
    addObservation(id, 'sleeve-tight', { pinned: 12 });
    const { change: widen, seen } = change(id, 'sleeve-narrow');
    takeChange(id, 'sleeve-narrow', seen, widen, TODAY);
    expect(job().steps.at(-1)).toMatchObject({ alteration: 'upper-arm', values: { by: 12 } });
  });
});

describe('from one fitting to the next', () => {
  it('what is still there is noted again, what is gone is not, and a change of mind is a change', () => {
    const first = addFitting('toile', TODAY, 'Toile 1');
    const id = addObservation(first, 'neck-gapes', { pinned: 9, side: 'left', note: 'sitting' });
    const second = addFitting('toile', TODAY, 'Toile 2');
    const earlier = fitting(first).observations[0]!;
    followUp(second, earlier, 'less');
    expect(fitting(second).observations).toMatchObject([
      { sign: 'neck-gapes', side: 'left', pinned: null, note: '', answers: [] },
    ]);
    setObservation(second, fitting(second).observations[0]!.id, { pinned: 4 });
    followUp(second, earlier, 'same');
    expect(fitting(second).observations).toMatchObject([{ pinned: 4 }]);
    expect(fitting(second).followed).toEqual([{ observation: id, result: 'same' }]);
    followUp(second, earlier, 'gone');
    expect(fitting(second).observations).toEqual([]);
    expect(fitting(second).followed).toEqual([{ observation: id, result: 'gone' }]);
  });
});

describe('versions', () => {
  it('are gone back to without losing where one stands, unless it is kept already', () => {
    const kept = keepVersion('As planned');
    editJob((j) => ({ ...j, steps: [], size: '6' }));
    goBackTo(kept, 'Before going back');
    expect(job().steps).toHaveLength(1);
    expect(job().size).toBeNull();
    expect(job().versions.map((v) => [v.name, v.steps.length])).toEqual([
      ['As planned', 1],
      ['Before going back', 0],
    ]);
    goBackTo(job().versions[1]!.id, 'once more');
    expect(job().steps).toHaveLength(0);
    expect(job().versions).toHaveLength(2);
    // Standing there already: nothing to do, nothing to undo.
    const before = job();
    goBackTo(job().versions[1]!.id, 'again');
    goBackTo('no such version', 'again');
    expect(job()).toBe(before);
  });
});
