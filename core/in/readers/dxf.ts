import { boundsOf, mapPath, pathFromSpans, type Point, type Path } from '../../geometry/index.ts';
import {
  boxOf,
  MM_PER,
  MOST_SPANS,
  type Lettering,
  type LineKind,
  type Lines,
  type LineUnit,
  type RepairCode,
  type Stroke,
} from '../tracing/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import { Budget, Pen } from './pen.ts';
import { drawEntity } from './dxfEntities.ts';
import type { Entity } from './dxfTypes.ts';

export type DxfError = 'dxf-not-a-drawing' | 'dxf-binary' | 'lines-none' | 'lines-too-many';

const MOST_TAGS = 12_000_000;
const DEEPEST_INSERT = 8;
const MOST_INSERTS = 5_000;

const KIND_OF_LAYER: Readonly<Record<string, LineKind>> = {
  '1': 'cut',
  '2': 'turn',
  '3': 'curve',
  '4': 'notch',
  '6': 'mirror',
  '7': 'grain',
  '8': 'internal',
  '13': 'drill',
  '14': 'sew',
  '15': 'text',
};
/** How many of a file's lines must lie on such layers for the numbers to mean what they are agreed to. */
const CONVENTION = 0.8;

interface Block {
  readonly name: string;
  readonly base: Point;
  readonly entities: readonly Entity[];
}
interface Parsed {
  readonly header: ReadonlyMap<string, string>;
  readonly layers: readonly { readonly name: string; readonly on: boolean }[];
  readonly blocks: ReadonlyMap<string, Block>;
  readonly entities: readonly Entity[];
  readonly ended: boolean;
  /** There was more than any pattern has; what comes after was not looked at. */
  readonly tooMany: boolean;
}

/** Pairs of a code and a value, one after the other; stops quietly where a code is not a number. */
function* tagsOf(text: string): Generator<readonly [number, string]> {
  let at = 0;
  const line = (): string | null => {
    if (at >= text.length) return null;
    let end = text.indexOf('\n', at);
    if (end < 0) end = text.length;
    const l = text.slice(at, text.charCodeAt(end - 1) === 13 ? end - 1 : end);
    at = end + 1;
    return l;
  };
  for (let n = 0; n < MOST_TAGS; n++) {
    const code = line();
    const value = line();
    if (code === null || value === null) return;
    const k = Number(code.trim());
    if (code.trim() === '' || !Number.isInteger(k)) return;
    yield [k, value];
  }
}

/** Sorts the tags into entities. A missing SEQEND, ENDSEC or EOF only ends what stood open. */
function parse(text: string): Parsed {
  const header = new Map<string, string>();
  const layers: { name: string; on: boolean }[] = [];
  const blocks = new Map<string, Block>();
  const entities: Entity[] = [];
  let section = '';
  let variable = '';
  let wantName = false;
  let block: { name: string; base: { x: number; y: number }; entities: Entity[] } | null = null;
  let entity: Entity | null = null;
  let poly: Entity | null = null;
  let layer: { name: string; on: boolean } | null = null;
  let inBlockHead = false;
  let ended = false;
  let count = 0;
  const finish = (): void => {
    if (!entity) return;
    count++;
    const list = block ? block.entities : entities;
    if (entity.type === 'VERTEX' && poly) poly.vertices.push(entity);
    else if (entity.type === 'SEQEND') poly = null;
    else {
      if (entity.type === 'POLYLINE') poly = entity;
      else poly = null;
      list.push(entity);
    }
    entity = null;
  };
  for (const [code, value] of tagsOf(text)) {
    if (code === 0) {
      finish();
      // Every one of them is held until the end: a file of millions is left before it fills the memory.
      if (count > MOST_SPANS) break;
      inBlockHead = false;
      layer = null;
      const type = value.trim();
      if (type === 'SECTION') wantName = true;
      else if (type === 'ENDSEC') section = '';
      else if (type === 'EOF') {
        ended = true;
        break;
      } else if (section === 'TABLES' && type === 'LAYER') layers.push((layer = { name: '', on: true }));
      else if (section === 'BLOCKS' && type === 'BLOCK') {
        block = { name: '', base: { x: 0, y: 0 }, entities: [] };
        inBlockHead = true;
      } else if (section === 'BLOCKS' && type === 'ENDBLK') {
        if (block && block.name !== '') blocks.set(block.name, block);
        block = null;
      } else if (section === 'ENTITIES' || (section === 'BLOCKS' && block))
        entity = { type, layer: '', numbers: [], texts: [], vertices: [] };
    } else if (wantName && code === 2) {
      section = value.trim();
      wantName = false;
    } else if (section === 'HEADER') {
      if (code === 9) variable = value.trim();
      else if (!header.has(variable)) header.set(variable, value.trim());
    } else if (layer) {
      if (code === 2) layer.name = value.trim();
      // Off is a negative colour, frozen a bit.
      if (code === 62 && Number(value) < 0) layer.on = false;
      if (code === 70 && (Number(value) & 1) === 1) layer.on = false;
    } else if (inBlockHead && block) {
      if (code === 2) block.name = value.trim();
      if (code === 10) block.base.x = Number(value) || 0;
      if (code === 20) block.base.y = Number(value) || 0;
    } else if (entity) {
      if (code === 8) entity.layer = value.trim();
      else if (code === 1 || code === 2 || code === 3) entity.texts.push([code, value]);
      else if (code >= 10 && code < 80) entity.numbers.push([code, Number(value)]);
    }
  }
  finish();
  if (block && block.name !== '') blocks.set(block.name, block);
  return { header, layers, blocks, entities, ended, tooMany: count > MOST_SPANS };
}

interface Where {
  readonly to: (p: Point) => Point;
  readonly block: string;
  readonly layer: string;
}

/** What the file says of its unit, else what its size makes likely: a piece is a hand to a few arms long. */
function unitOf(parsed: Parsed, texts: readonly string[], size: number): LineUnit {
  const said = { '1': 'in', '4': 'mm', '5': 'cm' }[parsed.header.get('$INSUNITS') ?? ''] as
    LineUnit['name'] | undefined;
  if (said) return { name: said, stated: true };
  const words = texts.map((t) => /^\s*units?\s*[:=]\s*(\w+)/i.exec(t)?.[1]?.toLowerCase()).find((w) => w !== undefined);
  if (words) {
    if (/^(metric|mm|millim)/.test(words)) return { name: 'mm', stated: true };
    if (/^(cm|centim)/.test(words)) return { name: 'cm', stated: true };
    if (/^(english|imperial|in|inch)/.test(words)) return { name: 'in', stated: true };
  }
  return { name: size > 150 ? 'mm' : size > 32 ? 'cm' : 'in', stated: false };
}

/**
 * Reads a DXF drawing of R12 or later, in text form: straight and bulged polylines, lines, arcs, circles, ellipses,
 * splines, points and words, in blocks or out of them. Layers numbered as apparel programs have agreed are
 * understood; others are kept by name. Blocks nobody placed are laid side by side, and so are blocks of different
 * pieces placed upon one another.
 */
export function readDxf(text: string): Result<Lines, DxfError> {
  if (text.slice(0, 40).includes('Binary DXF')) return refuse('dxf-binary');
  if (!/^\s*(0|999)\s*\r?\n/.test(text.slice(0, 2000))) return refuse('dxf-not-a-drawing');
  const parsed = parse(text);
  if (parsed.tooMany) return refuse('lines-too-many', { most: MOST_SPANS });
  const every = [...parsed.entities, ...[...parsed.blocks.values()].flatMap((b) => b.entities)];
  if (every.length === 0) return refuse('lines-none');
  const drawable = every.filter((e) => e.type !== 'INSERT');
  const agreed = drawable.filter((e) => Object.hasOwn(KIND_OF_LAYER, e.layer)).length >= CONVENTION * drawable.length;
  const kindOf = (layer: string): LineKind | null =>
    agreed ? (Object.hasOwn(KIND_OF_LAYER, layer) ? (KIND_OF_LAYER[layer] ?? null) : null) : null;

  const budget = new Budget();
  const strokes: Stroke[] = [];
  const letters: Lettering[] = [];
  const told = new Map<RepairCode, number>();
  const tell = (code: RepairCode): void => void told.set(code, (told.get(code) ?? 0) + 1);
  let inserts = 0;

  const draw = (e: Entity, where: Where, depth: number): void => {
    if (budget.spent) return;
    const layer = e.layer === '0' && where.layer !== '' ? where.layer : e.layer;
    if (e.type === 'INSERT') {
      const block = parsed.blocks.get((e.texts.find(([c]) => c === 2)?.[1] ?? '').trim());
      if (!block) return tell('repair-left-out');
      if (depth >= DEEPEST_INSERT || ++inserts > MOST_INSERTS) return tell('repair-nested');
      const n = (code: number, other: number): number => {
        const v = e.numbers.find(([c]) => c === code)?.[1];
        return v !== undefined && Number.isFinite(v) ? v : other;
      };
      const [x, y, kx, ky, angle] = [n(10, 0), n(20, 0), n(41, 1), n(42, n(41, 1)), (n(50, 0) * Math.PI) / 180];
      const [c, s] = [Math.cos(angle), Math.sin(angle)];
      const to = (p: Point): Point => {
        const [u, v] = [(p.x - block.base.x) * kx, (p.y - block.base.y) * ky];
        return where.to({ x: x + c * u - s * v, y: y + s * u + c * v });
      };
      const name = depth === 0 ? block.name : where.block;
      for (const inner of block.entities) draw(inner, { to, block: name, layer }, depth + 1);
      return;
    }
    const kind = kindOf(layer);
    const common = { layer, style: layer, page: 0, block: where.block };
    const pen = new Pen(budget, where.to);
    const result = drawEntity(e, pen);
    if (result === 'unknown') return tell('repair-left-out');
    if (result !== 'drawn') {
      if (!Number.isFinite(result.at.x) || !Number.isFinite(result.at.y)) return tell('repair-not-a-number');
      const at = where.to(result.at);
      if (result.text === null) {
        // A point has no length; it stands as a line from itself to itself.
        const path: Path = { start: at, segments: [{ kind: 'line', to: at }] };
        strokes.push({ ...common, path, closed: false, kind: kind ?? 'drill' });
        budget.left--;
      } else if (result.text !== '' && letters.length < 20_000)
        letters.push({ text: result.text, at, page: 0, layer, block: where.block });
      return;
    }
    for (const d of pen.done()) strokes.push({ ...common, ...d, kind });
    if (pen.broken > 0) tell('repair-not-a-number');
  };
  const up = (p: Point): Point => ({ x: p.x, y: -p.y });
  for (const e of parsed.entities) draw(e, { to: up, block: '', layer: '' }, 0);
  const placed = new Set(strokes.map((s) => s.block));
  if (parsed.entities.every((e) => e.type !== 'INSERT'))
    for (const [name, b] of parsed.blocks)
      if (!name.startsWith('*') && !placed.has(name))
        for (const e of b.entities) draw(e, { to: up, block: name, layer: '' }, 1);
  if (budget.spent) return refuse('lines-too-many', { most: MOST_SPANS });
  if (strokes.length === 0) return refuse('lines-none');
  if (!parsed.ended) tell('repair-no-end');

  const sizes = [...groups(strokes).values()].map((list) => sizeOf(list));
  const unit = unitOf(
    parsed,
    letters.map((l) => l.text),
    sizes.reduce((most, n) => Math.max(most, n), 0),
  );
  const factor = MM_PER[unit.name];
  const scaled = apart(
    strokes.map((s) => ({
      ...s,
      path: factor === 1 ? s.path : mapPath(s.path, (p) => ({ x: p.x * factor, y: p.y * factor })),
    })),
    letters.map((l) => ({ ...l, at: { x: l.at.x * factor, y: l.at.y * factor } })),
  );
  const box = boundsOf(scaled.strokes.flatMap((s) => corners(s.path)));
  const layerNames = [...new Set(scaled.strokes.map((s) => s.layer))];
  return ok({
    source: 'dxf',
    ...scaled,
    layers: layerNames.map((id) => ({
      id,
      name: id,
      on: parsed.layers.find((l) => l.name === id)?.on ?? true,
    })),
    styles: layerNames.map((id) => ({ id, color: null, width: 0, dash: [] })),
    pages: [{ width: box.maxX - box.minX, height: box.maxY - box.minY }],
    unit,
    repairs: [...told].map(([code, count]) => ({ code, data: { count } })),
    pieces: [],
  });
}

const corners = (path: Path): readonly Point[] => {
  const b = boxOf(path);
  return [
    { x: b.minX, y: b.minY },
    { x: b.maxX, y: b.maxY },
  ];
};
function groups(strokes: readonly Stroke[]): ReadonlyMap<string, readonly Stroke[]> {
  const out = new Map<string, Stroke[]>();
  for (const s of strokes) {
    const list = out.get(s.block);
    if (list) list.push(s);
    else out.set(s.block, [s]);
  }
  return out;
}
const sizeOf = (strokes: readonly Stroke[]): number => {
  const b = boundsOf(strokes.flatMap((s) => corners(s.path)));
  return Math.max(b.maxX - b.minX, b.maxY - b.minY);
};

/** The name of the piece a block holds, without its size: sizes of one piece may lie upon one another. */
const pieceName = (letters: readonly Lettering[], block: string): string =>
  letters
    .filter((l) => l.block === block)
    .map((l) => /^\s*piece\s*name\s*:\s*(.+)$/i.exec(l.text)?.[1]?.trim())
    .find((t) => t !== undefined) ?? block;

/** Everything moved to begin at the origin; blocks of different pieces that lie on one another laid side by side. */
function apart(
  strokes: readonly Stroke[],
  letters: readonly Lettering[],
): { readonly strokes: readonly Stroke[]; readonly letters: readonly Lettering[] } {
  const blocks = groups(strokes);
  const names = new Map<string, string[]>();
  for (const block of blocks.keys()) {
    const name = pieceName(letters, block);
    names.set(name, [...(names.get(name) ?? []), block]);
  }
  const shift = new Map<string, Point>();
  const laid = [...names.values()].map((of) => ({
    of,
    box: boundsOf(of.flatMap((b) => (blocks.get(b) ?? []).flatMap((s) => corners(s.path)))),
  }));
  const overlap = laid.some((a, i) =>
    laid.some(
      (b, k) =>
        k > i &&
        Math.min(a.box.maxX, b.box.maxX) - Math.max(a.box.minX, b.box.minX) > 10 &&
        Math.min(a.box.maxY, b.box.maxY) - Math.max(a.box.minY, b.box.minY) > 10,
    ),
  );
  if (overlap) {
    let x = 0;
    for (const { of, box } of laid) {
      for (const b of of) shift.set(b, { x: x - box.minX, y: -box.minY });
      x += box.maxX - box.minX + 40;
    }
  } else {
    const all = boundsOf(strokes.flatMap((s) => corners(s.path)));
    for (const block of blocks.keys()) shift.set(block, { x: -all.minX, y: -all.minY });
  }
  const by = (block: string): Point => shift.get(block) ?? { x: 0, y: 0 };
  return {
    strokes: strokes.map((s) => {
      const d = by(s.block);
      const path = mapPath(s.path, (p) => ({ x: p.x + d.x, y: p.y + d.y }));
      // A point keeps standing where mapping would find no length.
      return {
        ...s,
        path: path.segments.length > 0 ? path : pathFromSpans([{ kind: 'line', a: path.start, b: path.start }]),
      };
    }),
    letters: letters.map((l) => ({ ...l, at: { x: l.at.x + by(l.block).x, y: l.at.y + by(l.block).y } })),
  };
}
