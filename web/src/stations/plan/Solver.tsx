import { useEffect, useRef, useState } from 'react';
import type { Draft } from '@ample/core/fitting/plan';
import type { MeasurementKey } from '@ample/core/pattern';
import { aimsOf, type Solution } from '@ample/core/fitting/solve';
import { TOL } from '@ample/core/units';
import {
  counted,
  MEASUREMENT_WORDS,
  PARAM_WORDS,
  sayRefusal,
  saySolved,
  sayUnreached,
  stepName,
} from '@ample/core/words';
import { resolvedJob } from '../../store/draftWorker.ts';
import { takeAmounts } from '../../store/plan.ts';
import { useUnits } from '../../store/prefs.ts';
import { Length, Notice } from '../../shared/basics.tsx';
import { startSolver, type Solver as SolverWorker } from '../../workers/client.ts';
import { BusyButton } from '../../ui/BusyButton.tsx';
import type { Row } from '@ample/core/fitting/compare';
import { Check } from '../../ui/Check.tsx';

/** Asks a worker for the amounts, one question at a time; the worker lives as long as the component. */
function useSolving(draft: Draft) {
  const units = useUnits();
  const solver = useRef<SolverWorker | null>(null);
  useEffect(() => {
    solver.current = startSolver();
    return () => {
      solver.current?.stop();
      solver.current = null;
    };
  }, []);
  const [busy, setBusy] = useState(false);
  const [found, setFound] = useState<{ readonly solution: Solution; readonly of: Draft['steps'] } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const run = async (rows: readonly MeasurementKey[]) => {
    const job = resolvedJob();
    if (!job) return;
    setBusy(true);
    setTrouble(null);
    try {
      solver.current ??= startSolver();
      const result = await solver.current.find({ job, wish: { rows } });
      if (result.ok) setFound({ solution: result.value, of: draft.steps });
      else setTrouble(sayRefusal(result.error, units));
    } catch (error) {
      setTrouble(
        `The amounts could not be found: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`,
      );
    }
    setBusy(false);
  };
  // Amounts found for another plan are not shown beside this one.
  const solution = found?.of === draft.steps ? found.solution : null;
  return { busy, solution, trouble, run, drop: () => setFound(null) };
}

/** Steps act on one another: this finds the amounts that bring the chosen differences to nothing together. */
export function Solver({ draft }: { readonly draft: Draft }) {
  const { busy, solution, trouble, run, drop } = useSolving(draft);
  const [wish, setWish] = useState<readonly MeasurementKey[] | null>(null);
  const rows = draft.worksheet.filter((r) => r.left !== null);
  const meant = [...new Set(draft.steps.filter((s) => s.step.on).flatMap((s) => aimsOf(s.step, draft.worksheet)))];
  const chosen = wish ?? meant;
  if (rows.length === 0 || draft.steps.length === 0) return null;
  return (
    <section className="card p-3" aria-label="All amounts together">
      <h2>All amounts together</h2>
      <p className="text-sm text-quiet">
        One step changes what another has to do. This finds the amounts with which the differences below vanish
        together, measured on the altered pieces.
      </p>
      <WhatMayChange chosen={chosen} rows={rows} setWish={setWish} />
      <BusyButton
        className="btn btn-main mt-3"
        busy={busy}
        disabled={chosen.length === 0}
        onClick={() => void run(chosen)}
      >
        {busy ? 'Measuring…' : 'Find the amounts'}
      </BusyButton>
      {trouble && (
        <div className="mt-3">
          <Notice grade="fault">{trouble}</Notice>
        </div>
      )}
      {solution && <Found solution={solution} draft={draft} onDrop={drop} />}
    </section>
  );
}

/** The amounts found, what they leave, and whether to take them. */
function Found({
  solution,
  draft,
  onDrop,
}: {
  readonly solution: Solution;
  readonly draft: Draft;
  readonly onDrop: () => void;
}) {
  const units = useUnits();
  const nameOf = (id: string): string => {
    const step = draft.steps.find((s) => s.step.id === id);
    return step ? stepName(step) : id;
  };
  return (
    <div className="mt-3" role="status">
      <p>{saySolved(solution)}</p>
      <AmountsFound solution={solution} nameOf={nameOf} />
      <h3 className="mt-3">Left after</h3>
      <DifferencesLeft solution={solution} />
      {solution.unreached.length > 0 && (
        <ul className="mt-2 space-y-2">
          {solution.unreached.map((u) => (
            <li key={u.key}>
              <Notice grade="look">{sayUnreached(u, units, nameOf)}</Notice>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-3 flex gap-2">
        <button className="btn btn-main" onClick={() => takeAmounts(solution.amounts)}>
          Use these amounts
        </button>
        <button className="btn" onClick={onDrop}>
          Keep the old amounts
        </button>
      </div>
    </div>
  );
}

function WhatMayChange({
  chosen,
  rows,
  setWish,
}: {
  readonly chosen: readonly MeasurementKey[];
  readonly rows: Row[];
  readonly setWish: (value: readonly MeasurementKey[] | null) => void;
}) {
  return (
    <details className="mt-2 border-y border-line">
      <summary className="min-h-[40px] cursor-pointer py-2">
        {counted(chosen.length, 'difference')} to solve for
      </summary>
      <div className="mb-2 grid grid-cols-2 gap-x-3">
        {rows.map((r) => (
          <Check
            key={r.key}
            on={chosen.includes(r.key)}
            set={(on) => setWish(on ? [...chosen, r.key] : chosen.filter((k) => k !== r.key))}
          >
            {MEASUREMENT_WORDS[r.key].name}
          </Check>
        ))}
      </div>
    </details>
  );
}

function AmountsFound({ solution, nameOf }: { readonly solution: Solution; readonly nameOf: (id: string) => string }) {
  return (
    <table className="mt-2 w-full">
      <tbody>
        {solution.amounts.map((a) => (
          <tr key={`${a.step} ${a.key}`} className="border-t border-line">
            <th scope="row" className="py-1 pr-2 text-left font-normal">
              {nameOf(a.step)}
              {a.key === 'hip' || a.key === 'waist' ? `, ${PARAM_WORDS[a.key] ?? a.key}` : ''}
            </th>
            <td className="py-1 text-right whitespace-nowrap">
              <span className="text-quiet">
                <Length value={a.from} sign /> →{' '}
              </span>
              <Length value={a.to} sign />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function DifferencesLeft({ solution }: { readonly solution: Solution }) {
  return (
    <table className="w-full">
      <tbody>
        {solution.rows.map((key) => {
          const before = solution.before.find((r) => r.key === key)?.left ?? 0;
          const after = solution.after.find((r) => r.key === key)?.left ?? 0;
          return (
            <tr key={key} className="border-t border-line">
              <th scope="row" className="py-1 text-left font-normal">
                {MEASUREMENT_WORDS[key].name}
              </th>
              <td className="py-1 text-right whitespace-nowrap">
                <span className="text-quiet">
                  <Length value={before} sign /> →{' '}
                </span>
                {Math.abs(after) < TOL.seam ? 'nothing' : <Length value={after} sign />}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
