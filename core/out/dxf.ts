import {
  boundsOf,
  distance,
  endOf,
  flatten,
  nearestOnPath,
  pathFromSpans,
  pathLength,
  pointAt,
  pointOn,
  spanLength,
  spansOf,
  type Path,
  type Point,
} from '../geometry/index.ts';
import { asCut, centreEdgeOf, edgeOf, type Piece } from '../pattern/index.ts';
import { TOL } from '../units/index.ts';
import { drawPiece } from './drawing.ts';

/** The layers that apparel programs have agreed on, by number. */
export const DXF_LAYERS = {
  boundary: '1',
  turn: '2',
  curve: '3',
  notch: '4',
  mirror: '6',
  grain: '7',
  internal: '8',
  drill: '13',
  sew: '14',
  text: '15',
} as const;
type Layer = (typeof DXF_LAYERS)[keyof typeof DXF_LAYERS];

/** Pieces of one size. */
export interface SizedPieces {
  readonly size: string;
  readonly pieces: readonly Piece[];
}

const GAP = 40;
/** Points of a curve lie no farther apart, mm. */
const CLOSE = 5;
/** R12 is not UTF-8 and allows few characters in names: accents are dropped, other characters become a dash. */
const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/[^\x20-\x7e]/g, '-')
    .slice(0, 200);
const blockName = (text: string): string =>
  plain(text)
    .toUpperCase()
    .replace(/[^A-Z0-9]+/g, '_')
    .slice(0, 28);

class Tags {
  private readonly out: string[] = [];
  put(...pairs: readonly (readonly [number, string | number])[]): void {
    for (const [code, value] of pairs) this.out.push(String(code), typeof value === 'number' ? numberOf(value) : value);
  }
  text(): string {
    return `${this.out.join('\r\n')}\r\n`;
  }
}
const numberOf = (n: number): string => (Number.isInteger(n) ? String(n) : n.toFixed(5));

/** Draws in the axes of the format: y upwards. */
class Draw {
  constructor(
    private readonly tags: Tags,
    private readonly base: Point,
  ) {}
  private at(p: Point): readonly [number, number] {
    return [p.x - this.base.x, -(p.y - this.base.y)];
  }
  line(layer: Layer, a: Point, b: Point): void {
    const [[ax, ay], [bx, by]] = [this.at(a), this.at(b)];
    this.tags.put([0, 'LINE'], [8, layer], [10, ax], [20, ay], [11, bx], [21, by]);
  }
  point(layer: Layer, p: Point): void {
    const [x, y] = this.at(p);
    this.tags.put([0, 'POINT'], [8, layer], [10, x], [20, y]);
  }
  text(layer: Layer, p: Point, text: string): void {
    const [x, y] = this.at(p);
    this.tags.put([0, 'TEXT'], [8, layer], [10, x], [20, y], [40, 5], [1, plain(text)]);
  }
  polyline(layer: Layer, points: readonly Point[], closed: boolean): void {
    this.tags.put([0, 'POLYLINE'], [8, layer], [66, '1'], [10, '0'], [20, '0'], [70, closed ? '1' : '0']);
    for (const p of points) {
      const [x, y] = this.at(p);
      this.tags.put([0, 'VERTEX'], [8, layer], [10, x], [20, y]);
    }
    this.tags.put([0, 'SEQEND'], [8, layer]);
  }
}

/** Points along a closed line: the corners of its spans, and between them as many as keep the chords within a hair. */
function pointsOf(path: Path): readonly Point[] {
  const spans = spansOf(path);
  const points: Point[] = [];
  for (const s of spans) {
    const run = flatten(pathFromSpans([s]), TOL.fit / 2);
    // Dense enough that a curve fitted through them matches the original.
    const n = s.kind === 'line' ? 1 : Math.max(run.length - 1, Math.ceil(spanLength(s) / CLOSE));
    for (let i = 0; i < n; i++) points.push(pointOn(s, i / n));
  }
  const last = endOf(path);
  if (distance(last, path.start) > TOL.same) points.push(last);
  return points;
}

/**
 * A piece as cut whose strip beyond the centre is named as a reader finds it: its outer edge for the centre, the rest as
 * the neckline and lower edge it runs on from. The lines drawn inside tell where the centre lies.
 */
function readable(piece: Piece, cut: Piece): Piece {
  const centre = centreEdgeOf(piece);
  if (!piece.beyond || !centre) return cut;
  const i = piece.edges.indexOf(centre);
  const n = piece.edges.length;
  const [before, after] = [piece.edges[(i + n - 1) % n], piece.edges[(i + 1) % n]];
  const size = piece.beyond.edges.map((e) => pathLength(e.path));
  const outer = size.indexOf(Math.max(...size));
  const roles = new Map(
    piece.beyond.edges.map((e, k) => [e.id, (k === outer ? centre : k < outer ? before : after)?.role ?? e.role]),
  );
  return { ...cut, edges: cut.edges.map((e) => ({ ...e, role: roles.get(e.id) ?? e.role })) };
}

function block(tags: Tags, piece: Piece, size: string, base: Point): void {
  const d = drawPiece(piece);
  const draw = new Draw(tags, base);
  const cut = asCut(piece);
  const seam = cut.edges.map((e) => e.path);
  draw.polyline(DXF_LAYERS.boundary, pointsOf(d.cutting), true);
  draw.polyline(DXF_LAYERS.sew, pointsOf(d.seam), true);
  const corners = seam.map((p) => p.start);
  for (const p of corners) draw.point(DXF_LAYERS.turn, p);
  for (const s of seam.flatMap(spansOf))
    if (s.kind === 'cubic' && !corners.includes(s.a)) draw.point(DXF_LAYERS.curve, s.a);
  for (const dart of d.darts) {
    const legs = spansOf(dart.legs);
    // Curved legs in one closed line, so that a reader sees one shape.
    if (legs.some((s) => s.kind === 'cubic')) draw.polyline(DXF_LAYERS.internal, flatten(dart.legs).slice(0, -1), true);
    else for (const { a, b } of legs) draw.line(DXF_LAYERS.internal, a, b);
    for (const tip of dart.tips) draw.point(DXF_LAYERS.drill, tip);
  }
  for (const m of piece.marks) {
    if (m.kind === 'notch') {
      const edge = edgeOf(piece, m.edge);
      if (edge)
        for (let i = 0; i < m.count; i++)
          draw.point(
            DXF_LAYERS.notch,
            nearestOnPath(edge.path, pointAt(edge.path, m.at + (i - (m.count - 1) / 2) * 5)).point,
          );
    } else if (m.kind === 'grain') draw.line(DXF_LAYERS.grain, m.from, m.to);
    else if (m.kind === 'drill' || m.kind === 'bustPoint') draw.point(DXF_LAYERS.drill, m.at);
  }
  if (d.foldLine) draw.line(DXF_LAYERS.mirror, ...d.foldLine);
  for (const inner of [...(d.centreLine ? [d.centreLine] : []), ...d.folds]) draw.line(DXF_LAYERS.internal, ...inner);
  for (const button of d.buttons) draw.point(DXF_LAYERS.drill, button);
  const { minX, minY, maxX, maxY } = boundsOf(flatten(d.seam, 1));
  const middle = { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
  const words = [
    `Piece Name: ${piece.name}`,
    `Size: ${size}`,
    `Quantity: ${piece.cut}`,
    'Units: METRIC',
    `Part: ${piece.part}`,
    ...(piece.notes === '' ? [] : [`Annotation: ${piece.notes}`]),
  ];
  words.forEach((w, i) => draw.text(DXF_LAYERS.text, { x: middle.x, y: middle.y + i * 8 }, w));
  for (const m of piece.marks) {
    if (m.kind === 'bustPoint') draw.text(DXF_LAYERS.text, m.at, 'Mark: bust point');
    if (m.kind === 'level') draw.text(DXF_LAYERS.text, m.at, `Mark: ${m.name}`);
  }
  for (const e of readable(piece, cut).edges)
    if (e.role !== 'dart')
      draw.text(
        DXF_LAYERS.text,
        pointAt(e.path, pathLength(e.path) / 2),
        `Edge: ${e.role}, ${numberOf(e.allowance)} mm`,
      );
}

/**
 * Pieces as DXF of the kind apparel programs exchange (R12, ASCII, mm): a block for each piece of each size, the
 * cutting line on layer 1, the seam line on 14, corners, curve points, notches, mirror, grain, darts' legs and holes
 * on theirs, words on 15. Curves become straight bits within 0.002 mm, since the format has none.
 */
export function writeDxf(sizes: readonly SizedPieces[]): string {
  const tags = new Tags();
  tags.put([0, 'SECTION'], [2, 'HEADER'], [9, '$ACADVER'], [1, 'AC1009'], [9, '$MEASUREMENT'], [70, '1']);
  tags.put([9, '$INSUNITS'], [70, '4'], [0, 'ENDSEC']);
  const layers = Object.values(DXF_LAYERS);
  tags.put([0, 'SECTION'], [2, 'TABLES'], [0, 'TABLE'], [2, 'LTYPE'], [70, '1'], [0, 'LTYPE'], [2, 'CONTINUOUS']);
  tags.put([70, '0'], [3, 'Solid line'], [72, '65'], [73, '0'], [40, '0.0'], [0, 'ENDTAB']);
  tags.put([0, 'TABLE'], [2, 'LAYER'], [70, String(layers.length)]);
  layers.forEach((name, i) =>
    tags.put([0, 'LAYER'], [2, name], [70, '0'], [62, String((i % 7) + 1)], [6, 'CONTINUOUS']),
  );
  tags.put([0, 'ENDTAB'], [0, 'ENDSEC'], [0, 'SECTION'], [2, 'BLOCKS']);
  const placed: { readonly name: string; readonly at: Point }[] = [];
  let y = 0;
  for (const { size, pieces } of sizes) {
    let x = 0;
    let row = 0;
    for (const piece of pieces) {
      const box = drawPiece(piece).bounds;
      const same = placed.filter((p) => p.name.startsWith(`${blockName(piece.name)}_${blockName(size)}`)).length;
      const name = `${blockName(piece.name)}_${blockName(size)}${same > 0 ? `_${same + 1}` : ''}`;
      const base = { x: box.minX, y: box.minY };
      tags.put([0, 'BLOCK'], [8, '1'], [2, name], [70, '0'], [10, '0'], [20, '0'], [3, name]);
      block(tags, piece, size, base);
      tags.put([0, 'ENDBLK'], [8, '1']);
      placed.push({ name, at: { x, y } });
      x += box.maxX - box.minX + GAP;
      row = Math.max(row, box.maxY - box.minY);
    }
    y += row + GAP;
  }
  tags.put([0, 'ENDSEC'], [0, 'SECTION'], [2, 'ENTITIES']);
  for (const p of placed) tags.put([0, 'INSERT'], [8, '1'], [2, p.name], [10, p.at.x], [20, -p.at.y]);
  tags.put([0, 'ENDSEC'], [0, 'EOF']);
  return tags.text();
}
