import { useState } from 'react';
import {
  centreEdgeOf,
  neckAway,
  partAtCentre,
  withNeckOn,
  withNecksFound,
  type Buttons,
  type CentreInside,
  type Pattern,
  type Piece,
} from '@ample/core/pattern';
import { underarmDropOf } from '@ample/core/fitting/fit';
import type { Refusal } from '@ample/core/units';
import { sayMeasuredFrom, sayRefusal } from '@ample/core/words';
import { editPattern } from '../../store/patterns.ts';
import { useUnits } from '../../store/prefs.ts';
import { CentreFields } from '../../shared/CentreFields.tsx';
import { LengthField } from '../../shared/LengthField.tsx';
import { Notice } from '../../shared/basics.tsx';
import { en } from '@ample/core/speech';
import { Check } from '../../ui/Check.tsx';

interface Props {
  readonly pattern: Pattern;
  readonly size: string | null;
  readonly own: boolean;
  readonly pieces: readonly Piece[];
}

/** Where neck, centre and underarm lie when it is not at their edges: to read, and on a pattern of one's own to put right. */
export function WhereBodyLies({ pattern, size, own, pieces }: Props) {
  const units = useUnits();
  const told = sayMeasuredFrom(pattern, size, units);
  if (pieces.length === 0 || (told.length === 0 && !own)) return null;
  return (
    <section className="mb-5" aria-label={en`Where neck, centre and underarm lie`}>
      <h2 className="mb-1">{en`Where neck, centre and underarm lie`}</h2>
      {told.map((t) => (
        <p key={t} className="max-w-[76ch]">
          {t}
        </p>
      ))}
      {told.length === 0 && (
        <p className="text-quiet">{en`The neckline lies on the neck, and the centre is the edge of the paper.`}</p>
      )}
      {own && <PutRight pattern={pattern} size={size} pieces={pieces} />}
    </section>
  );
}

function PutRight({ pattern, size, pieces }: Omit<Props, 'own'>) {
  const drop = size === null ? null : underarmDropOf(pattern, size, { pieces, seams: pattern.seams });
  return (
    <details className="card mt-2 p-3">
      <summary className="min-h-[40px] cursor-pointer py-2">Correct it by hand, in all sizes</summary>
      <div className="flex flex-wrap items-end gap-3 border-t border-line py-3">
        {(['front', 'back'] as const).map((part) => {
          const piece = pieces.find((p) => p.part === part);
          if (!piece || !centreEdgeOf(piece)) return null;
          const away = neckAway(piece);
          return (
            <div key={part} className="flex flex-wrap gap-3">
              <LengthField
                label={`${part === 'front' ? 'Front' : 'Back'} neckline out from the neck`}
                value={away.out}
                signed
                min={-60}
                max={200}
                width="w-56"
                onCommit={(out) => out !== null && editPattern((p) => withNeckOn(p, part, { out }))}
              />
              <LengthField
                label={part === 'front' ? 'Below the pit of the neck' : 'Below the nape'}
                value={away.below}
                signed
                min={-100}
                max={400}
                width="w-56"
                onCommit={(below) => below !== null && editPattern((p) => withNeckOn(p, part, { below }))}
              />
            </div>
          );
        })}
        <button className="btn" onClick={() => editPattern((p) => withNecksFound(p, true))}>
          Find the neck by the chart
        </button>
      </div>
      {size !== null && (
        <div className="border-t border-line py-3">
          <LengthField
            label={`Underarm below the body’s, size ${size}`}
            value={drop}
            optional
            signed
            min={-60}
            max={400}
            width="w-72"
            onCommit={(v) =>
              editPattern((p) => {
                const { [size]: _was, ...others } = p.underarmDrop;
                return { ...p, underarmDrop: v === null ? others : { ...others, [size]: v } };
              })
            }
          />
        </div>
      )}
      {pieces
        .filter((p) => (p.part === 'front' || p.part === 'back') && p.fold === null && centreEdgeOf(p))
        .map((p) => (
          <Centre key={p.id} piece={p} />
        ))}
    </details>
  );
}

const onEverySize = (pattern: Pattern, id: string, change: (piece: Piece) => Piece): Pattern => ({
  ...pattern,
  sizes: Object.fromEntries(
    Object.entries(pattern.sizes).map(([size, all]) => [size, all.map((p) => (p.id === id ? change(p) : p))]),
  ),
});

/** The centre of one piece inside its paper, and its buttons. */
function Centre({ piece }: { readonly piece: Piece }) {
  const units = useUnits();
  const [at, setAt] = useState<CentreInside>({ centre: 0, fold: null });
  const [failed, setFailed] = useState<Refusal | null>(null);
  const part = (): void => {
    const tried = partAtCentre(piece, at);
    setFailed(tried.ok ? null : tried.error);
    if (!tried.ok) return;
    editPattern((p) =>
      onEverySize(p, piece.id, (q) => {
        const done = partAtCentre(q, at);
        return done.ok ? done.value : q;
      }),
    );
  };
  return (
    <div className="border-t border-line py-3" role="group" aria-label={en`Centre of ${piece.name}`}>
      <h3 className="mb-2">{piece.name}</h3>
      {piece.beyond ? (
        <ButtonFields piece={piece} />
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <CentreFields at={at} onChange={setAt} />
          <button className="btn" disabled={at.centre <= 0} onClick={part}>
            {en`Measure from this centre`}
          </button>
        </div>
      )}
      {failed && <Notice grade="look">{sayRefusal(failed, units)}</Notice>}
    </div>
  );
}

const NO_BUTTONS: Buttons = { count: 7, first: 12, last: 60, atBust: true, atWaist: true };

function ButtonFields({ piece }: { readonly piece: Piece }) {
  const { buttons } = piece;
  const set = (now: Buttons | undefined): void =>
    editPattern((p) =>
      onEverySize(p, piece.id, ({ buttons: _was, ...rest }) => (now ? { ...rest, buttons: now } : rest)),
    );
  if (!buttons)
    return (
      <button className="btn" onClick={() => set(NO_BUTTONS)}>
        {en`Put buttons on the centre`}
      </button>
    );
  return (
    <div className="flex flex-wrap items-end gap-3">
      <label>
        <span className="mb-1 block text-sm">Buttons</span>
        <input
          className="field num w-24"
          type="number"
          min={1}
          max={40}
          value={buttons.count}
          onChange={(e) =>
            set({ ...buttons, count: Math.min(40, Math.max(1, Math.round(Number(e.target.value)) || 1)) })
          }
        />
      </label>
      <LengthField
        label="First below the neckline"
        value={buttons.first}
        min={0}
        max={1000}
        width="w-44"
        onCommit={(v) => v !== null && set({ ...buttons, first: v })}
      />
      <LengthField
        label="Last above the lower edge"
        value={buttons.last}
        signed
        min={-50}
        max={1500}
        width="w-44"
        onCommit={(v) => v !== null && set({ ...buttons, last: v })}
      />
      {(
        [
          ['atBust', 'one level with the bust'],
          ['atWaist', 'one at the waist'],
        ] as const
      ).map(([key, name]) => (
        <Check key={key} on={buttons[key]} set={(on) => set({ ...buttons, [key]: on })}>
          {name}
        </Check>
      ))}
      <button className="btn" onClick={() => set(undefined)}>
        Remove the buttons
      </button>
    </div>
  );
}
