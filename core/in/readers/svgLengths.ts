import { MM_PER, type LineUnit } from '../tracing/index.ts';
import { nth } from '../../units/index.ts';
import type { Element } from './xml.ts';

const LENGTH = /^\s*([+-]?[\d.]+(?:e[+-]?\d+)?)\s*(mm|cm|in|pt|px|pc|q)?\s*$/i;
/** A length as an attribute gives it; null for what is none. */
export function lengthOf(text: string | undefined): { readonly value: number; readonly unit: string } | null {
  const m = LENGTH.exec(text ?? '');
  return m ? { value: Number(m[1]), unit: (m[2] ?? '').toLowerCase() } : null;
}
/** An attribute in user units; 0 where it is missing. */
export const number = (e: Element, name: string): number => {
  const l = lengthOf(e.attributes[name]);
  return l ? l.value * ({ mm: 96 / 25.4, cm: 960 / 25.4, in: 96, pt: 96 / 72, pc: 16, q: 24 / 25.4 }[l.unit] ?? 1) : 0;
};

/** The part of the plane a drawing shows, in user units; null where it does not say. */
export function viewBoxOf(
  root: Element,
): { readonly x: number; readonly y: number; readonly width: number; readonly height: number } | null {
  const box = (root.attributes['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (box.length !== 4 || !box.every(Number.isFinite)) return null;
  return { x: nth(box, 0), y: nth(box, 1), width: nth(box, 2), height: nth(box, 3) };
}

/** mm per user unit, and how that is known. */
export function scaleOf(root: Element): { readonly factor: number; readonly unit: LineUnit } {
  const box = viewBoxOf(root);
  const width = lengthOf(root.attributes['width']);
  const named = width && (width.unit === 'mm' || width.unit === 'cm' || width.unit === 'in' || width.unit === 'pt');
  const span = box && box.width > 0 ? box.width : null;
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
