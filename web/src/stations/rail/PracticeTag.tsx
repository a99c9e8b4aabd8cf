import { Link } from 'react-router';
import { Hanger } from './Hanger.tsx';

/** Practice hangs beside the jobs, as a tag of squared paper. */
export const PracticeTag = () => (
  <li className="relative flex flex-col items-center">
    <Hanger />
    <Link
      to="/practice"
      className="relative flex w-full flex-1 flex-col border border-ink bg-ruled px-4 pt-3 pb-3 hover:bg-tag"
      style={{ clipPath: 'polygon(12% 0, 88% 0, 100% 10%, 100% 100%, 0 100%, 0 10%)' }}
    >
      <span className="mx-auto mb-2 block h-3 w-3 rounded-full border border-ink bg-page" aria-hidden="true" />
      <span className="block font-head text-lg font-semibold">Practice</span>
      <span className="block">Cut paper that costs nothing.</span>
      <span className="mt-auto block border-t border-ink/40 pt-2 underline">Open practice</span>
    </Link>
  </li>
);
