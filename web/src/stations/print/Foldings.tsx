import type { Folds } from '@ample/core/out/layout';
import { LengthField } from '../../shared/LengthField.tsx';
import { Select } from '../../ui/Select.tsx';
import type { ClothPrefs } from '../../store/prefs.ts';

/** How deep a fold is taken to be until one is typed, mm, and how deep one may be. */
const USUAL_DEPTH = 350;
const DEPTHS = { min: 50, max: 750 } as const;
/** So often is cloth folded anew at most. */
const MOST = 3;

const FOLDINGS = [
  ['half', 'in half, lengthways'],
  ['1', 'one edge, only so deep'],
  ['2', 'both edges, only so deep'],
  ['open', 'not at all'],
] as const;

interface Props {
  readonly cloth: ClothPrefs;
  readonly set: (change: Partial<ClothPrefs>) => unknown;
}

/** How the cloth is folded, and how it is folded anew farther along. */
export function Foldings({ cloth, set }: Props) {
  const { fold, folds, again = [] } = cloth;
  const choose = (how: string): void => {
    const count = how === '1' ? 1 : how === '2' ? 2 : null;
    const depth = folds?.depth ?? USUAL_DEPTH;
    set({ fold: how !== 'open', folds: count === null ? undefined : { depth, count } });
  };
  return (
    <>
      <Select label="Folded" value={!fold ? 'open' : folds ? String(folds.count) : 'half'} set={choose}>
        {FOLDINGS.map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </Select>
      {fold && folds && (
        <>
          <Depth label="Depth of the fold" folds={folds} set={(depth) => set({ folds: { ...folds, depth } })} />
          {again.map((next, i) => (
            <FoldedAgain
              key={i}
              number={i + 2}
              folds={next}
              set={(changed) => set({ again: again.flatMap((f, k) => (k !== i ? [f] : (changed ?? []))) })}
            />
          ))}
          {again.length < MOST && (
            <button className="btn" onClick={() => set({ again: [...again, { ...folds }] })}>
              Fold again farther along
            </button>
          )}
        </>
      )}
    </>
  );
}

const Depth = ({
  label,
  folds,
  set,
}: {
  readonly label: string;
  readonly folds: Folds;
  readonly set: (depth: number) => void;
}) => <LengthField label={label} {...DEPTHS} value={folds.depth} onCommit={(v) => v !== null && set(v)} />;

/** One folding more: at which edges and how deep, or taken out again. */
function FoldedAgain({
  number,
  folds,
  set,
}: {
  readonly number: number;
  readonly folds: Folds;
  readonly set: (folds: Folds | null) => void;
}) {
  return (
    <fieldset className="flex flex-wrap items-end gap-2 border-l border-line pl-3">
      <legend className="sr-only">Folding {number}</legend>
      <Select
        label={`Folding ${number}`}
        value={String(folds.count)}
        set={(count) => set({ ...folds, count: count === '2' ? 2 : 1 })}
      >
        <option value="1">one edge, only so deep</option>
        <option value="2">both edges, only so deep</option>
      </Select>
      <Depth label="Its depth" folds={folds} set={(depth) => set({ ...folds, depth })} />
      <button className="btn" aria-label={`Take folding ${number} out`} onClick={() => set(null)}>
        Take out
      </button>
    </fieldset>
  );
}
