import type { Habit } from '../fitting/plan/index.ts';
import { isTight, isTold, type Row, type Share } from '../fitting/compare/index.ts';
import { type ChartProblem, type ChartProblemCode, type Garment } from '../fitting/fit/index.ts';
import type { MeasurementKey } from '../pattern/index.ts';
import type { Solution, Unreached } from '../fitting/solve/index.ts';
import { formatLength, formatShare, shownSum, TOL, type ShownTerm } from '../units/index.ts';
import { MEASUREMENT_WORDS } from './measurements.ts';
import { ALTERATION_WORDS } from './alterations.ts';
import { counted, type Speaker, speaker, type Units, en, inWords } from '../speech/index.ts';

/** What an ease is remembered for. */
export const GARMENT_WORDS: Readonly<Record<Garment, string>> = {
  fittedWoven: 'fitted garments in woven cloth',
  looseWoven: 'loose garments in woven cloth',
  knit: 'garments in knit cloth',
};

/** Where a figure of the pattern column comes from. */
export const FLAT_WORDS: Readonly<Record<NonNullable<Row['from']>, string>> = {
  pieces: 'on the pieces',
  typed: 'measured by hand',
  printed: 'printed',
  chart: 'from the chart',
};

/** How a difference is shared out, as one writes it behind the sum. */
export function sayShare({ parts, why }: Share): string {
  switch (why) {
    case 'sides':
      return '÷ 4: each side edge';
    case 'seams':
      return `÷ ${parts}: each edge of the ${parts} around`;
    case 'bust':
      return '÷ 4 all round; on the front alone ÷ 2';
    case 'halves':
      return '÷ 2: each half';
    case 'armholes':
      return '÷ 2: front and back';
    case 'whole':
      return 'whole';
  }
}

/** Where to lay the tape on a paper piece for a flat measurement; on the seam line, never the cutting line. */
const WHERE: Readonly<Partial<Record<MeasurementKey, string>>> = inWords({
  fullBust:
    'From the centre through the bust point to the side, and across the back level with it, a finger on each dart; added up and doubled.',
  underbust: 'Across front and back a hand below the bust line, darts folded shut; added up and doubled.',
  waist: 'Along the waist seam line of front and back, dart mouths left out; added up and doubled.',
  highHip: 'Across front and back 7.5 cm (3 in) below the waist; added up and doubled.',
  hip: 'Across front and back at the hip line; added up and doubled.',
  neck: 'Along the neck seam line of front and back with the tape on its edge; doubled.',
  armhole: 'Along the armhole seam line of front and back with the tape on its edge.',
  shoulder: 'Along the front shoulder from the neck base to the shoulder point, on the seam line.',
  shoulderSlope: 'From a line square to the centre through the neck base down to the shoulder point.',
  crossBack: 'From the centre back across to the armhole, half-way down it; doubled.',
  crossFront: 'From the centre front across to the armhole, half-way down it; doubled.',
  napeToWaist: 'Down the centre back from the nape to the waist.',
  frontWaistLength: 'Down the centre front from the pit of the neck to the waist.',
  neckPointToBustPoint: 'From the neck base straight to the bust point.',
  bustPointToWaist: 'From the bust point straight down to the waist.',
  napeToBustPoint: 'Along the back neck, then from the neck base to the bust point.',
  napeToFrontWaist: 'The same, on down to the waist.',
  bustSpan: 'From the centre front across to the bust point; doubled.',
  napeToUnderarm: 'Down the centre back from the nape to the level of the underarm.',
  sideWaist: 'Down the side seam of the back from underarm to waist.',
  hipDepth: 'Down the side seam from waist to hip line.',
  upperArm: 'Across the sleeve at the underarm points.',
  wrist: 'Along the hem of a long sleeve; along the cuff without its overlap.',
  shoulderToElbow: 'From the top of the sleeve cap straight down to the elbow line.',
  shoulderToWrist:
    'From the top of the sleeve cap down to the elbow line, on from its middle to the hem, and down the cuff.',
  crotchDepth: 'Down the side of the front from the waist to the level of the crotch line, the widest place.',
  crotchLength:
    'Along the crotch seam of front and back with the tape on its edge, from the front waist to the back waist.',
  thigh: 'Across front and back 2.5 cm (1 in) below the crotch line; added up.',
  knee: 'Across front and back at the knee line; added up.',
  waistToKnee: 'Down the side seam of the front from the waist to the knee line.',
  outsideLeg: 'Down the side seam of the front from waist to hem.',
  skirtLength: 'Down the centre front of the skirt from waist to hem.',
});
export const whereFlat = (key: MeasurementKey): string =>
  WHERE[key] ?? `Measure ${MEASUREMENT_WORDS[key].name.toLowerCase()} on the pieces, on the seam lines.`;

/** One row of the worksheet as one writes the sum in pencil. */
export function saySum(row: Row, { unit, fraction }: Units): string {
  const len = (v: number, sign = false): string => formatLength(v, unit, { fraction, sign });
  const { body: measured, pattern, ease, wanted, difference } = shownRow(row, { unit, fraction });
  if (measured === null || pattern === null || difference === null || wanted === null) return '';
  if (row.easeFrom === 'room')
    return `${len(pattern)} ${FLAT_WORDS[row.from ?? 'pieces']} − ${len(measured)} = ${len(ease)} ease; ${len(row.wearing)} is enough`;
  const body =
    Math.abs(row.ease) < TOL.seam
      ? len(measured)
      : `${len(measured)} ${withSign(ease, len)} ease = ${len(wanted)} wanted`;
  const { parts } = row.share;
  const each = parts === 1 ? '' : ` → ÷ ${parts} = ${formatShare(difference, parts, unit, { fraction, sign: true })}`;
  return `${body} − ${len(pattern)} ${FLAT_WORDS[row.from ?? 'pieces']} = ${len(difference, true)}${each}`;
}

/** A row's lengths as they are shown: body, ease, wanted, pattern and difference add up as they stand there. */
export function shownRow(
  row: Row,
  { unit, fraction }: Units,
): Pick<Row, 'body' | 'ease' | 'wanted' | 'pattern' | 'difference'> {
  const { body, ease, wanted, pattern, difference } = row;
  if (body === null || wanted === null) return { body, ease, wanted, pattern, difference };
  const sum = (terms: readonly ShownTerm[], result: number): ReturnType<typeof shownSum> =>
    shownSum(terms, result, unit, fraction);
  const kept = (value: number): ShownTerm => ({ value, keep: true });
  if (row.easeFrom === 'room') {
    const room = sum([kept(pattern ?? wanted), kept(-body)], ease);
    const [has, less] = room.terms;
    return { body: -(less ?? -body), ease: room.result, wanted: has ?? wanted, pattern: has ?? pattern, difference };
  }
  const whole = sum([kept(body), kept(ease)], wanted);
  if (pattern === null || difference === null) return { body, ease, wanted: whole.result, pattern, difference };
  const left = sum([kept(whole.result), row.from === 'typed' ? kept(-pattern) : { value: -pattern }], difference);
  return { body, ease, wanted: whole.result, pattern: -(left.terms[1] ?? -pattern), difference: left.result };
}

const withSign = (v: number, len: (v: number) => string): string => `${v < 0 ? '−' : '+'} ${len(Math.abs(v))}`;

/** Why nothing is asked at a row, or what its ease is worth knowing for; empty where there is nothing to say. */
export function sayReason(row: Row, { unit, fraction }: Units): string {
  const len = (v: number): string => formatLength(v, unit, { fraction });
  if (row.easeFrom === 'untold' && row.from === 'pieces' && row.body !== null)
    return 'Not compared: neither chart nor pattern tells how low the underarm was drafted. Say it on Pattern, or use nape to waist.';
  if (row.difference === null) return '';
  const told = isTold(row) ? [] : [`Nothing to do: ${nothingBecause(row, len)}`];
  const tight = isTight(row)
    ? [`The pattern itself leaves only ${len(row.design ?? 0)} here; a body usually needs ${len(row.wearing)}.`]
    : [];
  const usual =
    row.easeFrom === 'usual' && row.ease !== 0
      ? ['The chart does not give this measurement, so the usual ease is taken.']
      : [];
  const hung =
    row.easeFrom === 'hung' ? ['What hangs from the waist pulls it down: that much is taken off as ease.'] : [];
  const fallen = sayFallen(row, { unit, fraction });
  const apart =
    Math.abs(row.apart) > row.within
      ? [
          `Measured from the waist up, the bust point lies ${len(Math.abs(row.apart))} ${row.apart > 0 ? 'lower' : 'higher'} than from the neck down. Take both again; the bust step goes by either.`,
        ]
      : [];
  return [
    ...told,
    ...tight,
    ...usual,
    ...hung,
    ...apart,
    ...(fallen === '' ? [] : [`${fallen} Plan offers to put the dart back to the wearer’s own height.`]),
  ].join(' ');
}

/** Where the bust point has gone with the paper over a fuller or smaller bust; empty where it stays. */
export function sayFallen({ fallen }: Pick<Row, 'fallen'>, { unit, fraction }: Units): string {
  if (Math.abs(fallen) < TOL.seam) return '';
  const way = fallen > 0 ? 'lower' : 'higher';
  return `The bust step leaves the bust point ${formatLength(Math.abs(fallen), unit, { fraction })} ${way} on the paper, as it falls.`;
}

function nothingBecause(row: Row, len: (v: number) => string): string {
  if (row.easeFrom === 'room') return `the design leaves ${len(row.ease)} of ease, and ${len(row.wearing)} is enough.`;
  return Math.abs(row.difference ?? 0) < TOL.seam
    ? 'the pattern fits this body here.'
    : `${len(Math.abs(row.difference ?? 0))} is within what a tape can tell (${len(row.within)}).`;
}

const namesOf = (ids: readonly string[], nameOf: (step: string) => string): string => ids.map(nameOf).join(' and ');

/** Why a difference is still there after solving, and what to do. */
export function sayUnreached(u: Unreached, { unit, fraction }: Units, nameOf: (step: string) => string): string {
  const name = MEASUREMENT_WORDS[u.key].name;
  const left = formatLength(u.left, unit, { fraction, sign: true });
  switch (u.why) {
    case 'no-step':
      return `${name}: ${left} is left. Nothing chosen changes it; add a step that does.`;
    case 'at-limit':
      return `${name}: ${left} is left. ${namesOf(u.steps, nameOf)} cannot go further; take another size, or a second step.`;
    case 'shared':
      return `${name}: ${left} is left. ${namesOf(u.steps, nameOf)} would undo ${u.others.map((k) => MEASUREMENT_WORDS[k].name.toLowerCase()).join(', ') || 'another difference'}; the rest is shared between them.`;
  }
}

/** What the solver did, in one sentence. */
export const saySolved = ({ amounts, unreached, before, after, rows: chosen }: Solution): string => {
  const open = (rows: readonly Row[]): number =>
    rows.filter((r) => chosen.includes(r.key) && r.left !== null && Math.abs(r.left) >= 0.5).length;
  const changed = amounts.filter((a) => Math.abs(a.to - a.from) >= 0.05).length;
  const [was, is] = [open(before), open(after)];
  if (changed === 0 && was === 0) return 'Nothing to change: the chosen differences are met as the plan stands.';
  const count = (n: number): string => (n === 1 ? 'one difference was' : `${n || 'no'} differences were`);
  const left = is === 0 ? 'none is left' : is === 1 ? 'one is left' : `${is} are left`;
  const reasons = unreached.length === 0 ? '' : ', for the reasons below';
  return `${counted(changed, 'amount')} changed: ${count(was)} open, ${left}${reasons}.`;
};

/** Why an alteration of earlier jobs is proposed, and what to mind. */
export function sayHabit(u: Habit, { unit, fraction }: Units): string {
  const words = ALTERATION_WORDS[u.done];
  const name = (u.by !== null && u.by < 0 ? words?.lapName : words?.name) ?? u.done;
  const amount = u.by === null ? '' : `, ${formatLength(u.by, unit, { fraction, sign: true })}`;
  const often = u.times === 1 ? `Done on ${u.pattern}` : `Done ${u.times} times, last on ${u.pattern}`;
  const not = u.alteration === null ? ' These pieces do not allow it.' : '';
  const how =
    u.alteration === null
      ? ''
      : Object.keys(u.values).length > 0
        ? ' Proposed with the amount of that time.'
        : ' The amount is worked out for this pattern.';
  const moved = u.moved
    .map((c) => `${MEASUREMENT_WORDS[c.key].name.toLowerCase()} ${formatLength(c.by, unit, { fraction, sign: true })}`)
    .join(', ');
  return `${often} (${name.toLowerCase()}${amount}).${not}${how}${moved ? ` The body has changed since: ${moved}. Look at it again.` : ''}`;
}

const CHART: Readonly<Record<ChartProblemCode, (s: Speaker) => string>> = {
  'chart-empty': () => 'Nothing to take in: copy at least a row of headings and a row of one size.',
  'chart-cell-not-a-length': (s) =>
    `Size ${s.text('size')}, “${s.text('column')}”: “${s.text('text')}” is not a length. The cell is left empty; type it below.`,
  'chart-column-unknown': (s) =>
    `“${s.text('column')}” is not a measurement known here, so that column is left out. Rename the heading to take it in.`,
  'chart-size-missing': (s) => `Row ${s.text('row')} names no size and is left out.`,
  'chart-size-repeated': (s) =>
    `Size ${s.text('size')} stands twice, again in row ${s.text('row')}. Rename one of them.`,
  'chart-looks-like-inches': (s) =>
    `${measured(s)} starts at ${s.len('first')}, which is very little. Was the chart in inches?`,
  'chart-looks-like-cm': (s) =>
    en`${measured(s)} starts at ${s.len('first')}, which is very much. Was the chart in centimetres?`,
  'chart-out-of-order': (s) =>
    `${measured(s)}, size ${s.text('size')}: ${s.len('value')} is less than ${s.len('more')} of size ${s.text('before')} before it. Check both cells.`,
  'chart-impossible': (s) =>
    `${measured(s)}, size ${s.text('size')}: ${s.len('value')} is not a length a body has. The cell is left empty; type it below.`,
  'chart-gap': (s) => `${measured(s)}, size ${s.text('size')}: the cell is empty while other sizes have a value.`,
};
const measured = (s: Speaker): string => MEASUREMENT_WORDS[s.text('key') as MeasurementKey].name;
/** What is odd about a size chart, with the cell it stands in. */
export const sayChartProblem = (p: ChartProblem, units: Units): string => CHART[p.code](speaker(p.data, units));
