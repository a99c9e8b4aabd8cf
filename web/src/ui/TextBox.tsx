import { useEffect, useId, useRef, useState } from 'react';

/** Longer than a pause between words; short enough that nothing is lost when the tab goes. */
const PAUSE = 700;

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
  const latest = useRef({ typed, onCommit });
  useEffect(() => {
    latest.current = { typed, onCommit };
  });
  const commit = () => {
    const { typed: text } = latest.current;
    if (text !== null && text !== value) latest.current.onCommit(text);
    setTyped(null);
  };
  useEffect(() => {
    if (typed === null) return;
    const timer = setTimeout(
      () => latest.current.typed !== null && latest.current.onCommit(latest.current.typed),
      PAUSE,
    );
    return () => clearTimeout(timer);
  }, [typed]);
  // A station left in the middle of a word keeps it.
  useEffect(() => () => void (latest.current.typed !== null && latest.current.onCommit(latest.current.typed)), []);
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
        onBlur={commit}
      />
    </label>
  );
}
