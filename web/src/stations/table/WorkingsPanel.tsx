import { Link, useParams } from 'react-router';
import { alterationById, dartReports, type PieceChange, isByBust } from '@ample/core/alterations';
import { isTyped, type Draft, type DraftStep, methodOf, amountOf } from '@ample/core/fitting/plan';
import { ALTERATION_WORDS, DART_WORDS, METHOD_WORDS, sayFinding, sayRefusal, stepName } from '@ample/core/words';
import { setValue, useJob } from '../../store/job.ts';
import { takeComputed } from '../../store/plan.ts';
import { ParamField } from './ParamField.tsx';
import { useUnits } from '../../store/prefs.ts';
import { PaperNote } from '../../shared/PaperNote.tsx';
import { AmountSum } from '../../shared/AmountSum.tsx';
import { FindingFix } from '../../shared/FindingFix.tsx';
import { FitSum } from '../../shared/FitSum.tsx';
import { SideChoice } from '../../shared/SideChoice.tsx';
import { WaysOn } from '../../shared/WaysOn.tsx';
import { TOL } from '@ample/core/units';
import { LengthField } from '../../shared/LengthField.tsx';
import { Length, Notice } from '../../shared/basics.tsx';
import type { Dart } from '@ample/core/pattern';
import type { Point } from '@ample/core/geometry';
import type { Amount } from '@ample/core/fitting/fit';
import type { Step } from '@ample/core/documents';

/** Every number of the open step, typed or opened into its sum. */
export function WorkingsPanel({ draft, active }: { readonly draft: Draft; readonly active: DraftStep | null }) {
  if (!active) return <aside className="border-l border-line p-3" aria-label="Workings" />;
  return <StepWorkings key={active.step.id} draft={draft} active={active} />;
}

function StepWorkings({ draft, active }: { readonly draft: Draft; readonly active: DraftStep }) {
  const units = useUnits();
  const { job } = useParams();
  const { outcome } = active;
  const amount = amountOf(active);
  // Choices show at once, as the job has them; the numbers follow with the draft.
  const step = useJob((s) => s.job?.steps.find((x) => x.id === active.step.id)) ?? active.step;
  const values = { ...active.values, ...step.values };
  const definition = alterationById(step.alteration);
  const sum = isTyped(step) ? null : methodOf(step, active.amounts);
  const run = outcome.ok ? outcome.value : null;
  const darts = run?.changes.flatMap((c) => changedDarts(c).map((d) => ({ ...d, piece: c.piece }))) ?? [];
  const several = new Set(darts.map((d) => d.piece)).size > 1;
  const nameOf = (id: string): string => run?.pieces.find((p) => p.id === id)?.name.toLowerCase() ?? id;
  const counted = isByBust(definition);
  return (
    <aside className="shrink-0 border-l border-line p-3 min-[1000px]:overflow-auto" aria-label="Workings">
      <PaperNote draft={draft} />
      {!outcome.ok && step.on && (
        <div className="mb-3">
          <Notice grade="fault">{sayRefusal(outcome.error, units)}</Notice>
        </div>
      )}
      {!counted && (
        <div className="mb-3">
          <h2>{stepName(active)}</h2>
          <p className="mb-2 text-sm">{ALTERATION_WORDS[step.alteration]?.about}</p>
          <FitSum step={step} fit={active.fit} />
        </div>
      )}
      {counted && <TotalField total={amount} step={step} />}
      {counted && <WorkingsSum sum={sum} step={step} active={active} job={job} />}
      <WaysOn step={active} />
      {darts.length > 0 && amount !== 0 && <DartTable darts={darts} several={several} nameOf={nameOf} />}
      <div className="space-y-3">
        {definition?.params
          .filter((p) => p.key !== 'total' && p.key !== 'hingePoint')
          .map((p) => (
            <ParamField key={p.key} param={p} step={active} value={values[p.key] ?? p.initial} draft={draft} />
          ))}
      </div>
      <div className="mt-3">
        <SideChoice step={step} />
        {step.side !== 'both' && (
          <p className="mt-1 text-sm">
            Only the {step.side} half is altered: the piece is cut once for each side, or whole where it lay on the
            fold.
          </p>
        )}
      </div>
      {run && run.findings.length > 0 && (
        <div className="mt-4 space-y-2">
          <h2 className="!text-base">To look at</h2>
          {run.findings.map((f, i) => (
            <Notice key={`${f.code}${i}`} grade={f.grade}>
              {sayFinding(f, units)}
              <FindingFix finding={f} draft={draft} />
            </Notice>
          ))}
        </div>
      )}
    </aside>
  );
}

function TotalField({ total, step }: { readonly total: number | null; readonly step: Step }) {
  return (
    <div className="mb-3 flex items-end gap-3">
      <LengthField
        label="Over the whole front"
        value={total}
        signed
        big
        steps
        width="w-36"
        min={-160}
        max={300}
        onCommit={(v) => v !== null && setValue(step.id, 'total', v)}
      />
      {total !== null && (
        <div className="pb-1">
          <div className="text-sm">each half</div>
          <Length value={total / 2} sign className="text-xl" />
        </div>
      )}
    </div>
  );
}

function WorkingsSum({
  sum,
  step,
  active,
  job,
}: {
  readonly sum: Amount | null | undefined;
  readonly step: Step;
  readonly active: DraftStep;
  readonly job: string | undefined;
}) {
  return (
    <div className="workings mb-3 p-3">
      <h2 className="mb-1 !text-base">{sum ? `${METHOD_WORDS[sum.method]?.name ?? ''}` : 'Your own amount'}</h2>
      {sum ? (
        <AmountSum amount={sum} />
      ) : (
        <button className="btn" onClick={() => takeComputed(step.id, active.fit)}>
          Take the computed amount
        </button>
      )}
      <div className="mt-2 flex flex-wrap gap-x-3 text-sm">
        <Link className="link" to={`/job/${job}/body`}>
          measurements
        </Link>
        <Link className="link" to={`/job/${job}/plan`}>
          other sums
        </Link>
      </div>
    </div>
  );
}

function DartTable({
  darts,
  several,
  nameOf,
}: {
  readonly darts: {
    piece: string;
    dart: Dart['id'];
    kind: Dart['kind'];
    tip: Point;
    legEnds: readonly [Point, Point];
    legs: readonly [number, number];
    intake: number;
    openingDegrees: number;
  }[];
  readonly several: boolean;
  readonly nameOf: (id: string) => string;
}) {
  return (
    <table className="my-3 w-full">
      <tbody>
        {darts.map((d) => (
          <tr key={`${d.piece} ${d.dart}`} className="border-b border-line">
            <th scope="row" className="py-1 text-left font-normal">
              {DART_WORDS[d.kind]}
              {several && `, ${nameOf(d.piece)}`}
              <span className="block text-sm text-quiet">
                legs <Length value={d.legs[0]} />
              </span>
            </th>
            <td className="text-right">
              <Length value={d.intake} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The darts an alteration has touched. */
function changedDarts(change: PieceChange): PieceChange['darts'] {
  const was = dartReports(change.original);
  return change.darts.filter((d) => {
    const before = was.find((b) => b.dart === d.dart);
    return !before || Math.abs(before.intake - d.intake) > TOL.legs || Math.abs(before.legs[0] - d.legs[0]) > TOL.seam;
  });
}
