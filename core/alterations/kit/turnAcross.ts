import { rotateAbout, type Point } from '../../geometry/index.ts';
import { ok, refuse, type Result, nth } from '../../units/index.ts';
import type { Instruction, Message, StepCode } from '../contract.ts';
import { beside } from './across.ts';
import { pinFrom, wholeWidth, type Crossed, type Row } from './acrossPanels.ts';
import { mark, slash } from '../operations/index.ts';

export interface Turn {
  readonly instructions: readonly Instruction[];
  /** How far each piece turns, in the order of the row, radians: the same, one way round or the other. */
  readonly angles: readonly number[];
  readonly data: Message['data'];
}

export interface TurnSpec {
  readonly row: Row;
  readonly by: number;
  readonly turns: 'upper' | 'lower';
  /** Messages for marking, cutting and turning. */
  readonly say: { readonly mark: StepCode; readonly cut: StepCode; readonly turn: StepCode };
  readonly share: number;
  /** The line itself, where it is not ruled straight across one piece: from the centre to the pin. */
  readonly along?: readonly Point[];
}

/**
 * A line straight across from the centre to a pin, cut, and one part turned about the pin until the centre has opened
 * (`by` above nothing) or lapped by so much. Where it crosses panels they turn as if they lay side by side, so that the
 * amount falls evenly from the centre to nothing at the pin. Refuses more than `share` of the line's length.
 */
export function turnAcross({ row, by, turns, say, share, along }: TurnSpec): Result<Turn> {
  const width = wholeWidth(row);
  if (Math.abs(by) > width * share) return refuse('wedge-too-large', { by: Math.abs(by), most: width * share });
  const second = row[1];
  const data = {
    by: Math.abs(by),
    width,
    degrees: (Math.abs(turnTo(by, row[0].inner.at, pinFrom(row, row[0]), turns)) * 180) / Math.PI,
    panels: row.length,
    /** What is left of it where the first panel ends. */
    left: second ? (Math.abs(by) * (width - second.before)) / width : 0,
    ends: nth(row, row.length - 1).outer.edge.role,
  };
  const angleOf = (c: Crossed): number => {
    const way = (c.inner.at.x > c.outer.at.x ? 1 : -1) * (turns === 'upper' ? -1 : 1);
    return way * turnTo((by * (width - c.before)) / width, c.inner.at, pinFrom(row, c), turns);
  };
  return ok({
    angles: row.map(angleOf),
    data,
    instructions: row.flatMap((c) => onPiece(row, c, angleOf(c), { by, turns, say, data, along })),
  });
}

/**
 * The turn about the pin by which the end at the centre goes `by` up (`upper`) or down, radians: `by = dx sin t + dy
 * (1 − cos t)`, where the pin lies `dx` beside that end and `dy` ahead of it.
 */
function turnTo(by: number, centre: Point, pin: Point, turns: TurnSpec['turns']): number {
  const dx = Math.abs(pin.x - centre.x);
  const dy = (centre.y - pin.y) * (turns === 'upper' ? 1 : -1);
  return Math.atan2(dy, dx) + Math.asin((by - dy) / Math.hypot(dx, dy));
}

function onPiece(
  row: Row,
  crossed: Crossed,
  angle: number,
  {
    by,
    turns,
    say: codes,
    data,
    along,
  }: Pick<TurnSpec, 'by' | 'turns' | 'say'> & Pick<Turn, 'data'> & { readonly along: TurnSpec['along'] | undefined },
): readonly Instruction[] {
  const { inner, outer, before } = crossed;
  const piece = crossed.piece.id;
  const pin = pinFrom(row, crossed);
  const last = row[row.length - 1] === crossed;
  const width = wholeWidth(row);
  const points = along ?? [inner.at, outer.at];
  const middle = along?.[Math.floor(along.length / 2)];
  const [above, below] = middle && along.length > 2 ? beside(middle, middle) : beside(outer.at, inner.at);
  const say = (code: StepCode): Message => ({ code, data });
  const rests = turns === 'upper' ? 'lower' : 'upper';
  const seeds = { upper: above, lower: below };
  return [
    mark({
      piece,
      message: say(codes.mark),
      lines: [{ id: 'across', label: '1', points }],
      points: last ? [{ id: 'pin', kind: 'hinge', at: pin }] : [],
    }),
    slash({
      piece,
      messages: { cut: say(codes.cut), open: say(codes.turn) },
      spec: {
        cuts: [{ id: 'across', points }],
        hinges: last ? [{ id: 'pin', at: pin, panels: [turns, rests] }] : [],
        panels: [
          { id: turns, seed: seeds[turns], motion: { kind: 'turn', about: pin, angle }, stage: 'open' },
          { id: rests, seed: seeds[rests], motion: { kind: 'rest' }, stage: 'open' },
        ],
      },
      dimensions: [
        {
          id: 'gap',
          from: inner.at,
          to: rotateAbout(inner.at, pin, angle),
          value: (Math.abs(by) * (width - before)) / width,
        },
      ],
    }),
  ];
}
