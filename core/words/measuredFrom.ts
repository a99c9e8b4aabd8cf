import { underarmDropOf } from '../fitting/fit/index.ts';
import { buttonsOf, neckAway, type Pattern, type Piece } from '../pattern/index.ts';
import { ADVICE, formatLength } from '../units/index.ts';
import { counted, type Units, en } from '../speech/index.ts';

/**
 * Where the body lies in the pieces of a size, as far as it lies elsewhere than their edges: the neck inside a neckline,
 * the centre inside a facing, the underarm above a low armhole. Empty where edges and body agree.
 */
export function sayMeasuredFrom(pattern: Pattern, size: string | null, units: Units): readonly string[] {
  const pieces = (size === null ? undefined : pattern.sizes[size]) ?? [];
  const front = pieces.find((p) => p.part === 'front');
  const back = pieces.find((p) => p.part === 'back');
  return [
    ...sayNeck(front, back, units),
    ...pieces.flatMap((p) => (p.beyond ? [sayCentre(p)] : [])),
    ...pieces.flatMap((p) => sayButtons(p, units)),
    ...sayUnderarm(pattern, size, pieces, units),
  ];
}

function sayNeck(front: Piece | undefined, back: Piece | undefined, { unit, fraction }: Units): readonly string[] {
  const len = (v: number): string => formatLength(v, unit, { fraction });
  const out = [front, back].flatMap((p) => (p ? [neckAway(p).out] : []));
  const told = [
    ...(out.some((v) => v !== 0) ? [`${len(Math.max(...out))} out from the neck at the shoulder`] : []),
    ...(front && neckAway(front).below !== 0 ? [`${len(neckAway(front).below)} below the pit of the neck`] : []),
    ...(back && neckAway(back).below !== 0 ? [`${len(neckAway(back).below)} below the nape`] : []),
  ];
  if (told.length === 0) return [];
  const list = told.length === 1 ? told[0] : `${told.slice(0, -1).join(', ')} and ${told.at(-1)}`;
  return [
    `The neckline lies ${list}. Shoulder, back waist and bust height are measured from the neck, not from its edge.`,
  ];
}

const sayCentre = (p: Piece): string =>
  en`The centre of “${p.name}” lies inside the paper: girths are measured from there. Extension and facing beyond it go along with every step.`;

function sayButtons(piece: Piece, { unit, fraction }: Units): readonly string[] {
  const at = buttonsOf(piece);
  const { buttons } = piece;
  if (!buttons || at.length === 0) return [];
  const pitch = at.slice(1).map((p, i) => p.y - (at[i]?.y ?? 0));
  const [least, most] = [Math.min(...pitch), Math.max(...pitch)];
  const len = (v: number): string => formatLength(v, unit, { fraction });
  const apart =
    pitch.length === 0
      ? ''
      : len(least) === len(most)
        ? `, ${len(least)} apart`
        : `, ${len(least)} to ${len(most)} apart`;
  const places = [
    ...(buttons.atBust ? ['one level with the bust'] : []),
    ...(buttons.atWaist ? ['one at the waist'] : []),
  ];
  const where = places.length === 0 ? '' : `, ${places.join(' and ')}`;
  return [en`${counted(at.length, 'button')} on the centre${apart}${where}; they follow when lengths change.`];
}

function sayUnderarm(pattern: Pattern, size: string | null, pieces: readonly Piece[], units: Units): readonly string[] {
  if (pieces.length === 0) return [];
  const drop = underarmDropOf(pattern, size, { pieces, seams: pattern.seams });
  if (drop === null || Math.abs(drop) < ADVICE.neckAway) return [];
  const { unit, fraction } = units;
  return [
    `The underarm is drafted ${formatLength(Math.abs(drop), unit, { fraction })} ${drop > 0 ? 'below' : 'above'} the body’s. Armhole depth and side are compared with that.`,
  ];
}
