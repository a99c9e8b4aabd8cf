import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import {
  canMend,
  GRADES,
  leftBy,
  LESSONS,
  RESCUES,
  taskOf,
  type Grade,
  type Left,
  type Lesson,
  type Rescue,
  type Task,
} from '@ample/core/practice';
import { sayRefusal, speaker } from '@ample/core/words';
import { useHotkeys } from '../../../lib/hotkeys.ts';
import { Notice } from '../../../shared/basics.tsx';
import { Terms } from '../../../shared/Terms.tsx';
import { notePractice } from '../../../store/practice.ts';
import { useUnits } from '../../../store/prefs.ts';
import { CutMat } from './CutMat.tsx';
import { Replay } from './Replay.tsx';
import { GradeChoice, ToolBox, toolsFor } from './ToolBox.tsx';
import { seedOf } from './seed.ts';
import { useAttempt } from './useAttempt.ts';
import { VerdictView } from './VerdictView.tsx';
import type { ToolId } from './useTools.ts';

const gradeOf = (text: string | null): Grade => GRADES.find((g) => g === text) ?? 'guided';
export function CutLesson() {
  const { lesson: id } = useParams();
  const [query, setQuery] = useSearchParams();
  const lesson = LESSONS.find((l) => l.id === id);
  const [grade, seed] = [gradeOf(query.get('grade')), seedOf(query.get('numbers'))];
  if (!lesson)
    return (
      <main className="p-6">
        <h1>There is no such lesson</h1>
        <Link className="btn mt-2" to="/practice">
          To practice
        </Link>
      </main>
    );
  const after = RESCUES.find((r) => r.id === query.get('after') && r.lesson === id && canMend(r.id)) ?? null;
  const set = (g: Grade, n: number) =>
    setQuery({ grade: g, numbers: String(n), ...(after ? { after: after.id } : {}) }, { replace: true });
  return <WithTask key={`${id} ${grade} ${seed} ${after?.id}`} {...{ lesson, grade, seed, after, set }} />;
}

interface Asked {
  readonly lesson: Lesson;
  readonly grade: Grade;
  readonly seed: number;
  /** The accident to be mended; null where one begins with whole paper. */
  readonly after: Rescue | null;
  readonly set: (grade: Grade, seed: number) => void;
}

function WithTask(props: Asked) {
  const { lesson, grade, seed, after, set } = props;
  const units = useUnits();
  const task = useMemo(() => taskOf(lesson, grade, seed), [lesson, grade, seed]);
  const left = useMemo(() => (after && task.ok ? leftBy(after.id, task.value) : null), [after, task]);
  const refusal = !task.ok ? task.error : left?.ok === false ? left.error : null;
  if (!task.ok || refusal)
    return (
      <main className="p-6">
        <h1>{lesson.words.title}</h1>
        {refusal && <Notice grade="look">{sayRefusal(refusal, units)}</Notice>}
        <button className="btn mt-2" onClick={() => set(grade, seed + 1)}>
          New numbers
        </button>
      </main>
    );
  return <Cutting {...props} task={task.value} left={left?.ok ? left.value : null} />;
}

function Cutting({
  lesson,
  grade,
  seed,
  after,
  set,
  task,
  left,
}: Asked & { readonly task: Task; readonly left: Left | null }) {
  const units = useUnits();
  const work = useAttempt(task, left);
  const [chosen, setTool] = useState<ToolId>('line');
  const [replay, setReplay] = useState(false);
  const tools = toolsFor(task, work);
  const tool = tools.includes(chosen) ? chosen : (tools[0] ?? 'line');
  useHotkeys({ undo: work.undo, redo: work.redo });
  const look = () => {
    const verdict = work.look();
    if (verdict) void notePractice(after?.id ?? lesson.id, after ? 'only' : grade, verdict.score);
  };
  return (
    <main className="flex h-full flex-col overflow-auto min-[1000px]:flex-row min-[1000px]:overflow-hidden">
      {replay ? (
        <Replay task={task} work={work.now} onBack={() => setReplay(false)} />
      ) : (
        <CutMat task={task} work={work} tool={tool} />
      )}
      <div className="shrink-0 space-y-3 border-l border-ink px-4 py-3 min-[1000px]:w-[400px] min-[1000px]:overflow-auto">
        <Link className="link" to="/practice">
          All practice
        </Link>
        <h1>{after ? after.title : lesson.words.title}</h1>
        {after && <WhatToDo rescue={after} />}
        <p>
          {after && <strong>It was to be: </strong>}
          <Terms>{lesson.words.task(speaker(task.asked.told, units))}</Terms>
        </p>
        {!after && <GradeChoice grade={grade} set={(g) => set(g, seed)} />}
        {!replay && <ToolBox task={task} work={work} tool={tool} setTool={setTool} />}
        <p role="status" className={work.trouble ? 'border-l-4 border-pencil bg-white px-3 py-2' : 'sr-only'}>
          {work.trouble && sayRefusal(work.trouble, units)}
        </p>
        {work.isCut && !replay && (
          <div className="flex flex-wrap gap-2">
            {after && (
              <button className="btn" onClick={work.pushShut}>
                Push it shut and tape it
              </button>
            )}
            <button className="btn btn-main" onClick={look}>
              Tape it and look
            </button>
          </div>
        )}
        {work.verdict && <VerdictView verdict={work.verdict} />}
        {work.verdict && <p className="border-l-4 border-carbon bg-white px-3 py-2">{lesson.words.point}</p>}
        <div className="flex flex-wrap gap-2 border-t border-line pt-3">
          {!replay && (
            <button className="btn" onClick={() => setReplay(true)}>
              Show the right way
            </button>
          )}
          <button className="btn" onClick={() => set(grade, seed + 1)}>
            New numbers
          </button>
          <Link className="btn" to={`/practice/sheet/${lesson.id}?numbers=${seed}`}>
            On paper
          </Link>
        </div>
      </div>
    </main>
  );
}

/** What happened to the paper, what one does now, and how one knows that it is right again. */
const WhatToDo = ({ rescue }: { readonly rescue: Rescue }) => (
  <div className="border-l-4 border-brass bg-white px-3 py-2">
    <p>{rescue.happened}</p>
    <ol className="mt-1 list-decimal pl-5">
      {rescue.now.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ol>
    <p className="mt-1">{rescue.check}</p>
  </div>
);
