import { useEffect, useRef } from 'react';
import { NavLink, useLocation, useParams } from 'react-router';
import { useDraft } from '../store/draft.ts';
import { useJob } from '../store/job.ts';
import { pins, reached } from './progress.ts';
import { STATIONS, type StationId } from './stations.ts';
import { COLOURS } from '@ample/core/out';

/** The job's stations along a tape measure. Filled as far as the work has come; a pin with a count asks for attention. */
export function Tape() {
  const { job } = useParams();
  const draft = useDraft((s) => s.draft);
  const open = useJob((s) => s.job);
  const { pathname } = useLocation();
  const tape = useRef<HTMLOListElement>(null);
  // On a narrow screen the tape slides: the station one is at is in view.
  useEffect(() => {
    const here = tape.current?.querySelector('[aria-current="page"]');
    here?.scrollIntoView?.({ block: 'nearest', inline: 'center' });
  }, [pathname]);
  const far = reached(draft, open);
  const pinned = pins(draft, open);
  return (
    <nav aria-label="Stations of this job" className="border-b border-ink bg-tape">
      <ol ref={tape} className="flex h-[58px] overflow-x-auto">
        {STATIONS.map((s, i) => (
          <StationOnTape key={s.id} station={s} job={job} index={i} far={far} pinned={pinned} />
        ))}
      </ol>
    </nav>
  );
}

function StationOnTape({
  station,
  job,
  index,
  far,
  pinned,
}: {
  readonly station: (typeof STATIONS)[number];
  readonly job: string | undefined;
  readonly index: number;
  readonly far: number;
  readonly pinned: Readonly<Partial<Record<StationId, number>>>;
}) {
  return (
    <li className="relative min-w-max flex-1 border-r border-ink/60 last:border-r-0">
      <NavLink
        to={`/job/${job}/${station.id}`}
        className={({ isActive }) =>
          `relative flex h-full flex-col justify-end px-2 pb-1 focus-visible:-outline-offset-4 ${index < far ? 'bg-tape' : 'bg-ahead'} ${isActive ? '!bg-ink text-white' : ''}`
        }
      >
        {({ isActive }) => (
          <>
            <svg
              aria-hidden="true"
              className="absolute inset-x-0 top-0 h-3 w-full"
              preserveAspectRatio="none"
              viewBox="0 0 100 12"
            >
              {Array.from({ length: 10 }, (_, k) => (
                <line
                  key={k}
                  x1={k * 10}
                  x2={k * 10}
                  y1="0"
                  y2={k === 5 ? 9 : 5}
                  stroke={isActive ? COLOURS.white : COLOURS.ink}
                  strokeWidth="0.8"
                  vectorEffect="non-scaling-stroke"
                />
              ))}
            </svg>
            <span className="flex items-baseline gap-1.5 max-[900px]:flex-col max-[900px]:gap-0 max-[900px]:leading-tight">
              <span className="num text-lg font-medium max-[900px]:text-sm" aria-hidden="true">
                {index + 1}
              </span>
              <span className="text-sm min-[901px]:text-base">{station.name}</span>
            </span>
            {pinned[station.id] !== undefined && (
              <span
                className="absolute top-2 right-1.5 flex items-center gap-0.5 bg-white px-1 text-sm leading-5 text-ink"
                title={`${pinned[station.id]} to look at`}
              >
                <svg width="8" height="14" viewBox="0 0 8 14" aria-hidden="true">
                  <circle cx="4" cy="4" r="3.5" fill={COLOURS.pencil} />
                  <line x1="4" y1="7" x2="4" y2="14" stroke={COLOURS.ink} />
                </svg>
                <span className="num">{pinned[station.id]}</span>
                <span className="sr-only"> to look at</span>
              </span>
            )}
          </>
        )}
      </NavLink>
    </li>
  );
}
