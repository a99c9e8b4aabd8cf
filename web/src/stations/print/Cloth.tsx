import { Progress } from 'radix-ui';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Draft } from '@ample/core/fitting/plan';
import { CLOTH_WIDTHS, clothToBuy, widerPieces, type Layout } from '@ample/core/out/layout';
import { ADVICE, formatLength, type Result } from '@ample/core/units';
import { sayRefusal } from '@ample/core/words';
import { usePrefs, useUnits } from '../../store/prefs.ts';
import { Length, Notice } from '../../shared/parts.tsx';
import { startCloth, type ClothWork } from '../../workers/client.ts';
import { COLOURS } from '@ample/core/out';

interface Found {
  readonly altered: readonly Result<Layout>[];
  readonly drafted: readonly Result<Layout>[];
}

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
  const wider = useMemo(() => widerPieces(draft.original, draft.lanes.left.pieces, draft.lanes.right.pieces), [draft]);
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
    <section className="sheet mt-6 p-4" aria-labelledby="cloth">
      <h2 id="cloth">Cloth</h2>
      {wider.length > 0 ? (
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
      ) : (
        <p className="mt-2">
          No piece is wider than the draft by <Length value={ADVICE.moreCloth} /> or more: the layout printed with the
          pattern should do.
        </p>
      )}
      <div className="mt-3 flex flex-wrap items-end gap-4">
        <label className="flex min-h-[40px] items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-carbon"
            checked={cloth.fold}
            onChange={(e) => set({ fold: e.target.checked })}
          />
          folded lengthways
        </label>
        <label className="flex min-h-[40px] items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-carbon"
            checked={cloth.oneWay}
            onChange={(e) => set({ oneWay: e.target.checked })}
          />
          nap, or a print with one way up
        </label>
        <label>
          <span className="mb-1 block text-sm">May shrink by</span>
          <select className="field" value={cloth.shrink} onChange={(e) => set({ shrink: Number(e.target.value) })}>
            {[0, 0.03, 0.05, 0.08, 0.1].map((s) => (
              <option key={s} value={s}>
                {Math.round(s * 100)} %
              </option>
            ))}
          </select>
        </label>
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
      {trouble && (
        <div className="mt-3">
          <Notice grade="fault">The pieces could not be laid: {trouble}.</Notice>
        </div>
      )}
      {found && (
        <div className="mt-4 grid gap-5 min-[1000px]:grid-cols-[420px_minmax(0,1fr)]">
          <div>
            {stale && <Notice grade="look">Something has changed: lay the pieces again.</Notice>}
            <table className="w-full">
              <thead>
                <tr className="border-b border-ink text-left text-sm">
                  <th className="py-1 font-normal">Width</th>
                  <th className="py-1 font-normal">Buy</th>
                  <th className="py-1 font-normal">Laid</th>
                  <th className="py-1 font-normal">As drafted</th>
                  <th>
                    <span className="sr-only">What can be done</span>
                  </th>
                </tr>
              </thead>
              <tbody>
                {found.found.altered.map((r, i) => {
                  const before = found.found.drafted[i];
                  const width = CLOTH_WIDTHS[i] ?? 0;
                  return (
                    <tr key={width} className="border-b border-line">
                      <th scope="row" className="num py-2 text-left font-normal">
                        {formatLength(width, units.unit, { fraction: units.fraction })}
                      </th>
                      {r.ok ? (
                        <>
                          <td className="num py-2 text-lg">
                            {sayCloth(clothToBuy(r.value.length, cloth.shrink), units.unit)}
                          </td>
                          <td className="py-2">
                            <Length value={r.value.length} />
                          </td>
                          <td className="py-2">{before?.ok && <Length value={before.value.length} />}</td>
                          <td className="py-2 text-right">
                            <button className="btn" aria-pressed={shown === i} onClick={() => setShown(i)}>
                              Show
                            </button>
                          </td>
                        </>
                      ) : (
                        <td colSpan={4} className="py-2 text-sm">
                          {sayRefusal(r.error, units)}
                        </td>
                      )}
                    </tr>
                  );
                })}
              </tbody>
            </table>
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

/** Cloth is asked for in metres, or in yards by eighths. */
const sayCloth = (mm: number, unit: 'cm' | 'in'): string => {
  if (unit === 'cm') return `${(mm / 1000).toFixed(1)} m`;
  const eighths = Math.ceil((mm / 914.4) * 8);
  const [whole, rest] = [Math.floor(eighths / 8), eighths % 8];
  const part = ['', '1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'][rest] ?? '';
  return `${[whole || '', part].filter((x) => x !== '').join(' ')} yd`;
};

/** The cloth from above: fold at the top, selvedge below, pieces where they lie. */
function LaidOut({ layout }: { readonly layout: Result<Layout> | undefined }) {
  if (!layout?.ok) return null;
  const { across, length, laid, wish, covered } = layout.value;
  return (
    <figure className="m-0 min-w-0">
      <svg
        viewBox={`-10 -46 ${length + 20} ${across + 92}`}
        className="block max-h-[420px] w-full"
        role="img"
        aria-label={`${laid.length} pieces laid on the cloth`}
      >
        <rect
          x="0"
          y="0"
          width={length}
          height={across}
          fill={COLOURS.white}
          stroke={COLOURS.grey}
          vectorEffect="non-scaling-stroke"
        />
        <line
          x1="0"
          x2={length}
          y1="0"
          y2="0"
          stroke={COLOURS.ink}
          strokeWidth={wish.fold ? 3 : 1}
          strokeDasharray={wish.fold ? '14 8' : undefined}
          vectorEffect="non-scaling-stroke"
        />
        <text x="4" y="-12" fontSize="34" fill={COLOURS.ink}>
          {wish.fold ? 'fold' : 'selvedge'}
        </text>
        <text x="4" y={across + 38} fontSize="34" fill={COLOURS.quiet}>
          {wish.fold ? 'selvedges' : 'selvedge'}
        </text>
        {laid.map((l, i) => {
          const points = l.outline.map((p) => `${p.y},${p.x}`).join(' ');
          const mid = (of: (p: { x: number; y: number }) => number): number =>
            (Math.min(...l.outline.map(of)) + Math.max(...l.outline.map(of))) / 2;
          // A name longer than its piece stays on the cloth.
          const half = l.name.length * 8;
          const x = Math.min(
            length - half,
            Math.max(
              half,
              mid((p) => p.y),
            ),
          );
          return (
            <g key={i}>
              <polygon points={points} fill={COLOURS.tissue} stroke={COLOURS.ink} vectorEffect="non-scaling-stroke" />
              <text x={x} y={mid((p) => p.x) + 10} fontSize="30" textAnchor="middle" fill={COLOURS.ink}>
                {l.name}
              </text>
            </g>
          );
        })}
      </svg>
      <figcaption className="text-sm text-quiet">
        The cloth runs from left to right; grain along it. {Math.round(covered * 100)} % is covered.
      </figcaption>
    </figure>
  );
}
