import { alterationById, runAlteration, type Context, type Values } from '../alterations/index.ts';
import { samplePattern, type SampleId } from '../blocks/index.ts';
import { pathLength } from '../geometry/index.ts';
import type { EdgeRole, Piece } from '../pattern/index.ts';
import { expectOk, nth } from '../units/index.ts';

/** Three ways of doing the same thing to the same paper. */
export const METHODS = ['slash', 'slide', 'redraw'] as const;
export type Method = (typeof METHODS)[number];

/** What a method makes of a piece, and which seams change by how much, mm. */
export interface Done {
  readonly method: Method;
  readonly alteration: string;
  readonly pieces: readonly { readonly before: Piece; readonly after: Piece }[];
  readonly changes: readonly { readonly role: EdgeRole; readonly by: number }[];
}

const BY: Readonly<Record<Method, string>> = {
  slash: 'shoulder-slash',
  slide: 'shoulder-slide',
  redraw: 'shoulder-redraw',
};
const ROLES: readonly EdgeRole[] = ['neck', 'shoulder', 'armhole', 'side'];

/** A shoulder shortened by so much, three ways: the seams of front and back together tell what else each way changes. */
export function threeMethods(by: number, on: SampleId = 'causeway', size = '4'): readonly Done[] {
  const pattern = samplePattern(on, [size]);
  const pieces = pattern.sizes[size] ?? [];
  const context: Context = {
    ...{ pieces, seams: pattern.seams, original: pieces, originalSeams: pattern.seams },
    ...{ wearer: {}, chart: pattern.chart, size },
  };
  const values: Values = { by: -by };
  return METHODS.map((method) => {
    const definition = alterationById(BY[method]);
    if (!definition) throw new Error(`practice: expected the alteration ${BY[method]}`);
    const run = expectOk(runAlteration(definition, context, values), BY[method]);
    const changed = run.changes.map((c) => ({
      before: nth(
        pieces.filter((p) => p.id === c.piece),
        0,
      ),
      after: nth(
        run.pieces.filter((p) => p.id === c.piece),
        0,
      ),
    }));
    return {
      ...{ method, alteration: BY[method], pieces: changed },
      changes: ROLES.map((role) => ({
        role,
        by:
          total(
            changed.map((c) => c.after),
            role,
          ) -
          total(
            changed.map((c) => c.before),
            role,
          ),
      })),
    };
  });
}

const total = (pieces: readonly Piece[], role: EdgeRole): number =>
  pieces.flatMap((p) => p.edges.filter((e) => e.role === role)).reduce((sum, e) => sum + pathLength(e.path), 0);
