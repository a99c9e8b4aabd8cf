import type { Pattern, Piece } from '@ample/core/pattern';
import { ROLE_WORDS } from '@ample/core/words';
import { editPattern } from '../../store/patterns.ts';
import { LengthField } from '../../shared/LengthField.tsx';

/** The allowance of one edge, in every size the piece is drawn in. */
const setEdge = (piece: string, edge: string, value: number): void =>
  editPattern((p) => ({
    ...p,
    sizes: Object.fromEntries(
      Object.entries(p.sizes).map(([size, pieces]) => [
        size,
        pieces.map((q) =>
          q.id !== piece ? q : { ...q, edges: q.edges.map((e) => (e.id === edge ? { ...e, allowance: value } : e)) },
        ),
      ]),
    ),
  }));

/** Seam allowances edge by edge; dart mouths go with their darts, folds have none. */
export function Allowances({ pattern, pieces }: { readonly pattern: Pattern; readonly pieces: readonly Piece[] }) {
  if (pieces.length === 0) return null;
  return (
    <details className="card mb-5 p-3">
      <summary className="min-h-[40px] cursor-pointer py-2">
        Seam allowance edge by edge, in all sizes of {pattern.name}
      </summary>
      {pieces.map((p) => (
        <section key={p.id} className="border-t border-line py-3" aria-label={`Allowances of ${p.name}`}>
          <h3 className="mb-2">{p.name}</h3>
          <div className="flex flex-wrap gap-3">
            {p.edges
              .filter((e) => e.role !== 'dart' && e.id !== p.fold)
              .map((e, _, all) => {
                const same = all.filter((x) => x.role === e.role);
                const name = ROLE_WORDS[e.role];
                return (
                  <LengthField
                    key={e.id}
                    label={same.length > 1 ? `${name} ${same.indexOf(e) + 1}` : name}
                    value={e.allowance}
                    min={0}
                    max={100}
                    width="w-32"
                    onCommit={(v) => v !== null && setEdge(p.id, e.id, v)}
                  />
                );
              })}
          </div>
        </section>
      ))}
    </details>
  );
}
