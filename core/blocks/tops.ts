import { add, blend, midpoint, pathFromSpans, scale, sub, unit, rotate } from '../geometry/index.ts';
import { mirrorPiece, withNeckAway, type ChartRow, type Piece } from '../pattern/index.ts';
import { capDart } from '../paper/truing/index.ts';
import { bodyOf } from './body.ts';
import { armholeCurve, edge, leaning, line, neckCurve, openDart, QUARTER, rad } from './parts.ts';

import { withStand, type Stand } from './stand.ts';
import { bustPointOn, DART_BELOW, frameOf, frontWidth, half, hem, marksOf, SETBACK, TAIL, tailHem } from './frame.ts';

/** A loose top to the high hip: how wide, and whether the front has a side dart. */
export interface TopOptions {
  readonly ease: number;
  readonly dart: boolean;
  /** A neckline away from the neck: out along the shoulder, and down at the centre of front and back, mm. */
  readonly neck?: { readonly out: number; readonly front: number; readonly back: number };
  /** An underarm drafted so far below the body's, mm. */
  readonly drop?: number;
  /** The front buttons, its facing cut on. */
  readonly stand?: Stand;
  /** The hem is a shirt tail, so much lower at the centre than at the side, mm. */
  readonly tail?: number;
  /** So much longer at the side than to the high hip, mm. */
  readonly longer?: number;
}

/** Front and back of a top with a set-in armhole. */
export function draftTop(row: ChartRow, options: TopOptions): readonly [Piece, Piece] {
  const b = bodyOf(row);
  const width = frontWidth(b, options.ease);
  const front = setIn(row, 'front', width, options);
  const back = setIn(row, 'back', (b.bust + options.ease) / 2 - width, { ...options, dart: false });
  return [options.stand ? withStand(front, options.stand) : front, mirrorPiece(back, width / 2)];
}

function setIn(row: ChartRow, part: 'front' | 'back', width: number, options: TopOptions): Piece {
  const { dart: darted, neck, drop = 0, tail = 0, longer = 0 } = options;
  const f = frameOf(row, part, width);
  const { b } = f;
  const underarm = add(f.underarm, { x: 0, y: drop });
  const slope = rad(part === 'front' ? 20 : 18);
  const along = { x: Math.cos(slope), y: Math.sin(slope) };
  const shoulderPoint = add(f.neckPoint, scale(along, b.shoulder));
  const neckPoint = add(f.neckPoint, scale(along, neck?.out ?? 0));
  const centreNeck = add(f.centreNeck, { x: 0, y: neck?.[part] ?? 0 });
  const side = leaning(rad(darted ? -10 : part === 'front' ? 1 : 2));
  const size = b.sideWaist + TAIL + longer - drop;
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
  const down = dart ? dart.alongAfter : side;
  const hemLine = tail > 0 ? tailHem(bottom, down, tail) : hem(bottom, down);
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
      edge('neck', 'neck', neckCurve(centreNeck, neckPoint, along)),
      edge('shoulder', 'shoulder', line(neckPoint, shoulderPoint)),
      edge('armhole', 'armhole', armhole.path),
      ...sides,
      edge('hem', 'hem', hemLine, 20),
      edge(
        part === 'front' ? 'centreFront' : 'centreBack',
        part === 'front' ? 'centreFront' : 'centreBack',
        line(centre, centreNeck),
      ),
    ],
    [
      ...marksOf(
        part === 'front' ? { ...f, bustLevel: darted ? bustPoint.y : f.bustLevel } : f,
        centre.y - tail - longer,
      ),
      ...(part === 'front' ? [{ kind: 'bustPoint' as const, id: 'bustPoint', at: bustPoint }] : []),
      { kind: 'notch', id: 'armhole', edge: 'armhole', at: armhole.notchAt, count: part === 'front' ? 1 : 2 },
      { kind: 'notch', id: 'side', edge: dart ? 'sideLower' : 'side', at: dart ? 80 : DART_BELOW + 80, count: 1 },
    ],
  );
  const whole = neck ? withNeckAway(piece, { out: neck.out, below: neck[part] }) : piece;
  return dart
    ? capDart(
        { ...whole, darts: [{ id: 'sideDart', kind: 'side', mouth: 'sideDart', tip, foldToward: 'end' }] },
        { id: 'sideDart', kind: 'side', mouth: 'sideDart', tip, foldToward: 'end' },
      )
    : whole;
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
