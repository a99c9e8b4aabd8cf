import { useRef, useState } from 'react';
import { CLOTH_IDS, usualCloth, type ClothId } from '@ample/core/cloth';
import type { Fineness, ReadingId } from '@ample/core/drape';
import type { Side } from '@ample/core/fitting/onForm';
import { setInSleeves } from '@ample/core/sew';
import type { Draft } from '@ample/core/fitting/plan';
import { CLOTH_WORDS, onFormIs, sayAmount, sayRefusal, stepName } from '@ample/core/words';
import { Notice } from '../../../shared/basics.tsx';
import { resolvedJob } from '../../../store/draftWorker.ts';
import { useUnits } from '../../../store/prefs.ts';
import { Check } from '../../../ui/Check.tsx';
import { Radio } from '../../../ui/Radio.tsx';
import { Select } from '../../../ui/Select.tsx';
import { cssOf, SCALES, shadeOf, type Colouring } from './colours.ts';
import { Drawn } from './Drawn.tsx';
import { Keep } from './Keep.tsx';
import { ReadingsTable, sideOf, Signs } from './ReadingsTable.tsx';
import { Scene } from './Scene.tsx';
import { StepsTable } from './StepsTable.tsx';
import { SIDES, Turned } from './Turned.tsx';
import { useDraped, type Hung, type Look } from './useDraped.ts';

const canDraw3d = (): boolean => {
  try {
    return document.createElement('canvas').getContext('webgl2') !== null;
  } catch {
    return false;
  }
};

/** The garment on a form of the wearer’s own measure before it is sewn: as drafted beside as planned, and what is read off both. */
export function OnForm({
  id,
  draft,
  onKept,
}: {
  readonly id: string;
  readonly draft: Draft | null;
  readonly onKept: (fitting: string) => void;
}) {
  const units = useUnits();
  const [chosen, setCloth] = useState<ClothId | null>(null);
  const [fineness, setFineness] = useState<Fineness>('coarse');
  const [side, setSide] = useState<Side>('left');
  const [sleeves, setSleeves] = useState(false);
  const [off, setOff] = useState<readonly string[]>([]);
  const [map, setMap] = useState<Colouring>('cloth');
  const [turn, setTurn] = useState(0);
  const steps = draft?.steps.filter((s) => s.step.on) ?? [];
  const whole = draft && resolvedJob();
  const cloth = chosen ?? usualCloth(whole?.pattern.fabric ?? { kind: 'woven' });
  const job = whole && { ...whole, job: { ...whole.job, steps: whole.job.steps.filter((s) => !off.includes(s.id)) } };
  const { look, stop, again, askMore } = useDraped(id, job, { cloth, fineness, side, sleeves });
  const drawing = useRef<HTMLDivElement>(null);
  const both = steps.some((s) => !off.includes(s.step.id));
  const show = (reading: ReadingId): void => {
    setTurn(sideOf(reading));
    setMap(reading.startsWith('pull') ? 'pull' : reading.startsWith('stand') ? 'standOff' : 'cloth');
  };
  return (
    <div>
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <Select label="Cloth" value={cloth} set={(v) => setCloth(v as ClothId)}>
          {CLOTH_IDS.map((c) => (
            <option key={c} value={c}>
              {CLOTH_WORDS[c]}
            </option>
          ))}
        </Select>
        <Select label="How closely" value={fineness} set={(v) => setFineness(v as Fineness)}>
          <option value="coarse">Quickly</option>
          <option value="fine">Finely, takes longer</option>
        </Select>
        {draft && setInSleeves(draft.pieces, draft.seams).length > 0 && (
          <Check on={sleeves} set={setSleeves}>
            With its sleeves
          </Check>
        )}
        <Working look={look} stop={stop} again={again} />
      </div>
      <div className="grid gap-6 min-[1000px]:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        <div ref={drawing}>
          <Forms look={look} both={both} map={map} turn={turn} setTurn={setTurn} />
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
          <Keep
            {...{ look, drawing, onKept }}
            as={both ? 'planned' : 'drafted'}
            name={id}
            whole={steps.every((s) => !off.includes(s.step.id))}
          />
          <p className="mt-2 text-quiet">{onFormIs()}</p>
        </div>
        <div>
          {look.refusal && <Notice grade="look">{sayRefusal(look.refusal, units)}</Notice>}
          {look.draped?.oneSided && (
            <fieldset className="mb-3 flex flex-wrap items-center gap-3">
              <legend className="mb-1">
                Some steps are for one side only. Both sides of the form show the wearer’s
              </legend>
              {(['left', 'right'] as const).map((s) => (
                <Radio key={s} name="side" on={side === s} set={() => setSide(s)}>
                  {s}
                </Radio>
              ))}
            </fieldset>
          )}
          {Object.values(look.cloth).some((c) => !c.settled) && (
            <Notice grade="look">The cloth has not quite come to rest: take its readings as rough.</Notice>
          )}
          <h2 className="mb-2 text-lg">What shows</h2>
          {look.draped ? (
            <Signs draped={look.draped} both={both} onShow={show} />
          ) : (
            <p>Read once the cloth hangs still.</p>
          )}
          {steps.length > 0 && (
            <fieldset className="mt-4">
              <legend className="mb-1 text-lg">Steps of the plan worn here</legend>
              {steps.map((s) => (
                <Check
                  key={s.step.id}
                  on={!off.includes(s.step.id)}
                  set={(on) => setOff(on ? off.filter((o) => o !== s.step.id) : [...off, s.step.id])}
                >
                  {stepName(s)}
                </Check>
              ))}
            </fieldset>
          )}
        </div>
      </div>
      {look.draped && (
        <details className="mt-4">
          <summary className="min-h-[40px] cursor-pointer py-2">All readings</summary>
          <ReadingsTable draped={look.draped} both={both} />
          <StepsTable draped={look.draped} steps={steps} />
          {!look.draped.more && (
            <button className="btn mt-3" disabled={look.share !== null} onClick={askMore}>
              {both ? 'How sure, and what each step does' : 'How sure each reading is'}
            </button>
          )}
        </details>
      )}
    </div>
  );
}

/** How far the work is, with a stop; or what went wrong, with a way on. */
function Working({
  look,
  stop,
  again,
}: {
  readonly look: Look;
  readonly stop: () => void;
  readonly again: () => void;
}) {
  if (look.share !== null)
    return (
      <div className="flex items-center gap-3" role="status">
        <progress max={1} value={look.share} aria-label="The cloth comes to rest" />
        <span>The cloth comes to rest …</span>
        <button className="btn" onClick={stop}>
          Stop
        </button>
      </div>
    );
  if (!look.trouble && !look.stopped) return null;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <span role={look.trouble ? 'alert' : 'status'}>
        {look.trouble ? `The cloth could not be hung: ${look.trouble}.` : 'Stopped before the cloth had come to rest.'}
      </span>
      <button className="btn" onClick={again}>
        Begin again
      </button>
    </div>
  );
}

const NAMES = { drafted: 'As drafted', planned: 'As planned' } as const;

/** The two forms; without a graphics card the cloth alone, drawn. */
function Forms({
  look,
  both,
  map,
  turn,
  setTurn,
}: {
  readonly look: Look;
  readonly both: boolean;
  readonly map: Colouring;
  readonly turn: number;
  readonly setTurn: (turn: number) => void;
}) {
  const [solid] = useState(canDraw3d);
  const shown: readonly ('drafted' | 'planned')[] = both ? ['drafted', 'planned'] : ['drafted'];
  const hung = (of: 'drafted' | 'planned'): Hung | undefined => look.cloth[of];
  const radians = (turn * Math.PI) / 180;
  return (
    <figure className="m-0 border border-line bg-white">
      <div className="relative h-[520px]">
        {!look.form && <p className="p-4 text-quiet">The form is worked out from the tape …</p>}
        <Turned turn={turn} set={setTurn}>
          {look.form && solid && (
            <Scene
              figure={look.form.figure}
              garments={shown.map((of) => hung(of)?.shown ?? null)}
              map={map}
              turn={radians}
            />
          )}
          {look.form && !solid && (
            <div className="grid h-full grid-flow-col">
              {shown.map((of) => {
                const cloth = hung(of)?.shown;
                return cloth ? <Drawn key={of} shown={cloth} map={map} turn={radians} name={NAMES[of]} /> : null;
              })}
            </div>
          )}
        </Turned>
      </div>
      <figcaption className="grid grid-flow-col border-t border-line py-1 text-center">
        {shown.map((of) => (
          <span key={of}>{NAMES[of]}</span>
        ))}
      </figcaption>
    </figure>
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
