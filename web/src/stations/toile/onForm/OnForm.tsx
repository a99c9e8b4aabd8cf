import { useRef, useState } from 'react';
import { CLOTH_IDS, usualCloth, type ClothId } from '@ample/core/cloth';
import type { Fineness, ReadingId } from '@ample/core/drape';
import { setInSleeves } from '@ample/core/sew';
import type { Draft, Side } from '@ample/core/fitting/plan';
import { CLOTH_WORDS, onFormIs, sayRefusal, stepName } from '@ample/core/words';
import { Notice } from '../../../shared/basics.tsx';
import { Example } from '../../../shared/first/Example.tsx';
import { First } from '../../../shared/first/First.tsx';
import { useFirstThing } from '../../../shared/first/firstThing.ts';
import type { Colouring } from '../../../shared/onForm/colours.ts';
import { Forms } from '../../../shared/onForm/Forms.tsx';
import { LookAt } from '../../../shared/onForm/LookAt.tsx';
import { useDraped } from '../../../shared/onForm/useDraped.ts';
import { Working } from '../../../shared/onForm/Working.tsx';
import { resolvedJob } from '../../../store/draftWorker.ts';
import { useUnits } from '../../../store/prefs.ts';
import { Check } from '../../../ui/Check.tsx';
import { Radio } from '../../../ui/Radio.tsx';
import { Select } from '../../../ui/Select.tsx';
import { Keep } from './Keep.tsx';
import { ReadingsTable, sideOf, Signs } from '../../../shared/onForm/ReadingsTable.tsx';
import { StepsTable } from './StepsTable.tsx';

const DRAFTED = { drafted: 'As drafted' };
const BOTH = { ...DRAFTED, planned: 'As planned' };

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
  const first = useFirstThing();
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
  if (first && draft?.original.length === 0)
    return (
      <>
        <First thing={first} />
        <Example of="toile" />
      </>
    );
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
        {draft && setInSleeves(draft.sides.left.pieces, draft.seams).length > 0 && (
          <Check on={sleeves} set={setSleeves}>
            With its sleeves
          </Check>
        )}
        <Working look={look} stop={stop} again={again} />
      </div>
      <div className="grid gap-6 min-[1000px]:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
        <div ref={drawing}>
          <Forms look={look} named={both ? BOTH : DRAFTED} map={map} turn={turn} setTurn={setTurn} />
          <LookAt {...{ turn, setTurn, map, setMap }} />
          <Keep
            {...{ look, drawing, onKept }}
            as={both ? 'planned' : 'drafted'}
            name={id}
            whole={steps.every((s) => !off.includes(s.step.id))}
          />
          <p className="mt-2 text-quiet">{onFormIs(look.draped?.leftOut)}</p>
        </div>
        <div>
          {look.refusal && <Notice grade="look">{sayRefusal(look.refusal, units)}</Notice>}
          {look.draped?.differ && (
            <fieldset className="mb-3 flex flex-wrap items-center gap-3">
              <legend className="mb-1">
                The two sides differ, and hang as they are. What is read here is the wearer’s
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
