import type { Piece, Seam } from '../../pattern/index.ts';
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
import { mark, match, matchSeam, slash } from '../operations/index.ts';
import { across, levelBand } from './band.ts';
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
    match({ message: say('match'), kinds: [kind] }),
  ];
  return ok({ piece: band.id, instructions });
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
