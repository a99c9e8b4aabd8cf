import { Link, useParams } from 'react-router';
import type { Draft } from '@ample/core/draft';
import { pathLength } from '@ample/core/geometry';
import type { Walk, WalkedSide } from '@ample/core/truing';
import { formatLength, TOL } from '@ample/core/units';
import { ROLE_WORDS, SEAM_WORDS, sayFinding } from '@ample/core/words';
import { useDraft } from '../../store/draft.ts';
import { useUnits } from '../../store/prefs.ts';
import { Length, Notice, Station } from '../../ui/parts.tsx';

/** Seams walked against each other, and what was found on the table. */
export function Check() {
  const draft = useDraft((s) => s.draft);
  const units = useUnits();
  const { job } = useParams();
  if (!draft) return <Station title="Check">Walking the seams…</Station>;
  const fromSteps = draft.steps.flatMap((s) => (s.step.on && s.outcome.ok ? s.outcome.value.findings : []));
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
          {draft.check.walks.map((w) => (
            <WalkView key={w.seam.id} walk={w} nameOf={(id) => draft.pieces.find((p) => p.id === id)?.name ?? id} />
          ))}
          {changed.length > 0 && (
            <table className="sheet w-full">
              <caption className="px-3 pt-2 text-left font-head font-semibold">
                Seam lines of the altered pieces
              </caption>
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
                      {Math.abs(l.after - l.before) < TOL.legs ? (
                        'as before'
                      ) : (
                        <Length value={l.after - l.before} sign />
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </div>
        <section aria-label="Findings" className="space-y-2">
          <h2>Findings</h2>
          {findings.length === 0 && (
            <Notice grade="note">Nothing to mend. Every seam matches and every corner is true.</Notice>
          )}
          {[...findings]
            .sort((a, b) => order[a.grade] - order[b.grade])
            .map((f, i) => (
              <Notice key={`${f.code}${i}`} grade={f.grade}>
                {sayFinding(f, units)}
              </Notice>
            ))}
          <div className="flex gap-2 pt-2">
            <Link className="btn" to={`/job/${job}/table`}>
              To the table
            </Link>
            <Link className="btn" to={`/job/${job}/print`}>
              Print
            </Link>
          </div>
        </section>
      </div>
    </Station>
  );
}

/** "sideUpper" reads "side upper"; ids of foreign patterns stay as they were named. */
/** The seam lines of every altered piece, by what they are called, before and after the whole plan; darts left out. */
function seamLengths(draft: Draft) {
  return draft.original.flatMap((before) => {
    const after = draft.pieces.find((p) => p.id === before.id);
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

function WalkView({ walk, nameOf }: { readonly walk: Walk; readonly nameOf: (id: string) => string }) {
  const { unit, fraction } = useUnits();
  const good = Math.abs(walk.difference) <= (walk.seam.kind === 'princess' ? TOL.princess : TOL.seam);
  const longest = Math.max(walk.first.length, walk.second.length);
  const x = (v: number) => 20 + (v / longest) * 680;
  const say = (v: number, sign = false) =>
    formatLength(v, unit, { fraction: unit === 'in' ? 16 : fraction, digits: 1, sign });
  const side = (s: WalkedSide, y: number, up: boolean) => (
    <g>
      <line x1={x(0)} x2={x(s.length)} y1={y} y2={y} stroke="#2B4C9B" strokeWidth="5" />
      {[0, s.length].map((v) => (
        <line key={v} x1={x(v)} x2={x(v)} y1={y - 9} y2={y + 9} stroke="#2B4C9B" strokeWidth="2" />
      ))}
      {s.joints.map((v) => (
        <g key={v}>
          <line x1={x(v)} x2={x(v)} y1={y - 8} y2={y + 8} stroke="#1E2A38" strokeDasharray="3 2" strokeWidth="1.5" />
          <text x={x(v) + 6} y={up ? y - 12 : y + 24} fontSize="15" fill="#1E2A38">
            dart, closed
          </text>
        </g>
      ))}
      {s.notches.map((n) => (
        <path key={n.id} d={`M${x(n.at) - 6} ${up ? y - 10 : y + 10}h12L${x(n.at)} ${y}z`} fill="#1E2A38" />
      ))}
      <text x={x(0)} y={up ? y - 32 : y + 46} fontSize="16" fill="#1E2A38">
        {nameOf(s.piece)}
      </text>
      <text x={x(longest)} y={up ? y - 32 : y + 46} fontSize="16" className="num" textAnchor="end" fill="#1E2A38">
        {say(s.length)}
      </text>
    </g>
  );
  return (
    <figure className="sheet m-0 p-4">
      <figcaption className="flex items-baseline justify-between gap-4">
        <h2>{SEAM_WORDS[walk.seam.kind] ?? 'Seam'}</h2>
        <span>
          {good ? 'they meet' : 'they differ'} · difference <span className="num">{say(walk.difference, true)}</span>
        </span>
      </figcaption>
      <svg
        viewBox="0 0 720 164"
        className="mt-1 block w-full"
        role="img"
        aria-label={`${nameOf(walk.first.piece)} ${say(walk.first.length)}, ${nameOf(walk.second.piece)} ${say(walk.second.length)}`}
      >
        {side(walk.first, 68, true)}
        {side(walk.second, 96, false)}
      </svg>
    </figure>
  );
}
