import type { Point } from '../geometry/index.ts';
import type { Diagram, Pen, Shape } from './diagram.ts';
import { escapeXml } from './svg.ts';
import { pathData } from './svgPath.ts';
import { COLOURS } from './colours.ts';

/** One pen for each kind of line; the app, the pages of the docs and the printed sheet look alike. */
export const PENS: Readonly<
  Record<
    Pen,
    { readonly stroke: string; readonly width: number; readonly dash: readonly number[]; readonly fill: string }
  >
> = {
  paper: { stroke: COLOURS.ink, width: 1.2, dash: [], fill: COLOURS.tissue },
  insert: { stroke: COLOURS.brass, width: 0.6, dash: [], fill: COLOURS.insert },
  overlap: { stroke: COLOURS.pencil, width: 0.8, dash: [3, 2], fill: COLOURS.lap },
  ghost: { stroke: COLOURS.ghost, width: 1, dash: [3, 4], fill: 'none' },
  cutting: { stroke: COLOURS.ink, width: 1.2, dash: [], fill: 'none' },
  seam: { stroke: COLOURS.carbon, width: 1.6, dash: [], fill: 'none' },
  dart: { stroke: COLOURS.carbon, width: 1.4, dash: [], fill: 'none' },
  notch: { stroke: COLOURS.ink, width: 1.6, dash: [], fill: 'none' },
  grain: { stroke: COLOURS.quiet, width: 1.2, dash: [], fill: 'none' },
  slash: { stroke: COLOURS.pencil, width: 2.2, dash: [8, 5], fill: 'none' },
};

/** The shapes of one diagram as SVG elements, in the piece's own millimetres; `scale` mm of the piece are one unit of the picture. */
export function diagramElements(d: Diagram, scale: number): string {
  return d.shapes.map((s) => element(s, scale)).join('');
}

function element(s: Shape, k: number): string {
  if (s.kind === 'line') {
    const pen = PENS[s.pen];
    const dash = pen.dash.length ? ` stroke-dasharray="${pen.dash.map((v) => v * k).join(' ')}"` : '';
    return `<path d="${pathData(s.path, s.closed)}" fill="${pen.fill}" stroke="${pen.stroke}" stroke-width="${pen.width * k}"${dash}/>`;
  }
  if (s.kind !== 'dimension') return pointElement(s, k);
  const at = (p: Point): string => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`;
  const y = Math.max(s.from.y, s.to.y) + 14 * k;
  return `<path d="M${at(s.from)}V${y.toFixed(2)}M${at(s.to)}V${y.toFixed(2)}M${at({ x: s.from.x, y })}H${s.to.x.toFixed(2)}" fill="none" stroke="${COLOURS.ink}" stroke-width="${1.2 * k}"/><text x="${(Math.max(s.from.x, s.to.x) + 5 * k).toFixed(2)}" y="${(y + 5 * k).toFixed(2)}" font-size="${15 * k}" fill="${COLOURS.ink}" font-family="sans-serif">${escapeXml(s.text)}</text>`;
}

function pointElement(s: Extract<Shape, { at: Point }>, k: number): string {
  const at = (p: Point): string => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`;
  if (s.kind === 'pin')
    return `<circle cx="${s.at.x.toFixed(2)}" cy="${s.at.y.toFixed(2)}" r="${5 * k}" fill="${COLOURS.brass}" stroke="${COLOURS.brassDark}" stroke-width="${k}"/>`;
  if (s.kind === 'label')
    return `<circle cx="${s.at.x.toFixed(2)}" cy="${s.at.y.toFixed(2)}" r="${9 * k}" fill="${COLOURS.white}" stroke="${COLOURS.pencil}" stroke-width="${1.2 * k}"/><text x="${s.at.x.toFixed(2)}" y="${(s.at.y + 5 * k).toFixed(2)}" font-size="${14 * k}" text-anchor="middle" fill="${COLOURS.pencil}" font-family="sans-serif" font-weight="700">${escapeXml(s.text)}</text>`;
  const r = 7 * k;
  return `<path d="M${at({ x: s.at.x - r, y: s.at.y })}h${2 * r}M${at({ x: s.at.x, y: s.at.y - r })}v${2 * r}" stroke="${COLOURS.pencil}" stroke-width="${2 * k}"/>`;
}

/** Diagrams side by side as one picture, `height` pixels high at most. */
export function diagramsSvg(diagrams: readonly Diagram[], height: number, title: string): string {
  const gap = 30;
  const tall = Math.max(...diagrams.map((d) => d.box.maxY - d.box.minY)) + 2 * gap;
  const k = tall / height;
  let x = gap;
  const groups = diagrams.map((d) => {
    const g = `<g transform="translate(${(x - d.box.minX).toFixed(2)} ${(gap - d.box.minY).toFixed(2)})">${diagramElements(d, k)}</g>`;
    x += d.box.maxX - d.box.minX + gap;
    return g;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${x.toFixed(1)} ${tall.toFixed(1)}" width="${(x / k).toFixed(0)}" height="${height}" role="img"><title>${escapeXml(title)}</title><rect width="100%" height="100%" fill="${COLOURS.white}"/>${groups.join('')}</svg>
`;
}
