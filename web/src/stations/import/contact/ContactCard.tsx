import { CircleCheck, CircleHelp, Pencil } from 'lucide-react';
import { useState } from 'react';
import { HALVES, SURE, type ReadPiece } from '@ample/core/in/tracing';
import type { Refusal } from '@ample/core/units';
import { sayQuestion, sayBasis, sayFileRefusal } from '@ample/core/words';
import { useImport } from '../../../store/import.ts';
import { callIt, isTaken, leaveOut, onFold, takeInHand } from '../../../store/contact.ts';
import { useUnits } from '../../../store/prefs.ts';
import { PartSelect } from '../../../ui/PartSelect.tsx';
import { ContactDrawing } from './ContactDrawing.tsx';
import { Select } from '../../../ui/Select.tsx';
import { Check } from '../../../ui/Check.tsx';

/** One piece as it was read: what it is, how sure that is and why, and one click to put each thing right. */
export function ContactCard({ read }: { readonly read: ReadPiece }) {
  const units = useUnits();
  const contact = useImport((s) => s.contact);
  const [failed, setFailed] = useState<Refusal | null>(null);
  if (!contact) return null;
  const { choices, traced, sure, asks, why } = read;
  const { piece } = traced;
  const out = contact.left.includes(choices.id);
  const unnamed = asks.some((a) => a.code === 'which-part');
  const open = asks.some((a) => a.code === 'on-fold');
  return (
    <li
      className={`card flex flex-col gap-2 border-t-4 p-3 ${out ? 'opacity-60' : ''} ${sure >= SURE ? '!border-t-carbon' : '!border-t-brass'}`}
      aria-label={choices.name}
    >
      <div className="flex items-center justify-between gap-2">
        <h3 className="min-w-0 truncate">{choices.name}</h3>
        <span className="flex shrink-0 items-center gap-1" title={`${Math.round(sure * 100)} of 100`}>
          {sure >= SURE ? <CircleCheck size={20} aria-hidden="true" /> : <CircleHelp size={20} aria-hidden="true" />}
          {sure >= SURE ? 'sure' : isTaken(contact, read) ? 'looked at' : 'please look'}
        </span>
      </div>
      <ContactDrawing piece={piece} />
      {asks.map((a, i) => (
        <p key={i} className="border-l-4 border-brass pl-2">
          {sayQuestion(a, units)}
        </p>
      ))}
      {failed && <p role="alert">{sayFileRefusal(failed, units)}</p>}
      <div className="grid grid-cols-[1.3fr_1fr] gap-2">
        <PartSelect part={unnamed ? null : choices.part} onChange={(part) => setFailed(callIt(choices.id, part))} />
        {HALVES.has(choices.part) && (
          <Select
            label="It is cut"
            value={open ? '' : piece.fold !== null ? 'fold' : 'pair'}
            set={(chosen) => setFailed(onFold(choices.id, chosen === 'fold'))}
            wide
          >
            {open && <option value="">say how</option>}
            <option value="fold">on the fold</option>
            <option value="pair">as a pair</option>
          </Select>
        )}
      </div>
      <p className="text-sm text-quiet">{told(read, why.map(sayBasis))}</p>
      <div className="mt-auto flex flex-wrap items-center justify-between gap-2">
        <button className="btn" onClick={() => takeInHand(choices.id)}>
          <Pencil size={18} aria-hidden="true" />
          Correct it
        </button>
        <Check on={out} set={() => leaveOut(choices.id)}>
          leave it out
        </Check>
      </div>
    </li>
  );
}

/** What was read besides, and what it rests on. */
function told({ traced, sizes }: ReadPiece, why: readonly string[]): string {
  const darts = traced.piece.darts.length;
  const notches = traced.piece.marks.filter((m) => m.kind === 'notch').length;
  const count = (n: number, one: string): string => `${n === 0 ? 'no' : n} ${one}${n === 1 ? '' : 's'}`;
  const found = `${count(darts, 'dart')}, ${count(notches, 'notch').replace('notchs', 'notches')}, ${count(sizes.length, 'size')}`;
  const because = why.length === 0 ? '' : `; ${why.join('; ')}`;
  return `${found.charAt(0).toUpperCase()}${found.slice(1)}${because}.`;
}
