import { useState } from 'react';
import type { Wearer } from '@ample/core/documents';
import type { MeasurementKey } from '@ample/core/pattern';
import { setRemark } from '../../store/body.ts';

/** A note on one reading: how the tape lay, what was worn. */
export function Remark({ set, of }: { readonly set: Wearer['sets'][number]; readonly of: MeasurementKey }) {
  const [text, setText] = useState<string | null>(null);
  return (
    <label className="mt-3 block">
      <span className="mb-1 block text-sm">Note on this value</span>
      <input
        className="field w-full"
        maxLength={400}
        value={text ?? set.remarks[of] ?? ''}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => {
          if (text !== null) setRemark(set.id, of, text);
          setText(null);
        }}
      />
    </label>
  );
}
