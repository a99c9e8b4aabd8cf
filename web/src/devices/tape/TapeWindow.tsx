import { useState } from 'react';
import { X } from 'lucide-react';
import { Check } from '../../ui/Check.tsx';
import { Length, Notice } from '../../shared/basics.tsx';
import { LengthField } from '../../shared/LengthField.tsx';
import { connectTape, endTape, useTape } from './session.ts';
import { StandInTape } from './standIn.ts';

const STATE = {
  off: 'not connected',
  connecting: 'connecting…',
  on: 'connected',
  lost: 'connection lost',
} as const;

/** The stand-in's little window: what it measures, the button that sends it, and its faults. */
export function TapeWindow({ onClose }: { readonly onClose: () => void }) {
  const { state, device, readings, stuck, odd } = useTape();
  const [mm, setMm] = useState(750);
  const [noise, setNoise] = useState(false);
  const [drop, setDrop] = useState(false);
  const [jam, setJam] = useState(false);
  const last = readings.at(-1);
  const send = () => {
    if (device instanceof StandInTape) void device.send(mm, { noise: noise ? 4 : 0, drop, stuck: jam });
    if (drop) setDrop(false);
  };
  return (
    <aside
      className="fixed right-4 bottom-4 z-20 w-[330px] max-w-[94vw] border-2 border-ink bg-page p-4 shadow-lg"
      aria-label="Stand-in tape"
    >
      <TapeHead state={state} onClose={onClose} />
      {state === 'lost' && (
        <Notice grade="look">
          The tape no longer answers. What was read is kept; connect again, or type the values.
        </Notice>
      )}
      {stuck && last && (
        <Notice grade="look">
          <Length value={last.mm} /> came three times for different measurements. The tape may be stuck: let it run back
          and measure again.
        </Notice>
      )}
      {odd !== null && <Notice grade="look">A reading that cannot be right came and was left out.</Notice>}
      {state !== 'on' ? (
        <button
          className="btn btn-main mt-3"
          disabled={state === 'connecting'}
          // The field one is in keeps the focus: the reading goes there.
          onMouseDown={(e) => e.preventDefault()}
          onClick={() => void connectTape(new StandInTape())}
        >
          {state === 'lost' ? 'Connect again' : 'Connect'}
        </button>
      ) : (
        <TapeInHand
          mm={mm}
          setMm={setMm}
          send={send}
          noise={noise}
          setNoise={setNoise}
          drop={drop}
          setDrop={setDrop}
          jam={jam}
          setJam={setJam}
        />
      )}
      <p className="mt-2 text-sm text-quiet">
        A reading goes to the field last chosen{last ? `; the last was for ${last.to || 'none'}` : ''}.
      </p>
    </aside>
  );
}

function TapeHead({
  state,
  onClose,
}: {
  readonly state: 'on' | 'off' | 'connecting' | 'lost';
  readonly onClose: () => void;
}) {
  return (
    <div className="flex items-start justify-between">
      <div>
        <h2>Stand-in tape</h2>
        <p role="status">{STATE[state]}</p>
      </div>
      <button
        className="btn !px-2"
        onClick={() => {
          endTape();
          onClose();
        }}
      >
        <X size={20} aria-hidden="true" />
        <span className="sr-only">Close the tape</span>
      </button>
    </div>
  );
}

function TapeInHand({
  mm,
  setMm,
  send,
  noise,
  setNoise,
  drop,
  setDrop,
  jam,
  setJam,
}: {
  readonly mm: number;
  readonly setMm: (value: number) => void;
  readonly send: () => void;
  readonly noise: boolean;
  readonly setNoise: (value: boolean) => void;
  readonly drop: boolean;
  readonly setDrop: (value: boolean) => void;
  readonly jam: boolean;
  readonly setJam: (value: boolean) => void;
}) {
  return (
    <>
      <div className="mt-3 flex items-end gap-3">
        <LengthField
          label="The tape measures"
          value={mm}
          steps
          min={1}
          max={4000}
          width="w-40"
          onCommit={(v) => v !== null && setMm(v)}
        />
        <button className="btn btn-main" onMouseDown={(e) => e.preventDefault()} onClick={send}>
          Send
        </button>
      </div>
      <fieldset className="mt-3">
        <legend className="text-sm text-quiet">What can go wrong</legend>
        <Check on={noise} set={setNoise}>
          unsteady by up to 4 mm
        </Check>
        <Check on={drop} set={setDrop}>
          loses the connection at the next reading
        </Check>
        <Check on={jam} set={setJam}>
          stuck at the last reading
        </Check>
      </fieldset>
    </>
  );
}
