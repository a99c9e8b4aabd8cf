import { useEffect } from 'react';
import { Link, useNavigate } from 'react-router';
import { GRADES, LESSONS, PARTS_OF_PRACTICE, type Grade, type Lesson } from '@ample/core/practice';
import { PRACTICE_GRADES, PRACTICE_PARTS } from '@ample/core/words';
import { bringDemoBack, useLibrary } from '../../store/library.ts';
import { usePrefs } from '../../store/prefs.ts';
import { openPractice, practiceKey, usePractice } from '../../store/practice.ts';
import { PRACTICE_PAGES } from './pages.ts';
import { Station } from '../../shared/basics.tsx';

/** Everything there is to practise on. */
export function Practice() {
  useEffect(() => void openPractice(), []);
  return (
    <Station
      title="Practice"
      lead="Paper that costs nothing. Cut it as you would at the table; what you drew is carried out, mistakes included, and you see what they come to in millimetres."
    >
      <FirstTime />
      <ul className="mb-6 grid gap-3 min-[700px]:grid-cols-2">
        {PRACTICE_PAGES.map((o) => (
          <li key={o.to}>
            <Link to={o.to} className="card block h-full px-4 py-3 hover:bg-tissue">
              <span className="block font-head text-lg font-semibold underline">{o.name}</span>
              <span className="block">{o.about}</span>
            </Link>
          </li>
        ))}
      </ul>
      <h2 className="border-b border-ink pb-1">Cut it yourself</h2>
      {PARTS_OF_PRACTICE.map((part) => (
        <section key={part} aria-labelledby={`part-${part}`} className="border-b border-line py-2">
          <h3 id={`part-${part}`} className="text-quiet">
            {PRACTICE_PARTS[part]}
          </h3>
          <ul>
            {LESSONS.filter((l) => l.part === part).map((l) => (
              <LessonRow key={l.id} lesson={l} />
            ))}
          </ul>
        </section>
      ))}
    </Station>
  );
}

/** Three minutes through a job of the demo, taken up again where one left it. */
function FirstTime() {
  const navigate = useNavigate();
  const begin = async () => {
    // Who has cleared the demo gets it back: the walk goes through one of its jobs.
    if (!useLibrary.getState().jobs.some((j) => j.demo)) await bringDemoBack();
    usePrefs.setState({ walk: 0 });
    await navigate('/');
  };
  return (
    <div className="mb-4 flex flex-wrap items-center gap-3 border border-ink bg-tape px-4 py-3">
      <p className="min-w-0 flex-1 basis-[360px]">
        <strong>First time here?</strong> Three minutes through a job of the demo, one instruction at a time on the real
        screens. It can be left at any moment.
      </p>
      <button className="btn btn-main" onClick={() => void begin()}>
        First time through
      </button>
    </div>
  );
}

function LessonRow({ lesson }: { readonly lesson: Lesson }) {
  return (
    <li className="flex flex-wrap items-center gap-x-6 gap-y-1 py-1">
      <span className="min-w-[280px] flex-1">{lesson.words.title}</span>
      {GRADES.map((g) => (
        <GradeLink key={g} lesson={lesson} grade={g} />
      ))}
    </li>
  );
}

function GradeLink({ lesson, grade }: { readonly lesson: Lesson; readonly grade: Grade }) {
  const done = usePractice((s) => s.done?.[practiceKey(lesson.id, grade)]);
  return (
    <Link className="link w-[150px]" to={`/practice/cut/${lesson.id}?grade=${grade}&numbers=${(done?.times ?? 0) + 1}`}>
      {PRACTICE_GRADES[grade].name}
      <span className="sr-only">: {lesson.words.title}</span>
      {done && <span className="num text-sm text-quiet">{done.best.toFixed(1)} mm</span>}
    </Link>
  );
}
