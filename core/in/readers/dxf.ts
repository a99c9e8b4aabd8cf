import { boundsOf, mapPath } from '../../geometry/index.ts';
import { MM_PER, MOST_SPANS, type LineKind, type Lines, type LineUnit } from '../tracing/index.ts';
import { ok, refuse, type Result } from '../../units/index.ts';
import { apart, corners, groups, sizeOf } from './dxfApart.ts';
import { DxfDrawing } from './dxfDrawing.ts';
import { parseDxf, type Parsed } from './dxfParse.ts';
import type { Entity } from './dxfTypes.ts';

export type DxfError = 'dxf-not-a-drawing' | 'dxf-binary' | 'lines-none' | 'lines-too-many';

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

/** What each layer holds, where a file keeps to the numbers agreed on; nothing is known of the layers of another. */
function kindsOf(drawable: readonly Entity[]): (layer: string) => LineKind | null {
  const known = (layer: string): boolean => Object.hasOwn(KIND_OF_LAYER, layer);
  const agreed = drawable.filter((e) => known(e.layer)).length >= CONVENTION * drawable.length;
  return (layer) => (agreed && known(layer) ? (KIND_OF_LAYER[layer] ?? null) : null);
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
  const parsed = parseDxf(text);
  if (parsed.tooMany) return refuse('lines-too-many', { most: MOST_SPANS });
  const every = [...parsed.entities, ...[...parsed.blocks.values()].flatMap((b) => b.entities)];
  if (every.length === 0) return refuse('lines-none');
  const drawing = new DxfDrawing(parsed.blocks, kindsOf(every.filter((e) => e.type !== 'INSERT')));
  drawing.drawAll(parsed);
  if (drawing.budget.spent) return refuse('lines-too-many', { most: MOST_SPANS });
  if (drawing.strokes.length === 0) return refuse('lines-none');
  return ok(linesOf(drawing, parsed));
}

/** What was drawn, in mm, laid out, with what the file says of its layers. */
function linesOf({ strokes, letters, repairs }: DxfDrawing, parsed: Parsed): Lines {
  const sizes = [...groups(strokes).values()].map(sizeOf);
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
  const names = [...new Set(scaled.strokes.map((s) => s.layer))];
  const isOn = (name: string): boolean => parsed.layers.find((l) => l.name === name)?.on ?? true;
  return {
    source: 'dxf',
    ...scaled,
    layers: names.map((id) => ({ id, name: id, on: isOn(id) })),
    styles: names.map((id) => ({ id, color: null, width: 0, dash: [] })),
    pages: [{ width: box.maxX - box.minX, height: box.maxY - box.minY }],
    unit,
    repairs: [...repairs].map(([code, count]) => ({ code, data: { count } })),
    pieces: [],
  };
}
