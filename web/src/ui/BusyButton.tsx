import type { ComponentProps } from 'react';

/** A button that takes no second press while its work is under way, and keeps the keyboard's focus meanwhile. */
export function BusyButton({
  busy,
  onClick,
  className = 'btn',
  ...rest
}: ComponentProps<'button'> & { readonly busy: boolean }) {
  return (
    <button
      {...rest}
      className={className}
      aria-disabled={busy || undefined}
      onClick={(e) => {
        if (!busy) onClick?.(e);
      }}
    />
  );
}
