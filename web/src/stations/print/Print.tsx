import { Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { pageMap, PAPERS, pathData, type PageMap, type PaperId } from '@ample/core/formats';
import { handSheet, labelChanges, printableSheet, sayPaper, sayRefusal } from '@ample/core/words';
import textFont from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff?url';
import boldFont from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-700-normal.woff?url';
import { today } from '../../app/time.ts';
import { useDraft } from '../../store/draft.ts';
import { download, fileName } from '../../store/export.ts';
import { useJob } from '../../store/job.ts';
import { usePrefs, useUnits } from '../../store/prefs.ts';
import { PaperNote } from '../../ui/PaperNote.tsx';
import { Length, Notice, Station } from '../../ui/parts.tsx';
import { makePdf } from '../../workers/client.ts';
import { Cloth } from './Cloth.tsx';
import { Files } from './Files.tsx';
import { Labels } from './Labels.tsx';
import { RecordButton } from './RecordButton.tsx';

const NONE: Readonly<Record<string, string>> = {};

/** Page map at scale, paper, pieces; the files; the record; how much cloth. */
export function Print() {
  const { draft, pattern } = useDraft();
  const wearer = useJob((s) => s.wearer);
  const labels = useJob((s) => s.job?.labels ?? NONE);
  const { paper, withOriginal, withSheet, turn } = usePrefs();
  const units = useUnits();
  const { job } = useParams();
  const [left, setLeft] = useState<readonly string[]>([]);
  const [state, setState] = useState<'idle' | 'busy' | { readonly failed: string }>('idle');
  const onPaper = draft !== null && draft.paper !== null;
  const pieces = useMemo(
    // Pieces like one's own are no pattern: with paper only, sheets alone are printed.
    () => (draft?.paper === null ? draft.pieces.filter((p) => !left.includes(p.id)) : []),
    [draft, left],
  );
  const map = useMemo(() => pageMap(pieces, paper, { turn }), [pieces, paper, turn]);
  if (!draft || !pattern || !wearer) return <Station title="Print">Laying out the pages…</Station>;
  const name = fileName(`${wearer.name} ${pattern.name} ${draft.size ?? ''}`);
  const pdf = async () => {
    setState('busy');
    try {
      const bytes = await makePdf({
        pieces,
        original: withOriginal && !onPaper ? draft.original : [],
        paper,
        turn,
        label: {
          wearer: wearer.name,
          pattern: pattern.name,
          size: draft.size ?? '',
          date: today(),
          changes: labelChanges(draft.steps, units),
          words: labels,
        },
        notes: onPaper ? [sayPaper(draft)] : [],
        sheets: withSheet || onPaper ? draft.steps.flatMap((s) => handSheet(s, units) ?? []).map(printableSheet) : [],
        fonts: { text: textFont, bold: boldFont },
      });
      download(`${name}.pdf`, bytes as BlobPart, 'application/pdf');
      setState('idle');
    } catch (error) {
      setState({
        failed: sayRefusal(
          { code: 'pdf-failed', data: { detail: error instanceof Error ? error.message : String(error) } },
          units,
        ),
      });
    }
  };
  return (
    <Station
      title="Print"
      lead={
        onPaper
          ? 'With paper only the hand sheets are printed: what to draw, cut, open and check on a tracing of your own pieces, in the order of the plan.'
          : 'True scale, tiled. Print at 100 %, measure the square on the first page, then join the pages by their marks. The pieces carry wearer, pattern, size, date and what was changed.'
      }
      wide
    >
      <div className="grid gap-6 min-[900px]:grid-cols-[320px_minmax(0,1fr)]">
        <div className="space-y-4">
          <fieldset className="sheet p-4">
            <legend className="bg-page px-1 text-sm">Paper</legend>
            {(Object.keys(PAPERS) as PaperId[]).map((id) => (
              <label key={id} className="flex min-h-[40px] items-center gap-2">
                <input
                  type="radio"
                  name="paper"
                  className="size-5 accent-carbon"
                  checked={paper === id}
                  onChange={() => usePrefs.setState({ paper: id })}
                />
                {PAPERS[id].name}
                <span className="num text-sm text-quiet">
                  {id === 'roll' ? 'as long as need be' : `${PAPERS[id].width} × ${PAPERS[id].height} mm`}
                </span>
              </label>
            ))}
            <label className="flex min-h-[40px] items-center gap-2 border-t border-line pt-1">
              <input
                type="checkbox"
                className="size-5 accent-carbon"
                checked={turn}
                onChange={(e) => usePrefs.setState({ turn: e.target.checked })}
              />
              turn pieces a quarter to save paper
            </label>
          </fieldset>
          {onPaper && (
            <div>
              <PaperNote draft={draft} />
              <Link className="underline" to={`/job/${job}/sheet`}>
                Read the hand sheets
              </Link>
            </div>
          )}
          <fieldset className="sheet p-4" hidden={onPaper}>
            <legend className="bg-page px-1 text-sm">Pieces</legend>
            {draft.pieces.map((p) => (
              <label key={p.id} className="flex min-h-[40px] items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-carbon"
                  checked={!left.includes(p.id)}
                  onChange={(e) => setLeft((l) => (e.target.checked ? l.filter((x) => x !== p.id) : [...l, p.id]))}
                />
                {p.name}
              </label>
            ))}
            <label className="flex min-h-[40px] items-center gap-2 border-t border-line pt-1">
              <input
                type="checkbox"
                className="size-5 accent-carbon"
                checked={withOriginal}
                onChange={(e) => usePrefs.setState({ withOriginal: e.target.checked })}
              />
              thin outline of the untouched piece
            </label>
            <div className="flex min-h-[40px] items-center gap-2">
              <label className="flex items-center gap-2">
                <input
                  type="checkbox"
                  className="size-5 accent-carbon"
                  checked={withSheet}
                  onChange={(e) => usePrefs.setState({ withSheet: e.target.checked })}
                />
                hand sheet after the pages
              </label>
              <Link className="ml-auto underline" to={`/job/${job}/sheet`}>
                read it
              </Link>
            </div>
          </fieldset>
          <div className="flex flex-col items-start gap-2">
            <button
              className="btn btn-main"
              disabled={(onPaper ? draft.steps.length === 0 : pieces.length === 0) || state === 'busy'}
              onClick={() => void pdf()}
            >
              <Download size={20} aria-hidden="true" />
              {state === 'busy'
                ? 'Making the pages…'
                : onPaper
                  ? 'PDF, hand sheets'
                  : `PDF, ${map.pageCount} pages${withSheet && draft.steps.length > 0 ? ' and hand sheet' : ''}`}
            </button>
            <RecordButton draft={draft} pattern={pattern} />
          </div>
          <Files
            draft={draft}
            pieces={pieces}
            name={name}
            title={`${pattern.name} ${draft.size ?? ''} for ${wearer.name}`}
            original={withOriginal ? draft.original : []}
          />
          {typeof state === 'object' && <Notice grade="fault">{state.failed}</Notice>}
          {pieces.length === 0 && !onPaper && <Notice grade="look">Choose at least one piece.</Notice>}
        </div>
        {onPaper && (
          <section className="sheet self-start p-4" aria-label="Hand sheets">
            <h2 className="mb-2">Hand sheets</h2>
            {draft.steps.length === 0 && <p>Nothing is planned yet.</p>}
            <ol className="space-y-2">
              {draft.steps
                .flatMap((s) => handSheet(s, units) ?? [])
                .map((sheet, i) => (
                  <li key={i} className="flex justify-between gap-4 border-b border-line pb-2">
                    <span>{sheet.title}</span>
                    <span className="num">{sheet.amount}</span>
                  </li>
                ))}
            </ol>
          </section>
        )}
        <figure className="sheet m-0 p-4" hidden={onPaper}>
          <figcaption className="mb-2">
            {paper === 'roll' ? (
              <>
                <Length value={map.rows > 1 ? (map.rows - 1) * map.step.height + map.size.height : map.size.height} />{' '}
                of roll{map.rows > 1 && ` in ${map.rows} parts`}, and a first page with this map and the test squares
              </>
            ) : (
              <>
                <span className="num">{map.tiles.length}</span> pages to join, {map.rows} rows of {map.columns}, and a
                first page with this map and the test squares
              </>
            )}
          </figcaption>
          <MapView map={map} />
        </figure>
      </div>
      {!onPaper && (
        <>
          <Labels pieces={draft.pieces} />
          <Cloth key={draft.size} draft={draft} />
        </>
      )}
    </Station>
  );
}

function MapView({ map }: { readonly map: PageMap }) {
  const width = map.columns * map.step.width + 10;
  const height = map.rows * map.step.height + 10;
  if (map.tiles.length === 0) return null;
  return (
    <svg
      viewBox={`-2 -2 ${width + 4} ${height + 4}`}
      className="block max-h-[470px] w-full"
      role="img"
      aria-label={`Page map: ${map.tiles.length} pages`}
    >
      {map.tiles.map((t) => (
        <g key={t.label}>
          <rect
            x={t.column * map.step.width}
            y={t.row * map.step.height}
            width={map.area.width}
            height={map.area.height}
            fill="#fff"
            stroke="#8C8878"
            vectorEffect="non-scaling-stroke"
          />
          <text
            x={t.column * map.step.width + 8}
            y={t.row * map.step.height + 24}
            fontSize="20"
            className="num"
            fill="#5A5F66"
          >
            {t.label}
          </text>
        </g>
      ))}
      {map.placed.map((p) => (
        <g
          key={p.drawing.piece.id}
          transform={`translate(${p.dx} ${p.dy})${p.turned ? ' rotate(90)' : ''}`}
          fill="none"
        >
          <path
            d={pathData(p.drawing.cutting, true)}
            stroke="#1E2A38"
            strokeWidth="1.5"
            fill="#F3E7CF"
            fillOpacity="0.6"
            vectorEffect="non-scaling-stroke"
          />
          <path d={pathData(p.drawing.seam, true)} stroke="#2B4C9B" vectorEffect="non-scaling-stroke" />
          {p.drawing.darts.map((t) => (
            <path key={t.id} d={pathData(t.legs)} stroke="#2B4C9B" vectorEffect="non-scaling-stroke" />
          ))}
        </g>
      ))}
    </svg>
  );
}
