import { edgesWithRole, partsOfSide, TROUSERS, type EdgeRole, type Piece, type Seam } from '../pattern/index.ts';
import { ok, refuse, type Result } from '../units/index.ts';

/** The pieces of a garment that are sewn for the form, and the seams between them. */
export interface Garment {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  /** Sleeves set into an armhole are sewn in too, where there are any. */
  readonly sleeves?: boolean;
}

/** The set-in sleeve of a garment: whose cap is sewn to pieces that are there, and which closes around an arm. None is a list without any. */
export function setInSleeves(pieces: readonly Piece[], seams: readonly Seam[]): readonly Piece[] {
  const ids = new Set(pieces.filter((p) => !LEFT_OUT.includes(p.part)).map((p) => p.id));
  const sewnIn = (sleeve: Piece): boolean =>
    seams.some(
      (s) =>
        s.kind === 'armhole' &&
        [s.first, s.second].flatMap(partsOfSide).some((side) => side.piece === sleeve.id) &&
        [s.first, s.second].flatMap(partsOfSide).some((side) => ids.has(side.piece)),
    );
  // Of a long and a short one for the same armhole the first is worn.
  return pieces.filter((p) => p.part === 'sleeve' && sewnIn(p) && closes(p, seams)).slice(0, 1);
}

/** The raglan sleeve a garment hangs by: sewn to a front and a back of it, and closed around the arm. None is a list without any. */
export function raglanSleeves(pieces: readonly Piece[], seams: readonly Seam[]): readonly Piece[] {
  const ids = new Set(sewnPieces(pieces).map((p) => p.id));
  const sewnTo = (sleeve: Piece): ReadonlySet<string> =>
    new Set(
      seams
        .filter((s) => s.kind === 'raglan')
        .map((s) => [s.first, s.second].flatMap(partsOfSide).map((side) => side.piece))
        .filter((sides) => sides.includes(sleeve.id))
        .flatMap((sides) => sides.filter((id) => ids.has(id))),
    );
  return pieces.filter((p) => p.part === 'sleeve' && sewnTo(p).size > 1 && closes(p, seams)).slice(0, 1);
}

/** The underarm seam makes a sleeve a tube; one of two pieces is not. */
const closes = (sleeve: Piece, seams: readonly Seam[]): boolean =>
  seams.some((s) => [s.first, s.second].every((side) => side.piece === sleeve.id));

/** A front or back that runs on into a sleeve. */
export const hasCutOnSleeve = (piece: Piece): boolean =>
  piece.part !== 'sleeve' && edgesWithRole(piece, 'underarm').length > 0 && edgesWithRole(piece, 'shoulder').length > 0;

/** Whether a garment is worn with the arms on: under sleeves that are wanted, or without which it does not hang. */
export const wearsArms = ({ pieces, seams, sleeves }: Garment): boolean =>
  sewnPieces(pieces).some(hasCutOnSleeve) ||
  raglanSleeves(pieces, seams).length > 0 ||
  (sleeves === true && setInSleeves(pieces, seams).length > 0);

/** Parts that lie on others or hang from them: the body of a garment is looked at without them. */
const LEFT_OUT: readonly Piece['part'][] = [
  'facingFront',
  'facingBack',
  'flyFacing',
  'pocket',
  'sleeve',
  'cuff',
  'collar',
  'band',
  'waistband',
  'other',
];
export const sewnPieces = (pieces: readonly Piece[]): readonly Piece[] =>
  pieces.filter((p) => !LEFT_OUT.includes(p.part));

/** Whether these pieces are worn on legs. */
export const haveLegs = (pieces: readonly Piece[]): boolean => pieces.some((p) => TROUSERS.includes(p.part));

/** What trousers are laid around a leg by. */
const AROUND_LEG = [
  ['crotch', 'crotch seam'],
  ['inseam', 'inseam'],
  ['side', 'side seam'],
] as const;

/** Chooses them; refused where they do not close around a body. */
export function garmentOf({ pieces: all, seams, sleeves = false }: Garment): Result<Garment> {
  const raglan = raglanSleeves(all, seams);
  const pieces = [...sewnPieces(all), ...raglan, ...(sleeves ? setInSleeves(all, seams) : [])];
  if (pieces.length === 0) return refuse('form-nothing-to-sew');
  const has = (role: EdgeRole): boolean => pieces.some((p) => edgesWithRole(p, role).length > 0);
  const of = (part: Piece['part']): readonly Piece[] => pieces.filter((p) => p.part === part);
  if (!has('centreFront') && of('trouserFront').length === 0) return refuse('form-centre-missing', { which: 'front' });
  if (!has('centreBack') && of('trouserBack').length === 0) return refuse('form-centre-missing', { which: 'back' });
  for (const part of TROUSERS)
    for (const [role, which] of AROUND_LEG) {
      const [piece] = of(part);
      if (piece && !of(part).some((p) => edgesWithRole(p, role).length > 0))
        return refuse('form-leg-edge', { piece: piece.name, which });
    }
  const whole = pieces.find((p) => !p.half && p.part !== 'sleeve');
  if (whole) return refuse('form-piece-whole', { piece: whole.name });
  // A top hangs from its shoulder seams, or by its raglan sleeves; what has neither neck nor shoulder from the waist.
  const top = has('neck') || has('shoulder');
  if (top && haveLegs(pieces)) return refuse('form-neck-and-legs');
  if (top && raglan.length === 0 && !(has('shoulder') && seams.some((s) => s.kind === 'shoulder')))
    return refuse('form-no-shoulders');
  if (!top && !has('waist')) return refuse('form-no-waist');
  const ids = new Set(pieces.map((p) => p.id));
  const sewn = seams.filter(
    (s) => s.kind !== 'pocket' && [s.first, s.second].flatMap(partsOfSide).every((side) => ids.has(side.piece)),
  );
  const closed = new Set(
    sewn.flatMap((s) => [s.first, s.second].flatMap(partsOfSide)).flatMap((p) => p.edges.map((e) => `${p.piece} ${e}`)),
  );
  for (const p of pieces)
    for (const e of [...edgesWithRole(p, 'side'), ...edgesWithRole(p, 'inseam')])
      if (!closed.has(`${p.id} ${e.id}`)) return refuse('form-side-open', { piece: p.name });
  return ok({ pieces, seams: sewn, sleeves });
}
