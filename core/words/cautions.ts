/** Plain cautions, shown where the hands need them. Local rules and a clinician's advice come first. */
export const CAUTION_WORDS = {
  cutter:
    'Rotary cutter: a sharp blade, a mat, a cut-resistant glove; cut away from you and close the blade whenever you put it down.',
  scissors: 'Scissors: keep the other hand behind the blades, and hand them over by the handles.',
  pins: 'Pins near the skin: heads outward, points away from the body, never in the mouth. Count them afterwards and step on none.',
  help: 'Move slowly, and take the paper off by unpinning it, not by pulling. Someone to help is better than a long reach.',
  iron: 'Low heat, no steam: tape and some papers melt or scorch. Keep the iron away from skin, flex and children.',
  snug: 'Measure snug, never tight. What is pinned must not hold the breath or mark the skin.',
  medical:
    'For garments worn for medical reasons, after surgery, or where something hurts, follow what your clinician says before what is written here.',
  children: 'Children’s nightwear, cords and drawstrings: follow the safety rules of your country.',
} as const;
export type Caution = keyof typeof CAUTION_WORDS;

/** Which cautions belong to which work. */
export const CAUTIONS: Readonly<Record<'cut' | 'press' | 'tissue' | 'trace' | 'sheet', readonly Caution[]>> = {
  cut: ['cutter', 'scissors'],
  press: ['iron'],
  trace: ['scissors', 'iron', 'medical', 'children'],
  tissue: ['pins', 'help', 'snug', 'medical'],
  sheet: ['cutter', 'scissors', 'iron', 'medical', 'children'],
};
export const cautionsFor = (work: keyof typeof CAUTIONS): readonly string[] =>
  CAUTIONS[work].map((c) => CAUTION_WORDS[c]);
