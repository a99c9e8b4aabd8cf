import { Link, useParams } from 'react-router';
import { Station } from '../../ui/parts.tsx';

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
