import { flatOf } from '@ample/core/alterations';
import { setupOf, replay, type ResolvedJob } from '@ample/core/fitting/plan';
import { causewayPattern } from '@ample/core/blocks';
import { stepSchema, type Step } from '@ample/core/documents';
import type { MeasurementKey } from '@ample/core/pattern';
import { solve } from '@ample/core/fitting/solve';

/** Eight steps that act on one another, and what each is to come to, mm. */
const PLAN = [
  ['grade-by-chart', { waist: 24, hip: 24 }],
  ['length-line', { by: 8 }],
  ['shoulder-slash', { by: -6 }],
  ['back-width', { by: 8 }],
  ['front-width', { by: 6 }],
  ['full-bust-side-dart', { total: 30 }],
  ['neck-gape-dart', { by: 6 }],
  ['armhole-depth', { by: 5 }],
] as const;
const ROWS: readonly MeasurementKey[] = [
  'fullBust',
  'underbust',
  'waist',
  'highHip',
  'hip',
  'shoulder',
  'crossBack',
  'crossFront',
  'napeToUnderarm',
  'sideWaist',
  'neck',
  'napeToWaist',
  'bustPointToWaist',
  'frontWaistLength',
  'armhole',
];
const pattern = causewayPattern(['4']);
const steps = (share: number): Step[] =>
  PLAN.map(([alteration, values], i) =>
    stepSchema.parse({
      id: `s${i}`,
      alteration,
      revision: 1,
      values: Object.fromEntries(Object.entries(values).map(([k, v]) => [k, v * share])),
    }),
  );
const job = (plan: readonly Step[], body: Readonly<Record<string, number>>): ResolvedJob => ({
  job: { size: '4', sizeMethod: 'highBust', steps: [...plan] },
  wearer: {
    sets: [
      {
        id: 's',
        date: '2026-10-01',
        notes: '',
        readings: Object.fromEntries(Object.entries(body).map(([k, v]) => [k, [v]])),
      },
    ],
    bustEase: 50,
  },
  pattern,
});

/** Eight steps and fifteen measurements, begun at three tenths of the amounts; refuses to time a search that fails. */
export function solveBench(): () => unknown {
  const start = setupOf(job([], { fullBust: 920 }));
  const { sides } = replay(start, steps(1));
  const body = Object.fromEntries(
    ROWS.map((key) => [key, (flatOf(sides.left, key)?.value ?? 0) - (start.ease[key] ?? 0)]),
  );
  const asked = job(steps(0.3), body);
  const run = () => solve(asked, { rows: ROWS });
  const found = run();
  if (!found.ok || found.value.unreached.length > 0) throw new Error('bench: expected every difference to vanish');
  return run;
}
