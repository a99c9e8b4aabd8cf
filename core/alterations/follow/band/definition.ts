import { ok, refuse, TOL, type Result, nth } from '../../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Message, Program, Under, Values } from '../../contract.ts';
import { levelBand } from '../../kit/band.ts';
import { define } from '../../kit/define.ts';
import { followings, sideLengthOf } from '../../kit/follow.ts';
import { mark, match, matchSeam, slash } from '../../operations/index.ts';
import { across, draftedNeck, ratioOf } from './layout.ts';

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
  const say = (code: Under<'bandFollows'>): Message => ({ code: `bandFollows.${code}`, data });
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
