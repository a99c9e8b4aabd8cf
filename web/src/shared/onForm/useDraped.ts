import { useEffect, useRef, useState } from 'react';
import type { Shown } from '@ample/core/drape';
import type { ResolvedJob } from '@ample/core/fitting/plan';
import type { Figure, Form } from '@ample/core/form';
import type { Refusal } from '@ample/core/units';
import { startDraper, type Draper } from '../../workers/client.ts';
import type { Draped, DrapeRequest, Garments } from '../../workers/protocol.ts';

/** Cloth on the form, and whether it came to rest. */
export interface Hung {
  readonly figure: Figure;
  readonly shown: Shown;
  readonly settled: boolean;
}
/** What is there so far. */
export interface Look {
  readonly form: Form | null;
  readonly cloth: Readonly<Partial<Record<Garments, Hung>>>;
  readonly draped: Draped | null;
  /** How far the work has come; null while none is going on. */
  readonly share: number | null;
  readonly refusal: Refusal | null;
  readonly trouble: string | null;
  readonly stopped: boolean;
}
const NOTHING: Look = {
  ...{ form: null, cloth: {}, draped: null, share: null, refusal: null, trouble: null, stopped: false },
};

/** The last looks of some jobs, so that coming back shows them at once. */
const last = new Map<string, { readonly key: string; readonly look: Look }>();
const KEPT = 6;
function keepLook(id: string, key: string, look: Look): void {
  last.delete(id);
  last.set(id, { key, look });
  const [oldest] = last.keys();
  if (last.size > KEPT && oldest !== undefined) last.delete(oldest);
}

/**
 * A job hung on the wearer’s form in a worker: the form first, then each garment as it comes to rest, then the readings. After
 * a change the last look stays until the next is there.
 */
export function useDraped(
  id: string,
  job: ResolvedJob | null,
  { cloth, fineness, side, sleeves }: Omit<DrapeRequest['input'], 'job' | 'more'>,
) {
  const plain = JSON.stringify([job, cloth, fineness, side, sleeves]);
  const [asked, setAsked] = useState('');
  // What takes longer is asked for one look at a time.
  const more = asked === plain;
  const key = `${plain} ${more}`;
  const draper = useRef<Draper | null>(null);
  const [again, setAgain] = useState(0);
  const [look, setLook] = useState<Look>(() => last.get(id)?.look ?? NOTHING);
  useEffect(() => {
    if (!job) return;
    if (last.get(id)?.key === key) {
      // Back at what was hung last: what was begun since is not wanted any more.
      draper.current?.stop();
      return;
    }
    draper.current ??= startDraper();
    let gone = false;
    const set = (change: (was: Look) => Look): void => {
      if (!gone) setLook(change);
    };
    set((was) => ({ ...was, share: 0, refusal: null, trouble: null, stopped: false }));
    draper.current
      .ask(
        { job, cloth, fineness, side, sleeves, more },
        {
          share: (share) => set((was) => ({ ...was, share })),
          part: (part) =>
            set((was) =>
              part.kind === 'form'
                ? { ...was, form: part.form }
                : {
                    ...was,
                    cloth: {
                      ...was.cloth,
                      [part.of]: { figure: part.figure, shown: part.shown, settled: part.settled },
                    },
                  },
            ),
        },
      )
      .then(
        (result) =>
          set((was) => {
            const next: Look = result.ok
              ? { ...was, draped: result.value, share: null }
              : { ...NOTHING, form: was.form, refusal: result.error };
            if (result.ok) keepLook(id, key, next);
            return next;
          }),
        (error: unknown) =>
          set((was) => ({ ...was, share: null, trouble: error instanceof Error ? error.message : String(error) })),
      );
    return () => {
      gone = true;
    };
    // The key says all there is of the job.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id, key, again]);
  useEffect(() => () => draper.current?.stop(), []);
  const stop = (): void => {
    draper.current?.stop();
    // What hangs already stays when only more about it was being worked out.
    setAsked('');
    setLook((was) => ({ ...was, share: null, stopped: !more }));
  };
  const known = last.get(id);
  return {
    look: known?.key === key ? known.look : look,
    /** Whether all that is shown is of this job, not of what hung before. */
    ready: known?.key === key,
    stop,
    again: () => setAgain((n) => n + 1),
    askMore: () => setAsked(plain),
  };
}
