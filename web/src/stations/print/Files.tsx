import { Download } from 'lucide-react';
import { writeCsv, writeDxf, writeSvg } from '@ample/core/formats';
import type { Piece } from '@ample/core/pattern';
import { worksheetTable } from '@ample/core/words';
import type { Draft } from '@ample/core/draft';
import { download, exportWork } from '../../store/export.ts';
import { useUnits } from '../../store/prefs.ts';

/** The same pieces as files for other programs, the worksheet as a table, the job as a file. */
export function Files({
  draft,
  pieces,
  name,
  title,
  original,
}: {
  readonly draft: Draft;
  readonly pieces: readonly Piece[];
  /** Of the files, without their ending. */
  readonly name: string;
  readonly title: string;
  readonly original: readonly Piece[];
}) {
  const { unit } = useUnits();
  return (
    <fieldset className="sheet p-4">
      <legend className="bg-page px-1 text-sm">Files</legend>
      <div className="flex flex-wrap gap-2">
        <button
          className="btn"
          hidden={draft.paper !== null}
          disabled={pieces.length === 0}
          onClick={() => download(`${name}.svg`, writeSvg(pieces, { title, original }), 'image/svg+xml')}
        >
          <Download size={18} aria-hidden="true" />
          SVG, one sheet
        </button>
        <button
          className="btn"
          hidden={draft.paper !== null}
          disabled={pieces.length === 0}
          onClick={() => download(`${name}.dxf`, writeDxf([{ size: draft.size ?? '', pieces }]), 'image/vnd.dxf')}
        >
          <Download size={18} aria-hidden="true" />
          DXF
        </button>
        <button
          className="btn"
          disabled={draft.worksheet.length === 0}
          onClick={() =>
            download(`${name}.csv`, writeCsv(worksheetTable(draft.worksheet, unit)), 'text/csv;charset=utf-8')
          }
        >
          <Download size={18} aria-hidden="true" />
          Worksheet, CSV
        </button>
        <button className="btn" onClick={exportWork}>
          <Download size={18} aria-hidden="true" />
          Job file
        </button>
      </div>
    </fieldset>
  );
}
