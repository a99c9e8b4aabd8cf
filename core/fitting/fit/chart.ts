import Papa from 'papaparse';
import type { ChartRow, MeasurementKey, Pattern } from '../../pattern/index.ts';
import { parseLength, type LengthUnit } from '../../units/index.ts';
import { MEASUREMENT_CATALOGUE } from './catalogue.ts';

export type ChartProblemCode =
  | 'chart-cell-not-a-length'
  | 'chart-column-unknown'
  | 'chart-size-repeated'
  | 'chart-size-missing'
  | 'chart-looks-like-inches'
  | 'chart-looks-like-cm'
  | 'chart-out-of-order'
  | 'chart-gap'
  | 'chart-impossible'
  | 'chart-empty';

/** A problem in a size chart, at a named cell. The typed value is kept all the same. */
export interface ChartProblem {
  readonly code: ChartProblemCode;
  readonly data: Readonly<Record<string, string | number>>;
}

/** Names printed on envelopes, as one finds them in the first row or column; longest first. */
const NAMES: readonly (readonly [RegExp, MeasurementKey | 'size'])[] = [
  [/^(size|sizes|uk|us|eu)$/, 'size'],
  [/high.?hip/, 'highHip'],
  [/hip.*(depth|height)/, 'hipDepth'],
  [/hip|seat/, 'hip'],
  [/high.?bust|upper.?bust|chest/, 'highBust'],
  [/under.?bust|rib/, 'underbust'],
  [/bust.*(height|depth|length)|neck.*bust.*point|shoulder.*bust/, 'neckPointToBustPoint'],
  [/(bust.*(span|width|distance))|span/, 'bustSpan'],
  [/bust/, 'fullBust'],
  [/(back|nape).*(waist|length)/, 'napeToWaist'],
  [/front.*(waist|length)/, 'frontWaistLength'],
  [/side.*waist/, 'sideWaist'],
  [/waist/, 'waist'],
  [/slope/, 'shoulderSlope'],
  [/shoulder.*elbow/, 'shoulderToElbow'],
  [/shoulder.*wrist|sleeve|arm.?length/, 'shoulderToWrist'],
  [/shoulder/, 'shoulder'],
  [/(cross|across).*back|back.?width/, 'crossBack'],
  [/(cross|across).*(front|chest)|chest.?width/, 'crossFront'],
  [/upper.?arm|bicep/, 'upperArm'],
  [/wrist/, 'wrist'],
  [/neck/, 'neck'],
  [/height/, 'height'],
  [/crotch.*depth|body.?rise/, 'crotchDepth'],
  [/crotch/, 'crotchLength'],
  [/(waist.*knee)/, 'waistToKnee'],
  [/out.?(side)?.?(leg|seam)/, 'outsideLeg'],
  [/thigh/, 'thigh'],
  [/knee/, 'knee'],
  // As houses print them in German, French and Spanish.
  [/^(größen?|groessen?|gr\.?|tailles?|tallas?)$/, 'size'],
  [/unterbrust|dessous.*poitrine|bajo.*pecho/, 'underbust'],
  [/oberweite|brustumfang|tour.*poitrine|contorno.*pecho|^pecho$/, 'fullBust'],
  [/taillen?(umfang|weite)|tour.*taille|contorno.*cintura|^cintura$/, 'waist'],
  [/hüft|huft|gesäß|tour.*(hanches|bassin)|^hanches$|cadera/, 'hip'],
  [/rückenlänge|longueur.*dos|largo.*(espalda|talle)/, 'napeToWaist'],
  [/körpergröße|stature|estatura/, 'height'],
];

/** The measurement a heading means; null where it says nothing we know. */
export function headingMeans(text: string): MeasurementKey | 'size' | null {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/\(.*?\)/g, '')
    .trim();
  if (plain === '') return null;
  const key = MEASUREMENT_CATALOGUE.find((d) => d.key.toLowerCase() === plain.replace(/[\s_-]/g, ''));
  return key?.key ?? NAMES.find(([pattern]) => pattern.test(plain))?.[1] ?? null;
}

export interface PastedChart {
  readonly rows: readonly ChartRow[];
  readonly problems: readonly ChartProblem[];
}

/** Cells of pasted text: between tabs, semicolons or commas, quoted where they hold one themselves. */
const cellsOf = (text: string): readonly (readonly string[])[] => {
  const delimiter = text.includes('\t') ? '\t' : text.includes(';') ? ';' : ',';
  // An inch sign ends a cell without having begun one: only a cell that begins with a quote is a quoted one.
  const { data } = Papa.parse<string[]>(text, { delimiter, skipEmptyLines: 'greedy' });
  return data.map((line) => line.map((c) => c.trim()));
};

const INCHES = /\b(in|inch|inches|zoll|pouces?|pulgadas?)\b|["″”]/i;
const CENTIMETRES = /\bcm\b|centim/i;
/** The unit that words name; null where they name none, or both. */
const unitIn = (text: string): LengthUnit | null => {
  const [inches, cm] = [INCHES.test(text), CENTIMETRES.test(text)];
  return inches === cm ? null : inches ? 'in' : 'cm';
};

const turned = (cells: readonly (readonly string[])[]): readonly (readonly string[])[] =>
  (cells[0] ?? []).map((_, c) => cells.map((row) => row[c] ?? ''));

/** Ranges are those of grown women; a child's chart has half of them, and nobody twice. */
const BEYOND = 2;

/** Headings, titles and notes, without the numbers: where a text says what its numbers are in. */
const wordsOf = (cells: readonly (readonly string[])[]): string =>
  cells
    .flat()
    .filter((c) => /[a-z]{2}/i.test(c))
    .join(' ');

/**
 * A chart as copied from a spreadsheet: headings along the top or down the side, sizes the other way. A bare number is
 * in the unit its heading names, else in the one the text names, else in `unit`. A length that no body has is not taken
 * and named; where a whole column looks like the other unit that is asked. Cells that cannot be read are left out and named; everything else is kept.
 */
export function pasteChart(text: string, unit: LengthUnit): PastedChart {
  const problems: ChartProblem[] = [];
  const pasted = cellsOf(text);
  const given = fromHeadings(pasted);
  const said = unitIn(wordsOf(pasted));
  const known = (cells: readonly string[]): number => cells.filter((c) => headingMeans(c) !== null).length;
  const down = given.map((row) => row[0] ?? '');
  // More headings down the side than along the top: the sizes run across.
  const cells = known(down) > known(given[0] ?? []) ? turned(given) : given;
  const [head = [], ...body] = cells;
  if (body.length === 0) return { rows: [], problems: [{ code: 'chart-empty', data: {} }] };
  const columns = head.map((h, c) => (c === 0 ? ('size' as const) : headingMeans(h)));
  columns.forEach((key, c) => {
    if (key === null && (head[c] ?? '') !== '')
      problems.push({ code: 'chart-column-unknown', data: { column: head[c] ?? '' } });
  });
  const rows = body.flatMap((line, r): readonly ChartRow[] => {
    const size = line[0] ?? '';
    if (size === '') {
      problems.push({ code: 'chart-size-missing', data: { row: r + 1 } });
      return [];
    }
    const values: Partial<Record<MeasurementKey, number>> = {};
    columns.forEach((key, c) => {
      const cell = line[c] ?? '';
      if (key === null || key === 'size' || cell === '' || cell === '-' || cell === '–') return;
      const read = parseLength(cell, unitIn(head[c] ?? '') ?? said ?? unit);
      if (read.ok && read.value > 0) values[key] = read.value;
      else problems.push({ code: 'chart-cell-not-a-length', data: { size, column: head[c] ?? '', text: cell } });
    });
    return [{ size, body: values }];
  });
  const odd = checkChart(rows);
  const doubted = new Set(odd.flatMap((p) => (LOOKS_LIKE.has(p.code) ? [p.data['key']] : [])));
  const taken = rows.map((row) => {
    const body = Object.entries(row.body).filter(([key, value]) => {
      const range = rangeOf(key as MeasurementKey);
      if (!range || doubted.has(key) || (value >= range[0] / BEYOND && value <= range[1] * BEYOND)) return true;
      problems.push({ code: 'chart-impossible', data: { key, size: row.size, value } });
      return false;
    });
    return { ...row, body: Object.fromEntries(body) };
  });
  return { rows: taken, problems: [...problems, ...checkChart(taken)] };
}

/** What must be answered before a chart is taken: read in the wrong unit, every sum after it is wrong. */
export const LOOKS_LIKE: ReadonlySet<ChartProblemCode> = new Set<ChartProblemCode>([
  'chart-looks-like-inches',
  'chart-looks-like-cm',
]);

/** From the row of headings on: titles above a chart are no part of it. */
function fromHeadings(cells: readonly (readonly string[])[]): readonly (readonly string[])[] {
  const isTitle = (row: readonly string[]): boolean => row.filter((c) => c !== '').length < 2;
  const first = cells.findIndex((row) => !isTitle(row));
  return first <= 0 ? cells : cells.slice(first);
}

const rangeOf = (key: MeasurementKey) => MEASUREMENT_CATALOGUE.find((d) => d.key === key)?.range;

/** What is odd about a chart: sizes named twice, values that fall from size to size, gaps, and the other unit. */
export function checkChart(rows: readonly ChartRow[]): readonly ChartProblem[] {
  const out: ChartProblem[] = [];
  rows.forEach((row, i) => {
    if (rows.findIndex((r) => r.size === row.size) !== i)
      out.push({ code: 'chart-size-repeated', data: { size: row.size, row: i + 1 } });
  });
  for (const { key } of MEASUREMENT_CATALOGUE) {
    const having = rows.filter((r) => r.body[key] !== undefined);
    if (having.length === 0) continue;
    const values = having.map((r) => r.body[key] ?? 0);
    const range = rangeOf(key);
    const all = (test: (v: number) => boolean): boolean => values.every(test);
    if (range && all((v) => v < range[0]) && all((v) => v * 2.54 > range[0] * 0.9 && v * 2.54 < range[1])) {
      out.push({ code: 'chart-looks-like-inches', data: { key, first: values[0] ?? 0 } });
      continue;
    }
    if (range && all((v) => v > range[1]) && all((v) => v / 2.54 > range[0] * 0.9 && v / 2.54 < range[1])) {
      out.push({ code: 'chart-looks-like-cm', data: { key, first: values[0] ?? 0 } });
      continue;
    }
    for (const row of rows)
      if (row.body[key] === undefined && having.length < rows.length)
        out.push({ code: 'chart-gap', data: { key, size: row.size } });
    having.forEach((row, i) => {
      const before = having[i - 1];
      if (before && (row.body[key] ?? 0) < (before.body[key] ?? 0))
        out.push({
          code: 'chart-out-of-order',
          data: { key, size: row.size, value: row.body[key] ?? 0, before: before.size, more: before.body[key] ?? 0 },
        });
    });
  }
  return out;
}

/** Every length of a chart taken as the other unit: typed in inches, read as centimetres, or the other way. */
export const scaleChart = (rows: readonly ChartRow[], factor: number): readonly ChartRow[] =>
  rows.map((r) => ({
    ...r,
    body: Object.fromEntries(Object.entries(r.body).map(([k, v]) => [k, (v ?? 0) * factor])),
  }));

/** High bust of a row that prints none: bust less draft cup; null where it is printed or cannot be derived. */
export const derivedHighBust = (row: ChartRow, pattern: Pick<Pattern, 'draftCup'>): number | null =>
  row.body.highBust === undefined && row.body.fullBust !== undefined ? row.body.fullBust - pattern.draftCup : null;
