import {
  add,
  blend,
  midpoint,
  pathFromSpans,
  scale,
  splitAtLength,
  sub,
  unit,
  pathLength,
  bisect,
  rotate,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { mirrorPiece, type ChartRow, type Edge, type Mark, type Piece } from '../pattern/index.ts';
import { capDart } from '../truing/index.ts';
import { bodyOf, NAPE_DROP, neckWidth, underarmBelowNeck, type Body } from './body.ts';
import { armholeCurve, edge, leaning, line, neckCurve, openDart, QUARTER, rad } from './parts.ts';

/** A loose top to the high hip: how wide, and whether the front has a side dart. */
export interface TopOptions {
  readonly ease: number;
  readonly dart: boolean;
}

const DART_BELOW = 55;
const SETBACK = 25;
/** From the waist to the hem at the side. */
const TAIL = 150;

/** Everything a half piece of a top shares, whatever its sleeve. */
interface Frame {
  readonly b: Body;
  readonly neckPoint: Point;
  readonly centreNeck: Point;
  readonly underarm: Point;
  readonly bustLevel: number;
}

function frameOf(row: ChartRow, part: 'front' | 'back', width: number): Frame {
  const b = bodyOf(row);
  const back = part === 'back';
  return {
    b,
    neckPoint: { x: neckWidth(b) + (back ? 3 : 0), y: 0 },
    centreNeck: { x: 0, y: back ? NAPE_DROP : b.neck / 5.1 },
    underarm: { x: width, y: underarmBelowNeck(b) },
    bustLevel: underarmBelowNeck(b) + DART_BELOW - 8,
  };
}

/** The hem: square to the side seam, level from there to the centre. */
function hem(side: Point, alongSide: Point): Path {
  const lean = Math.atan2(-alongSide.x, alongSide.y);
  const level = side.y - side.x * Math.tan(lean / 2);
  const corner = { x: 0, y: level };
  return pathFromSpans([blend(side, rotate(alongSide, QUARTER), corner, { x: -1, y: 0 })]);
}

/** Marks every half piece of a top carries. */
function marksOf(f: Frame, bottom: number): readonly Mark[] {
  return [
    { kind: 'level', id: 'bust', name: 'bust', at: { x: 6, y: f.bustLevel } },
    { kind: 'level', id: 'lengthenShorten', name: 'lengthenShorten', at: { x: 6, y: bottom - TAIL - 50 } },
    { kind: 'grain', id: 'grain', from: { x: 20, y: f.centreNeck.y + 50 }, to: { x: 20, y: bottom - 50 } },
  ];
}

const half = (part: 'front' | 'back', edges: readonly Edge[], marks: readonly Mark[]): Piece => ({
  id: part,
  name: part === 'front' ? 'Top front' : 'Top back',
  part,
  cut: 1,
  fold: part === 'front' ? 'centreFront' : 'centreBack',
  half: true,
  notes: '',
  edges,
  darts: [],
  marks,
});

export const bustPointOn = (b: Body): Point => {
  const across = b.bustSpan / 2 - neckWidth(b);
  return { x: b.bustSpan / 2, y: Math.sqrt(b.bustHeight ** 2 - across ** 2) };
};

/** How wide the front is at the underarm; the back takes the rest of the garment. */
const frontWidth = (b: Body, ease: number): number => b.bust / 4 + ease / 4 + 6;

/** Front and back of a top with a set-in armhole. */
export function draftTop(row: ChartRow, options: TopOptions): readonly [Piece, Piece] {
  const b = bodyOf(row);
  const width = frontWidth(b, options.ease);
  const front = setIn(row, 'front', width, options);
  const back = setIn(row, 'back', (b.bust + options.ease) / 2 - width, { ...options, dart: false });
  return [front, mirrorPiece(back, width / 2)];
}

function setIn(row: ChartRow, part: 'front' | 'back', width: number, { dart: darted }: TopOptions): Piece {
  const f = frameOf(row, part, width);
  const { b, neckPoint, underarm } = f;
  const slope = rad(part === 'front' ? 20 : 18);
  const along = { x: Math.cos(slope), y: Math.sin(slope) };
  const shoulderPoint = add(neckPoint, scale(along, b.shoulder));
  const side = leaning(rad(darted ? -10 : part === 'front' ? 1 : 2));
  const size = b.sideWaist + TAIL;
  const pitchX = part === 'front' ? b.crossFront / 2 + 4 : b.crossBack / 2 + 8;
  const pitch = { x: Math.min(pitchX, underarm.x - 30), y: shoulderPoint.y + 0.52 * (underarm.y - shoulderPoint.y) };
  const armhole = armholeCurve(shoulderPoint, along, pitch, underarm, side);
  const bustPoint = bustPointOn(b);
  let dart = null;
  let tip = add(bustPoint, { x: SETBACK, y: 0 });
  if (darted)
    for (let i = 0; i < 40; i++) {
      dart = openDart(underarm, side, DART_BELOW, size - DART_BELOW, tip, 24 + b.bust / 400);
      tip = add(bustPoint, scale(unit(sub(midpoint(dart.a, dart.b), bustPoint)), SETBACK));
    }
  const bottom = dart ? dart.end : add(underarm, scale(side, size));
  const hemLine = hem(bottom, dart ? dart.alongAfter : side);
  const centre = hemLine.segments.at(-1)?.to ?? bottom;
  const sides = dart
    ? [
        edge('sideUpper', 'side', line(underarm, dart.a)),
        edge('sideDart', 'dart', line(dart.a, dart.b)),
        edge('sideLower', 'side', line(dart.b, dart.end)),
      ]
    : [edge('side', 'side', line(underarm, bottom))];
  const piece = half(
    part,
    [
      edge('neck', 'neck', neckCurve(f.centreNeck, neckPoint, along)),
      edge('shoulder', 'shoulder', line(neckPoint, shoulderPoint)),
      edge('armhole', 'armhole', armhole.path),
      ...sides,
      edge('hem', 'hem', hemLine, 20),
      edge(
        part === 'front' ? 'centreFront' : 'centreBack',
        part === 'front' ? 'centreFront' : 'centreBack',
        line(centre, f.centreNeck),
      ),
    ],
    [
      ...marksOf(part === 'front' ? { ...f, bustLevel: darted ? bustPoint.y : f.bustLevel } : f, centre.y),
      ...(part === 'front' ? [{ kind: 'bustPoint' as const, id: 'bustPoint', at: bustPoint }] : []),
      { kind: 'notch', id: 'armhole', edge: 'armhole', at: armhole.notchAt, count: part === 'front' ? 1 : 2 },
      { kind: 'notch', id: 'side', edge: dart ? 'sideLower' : 'side', at: dart ? 80 : DART_BELOW + 80, count: 1 },
    ],
  );
  return dart
    ? capDart(
        { ...piece, darts: [{ id: 'sideDart', kind: 'side', mouth: 'sideDart', tip, foldToward: 'end' }] },
        { id: 'sideDart', kind: 'side', mouth: 'sideDart', tip, foldToward: 'end' },
      )
    : piece;
}

/** Front and back with a sleeve cut on: overarm seam, sleeve hem, underarm curve running into the side. */
export function draftCutOn(row: ChartRow, ease: number): readonly [Piece, Piece] {
  const b = bodyOf(row);
  const width = frontWidth(b, ease);
  const make = (part: 'front' | 'back', shift: number): Piece => {
    const f = frameOf(row, part, width + shift);
    const slope = rad(18);
    const along = { x: Math.cos(slope), y: Math.sin(slope) };
    const side = leaning(rad(1));
    const joins = { x: f.underarm.x, y: f.underarm.y + 45 };
    // Measured from the neck point, so that overarm and underarm are alike on front and back.
    const wrist = add(f.neckPoint, scale(along, b.shoulder + 160));
    const under = { x: wrist.x - 26, y: f.underarm.y + 6 };
    const leave = unit({ x: -1, y: 0.25 });
    const curve = pathFromSpans([blend(under, leave, joins, side, 0.4)]);
    const opening = pathFromSpans([blend(wrist, rotate(along, QUARTER), under, rotate(leave, -QUARTER))]);
    const bottom = add(joins, scale(side, b.sideWaist + TAIL - 45));
    const hemLine = hem(bottom, side);
    const centre = hemLine.segments.at(-1)?.to ?? bottom;
    return half(
      part,
      [
        edge('neck', 'neck', neckCurve(f.centreNeck, f.neckPoint, along)),
        edge('overarm', 'shoulder', line(f.neckPoint, wrist)),
        edge('sleeveHem', 'sleeveHem', opening, 20),
        edge('underarm', 'underarm', curve),
        edge('side', 'side', line(joins, bottom)),
        edge('hem', 'hem', hemLine, 20),
        edge(
          part === 'front' ? 'centreFront' : 'centreBack',
          part === 'front' ? 'centreFront' : 'centreBack',
          line(centre, f.centreNeck),
        ),
      ],
      [
        ...marksOf({ ...f, bustLevel: f.underarm.y + 60 }, centre.y),
        ...(part === 'front' ? [{ kind: 'bustPoint' as const, id: 'bustPoint', at: bustPointOn(b) }] : []),
        { kind: 'notch', id: 'side', edge: 'side', at: 90, count: 1 },
      ],
    );
  };
  return [make('front', 0), mirrorPiece(make('back', 3), width / 2)];
}

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
      bisect((h) => pathLength(drawn(sign, h)) - goal, 20, 500, 1e-9),
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
      edge('raglanBack', 'raglan', { start: c, segments: reversed(left) }, 10),
    ],
    darts: [],
    marks: [
      { kind: 'grain', id: 'grain', from: { x: 0, y: -60 }, to: { x: 0, y: length - 40 } },
      { kind: 'notch', id: 'raglanFront', edge: 'raglanFront', at: pathLength(right) * 0.6, count: 1 },
      { kind: 'notch', id: 'raglanBack', edge: 'raglanBack', at: pathLength(left) * 0.4, count: 2 },
    ],
  };
}

const reversed = (path: Path): Path['segments'] => {
  const s = path.segments[0];
  return s?.kind === 'cubic'
    ? [{ kind: 'cubic', c1: s.c2, c2: s.c1, to: path.start }]
    : [{ kind: 'line', to: path.start }];
};
