import type { Fitting } from '../documents/index.ts';
import type { Change, Difference, Evidence } from '../fitting/toile/index.ts';
import { formatLength, shownSum, type ShownTerm } from '../units/index.ts';
import { alterationName } from './alterations.ts';
import { TROUSER_CAUSE_WORDS } from './trouserCauses.ts';
import { MEASUREMENT_WORDS } from './measurements.ts';
import { speaker, type Data, type Sentence, type Units, en, inWords } from '../speech/index.ts';

/** Causes by id: what the body differs by, and the test that tells it from its neighbours. */
export const CAUSE_WORDS: Readonly<
  Record<string, { readonly name: string; readonly test: string; readonly advice?: string }>
> = inWords({
  'fuller-bust': {
    name: 'A fuller bust than the draft',
    test: 'Open the side seam under the arm: if the drag lines go and the hem drops level, the front was short of room over the bust.',
  },
  'smaller-bust': {
    name: 'A smaller bust than the draft',
    test: 'Pinch the folds out over the bust point from shoulder to waist: if the centre front goes back to the middle, there is too much.',
  },
  'dart-too-high': {
    name: 'The dart sits too high for this bust',
    test: 'Put a cross on the toile at the bust point: the dart then aims above it.',
  },
  'dart-too-low': {
    name: 'The dart sits too low for this bust',
    test: 'Put a cross on the toile at the bust point: the dart then aims below it.',
  },
  'dart-too-long': {
    name: 'The dart runs too near the bust point',
    test: 'Unpick the last bit of the dart: if the point of cloth goes, end it there.',
  },
  swayback: {
    name: 'A hollow back waist',
    test: 'Pin a fold across the back waist to nothing at the side seams: if the back falls smooth and the sides hang as before, it is the centre back alone that is too long.',
  },
  'bodice-long': {
    name: 'The bodice is too long all round',
    test: 'Look at the front and the sides: if they fold above the waist as well, shorten all round, not the centre back alone.',
  },
  'bodice-short': {
    name: 'The bodice is too short',
    test: 'Tie a tape at the waist: if the waist seam lies above it all round, length is missing; if only in front, look at the bust first.',
  },
  'sway-overdone': {
    name: 'The fold at the back waist took too much',
    test: 'Unpick the fold by half: if the hem comes level, that was the right amount.',
    advice: 'Take less at the back waist.',
  },
  'full-seat': {
    name: 'A fuller seat than the draft',
    test: 'Let the hem down at the centre back only: if the side seams then hang straight, the seat needs length over it.',
  },
  'hip-narrow': {
    name: 'Too narrow at the hip',
    test: 'Open the side seams below the waist: if the wrinkles go and the cloth slides down, it had climbed to where the body is narrower.',
  },
  'hip-wide': {
    name: 'Too wide at the hip',
    test: 'Pin both side seams from the hip down: the front and back should stay flat.',
  },
  'waist-narrow': {
    name: 'Too narrow at the waist',
    test: 'Open the waist for a hand’s breadth at the side: if the bodice settles, it was tight.',
  },
  'waist-wide': {
    name: 'Too wide at the waist',
    test: 'Pin both side seams at the waist alone and sit down: it must still be easy.',
  },
  'narrow-shoulder': {
    name: 'A narrower shoulder than the draft',
    test: 'Pin a tuck in the middle of the shoulder: if the sleeve then hangs well and neck and chest were right before, it is the shoulder alone.',
  },
  'size-from-bust': {
    name: 'The size was taken from the full bust',
    test: 'If shoulders, neck and back are all too large at once, start from the size of the high bust and add room for the bust alone.',
  },
  'broad-shoulder': {
    name: 'A broader shoulder than the draft',
    test: 'Undo the top of the sleeve seam: if it springs towards the arm along the shoulder, width is missing.',
  },
  'square-shoulder': {
    name: 'A squarer shoulder than the draft',
    test: 'Undo the shoulder seam at its end: if it opens there and not at the neck, the shoulder is square.',
  },
  'sloping-shoulder': {
    name: 'A more sloping shoulder than the draft',
    test: 'Slip a pad under the shoulder, or pin the seam deeper at its end: if the folds go, the shoulder slopes more.',
  },
  'forward-shoulder': {
    name: 'A shoulder that lies further forward',
    test: 'Look from the side: the seam should lie on top of the shoulder. If neck and back are smooth and only its end lies behind, move the seam.',
  },
  'round-back': {
    name: 'A rounder upper back',
    test: 'Let the back neck seam out: if the front neck then stops pulling, the back needs length over its curve.',
  },
  'flat-upper-back': {
    name: 'A flatter upper back',
    test: 'Pin a fold straight across below the neck, nothing at the armholes: the bubble goes and the neckline stays.',
  },
  'back-narrow': {
    name: 'A broader back than the draft',
    test: 'Bring the arms forward: if the strain runs across the shoulder blades before the sleeve pulls, width is missing in the back.',
  },
  'back-wide': {
    name: 'A narrower back than the draft',
    test: 'Pin a fold down beside each armhole, then bring the arms forward: there must still be room to move.',
  },
  'sleeve-narrow': {
    name: 'A fuller upper arm than the draft',
    test: 'Slit the sleeve lengthways: if it opens and the binding goes, width is missing in the sleeve.',
  },
  'sleeve-wide': {
    name: 'A slimmer upper arm than the draft',
    test: 'Pin a fold down the sleeve and bend the arm: it must still bend without strain.',
  },
  'arm-longer': {
    name: 'A longer arm than the draft',
    test: 'Bend the arm a little: the hem should then reach the wrist bone. See first where the elbow dart lies.',
  },
  ...TROUSER_CAUSE_WORDS,
  'arm-shorter': {
    name: 'A shorter arm than the draft',
    test: 'Pin a fold across the sleeve above or below the elbow, and bend the arm: the hem should stay at the wrist bone.',
  },
  'wrist-fuller': {
    name: 'A fuller wrist than the draft',
    test: 'Open the seam or the cuff at the wrist: if the sleeve falls freely, width is missing there.',
  },
  'wrist-slimmer': {
    name: 'A slimmer wrist than the draft',
    test: 'Pin the wrist out and pass the hand through: without an opening it must still come through.',
  },
  'armhole-low': {
    name: 'The armhole is too low',
    test: 'Lift the arm: if the whole bodice goes up with it, raise the underarm; a higher armhole moves more freely.',
  },
  'armhole-high': {
    name: 'The armhole is too high',
    test: 'Clip the underarm allowance a little at a time: if it stops cutting in, draw it there.',
  },
  'neck-gape': {
    name: 'The neckline is longer than the body there',
    test: 'Pin the gape out: if the bust below stays smooth and nothing strains, it is the neckline alone.',
  },
  'neck-close': {
    name: 'A wider neck than the draft',
    test: 'Clip the neck allowance: if it relaxes, draw the neckline where the clips end.',
  },
});

export const GRADE_WORDS = { likely: 'Likely', possible: 'Possible', doubtful: 'Doubtful' } as const;

/** What a measurement says of a cause. */
export function sayEvidence(e: Evidence, { unit, fraction }: Units): string {
  if (e.key === null) return 'The size was chosen by the full bust.';
  const name = MEASUREMENT_WORDS[e.key].name;
  if (e.left === null) return `${name} is not measured; it would tell.`;
  const by = formatLength(Math.abs(e.left), unit, { fraction });
  if (e.says === 'right') return `${name} is right as the plan stands.`;
  const way = e.left > 0 ? `${by} more on the body than on the pattern` : `${by} less on the body than on the pattern`;
  return `${e.says === 'for' ? 'For it' : 'Against it'}: ${name.toLowerCase()} is still ${way}.`;
}

/** What pressing would do to the plan, with the sum as one writes it; an amount was pinned, or read on the form. */
export function sayChange(
  change: Change,
  { unit, fraction }: Units,
  kind: Fitting['kind'] = 'toile',
): { readonly does: string; readonly sum: string } {
  const told = kind === 'form' ? 'on the form' : 'pinned';
  const nothing = kind === 'form' ? 'no length told on the form' : 'nothing pinned';
  const len = (v: number, sign = true): string => formatLength(v, unit, { fraction, sign });
  const pinned = (c: { readonly pinned: number; readonly per: number }): string =>
    `${len(c.pinned, false)} ${told}${Math.abs(c.per) === 1 ? '' : ` × ${Math.abs(c.per)}`}`;
  // A sum that does not come out says why.
  const most = 'limited' in change && change.limited ? ', the most this step can do' : '';
  switch (change.kind) {
    case 'add': {
      const side = change.side === 'both' ? '' : `, ${change.side} side`;
      const does = `Add “${alterationName(change.alteration, change.to ?? change.asked)}”${side}`;
      if (change.pinned !== null && change.to !== null)
        return { does, sum: `${pinned({ pinned: change.pinned, per: change.per })} → ${len(change.to)}${most}` };
      if (change.asked !== null) return { does, sum: `the measurements ask for ${len(change.asked)}` };
      return {
        does,
        sum:
          change.to === null ? `${nothing}: set the amount on the plan` : `${nothing}: begins with ${len(change.to)}`,
      };
    }
    case 'edit': {
      const grown = change.to - change.from;
      const signed = change.key !== 'setback';
      const added: ShownTerm = { value: change.pinned * change.per, keep: true };
      const { terms, result } = shownSum([{ value: change.from }, added], change.to, unit, fraction);
      const from = most === '' ? (terms[0] ?? change.from) : change.from;
      const to = most === '' ? result : change.to;
      return {
        does: `Change “${alterationName(change.alteration, change.from)}” to ${len(to, signed)}`,
        sum: `${len(from, signed)} ${grown < 0 ? '−' : '+'} ${pinned(change)} = ${len(to, signed)}${most}`,
      };
    }
    case 'undo':
      return {
        does: `Undo “${alterationName(change.alteration, change.from)}”`,
        sum:
          change.from === null
            ? 'the step is switched off and kept'
            : `${len(change.from)} → 0; the step is switched off and kept`,
      };
    case 'station':
      return { does: change.station === 'size' ? 'Look at the size again' : 'Measure again', sum: '' };
    case 'none':
      return {
        does: '',
        sum: {
          advice: '',
          'nothing-suits': 'No step of the plan does this on these pieces.',
          'no-amount': 'The plan does this already. Pin what is left, then the amount can be changed.',
        }[change.why],
      };
  }
}

/** What was done about something seen, in a few words: "+6 mm". */
export function sayAnswer(
  a: {
    readonly did: 'add' | 'edit' | 'undo';
    readonly alteration: string;
    readonly from: number | null;
    readonly to: number | null;
  },
  { unit, fraction }: Units,
): string {
  const name = alterationName(a.alteration, a.to ?? a.from);
  const len = (v: number): string => formatLength(v, unit, { fraction, sign: true });
  if (a.did === 'undo') return `${name} undone`;
  if (a.to === null) return `${name} added`;
  return a.did === 'add' || a.from === null
    ? `${name} ${len(a.to)}`
    : `${name} ${len(a.to - a.from)}, now ${len(a.to)}`;
}

/** One difference between two versions. */
export function sayDifference(d: Difference, { unit, fraction }: Units): string {
  const len = (v: number | null): string =>
    v === null ? 'its usual amount' : formatLength(v, unit, { fraction, sign: true });
  const name = (s: { readonly alteration: string }, v: number | null): string => alterationName(s.alteration, v);
  const with_ = (v: number | null): string => (v === null ? '' : `, ${len(v)}`);
  switch (d.kind) {
    case 'size':
      return `Size ${d.from ?? 'not chosen'} → ${d.to ?? 'not chosen'}.`;
    case 'cup':
      return `Cup ${d.from ?? 'not chosen'} → ${d.to ?? 'not chosen'}.`;
    case 'view':
      return `View ${d.from ?? 'not chosen'} → ${d.to ?? 'not chosen'}.`;
    case 'added':
      return `New: ${name(d.step, d.amount)}${with_(d.amount)}.`;
    case 'removed':
      return `Taken out: ${name(d.step, d.amount)}${with_(d.amount)}.`;
    case 'off':
      return `Undone: ${name(d.step, d.amount)}${with_(d.amount)}.`;
    case 'on':
      return `Done again: ${name(d.step, d.amount)}${with_(d.amount)}.`;
    case 'amount':
      return `${name(d.step, d.to)}: ${len(d.from)} → ${len(d.to)}.`;
    case 'side':
      return `${name(d.step, null)}: now for ${d.step.side === 'both' ? 'both sides' : `the ${d.step.side} side only`}.`;
    case 'other':
      return `${name(d.step, null)}: done another way.`;
    case 'order':
      return 'The steps are done in another order.';
    case 'body':
      return `${MEASUREMENT_WORDS[d.change.key].name} measured anew: ${len(d.change.by)}.`;
  }
}

const AGAIN: Readonly<Record<string, Sentence>> = {
  'again.cloth': (s) =>
    `The cloth is another one${s.text('from') ? ` (it was ${s.text('from')})` : ''}: compare weight, drape and how far it gives. A firmer cloth wants a little more ease, a softer one less; wash and press it first.`,
  'again.knit': () =>
    'Stretch a hand’s breadth of the new knit beside the old one. If it gives less, take the next size or more ease.',
  'again.moved': (s) =>
    `${MEASUREMENT_WORDS[s.text('key') as keyof typeof MEASUREMENT_WORDS].name} has changed by ${s.signed('by')} since. The amounts here are those of the master; take them from the sums again where they depend on it.`,
  'again.old': (s) =>
    `The body was measured ${s.num('months')} months ago. Take bust, waist and hip again before you cut.`,
  'again.never': () => en`The master was not found right at a fitting. Sew another toile, or leave room to fit by.`,
  'again.left': (s) =>
    en`${s.text('count')} ${s.noun('count', 'thing was', 'things were')} still open at the fitting of ${s.text('date')}. Look at the Toile station of that job.`,
};
export const AGAIN_WORDS = AGAIN;
export const sayAgain = (c: { readonly code: string; readonly data: Data }, units: Units): string =>
  AGAIN[c.code]?.(speaker(c.data, units)) ?? c.code;
