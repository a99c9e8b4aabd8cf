import {
  corrected,
  inOrder,
  middleOfEdge,
  SURE,
  type Question,
  type ReadPiece,
  type TraceChoices,
  type Wanted,
} from '@ample/core/in/tracing';
import type { Piece } from '@ample/core/pattern';
import type { Refusal } from '@ample/core/units';
import { PIECE_WORDS } from '@ample/core/words';
import { startWhole } from '../workers/wholeClient.ts';
import { leavePiece, sheetOf, shownOf, useImport } from './import.ts';
import { withoutTrace } from './importHistory.ts';
import type { Contact } from './contactTypes.ts';

const EMPTY: Contact = {
  of: [],
  wanted: {},
  state: 'reading',
  read: null,
  open: false,
  pieces: [],
  left: [],
  settled: [],
  step: 'pieces',
  inHand: null,
};

/** Always left out: it would be cut wrong, or is not a piece. */
const FATAL: ReadonlySet<Question['code']> = new Set<Question['code']>(['no-outline', 'allowance-off']);
/** What one press on “right” cannot answer: it must be said. */
const MUST_BE_SAID: ReadonlySet<Question['code']> = new Set<Question['code']>([
  ...FATAL,
  'which-part',
  'which-allowance',
]);

const change = (to: Partial<Contact>): void =>
  useImport.setState((s) => (s.contact ? { contact: { ...s.contact, ...to } } : {}));

let running: ReturnType<typeof startWhole> | null = null;
/** The sheet it reads: what comes of it belongs to no other. */
let runningOf: Contact['of'] | null = null;
/** What a reading depends on: changed, the sheet is read again. */
const madeOf = (s: ReturnType<typeof useImport.getState>): readonly unknown[] => [
  s.unit,
  s.scale,
  s.placing,
  s.window,
  s.hidden,
];

/** Reads the pieces of the sheet as it lies, in the size wanted; what was corrected on an earlier reading is left. */
export async function readPieces(wanted: Wanted = {}, open = false): Promise<void> {
  running?.cancel();
  const state = useImport.getState();
  const lines = sheetOf(state);
  if (!lines) return;
  const strokes = shownOf(lines, state.hidden);
  const of = madeOf(state);
  runningOf = of;
  useImport.setState({ contact: { ...EMPTY, of, wanted, open, read: state.contact?.read ?? null } });
  const mine = startWhole({ ...lines, strokes }, { ...wanted, scale: 1 });
  running = mine;
  const done = await mine.done;
  if (running !== mine) return;
  running = null;
  runningOf = null;
  // Taken back meanwhile, what was read is no longer wanted.
  const { contact } = useImport.getState();
  if (contact?.state !== 'reading' || contact.of !== of) return;
  if (!done.ok) return change({ state: { failed: done.error } });
  change({ state: 'ready', read: done.value, pieces: done.value.pieces });
}

/** Reads for the first time, or again where the sheet came to lie otherwise than it was read. */
export function readAgain(): void {
  const state = useImport.getState();
  if (state.raw === null) return;
  const { contact } = state;
  const now = madeOf(state);
  const same = contact && contact.of.every((x, i) => x === now[i]) && contact.of.length === now.length;
  // A step taken back may lead to a reading that nobody goes on with.
  if (!same || (contact.state === 'reading' && contact.of !== runningOf))
    withoutTrace(() => void readPieces(contact?.wanted ?? {}, contact?.open ?? false));
}

export const chooseSize = (size: string): Promise<void> =>
  readPieces({ ...useImport.getState().contact?.wanted, size }, true);
export const chooseAllowance = (allowance: number): Promise<void> => {
  const { wanted, open } = useImport.getState().contact ?? EMPTY;
  return readPieces({ ...wanted, allowance }, open);
};

/** Whether a piece will be taken as it stands. */
export const isTaken = (c: Contact, p: ReadPiece): boolean =>
  !c.left.includes(p.choices.id) &&
  (p.sure >= SURE || c.settled.includes(p.choices.id)) &&
  !p.asks.some((a) => MUST_BE_SAID.has(a.code));

const pieceOf = (id: string): ReadPiece | undefined =>
  useImport.getState().contact?.pieces.find((p) => p.choices.id === id);
const put = (id: string, now: ReadPiece): void =>
  useImport.setState((s) =>
    s.contact
      ? { contact: { ...s.contact, pieces: s.contact.pieces.map((p) => (p.choices.id === id ? now : p)) } }
      : {},
  );

/** Takes other choices for one of the pieces; refused, it stays as it was. */
export function correct(
  id: string,
  to: Partial<TraceChoices>,
  answered: readonly Question['code'][] = [],
): Refusal | null {
  const piece = pieceOf(id);
  if (!piece) return null;
  const done = corrected(piece, { ...piece.choices, ...to }, answered);
  if (!done.ok) return done.error;
  put(id, done.value);
  return null;
}

/** Says which part a piece is. Its name follows as long as it is only that of a part. */
export function callIt(id: string, part: Piece['part']): Refusal | null {
  const piece = pieceOf(id);
  if (!piece) return null;
  const plain = /^piece/i.test(piece.choices.name) || Object.values(PIECE_WORDS).includes(piece.choices.name);
  return correct(id, { part, ...(plain ? { name: PIECE_WORDS[part] } : {}) }, ['which-part']);
}

/** Lays a piece on the fold at its centre, or says that it is cut as a pair. */
export function onFold(id: string, fold: boolean): Refusal | null {
  const piece = pieceOf(id);
  if (!piece) return null;
  const centre = piece.traced.edges.find((e) => e.role === 'centreFront' || e.role === 'centreBack');
  const said = piece.choices.said.filter((s) => s.fold === undefined);
  if (fold && !centre) return { code: 'fold-no-centre', data: {} };
  return correct(
    id,
    {
      cut: fold ? 1 : 2,
      said: fold && centre ? [...said, { at: middleOfEdge(centre), fold: true }] : said,
    },
    ['on-fold'],
  );
}

const toggled = (list: readonly string[], id: string): readonly string[] =>
  list.includes(id) ? list.filter((x) => x !== id) : [...list, id];
export const leaveOut = (id: string): void => change({ left: toggled(useImport.getState().contact?.left ?? [], id) });

/** Takes one of the pieces in hand, with every tool there is for one. */
export function takeInHand(id: string): void {
  const { contact } = useImport.getState();
  const piece = contact?.pieces.find((p) => p.choices.id === id);
  if (!contact || !piece) return;
  useImport.setState({
    contact: { ...contact, inHand: id },
    picked: { ring: piece.ring, look: piece.look, others: piece.others },
    choices: piece.choices,
    pickFailed: null,
    choiceFailed: null,
    size: contact.read?.size ?? '1',
    tool: 'edge',
    clicks: [],
    chosenEdge: null,
  });
}
/** Lays the piece in hand back among the others, as it is now: its questions count as answered. */
export function layBack(): void {
  const { contact, picked, choices } = useImport.getState();
  const before = contact?.pieces.find((p) => p.choices.id === contact.inHand);
  if (before && picked && choices) {
    // On another line of its own, as the seam line, the other sizes' lines match it no more: they are left.
    const same = picked.ring === before.ring;
    const now = same ? before : { ...before, ring: picked.ring, others: picked.others, alike: [] };
    // Renamed, it stays the piece it is among the others.
    const done = corrected(
      now,
      { ...choices, id: before.choices.id },
      before.asks.filter((a) => !FATAL.has(a.code)).map((a) => a.code),
    );
    if (done.ok) put(before.choices.id, done.value);
  }
  change({ inHand: null });
  leavePiece();
}

/** Says that the pieces are right: what was asked is answered by that, but for what must be said. */
export const piecesAreRight = (): void =>
  useImport.setState((s) =>
    s.contact ? { contact: { ...s.contact, settled: s.contact.pieces.map((p) => p.choices.id), step: 'seams' } } : {},
  );
export const backToPieces = (): void => change({ step: 'pieces', settled: [] });
export const piecesAreTaken = (): void => change({ step: 'taken' });
export const closeContact = (): void => change({ open: false, step: 'pieces' });

/** What is taken into the pattern, each piece in the sizes it was read in: the chosen size first. */
export function chosenPieces(c: Contact): readonly { readonly piece: Piece; readonly size: string }[] {
  const all = inOrder(c.pieces.filter((p) => isTaken(c, p))).flatMap((p) => p.sizes);
  const isChosen = (p: { readonly size: string }): boolean => p.size === c.read?.size;
  return [...all.filter(isChosen), ...all.filter((p) => !isChosen(p))];
}
