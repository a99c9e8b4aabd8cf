import type { Context } from '../alterations/index.ts';
import { mirrorPiece, type Piece, type Seam } from '../pattern/index.ts';
import { edge, line } from './shapes.ts';

/**
 * A bodice and skirt of straight lines, drawn by hand so that every number in a test can be worked out on paper.
 * Front: centre x = 0, neck point (60, 0), shoulder level and 100 long, armhole straight down from (160, 0) to
 * (160, 120) and on to the underarm (200, 160), side straight down to (200, 360). Notch 80 down the armhole.
 */
export interface BlockOptions {
  /** Front and back run on to a hem at y = 560 instead of ending at the waist. */
  readonly long?: boolean;
  /** The back lies on the fold. */
  readonly fold?: boolean;
  /** How much wider everything is at the side (another size of the nest), mm. */
  readonly wider?: number;
  readonly skirt?: boolean;
  /** The back in two panels, cut apart straight down from 40 along the shoulder, at x = 100. */
  readonly panels?: boolean;
}

const level = (name: 'waist' | 'hip' | 'lengthenShorten' | 'bust', y: number) => ({
  kind: 'level' as const,
  id: name,
  name,
  at: { x: 5, y },
});

function half(part: 'front' | 'back', o: BlockOptions): Piece {
  const centre = part === 'front' ? 'centreFront' : 'centreBack';
  const top = part === 'front' ? 60 : 20;
  const x = 200 + (o.wider ?? 0);
  const bottom = o.long ? 560 : 360;
  const role = o.long ? 'hem' : 'waist';
  return {
    id: part,
    name: part === 'front' ? 'Front' : 'Back',
    part,
    cut: 1,
    fold: part === 'front' || o.fold ? centre : null,
    half: true,
    notes: '',
    darts: [],
    edges: [
      edge('neck', 'neck', line([0, top], [60, 0])),
      edge('shoulder', 'shoulder', line([60, 0], [160, 0])),
      edge('armhole', 'armhole', line([160, 0], [160, 120], [x, 160])),
      edge('side', 'side', line([x, 160], [x, bottom])),
      edge(role, role, line([x, bottom], [0, bottom])),
      edge(centre, centre, line([0, bottom], [0, top])),
    ],
    marks: [
      { kind: 'notch', id: 'arm', edge: 'armhole', at: 80, count: 1 },
      { kind: 'notch', id: 'side', edge: 'side', at: 100, count: 1 },
      level('bust', 200),
      level('waist', 360),
      level('lengthenShorten', 300),
    ],
  };
}

/** Waist 200, side straight out to 260 at the hem 600 below; hip level 200 below the waist. */
function skirtHalf(part: 'skirtFront' | 'skirtBack', wider: number): Piece {
  const centre = part === 'skirtFront' ? 'centreFront' : 'centreBack';
  return {
    id: part,
    name: part,
    part,
    cut: 1,
    fold: part === 'skirtFront' ? centre : null,
    half: true,
    notes: '',
    darts: [],
    edges: [
      edge('waist', 'waist', line([0, 0], [200 + wider, 0])),
      edge('side', 'side', line([200 + wider, 0], [260 + wider, 600])),
      edge('hem', 'hem', line([260 + wider, 600], [0, 600])),
      edge(centre, centre, line([0, 600], [0, 0])),
    ],
    marks: [level('waist', 0), level('hip', 200)],
  };
}

const seam = (
  id: string,
  kind: Seam['kind'],
  a: [string, string],
  b: [string, string],
  reversed: [boolean, boolean],
): Seam => ({
  id,
  kind,
  ease: 0,
  first: { piece: a[0], edges: [a[1]], reversed: reversed[0] },
  second: { piece: b[0], edges: [b[1]], reversed: reversed[1] },
});

export function block(o: BlockOptions = {}): Context {
  if (o.panels) return panelled(o);
  const pieces: Piece[] = [half('front', o), mirrorPiece(half('back', o), 100)];
  const seams = [
    seam('shoulder', 'shoulder', ['front', 'shoulder'], ['back', 'shoulder'], [false, true]),
    seam('side', 'side', ['front', 'side'], ['back', 'side'], [false, true]),
  ];
  if (o.skirt) {
    pieces.push(skirtHalf('skirtFront', o.wider ?? 0), mirrorPiece(skirtHalf('skirtBack', o.wider ?? 0), 130));
    seams.push(
      seam('skirt side', 'side', ['skirtFront', 'side'], ['skirtBack', 'side'], [false, true]),
      seam('waist front', 'waist', ['front', 'waist'], ['skirtFront', 'waist'], [true, false]),
      seam('waist back', 'waist', ['back', 'waist'], ['skirtBack', 'waist'], [false, true]),
    );
  }
  return { pieces, seams, original: pieces, originalSeams: seams, wearer: {} };
}

/** Front as it is, back cut into a centre and a side panel that run from the shoulder to the bottom. */
function panelled(o: BlockOptions): Context {
  const back = half('back', o);
  const role = o.long ? 'hem' : 'waist';
  const bottom = o.long ? 560 : 360;
  const x = 200 + (o.wider ?? 0);
  const kept = (...ids: string[]) => back.edges.filter((e) => ids.includes(e.id));
  const down = line([100, 0], [100, bottom]);
  const centre: Piece = {
    ...back,
    edges: [
      ...kept('neck'),
      edge('shoulderNeck', 'shoulder', line([60, 0], [100, 0])),
      edge('princess', 'princess', down),
      edge(role, role, line([100, bottom], [0, bottom])),
      ...kept('centreBack'),
    ],
    marks: back.marks.filter((m) => m.kind !== 'notch'),
  };
  const side: Piece = {
    ...back,
    id: 'sideBack',
    name: 'Side back',
    part: 'sideBack',
    cut: 2,
    fold: null,
    half: true,
    edges: [
      edge('shoulderArm', 'shoulder', line([100, 0], [160, 0])),
      ...kept('armhole', 'side'),
      edge(role, role, line([x, bottom], [100, bottom])),
      edge('princess', 'princess', line([100, bottom], [100, 0])),
    ],
    marks: back.marks,
  };
  const pieces = [half('front', o), mirrorPiece(centre, 100), mirrorPiece(side, 100)];
  const seams = [
    seam('side', 'side', ['front', 'side'], ['sideBack', 'side'], [false, true]),
    seam('princess back', 'princess', ['back', 'princess'], ['sideBack', 'princess'], [true, false]),
  ];
  return { pieces, seams, original: pieces, originalSeams: seams, wearer: {} };
}
