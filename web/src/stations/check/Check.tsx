import { Link, useParams } from 'react-router';
import type { Draft } from '@ample/core/fitting/plan';
import { pathLength } from '@ample/core/geometry';
import { TOL } from '@ample/core/units';
import { MEASUREMENT_WORDS, ROLE_WORDS, sayFinding } from '@ample/core/words';
import { useDraft } from '../../store/draft.ts';
import { useUnits } from '../../store/prefs.ts';
import { Example } from '../../shared/first/Example.tsx';
import { First } from '../../shared/first/First.tsx';
import { useFirstThing } from '../../shared/first/firstThing.ts';
import { PaperNote } from '../../shared/PaperNote.tsx';
import { FindingFix } from '../../shared/FindingFix.tsx';
import { Length, Notice, Station } from '../../shared/basics.tsx';
import { Said } from '../../shared/Said.tsx';
import { PieceMarks } from './PieceMarks.tsx';
import { WalkView } from './WalkView.tsx';
import type { Finding } from '@ample/core/paper/truing';
import type { Units } from '@ample/core/speech';

/** Seams walked against each other, and what was found on the table. */
export function Check() {
  const draft = useDraft((s) => s.draft);
  const units = useUnits();
  const { job } = useParams();
  const first = useFirstThing();
  if (!draft) return <Station title="Check">Walking the seams…</Station>;
  if (first && draft.original.length === 0)
    return (
      <Station title="Check" lead="Seams that are sewn to each other, walked side by side." wide>
        <First thing={first} />
        <Example of="check" />
      </Station>
    );
  // A step's findings about seams are recomputed on the finished pieces, since later steps may have changed them.
  const fromSteps = draft.steps.flatMap((s) =>
    s.step.on && s.outcome.ok ? s.outcome.value.findings.filter((f) => f.data['seam'] === undefined) : [],
  );
  const seen = new Set<string>();
  const findings = [...draft.check.findings, ...fromSteps].filter((f) => {
    const key = JSON.stringify([f.code, f.piece, f.data]);
    return seen.has(key) ? false : seen.add(key);
  });
  const order = { fault: 0, look: 1, note: 2 };
  const changed = seamLengths(draft);
  return (
    <Station
      title="Check"
      lead="Each pair of edges that is sewn together, drawn straight and laid side by side with darts closed. Notches must meet; the difference must be nothing, or the ease the pattern intends."
      wide
    >
      <div className="grid gap-6 min-[1000px]:grid-cols-[minmax(0,1fr)_420px]">
        <div className="flex flex-col gap-4">
          {draft.checks.map(({ side, report }) => (
            <section key={side} className="flex flex-col gap-4" aria-label={SIDES[side]}>
              {side !== 'both' && <h2>{SIDES[side]}</h2>}
              {report.walks.map((w) => (
                <WalkView key={w.seam.id} walk={w} nameOf={(id) => nameOf(draft, id)} />
              ))}
            </section>
          ))}
          <PieceMarks draft={draft} />
          {changed.length > 0 && <SeamTable changed={changed} />}
        </div>
        <FindingList draft={draft} findings={findings} order={order} units={units} job={job} />
      </div>
    </Station>
  );
}

function SeamTable({ changed }: { readonly changed: ReturnType<typeof seamLengths> }) {
  return (
    <table className="card w-full">
      <caption className="px-3 pt-2 text-left font-head font-semibold">Seam lines of the altered pieces</caption>
      <thead>
        <tr className="border-b border-ink text-sm">
          <th className="px-3 py-1 text-left font-normal">Edge</th>
          <th className="px-3 py-1 text-right font-normal">Before</th>
          <th className="px-3 py-1 text-right font-normal">After</th>
          <th className="px-3 py-1 text-right font-normal">Change</th>
        </tr>
      </thead>
      <tbody>
        {changed.map(([id, name, l]) => (
          <tr key={id} className="border-b border-line">
            <th scope="row" className="px-3 py-1.5 text-left font-normal">
              {name}
            </th>
            <td className="px-3 text-right">
              <Length value={l.before} />
            </td>
            <td className="px-3 text-right">
              <Length value={l.after} />
            </td>
            <td className="px-3 text-right">
              {Math.abs(l.after - l.before) < TOL.legs ? 'as before' : <Length value={l.after - l.before} sign />}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function FindingList({
  draft,
  findings,
  order,
  units,
  job,
}: {
  readonly draft: Draft;
  readonly findings: Finding[];
  readonly order: { fault: number; look: number; note: number };
  readonly units: Units;
  readonly job: string | undefined;
}) {
  return (
    <section aria-label="Findings" className="space-y-2">
      <PaperNote draft={draft} />
      <h2>Findings</h2>
      {findings.length === 0 && (
        <Notice grade="note">Nothing to fix. Every seam matches and every corner is true.</Notice>
      )}
      {[...findings]
        .sort((a, b) => order[a.grade] - order[b.grade])
        .map((f, i) => (
          <Notice key={`${f.code}${i}`} grade={f.grade}>
            <Said>{sayFinding(f, units)}</Said>
            <div className="flex flex-wrap gap-2">
              <FindingFix finding={f} draft={draft} />
              {f.piece && (
                <Link
                  className="btn mt-2"
                  to={`/job/${job}/table?show=${f.piece}${f.at ? `&at=${f.at.x.toFixed(1)},${f.at.y.toFixed(1)}` : ''}`}
                >
                  Show me
                </Link>
              )}
            </div>
          </Notice>
        ))}
      <Remaining draft={draft} />
      <div className="flex gap-2 pt-2">
        <Link className="btn" to={`/job/${job}/table`}>
          Open the table
        </Link>
        <Link className="btn" to={`/job/${job}/print`}>
          Print
        </Link>
      </div>
    </section>
  );
}

const SIDES = { both: 'Both sides', left: 'Left side', right: 'Right side' } as const;
const nameOf = (draft: Draft, id: string): string =>
  [...draft.sides.left.pieces, ...draft.pieces].find((p) => p.id === id)?.name ?? id;

/** What is left between the body and the altered pieces, measured again. */
function Remaining({ draft }: { readonly draft: Draft }) {
  const rows = draft.worksheet.filter((r) => r.left !== null && r.from !== 'chart');
  if (rows.length === 0) return null;
  return (
    <table className="card mt-4 w-full">
      <caption className="px-3 pt-2 text-left font-head font-semibold">Measured again: what is left</caption>
      <thead>
        <tr className="border-b border-ink text-sm">
          <th className="px-3 py-1 text-left font-normal">Measurement</th>
          <th className="px-3 py-1 text-right font-normal">Body</th>
          <th className="px-3 py-1 text-right font-normal">Pattern still lacks</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.key} className="border-b border-line">
            <th scope="row" className="px-3 py-1.5 text-left font-normal">
              {MEASUREMENT_WORDS[r.key].name}
            </th>
            <td className="px-3 text-right">
              <Length value={r.body ?? 0} />
            </td>
            <td className="px-3 text-right">
              {Math.abs(r.left ?? 0) < TOL.seam ? 'nothing' : <Length value={r.left ?? 0} sign />}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The seam lines of every altered piece, by what they are called, before and after the whole plan; darts left out. */
function seamLengths(draft: Draft) {
  return draft.original.flatMap((before) => {
    const after = draft.sides.left.pieces.find((p) => p.id === before.id);
    if (!after || after === before) return [];
    const roles = [...new Set(before.edges.map((e) => e.role))].filter((r) => r !== 'dart');
    const sum = (edges: typeof before.edges, role: string) =>
      edges.filter((e) => e.role === role).reduce((n, e) => n + pathLength(e.path), 0);
    return roles.map(
      (role) =>
        [
          `${before.id} ${role}`,
          `${before.name}, ${ROLE_WORDS[role]}`,
          { before: sum(before.edges, role), after: sum(after.edges, role) },
        ] as const,
    );
  });
}
