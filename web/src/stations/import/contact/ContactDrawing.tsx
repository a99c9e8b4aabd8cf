import { COLOURS, drawPiece, pathData } from '@ample/core/out';
import { pathLength, pointAt } from '@ample/core/geometry';
import { edgesWithRole, requireEdge, type EdgeRole, type Piece } from '@ample/core/pattern';
import { ROLE_WORDS } from '@ample/core/words';

/** A piece as it was read: cutting and seam line, darts, notches, grain, and what each edge was taken for. */
export function ContactDrawing({ piece }: { readonly piece: Piece }) {
  const d = drawPiece(piece);
  const { minX, minY, maxX, maxY } = d.bounds;
  const [wide, high] = [maxX - minX, maxY - minY];
  // The box is drawn 230 by 250 pixels at most: letters keep their size whatever the piece measures.
  const mm = Math.max(wide / 230, high / 250);
  const line = { vectorEffect: 'non-scaling-stroke' as const, fill: 'none' };
  const roles = [...new Set(piece.edges.map((e) => e.role))].filter((r) => r !== 'dart' && r !== 'other');
  return (
    <svg
      viewBox={`${minX - 45 * mm} ${minY - 12 * mm} ${wide + 90 * mm} ${high + 24 * mm}`}
      className="h-[250px] w-full"
      role="img"
      aria-label={piece.name}
    >
      <path
        d={pathData(d.cutting, true)}
        fill={COLOURS.tissue}
        stroke={COLOURS.ink}
        vectorEffect="non-scaling-stroke"
      />
      <path d={pathData(d.seam, true)} stroke={COLOURS.carbon} {...line} />
      {piece.fold !== null && (
        <path
          d={pathData(requireEdge(piece, piece.fold).path)}
          stroke={COLOURS.ink}
          strokeWidth={3}
          strokeDasharray="12 4 3 4"
          {...line}
        />
      )}
      {d.darts.map((t) => (
        <path key={t.id} d={pathData(t.legs)} stroke={COLOURS.carbon} strokeWidth={1.5} {...line} />
      ))}
      {[...d.notches.flatMap((n) => n.lines), ...d.grain].map(([a, b], i) => (
        <path key={i} d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke={COLOURS.ink} strokeWidth={1.5} {...line} />
      ))}
      {roles.map((role) => (
        <RoleName key={role} piece={piece} role={role} size={17 * mm} />
      ))}
    </svg>
  );
}

/** The name of an edge at the middle of its longest bit. */
function RoleName({ piece, role, size }: { readonly piece: Piece; readonly role: EdgeRole; readonly size: number }) {
  const longest = [...edgesWithRole(piece, role)].sort((a, b) => pathLength(b.path) - pathLength(a.path))[0];
  if (!longest) return null;
  const at = pointAt(longest.path, pathLength(longest.path) / 2);
  return (
    <text
      x={at.x}
      y={at.y}
      fontSize={size}
      textAnchor="middle"
      dominantBaseline="middle"
      stroke={COLOURS.white}
      strokeWidth={size / 4}
      paintOrder="stroke"
      fill={COLOURS.ink}
    >
      {ROLE_WORDS[role]}
    </text>
  );
}
