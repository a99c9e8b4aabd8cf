import { FileUp } from 'lucide-react';
import { useRef, useState } from 'react';
import { inRows, type Lines } from '@ample/core/in/tracing';
import { sayFileRefusal, sayRepair, sayTiles } from '@ample/core/words';
import { closeFile, layAgain, openFile, stopReading, useImport } from '../../store/import.ts';
import { openPage } from '../../store/picture.ts';
import { useUnits } from '../../store/prefs.ts';
import { LengthField } from '../../shared/LengthField.tsx';
import { Notice } from '../../shared/basics.tsx';
import { Kinds } from './Kinds.tsx';
import type { RefObject } from 'react';
import { Scale } from './Scale.tsx';
import { Check } from '../../ui/Check.tsx';

/** Chooses a file, by the button or by dropping it here; shows how far reading is, and why it was refused. */
function ReadSoFar() {
  const share = useImport((s) => s.share);
  const name = useImport((s) => s.name);
  return (
    <div role="status">
      <p className="mb-2 break-words">Reading {name}…</p>
      <progress className="mb-2 block w-full" value={share} max={1} aria-label="Read so far" />
      <button className="btn" onClick={stopReading}>
        Stop
      </button>
    </div>
  );
}

export function FileChoice() {
  const input = useRef<HTMLInputElement | null>(null);
  const state = useImport((s) => s.state);
  const name = useImport((s) => s.name);
  const raw = useImport((s) => s.raw);
  const refused = useImport((s) => s.refused);
  const units = useUnits();
  const [over, setOver] = useState(false);
  const open = (list: FileList | null) => {
    const file = list?.[0];
    if (file) void openFile(file);
  };
  return (
    <section
      className={`card p-4 ${over ? '!border-carbon' : ''}`}
      aria-label="File"
      onDragOver={(e) => {
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        e.preventDefault();
        setOver(false);
        open(e.dataTransfer.files);
      }}
    >
      <HiddenInput input={input} open={open} />
      {raw && state === 'ready' && <p className="mb-2 font-bold break-words">{name}</p>}
      {state === 'reading' ? (
        <ReadSoFar />
      ) : (
        <div className="flex flex-wrap gap-2">
          <button className={`btn ${raw ? '' : 'btn-main'}`} onClick={() => input.current?.click()}>
            <FileUp size={20} aria-hidden="true" />
            {raw ? 'Another file' : 'Choose a PDF, SVG or DXF'}
          </button>
          {raw && (
            <button className="btn" onClick={closeFile}>
              Put it away
            </button>
          )}
        </div>
      )}
      {!raw && state !== 'reading' && <p className="mt-2 text-sm text-quiet">or drop the file here</p>}
      {typeof state === 'object' && (
        <div className="mt-3">
          <Notice grade="fault">{sayFileRefusal(state.failed, units)}</Notice>
          {state.failed.code === 'pdf-only-pictures' && refused && (
            <button
              className="btn mt-2"
              onClick={() => {
                useImport.setState({ from: 'photo' });
                void openPage(refused, 1);
              }}
            >
              Trace its pages as pictures
            </button>
          )}
        </div>
      )}
    </section>
  );
}

function HiddenInput({
  input,
  open,
}: {
  readonly input: RefObject<HTMLInputElement | null>;
  readonly open: (list: FileList | null) => void;
}) {
  return (
    <input
      ref={input}
      type="file"
      className="sr-only"
      accept=".pdf,.svg,.dxf,application/pdf,image/svg+xml"
      aria-label="A PDF, SVG or DXF file"
      tabIndex={-1}
      onChange={(e) => {
        open(e.target.files);
        e.target.value = '';
      }}
    />
  );
}

/** How the pages lie together, what is shown, and whether the scale is true. */
export function SheetPanel({ lines }: { readonly lines: Lines }) {
  const raw = useImport((s) => s.raw);
  const units = useUnits();
  // What was drawn by hand is one sheet, true to size, in one kind of line.
  if (!raw || raw.marked) return null;
  return (
    <>
      {raw.pages.length > 1 && <Pages lines={raw} />}
      <Scale lines={lines} />
      <Kinds lines={lines} />
      {raw.repairs.length > 0 && (
        <Notice grade="note">
          {raw.repairs.map((r) => (
            <p key={r.code}>{sayRepair(r, units)}</p>
          ))}
        </Notice>
      )}
    </>
  );
}

function Pages({ lines }: { readonly lines: Lines }) {
  const { placing, full, tiles, tool, overlap, columns } = useImport();
  const used = placing.flatMap((p, i) => (p ? [i] : []));
  const put = (list: readonly number[], row: number, over: number) => {
    if (!full) return;
    layAgain({ ...inRows(lines, list, row, full, over), overlap: over, columns: row });
  };
  return (
    <fieldset className="card p-4">
      <legend className="bg-page px-1 text-sm">Pages</legend>
      <p>{sayTiles(tiles)}</p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <label>
          <span className="mb-1 block text-sm">Pages in a row</span>
          <input
            className="field num w-24"
            type="number"
            min={1}
            max={lines.pages.length}
            value={columns}
            onChange={(e) => put(used, Math.max(1, Math.min(lines.pages.length, Number(e.target.value) || 1)), overlap)}
          />
        </label>
        <LengthField
          label="Pages overlap by"
          value={overlap}
          min={0}
          max={60}
          width="w-32"
          onCommit={(v) => put(used, columns, v ?? 0)}
        />
      </div>
      <button
        className="btn mt-2"
        aria-pressed={tool === 'pages'}
        onClick={() => useImport.setState({ tool: tool === 'pages' ? 'pick' : 'pages' })}
      >
        {tool === 'pages' ? 'The pages are in place' : 'Arrange the pages by hand'}
      </button>
      <details className="mt-2">
        <summary className="min-h-[40px] cursor-pointer py-2">Which pages carry the drawing</summary>
        <div className="flex flex-wrap gap-x-4">
          {lines.pages.map((_, i) => (
            <Check
              key={i}
              on={placing[i] !== null}
              set={(on) =>
                put(
                  on ? [...used, i].sort((a, b) => a - b) : used.filter((u) => u !== i),
                  Math.max(1, columns),
                  overlap,
                )
              }
            >
              <span className="num">{i + 1}</span>
            </Check>
          ))}
        </div>
      </details>
    </fieldset>
  );
}
