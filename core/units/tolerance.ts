/** Every tolerance of the core, in one place, each with its reason. Millimetres unless said. */
export const TOL = {
  /** Two points closer than this are one point: a thousandth of a hair, far above rounding noise. */
  same: 1e-6,
  /** Less than this is rounding noise: sums of lengths and shares, curve parameters, angles in radians. */
  zero: 1e-9,
  /** A determinant or an angle this near to nothing has no inverse. */
  singular: 1e-12,
  /** A parameter that moves by less between two steps of Newton has settled. */
  settled: 1e-13,
  /** The last digit of a parameter between 0 and 1. */
  ulp: 1e-15,
  /** A polynomial's value that counts as a root, for coefficients of size 1. */
  root: 1e-11,
  /** Two roots closer than this are one. */
  sameRoot: 2e-5,
  /** Two places on one span whose parameters differ by less are one place. */
  parameter: 1e-3,
  /** A length looked for by halving: a tenth of `same`, so that what it draws still counts as the same. */
  solve: 1e-7,
  /** The same where another solver looks on top of it, and noise would confuse it. */
  fine: 1e-10,
  /** A turn looked for by halving, radians: a metre away it moves a point by less than a millionth of `same`. */
  turn: 1e-12,
  /** A kink smaller than this, radians, is none at all. */
  kinkless: 1e-6,
  /** A kink smaller than this, radians, needs no smoothing: ten times below what shows. */
  visibleKink: 1e-4,
  /** Two lines whose directions differ by less, radians, are one straight line. */
  straightOn: 1e-3,
  /** A piece leaning by less, radians, stands upright. */
  upright: 1e-5,
  /** A dart whose legs open by less, radians, takes up nothing that could be moved. */
  noWedge: 1e-4,
  /** Handles shorter than this share of their chord are noise of the fit. */
  handle: 1e-3,
  /** A crossing this near to the joint of two spans is the joint. */
  joint: 1e-3,
  /** Three points whose triangle is smaller than this share of its sides lie in one line. */
  inLine: 1e-3,
  /** A patch of a picture whose gradients are this one-sided has no corner. */
  flatPatch: 1e-3,
  /** What a drawing's scale may be off without having been shrunk, as a share: rounding in the file. */
  scale: 5e-4,
  /** A search that gets better by a smaller share in a step is done. */
  worth: 5e-4,
  /** Joins between neighbouring edges of a document: files round to a thousandth. */
  join: 2e-3,
  /** Arc length of one cubic by adaptive quadrature. */
  length: 1e-5,
  /** Flatness of polylines made for area tests and for finding intersections. */
  flat: 0.01,
  /** The cutting line against its allowance: what a pair of scissors follows. */
  allowance: 0.3,
  /** Curves offset for the cutting line. */
  offset: 0.02,
  /** Points of a drawn curve about the cubics laid through them: finer than files round. */
  fit: 0.004,
  /** The same where points were read off paper or a picture, which are no better than this. */
  fitRough: 0.15,
  /** Ends of lines nearer than this belong together: a pencil's width, as tiles are taped. */
  heal: 1,
  /** Ends nearer than this meet, with nothing to tell of it. */
  meets: 0.05,
  /** A mark that two pictures share, laid on itself: a photo is true to a millimetre, and marks are clicked. */
  stitch: 3,
  /** A line drawn on two pages is one line when it lies so near to itself. */
  twice: 0.05,
  /** An edge bowed less than this over its length is straight. */
  straight: 0.3,
  /** Where a notch, a dart's leg or a mark reaches a line that it belongs to. */
  touches: 1.5,
  /** Two halves that differ by no more are mirror images. */
  mirrored: 0.5,
  /** Dart legs that differ by less are equal: below what a pencil marks. */
  legs: 0.1,
  /** Seams walked against each other: the craft's half a millimetre. */
  seam: 0.5,
  /** Princess seams run over a curve one way and back on the other piece: a millimetre, as one walks them. */
  princess: 1,
  /** A pocket's opening laid on the seam it is sewn into: more, and it would pull. */
  opening: 1,
  /** An armhole after smoothing at a hinge. */
  armhole: 1,
  /** Corners that must be square, degrees; a set square on paper is no better. */
  squareDegrees: 1.5,
  /** Corners that must run smoothly on across a seam, degrees. */
  smoothDegrees: 3,
  /** A line that turns by more than this, radians, has a kink. */
  kink: 0.01,
  /** An edge is not divided nearer than this to its ends. */
  shortEdge: 1,
  /** A hinge, or the end of a line, that a program has put somewhere, found there again. */
  placed: 0.01,
  /** A tip drawn elsewhere by less is not worth telling. */
  tipMoved: 1,
  /** Cuts that end or meet within this are joined: the kernel's planar graph needs shared nodes. */
  node: 1e-4,
  /** A panel with less paper than this, mm², is none: the cut grazes the outline and leaves the piece there. */
  panel: 0.05,
  /** How far past its end a span still counts as met, so that touching ends are hits. */
  reach: 1e-7,
  /** Two hits of the same spans closer than this are one hit. */
  hit: 1e-4,
  /** Boxes smaller than this are refined by Newton instead of halved again. */
  box: 1e-3,
  /** A hinge placed by hand this near the armhole seam line is set onto it. */
  hinge: 2,
  /** Sums of measurements, mm: less is rounding, not a difference. */
  sums: 0.05,
  /** Notches farther apart than this are worth a look. */
  notch: 3,
} as const;

/** How far a least-squares step is held back: at first, at least, and after a step on true slopes that made it worse. */
export const DAMPING = { first: 1e-6, least: 1e-9, again: 1e-3 } as const;

/** Cutting for practice: how near is near enough, mm unless said. */
export const PRACTICE = {
  /** What a careful cut may be off: nobody sees less on paper. */
  careful: 1,
  /** A dart's tip is set back by eye: so much either way is nobody's mistake. */
  tip: 5,
  /** An end of a line drawn this near to the seam line or another line was meant to reach it. */
  reach: 6,
  /** A hinge farther off than this lies elsewhere, and from `other` on was not meant for this place. */
  hinge: 4,
  other: 60,
  /** A line farther off than this lies elsewhere; beside the bust point sooner, since room opens where the line is. */
  line: 8,
  bust: 3,
  /** A hinge this near to the bust point was meant to be there. */
  atBust: 15,
  /** An opening less than this is a hinge or a shear. */
  slight: 1,
  /** Paper turned against other paper by more, radians, has opened to a wedge. */
  turned: 0.006,
  /** How near a share of the amount comes to a half or the double of it. */
  about: 0.12,
  /** Paper that went less far than this was not moved. */
  moved: 0.1,
  /** A hand feels that paper is held where it goes less far. */
  held: 0.5,
  /** Paper farther than this from all other has fallen off the table. */
  table: 80,
  /** A seam drawn anew strays no more from a ruler than this where one was used; else the curve keeps so near to the hand. */
  ruler: 2.5,
  freehand: 1.5,
  /** By hand nobody draws a seam nearer than this. */
  drawn: 2.5,
  /** How closely two seam lines are looked along. */
  look: 4,
} as const;

/** How closely a dress form is made to the tape, mm. */
export const FORM = {
  /** A girth is to be met within so much, another length within so much. */
  girth: 2,
  length: 3,
  /** Met so closely, what is usual of a body may stay as it is. */
  close: 0.5,
  /** A row missed by more contradicts the others: a tape read twice differs by half as much, and a form is no body. */
  contradicts: 10,
} as const;

/** The craft's own thresholds, mm: not accuracies but advice. */
export const ADVICE = {
  /** Over the whole front: below `small` leave it, up to `optional` only for fitted styles. */
  smallBust: 13,
  optionalBust: 25,
  /** A spread on each half beyond this makes a dart too big for one. */
  largeSpread: 38,
  /** A dart that takes up more than this will not press flat; one below the other is not worth sewing. */
  dartLarge: 76,
  dartSmall: 6,
  /** The lower edge of a panel that leans by more than this against its grain is told, degrees. */
  panelLeans: 4,
  /** A side seam takes up this much as ease without a dart. */
  easeMost: 15,
  /** A woven cap takes up this much over both armhole seams of a sleeve without puckers. */
  capEase: 38,
  /** A dart that ends nearer to the bust point than this shows its point. */
  tipNear: 15,
  /** A difference below this is not worth a step. */
  worthAsking: 5,
  /** A change that another step made to a measurement is reported from this size up. */
  worthTelling: 1,
  /** More than this at the centre back waist is likely a back that is too long as well. */
  swayLarge: 38,
  /** A piece that became this much wider may no longer fit the printed layout. */
  moreCloth: 10,
  /** A neckline this far from where a neck lies was designed so; less is one draft beside another. */
  neckAway: 8,
  /** Paper is not cut for less than this: another line takes it. */
  notCut: 0.5,
  /** A dart this far aside of the bust point does not aim at it. */
  aimsAside: 40,
} as const;
