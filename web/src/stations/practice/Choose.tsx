import { useState, type ReactNode } from 'react';
import { CAUSES } from '@ample/core/fitting/toile';
import { alterationName, CAUSE_WORDS } from '@ample/core/words';
import { notePractice } from '../../store/practice.ts';
import { Radio } from '../../ui/Radio.tsx';
import { Said } from '../../shared/Said.tsx';

/** Causes to choose from; then what the right one is, and another case. Kept under the name of the practice. */
export function Choose({
  practice,
  options,
  right,
  next,
  children,
}: {
  readonly practice: 'wrinkles' | 'toiles';
  readonly options: readonly string[];
  readonly right: string;
  readonly next: { readonly name: string; readonly go: () => void };
  /** What is told once one has chosen. */
  readonly children: (chosen: string) => ReactNode;
}) {
  const [chosen, setChosen] = useState<string | null>(null);
  const [told, setTold] = useState(false);
  const tell = () => {
    setTold(true);
    void notePractice(practice, 'only', chosen === right ? 0 : 1);
  };
  return (
    <>
      <fieldset className="mt-4">
        <legend className="font-head font-semibold">What is the cause?</legend>
        {options.map((id) => (
          <Radio key={id} name="cause" on={chosen === id} set={() => setChosen(id)} disabled={told}>
            {CAUSE_WORDS[id]?.name ?? id}
          </Radio>
        ))}
      </fieldset>
      {!told && (
        <button className="btn btn-main mt-3" disabled={chosen === null} onClick={tell}>
          Is that it?
        </button>
      )}
      <div role="status" className="mt-3 space-y-3">
        {told && chosen !== null && (
          <>
            <p className="font-bold">{chosen === right ? 'Yes.' : `No: ${CAUSE_WORDS[right]?.name ?? right}.`}</p>
            {children(chosen)}
          </>
        )}
      </div>
      {told && (
        <button className="btn btn-main mt-3" onClick={next.go}>
          {next.name}
        </button>
      )}
    </>
  );
}

/** The test for a cause, and what it would change. */
export function TestAndChange({ cause }: { readonly cause: string }) {
  const remedy = CAUSES.find((c) => c.id === cause)?.remedy;
  return (
    <>
      <p>
        <strong>The test.</strong> <Said>{CAUSE_WORDS[cause]?.test ?? ''}</Said>
      </p>
      {remedy?.kind === 'step' && (
        <p>
          <strong>What it would change.</strong>{' '}
          {remedy.alterations[0] === 'bust'
            ? remedy.way > 0
              ? 'A fuller bust on the front.'
              : 'A smaller bust on the front.'
            : `${alterationName(remedy.alterations[0] ?? '', remedy.way)}.`}
        </p>
      )}
    </>
  );
}
