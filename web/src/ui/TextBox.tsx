import { useEffect, useId, useRef, useState } from 'react';

/** Longer than a pause between words; short enough that nothing is lost when the tab goes. */
const PAUSE = 700;

/** Hands on what was typed, if it is anything new. */
function take(now: {
  readonly typed: string | null;
  readonly value: string;
  readonly onCommit: (text: string) => void;
}): void {
  if (now.typed !== null && now.typed !== now.value) now.onCommit(now.typed);
}

/** A text of some lines, taken when one pauses or leaves it: a note is undone as a whole, not letter by letter. */
export function TextBox({
  label,
  value,
  onCommit,
  max,
  rows = 2,
  hint,
  bare,
}: {
  readonly label: string;
  readonly value: string;
  readonly onCommit: (text: string) => void;
  readonly max: number;
  readonly rows?: number;
  readonly hint?: string;
  readonly bare?: boolean;
}) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const latest = useRef({ typed, value, onCommit });
  useEffect(() => {
    latest.current = { typed, value, onCommit };
  });
  useEffect(() => {
    if (typed === null) return;
    const timer = setTimeout(() => take(latest.current), PAUSE);
    return () => clearTimeout(timer);
  }, [typed]);
  // A station left in the middle of a word keeps it.
  useEffect(() => () => take(latest.current), []);
  const Field = rows > 1 ? 'textarea' : 'input';
  return (
    <label className="block" htmlFor={id}>
      <span className={bare ? 'sr-only' : 'mb-1 block text-sm'}>{label}</span>
      <Field
        id={id}
        className="field w-full"
        {...(rows > 1 ? { rows } : { type: 'text' })}
        maxLength={max}
        value={typed ?? value}
        placeholder={hint}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={() => {
          take(latest.current);
          setTyped(null);
        }}
      />
    </label>
  );
}
