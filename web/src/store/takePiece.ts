import type { Job } from '@ample/core/documents';
import { validatePiece, type Piece } from '@ample/core/pattern';
import { withoutPiece, withPiece } from '@ample/core/in/tracing';
import { refuse, type Result } from '@ample/core/units';
import { sayProblem } from '@ample/core/words';
import { editJob } from './job.ts';
import { useLibrary } from './library.ts';
import { usePrefs } from './prefs.ts';
import { isOwn, paperPattern, patternOf } from './patterns.ts';

/**
 * Puts a traced piece into the pattern of the open job. A sample is never changed: the first piece brought in begins
 * a pattern of one's own, named after the file. Refuses a piece the table could not work on, and says why.
 */
export function takePieces(
  made: readonly { readonly piece: Piece; readonly size: string }[],
  file: string,
): Result<null> {
  for (const { piece } of made) {
    const problem = validatePiece(piece)[0];
    if (problem)
      return refuse('piece-not-right', { problem: sayProblem(problem.code, problem.data, usePrefs.getState().units) });
  }
  editJob((j) => {
    const now = patternOf(j, useLibrary.getState().patterns);
    const own = now && isOwn(now) ? now : paperPattern(file.replace(/\.\w{2,4}$/, '').slice(0, 80) || 'My pattern');
    const next = made.reduce((p, m) => withPiece(p, m.piece, m.size), own);
    const first = made[0]?.size ?? null;
    return { ...j, pattern: next as Job['pattern'], size: now === own ? j.size : first };
  });
  return { ok: true, value: null };
}

export const takeOut = (piece: string, size: string): void =>
  editJob((j) => {
    const now = patternOf(j, useLibrary.getState().patterns);
    return now && isOwn(now) ? { ...j, pattern: withoutPiece(now, piece, size) as Job['pattern'] } : j;
  });
