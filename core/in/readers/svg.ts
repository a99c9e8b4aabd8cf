import svgpath from 'svgpath';
import { isFinitePoint, type Point } from '../../geometry/index.ts';
import {
  MM_PER,
  MOST_SPANS,
  type Lettering,
  type LineKind,
  type Lines,
  type LineStyle,
  type LineUnit,
  type RepairCode,
  type Stroke,
  dashId,
  dashOf,
} from '../tracing/index.ts';
import { ok, refuse, type Coded, type Result, nth } from '../../units/index.ts';
import { pieceOfSvg } from './svgPieces.ts';
import { Budget, Pen } from './pen.ts';
import { sendSvg, spansAtLeast } from './svgSend.ts';
import { attribute, readXml, type Element, type XmlError } from './xml.ts';

export type SvgError = XmlError | 'svg-not-a-drawing' | 'lines-none' | 'lines-too-many';

/** A reference into a reference is followed this deep, and so many elements drawn in all. */
const DEEPEST_USE = 6;
const MOST_DRAWN = 200_000;
const MOST_LAYERS = 400;
const ACTIVE = new Set(['script', 'foreignObject', 'animate', 'set', 'animateTransform', 'animateMotion', 'iframe']);
const UNSEEN = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'metadata',
  'title',
  'desc',
  'style',
]);

const LENGTH = /^\s*([+-]?[\d.]+(?:e[+-]?\d+)?)\s*(mm|cm|in|pt|px|pc|q)?\s*$/i;
function lengthOf(text: string | undefined): { readonly value: number; readonly unit: string } | null {
  const m = LENGTH.exec(text ?? '');
  return m ? { value: Number(m[1]), unit: (m[2] ?? '').toLowerCase() } : null;
}
const number = (e: Element, name: string): number => {
  const l = lengthOf(e.attributes[name]);
  return l ? l.value * ({ mm: 96 / 25.4, cm: 960 / 25.4, in: 96, pt: 96 / 72, pc: 16, q: 24 / 25.4 }[l.unit] ?? 1) : 0;
};

/** mm per user unit, and how that is known. */
function scaleOf(root: Element): { readonly factor: number; readonly unit: LineUnit } {
  const box = (root.attributes['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const width = lengthOf(root.attributes['width']);
  const named = width && (width.unit === 'mm' || width.unit === 'cm' || width.unit === 'in' || width.unit === 'pt');
  const span = box.length === 4 && box.every(Number.isFinite) && nth(box, 2) > 0 ? nth(box, 2) : null;
  if (named) {
    const unit = width.unit as 'mm' | 'cm' | 'in' | 'pt';
    const mm = width.value * MM_PER[unit];
    // Without a view box a user unit is a pixel, whatever the sheet is measured in.
    const factor = span && mm > 0 ? mm / span : MM_PER.px;
    return { factor, unit: { name: span ? unit : 'px', stated: span !== null } };
  }
  if (width && span && width.unit !== 'pc') {
    return { factor: (width.value * MM_PER.px) / span, unit: { name: 'px', stated: width.unit === 'px' } };
  }
  return { factor: MM_PER.px, unit: { name: 'px', stated: false } };
}

type Css = Readonly<Record<string, Readonly<Record<string, string>>>>;
const declared = (text: string): Record<string, string> =>
  Object.fromEntries(
    text.split(';').flatMap((part) => {
      const i = part.indexOf(':');
      return i < 0 ? [] : [[part.slice(0, i).trim(), part.slice(i + 1).trim()]];
    }),
  );
/** Rules for plain classes, as drawing programs write them; anything else in a style sheet is passed by. */
function rulesOf(root: Element): Css {
  const out: Record<string, Record<string, string>> = {};
  const walk = (e: Element): void => {
    if (e.name === 'style')
      for (const [, names, body] of e.text.slice(0, 200_000).matchAll(/([^{}]{1,400})\{([^{}]{0,2000})\}/g))
        for (const name of (names as string).split(','))
          if (/^\s*\.[\w-]+\s*$/.test(name)) {
            const key = name.trim().slice(1);
            out[key] = { ...out[key], ...declared(body as string) };
          }
    for (const child of e.children) walk(child);
  };
  walk(root);
  return out;
}

interface Look {
  readonly color: string | null;
  readonly width: number;
  readonly dash: readonly number[];
  readonly layer: string;
  readonly block: string;
  readonly kind: LineKind | null;
  /** Transforms from the innermost out. */
  readonly transforms: readonly string[];
}

const KIND_OF_GROUP: Readonly<Record<string, LineKind>> = {
  cutting: 'cut',
  seam: 'sew',
  darts: 'internal',
  notches: 'notch',
  grain: 'grain',
  fold: 'mirror',
  drill: 'drill',
};

const HEX = /^#([0-9a-f]{3}|[0-9a-f]{6})$/i;
function colorOf(value: string | undefined, before: string | null): string | null {
  if (value === undefined || value === 'inherit') return before;
  if (value === 'none' || value === 'transparent') return null;
  const hex = HEX.exec(value);
  if (hex) return (value.length === 4 ? `#${[...value.slice(1)].map((c) => c + c).join('')}` : value).toLowerCase();
  const rgb = /^rgb\(\s*(\d+)\s*,\s*(\d+)\s*,\s*(\d+)\s*\)$/.exec(value);
  if (rgb)
    return `#${rgb
      .slice(1)
      .map((n) => Math.min(255, Number(n)).toString(16).padStart(2, '0'))
      .join('')}`;
  return /^[a-z]{3,30}$/i.test(value) ? value.toLowerCase() : before;
}

/** The outline of a shape as path data; '' for what is none. */
function dataOf(e: Element): string {
  const n = (name: string): number => number(e, name);
  switch (e.name) {
    case 'path':
      return e.attributes['d'] ?? '';
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
    case 'polygon':
      return `M${(e.attributes['points'] ?? '').trim()}${e.name === 'polygon' ? 'Z' : ''}`;
    case 'rect':
      return `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}Z`;
    case 'circle':
    case 'ellipse': {
      const [rx, ry] = e.name === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')];
      if (!(rx > 0) || !(ry > 0)) return '';
      return `M${n('cx') - rx} ${n('cy')}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0Z`;
    }
    default:
      return '';
  }
}

/**
 * Reads an SVG drawing: lines with their layer, colour and dashes, lettering, and the pieces our own files describe.
 * Nothing is fetched or run: scripts, foreign content, pictures and addresses outside the file are left out and said.
 */
export function readSvg(text: string): Result<Lines, SvgError> {
  const read = readXml(text);
  if (!read.ok) return read;
  const root = read.value;
  if (root.name !== 'svg') return refuse('svg-not-a-drawing', { found: root.name.slice(0, 40) });
  const { factor, unit } = scaleOf(root);
  const rules = rulesOf(root);
  const byId = new Map<string, Element>();
  const index = (e: Element): void => {
    const id = e.attributes['id'];
    if (id && !byId.has(id)) byId.set(id, e);
    for (const child of e.children) index(child);
  };
  index(root);

  const budget = new Budget();
  const strokes: Stroke[] = [];
  const letters: Lettering[] = [];
  const layers = new Map<string, { id: string; name: string; on: boolean }>();
  const styles = new Map<string, LineStyle>();
  const told = new Map<RepairCode, number>();
  const tell = (code: RepairCode): void => void told.set(code, (told.get(code) ?? 0) + 1);
  const box = (root.attributes['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [ox, oy] = box.length === 4 && box.every(Number.isFinite) ? [nth(box, 0), nth(box, 1)] : [0, 0];
  const toMm = (p: Point): Point => ({ x: (p.x - ox) * factor, y: (p.y - oy) * factor });
  let drawnElements = 0;

  const styleOf = (look: Look): string => {
    const width = Math.round(look.width * factor * 100) / 100;
    const dash = dashOf(look.dash, factor);
    const id = `${look.color ?? 'none'} ${width}${dashId(dash)}`;
    if (!styles.has(id)) styles.set(id, { id, color: look.color, width, dash });
    return id;
  };
  const layerFor = (name: string, on: boolean): string => {
    if (!layers.has(name)) {
      if (layers.size >= MOST_LAYERS) return '';
      layers.set(name, { id: name, name, on });
    }
    return name;
  };

  const shape = (e: Element, look: Look): void => {
    const data = dataOf(e);
    if (data === '' || data.length > 5_000_000) return;
    if (spansAtLeast(data) > budget.left) return budget.spend();
    let path = svgpath(data).abs().unarc();
    const flawed = Boolean((path as unknown as { err?: string }).err) || /nan|infinity/i.test(data);
    if (flawed) tell('repair-not-a-number');
    for (const t of look.transforms) path = path.transform(t);
    const pen = new Pen(budget, toMm);
    sendSvg(path.abs().unshort(), pen);
    const style = styleOf(look);
    for (const d of pen.done())
      strokes.push({ ...d, layer: look.layer, style, page: 0, kind: look.kind, block: look.block });
    if (pen.broken > 0) tell('repair-not-a-number');
  };

  const words = (e: Element, look: Look): void => {
    const all = (x: Element): string => x.text + x.children.map(all).join(' ');
    const said = all(e).replace(/\s+/g, ' ').trim();
    if (said === '' || letters.length > 20_000) return;
    const at = e.attributes['x'] !== undefined ? e : (e.children.find((c) => c.attributes['x'] !== undefined) ?? e);
    let point: Point = { x: number(at, 'x'), y: number(at, 'y') };
    let path = svgpath(`M${point.x} ${point.y}`);
    for (const t of look.transforms) path = path.transform(t);
    path.abs().iterate((s) => void (point = { x: Number(s[1]), y: Number(s[2]) }));
    const where = toMm(point);
    if (isFinitePoint(where))
      letters.push({ text: said.slice(0, 400), at: where, page: 0, layer: look.layer, block: look.block });
  };

  const walk = (e: Element, before: Look, used: number): void => {
    if (budget.spent || ++drawnElements > MOST_DRAWN) return;
    if (ACTIVE.has(e.name)) return tell('repair-active-content');
    if (e.name === 'image') return tell('repair-outside-reference');
    if (UNSEEN.has(e.name) && !(e.name === 'symbol' && used > 0)) return;
    const css: Record<string, string> = {
      ...(e.attributes['class'] ?? '')
        .split(/\s+/)
        .reduce<Record<string, string>>((all, name) => ({ ...all, ...rules[name] }), {}),
      ...declared(e.attributes['style'] ?? ''),
    };
    const say = (name: string): string | undefined => css[name] ?? e.attributes[name];
    const hidden = say('display') === 'none' || say('visibility') === 'hidden';
    const name = attribute(e, 'label') ?? e.attributes['id'];
    const group = e.name === 'g' && name !== undefined && name !== '';
    const width = lengthOf(say('stroke-width'));
    const dash = say('stroke-dasharray');
    const kind = e.attributes['data-line'];
    const transform = e.attributes['transform'];
    const look: Look = {
      color: colorOf(say('stroke'), before.color),
      width: width ? width.value : before.width,
      dash: dash === undefined ? before.dash : (dash.match(/[\d.]+/g) ?? []).map(Number),
      layer: group ? layerFor(name.slice(0, 80), !hidden) : before.layer,
      block: e.attributes['data-piece'] !== undefined && name !== undefined ? name : before.block,
      kind: kind !== undefined && Object.hasOwn(KIND_OF_GROUP, kind) ? (KIND_OF_GROUP[kind] as LineKind) : before.kind,
      transforms: transform ? [transform.slice(0, 2000), ...before.transforms] : before.transforms,
    };
    if (hidden && !group) return;
    if (e.name === 'use') {
      const to = attribute(e, 'href') ?? '';
      if (!to.startsWith('#')) return tell('repair-outside-reference');
      const target = byId.get(to.slice(1));
      if (!target || used >= DEEPEST_USE) return tell(target ? 'repair-nested' : 'repair-left-out');
      const moved = `translate(${number(e, 'x')} ${number(e, 'y')})`;
      return walk(target, { ...look, transforms: [moved, ...look.transforms] }, used + 1);
    }
    if (e.name === 'text') return words(e, look);
    shape(e, look);
    for (const child of e.children) walk(child, look, used);
  };
  const nothing: Look = { color: null, width: 1, dash: [], layer: '', block: '', kind: null, transforms: [] };
  for (const child of root.children) walk(child, nothing, 0);
  if (budget.spent) return refuse('lines-too-many', { most: MOST_SPANS });
  if (drawnElements > MOST_DRAWN) tell('repair-nested');
  if (strokes.length === 0) return refuse('lines-none');

  const width = lengthOf(root.attributes['width']);
  const height = lengthOf(root.attributes['height']);
  const inMm = (l: { value: number; unit: string } | null, i: 2 | 3): number =>
    box.length === 4 ? nth(box, i) * factor : (l?.value ?? 0) * factor;
  return ok({
    source: 'svg',
    strokes,
    letters,
    layers: [...layers.values()].filter((l) => strokes.some((s) => s.layer === l.id)),
    styles: [...styles.values()],
    pages: [{ width: inMm(width, 2), height: inMm(height, 3) }],
    unit,
    repairs: [...told].map(([code, count]): Coded<RepairCode> => ({ code, data: { count } })),
    pieces: root.children.flatMap((e) => pieceOfSvg(e, factor) ?? []),
  });
}
