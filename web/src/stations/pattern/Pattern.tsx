import { alterationById, propose } from '@ample/core/alterations';
import { drawPiece, pathData, type Step } from '@ample/core/formats';
import type { MeasurementKey, Pattern, Piece } from '@ample/core/pattern';
import { MEASUREMENT_WORDS } from '@ample/core/words';
import { editJob, useJob } from '../../store/job.ts';
import { patternOf } from '../../store/patterns.ts';
import { useLibrary } from '../../store/library.ts';
import { PatternOptions } from './PatternOptions.tsx';
import { useDraft } from '../../store/draft.ts';
import { Length, Station } from '../../ui/parts.tsx';

const COLUMNS: readonly MeasurementKey[] = ['highBust', 'fullBust', 'waist', 'hip', 'napeToWaist', 'shoulder'];

/** What the pattern was drafted for, to read; the pieces laid out small. */
export function PatternStation() {
  const job = useJob((s) => s.job);
  const patterns = useLibrary((s) => s.patterns);
  const size = useDraft((s) => s.draft?.size ?? null);
  const pattern = patternOf(job, patterns);
  if (!pattern)
    return (
      <Station title="Pattern">
        The pattern of this job is not in the drawer. Open the job’s file again, or take the sample.
      </Station>
    );
  const pieces = pattern.sizes[size ?? ''] ?? Object.values(pattern.sizes)[0] ?? [];
  return (
    <Station title={`${pattern.house} No. ${pattern.number} “${pattern.name}”`} lead={pattern.notes}>
      <ChangePattern current={pattern.id} />
      <dl className="mb-4 flex flex-wrap gap-x-8 gap-y-2">
        <Fact name="Cloth">
          {pattern.fabric.kind === 'woven'
            ? 'woven, no stretch'
            : `knit, stretches by ${Math.round(pattern.fabric.stretch * 100)} %`}
        </Fact>
        <Fact name="Drafted for a cup of">
          <Length value={pattern.draftCup} both />
        </Fact>
        {pattern.draftedHeight !== null && (
          <Fact name="Drafted for a height of">
            <Length value={pattern.draftedHeight} />
          </Fact>
        )}
        <Fact name="Seam allowance">
          <Length value={pieces[0]?.edges[0]?.allowance ?? 15} both />
        </Fact>
      </dl>
      <Chart pattern={pattern} size={size} />
      <p className="mt-1 mb-5 text-sm text-quiet">
        The draft cup is the difference of full and high bust the pattern was drawn for. It is not a bra size.
      </p>
      <h2 className="mb-2">Pieces{size !== null && `, size ${size}`}</h2>
      <div className="flex flex-wrap gap-6">
        {pieces.map((p) => (
          <SmallPiece key={p.id} piece={p} />
        ))}
      </div>
    </Station>
  );
}

/** Another pattern for the same job: the plan stays, and is taken out where it cannot be carried out. */
function ChangePattern({ current }: { readonly current: string }) {
  return (
    <label className="mb-4 block max-w-[460px]">
      <span className="mb-1 block text-sm">Pattern of this job</span>
      <select
        className="field w-full"
        value={current}
        onChange={(e) => {
          const id = e.target.value;
          editJob((j) => ({ ...j, pattern: { id }, steps: followPattern(j.steps, id) }));
        }}
      >
        <PatternOptions />
      </select>
    </label>
  );
}

/** The bust steps of a plan, done the way that suits the other pattern; the rest as it is. */
function followPattern(steps: readonly Step[], id: string): Step[] {
  const pattern = patternOf({ pattern: { id } }, useLibrary.getState().patterns);
  const pieces = Object.values(pattern?.sizes ?? {})[0] ?? [];
  const best = propose(pieces, 'bust')[0];
  return steps.map((s) => {
    const bust = alterationById(s.alteration)?.family === 'bust';
    const fits = propose(pieces, 'bust').some((p) => p.id === s.alteration && p.grade !== 'no');
    if (!bust || fits || !best) return s;
    const values: Step['values'] = typeof s.values['total'] === 'number' ? { total: s.values['total'] } : {};
    return { ...s, alteration: best.id, revision: best.revision, values };
  });
}

const Fact = ({ name, children }: { readonly name: string; readonly children: React.ReactNode }) => (
  <div>
    <dt className="text-sm text-quiet">{name}</dt>
    <dd>{children}</dd>
  </div>
);

function Chart({ pattern, size }: { readonly pattern: Pattern; readonly size: string | null }) {
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Size chart">
      <table className="sheet w-full">
        <caption className="sr-only">Body measurements each size is drafted for</caption>
        <thead>
          <tr className="border-b border-ink text-sm">
            <th className="px-3 py-2 text-left font-normal">Size</th>
            {COLUMNS.map((c) => (
              <th key={c} className="px-3 py-2 text-right font-normal">
                {MEASUREMENT_WORDS[c].name}
              </th>
            ))}
            <th className="px-3 py-2 text-right font-normal">Finished bust</th>
          </tr>
        </thead>
        <tbody>
          {pattern.chart.map((row) => (
            <tr key={row.size} className={`border-b border-line ${row.size === size ? 'bg-tissue font-bold' : ''}`}>
              <th scope="row" className="num px-3 py-1.5 text-left">
                {row.size}
                {row.size === size && <span className="ml-2 font-sans text-sm font-normal">this job</span>}
              </th>
              {COLUMNS.map((c) => (
                <td key={c} className="px-3 py-1.5 text-right">
                  {row.body[c] !== undefined && <Length value={row.body[c]} />}
                </td>
              ))}
              <td className="px-3 py-1.5 text-right">
                {pattern.finished[row.size] && <Length value={pattern.finished[row.size]?.bust ?? 0} />}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function SmallPiece({ piece }: { readonly piece: Piece }) {
  const d = drawPiece(piece);
  const { minX, minY, maxX, maxY } = d.bounds;
  const line = { vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
  return (
    <figure className="m-0">
      <svg
        viewBox={`${minX - 4} ${minY - 4} ${maxX - minX + 8} ${maxY - minY + 8}`}
        className="h-[230px]"
        role="img"
        aria-label={piece.name}
      >
        <path d={pathData(d.cutting, true)} fill="#F3E7CF" stroke="#1E2A38" vectorEffect="non-scaling-stroke" />
        <path d={pathData(d.seam, true)} stroke="#2B4C9B" {...line} />
        {d.darts.map((t) => (
          <path key={t.id} d={pathData(t.legs)} stroke="#2B4C9B" {...line} />
        ))}
      </svg>
      <figcaption className="text-sm">
        {piece.name}, {piece.fold !== null ? `cut ${piece.cut} on the fold` : `cut ${piece.cut}`}
      </figcaption>
    </figure>
  );
}
