import { EDGE_ROLES, type EdgeRole } from '@ample/core/pattern';
import { middleOfEdge, type TraceChoices, type Traced } from '@ample/core/in/tracing';
import { ROLE_WORDS } from '@ample/core/words';
import { choose, useImport } from '../../store/import.ts';
import { LengthField } from '../../shared/LengthField.tsx';

const ROLES = EDGE_ROLES.filter((r) => r !== 'dart');

/** The edges in order, each with what it is, its allowance, and whether it lies on the fold. */
export function Edges({ traced, choices }: { readonly traced: Traced; readonly choices: TraceChoices }) {
  const chosen = useImport((s) => s.chosenEdge);
  const say = (i: number, what: { role?: EdgeRole; allowance?: number; fold?: boolean }) => {
    const edge = traced.edges[i];
    if (edge) choose({ said: [...choices.said, { at: middleOfEdge(edge), ...what }] });
  };
  return (
    <fieldset>
      <legend className="mb-1 text-sm">Edges</legend>
      <ul>
        {traced.edges.map((e, i) =>
          e.role === 'dart' ? null : (
            <li key={i} className={`flex flex-wrap items-center gap-2 py-0.5 ${chosen === i ? 'bg-tissue' : ''}`}>
              <select
                className="field w-[138px]"
                aria-label={`Edge ${i + 1} is the`}
                value={e.role}
                onFocus={() => useImport.setState({ chosenEdge: i })}
                onChange={(event) => say(i, { role: event.target.value as EdgeRole })}
              >
                {ROLES.map((r) => (
                  <option key={r} value={r}>
                    {ROLE_WORDS[r]}
                  </option>
                ))}
              </select>
              <LengthField
                label={`Allowance of edge ${i + 1}`}
                bare
                value={e.allowance}
                min={0}
                max={100}
                width="w-[92px]"
                onFocus={() => useImport.setState({ chosenEdge: i })}
                onCommit={(v) => v !== null && say(i, { allowance: v })}
              />
              <label className="flex min-h-[40px] items-center gap-1.5">
                <input
                  type="checkbox"
                  className="size-5 accent-carbon"
                  checked={e.fold}
                  aria-label={`Edge ${i + 1} lies on the fold`}
                  onChange={(event) => say(i, { fold: event.target.checked })}
                />
                fold
              </label>
            </li>
          ),
        )}
      </ul>
    </fieldset>
  );
}
