import { DropdownMenu } from 'radix-ui';
import { useEffect, useRef, type Ref, type RefObject } from 'react';
import type { Job } from '@ample/core/documents';
import { editStored } from '../../store/library.ts';
import type { TagDialog } from './Tag.tsx';

/**
 * What can be done with a job that is not open. Not modal, and within the page: the rest stays within reach of a
 * screen reader while a small menu is open. The button that opens it is the tag's own, on the first screen before this
 * code is; the trigger here only says where the menu hangs.
 */
export function TagMenu({
  job,
  button,
  open,
  byKeys,
  onOpen,
  onDialog,
}: {
  readonly job: Job;
  readonly button: RefObject<HTMLButtonElement | null>;
  readonly open: boolean;
  /** Opened with the keyboard, its first item takes the focus, also when the key was pressed before this code was here. */
  readonly byKeys: boolean;
  readonly onOpen: (open: boolean) => void;
  readonly onDialog: (job: Job, dialog: TagDialog) => void;
}) {
  const first = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (open && byKeys) first.current?.focus();
  }, [open, byKeys]);
  return (
    <DropdownMenu.Root modal={false} open={open} onOpenChange={onOpen}>
      <DropdownMenu.Trigger asChild>
        <span className="pointer-events-none absolute right-1 bottom-1 h-10 w-10" aria-hidden="true" tabIndex={-1} />
      </DropdownMenu.Trigger>
      <DropdownMenu.Content
        align="end"
        className="z-10 min-w-[240px] border border-ink bg-white py-1"
        aria-label={`More for ${job.title || 'this job'}`}
        onCloseAutoFocus={(e) => {
          e.preventDefault();
          button.current?.focus();
        }}
        onInteractOutside={(e) => {
          // Its own button opens and closes it.
          if (button.current?.contains(e.target as Node)) e.preventDefault();
        }}
      >
        <Item ref={first} onSelect={() => onDialog(job, 'details')}>
          Title, date and cloth…
        </Item>
        <Item onSelect={() => void editStored(job.id, (j) => ({ ...j, archived: !j.archived }))}>
          {job.archived ? 'Hang it back' : 'Put it away'}
        </Item>
        <Item onSelect={() => onDialog(job, 'friend')}>A file for a friend…</Item>
        <Item onSelect={() => onDialog(job, 'delete')}>Delete the job…</Item>
      </DropdownMenu.Content>
    </DropdownMenu.Root>
  );
}

const Item = ({
  onSelect,
  children,
  ref,
}: {
  readonly onSelect: () => void;
  readonly children: string;
  readonly ref?: Ref<HTMLDivElement>;
}) => (
  <DropdownMenu.Item
    ref={ref}
    className="flex min-h-[40px] cursor-pointer items-center px-4 outline-none data-[highlighted]:bg-tissue"
    onSelect={onSelect}
  >
    {children}
  </DropdownMenu.Item>
);
