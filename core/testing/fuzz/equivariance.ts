import { runAlteration, type AlterationDefinition, type Context, type Values } from '../../alterations/index.ts';
import type { Point } from '../../geometry/index.ts';
import { placesOfMark, type Piece } from '../../pattern/index.ts';
import { once } from '../../units/index.ts';
import { points } from './oracle.ts';
import type { Drafted, Rewriting } from './rewrite.ts';

const contextOf = ({ pieces, seams }: Drafted, more: Partial<Context>): Context => ({
  wearer: {},
  ...more,
  pieces,
  seams,
  original: pieces,
  originalSeams: seams,
});

const toSegment = (p: Point, a: Point, b: Point): number => {
  const [ux, uy] = [b.x - a.x, b.y - a.y];
  const square = ux * ux + uy * uy;
  const t = square === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * ux + (p.y - a.y) * uy) / square));
  return Math.hypot(p.x - a.x - t * ux, p.y - a.y - t * uy);
};

const outline = (piece: Piece, steps: number): readonly Point[] =>
  piece.edges.flatMap((e) => points(e.path, steps).slice(0, -1));
/** Everything on a piece that has a place: tips, notches, marks. */
function places(piece: Piece): readonly { readonly what: string; readonly at: Point }[] {
  const notch = (edge: string, at: number): Point => {
    const path = piece.edges.find((e) => e.id === edge)?.path;
    const p = path ? points(path, 96) : [];
    let rest = at;
    for (let i = 0; i + 1 < p.length; i++) {
      const [a, b] = [p[i] as Point, p[i + 1] as Point];
      const size = Math.hypot(b.x - a.x, b.y - a.y);
      if (rest <= size || i + 2 === p.length) {
        const t = size === 0 ? 0 : Math.min(1, rest / size);
        return { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
      }
      rest -= size;
    }
    return { x: Infinity, y: Infinity };
  };
  return [
    ...piece.darts.map((d) => ({ what: `tip of the ${d.kind} dart`, at: d.tip })),
    ...piece.marks.flatMap((m) =>
      m.kind === 'notch'
        ? [{ what: 'notch', at: notch(m.edge, m.at) }]
        : m.kind === 'grain'
          ? []
          : placesOfMark(m).map((at) => ({ what: m.kind === 'level' ? `${m.name} level` : m.kind, at })),
    ),
  ];
}

/** Pieces drawn anew on another piece, or moved as a whole, are the same wherever they then lie. */
const FREE: readonly Piece['part'][] = ['facingFront', 'facingBack', 'band', 'pocket'];

/** How far two pieces differ anywhere, mm, and where; the second brought back by `back` first. */
export function differ(a: Piece, b: Piece, back: (p: Point) => Point, steps = 16): Broken {
  const low = (list: readonly Point[]): Point => ({
    x: Math.min(...list.map((p) => p.x)),
    y: Math.min(...list.map((p) => p.y)),
  });
  const one = outline(a, steps);
  const moved = outline(b, steps).map(back);
  const shift = FREE.includes(a.part) ? { x: low(one).x - low(moved).x, y: low(one).y - low(moved).y } : { x: 0, y: 0 };
  const lay = (p: Point): Point => ({ x: p.x + shift.x, y: p.y + shift.y });
  const two = moved.map(lay);
  let worst = { by: 0, what: '' };
  const worse = (by: number, what: string): void => {
    if (!(by <= worst.by)) worst = { by, what };
  };
  const near = (p: Point, ring: readonly Point[]): number =>
    ring.reduce((best, q, i) => Math.min(best, toSegment(p, q, ring[(i + 1) % ring.length] as Point)), Infinity);
  for (const p of one) worse(near(p, two), `outline at ${p.x.toFixed(0)}, ${p.y.toFixed(0)}`);
  for (const p of two) worse(near(p, one), `outline at ${p.x.toFixed(0)}, ${p.y.toFixed(0)}`);
  const theirs = places(b).map((x) => ({ ...x, at: lay(back(x.at)) }));
  for (const { what, at } of places(a)) {
    const same = theirs.filter((t) => t.what === what);
    worse(Math.min(Infinity, ...same.map((t) => Math.hypot(t.at.x - at.x, t.at.y - at.y))), what);
  }
  return worst;
}

export interface Broken {
  readonly by: number;
  readonly what: string;
}

/** An alteration carried out on a draft as it is written. */
export interface AsWritten {
  readonly definition: AlterationDefinition;
  readonly values: Values;
  readonly drafted: Drafted;
  readonly more: Partial<Context>;
  readonly run: ReturnType<typeof runAlteration>;
}
export const asWritten = (trial: Omit<AsWritten, 'run'>): AsWritten => ({
  ...trial,
  run: runAlteration(trial.definition, contextOf(trial.drafted, trial.more), trial.values),
});

/** A draft rewritten, once for all the alterations that are tried on it. */
const rewrittenBy = once((rewriting: Rewriting) => once((drafted: Drafted) => rewriting.to(drafted)));

/**
 * Carries an alteration out on the same draft rewritten, brings the result back and lays it on the first. Null where
 * they agree within `slack`: the same pieces, or the same refusal.
 */
export function brokenBy(trial: AsWritten, rewriting: Rewriting, slack = 0.05): Broken | null {
  const { definition, values, drafted, more, run: one } = trial;
  const written = rewrittenBy(rewriting)(drafted);
  const nest = more.nest && more.size ? { ...more.nest, ...rewrittenNest(more.nest, drafted, rewriting) } : undefined;
  const two = runAlteration(definition, contextOf(written, nest ? { ...more, nest } : more), laidOn(values, rewriting));
  if (!one.ok || !two.ok) {
    const [a, b] = [one, two].map((r) => (r.ok ? 'carried out' : r.error.code));
    return a === b ? null : { by: Infinity, what: `${a} against ${b}` };
  }
  let worst: Broken | null = null;
  one.value.pieces.forEach((piece, i) => {
    const other = two.value.pieces[i];
    if (!other || (drafted.pieces.includes(piece) && written.pieces.includes(other))) return;
    const back = (p: Point): Point => rewriting.back(piece.id, p);
    // Chords of a curve lie beside it: what differs is looked at again with finer ones.
    const rough = differ(piece, other, back);
    const { by, what } = rough.by > slack ? differ(piece, other, back, 120) : rough;
    if (by > slack && by > (worst?.by ?? 0)) worst = { by, what: `${piece.id}: ${what}` };
  });
  return worst;
}

/** Places among the values lie on the rewritten pieces. */
const laidOn = (values: Values, { forth }: Rewriting): Values =>
  Object.fromEntries(
    Object.entries(values).map(([key, v]) => [key, v !== null && typeof v === 'object' ? forth(v) : v]),
  );

function rewrittenNest(nest: NonNullable<Context['nest']>, drafted: Drafted, rewriting: Rewriting) {
  return Object.fromEntries(
    Object.entries(nest).map(([size, pieces]) => [size, rewriting.to({ pieces, seams: drafted.seams }).pieces]),
  );
}
