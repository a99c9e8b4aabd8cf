import { useCallback, useMemo, useReducer } from 'react';
import {
  cutAlong,
  judge,
  restOf,
  rightLines,
  tapeDown,
  tapeHinge,
  trueAlong,
  type Attempt,
  type CutSheet,
  type Laid,
  type Left,
  type Line,
  type Task,
  type Verdict,
} from '@ample/core/practice';
import type { Point } from '@ample/core/geometry';
import type { Piece } from '@ample/core/pattern';
import { ok, type Refusal, type Result } from '@ample/core/units';

/** Everything that was done so far, piece by piece. */
export interface Work {
  readonly lines: readonly (readonly Line[])[];
  /** What has been cut, and where it lies. */
  readonly cut: readonly ({ readonly sheet: CutSheet; readonly laid: Laid } | null)[];
  readonly tip: Point | null;
  /** Cuts that were pushed shut and taped: the paper is whole again. */
  readonly scars: readonly (readonly (readonly Point[])[])[];
  /** Seams drawn anew on the taped paper of each piece, one after the other. */
  readonly trued: readonly (readonly (readonly Point[])[])[];
}

/** A taped piece with its seams drawn anew; null where none was. */
export function truedPiece(piece: Piece, courses: readonly (readonly Point[])[]): Result<Piece | null> {
  let done: Piece | null = null;
  for (const course of courses) {
    const next = trueAlong(done ?? piece, course);
    if (!next.ok) return next;
    done = next.value;
  }
  return ok(done);
}

interface State {
  readonly past: readonly Work[];
  readonly now: Work;
  readonly future: readonly Work[];
  readonly trouble: Refusal | null;
  readonly verdict: Verdict | null;
}
type Action =
  | { readonly kind: 'do'; readonly work: Work }
  | { readonly kind: 'undo' | 'redo' }
  | { readonly kind: 'trouble'; readonly trouble: Refusal | null }
  | { readonly kind: 'verdict'; readonly verdict: Verdict };

function next(s: State, a: Action): State {
  const clear = { trouble: null, verdict: null };
  switch (a.kind) {
    case 'do':
      return { past: [...s.past, s.now], now: a.work, future: [], ...clear };
    case 'undo': {
      const before = s.past.at(-1);
      return before ? { past: s.past.slice(0, -1), now: before, future: [s.now, ...s.future], ...clear } : s;
    }
    case 'redo': {
      const [after] = s.future;
      return after ? { past: [...s.past, s.now], now: after, future: s.future.slice(1), ...clear } : s;
    }
    case 'trouble':
      return { ...s, trouble: a.trouble };
    case 'verdict':
      return { ...s, verdict: a.verdict, trouble: null };
  }
}

/** The paper as it is handed out; or as an accident left it. */
const beginning = (task: Task, left: Left | null): Work => ({
  lines: task.right.map((way, i) => left?.[i]?.sheet.lines ?? (task.grade === 'guided' ? rightLines(way) : [])),
  cut: task.right.map((_, i) => left?.[i] ?? null),
  tip: null,
  trued: task.right.map(() => []),
  scars: task.right.map(() => []),
});

/** A piece as it is looked at: taped where it lies, its seams as they were drawn. */
function attemptOf(
  cut: { readonly sheet: CutSheet; readonly laid: Laid },
  courses: readonly (readonly Point[])[],
  tip: Point | null,
): Result<Attempt> {
  const taped = tapeDown(cut.sheet, cut.laid);
  if (!taped.ok) return taped;
  const trued = truedPiece(taped.value.piece, courses);
  return trued.ok ? ok({ ...cut, taped: taped.value, tip, trued: trued.value }) : trued;
}

const put = <T>(list: readonly T[], at: number, value: T): readonly T[] => list.map((v, i) => (i === at ? value : v));

/** What somebody does to the paper of a task, with undo. Lines are drawn until the paper is cut; then it is moved. */
export function useAttempt(task: Task, left: Left | null = null) {
  const [state, send] = useReducer(next, task, (t): State => ({
    ...{ past: [], now: beginning(t, left), future: [] },
    ...{ trouble: null, verdict: null },
  }));
  const { now } = state;
  const change = useCallback((work: Partial<Work>) => send({ kind: 'do', work: { ...now, ...work } }), [now]);
  const say = useCallback((trouble: Refusal | null) => send({ kind: 'trouble', trouble }), []);
  return useMemo(
    () => ({
      ...state,
      isCut: now.cut.some((c) => c !== null),
      say,
      undo: () => send({ kind: 'undo' }),
      redo: () => send({ kind: 'redo' }),
      draw: (piece: number, points: readonly Point[]) => {
        const lines = now.lines[piece] ?? [];
        const used = lines.map((l) => Number(l.id));
        const id = String(Math.max(0, ...used.filter(Number.isFinite)) + 1);
        change({ lines: put(now.lines, piece, [...lines, { id, points, hinge: { start: false, end: false } }]) });
      },
      rubOut: (piece: number, id: string) =>
        change({
          lines: put(
            now.lines,
            piece,
            (now.lines[piece] ?? []).filter((l) => l.id !== id),
          ),
        }),
      hinge: (piece: number, id: string, end: 'start' | 'end') =>
        change({
          lines: put(
            now.lines,
            piece,
            (now.lines[piece] ?? []).map((l) =>
              l.id === id ? { ...l, hinge: { ...l.hinge, [end]: !l.hinge[end] } } : l,
            ),
          ),
        }),
      cut: () => {
        const cuts: Work['cut'][number][] = [];
        for (const [i, way] of task.right.entries()) {
          const lines = now.lines[i] ?? [];
          // A piece without lines lies there whole; with none anywhere the first is asked for one.
          if (lines.length === 0 && (i > 0 || now.lines.some((l) => l.length > 0))) {
            cuts.push(null);
            continue;
          }
          const sheet = cutAlong(way.from, lines);
          if (!sheet.ok) return say(sheet.error);
          cuts.push({ sheet: sheet.value, laid: restOf(sheet.value) });
        }
        change({ cut: cuts });
      },
      lay: (piece: number, laid: Laid) => {
        const cut = now.cut[piece];
        // Paper that is moved again takes no seam with it.
        if (cut) change({ cut: put(now.cut, piece, { ...cut, laid }), trued: put(now.trued, piece, []) });
      },
      join: (piece: number, at: Point) => {
        const cut = now.cut[piece];
        const joined = cut && tapeHinge(cut, at);
        if (joined?.ok) change({ cut: put(now.cut, piece, joined.value), trued: put(now.trued, piece, []) });
        else if (joined) say(joined.error);
      },
      pushShut: () =>
        change({
          cut: now.cut.map(() => null),
          lines: now.lines.map(() => []),
          trued: now.trued.map(() => []),
          tip: null,
          scars: now.scars.map((s, i) => [...s, ...(now.lines[i] ?? []).map((l) => l.points)]),
        }),
      drawTip: (tip: Point) => change({ tip }),
      trueSeam: (piece: number, course: readonly Point[]) => {
        const cut = now.cut[piece];
        const taped = cut && tapeDown(cut.sheet, cut.laid);
        if (!taped) return;
        const courses = [...(now.trued[piece] ?? []), course];
        const trued = taped.ok ? truedPiece(taped.value.piece, courses) : taped;
        if (trued.ok) change({ trued: put(now.trued, piece, courses) });
        else say(trued.error);
      },
      look: (): Verdict | null => {
        const attempts: (Attempt | null)[] = [];
        for (const [i, c] of now.cut.entries()) {
          const made = c && attemptOf(c, now.trued[i] ?? [], now.tip);
          if (made && !made.ok) {
            say(made.error);
            return null;
          }
          attempts.push(made ? made.value : null);
        }
        const verdict = judge(task, attempts);
        send({ kind: 'verdict', verdict });
        return verdict;
      },
    }),
    [state, now, change, say, task],
  );
}
export type Attempting = ReturnType<typeof useAttempt>;
