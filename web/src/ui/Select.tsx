import type { ReactNode } from 'react';

/** A choice from a list, with its label above it; `children` are the options. */
export const Select = ({
  label,
  value,
  set,
  wide = false,
  disabled = false,
  className = '',
  children,
}: {
  readonly label: ReactNode;
  readonly value: string | number;
  readonly set: (value: string) => void;
  /** As wide as what it stands in. */
  readonly wide?: boolean;
  readonly disabled?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}) => (
  <label className={className}>
    <span className="mb-1 block text-sm">{label}</span>
    <select
      className={wide ? 'field w-full' : 'field'}
      value={value}
      disabled={disabled}
      onChange={(e) => set(e.target.value)}
    >
      {children}
    </select>
  </label>
);
