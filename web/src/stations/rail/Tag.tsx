import { MoreHorizontal } from 'lucide-react';
import { Suspense, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Job, Wearer } from '@ample/core/documents';
import { inOrderOfDate, nextAction } from '@ample/core/fitting/toile';
import { NEXT_WORDS } from '@ample/core/words';
import { longDate, today } from '../../lib/time.ts';
import { Hanger } from './Hanger.tsx';
import { fetchedLater, NotFetchedOver } from '../../ui/fetchedLater.tsx';

/** Until the menu is here a press of its button only opens it, so that a second one does not shut it. */
let menuIsHere = false;
const MenuMissing = ({ open }: { readonly open: boolean }) => open && <NotFetchedOver />;
const TagMenu = fetchedLater(async () => {
  const { TagMenu } = await import('./TagMenu.tsx');
  menuIsHere = true;
  return TagMenu;
}, MenuMissing);

export type TagDialog = 'details' | 'friend' | 'delete';

/** One job on the rail: who, what, when, the last fitting, and what comes next. */
export function Tag({
  job,
  wearer,
  pattern,
  onDialog,
}: {
  readonly job: Job;
  readonly wearer: Wearer | undefined;
  readonly pattern: string | undefined;
  readonly onDialog: (job: Job, dialog: TagDialog) => void;
}) {
  const [open, setOpen] = useState(false);
  const [byKeys, setByKeys] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const next = nextAction(job, wearer);
  const last = inOrderOfDate(job.fittings).at(-1);
  const late = job.due !== null && job.finished === null && job.due < today();
  return (
    <li className="relative flex flex-col items-center">
      <Hanger />
      <div className="relative w-full flex-1">
        <Link
          to={`/job/${job.id}/${next.station}`}
          className="flex h-full w-full flex-col border border-ink bg-tissue px-4 pt-3 pb-3 hover:bg-tag"
          style={{ clipPath: 'polygon(12% 0, 88% 0, 100% 10%, 100% 100%, 0 100%, 0 10%)' }}
        >
          <span className="mx-auto mb-2 block h-3 w-3 rounded-full border border-ink bg-page" aria-hidden="true" />
          <span className="block font-head text-lg font-semibold">{wearer?.name ?? 'Unknown wearer'}</span>
          <span className="block">
            {job.title || 'Untitled'} · {pattern ?? 'no pattern'}
          </span>
          <span className="mt-2 block text-sm">
            {job.due ? `due ${longDate(job.due)}` : 'no date set'}
            {late && <strong className="text-pencil"> · past</strong>}
          </span>
          <span className="mb-2 block text-sm">
            {job.finished
              ? `finished ${longDate(job.finished)}`
              : last
                ? `last fitting ${longDate(last.date)}`
                : 'no fitting yet'}
          </span>
          <span className="mt-auto block border-t border-ink/40 pt-2 pr-10 underline">{NEXT_WORDS[next.code]}</span>
        </Link>
        <button
          ref={button}
          className="btn btn-plain absolute right-1 bottom-1 !px-2"
          aria-label={`More for ${job.title || 'this job'}, ${wearer?.name ?? 'unknown wearer'}`}
          aria-haspopup="menu"
          aria-expanded={open}
          onClick={(e) => {
            setByKeys(e.detail === 0);
            setOpen(!open || !menuIsHere);
          }}
        >
          <MoreHorizontal size={20} aria-hidden="true" />
        </button>
        <Suspense>
          <TagMenu job={job} button={button} open={open} byKeys={byKeys} onOpen={setOpen} onDialog={onDialog} />
        </Suspense>
      </div>
    </li>
  );
}
