import { Trash2 } from 'lucide-react';
import { bringDrawn, callDrawn, takeOutDrawn, useDrawn } from '../../store/drawn.ts';
import { useUnits } from '../../store/prefs.ts';
import { PartSelect } from '../../ui/PartSelect.tsx';
import { sayDrawn } from './drawnWords.ts';

/** Pieces drawn by hand so far, from however many pictures and from the mat, and the way on with all of them. */
export function DrawnPieces() {
  const { pieces, size } = useDrawn();
  const units = useUnits();
  if (pieces.length === 0) return null;
  const many = pieces.length > 1;
  return (
    <section className="card space-y-3 p-4" aria-label="Pieces drawn so far">
      <h2>{many ? `${pieces.length} pieces drawn` : 'One piece drawn'}</h2>
      <ol className="space-y-3">
        {pieces.map((p, i) => (
          <li key={p.id} className="border-t border-line pt-2">
            <p className="mb-1 text-sm">{sayDrawn(p, i, units)}</p>
            <div className="flex items-end gap-2">
              <div className="min-w-0 flex-1">
                <PartSelect part={p.part} onChange={(part) => callDrawn(p.id, part)} />
              </div>
              <button className="btn !px-3" onClick={() => takeOutDrawn(p.id)}>
                <Trash2 size={20} aria-hidden="true" />
                <span className="sr-only">Remove {sayDrawn(p, i, units)}</span>
              </button>
            </div>
          </li>
        ))}
      </ol>
      <label className="block">
        <span className="mb-1 block text-sm">Their size, if you like</span>
        <input
          className="field w-32"
          maxLength={12}
          value={size}
          onChange={(e) => useDrawn.setState({ size: e.target.value })}
        />
      </label>
      <p className="text-quiet">
        Draw the next piece, take another picture of one, or go on with {many ? 'these' : 'this'}.
      </p>
      <button className="btn btn-main" onClick={bringDrawn}>
        {many ? `Import these ${pieces.length} pieces` : 'Import this piece'}
      </button>
    </section>
  );
}
