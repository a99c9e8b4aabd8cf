import {
  pathFromSpans,
  pathLength,
  pointAt,
  polyline,
  splitAtLength,
  type Path,
  type Point,
} from '../../geometry/index.ts';
import { mirrorPiece, type Edge, type Mark, type Piece, type Seam } from '../../pattern/index.ts';
import type { Drafted } from './rewrite.ts';

/** A hip-length top drawn by hand, as no sample is drawn; every measure may be moved a little. */
export interface HandOptions {
  /** How far the sides are drawn in at the waist, mm. */
  readonly waistIn: number;
  /** How far the armhole is hollowed beyond a straight line, mm. */
  readonly hollow: number;
  readonly wider: number;
  readonly longer: number;
  /** A side dart below the underarm in front. */
  readonly sideDart: boolean;
  /** The back lies as it is drawn, its centre at the right. */
  readonly mirroredBack: boolean;
  readonly centreBackSeam: boolean;
  readonly facings: boolean;
  /** A neckband drawn upright, its length down the page. */
  readonly band: boolean;
}

export const PLAIN_HAND: HandOptions = {
  waistIn: 24,
  hollow: 26,
  wider: 0,
  longer: 0,
  sideDart: false,
  mirroredBack: true,
  centreBackSeam: false,
  facings: true,
  band: true,
};

const p = (x: number, y: number): Point => ({ x, y });
const curve = (...q: readonly Point[]): Path => {
  const spans = [];
  for (let i = 0; i + 3 < q.length; i += 3)
    spans.push({
      kind: 'cubic' as const,
      a: q[i] as Point,
      c1: q[i + 1] as Point,
      c2: q[i + 2] as Point,
      b: q[i + 3] as Point,
    });
  return pathFromSpans(spans);
};
const edge = (id: string, role: Edge['role'], path: Path, allowance = 12): Edge => ({ id, role, path, allowance });

function half(part: 'front' | 'back', o: HandOptions): Piece {
  const front = part === 'front';
  const width = 240 + o.wider;
  const waist = width - o.waistIn;
  const hip = width + 8;
  const [under, level, bottom] = [208, 372 + o.longer, 566 + o.longer];
  const [neckY, neckX] = front ? [78, 66] : [24, 66];
  const shoulder = p(182, 44);
  const hollow = p(176 - o.hollow, 138);
  const side = curve(
    p(width, under),
    p(width - 3, under + 50),
    p(waist, level - 60),
    p(waist, level),
    p(waist, level + 64),
    p(hip, bottom - 80),
    p(hip, bottom),
  );
  const centre = front ? 'centreFront' : 'centreBack';
  const edges = [
    edge(`${part[0]}1`, 'neck', curve(p(0, neckY), p(neckX * 0.5, neckY), p(neckX * 0.86, neckY * 0.5), p(neckX, 0))),
    edge(`${part[0]}2`, 'shoulder', polyline([p(neckX, 0), shoulder])),
    edge(
      `${part[0]}3`,
      'armhole',
      curve(
        shoulder,
        p(shoulder.x - 10, shoulder.y + 30),
        p(hollow.x, hollow.y - 30),
        hollow,
        p(hollow.x, hollow.y + 40),
        p(width - 40, under),
        p(width, under),
      ),
    ),
    edge(`${part[0]}4`, 'side', side),
    edge(`${part[0]}5`, 'hem', polyline([p(hip, bottom), p(0, bottom)]), 20),
    edge(`${part[0]}6`, centre, polyline([p(0, bottom), p(0, neckY)])),
  ];
  const armhole = pathLength((edges[2] as Edge).path);
  const marks: Mark[] = [
    { kind: 'notch', id: 'arm', edge: `${part[0]}3`, at: armhole * 0.52, count: front ? 1 : 2 },
    { kind: 'notch', id: 'hip', edge: `${part[0]}4`, at: pathLength(side) - 90, count: 1 },
    { kind: 'level', id: 'w', name: 'waist', at: p(8, level) },
    { kind: 'level', id: 'l', name: 'lengthenShorten', at: p(8, level - 70) },
    { kind: 'grain', id: 'g', from: p(40, 150), to: p(40, 480) },
    ...(front ? [{ kind: 'bustPoint' as const, id: 'bp', at: p(96, 268) }] : []),
  ];
  const piece: Piece = {
    id: part === 'front' ? 'VT' : 'RT',
    name: front ? 'Hand front' : 'Hand back',
    part,
    cut: front || !o.centreBackSeam ? 1 : 2,
    fold: front || !o.centreBackSeam ? `${part[0]}6` : null,
    half: true,
    notes: '',
    edges,
    darts: [],
    marks,
  };
  return front && o.sideDart ? withSideDart(piece, o) : piece;
}

/** A side dart 60 below the underarm: the lower side goes down by what it takes up, so that the sewn side stays. */
function withSideDart(piece: Piece, o: HandOptions): Piece {
  const side = piece.edges[3] as Edge;
  const intake = 26;
  const [upper, lower] = splitAtLength(side.path, 58);
  const down = (q: Point): Point => p(q.x, q.y + intake);
  const lowered: Path = {
    start: down(lower.start),
    segments: lower.segments.map((s) =>
      s.kind === 'line' ? { ...s, to: down(s.to) } : { ...s, c1: down(s.c1), c2: down(s.c2), to: down(s.to) },
    ),
  };
  const end = upper.segments.at(-1)?.to ?? upper.start;
  const tip = p(128, (end.y + lowered.start.y) / 2 + 0.02 * (end.x - 128));
  const edges = piece.edges.flatMap((e): readonly Edge[] => {
    if (e.id === side.id)
      return [
        { ...side, path: upper },
        edge('fm', 'dart', polyline([end, lowered.start])),
        { ...side, id: 'f4u', path: lowered },
      ];
    if (e.role === 'hem')
      return [{ ...e, path: polyline([p(248 + o.wider, e.path.start.y + intake), p(0, e.path.start.y)]) }];
    return [e];
  });
  const marks = piece.marks.map((m): Mark =>
    m.kind === 'notch' && m.edge === side.id ? { ...m, edge: 'f4u', at: m.at - 58 } : m,
  );
  return { ...piece, edges, marks, darts: [{ id: 'fd', kind: 'side', mouth: 'fm', tip, foldToward: 'end' }] };
}

const DEPTH = 52;
function facing(of: Piece, o: HandOptions): Piece {
  const [neck, shoulder, centre] = ['neck', 'shoulder', of.part === 'front' ? 'centreFront' : 'centreBack'].map(
    (role) => (of.edges.find((e) => e.role === role) as Edge).path,
  ) as [Path, Path, Path];
  const along = splitAtLength(shoulder, DEPTH)[0];
  const corner = along.segments.at(-1)?.to ?? along.start;
  const top = neck.start;
  const foot = pointAt(centre, pathLength(centre) - DEPTH);
  const name = of.part === 'front' ? 'VB' : 'RB';
  const onFold = of.fold !== null && !(o.centreBackSeam && of.part === 'back');
  return {
    id: name,
    name: `${of.name} facing`,
    part: of.part === 'front' ? 'facingFront' : 'facingBack',
    cut: 1,
    fold: onFold ? `${name}-z` : null,
    half: true,
    notes: '',
    darts: [],
    marks: [],
    edges: [
      edge(`${name}-n`, 'neck', neck),
      edge(`${name}-s`, 'shoulder', along),
      edge(`${name}-u`, 'other', curve(corner, p(corner.x - 20, corner.y + 45), p(foot.x + 45, foot.y), foot), 6),
      edge(`${name}-z`, of.part === 'front' ? 'centreFront' : 'centreBack', polyline([foot, top])),
    ],
  };
}

/** Half a neckband, nine tenths of the neckline, upright: its seam edge at the right, front above. */
function band(front: number, back: number): Piece {
  const [f, b] = [front * 0.9, back * 0.9];
  return {
    id: 'BD',
    name: 'Band',
    part: 'band',
    cut: 1,
    fold: 'bd-f',
    half: true,
    notes: '',
    darts: [],
    marks: [],
    edges: [
      edge('bd-f', 'other', polyline([p(0, 0), p(28, 0)])),
      edge('bd-v', 'neck', polyline([p(28, 0), p(28, f)])),
      edge('bd-r', 'neck', polyline([p(28, f), p(28, f + b)])),
      edge('bd-e', 'other', polyline([p(28, f + b), p(0, f + b)])),
      edge('bd-o', 'other', polyline([p(0, f + b), p(0, 0)])),
    ],
  };
}

/** The pieces of the top, and the seams they are sewn by. */
export function handDraft(o: HandOptions = PLAIN_HAND): Drafted {
  const front = half('front', o);
  const flat = half('back', o);
  const back = o.mirroredBack ? mirrorPiece(flat, 140) : flat;
  const turned = (piece: Piece): Piece => (o.mirroredBack ? mirrorPiece(piece, 140) : piece);
  const seam = (
    id: string,
    kind: Seam['kind'],
    a: [string, ...string[]],
    b: [string, ...string[]],
    r: [boolean, boolean],
    ease = 0,
  ): Seam => ({
    id,
    kind,
    ease,
    first: { piece: a[0], edges: a.slice(1), reversed: r[0] },
    second: { piece: b[0], edges: b.slice(1), reversed: r[1] },
  });
  const way = o.mirroredBack;
  const neck = (piece: Piece): number => pathLength((piece.edges.find((e) => e.role === 'neck') as Edge).path);
  const sides: [string, ...string[]] = o.sideDart ? ['VT', 'f4', 'f4u'] : ['VT', 'f4'];
  const pieces: Piece[] = [front, back];
  const seams = [
    seam('s1', 'shoulder', ['VT', 'f2'], ['RT', 'b2'], [false, way]),
    seam('s2', 'side', sides, ['RT', 'b4'], [false, way]),
  ];
  if (o.facings) {
    pieces.push(facing(front, o), turned(facing(flat, o)));
    seams.push(
      seam('s3', 'neck', ['VT', 'f1'], ['VB', 'VB-n'], [false, false]),
      seam('s4', 'neck', ['RT', 'b1'], ['RB', 'RB-n'], [way, way]),
      seam('s5', 'other', ['VB', 'VB-s'], ['RB', 'RB-s'], [false, way]),
    );
  }
  if (o.band) {
    pieces.push(band(neck(front), neck(back)));
    seams.push(
      seam('s6', 'neck', ['VT', 'f1'], ['BD', 'bd-v'], [false, false], -0.1 * neck(front)),
      seam('s7', 'neck', ['RT', 'b1'], ['BD', 'bd-r'], [way, false], -0.1 * neck(back)),
    );
  }
  return { pieces, seams };
}
