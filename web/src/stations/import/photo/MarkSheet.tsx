import { flatten, openPage, SHEETS, usePicture, type SheetId } from '../../../store/picture.ts';
import { LengthField } from '../../../shared/LengthField.tsx';
import { Select } from '../../../ui/Select.tsx';

const CORNERS = ['upper left', 'upper right', 'lower right', 'lower left'] as const;

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

/** The four corners of what is of known size, and how large it is. */
export function MarkSheet() {
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
      <Select
        label="What is of known size is"
        value={sheet}
        set={(chosen) => take(chosen as SheetId)}
        wide
        className="block"
      >
        {page && <option value="page">the whole page, as the file says</option>}
        {SHEETS.map((s) => (
          <option key={s.id} value={s.id}>
            {s.name}
          </option>
        ))}
      </Select>
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
          Remove the last mark
        </button>
      </div>
    </>
  );
}
