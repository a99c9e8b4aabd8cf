import { useMemo, useState } from 'react';
import { centreEdgeOf, validatePiece, type CentreInside, type Piece } from '@ample/core/pattern';
import {
  grouped,
  allRings,
  lineInside,
  lookOf,
  type Orientation,
  type TraceChoices,
  type Traced,
} from '@ample/core/in/tracing';
import { PIECE_WORDS, sayFileRefusal, sayProblem, sayTraceNote } from '@ample/core/words';
import type { Refusal } from '@ample/core/units';
import { choose, leavePiece, useImport, type Tool } from '../../store/import.ts';
import { layBack } from '../../store/contact.ts';
import { takePieces } from '../../store/takePiece.ts';
import { useUnits } from '../../store/prefs.ts';
import { CentreFields } from '../../shared/CentreFields.tsx';
import { LengthField } from '../../shared/LengthField.tsx';
import { Length, Notice } from '../../shared/basics.tsx';
import { PartSelect } from '../../ui/PartSelect.tsx';
import { NameField } from '../../ui/NameField.tsx';
import { SmallPiece } from '../../ui/SmallPiece.tsx';
import { OtherSizes } from './OtherSizes.tsx';
import { Edges } from './PieceEdges.tsx';
import { Marks } from './PieceMarks.tsx';
import { useSheet } from './SheetView.tsx';
import { TOOLS } from './tools.ts';
import { en } from '@ample/core/speech';
import { Radio } from '../../ui/Radio.tsx';
import { Check } from '../../ui/Check.tsx';

/** A part's own name goes into the name as long as none was typed. */
const named = (choices: TraceChoices, part: Piece['part']): Partial<TraceChoices> => {
  const plain = choices.name === 'Piece' || Object.values(PIECE_WORDS).includes(choices.name);
  return plain ? { part, name: PIECE_WORDS[part], id: part } : { part };
};

/** Everything about one piece: what it is, which line was drawn, its edges, darts and marks; then it is taken. */
export function PiecePanel({ traced, choices }: { readonly traced: Traced; readonly choices: TraceChoices }) {
  const units = useUnits();
  const { size, name } = useImport();
  const inHand = useImport((s) => s.contact?.inHand ?? null);
  const [failed, setFailed] = useState<Refusal | null>(null);
  const problems = useMemo(() => validatePiece(traced.piece), [traced]);
  // A piece whose allowance could not be taken off would be cut wrong: so it is shown apart from mere notes.
  const wrong = traced.notes.filter((n) => n.code === 'allowance-missed');
  const told = traced.notes.filter((n) => n.code !== 'allowance-missed');
  const take = () => {
    const done = takePieces([{ piece: traced.piece, size }], name);
    if (!done.ok) return setFailed(done.error);
    leavePiece();
  };
  return (
    <section className="card space-y-4 p-4" aria-label="The piece">
      <LastChoice />
      <PieceChoices choices={choices} size={size} />
      <Line choices={choices} />
      <SeamInside choices={choices} />
      <Tools />
      <CentreInside choices={choices} traced={traced} />
      <Edges traced={traced} choices={choices} />
      <Marks traced={traced} choices={choices} />
      <div className="flex items-start gap-4">
        <SmallPiece piece={traced.piece} tall="h-[150px]" />
        <Turn choices={choices} orientation={traced.orientation} />
      </div>
      {wrong.map((n) => (
        <Notice key={n.code} grade="fault">
          {sayTraceNote(n, units)}
        </Notice>
      ))}
      {told.length > 0 && (
        <Notice grade="note">
          {told.map((n) => (
            <p key={n.code}>{sayTraceNote(n, units)}</p>
          ))}
        </Notice>
      )}
      {problems[0] && (
        <Notice grade="look">
          It cannot be taken as it is: {sayProblem(problems[0].code, problems[0].data, units)}
        </Notice>
      )}
      {failed && <Notice grade="fault">{sayFileRefusal(failed, units)}</Notice>}
      {inHand === null && <OtherSizes traced={traced} choices={choices} />}
      <div className="sticky bottom-0 -mx-4 -mb-4 border-t border-line bg-white px-4 py-3">
        {inHand === null ? (
          <div className="flex flex-wrap gap-2">
            <button className="btn btn-main" disabled={problems.length > 0} onClick={take}>
              Add it to the pattern
            </button>
            <button className="btn" onClick={leavePiece}>
              Leave it
            </button>
          </div>
        ) : (
          <button className="btn btn-main" onClick={layBack}>
            Put it back with the others
          </button>
        )}
      </div>
    </section>
  );
}

function PieceChoices({ choices, size }: { readonly choices: TraceChoices; readonly size: string }) {
  return (
    <div className="grid grid-cols-2 gap-3">
      <PartSelect part={choices.part} onChange={(part) => choose(named(choices, part))} />
      <NameField
        label="Name"
        value={choices.name}
        max={80}
        required
        onCommit={(text) => {
          const clean = text.trim();
          if (clean !== '') choose({ name: clean, id: clean.toLowerCase().replace(/[^a-z0-9]+/g, '-') || choices.id });
        }}
      />
      <NameField
        label="Size"
        value={size}
        max={20}
        required
        onCommit={(t) => t.trim() !== '' && useImport.setState({ size: t.trim() })}
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
  );
}

/** Why the last choice was not taken. */
function LastChoice() {
  const units = useUnits();
  const failed = useImport((s) => s.choiceFailed);
  return failed && <Notice grade="look">{sayFileRefusal(failed, units)}</Notice>;
}

function Line({ choices }: { readonly choices: TraceChoices }) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm">The outline drawn is the</legend>
      <div className="flex flex-wrap gap-x-5">
        {(['cutting', 'sewing'] as const).map((line) => (
          <Radio key={line} name="line" on={choices.line === line} set={() => choose({ line })}>
            {line}line
          </Radio>
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
          <Check on={choices.corners === 'mitred'} set={(on) => choose({ corners: on ? 'mitred' : 'asDrawn' })}>
            bevelled corners are only trimmed
          </Check>
        )}
      </div>
    </fieldset>
  );
}

/** Where the centre lies when an extension or a facing is cut on: measured from the outer edge. */
function CentreInside({ choices, traced }: { readonly choices: TraceChoices; readonly traced: Traced }) {
  const { piece } = traced;
  const [centre, fold] = [centreEdgeOf(piece), piece.beyond?.folds[0]];
  if ((choices.part !== 'front' && choices.part !== 'back') || !centre || piece.fold !== null) return null;
  const outer = piece.beyond ? farthestFrom(piece, centre.path.start.x) : 0;
  const at =
    typeof choices.centreInside === 'object' && choices.centreInside
      ? choices.centreInside
      : { centre: outer, fold: fold ? outer - Math.abs(fold.from.x - centre.path.start.x) : null };
  const set = (now: CentreInside): void => choose({ centreInside: now.centre > 0 ? now : 'edge' });
  return (
    <fieldset>
      <legend className="mb-1 text-sm">{en`Where the centre lies`}</legend>
      <div className="flex flex-wrap items-end gap-3">
        <CentreFields at={at} onChange={set} />
      </div>
    </fieldset>
  );
}

const farthestFrom = (piece: Piece, x: number): number =>
  Math.max(0, ...(piece.beyond?.edges ?? []).map((e) => Math.abs(e.path.start.x - x)));

/** Where the file draws the seam line as well, it is better than one worked out from the cutting line. */
function SeamInside({ choices }: { readonly choices: TraceChoices }) {
  const lines = useSheet();
  const picked = useImport((s) => s.picked);
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
          const [line] = inner.own;
          useImport.setState({
            picked: {
              ring: inner.ring,
              look: line ? lookOf(line) : null,
              others: picked.others.filter((s) => !inner.own.has(s)),
            },
          });
          choose({ line: 'sewing', allowance: inner.allowance });
        }}
      >
        Take the seam line itself
      </button>
    </Notice>
  );
}

function Tools() {
  const tool = useImport((s) => s.tool);
  const clicks = useImport((s) => s.clicks.length);
  const now = TOOLS.find((t) => t.id === tool);
  return (
    <div>
      <div className="flex flex-wrap gap-1" role="group" aria-label="What a click on the sheet does">
        {TOOLS.map((t) => (
          <button
            key={t.id}
            className={`btn !px-2.5 ${tool === t.id ? '!bg-tissue font-bold' : ''}`}
            aria-pressed={tool === t.id}
            onClick={() => useImport.setState({ tool: t.id as Tool, clicks: [] })}
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
        <button className="link text-sm" onClick={() => choose({ orientation: null })}>
          by the grain
        </button>
      )}
    </div>
  );
}
