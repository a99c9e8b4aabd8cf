import { mersenne } from 'pure-rand/generator/mersenne';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { alterationById, runAlteration, type Context, type Run } from '../alterations/index.ts';
import { samplePattern, type SampleId } from '../blocks/index.ts';
import { REST, type Rigid } from '../geometry/index.ts';
import { DONE, motionOf, slashPiece, type SlashResult, type SlashSpec } from '../paper/slash/index.ts';
import type { Piece } from '../pattern/index.ts';
import { ok, refuse, type Result } from '../units/index.ts';
import type { Asked, Draw, Grade, Lesson } from './lesson.ts';

/** The right way with one piece: what it is cut from and how, and what lies on the table once it has been moved. */
export interface RightWay {
  readonly from: Piece;
  readonly spec: SlashSpec;
  readonly taped: SlashResult;
  /** The piece as the alteration leaves it. */
  readonly final: Piece;
}

/** A lesson with its numbers: the same seed gives the same task. */
export interface Task {
  readonly lesson: Lesson;
  readonly grade: Grade;
  readonly seed: number;
  readonly size: string;
  readonly asked: Asked;
  readonly right: readonly RightWay[];
  readonly run: Run;
}

/** Draws numbers from a seed. Seeds that follow each other must give unlike numbers, which not every generator does. */
export function drawFrom(seed: number): Draw {
  const random = mersenne(seed);
  const upTo = (n: number): number => uniformInt(random, 0, n);
  return {
    between: (min, max, step) => min + step * upTo(Math.round((max - min) / step)),
    oneOf: (list) => list[upTo(list.length - 1)] as (typeof list)[number],
  };
}

/** The sizes a lesson is cut in. */
const SIZES = ['2', '3', '4', '5', '6'] as const;

/** Sets a lesson: draws its size and its amounts, and works out the right way. Refused only where the alteration refuses. */
export function taskOf(lesson: Lesson, grade: Grade, seed: number): Result<Task> {
  const draw = drawFrom(seed);
  const size = draw.oneOf(SIZES);
  const asked = lesson.draw(draw);
  const pattern = samplePattern(lesson.on as SampleId, [size]);
  const pieces = pattern.sizes[size] ?? [];
  const context: Context = {
    ...{ pieces, seams: pattern.seams, original: pieces, originalSeams: pattern.seams },
    ...{ wearer: {}, chart: pattern.chart, size, nest: pattern.sizes },
  };
  const definition = alterationById(lesson.alteration);
  if (!definition) throw new Error(`practice: expected the alteration ${lesson.alteration} of lesson ${lesson.id}`);
  const run = runAlteration(definition, context, asked.values);
  if (!run.ok) return run;
  const right: RightWay[] = [];
  for (const part of lesson.pieces) {
    const way = rightWay(run.value, pieces, part);
    if (!way.ok) return way;
    right.push(way.value);
  }
  return ok({ lesson, grade, seed, size, asked, right, run: run.value });
}

function rightWay(run: Run, pieces: readonly Piece[], part: Piece['part']): Result<RightWay> {
  const id = pieces.find((p) => p.part === part)?.id;
  const moves = run.frames
    .filter((f) => f.stage === 'cut' || f.stage === 'open')
    .flatMap((f) => f.pieces.filter((p) => p.piece.id === id))
    .flatMap((p) => p.moves ?? [])
    .at(-1);
  const final = run.pieces.find((p) => p.id === id);
  if (!moves || !final) return refuse('practice-no-way', { part });
  const taped = slashPiece(moves.from, moves.spec, DONE);
  return taped.ok ? ok({ from: moves.from, spec: moves.spec, taped: taped.value, final }) : taped;
}

/** Where the right way carries the paper that a panel holds. */
export const rightMotion = ({ spec }: RightWay, panel: string): Rigid =>
  spec.panels.some((p) => p.id === panel) ? motionOf(spec.panels, panel, DONE) : REST;
