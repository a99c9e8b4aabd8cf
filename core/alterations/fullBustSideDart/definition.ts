import { pathLength } from '../../geometry/index.ts';
import { edgesWithRole, type Edge, type Piece } from '../../pattern/index.ts';
import type { Finding } from '../../truing/index.ts';
import { ADVICE, degrees, ok, TOL, type Result } from '../../units/index.ts';
import type { AlterationDefinition, Context, Instruction, Program, Values } from '../contract.ts';
import { choiceOf, numberOf } from '../values.ts';
import { layOut, slashSpec } from './layout.ts';

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
  if (Math.abs(total) < ADVICE.smallBust) out.push({ code: 'small-amount', grade: 'note', ...at });
  if (total / 2 > ADVICE.largeSpread) out.push({ code: 'large-spread', grade: 'look', ...at });
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
