import { add, endOf, pathLength, pointAt, type Path, type Point } from '../../../geometry/index.ts';
import {
  apexMark,
  bustLineLength,
  edgesWithRole,
  replaceEdge,
  requireEdge,
  settledBustLine,
  type Edge,
  type Piece,
} from '../../../pattern/index.ts';
import { follow, slashPiece, type SlashSpec } from '../../../paper/slash/index.ts';
import { fairRun } from '../../../paper/truing/index.ts';
import { ok, refuse, type Result, nth } from '../../../units/index.ts';
import type { Values } from '../../contract.ts';
import { numberOf } from '../../engine/values.ts';
import { movedBustPoint, spreadReach, turnOf } from './layout.ts';
import { ends, matchedSpread, runAround, type Spread } from './centreSpread.ts';
import { findLines, INSIDE, type Lines, type Panels } from './panels.ts';

/** From the top of a seam to a place along it, and back: as the path runs or against it. */
const fromTopOf = (path: Path, at: number): number => (endOf(path).y < path.start.y ? pathLength(path) - at : at);

/** Everything about the side front opened by `s` on the half, and the centre front that goes with it. */
export interface LaidOut {
  readonly s: number;
  readonly p: Point;
  readonly hinge: Point;
  readonly armhole: Edge;
  readonly moved: Point;
  readonly turn: number;
  readonly lines: Lines;
  readonly junction: Point;
  readonly spec: SlashSpec;
  readonly run: ReturnType<typeof runAround>;
  readonly spread: Spread & { readonly run: ReturnType<typeof runAround> };
  readonly dy: number;
  readonly atApex: number;
  readonly grown: number;
  /** By how much the bust of this half then grows along the tape, seams faired, mm. */
  readonly bust: number;
}

function layOut(f: Panels, s: number, values: Values): Result<LaidOut> {
  const { side, dir, apex } = f;
  // Lapping needs paper to lap onto: line 1 lies that much further in.
  const inside = INSIDE + Math.max(0, -s);
  const p = { x: apex.x + dir * inside, y: apex.y };
  const armhole = nth(edgesWithRole(side, 'armhole'), 0);
  const share = numberOf(values, 'hinge');
  const hinge = pointAt(armhole.path, pathLength(armhole.path) * (dir === 1 ? share : 1 - share));
  if (hinge.y >= p.y) return refuse('hinge-below-bust-point', { piece: side.name });
  const reach = spreadReach(hinge, p, dir);
  const moved = movedBustPoint(hinge, p, dir, s);
  if (s > reach) return refuse('spread-beyond-reach', { wanted: s, reach });
  if (!moved) return refuse('overlap-too-large', { edge: armhole.id });
  const turn = turnOf(hinge, p, moved);
  const lines = findLines(f, p, inside, numberOf(values, 'below'));
  if (!lines.ok) return lines;
  const junction = { x: p.x, y: lines.value.levelAt.y };
  const spec = cutting(f, { p, hinge, moved, turn, junction }, lines.value);
  const opened = slashPiece(side, spec);
  if (!opened.ok) return opened;
  const run = runAround(opened.value.piece, f.seam.id);
  const grown = run.length - pathLength(f.seam.path);
  const dy = moved.y - p.y;
  const below = s === 0 ? 0 : dy;
  const spread = matchedSpread(f, grown, below);
  if (!spread.ok) return spread;
  const bust = tapeGrows(f, opened.value.piece, run, spread.value);
  return ok({
    ...{ s, p, hinge, armhole, moved, turn, junction, spec, run, dy, grown, bust },
    lines: lines.value,
    spread: spread.value,
    atApex: grown - below,
  });
}

type Places = Pick<LaidOut, 'p' | 'hinge' | 'moved' | 'turn' | 'junction'>;

/** The cuts, pins and panels of the side front: opened at line 1, levelled at line 3, line 2 closed at the end. */
function cutting({ dir, apex }: Panels, { p, hinge, moved, turn, junction }: Places, lines: Lines): SlashSpec {
  const { foot, mouth, levelAt } = lines;
  const rest = { kind: 'rest' } as const;
  const closes = { motion: { kind: 'turn', about: moved, angle: turn }, stage: 'close' } as const;
  const seed = (from: Point, x: number, y: number): Point => add(from, { x: dir * x, y });
  return {
    cuts: [
      { id: 'line1', points: [foot, junction, p, hinge] },
      { id: 'line2', points: [mouth, p] },
      { id: 'line3', points: [levelAt, junction] },
      { id: 'line4', points: [apex, p] },
    ],
    hinges: [
      { id: 'hinge', at: hinge, panels: ['upperSide', 'centreUpper'] },
      { id: 'bustPoint', at: p, panels: ['upperSide', 'lowerSide'] },
    ],
    panels: [
      { id: 'centreUpper', seed: seed(p, -1, -1.5), motion: rest, stage: 'open' },
      { id: 'upperSide', seed: seed(p, 3, -1), motion: { kind: 'turn', about: hinge, angle: turn }, stage: 'open' },
      { id: 'lowerSide', seed: seed(p, 2, 8), motion: follow('upperSide', p), stage: 'open', after: closes },
      { id: 'sliver', seed: seed(p, -1, 8), motion: rest, stage: 'open', after: closes },
      {
        id: 'centreLower',
        seed: seed(junction, -1, 3),
        motion: follow('upperSide', p, 'y'),
        stage: 'level',
        after: closes,
      },
    ],
  };
}

/** A panel's seam faired at the apex and its notch put in the middle of what opened. */
function faired(piece: Piece, seam: Edge, run: { readonly from: number; readonly to: number }, fromTop: number): Piece {
  const path = fairRun(requireEdge(piece, seam.id).path, run.from, run.to);
  const notch = apexMark(piece, seam);
  const marks = piece.marks.map((m) =>
    m.kind === 'notch' && m.id === notch?.id ? { ...m, at: fromTopOf(path, fromTop) } : m,
  );
  return settledBustLine({ ...replaceEdge(piece, seam.id, path), marks });
}

/** How far from the top of its seam the apex notch comes to lie: in the middle of what opened. */
export const topOfNotch = (f: Panels, spread: Spread): number =>
  fromTopOf(f.centreSeam.path, f.centreApexAt) + spread.atApex / 2;

function tapeGrows(f: Panels, side: Piece, run: ReturnType<typeof runAround>, spread: LaidOut['spread']): number {
  const spreadCentre = slashPiece(f.centre, spread.spec);
  const centre = spreadCentre.ok ? spreadCentre.value.piece : f.centre;
  const fromTop = topOfNotch(f, spread);
  const grew = (now: Piece, was: Piece): number => (bustLineLength(now) ?? 0) - (bustLineLength(was) ?? 0);
  return (
    grew(faired(side, f.seam, ends(run), fromTop), f.side) +
    grew(faired(centre, f.centreSeam, ends(spread.run), fromTop), f.centre)
  );
}

/** How closely the bust line must match the amount, on the half, mm, and the most spreads tried. */
const NEAR = 0.2;
const TRIES = 8;

/**
 * The side front opened by as much as makes the bust grow by `half` once its seams are faired: truing a seam at the apex
 * takes back a little of what was opened. Where more cannot be opened, by `half` itself.
 */
export function openedFor(f: Panels, half: number, values: Values): Result<LaidOut> {
  const first = layOut(f, half, values);
  if (!first.ok || half === 0) return first;
  let best = first.value;
  let step = half - best.bust;
  for (let i = 0; i < TRIES && Math.abs(half - best.bust) > NEAR; i++) {
    const next = layOut(f, best.s + step, values);
    const nearer = next.ok && Math.abs(half - next.value.bust) < Math.abs(half - best.bust);
    if (nearer) best = next.value;
    // Too far, or farther than the paper reaches: half as far.
    step = nearer ? half - best.bust : step / 2;
  }
  // Where a different trim sets in, the seam's length jumps; amounts beyond the jump may come closer.
  for (let i = 1; i <= TRIES && Math.abs(half - best.bust) > NEAR; i++) {
    const next = layOut(f, half + Math.sign(half) * i, values);
    if (next.ok && Math.abs(half - next.value.bust) < Math.abs(half - best.bust)) best = next.value;
  }
  return ok(best);
}
