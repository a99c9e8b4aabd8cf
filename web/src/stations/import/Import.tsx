import { useEffect } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { tracedOf, useImport } from '../../store/import.ts';
import { doAgain, takeBack, useBringHistory } from '../../store/importHistory.ts';
import { standAgain } from '../../store/importKept.ts';
import { closeContact, readAgain } from '../../store/contact.ts';
import { doAgainDrawn, takeBackDrawn, useDrawnHistory } from '../../store/drawnHistory.ts';
import { useStationHistory } from '../../store/stationHistory.ts';
import { usePicture } from '../../store/picture.ts';
import { Boundary } from '../../shared/Boundary.tsx';
import { ContactSheet } from './contact/ContactSheet.tsx';
import { SizeChoice } from './contact/SizeChoice.tsx';
import { DrawnPieces } from './DrawnPieces.tsx';
import { FileChoice, SheetPanel } from './FilePanel.tsx';
import { MatPanel } from './MatPanel.tsx';
import { MatView } from './MatView.tsx';
import { Outlines } from './Outlines.tsx';
import { PhotoPanel } from './photo/PhotoPanel.tsx';
import { PhotoView } from './photo/PhotoView.tsx';
import { PiecePanel } from './PiecePanel.tsx';
import { SheetView, useSheet } from './SheetView.tsx';
import { Taken } from './Taken.tsx';
import type { Picked } from '../../store/import.ts';
import type { Source } from '../../store/import.ts';
import type { Tool } from '../../store/import.ts';
import type { Lines } from '@ample/core/in/tracing';
import type { Traced } from '@ample/core/in/tracing';
import type { TraceChoices } from '@ample/core/in/tracing';

const SOURCES = [
  ['file', 'File'],
  ['photo', 'Photo or scan'],
  ['mat', 'Mat coordinates'],
] as const;

/** Pieces of one's own: from a file to lines, from lines to a piece, from pieces to a pattern whose seams walk. */
export function ImportStation() {
  const lines = useSheet();
  const picked = useImport((s) => s.picked);
  const choices = useImport((s) => s.choices);
  const tool = useImport((s) => s.tool);
  const pictured = usePicture((s) => s.url !== null);
  const source = useImport((s) => s.from);
  const traced = tracedOf({ picked, choices });
  const file = source === 'file' || picked !== null;
  const contact = useImport((s) => s.contact);
  const sheet = contact?.open === true && !picked && source === 'file' && tool !== 'pages';
  useStation();
  return (
    <main className="flex h-full min-h-0 flex-col" tabIndex={-1}>
      <div className="px-6 pt-4 pb-2">
        <h1>Import pieces</h1>
        {!lines && source === 'file' && (
          <p className="mt-1 max-w-[72ch] text-quiet">
            From a pattern file as it is printed at home, from a drawing, or from an exchange file: the pages are laid
            together at true scale, and all pieces of your size are shown at once to be checked. Nothing leaves this
            device.
          </p>
        )}
      </div>
      <div className="grid min-h-0 flex-1 gap-4 px-6 pb-4 min-[900px]:grid-cols-[372px_minmax(0,1fr)]">
        <ImportSide
          picked={picked}
          source={source}
          lines={lines}
          tool={tool}
          sheet={sheet}
          file={file}
          traced={traced}
          choices={choices}
        />
        <Boundary where="The sheet">
          {!picked && source === 'mat' ? (
            <MatView />
          ) : !picked && source === 'photo' ? (
            pictured ? (
              <PhotoView />
            ) : (
              <Empty />
            )
          ) : lines && sheet ? (
            <ContactSheet />
          ) : lines ? (
            <SheetView lines={lines} />
          ) : (
            <Empty />
          )}
        </Boundary>
      </div>
    </main>
  );
}

function ImportSide({
  picked,
  source,
  lines,
  tool,
  sheet,
  file,
  traced,
  choices,
}: {
  readonly picked: Picked | null;
  readonly source: Source;
  readonly lines: Lines | null;
  readonly tool: Tool;
  readonly sheet: boolean;
  readonly file: boolean;
  readonly traced: Traced | null;
  readonly choices: TraceChoices | null;
}) {
  return (
    <div
      className="min-h-0 space-y-4 overflow-auto pr-1"
      tabIndex={0}
      role="group"
      aria-label="What to do with the file"
    >
      {!picked && (
        <div className="flex flex-wrap gap-1" role="group" aria-label="Where the piece comes from">
          {SOURCES.map(([id, name]) => (
            <button
              key={id}
              className={`btn !px-3 ${source === id ? '!bg-tissue font-bold' : ''}`}
              aria-pressed={source === id}
              onClick={() => useImport.setState({ from: id })}
            >
              {name}
            </button>
          ))}
        </div>
      )}
      {!picked && source === 'file' && <FileChoice />}
      {!picked && source === 'photo' && <PhotoPanel />}
      {!picked && source === 'mat' && <MatPanel />}
      {!picked && source !== 'file' && <DrawnPieces />}
      {lines && !picked && source === 'file' && tool !== 'pages' && <SizeChoice />}
      {sheet && (
        <button className="btn" onClick={closeContact}>
          Pick pieces one by one instead
        </button>
      )}
      {lines && !picked && file && !sheet && tool !== 'pages' && <Outlines lines={lines} />}
      {lines && !picked && file && <SheetPanel lines={lines} />}
      {traced && choices && <PiecePanel traced={traced} choices={choices} />}
      {!picked && <Taken />}
    </div>
  );
}

/** What this station keeps for itself: its own steps to take back, the file after a reload, and its pieces read anew. */
function useStation(): void {
  const drawing = useImport((s) => s.from !== 'file' && s.picked === null);
  const sheet = useBringHistory(useShallow((s) => [s.past.length > 0, s.future.length > 0]));
  const drawn = useDrawnHistory(useShallow((s) => [s.past.length > 0, s.future.length > 0]));
  const of = useImport(useShallow((s) => [s.raw, s.unit, s.scale, s.placing, s.window, s.hidden]));
  const [back = false, forth = false] = drawing ? drawn : sheet;
  useEffect(() => void standAgain(), []);
  useEffect(readAgain, [of]);
  useEffect(() => {
    const [undo, redo] = drawing ? [takeBackDrawn, doAgainDrawn] : [takeBack, doAgain];
    useStationHistory.setState({ station: { back, forth, undo, redo } });
    return () => useStationHistory.setState({ station: null });
  }, [drawing, back, forth]);
}

const Empty = () => (
  <div className="flex min-h-[300px] items-center justify-center border border-dashed border-line bg-white p-8">
    <div className="max-w-[52ch] space-y-2 text-quiet">
      <p>The sheet is empty. What can be imported:</p>
      <ul className="list-disc pl-5">
        <li>a PDF with lines, tiled over pages or whole, one size or a nest of them</li>
        <li>an SVG drawing, in any unit</li>
        <li>a DXF file, as pattern rooms exchange them or with plain layers</li>
        <li>photos or scans of the pieces with a sheet of known size beside them, joined where a piece is too long</li>
        <li>places read off a cutting mat, typed into a table</li>
      </ul>
    </div>
  </div>
);
