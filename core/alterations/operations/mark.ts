import type { MarkLine, MarkPoint } from '../message.ts';
import { operation, type Said } from './operation.ts';

interface Mark extends Said {
  readonly lines: readonly MarkLine[];
  readonly points: readonly MarkPoint[];
}

export const mark = operation<'mark', Mark, 'lines' | 'points'>('mark', {
  stage: 'mark',
  summary: 'draws lines and points',
  filled: { lines: [], points: [] },
  run: ({ state }, { lines, points }) => {
    state.lines = [...state.lines, ...lines];
    state.points = [...state.points, ...points];
  },
});
