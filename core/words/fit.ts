import type { FitCode } from '../alterations/index.ts';
import type { AmountReason, BodyProblemCode, LeaveReason, SizeReason } from '../fitting/fit/index.ts';
import type { MeasurementKey } from '../pattern/index.ts';
import { MEASUREMENT_WORDS } from './measurements.ts';
import type { Sentence, Speaker } from '../speech/index.ts';

const name = (s: Speaker): string => MEASUREMENT_WORDS[s.text('key') as MeasurementKey].name;
const PARTS: Readonly<Record<string, number>> = { '0.25': 4, '0.5': 2 };
/** Each piece's share, where the whole difference is not one piece's. */
const shared = (s: Speaker): string => {
  const parts = PARTS[s.text('share')];
  return parts ? ` → ÷ ${parts} = ${s.share('by', parts)} each piece` : '';
};

/** Body and ease as typed, the pattern as measured: shown so that they add up. */
const less = (s: Speaker): Speaker => s.adding({ body: 'keep +', pattern: '−' }, 'by');
const eased = (s: Speaker, result = 'by'): Speaker =>
  s
    .adding({ body: 'keep +', ease: 'keep +', pattern: '−' }, result)
    .adding({ body: 'keep +', ease: 'keep +' }, 'wanted');
const written = (s: Speaker): string =>
  `${name(s)}: ${s.len('body')} ${s.plus('ease')} ease − ${s.len('pattern')} on the pattern`;

/** A small amount at the bust is a matter of style. */
const optional = (s: Speaker): string =>
  s.text('verdict') === 'optional' ? ' Only if the style is fitted or drag lines show.' : '';

/** How much of a difference in height the bodice takes. */
const HEIGHT: Readonly<Record<string, string>> = {
  allOver: 'a quarter to a half of it lies in the bodice',
  torso: 'all of it in the torso, so a half to three quarters of it lies in the bodice',
  legs: 'all of it in the legs, so the bodice takes none of it; the hem may',
};

/** Sentences about sizes and amounts. */
export type FitReason = FitCode | SizeReason | AmountReason | LeaveReason | 'plan.meets';

/** Why this size, why this amount. */
export const FIT_WORDS = {
  'size.highBust.nearest': (s) =>
    `High bust ${s.len('measured')}: size ${s.text('size')} is drafted for ${s.len('chart')}, the nearest (${s.signed('difference')}). The high bust fits neck, shoulders and armholes, which are the hardest to change.`,
  'size.fullBust.nearest': (s) =>
    `Full bust ${s.len('measured')}: size ${s.text('size')} is drafted for ${s.len('chart')}, the nearest (${s.signed('difference')}).`,
  'size.fullBust.cost': (s) =>
    `Chosen so, the high bust of the draft is ${s.signed('excess')} against the body: neck and shoulders follow that.`,
  'size.hip.nearest': (s) =>
    `Hip ${s.len('measured')}: size ${s.text('size')} is drafted for ${s.len('chart')}, the nearest (${s.signed('difference')}). What hangs from the waist is chosen by the hip, the fullest part; the waist is graded to it.`,
  'bust.optional.loose': (s) =>
    `You may not need a full bust adjustment, because the style has room and the front lacks only ${s.signed('total')}.`,
  'bust.none.chart': (s) =>
    `You may not need a full bust adjustment, because the body differs from the draft by only ${s.signed('total')} over the whole front.`,
  'bust.none.ease': (s) =>
    `You may not need a full bust adjustment, because the garment measures ${s.len('finished')} at the bust: that leaves ${s.len('ease')} of ease on a body of ${s.len('body')}, ${s.signed('total')} against what is wanted.`,
  'size.cup': (s) =>
    `${s.text('others')} is drafted for about the same high bust; the cup of size ${s.text('size')}, ${s.len('cup')}, leaves less to alter.`,
  'size.tie.smaller': () => 'Two sizes are equally near; for a knit or a loose style the smaller is taken.',
  'size.tie.larger': () => 'Two sizes are equally near; for a fitted woven the larger is taken.',
  'size.below-chart': (s) => `The chart ends ${s.len('by')} above this measurement; the smallest size is taken.`,
  'size.above-chart': (s) => `The chart ends ${s.len('by')} below this measurement; the largest size is taken.`,
  'amount.why.finished.pieces': () =>
    'The pattern pieces are here, so the garment itself can be measured: body plus wanted ease, less the flat bust. That measures what matters.',
  'amount.why.finished.printed': () =>
    'The envelope prints the finished bust, so body plus wanted ease is compared with the garment itself.',
  'amount.why.finished.typed': () =>
    'The bust of the paper pieces was measured by hand, so body plus wanted ease is compared with the garment itself.',
  'amount.why.chart': () => 'No finished bust is known, so the full bust is compared with the size chart.',
  'amount.why.cup': () =>
    'Only the chart is known, so the difference of full and high bust is compared with the cup of the draft.',
  'amount.why.knit': () => 'Stretch gives part of the difference, so only a share is spread.',
  'amount.why.whole': () => 'Nothing else can be computed.',
  'amount.why.nothing': () => 'Full bust and high bust are needed for the sum.',
  'fit.length': (given) => {
    const s = less(given);
    return `${name(s)}: ${s.len('body')} measured − ${s.len('pattern')} on the pattern = ${s.signed('by')}${shared(s)}.`;
  },
  'fit.girth': (given) => {
    const s = eased(given);
    return `${name(s)}: ${s.len('body')} ${s.plus('ease')} ease = ${s.len('wanted')} wanted − ${s.len('pattern')} on the pattern = ${s.signed('by')}${shared(s)}.`;
  },
  'fit.room': (given) => {
    const s = given.adding({ pattern: '+', body: 'keep −' }, 'room');
    return `${name(s)}: ${s.len('pattern')} on the pattern − ${s.len('body')} measured leaves ${s.len('room')} of ease; ${s.len('enough')} is enough here.`;
  },
  'fit.lengths': (given) => {
    const s = given.adding({ other: '+', own: '−' }, 'by');
    return `${s.len('body')} tall asks for the lengths of size ${s.text('lengths')}; the widths are those of size ${s.text('size')}: nape to waist ${s.len('other')} − ${s.len('own')} = ${s.signed('by')}. A measured side or back beats it.`;
  },
  'fit.fallen': (s) =>
    `The bust step leaves the bust point ${s.len('far')} ${Number(s.text('by')) < 0 ? 'higher' : 'lower'} on the paper. Some leave it as it falls, others put the dart back to the wearer’s own height.`,
  'fit.bust': (given) => {
    const s = eased(given);
    return `${written(s)} = ${s.signed('by')} over the whole front, ${s.share('by', 2)} on each half.${optional(s)}`;
  },
  'fit.bust.knit': (given) => {
    const s = eased(given, 'whole');
    return `${written(s)} = ${s.signed('whole')}, and half of that for a knit: ${s.share('whole', 2)} over the whole front, ${s.share('whole', 4)} on each half.${optional(s)}`;
  },
  'fit.bust.cup': (s) =>
    `${name(s)}: ${s.signed('by')} over the whole front by chart or cup, ${s.share('by', 2)} on each half.${optional(s)}`,
  'fit.height': (given) => {
    const s = less(given);
    return `${s.len('body')} tall − ${s.len('pattern')} drafted = ${s.signed('by')}; ${HEIGHT[s.text('lies')] ?? HEIGHT['allOver']}${s.text('lies') === 'legs' ? '' : `: ${s.signed('each')} to begin with`}${Number(s.num('hung', 3)) > 0 ? `, less ${s.len('hung')} that the skirt pulls down` : ''}. A measured side or back beats it.`;
  },
  'fit.hung': (s) =>
    `What hangs from the waist will pull it down: ${s.signed('by')}, so that the waist hangs where the body has it.`,
  'fit.sizes': (s) =>
    `Waist ${s.len('body')} asks for size ${s.text('waistSize')}, hip ${s.len('hip')} for size ${s.text('hipSize')}; the bust is in size ${s.text('size')}.`,
  'plan.meets': (s) =>
    `Changes the same as ${s.text('first')} (${s.text('places')}): it works on what that step has left.`,
} satisfies Record<FitReason, Sentence>;

export const METHOD_WORDS: Readonly<Record<string, { readonly name: string; readonly when: string }>> = {
  finished: { name: 'Against the garment', when: 'When the pieces or their finished bust are known.' },
  chart: { name: 'Against the size chart', when: 'Full bust against the bust the size was drafted for.' },
  cup: { name: 'Cup against draft cup', when: 'When only the chart is known.' },
  whole: { name: 'The whole difference', when: 'Right only for a draft without a cup.' },
  knit: { name: 'For a knit', when: 'Stretchy cloth takes a share of the sum.' },
  own: { name: 'Your own', when: 'Typed, or dragged on the table.' },
};

export const TERM_WORDS: Readonly<Record<string, string>> = {
  'body.fullBust': 'full bust',
  'body.highBust': 'high bust',
  'ease.wanted': 'wanted ease',
  'pattern.pieces': 'flat bust of the pieces',
  'pattern.printed': 'finished bust, printed',
  'pattern.steps': 'by earlier steps',
  'pattern.typed': 'flat bust, measured by hand',
  'chart.fullBust': 'chart bust',
  'draft.cup': 'draft cup',
};

export const BODY_WORDS: Readonly<Record<BodyProblemCode, Sentence>> = {
  'measure-not-positive': () => 'A measurement must be more than nothing. Measure again.',
  'measure-looks-like-inches': (s) =>
    `${s.len('value')} is very little here. Did you mean ${s.text('inches')} inches (${s.len('meant')})?`,
  'measure-looks-like-cm': (s) =>
    `${s.len('value')} is very much here. Did you mean ${s.text('cm')} cm (${s.len('meant')})?`,
  'measure-unlikely': (s) =>
    `${s.len('value')} is outside what is usual (${s.len('lo')} to ${s.len('hi')}). Check it; keep it if it is right.`,
  'full-below-high': (s) =>
    `The full bust is ${s.len('by')} below the high bust. That can be; read both again to be sure.`,
  'full-far-below-high': (s) =>
    `The full bust is ${s.len('by')} below the high bust, which cannot be. One of the two was misread or they are swapped.`,
  'waist-far-above-bust': (s) => `The waist is ${s.len('by')} above the full bust. Check both readings.`,
  'set-old': (s) =>
    `These measurements are ${s.text('months')} months old. Bodies change: take them again before cutting, at least bust, waist and hip.`,
  'value-moved': (s) =>
    `${s.signed('by')} since the last set (${s.len('before')}). Take it again to be sure; if it is right, what was fitted before may not fit now.`,
  'sides-far-apart': (s) => `The right side differs by ${s.len('by')}. Measure both sides again to be sure.`,
  'value-carried': () => 'Carried over from the set before, not taken again.',
  'readings-far-apart': (s) =>
    `The two readings cannot both be right: ${s.len('first')} and ${s.len('second')}. Is one of them in inches? Correct it, or take both again.`,
  'readings-differ': (s) =>
    `The two readings differ by more than ${s.text('limit') || '1 cm'}: ${s.len('first')} and ${s.len('second')}. Take a third.`,
};
