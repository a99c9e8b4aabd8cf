import type { ReactNode } from 'react';
import { formatLength } from '@ample/core/units';
import { useUnits } from '../store/prefs.ts';
import { Said } from './Said.tsx';

/** A length in the chosen unit. */
export function Length({
  value,
  sign,
  both,
  bare,
  className,
}: {
  readonly value: number;
  readonly sign?: boolean;
  readonly both?: boolean;
  /** Without the unit, where the table says it. */
  readonly bare?: boolean;
  readonly className?: string;
}) {
  const { unit, fraction } = useUnits();
  const text = formatLength(value, unit, { fraction, sign: sign === true, bare: bare === true });
  const other = formatLength(value, unit === 'cm' ? 'in' : 'cm', { fraction, sign: sign === true });
  return (
    <span className={`num whitespace-nowrap ${className ?? ''}`}>
      {text}
      {both && <span className="text-quiet"> ({other})</span>}
    </span>
  );
}

/** A remark with a mark of its own, so that its grade never hangs on colour. */
export function Notice({
  grade,
  children,
}: {
  readonly grade: 'fault' | 'look' | 'note';
  readonly children: ReactNode;
}) {
  const word = { fault: 'Fix', look: 'Look', note: 'Note' }[grade];
  const style = { fault: 'border-pencil', look: 'border-brass', note: 'border-line' }[grade];
  return (
    <div className={`flex gap-3 border-l-4 bg-white px-3 py-2 ${style}`} role={grade === 'fault' ? 'alert' : undefined}>
      <strong className="w-11 shrink-0">{word}</strong>
      <div className="min-w-0">{children}</div>
    </div>
  );
}

export function Station({
  title,
  lead,
  children,
  wide,
}: {
  readonly title: string;
  readonly lead?: ReactNode;
  readonly children: ReactNode;
  readonly wide?: boolean;
}) {
  return (
    <main className="h-full overflow-auto" tabIndex={-1}>
      <div className={`mx-auto px-6 py-5 ${wide ? 'max-w-[1400px]' : 'max-w-[1160px]'}`}>
        <h1>{title}</h1>
        {lead && (
          <p className="mt-1 max-w-[72ch] text-quiet">{typeof lead === 'string' ? <Said>{lead}</Said> : lead}</p>
        )}
        <div className="mt-4">{children}</div>
      </div>
    </main>
  );
}
