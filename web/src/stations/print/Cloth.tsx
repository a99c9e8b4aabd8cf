import { Progress } from 'radix-ui';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Draft } from '@ample/core/fitting/plan';
import { CLOTH_WIDTHS, widerPieces, type Layout } from '@ample/core/out/layout';
import { ADVICE, type Result } from '@ample/core/units';
import { usePrefs, useUnits } from '../../store/prefs.ts';
import { Length, Notice } from '../../shared/basics.tsx';
import { startCloth, type ClothWork } from '../../workers/client.ts';
import type { ClothPrefs } from '../../store/prefs.ts';
import type { Wider } from '@ample/core/out/layout';
import { type Found, ToBuy, LaidOut } from './ToBuy.tsx';
import { Check } from '../../ui/Check.tsx';
import { Select } from '../../ui/Select.tsx';

/** Which pieces need more cloth, how much to buy in three widths, and how the pieces lie on it. */
export function Cloth({ draft }: { readonly draft: Draft }) {
  const units = useUnits();
  const { cloth } = usePrefs();
  const [share, setShare] = useState<number | null>(null);
  const [found, setFound] = useState<{ readonly of: string; readonly by: Draft; readonly found: Found } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [shown, setShown] = useState(1);
  const work = useRef<ClothWork | null>(null);
  useEffect(() => () => work.current?.cancel(), []);
  const wider = useMemo(() => widerPieces(draft.original, draft.sides.left.pieces, draft.sides.right.pieces), [draft]);
  const asked = `${cloth.fold} ${cloth.oneWay}`;
  const stale = found !== null && (found.of !== asked || found.by !== draft);
  const set = (change: Partial<typeof cloth>) => usePrefs.setState((s) => ({ cloth: { ...s.cloth, ...change } }));
  const lay = async () => {
    const wishes = CLOTH_WIDTHS.map((width) => ({ width, fold: cloth.fold, oneWay: cloth.oneWay }));
    setTrouble(null);
    setShare(0);
    try {
      const run = async (pieces: Draft['pieces'], from: number): Promise<readonly Result<Layout>[]> => {
        work.current = startCloth({ pieces, wishes }, (s) => setShare(from + s / 2));
        return work.current.done;
      };
      const altered = await run(draft.pieces, 0);
      const drafted = await run(draft.original, 0.5);
      setFound({ of: asked, by: draft, found: { altered, drafted } });
    } catch (error) {
      // Stopped: what its clock says later is of no matter.
      if (work.current === null) return;
      setTrouble(error instanceof Error ? error.message : String(error));
    }
    setShare(null);
  };
  const cancel = () => {
    work.current?.cancel();
    work.current = null;
    setShare(null);
  };
  return (
    <section className="card mt-6 p-4" aria-labelledby="cloth">
      <h2 id="cloth">Cloth</h2>
      {wider.length > 0 ? (
        <WiderList wider={wider} />
      ) : (
        <p className="mt-2">
          No piece is wider than the draft by <Length value={ADVICE.moreCloth} /> or more: the layout printed with the
          pattern should do.
        </p>
      )}
      <ClothWishes cloth={cloth} set={set} share={share} lay={lay} cancel={cancel} />
      {trouble && (
        <div className="mt-3">
          <Notice grade="fault">The pieces could not be laid: {trouble}.</Notice>
        </div>
      )}
      {found && (
        <div className="mt-4 grid gap-5 min-[1000px]:grid-cols-[420px_minmax(0,1fr)]">
          <div>
            {stale && <Notice grade="look">Something has changed: lay the pieces again.</Notice>}
            <ToBuy found={found} units={units} cloth={cloth} shown={shown} setShown={setShown} />
            <p className="mt-2 text-sm text-quiet">
              A simple layout, to buy by: checks, stripes and large prints need more to match. Lining and interfacing
              are not counted.
            </p>
          </div>
          <LaidOut layout={found.found.altered[shown]} />
        </div>
      )}
    </section>
  );
}

function WiderList({ wider }: { readonly wider: readonly Wider[] }) {
  return (
    <ul className="mt-2">
      {wider.map((w) => (
        <li key={w.piece}>
          {w.name}: <Length value={w.after - w.before} sign /> wider across the grain than drafted.
        </li>
      ))}
      <li className="text-quiet">
        The layout printed with the pattern may no longer do; lay the pieces before you buy.
      </li>
    </ul>
  );
}

function ClothWishes({
  cloth,
  set,
  share,
  lay,
  cancel,
}: {
  readonly cloth: ClothPrefs;
  readonly set: (change: Partial<ClothPrefs>) => unknown;
  readonly share: number | null;
  readonly lay: () => Promise<void>;
  readonly cancel: () => void;
}) {
  return (
    <div className="mt-3 flex flex-wrap items-end gap-4">
      <Check on={cloth.fold} set={(on) => set({ fold: on })}>
        folded lengthways
      </Check>
      <Check on={cloth.oneWay} set={(on) => set({ oneWay: on })}>
        nap, or a print with one way up
      </Check>
      <Select label="May shrink by" value={cloth.shrink} set={(chosen) => set({ shrink: Number(chosen) })}>
        {[0, 0.03, 0.05, 0.08, 0.1].map((s) => (
          <option key={s} value={s}>
            {Math.round(s * 100)} %
          </option>
        ))}
      </Select>
      {share === null ? (
        <button className="btn" onClick={() => void lay()}>
          Lay the pieces
        </button>
      ) : (
        <>
          <Progress.Root
            className="h-6 w-52 border border-ink bg-white"
            value={Math.round(share * 100)}
            aria-label="Laying the pieces"
          >
            <Progress.Indicator className="h-full bg-carbon" style={{ width: `${share * 100}%` }} />
          </Progress.Root>
          <button className="btn" onClick={cancel}>
            Stop
          </button>
        </>
      )}
    </div>
  );
}
