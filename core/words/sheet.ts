import { isBefore, type Frame, type Run } from '../alterations/index.ts';
import type { DraftStep } from '../fitting/plan/index.ts';
import { diagramOf, type Diagram } from '../out/index.ts';
import { movePath } from '../geometry/index.ts';
import { formatLength } from '../units/index.ts';
import { cautionsFor } from './cautions.ts';
import { sayFinding, sayStep } from './speak.ts';
import { CUT_TO, type Units } from '../speech/index.ts';
import { printable } from './label.ts';
import { stepAmount, stepName } from './slip.ts';
import { STAGE_WORDS } from './steps.ts';

/** One stage of the hands' work: what to do, numbered, and the drawings that go with it. */
export interface SheetStage {
  readonly heading: string;
  readonly lines: readonly string[];
  readonly diagrams: readonly Diagram[];
}

/** The hand sheet of one alteration: everything in it comes from the program that was carried out. */
export interface HandSheet {
  readonly title: string;
  readonly amount: string;
  readonly stages: readonly SheetStage[];
  readonly checks: readonly string[];
  /** What to mind while doing it. */
  readonly cautions: readonly string[];
}

/** What is done to a waist dart that happens to be there; a piece that is only like the one drawn on may have none. */
const IF_THERE: ReadonlySet<string> = new Set([
  'fba.waistDart.keep',
  'fba.waistDart.retip',
  'fba.waistDart.wider',
  'fba.waistDart.narrower',
  'fba.true.capWaist',
]);
/** The alteration that is done in the waist dart: there it is. */
const IN_WAIST_DART = 'full-bust-waist-dart';
const WITHOUT: Readonly<Record<string, string>> = {
  'fba.waistDart.wider':
    ' If it has none, the waist comes out so much wider: take it in at the side seam, or leave it.',
  'fba.waistDart.narrower': ' If it has none, the waist comes out so much narrower: let it out at the side seam.',
};
const ifThere = (line: string, code: string): string =>
  `If your piece has a waist dart: ${line.charAt(0).toLowerCase()}${line.slice(1)}${WITHOUT[code] ?? ''}`;

/**
 * The hand sheet of a step; null where the step is off or refused. On paper only it is worked out on a piece like one's
 * own, so features only some of those pieces have are introduced with “if”.
 */
export function handSheet(step: DraftStep, units: Units, onPaper = false): HandSheet | null {
  if (!step.step.on || !step.outcome.ok) return null;
  const run = step.outcome.value;
  const asked = onPaper && step.step.alteration !== IN_WAIST_DART;
  return {
    title: stepName(step),
    amount: stepAmount(step, units),
    stages: run.frames.flatMap((frame, i): readonly SheetStage[] => {
      if (frame.messages.length === 0) return [];
      return [
        {
          heading: stageName(frame),
          lines: frame.messages.map((m) => {
            const line = sayStep(m, units);
            return asked && IF_THERE.has(m.code) ? ifThere(line, m.code) : line;
          }),
          diagrams: frame.stage === 'match' ? [] : diagramsOf(run, i, units),
        },
      ];
    }),
    checks: run.findings.map((f) => sayFinding(f, units)),
    cautions: cautionsFor(run.frames.some((f) => f.stage === 'cut' && f.messages.length > 0) ? 'sheet' : 'trace'),
  };
}

export const stageName = (frame: Pick<Frame, 'stage' | 'laps'>): string => {
  const words = STAGE_WORDS[frame.stage];
  return (frame.laps ? words?.lapName : undefined) ?? words?.name ?? frame.stage;
};

/** The pieces as they lie at the end of a stage; those that nothing has happened to yet are left out. */
export function diagramsOf(run: Run, index: number, units: Units): readonly Diagram[] {
  const frame = run.frames[index];
  if (!frame) return [];
  const early = isBefore(frame.stage, 'open');
  return frame.pieces
    .filter((p, i) => i === 0 || p.lines.length > 0 || p.panels.length > 0 || !early)
    .map((p) =>
      diagramOf({
        piece: p.piece,
        ghost: early ? undefined : run.changes.find((c) => c.piece === p.piece.id)?.original,
        lines: p.lines,
        points: p.points,
        gaps: p.gaps,
        dimensions:
          frame.stage === 'open' || frame.stage === 'level'
            ? p.dimensions.map((d) => ({
                from: d.from,
                to: d.to,
                text: formatLength(d.value, units.unit, { fraction: CUT_TO }),
              }))
            : [],
        panels:
          frame.stage === 'open' || frame.stage === 'level' ? p.panels.map((x) => movePath(x.outline, x.motion)) : [],
      }),
    );
}

/** The sheet as the shipped fonts can print it. */
export function printableSheet(sheet: HandSheet): HandSheet {
  return {
    title: printable(sheet.title),
    amount: printable(sheet.amount),
    checks: sheet.checks.map(printable),
    cautions: sheet.cautions,
    stages: sheet.stages.map((s) => ({
      heading: s.heading,
      lines: s.lines.map(printable),
      diagrams: s.diagrams.map((d) => ({
        ...d,
        shapes: d.shapes.map((x) => (x.kind === 'dimension' ? { ...x, text: printable(x.text) } : x)),
      })),
    })),
  };
}
