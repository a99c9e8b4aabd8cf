import { Link, useParams } from 'react-router';
import { walkSeam } from '@ample/core/paper/truing';
import { TOL } from '@ample/core/units';
import { useJob } from '../../store/job.ts';
import { useLibrary } from '../../store/library.ts';
import { isOwn, patternOf } from '../../store/patterns.ts';
import { takeOut } from '../../store/takePiece.ts';
import { Length } from '../../shared/basics.tsx';

/** What the pattern holds now, and whether its seams walk. */
export function Taken() {
  const job = useJob((s) => s.job);
  const patterns = useLibrary((s) => s.patterns);
  const pattern = patternOf(job, patterns);
  const { job: id } = useParams();
  if (!pattern || !isOwn(pattern)) return null;
  const sizes = Object.entries(pattern.sizes).filter(([, pieces]) => pieces.length > 0);
  if (sizes.length === 0) return null;
  return (
    <section className="card p-4" aria-label="In the pattern">
      <h2 className="mb-1">In “{pattern.name}” by now</h2>
      {sizes.map(([size, pieces]) => (
        <div key={size} className="mb-2">
          <h3>Size {size}</h3>
          <ul>
            {pieces.map((p) => (
              <li key={p.id} className="flex items-center justify-between gap-2">
                <span className="truncate">{p.name}</span>
                <button className="link text-sm" onClick={() => takeOut(p.id, size)}>
                  remove<span className="sr-only"> {p.name}</span>
                </button>
              </li>
            ))}
          </ul>
          {pattern.seams.length > 0 && (
            <ul className="mt-1 border-t border-line pt-1 text-sm" aria-label={`Seams of size ${size}`}>
              {pattern.seams.map((seam) => {
                const { difference } = walkSeam(pieces, seam);
                const off = Math.abs(difference) > TOL.seam;
                return (
                  <li key={seam.id} className={`flex justify-between gap-2 ${off ? 'font-bold' : ''}`}>
                    <span>
                      {seam.id}
                      {seam.ease > 0 && (
                        <>
                          , eased <Length value={seam.ease} />
                        </>
                      )}
                    </span>
                    <span>{off ? <Length value={difference} sign /> : 'walks'}</span>
                  </li>
                );
              })}
            </ul>
          )}
        </div>
      ))}
      <Link className="link" to={`/job/${id}/pattern`}>
        Go on with the pattern
      </Link>
    </section>
  );
}
