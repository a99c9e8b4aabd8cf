import { add, pathLength, scale, type Point } from '../../geometry/index.ts';
import { requireEdge, type Piece, type Seam } from '../../pattern/index.ts';
import { nth, ok, refuse, TOL, type Result } from '../../units/index.ts';
import type {
  AlterationDefinition,
  Context,
  Example,
  Instruction,
  Message,
  Program,
  Under,
  WhyCode,
} from '../contract.ts';
import { fair, mark, match, matchSeam, slash } from '../operations/index.ts';
import { across, levelBand, type Across } from './band.ts';
import { define } from './define.ts';
import { draftedSeam, followings, ratioOf, sideLengthOf } from './follow.ts';

/** What a band is sewn to: the kind of seam, the part it is, and the word its sentences begin with. */
interface BandOf {
  readonly kind: Seam['kind'];
  readonly part: Piece['part'];
  readonly words: 'bandFollows' | 'waistbandFollows' | 'collarFollows';
}

/** A band lapped (or spread) straight across by what the seam it is sewn to lost, times its ratio. */
function bandProgram(context: Context, { kind, part, words }: BandOf): Result<Program> {
  const found = followings(context, kind, [part]);
  if (!found.ok) return found;
  const band = found.value[0].follower;
  const lying = levelBand(
    band,
    found.value.flatMap((f) => f.following.edges),
  );
  const parts = found.value
    .map((f) => {
      const ratio = ratioOf(context, f);
      const by = sideLengthOf(f.leader, f.leading) * ratio - sideLengthOf(band, f.following);
      const share = sideLengthOf(f.leader, f.leading) / draftedSeam(context, f);
      return { f, ratio, by, share, line: across(lying, f.following.edges[0] ?? '') };
    })
    .filter((x) => Math.abs(x.by) > TOL.legs)
    .sort((a, b) => a.line.at.x - b.line.at.x);
  const total = parts.reduce((n, x) => n + x.by, 0);
  if (parts.length === 0) return refuse('nothing-to-follow', { kind });
  const data = { by: total, percent: Math.round(100 * (parts[0]?.ratio ?? 1)) };
  const say = (code: Under<BandOf['words']>): Message => ({ code: `${words}.${code}`, data });
  const cuts = parts.map((x, i) => ({ id: `line ${i + 1}`, points: [x.line.at, x.line.to].map(lying.point) }));
  const first = nth(parts, 0);
  // Each part goes along the seam, so that its curve runs on.
  let moved: Point = { x: 0, y: 0 };
  const panels = parts.map((x, i) => {
    moved = add(moved, scale(x.line.along, x.by));
    return {
      id: `part ${i + 1}`,
      seed: lying.point({ x: x.line.at.x + 2, y: (x.line.at.y + x.line.to.y) / 2 }),
      motion: { kind: 'shift' as const, by: lying.way(moved) },
      stage: 'open' as const,
    };
  });
  const instructions: readonly Instruction[] = [
    mark({ message: say('mark'), lines: cuts.map((c, i) => ({ ...c, label: String(i + 1) })) }),
    slash({
      messages: { cut: say('cut'), open: say(total < 0 ? 'lap' : 'open') },
      spec: {
        cuts,
        hinges: [],
        panels: [
          {
            id: 'rest',
            seed: lying.point({ x: first.line.at.x - 2, y: (first.line.at.y + first.line.to.y) / 2 }),
            motion: { kind: 'rest' },
            stage: 'open',
          },
          ...panels,
        ],
      },
      dimensions: parts.map((x, i) => ({
        id: `gap ${i + 1}`,
        from: lying.point(x.line.at),
        to: lying.point(add(x.line.at, scale(x.line.along, x.by))),
        value: Math.abs(x.by),
      })),
    }),
    ...parts.flatMap(({ line: { far } }) => smoothed(band, far, { code: 'across.true.band', data: {} })),
    // A band keeps its ratio to the neckline: what it is shorter by changes with it.
    ...parts.map((x) => matchSeam({ message: say('match'), seam: x.f.seam.id, ease: x.f.seam.ease * x.share })),
    match({ message: say('match'), kinds: [kind] }),
  ];
  return ok({ piece: band.id, instructions });
}

/** How far to either side of the line a curved outer edge is drawn again, mm. */
const REACH = 30;
/** The outer edge of a curved band, where the parts leave a step in it; a straight one has none. */
function smoothed(band: Piece, far: Across['far'], message: Message): readonly Instruction[] {
  const path = far && requireEdge(band, far.edge).path;
  if (!far || !path || far.beside) return [];
  const from = Math.max(1, far.along - REACH);
  return [fair({ message, edge: far.edge, from, toFromEnd: Math.max(1, pathLength(path) - far.along - REACH) })];
}

/** A band that follows what it is sewn to. */
export const bandFollower = (
  band: BandOf,
  sketch: { readonly id: string; readonly example: Example; readonly source: string; readonly why: WhyCode },
): AlterationDefinition =>
  define({
    id: sketch.id,
    family: 'follow',
    amount: null,
    params: [],
    requires: [],
    refusals: ['nothing-to-follow'],
    examples: [sketch.example],
    source: sketch.source,
    why: sketch.why,
    needs: (context) => followings(context, band.kind, [band.part]),
    plan: (context) => bandProgram(context, band),
  });
