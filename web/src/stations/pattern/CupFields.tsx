import { useState } from 'react';
import type { Pattern } from '@ample/core/pattern';
import { CUP_PIECE_WORDS } from '@ample/core/words';
import { editPattern } from '../../store/patterns.ts';
import { LengthField } from '../../shared/LengthField.tsx';

type Cup = Pattern['cups'][number];

/** Ready-made pieces as they are sold: for a bust one size below the size, of the size, and one above. */
const READY: readonly Cup[] = [
  { name: 'small', cup: 0, sizesUp: -1 },
  { name: 'standard', cup: 0, sizesUp: 0 },
  { name: 'full', cup: 0, sizesUp: 1 },
];

/** The cups it is sold in; none means one cup. */
export function CupFields({ pattern }: { readonly pattern: Pattern }) {
  const [name, setName] = useState('');
  const add = (...cups: readonly Cup[]) => editPattern((p) => ({ ...p, cups: [...p.cups, ...cups] }));
  return (
    <div className="min-[700px]:col-span-3">
      <div className="text-sm">Sold in several cups</div>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        {pattern.cups.map((c) => (
          <span key={c.name} className="flex items-end gap-1 border border-line p-2">
            {c.sizesUp === null ? (
              <LengthField
                label={`Cup ${c.name}`}
                value={c.cup}
                min={0}
                max={400}
                width="w-28"
                onCommit={(v) =>
                  v !== null &&
                  editPattern((p) => ({ ...p, cups: p.cups.map((x) => (x.name === c.name ? { ...x, cup: v } : x)) }))
                }
              />
            ) : (
              <span className="min-h-[40px] px-1 py-2">
                {c.name}: {CUP_PIECE_WORDS(c.sizesUp)}
              </span>
            )}
            <button
              className="btn"
              onClick={() => editPattern((p) => ({ ...p, cups: p.cups.filter((x) => x.name !== c.name) }))}
            >
              Remove<span className="sr-only"> cup {c.name}</span>
            </button>
          </span>
        ))}
        <label>
          <span className="mb-1 block text-sm">Another cup</span>
          <input className="field w-24" value={name} maxLength={20} onChange={(e) => setName(e.target.value)} />
        </label>
        <button
          className="btn"
          disabled={name.trim() === '' || pattern.cups.some((c) => c.name === name.trim())}
          onClick={() => {
            // Each cup is an inch over the one before it.
            const most = Math.max(0, ...pattern.cups.map((c) => c.cup));
            add({ name: name.trim(), cup: Math.min(400, most + 25), sizesUp: null });
            setName('');
          }}
        >
          Add it
        </button>
        {pattern.cups.length === 0 && (
          <button className="btn" onClick={() => add(...READY)}>
            Small, standard and full pieces
          </button>
        )}
      </div>
      {pattern.cups.length > 0 && (
        <p className="mt-2 max-w-[70ch] text-sm text-quiet">
          Pieces drawn for a cup belong to a size of their own, named after both: “4 {pattern.cups.at(-1)?.name}”. What
          is the same for all stays under “4” alone.
        </p>
      )}
    </div>
  );
}
