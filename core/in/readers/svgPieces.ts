import svgpath from 'svgpath';
import { midpoint, type Path, type Point } from '../../geometry/index.ts';
import { normalisePiece, pieceSchema, validatePiece, type Piece } from '../../pattern/index.ts';
import { parseJson } from '../../documents/read.ts';
import { Budget, Pen } from './pen.ts';
import { sendSvg } from './svgSend.ts';
import type { Element } from './xml.ts';

const within = (e: Element): readonly Element[] => [e, ...e.children.flatMap(within)];
const value = (e: Element, name: string): string | undefined => e.attributes[`data-${name}`];
const yes = (text: string | undefined): boolean => text === 'true';

/** The first line of an element, in mm of the group it stands in. */
function lineOf(e: Element, factor: number): Path | null {
  const pen = new Pen(new Budget(20_000), (p) => ({ x: p.x * factor, y: p.y * factor }));
  sendSvg(
    svgpath(e.attributes['d'] ?? '')
      .abs()
      .unarc()
      .unshort(),
    pen,
  );
  return pen.done()[0]?.path ?? null;
}

/** What is cut in one with the piece beyond its centre. */
function beyondOf(having: (name: string) => readonly Element[], factor: number) {
  const edges = having('beyond').map((e) => ({
    id: value(e, 'beyond'),
    role: 'other',
    allowance: Number(value(e, 'allowance')),
    path: lineOf(e, factor),
  }));
  if (edges.length === 0) return {};
  const folds = having('fold-line').map((e) => {
    const path = lineOf(e, factor);
    return { from: path?.start, to: path?.segments[0]?.to };
  });
  return { beyond: { edges, folds } };
}

function buttonsOf(text: string | undefined): { readonly buttons?: unknown } {
  if (text === undefined) return {};
  const read = parseJson(text);
  return read.ok ? { buttons: read.value } : {};
}

/**
 * The piece that a group of one of our own files describes: edges with role and allowance, darts, marks. Null where
 * the group says nothing of a piece, or what it says makes none any more: then its lines are traced like any others.
 * Everything with a place is read from the lines themselves, so that a group moved in a drawing program stays right.
 */
export function pieceOfSvg(group: Element, factor: number): Piece | null {
  if (value(group, 'piece') === undefined) return null;
  const all = within(group);
  const having = (name: string): readonly Element[] => all.filter((e) => value(e, name) !== undefined);
  const at = (e: Element): Point | null => {
    const path = lineOf(e, factor);
    const to = path?.segments[0]?.to;
    return path && to ? midpoint(path.start, to) : null;
  };
  const marks = [
    ...having('notch').map((e) => ({
      kind: 'notch',
      id: value(e, 'notch'),
      edge: value(e, 'on'),
      at: Number(value(e, 'at')),
      count: Number(value(e, 'count')),
    })),
    ...having('grain').map((e) => {
      const path = lineOf(e, factor);
      return { kind: 'grain', id: value(e, 'grain'), from: path?.start, to: path?.segments[0]?.to };
    }),
    ...having('level').map((e) => ({
      kind: 'level',
      id: value(e, 'id'),
      name: value(e, 'level'),
      at: lineOf(e, factor)?.segments[0]?.to,
    })),
    ...having('bust-point').map((e) => ({ kind: 'bustPoint', id: value(e, 'bust-point'), at: at(e) })),
    ...having('neck').map((e) => ({ kind: value(e, 'neck'), id: value(e, 'id'), at: at(e) })),
    ...having('double-dart').map((e) => {
      const path = lineOf(e, factor);
      return {
        kind: 'doubleDart',
        id: value(e, 'double-dart'),
        upper: path?.start,
        lower: path?.segments[1]?.to,
        widest: Number(value(e, 'widest')),
        width: Number(value(e, 'width')),
        curve: Number(value(e, 'curve') || 0),
      };
    }),
    ...having('drill').map((e) => ({ kind: 'drill', id: value(e, 'drill'), at: at(e) })),
  ];
  const read = pieceSchema.safeParse({
    id: value(group, 'piece'),
    name: value(group, 'name'),
    part: value(group, 'part'),
    cut: Number(value(group, 'cut')),
    half: yes(value(group, 'half')),
    fold: value(group, 'fold') ?? null,
    notes: value(group, 'notes') ?? '',
    edges: having('edge').map((e) => ({
      id: value(e, 'edge'),
      role: value(e, 'role'),
      allowance: Number(value(e, 'allowance')),
      path: lineOf(e, factor),
    })),
    darts: having('dart').map((e) => {
      const cutAway = value(e, 'cut-away');
      return {
        id: value(e, 'dart'),
        kind: value(e, 'kind'),
        mouth: value(e, 'mouth'),
        foldToward: value(e, 'fold'),
        tip: lineOf(e, factor)?.segments[0]?.to,
        ...(cutAway === undefined ? {} : { cutAway: Number(cutAway) }),
      };
    }),
    marks,
    ...beyondOf(having, factor),
    ...buttonsOf(value(group, 'buttons')),
  });
  if (!read.success) return null;
  const piece = normalisePiece(read.data);
  return validatePiece(piece).length === 0 ? piece : null;
}
