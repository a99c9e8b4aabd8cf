import { pathLength } from '../../geometry/index.ts';
import { edgesWithRole, type EdgeRole, type MeasurementKey, type Piece } from '../../pattern/index.ts';
import type { Finding } from '../../paper/truing/index.ts';
import { TOL, type Result } from '../../units/index.ts';
import type { AlterationDefinition, Context, Fit, FitCode, Message, Param, Values, WhyCode } from '../contract.ts';

/** How an alteration tells whether it suits: what it must find, or a judgement of its own. */
type Suiting =
  | Pick<AlterationDefinition, 'suits'>
  | {
      readonly why: WhyCode;
      /** What it must find on the pieces; its refusal says why it cannot be done. */
      readonly needs: (context: Pick<Context, 'pieces' | 'seams'>) => Result<unknown>;
      /** What to propose first in its family. */
      readonly grade?: 'best' | 'possible';
    };

/** An alteration as its folder states it; what most have alike is filled in. */
export type Sketch = Suiting &
  Omit<AlterationDefinition, 'revision' | 'suggest' | 'suits' | 'amount' | 'holds'> &
  Partial<Pick<AlterationDefinition, 'amount' | 'holds' | 'suggest'>>;

export function define(sketch: Sketch): AlterationDefinition {
  return { revision: 1, amount: 'by', suggest: () => ({}), holds: () => [], ...sketch, suits: suitsOf(sketch) };
}

function suitsOf(sketch: Suiting): AlterationDefinition['suits'] {
  if ('suits' in sketch) return sketch.suits;
  const { why, needs, grade = 'possible' } = sketch;
  return (pieces, seams = []) => {
    const found = needs({ pieces, seams });
    return found.ok
      ? { grade, why: { code: why, data: {} } }
      : { grade: 'no', why: { code: found.error.code, data: found.error.data } };
  };
}

export const length = (key: string, min: number, max: number, initial: number, signed = false, step = 1): Param => ({
  kind: 'length',
  key,
  min,
  max,
  initial,
  step,
  ...(signed ? { signed } : {}),
});

/** A share of something: 0 to 1. */
export const share = (key: string, min: number, max: number, initial: number): Param => ({
  kind: 'share',
  key,
  min,
  max,
  initial,
});

export const choice = (key: string, ...options: readonly [string, ...string[]]): Param => ({
  kind: 'choice',
  key,
  options,
  initial: options[0],
});

/** What must be as long as it was: a part's edges of one role, within a slack. */
export interface Held {
  readonly part: readonly Piece['part'][];
  readonly role: EdgeRole;
  readonly slack?: number;
}

export const held =
  (...promises: readonly Held[]): AlterationDefinition['holds'] =>
  (before, after) =>
    promises.flatMap(({ part, role, slack = TOL.legs }): readonly Finding[] => {
      const sum = (pieces: readonly Piece[]): number =>
        pieces
          .filter((p) => part.includes(p.part))
          .reduce((n, p) => n + edgesWithRole(p, role).reduce((m, e) => m + pathLength(e.path), 0), 0);
      const by = sum(after) - sum(before);
      const piece = after.find((p) => part.includes(p.part))?.id;
      return Math.abs(by) > slack
        ? [{ code: 'length-not-held', grade: 'fault', ...(piece ? { piece } : {}), data: { role, by } }]
        : [];
    });

/** A difference written as a sum: what is wanted, less what the pattern has, and each piece's share. */
export function difference(
  key: MeasurementKey,
  body: number,
  ease: number,
  pattern: number,
  share: number,
  values: (by: number, each: number) => Values,
): Fit {
  const by = body + ease - pattern;
  const sum: Message<FitCode> = {
    code: Math.abs(ease) < TOL.seam ? 'fit.length' : 'fit.girth',
    data: { key, body, ease, wanted: body + ease, pattern, by, share, each: by * share },
  };
  return { values: values(by, by * share), sum };
}

/** Amounts are rounded to a tenth of a millimetre: paper is not cut finer. */
export const tenth = (v: number): number => Math.round(v * 10) / 10;
