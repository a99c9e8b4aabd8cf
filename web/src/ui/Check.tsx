import type { ReactNode } from 'react';

/** A box to tick, with its words. */
export const Check = ({
  on,
  set,
  disabled = false,
  children,
}: {
  readonly on: boolean;
  readonly set: (on: boolean) => void;
  readonly disabled?: boolean;
  readonly children: ReactNode;
}) => (
  <label className="flex min-h-[40px] items-center gap-2">
    <input
      type="checkbox"
      className="size-5 accent-carbon"
      checked={on}
      disabled={disabled}
      onChange={(e) => set(e.target.checked)}
    />
    {children}
  </label>
);
