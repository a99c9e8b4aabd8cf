import { GRADES, jointsOf, type Grade, type Task } from '@ample/core/practice';
import { PRACTICE_GRADES } from '@ample/core/words';
import { Hand, PenLine, Pin, Ruler, Scissors, Spline, TriangleRight } from 'lucide-react';
import { Check } from '../../../ui/Check.tsx';
import { Radio } from '../../../ui/Radio.tsx';
import type { Attempting } from './useAttempt.ts';
import type { ToolId } from './useTools.ts';

const TOOL_WORDS = {
  line: {
    name: 'Draw a line',
    how: 'Press where it begins, drag to where it ends. It meets the seam line, the bust point and other lines by itself.',
    icon: PenLine,
  },
  bend: {
    name: 'Draw a bent line',
    how: 'Press where it begins, follow the way it should run, and let go where it ends.',
    icon: Spline,
  },
  hinge: {
    name: 'Leave a hinge',
    how: 'Press the end of a line: there the scissors stop, and the paper stays joined.',
    icon: Pin,
  },
  hand: {
    name: 'Move the paper',
    how: 'Take hold of a piece and pull. What hangs on a hinge swings about it; what hangs on nothing slides.',
    icon: Hand,
  },
  tape: { name: 'Measure', how: 'Press at one end, drag to the other.', icon: Ruler },
  join: {
    name: 'Tape a hinge',
    how: 'Lay two torn corners on each other at the seam line, then press there: from then on the paper swings about it.',
    icon: Pin,
  },
  tip: { name: 'Draw the dart', how: 'Press where its tip goes.', icon: TriangleRight },
  true: {
    name: 'True the seam',
    how: 'Press on the edge where the new seam line begins, follow the way it should run, and let go on the edge. A straight way is drawn by the ruler.',
    icon: Spline,
  },
} as const;

/** Whether a cut ends without a hinge somewhere. */
const isTorn = (work: Attempting): boolean =>
  work.now.cut.some((c) => c && jointsOf(c.sheet.lines, c.sheet.divided).some((j) => !j.whole));

/** The tools there are: lines before the cut, hands after it. */
export const toolsFor = (task: Task, work: Attempting): readonly ToolId[] =>
  work.isCut
    ? [
        ...(['hand', 'tape'] as const),
        ...(isTorn(work) ? (['join'] as const) : []),
        ...(task.lesson.dart ? (['tip'] as const) : []),
        ...(task.lesson.trues ? (['true'] as const) : []),
      ]
    : ['line', 'bend', 'hinge', 'tape'];

/** How a tool is used without a pointer. */
export const BY_KEYS = 'arrows carry the crosshair, Shift finely; Enter presses and releases, Esc lets go.';
/** The same for what is led from place to place. */
const ALONG_BY_KEYS = 'Enter begins, arrows carry the crosshair, Space sets a place it runs through, Enter ends.';

interface Props {
  readonly task: Task;
  readonly work: Attempting;
  readonly tool: ToolId;
  readonly setTool: (tool: ToolId) => void;
}

/** What is in the hand, and what has been drawn. */
export function ToolBox({ task, work, tool, setTool }: Props) {
  return (
    <section aria-label="Tools" className="space-y-2">
      <div className="flex flex-wrap gap-1" role="group" aria-label="In the hand">
        {toolsFor(task, work).map((id) => {
          const { name, icon: Icon } = TOOL_WORDS[id];
          return (
            <button
              key={id}
              className={`btn !px-3 ${tool === id ? '!bg-ink !text-white' : ''}`}
              aria-pressed={tool === id}
              onClick={() => setTool(id)}
            >
              <Icon size={18} aria-hidden="true" />
              {name}
            </button>
          );
        })}
      </div>
      <p className="text-sm text-quiet">{TOOL_WORDS[tool].how}</p>
      <p className="text-sm text-quiet">
        By keyboard, Tab to the mat: {tool === 'true' || tool === 'bend' ? ALONG_BY_KEYS : BY_KEYS}
      </p>
      <div className="flex flex-wrap gap-2">
        {!work.isCut && (
          <button className="btn btn-main" onClick={work.cut}>
            <Scissors size={18} aria-hidden="true" />
            Cut along the lines
          </button>
        )}
        <button className="btn" onClick={work.undo} aria-disabled={work.past.length === 0}>
          Undo
        </button>
        <button className="btn" onClick={work.redo} aria-disabled={work.future.length === 0}>
          Redo
        </button>
      </div>
      {!work.isCut && <DrawnLines task={task} work={work} />}
    </section>
  );
}

/** Every line with its two ends: cut through, or with a hinge left. */
function DrawnLines({ task, work }: Pick<Props, 'task' | 'work'>) {
  if (work.now.lines.every((l) => l.length === 0)) return null;
  return (
    <ul className="border-t border-line">
      {work.now.lines.flatMap((lines, piece) =>
        lines.map((l, i) => (
          <li key={`${piece} ${l.id}`} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1">
            <span className="font-bold">
              Line {i + 1}
              {task.right.length > 1 && <span className="font-normal">, {task.right[piece]?.from.name}</span>}
            </span>
            {(['start', 'end'] as const).map((end) => (
              <Check key={end} on={l.hinge[end]} set={() => work.hinge(piece, l.id, end)}>
                {end === 'start' ? 'hinge at its start' : 'at its end'}
              </Check>
            ))}
            <button className="link" onClick={() => work.rubOut(piece, l.id)}>
              Rub out
            </button>
          </li>
        )),
      )}
    </ul>
  );
}

/** How much is shown while cutting. */
export function GradeChoice({ grade, set }: { readonly grade: Grade; readonly set: (grade: Grade) => void }) {
  return (
    <fieldset>
      <legend className="sr-only">How much is shown</legend>
      <div className="flex gap-x-5">
        {GRADES.map((g) => (
          <Radio key={g} name="grade" on={grade === g} set={() => set(g)}>
            {PRACTICE_GRADES[g].name}
          </Radio>
        ))}
      </div>
      <p className="text-sm text-quiet">{PRACTICE_GRADES[grade].about}</p>
    </fieldset>
  );
}
