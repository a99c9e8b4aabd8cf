import { inWords } from '@ample/core/speech';
import { useMemo } from 'react';
import { MM_PER, doubtSize, findSquares, type Lines, type UnitName } from '@ample/core/in/tracing';
import { useImport } from '../../store/import.ts';
import { Length, Notice } from '../../shared/basics.tsx';
import { Measured } from './Measured.tsx';
import type { FoundSquare } from '@ample/core/in/tracing';
import type { Point } from '@ample/core/geometry';
import { Select } from '../../ui/Select.tsx';

const UNITS: readonly (readonly [UnitName, string])[] = inWords([
  ['mm', 'millimetres'],
  ['cm', 'centimetres'],
  ['in', 'inches'],
  ['pt', 'points, 72 to the inch'],
  ['px', 'pixels, 96 to the inch'],
]);

export function Scale({ lines }: { readonly lines: Lines }) {
  const { raw, unit, scale, tool } = useImport();
  const squares = useMemo(() => findSquares(lines.strokes).slice(0, 4), [lines]);
  // The square often stands on a page that is not part of the drawing.
  const others = useMemo(() => {
    if (!raw || squares.length > 0) return [];
    const k = (MM_PER[unit] / MM_PER[raw.unit.name]) * scale;
    return findSquares(raw.strokes)
      .map((s) => ({ ...s, side: s.side * k }))
      .slice(0, 2);
  }, [raw, squares, unit, scale]);
  const doubt = useMemo(() => doubtSize(lines), [lines]);
  const rescale = (k: number) => useImport.setState({ scale: scale * k, picked: null, choices: null, clicks: [] });
  if (!raw) return null;
  return (
    <fieldset className="card p-4">
      <legend className="bg-page px-1 text-sm">Scale</legend>
      <UnitChoice raw={raw} unit={unit} />
      {doubt && (
        <div className="mt-3">
          <Notice grade="look">
            The largest outline is <Length value={doubt.longest} /> long, which no piece is. The numbers were more
            likely meant in {UNITS.find(([id]) => id === doubt.likely)?.[1]}.
            <button
              className="btn mt-2"
              onClick={() => useImport.setState({ unit: doubt.likely, picked: null, choices: null, clicks: [] })}
            >
              Convert it
            </button>
          </Notice>
        </div>
      )}
      <SquareList squares={squares} others={others} rescale={rescale} />
      <button
        className="btn mt-2"
        aria-pressed={tool === 'measure'}
        onClick={() => useImport.setState({ tool: tool === 'measure' ? 'pick' : 'measure', clicks: [] })}
      >
        {tool === 'measure' ? 'Done measuring' : 'Measure the test square'}
      </button>
      {tool === 'measure' && <Measured onTrue={rescale} />}
      {scale !== 1 && (
        <p className="mt-2 text-sm">
          Everything is read <span className="num">{(scale * 100).toFixed(2)}</span> % of its size in the file.{' '}
          <button className="link" onClick={() => rescale(1 / scale)}>
            Read it at face value
          </button>
        </p>
      )}
    </fieldset>
  );
}

function UnitChoice({ raw, unit }: { readonly raw: Lines; readonly unit: UnitName }) {
  return (
    <Select
      label={<>Numbers in the file are {raw.unit.stated ? '(the file says so)' : '(not said; taken by the size)'}</>}
      value={unit}
      set={(chosen) => useImport.setState({ unit: chosen as UnitName, picked: null, choices: null, clicks: [] })}
      wide
    >
      {UNITS.map(([id, name]) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </Select>
  );
}

function SquareList({
  squares,
  others,
  rescale,
}: {
  readonly squares: FoundSquare[];
  readonly others: { side: number; at: Point; page: number; meant: number | null }[];
  readonly rescale: (k: number) => void;
}) {
  return (
    <ul className="mt-2 space-y-2">
      {[...squares, ...others].map((s, i) => (
        <li key={i}>
          A square of{' '}
          <span className="num">
            {s.side.toFixed(2)} mm ({(s.side / 25.4).toFixed(3)} in)
          </span>
          {s.meant !== null && Math.abs(s.meant - s.side) < 0.002 * s.meant ? (
            ': the scale is true.'
          ) : s.meant === null ? (
            '.'
          ) : (
            <button className="btn mt-1" onClick={() => rescale((s.meant as number) / s.side)}>
              It should be {s.meant} mm
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}
