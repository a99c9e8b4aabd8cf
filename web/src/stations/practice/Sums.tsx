import { Check } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { mark, SUMS, sumOf, type Marked, type Sum } from '@ample/core/practice';
import { parseLength } from '@ample/core/units';
import { sayRefusal, speaker } from '@ample/core/words';
import { notePractice, practiceKey, usePractice } from '../../store/practice.ts';
import { useUnits } from '../../store/prefs.ts';
import { PracticePage } from './PracticePage.tsx';

/** The sums of the craft with numbers drawn anew: answered as one types a length, and written out where it went wrong. */
export function Sums() {
  const [which, setWhich] = useState(0);
  const [seed, setSeed] = useState(() => 1 + Math.floor(Math.random() * 10_000));
  const sum = SUMS[which % SUMS.length] as Sum;
  const next = (kind: number) => {
    setWhich(kind);
    setSeed((n) => n + 1);
  };
  return (
    <PracticePage
      title="Sums"
      lead="With a pencil, as at the table. Type the answer; where it went wrong the sum is written out."
    >
      <div className="grid gap-6 min-[900px]:grid-cols-[260px_minmax(0,1fr)]">
        <nav aria-label="Kinds of sum">
          <ul>
            {SUMS.map((s, i) => (
              <li key={s.id}>
                <button
                  className={`btn btn-plain w-full !justify-start text-left ${s === sum ? '!bg-ink !text-white' : ''}`}
                  aria-current={s === sum ? 'true' : undefined}
                  onClick={() => next(i)}
                >
                  {s.words.title}
                  <Answered sum={s} />
                </button>
              </li>
            ))}
          </ul>
        </nav>
        <OneSum
          key={`${sum.id} ${seed}`}
          sum={sum}
          seed={seed}
          again={() => next(which)}
          other={() => next((which + 1) % SUMS.length)}
        />
      </div>
    </PracticePage>
  );
}

/** A mark on kinds that have come out right. */
function Answered({ sum }: { readonly sum: Sum }) {
  const right = usePractice((s) => s.done?.[practiceKey(`sum ${sum.id}`, 'only')]?.best === 0);
  return (
    right && (
      <>
        <Check size={18} aria-hidden="true" />
        <span className="sr-only">, came out right</span>
      </>
    )
  );
}

interface One {
  readonly sum: Sum;
  readonly seed: number;
  readonly again: () => void;
  readonly other: () => void;
}

function OneSum({ sum, seed, again, other }: One) {
  const units = useUnits();
  const [text, setText] = useState('');
  const [said, setSaid] = useState<Marked | null>(null);
  const [odd, setOdd] = useState<string | null>(null);
  const drawn = sumOf(sum, seed);
  const s = speaker({ ...drawn.told, answer: drawn.answer }, units);
  const answer = (e: FormEvent) => {
    e.preventDefault();
    const read = sum.asks === 'size' ? sizeOf(text) : lengthOf(text, units.unit);
    if (typeof read === 'string') return setOdd(read);
    setOdd(null);
    const marked = mark(drawn, read, sum.asks === 'size' ? 'size' : units.unit);
    setSaid(marked);
    void notePractice(`sum ${sum.id}`, 'only', marked.kind === 'right' ? 0 : 1);
  };
  return (
    <section aria-labelledby="sum" className="workings max-w-[72ch] border border-line bg-ruled p-5">
      <h2 id="sum">{sum.words.title}</h2>
      <p className="mt-2 text-lg">{sum.words.question(s)}</p>
      <form className="mt-4 flex flex-wrap items-end gap-3" onSubmit={answer}>
        <label>
          <span className="mb-1 block text-sm">{sum.asks === 'size' ? 'Size' : `Answer, ${units.unit}`}</span>
          <input
            className="field num w-36 !text-xl"
            autoComplete="off"
            value={text}
            onChange={(e) => setText(e.target.value)}
            aria-invalid={odd !== null}
          />
        </label>
        <button className="btn btn-main" type="submit">
          Is that right?
        </button>
      </form>
      <div role="status" className="mt-3 space-y-2">
        {odd && <p className="text-pencil">{odd}</p>}
        {said?.kind === 'right' && <p className="font-bold">Right.</p>}
        {said?.kind === 'slip' && <p className="border-l-4 border-brass pl-3">{sum.words.slips[said.slip]}</p>}
        {said?.kind === 'other' && (
          <p className="border-l-4 border-brass pl-3">Not quite. Written out it goes like this.</p>
        )}
        {said && <p className="num text-lg">{sum.words.sum(s)}</p>}
      </div>
      {said && (
        <div className="mt-4 flex gap-2">
          <button className="btn" onClick={again}>
            The same with new numbers
          </button>
          <button className="btn" onClick={other}>
            The next kind
          </button>
        </div>
      )}
    </section>
  );

  function lengthOf(typed: string, unit: 'cm' | 'in'): number | string {
    const read = parseLength(typed, unit);
    return read.ok ? read.value : sayRefusal(read.error, units);
  }
}

const sizeOf = (typed: string): number | string =>
  /^\s*\d{1,2}\s*$/.test(typed) ? Number(typed) : 'Type the number of a size, such as 4.';
