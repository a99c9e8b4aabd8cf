import { useEffect, useRef } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { usePrefs } from '../store/prefs.ts';
import { Terms } from '../shared/Terms.tsx';
import { WALK } from './walkSteps.ts';

const setStep = (walk: number | null): void => {
  usePrefs.setState({ walk });
};

/** A strip along the lower edge that leads through a job of the demo: it covers nothing, and can be left at any moment. */
export function Walk({ step }: { readonly step: number }) {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const text = useRef<HTMLParagraphElement>(null);
  const now = WALK[Math.min(step, WALK.length - 1)];
  const go = (to: number) => {
    setStep(to);
    void navigate(WALK[to]?.at ?? '/');
  };
  useEffect(() => {
    text.current?.focus();
  }, [step]);
  if (!now) return null;
  const last = step >= WALK.length - 1;
  return (
    <section
      aria-label="First time through"
      className="flex flex-wrap items-center gap-3 border-t-2 border-ink bg-tape px-4 py-2"
    >
      <span className="num text-sm">
        {step + 1} of {WALK.length}
      </span>
      <p ref={text} tabIndex={-1} className="min-w-0 flex-1 basis-[360px]">
        <Terms>{now.says}</Terms>
      </p>
      {pathname !== now.at && (
        <button className="btn" onClick={() => go(step)}>
          Back to where we were
        </button>
      )}
      {step > 0 && (
        <button className="btn" onClick={() => go(step - 1)}>
          Back
        </button>
      )}
      <button className="btn btn-main" onClick={() => (last ? setStep(null) : go(step + 1))}>
        {last ? 'Done' : 'Go on'}
      </button>
      {!last && (
        <button className="btn btn-plain" onClick={() => setStep(null)}>
          Leave
        </button>
      )}
    </section>
  );
}
