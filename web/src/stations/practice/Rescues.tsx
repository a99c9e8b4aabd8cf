import { Link } from 'react-router';
import { canMend, RESCUES } from '@ample/core/practice';
import { PracticePage } from './PracticePage.tsx';

/** Accidents with paper, and what one does. */
export const Rescues = () => (
  <PracticePage title="Rescue" lead="It happens to everyone. Paper can be mended; measure again before you go on.">
    <div className="space-y-4">
      {RESCUES.map((r) => (
        <section key={r.id} aria-labelledby={r.id} className="card p-4">
          <h2 id={r.id}>{r.title}</h2>
          <p className="text-quiet">{r.happened}</p>
          <ol className="mt-2 max-w-[80ch] list-decimal space-y-1 pl-6">
            {r.now.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
          <p className="mt-2 border-l-4 border-carbon pl-3">{r.check}</p>
          {canMend(r.id) ? (
            <Link className="btn mt-3" to={`/practice/cut/${r.lesson}?grade=marked&numbers=1&after=${r.id}`}>
              Mend it on paper that costs nothing
            </Link>
          ) : (
            <Link className="link mt-1" to={`/practice/cut/${r.lesson}?grade=free&numbers=1`}>
              Practise the cut it happens in
            </Link>
          )}
        </section>
      ))}
    </div>
  </PracticePage>
);
