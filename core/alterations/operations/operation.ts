import type { Result } from '../../units/index.ts';
import type { Message, Stage } from '../message.ts';
import type { PieceState, TableState } from './state.ts';

/** When an instruction is carried out, and on which piece: the program's own unless another is named. */
export interface At {
  readonly stage: Stage;
  readonly piece?: string;
}
export interface Said extends At {
  readonly message: Message;
}

/** Where an operation works: the whole table, and the piece it is about. */
export interface Place {
  readonly table: TableState;
  readonly state: PieceState;
}

/** What may be left out of an instruction: its stage, and what the operation fills in. */
type Written<Args extends At, Filled extends keyof Args> = Omit<Args, 'stage' | Filled> &
  Partial<Pick<Args, 'stage' | Filled>>;

/**
 * One thing hands do to paper. Called, it writes the instruction, which is plain data; `run` carries it out.
 * `summary` is its line in the docs.
 */
export interface Operation<Name extends string, Args extends At, Filled extends keyof Args = never> {
  (args: Written<Args, Filled>): Args & { readonly op: Name };
  readonly op: Name;
  readonly summary: string;
  /** Changes the state of the piece; a refusal says why it cannot be done. */
  readonly run: (at: Place, args: Args) => Result<void> | void;
}

/**
 * Defines an operation.
 * @example export const capDart = operation<'capDart', Said & { dart: string }>('capDart', { stage: 'true', summary: '…', run: … })
 */
export function operation<Name extends string, Args extends At, Filled extends keyof Args = never>(
  op: Name,
  spec: Pick<Operation<Name, Args, Filled>, 'summary' | 'run'> & {
    readonly stage: Stage;
    readonly filled?: Pick<Args, Filled>;
  },
): Operation<Name, Args, Filled> {
  const { stage, filled, summary, run } = spec;
  const write = (args: Written<Args, Filled>) => ({ op, stage, ...filled, ...args }) as unknown as Args & { op: Name };
  return Object.assign(write, { op, summary, run });
}
