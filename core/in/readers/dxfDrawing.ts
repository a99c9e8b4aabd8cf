import { isFinitePoint, type Path, type Point } from '../../geometry/index.ts';
import type { Lettering, LineKind, RepairCode, Stroke } from '../tracing/index.ts';
import { drawEntity } from './dxfEntities.ts';
import type { Block, Parsed } from './dxfParse.ts';
import type { Entity } from './dxfTypes.ts';
import { Budget, Pen } from './pen.ts';

const DEEPEST_INSERT = 8;
const MOST_INSERTS = 5_000;
const MOST_TEXTS = 20_000;

/** Where an entity stands: how its points come to the sheet, in which block, on which layer. */
interface Where {
  readonly to: (p: Point) => Point;
  readonly block: string;
  readonly layer: string;
}
/** The file counts upwards, we downwards. */
const up = (p: Point): Point => ({ x: p.x, y: -p.y });

/** What has been drawn so far, in the file's own unit. */
export class DxfDrawing {
  readonly budget = new Budget();
  readonly strokes: Stroke[] = [];
  readonly letters: Lettering[] = [];
  readonly repairs = new Map<RepairCode, number>();
  readonly #blocks: ReadonlyMap<string, Block>;
  readonly #kindOf: (layer: string) => LineKind | null;
  #inserts = 0;

  constructor(blocks: ReadonlyMap<string, Block>, kindOf: (layer: string) => LineKind | null) {
    this.#blocks = blocks;
    this.#kindOf = kindOf;
  }

  /** Draws a file: what it places, and where it places no blocks at all, each of those. */
  drawAll({ entities, ended }: Parsed): void {
    for (const e of entities) this.#draw(e, { to: up, block: '', layer: '' }, 0);
    const placed = new Set(this.strokes.map((s) => s.block));
    if (entities.every((e) => e.type !== 'INSERT'))
      for (const [name, block] of this.#blocks)
        if (!name.startsWith('*') && !placed.has(name))
          for (const e of block.entities) this.#draw(e, { to: up, block: name, layer: '' }, 1);
    if (!ended) this.#note('repair-no-end');
  }

  #note(code: RepairCode): void {
    this.repairs.set(code, (this.repairs.get(code) ?? 0) + 1);
  }

  #draw(e: Entity, where: Where, depth: number): void {
    if (this.budget.spent) return;
    const layer = e.layer === '0' && where.layer !== '' ? where.layer : e.layer;
    if (e.type === 'INSERT') return this.#insert(e, { ...where, layer }, depth);
    const pen = new Pen(this.budget, where.to);
    const drawn = drawEntity(e, pen);
    if (drawn === 'unknown') return this.#note('repair-left-out');
    if (drawn !== 'drawn') return this.#place(drawn, { ...where, layer });
    const kind = this.#kindOf(layer);
    for (const d of pen.done()) this.strokes.push({ layer, style: layer, page: 0, block: where.block, ...d, kind });
    if (pen.broken > 0) this.#note('repair-not-a-number');
  }

  #insert(e: Entity, where: Where, depth: number): void {
    const block = this.#blocks.get((e.texts.find(([c]) => c === 2)?.[1] ?? '').trim());
    if (!block) return this.#note('repair-left-out');
    this.#inserts += 1;
    if (depth >= DEEPEST_INSERT || this.#inserts > MOST_INSERTS) return this.#note('repair-nested');
    const place = placing(e, block.base);
    const name = depth === 0 ? block.name : where.block;
    for (const inner of block.entities)
      this.#draw(inner, { to: (p) => where.to(place(p)), block: name, layer: where.layer }, depth + 1);
  }

  /** A text, or a point: it has no length and stands as a line from itself to itself. */
  #place({ at: from, text }: { readonly at: Point; readonly text: string | null }, where: Where): void {
    if (!isFinitePoint(from)) return this.#note('repair-not-a-number');
    const at = where.to(from);
    const { layer, block } = where;
    if (text === null) {
      const path: Path = { start: at, segments: [{ kind: 'line', to: at }] };
      const kind = this.#kindOf(layer) ?? 'drill';
      this.strokes.push({ layer, style: layer, page: 0, block, path, closed: false, kind });
      this.budget.left--;
    } else if (text !== '' && this.letters.length < MOST_TEXTS) this.letters.push({ text, at, page: 0, layer, block });
  }
}

/** How an insertion places the points of its block: scaled about its base, turned, moved. */
function placing(e: Entity, base: Point): (p: Point) => Point {
  const n = (code: number, other: number): number => {
    const v = e.numbers.find(([c]) => c === code)?.[1];
    return v !== undefined && Number.isFinite(v) ? v : other;
  };
  const [x, y, kx, ky, angle] = [n(10, 0), n(20, 0), n(41, 1), n(42, n(41, 1)), (n(50, 0) * Math.PI) / 180];
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return (p) => {
    const [u, v] = [(p.x - base.x) * kx, (p.y - base.y) * ky];
    return { x: x + c * u - s * v, y: y + s * u + c * v };
  };
}
