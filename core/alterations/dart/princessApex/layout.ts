import { intersectPaths, nearestLength, pathLength, polyline, type Path, type Point } from '../../../geometry/index.ts';
import { type Edge, type Piece } from '../../../pattern/index.ts';
import { slashPiece, type SlashSpec } from '../../../paper/slash/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import type { MarkLine } from '../../contract.ts';

/** The box around the apex: half its height and its depth into the piece, mm. */
const HALF = 45;

const DEPTH = 30;

interface Slid {
  readonly spec: SlashSpec;
  readonly line: MarkLine;
  readonly from: number;
  readonly to: number;
  /** The seam as the slid box leaves it. */
  readonly path: Path;
}

/** A box cut from the princess edge around the apex, slid up by `by`; the edge faired across it. */
export function slide(piece: Piece, seam: Edge, apex: Point, inward: 1 | -1, by: number): Result<Slid> {
  const at = (y: number): Point | undefined =>
    intersectPaths(
      polyline([
        { x: apex.x - 400, y },
        { x: apex.x + 400, y },
      ]),
      seam.path,
    )[0]?.point;
  const top = at(apex.y - HALF);
  const bottom = at(apex.y + HALF);
  if (!top || !bottom) return refuse('no-room-to-slide', { wanted: Math.abs(by), most: 0 });
  const inner = inward > 0 ? Math.max(top.x, bottom.x, apex.x) + DEPTH : Math.min(top.x, bottom.x, apex.x) - DEPTH;
  const points = [top, { x: inner, y: top.y }, { x: inner, y: bottom.y }, bottom];
  const spec: SlashSpec = {
    cuts: [{ id: 'box', points }],
    hinges: [],
    panels: [
      {
        id: 'box',
        seed: { x: inner - inward * 4, y: apex.y },
        motion: { kind: 'shift', by: { x: 0, y: -by } },
        stage: 'open',
      },
    ],
  };
  const done = slashPiece(piece, spec);
  if (!done.ok) return done;
  const path = (done.value.piece.edges.find((e) => e.id === seam.id) as Edge).path;
  const middle = nearestLength(path, { x: apex.x, y: apex.y - by });
  const reach = HALF + Math.abs(by) + 20;
  const from = Math.max(2, middle - reach);
  const to = Math.min(pathLength(path) - 2, middle + reach);
  return ok({
    spec,
    line: { id: `box ${piece.id}`, label: '1', points },
    from,
    to,
    path,
  });
}
