import { alterationById } from '../../alterations/index.ts';
import type { Piece } from '../../pattern/index.ts';
import type { Finding } from '../../paper/truing/index.ts';

/** A piece that has to follow another, and the alteration that makes it. Proposed, never done unasked. */
export interface Follower {
  readonly alteration: string;
  readonly pieces: readonly string[];
  /** The differences that ask for it. */
  readonly findings: readonly Finding[];
}

const FOLLOWS: readonly { readonly kind: string; readonly parts: readonly Piece['part'][]; readonly id: string }[] = [
  { kind: 'armhole', parts: ['sleeve'], id: 'cap-follows' },
  { kind: 'waist', parts: ['skirtFront', 'skirtBack'], id: 'skirt-follows' },
  { kind: 'waist', parts: ['waistband'], id: 'waistband-follows' },
  { kind: 'neck', parts: ['facingFront', 'facingBack'], id: 'facing-follows' },
  { kind: 'neck', parts: ['band'], id: 'band-follows' },
  { kind: 'neck', parts: ['collar'], id: 'collar-follows' },
  { kind: 'pocket', parts: ['pocket', 'flyFacing'], id: 'pocket-follows' },
];

/** The alteration that would put a difference right; null where there is none. */
export function followFor(finding: Finding, pieces: readonly Piece[]): string | null {
  if (finding.code !== 'piece-must-follow' && finding.code !== 'seam-lengths-differ') return null;
  const part = pieces.find((p) => p.id === finding.piece)?.part;
  const found = FOLLOWS.find((f) => f.kind === finding.data['kind'] && part !== undefined && f.parts.includes(part));
  return found && alterationById(found.id) ? found.id : null;
}

/** What the differences between altered and untouched pieces ask for, one proposal for each alteration. */
export function followers(findings: readonly Finding[], pieces: readonly Piece[]): readonly Follower[] {
  const out = new Map<string, Finding[]>();
  for (const finding of findings) {
    const id = followFor(finding, pieces);
    if (id) out.set(id, [...(out.get(id) ?? []), finding]);
  }
  return [...out].map(([alteration, found]) => ({
    alteration,
    findings: found,
    pieces: [...new Set(found.flatMap((f) => f.piece ?? []))],
  }));
}
