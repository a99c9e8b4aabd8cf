import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { GRADES, LESSONS, taskOf, type Grade, type Lesson, type Task } from '@ample/core/practice';
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
  const set = (g: Grade, n: number) => setQuery({ grade: g, numbers: String(n) }, { replace: true });
  return <WithTask key={`${id} ${grade} ${seed}`} lesson={lesson} grade={grade} seed={seed} set={set} />;
}

interface Asked {
  readonly lesson: Lesson;
  readonly grade: Grade;
  readonly seed: number;
  readonly set: (grade: Grade, seed: number) => void;
}

function WithTask(props: Asked) {
  const { lesson, grade, seed, set } = props;
  const units = useUnits();
  const task = useMemo(() => taskOf(lesson, grade, seed), [lesson, grade, seed]);
  if (!task.ok)
    return (
      <main className="p-6">
        <h1>{lesson.words.title}</h1>
        <Notice grade="look">{sayRefusal(task.error, units)}</Notice>
        <button className="btn mt-2" onClick={() => set(grade, seed + 1)}>
          New numbers
        </button>
      </main>
    );
  return <Cutting {...props} task={task.value} />;
}

function Cutting({ lesson, grade, seed, set, task }: Asked & { readonly task: Task }) {
  const units = useUnits();
  const work = useAttempt(task);
  const [chosen, setTool] = useState<ToolId>('line');
  const [replay, setReplay] = useState(false);
  const tools = toolsFor(task, work.isCut);
  const tool = tools.includes(chosen) ? chosen : (tools[0] ?? 'line');
  useHotkeys({ undo: work.undo, redo: work.redo });
  const look = () => {
    const verdict = work.look();
    if (verdict) void notePractice(lesson.id, grade, verdict.score);
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
        <h1>{lesson.words.title}</h1>
        <p>
          <Terms>{lesson.words.task(speaker(task.asked.told, units))}</Terms>
        </p>
        <GradeChoice grade={grade} set={(g) => set(g, seed)} />
        {!replay && <ToolBox task={task} work={work} tool={tool} setTool={setTool} />}
        <p role="status" className={work.trouble ? 'border-l-4 border-pencil bg-white px-3 py-2' : 'sr-only'}>
          {work.trouble && sayRefusal(work.trouble, units)}
        </p>
        {work.isCut && !replay && (
          <button className="btn btn-main" onClick={look}>
            Tape it and look
          </button>
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
