import { pathLength } from '@ample/core/geometry';
import { useMemo } from 'react';
import type { Lines } from '@ample/core/in/tracing';
import { useImport } from '../../store/import.ts';
import { Length } from '../../shared/basics.tsx';
import { COLOURS } from '@ample/core/out';

/** Layers of the file, and kinds of line where it has none: switched on and off, or one alone. */
export function Kinds({ lines }: { readonly lines: Lines }) {
  const hidden = useImport((s) => s.hidden);
  const styles = useMemo(() => {
    const total = new Map<string, { count: number; length: number }>();
    for (const s of lines.strokes) {
      const t = total.get(s.style) ?? { count: 0, length: 0 };
      total.set(s.style, { count: t.count + 1, length: t.length + pathLength(s.path) });
    }
    return lines.styles
      .flatMap((s) => {
        const t = total.get(s.id);
        return t ? [{ ...s, ...t }] : [];
      })
      .sort((a, b) => b.length - a.length)
      .slice(0, 40);
  }, [lines]);
  const set = (kind: 'layers' | 'styles', list: readonly string[]) =>
    useImport.setState({ hidden: { ...hidden, [kind]: list }, picked: null, choices: null });
  const toggle = (kind: 'layers' | 'styles', id: string, on: boolean) =>
    set(kind, on ? hidden[kind].filter((x) => x !== id) : [...hidden[kind], id]);
  const alone = (kind: 'layers' | 'styles', id: string, all: readonly string[]) =>
    set(kind, hidden[kind].length === all.length - 1 && !hidden[kind].includes(id) ? [] : all.filter((x) => x !== id));
  return (
    <>
      {lines.layers.length > 1 && <LayerChoice lines={lines} hidden={hidden} toggle={toggle} alone={alone} />}
      {styles.length > 1 && <KindChoice styles={styles} hidden={hidden} toggle={toggle} alone={alone} />}
    </>
  );
}

function LayerChoice({
  lines,
  hidden,
  toggle,
  alone,
}: {
  readonly lines: Lines;
  readonly hidden: { readonly layers: readonly string[]; readonly styles: readonly string[] };
  readonly toggle: (kind: 'layers' | 'styles', id: string, on: boolean) => void;
  readonly alone: (kind: 'layers' | 'styles', id: string, all: readonly string[]) => void;
}) {
  return (
    <fieldset className="card p-4">
      <legend className="bg-page px-1 text-sm">Layers</legend>
      <div className="max-h-64 overflow-auto" tabIndex={0} role="group" aria-label="Layers, to scroll">
        {lines.layers.map((l) => (
          <Row
            key={l.id}
            name={l.name}
            on={!hidden.layers.includes(l.id)}
            onToggle={(on) => toggle('layers', l.id, on)}
            onAlone={() =>
              alone(
                'layers',
                l.id,
                lines.layers.map((x) => x.id),
              )
            }
          />
        ))}
      </div>
    </fieldset>
  );
}

function KindChoice({
  styles,
  hidden,
  toggle,
  alone,
}: {
  readonly styles: {
    count: number;
    length: number;
    id: string;
    color: string | null;
    width: number;
    dash: readonly number[];
  }[];
  readonly hidden: { readonly layers: readonly string[]; readonly styles: readonly string[] };
  readonly toggle: (kind: 'layers' | 'styles', id: string, on: boolean) => void;
  readonly alone: (kind: 'layers' | 'styles', id: string, all: readonly string[]) => void;
}) {
  return (
    <fieldset className="card p-4">
      <legend className="bg-page px-1 text-sm">Kinds of line</legend>
      <div className="max-h-64 overflow-auto" tabIndex={0} role="group" aria-label="Kinds of line, to scroll">
        {styles.map((s) => (
          <Row
            key={s.id}
            name={
              <>
                <LineSample color={s.color} width={s.width} dash={s.dash} />
                <span className="num text-sm whitespace-nowrap">
                  {s.count} × <span className="sr-only">lines, in all</span> <Length value={s.length} />
                </span>
              </>
            }
            label={`${s.color ?? 'plain'} ${s.dash.length > 0 ? `dashed ${s.dash.join(' ')} mm ` : ''}line, ${s.width} mm wide`}
            on={!hidden.styles.includes(s.id)}
            onToggle={(on) => toggle('styles', s.id, on)}
            onAlone={() =>
              alone(
                'styles',
                s.id,
                styles.map((x) => x.id),
              )
            }
          />
        ))}
      </div>
    </fieldset>
  );
}

function Row({
  name,
  label,
  on,
  onToggle,
  onAlone,
}: {
  readonly name: React.ReactNode;
  readonly label?: string;
  readonly on: boolean;
  readonly onToggle: (on: boolean) => void;
  readonly onAlone: () => void;
}) {
  return (
    <div className="flex items-center gap-2">
      <label className="flex min-h-[40px] min-w-0 flex-1 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 shrink-0 accent-carbon"
          checked={on}
          onChange={(e) => onToggle(e.target.checked)}
          {...(label === undefined ? {} : { 'aria-label': label })}
        />
        {typeof name === 'string' ? <span className="truncate">{name}</span> : name}
      </label>
      <button className="link shrink-0 text-sm" onClick={onAlone}>
        only<span className="sr-only"> {label ?? (typeof name === 'string' ? name : '')}</span>
      </button>
    </div>
  );
}

/** Pixels for a millimetre of dash in a sample: large enough to tell two patterns apart. */
const SAMPLE_SCALE = 3.5;

/** A bit of line drawn as the file draws it. */
export function LineSample({
  color,
  width,
  dash,
}: {
  readonly color: string | null;
  readonly width: number;
  readonly dash: readonly number[];
}) {
  return (
    <svg width="34" height="14" aria-hidden="true" className="shrink-0">
      <line
        x1="1"
        x2="33"
        y1="7"
        y2="7"
        stroke={color ?? COLOURS.ink}
        strokeWidth={Math.min(4, Math.max(1.5, width * 4))}
        strokeDasharray={dash.length > 0 ? dash.map((v) => Math.max(1.5, v * SAMPLE_SCALE)).join(' ') : undefined}
      />
    </svg>
  );
}
