import type { LineKind } from '../tracing/index.ts';
import { lengthOf } from './svgLengths.ts';
import { attribute, type Element } from './xml.ts';

/** What the style sheet says, by class. */
export type Css = Readonly<Record<string, Readonly<Record<string, string>>>>;
const declared = (text: string): Record<string, string> =>
  Object.fromEntries(
    text.split(';').flatMap((part) => {
      const i = part.indexOf(':');
      return i < 0 ? [] : [[part.slice(0, i).trim(), part.slice(i + 1).trim()]];
    }),
  );
/** Rules for plain classes, as drawing programs write them; anything else in a style sheet is passed by. */
export function rulesOf(root: Element): Css {
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

/** How an element is drawn: its own attributes over those of the groups it stands in. */
export interface Look {
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

export const NO_LOOK: Look = { color: null, width: 1, dash: [], layer: '', block: '', kind: null, transforms: [] };

/** What an element says of itself, in its style, its classes or its attributes, in that order. */
export function saidBy(e: Element, rules: Css): (name: string) => string | undefined {
  const css: Record<string, string> = {
    ...(e.attributes['class'] ?? '')
      .split(/\s+/)
      .reduce<Record<string, string>>((all, name) => ({ ...all, ...rules[name] }), {}),
    ...declared(e.attributes['style'] ?? ''),
  };
  return (name) => css[name] ?? e.attributes[name];
}

/** The name of a group that counts as a layer; null for what is none. */
export const layerName = (e: Element): string | null => (e.name === 'g' ? (nameOf(e) ?? '') : '').slice(0, 80) || null;
const nameOf = (e: Element): string | undefined => attribute(e, 'label') ?? e.attributes['id'];

/** The look of an element within that of what it stands in. */
export function lookWithin(before: Look, e: Element, say: (name: string) => string | undefined, layer: string): Look {
  const width = lengthOf(say('stroke-width'));
  const dash = say('stroke-dasharray');
  const kind = e.attributes['data-line'];
  const transform = e.attributes['transform'];
  return {
    color: colorOf(say('stroke'), before.color),
    width: width ? width.value : before.width,
    dash: dash === undefined ? before.dash : (dash.match(/[\d.]+/g) ?? []).map(Number),
    layer,
    block: e.attributes['data-piece'] === undefined ? before.block : (nameOf(e) ?? before.block),
    kind: (kind !== undefined && Object.hasOwn(KIND_OF_GROUP, kind) ? KIND_OF_GROUP[kind] : null) ?? before.kind,
    transforms: transform ? [transform.slice(0, 2000), ...before.transforms] : before.transforms,
  };
}
