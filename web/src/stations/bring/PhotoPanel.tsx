import { Camera } from 'lucide-react';
import { useRef, useState } from 'react';
import { SAMPLE_IDS, sampleName } from '@ample/core/drafting';
import { cuttingLine } from '@ample/core/pattern';
import { sayFileRefusal } from '@ample/core/words';
import { demoPattern } from '@ample/samples';
import {
  dropLast,
  flatten,
  openPage,
  openPicture,
  putAway,
  SHEETS,
  standInPicture,
  takeOutline,
  usePicture,
  type SheetId,
} from '../../store/picture.ts';
import { useUnits } from '../../store/prefs.ts';
import { LengthField } from '../../ui/LengthField.tsx';
import { Notice } from '../../ui/parts.tsx';

const CORNERS = ['upper left', 'upper right', 'lower right', 'lower left'] as const;

/** From a picture to an outline: what is known in it, laid flat, traced over. */
export function PhotoPanel() {
  const { grey, flat, busy, failed, name } = usePicture();
  const units = useUnits();
  return (
    <section className="sheet space-y-4 p-4" aria-label="Photo or scan">
      {name !== '' && <p className="font-bold break-words">{name}</p>}
      {!grey && <Choose />}
      {grey && !flat && <Marks />}
      {flat && <Trace />}
      {busy && <p role="status">Working on the picture…</p>}
      {failed && <Notice grade="fault">{sayFileRefusal(failed, units)}</Notice>}
      {grey && (
        <button className="btn" onClick={putAway}>
          Take another picture
        </button>
      )}
    </section>
  );
}

function Choose() {
  const input = useRef<HTMLInputElement | null>(null);
  const [sample, setSample] = useState<(typeof SAMPLE_IDS)[number]>('causeway');
  const [piece, setPiece] = useState('front');
  const pieces = demoPattern(sample)?.sizes['5'] ?? [];
  const standIn = (scanner: boolean) => {
    const of = pieces.find((p) => p.id === piece) ?? pieces[0];
    if (of) void standInPicture(cuttingLine(of), scanner, `${of.name}, stand-in ${scanner ? 'scan' : 'photo'}`);
  };
  return (
    <>
      <p>
        Lay the piece flat on the mat and a sheet of paper of known size beside it, both wholly in the picture. Stand
        well back and zoom in: a lens near the table bends straight lines, and nothing here can straighten that.
      </p>
      <input
        ref={input}
        type="file"
        accept="image/*"
        className="sr-only"
        tabIndex={-1}
        aria-label="A picture of the piece"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) void openPicture(file);
          e.target.value = '';
        }}
      />
      <button className="btn btn-main" onClick={() => input.current?.click()}>
        <Camera size={20} aria-hidden="true" />
        Choose a picture
      </button>
      <fieldset className="border-t border-line pt-3">
        <legend className="pr-2 text-sm">No camera at hand</legend>
        <p className="mb-2 text-sm text-quiet">The stand-in takes a picture of a sample piece, to try it all out.</p>
        <div className="flex flex-wrap gap-2">
          <select
            className="field min-w-0 flex-1"
            aria-label="Sample pattern for the stand-in"
            value={sample}
            onChange={(e) => setSample(e.target.value as typeof sample)}
          >
            {SAMPLE_IDS.map((id) => (
              <option key={id} value={id}>
                {sampleName(id)}
              </option>
            ))}
          </select>
          <select
            className="field"
            aria-label="Piece for the stand-in"
            value={piece}
            onChange={(e) => setPiece(e.target.value)}
          >
            {pieces.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
          <button className="btn" onClick={() => standIn(false)}>
            Stand-in camera
          </button>
          <button className="btn" onClick={() => standIn(true)}>
            Stand-in scanner
          </button>
        </div>
      </fieldset>
    </>
  );
}

/** Which page of the file it is. */
function Pages() {
  const page = usePicture((s) => s.page);
  if (!page || page.of < 2) return null;
  return (
    <label className="block">
      <span className="mb-1 block text-sm">Page of {page.of}</span>
      <input
        className="field num w-24"
        type="number"
        min={1}
        max={page.of}
        value={page.number}
        onChange={(e) => {
          const number = Math.round(Number(e.target.value));
          if (number >= 1 && number <= page.of) void openPage(page.file, number);
        }}
      />
    </label>
  );
}

function Marks() {
  const { sheet, known, marks, page } = usePicture();
  const set = usePicture.setState;
  const take = (id: SheetId) => {
    if (id === 'page') return;
    const of = SHEETS.find((s) => s.id === id) ?? SHEETS[0];
    // Marks on the page's corners belong to the page alone.
    const begun = sheet === 'page' ? { marks: [] } : {};
    set({ sheet: of.id, known: { width: of.width, height: of.height }, ...begun });
  };
  return (
    <>
      <Pages />
      <label className="block">
        <span className="mb-1 block text-sm">What is of known size is</span>
        <select className="field w-full" value={sheet} onChange={(e) => take(e.target.value as SheetId)}>
          {page && <option value="page">the whole page, as the file says</option>}
          {SHEETS.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </select>
      </label>
      <div className="flex gap-3">
        <LengthField
          label="Across"
          value={known.width}
          min={50}
          max={3000}
          onCommit={(v) => v !== null && set({ known: { ...known, width: v } })}
        />
        <LengthField
          label="Down"
          value={known.height}
          min={50}
          max={3000}
          onCommit={(v) => v !== null && set({ known: { ...known, height: v } })}
        />
      </div>
      <button className="btn" onClick={() => set({ known: { width: known.height, height: known.width } })}>
        It lies the other way
      </button>
      <p role="status">
        {marks.length < 4
          ? `Click its ${CORNERS[marks.length]} corner in the picture.`
          : sheet === 'page'
            ? 'The page itself is taken as known, as a scan has the size of its page. If it shows a photo, choose what is of known size in it and mark that.'
            : 'All four corners are marked. Nudge a mark with the arrow keys, or begin again.'}
      </p>
      <div className="flex flex-wrap gap-2">
        <button className="btn btn-main" disabled={marks.length < 4} onClick={() => void flatten()}>
          Lay it flat
        </button>
        <button className="btn" disabled={marks.length === 0} onClick={() => set({ marks: marks.slice(0, -1) })}>
          Take the last mark away
        </button>
      </div>
    </>
  );
}

function Trace() {
  const { residual, clicks, curve } = usePicture();
  return (
    <>
      {residual && (
        <Notice grade="note">
          {residual.mean > 0.01 ? (
            <>
              The marks lie <span className="num">{residual.mean.toFixed(2)} mm</span> from where they should, the worst{' '}
              <span className="num">{residual.worst.toFixed(2)} mm</span>.
            </>
          ) : (
            'Four marks always fit; what is left over they cannot show.'
          )}{' '}
          A mark one pixel off moves the outline by <span className="num">{residual.perPixel.toFixed(2)} mm</span>. A
          bent lens is not in these figures: measure one edge of the real piece afterwards.
        </Notice>
      )}
      <fieldset>
        <legend className="mb-1 text-sm">The next place is</legend>
        <div className="flex gap-5">
          {[false, true].map((c) => (
            <label key={String(c)} className="flex min-h-[40px] items-center gap-2">
              <input
                type="radio"
                name="place"
                className="size-5 accent-carbon"
                checked={curve === c}
                onChange={() => usePicture.setState({ curve: c })}
              />
              {c ? 'on a curve' : 'a corner'}
            </label>
          ))}
        </div>
      </fieldset>
      <p role="status">
        {clicks.length === 0
          ? 'Click around the piece: every corner, and on curves a place every few centimetres.'
          : `${clicks.length} places. Roughly is enough: the outline is drawn to the edges that show.`}
      </p>
      <div className="flex flex-wrap gap-2">
        <button className="btn btn-main" disabled={clicks.length < 3} onClick={takeOutline}>
          Follow the edges
        </button>
        <button className="btn" disabled={clicks.length === 0} onClick={dropLast}>
          Take the last one away
        </button>
      </div>
    </>
  );
}
