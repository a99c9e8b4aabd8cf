import { useState } from 'react';

/** One line of text, taken when one leaves it or presses Enter; where a name is needed, the old one stays. */
export function NameField({
  label,
  value,
  required,
  max = 120,
  onCommit,
}: {
  readonly label: string;
  readonly value: string;
  readonly required?: boolean;
  readonly max?: number;
  readonly onCommit: (v: string) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const wrong = required && text !== null && text.trim() === '';
  const take = () => {
    if (text !== null && !wrong) onCommit(text.trim());
    setText(null);
  };
  return (
    <label>
      <span className="mb-1 block text-sm">{label}</span>
      <input
        className="field w-full"
        maxLength={max}
        value={text ?? value}
        onChange={(e) => setText(e.target.value)}
        aria-invalid={wrong === true}
        onBlur={take}
        onKeyDown={(e) => {
          if (e.key === 'Enter') take();
        }}
      />
      {wrong && <span className="text-sm text-pencil">Type a name, or the old one stays.</span>}
    </label>
  );
}
