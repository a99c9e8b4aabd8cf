import { beforeEach, describe, expect, it } from 'vitest';
import { draftSample } from '@ample/core/blocks';
import { pathLength, type Path } from '@ample/core/geometry';
import { outlineOf, type Piece } from '@ample/core/pattern';
import {
  plainChoices,
  sureness,
  traceSafely,
  type Question,
  type ReadFile,
  type ReadPiece,
  type Ring,
  type TraceChoices,
} from '@ample/core/in/tracing';
import { expectOk } from '@ample/core/units';
import { useImport } from './import.ts';
import { takeBack, useBringHistory } from './importHistory.ts';
import { callIt, chosenPieces, isTaken, layBack, leaveOut, piecesAreRight, takeInHand } from './contact.ts';
import type { Contact } from './contactTypes.ts';

const ringOf = (size: string, id = 'back'): Ring => {
  const path: Path = outlineOf(draftSample('causeway-low-armhole', size).find((p) => p.id === id) as Piece);
  return { path, strokes: [0], healed: [] };
};
/** A piece drawn by its seam line in some sizes, as it comes out of a file. */
function piece(id: string, own: string, others: readonly string[], asks: readonly Question[] = []): ReadPiece {
  const choices: TraceChoices = { ...plainChoices(id, id), part: 'back', line: 'sewing' };
  const ring = ringOf(own);
  const traced = expectOk(traceSafely(ring, [], choices), id);
  return {
    ring,
    look: '',
    others: [],
    choices,
    traced,
    size: own,
    alike: others.map((size) => ({ size, ring: ringOf(size), others: [] })),
    forAll: null,
    sizes: [own, ...others].map((size) => ({ size, piece: traced.piece })),
    sure: sureness(asks, []),
    why: [],
    asks,
  };
}
const open = (pieces: readonly ReadPiece[], size: string): void => {
  const read: ReadFile = {
    scale: 1,
    sizes: ['3', '4', '5'],
    sizesBy: 'words',
    size,
    pieces,
    seams: [],
    allowanceOpen: false,
  };
  const contact: Contact = {
    of: [],
    wanted: { size },
    state: 'ready',
    read,
    open: true,
    pieces,
    left: [],
    settled: [],
    step: 'pieces',
    inHand: null,
  };
  useImport.setState({ contact, picked: null, choices: null });
  useBringHistory.setState({ past: [], future: [] });
};
const now = (): Contact => useImport.getState().contact as Contact;
const named = (id: string): ReadPiece => now().pieces.find((p) => p.choices.id === id) as ReadPiece;

beforeEach(() => useImport.setState({ contact: null, picked: null, choices: null }));

describe('pieces that are taken', () => {
  it('go into the sizes they were drawn in: one that lacks the size chosen is not passed off as that size', () => {
    // Drawn in 3 and 5 only, while 4 was chosen.
    const lacking = piece('yoke', '3', ['5'], [{ code: 'which-sizes', data: { drawn: 2, expected: 3 } }]);
    open([piece('back', '4', ['3', '5']), lacking], '4');
    piecesAreRight();
    const taken = chosenPieces(now());
    expect(taken.filter((t) => t.piece.id === 'yoke').map((t) => t.size)).toEqual(['3', '5']);
    expect(taken[0]).toMatchObject({ size: '4', piece: { id: 'back' } });
  });
  it('are those that are sure, or said to be right; never one that nobody named or that would be cut wrong', () => {
    const doubtful = piece('a', '4', [], [{ code: 'on-fold', data: {} }]);
    const nameless = piece('b', '4', [], [{ code: 'which-part', data: {} }]);
    const wrong = piece('c', '4', [], [{ code: 'allowance-off', data: { off: 10 } }]);
    open([piece('d', '4', []), doubtful, nameless, wrong], '4');
    const taken = () =>
      now()
        .pieces.filter((p) => isTaken(now(), p))
        .map((p) => p.choices.id);
    expect(taken()).toEqual(['d']);
    piecesAreRight();
    expect(taken()).toEqual(['d', 'a']);
    leaveOut('d');
    expect(taken()).toEqual(['a']);
    takeBack();
    expect(taken()).toEqual(['d', 'a']);
  });
  it('take the name of the part they are called by, and one question less', () => {
    open([{ ...piece('piece', '4', [], [{ code: 'which-part', data: {} }]) }], '4');
    expect(callIt('piece', 'other')).toBeNull();
    expect(named('piece')).toMatchObject({ choices: { part: 'other' }, asks: [] });
  });
});

describe('a piece put right by hand', () => {
  it('stays itself under another name, also one that another piece has', () => {
    open([piece('back', '4', ['3']), piece('yoke', '4', [])], '4');
    takeInHand('yoke');
    const { choices } = useImport.getState();
    useImport.setState({ choices: { ...(choices as TraceChoices), name: 'Back', id: 'back' } });
    layBack();
    expect(now().pieces.map((p) => p.choices.id)).toEqual(['back', 'yoke']);
    expect(named('yoke').choices.name).toBe('Back');
    expect(new Set(now().pieces.map((p) => p.traced.piece.id)).size).toBe(2);
  });
  it('comes back in every size with what was chosen for it', () => {
    open([piece('back', '4', ['3', '5'])], '4');
    takeInHand('back');
    const { choices } = useImport.getState();
    useImport.setState({ choices: { ...(choices as TraceChoices), allowance: 10 } });
    layBack();
    expect(
      named('back')
        .sizes.map((s) => s.size)
        .sort(),
    ).toEqual(['3', '4', '5']);
    for (const { size, piece: made } of named('back').sizes) {
      const side = (p: Piece) => p.edges.find((e) => e.role === 'side');
      const drawn = draftSample('causeway-low-armhole', size).find((p) => p.id === 'back') as Piece;
      expect(side(made)?.allowance).toBe(10);
      expect(pathLength(side(made)!.path)).toBeCloseTo(pathLength(side(drawn)!.path), 1);
    }
  });
  it('on another line, as the seam line, leaves the sizes whose lines do not match it', () => {
    open([piece('back', '4', ['3', '5'])], '4');
    takeInHand('back');
    const { picked } = useImport.getState();
    useImport.setState({ picked: { ...picked!, ring: { ...ringOf('4') } } });
    layBack();
    expect(named('back').sizes.map((s) => s.size)).toEqual(['4']);
  });
});
