/** Every key there is, as the help lists them and the finder finds them. */
export const KEYS: readonly (readonly [string, string])[] = [
  ['1 – 9', 'go to a station'],
  ['Ctrl+K, or /', 'find a job, a wearer, a station, an alteration, a word of help'],
  ['N, B', 'on the table: next stage, back a stage'],
  ['Tab, then arrows', 'choose a handle on the mat and nudge it by 1 mm or 1/16 in; Shift makes it five'],
  ['O, held down', 'on the table: the untouched pieces'],
  ['M', 'on the table: the tape measure'],
  ['Enter on a piece', 'zoom to it; arrow keys slide it by 1 cm'],
  ['Alt while dragging', 'do not snap to notches, thirds or the grain'],
  ['Space, then arrows', 'on the grip of a slip in the plan: pick it up and slide it; Space puts it down'],
  ['Enter in the worksheet or a size chart', 'accept the value and move down the column'],
  ['Esc', 'cancel a drag'],
  ['+, −, 0', 'on the table: zoom in, zoom out, fit everything'],
  [
    'N, B, Q, O, I, H',
    'in the projector view: next piece, piece before, turn a quarter, turn over, dark on light, hide',
  ],
  ['Arrows, +, −, 0', 'in the projector view: slide by 1 cm, lines thicker or thinner, back to the middle'],
  ['U', 'centimetres or inches'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
  ['?', 'this page'],
];
