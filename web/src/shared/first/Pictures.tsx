import type { ReactNode } from 'react';
import { COLOURS } from '@ample/core/out';

/** Places that have a picture of what is done there. */
export type Pictured =
  'rail' | 'body' | 'pattern' | 'size' | 'compare' | 'plan' | 'table' | 'check' | 'toile' | 'print' | 'practice';

const Table = ({ head, rows }: { readonly head: readonly string[]; readonly rows: readonly (readonly string[])[] }) => (
  <table className="w-full">
    <thead>
      <tr className="border-b border-ink text-left text-sm">
        {head.map((h) => (
          <th key={h} className="px-3 py-1 font-normal">
            {h}
          </th>
        ))}
      </tr>
    </thead>
    <tbody>
      {rows.map((row) => (
        <tr key={row[0]} className="border-b border-line">
          {row.map((cell, i) => (
            <td key={i} className={`px-3 py-1.5 ${i > 0 ? 'num' : ''}`}>
              {cell}
            </td>
          ))}
        </tr>
      ))}
    </tbody>
  </table>
);

const Sizes = () => (
  <svg viewBox="0 0 900 150" className="w-full">
    {['High bust', 'Waist', 'Hip'].map((name, i) => (
      <g key={name} transform={`translate(40 ${i * 48 + 28})`}>
        <text y="-8" fontSize="25">
          {name}
        </text>
        <path d="M0 6H820" stroke={COLOURS.ink} />
        {[2, 3, 4, 5, 6].map((size, k) => (
          <g key={size} transform={`translate(${150 + k * 150} 6)`}>
            <path d="M0 -7V7" stroke={COLOURS.ink} strokeWidth="2" />
            <text x="6" y="-6" fontSize="25" fill={COLOURS.quiet}>
              {size}
            </text>
          </g>
        ))}
        <circle cx={[438, 480, 560][i]} cy="6" r="6" fill={COLOURS.pencil} />
      </g>
    ))}
    <path d="M490 34L490 82L640 130" stroke={COLOURS.carbon} strokeWidth="5" strokeOpacity="0.4" fill="none" />
  </svg>
);

const Comparing = () => (
  <Table
    head={['', 'Body', 'Ease', 'Pattern', 'Difference']}
    rows={[
      ['Full bust', '96.8', '5.0', '95.4', '+6.4'],
      ['Waist', '75.1', '3.0', '78.0', 'fits'],
      ['Nape to waist', '38.6', '0.5', '40.3', '−1.2'],
    ]}
  />
);

const Planning = () => (
  <ol className="space-y-2">
    {[
      ['1', 'Shorter', '−1.2 cm between bust and waist'],
      ['2', 'Full bust, with a side dart', '+6.0 cm over the whole front'],
    ].map(([n, name, amount]) => (
      <li key={n} className="border border-line bg-tissue px-4 py-2">
        <span className="num mr-3">{n}</span>
        <strong>{name}</strong> <span className="num ml-4">{amount}</span>
      </li>
    ))}
  </ol>
);

const Mat = () => (
  <svg viewBox="0 0 900 260" className="w-full">
    <rect width="900" height="260" fill={COLOURS.mat} />
    <g stroke={COLOURS.ink} strokeWidth="2" fill={COLOURS.tissue}>
      <path d="M90 60Q118 58 132 30L228 58Q204 112 262 120L254 236H90Z" />
      <path d="M420 40Q448 42 470 26L556 54Q534 112 590 118L582 236H420Z" />
    </g>
    <path
      d="M180 236V140L218 100M180 140L258 150"
      stroke={COLOURS.pencil}
      strokeWidth="2.5"
      strokeDasharray="9 5"
      fill="none"
    />
    <circle cx="218" cy="100" r="7" fill={COLOURS.brass} stroke={COLOURS.brassDark} />
  </svg>
);

const Walking = () => (
  <svg viewBox="0 0 900 110" className="w-full">
    {[0, 1].map((i) => (
      <g key={i} transform={`translate(40 ${38 + i * 44})`}>
        <path d={`M0 0H${780 + i * 6}`} stroke={COLOURS.carbon} strokeWidth="4" />
        <path d="M300 -8V8" stroke={COLOURS.ink} strokeWidth="3" />
        <text y="-10" fontSize="25">
          {i === 0 ? 'Front, side seam 21.4 cm' : 'Back, side seam 21.5 cm'}
        </text>
      </g>
    ))}
  </svg>
);

const tag = 'M12 6h76l12 12v62H0V18Z';
const Rail = () => (
  <svg viewBox="0 0 900 130" className="w-full">
    <path d="M0 12H900" stroke={COLOURS.grey} strokeWidth="7" />
    {[90, 400, 710].map((x, i) => (
      <g key={x} transform={`translate(${x} 30)`}>
        <path d="M50 -14V8" stroke={COLOURS.quiet} strokeWidth="2" />
        <path d={tag} fill={i === 2 ? COLOURS.ruled : COLOURS.tissue} stroke={COLOURS.ink} strokeWidth="1.5" />
        <path d="M14 34H72M14 50H56" stroke={COLOURS.ink} strokeWidth="3" />
      </g>
    ))}
  </svg>
);

const torso = 'M58 8Q70 16 82 8L112 22L106 60Q98 78 104 96Q114 116 116 140H24Q26 116 36 96Q42 78 34 60L28 22Z';
const Body = () => (
  <svg viewBox="0 0 900 150" className="w-full">
    <g transform="translate(120 4)">
      <path d={torso} fill="none" stroke={COLOURS.ink} strokeWidth="2" />
      <path d="M32 48Q70 62 108 48" stroke={COLOURS.pencil} strokeWidth="3" fill="none" />
    </g>
    {['High bust', 'Full bust', 'Waist'].map((name, i) => (
      <g key={name} transform={`translate(340 ${34 + i * 42})`}>
        <text fontSize="25">{name}</text>
        <rect x="150" y="-22" width="90" height="32" fill="none" stroke={COLOURS.grey} />
        <rect x="256" y="-22" width="90" height="32" fill="none" stroke={COLOURS.grey} />
      </g>
    ))}
  </svg>
);

const Pieces = () => (
  <svg viewBox="0 0 900 150" className="w-full">
    <g stroke={COLOURS.ink} strokeWidth="1.6" fill={COLOURS.tissue}>
      <path d="M60 20Q78 18 88 4L152 22Q136 60 176 64L170 140H60Z" />
      <path d="M230 8Q248 10 262 2L318 20Q304 58 340 62L336 140H230Z" />
      <path d="M400 70Q440 4 490 4Q540 4 580 70L560 140H420Z" />
    </g>
    <g stroke={COLOURS.line} strokeWidth="1.5">
      {[20, 50, 80, 110, 140].map((y) => (
        <path key={y} d={`M660 ${y}H860`} />
      ))}
      {[660, 726, 792, 860].map((x) => (
        <path key={x} d={`M${x} 20V140`} />
      ))}
    </g>
  </svg>
);

const Fitting = () => (
  <svg viewBox="0 0 900 150" className="w-full">
    <g transform="translate(160 4)">
      <path d={torso} fill={COLOURS.tissue} stroke={COLOURS.ink} strokeWidth="2" />
      <path d="M58 52L34 66M60 60L36 74M82 52L106 66M80 60L104 74" stroke={COLOURS.pencil} strokeWidth="2.5" />
    </g>
    <text x="380" y="50" fontSize="25">
      1 Drag lines from the bust to the side
    </text>
    <text x="380" y="86" fontSize="25" fill={COLOURS.quiet}>
      Likely: a fuller bust than the draft
    </text>
  </svg>
);

const Pages = () => (
  <svg viewBox="0 0 900 160" className="w-full">
    {[0, 1].flatMap((r) =>
      [0, 1, 2, 3].map((c) => (
        <rect
          key={`${r}${c}`}
          x={250 + c * 104}
          y={4 + r * 76}
          width="104"
          height="76"
          fill="none"
          stroke={COLOURS.grey}
          strokeDasharray="4 3"
        />
      )),
    )}
    <path
      d="M280 20Q318 18 340 10L470 30Q440 80 520 86L510 140H280Z"
      fill={COLOURS.tissue}
      stroke={COLOURS.ink}
      strokeWidth="1.6"
    />
    <rect x="596" y="92" width="44" height="44" fill="none" stroke={COLOURS.ink} strokeWidth="2" />
  </svg>
);

const PICTURES: Readonly<Record<Pictured, () => ReactNode>> = {
  rail: Rail,
  body: Body,
  pattern: Pieces,
  size: Sizes,
  compare: Comparing,
  plan: Planning,
  table: Mat,
  check: Walking,
  toile: Fitting,
  print: Pages,
  practice: Mat,
};

/** A small drawing of what is done at a place. */
export function Picture({ of }: { readonly of: Pictured }) {
  const Drawing = PICTURES[of];
  return <Drawing />;
}
