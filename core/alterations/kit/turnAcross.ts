import { distance, rotateAbout, type Point } from '../../geometry/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import type { Instruction, Message } from '../contract.ts';
import { beside } from './across.ts';

export interface Turn {
  readonly instructions: readonly Instruction[];
  readonly angle: number;
  readonly data: Message['data'];
}

/**
 * A line straight across from the centre to a pin, cut, and one part turned about the pin until the centre has opened
 * (`by` above nothing) or lapped by so much. Refuses more than `share` of the line's length.
 */
export function turnAcross(spec: {
  readonly piece: string;
  readonly centre: Point;
  readonly pin: Point;
  readonly by: number;
  readonly turns: 'upper' | 'lower';
  readonly words: string;
  readonly share: number;
}): Result<Turn> {
  const { piece, centre, pin, by, turns, words, share } = spec;
  const width = distance(pin, centre);
  if (Math.abs(by) > width * share) return refuse('wedge-too-large', { by: Math.abs(by), most: width * share });
  const way = (centre.x > pin.x ? 1 : -1) * (turns === 'upper' ? -1 : 1);
  const angle = way * Math.asin(by / width);
  const [above, below] = beside(pin, centre);
  const data = { by: Math.abs(by), width, degrees: (Math.abs(angle) * 180) / Math.PI };
  const say = (code: string): Message => ({ code: `${words}.${code}`, data });
  const rests = turns === 'upper' ? 'lower' : 'upper';
  const seeds = { upper: above, lower: below };
  return ok({
    angle,
    data,
    instructions: [
      {
        op: 'mark',
        stage: 'mark',
        piece,
        message: say('mark'),
        lines: [{ id: 'across', label: '1', points: [centre, pin] }],
        points: [{ id: 'pin', kind: 'hinge', at: pin }],
      },
      {
        op: 'slash',
        stage: 'cut',
        piece,
        messages: { cut: say('cut'), open: say(by < 0 ? 'lap' : 'open') },
        spec: {
          cuts: [{ id: 'across', points: [centre, pin] }],
          hinges: [{ id: 'pin', at: pin, panels: [turns, rests] }],
          panels: [
            { id: turns, seed: seeds[turns], motion: { kind: 'turn', about: pin, angle }, stage: 'open' },
            { id: rests, seed: seeds[rests], motion: { kind: 'rest' }, stage: 'open' },
          ],
        },
        dimensions: [{ id: 'gap', from: centre, to: rotateAbout(centre, pin, angle), value: Math.abs(by) }],
      },
    ],
  });
}
