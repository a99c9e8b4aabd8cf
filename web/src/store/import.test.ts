import { describe, expect, it } from 'vitest';
import { polyline } from '@ample/core/geometry';
import { plainChoices, type Ring } from '@ample/core/in/tracing';
import { choose, tracedOf, useImport } from './import.ts';
import { doAgain, takeBack, useBringHistory } from './importHistory.ts';

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
const begin = () => {
  useImport.setState({
    picked: { ring, look: null, others: [] },
    choices: { ...plainChoices('piece', 'Piece'), part: 'other' },
    choiceFailed: null,
  });
  useBringHistory.setState({ past: [], future: [] });
};

describe('choices for the piece in hand', () => {
  it('are taken back one by one, down to the first', () => {
    begin();
    choose({ allowance: 10 });
    choose({ name: 'Pocket' });
    takeBack();
    expect(useImport.getState().choices).toMatchObject({ allowance: 10, name: 'Piece' });
    expect(takeBack()).toBe(true);
    expect(takeBack()).toBe(false);
    expect(useImport.getState().choices).toMatchObject({ allowance: 15, name: 'Piece' });
    doAgain();
    expect(useImport.getState().choices).toMatchObject({ allowance: 10, name: 'Piece' });
  });
  it('are one history with pages, scale and what is hidden', () => {
    begin();
    useImport.setState({ scale: 1.03 });
    useImport.setState({ hidden: { layers: ['36'], styles: [] } });
    useImport.setState({ tool: 'measure' });
    takeBack();
    expect(useImport.getState()).toMatchObject({ scale: 1.03, hidden: { layers: [], styles: [] }, tool: 'measure' });
    takeBack();
    expect(useImport.getState().scale).toBe(1);
  });
  it('that nothing can be made of are refused in words; the piece stays as it was', () => {
    begin();
    // A choice that no reader of files makes, but a mistake might: tracing throws on it.
    choose({ turned: null as never });
    const { choices, choiceFailed } = useImport.getState();
    expect(choiceFailed).toMatchObject({ code: 'piece-not-traced' });
    expect(choices?.turned).toEqual([]);
    expect(tracedOf(useImport.getState())?.piece.edges.length).toBeGreaterThan(2);
    choose({ allowance: 10 });
    expect(useImport.getState().choiceFailed).toBeNull();
  });
});
