import { distance, intersectPaths, pathLength, pointAt, polyline, type Point } from '../../../geometry/index.ts';
import { requireEdge } from '../../../pattern/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Values } from '../../contract.ts';
import { levelBand, type LevelBand } from '../../kit/band.ts';
import { define } from '../../kit/define.ts';
import { followings, sideLengthOf, type Following } from '../../kit/follow.ts';
import { mark, match, matchSeam, slash } from '../../operations/index.ts';

/** Band to neckline as drafted: often less than one, for a band is stretched on. */
function ratioOf(context: Context, f: Following): number {
  const band = context.original.find((p) => p.id === f.follower.id);
  const neck = context.original.find((p) => p.id === f.leader.id);
  const was = context.originalSeams.find((s) => s.id === f.seam.id);
  if (!band || !neck || !was) return 1;
  const [bandSide, neckSide] = was.first.piece === band.id ? [was.first, was.second] : [was.second, was.first];
  return sideLengthOf(band, bandSide) / sideLengthOf(neck, neckSide);
}

/** How long the neckline was drafted that this part of the band is sewn to. */
function draftedNeck(context: Context, f: Following): number {
  const neck = context.original.find((p) => p.id === f.leader.id);
  const was = context.originalSeams.find((s) => s.id === f.seam.id);
  const side = was && [was.first, was.second].find((s) => s.piece === f.leader.id);
  return neck && side ? sideLengthOf(neck, side) : sideLengthOf(f.leader, f.leading);
}

/** A line straight across the band, from the middle of a seam edge to the edge beyond it, on the level band. */
function across({ piece, top, bottom }: LevelBand, edge: string): { readonly at: Point; readonly to: Point } {
  const path = requireEdge(piece, edge).path;
  const at = pointAt(path, pathLength(path) / 2);
  const far = Math.abs(top - at.y) > Math.abs(bottom - at.y) ? top : bottom;
  const line = polyline([at, { x: at.x, y: far + Math.sign(far - at.y) }]);
  const met = piece.edges
    .filter((e) => e.id !== edge)
    .flatMap((e) => intersectPaths(line, e.path))
    .filter((h) => distance(h.point, at) > 1)[0];
  return { at, to: met?.point ?? { x: at.x, y: far } };
}

/** The band lapped (or spread) straight across by what the neckline lost, times its ratio. */
function plan(context: Context, _values: Values): Result<Program> {
  const found = followings(context, 'neck', ['band']);
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
      const share = sideLengthOf(f.leader, f.leading) / draftedNeck(context, f);
      return { f, ratio, by, share, line: across(lying, f.following.edges[0] ?? '') };
    })
    .filter((x) => Math.abs(x.by) > TOL.legs)
    .sort((a, b) => a.line.at.x - b.line.at.x);
  const total = parts.reduce((n, x) => n + x.by, 0);
  if (parts.length === 0) return refuse('nothing-to-follow', { kind: 'neck' });
  const data = { by: total, percent: Math.round(100 * (parts[0]?.ratio ?? 1)) };
  const say = (code: string): Message => ({ code: `bandFollows.${code}`, data });
  const cuts = parts.map((x, i) => ({ id: `line ${i + 1}`, points: [x.line.at, x.line.to].map(lying.point) }));
  const first = parts[0] as (typeof parts)[number];
  let moved = 0;
  const panels = parts.map((x, i) => {
    moved += x.by;
    return {
      id: `part ${i + 1}`,
      seed: lying.point({ x: x.line.at.x + 2, y: (x.line.at.y + x.line.to.y) / 2 }),
      motion: { kind: 'shift' as const, by: lying.way({ x: moved, y: 0 }) },
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
        to: lying.point({ x: x.line.at.x + x.by, y: x.line.at.y }),
        value: Math.abs(x.by),
      })),
    }),
    // A band keeps its ratio to the neckline: what it is shorter by changes with it.
    ...parts.map((x) => matchSeam({ message: say('match'), seam: x.f.seam.id, ease: x.f.seam.ease * x.share })),
    match({ message: say('match'), kinds: ['neck'] }),
  ];
  return ok({ piece: band.id, instructions });
}

export const bandFollows: AlterationDefinition = define({
  id: 'band-follows',
  family: 'follow',
  amount: null,
  params: [],
  requires: [],
  refusals: ['nothing-to-follow'],
  examples: [
    {
      name: 'after a narrower neckline',
      on: 'causeway-shirt',
      values: {},
      after: [{ alteration: 'neck-gape-seam', values: { by: 12 } }],
    },
  ],
  source: 'The band changed by what the neckline lost or gained, times the ratio of band to neckline as drafted.',
  why: 'why.band-follows',
  needs: (context) => followings(context, 'neck', ['band']),
  plan,
});
