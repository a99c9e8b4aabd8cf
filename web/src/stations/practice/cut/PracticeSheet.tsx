import { Link, useParams, useSearchParams } from 'react-router';
import { boundsOf, flatten, type Box, type Point } from '@ample/core/geometry';
import { COLOURS, drawPiece, pathData } from '@ample/core/out';
import { bustPointOf, outlineOf, type Piece } from '@ample/core/pattern';
import { LESSONS, openingsOf, taskOf, type RightWay, type Task } from '@ample/core/practice';
import { cautionsFor, sayRefusal, sayStep, speaker } from '@ample/core/words';
import { formatLength } from '@ample/core/units';
import { Notice } from '../../../shared/basics.tsx';
import { useUnits } from '../../../store/prefs.ts';
import { seedOf } from './seed.ts';

/** What fits on a page of A4 or Letter beside its words, and below them, mm. */
const BESIDE = { width: 122, height: 248 } as const;
const BELOW = { width: 178, height: 186 } as const;
const SCALES = [2, 3, 4, 5, 6, 8] as const;
/** The square one measures, mm on paper. */
const SQUARE = 50;

const sizeOf = ({ minX, minY, maxX, maxY }: Box) => ({ width: maxX - minX + 2, height: maxY - minY + 2 });

/** The largest scale at which a piece fits, one to so many, and whether its words stand beside it. */
export function scaleFor(box: Box): { readonly per: number; readonly beside: boolean } {
  const { width, height } = sizeOf(box);
  const fits = (room: { width: number; height: number }, per: number): boolean =>
    width / per <= room.width && height / per <= room.height;
  for (const per of SCALES) {
    if (fits(BESIDE, per)) return { per, beside: true };
    if (fits(BELOW, per)) return { per, beside: false };
  }
  return { per: 10, beside: false };
}

/** A lesson on paper: every piece on a page of its own to cut, and the answers on the last ones. */
export function PracticeSheet() {
  const { lesson: id } = useParams();
  const [query] = useSearchParams();
  const units = useUnits();
  const lesson = LESSONS.find((l) => l.id === id) ?? LESSONS[0];
  const task = lesson && taskOf(lesson, 'free', seedOf(query.get('numbers')));
  if (!task?.ok)
    return (
      <main className="p-6">
        <Notice grade="look">{task && sayRefusal(task.error, units)}</Notice>
      </main>
    );
  return (
    <main className="h-full overflow-auto bg-white print:overflow-visible">
      <div className="mx-auto max-w-[182mm] p-6 print:max-w-none print:p-0">
        <div className="mb-4 flex flex-wrap gap-3 print:hidden">
          <button className="btn btn-main" onClick={() => window.print()}>
            Print
          </button>
          <Link className="btn" to={`/practice/cut/${task.value.lesson.id}?grade=free&numbers=${task.value.seed}`}>
            Back to the lesson
          </Link>
        </div>
        {task.value.right.map((way) => (
          <Sheet key={way.from.id} task={task.value} way={way} answer={false} />
        ))}
        {task.value.right.map((way) => (
          <Sheet key={way.from.id} task={task.value} way={way} answer />
        ))}
      </div>
    </main>
  );
}

interface Page {
  readonly task: Task;
  readonly way: RightWay;
  readonly answer: boolean;
}

function Sheet({ task, way, answer }: Page) {
  const box = boundsOf(flatten(outlineOf(answer ? way.taped.piece : way.from)));
  const { per, beside } = scaleFor(box);
  return (
    <section
      className={`mb-8 flex gap-4 print:mb-0 print:break-after-page ${beside ? '' : 'flex-col-reverse justify-end'}`}
      aria-label={`${way.from.name}, ${answer ? 'answer' : 'to cut'}`}
    >
      <svg
        style={{ width: `${sizeOf(box).width / per}mm`, height: `${sizeOf(box).height / per}mm`, flexShrink: 0 }}
        viewBox={`${box.minX - 1} ${box.minY - 1} ${sizeOf(box).width} ${sizeOf(box).height}`}
        role="img"
        aria-label={way.from.name}
      >
        {answer ? <Answered way={way} per={per} /> : <Drawn piece={way.from} per={per} />}
      </svg>
      <Words task={task} way={way} answer={answer} per={per} />
    </section>
  );
}

/** The piece as one finds it: seam line, darts, notches, grain, bust point. */
function Drawn({ piece, per }: { readonly piece: Piece; readonly per: number }) {
  const d = drawPiece(piece);
  const bust = bustPointOf(piece);
  const line = { fill: 'none', stroke: COLOURS.black } as const;
  const straight = ([a, b]: readonly [Point, Point]): string => `M${a.x} ${a.y}L${b.x} ${b.y}`;
  return (
    <>
      <path d={pathData(d.seam, true)} {...line} strokeWidth={0.5 * per} />
      {d.darts.map((t) => (
        <path key={t.id} d={pathData(t.legs)} {...line} strokeWidth={0.3 * per} />
      ))}
      {d.notches.map((n) => (
        <path key={n.id} d={n.lines.map(straight).join('')} {...line} strokeWidth={0.5 * per} />
      ))}
      {d.grain.map((g, i) => (
        <path key={i} d={straight(g)} {...line} strokeWidth={0.25 * per} />
      ))}
      {bust && (
        <path
          d={`M${bust.x - 3 * per} ${bust.y}h${6 * per}M${bust.x} ${bust.y - 3 * per}v${6 * per}`}
          {...line}
          strokeWidth={0.3 * per}
        />
      )}
    </>
  );
}

/** The piece as it should have become: cuts, hinges, what was put in and what laps. */
function Answered({ way, per }: { readonly way: RightWay; readonly per: number }) {
  const { piece, gaps, panels } = way.taped;
  return (
    <>
      {gaps.map((g, i) => (
        <path key={i} d={pathData(g.outline, true)} fill={g.area > 0 ? COLOURS.insert : COLOURS.lap} />
      ))}
      <Drawn piece={piece} per={per} />
      {panels.map((p) => (
        <path
          key={p.id}
          d={pathData(p.outline, true)}
          transform={`translate(${p.motion.x} ${p.motion.y}) rotate(${(p.motion.angle * 180) / Math.PI})`}
          fill="none"
          stroke={COLOURS.pencil}
          strokeWidth={0.35 * per}
        />
      ))}
    </>
  );
}

function Words({ task, way, answer, per }: Page & { readonly per: number }) {
  const units = useUnits();
  const say = (v: number): string =>
    formatLength(v, units.unit, { fraction: units.unit === 'in' ? 16 : units.fraction });
  const main = way === task.right[0];
  return (
    <div className="min-w-0 flex-1 text-sm">
      <h2>
        {task.lesson.words.title}
        {answer && ': answer'}
      </h2>
      <p>
        {way.from.name}, size {task.size}, one to {per}.
        {!answer &&
          ` What you measure on this page is ${per === 2 ? 'half' : `a ${NTH[per] ?? `${per}th`}`} of what it stands for.`}
      </p>
      {!answer && <p className="mt-2">{task.lesson.words.task(speaker(task.asked.told, units))}</p>}
      {!answer && main && (
        <>
          <svg
            style={{ width: `${SQUARE}mm`, height: `${SQUARE}mm` }}
            viewBox="0 0 50 50"
            className="mt-3 block"
            aria-hidden="true"
          >
            <rect x="0.15" y="0.15" width="49.7" height="49.7" fill="none" stroke={COLOURS.black} strokeWidth="0.3" />
          </svg>
          <p>This square measures {say(SQUARE)}.</p>
          <p className="mt-2">{cautionsFor('cut').join(' ')}</p>
        </>
      )}
      {answer && (
        <>
          <ul className="mt-2 list-disc pl-4">
            {openingsOf(way).map((o) => (
              <li key={o.cut}>
                {o.wanted < 0 ? 'laps' : 'opens'} {say(Math.abs(o.wanted))}; on this page{' '}
                {say(Math.abs(o.wanted) / per)}
              </li>
            ))}
          </ul>
          {main && (
            <ol className="mt-2 list-decimal space-y-1 pl-4">
              {task.run.frames
                .flatMap((f) => f.messages)
                .map((m) => (
                  <li key={m.code}>{sayStep(m, units)}</li>
                ))}
            </ol>
          )}
          <p className="mt-2">{task.lesson.words.point}</p>
        </>
      )}
    </div>
  );
}

const NTH: Readonly<Record<number, string>> = {
  3: 'third',
  4: 'quarter',
  5: 'fifth',
  6: 'sixth',
  8: 'eighth',
  10: 'tenth',
};
