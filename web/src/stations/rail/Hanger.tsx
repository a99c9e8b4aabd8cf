import { COLOURS } from '@ample/core/out';

/** What a tag hangs by. Every row of tags hangs on a rail of its own. */
export const Hanger = () => (
  <>
    <span className="absolute -inset-x-5 top-1 h-[7px] border-t-2 border-rod bg-grey" aria-hidden="true" />
    <svg className="relative" viewBox="0 0 60 40" width="60" height="40" aria-hidden="true">
      <path d="M30 4c9 0 9 10 2 12l-2 1v8" fill="none" stroke={COLOURS.quiet} strokeWidth="2.5" />
      <path d="M30 24v16" stroke={COLOURS.grey} strokeWidth="1.5" />
    </svg>
  </>
);
