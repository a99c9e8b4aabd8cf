import { distance, endOf, pathLength, pointAt, rotateAbout, type Point } from '../../../geometry/index.ts';
import { edgesWithRole, levelOf, type Edge, type Piece } from '../../../pattern/index.ts';
import { follow } from '../../../paper/slash/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { Context, Fit, Instruction, Message, Under } from '../../contract.ts';
import { meetingOn } from '../../kit/across.ts';
import { tenth } from '../../kit/define.ts';
import { fitBy, USUAL_EASE } from '../../kit/fitBy.ts';
import { sideOn, type SideOn } from '../../kit/sides.ts';
import { mark, slash, smooth, squareAcross } from '../../operations/index.ts';

/** How far to either side of the pin the side is drawn again, mm. */
export const SMOOTHED = 60;

export interface Slashed {
  readonly side: SideOn;
  /** The waist between dart and side. */
  readonly outer: Edge;
  /** Pin on the waist seam line, foot on the hem, the crossing at hip level and the pin on the side. */
  readonly waist: Point;
  readonly foot: Point;
  readonly crossing: Point;
  readonly pin: Point;
}

/** The lines on one piece of a skirt. */
export const layOut = (piece: Piece): Result<Slashed> =>
  linesOf(piece, sideOn(piece), levelOf(piece, 'hip') ?? null, straight);

const straight = (piece: Piece, waist: Point, hipAt: number): Point | null => {
  const hem = edgesWithRole(piece, 'hem')
    .flatMap((e) => [e.path.start, endOf(e.path)])
    .reduce((n, p) => Math.max(n, p.y), hipAt);
  return footAt(piece, waist.x, hem + 50);
};

/** The lines on one piece, seen from its side, its hip line at a height; `footOf` says where on the hem the first begins. */
export function linesOf(
  piece: Piece,
  side: SideOn | null,
  hip: Point | null,
  footOf: (piece: Piece, waist: Point, hipAt: number) => Point | null,
): Result<Slashed> {
  const outer = edgesWithRole(piece, 'waist').find((e) => touches(e.path, side?.edge.path));
  if (!side || !hip || !outer) return refuse('hip-missing', { piece: piece.name });
  const waist = pointAt(outer.path, pathLength(outer.path) / 2);
  const pin = meetingOn(piece, hip.y, ['side'])?.at;
  const crossing = { x: waist.x, y: hip.y };
  const foot = footOf(piece, waist, hip.y);
  return pin && foot ? ok({ side, outer, waist, foot, crossing, pin }) : refuse('hip-missing', { piece: piece.name });
}

const touches = (a: SideOn['edge']['path'], b: SideOn['edge']['path'] | undefined): boolean =>
  b !== undefined && [a.start, endOf(a)].some((p) => [b.start, endOf(b)].some((q) => distance(p, q) < TOL.join));

/** Straight down from the waist to the hem. */
function footAt(piece: Piece, x: number, below: number): Point | null {
  const turned = { ...piece, edges: edgesWithRole(piece, 'hem').map((e) => ({ ...e, path: swapped(e.path) })) };
  const met = meetingOn(turned, x, ['hem']);
  return met && met.at.x < below ? { x, y: met.at.x } : null;
}

const swapped = (path: SideOn['edge']['path']): SideOn['edge']['path'] => ({
  start: { x: path.start.y, y: path.start.x },
  segments: path.segments.map((s) =>
    s.kind === 'line'
      ? { kind: 'line', to: { x: s.to.y, y: s.to.x } }
      : {
          kind: 'cubic',
          c1: { x: s.c1.y, y: s.c1.x },
          c2: { x: s.c2.y, y: s.c2.x },
          to: { x: s.to.y, y: s.to.x },
        },
  ),
});

/** The upper part turns about the waist until the upright line has opened by the amount at hip level: by so much, radians. */
export const turnOf = ({ side, waist, crossing }: Slashed, each: number): number =>
  -side.out * Math.asin(each / (crossing.y - waist.y));

/** The lines drawn, cut and opened: the part above the hip line turns, the one below it is carried by the pin on the side. */
export function opened(
  found: Slashed,
  each: number,
  say: (code: 'mark' | 'cut' | 'open' | 'lap') => Message,
): readonly Instruction[] {
  const { side, waist, foot, crossing, pin } = found;
  const id = side.piece.id;
  const angle = turnOf(found, each);
  const to = rotateAbout(crossing, waist, angle);
  const cuts = [
    { id: 'upright', points: [foot, crossing, waist] },
    { id: 'hip', points: [crossing, pin] },
  ];
  return [
    mark({
      piece: id,
      message: say('mark'),
      lines: cuts.map((c, i) => ({ ...c, label: String(i + 1) })),
      points: [
        { id: `waist ${id}`, kind: 'hinge', at: waist },
        { id: `side ${id}`, kind: 'hinge', at: pin },
      ],
    }),
    slash({
      piece: id,
      messages: { cut: say('cut'), open: say(each < 0 ? 'lap' : 'open') },
      spec: {
        cuts,
        hinges: [
          { id: 'waist', at: waist, panels: ['upper', 'centre'] },
          { id: 'side', at: pin, panels: ['upper', 'lower'] },
        ],
        panels: [
          {
            id: 'upper',
            seed: { x: (crossing.x + pin.x) / 2, y: crossing.y - 6 },
            motion: { kind: 'turn', about: waist, angle },
            stage: 'open',
          },
          {
            id: 'lower',
            seed: { x: (crossing.x + pin.x) / 2, y: crossing.y + 6 },
            motion: follow('upper', pin),
            stage: 'open',
          },
          {
            id: 'centre',
            seed: { x: crossing.x - side.out * 6, y: crossing.y },
            motion: { kind: 'rest' },
            stage: 'open',
          },
        ],
      },
      dimensions: [{ id: `gap ${id}`, from: crossing, to: { x: to.x, y: crossing.y }, value: Math.abs(each) }],
    }),
  ];
}

export const onOne = (found: Slashed, each: number, say: (code: Under<'hip'>) => Message): readonly Instruction[] => {
  const { piece, edge } = found.side;
  return [
    ...opened(found, each, say),
    squareAcross({ piece: piece.id, message: say('hem'), role: 'hem' }),
    smooth({ piece: piece.id, message: say('side'), reach: SMOOTHED, at: { edge: edge.id, near: found.pin } }),
  ];
};

/** A skirt's hip; a top that reaches it is graded at its sides instead. */
export const fits = (context: Context): Fit | null =>
  context.pieces.some((p) => p.part === 'skirtFront' || p.part === 'skirtBack')
    ? fitBy(context, 'hip', 1 / 4, (by) => ({ by: tenth(by) }), USUAL_EASE.hip)
    : null;
