import type { MeasurementKey } from '@ample/core/pattern';

/** Where the tape lies on the figure: front or back view, and its path. Figure space is 200 × 420. */
interface TapePath {
  readonly view: 'front' | 'back';
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
  hipDepth: { view: 'front', d: 'M134 198Q148 224 152 254' },
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
  sideWaist: { view: 'front', d: 'M141 128Q136 162 133 196' },
  armhole: { view: 'front', d: 'M144 90Q154 112 141 128Q132 110 144 90' },
  upperArm: { view: 'front', d: 'M146 134Q155 139 164 132' },
  wrist: { view: 'front', d: 'M165 240Q171 243 177 239' },
  shoulderToElbow: { view: 'front', d: 'M148 92Q164 130 166 172' },
  shoulderToWrist: { view: 'front', d: 'M148 92Q164 130 166 172Q172 208 174 240' },
  crotchDepth: { view: 'front', d: 'M136 197Q150 230 152 276' },
  crotchLength: { view: 'front', d: 'M100 200V282' },
  thigh: { view: 'front', d: 'M102 300Q126 308 149 298' },
  knee: { view: 'front', d: 'M106 366Q122 371 139 365' },
  skirtLength: { view: 'front', d: 'M136 197Q156 260 146 360' },
  height: { view: 'front', d: 'M188 16V408' },
};

const BODY =
  'M100 14C86 14 80 26 81 40C82 52 88 60 90 64L89 72C84 80 68 84 56 90C46 96 42 112 40 134C36 160 34 176 31 200C28 222 25 238 24 252L33 254C37 238 41 222 45 202C50 180 53 160 58 138C58 148 61 160 64 172C66 182 67 190 66 197C60 214 50 232 48 256C47 288 54 330 58 366C61 388 62 400 62 410H92C93 380 98 330 100 286C102 330 107 380 108 410H138C138 400 139 388 142 366C146 330 153 288 152 256C150 232 140 214 134 197C133 190 134 182 136 172C139 160 142 148 142 138C147 160 150 180 155 202C159 222 163 238 167 254L176 252C175 238 172 222 169 200C166 176 164 160 160 134C158 112 154 96 144 90C132 84 116 80 111 72L110 64C112 60 118 52 119 40C120 26 114 14 100 14Z';

/** A plain line figure with the tape laid where the measurement in hand is taken. */
export function Figure({ of }: { readonly of: MeasurementKey }) {
  const tape = PATHS[of];
  const back = tape?.view === 'back';
  return (
    <figure className="m-0">
      <svg
        viewBox="0 0 200 420"
        className="mx-auto block h-[380px]"
        role="img"
        aria-label={`Figure from the ${back ? 'back' : 'front'} with the tape in place`}
      >
        <path d={BODY} fill="#fff" stroke="#1E2A38" strokeWidth="1.6" strokeLinejoin="round" />
        {back ? (
          <path
            d="M100 72V200M78 104Q72 126 80 146M122 104Q128 126 120 146"
            fill="none"
            stroke="#1E2A38"
            strokeWidth="0.8"
          />
        ) : (
          <path d="M64 146Q78 166 98 150M102 150Q122 166 136 146" fill="none" stroke="#1E2A38" strokeWidth="0.9" />
        )}
        <path d="M66 197Q100 205 134 197" fill="none" stroke="#8C8878" strokeWidth="1" strokeDasharray="3 2" />
        {tape && (
          <>
            <path d={tape.d} fill="none" stroke="#1E2A38" strokeWidth="6" strokeLinecap="round" />
            <path d={tape.d} fill="none" stroke="#F5D76B" strokeWidth="4" strokeLinecap="round" />
          </>
        )}
      </svg>
      <figcaption className="text-center text-sm text-quiet">{back ? 'from the back' : 'from the front'}</figcaption>
    </figure>
  );
}
