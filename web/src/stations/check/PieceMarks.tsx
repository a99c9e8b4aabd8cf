import type { Draft } from '@ample/core/fitting/plan';
import { angleOf, endOf, sub } from '@ample/core/geometry';
import { dartShape, edgesWithRole, type Piece } from '@ample/core/pattern';
import { cornerAngle, measureDart } from '@ample/core/paper/truing';
import { degrees, TOL } from '@ample/core/units';
import { DART_WORDS, ROLE_WORDS } from '@ample/core/words';
import { Length } from '../../shared/basics.tsx';
import { en } from '@ample/core/speech';

/** Darts, grainline and the corners at the centre of every altered piece. */
export function PieceMarks({ draft }: { readonly draft: Draft }) {
  const altered = draft.pieces.filter((p) => !draft.untouched.includes(p));
  if (altered.length === 0) return null;
  return (
    <table className="card w-full">
      <caption className="px-3 pt-2 text-left font-head font-semibold">
        {en`Darts, grain and centre of the altered pieces`}
      </caption>
      <tbody>
        {altered.flatMap((piece) =>
          rowsOf(piece).map((row, i) => (
            <tr key={`${piece.id} ${row.what}`} className="border-b border-line">
              <th scope="row" className="px-3 py-1.5 text-left font-normal">
                {i === 0 ? piece.name : <span className="sr-only">{piece.name}</span>}
              </th>
              <td className="px-3">{row.what}</td>
              <td className="px-3 text-right">{row.value}</td>
              <td className="px-3 text-right">{row.good ? 'true' : <strong>look</strong>}</td>
            </tr>
          )),
        )}
      </tbody>
    </table>
  );
}

interface Row {
  readonly what: string;
  readonly value: React.ReactNode;
  readonly good: boolean;
}

function rowsOf(piece: Piece): readonly Row[] {
  const darts = piece.darts.map((dart, i): Row => {
    const m = measureDart(dartShape(piece, dart));
    const again = piece.darts.slice(0, i).filter((d) => d.kind === dart.kind).length;
    return {
      what: `${DART_WORDS[dart.kind]}${again > 0 ? ` ${again + 1}` : ''}, both legs`,
      value: <Length value={m.startLeg} />,
      good: Math.abs(m.startLeg - m.endLeg) <= TOL.legs,
    };
  });
  const grain = piece.marks.flatMap((m): readonly Row[] => {
    if (m.kind !== 'grain') return [];
    const off = Math.abs(degrees(angleOf(sub(m.to, m.from)))) % 90;
    const by = Math.min(off, 90 - off);
    return [{ what: 'grainline', value: <span className="num">{by.toFixed(1)}°</span>, good: by <= TOL.squareDegrees }];
  });
  const centre = [...edgesWithRole(piece, 'centreFront'), ...edgesWithRole(piece, 'centreBack')].filter(
    (e) => e.id === piece.fold,
  );
  const corners = centre.flatMap((edge) =>
    (['start', 'end'] as const).map((at): Row => {
      const angle = cornerAngle(piece, edge.id, at);
      const top = (at === 'start') === edge.path.start.y < endOf(edge.path).y;
      const below = edgesWithRole(piece, 'hem').length > 0 ? 'hem' : 'waist';
      return {
        what: `corner at the fold, ${ROLE_WORDS[top ? 'neck' : below]}`,
        value: <span className="num">{angle.toFixed(0)}°</span>,
        good: Math.abs(angle - 90) <= TOL.squareDegrees,
      };
    }),
  );
  return [...darts, ...grain, ...corners];
}
