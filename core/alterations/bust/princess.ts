import {
  add,
  distance,
  endOf,
  intersectPaths,
  nearestLength,
  pathLength,
  pointAt,
  polyline,
  reversePath,
  type Point,
} from '../../geometry/index.ts';
import { edgesWithRole, isInside, sideDirection, type Edge, type Piece } from '../../pattern/index.ts';
import { follow, slash, type SlashSpec } from '../../slash/index.ts';
import { fairRun } from '../../truing/index.ts';
import { degrees, ok, refuse, TOL, type Result } from '../../units/index.ts';
import type { Context, Grip, Instruction, MarkLine, Program, Values } from '../contract.ts';
import { choiceOf, numberOf } from '../values.ts';
import { BUST_PARAMS } from './params.ts';
import { movedBustPoint, spreadReach, turnOf } from './layout.ts';
import { advice } from './promises.ts';

/** How far inside the princess seam line 1 runs, and how far below the apex the sliver is levelled, mm. */
const INSIDE = 4;
const LEVEL_BELOW = 40;

export interface Panels {
  readonly centre: Piece;
  readonly side: Piece;
  readonly dir: 1 | -1;
  readonly seam: Edge;
  readonly centreSeam: Edge;
  readonly apex: Point;
  readonly apexAt: number;
  readonly centreApexAt: number;
}

/** Centre front and side front, and the apex notch on both; `top` says where the seam must begin. */
export function findPanels(pieces: readonly Piece[], top: 'armhole' | 'shoulder' | 'any'): Result<Panels> {
  const centre = pieces.find((p) => p.part === 'front');
  const side = pieces.find((p) => p.part === 'sideFront');
  if (!centre) return refuse('front-not-found');
  if (!side) return refuse('side-front-not-found');
  const seam = edgesWithRole(side, 'princess')[0];
  const centreSeam = edgesWithRole(centre, 'princess')[0];
  if (!seam || !centreSeam) return refuse('princess-missing', { piece: side.name });
  if (edgesWithRole(side, 'armhole').length === 0) return refuse('armhole-missing', { piece: side.name });
  const fromShoulder = edgesWithRole(side, 'shoulder').length > 0;
  if (top !== 'any' && fromShoulder !== (top === 'shoulder'))
    return refuse(`princess-not-from-${top}`, { piece: side.name });
  const notch = apexNotch(side, seam);
  const other = apexNotch(centre, centreSeam);
  if (notch === null || other === null)
    return refuse('apex-notch-missing', { piece: notch === null ? side.name : centre.name });
  return ok({
    centre,
    side,
    dir: sideDirection(side),
    seam,
    centreSeam,
    apex: pointAt(seam.path, notch),
    apexAt: notch,
    centreApexAt: other,
  });
}

/** Arc length of the apex notch along the princess edge: the notch so called, else what lies at the bust point. */
function apexNotch(piece: Piece, seam: Edge): number | null {
  const notches = piece.marks.flatMap((m) => (m.kind === 'notch' && m.edge === seam.id ? [m] : []));
  const named = notches.find((m) => m.id.startsWith('apex')) ?? (notches.length === 1 ? notches[0] : undefined);
  if (named) return named.at;
  const bust = piece.marks.find((m) => m.kind === 'bustPoint')?.at;
  return bust ? nearestLength(seam.path, bust) : null;
}

/** The side front from its lower end up: how far along the seam line lies from the waist. */
const seamUp = (seam: Edge) => (endOf(seam.path).y < seam.path.start.y ? seam.path : reversePath(seam.path));

/**
 * The full or small bust of a princess line. The side front opens along the inside of its princess seam and at
 * the side; the side opening is closed again about the moved bust point, which opens the princess seam at the
 * apex. The side front's seam has then grown by two amounts; the centre front is spread by the same two,
 * straight across, at the apex and below it.
 */
export function princessProgram(context: Context, values: Values, top: 'armhole' | 'shoulder'): Result<Program> {
  const found = findPanels(context.pieces, top);
  if (!found.ok) return found;
  const f = found.value;
  const { side, dir, apex } = f;
  const total = numberOf(values, 'total');
  const s = total / 2;
  // Lapping needs paper to lap onto: line 1 lies that much further in.
  const inside = INSIDE + Math.max(0, -s);
  const p = { x: apex.x + dir * inside, y: apex.y };
  const armhole = edgesWithRole(side, 'armhole')[0] as Edge;
  const share = numberOf(values, 'hinge');
  const hinge = pointAt(armhole.path, pathLength(armhole.path) * (dir === 1 ? share : 1 - share));
  if (hinge.y >= p.y) return refuse('hinge-below-bust-point', { piece: side.name });
  const reach = spreadReach(hinge, p, dir);
  const moved = movedBustPoint(hinge, p, dir, s);
  if (s > reach) return refuse('spread-beyond-reach', { wanted: s, reach });
  if (!moved) return refuse('overlap-too-large', { edge: armhole.id });
  const turn = turnOf(hinge, p, moved);
  const lines = findLines(f, p, inside, numberOf(values, 'below'));
  if (!lines.ok) return lines;
  const { foot, low, mouth, levelAt, sideEdge, along } = lines.value;
  const dy = moved.y - p.y;
  const closes = { motion: { kind: 'turn' as const, about: moved, angle: turn }, stage: 'close' as const };
  const junction = { x: p.x, y: levelAt.y };
  const spec: SlashSpec = {
    cuts: [
      { id: 'line1', points: [foot, junction, p, hinge] },
      { id: 'line2', points: [mouth, p] },
      { id: 'line3', points: [levelAt, junction] },
      { id: 'line4', points: [apex, p] },
    ],
    hinges: [
      { id: 'hinge', at: hinge, panels: ['upperSide', 'centreUpper'] },
      { id: 'bustPoint', at: p, panels: ['upperSide', 'lowerSide'] },
    ],
    panels: [
      { id: 'centreUpper', seed: add(p, { x: -dir * 1, y: -1.5 }), motion: { kind: 'rest' }, stage: 'open' },
      {
        id: 'upperSide',
        seed: add(p, { x: dir * 3, y: -1 }),
        motion: { kind: 'turn', about: hinge, angle: turn },
        stage: 'open',
      },
      {
        id: 'lowerSide',
        seed: add(p, { x: dir * 2, y: 8 }),
        motion: follow('upperSide', p),
        stage: 'open',
        after: closes,
      },
      { id: 'sliver', seed: add(p, { x: -dir * 1, y: 8 }), motion: { kind: 'rest' }, stage: 'open', after: closes },
      {
        id: 'centreLower',
        seed: add(junction, { x: -dir * 1, y: 3 }),
        motion: follow('upperSide', p, 'y'),
        stage: 'level',
        after: closes,
      },
    ],
  };
  const opened = slash(side, spec);
  if (!opened.ok) return opened;
  const run = runAround(opened.value.piece, f.seam.id);
  const grown = run.length - pathLength(f.seam.path);
  const below = s === 0 ? 0 : dy;
  const atApex = grown - below;
  const spread = matchedSpread(f, grown, below);
  if (!spread.ok) return spread;
  const data = {
    s: Math.abs(s),
    total,
    dy: Math.abs(dy),
    drop: dy,
    degrees: Math.abs(degrees(turn)),
    apex: Math.abs(atApex),
    grown: Math.abs(grown),
    below: numberOf(values, 'below'),
  };
  const lap = s < 0;
  const shape = choiceOf(values, 'waistWidth');
  const role: 'waist' | 'hem' = edgesWithRole(side, 'waist').length > 0 ? 'waist' : 'hem';
  const centre = f.centre.id;
  const bustPoint = { x: (apex.x + moved.x) / 2, y: moved.y };
  const steps: Instruction[] = [
    {
      op: 'mark',
      stage: 'mark',
      message: { code: 'princess.mark.side', data },
      lines: [
        { id: 'line1', label: '1', points: [foot, junction, p, hinge] },
        { id: 'line2', label: '2', points: [mouth, p, apex] },
        { id: 'line3', label: '3', points: [levelAt, junction] },
      ],
      points: [
        { id: 'hinge', kind: 'hinge', at: hinge },
        { id: 'bustPoint', kind: 'bustPoint', at: apex },
      ],
    },
    {
      op: 'mark',
      stage: 'mark',
      piece: centre,
      message: { code: 'princess.mark.centre', data },
      lines: spread.value.lines,
      points: [],
    },
    {
      op: 'slash',
      stage: 'cut',
      spec,
      messages: {
        cut: { code: 'princess.cut', data },
        open: { code: lap ? 'princess.lap' : 'princess.open', data },
        level: { code: lap ? 'princess.level.up' : 'princess.level.down', data },
        dart: { code: lap ? 'princess.close.lap' : 'princess.close', data },
      },
      dimensions: [{ id: 'spread', from: { x: p.x, y: moved.y }, to: moved, value: Math.abs(s) }],
    },
    {
      op: 'slash',
      stage: 'cut',
      piece: centre,
      spec: spread.value.spec,
      messages: { dart: { code: lap ? 'princess.centre.lap' : 'princess.centre', data } },
      dimensions: [],
    },
    {
      op: 'landmark',
      stage: 'dart',
      piece: side.id,
      message: { code: 'princess.apex', data },
      bustPoint,
      levels: { bust: moved.y },
      keepGrain: true,
    },
    {
      op: 'smooth',
      stage: 'true',
      message: { code: 'fba.true.hinge', data: { ...data, hinge: 'armhole' } },
      edge: armhole.id,
      near: hinge,
      reach: 30,
    },
    { op: 'fairRun', stage: 'true', message: { code: 'princess.true.seam', data }, edge: f.seam.id, ...ends(run) },
    {
      op: 'fairRun',
      stage: 'true',
      piece: centre,
      message: { code: 'princess.true.seam', data },
      edge: f.centreSeam.id,
      ...ends(spread.value.run),
    },
  ];
  steps.push({
    op: 'fairRun',
    stage: 'true',
    message: { code: 'fba.true.waist', data: { ...data, role } },
    edge: low,
    from: 0,
    to: Infinity,
  });
  if (shape === 'keep')
    steps.push({
      op: 'finding',
      stage: 'true',
      finding: { code: 'waist-grew', grade: 'look', piece: side.id, data: { by: s } },
    });
  else {
    const taper = { code: lap ? 'fba.true.addBack' : 'fba.true.taper', data: { ...data, shape, role } };
    steps.push(
      { op: 'part', stage: 'true', message: taper, edge: sideEdge, at: along },
      {
        op: 'restoreWidth',
        stage: 'true',
        message: taper,
        side: sideEdge,
        role,
        shape: shape === 'curved' ? 'curved' : 'straight',
      },
    );
  }
  steps.push(
    { op: 'smoothKinks', stage: 'true', message: { code: 'fba.true.waist', data: { ...data, role } }, role, reach: 25 },
    { op: 'match', stage: 'match', message: { code: 'princess.match', data }, kinds: ['princess', 'side', 'shoulder'] },
  );
  for (const finding of advice(side, total, false)) steps.push({ op: 'finding', stage: 'match', finding });
  const { min, max } = BUST_PARAMS.total;
  const grips: readonly Grip[] = [
    {
      kind: 'along',
      id: 'hinge',
      key: 'hinge',
      piece: side.id,
      stages: ['mark', 'cut', 'open', 'level', 'dart', 'true', 'match'],
      at: hinge,
      path: dir === 1 ? armhole.path : reversePath(armhole.path),
      min: BUST_PARAMS.hinge.min,
      max: BUST_PARAMS.hinge.max,
    },
    {
      kind: 'amount',
      id: 'gap',
      key: 'total',
      piece: side.id,
      stages: ['open', 'level'],
      at: moved,
      from: p,
      axis: { x: dir, y: 0 },
      per: 2,
      min,
      max,
    },
  ];
  const still = steps.filter((i) => i.stage === 'mark' || i.stage === 'cut' || i.op === 'match');
  return ok({
    piece: side.id,
    instructions: s === 0 ? still.filter((i) => i.op !== 'slash' || i.piece === undefined) : steps,
    grips,
  });
}

interface Spread {
  readonly spec: SlashSpec;
  readonly lines: readonly MarkLine[];
}

interface Lines {
  readonly foot: Point;
  /** The waist or hem that line 1 rises from. */
  readonly low: string;
  readonly mouth: Point;
  readonly levelAt: Point;
  readonly sideEdge: string;
  readonly along: number;
}

function findLines({ side, dir, seam, apex }: Panels, p: Point, inside: number, below: number): Result<Lines> {
  const up = seamUp(seam);
  const corner = up.start;
  const low = side.edges.find(
    (e) =>
      (e.role === 'waist' || e.role === 'hem') &&
      (distance(e.path.start, corner) < TOL.join || distance(endOf(e.path), corner) < TOL.join),
  );
  if (!low) return refuse('line-misses-hem', { edge: seam.id });
  const size = pathLength(low.path);
  const foot = pointAt(low.path, distance(low.path.start, corner) < TOL.join ? inside : size - inside);
  const levelY = Math.min(apex.y + LEVEL_BELOW, (apex.y + corner.y) / 2);
  const level = intersectPaths(
    polyline([
      { x: p.x, y: levelY },
      { x: p.x - dir * 400, y: levelY },
    ]),
    seam.path,
  )[0]?.point;
  if (!level || !isInside(side, p)) return refuse('cut-leaves-piece', { piece: side.name, edge: seam.id });
  const sides = edgesWithRole(side, 'side');
  const top = sides.reduce(
    (best, e) =>
      Math.min(e.path.start.y, endOf(e.path).y) < Math.min(best.path.start.y, endOf(best.path).y) ? e : best,
    sides[0] as Edge,
  );
  if (!top) return refuse('side-missing', { piece: side.name });
  const length = pathLength(top.path);
  const reach = Math.min(below, length - 20);
  const along = top.path.start.y < endOf(top.path).y ? reach : length - reach;
  return ok({ foot, low: low.id, mouth: pointAt(top.path, along), levelAt: level, sideEdge: top.id, along });
}

/** The stretch of a princess seam around its apex that is drawn anew, and how long the seam is afterwards. */
function runAround(
  piece: Piece,
  seamId: string,
): { readonly from: number; readonly to: number; readonly length: number } {
  const seam = piece.edges.find((e) => e.id === seamId) as Edge;
  const apex = apexNotch(piece, seam) ?? pathLength(seam.path) / 2;
  const upwards = endOf(seam.path).y < seam.path.start.y;
  const from = Math.max(2, apex - (upwards ? LEVEL_BELOW + 35 : 45));
  const to = Math.min(pathLength(seam.path) - 2, apex + (upwards ? 45 : LEVEL_BELOW + 35));
  return { from, to, length: pathLength(fairRun(seam.path, from, to)) };
}

/** Where laps trim a slanting seam the centre gives up a little more or less than asked: settled until both seams agree. */
const ends = ({ from, to }: { readonly from: number; readonly to: number }) => ({ from, to });

function matchedSpread(
  f: Panels,
  grown: number,
  below: number,
): Result<Spread & { readonly run: ReturnType<typeof runAround> }> {
  let atApex = grown - below;
  for (let i = 0; ; i++) {
    const spread = centreSpread(f, atApex, below);
    if (!spread.ok) return spread;
    const done = slash(f.centre, spread.value.spec);
    if (!done.ok) return done;
    const run = runAround(done.value.piece, f.centreSeam.id);
    const off = grown - (run.length - pathLength(f.centreSeam.path));
    if (Math.abs(off) < TOL.legs / 10 || i === 8) return ok({ ...spread.value, run });
    atApex += off;
  }
}

/** The centre front spread straight across at the apex notch and at the matching place below it. */
function centreSpread(f: Panels, atApex: number, below: number): Result<Spread> {
  const { centre, centreSeam, centreApexAt } = f;
  const down = endOf(centreSeam.path).y > centreSeam.path.start.y ? 1 : -1;
  const size = pathLength(centreSeam.path);
  const places = [centreApexAt, Math.min(size - 5, Math.max(5, centreApexAt + down * LEVEL_BELOW))].map((at) =>
    pointAt(centreSeam.path, at),
  );
  const front = edgesWithRole(centre, 'centreFront');
  const ends = places.map((at) => {
    const x = (front[0]?.path.start.x ?? 0) - f.dir * 300;
    return front.flatMap((e) => intersectPaths(polyline([at, { x, y: at.y }]), e.path))[0]?.point;
  });
  const [a, b] = places;
  const [ca, cb] = ends;
  if (!a || !b || !ca || !cb) return refuse('centre-front-missing', { piece: centre.name });
  const apexShift = { kind: 'shift' as const, by: { x: 0, y: atApex } };
  const near = (at: Point, y: number): Point => ({ x: at.x + f.dir * 3, y: at.y + y });
  return ok({
    lines: [
      { id: 'spread1', label: '5', points: [ca, a] },
      { id: 'spread2', label: '6', points: [cb, b] },
    ],
    spec: {
      cuts: [
        { id: 'spread1', points: [ca, a] },
        { id: 'spread2', points: [cb, b] },
      ],
      hinges: [],
      panels: [
        { id: 'upper', seed: near(ca, -2), motion: { kind: 'rest' }, stage: 'open' },
        {
          id: 'middle',
          seed: near(cb, -2),
          motion: { kind: 'rest' },
          stage: 'open',
          after: { motion: apexShift, stage: 'close' },
        },
        {
          id: 'lower',
          seed: near(cb, 2),
          motion: { kind: 'shift', by: { x: 0, y: below } },
          stage: 'level',
          after: { motion: apexShift, stage: 'close' },
        },
      ],
    },
  });
}
