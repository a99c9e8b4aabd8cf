import type { ReactNode } from 'react';

/** One of several choices of which one holds, with its words; all of a group have the same `name`. */
export const Radio = ({
  name,
  on,
  set,
  disabled = false,
  className = 'flex min-h-[40px] items-center gap-2',
  children,
}: {
  readonly name: string;
  readonly on: boolean;
  readonly set: () => void;
  readonly disabled?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
}) => (
  <label className={className}>
    <input
      type="radio"
      name={name}
      className="size-5 shrink-0 accent-carbon"
      checked={on}
      disabled={disabled}
      onChange={set}
    />
    {children}
  </label>
);
