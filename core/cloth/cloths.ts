/**
 * What cloth is made of, for a computation: middling values of each sort. Stiffness is force per width: 2000 N/m means that a
 * strip 1 m wide, pulled with 20 N, grows by 1 %.
 */
export interface Cloth {
  readonly id: ClothId;
  /** kg/m². */
  readonly mass: number;
  /** Along the grain and across it, N/m. */
  readonly along: number;
  readonly across: number;
  /** Against being pulled askew, N/m. */
  readonly shear: number;
  /** Against being bent: the moment per width and curvature, N·m. */
  readonly bending: number;
}

export const CLOTH_IDS = ['calico', 'light', 'heavy', 'denim', 'drapey', 'stableJersey', 'stretchJersey'] as const;
export type ClothId = (typeof CLOTH_IDS)[number];

/** Cloth to choose from; calico is what a toile is sewn from. */
export const CLOTHS: Readonly<Record<ClothId, Cloth>> = {
  calico: { id: 'calico', mass: 0.15, along: 2000, across: 2000, shear: 40, bending: 15e-6 },
  light: { id: 'light', mass: 0.1, along: 1500, across: 1200, shear: 30, bending: 6e-6 },
  heavy: { id: 'heavy', mass: 0.25, along: 3500, across: 3000, shear: 60, bending: 30e-6 },
  denim: { id: 'denim', mass: 0.35, along: 5000, across: 4000, shear: 80, bending: 60e-6 },
  drapey: { id: 'drapey', mass: 0.12, along: 1000, across: 1000, shear: 20, bending: 2e-6 },
  stableJersey: { id: 'stableJersey', mass: 0.28, along: 600, across: 500, shear: 200, bending: 10e-6 },
  stretchJersey: { id: 'stretchJersey', mass: 0.2, along: 200, across: 100, shear: 60, bending: 4e-6 },
};

/** What a toile of a pattern is sewn from unless one chooses otherwise: calico, or a knit where it was drafted for one. */
export const usualCloth = ({ kind }: { readonly kind: 'woven' | 'knit' }): ClothId =>
  kind === 'knit' ? 'stableJersey' : 'calico';
