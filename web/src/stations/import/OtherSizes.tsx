import { useMemo, useState } from 'react';
import { validatePiece } from '@ample/core/pattern';
import {
  boxOf,
  linesIn,
  linesOfSize,
  otherSizes,
  toldPieces,
  traceLike,
  type Ring,
  type Stroke,
  type TraceChoices,
  type Traced,
} from '@ample/core/in/tracing';
import type { Refusal } from '@ample/core/units';
import { noun, sayFileRefusal, sayProblem } from '@ample/core/words';
import { shownOf, useImport, leavePiece } from '../../store/import.ts';
import { useUnits } from '../../store/prefs.ts';
import { takePieces } from '../../store/takePiece.ts';
import { NameField } from '../../ui/NameField.tsx';
import { Length, Notice } from '../../shared/basics.tsx';
import { useSheet } from './SheetView.tsx';
import type { Result } from '@ample/core/units';
import type { NestError } from '@ample/core/in/tracing';
import type { Dispatch } from 'react';
import type { SetStateAction } from 'react';
import type { Units } from '@ample/core/speech';
import type { Piece } from '@ample/core/pattern';

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
  const { picked, hidden, size, name } = useImport();
  const [sizes, setSizes] = useState<Readonly<Record<number, string>>>({});
  const [failed, setFailed] = useState<Refusal | null>(null);
  const found = useMemo((): readonly Other[] => {
    if (!lines || !picked) return [];
    const told = toldPieces(lines).filter((t) => t.choices.name === choices.name && t.ring.path !== picked.ring.path);
    if (told.length > 0) return told.map((t) => ({ ring: t.ring, others: t.others, name: t.size ?? '' }));
    const all = lines.layers.length > 1 ? lines.strokes : shownOf(lines, hidden);
    const layerName = (s: Stroke | undefined): string => lines.layers.find((l) => l.id === s?.layer)?.name ?? '';
    const apart = otherSizes(picked.ring, all);
    return apart.map(({ look, ring, from }) => {
      const own = new Set(ring.strokes.map((k) => from[k]));
      // Neither the marks of the other sizes nor those of the one picked first are this one's.
      const first = picked.look === null ? [] : [{ look: picked.look, ring: picked.ring, from: [] }];
      const mine = linesOfSize(look, [...apart, ...first], all);
      const layer = from[0]?.layer;
      const others = linesIn(ring, mine).filter(
        (s) => !own.has(s) && (lines.layers.length < 2 || s.layer === layer || s.layer === ''),
      );
      return { ring, others, name: sizeIn(layerName(from[0])) };
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
    <OtherSizesList
      tried={tried}
      sizeOf={sizeOf}
      setSizes={setSizes}
      sizes={sizes}
      units={units}
      failed={failed}
      ready={ready}
      take={take}
    />
  );
}

function OtherSizesList({
  tried,
  sizeOf,
  setSizes,
  sizes,
  units,
  failed,
  ready,
  take,
}: {
  readonly tried: { like: Result<Traced, NestError>; ring: Ring; others: readonly Stroke[]; name: string }[];
  readonly sizeOf: (i: number) => string;
  readonly setSizes: Dispatch<SetStateAction<Readonly<Record<number, string>>>>;
  readonly sizes: Readonly<Record<number, string>>;
  readonly units: Units;
  readonly failed: Refusal | null;
  readonly ready: { piece: Piece; size: string }[];
  readonly take: () => void;
}) {
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
        Take it with {ready.length} other {noun(ready.length, 'size', 'sizes')}
      </button>
    </section>
  );
}
