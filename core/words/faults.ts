import type { FaultCode } from '../paper/guard/index.ts';
import type { Sentence } from '../speech/index.ts';

const at = (s: Parameters<Sentence>[0]): string => `“${s.text('name')}”`;

/** What makes a piece unfit to be cut. Each is a whole sentence that may also follow a colon. */
export const FAULT_TEXT: Readonly<Record<FaultCode, Sentence>> = {
  'edges-do-not-join': (s) =>
    `on ${at(s)} the ${s.text('role')} edge ends ${s.len('gap')} away from where the ${s.text('next')} edge begins.`,
  'edge-without-length': (s) => `on ${at(s)} the ${s.text('role')} edge has no length left.`,
  'id-repeated': (s) => `on ${at(s)} two of its ${s.text('what')}s have the same name, “${s.text('id')}”.`,
  'fold-missing': (s) => `${at(s)} is cut on a fold, and the edge that lay on the fold is gone.`,
  'outline-crosses': (s) => `the seam line of ${at(s)} crosses itself.`,
  'outline-inside-out': (s) => `${at(s)} has turned inside out: its seam line runs the wrong way round.`,
  'piece-too-small': (s) => `hardly any paper of ${at(s)} is left.`,
  'dart-mouth-missing': (s) => `the ${s.text('dart')} dart of ${at(s)} no longer opens in a seam.`,
  'dart-tip-outside': (s) => `the tip of the ${s.text('dart')} dart lies outside ${at(s)}.`,
  'dart-leaves-piece': (s) => `a leg of the ${s.text('dart')} dart runs across the seam line of ${at(s)}.`,
  'darts-cross': (s) =>
    s.text('first') === s.text('second')
      ? `on ${at(s)} two ${s.text('first')} darts cross each other.`
      : `on ${at(s)} the ${s.text('first')} dart and the ${s.text('second')} dart cross each other.`,
  'notch-off-edge': (s) => `a notch of ${at(s)} lies ${s.len('past')} past the end of its ${s.text('role')} edge.`,
  'cutting-line-crosses': (s) => `the cutting line of ${at(s)} crosses itself.`,
  'cutting-line-off': (s) => `the cutting line of ${at(s)} misses its seam allowance by ${s.len('by')}.`,
  'seam-broken': (s) => `the ${s.text('kind')} seam of ${at(s)} names an edge or a notch that is gone.`,
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The same on its own, as Check says it, with a way on. */
export const FAULT_WORDS_ALONE = Object.fromEntries(
  Object.entries(FAULT_TEXT).map(([code, say]): [string, Sentence] => [
    code,
    (s) => `${capital(say(s))} Do not cut it: change the step that did this, or redraw the piece if it came that way.`,
  ]),
) as Readonly<Record<FaultCode, Sentence>>;
