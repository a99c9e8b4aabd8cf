import {
  add,
  blend,
  pathFromSpans,
  scale,
  splitAtLength,
  sub,
  unit,
  pathLength,
  reversePath,
  rotate,
  type Path,
} from '../geometry/index.ts';
import { bisect } from '../numeric/index.ts';
import { mirrorPiece, type ChartRow, type Piece } from '../pattern/index.ts';
import { bodyOf, type Body } from './body.ts';
import { edge, leaning, line, neckCurve, QUARTER, rad } from './parts.ts';

import { bustPointOn, frameOf, frontWidth, half, hem, marksOf, TAIL } from './frame.ts';
import { TOL } from '../units/index.ts';

/** Front, back and sleeve of a dartless raglan top in a knit: no dart, little or no ease. */
export function draftRaglan(row: ChartRow, ease: number): readonly [Piece, Piece, Piece] {
  const b = bodyOf(row);
  const width = frontWidth(b, ease);
  const make = (part: 'front' | 'back', w: number) => {
    const f = frameOf(row, part, w);
    const slope = rad(20);
    const along = { x: Math.cos(slope), y: Math.sin(slope) };
    const whole = neckCurve(f.centreNeck, f.neckPoint, along);
    const [neck, top] = splitAtLength(whole, pathLength(whole) * (part === 'front' ? 0.74 : 0.7));
    const from = neck.segments.at(-1)?.to ?? f.neckPoint;
    const side = leaning(rad(2));
    const under = { x: f.underarm.x, y: f.underarm.y + 8 };
    const chord = unit(sub(under, from));
    const raglan = pathFromSpans([blend(from, rotate(chord, rad(9)), under, rotate(side, -QUARTER), 0.36)]);
    const bottom = add(under, scale(side, b.sideWaist + TAIL - 8));
    const hemLine = hem(bottom, side);
    const centre = hemLine.segments.at(-1)?.to ?? bottom;
    const piece = half(
      part,
      [
        edge('neck', 'neck', neck, 10),
        edge('raglan', 'raglan', raglan, 10),
        edge('side', 'side', line(under, bottom), 10),
        edge('hem', 'hem', hemLine, 20),
        edge(
          part === 'front' ? 'centreFront' : 'centreBack',
          part === 'front' ? 'centreFront' : 'centreBack',
          line(centre, f.centreNeck),
        ),
      ],
      [
        ...marksOf(f, centre.y),
        ...(part === 'front' ? [{ kind: 'bustPoint' as const, id: 'bustPoint', at: bustPointOn(b) }] : []),
        { kind: 'notch', id: 'raglan', edge: 'raglan', at: pathLength(raglan) * 0.6, count: part === 'front' ? 1 : 2 },
        { kind: 'notch', id: 'side', edge: 'side', at: 120, count: 1 },
      ],
    );
    return { piece, raglan, neckTop: pathLength(top) };
  };
  const front = make('front', width);
  const back = make('back', (b.bust + ease) / 2 - width);
  const sleeve = raglanSleeve(b, front, back);
  return [front.piece, mirrorPiece(back.piece, width / 2), sleeve];
}

interface RaglanHalf {
  readonly raglan: Path;
  readonly neckTop: number;
}

/** The sleeve between two raglan seams: its own seams solved to their lengths. Front to the right. */
function raglanSleeve(b: Body, front: RaglanHalf, back: RaglanHalf): Piece {
  const width = b.upperArm * 1.02;
  const top = (front.neckTop + back.neckTop) * 0.92;
  const drawn = (sign: 1 | -1, height: number): Path => {
    const from = { x: (sign * top) / 2, y: -height };
    const under = { x: (sign * width) / 2, y: 0 };
    const chord = unit(sub(under, from));
    return pathFromSpans([blend(from, rotate(chord, rad(sign * -8)), under, rotate(chord, rad(sign * -26)), 0.36)]);
  };
  const fitted = (sign: 1 | -1, goal: number): Path =>
    drawn(
      sign,
      bisect((h) => pathLength(drawn(sign, h)) - goal, 20, 500, TOL.zero),
    );
  const right = fitted(1, pathLength(front.raglan));
  const left = fitted(-1, pathLength(back.raglan));
  const length = 190;
  const cuff = width * 0.88;
  const neck = pathFromSpans([blend(left.start, unit({ x: 1, y: 0.28 }), right.start, unit({ x: 1, y: 0.1 }))]);
  const a = { x: width / 2, y: 0 };
  const c = { x: -width / 2, y: 0 };
  const hemFront = { x: cuff / 2, y: length };
  const hemBack = { x: -cuff / 2, y: length };
  return {
    id: 'sleeve',
    name: 'Sleeve',
    part: 'sleeve',
    cut: 2,
    fold: null,
    half: false,
    notes: '',
    edges: [
      edge('neck', 'neck', neck, 10),
      edge('raglanFront', 'raglan', right, 10),
      edge('underarmFront', 'underarm', line(a, hemFront), 10),
      edge('sleeveHem', 'sleeveHem', line(hemFront, hemBack), 20),
      edge('underarmBack', 'underarm', line(hemBack, c), 10),
      edge('raglanBack', 'raglan', reversePath(left), 10),
    ],
    darts: [],
    marks: [
      { kind: 'grain', id: 'grain', from: { x: 0, y: -60 }, to: { x: 0, y: length - 40 } },
      { kind: 'notch', id: 'raglanFront', edge: 'raglanFront', at: pathLength(right) * 0.6, count: 1 },
      { kind: 'notch', id: 'raglanBack', edge: 'raglanBack', at: pathLength(left) * 0.4, count: 2 },
    ],
  };
}
