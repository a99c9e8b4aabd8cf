import type { RepairCode, TileProposal, TraceNote } from '../in/tracing/index.ts';
import type { Piece } from '../pattern/index.ts';
import type { Coded, Refusal, RefusalCode } from '../units/index.ts';
import { ERROR_WORDS, PROBLEM_WORDS } from './errors.ts';
import { sentence } from './refusal.ts';
import type { Sentence, Units } from '../speech/index.ts';
import { en } from '../speech/index.ts';

const place: Sentence = (s) => `${s.len('x')} from the left and ${s.len('y')} from the top`;
const times = (n: string): string => (n === '1' ? 'once' : `${n} times`);

/** Why a file, or an outline in it, was refused. By themselves: the first screen has no need of them. */
export const FILE_WORDS = {
  'file-kind-unknown': (s) =>
    `The file “${s.text('name')}” is none that pieces can be read from. Take a PDF, SVG or DXF, or a picture of the piece.`,
  'file-too-large': (s) =>
    `The file is ${s.text('size')} MB; up to ${s.text('most')} MB are opened. Save the pages with the pieces you need as a file of their own.`,
  'file-empty': () => 'The file is empty. Take another copy of it.',
  'file-took-too-long': (s) =>
    `Reading was stopped after ${s.text('seconds')} seconds: the file holds more than a pattern does. Save the pages you need as a file of their own.`,
  'file-stopped': (s) => `The file could not be read: ${s.text('detail')}. Take another copy of it, or another format.`,
  'pieces-not-read': (s) =>
    `The pieces could not be read all at once (${s.text('detail')}). Pick them one by one instead.`,
  'fold-no-centre': () =>
    en`No straight centre was found that could lie on the fold. Put the piece right by hand: click its edge and say that it is the fold.`,
  'file-no-piece': () =>
    'No closed outline of a piece was found in this file. Look at its pages and outlines with “bring” alone.',
  'file-no-size': (s) => `The file has no size ${s.text('size')}. It has ${s.text('sizes')}.`,
  'pdf-locked': () =>
    'This PDF is locked with a password. Open it where you have the password, save a copy without it, and take the copy.',
  'pdf-broken': () => 'This PDF is damaged and could not be opened. Take another copy of it.',
  'pdf-only-pictures': (s) =>
    `The ${s.count('pages', 'page')} ${s.noun('pages', 'holds a picture', 'hold pictures')} only, no lines. Bring the pages in as a photo or scan, and trace them.`,
  'pdf-too-many-pages': (s) =>
    `The file has ${s.text('pages')} pages; up to ${s.text('most')} are read. Save the pages with the pieces as a file of their own.`,
  'lines-none': () => 'There is no line in this file. Take the file with the pieces themselves.',
  'lines-too-many': (s) =>
    `The file has more than ${s.text('most')} bits of line, more than any pattern. Save the pieces you need as a file of their own.`,
  'xml-broken': (s) => `The drawing breaks off at line ${s.text('line')}: ${s.text('what')}. Save it again as SVG.`,
  'xml-too-deep': (s) => `The drawing is nested more than ${s.text('most')} deep. Ungroup it and save it again.`,
  'xml-too-many': (s) => `The drawing has more than ${s.text('most')} parts. Save the pieces you need by themselves.`,
  'xml-entities': () =>
    'The file declares abbreviations of its own, by which a small file can swell without end; it was not opened. Save it again as plain SVG.',
  'svg-not-a-drawing': (s) => `This file holds “${s.text('found')}”, not an SVG drawing. Take the SVG itself.`,
  'dxf-not-a-drawing': () => 'This file does not read as DXF. Save it again as DXF in text form, version R12 or 2000.',
  'dxf-binary': () => 'This DXF is in binary form. Save it again as DXF in text form, version R12 or 2000.',
  'outline-runs-out': (s) =>
    `The outline runs out ${place(s)}: no other line begins within ${s.len('heal')}. Allow a wider gap, show the layer with the missing line, or pick another line.`,
  'outline-too-long': () =>
    'The outline goes on and on without closing. Hide the lines that do not belong to the piece.',
  'outline-too-fine': (s) =>
    `This outline is drawn in ${s.text('bits')} bits, far more than a hand could cut. Simplify it where it was drawn, and save it again.`,
  'piece-not-traced': () =>
    'No piece can be made of this outline with that choice, so it was left as it was. Choose another edge, or pick the outline again.',
  'outline-no-area': () => 'This line encloses nothing. Pick a line of the piece’s outline.',
  'nothing-there': () => 'There is no line near that place. Click on a line of the outline.',
  'size-twice': (s) => `Two outlines are said to be size ${s.text('size')}. Give each its own.`,
  'piece-not-right': (s) => `The piece cannot be taken yet: ${s.text('problem')}`,
  'nest-corners-differ': (s) =>
    `This outline has ${s.text('other')} corners, the one it should match has ${s.text('base')}. Set or take away corners so that both have the same.`,
  'nest-darts-differ': (s) =>
    `This size shows ${s.text('other')} darts, the one it should match ${s.text('base')}. Show the lines of its darts too.`,
  'nest-edges-differ': (s) =>
    `This size came to ${s.text('other')} edges, the one it should match to ${s.text('base')}. Trace it by itself.`,
  'typed-wrong-row': (s) => `Row ${s.text('row')} does not read as a place. Type both numbers, like 12.5 or 4 7/8.`,
  'picture-too-many-pixels': () =>
    'The picture has more pixels than can be opened here. Scan or take it at a lower setting: 200 dots to the inch are enough.',
  'picture-unreadable': (s) =>
    `The picture could not be opened (${s.text('detail')}). Take it as JPEG or PNG, or take it again.`,
  'photo-too-few-points': (s) => `Four known places are needed; there are ${s.text('count')}.`,
  'photo-points-in-line': () => 'Three of the four marks lie in one line. Mark the four corners, going round.',
  'stitch-too-few': (s) =>
    `Two marks that both pictures show are needed; there ${s.noun('count', 'is', 'are')} ${s.text('count')}.`,
  'stitch-too-close': (s) =>
    `The marks lie within ${s.len('spread')} of each other and do not tell how the next picture is turned. Click marks at least ${s.len('least')} apart.`,
  'stitch-differs': (s) =>
    `Mark ${s.text('mark')} lies ${s.len('worst')} from itself in the two pictures. Check that the marks were clicked in the same order and that the corners of the sheet were marked well in both.`,
  'places-dart': (s) =>
    `Dart ${s.text('dart')} is not whole. Give its tip first, and then the two places where its legs meet the outline.`,
  'places-grain': (s) => `The grain has two ends; ${s.text('count')} ${s.noun('count', 'was', 'were')} given.`,
  'places-bust-point': (s) => `A piece has one bust point; ${s.text('count')} were given.`,
  'typed-too-few': (s) =>
    `An outline needs three places at least; there ${s.noun('count', 'is', 'are')} ${s.text('count')}.`,
  'typed-same-place': (s) => `Rows ${s.text('row')} and ${s.text('next')} are the same place. Take one out.`,
  'typed-no-area': () => 'The places lie in one line and enclose nothing.',
  'typed-no-corner': () => 'Every place is on a curve. Make at least one of them a corner.',
} satisfies Partial<Record<RefusalCode, Sentence>>;

/** What was repaired or left out while reading; the file itself is not changed. */
const REPAIRS: Readonly<Record<RepairCode, Sentence>> = {
  'repair-left-out': (s) => `Something that is no line was left out ${times(s.text('count'))}.`,
  'repair-not-a-number': (s) => `A line with a number that is none was left out ${times(s.text('count'))}.`,
  'repair-active-content': (s) =>
    `A script or foreign content was left out ${times(s.text('count'))}; nothing of it was run.`,
  'repair-outside-reference': (s) =>
    `A picture or an address outside the file was left out ${times(s.text('count'))}; nothing was fetched.`,
  'repair-no-end': () => 'The file has no end mark; what was there before it breaks off was read.',
  'repair-nested': (s) => `Drawings nested in themselves were followed only so far (${times(s.text('count'))}).`,
};
export const sayRepair = (r: Coded<RepairCode>, units: Units): string => sentence(REPAIRS, r.code, r.data, units);

const NOTES: Readonly<Record<TraceNote['code'], Sentence>> = {
  'gaps-healed': (s) =>
    `${s.count('count', 'gap')} ${s.noun('count', 'was', 'were')} closed in the outline, the widest ${s.num('widest', 2)} mm.`,
  'corners-joined': (s) =>
    `${s.count('count', 'bevelled corner')} ${s.noun('count', 'was', 'were')} drawn out to a point before the allowance was taken off.`,
  'allowance-missed': (s) =>
    `The seam line runs ${s.len('off')} too near to its cutting line ${place(s)}: the allowance could not be taken off there. Look at the corners and the fold beside it before you take the piece.`,
  'leg-misses': (s) => `A dart whose tip lies ${place(s)} does not reach the seam line and was left out.`,
  'no-grain': () => 'No grain line was found. Draw it, or the piece is taken to lie as it does.',
  'no-bust-point': () => 'The bust point is not known yet. Place it: bust alterations need it.',
  'looks-whole': () => 'The piece is the same on both sides: it is a whole one, not a half.',
  'centre-found': (s) =>
    en`Two lines run beside the outer edge: the fold ${s.len('fold')} and the centre ${s.len('centre')} inside it. What lies beyond the centre is taken for extension and facing, and is not measured.`,
  'centre-or-fold': (s) =>
    en`A line runs ${s.len('inside')} inside the outer edge. If it is the centre, say so under “Where the centre lies”: girths are measured from there.`,
  'centre-not-inside': () =>
    en`The piece cannot be parted at that centre: the line must cross the neckline and the lower edge only, clear of darts. The outer edge is taken for the centre.`,
};
export const sayTraceNote = (n: TraceNote, units: Units): string => sentence(NOTES, n.code, n.data, units);

export const sayTiles = (by: TileProposal['by']): string =>
  ({
    shared: 'The pages were laid together by the lines that two of them show.',
    runsOn: 'The pages were laid together by the lines that run on from one to the next.',
    order:
      'Nothing tells how the pages lie together; they are laid in their order. Say how many stand in a row, or drag them.',
    single: 'The file has one page.',
  })[by];

/** Why something with a file was refused: with its own words, or those common to all. */
export const sayFileRefusal = (r: Refusal, units: Units): string =>
  sentence(Object.hasOwn(FILE_WORDS, r.code) ? FILE_WORDS : ERROR_WORDS, r.code, r.data, units);

/** Names of pieces by what they are, as they stand on the tissue. */
export const PIECE_WORDS: Readonly<Record<Piece['part'], string>> = {
  front: 'Front',
  sideFront: 'Side front',
  back: 'Back',
  sideBack: 'Side back',
  sleeve: 'Sleeve',
  skirtFront: 'Skirt front',
  skirtBack: 'Skirt back',
  trouserFront: 'Trouser front',
  trouserBack: 'Trouser back',
  waistband: 'Waistband',
  flyFacing: 'Fly facing',
  facingFront: 'Front facing',
  facingBack: 'Back facing',
  yoke: 'Yoke',
  band: 'Band',
  collar: 'Collar',
  cuff: 'Cuff',
  pocket: 'Pocket',
  other: 'Another piece',
};

/** What is wrong with a piece, as a part of a sentence. */
export const sayProblem = (code: string, data: Refusal['data'], units: Units): string =>
  sentence(PROBLEM_WORDS, code, data, units);
