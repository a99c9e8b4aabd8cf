import { AlertDialog } from 'radix-ui';
import { type ReactNode } from 'react';
import { FRAME, VEIL } from './Modal.tsx';

/** A question with one way on and one back. */
export function Ask({
  title,
  action,
  onAction,
  onClose,
  stay,
  cancel = 'Keep it as it is',
  children,
}: {
  readonly title: string;
  readonly action: string;
  readonly onAction: () => void;
  readonly onClose: () => void;
  /** The action closes it itself, once it is done. */
  readonly stay?: boolean;
  readonly cancel?: string;
  readonly children: ReactNode;
}) {
  return (
    <AlertDialog.Root open onOpenChange={(o) => !o && onClose()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className={VEIL} />
        <AlertDialog.Content className={`${FRAME} w-[520px]`}>
          <AlertDialog.Title className="text-xl">{title}</AlertDialog.Title>
          <AlertDialog.Description asChild>
            <div className="mt-2">{children}</div>
          </AlertDialog.Description>
          <div className="mt-5 flex gap-3">
            <AlertDialog.Action
              className="btn btn-main"
              onClick={(e) => {
                if (stay) e.preventDefault();
                onAction();
              }}
            >
              {action}
            </AlertDialog.Action>
            <AlertDialog.Cancel className="btn">{cancel}</AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
