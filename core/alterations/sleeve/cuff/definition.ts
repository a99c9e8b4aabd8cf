import {
  add,
  distance,
  endOf,
  left,
  midpoint,
  pathLength,
  pointAt,
  scale,
  sub,
  unit,
  type Point,
} from '../../../geometry/index.ts';
import { requireEdge, seamLine } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { meetingsAlong } from '../../kit/across.ts';
import { aroundCuff, cuffOn, type CuffOn } from '../../kit/cuff.ts';
import { define, length, tenth } from '../../kit/define.ts';
import { fitBy } from '../../kit/fitBy.ts';
import type { OnPieces } from '../../kit/flatMeasure.ts';
import { sideLengthOf } from '../../kit/follow.ts';
import { amountGrip } from '../../kit/grip.ts';
import { numberOf } from '../../engine/values.ts';
import { mark, match, matchSeam, rule, slash } from '../../operations/index.ts';

const BY = length('by', -80, 120, 12, true);
/** No cuff is made to go around less, mm. */
const LEAST = 120;
/** Usual ease around the wrist, mm. */
const EASE = 20;

/** A cuff with the line across its middle, half-way along the part that is sewn to the sleeve. */
interface Middle extends CuffOn {
  readonly from: Point;
  readonly to: Point;
  /** The edges the line meets: the one sewn to the sleeve, and the one opposite. */
  readonly edges: readonly [string, string];
  readonly along: Point;
}

function middleOf(on: OnPieces): Result<Middle> {
  const found = cuffOn(on);
  if (!found) return refuse('cuff-not-found', {});
  const sewn = seamLine(found.cuff, found.side);
  const from = pointAt(sewn, pathLength(sewn) / 2);
  const edge = requireEdge(found.cuff, found.side.edges[0] ?? '');
  const along = unit(sub(endOf(edge.path), edge.path.start));
  const across = meetingsAlong(found.cuff, from, left(along)).filter((m) => m.edge.id !== edge.id);
  const [to] = across;
  if (!to || across.length !== 1) return refuse('line-off-piece', { piece: found.cuff.name, y: from.y });
  return ok({ ...found, from, to: to.at, edges: [edge.id, to.edge.id], along });
}

function plan(context: Context, values: Values): Result<Program> {
  const found = middleOf(context);
  if (!found.ok) return found;
  const by = numberOf(values, 'by');
  const { cuff, seam, side, from, to, edges, along } = found.value;
  const around = aroundCuff(found.value);
  if (around + by < LEAST) return refuse('hem-too-narrow', { piece: cuff.name, most: Math.max(0, around - LEAST) });
  const other = side === seam.first ? seam.second : seam.first;
  const sleeve = context.pieces.find((p) => p.id === other.piece);
  const hem = sleeve ? sideLengthOf(sleeve, other) : 0;
  if (sleeve && around + by > hem) return refuse('cuff-longer-than-hem', { piece: cuff.name, most: hem - around });
  const data = {
    ...{ by: Math.abs(by), was: around, now: around + by, hem },
    gathered: hem - around - by,
  };
  const say = (code: Under<'cuff'>): Message => ({ code: `cuff.${code}`, data });
  const middle = midpoint(from, to);
  const reach = Math.min(2, distance(from, to) / 4);
  return ok({
    piece: cuff.id,
    instructions: [
      mark({ message: say('mark'), lines: [{ id: 'middle', label: '1', points: [from, to] }] }),
      slash({
        messages: { cut: say('cut'), open: say(by < 0 ? 'lap' : 'open') },
        spec: {
          cuts: [{ id: 'middle', points: [from, to] }],
          hinges: [],
          panels: [
            { id: 'near', seed: add(middle, scale(along, -reach)), motion: { kind: 'rest' }, stage: 'open' },
            {
              id: 'far',
              seed: add(middle, scale(along, reach)),
              motion: { kind: 'shift', by: scale(along, by) },
              stage: 'open',
            },
          ],
        },
        dimensions: [{ id: 'gap', from: middle, to: add(middle, scale(along, by)), value: Math.abs(by) }],
      }),
      rule({ message: say('true'), edges, each: true }),
      matchSeam({ message: say('gather'), seam: seam.id, ease: seam.ease + (side === seam.second ? by : -by) }),
      match({ message: say('match'), kinds: ['other'] }),
    ],
    grips: [amountGrip({ piece: cuff.id, shown: 'opened', from: middle, axis: along, value: by, limits: BY })],
  });
}

export const cuffWidth: AlterationDefinition = define({
  id: 'cuff-width',
  family: 'sleeve',
  params: [BY],
  amounts: ['by'],
  requires: [],
  refusals: ['cuff-not-found', 'line-off-piece', 'hem-too-narrow', 'cuff-longer-than-hem'],
  examples: [
    { name: 'wider', on: 'causeway-cuff', values: { by: 12 } },
    { name: 'narrower', on: 'causeway-cuff', values: { by: -14 } },
  ],
  source:
    'The cuff spread or lapped across its middle; overlap, button and slit stay, and the sleeve is gathered less or more.',
  why: 'why.cuff-width',
  grade: 'best',
  needs: middleOf,
  reads: ['wrist'],
  fits: (context) => (cuffOn(context) ? fitBy(context, 'wrist', 1, (by) => ({ by: tenth(by) }), EASE) : null),
  plan,
});
