import { useNavigate, useParams } from 'react-router';
import type { Fitting } from '@ample/core/documents';
import { FITTING_WORDS } from '@ample/core/words';
import { longDate, today } from '../../lib/time.ts';
import { addFitting } from '../../store/fittings.ts';
import { en } from '@ample/core/speech';

/** Every fitting by date, and the three ways to begin one. */
export function FittingList({
  fittings,
  chosen,
  onChoose,
}: {
  readonly fittings: readonly Fitting[];
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}) {
  const navigate = useNavigate();
  const { job } = useParams();
  const nth = (kind: Fitting['kind']): number => fittings.filter((f) => f.kind === kind).length + 1;
  const begin = (kind: Fitting['kind']) => {
    const id = addFitting(kind, today(), `${FITTING_WORDS[kind]} ${nth(kind)}`);
    if (kind === 'tissue') void navigate(`/job/${job}/tissue/${id}`);
    else onChoose(id);
  };
  return (
    <nav aria-label="Fittings" className="mb-4 flex flex-wrap items-stretch gap-2">
      {fittings.map((f) => (
        <button
          key={f.id}
          className={`border border-b-4 bg-white px-3 py-1 text-left hover:bg-tissue ${f.id === chosen ? 'border-ink' : 'border-line'}`}
          aria-current={f.id === chosen}
          onClick={() => onChoose(f.id)}
        >
          <span className="block font-semibold">
            {FITTING_WORDS[f.kind]}, {longDate(f.date)}
          </span>
          <span className="block text-sm text-quiet">
            {f.observations.length === 0 ? 'nothing noted' : `${f.observations.length} noted`} · {SHORT[f.verdict]}
          </span>
        </button>
      ))}
      <span className="flex flex-wrap items-center gap-2">
        <button className="btn" onClick={() => begin('tissue')}>
          New tissue-fit
        </button>
        <button className="btn" onClick={() => begin('toile')}>
          {en`New toile`}
        </button>
        <button className="btn" onClick={() => begin('garment')}>
          Fit the garment
        </button>
      </span>
    </nav>
  );
}

const SHORT: Readonly<Record<Fitting['verdict'], string>> = { open: 'open', alter: 'to alter', good: 'right' };
