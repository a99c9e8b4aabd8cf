import { create } from 'zustand';
import {
  layTogether,
  plainChoices,
  proposeTiles,
  ringThrough,
  sizeOf,
  scaleLines,
  scaleOf,
  traceSafely,
  firstGuess,
  lettersIn,
  lineNear,
  linesIn,
  linesOfSize,
  lookOf,
  markedOn,
  otherSizes,
  MM_PER,
  type Lines,
  type Placing,
  type Ring,
  type Stroke,
  type TileProposal,
  type TraceChoices,
  type Traced,
  type UnitName,
} from '@ample/core/in/tracing';
import type { Box, Point } from '@ample/core/geometry';
import { TOL, type Refusal, type Result } from '@ample/core/units';
import { startReading, type Reading } from '../workers/readClient.ts';
import type { Contact } from './contactTypes.ts';

/** An outline that is being made a piece of. */
export interface Picked {
  readonly ring: Ring;
  /** Layer and look of its lines; null where it was found among all of them. */
  readonly look: string | null;
  /** The lines that may belong to it, its own left out. */
  readonly others: readonly Stroke[];
}
export type Tool = 'pages' | 'pick' | 'corner' | 'notch' | 'dart' | 'grain' | 'bustPoint' | 'measure' | 'edge';

export type Source = 'file' | 'photo' | 'mat';

export interface ImportState {
  readonly name: string;
  readonly state: 'empty' | 'reading' | 'ready' | { readonly failed: Refusal };
  readonly share: number;
  /** Where pieces come from. */
  readonly from: Source;
  /** The file that was refused last: its pages may be brought in as pictures. */
  readonly refused: File | null;
  /** The file that is open; null for what was typed or traced. */
  readonly file: File | null;
  /** As the file has it. */
  readonly raw: Lines | null;
  readonly unit: UnitName;
  /** True length over measured length of the test square. */
  readonly scale: number;
  readonly placing: Placing;
  readonly window: Box | null;
  /** All that a page shows, its overlaps with it. */
  readonly full: Box | null;
  /** How far pages run over each other, mm, and how many stand in a row. */
  readonly overlap: number;
  readonly columns: number;
  readonly tiles: TileProposal['by'];
  readonly hidden: { readonly layers: readonly string[]; readonly styles: readonly string[] };
  readonly heal: number;
  readonly tool: Tool;
  /** Places clicked so far with a tool that takes several. */
  readonly clicks: readonly Point[];
  readonly picked: Picked | null;
  readonly pickFailed: Refusal | null;
  readonly choices: TraceChoices | null;
  /** All pieces of the file at once; null before they were read. */
  readonly contact: Contact | null;
  /** Why the last choice was not taken. */
  readonly choiceFailed: Refusal | null;
  readonly chosenEdge: number | null;
  /** The size the outlines are of. */
  readonly size: string;
}

const EMPTY: ImportState = {
  name: '',
  state: 'empty',
  share: 0,
  from: 'file',
  refused: null,
  file: null,
  raw: null,
  unit: 'mm',
  scale: 1,
  placing: [],
  window: null,
  full: null,
  overlap: 0,
  columns: 1,
  tiles: 'single',
  hidden: { layers: [], styles: [] },
  heal: TOL.heal,
  tool: 'pick',
  clicks: [],
  picked: null,
  pickFailed: null,
  choices: null,
  contact: null,
  choiceFailed: null,
  chosenEdge: null,
  size: '1',
};

/** What lies on the table of the station where pieces are brought in. Kept while the app is open, not in a job. */
export const useImport = create<ImportState>()(() => EMPTY);
const set = useImport.setState;
let reading: Reading | null = null;

/** Takes lines that were read, typed or traced, and lays their pages together. */
export function takeLines(raw: Lines, name: string, file: File | null = null): void {
  const { placing, window, full, by, overlap, columns } = proposeTiles(raw);
  // A square with its length printed beside it tells a print that was shrunk.
  const scale = scaleOf(raw, layTogether(raw, { placing, window, full }));
  set((s) => ({
    ...EMPTY,
    from: s.from,
    name,
    state: 'ready',
    file,
    raw,
    unit: raw.unit.name,
    scale,
    placing,
    window,
    full,
    overlap,
    columns,
    tiles: by,
    tool: by === 'order' ? 'pages' : 'pick',
    hidden: { layers: raw.layers.filter((l) => !l.on).map((l) => l.id), styles: [] },
  }));
}

/** Opens a file; what was open before stays until this one is read. */
export async function openFile(file: File): Promise<void> {
  reading?.cancel();
  const before = useImport.getState();
  set({ state: 'reading', share: 0, name: file.name });
  const mine = startReading(file, (share) => set({ share }));
  reading = mine;
  const result: Result<Lines> = await mine.done;
  if (reading !== mine) return;
  reading = null;
  if (result.ok) takeLines(result.value, file.name, file);
  else set({ ...(before.raw ? before : EMPTY), name: file.name, state: { failed: result.error }, refused: file });
}

/** Lays the pages otherwise; what was begun on the sheet as it lay is left. */
export const layAgain = (to: Pick<ImportState, 'placing' | 'window' | 'overlap' | 'columns'>): void =>
  set({ ...to, picked: null, choices: null });

export function stopReading(): void {
  reading?.cancel();
  reading = null;
  set((s) => ({ state: s.raw ? 'ready' : 'empty', share: 0 }));
}

export const closeFile = (): void => {
  reading?.cancel();
  reading = null;
  set(EMPTY);
};

let laid: { readonly of: readonly unknown[]; readonly lines: Lines } | null = null;
/** The drawing on one sheet, in true millimetres; computed anew only when what it is made of changed. */
export function sheetOf(s: Pick<ImportState, 'raw' | 'unit' | 'scale' | 'placing' | 'window' | 'full'>): Lines | null {
  if (!s.raw) return null;
  const of = [s.raw, s.unit, s.scale, s.placing, s.window];
  if (laid && laid.of.every((x, i) => x === of[i])) return laid.lines;
  const together = layTogether(s.raw, s);
  const lines = scaleLines(together, (MM_PER[s.unit] / MM_PER[s.raw.unit.name]) * s.scale);
  laid = { of, lines };
  return lines;
}

let seen: {
  readonly lines: Lines;
  readonly hidden: ImportState['hidden'];
  readonly strokes: readonly Stroke[];
} | null = null;
/** The lines of layers and kinds of line that are shown. */
export function shownOf(lines: Lines, hidden: ImportState['hidden']): readonly Stroke[] {
  if (seen && seen.lines === lines && seen.hidden === hidden) return seen.strokes;
  const strokes = lines.strokes.filter((s) => !hidden.layers.includes(s.layer) && !hidden.styles.includes(s.style));
  seen = { lines, hidden, strokes };
  return strokes;
}

/** How far from a line a click still means it, mm on the sheet. */
const REACH = 12;

/** Follows the outline through the line nearest to a place: lines drawn alike first, then all that are shown. */
export function pickAt(p: Point): void {
  const state = useImport.getState();
  const lines = sheetOf(state);
  if (!lines) return;
  const shown = shownOf(lines, state.hidden);
  const at = lineNear(shown, p, REACH);
  const stroke = shown[at];
  if (!stroke) return set({ pickFailed: { code: 'nothing-there', data: {} } });
  pickStroke(stroke);
}

export function pickStroke(stroke: Stroke): void {
  const state = useImport.getState();
  const lines = sheetOf(state);
  if (!lines) return;
  const shown = shownOf(lines, state.hidden);
  const alike = shown.filter((s) => s.style === stroke.style && s.layer === stroke.layer && s.block === stroke.block);
  const first = ringThrough(alike, alike.indexOf(stroke), state.heal);
  const all = first.ok ? first : ringThrough(shown, shown.indexOf(stroke), state.heal);
  if (!all.ok) return set({ pickFailed: first.ok ? null : first.error });
  pickRing(all.value, first.ok ? alike : shown);
}

/** Begins a piece from an outline; `from` are the lines its own are numbered in. */
export function pickRing(ring: Ring, from: readonly Stroke[]): void {
  const state = useImport.getState();
  const lines = sheetOf(state);
  if (!lines) return;
  const own = new Set(ring.strokes.map((i) => from[i]));
  const style = [...own][0];
  const shown = shownOf(lines, state.hidden);
  // In a nest the darts and notches of other sizes lie among one's own.
  const nest = style ? otherSizes(ring, shown) : [];
  const mine = style ? linesOfSize(lookOf(style), nest, shown) : shown;
  const others = linesIn(ring, mine).filter((s) => !own.has(s) && !(s.kind === null && sameLine(s, style)));
  const printed = { letters: lettersIn(lines, ring.path), file: lines.letters };
  const usual: TraceChoices = {
    ...plainChoices('piece', 'Piece'),
    line: style?.kind === 'sew' || lines.source === 'mat' ? 'sewing' : 'cutting',
  };
  // What was marked with an outline drawn by hand goes before what is guessed.
  const choices = { ...firstGuess(ring, others, printed, usual), ...markedOn(lines, ring) };
  const picked: Picked = { ring, look: style ? lookOf(style) : null, others };
  const traced = tracedWith(picked, choices);
  if (!traced.ok) return set({ pickFailed: traced.error });
  set({
    picked,
    pickFailed: null,
    choices,
    choiceFailed: null,
    size: sizeOf(ring, nest, printed) ?? state.size,
    tool: 'edge',
    clicks: [],
    chosenEdge: null,
  });
}
/** Other outlines in the same kind of line are other sizes or pieces, not marks. */
const sameLine = (s: Stroke, of: Stroke | undefined): boolean =>
  of !== undefined && s.closed && s.style === of.style && s.layer === of.layer && s.path.segments.length > 3;

let drawn: { readonly of: readonly [Picked, TraceChoices]; readonly traced: Result<Traced> } | null = null;
/** Memoised per choices. */
function tracedWith(picked: Picked, choices: TraceChoices): Result<Traced> {
  if (drawn?.of[0] !== picked || drawn.of[1] !== choices)
    drawn = { of: [picked, choices], traced: traceSafely(picked.ring, picked.others, choices) };
  return drawn.traced;
}
/** The piece as the choices make it. */
export function tracedOf(s: Pick<ImportState, 'picked' | 'choices'>): Traced | null {
  const traced = s.picked && s.choices ? tracedWith(s.picked, s.choices) : null;
  return traced?.ok ? traced.value : null;
}

/** Takes a choice for the piece in hand; one that nothing can be made of is refused, and the piece stays as it was. */
export const choose = (change: Partial<TraceChoices>): void =>
  set((s) => {
    if (!s.choices || !s.picked) return {};
    const choices = { ...s.choices, ...change };
    const traced = tracedWith(s.picked, choices);
    if (!traced.ok) return { choiceFailed: traced.error };
    return { choices, choiceFailed: null };
  });
export const leavePiece = (): void =>
  set({ picked: null, choices: null, choiceFailed: null, tool: 'pick', clicks: [], chosenEdge: null });
