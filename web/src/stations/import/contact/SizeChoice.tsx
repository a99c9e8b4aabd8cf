import { counted, sayFileRefusal, saySizesBy } from '@ample/core/words';
import { useImport } from '../../../store/import.ts';
import { chooseAllowance, chooseSize } from '../../../store/contact.ts';
import { useUnits } from '../../../store/prefs.ts';
import { LengthField } from '../../../shared/LengthField.tsx';
import { Notice } from '../../../shared/basics.tsx';

/** Chooses one of the sizes in the file, and the allowance where it has to be entered. */
export function SizeChoice() {
  const contact = useImport((s) => s.contact);
  const units = useUnits();
  if (!contact) return null;
  const { state, read, open, wanted } = contact;
  if (typeof state === 'object') return <Notice grade="look">{sayFileRefusal(state.failed, units)}</Notice>;
  if (!read) return <p role="status">Looking for the pieces…</p>;
  if (read.pieces.length === 0) return null;
  const printed = contact.pieces[0]?.choices;
  return (
    <section className="card p-4" aria-label="Size">
      <h2 className="mb-1">{read.sizes.length > 1 ? 'Which size?' : 'All pieces at once'}</h2>
      <p className="mb-2 text-quiet">
        {state === 'reading'
          ? 'Reading the pieces…'
          : `${counted(read.pieces.length, 'piece')} found. ${read.sizes.length > 1 ? saySizesBy(read.sizesBy) : ''}`}
      </p>
      {(read.sizes.length > 1 || !open) && (
        <div className="flex flex-wrap gap-2" role="group" aria-label="Sizes in the file">
          {read.sizes.map((size) => (
            <button
              key={size}
              className={`btn min-w-[52px] ${open && read.size === size ? '!bg-tissue font-bold' : ''}`}
              aria-pressed={open && read.size === size}
              onClick={() => void chooseSize(size)}
            >
              {size}
            </button>
          ))}
        </div>
      )}
      {open && (
        <div className="mt-3">
          <LengthField
            label={read.allowanceOpen ? 'Seam allowance: not said yet' : 'Seam allowance'}
            value={wanted.allowance ?? (read.allowanceOpen ? null : (printed?.allowance ?? null))}
            min={0}
            max={100}
            width="w-full"
            optional
            onCommit={(v) => v !== null && void chooseAllowance(v)}
          />
        </div>
      )}
    </section>
  );
}
