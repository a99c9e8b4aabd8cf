import type { Walk, WalkedSide } from '@ample/core/paper/truing';
import { formatLength, TOL } from '@ample/core/units';
import { SEAM_WORDS } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';
import { useWidth } from '../../lib/useWidth.ts';
import { COLOURS } from '@ample/core/out';

/** Two sewn edges drawn straight, one under the other: notches, darts closed, difference, and the corners across the seam. */
export function WalkView({ walk, nameOf }: { readonly walk: Walk; readonly nameOf: (id: string) => string }) {
  const { unit, fraction } = useUnits();
  const sums = [0, 1].map((k) => (walk.first.corners[k] ?? 0) + (walk.second.corners[k] ?? 0));
  const cornered = walk.seam.kind === 'shoulder' || walk.seam.kind === 'side';
  const good = Math.abs(walk.difference) <= (walk.seam.kind === 'princess' ? TOL.princess : TOL.seam);
  const longest = Math.max(walk.first.length, walk.second.length);
  const [room, width] = useWidth(720);
  const x = (v: number) => 20 + (v / longest) * (width - 40);
  const say = (v: number, sign = false) =>
    formatLength(v, unit, { fraction: unit === 'in' ? 16 : fraction, digits: 1, sign });
  const side = (s: WalkedSide, y: number, up: boolean) => (
    <SeamStrip along={x} side={s} y={y} up={up} nameOf={nameOf} longest={longest} say={say} />
  );
  return (
    <figure className="card m-0 p-4">
      <figcaption className="flex items-baseline justify-between gap-4">
        <h2>{SEAM_WORDS[walk.seam.kind] ?? 'Seam'}</h2>
        <span>
          {good ? 'they meet' : 'they differ'} · difference <span className="num">{say(walk.difference, true)}</span>
          {walk.seam.ease !== 0 && (
            <>
              {' '}
              · eased in <span className="num">{say(walk.seam.ease)}</span>
            </>
          )}
        </span>
      </figcaption>
      <svg
        ref={room}
        viewBox={`0 0 ${width} 164`}
        height={164}
        className="mt-1 block w-full"
        role="img"
        aria-label={`${nameOf(walk.first.piece)} ${say(walk.first.length)}, ${nameOf(walk.second.piece)} ${say(walk.second.length)}`}
      >
        {side(walk.first, 68, true)}
        {side(walk.second, 96, false)}
      </svg>
      {cornered && (
        <p className="text-sm text-quiet">
          Corners across the seam: <span className="num">{sums[0]?.toFixed(0)}°</span> where it begins,{' '}
          <span className="num">{sums[1]?.toFixed(0)}°</span> where it ends (180° runs on smoothly).
        </p>
      )}
    </figure>
  );
}

function SeamStrip({
  along,
  side,
  y,
  up,
  nameOf,
  longest,
  say,
}: {
  readonly along: (v: number) => number;
  readonly side: WalkedSide;
  readonly y: number;
  readonly up: boolean;
  readonly nameOf: (id: string) => string;
  readonly longest: number;
  readonly say: (v: number, sign?: boolean) => string;
}) {
  return (
    <g>
      <line x1={along(0)} x2={along(side.length)} y1={y} y2={y} stroke={COLOURS.carbon} strokeWidth="5" />
      {[0, side.length].map((v) => (
        <line key={v} x1={along(v)} x2={along(v)} y1={y - 9} y2={y + 9} stroke={COLOURS.carbon} strokeWidth="2" />
      ))}
      {side.joints.map((v) => (
        <g key={v}>
          <line
            x1={along(v)}
            x2={along(v)}
            y1={y - 8}
            y2={y + 8}
            stroke={COLOURS.ink}
            strokeDasharray="3 2"
            strokeWidth="1.5"
          />
          <text x={along(v) + 6} y={up ? y - 12 : y + 24} fontSize="15" fill={COLOURS.ink}>
            dart, closed
          </text>
        </g>
      ))}
      {side.notches.map((n) => (
        <path key={n.id} d={`M${along(n.at) - 6} ${up ? y - 10 : y + 10}h12L${along(n.at)} ${y}z`} fill={COLOURS.ink} />
      ))}
      <text x={along(0)} y={up ? y - 32 : y + 46} fontSize="16" fill={COLOURS.ink}>
        {nameOf(side.piece)}
      </text>
      <text
        x={along(longest)}
        y={up ? y - 32 : y + 46}
        fontSize="16"
        className="num"
        textAnchor="end"
        fill={COLOURS.ink}
      >
        {say(side.length)}
      </text>
    </g>
  );
}
