import { sayKeeping } from '@ample/core/words';
import type { Damaged } from '../../store/db.ts';
import { download } from '../../store/export.ts';
import { forgetDamaged } from '../../store/library.ts';
import { useUnits } from '../../store/prefs.ts';
import { Notice } from '../../shared/basics.tsx';

/** A document that cannot be read: set aside, it can be taken out as it is. */
export function DamagedDocument({ document }: { readonly document: Damaged }) {
  const units = useUnits();
  return (
    <div className="mb-3">
      <Notice grade="look">
        <p>{sayKeeping({ code: 'document-damaged', data: { kind: document.kind, detail: document.detail } }, units)}</p>
        <div className="mt-2 flex gap-2">
          <button
            className="btn"
            onClick={() =>
              download(
                `${document.kind}-${document.key}.damaged.json`,
                JSON.stringify(document.raw, null, 2),
                'application/json',
              )
            }
          >
            Export it as it is
          </button>
          <button className="btn" onClick={() => void forgetDamaged(document.id)}>
            Delete it
          </button>
        </div>
      </Notice>
    </div>
  );
}
