import { alterationById } from '@ample/core/alterations';
import { outOfOrder, type Draft, type DraftStep } from '@ample/core/fitting/plan';
import type { Step } from '@ample/core/documents';
import { PARAM_WORDS, ROLE_WORDS, sayFit, stepName } from '@ample/core/words';
import { setValue, useJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';
import { FitSum } from '../../shared/FitSum.tsx';
import { LengthField } from '../../shared/LengthField.tsx';
import { SideChoice } from '../../shared/SideChoice.tsx';

/** What a step that is not counted over the bust does: its amount, where that comes from, and the side it is for. */
export function OwnAmount({ whole, step }: { readonly whole: DraftStep; readonly step: Step }) {
  const definition = alterationById(step.alteration);
  const key = definition?.amount;
  const param = definition?.params.find((p) => p.key === key);
  const value = key ? (step.values[key] ?? whole.values[key]) : null;
  return (
    <div className="flex flex-wrap items-end gap-5 p-4">
      {key && param?.kind === 'length' && (
        <LengthField
          label={PARAM_WORDS[key] ?? key}
          value={typeof value === 'number' ? value : param.initial}
          signed={param.signed === true}
          big
          steps
          min={param.min}
          max={param.max}
          width="w-56"
          onCommit={(v) => v !== null && setValue(step.id, key, v)}
        />
      )}
      <SideChoice step={step} />
      <FitSum step={step} fit={whole.fit} />
    </div>
  );
}

/** Steps that change the same seam, and steps usually done later that stand before this one. */
export function Meets({ step, draft }: { readonly step: string; readonly draft: Draft }) {
  const units = useUnits();
  const order = useJob((s) => s.job?.order ?? 'topDown');
  const steps = draft.steps.map((s) => s.step);
  const nameOf = (id: string): string => {
    const found = draft.steps.find((s) => s.step.id === id);
    return found ? `“${stepName(found)}”` : id;
  };
  const pieceName = (id: string): string => draft.original.find((p) => p.id === id)?.name ?? id;
  const early = outOfOrder(steps, order).find((o) => o.step === step);
  const met = draft.meetings.filter((m) => m.second === step);
  const by = [...new Set(met.map((m) => m.first))];
  if (!early && by.length === 0) return null;
  return (
    <ul className="space-y-1 border-t border-line px-4 py-2 text-sm">
      {early && <li>Usually done before {nameOf(early.before)}.</li>}
      {by.map((first) => {
        const places = met
          .filter((m) => m.first === first)
          .map((m) => `${m.roles.map((r) => ROLE_WORDS[r]).join(' and ')} of ${pieceName(m.piece).toLowerCase()}`);
        return (
          <li key={first}>
            {sayFit({ code: 'plan.meets', data: { first: nameOf(first), places: places.join(', ') } }, units)}
          </li>
        );
      })}
    </ul>
  );
}
