import { bisect } from '../numeric/index.ts';
import { blend, pathFromSpans, pathLength, reversePath, type Path } from '../geometry/index.ts';
import { requireEdge, type ChartRow, type Edge, type Mark, type Piece } from '../pattern/index.ts';
import { bodyOf } from './body.ts';
import { edge, line } from './parts.ts';
import { TOL } from '../units/index.ts';

/** How much longer the cap is than each half of the armhole: eased in over the top of the arm, mm. */
export const CAP_EASE = { front: 8, back: 10 } as const;
/** Room around the upper arm, and from the biceps line to the hem, mm. */
const ARM_EASE = 46;
const LENGTH = 230;
/** Where the line to lengthen or shorten it lies, as a share of that. */
const LINE = 9 / 23;

/** The cap of a set-in sleeve, drafted to the armhole of front and back; its biceps line lies at y = 0. */
export interface Cap {
  readonly width: number;
  readonly height: number;
  /** From the top down to the back and to the front of the underarm. */
  readonly back: Path;
  readonly front: Path;
  readonly marks: readonly Mark[];
}

/** The cap, the front of the arm to the right. */
export function draftCap(row: ChartRow, front: Piece, back: Piece): Cap {
  const width = bodyOf(row).upperArm + ARM_EASE;
  const goal = {
    front: pathLength(requireEdge(front, 'armhole').path) + CAP_EASE.front,
    back: pathLength(requireEdge(back, 'armhole').path) + CAP_EASE.back,
  };
  const side = (sign: 1 | -1, topX: number, height: number): Path => {
    const top = { x: topX, y: -height };
    const under = { x: (sign * width) / 2, y: 0 };
    return pathFromSpans([blend(top, { x: sign, y: 0 }, under, { x: sign * 0.995, y: 0.1 }, sign > 0 ? 0.46 : 0.42)]);
  };
  const heightFor = (topX: number): number =>
    bisect(
      (h) => pathLength(side(1, topX, h)) + pathLength(side(-1, topX, h)) - goal.front - goal.back,
      20,
      400,
      TOL.fine,
    );
  const topX = bisect((x) => pathLength(side(1, x, heightFor(x))) - goal.front, -60, 60, TOL.zero);
  const height = heightFor(topX);
  return {
    ...{ width, height, back: side(-1, topX, height), front: side(1, topX, height) },
    // Half the ease lies above the notches, half below.
    marks: [
      notch('capFront', notchOn(front, 'armholeFront') + CAP_EASE.front / 2, 1),
      notch('capBack', notchOn(back, 'armholeBack') + CAP_EASE.back / 2, 2),
    ],
  };
}

const notch = (edge: string, at: number, count: number): Mark => ({ kind: 'notch', id: edge, edge, at, count });
const notchOn = (piece: Piece, id: string): number => {
  const found = piece.marks.find((m) => m.kind === 'notch' && m.id === id);
  return found?.kind === 'notch' ? found.at : 0;
};

/** A sleeve below its cap: the rest of the outline from the front of the underarm round to the back, and its marks. */
export const sleeveBelow = (
  cap: Cap,
  below: readonly Edge[],
  grainEnd: number,
  { marks = [], ...more }: Partial<Piece> = {},
): Piece => ({
  id: 'sleeve',
  name: 'Sleeve',
  part: 'sleeve',
  cut: 2,
  fold: null,
  half: false,
  notes: '',
  edges: [edge('capBack', 'cap', reversePath(cap.back)), edge('capFront', 'cap', cap.front), ...below],
  darts: [],
  marks: [
    { kind: 'grain', id: 'grain', from: { x: 0, y: -cap.height + 50 }, to: { x: 0, y: grainEnd } },
    ...marks,
    ...cap.marks,
  ],
  ...more,
});

/** A short set-in sleeve drafted to the armhole of front and back, so long below the biceps line; the front of the arm to the right. */
export function draftSleeve(row: ChartRow, front: Piece, back: Piece, length: number = LENGTH): Piece {
  const cap = draftCap(row, front, back);
  const cuff = cap.width * 0.86;
  const a = { x: cap.width / 2, y: 0 };
  const c = { x: -cap.width / 2, y: 0 };
  const hemFront = { x: cuff / 2, y: length };
  const hemBack = { x: -cuff / 2, y: length };
  return sleeveBelow(
    cap,
    [
      edge('underarmFront', 'underarm', line(a, hemFront)),
      edge('sleeveHem', 'sleeveHem', line(hemFront, hemBack), 20),
      edge('underarmBack', 'underarm', line(hemBack, c)),
    ],
    length - 40,
    { marks: [{ kind: 'level', id: 'lengthenShorten', name: 'lengthenShorten', at: { x: 0, y: length * LINE } }] },
  );
}
