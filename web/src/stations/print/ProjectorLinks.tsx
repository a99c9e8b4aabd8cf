import { Projector as ProjectorIcon } from 'lucide-react';
import { Link, useParams } from 'react-router';

/** The pieces thrown onto the table instead of printed. */
export function ProjectorLinks() {
  const { job } = useParams();
  return (
    <section className="card p-4" aria-label="Projector">
      <h2 className="mb-1">Projector</h2>
      <p className="mb-3 max-w-[66ch]">
        Without paper: the pieces are projected onto the cutting table at true size, one after another. The scale is
        made from a square you measure on the table.
      </p>
      <div className="flex flex-wrap items-center gap-3">
        <Link className="btn" to={`/job/${job}/projector`}>
          <ProjectorIcon size={20} aria-hidden="true" />
          Projector view
        </Link>
        <Link className="link" to={`/job/${job}/projector-table`} target="_blank" rel="noreferrer">
          Try it on a stand-in table in a window of its own
        </Link>
      </div>
    </section>
  );
}
