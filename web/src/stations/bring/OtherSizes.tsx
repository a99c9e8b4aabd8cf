import { useMemo, useState } from 'react';
import { validatePiece } from '@ample/core/pattern';
import {
  grouped,
  allRings,
  boxOf,
  lineInside,
  linesIn,
  sameInOtherSizes,
  toldPieces,
  traceLike,
  type Ring,
  type Stroke,
  type TraceChoices,
  type Traced,
} from '@ample/core/tracing';
import type { Refusal } from '@ample/core/units';
import { sayFileRefusal, sayProblem } from '@ample/core/words';
import { shownOf, useBring } from '../../store/bring.ts';
import { useUnits } from '../../store/prefs.ts';
import { takePieces } from '../../store/takePiece.ts';
import { leavePiece } from '../../store/bring.ts';
import { NameField } from '../../ui/NameField.tsx';
import { Length, Notice } from '../../ui/parts.tsx';
import { useSheet } from './SheetView.tsx';

/** The same piece in another size may lie so far off in a nest, mm. */
const NEST = 90;

interface Other {
  readonly ring: Ring;
  readonly others: readonly Stroke[];
  readonly name: string;
}

/** The size a layer's or a block's name speaks of: "Size 38" and "38" alike. */
const sizeIn = (name: string): string =>
  /(?:size|gr\.?|größe)?\s*([A-Z]{0,3}\d{1,3}|X{0,3}[SML])\s*$/i.exec(name)?.[1] ?? '';

/** Outlines of the same piece in other sizes: traced like the first, so that one may grade between them. */
export function OtherSizes({ traced, choices }: { readonly traced: Traced; readonly choices: TraceChoices }) {
  const units = useUnits();
  const lines = useSheet();
  const { picked, hidden, size, name } = useBring();
  const [sizes, setSizes] = useState<Readonly<Record<number, string>>>({});
  const [failed, setFailed] = useState<Refusal | null>(null);
  const found = useMemo((): readonly Other[] => {
    if (!lines || !picked) return [];
    const told = toldPieces(lines).filter((t) => t.choices.name === choices.name && t.ring.path !== picked.ring.path);
    if (told.length > 0) return told.map((t) => ({ ring: t.ring, others: t.others, name: t.size ?? '' }));
    const all = lines.layers.length > 1 ? lines.strokes : shownOf(lines, hidden);
    const groups = grouped(all, (s) => `${s.layer}|${s.style}`);
    const layerName = (s: Stroke | undefined): string => lines.layers.find((l) => l.id === s?.layer)?.name ?? '';
    return [...groups.values()].flatMap((from) => {
      const rings = allRings(from);
      const mine = sameInOtherSizes(picked.ring, rings, NEST)[0];
      if (!mine || rings.some((r) => boxClose(r, picked.ring))) return [];
      // Its own seam line, or the cutting line around it, is no other size.
      if (lineInside(picked.ring, [mine]) || lineInside(mine, [picked.ring])) return [];
      const own = new Set(mine.strokes.map((i) => from[i]));
      const layer = from[0]?.layer;
      const others = linesIn(mine, all).filter(
        (s) => !own.has(s) && (lines.layers.length < 2 || s.layer === layer || s.layer === ''),
      );
      return [{ ring: mine, others, name: sizeIn(layerName(from[0])) }];
    });
  }, [lines, picked, hidden, choices.name]);
  const tried = useMemo(
    () =>
      picked
        ? found.map((f) => ({ ...f, like: traceLike({ ring: picked.ring, choices, traced }, f.ring, f.others) }))
        : [],
    [found, picked, choices, traced],
  );
  if (tried.length === 0) return null;
  const sizeOf = (i: number): string => (sizes[i] ?? tried[i]?.name ?? '').trim();
  const ready = tried.flatMap((t, i) =>
    t.like.ok && sizeOf(i) !== '' ? [{ piece: t.like.value.piece, size: sizeOf(i) }] : [],
  );
  const take = () => {
    const all = [{ piece: traced.piece, size }, ...ready];
    const twice = all.find((a, i) => all.findIndex((b) => b.size === a.size) !== i);
    if (twice) return setFailed({ code: 'size-twice', data: { size: twice.size } });
    const done = takePieces(all, name);
    if (!done.ok) return setFailed(done.error);
    leavePiece();
  };
  return (
    <section className="border-t border-line pt-3" aria-label="Other sizes">
      <h3 className="mb-1">The same piece in other sizes</h3>
      <ul>
        {tried.map((t, i) => {
          const b = boxOf(t.ring.path);
          const problem = t.like.ok ? validatePiece(t.like.value.piece)[0] : undefined;
          return (
            <li key={i} className="border-b border-line py-2">
              <div className="flex items-end justify-between gap-3">
                <div className="w-24">
                  <NameField label="Size" value={sizeOf(i)} max={20} onCommit={(v) => setSizes({ ...sizes, [i]: v })} />
                </div>
                <span className="pb-2 text-sm">
                  <Length bare value={b.maxX - b.minX} /> × <Length value={b.maxY - b.minY} />
                </span>
              </div>
              {!t.like.ok && <p className="text-sm text-pencil">{sayFileRefusal(t.like.error, units)}</p>}
              {problem && <p className="text-sm text-pencil">{sayProblem(problem.code, problem.data, units)}</p>}
            </li>
          );
        })}
      </ul>
      {failed && <Notice grade="fault">{sayFileRefusal(failed, units)}</Notice>}
      <button className="btn mt-2" disabled={ready.length === 0} onClick={take}>
        Take it with {ready.length} other {ready.length === 1 ? 'size' : 'sizes'}
      </button>
    </section>
  );
}

const boxClose = (a: Ring, b: Ring): boolean => {
  const [p, q] = [boxOf(a.path), boxOf(b.path)];
  return (
    Math.abs(p.minX - q.minX) + Math.abs(p.maxX - q.maxX) + Math.abs(p.minY - q.minY) + Math.abs(p.maxY - q.maxY) < 0.5
  );
};
