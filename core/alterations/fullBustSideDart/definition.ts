import {
  add,
  cross,
  dot,
  intersectPaths,
  pathLength,
  pointAt,
  polyline,
  rotateAbout,
  sub,
  tangentAt,
  type Point,
} from '../../geometry/index.ts';
import { dartShape, edgesWithRole, isInside, type Edge, type Piece } from '../../pattern/index.ts';
import { follow, type SlashSpec } from '../../slash/index.ts';
import type { Finding } from '../../truing/index.ts';
import { degrees, ok, refuse, TOL, type Result } from '../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Program, Values } from '../contract.ts';
import { choiceOf, numberOf, pointOf } from '../values.ts';
import {
  centreX,
  dartMouthPoint,
  findBustPoint,
  findFront,
  hingeAt,
  hingeNear,
  lineOneFoot,
  lineThree,
  type Front,
} from './landmarks.ts';

/** How far the hinge lets the bust point go sideways: past a quarter turn the paper would swing back up. */
export const spreadReach = (hinge: Point, bustPoint: Point, dir: 1 | -1): number =>
  Math.max(0, (hinge.x - bustPoint.x) * dir);

/** Moves the bust point sideways by s about the hinge: P′ = (P.x + s, H.y + √(|HP|² − (P.x + s − H.x)²)). */
export function movedBustPoint(hinge: Point, p: Point, dir: 1 | -1, s: number): Point | null {
  const x = p.x + dir * s;
  const square = (p.x - hinge.x) ** 2 + (p.y - hinge.y) ** 2 - (x - hinge.x) ** 2;
  return square < 0 ? null : { x, y: hinge.y + Math.sqrt(square) };
}

const turnOf = (about: Point, from: Point, to: Point): number => {
  const u = sub(from, about);
  const v = sub(to, about);
  return Math.atan2(cross(u, v), dot(u, v));
};

/** A point just inside the piece beside the middle of an edge; the outline runs clockwise, so inside is to the right. */
const inside = (edge: Edge): Point => {
  const at = pathLength(edge.path) / 2;
  const t = tangentAt(edge.path, at);
  return add(pointAt(edge.path, at), { x: -t.y * 0.5, y: t.x * 0.5 });
};

interface Layout {
  readonly front: Front;
  readonly p: Point;
  readonly source: string;
  readonly moved: Point;
  readonly turn: number;
  readonly hinge: Point;
  readonly hingeEdge: string;
  readonly foot: Point;
  readonly footRole: string;
  readonly mouth: Point;
  readonly level: { readonly y: number; readonly onLevel: boolean };
  readonly centreAt: Point;
}

/** Finds every point and line of the procedure, or refuses with where it fails. */
function layOut(context: Context, values: Values, s: number): Result<Layout> {
  const found = findFront(context.pieces);
  if (!found.ok) return found;
  const front = found.value;
  const { at: p, source } = findBustPoint(front, context, values);
  if (!isInside(front.piece, p)) return refuse('bust-point-outside', { piece: front.piece.name });
  const asked = pointOf(values, 'hingePoint');
  const place = asked ? hingeNear(front, asked) : ok(hingeAt(front, numberOf(values, 'hinge')));
  if (!place.ok) return place;
  const hinge = place.value.at;
  if (hinge.y >= p.y) return refuse('hinge-below-bust-point', { piece: front.piece.name });
  const reach = spreadReach(hinge, p, front.dir);
  const moved = movedBustPoint(hinge, p, front.dir, s);
  if (s > reach || (!moved && s > 0)) return refuse('spread-beyond-reach', { wanted: s, reach });
  const shape = dartShape(front.piece, front.dart);
  const dartAngle = Math.abs(turnOf(p, shape.start, shape.end));
  if (!moved || (s < 0 && Math.abs(turnOf(hinge, p, moved)) >= dartAngle))
    return refuse('overlap-larger-than-dart', { wanted: -s, most: mostOverlap(hinge, p, front.dir, dartAngle) });
  const turn = turnOf(hinge, p, moved);
  const foot = lineOneFoot(front, p);
  if (!foot.ok) return foot;
  const level = lineThree(front, p, foot.value.at);
  const across = polyline([
    { x: p.x, y: level.y },
    { x: centreX(front) - front.dir * 500, y: level.y },
  ]);
  const centreAt = edgesWithRole(front.piece, 'centreFront').flatMap((e) => intersectPaths(across, e.path))[0]?.point;
  if (!centreAt) return refuse('centre-front-missing', { piece: front.piece.name });
  return ok({
    front,
    p,
    source,
    moved,
    turn,
    hinge,
    hingeEdge: place.value.edge.id,
    foot: foot.value.at,
    footRole: foot.value.edge.role,
    mouth: dartMouthPoint(front, p),
    level,
    centreAt,
  });
}

/** The overlap that would close the dart entirely. */
function mostOverlap(hinge: Point, p: Point, dir: 1 | -1, angle: number): number {
  const closed = rotateAbout(p, hinge, dir * angle);
  return Math.abs(closed.x - p.x);
}

function slashSpec(l: Layout): SlashSpec {
  const { front, p, hinge, foot, mouth, centreAt } = l;
  const junction = { x: p.x, y: l.level.y };
  return {
    cuts: [
      { id: 'line1', points: [foot, p, hinge] },
      { id: 'line2', points: [mouth, p] },
      { id: 'line3', points: [centreAt, junction] },
    ],
    hinges: [
      { id: 'hinge', at: hinge, panels: ['upperSide', 'centreUpper'] },
      { id: 'bustPoint', at: p, panels: ['upperSide', 'lowerSide'] },
    ],
    panels: [
      {
        id: 'centreUpper',
        seed: add(centreAt, { x: front.dir * 0.5, y: -0.5 }),
        motion: { kind: 'rest' },
        stage: 'open',
      },
      {
        id: 'upperSide',
        seed: inside(front.upperSide),
        motion: { kind: 'turn', about: hinge, angle: l.turn },
        stage: 'open',
      },
      { id: 'lowerSide', seed: inside(front.lowerSide), motion: follow('upperSide', p), stage: 'open' },
      {
        id: 'centreLower',
        seed: add(centreAt, { x: front.dir * 0.5, y: 0.5 }),
        motion: follow('upperSide', p, 'y'),
        stage: 'level',
      },
    ],
  };
}

function plan(context: Context, values: Values): Result<Program> {
  const total = numberOf(values, 'total');
  const s = total / 2;
  const laid = layOut(context, values, s);
  if (!laid.ok) return laid;
  const l = laid.value;
  const { front, p, moved, hinge } = l;
  const dy = moved.y - p.y;
  const setback = numberOf(values, 'setback');
  const lap = s < 0;
  const middle = choiceOf(values, 'newBustPoint') === 'middle';
  const bustPoint = middle ? { x: (p.x + moved.x) / 2, y: moved.y } : moved;
  const degreesTurned = Math.abs(degrees(l.turn));
  const data = { s: Math.abs(s), total, dy, degrees: degreesTurned, setback };
  const waistDart = front.waistDart && l.footRole === 'dart' ? front.waistDart : null;
  const keepsDart = waistDart !== null && choiceOf(values, 'waistDart') === 'keep';
  const hemRole: 'waist' | 'hem' = edgesWithRole(front.piece, 'waist').length > 0 ? 'waist' : 'hem';
  const widthGrows = s !== 0 && (waistDart === null || keepsDart);
  const shape = choiceOf(values, 'waistWidth');

  const steps: Instruction[] = [
    {
      op: 'mark',
      stage: 'mark',
      message: { code: 'fba.mark.bustPoint', data: { source: l.source } },
      lines: [],
      points: [{ id: 'bustPoint', kind: 'bustPoint', at: p }],
    },
    {
      op: 'mark',
      stage: 'mark',
      message: { code: 'fba.mark.lines', data: { share: numberOf(values, 'hinge') } },
      lines: [
        { id: 'line1', label: '1', points: [l.foot, p, hinge] },
        { id: 'line2', label: '2', points: [l.mouth, p] },
        { id: 'line3', label: '3', points: [l.centreAt, { x: p.x, y: l.level.y }] },
      ],
      points: [{ id: 'hinge', kind: 'hinge', at: hinge }],
    },
    {
      op: 'slash',
      stage: 'cut',
      spec: slashSpec(l),
      messages: {
        cut: { code: 'fba.cut', data },
        open: { code: lap ? 'fba.lap' : 'fba.open', data },
        level: { code: lap ? 'fba.level.up' : 'fba.level.down', data: { dy: Math.abs(dy) } },
      },
      dimensions: [{ id: 'spread', from: { x: p.x, y: moved.y }, to: moved, value: Math.abs(s) }],
    },
    {
      op: 'landmark',
      stage: 'dart',
      message: { code: middle ? 'fba.bustPoint.middle' : 'fba.bustPoint.moved', data },
      bustPoint,
      levels: { bust: bustPoint.y },
    },
    { op: 'retip', stage: 'dart', message: { code: 'fba.dart.retip', data }, dart: front.dart.id, bustPoint, setback },
  ];
  if (waistDart) {
    if (keepsDart)
      steps.push({
        op: 'narrow',
        stage: 'dart',
        message: { code: 'fba.waistDart.keep', data },
        dart: waistDart.id,
        change: s,
      });
    const below = Math.max(10, Math.abs(waistDart.tip.y - p.y));
    steps.push({
      op: 'retip',
      stage: 'dart',
      message: {
        code: keepsDart ? 'fba.waistDart.retip' : lap ? 'fba.waistDart.narrower' : 'fba.waistDart.wider',
        data: { ...data, below },
      },
      dart: waistDart.id,
      bustPoint,
      setback: below,
    });
  }
  steps.push({
    op: 'smooth',
    stage: 'true',
    message: { code: 'fba.true.armhole', data },
    edge: l.hingeEdge,
    near: hinge,
    reach: 30,
  });
  if (widthGrows) {
    if (shape === 'keep')
      steps.push({
        op: 'finding',
        stage: 'true',
        finding: { code: 'waist-grew', grade: 'look', piece: front.piece.id, data: { by: s } },
      });
    else
      steps.push({
        op: 'restoreWidth',
        stage: 'true',
        message: { code: lap ? 'fba.true.addBack' : 'fba.true.taper', data: { ...data, shape } },
        side: front.lowerSide.id,
        role: hemRole,
        shape: shape === 'curved' ? 'curved' : 'straight',
      });
    steps.push({
      op: 'smoothKinks',
      stage: 'true',
      message: { code: 'fba.true.waist', data },
      role: hemRole,
      reach: 20,
    });
  }
  steps.push({ op: 'cap', stage: 'true', message: { code: 'fba.true.cap', data }, dart: front.dart.id });
  if (waistDart)
    steps.push({ op: 'cap', stage: 'true', message: { code: 'fba.true.capWaist', data }, dart: waistDart.id });
  steps.push({ op: 'match', stage: 'match', message: { code: 'fba.match', data }, kinds: ['side', 'shoulder'] });
  for (const finding of advice(front.piece, total)) steps.push({ op: 'finding', stage: 'match', finding });
  return ok({
    piece: front.piece.id,
    instructions: s === 0 ? steps.filter((i) => i.stage === 'mark' || i.stage === 'cut' || i.op === 'match') : steps,
  });
}

/** What a dressmaker would say before it is too late. */
function advice(piece: Piece, total: number): readonly Finding[] {
  const out: Finding[] = [];
  const at = { piece: piece.id, data: { total, s: total / 2 } };
  if (total === 0) return out;
  if (Math.abs(total) < 13) out.push({ code: 'small-amount', grade: 'note', ...at });
  if (total / 2 > 38) out.push({ code: 'large-spread', grade: 'look', ...at });
  out.push({ code: 'back-needs-look', grade: 'look', ...at });
  out.push({ code: 'facing-follows', grade: 'note', ...at });
  return out;
}

/** Promises kept by the procedure, checked on every run. */
function holds(before: Piece, after: Piece): readonly Finding[] {
  const sum = (piece: Piece, role: Edge['role']): number =>
    edgesWithRole(piece, role).reduce((n, e) => n + pathLength(e.path), 0);
  const out: Finding[] = [];
  for (const role of ['armhole', 'shoulder', 'neck'] as const) {
    const by = sum(after, role) - sum(before, role);
    if (Math.abs(by) > (role === 'armhole' ? TOL.armhole : TOL.legs))
      out.push({ code: 'armhole-changed', grade: 'fault', piece: after.id, data: { by, role } });
  }
  return out;
}

export const fullBustSideDart: AlterationDefinition = {
  id: 'full-bust-side-dart',
  revision: 1,
  family: 'bust',
  params: [
    { kind: 'length', key: 'total', min: -160, max: 300, initial: 25, step: 1, signed: true },
    { kind: 'choice', key: 'whose', options: ['wearer', 'pattern', 'darts', 'tip'], initial: 'wearer' },
    { kind: 'point', key: 'bustPoint', initial: null },
    { kind: 'share', key: 'hinge', min: 0.3, max: 0.95, initial: 0.64 },
    { kind: 'point', key: 'hingePoint', initial: null },
    { kind: 'length', key: 'setback', min: 5, max: 80, initial: 25, step: 1 },
    { kind: 'choice', key: 'newBustPoint', options: ['middle', 'moved'], initial: 'middle' },
    { kind: 'choice', key: 'waistDart', options: ['widen', 'keep'], initial: 'widen' },
    { kind: 'choice', key: 'waistWidth', options: ['straight', 'curved', 'keep'], initial: 'straight' },
  ],
  requires: ['centreFront', 'armhole', 'side', 'dart'],
  refusals: [
    'front-not-found',
    'centre-front-missing',
    'armhole-missing',
    'no-side-dart',
    'dart-not-in-side-seam',
    'bust-point-outside',
    'hinge-not-on-armhole',
    'hinge-below-bust-point',
    'spread-beyond-reach',
    'overlap-larger-than-dart',
    'line-misses-hem',
    'overlap-too-large',
    'cut-leaves-piece',
  ],
  examples: [
    { name: 'full', values: { total: 50 } },
    { name: 'small', values: { total: -20 } },
    { name: 'fullKeepingWaistDart', values: { total: 50, waistDart: 'keep', waistWidth: 'curved' } },
  ],
  source: 'The usual three-line slash of dressmaking handbooks, hinged on the armhole seam line.',
  // 25 mm behind the bust point, 5 more for every cup beyond the draft, at most 50.
  suggest: (total) => ({ setback: Math.min(50, 25 + 5 * Math.max(0, Math.round(total / 25))) }),
  plan,
  holds,
};
