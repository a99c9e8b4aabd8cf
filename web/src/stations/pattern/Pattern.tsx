import { FileUp } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { alterationById, propose } from '@ample/core/alterations';
import type { Job, Step } from '@ample/core/documents';
import { inView } from '@ample/core/pattern';
import { sayFinding } from '@ample/core/words';
import { editJob, useJob } from '../../store/job.ts';
import { isOwn, paperPattern, patternOf } from '../../store/patterns.ts';
import { useLibrary } from '../../store/library.ts';
import { PatternOptions } from '../../shared/PatternOptions.tsx';
import { useDraft } from '../../store/draft.ts';
import { useUnits } from '../../store/prefs.ts';
import { First } from '../../shared/first/First.tsx';
import { blankChart, type FirstThing } from '../../shared/first/firstThing.ts';
import { Notice, Station } from '../../shared/basics.tsx';
import { Said } from '../../shared/Said.tsx';
import { SmallPiece } from '../../ui/SmallPiece.tsx';
import { Allowances } from './Allowances.tsx';
import { ChartEditor } from './ChartEditor.tsx';
import { OwnFacts, ReadFacts } from './Facts.tsx';
import { ViewChoice, ViewFields } from './Views.tsx';
import { WhereBodyLies } from './WhereBodyLies.tsx';
import { Select } from '../../ui/Select.tsx';

/** What the pattern was drafted for, to read; the pieces laid out small. */
export function PatternStation() {
  const job = useJob((s) => s.job);
  const patterns = useLibrary((s) => s.patterns);
  const size = useDraft((s) => s.draft?.size ?? null);
  const draft = useDraft((s) => s.draft);
  const units = useUnits();
  const [envelope, setEnvelope] = useState<{ readonly of: string; readonly thing: FirstThing } | null>(null);
  const pattern = patternOf(job, patterns);
  if (!pattern)
    return (
      <Station title="Pattern">
        The pattern of this job is not in the drawer. Open the job’s file again, or take the sample.
      </Station>
    );
  const sizes = inView(pattern, job?.view ?? null).sizes;
  const pieces = sizes[size ?? ''] ?? Object.values(sizes)[0] ?? [];
  // What is wrong with the pieces as they came, before any step.
  const told = draft
    ? [
        ...draft.drafted,
        ...draft.faults.filter((f) => draft.untouched.some((p) => p.id === f.piece && draft.pieces.includes(p))),
      ]
    : [];
  const own = isOwn(pattern);
  const blank = own ? blankChart(pattern) : null;
  // It stays while one is here: a field must not go away under the hand.
  if (blank && envelope?.of !== pattern.id) setEnvelope({ of: pattern.id, thing: blank });
  const number = pattern.number === '' ? '' : ` No. ${pattern.number}`;
  return (
    <Station title={`${pattern.house}${number} “${pattern.name}”`.trim()} lead={pattern.notes} wide>
      <div className="flex flex-wrap items-end justify-between gap-3">
        <ChangePattern current={pattern.id} />
        <Link className="btn mb-4" to={`/job/${job?.id}/bring`}>
          <FileUp size={20} aria-hidden="true" />
          Import pieces
        </Link>
      </div>
      {own && envelope?.of === pattern.id && (
        <div className="mb-4">
          <First thing={envelope.thing} chartIsHere />
        </div>
      )}
      {pattern.views.length > 0 && <ViewChoice pattern={pattern} />}
      {own ? (
        <OwnFacts pattern={pattern} />
      ) : (
        <ReadFacts pattern={pattern} allowance={pieces[0]?.edges[0]?.allowance ?? 15} />
      )}
      {own && <Allowances pattern={pattern} pieces={pieces} />}
      {own && <ViewFields pattern={pattern} />}
      <WhereBodyLies pattern={pattern} size={size} own={own} pieces={pieces} />
      <ChartEditor pattern={pattern} size={size} own={own} />
      <p className="mt-1 mb-5 text-sm text-quiet">
        {pattern.garment === 'top' &&
          'The draft cup is the difference of full and high bust the pattern was drawn for. It is not a bra size.'}
      </p>
      {pieces.length === 0 ? (
        <Notice grade="note">
          There are no pieces here: the plan is made for your paper. What your pieces measure is typed on{' '}
          <Link className="underline" to="../compare" relative="path">
            Compare
          </Link>{' '}
          (station 4); the hand sheets are drawn on a similar piece, with your amounts. Or bring the pieces in from a
          file, a photo or the mat.
        </Notice>
      ) : (
        <>
          <h2 className="mb-2">Pieces{size !== null && `, size ${size}`}</h2>
          {told.map((f, i) => (
            <div key={i} className="mb-2">
              <Notice grade={f.grade}>
                <Said>{sayFinding(f, units)}</Said>
              </Notice>
            </div>
          ))}
          <div className="flex flex-wrap gap-6">
            {pieces.map((p) => (
              <SmallPiece key={p.id} piece={p} />
            ))}
          </div>
        </>
      )}
    </Station>
  );
}

const PAPER = 'paper';

/** Another pattern for the same job: the plan stays, and is taken out where it cannot be carried out. */
function ChangePattern({ current }: { readonly current: string }) {
  return (
    <Select
      label="Pattern of this job"
      value={current}
      set={(chosen) => {
        const id = chosen;
        if (id === PAPER)
          editJob((j) => ({ ...j, pattern: paperPattern('My pattern') as Job['pattern'], size: null, view: null }));
        else editJob((j) => ({ ...j, pattern: { id }, size: null, view: null, steps: followPattern(j.steps, id) }));
      }}
      wide
      className="mb-4 block w-full max-w-[460px]"
    >
      <PatternOptions />
      <option value={PAPER}>A pattern of my own, on paper only</option>
    </Select>
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
