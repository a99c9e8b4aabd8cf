import { Link, useParams } from 'react-router';
import { Station } from '../../ui/parts.tsx';

export function Compare() {
  const { job } = useParams();
  return (
    <Station title="Compare">
      <p className="mb-3 max-w-[72ch]">
        Here the whole worksheet will stand: body, ease, pattern and difference for every measurement, re-measured after
        each step.
      </p>
      <p className="mb-3">Until then, the bust is compared under Plan and the seams under Check.</p>
      <div className="flex gap-2">
        <Link className="btn" to={`/job/${job}/plan`}>
          Plan
        </Link>
        <Link className="btn" to={`/job/${job}/check`}>
          Check
        </Link>
      </div>
    </Station>
  );
}

export function Toile() {
  const { job } = useParams();
  return (
    <Station title="Toile">
      <p className="mb-3 max-w-[72ch]">
        Here fittings will be kept by date: what was seen, what was pinned, the causes in order of likelihood, and what
        it changed.
      </p>
      <p className="mb-3">Print the altered pieces and sew a toile before you cut good cloth.</p>
      <Link className="btn" to={`/job/${job}/print`}>
        Print the pieces
      </Link>
    </Station>
  );
}
