import { Link, useParams } from 'react-router';
import type { PdfLayer } from '@ample/core/out/pdf';
import type { Piece } from '@ample/core/pattern';
import { usePrefs } from '../../store/prefs.ts';
import { Check } from '../../ui/Check.tsx';
import { Radio } from '../../ui/Radio.tsx';

const WHAT = [
  ['pieces', 'whole pieces'],
  ['patches', 'only what changed, as patches for the tissue'],
] as const;

/** Kinds of line one may leave out, in words of the table. */
const LINES: readonly (readonly [PdfLayer, string])[] = [
  ['cutting', 'cutting lines'],
  ['seam', 'seam lines'],
  ['marks', 'darts, notches, grain'],
  ['words', 'labels'],
  ['original', 'thin outline of the untouched piece'],
  ['added', 'paper that was added, tinted'],
];

/** What is printed: which pieces, whole or as patches, and which of their lines. */
export function PiecesChoice({
  pieces,
  left,
  held,
  setLeft,
}: {
  readonly pieces: readonly Piece[];
  /** Ids of pieces left out. */
  readonly left: readonly string[];
  /** Ids of pieces held back for their faults. */
  readonly held: readonly string[];
  readonly setLeft: (change: (left: readonly string[]) => readonly string[]) => void;
}) {
  const { printed, lines, withSheet } = usePrefs();
  const { job } = useParams();
  return (
    <>
      <fieldset className="card p-4">
        <legend className="bg-page px-1 text-sm">Print</legend>
        {WHAT.map(([id, name]) => (
          <Radio key={id} name="printed" on={printed === id} set={() => usePrefs.setState({ printed: id })}>
            {name}
          </Radio>
        ))}
        <div className="border-t border-line pt-1">
          {pieces.map((p) => (
            <Check
              key={p.id}
              on={!left.includes(p.id) && !held.includes(p.id)}
              disabled={held.includes(p.id)}
              set={(on) => setLeft((l) => (on ? l.filter((x) => x !== p.id) : [...l, p.id]))}
            >
              {p.name}
            </Check>
          ))}
        </div>
      </fieldset>
      <fieldset className="card p-4">
        <legend className="bg-page px-1 text-sm">Lines</legend>
        {LINES.map(([id, name]) => (
          <Check
            key={id}
            on={lines.includes(id)}
            set={(on) =>
              usePrefs.setState({ lines: on ? [...lines.filter((l) => l !== id), id] : lines.filter((l) => l !== id) })
            }
          >
            {name}
          </Check>
        ))}
        <div className="flex items-center gap-2 border-t border-line pt-1">
          <Check on={withSheet} set={(on) => usePrefs.setState({ withSheet: on })}>
            hand sheet after the pages
          </Check>
          <Link className="link ml-auto" to={`/job/${job}/sheet`}>
            read it
          </Link>
        </div>
      </fieldset>
    </>
  );
}
