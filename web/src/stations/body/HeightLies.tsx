import { HEIGHT_LIES, type HeightLies as Where } from '@ample/core/pattern';
import { HEIGHT_LIES_WORDS } from '@ample/core/words';
import { setHeightLies } from '../../store/body.ts';

/** Asked beneath the height: a bodice takes its share of a difference only where that lies in it. */
export function HeightLies({ value }: { readonly value: Where }) {
  return (
    <tr className="border-b border-line">
      <td colSpan={5} className="px-3 py-2">
        <label className="flex flex-wrap items-center gap-3">
          <span>The difference in height lies</span>
          <select className="field" value={value} onChange={(e) => setHeightLies(e.target.value as Where)}>
            {HEIGHT_LIES.map((where) => (
              <option key={where} value={where}>
                {HEIGHT_LIES_WORDS[where]}
              </option>
            ))}
          </select>
        </label>
      </td>
    </tr>
  );
}
