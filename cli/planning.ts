import type { Row } from '@ample/core/fitting/compare';
import { draft, type Draft } from '@ample/core/fitting/plan';
import { solve as solveJob, thinned } from '@ample/core/fitting/solve';
import { ok, type Result } from '@ample/core/units';
import {
  alterationName,
  askName,
  sayAdvice,
  sayFit,
  sayMeasuredFrom,
  sayReason,
  saySolved,
  saySum,
  sayUnreached,
  sayHabit,
  sayWorth,
} from '@ample/core/words';
import { UNITS } from './commands.ts';
import { stepReport } from './report.ts';
import { loadJob } from './resolve.ts';

function drafted(file: string): Result<Draft> {
  const loaded = loadJob(file);
  if (!loaded.ok) return loaded;
  const d = draft(loaded.value);
  return d.refusal ? { ok: false, error: d.refusal } : ok(d);
}

const rowOf = (r: Row) => ({ ...r, says: saySum(r, UNITS), why: sayReason(r, UNITS) });

/** `ample compare`: the worksheet, and what is left once the plan is carried out. */
export function compare(file: string): Result<unknown> {
  const loaded = loadJob(file);
  if (!loaded.ok) return loaded;
  const d = drafted(file);
  if (!d.ok) return d;
  return ok({
    size: d.value.size,
    ...(d.value.paper ? { paper: d.value.paper } : {}),
    measuredFrom: sayMeasuredFrom(loaded.value.pattern, d.value.size, UNITS),
    rows: [...d.value.worksheet.map(rowOf), ...d.value.onRight.map((r) => ({ ...rowOf(r), side: 'right' }))],
  });
}

/** `ample plan`: the steps with their amounts, what the measurements still ask for, and what usually is done. */
export function plan(file: string): Result<unknown> {
  const loaded = loadJob(file);
  if (!loaded.ok) return loaded;
  const d = drafted(file);
  if (!d.ok) return d;
  const { worth, drop } = thinned(loaded.value);
  const { steps, asks, usual, followers, worksheet } = d.value;
  return ok({
    size: d.value.size,
    says: sayAdvice(d.value, UNITS),
    steps: steps.map((s) => {
      const { id, alteration, on, school, total, values } = stepReport(s, UNITS);
      const w = worth.find((x) => x.step === id);
      return {
        id,
        alteration,
        on,
        school,
        total,
        values,
        ...(w ? { leftOut: sayWorth(w, UNITS) } : {}),
        ...(s.outcome.ok ? {} : { refused: s.outcome.error }),
      };
    }),
    smallest: steps.filter((s) => s.step.on && !drop.includes(s.step.id)).map((s) => s.step.id),
    proposed: asks.map((a) => ({
      alteration: a.alteration,
      name: askName(a),
      ...(a.side === 'both' ? {} : { side: a.side }),
      values: a.fit.values,
      says: sayFit(a.fit.sum, UNITS),
    })),
    offered: d.value.offers.map((o) => ({
      alteration: o.alteration,
      values: o.fit.values,
      says: sayFit(o.fit.sum, UNITS),
    })),
    usual: usual.map((u) => ({ ...u, says: sayHabit(u, UNITS) })),
    follow: followers.map((f) => f.alteration),
    left: worksheet.flatMap((r) => (r.left === null ? [] : [{ key: r.key, before: r.difference, left: r.left }])),
  });
}

/** `ample solve`: the amounts of the plan's steps that bring the differences to nothing together. */
export function solve(file: string): Result<unknown> {
  const loaded = loadJob(file);
  if (!loaded.ok) return loaded;
  const found = solveJob(loaded.value);
  if (!found.ok) return found;
  const nameOf = (id: string): string => {
    const step = loaded.value.job.steps.find((s) => s.id === id);
    return step ? alterationName(step.alteration) : id;
  };
  const { amounts, before, after, unreached, evaluations } = found.value;
  return ok({
    says: saySolved(found.value),
    amounts,
    rows: after.flatMap((r) => {
      const was = before.find((b) => b.key === r.key);
      return r.left === null ? [] : [{ key: r.key, before: was?.left ?? null, after: r.left }];
    }),
    unreached: unreached.map((u) => ({ ...u, says: sayUnreached(u, UNITS, nameOf) })),
    evaluations,
  });
}
