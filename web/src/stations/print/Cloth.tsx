import { Progress } from 'radix-ui';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import type { Draft } from '@ample/core/fitting/plan';
import { clothAlarms, CLOTH_WIDTHS, widerPieces, type Layout, type Stretches } from '@ample/core/out/layout';
import type { Pattern } from '@ample/core/pattern';
import { sayClothAlarm } from '@ample/core/words';
import { ADVICE, type Result } from '@ample/core/units';
import { usePrefs, useUnits } from '../../store/prefs.ts';
import { Length, Notice } from '../../shared/basics.tsx';
import { startCloth, type ClothWork } from '../../workers/client.ts';
import type { ClothPrefs } from '../../store/prefs.ts';
import type { Wider } from '@ample/core/out/layout';
import { type Found, ToBuy } from './ToBuy.tsx';
import { Foldings } from './Foldings.tsx';
import { CutList, LaidOut } from './LaidOut.tsx';
import { Check } from '../../ui/Check.tsx';
import { Select } from '../../ui/Select.tsx';

/** Which pieces need more cloth, how much to buy in three widths, and how the pieces lie on it. */
export function Cloth({ draft, fabric }: { readonly draft: Draft; readonly fabric: Pattern['fabric'] }) {
  const units = useUnits();
  const { cloth } = usePrefs();
  const [share, setShare] = useState<number | null>(null);
  const [found, setFound] = useState<{ readonly of: string; readonly by: Draft; readonly found: Found } | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [shown, setShown] = useState(1);
  const work = useRef<ClothWork | null>(null);
  useEffect(() => () => work.current?.cancel(), []);
  const wider = useMemo(() => widerPieces(draft.original, draft.sides.left.pieces, draft.sides.right.pieces), [draft]);
  const { fold, folds, again, oneWay } = cloth;
  const asked = JSON.stringify([fold, folds, again, oneWay]);
  const stale = found !== null && (found.of !== asked || found.by !== draft);
  const set = (change: Partial<typeof cloth>) => usePrefs.setState((s) => ({ cloth: { ...s.cloth, ...change } }));
  const lay = async () => {
    const wishes = CLOTH_WIDTHS.map((width) => ({ width, fold, folds, again, oneWay }));
    setTrouble(null);
    setShare(0);
    try {
      const run = async (pieces: Draft['pieces'], from: number): Promise<readonly Result<Layout>[]> => {
        work.current = startCloth({ pieces, wishes }, (s) => setShare(from + s / 2));
        return work.current.done;
      };
      const altered = await run(draft.pieces, 0);
      const drafted = await run(draft.untouched, 0.5);
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
      <ClothWishes cloth={cloth} knit={fabric.kind === 'knit'} set={set}>
        <LayButton share={share} lay={lay} cancel={cancel} />
      </ClothWishes>
      <Alarms pieces={draft.pieces} fabric={fabric} stretches={cloth.stretches ?? 'across'} />
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
          <div className="min-w-0">
            <LaidOut layout={found.found.altered[shown]} stripes={cloth.stripes === true} />
            <CutList layout={found.found.altered[shown]} />
          </div>
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

/** What of the pattern disagrees with the cloth. */
function Alarms({
  pieces,
  fabric,
  stretches,
}: {
  readonly pieces: Draft['pieces'];
  readonly fabric: Pattern['fabric'];
  readonly stretches: Stretches;
}) {
  const units = useUnits();
  return clothAlarms(pieces, fabric, stretches).map((alarm) => (
    <div className="mt-3" key={`${alarm.code} ${alarm.data['piece'] ?? ''}`}>
      <Notice grade="look">{sayClothAlarm(alarm, units)}</Notice>
    </div>
  ));
}

function ClothWishes({
  cloth,
  knit,
  set,
  children,
}: {
  readonly cloth: ClothPrefs;
  readonly knit: boolean;
  readonly set: (change: Partial<ClothPrefs>) => unknown;
  readonly children: ReactNode;
}) {
  return (
    <div className="mt-3 flex flex-wrap items-end gap-4">
      <Foldings cloth={cloth} set={set} />
      {knit && (
        <Select
          label="The cloth gives most"
          value={cloth.stretches ?? 'across'}
          set={(way) => set({ stretches: STRETCHES.find((s) => s[0] === way)?.[0] })}
        >
          {STRETCHES.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </Select>
      )}
      <Select label="May shrink by" value={cloth.shrink} set={(chosen) => set({ shrink: Number(chosen) })}>
        {[0, 0.03, 0.05, 0.08, 0.1].map((s) => (
          <option key={s} value={s}>
            {Math.round(s * 100)} %
          </option>
        ))}
      </Select>
      <Check on={cloth.oneWay} set={(on) => set({ oneWay: on })}>
        nap, or a print with one way up
      </Check>
      <Check on={cloth.stripes === true} set={(on) => set({ stripes: on })}>
        stripes or checks
      </Check>
      {children}
    </div>
  );
}

const STRETCHES: readonly (readonly [Stretches, string])[] = [
  ['across', 'across'],
  ['along', 'along the selvedge'],
  ['both', 'both ways alike'],
  ['not', 'not at all'],
];

function LayButton({
  share,
  lay,
  cancel,
}: {
  readonly share: number | null;
  readonly lay: () => Promise<void>;
  readonly cancel: () => void;
}) {
  if (share === null)
    return (
      <button className="btn" onClick={() => void lay()}>
        Lay the pieces
      </button>
    );
  return (
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
  );
}
