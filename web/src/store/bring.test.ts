import { describe, expect, it } from 'vitest';
import { polyline } from '@ample/core/geometry';
import { plainChoices, type Ring } from '@ample/core/tracing';
import { choose, tracedOf, unchoose, useBring } from './bring.ts';

const ring: Ring = {
  path: polyline([
    { x: 0, y: 0 },
    { x: 200, y: 0 },
    { x: 200, y: 300 },
    { x: 0, y: 300 },
    { x: 0, y: 0 },
  ]),
  strokes: [],
  healed: [],
};
const begin = () =>
  useBring.setState({
    picked: { ring, look: null, others: [] },
    choices: { ...plainChoices('piece', 'Piece'), part: 'other' },
    past: [],
    choiceFailed: null,
  });

describe('choices for the piece in hand', () => {
  it('are taken back one by one, down to the first', () => {
    begin();
    choose({ allowance: 10 });
    choose({ name: 'Pocket' });
    unchoose();
    expect(useBring.getState().choices).toMatchObject({ allowance: 10, name: 'Piece' });
    unchoose();
    unchoose();
    expect(useBring.getState().choices).toMatchObject({ allowance: 15, name: 'Piece' });
    expect(useBring.getState().past).toEqual([]);
  });
  it('that nothing can be made of are refused in words; the piece stays as it was', () => {
    begin();
    // A choice that no reader of files makes, but a mistake might: tracing throws on it.
    choose({ turned: null as never });
    const { choices, choiceFailed } = useBring.getState();
    expect(choiceFailed).toMatchObject({ code: 'piece-not-traced' });
    expect(choices?.turned).toEqual([]);
    expect(tracedOf(useBring.getState())?.piece.edges.length).toBeGreaterThan(2);
    choose({ allowance: 10 });
    expect(useBring.getState().choiceFailed).toBeNull();
  });
});
