import { useMemo, useState } from 'react';
import { threeMethods, type Method, type MethodDone } from '@ample/core/practice';
import { COLOURS, drawPiece, pathData } from '@ample/core/out';
import { boxAround } from '@ample/core/geometry';
import { ROLE_WORDS } from '@ample/core/words';
import { TOL } from '@ample/core/units';
import { Length } from '../../shared/basics.tsx';
import { LengthField } from '../../shared/LengthField.tsx';
import { Said } from '../../shared/Said.tsx';
import { PracticePage } from './PracticePage.tsx';

const METHOD_WORDS: Readonly<Record<Method, { readonly name: string; readonly how: string; readonly when: string }>> = {
  slash: {
    name: 'Slash',
    how: 'Cut from the shoulder to a hinge on the armhole, and lap.',
    when: 'When the sleeve is to fit as it is: the armhole keeps its length. The paper is cut.',
  },
  slide: {
    name: 'Pivot or slide',
    how: 'Trace the piece; slide the part beside the armhole along the shoulder, and trace that part again.',
    when: 'When the tissue must stay whole: nothing is cut. The armhole keeps its shape above the notch and changes its length: the cap has to follow.',
  },
  redraw: {
    name: 'At the seam',
    how: 'Move the shoulder point along the seam and draw the armhole again to nothing at the notch.',
    when: 'For little amounts, and quickly. The armhole changes its length: the cap has to follow.',
  },
};

/** One amount, three ways, side by side: what each changes besides. */
export function Methods() {
  const [by, setBy] = useState(10);
  const done = useMemo(() => threeMethods(by), [by]);
  return (
    <PracticePage
      title="Three methods"
      lead="A narrow shoulder, the same amount on the same paper, done three ways. What is wanted comes out alike; what else changes does not."
    >
      <LengthField
        label="Shorter by, on each shoulder"
        value={by}
        onCommit={(v) => v !== null && setBy(v)}
        min={2}
        max={18}
        width="w-64"
        steps
      />
      <div className="mt-4 grid gap-5 min-[900px]:grid-cols-3">
        {done.map((d) => (
          <section key={d.method} aria-labelledby={d.method} className="card p-4">
            <h2 id={d.method}>{METHOD_WORDS[d.method].name}</h2>
            <p>
              <Said>{METHOD_WORDS[d.method].how}</Said>
            </p>
            <Pair done={d} />
            <table className="mt-2 w-full">
              <caption className="text-left text-sm text-quiet">Front and back together</caption>
              <tbody>
                {d.changes.map(({ role, by: change }) => (
                  <tr key={role} className="border-t border-line">
                    <th scope="row" className="py-1 text-left font-normal">
                      {ROLE_WORDS[role]}
                    </th>
                    <td className="text-right">
                      {Math.abs(change) < TOL.legs ? 'as before' : <Length value={change} sign />}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <p className="mt-2 border-l-4 border-carbon pl-3">{METHOD_WORDS[d.method].when}</p>
          </section>
        ))}
      </div>
    </PracticePage>
  );
}

/** Front and back: as they were, dashed, and as they are. */
function Pair({ done }: { readonly done: MethodDone }) {
  const line = { vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
  return (
    <div className="mt-3 flex justify-center gap-4">
      {done.pieces.map(({ before, after }) => {
        const [was, is] = [drawPiece(before), drawPiece(after)];
        const { minX, minY, maxX, maxY } = boxAround([was.bounds, is.bounds]);
        return (
          <svg
            key={after.id}
            viewBox={`${minX - 4} ${minY - 4} ${maxX - minX + 8} ${maxY - minY + 8}`}
            className="h-[220px] min-w-0"
            role="img"
            aria-label={`${after.name}, before and after`}
          >
            <path
              d={pathData(is.seam, true)}
              {...line}
              fill={COLOURS.tissue}
              stroke={COLOURS.carbon}
              strokeWidth="1.8"
            />
            <path
              d={pathData(was.seam, true)}
              {...line}
              stroke={COLOURS.pencil}
              strokeWidth="1.4"
              strokeDasharray="4 3"
            />
          </svg>
        );
      })}
    </div>
  );
}
