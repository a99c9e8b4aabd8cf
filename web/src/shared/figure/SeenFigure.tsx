import type { PointerEvent } from 'react';
import { isProfile, symptomOf, type View } from '@ample/core/fitting/fit';
import type { Worn } from '@ample/core/pattern';
import type { Point } from '@ample/core/geometry';
import type { Observation } from '@ample/core/documents';
import { SYMPTOM_WORDS, VIEW_WORDS } from '@ample/core/words';
import { Outline } from './Figure.tsx';
import { COLOURS } from '@ample/core/out';

/** A plain garment over the figure, so that users point at cloth: bodice, short sleeves, skirt. */
const GARMENT: Readonly<Record<Exclude<View, 'seated'>, string>> = {
  front:
    'M85 77Q100 100 115 77L146 91L167 150L149 156L141 132Q139 170 134 197Q152 232 154 262L158 338H42L46 262Q48 232 66 197Q61 170 59 132L51 156L33 150L54 91Z',
  back: 'M86 75Q100 82 114 75L146 91L167 150L149 156L141 132Q139 170 134 197Q152 232 154 262L158 338H42L46 262Q48 232 66 197Q61 170 59 132L51 156L33 150L54 91Z',
  side: 'M87 76Q98 82 107 74Q124 104 131 130Q134 150 117 197Q128 226 128 262L132 338H66L68 258Q70 230 87 197Q74 160 73 126Q73 96 87 76Z',
};

/** Trousers over the figure, from the waist to the ankles. */
const TROUSERS: Readonly<Record<View, string>> = {
  front: 'M66 196Q100 204 134 196Q152 232 154 262L146 396H106L100 292L94 396H54L46 262Q48 232 66 196Z',
  back: 'M66 196Q100 202 134 196Q152 232 154 262L146 396H106L100 296L94 396H54L46 262Q48 232 66 196Z',
  side: 'M87 197Q102 203 117 197Q128 226 128 262Q126 300 118 340L116 396H80L82 330Q68 290 68 258Q70 230 87 197Z',
  seated:
    'M81 213Q96 218 111 211Q116 244 124 265L158 267Q181 271 181 291Q181 330 176 392H146Q147 350 146 309L92 309Q70 309 61 278Q60 252 76 232Z',
};

/** Figure of a view, seen as one looks at it: the wearer's left is on the right from the front, on the left from behind. */
const leftIsRight = (view: View): boolean => view !== 'back';
export const sideAt = (view: View, x: number): 'left' | 'right' => (x >= 100 === leftIsRight(view) ? 'left' : 'right');

/** Where a mark is drawn: on both sides, or on the one it was seen on. What sits on the middle is drawn once. */
export function placesOf({ at, side, view }: Pick<Observation, 'at' | 'side' | 'view'>): readonly Point[] {
  const over = { x: 200 - at.x, y: at.y };
  if (isProfile(view) || Math.abs(at.x - 100) < 8) return [at];
  if (side === 'both') return [at, over];
  return [sideAt(view, at.x) === side ? at : over];
}

interface Props {
  readonly view: View;
  /** What is worn on it; left out, a bodice and skirt. */
  readonly worn?: Worn;
  readonly observations: readonly (Observation & { readonly number: number })[];
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
  /** A place of the figure was pointed at. */
  readonly onPoint?: (at: Point) => void;
  readonly height?: string;
}

/** The figure with what was seen drawn where it was seen: each kind has a sign of its own, and its number in the list. */
export function SeenFigure({ view, worn, observations, chosen, onChoose, onPoint, height = 'h-[430px]' }: Props) {
  const point = (e: PointerEvent<SVGSVGElement>): void => {
    const box = e.currentTarget.getBoundingClientRect();
    const k = Math.min(box.width / 200, box.height / 420);
    const x = (e.clientX - box.left - (box.width - 200 * k) / 2) / k;
    const y = (e.clientY - box.top - (box.height - 420 * k) / 2) / k;
    if (x >= 0 && x <= 200 && y >= 0 && y <= 420) onPoint?.({ x: Math.round(x), y: Math.round(y) });
  };
  const here = observations.filter((o) => o.view === view);
  return (
    <svg
      viewBox="0 0 200 420"
      className={`mx-auto block ${height} max-w-full touch-manipulation ${onPoint ? 'cursor-crosshair' : ''}`}
      role="img"
      aria-label={`${VIEW_WORDS[view]}: ${here.length === 0 ? 'nothing noted' : here.map((o) => `${o.number} ${SYMPTOM_WORDS[o.sign].name}`).join('; ')}`}
      onPointerUp={point}
    >
      <Outline view={view} />
      <path
        d={worn === 'trousers' || view === 'seated' ? TROUSERS[view] : GARMENT[view]}
        fill={COLOURS.tissue}
        fillOpacity="0.92"
        stroke={COLOURS.grey}
        strokeWidth="1"
      />
      {!isProfile(view) && <path d="M66 197Q100 204 134 197" fill="none" stroke={COLOURS.grey} strokeDasharray="3 2" />}
      {here.flatMap((o) =>
        placesOf(o).map((at, i) => (
          <Mark
            key={`${o.id}${i}`}
            observation={o}
            at={at}
            chosen={chosen === o.id}
            named={i === 0}
            onChoose={onChoose}
          />
        )),
      )}
    </svg>
  );
}

function Mark({
  observation: o,
  at,
  chosen,
  named,
  onChoose,
}: {
  readonly observation: Observation & { readonly number: number };
  readonly at: Point;
  readonly chosen: boolean;
  readonly named: boolean;
  readonly onChoose: (id: string) => void;
}) {
  const { kind, lie } = symptomOf(o.sign);
  const turn = lie === 'down' ? 90 : lie === 'slanting' ? (at.x > 100 ? 38 : -38) : 0;
  const pen = {
    fill: 'none',
    stroke: COLOURS.pencil,
    strokeWidth: chosen ? 2.6 : 1.7,
    strokeLinecap: 'round',
  } as const;
  // Neighbours put their numbers on different sides.
  const outward = at.x >= 100 ? 18 : -18;
  const label = o.number % 2 === 1 ? outward : -outward;
  return (
    <g
      transform={`translate(${at.x} ${at.y})`}
      className="cursor-pointer"
      onPointerUp={(e) => {
        e.stopPropagation();
        onChoose(o.id);
      }}
    >
      <circle r="13" fill="transparent" />
      <path d={GLYPH[kind]} transform={`rotate(${turn})`} {...pen} />
      {named && (
        <>
          <circle
            cx={label}
            cy="-9"
            r="11.5"
            fill={chosen ? COLOURS.ink : COLOURS.white}
            stroke={COLOURS.ink}
            strokeWidth="0.8"
          />
          <text
            x={label}
            y="-3"
            fontSize="18.5"
            textAnchor="middle"
            fill={chosen ? COLOURS.white : COLOURS.ink}
            className="num"
          >
            {o.number}
          </text>
        </>
      )}
    </g>
  );
}

/** One drawn sign for each kind: drag lines, a fold, a gape, arrows apart, waves, a seam, a level, a dart. */
const GLYPH: Readonly<Record<ReturnType<typeof symptomOf>['kind'], string>> = {
  pull: 'M-9 -4L9 -2M-9 0L10 1M-9 4L9 4',
  fold: 'M-10 0Q-7 -4 -4 0T2 0T8 0M-8 5Q-5 1 -2 5T4 5T9 5',
  gape: 'M-7 -5Q0 6 7 -5M-7 -5L7 -5',
  tight: 'M-2 0H-10M-7 -3L-10 0L-7 3M2 0H10M7 -3L10 0L7 3',
  loose: 'M-10 -3Q-6 3 -2 -3T6 -3M-8 4Q-4 9 0 4T8 4',
  seam: 'M-10 0H-6M-3 0H1M4 0H8M-5 5L0 9L5 5',
  level: 'M-10 4H10M0 2V-8M-3 -5L0 -8L3 -5',
  dart: 'M-9 -4L7 0L-9 4M7 -4L11 0L7 4',
};
