import { distance, pathLength, rotateAbout, type Point } from '../../geometry/index.ts';
import { requireEdge, TROUSERS } from '../../pattern/index.ts';
import { ok, refuse, TOL, type Result } from '../../units/index.ts';
import type { Context, Instruction, Message, Param, Program, Under } from '../contract.ts';
import { fair, mark, match, slash, smooth } from '../operations/index.ts';
import { beside, meetingOn, type Meeting } from './across.ts';
import { forksFor, forkSteps, type ForkMove, type Gains } from './fork.ts';
import { held, type Sketch } from './define.ts';
import { amountGrip } from './grip.ts';
import { halves, trousersOn, type TrouserHalf, type TrousersOn } from './trousers.ts';

/** What a longer crotch seam is called in its sentences. */
export type RiseWord = 'crotchLength' | 'fullSeatTrousers';

/** What the alterations of a crotch seam have alike. */
export const RISE_COMMON = {
  family: 'trouser',
  amounts: ['by'],
  requires: ['crotch', 'inseam', 'side'],
  refusals: [
    'trousers-not-found',
    'crotch-not-found',
    'hip-missing',
    'wedge-too-large',
    'fork-cannot-give',
    'overlap-too-large',
  ],
  needs: ({ pieces }: Pick<Context, 'pieces'>) => trousersOn(pieces),
  holds: held({ part: TROUSERS, role: 'waist' }, { part: TROUSERS, role: 'side' }, { part: TROUSERS, role: 'hem' }),
} as const satisfies Partial<Sketch>;

export interface Rise {
  readonly on: TrousersOn;
  readonly words: RiseWord;
  /** How much longer the crotch seam of each half becomes, mm; below nothing, shorter. */
  readonly gains: Gains;
  /** How much of it at the fork; the rest opens at the hip line. */
  readonly share: number;
  readonly by: number;
  readonly limits: Param;
}

/** No more than this share of the hip line is opened. */
const MOST = 1 / 5;
/** How far to either side of the line a bent seam is drawn again, mm. */
const BEND = 60;
/** How far below the line the crotch curve is drawn again with it, mm: over less, the seam would bulge where it opened. */
const BELOW = 90;

/** The line across one half, and the turn that opens it. */
interface Opening {
  readonly half: TrouserHalf;
  readonly crotch: Meeting;
  readonly pin: Meeting;
  /** Opened at the crotch seam, mm. */
  readonly by: number;
  readonly angle: number;
}

/** Cut along the hip line from the crotch seam to a pin on the side seam line; opened by d at the crotch seam: 2·asin(d / 2r). */
function openingOn(half: TrouserHalf, by: number): Result<Opening> {
  const { piece, hip, out } = half;
  const [crotch, pin] = [meetingOn(piece, hip, ['crotch']), meetingOn(piece, hip, ['side'])];
  if (!crotch || !pin) return refuse('hip-missing', { piece: piece.name });
  const radius = distance(crotch.at, pin.at);
  if (Math.abs(by) > radius * MOST) return refuse('wedge-too-large', { by: Math.abs(by), most: radius * MOST });
  return ok({ half, crotch, pin, by, angle: out * 2 * Math.asin(by / 2 / radius) });
}

/** The crotch seam drawn again over the line, as much longer as was asked; the fork may have moved before. */
function smoothed({ half, crotch, by }: Opening, gained: number, message: Message): Instruction {
  const { path } = crotch.edge;
  const lapped = Math.max(0, -by);
  const starts = distance(path.start, half.fork) < TOL.join;
  const [before, after] = starts ? [BELOW, BEND] : [BEND, BELOW];
  return fair({
    piece: half.piece.id,
    message,
    edge: crotch.edge.id,
    from: Math.max(1, crotch.along - before - lapped + (starts ? gained : 0)),
    toFromEnd: Math.max(1, pathLength(path) - crotch.along - after - lapped + (starts ? 0 : gained)),
    length: pathLength(path) + by + gained,
  });
}

/**
 * A longer or shorter crotch seam: the part above the hip line turns about a pin in the side seam, and the rest is put
 * on at the fork, where the inseams are matched again. Refuses more than a fifth of the hip line.
 */
export function riseProgram({ on, words, gains, share, by, limits }: Rise): Result<Program> {
  const of = (half: TrouserHalf): number => (half === on.front ? gains.front : gains.back);
  const openings: Opening[] = [];
  for (const half of halves(on)) {
    if (Math.abs(of(half)) < TOL.same && by !== 0) continue;
    const opening = openingOn(half, of(half) * (1 - share));
    if (!opening.ok) return opening;
    openings.push(opening.value);
  }
  const forks = forksFor(on, { front: gains.front * share, back: gains.back * share }, (piece, half) =>
    pathLength(requireEdge(piece, half.crotch.id).path),
  );
  if (!forks.ok) return forks;
  const [first] = openings;
  if (!first) return refuse('crotch-not-found', { piece: on.front.piece.name });
  const out = (half: TrouserHalf): number => {
    const fork = forks.value.find((f) => f.half === half);
    return fork ? distance(half.fork, fork.to) : 0;
  };
  const told = {
    which: openings.length > 1 ? 'both' : first.half === on.front ? 'front' : 'back',
    outFront: out(on.front),
    outBack: out(on.back),
  };
  const instructions = openings.flatMap((o) =>
    onHalf(o, { words, told, fork: forks.value.find((f) => f.half === o.half), gained: of(o.half) * share }),
  );
  const up: Point = { x: 0, y: -1 };
  return ok({
    piece: first.half.piece.id,
    instructions: [
      ...instructions,
      match({ message: { code: `${words}.match`, data: {} }, kinds: ['side', 'inseam', 'pocket'] }),
    ],
    grips: [
      amountGrip({
        piece: first.half.piece.id,
        shown: 'opened',
        from: first.crotch.at,
        axis: up,
        value: by,
        limits,
        per: first.by === 0 ? 1 : by / first.by,
      }),
    ],
  });
}

interface OnHalf {
  readonly words: RiseWord;
  readonly told: Message['data'];
  readonly fork: ForkMove | undefined;
  /** How much longer the crotch seam becomes by the fork, mm. */
  readonly gained: number;
}

function onHalf(o: Opening, { words, told, fork, gained }: OnHalf): readonly Instruction[] {
  const { half, crotch, pin, by, angle } = o;
  const id = half.piece.id;
  const data = {
    ...told,
    by: Math.abs(by),
    fork: Math.abs(gained),
    degrees: (Math.abs(angle) * 180) / Math.PI,
  };
  const say = (code: Under<RiseWord>): Message => ({ code: `${words}.${code}`, data });
  const points = [crotch.at, pin.at];
  const [above, below] = beside(crotch.at, pin.at);
  return [
    mark({
      piece: id,
      message: say('mark'),
      lines: [{ id: 'across', label: '1', points }],
      points: [
        { id: 'pin', kind: 'hinge', at: pin.at },
        ...(fork ? [{ id: `fork ${id}`, kind: 'target' as const, at: fork.to }] : []),
      ],
    }),
    slash({
      piece: id,
      messages: { cut: say('cut'), open: say(by < 0 ? 'lap' : 'open') },
      spec: {
        cuts: [{ id: 'across', points }],
        hinges: [{ id: 'pin', at: pin.at, panels: ['upper', 'lower'] }],
        panels: [
          { id: 'upper', seed: above, motion: { kind: 'turn', about: pin.at, angle }, stage: 'open' },
          { id: 'lower', seed: below, motion: { kind: 'rest' }, stage: 'open' },
        ],
      },
      dimensions: [{ id: 'gap', from: crotch.at, to: rotateAbout(crotch.at, pin.at, angle), value: Math.abs(by) }],
    }),
    ...(fork ? forkSteps(fork, say('fork')) : []),
    smoothed(o, fork ? gained : 0, say('crotch')),
    smooth({ piece: id, message: say('side'), at: { edge: pin.edge.id, near: pin.at }, reach: BEND }),
  ];
}
