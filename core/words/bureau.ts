import type { BureauError, Fault, Ticket } from '../out/bureau/index.ts';
import type { Refusal } from '../units/index.ts';
import { sentence } from './refusal.ts';
import type { Sentence, Units } from '../speech/index.ts';

/** What the bureau, or the way to it, answers instead. */
export type BureauTrouble = BureauError | 'bureau-lost' | 'bureau-strange' | 'bureau-pages-failed';

export const BUREAU_WORDS: Readonly<Record<BureauTrouble, Sentence>> = {
  'bureau-busy': () => 'The bureau is busy and took nothing for a while. What it has is kept; go on sending later.',
  'bureau-down': () => 'The bureau does not work at the moment. Nothing is lost here; try again later.',
  'bureau-full': () => 'The bureau has no room for more at the moment. Try again later.',
  'bureau-not-so': (s) => `The bureau did not understand the order (${s.text('what')}). Make it again.`,
  'bureau-unknown-upload': () => 'The bureau no longer has the file. Send it again.',
  'bureau-wrong-place': () => 'The bureau has another part of the file than was thought. Resume.',
  'bureau-damaged': () => 'The file was damaged on its way, twice. Try another connection, or send it later.',
  'bureau-incomplete': () => 'The bureau does not have the whole file yet. Resume.',
  'bureau-no-pdf': () => 'The bureau could not open the file as PDF. Make it again and send it again.',
  'bureau-too-long': () =>
    'The file took too long to open at the bureau. Send fewer pieces at a time, or try again later.',
  'bureau-too-wide': (s) =>
    `Page ${s.text('page')} is ${s.len('width')} wide, and the roll is ${s.len('most')}. Lay fewer pieces beside one another.`,
  'bureau-unknown-ticket': () =>
    'The bureau does not know this ticket any more: the stand-in forgets everything when its server starts anew. Order again.',
  'bureau-too-late': () => 'It is being printed already and can no longer be taken back.',
  'bureau-lost': () => 'The connection was lost too often. What has arrived is kept; go on sending when it is back.',
  'bureau-strange': () => 'The bureau gave an answer that cannot be read. Try again later.',
  'bureau-pages-failed': (s) => `The pages could not be made: ${s.text('detail')}. Try again.`,
};
export const sayBureau = (r: Refusal, units: Units): string => sentence(BUREAU_WORDS, r.code, r.data, units);

/** Where a ticket stands. */
export function sayTicket({ state, ahead, number }: Ticket): string {
  switch (state) {
    case 'waiting':
      return `Ticket ${number} waits: ${ahead === 0 ? 'it is next' : ahead === 1 ? 'one job is before it' : `${ahead} jobs are before it`}.`;
    case 'printing':
      return `Ticket ${number} is being printed.`;
    case 'ready':
      return `Ticket ${number} is ready. Measure the square on it before you cut.`;
    case 'refused':
      return `Ticket ${number} was not printed: the roll ran out under it. Nothing is charged. Order again.`;
    case 'cancelled':
      return `Ticket ${number} was taken back.`;
  }
}

/** Faults the stand-in can be set to simulate. */
export const FAULT_WORDS: Readonly<Record<Fault, string>> = {
  none: 'nothing goes wrong',
  drops: 'the connection is lost in the middle',
  busy: 'it is busy for a while',
  damages: 'the file is damaged on its way',
  down: 'it does not answer',
  refuses: 'the roll runs out while printing',
};

export const sayMoney = (cents: number): string => `€ ${(cents / 100).toFixed(2)}`;
