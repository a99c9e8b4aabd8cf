import { useMemo, useState } from 'react';
import { PARTS, validatePiece, type EdgeRole, type Piece } from '@ample/core/pattern';
import { EDGE_ROLES } from '@ample/core/pattern';
import {
  grouped,
  allRings,
  lineInside,
  middleOfEdge,
  type Orientation,
  type TraceChoices,
  type Traced,
} from '@ample/core/tracing';
import { PIECE_WORDS, ROLE_WORDS, sayFileRefusal, sayProblem, sayTraceNote } from '@ample/core/words';
import type { Refusal } from '@ample/core/units';
import { choose, leavePiece, useBring, type Tool } from '../../store/bring.ts';
import { takePieces } from '../../store/takePiece.ts';
import { useUnits } from '../../store/prefs.ts';
import { LengthField } from '../../ui/LengthField.tsx';
import { Length, Notice } from '../../ui/parts.tsx';
import { NameField } from '../../ui/NameField.tsx';
import { SmallPiece } from '../../ui/SmallPiece.tsx';
import { OtherSizes } from './OtherSizes.tsx';
import { useSheet } from './SheetView.tsx';
import { TOOLS } from './tools.ts';

/** A part's own name goes into the name as long as none was typed. */
const named = (choices: TraceChoices, part: Piece['part']): Partial<TraceChoices> => {
  const plain = choices.name === 'Piece' || Object.values(PIECE_WORDS).includes(choices.name);
  return plain ? { part, name: PIECE_WORDS[part], id: part } : { part };
};

/** Everything about one piece: what it is, which line was drawn, its edges, darts and marks; then it is taken. */
export function PiecePanel({ traced, choices }: { readonly traced: Traced; readonly choices: TraceChoices }) {
  const units = useUnits();
  const { size, name } = useBring();
  const [failed, setFailed] = useState<Refusal | null>(null);
  const problems = useMemo(() => validatePiece(traced.piece), [traced]);
  const take = () => {
    const done = takePieces([{ piece: traced.piece, size }], name);
    if (!done.ok) return setFailed(done.error);
    leavePiece();
  };
  return (
    <section className="sheet space-y-4 p-4" aria-label="The piece">
      <div className="grid grid-cols-2 gap-3">
        <label>
          <span className="mb-1 block text-sm">This piece is the</span>
          <select
            className="field w-full"
            value={choices.part}
            onChange={(e) => choose(named(choices, e.target.value as Piece['part']))}
          >
            {PARTS.map((p) => (
              <option key={p} value={p}>
                {PIECE_WORDS[p].toLowerCase()}
              </option>
            ))}
          </select>
        </label>
        <NameField
          label="Name"
          value={choices.name}
          max={80}
          required
          onCommit={(text) => {
            const clean = text.trim();
            if (clean !== '')
              choose({ name: clean, id: clean.toLowerCase().replace(/[^a-z0-9]+/g, '-') || choices.id });
          }}
        />
        <NameField
          label="Size"
          value={size}
          max={20}
          required
          onCommit={(t) => t.trim() !== '' && useBring.setState({ size: t.trim() })}
        />
        <label>
          <span className="mb-1 block text-sm">Cut</span>
          <input
            className="field num w-full"
            type="number"
            min={1}
            max={20}
            value={choices.cut}
            onChange={(e) => choose({ cut: Math.min(20, Math.max(1, Math.round(Number(e.target.value)) || 1)) })}
          />
        </label>
      </div>
      <Line choices={choices} />
      <SeamInside choices={choices} />
      <Tools />
      <Edges traced={traced} choices={choices} />
      <Marks traced={traced} choices={choices} />
      <div className="flex items-start gap-4">
        <SmallPiece piece={traced.piece} tall="h-[150px]" />
        <Turn choices={choices} orientation={traced.orientation} />
      </div>
      {traced.notes.length > 0 && (
        <Notice grade="note">
          {traced.notes.map((n) => (
            <p key={n.code}>{sayTraceNote(n, units)}</p>
          ))}
        </Notice>
      )}
      {problems[0] && (
        <Notice grade="look">It cannot be taken so: {sayProblem(problems[0].code, problems[0].data, units)}</Notice>
      )}
      {failed && <Notice grade="fault">{sayFileRefusal(failed, units)}</Notice>}
      <OtherSizes traced={traced} choices={choices} />
      <div className="sticky bottom-0 -mx-4 -mb-4 border-t border-line bg-white px-4 py-3">
        <div className="flex flex-wrap gap-2">
          <button className="btn btn-main" disabled={problems.length > 0} onClick={take}>
            Take it into the pattern
          </button>
          <button className="btn" onClick={leavePiece}>
            Leave it
          </button>
        </div>
      </div>
    </section>
  );
}

function Line({ choices }: { readonly choices: TraceChoices }) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm">The outline drawn is the</legend>
      <div className="flex flex-wrap gap-x-5">
        {(['cutting', 'sewing'] as const).map((line) => (
          <label key={line} className="flex min-h-[40px] items-center gap-2">
            <input
              type="radio"
              name="line"
              className="size-5 accent-carbon"
              checked={choices.line === line}
              onChange={() => choose({ line })}
            />
            {line} line
          </label>
        ))}
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <LengthField
          label={choices.line === 'cutting' ? 'Allowance included' : 'Allowance to add'}
          value={choices.allowance}
          min={0}
          max={100}
          width="w-36"
          onCommit={(v) => v !== null && choose({ allowance: v })}
        />
        {choices.line === 'cutting' && (
          <label className="flex min-h-[40px] items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-carbon"
              checked={choices.corners === 'mitred'}
              onChange={(e) => choose({ corners: e.target.checked ? 'mitred' : 'asDrawn' })}
            />
            bevelled corners are only trimmed
          </label>
        )}
      </div>
    </fieldset>
  );
}

/** Where the file draws the seam line as well, it is better than one worked out from the cutting line. */
function SeamInside({ choices }: { readonly choices: TraceChoices }) {
  const lines = useSheet();
  const picked = useBring((s) => s.picked);
  const inner = useMemo(() => {
    if (!lines || !picked || choices.line === 'sewing') return null;
    const groups = grouped(lines.strokes, (s) => `${s.layer} ${s.style} ${s.block}`);
    for (const strokes of groups.values()) {
      const found = lineInside(picked.ring, allRings(strokes));
      if (found) return { ...found, own: new Set(found.ring.strokes.map((i) => strokes[i])) };
    }
    return null;
  }, [lines, picked, choices.line]);
  if (!inner || !picked) return null;
  return (
    <Notice grade="note">
      A second line runs <Length value={inner.allowance} both /> inside this one: the seam line, most likely.
      <button
        className="btn mt-2"
        onClick={() => {
          useBring.setState({ picked: { ring: inner.ring, others: picked.others.filter((s) => !inner.own.has(s)) } });
          choose({ line: 'sewing', allowance: inner.allowance });
        }}
      >
        Take the seam line itself
      </button>
    </Notice>
  );
}

function Tools() {
  const tool = useBring((s) => s.tool);
  const clicks = useBring((s) => s.clicks.length);
  const now = TOOLS.find((t) => t.id === tool);
  return (
    <div>
      <div className="flex flex-wrap gap-1" role="group" aria-label="What a click on the sheet does">
        {TOOLS.map((t) => (
          <button
            key={t.id}
            className={`btn !px-2.5 ${tool === t.id ? '!bg-tissue font-bold' : ''}`}
            aria-pressed={tool === t.id}
            onClick={() => useBring.setState({ tool: t.id as Tool, clicks: [] })}
          >
            {t.name}
          </button>
        ))}
      </div>
      <p className="mt-1 text-sm text-quiet" role="status">
        {now?.says[clicks] ?? now?.says[0]}
      </p>
    </div>
  );
}

const ROLES = EDGE_ROLES.filter((r) => r !== 'dart');

/** The edges in order, each with what it is, its allowance, and whether it lies on the fold. */
function Edges({ traced, choices }: { readonly traced: Traced; readonly choices: TraceChoices }) {
  const chosen = useBring((s) => s.chosenEdge);
  const say = (i: number, what: { role?: EdgeRole; allowance?: number; fold?: boolean }) => {
    const edge = traced.edges[i];
    if (edge) choose({ said: [...choices.said, { at: middleOfEdge(edge), ...what }] });
  };
  return (
    <fieldset>
      <legend className="mb-1 text-sm">Edges</legend>
      <ul>
        {traced.edges.map((e, i) =>
          e.role === 'dart' ? null : (
            <li key={i} className={`flex flex-wrap items-center gap-2 py-0.5 ${chosen === i ? 'bg-tissue' : ''}`}>
              <select
                className="field !min-h-[36px] w-[138px]"
                aria-label={`Edge ${i + 1} is the`}
                value={e.role}
                onFocus={() => useBring.setState({ chosenEdge: i })}
                onChange={(event) => say(i, { role: event.target.value as EdgeRole })}
              >
                {ROLES.map((r) => (
                  <option key={r} value={r}>
                    {ROLE_WORDS[r]}
                  </option>
                ))}
              </select>
              <LengthField
                label={`Allowance of edge ${i + 1}`}
                bare
                value={e.allowance}
                min={0}
                max={100}
                width="w-[92px]"
                onFocus={() => useBring.setState({ chosenEdge: i })}
                onCommit={(v) => v !== null && say(i, { allowance: v })}
              />
              <label className="flex items-center gap-1.5">
                <input
                  type="checkbox"
                  className="size-5 accent-carbon"
                  checked={e.fold}
                  aria-label={`Edge ${i + 1} lies on the fold`}
                  onChange={(event) => say(i, { fold: event.target.checked })}
                />
                fold
              </label>
            </li>
          ),
        )}
      </ul>
    </fieldset>
  );
}

const SIGNS = { legs: 'by its legs', notches: 'by notches and a hole', cut: 'cut out of the edge' } as const;

function Marks({ traced, choices }: { readonly traced: Traced; readonly choices: TraceChoices }) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm">Darts and marks</legend>
      <ul>
        {traced.darts.map((d, i) => (
          <li key={i} className="flex min-h-[40px] items-center justify-between gap-2">
            <span>Dart {SIGNS[d.sign]}</span>
            <button
              className="text-sm underline"
              onClick={() =>
                choose({
                  notDarts: [...choices.notDarts, d.tip],
                  ownDarts: choices.ownDarts.filter((o) => o.tip !== d.tip),
                })
              }
            >
              not a dart
            </button>
          </li>
        ))}
        {traced.notches.map((n, i) => (
          <li key={`n${i}`} className="flex min-h-[36px] items-center justify-between gap-2">
            <span>{n.count === 1 ? 'Notch' : n.count === 2 ? 'Double notch' : 'Triple notch'}</span>
            <button
              className="text-sm underline"
              onClick={() =>
                choose({
                  notNotches: [...choices.notNotches, n.at],
                  ownNotches: choices.ownNotches.filter((o) => o !== n.at),
                })
              }
            >
              not a notch
            </button>
          </li>
        ))}
      </ul>
      <p className="text-sm text-quiet">
        {traced.grain ? 'Grain line found.' : 'No grain line yet.'}{' '}
        {traced.bustPoint ? 'Bust point placed.' : choices.part === 'front' ? 'No bust point yet.' : ''}
      </p>
    </fieldset>
  );
}

/** How the piece lies on the table: neck up, grain upright. */
function Turn({ choices, orientation }: { readonly choices: TraceChoices; readonly orientation: Orientation }) {
  const set = (next: Partial<Orientation>) => choose({ orientation: { ...orientation, ...next } });
  return (
    <div className="flex flex-col items-start gap-2">
      <span className="text-sm">As it will lie on the table</span>
      <button className="btn" onClick={() => set({ angle: orientation.angle + Math.PI / 2 })}>
        Turn a quarter
      </button>
      <button
        className="btn"
        aria-pressed={orientation.mirrored}
        onClick={() => set({ mirrored: !orientation.mirrored })}
      >
        Turn over
      </button>
      {choices.orientation && (
        <button className="text-sm underline" onClick={() => choose({ orientation: null })}>
          by the grain
        </button>
      )}
    </div>
  );
}
