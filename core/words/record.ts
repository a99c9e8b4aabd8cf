import type { Draft } from '../fitting/plan/index.ts';
import { diagramOf, type Diagram, type PrintedRecord } from '../out/index.ts';
import { type Fitting, type Job, type Wearer } from '../documents/index.ts';
import { newestFirst } from '../fitting/fit/index.ts';
import type { MeasurementKey, Pattern } from '../pattern/index.ts';
import { becameOf, inOrderOfDate } from '../fitting/toile/index.ts';
import { formatLength } from '../units/index.ts';
import { sayAnswer } from './causes.ts';
import { printable } from './label.ts';
import { MEASUREMENT_WORDS } from './measurements.ts';
import type { Units } from '../speech/index.ts';
import { FITTING_WORDS, RESULT_WORDS, SIDE_WORDS, SYMPTOM_WORDS, VERDICT_WORDS } from './symptoms.ts';
import { stepAmount, stepName } from './slip.ts';

/** As many as stand beside each other and can still be read. */
const DRAWN = 5;

/** The record of a job in words a printer can set; lengths in the chosen unit. */
export function recordOf(
  job: Pick<Job, 'title' | 'fabric' | 'due' | 'finished' | 'notes' | 'fittings'>,
  wearer: Pick<Wearer, 'name' | 'sets'>,
  pattern: Pick<Pattern, 'name' | 'house' | 'number'>,
  draft: Draft,
  units: Units,
  today: string,
): PrintedRecord {
  const len = (v: number): string => formatLength(v, units.unit, { fraction: units.fraction });
  const measured = newestFirst(wearer.sets)[0]?.date;
  const facts: readonly (readonly [string, string])[] = [
    ['Wearer', wearer.name],
    ['Pattern', [pattern.house, pattern.number && `No. ${pattern.number}`, pattern.name].filter(Boolean).join(' ')],
    ['Size', [draft.size ?? 'not chosen', draft.cup && `cup ${draft.cup}`].filter(Boolean).join(', ')],
    ['Cloth', job.fabric || 'not noted'],
    ['Measured', measured ?? 'not measured'],
    ...(job.due ? [['Due', job.due] as const] : []),
    ...(job.finished ? [['Finished', job.finished] as const] : []),
    ['Printed', today],
  ];
  // With paper only the pieces are merely like it: the hand sheets draw them, the record does not.
  const drawings = draft.paper
    ? []
    : draft.pieces.flatMap((piece): readonly Diagram[] => {
        const before = draft.original.find((p) => p.id === piece.id);
        return before === piece || (before && JSON.stringify(before) === JSON.stringify(piece))
          ? []
          : [diagramOf({ piece, ghost: before })];
      });
  return printableRecord({
    title: [job.title || 'Untitled', wearer.name].join(', '),
    facts,
    measurements: (Object.entries(draft.body) as [MeasurementKey, number][]).map(([key, v]) => {
      const right = draft.right?.[key] ?? v;
      return [MEASUREMENT_WORDS[key].name, right === v ? len(v) : `${len(v)} left, ${len(right)} right`];
    }),
    steps: draft.steps
      .filter((s) => s.step.on)
      .map((s) => ({
        name: stepName(s),
        amount: stepAmount(s, units),
        note: s.outcome.ok ? '' : 'Could not be carried out.',
      })),
    drawings: drawings.slice(0, DRAWN),
    fittings: inOrderOfDate(job.fittings).map((f) => fittingLines(f, job.fittings, units)),
    notes: job.notes,
  });
}

function fittingLines(f: Fitting, all: readonly Fitting[], units: Units): PrintedRecord['fittings'][number] {
  const seen = f.observations.map((o) => {
    const pinned =
      o.pinned === null
        ? ''
        : `, ${formatLength(o.pinned, units.unit, { fraction: units.fraction })}${f.kind === 'form' ? '' : ' pinned'}`;
    const side = o.side === 'both' ? '' : `, ${SIDE_WORDS[o.side]}`;
    const done = o.answers.map((a) => sayAnswer(a, units)).join('; ');
    const became = becameOf(all, o)
      .map((b) => `${b.fitting.date} ${RESULT_WORDS[b.result]}`)
      .join('; ');
    return `${SYMPTOM_WORDS[o.sign].name}${side}${pinned}${done ? ` → ${done}` : ''}${became ? ` (${became})` : ''}${o.note ? `. ${o.note}` : ''}`;
  });
  const worn = (
    [
      ['Sitting', f.sitting],
      ['Arms forward', f.armsForward],
      ['Walking', f.walking],
    ] as const
  ).flatMap(([name, text]) => (text ? [`${name}: ${text}`] : []));
  return {
    // Nothing sewn was judged on the form.
    heading: `${FITTING_WORDS[f.kind]}, ${f.date}${f.kind === 'form' ? '' : `: ${VERDICT_WORDS[f.verdict].toLowerCase()}`}`,
    lines: [...seen, ...worn, ...(f.notes ? [f.notes] : [])],
  };
}

/** The shipped fonts have neither arrow nor inch sign. */
const settable = (text: string): string => printable(text).replaceAll(' → ', ': ');
function printableRecord(r: PrintedRecord): PrintedRecord {
  return {
    ...r,
    title: settable(r.title),
    facts: r.facts.map(([a, b]) => [a, settable(b)]),
    measurements: r.measurements.map(([a, b]) => [a, settable(b)]),
    steps: r.steps.map((s) => ({ name: settable(s.name), amount: settable(s.amount), note: s.note })),
    fittings: r.fittings.map((f) => ({ heading: settable(f.heading), lines: f.lines.map(settable) })),
    notes: settable(r.notes),
  };
}
