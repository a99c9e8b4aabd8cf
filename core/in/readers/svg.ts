import svgpath from 'svgpath';
import { isFinitePoint, type Point } from '../../geometry/index.ts';
import {
  MOST_SPANS,
  type Lettering,
  type Lines,
  type LineStyle,
  type RepairCode,
  type Stroke,
  dashId,
  dashOf,
} from '../tracing/index.ts';
import { ok, refuse, type Coded, type Result } from '../../units/index.ts';
import { pieceOfSvg } from './svgPieces.ts';
import { Budget, Pen } from './pen.ts';
import { lengthOf, number, scaleOf, viewBoxOf } from './svgLengths.ts';
import { layerName, lookWithin, NO_LOOK, rulesOf, saidBy, type Css, type Look } from './svgLook.ts';
import { sendSvg, spansAtLeast } from './svgSend.ts';
import { attribute, readXml, type Element, type XmlError } from './xml.ts';

export type SvgError = XmlError | 'svg-not-a-drawing' | 'lines-none' | 'lines-too-many';

/** A reference into a reference is followed this deep, and so many elements drawn in all. */
const DEEPEST_USE = 6;
const MOST_DRAWN = 200_000;
const MOST_LAYERS = 400;
/** Letters of path data in one shape, and texts in one drawing. */
const LONGEST_DATA = 5_000_000;
const MOST_TEXTS = 20_000;
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

/** Every element by its name; the first of two that share one. */
function namedIn(root: Element): ReadonlyMap<string, Element> {
  const byId = new Map<string, Element>();
  const index = (e: Element): void => {
    const id = e.attributes['id'];
    if (id && !byId.has(id)) byId.set(id, e);
    for (const child of e.children) index(child);
  };
  index(root);
  return byId;
}

const textOf = (e: Element): string => e.text + e.children.map(textOf).join(' ');

/** What has been drawn so far, gathered while the elements are gone through. */
class Drawing {
  readonly budget = new Budget();
  readonly strokes: Stroke[] = [];
  readonly letters: Lettering[] = [];
  readonly #layers = new Map<string, { id: string; name: string; on: boolean }>();
  readonly #styles = new Map<string, LineStyle>();
  readonly #repairs = new Map<RepairCode, number>();
  readonly #byId: ReadonlyMap<string, Element>;
  readonly #rules: Css;
  readonly #factor: number;
  readonly #toMm: (p: Point) => Point;
  #drawn = 0;

  constructor(root: Element, factor: number) {
    this.#byId = namedIn(root);
    this.#rules = rulesOf(root);
    this.#factor = factor;
    const { x, y } = viewBoxOf(root) ?? { x: 0, y: 0 };
    this.#toMm = (p) => ({ x: (p.x - x) * factor, y: (p.y - y) * factor });
  }

  /** Draws an element and what stands in it; `used` counts the references followed to it. */
  draw(e: Element, before: Look, used: number): void {
    if (this.budget.spent) return;
    this.#drawn += 1;
    if (this.#drawn > MOST_DRAWN) return;
    if (ACTIVE.has(e.name)) return this.#note('repair-active-content');
    if (e.name === 'image') return this.#note('repair-outside-reference');
    if (UNSEEN.has(e.name) && !(e.name === 'symbol' && used > 0)) return;
    const say = saidBy(e, this.#rules);
    const hidden = say('display') === 'none' || say('visibility') === 'hidden';
    const group = layerName(e);
    const look = lookWithin(before, e, say, group === null ? before.layer : this.#layerOf(group, !hidden));
    // A hidden layer is read and left switched off; anything else that is hidden is not there.
    if (hidden && group === null) return;
    if (e.name === 'use') return this.#use(e, look, used);
    if (e.name === 'text') return this.#letter(e, look);
    this.#stroke(e, look);
    for (const child of e.children) this.draw(child, look, used);
  }

  #note(code: RepairCode): void {
    this.#repairs.set(code, (this.#repairs.get(code) ?? 0) + 1);
  }

  #use(e: Element, look: Look, used: number): void {
    const to = attribute(e, 'href') ?? '';
    if (!to.startsWith('#')) return this.#note('repair-outside-reference');
    const target = this.#byId.get(to.slice(1));
    if (!target || used >= DEEPEST_USE) return this.#note(target ? 'repair-nested' : 'repair-left-out');
    const moved = `translate(${number(e, 'x')} ${number(e, 'y')})`;
    this.draw(target, { ...look, transforms: [moved, ...look.transforms] }, used + 1);
  }

  #stroke(e: Element, look: Look): void {
    const data = dataOf(e);
    if (data === '' || data.length > LONGEST_DATA) return;
    if (spansAtLeast(data) > this.budget.left) return this.budget.spend();
    let path = svgpath(data).abs().unarc();
    const flawed = Boolean((path as unknown as { err?: string }).err) || /nan|infinity/i.test(data);
    if (flawed) this.#note('repair-not-a-number');
    for (const t of look.transforms) path = path.transform(t);
    const pen = new Pen(this.budget, this.#toMm);
    sendSvg(path.abs().unshort(), pen);
    const style = this.#styleOf(look);
    for (const d of pen.done())
      this.strokes.push({ ...d, layer: look.layer, style, page: 0, kind: look.kind, block: look.block });
    if (pen.broken > 0) this.#note('repair-not-a-number');
  }

  #letter(e: Element, look: Look): void {
    const text = textOf(e).replace(/\s+/g, ' ').trim();
    if (text === '' || this.letters.length > MOST_TEXTS) return;
    const placed = e.attributes['x'] !== undefined ? e : (e.children.find((c) => c.attributes['x'] !== undefined) ?? e);
    let point: Point = { x: number(placed, 'x'), y: number(placed, 'y') };
    let path = svgpath(`M${point.x} ${point.y}`);
    for (const t of look.transforms) path = path.transform(t);
    path.abs().iterate((s) => void (point = { x: Number(s[1]), y: Number(s[2]) }));
    const at = this.#toMm(point);
    if (isFinitePoint(at))
      this.letters.push({ text: text.slice(0, 400), at, page: 0, layer: look.layer, block: look.block });
  }

  #styleOf(look: Look): string {
    const width = Math.round(look.width * this.#factor * 100) / 100;
    const dash = dashOf(look.dash, this.#factor);
    const id = `${look.color ?? 'none'} ${width}${dashId(dash)}`;
    if (!this.#styles.has(id)) this.#styles.set(id, { id, color: look.color, width, dash });
    return id;
  }

  #layerOf(name: string, on: boolean): string {
    if (!this.#layers.has(name)) {
      if (this.#layers.size >= MOST_LAYERS) return '';
      this.#layers.set(name, { id: name, name, on });
    }
    return name;
  }

  get layers(): Lines['layers'] {
    return [...this.#layers.values()].filter((l) => this.strokes.some((s) => s.layer === l.id));
  }
  get styles(): Lines['styles'] {
    return [...this.#styles.values()];
  }
  get repairs(): readonly Coded<RepairCode>[] {
    if (this.#drawn > MOST_DRAWN) this.#note('repair-nested');
    return [...this.#repairs].map(([code, count]) => ({ code, data: { count } }));
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
  const drawing = new Drawing(root, factor);
  for (const child of root.children) drawing.draw(child, NO_LOOK, 0);
  if (drawing.budget.spent) return refuse('lines-too-many', { most: MOST_SPANS });
  if (drawing.strokes.length === 0) return refuse('lines-none');
  const size = viewBoxOf(root) ?? {
    width: lengthOf(root.attributes['width'])?.value ?? 0,
    height: lengthOf(root.attributes['height'])?.value ?? 0,
  };
  const { strokes, letters, layers, styles, repairs } = drawing;
  return ok({
    source: 'svg',
    strokes,
    letters,
    layers,
    styles,
    pages: [{ width: size.width * factor, height: size.height * factor }],
    unit,
    repairs,
    pieces: root.children.flatMap((e) => pieceOfSvg(e, factor) ?? []),
  });
}
