/** Every tolerance of the core, in one place, each with its reason. Millimetres unless said. */
export const TOL = {
  /** Two points closer than this are one point: a thousandth of a hair, far above rounding noise. */
  same: 1e-6,
  /** Joins between neighbouring edges of a document: files round to a thousandth. */
  join: 2e-3,
  /** Arc length of one cubic by adaptive quadrature. */
  length: 1e-5,
  /** Flatness of polylines made for area tests and for finding intersections. */
  flat: 0.01,
  /** Curves offset for the cutting line. */
  offset: 0.02,
  /** Dart legs that differ by less are equal: below what a pencil marks. */
  legs: 0.1,
  /** Seams walked against each other: the craft's half a millimetre. */
  seam: 0.5,
  /** An armhole after smoothing at a hinge. */
  armhole: 1,
  /** Corners that must be square, degrees; a set square on paper is no better. */
  squareDegrees: 1.5,
  /** Corners that must run smoothly on across a seam, degrees. */
  smoothDegrees: 3,
  /** Root finding on parameters. */
  root: 1e-10,
} as const;
