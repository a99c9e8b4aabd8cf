import { FAMILIES, propose, type Proposal } from '@ample/core/alterations';
import type { Piece, Seam } from '@ample/core/pattern';
import { ALTERATION_WORDS, FAMILY_WORDS, sayWhy } from '@ample/core/words';
import { addStep, swapAlteration } from '../../store/plan.ts';
import { useUnits } from '../../store/prefs.ts';

/** Which way of altering the bust suits these pieces, and why; the others that would do are one click away. */
export function BustProposals({
  pieces,
  step,
  current,
}: {
  readonly pieces: readonly Piece[];
  readonly step: string;
  readonly current: string;
}) {
  const all = propose(pieces, 'bust');
  const able = all.filter((p) => p.grade !== 'no' || p.id === current);
  const cannot = all.filter((p) => p.grade === 'no' && p.id !== current);
  return (
    <section className="border-b border-line p-4" aria-label="Which one is right for this pattern">
      <h3 className="mb-2">Which one is right for this pattern?</h3>
      <div className="grid gap-2 min-[900px]:grid-cols-2" role="radiogroup" aria-label="Way of altering">
        {able.map((p) => (
          <Choice
            key={p.id}
            proposal={p}
            on={p.id === current}
            onChoose={() => swapAlteration(step, p.id)}
            name={`way-${step}`}
          />
        ))}
      </div>
      {cannot.length > 0 && (
        <details className="mt-2">
          <summary className="min-h-[40px] cursor-pointer py-2">
            The others, and what this pattern lacks for them
          </summary>
          <ul className="grid gap-x-6 gap-y-1 min-[900px]:grid-cols-2">
            {cannot.map((p) => (
              <Lacks key={p.id} proposal={p} />
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}

function Choice({
  proposal,
  on,
  onChoose,
  name,
}: {
  readonly proposal: Proposal;
  readonly on: boolean;
  readonly onChoose: () => void;
  readonly name: string;
}) {
  const units = useUnits();
  return (
    <label
      className={`flex min-h-[40px] cursor-pointer gap-3 border p-3 ${on ? 'border-2 border-carbon' : 'border-line'}`}
    >
      <input
        type="radio"
        className="mt-0.5 size-5 shrink-0 accent-carbon"
        name={name}
        checked={on}
        onChange={onChoose}
      />
      <span>
        <span className="block font-head font-semibold">
          {ALTERATION_WORDS[proposal.id]?.name}
          {proposal.grade === 'best' && <span className="ml-2 font-sans text-sm font-normal">proposed</span>}
        </span>
        <span className="block text-sm">{sayWhy(proposal.why, units)}</span>
      </span>
    </label>
  );
}

function Lacks({ proposal }: { readonly proposal: Proposal }) {
  const units = useUnits();
  return (
    <li className="text-sm">
      <strong>{ALTERATION_WORDS[proposal.id]?.name}.</strong> {sayWhy(proposal.why, units)}
    </li>
  );
}

/** What else may be added to the plan, family by family in the order of work; what these pieces do not allow is left out. */
export function AddStep({
  pieces,
  seams,
  hasBust,
}: {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  readonly hasBust: boolean;
}) {
  const families = FAMILIES.map((family) => {
    const able = propose(pieces, family, seams).filter((p) => p.grade !== 'no');
    // The bust is one step; its other ways are on its slip.
    return { family, able: family === 'bust' ? (hasBust ? [] : able.slice(0, 1)) : able };
  }).filter((f) => f.able.length > 0);
  if (families.length === 0) return null;
  return (
    <section className="card p-4" aria-label="Add to the plan">
      <h2 className="mb-2">Add to the plan</h2>
      {families.map(({ family, able }) => (
        <details key={family} className="border-t border-line">
          <summary className="min-h-[44px] cursor-pointer py-2.5 font-head font-semibold">
            {FAMILY_WORDS[family]}
            <span className="ml-2 font-sans text-sm font-normal text-quiet">{able.length}</span>
          </summary>
          <ul className="mb-3 grid gap-2 min-[700px]:grid-cols-2 min-[1150px]:grid-cols-3">
            {able.map((p) => (
              <Offer key={p.id} id={p.id} />
            ))}
          </ul>
        </details>
      ))}
    </section>
  );
}

function Offer({ id }: { readonly id: string }) {
  const words = ALTERATION_WORDS[id];
  const name = words && words.lapName !== words.name ? `${words.name} · ${words.lapName}` : words?.name;
  return (
    <li className="flex flex-col border border-line p-3">
      <button className="btn mb-1 self-start text-left" onClick={() => addStep(id)}>
        {name}
      </button>
      <span className="text-sm">{words?.about}</span>
    </li>
  );
}
