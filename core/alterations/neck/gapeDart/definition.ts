import {
  add,
  distance,
  left,
  midpoint,
  pathLength,
  rotateAbout,
  scale,
  sub,
  unit,
  type Point,
} from '../../../geometry/index.ts';
import { requireEdge } from '../../../pattern/index.ts';
import { slashPiece, type SlashSpec } from '../../../paper/slash/index.ts';
import { fairRun } from '../../../paper/truing/index.ts';
import { ok, type Result } from '../../../units/index.ts';
import { dartMouthPoint } from '../../kit/bust/landmarks.ts';
import type { AlterationDefinition, Context, Message, Program, Under, Values } from '../../contract.ts';
import { define, held, length, share } from '../../kit/define.ts';
import { numberOf } from '../../engine/values.ts';
import { capDart, fair, mark, match, retip, slash } from '../../operations/index.ts';
import { ALONG, bendNear, gaping, type Gaping } from './layout.ts';

/** How far to either side of the fold the neckline is drawn again, mm. */
const BLEND = 28;

/** The gape folded out from the neckline to nothing at the pin; the dart opens by the same turn. */
function folding({ piece, dart, pivot, at, neckFirst }: Gaping, angle: number): SlashSpec {
  const side = neckFirst ? 1 : -1;
  const along = unit(sub(pivot, at));
  // Beside the fold, just below the neckline.
  const seed = (sign: number): Point => add(at, add(scale(along, 12), scale(left(along), 4 * sign)));
  return {
    cuts: [
      { id: 'neck line', points: [at, pivot] },
      { id: 'dart line', points: [dartMouthPoint(piece, dart, pivot), pivot] },
    ],
    hinges: [{ id: 'pin', at: pivot, panels: ['outer', 'centre'] }],
    panels: [
      { id: 'outer', seed: seed(side), motion: { kind: 'turn', about: pivot, angle }, stage: 'open' },
      { id: 'centre', seed: seed(-side), motion: { kind: 'rest' }, stage: 'open' },
    ],
  };
}

function plan(context: Context, values: Values): Result<Program> {
  const found = gaping(context, numberOf(values, 'along'));
  if (!found.ok) return found;
  const { piece, neck, dart, pivot, at, neckFirst } = found.value;
  const by = numberOf(values, 'by');
  const reach = distance(at, pivot);
  const angle = (neckFirst ? -1 : 1) * 2 * Math.asin(by / 2 / reach);
  const data = { by, degrees: (Math.abs(angle) * 180) / Math.PI, dart: dart.kind, reach };
  const say = (code: Under<'gape'>): Message => ({ code: `gape.${code}`, data });
  const spec = folding(found.value, angle);
  const folded = slashPiece(piece, spec);
  if (!folded.ok) return folded;
  const gone = rotateAbout(at, pivot, angle);
  const after = requireEdge(folded.value.piece, neck.id).path;
  const bend = bendNear(after, midpoint(at, gone));
  const [from, to] = [Math.max(1, bend - BLEND), Math.min(pathLength(after) - 1, bend + BLEND)];
  // Folded on the slant, the neckline loses less than the fold takes.
  const shorter = pathLength(neck.path) - pathLength(fairRun(after, from, to, false));
  return ok({
    piece: piece.id,
    instructions: [
      mark({
        message: say('mark'),
        lines: spec.cuts.map((c, i) => ({ ...c, label: String(i + 1) })),
        points: [{ id: 'pin', kind: 'hinge', at: pivot }],
      }),
      slash({
        messages: { cut: say('cut'), open: say('fold') },
        spec,
        dimensions: [{ id: 'gap', from: at, to: gone, value: by }],
      }),
      retip({ message: say('dart'), dart: dart.id, to: { bustPoint: pivot, setback: distance(dart.tip, pivot) } }),
      capDart({ stage: 'dart', message: { code: 'dart.cap', data }, dart: dart.id }),
      fair({ message: say('neck'), edge: neck.id, from, to, free: true }),
      match({ message: { code: 'gape.match', data: { ...data, shorter } }, kinds: ['neck', 'shoulder', 'side'] }),
    ],
    grips: [
      {
        ...{ kind: 'along', id: 'gap', key: 'along', piece: piece.id, stages: ['mark', 'cut'] },
        ...{ at, path: neck.path, min: 0.2, max: 0.85 },
      },
    ],
  });
}

export const neckGapeDart: AlterationDefinition = define({
  id: 'neck-gape-dart',
  family: 'neck',
  params: [length('by', 0, 30, 8), share('along', 0.2, 0.85, ALONG)],
  requires: ['neck', 'dart'],
  refusals: ['bust-point-not-found', 'neck-missing', 'no-dart'],
  examples: [{ name: 'into the side dart', on: 'causeway', values: { by: 8 } }],
  source: 'Folded from the amount at the neckline to nothing at the bust point; the dart opens by the same turn.',
  why: 'why.neck-gape-dart',
  grade: 'best',
  needs: gaping,
  plan,
  holds: held({ part: ['front'], role: 'armhole', slack: 1 }, { part: ['front'], role: 'shoulder' }),
});
