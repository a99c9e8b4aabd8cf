/**
 * Every colour of the drawings, on screen and in files, by what it is. The style sheet of the app states the same ones
 * under the same names; a test compares them.
 */
export const COLOURS = {
  /** Lines of the pattern as it is cut, and text. */
  ink: '#1E2A38',
  /** Seam lines and darts, as carbon paper leaves them. */
  carbon: '#2B4C9B',
  /** What is marked to be cut, and warnings. */
  pencil: '#B32D24',
  /** Paper lapping over paper. */
  lap: '#E9B9AE',
  tissue: '#F3E7CF',
  /** Paper put in. */
  insert: '#FFF3B0',
  /** Pins, weights and what may be taken hold of. */
  brass: '#B8862B',
  brassDark: '#5B4110',
  brassLight: '#F2D493',
  iron: '#4A4A4A',
  /** Secondary text and the grain line. */
  quiet: '#5A5F66',
  /** Lines that stay in the background: folds, notes, rulings. */
  grey: '#8A8577',
  /** The pieces as they were before. */
  ghost: '#6D6758',
  line: '#D9D5C7',
  page: '#F7F6F1',
  white: '#FFFFFF',
  black: '#000000',
  /** The cutting mat: ground, lines, figures, the shadow of a piece, and the room around it. */
  mat: '#12443F',
  grid: '#2B6A62',
  gridFine: '#3A7D74',
  gridLight: '#5FA39A',
  figures: '#DDEBE8',
  shadow: '#04211E',
  around: '#0D332F',
  /** A tape measure, and the part of it that lies ahead. */
  tape: '#F5D76B',
  ahead: '#FBF3D2',
  tag: '#F9F1DF',
  rod: '#B9B5A6',
  /** Ruled paper and its lines. */
  ruled: '#FFFEF9',
  ruling: '#E9E6DA',
  /** Soft lines of the projector view, in the dark. */
  glow: '#9CC3FF',
} as const;
