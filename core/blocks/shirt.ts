import { endOf, intersectPaths, polyline } from '../geometry/index.ts';
import { levelOf, requireEdge, type ChartRow, type Mark, type Piece } from '../pattern/index.ts';
import { draftTop } from './tops.ts';

/** Room at the bust, how deep the yoke is at the centre back, the shirt tail, and what is added below the high hip, mm. */
export const SHIRT = { ease: 110, yoke: 92, tail: 65, longer: 20 } as const;
const STAND = { extension: 18, facing: 52 } as const;
/** Above the hem the lowest button, and how many there are. */
const BUTTONS = { count: 7, first: 55, last: 130, atBust: true, atWaist: false } as const;

/** Front and whole back of a loose shirt; the back carries the line its yoke is cut apart along. */
export function draftShirt(row: ChartRow): readonly [Piece, Piece] {
  const { ease, tail, longer } = SHIRT;
  const [front, back] = draftTop(row, { ease, dart: false, tail, longer, stand: STAND });
  return [
    { ...front, name: 'Shirt front', buttons: BUTTONS, marks: front.marks.map(called('armholeFront')) },
    {
      ...back,
      name: 'Shirt back',
      marks: [...back.marks.map(called('armholeBack')).map(belowTheYoke(back)), yokeLineOn(back)],
    },
  ];
}

/** The line straight across the back, square to the grain, from the centre to the armhole above its notches. */
function yokeLineOn(back: Piece): Mark {
  const centre = requireEdge(back, 'centreBack').path;
  const nape = [centre.start, endOf(centre)].reduce((a, b) => (a.y < b.y ? a : b));
  const y = nape.y + SHIRT.yoke;
  const level = polyline([
    { x: nape.x, y },
    { x: nape.x - 1000, y },
  ]);
  const arm = intersectPaths(level, requireEdge(back, 'armhole').path)[0];
  if (!arm) throw new Error('draftShirt: expected the yoke to reach the armhole');
  const x = nape.x - 20;
  return {
    kind: 'yokeLine',
    id: 'yokeLine',
    path: polyline([{ x: nape.x, y }, arm.point]),
    lower: null,
    pinned: {
      yoke: {
        ...{ id: 'yoke', name: 'Yoke', cut: 2, folded: true, notes: 'Cut twice: outside and inside.' },
        ...{ seam: 'yokeSeam', centre: 'centreBack', armhole: 'armhole', allowance: 15 },
      },
      below: { name: 'Shirt back', seam: 'yokeSeam', allowance: 15 },
      grain: { from: { x, y: nape.y + 15 }, to: { x, y: y - 15 } },
    },
  };
}

/** The notch on the armhole by the name the sleeve is drafted to. */
const called =
  (id: string) =>
  (m: Mark): Mark =>
    m.id === 'armhole' ? { ...m, id } : m;

/** The grain line of the back begins below the yoke. */
const belowTheYoke =
  (back: Piece) =>
  (m: Mark): Mark =>
    m.kind === 'grain' ? { ...m, from: { x: m.from.x, y: (levelOf(back, 'bust')?.y ?? m.from.y) - 20 } } : m;
