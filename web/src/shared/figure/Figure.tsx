import type { MeasurementKey } from '@ample/core/pattern';
import { COLOURS } from '@ample/core/out';

export type View = 'front' | 'back' | 'side' | 'seated';

/** Where the tape lies on the figure: the view, and its path. Figure space is 200 × 420. */
interface TapePath {
  readonly view: View;
  readonly d: string;
}
const level = (y: number, half: number, dip = 5): string => `M${100 - half} ${y}Q100 ${y + dip * 2} ${100 + half} ${y}`;

const PATHS: Readonly<Partial<Record<MeasurementKey, TapePath>>> = {
  neck: { view: 'front', d: 'M84 76Q100 90 116 76' },
  highBust: { view: 'front', d: level(116, 41, 3) },
  fullBust: { view: 'front', d: level(140, 44, 4) },
  underbust: { view: 'front', d: level(160, 39, 4) },
  waist: { view: 'front', d: level(196, 33, 3) },
  highHip: { view: 'front', d: level(222, 43, 4) },
  hip: { view: 'front', d: level(254, 52, 5) },
  hipDepth: { view: 'side', d: 'M100 197Q96 226 98 256' },
  shoulder: { view: 'front', d: 'M115 77L144 90' },
  shoulderSlope: { view: 'front', d: 'M115 77H146M144 77V90' },
  crossBack: { view: 'back', d: 'M58 118H142' },
  crossFront: { view: 'front', d: 'M61 112H139' },
  napeToWaist: { view: 'back', d: 'M100 72V196' },
  napeToBustPoint: { view: 'front', d: 'M116 72Q124 100 120 142' },
  napeToFrontWaist: { view: 'front', d: 'M116 72Q124 100 120 142V197' },
  frontWaistLength: { view: 'front', d: 'M100 86V200' },
  neckPointToBustPoint: { view: 'front', d: 'M115 77Q122 105 120 142' },
  bustPointToWaist: { view: 'front', d: 'M120 142V197' },
  bustSpan: { view: 'front', d: 'M80 142H120' },
  napeToUnderarm: { view: 'back', d: 'M100 72V126M58 126H142' },
  sideWaist: { view: 'side', d: 'M99 126V196' },
  armhole: { view: 'front', d: 'M144 90Q154 112 141 128Q132 110 144 90' },
  upperArm: { view: 'front', d: 'M146 134Q155 139 164 132' },
  wrist: { view: 'front', d: 'M165 240Q171 243 177 239' },
  shoulderToElbow: { view: 'front', d: 'M148 92Q164 130 166 172' },
  shoulderToWrist: { view: 'front', d: 'M148 92Q164 130 166 172Q172 208 174 240' },
  crotchDepth: { view: 'seated', d: 'M96 213Q106 256 98 305' },
  crotchLength: { view: 'side', d: 'M117 198Q128 240 116 276Q98 296 78 272Q68 240 88 198' },
  thigh: { view: 'front', d: 'M102 300Q126 308 149 298' },
  knee: { view: 'front', d: 'M106 366Q122 371 139 365' },
  waistToKnee: { view: 'front', d: 'M134 197Q155 232 154 262Q151 320 143 366' },
  outsideLeg: { view: 'front', d: 'M134 197Q155 232 154 262Q150 336 141 398' },
  skirtLength: { view: 'front', d: 'M136 197Q156 260 146 360' },
  height: { view: 'front', d: 'M188 16V408' },
};

const BODY =
  'M100 14C86 14 80 26 81 40C82 52 88 60 90 64L89 72C84 80 68 84 56 90C46 96 42 112 40 134C36 160 34 176 31 200C28 222 25 238 24 252L33 254C37 238 41 222 45 202C50 180 53 160 58 138C58 148 61 160 64 172C66 182 67 190 66 197C60 214 50 232 48 256C47 288 54 330 58 366C61 388 62 400 62 410H92C93 380 98 330 100 286C102 330 107 380 108 410H138C138 400 139 388 142 366C146 330 153 288 152 256C150 232 140 214 134 197C133 190 134 182 136 172C139 160 142 148 142 138C147 160 150 180 155 202C159 222 163 238 167 254L176 252C175 238 172 222 169 200C166 176 164 160 160 134C158 112 154 96 144 90C132 84 116 80 111 72L110 64C112 60 118 52 119 40C120 26 114 14 100 14Z';

const SIDE =
  'M98 14C84 14 78 28 80 44C81 54 86 60 88 64L88 74C80 84 75 104 75 126C76 150 86 176 88 197C86 214 70 234 70 256C71 280 82 300 84 330C84 350 82 366 86 388L88 408L130 408C134 402 120 398 108 394C108 380 114 366 117 346C120 320 126 290 125 262C126 240 126 228 124 218C119 208 116 202 116 194C116 184 118 172 120 164C128 158 132 148 130 140C127 126 118 108 112 92C108 84 106 78 106 72L106 66C112 66 116 62 116 56L120 50L116 42C118 26 112 14 98 14Z';
const ARM =
  'M90 100C84 124 86 152 92 178C96 202 100 222 104 244L114 240C112 218 108 196 106 172C106 150 108 124 106 104';
const SEATED =
  'M92 30C78 30 72 44 74 60C75 70 80 76 82 80L82 90C74 100 69 120 69 142C70 166 80 192 82 213C78 232 64 252 64 276C64 296 74 306 92 306L148 306C150 340 148 370 148 398L147 408L188 408C192 402 180 398 170 394C172 360 178 320 178 290C178 276 170 270 156 270L122 268C116 250 110 222 110 210C110 200 112 188 114 180C122 174 126 164 124 156C121 142 112 124 106 108C102 100 100 94 100 88L100 82C106 82 110 78 110 72L114 66L110 58C112 42 106 30 92 30Z';
const STOOL = 'M56 309H140M68 309V410M128 309V410';

const VIEW_WORDS: Readonly<Record<View, string>> = {
  front: 'from the front',
  back: 'from the back',
  side: 'from the side',
  seated: 'seated, from the side',
};

/** The body of a view with its waist tape, thin lines inside it. */
export function Outline({ view }: { readonly view: View }) {
  const thin = { fill: 'none', stroke: COLOURS.ink, strokeWidth: 0.9 } as const;
  const body = view === 'side' ? SIDE : view === 'seated' ? SEATED : BODY;
  const waist = {
    front: 'M66 197Q100 205 134 197',
    back: 'M66 197Q100 205 134 197',
    side: 'M88 197Q102 201 116 196',
    seated: 'M82 213Q96 217 110 211',
  };
  return (
    <>
      {view === 'seated' && <path d={STOOL} fill="none" stroke={COLOURS.grey} strokeWidth="2.4" />}
      <path d={body} fill={COLOURS.white} stroke={COLOURS.ink} strokeWidth="1.6" strokeLinejoin="round" />
      {view === 'back' && <path d="M100 72V200M78 104Q72 126 80 146M122 104Q128 126 120 146" {...thin} />}
      {view === 'front' && <path d="M64 146Q78 166 98 150M102 150Q122 166 136 146" {...thin} />}
      {view === 'side' && <path d={ARM} {...thin} />}
      <path d={waist[view]} fill="none" stroke={COLOURS.grey} strokeWidth="1" strokeDasharray="3 2" />
    </>
  );
}

/** A plain line figure with the tape laid where the measurement in hand is taken. */
export function Figure({ of, height = 'h-[340px]' }: { readonly of: MeasurementKey; readonly height?: string }) {
  const tape = PATHS[of];
  const view = tape?.view ?? 'front';
  return (
    <figure className="m-0">
      <svg
        viewBox="0 0 200 420"
        className={`mx-auto block ${height}`}
        role="img"
        aria-label={`Figure ${VIEW_WORDS[view]} with the tape in place`}
      >
        <Outline view={view} />
        {tape && (
          <>
            <path d={tape.d} fill="none" stroke={COLOURS.ink} strokeWidth="6" strokeLinecap="round" />
            <path d={tape.d} fill="none" stroke={COLOURS.tape} strokeWidth="4" strokeLinecap="round" />
          </>
        )}
      </svg>
      <figcaption className="text-center text-sm text-quiet">{VIEW_WORDS[view]}</figcaption>
    </figure>
  );
}

/** Numbers beside their tapes, none over another: at the first place along the path that is free. */
function numbered<T extends { readonly d: string }>(tapes: readonly T[]): readonly (T & { x: number; y: number })[] {
  const taken: { x: number; y: number }[] = [];
  const free = (p: { x: number; y: number }): boolean =>
    taken.every((q) => Math.abs(q.x - p.x) > 17 || Math.abs(q.y - p.y) > 13);
  return tapes.map((t) => {
    const numbers = [...t.d.matchAll(/-?[\d.]+/g)].map((m) => Number(m[0]));
    // An H or V names one coordinate only: such paths are read from their first point.
    const pairs = /[HV]/.test(t.d) ? numbers.slice(0, 2) : numbers;
    const along = pairs.flatMap((x, i) =>
      i % 2 === 0 && pairs[i + 1] !== undefined ? [{ x, y: pairs[i + 1] ?? 0 }] : [],
    );
    const around = along.flatMap((p) => [
      { x: p.x - 9, y: p.y - 2 },
      { x: p.x + 11, y: p.y - 2 },
      { x: p.x - 9, y: p.y + 12 },
      { x: p.x + 11, y: p.y + 12 },
      { x: p.x, y: p.y - 16 },
      { x: p.x + 26, y: p.y - 6 },
      { x: p.x + 42, y: p.y - 8 },
    ]);
    const at = around.find(free) ?? around[0] ?? { x: 0, y: 0 };
    taken.push(at);
    return { ...t, ...at };
  });
}

/** A view with every tape that is laid on it, numbered: for the printed sheet. */
export function NumberedFigure({ view, keys }: { readonly view: View; readonly keys: readonly MeasurementKey[] }) {
  const here = keys.flatMap((key, i) => {
    const tape = PATHS[key];
    return tape?.view === view ? [{ key, n: i + 1, d: tape.d }] : [];
  });
  if (here.length === 0) return null;
  return (
    <figure className="m-0 w-[234px] print:w-[43mm]">
      <svg viewBox="0 0 200 420" className="block w-full" role="img" aria-label={`Figure ${VIEW_WORDS[view]}`}>
        <Outline view={view} />
        {numbered(here).map((t) => {
          const { x, y } = t;
          return (
            <g key={t.key}>
              <path d={t.d} fill="none" stroke={COLOURS.pencil} strokeWidth="1.6" />
              <text
                x={x}
                y={y}
                fontSize="13"
                textAnchor="middle"
                fill={COLOURS.ink}
                stroke={COLOURS.white}
                strokeWidth="3"
                paintOrder="stroke"
              >
                {t.n}
              </text>
            </g>
          );
        })}
      </svg>
      <figcaption className="text-center text-sm">{VIEW_WORDS[view]}</figcaption>
    </figure>
  );
}
