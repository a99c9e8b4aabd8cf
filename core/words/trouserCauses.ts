import { inWords } from '../speech/index.ts';

/** Causes of what trousers show: what the body differs by, and the test that tells it from its neighbours. */
export const TROUSER_CAUSE_WORDS = inWords({
  'rise-longer': {
    name: 'A longer way from waist to seat than the draft',
    test: 'Sit on a hard seat: the waist is then pulled down all round. Let the waist down by a finger: the crotch no longer cuts in.',
  },
  'rise-shorter': {
    name: 'A shorter way from waist to seat than the draft',
    test: 'Pin a fold straight across front and back between waist and hip: the crotch should come up to the body, and sitting should stay easy.',
  },
  'seat-fuller': {
    name: 'A fuller seat than the draft',
    test: 'Sit, then bend forward: the waist is pulled down at the back alone. Open the centre back seam at the hip: if the drag lines go, the back was short over the seat.',
  },
  'seat-flatter': {
    name: 'A flatter seat than the draft',
    test: 'Pin a fold across the back under the seat, to nothing at the side: the leg should fall straight, and sitting should stay easy.',
  },
  'belly-fuller': {
    name: 'A fuller belly than the draft',
    test: 'Unpin the waist in front and let it sink: if the drag lines go, the front crotch seam was short.',
  },
  'belly-flatter': {
    name: 'A flatter belly than the draft',
    test: 'Pin a fold across the front between waist and crotch, to nothing at the side: the front should lie flat.',
  },
  'pelvis-tipped': {
    name: 'A waist that slopes down to the front',
    test: 'Tie a tape around the waist and look from the side: it runs lower in front than at the back.',
  },
  'thigh-fuller': {
    name: 'A fuller thigh than the draft',
    test: 'Open the inseam from the crotch half-way to the knee: if the drag lines go, the leg was too narrow.',
  },
  'thigh-slimmer': {
    name: 'A slimmer thigh than the draft',
    test: 'Pin a fold down the inseam and sit: it must still be easy over the leg.',
  },
  'leg-longer': {
    name: 'A longer leg than the draft',
    test: 'Put on the shoes meant for it. See first that the crotch sits where it should: a high crotch makes the leg look short.',
  },
  'leg-shorter': {
    name: 'A shorter leg than the draft',
    test: 'Pin a fold across the leg above or below the knee: the knee of the leg should lie at the knee.',
  },
  'leg-off-grain': {
    name: 'A leg that was cut or sewn off the grain',
    test: 'Hold the leg up by the waist and let it hang: the grain should run straight down its middle.',
    advice:
      'Cut both legs with the grainline parallel to the selvedge, one at a time where the cloth slips. Sew side seam and inseam from the same end, and ease neither in.',
  },
} as const);
