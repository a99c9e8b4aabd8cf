import { beforeEach, describe, expect, it, vi } from 'vitest';
import { closeFile, pickStroke, sheetOf, tracedOf, useImport } from './import.ts';
import { addFromMat, bringDrawn, callDrawn, takeOutDrawn, useDrawn } from './drawn.ts';
import { doAgainDrawn, inOneStep, takeBackDrawn, useDrawnHistory } from './drawnHistory.ts';
import { useTyped, type TypedRow } from './typed.ts';

// The pieces are read by a worker; here it never answers, and they are picked by hand.
vi.mock('../workers/wholeClient.ts', () => ({
  startWhole: () => ({ done: new Promise(() => undefined), cancel: () => undefined }),
}));

const row = (x: string, y: string, kind: TypedRow['kind'] = 'corner'): TypedRow => ({ x, y, kind });
const square = [row('0', '0'), row('0', '20'), row('20', '20'), row('20', '0')];
const add = () => inOneStep(() => void addFromMat());

beforeEach(() => {
  useDrawn.setState({ pieces: [], size: '' });
  useTyped.setState({ rows: [] });
  useDrawnHistory.setState({ past: [], future: [] });
});

describe('pieces drawn by hand', () => {
  it('are added with the table cleared for the next, and taken back with the table as it was', () => {
    useTyped.setState({ rows: square });
    add();
    expect([useDrawn.getState().pieces.length, useTyped.getState().rows]).toEqual([1, []]);
    expect(takeBackDrawn()).toBe(true);
    expect([useDrawn.getState().pieces.length, useTyped.getState().rows]).toEqual([0, square]);
    expect(takeBackDrawn()).toBe(false);
    expect(doAgainDrawn()).toBe(true);
    expect([useDrawn.getState().pieces.length, useTyped.getState().rows]).toEqual([1, []]);
  });

  it('taken out and brought back, leave what was typed meanwhile', () => {
    useTyped.setState({ rows: square });
    add();
    const [piece] = useDrawn.getState().pieces;
    callDrawn(piece!.id, 'pocket');
    const next = [row('5', '5'), row('5', '9')];
    useTyped.setState({ rows: next });
    takeOutDrawn(piece!.id);
    expect(useDrawn.getState().pieces).toEqual([]);
    takeBackDrawn();
    expect(useDrawn.getState().pieces.map((p) => p.part)).toEqual(['pocket']);
    expect(useTyped.getState().rows).toEqual(next);
  });

  it('keep their marks, also where they are picked one by one', () => {
    const dart = [row('12', '10', 'dartTip'), row('20', '11', 'dartLeg'), row('20', '9', 'dartLeg')];
    useTyped.setState({ rows: [...square, ...dart, row('0', '12', 'notch')] });
    add();
    bringDrawn();
    const sheet = sheetOf(useImport.getState())!;
    pickStroke(sheet.strokes[0]!);
    const { choices } = useImport.getState();
    expect([choices?.ownDarts.length, choices?.ownNotches.length]).toEqual([1, 1]);
    expect(tracedOf(useImport.getState())?.piece.darts).toHaveLength(1);
    closeFile();
  });

  it('are not made of half a dart or a row that does not read: the table stays', () => {
    for (const wrong of [row('5', '5', 'dartTip'), row('five', '5')]) {
      useTyped.setState({ rows: [...square, wrong] });
      expect(addFromMat()).not.toBeNull();
      expect([useDrawn.getState().pieces.length, useTyped.getState().rows.length]).toEqual([0, 5]);
    }
  });
});
