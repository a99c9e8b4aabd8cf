import { pathLength } from '../geometry/index.ts';
import {
  bustPointOf,
  cutApart,
  requireEdge,
  seamsAfterSplit,
  type ChartRow,
  type Piece,
  type Seam,
} from '../pattern/index.ts';
import { divideAtDarts, rotateDart, type RotationTarget } from '../paper/truing/index.ts';
import { expectOk } from '../units/index.ts';
import { draftBack, draftFront } from './bodice.ts';
import { draftFittedSleeve, draftShirtSleeve } from './longSleeve.ts';
import {
  bodiceSeams,
  dressSeams,
  fittedSleeveSeams,
  seam,
  sheathSeams,
  shirtSleeveSeams,
  trouserSeams,
  yokedShirtSeams,
} from './seams.ts';
import { draftCollar, draftStand } from './collar.ts';
import { draftShirt } from './shirt.ts';
import { draftSheath } from './sheath.ts';
import { draftSkirt } from './skirt.ts';
import { draftSleeve } from './sleeve.ts';
import { draftTop } from './tops.ts';
import { draftBand, draftFacing, draftFly, draftPocket, draftWaistband } from './trimmings.ts';
import { draftTrousers } from './trousers.ts';

/** The pieces of one garment in one size, and the seams between them. */
export interface Drafted {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
}

/** The darted bodice to the waist. */
function bodice(row: ChartRow): Drafted {
  const front = draftFront(row);
  return { pieces: [front, draftBack(row, front)], seams: bodiceSeams };
}

/** The bodice with a long fitted sleeve. */
export function longSleeved(row: ChartRow): Drafted {
  const [front, back] = bodice(row).pieces as [Piece, Piece];
  return { pieces: [front, back, draftFittedSleeve(row, front, back)], seams: fittedSleeveSeams };
}

/** The bodice with a long sleeve gathered into a cuff. */
export function cuffed(row: ChartRow): Drafted {
  const [front, back] = bodice(row).pieces as [Piece, Piece];
  return { pieces: [front, back, ...draftShirtSleeve(row, front, back)], seams: shirtSleeveSeams };
}

/** The whole dress: bodice, set-in sleeve, A-line skirt, neck facings and a pocket in the side seam. */
export function dress(row: ChartRow): Drafted {
  const [front, back] = bodice(row).pieces as [Piece, Piece];
  const skirt = draftSkirt(row, front, back);
  return {
    pieces: [
      front,
      back,
      draftSleeve(row, front, back),
      ...skirt,
      draftFacing(front),
      draftFacing(back),
      draftPocket(skirt[0]),
    ],
    seams: dressSeams,
  };
}

/** Straight trousers with a waistband, a fly in front and pockets in the side seams. */
export function trousers(row: ChartRow): Drafted {
  const [front, back] = draftTrousers(row);
  return {
    pieces: [front, back, draftWaistband(front, back), draftFly(front), draftPocket(front)],
    seams: trouserSeams,
  };
}

/** A sheath without sleeves, in one from shoulder to hem, and its neck facings. */
export function sheath(row: ChartRow): Drafted {
  const [front, back] = draftSheath(row);
  return { pieces: [front, back, draftFacing(front), draftFacing(back)], seams: sheathSeams };
}

/** A child’s loose top with short sleeves and a straight band around the neck, which lies off it. */
export function childTop(row: ChartRow): Drafted {
  const [drawn, whole] = draftTop(row, { ease: CHILD.ease, dart: false, neck: CHILD.neck });
  const named = (piece: Piece, id: string): Piece => ({
    ...piece,
    marks: piece.marks.map((m) => (m.id === 'armhole' ? { ...m, id } : m)),
  });
  const [front, back] = [named(drawn, 'armholeFront'), named(whole, 'armholeBack')];
  return {
    pieces: [front, back, draftSleeve(row, front, back, CHILD.sleeve), draftBand(front, back)],
    seams: [
      ...topSeams(['side']),
      ...dressSeams.filter((s) => s.kind === 'armhole' || s.id === 'sleeve underarm'),
      ...bandSeams,
    ],
  };
}
export const CHILD = { ease: 70, sleeve: 80, neck: { out: 18, front: 30, back: 10 } } as const;

const bandSeams: readonly Seam[] = [
  seam('band front', 'neck', ['front', ['neck']], ['band', ['neckFront'], true]),
  seam('band back', 'neck', ['back', ['neck'], true], ['band', ['neckBack']]),
];

/** A loose shirt with a straight band around the neck. */
export function shirt(row: ChartRow): Drafted {
  const [front, back] = draftTop(row, { ease: 110, dart: false });
  return {
    pieces: [front, back, draftBand(front, back)],
    seams: [...topSeams(['side']), ...bandSeams],
  };
}

/** The views of the shirt: what both take is named in neither. */
export const SHIRT_VIEWS = [
  { name: 'A: collar, long sleeves', pieces: ['sleeve', 'cuff', 'collar'] },
  { name: 'B: stand alone, short sleeves', pieces: ['shortSleeve'] },
];

/** A shirt with a yoke, buttoned in front, its facing cut on, with collar and stand, long sleeves and a shirt tail. */
export function yokedShirt(row: ChartRow): Drafted {
  const [front, whole] = draftShirt(row);
  const [yoke, back] = cutApart(whole) as [Piece, Piece];
  const stand = draftStand(front, yoke);
  return {
    pieces: [
      ...[front, yoke, back, ...draftShirtSleeve(row, front, whole)],
      { ...draftSleeve(row, front, whole), id: 'shortSleeve', name: 'Short sleeve' },
      ...[stand, draftCollar(stand)],
    ],
    seams: yokedShirtSeams,
  };
}

/** The bodice with its side dart turned wholly into another place of the front. */
export const turned =
  (target: (front: Piece) => RotationTarget) =>
  (row: ChartRow): Drafted => {
    const { pieces, seams } = bodice(row);
    const [front, ...others] = pieces as [Piece, ...Piece[]];
    const done = turn(front, 'sideDart', target(front));
    return { pieces: [done.piece, ...others], seams: done.split ? seamsAfterSplit(seams, 'front', done.split) : seams };
  };

const turn = (front: Piece, dart: string, target: RotationTarget) =>
  expectOk(rotateDart(front, dart, target, bustPointOf(front) ?? { x: 0, y: 0 }), `sample ${front.id} ${dart}`);

/** A place so far along an edge, as a share of it. */
export const along =
  (edge: string, share: number) =>
  (piece: Piece): RotationTarget => ({
    kind: 'edge',
    edge,
    at: pathLength(requireEdge(piece, edge).path) * share,
  });

/** Shoulder and side of a top; the front’s side by its edges. */
export const topSeams = (front: readonly string[]): readonly Seam[] => [
  seam('shoulder', 'shoulder', ['front', ['shoulder']], ['back', ['shoulder'], true]),
  seam('side', 'side', ['front', front], ['back', ['side'], true]),
];

/** A top whose side dart is turned low into the side seam. */
export function frenchTop(row: ChartRow): Drafted {
  const [front, back] = draftTop(row, { ease: 70, dart: true });
  const done = turn(front, 'sideDart', along('sideLower', 0.5)(front));
  const seams = topSeams(['sideUpper', 'sideLower']);
  const seamed: Piece = { ...back, cut: 2, fold: null };
  return { pieces: [done.piece, seamed], seams: done.split ? seamsAfterSplit(seams, 'front', done.split) : seams };
}

const CENTRE = { name: 'Centre front' };
const SIDE = { id: 'sideFront', name: 'Side front', part: 'sideFront' } as const;
const BACK_SIDE = { id: 'sideBack', name: 'Side back', part: 'sideBack' } as const;

/** The bodice cut into panels: the darts of front and back become the princess seams. */
export function princess(row: ChartRow, from: 'armhole' | 'shoulder'): Drafted {
  const [front, back] = bodice(row).pieces as [Piece, Piece];
  const apex = bustPointOf(front) ?? { x: 0, y: 0 };
  const shoulderShare = pathLength(requireEdge(back, 'shoulderNeck').path) / SHOULDER(back);
  const upper = turn(
    front,
    'sideDart',
    from === 'armhole' ? along('armhole', 0.46)(front) : along('shoulder', shoulderShare)(front),
  );
  const f = divideAtDarts(upper.piece, upper.dart.id, 'waistDart', [apex], { centre: CENTRE, side: SIDE });
  const waist = back.darts.find((d) => d.id === 'waistDart');
  const shoulder = back.darts.find((d) => d.id === 'shoulderDart');
  if (!waist || !shoulder) throw new Error('princess: expected shoulder and waist dart on the back');
  // From the armhole: two fifths of the back's shoulder dart go into the seam, the rest stays at the shoulder.
  const backUpper =
    from === 'armhole'
      ? expectOk(rotateDart(back, 'shoulderDart', along('armhole', 0.5)(back), waist.tip, 0.4, 0), 'princess back')
      : null;
  const b = divideAtDarts(
    backUpper?.piece ?? back,
    backUpper?.dart.id ?? 'shoulderDart',
    'waistDart',
    backUpper ? [waist.tip] : [shoulder.tip, waist.tip],
    { centre: { name: 'Centre back' }, side: BACK_SIDE },
  );
  const shoulders: readonly Seam[] =
    from === 'armhole'
      ? [seam('shoulder', 'shoulder', ['front', ['shoulder']], ['back', ['shoulderNeck', 'shoulderArm'], true])]
      : [
          seam('shoulder', 'shoulder', ['front', ['shoulder']], ['back', ['shoulderNeck'], true]),
          seam('shoulder side', 'shoulder', ['sideFront', ['shoulder 2']], ['sideBack', ['shoulderArm'], true]),
        ];
  return {
    pieces: [f.centre, f.side, b.side, b.centre],
    seams: [
      ...shoulders,
      seam('side', 'side', ['sideFront', ['sideUpper', 'sideLower']], ['sideBack', ['side'], true]),
      seam('princess front', 'princess', ['front', ['princess']], ['sideFront', ['princess'], true]),
      seam('princess back', 'princess', ['back', ['princess'], true], ['sideBack', ['princess']]),
    ],
  };
}
const SHOULDER = (back: Piece): number =>
  ['shoulderNeck', 'shoulderArm'].reduce((n, e) => n + pathLength(requireEdge(back, e).path), 0);
