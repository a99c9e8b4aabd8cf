import { useId, useState, type KeyboardEvent } from 'react';
import { formatLength, parseLength, roundToUnit } from '@ample/core/units';
import { sayRefusal } from '@ample/core/words';
import { useUnits } from '../store/prefs.ts';

interface Props {
  readonly label: string;
  /** Hides the label from sight, not from a screen reader. */
  readonly bare?: boolean;
  readonly value: number | null;
  readonly onCommit: (value: number | null) => void;
  readonly min?: number;
  readonly max?: number;
  readonly signed?: boolean;
  readonly optional?: boolean;
  readonly big?: boolean;
  readonly width?: string;
  /** Arrow keys step the value; off where they would be surprising. */
  readonly steps?: boolean;
  readonly onFocus?: () => void;
  /** After Enter has taken the value: goes on to the next field of a list. */
  readonly onEnter?: (from: HTMLInputElement) => void;
  readonly describedBy?: string;
}

/** A length as people write it. Kept exact; only the display is rounded. A wrong entry stays and says why. */
export function LengthField({
  label,
  bare,
  value,
  onCommit,
  min,
  max,
  signed,
  optional,
  big,
  width = 'w-28',
  steps,
  onFocus,
  onEnter,
  describedBy,
}: Props) {
  const units = useUnits();
  const id = useId();
  // What is being typed belongs to the value it would replace: when that changes elsewhere, the entry is dropped.
  const [entry, setEntry] = useState<{
    readonly text: string;
    readonly error: string | null;
    readonly of: string;
  } | null>(null);
  const of = `${String(value)} ${units.unit}`;
  const text = entry?.of === of ? entry.text : null;
  const error = entry?.of === of ? entry.error : null;
  const setText = (next: string | null) => setEntry(next === null ? null : { text: next, error: null, of });
  const fail = (says: string) => setEntry({ text: text ?? '', error: says, of });
  const show =
    value === null
      ? ''
      : formatLength(value, units.unit, { fraction: units.fraction, bare: true, sign: signed === true });
  const commit = () => {
    if (text === null || text === show) return setText(null);
    if (text.trim() === '' && optional) {
      setText(null);
      return onCommit(null);
    }
    const read = parseLength(text, units.unit);
    if (!read.ok) return fail(sayRefusal(read.error, units));
    if ((min !== undefined && read.value < min) || (max !== undefined && read.value > max))
      return fail(
        sayRefusal({ code: 'value-out-of-range', data: { key: label, min: min ?? -10000, max: max ?? 10000 } }, units),
      );
    setText(null);
    onCommit(read.value);
  };
  const onKey = (e: KeyboardEvent<HTMLInputElement>) => {
    if (e.key === 'Enter') {
      commit();
      onEnter?.(e.currentTarget);
    }
    if (e.key === 'Escape') {
      setText(null);
    }
    if (steps && value !== null && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
      e.preventDefault();
      const step = (units.unit === 'in' ? 25.4 / 16 : 1) * (e.shiftKey ? 5 : 1) * (e.key === 'ArrowUp' ? 1 : -1);
      onCommit(Math.min(max ?? Infinity, Math.max(min ?? -Infinity, roundToUnit(value + step, units.unit, 16))));
    }
  };
  return (
    <div className={width}>
      <label htmlFor={id} className={bare ? 'sr-only' : 'mb-1 block text-sm'}>
        {label}
      </label>
      <div className="relative">
        <input
          id={id}
          className={`field num w-full pr-9 ${big ? '!text-xl' : ''} ${error ? '!border-pencil' : ''}`}
          inputMode="text"
          autoComplete="off"
          value={text ?? show}
          onChange={(e) => setText(e.target.value)}
          onBlur={commit}
          onKeyDown={onKey}
          onFocus={onFocus}
          aria-invalid={error !== null}
          aria-describedby={[error ? `${id}-error` : '', describedBy ?? ''].filter(Boolean).join(' ') || undefined}
        />
        <span
          className="pointer-events-none absolute top-1/2 right-2.5 -translate-y-1/2 text-sm text-quiet"
          aria-hidden="true"
        >
          {units.unit}
        </span>
      </div>
      {error && (
        <p id={`${id}-error`} role="alert" className="mt-1 text-sm text-pencil">
          {error}
        </p>
      )}
    </div>
  );
}
