import { COLOURS } from '@ample/core/out';

/** Brass pin where the paper stays attached. */
export const PinShape = () => (
  <g>
    <line x1="0" y1="0" x2="9" y2="12" stroke={COLOURS.iron} strokeWidth="2" />
    <circle r="7" fill={COLOURS.brass} stroke={COLOURS.brassDark} strokeWidth="1.5" />
    <circle cx="-2" cy="-2.5" r="2" fill={COLOURS.brassLight} />
  </g>
);
/** Pencilled cross of a bust point. */
export const CrossShape = () => (
  <g stroke={COLOURS.pencil} strokeWidth="2.5">
    <line x1="-9" x2="9" y1="0" y2="0" />
    <line x1="0" x2="0" y1="-9" y2="9" />
    <circle r="5" fill={COLOURS.white} fillOpacity="0.9" />
    <circle r="1.5" fill={COLOURS.pencil} />
  </g>
);
/** Arrows across the gap. */
export const GapShape = ({ upright }: { readonly upright?: boolean }) => (
  <g transform={upright ? 'rotate(90)' : undefined}>
    <rect x="-13" y="-10" width="26" height="20" rx="2" fill={COLOURS.insert} stroke={COLOURS.ink} strokeWidth="1.5" />
    <path d="M-9 0H9M-9 0l4-4M-9 0l4 4M9 0l-4-4M9 0l-4 4" stroke={COLOURS.ink} strokeWidth="1.8" fill="none" />
  </g>
);
export const TipShape = () => (
  <path d="M0 -8L8 0L0 8L-8 0Z" fill={COLOURS.white} stroke={COLOURS.carbon} strokeWidth="2.5" />
);
/** Where a dart is to go: a pencilled arrow onto the seam. */
export const TargetShape = () => (
  <g>
    <circle r="10" fill={COLOURS.white} stroke={COLOURS.carbon} strokeWidth="2.5" />
    <path d="M-5 0H5M0 -5V5" stroke={COLOURS.carbon} strokeWidth="2.5" />
  </g>
);
