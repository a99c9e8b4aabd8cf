import type { Mark, Piece } from '../pattern/index.ts';
import { doubleDartsOf, paperOutline } from '../pattern/index.ts';
import { drawPiece, type PieceDrawing } from './drawing.ts';
import { pathData } from './svgPath.ts';
import { COLOURS } from './colours.ts';

/** What no XML may hold, however it is written: control characters and halves of characters; tabs and lines may stay. */
const NOT_XML = /(?![\t\n\r])\p{Cc}|\p{Cs}|[\ufffe\uffff]/gu;
export const escapeXml = (text: string): string =>
  text
    .replace(NOT_XML, '')
    .replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c] ?? c);
const lineData = ([a, b]: readonly [{ x: number; y: number }, { x: number; y: number }]): string =>
  pathData({ start: a, segments: [{ kind: 'line', to: b }] });

export interface SvgOptions {
  /** The untouched pieces, drawn thin behind, by piece id. */
  readonly original?: readonly Piece[];
  readonly title: string;
}

type Data = Readonly<Record<string, string | number | boolean | null | undefined>>;
/** Attributes that say what a line is, so that a file comes back as the piece it was. */
const data = (values: Data): string =>
  Object.entries(values)
    .filter(([, v]) => v !== undefined && v !== null)
    .map(([k, v]) => ` data-${k}="${escapeXml(String(v))}"`)
    .join('');
const path = (d: string, values: Data = {}): string => `<path${data(values)} d="${d}"/>`;

const CROSS = 4;
const crossAt = (at: { x: number; y: number }): string =>
  `M${at.x - CROSS} ${at.y}L${at.x + CROSS} ${at.y}M${at.x} ${at.y - CROSS}L${at.x} ${at.y + CROSS}`;

/** Lines of one kind: their name, how they are drawn, and the lines. */
type Group = readonly [name: string, style: string, lines: readonly string[]];

function markGroups(piece: Piece, d: PieceDrawing): readonly Group[] {
  const of = <K extends Mark['kind']>(kind: K) =>
    piece.marks.filter((m): m is Extract<Mark, { kind: K }> => m.kind === kind);
  return [
    [
      'notches',
      '',
      of('notch').map(
        (m) =>
          `<g${data({ notch: m.id, on: m.edge, at: m.at.toFixed(4), count: m.count })}>${(
            d.notches.find((n) => n.id === m.id)?.lines ?? []
          )
            .map((l) => path(lineData(l)))
            .join('')}</g>`,
      ),
    ],
    ['grain', '', of('grain').map((m) => path(lineData([m.from, m.to]), { grain: m.id }))],
    ['bust-point', '', of('bustPoint').map((m) => path(crossAt(m.at), { 'bust-point': m.id }))],
    ['neck', '', [...of('neckBase'), ...of('neckCentre')].map((m) => path(crossAt(m.at), { neck: m.kind, id: m.id }))],
    ['drill', '', of('drill').map((m) => path(crossAt(m.at), { drill: m.id }))],
    [
      'levels',
      `stroke="${COLOURS.grey}" stroke-width="0.2" stroke-dasharray="6 2"`,
      of('level').map((m) =>
        path(lineData([{ x: Math.min(d.bounds.minX, m.at.x) - 5, y: m.at.y }, m.at]), { level: m.name, id: m.id }),
      ),
    ],
  ];
}

/**
 * Pieces side by side at true size in millimetres, with named groups: one per piece, in it one per kind of line.
 * Edges, darts and marks carry their names, so that our own reader finds the piece again.
 */
export function writeSvg(pieces: readonly Piece[], options: SvgOptions): string {
  const gap = 20;
  let x = gap;
  let height = 0;
  const groups = pieces.map((piece) => {
    const d = drawPiece(piece);
    const at = { x: x - d.bounds.minX, y: gap - d.bounds.minY };
    x += d.bounds.maxX - d.bounds.minX + gap;
    height = Math.max(height, d.bounds.maxY - d.bounds.minY + 2 * gap);
    const original = options.original?.find((p) => p.id === piece.id);
    return pieceGroup(piece, d, at, original);
  });
  return `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${x.toFixed(1)}mm" height="${height.toFixed(1)}mm" viewBox="0 0 ${x.toFixed(1)} ${height.toFixed(1)}">\n  <title>${escapeXml(options.title)}</title>\n${groups.join('')}</svg>\n`;
}

/** One piece with all its kinds of lines, from the bottom up. */
function pieceGroup(
  piece: Piece,
  d: PieceDrawing,
  at: { readonly x: number; readonly y: number },
  original: Piece | undefined,
): string {
  const facts = data({
    piece: piece.id,
    name: piece.name,
    part: piece.part,
    cut: piece.cut,
    half: piece.half,
    fold: piece.fold,
    notes: piece.notes,
    buttons: piece.buttons && JSON.stringify(piece.buttons),
  });
  const groups = [...lineGroups(piece, d, original), ...markGroups(piece, d)].map(([name, style, lines]) =>
    lines.length > 0
      ? `    <g id="${escapeXml(`${piece.id}-${name}`)}"${data({ line: name })} ${style}>${lines.join('')}</g>\n`
      : '',
  );
  return `  <g id="${escapeXml(piece.id)}"${facts} transform="translate(${at.x.toFixed(3)} ${at.y.toFixed(3)})" fill="none" stroke="${COLOURS.ink}" stroke-width="0.4">\n    <title>${escapeXml(piece.name)}</title>\n${groups.join('')}  </g>\n`;
}

function lineGroups(piece: Piece, d: PieceDrawing, original: Piece | undefined): readonly Group[] {
  return [
    [
      'original',
      `stroke="${COLOURS.grey}" stroke-width="0.25" stroke-dasharray="1 1"`,
      original ? [path(pathData(paperOutline(original), true))] : [],
    ],
    ['cutting', 'stroke-width="0.6"', [path(pathData(d.cutting, true))]],
    [
      'seam',
      `stroke="${COLOURS.carbon}"`,
      piece.edges.map((e) => path(pathData(e.path), { edge: e.id, role: e.role, allowance: e.allowance })),
    ],
    [
      'beyond',
      `stroke="${COLOURS.carbon}"`,
      (piece.beyond?.edges ?? []).map((e) => path(pathData(e.path), { beyond: e.id, allowance: e.allowance })),
    ],
    [
      'folds',
      'stroke-dasharray="6 3"',
      (piece.beyond?.folds ?? []).map((f, i) => path(lineData([f.from, f.to]), { 'fold-line': i + 1 })),
    ],
    ['buttons', '', d.buttons.map((p) => path(crossAt(p)))],
    [
      'darts',
      `stroke="${COLOURS.carbon}" stroke-dasharray="3 1.5"`,
      piece.darts.map((t) =>
        path(pathData(d.darts.find((k) => k.id === t.id)?.legs ?? d.seam), {
          dart: t.id,
          kind: t.kind,
          mouth: t.mouth,
          fold: t.foldToward,
          'cut-away': t.cutAway,
        }),
      ),
    ],
    [
      'double-darts',
      `stroke="${COLOURS.carbon}" stroke-dasharray="3 1.5"`,
      doubleDartsOf(piece).map((t) =>
        path(pathData(d.darts.find((k) => k.id === t.id)?.legs ?? d.seam), {
          'double-dart': t.id,
          widest: t.widest,
          ...(t.curve === 0 ? {} : { curve: t.curve }),
          width: t.width,
        }),
      ),
    ],
  ];
}
