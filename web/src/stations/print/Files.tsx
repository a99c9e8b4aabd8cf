import { Download } from 'lucide-react';
import { useState } from 'react';
import { writeCsv, writeDxf, writeSvg } from '@ample/core/out';
import { untouchedFor } from '@ample/core/out/patch';
import type { Piece } from '@ample/core/pattern';
import { worksheetTable } from '@ample/core/words';
import { soundSizes, type Draft } from '@ample/core/fitting/plan';
import { AMPLE, download, exportWork } from '../../store/export.ts';
import { useDraft } from '../../store/draft.ts';
import { exportJob } from '../../store/backup.ts';
import { useJob } from '../../store/job.ts';
import { usePrefs, useUnits } from '../../store/prefs.ts';
import { Notice } from '../../shared/basics.tsx';
import type { LengthUnit } from '@ample/core/units';

/** The same pieces as files for other programs, the worksheet as a table, the job as a file. */
export function Files({
  draft,
  pieces,
  name,
  title,
  despite,
}: {
  readonly draft: Draft;
  readonly pieces: readonly Piece[];
  /** Of the files, without their ending. */
  readonly name: string;
  readonly title: string;
  /** True once it was said to print pieces with faults all the same. */
  readonly despite: boolean;
}) {
  const [leftOut, setLeftOut] = useState<ReturnType<typeof soundSizes>['leftOut']>([]);
  const { unit } = useUnits();
  const withOriginal = usePrefs((s) => s.lines.includes('original'));
  const original = withOriginal ? untouchedFor(pieces, draft.untouched) : [];
  const bundle = async () => {
    const { job } = useJob.getState();
    const bytes = job && (await exportJob(job.id, new Date()));
    if (bytes) download(`${name}.ample`, bytes as BlobPart, AMPLE);
  };
  const sizes = useDraft((s) => s.pattern?.sizes);
  const nest = Object.entries(sizes ?? {}).flatMap(([size, of]) => (of.length > 0 ? [{ size, pieces: of }] : []));
  const all = () => {
    const sound = despite ? { sizes: nest, leftOut: [] } : soundSizes(nest);
    setLeftOut(sound.leftOut);
    if (sound.sizes.length > 0) download(`${name}-all-sizes.dxf`, writeDxf(sound.sizes), 'image/vnd.dxf');
  };
  return (
    <fieldset className="card p-4">
      <legend className="bg-page px-1 text-sm">Files</legend>
      <FileButtons
        draft={draft}
        pieces={pieces}
        name={name}
        title={title}
        original={original}
        nest={nest}
        all={all}
        unit={unit}
        bundle={bundle}
      />
      {leftOut.length > 0 && (
        <div className="mt-2">
          <Notice grade="fault">
            Left out of the file with all sizes, because they would be cut wrong as drafted:{' '}
            {leftOut.map((p) => `${p.name} in size ${p.size}`).join(', ')}. Choose that size to see what is wrong.
          </Notice>
        </div>
      )}
    </fieldset>
  );
}

function FileButtons({
  draft,
  pieces,
  name,
  title,
  original,
  nest,
  all,
  unit,
  bundle,
}: {
  readonly draft: Draft;
  readonly pieces: readonly Piece[];
  readonly name: string;
  readonly title: string;
  readonly original: readonly Piece[];
  readonly nest: { size: string; pieces: readonly Piece[] }[];
  readonly all: () => void;
  readonly unit: LengthUnit;
  readonly bundle: () => Promise<void>;
}) {
  return (
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
      <button className="btn" hidden={draft.paper !== null || nest.length < 2} onClick={all}>
        <Download size={18} aria-hidden="true" />
        DXF, all {nest.length} sizes as drafted
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
      <button className="btn" onClick={() => void bundle()}>
        <Download size={18} aria-hidden="true" />
        Job with pictures, one file
      </button>
    </div>
  );
}
