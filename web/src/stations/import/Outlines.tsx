import { useMemo } from 'react';
import {
  grouped,
  allRings,
  boxOf,
  toldPieces,
  nameIn,
  type LineStyle,
  type Lines,
  type Ring,
  type Stroke,
  lettersIn,
} from '@ample/core/in/tracing';
import { sayFileRefusal } from '@ample/core/words';
import { pickRing, shownOf, useImport } from '../../store/import.ts';
import { useUnits } from '../../store/prefs.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { Length, Notice } from '../../shared/basics.tsx';
import { LineSample } from './Kinds.tsx';
import { PICK_SAYS } from './tools.ts';
import type { ToldPiece } from '@ample/core/in/tracing';

interface Found {
  readonly ring: Ring;
  readonly from: readonly Stroke[];
  readonly name: string;
  readonly style: LineStyle | undefined;
}
/** Outlines smaller than this are signs and letters, mm. */
const LEAST = 60;
const MOST = 40;

/** Closed outlines in each kind of line, the largest first, named by the words in them. */
function outlines(lines: Lines, shown: readonly Stroke[], heal: number): readonly Found[] {
  const groups = grouped(shown, (s) => `${s.layer} ${s.style} ${s.block}`);
  const size = (r: Ring): number => {
    const b = boxOf(r.path);
    return Math.max(b.maxX - b.minX, b.maxY - b.minY);
  };
  return [...groups.values()]
    .flatMap((from) => allRings(from, heal).map((ring) => ({ ring, from })))
    .filter(({ ring }) => size(ring) >= LEAST)
    .sort((a, b) => size(b.ring) - size(a.ring))
    .slice(0, MOST)
    .map(({ ring, from }) => {
      const words = lettersIn(lines, ring.path);
      return { ring, from, name: nameIn(words) ?? '', style: lines.styles.find((x) => x.id === from[0]?.style) };
    });
}

/** Where a piece begins: one of the outlines found, or a line clicked on the sheet. */
export function Outlines({ lines }: { readonly lines: Lines }) {
  const hidden = useImport((s) => s.hidden);
  const heal = useImport((s) => s.heal);
  const failed = useImport((s) => s.pickFailed);
  const units = useUnits();
  const found = useMemo(() => outlines(lines, shownOf(lines, hidden), heal), [lines, hidden, heal]);
  const told = useMemo(() => toldPieces(lines), [lines]);
  return (
    <section className="card p-4" aria-label="Outlines">
      <h2 className="mb-1">Pick a piece</h2>
      <p className="text-quiet">{PICK_SAYS}</p>
      {failed && (
        <div className="mt-2">
          <Notice grade="look">
            {sayFileRefusal(failed, units)}
            {failed.code === 'outline-runs-out' && (
              <LengthField
                label="Close gaps up to"
                value={heal}
                min={0.1}
                max={25}
                onCommit={(v) => v !== null && useImport.setState({ heal: v, pickFailed: null })}
              />
            )}
          </Notice>
        </div>
      )}
      {told.length === 0 && found.length === 0 && <p className="mt-2">No closed outline is shown.</p>}
      <OutlineList told={told} found={found} />
    </section>
  );
}

function OutlineList({ told, found }: { readonly told: readonly ToldPiece[]; readonly found: readonly Found[] }) {
  return (
    <ul className="mt-2 max-h-[360px] overflow-auto" aria-label="Outlines found">
      {(told.length > 0 ? [] : found).map((f, i) => {
        const b = boxOf(f.ring.path);
        return (
          <li key={i}>
            <button
              className="flex min-h-[40px] w-full items-center justify-between gap-3 border-b border-line px-1 text-left hover:bg-tissue"
              onClick={() => pickRing(f.ring, f.from)}
            >
              <span className="min-w-0 flex-1 truncate">{f.name || `Outline ${i + 1}`}</span>
              <LineSample color={f.style?.color ?? null} width={f.style?.width ?? 1} dash={f.style?.dash ?? []} />
              <span className="shrink-0 text-sm">
                <Length bare value={b.maxX - b.minX} /> × <Length value={b.maxY - b.minY} />
              </span>
            </button>
          </li>
        );
      })}
      {told.map((t, i) => (
        <li key={i}>
          <button
            className="flex min-h-[40px] w-full items-center justify-between gap-3 border-b border-line px-1 text-left hover:bg-tissue"
            onClick={() =>
              useImport.setState({
                picked: { ring: t.ring, look: null, others: t.others },
                choices: t.choices,
                pickFailed: null,
                tool: 'edge',
                clicks: [],
                chosenEdge: null,
                ...(t.size === null ? {} : { size: t.size }),
              })
            }
          >
            <span className="truncate">{t.choices.name}</span>
            {t.size !== null && <span className="text-sm">size {t.size}</span>}
          </button>
        </li>
      ))}
    </ul>
  );
}
