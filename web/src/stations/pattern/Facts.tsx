import type { ReactNode } from 'react';
import { SAMPLE_IDS, sampleName } from '@ample/core/blocks';
import { likeOf } from '@ample/core/fitting/plan';
import type { Pattern } from '@ample/core/pattern';
import { copyPattern, editPattern } from '../../store/patterns.ts';
import { CupFields } from './CupFields.tsx';
import { LengthField } from '../../shared/LengthField.tsx';
import { NameField } from '../../ui/NameField.tsx';
import { Length } from '../../shared/basics.tsx';
import { Select } from '../../ui/Select.tsx';

/** What is known of a sample, to read. */
export function ReadFacts({ pattern, allowance }: { readonly pattern: Pattern; readonly allowance: number }) {
  return (
    <div className="mb-4">
      <dl className="flex flex-wrap gap-x-8 gap-y-2">
        <Fact name="Cloth">
          {pattern.fabric.kind === 'woven'
            ? 'woven, no stretch'
            : `knit, stretches by ${Math.round(pattern.fabric.stretch * 100)} %`}
        </Fact>
        {pattern.garment === 'top' && (
          <Fact name="Drafted for a cup of">
            <Length value={pattern.draftCup} both />
          </Fact>
        )}
        {pattern.draftedHeight !== null && (
          <Fact name="Drafted for a height of">
            <Length value={pattern.draftedHeight} />
          </Fact>
        )}
        <Fact name="Seam allowance">
          <Length value={allowance} both />
        </Fact>
      </dl>
      <button className="btn mt-3" onClick={copyPattern}>
        Make it my own to change it
      </button>
    </div>
  );
}

const Fact = ({ name, children }: { readonly name: string; readonly children: ReactNode }) => (
  <div>
    <dt className="text-sm text-quiet">{name}</dt>
    <dd>{children}</dd>
  </div>
);

/** The seam allowance of every edge with a role, on every piece of every size. */
const setAllowance = (value: number): void =>
  editPattern((p) => ({
    ...p,
    allowance: value,
    sizes: Object.fromEntries(
      Object.entries(p.sizes).map(([size, pieces]) => [
        size,
        pieces.map((piece) => ({
          ...piece,
          edges: piece.edges.map((e) => (e.id === piece.fold || e.role === 'hem' ? e : { ...e, allowance: value })),
        })),
      ]),
    ),
  }));

/** The same of one's own pattern, to set. */
export function OwnFacts({ pattern }: { readonly pattern: Pattern }) {
  const paper = Object.values(pattern.sizes).every((pieces) => pieces.length === 0);
  return (
    <section className="card mb-5 grid gap-4 p-4 min-[700px]:grid-cols-3" aria-label="About the pattern">
      <Names pattern={pattern} />
      <Choice
        label="Cloth"
        value={pattern.fabric.kind}
        options={[
          ['woven', 'woven'],
          ['knit', 'knit'],
        ]}
        onChange={(kind) => editPattern((p) => ({ ...p, fabric: { ...p.fabric, kind } }))}
      />
      {pattern.fabric.kind === 'knit' && <StretchField pattern={pattern} />}
      <Choice
        label="Style"
        value={pattern.style}
        options={[
          ['fitted', 'fitted'],
          ['loose', 'loose'],
        ]}
        onChange={(style) => editPattern((p) => ({ ...p, style }))}
      />
      <Choice
        label="Hangs from"
        value={pattern.garment}
        options={[
          ['top', 'the shoulder: size by high bust'],
          ['bottom', 'the waist: size by hip'],
        ]}
        onChange={(garment) => editPattern((p) => ({ ...p, garment }))}
      />
      <LengthField
        label="Draft cup (full less high bust; not a bra size)"
        value={pattern.draftCup}
        min={0}
        max={400}
        width="w-full"
        onCommit={(v) => v !== null && editPattern((p) => ({ ...p, draftCup: v }))}
      />
      <LengthField
        label="Drafted for a height of"
        value={pattern.draftedHeight}
        optional
        min={500}
        max={2500}
        width="w-full"
        onCommit={(v) => editPattern((p) => ({ ...p, draftedHeight: v }))}
      />
      <LengthField
        label="Seam allowance (hems keep their own)"
        value={pattern.allowance}
        min={0}
        max={100}
        width="w-full"
        onCommit={(v) => v !== null && setAllowance(v)}
      />
      {paper && (
        <Choice
          label="Most like, for the drawings of the hand sheets"
          value={likeOf(pattern)}
          options={SAMPLE_IDS.map((id) => [id, sampleName(id)] as const)}
          onChange={(like) => editPattern((p) => ({ ...p, like }))}
        />
      )}
      <CupFields pattern={pattern} />
    </section>
  );
}

const Names = ({ pattern }: { readonly pattern: Pattern }) => (
  <>
    <NameField label="Name" value={pattern.name} required onCommit={(name) => editPattern((p) => ({ ...p, name }))} />
    <NameField label="House" value={pattern.house} onCommit={(house) => editPattern((p) => ({ ...p, house }))} />
    <NameField
      label="Number"
      max={40}
      value={pattern.number}
      onCommit={(number) => editPattern((p) => ({ ...p, number }))}
    />
  </>
);

function StretchField({ pattern }: { readonly pattern: Pattern }) {
  return (
    <label>
      <span className="mb-1 block text-sm">Stretches by, %</span>
      <input
        className="field num w-full"
        type="number"
        min={0}
        max={200}
        value={Math.round(pattern.fabric.stretch * 100)}
        onChange={(e) => {
          const share = Math.min(2, Math.max(0, Number(e.target.value) / 100));
          if (Number.isFinite(share)) editPattern((p) => ({ ...p, fabric: { ...p.fabric, stretch: share } }));
        }}
      />
    </label>
  );
}

function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, string])[];
  readonly onChange: (v: T) => void;
}) {
  return (
    <Select label={label} value={value} set={(chosen) => onChange(chosen as T)} wide>
      {options.map(([id, name]) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </Select>
  );
}
