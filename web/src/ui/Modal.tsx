import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

/** The frame of every dialog, as wide as its `w-[…]` says. */
export const FRAME =
  'fixed top-1/2 left-1/2 max-h-[90vh] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-auto border border-ink bg-page p-6';
export const VEIL = 'fixed inset-0 bg-ink/40';

/** A dialog with its title and what it is for; the keyboard stays in it until it closes. */
export const Modal = ({
  title,
  about,
  quiet = false,
  open = true,
  onOpenChange,
  trigger,
  width = 'w-[520px]',
  children,
}: {
  readonly title: string;
  readonly about: ReactNode;
  /** What it is for is only read out. */
  readonly quiet?: boolean;
  readonly open?: boolean;
  readonly onOpenChange: (open: boolean) => void;
  /** The words of the button that opens it, where it has one of its own. */
  readonly trigger?: string;
  readonly width?: string;
  readonly children: ReactNode;
}) => (
  <Dialog.Root open={open} onOpenChange={onOpenChange}>
    {trigger && <Dialog.Trigger className="btn">{trigger}</Dialog.Trigger>}
    <Dialog.Portal>
      <Dialog.Overlay className={VEIL} />
      <Dialog.Content className={`${FRAME} ${width}`}>
        <Dialog.Title className="text-xl">{title}</Dialog.Title>
        <Dialog.Description className={quiet ? 'sr-only' : 'mt-1'}>{about}</Dialog.Description>
        {children}
      </Dialog.Content>
    </Dialog.Portal>
  </Dialog.Root>
);
