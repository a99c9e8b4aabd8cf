import { useMemo, useState } from 'react';
import { signsOf } from '@ample/core/fitting/onForm';
import { draft } from '@ample/core/fitting/plan';
import { mended, toileOf, type ToileToRead } from '@ample/core/practice';
import { formatLength } from '@ample/core/units';
import { MEASUREMENT_WORDS, onFormIs, sayRefusal, stepName, SYMPTOM_WORDS } from '@ample/core/words';
import { Notice } from '../../shared/basics.tsx';
import type { Colouring } from '../../shared/onForm/colours.ts';
import { Forms } from '../../shared/onForm/Forms.tsx';
import { LookAt } from '../../shared/onForm/LookAt.tsx';
import { ReadingsTable, sideOf } from '../../shared/onForm/ReadingsTable.tsx';
import { useDraped } from '../../shared/onForm/useDraped.ts';
import { Working } from '../../shared/onForm/Working.tsx';
import { useUnits } from '../../store/prefs.ts';
import type { Draped } from '../../workers/protocol.ts';
import { Choose, TestAndChange } from './Choose.tsx';
import { PracticePage } from './PracticePage.tsx';

/** Computed toiles to read: a sample on a body it was not drafted for. */
export function Toiles() {
  const [seed, setSeed] = useState(() => 1 + Math.floor(Math.random() * 10_000));
  return (
    <PracticePage
      title="Read a toile"
      lead="A sample hangs on the body it was drafted for, and on one that differs in one thing. Turn both, look where it pulls, and say what differs."
    >
      <OneToile key={seed} seed={seed} next={() => setSeed((n) => n + 1)} />
    </PracticePage>
  );
}

const HANGING = { cloth: 'calico', fineness: 'coarse', side: 'left', sleeves: false } as const;
const ASKED = { chart: 'On the body it was drafted for', drafted: 'On this body' };
const ANSWERED = { drafted: ASKED.drafted, planned: 'With its steps' };

function OneToile({ seed, next }: { readonly seed: number; readonly next: () => void }) {
  const units = useUnits();
  const toile = useMemo(() => toileOf(seed), [seed]);
  const [withSteps, setWithSteps] = useState(false);
  const job = useMemo(() => (withSteps ? mended(toile.job) : toile.job), [toile, withSteps]);
  const { look, ready, stop, again } = useDraped(`practice ${seed}`, job, HANGING);
  const altered = withSteps && ready;
  const [map, setMap] = useState<Colouring>('cloth');
  const [turn, setTurn] = useState(0);
  return (
    <div className="grid gap-6 min-[900px]:grid-cols-[minmax(0,1fr)_440px]">
      <div>
        <Forms look={look} named={altered ? ANSWERED : ASKED} map={map} turn={turn} setTurn={setTurn} />
        <LookAt {...{ turn, setTurn, map, setMap }} />
        <p className="mt-2 text-quiet">{onFormIs()}</p>
        {look.draped && (
          <details className="mt-2">
            <summary className="min-h-[40px] cursor-pointer py-2">Read it in numbers</summary>
            <ReadingsTable draped={look.draped} both={altered} named={ANSWERED} />
          </details>
        )}
      </div>
      <div>
        <Working look={look} stop={stop} again={again} />
        {look.refusal && <Notice grade="look">{sayRefusal(look.refusal, units)}</Notice>}
        <Choose
          practice="toiles"
          options={toile.options}
          right={toile.right}
          next={{ name: 'Another toile', go: next }}
        >
          {() => (
            <>
              <Differs toile={toile} />
              {look.draped ? (
                <Read draped={look.draped} onTurn={setTurn} />
              ) : (
                <p>What it shows is read once the cloth hangs still.</p>
              )}
              <TestAndChange cause={toile.right} />
              {withSteps ? (
                <Steps job={job} />
              ) : (
                <button className="btn" onClick={() => setWithSteps(true)}>
                  Hang it with the steps it asks for
                </button>
              )}
            </>
          )}
        </Choose>
      </div>
    </div>
  );
}

/** How the body differs from the one the sample was drafted for. */
function Differs({ toile }: { readonly toile: ToileToRead }) {
  const { unit, fraction } = useUnits();
  return (
    <div>
      <p>This body differs from the draft’s:</p>
      <ul className="list-disc pl-6">
        {toile.differs.map(({ key, by }) => (
          <li key={key}>
            {MEASUREMENT_WORDS[key].name}: {formatLength(Math.abs(by), unit, { fraction })} {by > 0 ? 'more' : 'less'}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What the toile shows, as a fitting would say it. */
function Read({ draped, onTurn }: { readonly draped: Draped; readonly onTurn: (turn: number) => void }) {
  const { unit, fraction } = useUnits();
  const signs = signsOf(draped.readings.drafted);
  if (signs.length === 0) return <p>So little shows here that only the numbers tell.</p>;
  return (
    <div>
      <p>The toile shows:</p>
      <ul className="list-disc pl-6">
        {signs.map(({ sign, amount, from: [first] }) => (
          <li key={sign}>
            {SYMPTOM_WORDS[sign].name}
            {amount !== null && ` (${formatLength(amount, unit, { fraction })})`}{' '}
            {first && (
              <button
                className="link min-h-[40px]"
                onClick={() => onTurn(sideOf(first.id))}
                aria-label={`Show me: ${SYMPTOM_WORDS[sign].name}`}
              >
                Show me
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What is worn beside it: the steps by name. */
function Steps({ job }: { readonly job: ReturnType<typeof mended> }) {
  const names = useMemo(() => draft(job).steps.map(stepName), [job]);
  return (
    <p>
      <strong>Its steps:</strong> {names.join(', ')}.
    </p>
  );
}
