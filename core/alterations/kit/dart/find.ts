import { distance, type Point } from '../../../geometry/index.ts';
import { bustPointOf, dartShape, type Dart, type Piece } from '../../../pattern/index.ts';
import { ok, refuse, type Result } from '../../../units/index.ts';
import { crossingOfDarts } from '../bust/landmarks.ts';
import type { AlterationDefinition, Context, Param, Values } from '../../contract.ts';
import { choiceOf } from '../../engine/values.ts';

const KINDS = ['side', 'french', 'waist', 'shoulder', 'armhole', 'neck'] as const;

/** Which piece, and which of its darts. */
export const PART: Param = { kind: 'choice', key: 'part', options: ['any', 'front', 'back'], initial: 'any' };
export const DART: Param = { kind: 'choice', key: 'dart', options: ['largest', ...KINDS], initial: 'largest' };

export interface FoundDart {
  readonly piece: Piece;
  readonly dart: Dart;
  /** What the dart aims at: the bust point; on a back its own tip. */
  readonly aim: Point;
  /** How far the tip stays away from it. */
  readonly setback: number;
}

const intake = (piece: Piece, dart: Dart): number => {
  const { start, end } = dartShape(piece, dart);
  return distance(start, end);
};

export const aimOf = (piece: Piece, dart: Dart): Point =>
  piece.part === 'front' ? (bustPointOf(piece) ?? crossingOfDarts(piece) ?? dart.tip) : dart.tip;

/** The dart meant by the values: by kind, or the one that takes up most. */
export function findDart(context: Context, values: Values): Result<FoundDart> {
  const asked = 'part' in values ? choiceOf(values, 'part') : 'front';
  const has = (part: string): boolean => context.pieces.some((p) => p.part === part && p.darts.length > 0);
  const part = asked !== 'any' ? asked : !has('front') && has('back') ? 'back' : 'front';
  const piece = context.pieces.find((p) => p.part === part);
  if (!piece) return refuse(part === 'front' ? 'front-not-found' : 'back-not-found');
  const kind = choiceOf(values, 'dart');
  const sorted = [...piece.darts].sort((a, b) => intake(piece, b) - intake(piece, a));
  const dart = kind === 'largest' ? sorted[0] : sorted.find((d) => d.kind === kind);
  if (!dart) return refuse(piece.darts.length === 0 ? 'no-dart' : 'no-such-dart', { piece: piece.name, dart: kind });
  const aim = aimOf(piece, dart);
  return ok({ piece, dart, aim, setback: distance(aim, dart.tip) });
}

/** Possible wherever one of the parts (front or back unless said) has a dart of the kinds named. */
export const suitsDarts =
  (
    parts: readonly Piece['part'][] = ['front', 'back'],
    kinds?: readonly Dart['kind'][],
  ): AlterationDefinition['suits'] =>
  (pieces) => {
    const has = pieces.some((p) => parts.includes(p.part) && p.darts.some((d) => !kinds || kinds.includes(d.kind)));
    return has
      ? { grade: 'possible', why: { code: 'why.dart', data: {} } }
      : { grade: 'no', why: { code: 'no-dart', data: { piece: pieces[0]?.name ?? '' } } };
  };

export const DART_REFUSALS = ['front-not-found', 'back-not-found', 'no-dart', 'no-such-dart'] as const;
export const ROTATION_REFUSALS = [
  'dart-not-found',
  'rotation-same-place',
  'rotation-line-blocked',
  'pivot-outside',
  'dart-too-small',
  'cut-leaves-piece',
  'overlap-too-large',
  'panels-not-separated',
  'panel-not-found',
  'cut-divides-nothing',
] as const;
