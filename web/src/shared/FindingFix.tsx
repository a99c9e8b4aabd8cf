import { followFor, type Draft } from '@ample/core/fitting/plan';
import type { Finding } from '@ample/core/paper/truing';
import { ALTERATION_WORDS } from '@ample/core/words';
import { addStep } from '../store/plan.ts';

/** Where a finding can be put right by a step, that step, one press away. */
export function FindingFix({ finding, draft }: { readonly finding: Finding; readonly draft: Draft }) {
  const fix = followFor(finding, draft.sides.left.pieces);
  const still = draft.followers.some((f) => f.alteration === fix);
  if (!fix || !still) return null;
  return (
    <button className="btn mt-2" onClick={() => addStep(fix)}>
      {ALTERATION_WORDS[fix]?.name}
    </button>
  );
}
