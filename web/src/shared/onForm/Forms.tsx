import { useState } from 'react';
import type { Garments } from '../../workers/protocol.ts';
import type { Colouring } from './colours.ts';
import { Drawn } from './Drawn.tsx';
import { Scene } from './Scene.tsx';
import { Turned } from './Turned.tsx';
import type { Hung, Look } from './useDraped.ts';

const canDraw3d = (): boolean => {
  try {
    return document.createElement('canvas').getContext('webgl2') !== null;
  } catch {
    return false;
  }
};

/** Forms side by side, each under its name; without a graphics card the cloth alone, drawn. */
export function Forms({
  look,
  named,
  map,
  turn,
  setTurn,
}: {
  readonly look: Look;
  /** What is shown, and what it is called. */
  readonly named: Readonly<Partial<Record<Garments, string>>>;
  readonly map: Colouring;
  readonly turn: number;
  readonly setTurn: (turn: number) => void;
}) {
  const [solid] = useState(canDraw3d);
  const shown = Object.keys(named) as Garments[];
  const hung = (of: Garments): Hung | undefined => look.cloth[of];
  const figure = look.form?.figure;
  const radians = (turn * Math.PI) / 180;
  return (
    <figure className="m-0 border border-line bg-white">
      <div className="relative h-[520px]">
        {!look.form && <p className="p-4 text-quiet">The form is worked out from the tape …</p>}
        <Turned turn={turn} set={setTurn}>
          {figure && solid && (
            <Scene
              forms={shown.map((of) => hung(of) ?? (of === 'chart' ? null : { figure, shown: null }))}
              map={map}
              turn={radians}
            />
          )}
          {figure && !solid && (
            <div className="grid h-full grid-flow-col">
              {shown.map((of) => {
                const cloth = hung(of)?.shown;
                return cloth ? <Drawn key={of} shown={cloth} map={map} turn={radians} name={named[of] ?? ''} /> : null;
              })}
            </div>
          )}
        </Turned>
      </div>
      <figcaption className="grid auto-cols-fr grid-flow-col border-t border-line py-1 text-center">
        {shown.map((of) => (
          <span key={of}>{named[of]}</span>
        ))}
      </figcaption>
    </figure>
  );
}
