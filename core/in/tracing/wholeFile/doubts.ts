import { pathLength } from '../../../geometry/index.ts';
import { validatePiece, type EdgeRole, type Piece } from '../../../pattern/index.ts';
import type { TraceNote } from '../traceTypes.ts';

/** What an imported piece leaves uncertain; each doubt is one question to the user. */
export type Question =
  | { readonly code: 'which-part'; readonly data: Record<string, never> }
  | { readonly code: 'on-fold'; readonly data: Record<string, never> }
  | { readonly code: 'which-allowance'; readonly data: Record<string, never> }
  | { readonly code: 'allowance-off'; readonly data: { readonly off: number } }
  | { readonly code: 'which-edges'; readonly data: { readonly missing: readonly EdgeRole[] } }
  | { readonly code: 'which-darts'; readonly data: { readonly counts: readonly number[] } }
  | { readonly code: 'which-sizes'; readonly data: { readonly drawn: number; readonly expected: number } }
  | { readonly code: 'seam-differs'; readonly data: { readonly seam: string; readonly difference: number } }
  | { readonly code: 'no-outline'; readonly data: { readonly why: string } };

/** What a reading rests on. */
export type Why =
  | 'told-by-file'
  | 'part-printed'
  | 'part-said'
  | 'fold-printed'
  | 'fold-halved'
  | 'cut-printed'
  | 'allowance-printed'
  | 'allowance-given'
  | 'seam-drawn'
  | 'sizes-alike'
  | 'seams-match';

/** How much each thing left open takes from being sure; what would be cut wrong takes all. */
const COSTS: Readonly<Record<Question['code'], number>> = {
  'which-part': 0.5,
  'on-fold': 0.4,
  'which-allowance': 0.5,
  'allowance-off': 1,
  'which-edges': 0.6,
  'which-darts': 0.4,
  'which-sizes': 0.4,
  'seam-differs': 0.4,
  'no-outline': 1,
};
/** Nothing read by rules is surer than this; each thing it rests on takes it nearer. */
const SUREST = 0.99;
const PLAIN = 0.85;

/** From 0 to 1: what is left after every doubt, a little surer for every thing that bears it out. */
export function sureness(asks: readonly Question[], why: readonly Why[]): number {
  const borne = SUREST - (SUREST - PLAIN) * 0.6 ** why.length;
  const left = asks.reduce((sure, a) => sure * (1 - COSTS[a.code]), borne);
  return Math.round(left * 100) / 100;
}

/** The edges a part must have to be that part; one of each list. */
const NEEDED: Readonly<Partial<Record<Piece['part'], readonly (readonly EdgeRole[])[]>>> = {
  front: [['neck'], ['shoulder', 'raglan'], ['side', 'princess', 'underarm'], ['waist', 'hem'], ['centreFront']],
  back: [['neck'], ['shoulder', 'raglan'], ['side', 'princess', 'underarm'], ['waist', 'hem'], ['centreBack']],
  sideFront: [['princess'], ['side'], ['waist', 'hem']],
  sideBack: [['princess'], ['side'], ['waist', 'hem']],
  sleeve: [['cap', 'raglan'], ['underarm'], ['sleeveHem']],
  skirtFront: [['waist'], ['side'], ['hem'], ['centreFront']],
  skirtBack: [['waist'], ['side'], ['hem'], ['centreBack']],
  trouserFront: [['waist'], ['side'], ['hem'], ['inseam'], ['crotch']],
  trouserBack: [['waist'], ['side'], ['hem'], ['inseam'], ['crotch']],
  facingFront: [['neck'], ['shoulder'], ['centreFront']],
  facingBack: [['neck'], ['shoulder'], ['centreBack']],
};
/** Lengths that edges have on a body of any size, mm. */
const LENGTHS: Readonly<Partial<Record<EdgeRole, readonly [number, number]>>> = {
  neck: [25, 320],
  shoulder: [15, 700],
  armhole: [60, 450],
  raglan: [120, 450],
  cap: [80, 700],
};
/** Where every edge must have a name. */
const NAMED: ReadonlySet<Piece['part']> = new Set<Piece['part']>(['front', 'back', 'sideFront', 'sideBack', 'sleeve']);

/** The roles that a part lacks, or has at lengths no body has. */
export function oddRoles(piece: Piece): readonly EdgeRole[] {
  const sum = (role: EdgeRole): number =>
    piece.edges.filter((e) => e.role === role).reduce((s, e) => s + pathLength(e.path), 0);
  const missing = (NEEDED[piece.part] ?? []).flatMap((any) => {
    if (!piece.half && any.some((r) => r === 'centreFront' || r === 'centreBack')) return [];
    return any.some((r) => sum(r) > 0) ? [] : any.slice(0, 1);
  });
  const odd = (Object.entries(LENGTHS) as [EdgeRole, readonly [number, number]][]).flatMap(([role, [least, most]]) => {
    const long = sum(role);
    const longest = Math.max(0, ...piece.edges.filter((e) => e.role === role).map((e) => pathLength(e.path)));
    return long > 0 && (long < least || longest > most) ? [role] : [];
  });
  const nameless: readonly EdgeRole[] =
    NAMED.has(piece.part) && piece.edges.some((e) => e.role === 'other') ? ['other'] : [];
  return [...new Set([...missing, ...odd, ...nameless])];
}

/** What a traced piece leaves open by itself. */
export function asksOf(piece: Piece, notes: readonly TraceNote[]): readonly Question[] {
  const missed = notes.find((n) => n.code === 'allowance-missed');
  const [problem] = validatePiece(piece);
  const roles = oddRoles(piece);
  return [
    ...(missed ? [{ code: 'allowance-off', data: { off: missed.data.off } } as const] : []),
    ...(problem ? [{ code: 'no-outline', data: { why: problem.code } } as const] : []),
    ...(roles.length > 0 ? [{ code: 'which-edges', data: { missing: roles } } as const] : []),
  ];
}
