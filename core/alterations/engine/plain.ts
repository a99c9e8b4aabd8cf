import { canonical, type Piece, type Seam, type SeamSide } from '../../pattern/index.ts';
import type { Context, Run } from '../contract.ts';
import { nth, once } from '../../units/index.ts';

/** Once for a list of pieces and their seams: the steps of a plan share them. */
const plainOf = once((pieces: readonly Piece[]) => once((seams: readonly Seam[]) => canonical(pieces, seams)));

/** The context with every piece in its plainest writing; the context itself where all of them are plain. */
export function plainContext(context: Context): Context {
  const now = plainOf(context.pieces)(context.seams);
  const then = plainOf(context.original)(context.originalSeams);
  if (now.pieces === context.pieces && then.pieces === context.original) return context;
  // Always the same plain piece for a piece, so that untouched pieces can be told by identity.
  const original = then.pieces.map((p, i) => {
    const at = context.pieces.indexOf(nth(context.original, i));
    return at >= 0 ? nth(now.pieces, at) : p;
  });
  // Copied with its getters, not spread: flat measurements stay lazy.
  return Object.assign(Object.create(Object.getPrototypeOf(context)) as object, definedOn(context), {
    pieces: now.pieces,
    seams: now.seams,
    original,
    originalSeams: then.seams,
  }) as Context;
}

/** The properties of an object with getters kept as getters. */
function definedOn(context: Context): Context {
  return Object.defineProperties({}, Object.getOwnPropertyDescriptors(context)) as Context;
}

/** What a run did not touch is handed back as it was written, and its seams name its own edges again. */
export function asWritten(context: Context, plain: Context, run: Run): Run {
  if (plain === context) return run;
  const untouched = new Set<string>();
  const pieces = run.pieces.map((p) => {
    const at = plain.pieces.indexOf(p);
    if (at < 0) return p;
    untouched.add(p.id);
    return nth(context.pieces, at);
  });
  const side = (now: SeamSide, was: SeamSide | undefined): SeamSide =>
    was && untouched.has(now.piece) && was.piece === now.piece ? was : now;
  const seams = run.seams.map((s) => {
    const was = context.seams.find((w) => w.id === s.id);
    return was ? { ...s, first: side(s.first, was.first), second: side(s.second, was.second) } : s;
  });
  return { ...run, pieces, seams };
}
