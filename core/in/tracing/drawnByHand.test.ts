import { describe, expect, it } from 'vitest';
import { distance, endOf, flatten, insidePolygon, pathLength, polyline, type Point } from '../../geometry/index.ts';
import { edgesWithRole } from '../../pattern/index.ts';
import { expectOk } from '../../units/index.ts';
import { marksFrom, outlinePlaces, outlineThrough, placeWithin, readWhole, sheetOfDrawn, type Place } from './index.ts';

const place = (x: number, y: number, kind: Place['kind'] = 'corner'): Place => ({ x, y, kind });
/** Half a front, cutting line, y down: 350 along the centre, side dart of 30 at its mouth, 10 mm allowance to come. */
const front: readonly Place[] = [
  place(0, 0),
  place(0, -350),
  place(55, -365, 'curve'),
  place(90, -420),
  place(200, -380),
  place(180, -310, 'curve'),
  place(240, -250),
  place(230, 0),
];
const marks: readonly Place[] = [
  place(120, -230, 'dartTip'),
  place(238.4, -210, 'dartLeg'),
  place(237.2, -180, 'dartLeg'),
  place(150, -40, 'grain'),
  place(150, -240, 'grain'),
  place(100, -230, 'bustPoint'),
  place(188, -330, 'notch'),
];
const outlineOf = (places: readonly Place[]) => expectOk(outlineThrough(outlinePlaces(places)), 'outline');
const drawn = (places: readonly Place[], ...says: string[]) => {
  const outline = outlineOf(places);
  return { outline, marked: expectOk(marksFrom(places, outline), 'marks'), says };
};
const code = (places: readonly Place[]) => {
  const found = marksFrom(places, outlineOf(front));
  return found.ok ? '' : found.error.code;
};

describe('marks among places', () => {
  it('are told apart by what each place is said to be, and half of one is asked back', () => {
    expect(code([...front, ...marks])).toBe('');
    expect(code([...front, place(1, 1, 'grain')])).toBe('places-grain');
    expect(code([...front, place(1, 1, 'dartTip'), place(2, 2, 'dartLeg')])).toBe('places-dart');
    expect(code([...front, place(1, 1, 'dartLeg'), place(2, 2, 'dartTip'), place(3, 3, 'dartLeg')])).toBe(
      'places-dart',
    );
    expect(code([...front, place(1, 1, 'bustPoint'), place(9, 9, 'bustPoint')])).toBe('places-bust-point');
  });
});

describe('a place for the name', () => {
  it('lies within the piece, also where its middle does not', () => {
    const hook = polyline(
      [
        [0, 0],
        [400, 0],
        [400, 40],
        [40, 40],
        [40, 400],
        [0, 400],
        [0, 0],
      ].map(([x, y]) => ({ x, y }) as Point),
    );
    expect(insidePolygon(placeWithin(hook), flatten(hook))).toBe(true);
  });
});

describe('pieces drawn by hand', () => {
  const back: readonly Place[] = [
    place(0, 0),
    place(0, -390),
    place(40, -400, 'curve'),
    place(85, -415),
    place(195, -385),
    place(180, -300, 'curve'),
    place(235, -245),
    place(225, 0),
  ];
  const pocket = [place(0, 0), place(100, 0), place(100, 100), place(0, 100)];
  const sheet = sheetOfDrawn(
    [drawn([...front, ...marks], 'Front', 'Size 38'), drawn(back, 'Back'), drawn(pocket, 'Pocket')],
    'picture',
  );
  const read = readWhole(sheet, { allowance: 0 });
  const of = (part: string) => read.pieces.find((p) => p.traced.piece.part === part)!;

  it('are read together like those of a file, a square pocket too, in the size that was said', () => {
    expect(read.pieces.map((p) => p.traced.piece.part).sort()).toEqual(['back', 'front', 'pocket']);
    expect(read.size).toBe('38');
  });

  it('keep dart, grain, notch and bust point as they were marked', () => {
    const { piece } = of('front').traced;
    const centre = edgesWithRole(piece, 'centreFront').reduce((sum, e) => sum + pathLength(e.path), 0);
    expect(centre).toBeCloseTo(350, 6);
    expect(piece.darts).toHaveLength(1);
    // By hand: the legs stand 1.2 across and 30 down from each other, the tip 20 beside the bust point.
    const mouth = piece.edges.filter((e) => e.role === 'dart');
    expect(mouth).toHaveLength(1);
    expect(distance(mouth[0]!.path.start, endOf(mouth[0]!.path))).toBeCloseTo(Math.hypot(1.2, 30), 0);
    const bust = piece.marks.find((m) => m.kind === 'bustPoint');
    expect(bust && distance(piece.darts[0]!.tip, bust.at)).toBeCloseTo(20, 6);
    expect(piece.marks.filter((m) => m.kind === 'notch')).toHaveLength(1);
    const grain = piece.marks.find((m) => m.kind === 'grain');
    expect(grain && Math.hypot(grain.to.x - grain.from.x, grain.to.y - grain.from.y)).toBeCloseTo(200, 6);
    expect(of('front').asks.map((a) => a.code)).not.toContain('which-part');
  });

  it('ask how wide the allowance is where nobody said it', () => {
    const open = readWhole(sheet);
    expect(open.allowanceOpen).toBe(true);
    expect(open.pieces.every((p) => p.asks.some((a) => a.code === 'which-allowance'))).toBe(true);
  });
});
