import type { ReactNode } from 'react';
import { COLOURS } from '@ample/core/out';

export type Shown = 'size' | 'compare' | 'plan' | 'table' | 'check';

/** What a station will show, faintly, with the words that say so. */
export function Example({ of }: { readonly of: Shown }) {
  const Picture = PICTURES[of];
  return (
    <figure className="mt-5">
      <figcaption className="mb-2 text-quiet">{EXAMPLE_WORDS[of]}</figcaption>
      <div className="pointer-events-none border border-line bg-white p-4 opacity-45 select-none" aria-hidden="true">
        <Picture />
      </div>
    </figure>
  );
}

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
        <text y="-8" fontSize="16">
          {name}
        </text>
        <path d="M0 6H820" stroke={COLOURS.ink} />
        {[2, 3, 4, 5, 6].map((size, k) => (
          <g key={size} transform={`translate(${80 + k * 165} 6)`}>
            <path d="M0 -7V7" stroke={COLOURS.ink} strokeWidth="2" />
            <text x="6" y="-8" fontSize="16" fill={COLOURS.quiet}>
              {size}
            </text>
          </g>
        ))}
        <circle cx={[405, 440, 520][i]} cy="6" r="6" fill={COLOURS.pencil} />
      </g>
    ))}
    <path d="M450 34L450 82L615 130" stroke={COLOURS.carbon} strokeWidth="5" strokeOpacity="0.4" fill="none" />
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
        <text y="-10" fontSize="16">
          {i === 0 ? 'Front, side seam 21.4 cm' : 'Back, side seam 21.5 cm'}
        </text>
      </g>
    ))}
  </svg>
);

const PICTURES: Readonly<Record<Shown, () => ReactNode>> = {
  size: Sizes,
  compare: Comparing,
  plan: Planning,
  table: Mat,
  check: Walking,
};

/** What each example is said to be. */
const EXAMPLE_WORDS: Readonly<Record<Shown, string>> = {
  size: 'This is how it will look: every measurement as a rule, the pattern’s sizes on it, and the wearer between them.',
  compare: 'This is how it will look: body, ease and pattern beside each other, and what they differ by.',
  plan: 'This is how it will look: the alterations worth making, in their order, with their amounts.',
  table: 'This is how it will look: your pieces on the cutting mat, and each alteration carried out stage by stage.',
  check: 'This is how it will look: seams that are sewn to each other, laid side by side.',
};
