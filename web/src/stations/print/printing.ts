import type { Draft } from '@ample/core/fitting/plan';
import { drawPatch, drawPiece, type PieceDrawing } from '@ample/core/out';
import { addedPaper, patchPlan, untouchedFor, type PatchPlan } from '@ample/core/out/patch';
import type { Pattern } from '@ample/core/pattern';
import { handSheet, labelChanges, printableSheet, sayPaper, sayPatches, type Units } from '@ample/core/words';
import textFont from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff?url';
import boldFont from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-700-normal.woff?url';
import { today } from '../../lib/time.ts';
import type { usePrefs } from '../../store/prefs.ts';
import type { PdfRequest } from '../../workers/protocol.ts';

export const PRINT_FONTS = { text: textFont, bold: boldFont };

/** What goes onto the pages: whole pieces, or patches with the pieces that are better printed whole. */
export interface ToPrint {
  readonly drawings: readonly PieceDrawing[];
  readonly plan: PatchPlan | null;
}
export function toPrint(draft: Draft, left: readonly string[], printed: 'pieces' | 'patches'): ToPrint {
  // Pieces like one's own are no pattern: with paper only, sheets alone are printed.
  const pieces = draft.paper === null ? draft.pieces.filter((p) => !left.includes(p.id)) : [];
  if (printed === 'pieces') return { drawings: pieces.map(drawPiece), plan: null };
  const plan = patchPlan(pieces, draft.untouched);
  return { drawings: [...plan.patches.map(drawPatch), ...plan.whole.map((w) => drawPiece(w.piece))], plan };
}

interface Job {
  readonly wearer: string;
  readonly pattern: Pattern;
  readonly draft: Draft;
  readonly words: Readonly<Record<string, string>>;
}

/** Everything the PDF of a job is made from. */
export function pdfRequest(
  { wearer, pattern, draft, words }: Job,
  { drawings, plan }: ToPrint,
  prefs: Pick<ReturnType<typeof usePrefs.getState>, 'paper' | 'turn' | 'apart' | 'lines' | 'withSheet'>,
  units: Units,
): PdfRequest {
  const onPaper = draft.paper !== null;
  return {
    drawings,
    original: onPaper ? [] : untouchedFor(draft.pieces, draft.untouched),
    added: prefs.lines.includes('added') && !onPaper ? Object.fromEntries(addedPaper(draft)) : {},
    // The edge of a patch is always drawn: a patch cannot be cut without it.
    show: [...prefs.lines.filter((l) => l !== 'patch'), 'patch'],
    paper: prefs.paper,
    turn: prefs.turn,
    apart: prefs.apart,
    label: {
      wearer,
      pattern: pattern.name,
      size: draft.size ?? '',
      date: today(),
      changes: labelChanges(draft.steps, units),
      words,
    },
    notes: [...(onPaper ? [sayPaper(draft)] : []), ...(plan ? sayPatches(plan) : [])],
    sheets:
      prefs.withSheet || onPaper
        ? draft.steps.flatMap((s) => handSheet(s, units, onPaper) ?? []).map(printableSheet)
        : [],
    fonts: PRINT_FONTS,
  };
}
