import { figureUnder, shownOf, type Halves, type Shown } from '@ample/core/drape';
import { moreOf, onForm, toSee, type Before, type Working } from '@ample/core/fitting/onForm';
import { leftOut } from '@ample/core/sew';
import { ok, telling, toEnd, type Result } from '@ample/core/units';
import { PROTOCOL, type Draped, type DrapePart, type DrapeRequest, type Garments, type Reply } from './protocol.ts';

/** What was hung last: a plan that changed begins from it. */
let kept: Before | null = null;

/** Garments, and how long each is known to take beside the others. */
const STAGES = ['drafted', 'planned', 'chart'] as const;
/** Cloth seldom needs all the steps it may take. */
const USUAL = 0.5;

function post(progress: number, part?: DrapePart): void {
  const shown: Shown | null = part?.kind === 'cloth' ? part.shown : null;
  const moved = shown
    ? [shown.mesh.positions, shown.mesh.triangles, shown.pull, shown.standOff, shown.seams, shown.drags].map(
        (a) => a.buffer,
      )
    : [];
  self.postMessage(part ? { progress, part } : { progress }, { transfer: moved as Transferable[] });
}

function tell(work: Working): void {
  const done = STAGES.indexOf(work.stage);
  if ('share' in work) return post((done + Math.min(1, work.share / USUAL)) / STAGES.length);
  if ('form' in work) return post(0, { kind: 'form', form: work.form });
  post((done + 1) / STAGES.length, clothOf(work.stage, work.halves));
}
const clothOf = (of: Garments, halves: Halves): DrapePart => ({
  ...{ kind: 'cloth', of, figure: figureUnder(halves), shown: shownOf(halves) },
  settled: halves.left.settled && halves.right.settled,
});

function draped({ job, cloth, fineness, side, sleeves, more }: DrapeRequest['input']): Result<Draped> {
  const wanted = toSee(job, side, sleeves);
  if (!wanted.ok) return wanted;
  const hung = toEnd(telling(onForm(wanted.value, cloth, fineness, kept), tell));
  if (!hung.ok) return hung;
  const { seen } = hung.value;
  kept = hung.value.kept;
  const { drafted, planned, differ, size } = seen;
  const longer = more ? toEnd(telling(moreOf(job, kept), ({ share }) => post(share))) : null;
  return ok({
    readings: { drafted: drafted.readings, planned: planned.readings },
    more: longer,
    ...{ differ, side, size },
    leftOut: leftOut(planned.garment, planned.worn.toile).map((p) => p.name),
  });
}

/** Hangs a job on the wearer’s form. */
self.onmessage = (event: MessageEvent<DrapeRequest>) => {
  const { v, id, input } = event.data;
  if (v !== PROTOCOL) return;
  let reply: Reply;
  try {
    reply = { v: PROTOCOL, id, ok: true, value: draped(input) };
  } catch (error) {
    reply = { v: PROTOCOL, id, ok: false, message: error instanceof Error ? error.message : String(error) };
  }
  self.postMessage(reply);
};
