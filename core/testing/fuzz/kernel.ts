import { pathLength, pointAt, type Point } from '../../geometry/index.ts';
import { pieceArea, type Edge, type Piece } from '../../pattern/index.ts';
import { cutPiece, movePanels, type SlashSpec } from '../../paper/slash/index.ts';
import type { Chance } from './chance.ts';
import { gapsOf } from './oracle.ts';

/** Area may differ by so much from what was put in and taken out, mm². */
const AREA = 0.05;

/**
 * One cut straight across a piece, one part turned a little about one end of it: what was put in and what doubles must
 * account for the whole change of area, and the edges must still join. Null when they do, or when the cut is refused.
 */
export function kernelTrial(piece: Piece, chance: Chance): string | null {
  const edges = piece.edges.filter((e) => e.role !== 'dart' && e.id !== piece.fold && pathLength(e.path) > 30);
  if (edges.length < 2) return null;
  const [one, two] = [chance.one(edges), chance.one(edges)];
  if (one === two) return null;
  const place = (e: Edge): Point => pointAt(e.path, pathLength(e.path) * chance.between(0.15, 0.85));
  const [a, b] = [place(one), place(two)];
  const size = Math.hypot(b.x - a.x, b.y - a.y);
  if (size < 40) return null;
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const aside = { x: (b.y - a.y) / size, y: (a.x - b.x) / size };
  const seed = (by: number): Point => ({ x: middle.x + aside.x * by, y: middle.y + aside.y * by });
  const spec: SlashSpec = {
    cuts: [{ id: 'cut', points: [a, b] }],
    hinges: [{ id: 'pin', at: b, panels: ['turns', 'rests'] }],
    panels: [
      {
        id: 'turns',
        seed: seed(2),
        motion: { kind: 'turn', about: b, angle: chance.between(-0.08, 0.12) },
        stage: 'open',
      },
      { id: 'rests', seed: seed(-2), motion: { kind: 'rest' }, stage: 'open' },
    ],
  };
  const divided = cutPiece(piece, spec);
  if (!divided.ok) return null;
  const moved = movePanels(divided.value, spec);
  if (!moved.ok) return null;
  const after = moved.value.piece;
  const given = moved.value.gaps.reduce((sum, g) => sum + g.area, 0);
  const off = pieceArea(after) - pieceArea(piece) - given;
  if (!(Math.abs(off) < AREA)) return `the kernel lost ${off.toFixed(2)} mm² of ${piece.id}`;
  const torn = gapsOf(after)[0];
  return torn === undefined ? null : `the kernel left ${torn} on ${piece.id}`;
}
