import type { ProblemCode } from '../pattern/index.ts';
import type { RefusalCode } from '../units/index.ts';
import type { FaultCode } from '../paper/guard/index.ts';
import { FAULT_TEXT } from './faults.ts';
import { KEEPING_WORDS } from './keeping.ts';
import type { Sentence } from '../speech/index.ts';
import { en } from '../speech/index.ts';

/** Why a document was not taken; a backup says so of each of its own. */
const DOCUMENT_WORDS = {
  'document-not-json': (s) => `This is not a document of ours, or it is damaged: ${s.text('detail')}.`,
  'document-too-large': () =>
    'This holds far more than any document of ours, and was not opened. Write it again from the app.',
  'document-wrong-format': (s) => `Expected a document of the kind ${s.text('expected')}, found ${s.text('got')}.`,
  'document-newer': (s) =>
    `This document was written by a newer version (${s.text('version')}); this one reads up to ${s.text('known')}.`,
  'document-invalid': (s) => `The document is not right at “${s.text('where')}”: ${s.text('what')}.`,
  'pattern-invalid': (s) =>
    `The pattern cannot be used: ${PROBLEMS[s.text('problem') as ProblemCode]?.(s) ?? s.text('problem')}`,
} satisfies Partial<Record<RefusalCode, Sentence>>;

/** Why something was refused: what is wrong, where, and what to do. */
export const ERROR_WORDS = {
  ...KEEPING_WORDS,
  'practice-corners-apart': (s) =>
    `The two corners lie ${s.len('by')} apart. Lay them on each other at the seam line first, then tape them.`,
  'practice-cut-fails': () =>
    'Cut like this the paper does not come apart: a line runs along the edge or crosses it twice. Draw it again, from seam line to seam line.',
  'practice-fell': () => 'Nothing holds this piece any more; it fell off the table. It lies where it was again.',
  'practice-held': () =>
    'Its hinges hold this piece: it cannot move like that. Turn it about the hinge, or cut it free.',
  'practice-line-short': (s) =>
    `Line ${s.text('line')} ends inside the paper, ${s.len('by')} before the seam line: nothing comes apart there. Draw it on to the seam line or to another line.`,
  'practice-no-corners': () => 'No cut ends here. Press where two torn corners meet at the seam line.',
  'practice-no-line': () => 'There is nothing to cut yet. Draw a line first.',
  'practice-no-way': () => 'This task cannot be worked out on this piece. Take new numbers.',
  'practice-root': () => 'This piece is pinned to the mat. Move the others.',
  'practice-true-ends': () =>
    'A seam is drawn anew from one place of an edge to another place of the same edge. Begin on it, and end on it.',
  'practice-tape-fails': () => 'Lapped so far the paper cannot be taped: nothing is left of an edge. Lap it less.',
  'length-empty': () => 'Type a length, such as 92.5 or 36 1/2.',
  'length-unreadable': (s) => `“${s.text('text')}” is not a length. Type it like 92.5, 92,5 cm, 36 1/2 or 3/8.`,
  'length-zero-denominator': (s) => `“${s.text('text')}” divides by nothing. Type a fraction such as 3/8.`,
  'front-not-found': () => 'This pattern has no front piece. Mark one piece as the front.',
  'centre-front-missing': (s) => en`“${s.text('piece')}” has no centre front edge. Name that edge before altering.`,
  'armhole-missing': (s) =>
    `“${s.text('piece')}” has no armhole to work from. Name its edge, or its seam with the sleeve, before altering.`,
  'raglan-missing': (s) => `“${s.text('piece')}” has no raglan seam to hinge on. Name that edge before altering.`,
  'underarm-missing': (s) => `“${s.text('piece')}” has no underarm curve to hinge on: its sleeve is not cut on.`,
  'overarm-missing': (s) => `“${s.text('piece')}” has no overarm seam for the second hinge.`,
  'side-missing': (s) => `“${s.text('piece')}” has no side seam edge. Name that edge before altering.`,
  'front-has-princess': (s) =>
    `“${s.text('piece')}” is one of two front panels; take the alteration for princess seams.`,
  'front-has-side-dart': (s) => `“${s.text('piece')}” has a side dart; take the alteration that works through it.`,
  'no-such-dart': (s) => `“${s.text('piece')}” has no ${s.text('dart')} dart. Choose one that it has.`,
  'no-yoke': () =>
    en`No yoke is sewn to the back here. Name the piece “Yoke” on Pattern and its lower edge, like the upper edge of the back, “yoke seam”; both must be the same length.`,
  'collar-not-found': (s) =>
    `There is no ${s.text('part') === 'collar' ? 'collar' : 'collar stand'} sewn to the neckline. Choose the other, or name the piece and its neck edge on Pattern.`,
  'no-double-dart': (s) =>
    `“${s.text('piece')}” has no double-pointed dart. A dart that opens in the waist seam is changed by the alterations for waist darts.`,
  'dart-too-short': (s) =>
    `A dart of “${s.text('piece')}” would have less than ${s.len('least')} left above or below its widest line. Shorten it less.`,
  'dart-legs-too-curved': (s) =>
    `The dart of “${s.text('piece')}” is too narrow for that: its legs can lie ${s.len('most')} outside or inside their straight lines at most. Curve them less.`,
  'hip-dart-too-short': (s) =>
    `A dart of “${s.text('piece')}” would become shorter than 3 cm. Raise the hip by no more than ${s.len('most')}.`,
  'no-dart': (s) => `“${s.text('piece')}” has no dart to work on.`,
  'back-not-found': () => 'This pattern has no back piece. Mark one piece as the back.',
  'side-front-not-found': () => 'This pattern has no side front panel; take the alteration for a front in one piece.',
  'princess-missing': (s) => `“${s.text('piece')}” has no princess seam edge. Name that edge before altering.`,
  'seam-gives-no-more': (s) =>
    `At the princess seam itself ${s.len('most')} over the front is the most; ${s.len('wanted')} would make the panels bulge. Open the side front instead: take the full bust for a princess seam from the armhole or the shoulder.`,
  'princess-not-from-armhole': (s) =>
    `The princess seam of “${s.text('piece')}” begins at the shoulder, not at the armhole.`,
  'princess-not-from-shoulder': (s) =>
    `The princess seam of “${s.text('piece')}” begins at the armhole, not at the shoulder.`,
  'apex-notch-missing': (s) =>
    `“${s.text('piece')}” has no notch on its princess seam at the bust. Mark the apex there.`,
  'princess-needs-two-darts': (s) =>
    `“${s.text('piece')}” needs a waist dart and one other dart to be cut into panels.`,
  'bust-point-unknown': (s) =>
    `The bust point of “${s.text('piece')}” is not known. Measure bust height and bust span, or place it on the piece.`,
  'form-no-pieces': () =>
    'The form needs the pieces themselves in the chosen size, and that size in the chart. With paper only there is nothing to sew.',
  'form-cloth-unknown': (s) => `“${s.text('cloth')}” is no cloth the form knows. It knows ${s.text('cloths')}.`,
  'form-no-body': () => 'Take the waist and the bust or the hip first: the form is made from them.',
  'form-nothing-to-sew': () =>
    'There is no front, back or skirt among these pieces to put on the form. Say on Pattern what each piece is.',
  'form-leg-edge': (s) =>
    `No edge of “${s.text('piece')}” is its ${s.text('which')}, so it cannot be laid around the leg. Say on Pattern which edge it is.`,
  'form-no-waist': () =>
    'No edge of these pieces is the waist, so they have nothing to hang from. Say on Pattern which edge it is.',
  'form-neck-and-legs': () =>
    en`A garment with both a neckline and legs is not sewn for the form yet. Check it in a toile.`,
  'form-no-shoulders': () =>
    en`The form has nothing to hang this from: no front and back meet in a shoulder seam, or in one raglan sleeve that closes around the arm. Check it in a toile.`,
  'form-centre-missing': (s) =>
    en`No piece has a centre ${s.text('which')} line, so the garment does not close around the form. Say on Pattern which edge it is.`,
  'form-piece-whole': (s) =>
    en`“${s.text('piece')}” is drawn whole. The form takes half pieces that end at the centre front or the centre back.`,
  'form-side-open': (s) =>
    `A side seam or inseam of “${s.text('piece')}” is sewn to nothing, so the garment stays open. Say on Pattern what it is sewn to.`,
  'form-piece-loose': (s) =>
    `“${s.text('piece')}” is sewn to no other piece. Say on Pattern what its edges are sewn to.`,
  'form-mesh-fails': () =>
    'These pieces could not be divided into cloth for the form. Look at them on Check for edges that cross, and report it if there are none.',
  'too-much-to-ease': (s) =>
    `The side seam would have to ease in ${s.len('intake')}; ${s.len('most')} is the most. Keep the new dart, or let it down to the hem.`,
  'dart-not-found': (s) => `There is no such dart on “${s.text('piece')}”.`,
  'rotation-same-place': (s) => `The ${s.text('dart')} dart is there already. Choose another place.`,
  'rotation-line-blocked': (s) =>
    `The line from the new place to the bust point would leave “${s.text('piece')}”. Choose another place.`,
  'pivot-outside': (s) =>
    `The point to turn about lies outside “${s.text('piece')}”. Place the bust point on the piece.`,
  'dart-too-small': (s) => `The ${s.text('dart')} dart is too narrow to turn.`,
  'dart-on-fold': (s) =>
    `“${s.text('piece')}” is cut on a fold there, and no dart can open in a fold. Choose another seam.`,
  'dart-in-neckline': (s) =>
    `A dart opens in the neckline of “${s.text('piece')}”, so the neckline cannot be drawn again in one line. Turn the dart elsewhere first, and back afterwards.`,
  'slash-leaves-armhole': (s) =>
    `From the middle of the shoulder of “${s.text('piece')}” no straight line reaches the armhole without leaving the paper. Redraw the shoulder instead.`,
  'no-such-seam': (s) =>
    `“${s.text('piece')}” has no ${s.text('role')} seam with room for a dart. Choose another place.`,
  'no-room-to-split': (s) =>
    `There is no seam ${s.len('apart')} beside the ${s.text('dart')} dart for a second one. Put them closer together.`,
  'dart-too-narrow-to-cut': (s) =>
    `The ${s.text('dart')} dart takes up ${s.len('intake')}; to be cut away it needs at least ${s.len('least')}. Fold it, or take a smaller allowance.`,
  'dart-cannot-give': (s) =>
    `The waist darts can give at most ${s.len('most')} around the whole waist, not ${s.len('wanted')}. Take the rest at the side seams.`,
  'box-needs-side-dart': (s) =>
    `Only a dart in the side seam can be moved in a box; move the tip of the ${s.text('dart')} dart instead.`,
  'no-room-to-slide': (s) => `There is room to slide by ${s.len('most')}, not by ${s.len('wanted')}.`,
  'sample-unknown': (s) => `There is no sample pattern “${s.text('sample')}”. There are ${s.text('samples')}.`,
  'no-side-dart': (s) => `“${s.text('piece')}” has no side dart; this way of altering needs one.`,
  'dart-not-in-side-seam': (s) => `The side dart of “${s.text('piece')}” does not open between two side seam edges.`,
  'bust-point-outside': (s) =>
    `The bust point lies outside “${s.text('piece')}”. Check bust height and bust span, or place it on the piece.`,
  'hinge-not-on-armhole': (s) =>
    `The hinge is ${s.len('by')} from the seam line of “${s.text('piece')}”. Put it on the seam line.`,
  'hinge-below-bust-point': (s) =>
    `The hinge lies below the bust point of “${s.text('piece')}”. Move it up the armhole.`,
  'spread-beyond-reach': (s) =>
    en`A spread of ${s.len('wanted')} on each half is beyond the reach of this hinge (${s.len('reach')}). Move the hinge towards the side, or spread less.`,
  'overlap-larger-than-dart': (s) =>
    `Overlapping by ${s.len('wanted')} on each half would close the ${s.text('dart') || 'side'} dart altogether; it allows ${s.len('most')}. Lap that much and take the rest in at the side seams, or start from a smaller size.`,
  'line-misses-hem': (s) =>
    `Straight down from the bust point, line 1 meets the edge “${s.text('edge')}” instead of the waist or hem. Move the bust point.`,
  'overlap-too-large': (s) => `The paper would overlap past the end of the edge “${s.text('edge')}”. Lap less.`,
  'cut-leaves-piece': (s) =>
    `A cut would leave the piece “${s.text('piece')}” through the edge “${s.text('edge')}”. Move the bust point or the hinge.`,
  'cut-too-short': () => 'A cut has no length. Move its ends apart.',
  'cut-divides-nothing': (s) => `The cuts do not divide “${s.text('piece')}”.`,
  'panel-not-found': (s) => `The cuts leave no panel “${s.text('panel')}”. Move the bust point or the hinge.`,
  'panels-not-separated': (s) =>
    `The cuts do not separate “${s.text('panel')}” from “${s.text('other')}”. Move the bust point or the hinge.`,
  'hinge-torn': (s) => `The hinge “${s.text('hinge')}” would tear by ${s.len('apart')}.`,
  'value-unknown': (s) => `There is nothing called “${s.text('key')}” to set here.`,
  'value-wrong-kind': (s) => `“${s.text('value')}” does not fit “${s.text('key')}”.`,
  'value-out-of-range': (s) => `“${s.text('key')}” must lie between ${s.len('min')} and ${s.len('max')}.`,
  'width-not-restored': (s) => `The width could not be restored at the side (${s.signed('by')} left).`,
  'size-needs-high-bust': () => 'The size is chosen by the high bust. Measure it, or choose by the full bust.',
  'size-needs-hip': () => 'What hangs from the waist is chosen by the hip. Measure it.',
  'solve-no-rows': () =>
    'Nothing can be compared: neither the body nor the pattern is known at the differences chosen. Measure the body first.',
  'solve-no-steps': () =>
    'No step of the plan has an amount that could be found. Add a step, switch one on, or choose one.',
  'solve-failed': () =>
    'The plan cannot be carried out as it stands, so nothing could be measured. Fix the step that is refused first.',
  'size-needs-full-bust': () => 'Measure the full bust to choose by it.',
  'chart-has-no-bust': () => 'The size chart gives no bust for any size.',
  'size-has-no-pieces': (s) => `The pattern has no pieces in size ${s.text('size')}. Choose another size.`,
  'alteration-unknown': (s) =>
    `This version does not know the alteration “${s.text('alteration')}”. The step is kept and left out.`,
  'alteration-revision': (s) =>
    `“${s.text('alteration')}” was saved as revision ${s.text('revision')}, which this version cannot replay. The step is kept and left out.`,
  'no-pieces': () => 'There is no piece to alter in this size.',
  'body-impossible': () =>
    'A measurement cannot be right, so no amount is taken from it. Correct it on Body, or type your own amount.',
  'amount-unknown': () => 'The amount cannot be computed yet: full bust and high bust are needed, or type your own.',
  ...DOCUMENT_WORDS,
  'file-not-found': (s) =>
    `There is no file “${s.text('file')}”. Give the name of a file that exists, from the folder of the job.`,
  'reference-outside': (s) =>
    `The job names the file “${s.text('file')}”, which does not lie in the job’s own folder. Put it there, or put the ${s.text('kind')} inline.`,
  'reference-not-read': (s) =>
    `The file “${s.text('file')}” named in the job cannot be read as a ${s.text('kind')}. Write it again from the app.`,
  'file-is-folder': (s) => `“${s.text('file')}” is a folder. Name a file in it.`,
  'file-not-plain': (s) => `“${s.text('file')}” is a pipe or a device, no file. Save what it holds as a file first.`,
  'file-not-allowed': (s) => `You are not allowed to read “${s.text('file')}”. Change its permissions, or take a copy.`,
  'file-not-readable': (s) => `“${s.text('file')}” could not be read (${s.text('detail')}). Take another copy of it.`,
  'out-no-folder': (s) =>
    `Nothing was written: “${s.text('folder')}” is, or lies under, a file where a folder is needed. Name another folder.`,
  'out-not-allowed': (s) =>
    `Nothing was written: you are not allowed to write in “${s.text('folder')}”. Name another folder.`,
  'out-full': (s) =>
    `Nothing was written: there is no room left where “${s.text('folder')}” lies. Make room, and run it again.`,
  'out-failed': (s) => `Nothing was written in “${s.text('folder')}” (${s.text('detail')}). Name another folder.`,
  'reference-not-here': (s) =>
    `The job refers to “${s.text('ref')}”, which is not in this file. Put the ${s.text('kind')} inline or name its file.`,
  'level-not-on-piece': (s) => `No piece is marked with the ${s.text('level')} level.`,
  'size-unknown': (s) => `There is no size “${s.text('size')}”. The sizes are ${s.text('sizes')}.`,
  'photo-not-a-picture': (s) => `“${s.text('name')}” is not a picture that can be read. Take a JPEG, PNG or WebP.`,
  'photo-too-large': (s) =>
    `“${s.text('name')}” is larger than ${s.text('most')}. Send a smaller copy, or take the picture again at a lower setting.`,
  'photo-too-many-pixels': (s) =>
    `“${s.text('name')}” has more pixels than can be opened here. Take the picture again at a lower setting.`,
  'photo-too-many': (s) => `A fitting holds ${s.text('most')} pictures. Take one out before you add another.`,
  'import-changed-since': (s) =>
    `Put back as it was, but for what has been changed since: ${s.text('names')}. That stays as it is now.`,
  'photo-not-kept': () =>
    'There is no room for the picture on this device, so it was not kept. What you wrote is saved. Export everything to a file, remove old pictures, then try again.',
  'cloth-too-narrow': (s) =>
    `“${s.text('piece')}” needs ${s.len('needs')} across and there are only ${s.len('across')}. Take wider cloth, fold it less deep, or lay it open.`,
  'facing-not-found': () => 'This pattern has no facing, neither cut on nor sewn on.',
  'facing-too-narrow': (s) =>
    `The facing of “${s.text('piece')}” would be narrower than ${s.len('least')}: it would not stay inside. Take off less.`,
  'facing-too-wide': (s) => `“${s.text('piece')}” is not wide enough for a facing like that to lie under it. Add less.`,
  'fold-depth-invalid': (s) =>
    `A fold of “${s.text('text')}” cannot be laid. Give its depth in mm, from 50 to 750; for cloth folded anew farther along up to four, as in 350,200.`,
  'cloth-nothing-to-lay': () => 'There is no piece to lay on the cloth. Choose a size first.',
  'bundle-not-zip': () =>
    'This is no file of ours: neither a backup, nor a job. Choose the file that “Export everything”, “A file for a friend” or “Export to a file” made.',
  'bundle-foreign': () =>
    'This file was not made by this app: it has no list of contents. Choose the file that “Export everything” made. Nothing was changed.',
  'bundle-newer': (s) =>
    `This file was made by a newer version (${s.text('version')}); this one reads up to ${s.text('known')}. Update the app first. Nothing was changed.`,
  'bundle-damaged': (s) =>
    `The file is damaged or cut short, at “${s.text('path')}”. Copy it again from where it was kept, or take an older one. Nothing was changed.`,
  'bundle-too-large': (s) =>
    `The file claims to hold more than is safe to unpack (${s.text('what')}). It was not opened; nothing was changed.`,
  'bundle-path': (s) =>
    `The file holds something that does not belong in it (“${s.text('path')}”). It was not opened; nothing was changed.`,
  'bundle-hostile': (s) =>
    `“${s.text('path')}” in the file uses the forbidden name “${s.text('key')}”. It was not taken in; nothing was changed.`,
  'bundle-repeated': (s) => `“${s.text('id')}” stands twice in the file. It was not taken in; nothing was changed.`,
  'bundle-document': (s) =>
    `“${s.text('path')}” in the file cannot be read, and nothing was changed. ${DOCUMENT_WORDS[s.text('why') as keyof typeof DOCUMENT_WORDS]?.(s) ?? ''}`.trim(),
  'version-not-drafted': () =>
    'This version cannot be carried out any more, so it cannot be drawn. Its choices are kept.',
  'shoulder-seam-missing': () =>
    'No shoulder seam runs from neck to armhole between one front and one back. This way of altering needs one.',
  'shoulder-in-sleeve': () =>
    en`A raglan carries the shoulder in its sleeve, where no seam could be moved: a narrow shoulder changes nothing in these pieces. Where the sleeve stands off in the toile, pinch it out across the top of the sleeve there.`,
  'shoulder-too-short': (s) =>
    `The shoulder (${s.len('length')}) cannot be changed by ${s.len('by')} about a pin on the armhole. Take less, or redraw it.`,
  'shoulder-too-steep': (s) => `A shoulder cannot drop by ${s.len('by')} over its own length. Take less.`,
  'sliver-crosses': () =>
    'The shoulder seam would move forward at one end and back at the other. Let both amounts have the same sign.',
  'sliver-too-wide': (s) => `The seam can move by ${s.len('most')} along the neckline at most, not ${s.len('wanted')}.`,
  'dart-in-sliver': (s) =>
    `“${s.text('piece')}” has a dart in its shoulder; a sliver cannot be taken from it in one piece. Turn the dart elsewhere first.`,
  'back-ends-at-waist': (s) =>
    `“${s.text('piece')}” ends at the waist, so nothing can be folded out across it there. Draw its waist seam again instead.`,
  'no-waist-seam': (s) => `“${s.text('piece')}” has no waist seam. Fold the amount out across the back instead.`,
  'trousers-not-found': () => 'There is no front and back of trousers among the pieces.',
  'crotch-not-found': (s) =>
    `On “${s.text('piece')}” crotch seam, inseam, side seam and hem do not make a trouser leg. Name those edges on Pattern; the crotch line is drawn from where crotch seam and inseam meet.`,
  'fork-cannot-give': (s) =>
    `The inseam of “${s.text('piece')}” cannot be moved by enough to give ${s.len('by')} there. Take less, or give part of it at the side seam.`,
  'sleeve-not-found': () => 'There is no sleeve with a cap among the pieces.',
  'sleeve-landmark-missing': (s) =>
    `“${s.text('piece')}” has no cap between two underarm seams with a hem straight below it. Name its edges on Pattern.`,
  'sleeve-too-wide': (s) =>
    `The cap is too flat for ${s.len('by')}, or the sleeve too short to pin at the hem. Take less, or open the hem too.`,
  'sleeve-has-cuff': (s) =>
    `“${s.text('piece')}” is sewn into a cuff: its hem is gathered. Take “Wider cuff” or “Narrower cuff”.`,
  'sleeve-has-dart': (s) =>
    `A line down “${s.text('piece')}” would run through its dart. Take a sleeve without a dart, or “Wider wrist”.`,
  'hem-too-narrow': (s) =>
    `“${s.text('piece')}” can become narrower at the wrist by ${s.len('most')} at most; no hand would pass through less. Take less.`,
  'cuff-not-found': () =>
    'No cuff with a known seam to its sleeve is among the pieces. Cut the cuff across its middle by hand; overlap and slit stay.',
  'cuff-longer-than-hem': (s) =>
    `“${s.text('piece')}” can become wider by ${s.len('most')} at most: the hem of the sleeve is no longer than that. Take less, or make the sleeve fuller first.`,
  'skirt-not-found': () => 'There is no skirt among the pieces.',
  'line-off-piece': (s) =>
    `A line at that height does not run across “${s.text('piece')}” from one seam to another. Place it elsewhere.`,
  'wedge-too-large': (s) => `${s.len('by')} is too much for this width; ${s.len('most')} is the most. Take less.`,
  'panels-on-fold': (s) =>
    en`“${s.text('piece')}” lies on the fold and is sewn to side panels: drawn straight again it would widen the neckline or the shoulder. Give it a seam at the centre back first.`,
  'no-line-here': () => 'None of the pieces reaches that level. Choose another line.',
  'no-nest': () => 'The pattern has only one size here. Use “Wider at waist and hip” instead.',
  'size-not-in-nest': (s) => `The pattern has no pieces in size “${s.text('size')}”. Choose one it has.`,
  'same-size': (s) => `Waist and hip are in size ${s.text('size')} already. Choose another size for one of them.`,
  'nothing-to-grade': () => 'No piece has a level to grade at.',
  'no-level-here': (s) => `None of the side seams has a place called “${s.text('level')}”. Choose another level.`,
  'no-hem': () => 'None of the side seams ends in a hem.',
  'hip-missing': (s) => `“${s.text('piece')}” has no hip level between its waist and its hem.`,
  'bust-point-not-found': () => 'No front with a bust point was found. Put one on the pattern first.',
  'neck-missing': (s) => `“${s.text('piece')}” has no neckline.`,
  'neck-too-wide': (s) => `The neckline can begin ${s.len('most')} farther out at most, not ${s.len('wanted')}.`,
  'centre-is-fold': (s) =>
    en`The centre of “${s.text('piece')}” is a fold: there is no seam to pin out. Use the shoulders.`,
  'band-not-found': () => 'There is no band among the pieces.',
  'band-too-narrow': (s) => `The band can lose ${s.len('most')} at most, not ${s.len('wanted')}.`,
  'edge-not-found': () => 'No piece has such an edge.',
  'nothing-to-follow': () => 'There is nothing that would have to follow.',
  'armhole-cannot-follow': (s) =>
    `The armhole of “${s.text('piece')}” would have to change by ${s.len('by')}, more than moving its underarm gives. Settle the cap in another way, or take less.`,
  'cap-not-in-halves': (s) =>
    `To gather the head of “${s.text('piece')}” its cap must be drawn as a front and a back half that meet at the top. Pin the lines at the cap instead.`,
  'cap-too-short': (s) =>
    `The cap of “${s.text('piece')}” would become ${s.len('by')} shorter than its armhole. Lap less, or pin the lines at the cap.`,
  'cap-cannot-follow': (s) =>
    `The cap would have to change by ${s.len('by')}, more than its height allows. Change the armhole less, or the sleeve’s width.`,
  'step-makes-fault': (s) =>
    `This step was not carried out, and the pieces stay as they were: ${FAULT_TEXT[s.text('fault') as FaultCode]?.(s) ?? s.text('fault')} Take less, put its lines elsewhere, or choose another way.`,
  'piece-is-whole': (s) =>
    en`“${s.text('piece')}” is drawn opened out, both sides in one. Alterations are worked out on half a piece: draw it along its centre line, on the fold, and name that edge.`,
  'beyond-centre-changed': (s) =>
    en`Extension and facing are cut in one with “${s.text('piece')}” and fold back along a straight centre; this step would leave none. Put the dart or the line elsewhere.`,
  'centre-not-inside': (s) =>
    en`“${s.text('piece')}” cannot be parted there: the centre line must cross the neckline and the lower edge only, clear of darts. Take another distance.`,
  'step-failed': () =>
    'This step could not be carried out on these pieces, and they stay as they were. Take another amount or another way; the rest of the plan goes on.',
  'pieces-not-fit': (s) =>
    `${s.text('names')} would be cut wrong, so left out of the files. Fix what is listed below, or write all pieces with --despite-faults.`,
  stopped: () => 'Stopped, as you asked.',
  'pdf-failed': (s) => `The pages could not be made: ${s.text('detail')}. Try another paper, or report what you did.`,
  'paper-unknown': (s) => `There is no paper “${s.text('paper')}”. Choose a4 or letter.`,
} satisfies Partial<Record<RefusalCode, Sentence>>;

const PROBLEMS: Readonly<Record<ProblemCode, Sentence>> = {
  'edges-do-not-join': (s) =>
    `on “${s.text('piece')}”, the edge “${s.text('edge')}” ends ${s.len('gap')} away from where “${s.text('next')}” begins. Make them meet.`,
  'outline-open': (s) =>
    `the outline of “${s.text('piece')}” is not closed: “${s.text('edge')}” ends ${s.len('gap')} away from “${s.text('next')}”.`,
  'beyond-off-centre': (s) =>
    en`extension and facing of “${s.text('piece')}” do not meet its centre at “${s.text('edge')}”.`,
  'outline-crosses': (s) => `the outline of “${s.text('piece')}” crosses itself.`,
  'outline-anticlockwise': (s) => `the outline of “${s.text('piece')}” runs the wrong way round.`,
  'edge-repeated': (s) => `“${s.text('piece')}” has two edges called “${s.text('edge')}”.`,
  'edge-without-length': (s) => `the edge “${s.text('edge')}” of “${s.text('piece')}” has no length.`,
  'fold-edge-missing': (s) => `the fold of “${s.text('piece')}” names an edge “${s.text('edge')}” that is not there.`,
  'dart-mouth-missing': (s) =>
    `the dart “${s.text('dart')}” of “${s.text('piece')}” names an edge “${s.text('edge')}” that is not there.`,
  'dart-tip-outside': (s) => `the tip of the dart “${s.text('dart')}” lies outside “${s.text('piece')}”.`,
  'notch-edge-missing': (s) => `a notch of “${s.text('piece')}” names an edge “${s.text('edge')}” that is not there.`,
  'notch-off-edge': (s) =>
    `a notch on “${s.text('edge')}” of “${s.text('piece')}” lies beyond its end (${s.len('length')}).`,
  'seam-piece-missing': (s) => `the seam “${s.text('seam')}” names a piece “${s.text('piece')}” that is not there.`,
  'seam-edge-missing': (s) =>
    `the seam “${s.text('seam')}” names an edge “${s.text('edge')}” that “${s.text('piece')}” does not have.`,
  'seam-edge-repeated': (s) =>
    `the seam “${s.text('seam')}” names the edge “${s.text('edge')}” of “${s.text('piece')}” twice.`,
  'seam-notch-missing': (s) =>
    `the seam “${s.text('seam')}” lies between notches of “${s.text('piece')}”, and “${s.text('notch')}” is not on it.`,
  'size-without-pieces': (s) => `size ${s.text('size')} has no pieces.`,
  'chart-size-repeated': (s) => `the size chart lists ${s.text('size')} twice.`,
};
export const PROBLEM_WORDS = PROBLEMS;
