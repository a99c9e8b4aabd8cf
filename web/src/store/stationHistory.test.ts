// @vitest-environment jsdom
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { history } from './job.ts';
import { redoHere, undoHere, useStationHistory } from './stationHistory.ts';

const undo = vi.fn();
const redo = vi.fn();
const jobUndo = vi.spyOn(history(), 'undo');
const jobRedo = vi.spyOn(history(), 'redo');
const station = (back: boolean, forth: boolean) => useStationHistory.setState({ station: { back, forth, undo, redo } });

beforeEach(() => {
  vi.clearAllMocks();
  useStationHistory.setState({ station: null });
});

describe('a step taken back', () => {
  it('is the station’s as long as it has one, else the job’s', () => {
    station(true, false);
    undoHere();
    expect([undo.mock.calls.length, jobUndo.mock.calls.length]).toEqual([1, 0]);
    station(false, true);
    undoHere();
    expect([undo.mock.calls.length, jobUndo.mock.calls.length]).toEqual([1, 1]);
  });
  it('comes back in the same way', () => {
    station(false, true);
    redoHere();
    expect([redo.mock.calls.length, jobRedo.mock.calls.length]).toEqual([1, 0]);
    station(true, false);
    redoHere();
    expect([redo.mock.calls.length, jobRedo.mock.calls.length]).toEqual([1, 1]);
  });
  it('is the job’s where no station keeps any', () => {
    undoHere();
    redoHere();
    expect([jobUndo.mock.calls.length, jobRedo.mock.calls.length]).toEqual([1, 1]);
  });
});
