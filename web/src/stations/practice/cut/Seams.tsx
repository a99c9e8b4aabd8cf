import { useMemo } from 'react';
import { COLOURS, pathData } from '@ample/core/out';
import type { Point } from '@ample/core/geometry';
import { edgesWithRole, type Piece } from '@ample/core/pattern';
import { rightBack, type Task } from '@ample/core/practice';
import { truedPiece } from './useAttempt.ts';

const thin = { vectorEffect: 'non-scaling-stroke' as const };

/** The seam drawn anew; before that, for who is to see it, the way it should run. */
export function Seams({
  task,
  index,
  piece,
  courses,
}: {
  readonly task: Task;
  readonly index: number;
  readonly piece: Piece;
  readonly courses: readonly (readonly Point[])[];
}) {
  const role = task.lesson.trues;
  const way = task.right[index];
  const trued = useMemo(() => truedPiece(piece, courses), [piece, courses]);
  if (!role || !way) return null;
  const drawn = trued.ok ? trued.value : null;
  const m = rightBack(way);
  return (
    <>
      {task.grade !== 'free' &&
        edgesWithRole(way.final, role).map((e) => (
          <path
            key={e.id}
            d={pathData(e.path)}
            transform={`translate(${m.x} ${m.y}) rotate(${(m.angle * 180) / Math.PI})`}
            fill="none"
            stroke={COLOURS.brassDark}
            strokeWidth="2"
            strokeDasharray="3 5"
            {...thin}
          >
            <title>The way the seam should run</title>
          </path>
        ))}
      {drawn &&
        edgesWithRole(drawn, role).map((e) => (
          <path key={e.id} d={pathData(e.path)} fill="none" stroke={COLOURS.pencil} strokeWidth="2.8" {...thin} />
        ))}
    </>
  );
}
