import { PARTS, type Piece } from '@ample/core/pattern';
import { PIECE_WORDS } from '@ample/core/words';

/** Says which part a piece is; null where nobody has said it yet. */
export function PartSelect({
  part,
  onChange,
}: {
  readonly part: Piece['part'] | null;
  readonly onChange: (part: Piece['part']) => void;
}) {
  return (
    <label>
      <span className="mb-1 block text-sm">This piece is the</span>
      <select
        className="field w-full"
        value={part ?? ''}
        onChange={(e) => e.target.value !== '' && onChange(e.target.value as Piece['part'])}
      >
        {part === null && <option value="">say which</option>}
        {PARTS.map((p) => (
          <option key={p} value={p}>
            {PIECE_WORDS[p].toLowerCase()}
          </option>
        ))}
      </select>
    </label>
  );
}
