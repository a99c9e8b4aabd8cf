import type { Sentence } from '../../speech/index.ts';
import { drawFrom } from '../task.ts';
import type { Draw } from '../lesson.ts';

/** A sum with its numbers: what is told, what is right, and what comes out where one goes astray. */
export interface Drawn {
  /** Everything the sentences may name, mm (or a size’s number, a count). */
  readonly told: Readonly<Record<string, number>>;
  readonly answer: number;
  readonly slips: Readonly<Record<string, number>>;
}

/** A kind of sum as people do it in pencil. */
export interface Sum {
  /** Kept in files. */
  readonly id: string;
  /** A length in the unit of the reader, or the name of a size. */
  readonly asks: 'length' | 'size';
  readonly draw: (draw: Draw) => Drawn;
  readonly words: {
    readonly title: string;
    readonly question: Sentence;
    /** The sum written out; it may name `answer`. */
    readonly sum: Sentence;
    /** Where one went astray, by the slip. */
    readonly slips: Readonly<Record<string, string>>;
  };
}

/** Two answers nearer to each other than this could not be told apart, mm. */
const APART = 2;
const TRIES = 50;

/** A sum drawn anew, so that no slip comes out like the answer or another slip: the same seed gives the same numbers. */
export function sumOf(sum: Sum, seed: number): Drawn {
  const draw = drawFrom(seed);
  const least = sum.asks === 'size' ? 1 : APART;
  for (let i = 0; ; i++) {
    const drawn = sum.draw(draw);
    const all = [drawn.answer, ...Object.values(drawn.slips)].sort((a, b) => a - b);
    if (i === TRIES || all.every((v, k) => k === 0 || v - (all[k - 1] as number) >= least)) return drawn;
  }
}

/** Answers as near as this are right, mm: half of what a tape shows, or of a sixteenth of an inch. */
const NEAR = { cm: 0.6, in: 0.9 } as const;

/** Right, or astray in a way that is known, or simply another number. */
export type Marked =
  { readonly kind: 'right' } | { readonly kind: 'slip'; readonly slip: string } | { readonly kind: 'other' };
export function mark({ answer, slips }: Drawn, typed: number, unit: 'cm' | 'in' | 'size'): Marked {
  const near = unit === 'size' ? 0.5 : NEAR[unit];
  if (Math.abs(typed - answer) <= near) return { kind: 'right' };
  const found = Object.entries(slips)
    .map(([slip, value]) => ({ slip, off: Math.abs(value - typed) }))
    .sort((a, b) => a.off - b.off)[0];
  return found && found.off <= near ? { kind: 'slip', slip: found.slip } : { kind: 'other' };
}
