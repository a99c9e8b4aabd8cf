import { distance, lerp, midpoint, rotateAbout, type Point } from '../geometry/index.ts';
import type { ChartRow, Mark, Piece, SeamSide } from '../pattern/index.ts';
import { capDart } from '../paper/truing/index.ts';
import { bodyOf } from './body.ts';
import { edge, line } from './parts.ts';
import { draftCap, sleeveBelow } from './sleeve.ts';

/** Room around the wrist of a sleeve without an opening: the hand passes, mm. */
const HAND = 64;
/** What the elbow dart takes in at the underarm seam, mm, and how far across the sleeve it runs, as a share. */
const ELBOW_DART = { intake: 24, share: 0.42 } as const;

const levels = (elbow: number): readonly Mark[] => [
  { kind: 'level', id: 'elbow', name: 'elbow', at: { x: 0, y: elbow } },
  { kind: 'level', id: 'lengthenShorten', name: 'lengthenShorten', at: { x: 0, y: elbow / 2 } },
];

/**
 * A long fitted sleeve: straight to the elbow, where the forearm turns forward about the front underarm seam; what opens
 * behind is the elbow dart. Both underarm seams are equally long.
 */
export function draftFittedSleeve(row: ChartRow, front: Piece, back: Piece): Piece {
  const b = bodyOf(row);
  const cap = draftCap(row, front, back);
  const elbow = b.shoulderToElbow - cap.height;
  // Down the middle the sleeve is as long as the arm; half of the dart lies open there.
  const end = b.shoulderToWrist - cap.height - ELBOW_DART.intake / 2;
  const half = (y: number): number => (cap.width + (b.wrist + HAND - cap.width) * (y / end)) / 2;
  const at = (side: 1 | -1, y: number): Point => ({ x: side * half(y), y });
  const pivot = at(1, elbow);
  const upperLeg = at(-1, elbow);
  const angle = -2 * Math.asin(ELBOW_DART.intake / 2 / distance(pivot, upperLeg));
  const turned = (p: Point): Point => rotateAbout(p, pivot, angle);
  const lowerLeg = turned(upperLeg);
  const [hemFront, hemBack] = [turned(at(1, end)), turned(at(-1, end))];
  const tip = lerp(midpoint(upperLeg, lowerLeg), pivot, ELBOW_DART.share);
  const piece = sleeveBelow(
    cap,
    [
      edge('underarmFrontUpper', 'underarm', line(at(1, 0), pivot)),
      edge('underarmFrontLower', 'underarm', line(pivot, hemFront)),
      edge('sleeveHem', 'sleeveHem', line(hemFront, hemBack), 25),
      edge('underarmBackLower', 'underarm', line(hemBack, lowerLeg)),
      edge('elbowDart', 'dart', line(lowerLeg, upperLeg)),
      edge('underarmBackUpper', 'underarm', line(upperLeg, at(-1, 0))),
    ],
    elbow - 40,
    {
      darts: [{ id: 'elbowDart', kind: 'elbow', mouth: 'elbowDart', tip, foldToward: 'start' }],
      marks: levels(elbow),
    },
  );
  return piece.darts.reduce(capDart, piece);
}

/** Room around the wrist in a buttoned cuff, what its ends overlap, how high it is, and what is gathered into it, mm. */
const CUFF = { ease: 50, overlap: 25, height: 60, gathered: 80 } as const;
/** A shirt sleeve is longer than the arm by this, so that it falls over the cuff; its slit is so long, mm. */
const BLOUSE = 12;
const SLIT = 90;
export const CUFF_EASE = -CUFF.gathered;
/** The part of the cuff that is sewn to the sleeve: all but the overlap. */
export const CUFF_SIDE: SeamSide = { piece: 'cuff', edges: ['seam'], reversed: false, between: ['slit', 'end'] };

/** A long straight sleeve, gathered into a cuff. */
export function draftShirtSleeve(row: ChartRow, front: Piece, back: Piece): readonly [Piece, Piece] {
  const b = bodyOf(row);
  const cap = draftCap(row, front, back);
  const elbow = b.shoulderToElbow - cap.height;
  const end = b.shoulderToWrist + BLOUSE - CUFF.height - cap.height;
  const around = b.wrist + CUFF.ease;
  const hem = (around + CUFF.gathered) / 2;
  const [a, c] = [
    { x: cap.width / 2, y: 0 },
    { x: -cap.width / 2, y: 0 },
  ];
  const [hemFront, hemBack] = [
    { x: hem, y: end },
    { x: -hem, y: end },
  ];
  const sleeve = sleeveBelow(
    cap,
    [
      edge('underarmFront', 'underarm', line(a, hemFront)),
      edge('sleeveHem', 'sleeveHem', line(hemFront, hemBack)),
      edge('underarmBack', 'underarm', line(hemBack, c)),
    ],
    end - 60,
    {
      notes: `Slit of ${SLIT / 10} cm from the hem up to the drill mark, bound before the cuff is sewn on.`,
      marks: [...levels(elbow), { kind: 'drill', id: 'slit', at: { x: -hem / 2, y: end - SLIT } }],
    },
  );
  const length = around + CUFF.overlap;
  const corners = [
    { x: 0, y: 0 },
    { x: length, y: 0 },
    { x: length, y: CUFF.height },
    { x: 0, y: CUFF.height },
  ] as const;
  const cuff: Piece = {
    id: 'cuff',
    name: 'Cuff',
    part: 'cuff',
    cut: 4,
    fold: null,
    half: false,
    notes: '',
    edges: [
      edge('seam', 'other', line(corners[0], corners[1])),
      edge('endFront', 'other', line(corners[1], corners[2]), 10),
      edge('edge', 'other', line(corners[2], corners[3]), 10),
      edge('endBack', 'other', line(corners[3], corners[0]), 10),
    ],
    darts: [],
    marks: [
      {
        kind: 'grain',
        id: 'grain',
        from: { x: 30, y: CUFF.height / 2 },
        to: { x: length - 30, y: CUFF.height / 2 },
      },
      { kind: 'notch', id: 'slit', edge: 'seam', at: CUFF.overlap, count: 1 },
      { kind: 'notch', id: 'end', edge: 'seam', at: length, count: 1 },
    ],
  };
  return [sleeve, cuff];
}
