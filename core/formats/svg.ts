import type { Piece } from '../pattern/index.ts';
import { outlineOf } from '../pattern/index.ts';
import { drawPiece } from './drawing.ts';
import { pathData } from './svgPath.ts';

export const escapeXml = (text: string): string =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c] ?? c);
const lineData = ([a, b]: readonly [{ x: number; y: number }, { x: number; y: number }]): string =>
  pathData({ start: a, segments: [{ kind: 'line', to: b }] });

export interface SvgOptions {
  /** The untouched pieces, drawn thin behind, by piece id. */
  readonly original?: readonly Piece[];
  readonly title: string;
}

/** Pieces side by side at true size in millimetres, with named groups: one per piece, in it one per kind of line. */
export function writeSvg(pieces: readonly Piece[], options: SvgOptions): string {
  const gap = 20;
  let x = gap;
  let height = 0;
  const groups = pieces.map((piece) => {
    const d = drawPiece(piece);
    const before = options.original?.find((p) => p.id === piece.id);
    const dx = x - d.bounds.minX;
    const dy = gap - d.bounds.minY;
    x += d.bounds.maxX - d.bounds.minX + gap;
    height = Math.max(height, d.bounds.maxY - d.bounds.minY + 2 * gap);
    const g = (name: string, style: string, data: readonly string[]) =>
      data.length
        ? `    <g id="${escapeXml(`${piece.id}-${name}`)}" ${style}>${data.map((p) => `<path d="${p}"/>`).join('')}</g>\n`
        : '';
    return (
      `  <g id="${escapeXml(piece.id)}" transform="translate(${dx.toFixed(3)} ${dy.toFixed(3)})" fill="none" stroke="#1E2A38" stroke-width="0.4">\n    <title>${escapeXml(piece.name)}</title>\n` +
      g(
        'original',
        'stroke="#8A8577" stroke-width="0.25" stroke-dasharray="1 1"',
        before ? [pathData(outlineOf(before), true)] : [],
      ) +
      g('cutting', 'stroke-width="0.6"', [pathData(d.cutting, true)]) +
      g('seam', 'stroke="#2B4C9B"', [pathData(d.seam, true)]) +
      g(
        'darts',
        'stroke="#2B4C9B" stroke-dasharray="3 1.5"',
        d.darts.map((t) => pathData(t.legs)),
      ) +
      g(
        'notches',
        '',
        d.notches.flatMap((k) => k.lines.map(lineData)),
      ) +
      g('grain', '', d.grain.map(lineData)) +
      '  </g>\n'
    );
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${x.toFixed(1)}mm" height="${height.toFixed(1)}mm" viewBox="0 0 ${x.toFixed(1)} ${height.toFixed(1)}">\n  <title>${escapeXml(options.title)}</title>\n${groups.join('')}</svg>\n`;
}
