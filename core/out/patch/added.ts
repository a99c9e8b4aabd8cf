import { move, type Point, type Rigid } from '../../geometry/index.ts';
import { alike, CUT_AS, type Draft, type DraftStep, type Side } from '../../fitting/plan/index.ts';
import type { Frame, PieceFrame, Run } from '../../alterations/index.ts';
import { centreEdgeOf, middleX, paperOutline, requireEdge, type Piece } from '../../pattern/index.ts';
import { TOL, nth } from '../../units/index.ts';
import { common, FLAT, grow, regionOf, unite, without, type Region } from './regions.ts';

/** The tissue one has, by piece: where it lies now, within the seam lines. */
type Tissue = Map<string, Region>;

/** Slivers narrower than this are where curves were faired, not paper to add. */
const SLIVER = TOL.seam;

const carried = (region: Region, by: Rigid): Region => region.map((ring) => ring.map((p) => move(by, p)));

/** The slashes of a run on one piece, each at its end: the frames' movements, those of one slash taken together. */
function slashesOn(frames: readonly Frame[], piece: string): readonly PieceFrame[] {
  const out: PieceFrame[] = [];
  for (const frame of frames)
    for (const p of frame.pieces) {
      if (p.piece.id !== piece || !p.moves) continue;
      if (out.at(-1)?.moves?.spec === p.moves.spec) out.pop();
      out.push(p);
    }
  return out;
}

/** Farther than any extension or facing reaches beyond a centre, mm. */
const FAR = 1000;

/**
 * The paper that goes with each panel: the panel, and what is cut in one with it beyond the centre, parted straight
 * across where the panels meet there.
 */
function papersOf({ panels, moves }: PieceFrame): readonly Region[] {
  const own = panels.map((p) => regionOf(p.outline, FLAT));
  const centre = moves ? centreEdgeOf(moves.from) : null;
  if (!moves?.from.beyond || !centre) return own;
  const at = centre.path.start.x;
  const ends = own.map((region) => {
    const ys = region.flat().flatMap((p) => (Math.abs(p.x - at) < TOL.join ? [p.y] : []));
    return ys.length > 1 ? ([Math.min(...ys), Math.max(...ys)] as const) : null;
  });
  const [top, bottom] = [0, 1].map((i) => ends.flatMap((e) => (e ? [nth(e, i)] : [])));
  const [highest, lowest] = [Math.min(...(top ?? [])), Math.max(...(bottom ?? []))];
  const away = at + (at > middleX(moves.from) ? FAR : -FAR);
  return own.map((region, i) => {
    const end = ends[i];
    if (!end) return region;
    const from = end[0] === highest ? end[0] - FAR : end[0];
    const to = end[1] === lowest ? end[1] + FAR : end[1];
    const strip = [
      { x: at, y: from },
      { x: away, y: from },
      { x: away, y: to },
      { x: at, y: to },
    ];
    return unite(region, [away > at ? strip : [...strip].reverse()]);
  });
}

/** The tissue cut along the lines and moved with its panels; what laps lies double and counts once. */
function afterSlash(tissue: Region, frame: PieceFrame): Region {
  const papers = papersOf(frame);
  return unite(...frame.panels.map((panel, i) => carried(common(tissue, papers[i] ?? []), panel.motion)));
}

function afterRun(tissue: Tissue, run: Run): Tissue {
  const next: Tissue = new Map(tissue);
  for (const { id } of run.pieces) {
    // A panel that a piece was divided into lies where that piece lay.
    const had = tissue.get(id) ?? tissue.get(run.altered);
    if (had) next.set(id, slashesOn(run.frames, id).reduce(afterSlash, had));
  }
  return next;
}

/** The run of a step on one side of the body; null where it did nothing there. */
function runOn({ step, outcome, other }: DraftStep, side: Side): Run | null {
  if (!step.on || !outcome.ok || (step.side !== 'both' && step.side !== side)) return null;
  if (side === 'right' && other) return other.ok ? other.value : null;
  return outcome.value;
}

const flipped = (region: Region, to: (p: Point) => Point): Region => region.map((ring) => ring.map(to).reverse());

/**
 * Paper to tape in or on, by the id of the cut piece: where the altered piece lies within its seam lines and the
 * tissue, cut and moved through every step, does not. Slits and redrawn edges alike. Empty for untouched pieces.
 */
export function addedPaper(draft: Pick<Draft, 'original' | 'steps' | 'pieces' | 'sides'>): ReadonlyMap<string, Region> {
  const start: Tissue = new Map(draft.original.map((p) => [p.id, regionOf(paperOutline(p), FLAT)]));
  const end = (side: Side): Tissue =>
    draft.steps.reduce<Tissue>((tissue, step) => {
      const run = runOn(step, side);
      return run ? afterRun(tissue, run) : tissue;
    }, start);
  const lying = { left: end('left'), right: alike(draft.sides) ? new Map() : end('right') };
  const out = new Map<string, Region>();
  for (const piece of draft.pieces) {
    if (draft.original.includes(piece)) continue;
    const tissue = tissueOf(piece, draft.sides, lying);
    if (!tissue) continue;
    const bare = without(regionOf(paperOutline(piece), FLAT), tissue);
    const added = grow(grow(bare, -SLIVER / 2), SLIVER / 2);
    if (added.length > 0) out.set(piece.id, added);
  }
  return out;
}

function tissueOf(
  piece: Piece,
  sides: Draft['sides'],
  lying: { readonly left: Tissue; readonly right: Tissue },
): Region | undefined {
  const plain = (end: string): string | null => (piece.id.endsWith(end) ? piece.id.slice(0, -end.length) : null);
  const own = lying.left.get(piece.id);
  if (own) return own;
  const left = plain(CUT_AS.left);
  if (left !== null) return lying.left.get(left);
  const right = plain(CUT_AS.right);
  if (right !== null) {
    const axis = middleX(piece);
    return flipped(lying.right.get(right) ?? [], ({ x, y }) => ({ x: 2 * axis - x, y }));
  }
  const whole = plain(CUT_AS.whole);
  const l = sides.left.pieces.find((p) => p.id === whole);
  const r = sides.right.pieces.find((p) => p.id === whole);
  if (whole === null || !l?.fold || !r?.fold) return undefined;
  const sum = requireEdge(l, l.fold).path.start.x + requireEdge(r, r.fold).path.start.x;
  return unite(
    lying.left.get(whole) ?? [],
    flipped(lying.right.get(whole) ?? [], ({ x, y }) => ({ x: sum - x, y })),
  );
}
