import { useId, useState, type KeyboardEvent } from 'react';
import { formatLength, parseLength, roundToUnit, type LengthUnit, type Refusal } from '@ample/core/units';
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

/** What is typed into a length field until it is taken or dropped, and why it could not be taken. */
function useEntry({ label, value, onCommit, min, max, signed, optional }: Props) {
  const units = useUnits();
  // What is being typed belongs to the value it would replace: when that changes elsewhere, the entry is dropped.
  const [entry, setEntry] = useState<{
    readonly text: string;
    readonly error: string | null;
    readonly of: string;
  } | null>(null);
  const of = `${String(value)} ${units.unit}`;
  const text = entry?.of === of ? entry.text : null;
  const error = entry?.of === of ? entry.error : null;
  const drop = () => setEntry(null);
  const fail = (refusal: Refusal) => setEntry({ text: text ?? '', error: sayRefusal(refusal, units), of });
  const shown =
    value === null
      ? ''
      : formatLength(value, units.unit, { fraction: units.fraction, bare: true, sign: signed === true });
  const commit = () => {
    if (text === null || text === shown) return drop();
    if (text.trim() === '' && optional) {
      drop();
      return onCommit(null);
    }
    const read = parseLength(text, units.unit);
    if (!read.ok) return fail(read.error);
    if ((min !== undefined && read.value < min) || (max !== undefined && read.value > max))
      return fail({ code: 'value-out-of-range', data: { key: label, min: min ?? -10000, max: max ?? 10000 } });
    drop();
    onCommit(read.value);
  };
  return {
    text: text ?? shown,
    error,
    commit,
    drop,
    type: (next: string) => setEntry({ text: next, error: null, of }),
  };
}

/** The value one step up or down, five with the shift key, within its limits. */
function stepped({ value, min = -Infinity, max = Infinity }: Props, e: KeyboardEvent, unit: LengthUnit): number {
  const step = (unit === 'in' ? 25.4 / 16 : 1) * (e.shiftKey ? 5 : 1) * (e.key === 'ArrowUp' ? 1 : -1);
  return Math.min(max, Math.max(min, roundToUnit((value ?? 0) + step, unit, 16)));
}

/** A length as people write it. Kept exact; only the display is rounded. A wrong entry stays and says why. */
export function LengthField(props: Props) {
  const { label, bare, value, onCommit, big, width = 'w-28', steps, onFocus, onEnter, describedBy } = props;
  const { unit } = useUnits();
  const id = useId();
  const { text, error, commit, drop, type } = useEntry(props);
  const onKey = (e: KeyboardEvent<HTMLInputElement>) => {
    if (e.key === 'Enter') {
      commit();
      onEnter?.(e.currentTarget);
    }
    if (e.key === 'Escape') drop();
    if (steps && value !== null && (e.key === 'ArrowUp' || e.key === 'ArrowDown')) {
      e.preventDefault();
      onCommit(stepped(props, e, unit));
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
          value={text}
          onChange={(e) => type(e.target.value)}
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
          {unit}
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
