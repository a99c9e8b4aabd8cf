import { Link, useParams } from 'react-router';
import { sayFinding } from '@ample/core/words';
import { useUnits } from '../store/prefs.ts';
import type { Printable } from '../store/unfit.ts';
import { Check } from '../ui/Check.tsx';
import { Notice } from './basics.tsx';
import { Said } from './Said.tsx';

/** Why pieces are held back, how to fix them, and how to print them anyway. Empty when every piece is sound. */
export function UnfitNotice({ printable }: { readonly printable: Printable }) {
  const { job } = useParams();
  const units = useUnits();
  const { faults, unfit, despite, setDespite } = printable;
  if (faults.length === 0) return null;
  const names = unfit.map((p) => p.name).join(', ');
  return (
    <Notice grade="fault">
      <p className="font-semibold">{despite ? `Printed despite faults: ${names}` : `Not printed: ${names}`}</p>
      <ul className="mt-1 list-disc space-y-1 pl-5">
        {faults.map((f, i) => (
          <li key={i}>
            <Said>{sayFinding(f, units)}</Said>
          </li>
        ))}
      </ul>
      <Link className="btn mt-2" to={`/job/${job}/check`}>
        See it on Check
      </Link>
      <Check on={despite} set={setDespite}>
        Print anyway
      </Check>
    </Notice>
  );
}
