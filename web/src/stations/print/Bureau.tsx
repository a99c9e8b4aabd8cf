import { useEffect, useState } from 'react';
import { useParams } from 'react-router';
import { FAULTS, isOver, type Estimate, type Fault, type Ticket } from '@ample/core/out/bureau';
import { counted, FAULT_WORDS, sayBureau, sayMoney, sayTicket } from '@ample/core/words';
import {
  followTicket,
  forgetTicket,
  goOn,
  leaveOffer,
  order,
  send,
  stopSending,
  takeOrderBack,
  useBureau,
  type Stage,
} from '../../devices/bureau/session.ts';
import { isServed } from '../../lib/served.ts';
import { isThere } from '../../devices/bureau/client.ts';
import { useUnits } from '../../store/prefs.ts';
import { Length, Notice } from '../../shared/basics.tsx';
import { BusyButton } from '../../ui/BusyButton.tsx';

/** The roll printed elsewhere: a stand-in bureau on the app's own server, to see how it would go. */
export function Bureau({
  name,
  ready,
  make,
}: {
  readonly name: string;
  readonly ready: boolean;
  readonly make: () => Promise<Uint8Array>;
}) {
  const { job = '' } = useParams();
  const stage = useBureau((s): Stage => (s.job === job ? s.stage : IDLE));
  const ticket = useBureau((s) => s.tickets[job]);
  const [fault, setFault] = useState<Fault>('none');
  useEffect(() => followTicket(job), [job]);
  // Where no server is there is nothing to send to; what is under way is shown all the same.
  const [there, setThere] = useState(false);
  useEffect(() => {
    let left = false;
    if (isServed) void isThere().then((answers) => !left && setThere(answers));
    return () => {
      left = true;
    };
  }, []);
  if (!there && stage.kind === 'idle' && !ticket) return null;
  const begin = () => void send(job, name, fault, make);
  return (
    <section className="card space-y-3 p-4" aria-label="Print bureau">
      <div>
        <h2 className="mb-1">Print bureau, stand-in</h2>
        <p className="max-w-[66ch]">
          The pieces on a roll of 91 cm, printed elsewhere. This bureau only plays one: it runs on the app’s own server,
          prints nothing and passes nothing on.
        </p>
      </div>
      {stage.kind === 'idle' && (
        <div className="flex flex-wrap items-end gap-3">
          <button className="btn" disabled={!ready} onClick={begin}>
            Send and ask the price
          </button>
          <label className="flex items-center gap-2">
            <span className="text-sm">Try it so that</span>
            <select className="field" value={fault} onChange={(e) => setFault(e.target.value as Fault)}>
              {FAULTS.map((f) => (
                <option key={f} value={f}>
                  {FAULT_WORDS[f]}
                </option>
              ))}
            </select>
          </label>
        </div>
      )}
      <Under stage={stage} />
      {(stage.kind === 'offered' || stage.kind === 'ordering') && (
        <Offer estimate={stage.estimate} busy={stage.kind === 'ordering'} />
      )}
      {stage.kind === 'idle' && ticket && <TicketView job={job} ticket={ticket} />}
    </section>
  );
}
const IDLE: Stage = { kind: 'idle' };

/** How far sending is, or why it stands. */
function Under({ stage }: { readonly stage: Stage }) {
  const units = useUnits();
  switch (stage.kind) {
    case 'making':
      return <p role="status">Making the pages…</p>;
    case 'sending':
    case 'waiting':
    case 'again':
      return (
        <div role="status">
          <p className="mb-2">
            {stage.kind === 'waiting'
              ? `${stage.why === 'lost' ? 'The connection was lost' : 'The bureau is busy'}; trying again in ${stage.seconds} s. What has arrived is kept.`
              : stage.kind === 'again'
                ? 'The file was damaged on its way. It is being sent again.'
                : stage.share < 1
                  ? `Sending: ${Math.round(stage.share * 100)} %`
                  : 'Asking the price…'}
          </p>
          <progress className="mb-2 block w-full max-w-[420px]" value={stage.share} max={1} aria-label="Sent so far" />
          <button className="btn" onClick={stopSending}>
            Stop
          </button>
        </div>
      );
    case 'stopped':
      return (
        <div className="space-y-2">
          {stage.error ? (
            <Notice grade="fault">{sayBureau(stage.error, units)}</Notice>
          ) : (
            <p role="status">Sending was stopped. What has arrived is kept for a while.</p>
          )}
          <div className="flex gap-2">
            <button className="btn btn-main" onClick={() => void goOn()}>
              Resume
            </button>
            <button className="btn" onClick={leaveOffer}>
              Leave it
            </button>
          </div>
        </div>
      );
    default:
      return null;
  }
}

function Offer({ estimate, busy }: { readonly estimate: Estimate; readonly busy: boolean }) {
  const units = useUnits();
  const stage = useBureau((s) => s.stage);
  const [copies, setCopies] = useState(1);
  const error = stage.kind === 'offered' ? stage.error : null;
  return (
    <div className="space-y-3">
      <table>
        <tbody>
          <Row name="Roll">
            <Length value={estimate.roll} />
          </Row>
          <Row name="Ordinary sheets">
            <span className="num">{estimate.sheets}</span>
          </Row>
          <Row name="Price, one copy">
            <span className="num">{sayMoney(estimate.cents)}</span>
          </Row>
        </tbody>
      </table>
      {error && <Notice grade="fault">{sayBureau(error, units)}</Notice>}
      <div className="flex flex-wrap items-end gap-3">
        <label>
          <span className="mb-1 block text-sm">Copies</span>
          <input
            className="field num w-24"
            type="number"
            min={1}
            max={20}
            value={copies}
            onChange={(e) => setCopies(Math.min(20, Math.max(1, Math.round(Number(e.target.value)) || 1)))}
          />
        </label>
        <BusyButton className="btn btn-main" busy={busy} onClick={() => void order(copies)}>
          {busy ? 'Ordering…' : 'Order'}
        </BusyButton>
        <BusyButton busy={busy} onClick={leaveOffer}>
          Leave it
        </BusyButton>
      </div>
    </div>
  );
}
const Row = ({ name, children }: { readonly name: string; readonly children: React.ReactNode }) => (
  <tr className="border-b border-line">
    <th scope="row" className="py-1.5 pr-8 text-left font-normal">
      {name}
    </th>
    <td className="text-right">{children}</td>
  </tr>
);

function TicketView({ job, ticket }: { readonly job: string; readonly ticket: Ticket }) {
  const units = useUnits();
  const silent = useBureau((s) => s.silent);
  return (
    <div className="space-y-2 border-l-4 border-carbon px-3">
      <p role="status">{sayTicket(ticket)}</p>
      <p className="text-sm text-quiet">
        {ticket.name}, {counted(ticket.copies, 'copy', 'copies')}, <span className="num">{sayMoney(ticket.cents)}</span>
      </p>
      {silent && <Notice grade="look">{sayBureau(silent, units)}</Notice>}
      <div className="flex gap-2">
        {ticket.state === 'waiting' && (
          <button className="btn" onClick={() => void takeOrderBack(job)}>
            Cancel the order
          </button>
        )}
        {(isOver(ticket) || silent?.code === 'bureau-unknown-ticket') && (
          <button className="btn" onClick={() => forgetTicket(job)}>
            Clear the ticket
          </button>
        )}
      </div>
    </div>
  );
}
