import { runAlteration, type AlterationDefinition, type Context, type Values } from '@ample/core/alterations';
import { flatten, nearestOnPath } from '@ample/core/geometry';
import { outlineOf, type Piece } from '@ample/core/pattern';
import { expectOk } from '@ample/core/units';
import { sayRefusal, type Units } from '@ample/core/words';

/** An outline may come back this near and count as the same, mm. */
export const SAME = 1;

const FAIRED = 'what was drawn again after the cut is a fair curve, and a second fair curve is not the first line.';
/** Why the way back does not end where it began, where that is not the fairing alone. */
const WHY: Readonly<Record<string, string>> = {
  'full-bust-side-dart': 'the waist is given its width back at the side seam, which is drawn anew both times.',
  'full-bust-no-dart': 'the side and the hem are drawn anew, and a dart that was made is narrowed, not taken away.',
  'full-bust-raglan': 'a dart that was made is narrowed, not taken away.',
  'full-bust-cut-on-sleeve': 'a dart that was made is narrowed, not taken away.',
  'full-bust-princess-armhole': 'the paper goes in along the hinge and comes out beside the seam: other lines are cut.',
  'full-bust-princess-shoulder':
    'the paper goes in along the hinge and comes out beside the seam: other lines are cut.',
};

function apart(a: Piece, b: Piece): number {
  const [p, q] = [outlineOf(a), outlineOf(b)];
  const far = (from: typeof p, to: typeof p): number =>
    flatten(from, 0.05).reduce((worst, at) => Math.max(worst, nearestOnPath(to, at).distance), 0);
  return Math.max(far(p, q), far(q, p));
}

/** What becomes of a piece that is altered and altered back by the same amount; null where there is no way back. */
export function thereAndBack(d: AlterationDefinition, context: Context, values: Values, units: Units): string | null {
  const param = d.params.find((p) => p.key === d.amount);
  if (param?.kind !== 'length' || param.min >= 0) return null;
  const keys = d.amounts ?? [param.key];
  const inverse = Object.fromEntries(
    Object.entries(values).map(([k, v]) => [k, typeof v === 'number' && keys.includes(k) ? -v : v]),
  );
  const there = expectOk(runAlteration(d, context, values), d.id);
  const back = runAlteration(d, { ...context, pieces: there.pieces, seams: there.seams }, inverse);
  if (!back.ok) return `Taking it back by the same step is refused: ${sayRefusal(back.error, units)}`;
  const off = context.pieces.reduce((worst, p) => {
    const now = back.value.pieces.find((q) => q.id === p.id);
    return now && now !== p ? Math.max(worst, apart(p, now)) : worst;
  }, 0);
  const within = `${(Math.ceil(off * 10) / 10).toFixed(1)} mm`;
  return off <= SAME
    ? `Taken back by the same amount, every outline lies within ${within} of where it was.`
    : `Taken back by the same amount, the outlines come within ${within} of where they were, and no nearer: ${WHY[d.id] ?? FAIRED} Undo the step instead.`;
}
