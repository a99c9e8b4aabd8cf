import {
  distance,
  endOf,
  flatten,
  joinPaths,
  lengthTo,
  nearestOnPath,
  pathFromSpans,
  polyline,
  reversePath,
  signedArea,
  spansOf,
  subPath,
  type Path,
  type Span,
} from '../../../geometry/index.ts';
import { TOL, nth } from '../../../units/index.ts';
import { lookOf } from '../apart.ts';
import { allRings, ringOf, runThrough, type Ring } from '../chain.ts';
import { grouped } from '../grouped.ts';
import { boxOf, type Lines, type Stroke } from '../lines.ts';
import { squareSide } from '../scale.ts';

/** A closed line that may be a piece in one size. */
export interface Outline {
  readonly ring: Ring;
  /** Layer and look of its lines. */
  readonly look: string;
  /** The file itself calls it a seam line. */
  readonly isSeam: boolean;
  /** Its own lines. */
  readonly own: readonly Stroke[];
}

/** What is smaller each way is a sign or a letter, mm. */
const LEAST = 60;
/** A piece has at least this area, mm². */
const LEAST_AREA = 2000;
/** A frame or a page reaches so near to the edges of the drawing, as a share of it. */
const ALL_OF_IT = 0.97;
/** More lines than this that lead nowhere are no pattern. */
const MOST_RUNS = 400;

const large = (path: Path): boolean => {
  const b = boxOf(path);
  return Math.max(b.maxX - b.minX, b.maxY - b.minY) >= LEAST;
};

/** A rectangle around the whole drawing is its frame. */
function framesDrawing(path: Path, drawing: { readonly width: number; readonly height: number } | undefined): boolean {
  const b = boxOf(path);
  if (!drawing || path.segments.length > 5) return false;
  return b.maxX - b.minX > ALL_OF_IT * drawing.width && b.maxY - b.minY > ALL_OF_IT * drawing.height;
}

/** A square to check the printer by, in however many bits it was drawn. */
function isTestSquare(path: Path): boolean {
  const box = boxOf(path);
  const side = squareSide(box);
  return (
    side !== null &&
    flatten(path, TOL.straight).every((p) =>
      [p.x - box.minX, box.maxX - p.x, p.y - box.minY, box.maxY - p.y].some((d) => Math.abs(d) < TOL.straight),
    )
  );
}

/** What the name of a layer says of its lines: the piece as it was before, a seam line, or nothing. */
const NOT_CUT = /\buntouched\b/i;
const SEAM = /(seam|sewing|stitch\w*)\s*line|nahtlinie|ligne de couture|l[ií]nea de costura/i;
const layerNamed = (lines: Lines, look: string, what: RegExp): boolean =>
  lines.layers.some((l) => look.startsWith(`${l.id}|`) && what.test(l.name));

/**
 * Closed lines of a drawing that may be pieces, look by look. Test squares and frames are left out; an outline that
 * stops at a line all sizes share, as at a fold, is closed by the part of that line between its ends.
 */
export function outlinesIn(lines: Lines): readonly Outline[] {
  // What one drew oneself is a piece, however small or square.
  if (lines.marked) return drawnOnes(lines);
  const straight = lines.strokes.filter((s) => !s.closed && s.path.segments.length === 1 && large(s.path));
  const found = [...grouped(lines.strokes, lookOf)].flatMap(([look, from]) => {
    if (layerNamed(lines, look, NOT_CUT)) return [];
    const isSeam = layerNamed(lines, look, SEAM);
    const rings = allRings(from).filter((r) => large(r.path));
    const shut = closedByShared(from, new Set(rings.flatMap((r) => r.strokes)), straight);
    return [...rings, ...shut].map(wholeStraights).map((ring): Outline => ({
      ring,
      look,
      isSeam,
      own: ring.strokes.flatMap((i) => from[i] ?? []),
    }));
  });
  return found.filter(
    ({ ring: { path } }) =>
      Math.abs(signedArea(spansOf(path))) > LEAST_AREA && !isTestSquare(path) && !framesDrawing(path, lines.pages[0]),
  );
}

const drawnOnes = (lines: Lines): readonly Outline[] =>
  allRings(lines.strokes).map((ring) => ({
    ring,
    look: lookOf(nth(lines.strokes, 0)),
    isSeam: false,
    own: ring.strokes.flatMap((i) => lines.strokes[i] ?? []),
  }));

/** The same outline with each straight in one line, which a page's edge may have cut in two: its end then looks no bevel. */
function wholeStraights(ring: Ring): Ring {
  if (ring.strokes.length < 2 && ring.healed.length === 0) return ring;
  const out: Span[] = [];
  for (const s of spansOf(ring.path)) {
    const before = out.at(-1);
    const on = before?.kind === 'line' && s.kind === 'line' ? before : null;
    const line = on ? polyline([on.a, s.b]) : null;
    if (on && line && distance(on.a, s.b) > TOL.meets && nearestOnPath(line, s.a).distance < TOL.fit)
      out[out.length - 1] = { kind: 'line', a: on.a, b: s.b };
    else out.push(s);
  }
  return { ...ring, path: pathFromSpans(out) };
}

/** Runs that end on one straight line of any look, closed by the part of it between their ends. */
function closedByShared(
  from: readonly Stroke[],
  used: ReadonlySet<number>,
  straight: readonly Stroke[],
): readonly Ring[] {
  const taken = new Set(used);
  const begins = from.flatMap((s, i) => (s.closed || taken.has(i) || !large(s.path) ? [] : [i]));
  if (straight.length === 0 || begins.length > MOST_RUNS) return [];
  return begins.flatMap((i) => {
    if (taken.has(i)) return [];
    const run = runThrough(from, i, taken);
    const [a, b] = [run.path.start, endOf(run.path)];
    if (distance(a, b) < LEAST) return [];
    const shared = straight.find(
      (s) =>
        !run.strokes.some((k) => from[k] === s) && [a, b].every((p) => nearestOnPath(s.path, p).distance <= TOL.heal),
    );
    if (!shared) return [];
    for (const k of run.strokes) taken.add(k);
    const [p, q] = [b, a].map((x) => lengthTo(shared.path, nearestOnPath(shared.path, x))) as [number, number];
    const back = p < q ? subPath(shared.path, p, q) : reversePath(subPath(shared.path, q, p));
    const path = ringOf(joinPaths([run.path, { ...back, start: b }]));
    return [{ path, strokes: run.strokes, healed: run.healed }];
  });
}
