import { endOf, intersectPaths, pathLength, pointAt, polyline, type Point } from '../../../geometry/index.ts';
import { edgesWithRole, type Edge, type Piece } from '../../../pattern/index.ts';
import { slashPiece, type SlashSpec } from '../../../paper/slash/index.ts';
import { fairRun } from '../../../paper/truing/index.ts';
import { ok, refuse, TOL, type Result } from '../../../units/index.ts';
import type { MarkLine } from '../../contract.ts';

import { apexNotch, LEVEL_BELOW, type Panels } from './panels.ts';

/** How the centre front is spread: the cuts, and the lines to draw. */
export interface Spread {
  readonly spec: SlashSpec;
  readonly lines: readonly MarkLine[];
  /** How far it is spread at the apex, mm. */
  readonly atApex: number;
}

/** The stretch of a princess seam around its apex that is drawn anew, and how long the seam is afterwards. */
export function runAround(
  piece: Piece,
  seamId: string,
): { readonly from: number; readonly to: number; readonly length: number } {
  const seam = piece.edges.find((e) => e.id === seamId) as Edge;
  const apex = apexNotch(piece, seam) ?? pathLength(seam.path) / 2;
  const upwards = endOf(seam.path).y < seam.path.start.y;
  const from = Math.max(2, apex - (upwards ? LEVEL_BELOW + 35 : 45));
  const to = Math.min(pathLength(seam.path) - 2, apex + (upwards ? 45 : LEVEL_BELOW + 35));
  return { from, to, length: pathLength(fairRun(seam.path, from, to)) };
}

/** The stretch alone. */
export const ends = ({ from, to }: { readonly from: number; readonly to: number }) => ({ from, to });

/** Where laps trim a slanting seam the centre gives up a little more or less than asked: settled until both seams agree. */
export function matchedSpread(
  f: Panels,
  grown: number,
  below: number,
): Result<Spread & { readonly run: ReturnType<typeof runAround> }> {
  let atApex = grown - below;
  for (let i = 0; ; i++) {
    const spread = centreSpread(f, atApex, below);
    if (!spread.ok) return spread;
    const done = slashPiece(f.centre, spread.value.spec);
    if (!done.ok) return done;
    const run = runAround(done.value.piece, f.centreSeam.id);
    const off = grown - (run.length - pathLength(f.centreSeam.path));
    if (Math.abs(off) < TOL.legs / 10 || i === 8) return ok({ ...spread.value, run });
    atApex += off;
  }
}

/** The centre front spread straight across at the apex notch and at the matching place below it. */
function centreSpread(f: Panels, atApex: number, below: number): Result<Spread> {
  const { centre, centreSeam, centreApexAt } = f;
  const down = endOf(centreSeam.path).y > centreSeam.path.start.y ? 1 : -1;
  const size = pathLength(centreSeam.path);
  const places = [centreApexAt, Math.min(size - 5, Math.max(5, centreApexAt + down * LEVEL_BELOW))].map((at) =>
    pointAt(centreSeam.path, at),
  );
  const front = edgesWithRole(centre, 'centreFront');
  const ends = places.map((at) => {
    const x = (front[0]?.path.start.x ?? 0) - f.dir * 300;
    return front.flatMap((e) => intersectPaths(polyline([at, { x, y: at.y }]), e.path))[0]?.point;
  });
  const [a, b] = places;
  const [ca, cb] = ends;
  if (!a || !b || !ca || !cb) return refuse('centre-front-missing', { piece: centre.name });
  const apexShift = { kind: 'shift' as const, by: { x: 0, y: atApex } };
  const near = (at: Point, y: number): Point => ({ x: at.x + f.dir * 3, y: at.y + y });
  return ok({
    atApex,
    lines: [
      { id: 'spread1', label: '5', points: [ca, a] },
      { id: 'spread2', label: '6', points: [cb, b] },
    ],
    spec: {
      cuts: [
        { id: 'spread1', points: [ca, a] },
        { id: 'spread2', points: [cb, b] },
      ],
      hinges: [],
      panels: [
        { id: 'upper', seed: near(ca, -2), motion: { kind: 'rest' }, stage: 'open' },
        {
          id: 'middle',
          seed: near(cb, -2),
          motion: { kind: 'rest' },
          stage: 'open',
          after: { motion: apexShift, stage: 'close' },
        },
        {
          id: 'lower',
          seed: near(cb, 2),
          motion: { kind: 'shift', by: { x: 0, y: below } },
          stage: 'level',
          after: { motion: apexShift, stage: 'close' },
        },
      ],
    },
  });
}
