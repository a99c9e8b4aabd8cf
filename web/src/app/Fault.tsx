import { useRouteError } from 'react-router';
import { exportWork } from '../store/export.ts';
import { useJob } from '../store/job.ts';
import { Happened } from '../shared/Happened.tsx';

/** What stands in the place of everything when the frame itself fails, or a part of the app cannot be fetched. */
export function Fault() {
  const error = useRouteError();
  const open = useJob((s) => s.job !== null);
  const fetching = error instanceof Error && /dynamically imported module|Importing a module/i.test(error.message);
  return (
    <main className="m-6 max-w-[66ch]" tabIndex={-1}>
      <h1>{fetching ? 'A part of the app did not arrive' : 'This page could not be shown'}</h1>
      <p className="my-2">
        {fetching
          ? 'The connection was lost, or a newer version has taken its place. Load the page again; your work is safe.'
          : 'Your work is safe. Load the page again; if it happens once more, export the job and pass on the details.'}
      </p>
      <div className="flex flex-wrap gap-2">
        <button className="btn btn-main" onClick={() => location.reload()}>
          Load again
        </button>
        {open && (
          <button className="btn" onClick={exportWork}>
            Export to a file
          </button>
        )}
        <a className="btn" href={import.meta.env.BASE_URL}>
          To the rail
        </a>
      </div>
      <Happened error={error} where="the frame" />
    </main>
  );
}
