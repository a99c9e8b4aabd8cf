import { sayAmount } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';
import { Radio } from '../../ui/Radio.tsx';
import { cssOf, SCALES, shadeOf, type Colouring } from './colours.ts';
import { SIDES } from './Turned.tsx';

/** From which side the form is looked at, and what its cloth is coloured by. */
export function LookAt({
  turn,
  setTurn,
  map,
  setMap,
}: {
  readonly turn: number;
  readonly setTurn: (turn: number) => void;
  readonly map: Colouring;
  readonly setMap: (map: Colouring) => void;
}) {
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {SIDES.map(([name, at]) => (
          <button
            key={name}
            className={`btn ${turn === at ? 'bg-ink text-white' : ''}`}
            aria-pressed={turn === at}
            onClick={() => setTurn(at)}
          >
            {name}
          </button>
        ))}
        <fieldset className="ml-auto flex flex-wrap items-center gap-3">
          <legend className="sr-only">Colour the cloth by</legend>
          <Radio name="map" on={map === 'cloth'} set={() => setMap('cloth')}>
            Cloth
          </Radio>
          <Radio name="map" on={map === 'pull'} set={() => setMap('pull')}>
            Pull
          </Radio>
          <Radio name="map" on={map === 'standOff'} set={() => setMap('standOff')}>
            Off the body
          </Radio>
        </fieldset>
      </div>
      {map !== 'cloth' && <Scale map={map} />}
    </>
  );
}

/** What the shades of a map mean. */
function Scale({ map }: { readonly map: 'pull' | 'standOff' }) {
  const units = useUnits();
  const { steps, unit } = SCALES[map];
  return (
    <div className="mt-2 flex items-center gap-1" aria-label="Scale">
      {steps.map((value) => (
        <span
          key={value}
          className="flex h-10 w-24 items-end justify-center border border-line"
          style={{ background: cssOf(shadeOf(map, value)), color: value > steps[2] ? 'white' : 'black' }}
        >
          {value === SCALES[map].most && map === 'standOff' ? '≥ ' : ''}
          {sayAmount({ unit }, value, units)}
        </span>
      ))}
      <span className="ml-2">
        {map === 'pull' ? 'how hard the cloth is pulled; strokes are drag lines' : 'from the body to the cloth'}
      </span>
    </div>
  );
}
