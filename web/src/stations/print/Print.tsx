import { Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { layPages, type PageMap } from '@ample/core/out';
import { counted, handSheet, noun, sayPatches, sayRefusal } from '@ample/core/words';
import { useDraft } from '../../store/draft.ts';
import { download, fileName } from '../../store/export.ts';
import { useJob } from '../../store/job.ts';
import { usePrefs, useUnits } from '../../store/prefs.ts';
import { usePrintable } from '../../store/unfit.ts';
import { Example } from '../../shared/first/Example.tsx';
import { First } from '../../shared/first/First.tsx';
import { useFirstThing } from '../../shared/first/firstThing.ts';
import { PaperNote } from '../../shared/PaperNote.tsx';
import { Length, Notice, Station } from '../../shared/basics.tsx';
import { UnfitNotice } from '../../shared/UnfitNotice.tsx';
import { makePdf } from '../../workers/client.ts';
import type { PdfRequest } from '../../workers/protocol.ts';
import { Bureau } from './Bureau.tsx';
import { Cloth } from './Cloth.tsx';
import { Files } from './Files.tsx';
import { Labels } from './Labels.tsx';
import { MapView } from './MapView.tsx';
import { PaperChoice } from './PaperChoice.tsx';
import { PiecesChoice } from './PiecesChoice.tsx';
import { pdfRequest, toPrint, type ToPrint } from './printing.ts';
import { ProjectorLinks } from './ProjectorLinks.tsx';
import { RecordButton } from './RecordButton.tsx';
import { BusyButton } from '../../ui/BusyButton.tsx';
import type { Draft } from '@ample/core/fitting/plan';
import type { Units } from '@ample/core/speech';
import type { Pattern } from '@ample/core/pattern';
import type { Piece } from '@ample/core/pattern';
import type { Printable } from '../../store/unfit.ts';
import type { Wearer } from '@ample/core/documents';

const NONE: Readonly<Record<string, string>> = {};
const NOTHING: ToPrint = { drawings: [], plan: null };

type Making = 'idle' | 'busy' | { readonly failed: string };

/** Makes a PDF and hands it to the user, one at a time. */
function useMaking() {
  const units = useUnits();
  const [state, setState] = useState<Making>('idle');
  const make = async (name: string, request: PdfRequest) => {
    setState('busy');
    try {
      download(name, (await makePdf(request)) as BlobPart, 'application/pdf');
      setState('idle');
    } catch (error) {
      const detail = error instanceof Error ? error.message : String(error);
      setState({ failed: sayRefusal({ code: 'pdf-failed', data: { detail } }, units) });
    }
  };
  return { state, make };
}

const LEADS = {
  paper:
    'With paper only the hand sheets are printed: what to draw, cut, open and check on a tracing of your own pieces, in the order of the plan.',
  pieces:
    'True scale, tiled. Print at 100 %, measure the square on the first page, then join the pages by their marks. The pieces carry wearer, pattern, size, date and what was changed.',
};

/** Page map at scale, paper, pieces; the files; the record; projector and print bureau; how much cloth. */
export function Print() {
  const { draft, pattern } = useDraft();
  const wearer = useJob((s) => s.wearer);
  const labels = useJob((s) => s.job?.labels ?? NONE);
  const prefs = usePrefs();
  const { paper, turn, apart, printed, withSheet } = prefs;
  const units = useUnits();
  const { job } = useParams();
  const [left, setLeft] = useState<readonly string[]>([]);
  const { state, make } = useMaking();
  const printable = usePrintable(draft);
  const held = useMemo(() => (printable.despite ? [] : printable.unfit.map((p) => p.id)), [printable]);
  const without = useMemo(() => [...left, ...held], [left, held]);
  const what = useMemo(() => (draft ? toPrint(draft, without, printed) : NOTHING), [draft, without, printed]);
  const map = useMemo(() => layPages(what.drawings, paper, { turn, apart }), [what, paper, turn, apart]);
  const first = useFirstThing();
  if (!draft || !pattern || !wearer) return <Station title="Print">Laying out the pages…</Station>;
  if (first && draft.original.length === 0)
    return (
      <Station title="Print" lead="Pieces, hand sheets and the record of the job, on paper." wide>
        <First thing={first} />
        <Example of="print" />
      </Station>
    );
  const onPaper = draft.paper !== null;
  const pieces = onPaper ? [] : draft.pieces.filter((p) => !without.includes(p.id));
  const name = fileName(`${wearer.name} ${pattern.name} ${draft.size ?? ''}`);
  const request = (wish = prefs, of = what) =>
    pdfRequest({ wearer: wearer.name, pattern, draft, words: labels }, of, wish, units);
  const ending = printed === 'patches' && !onPaper ? '-patches' : '';
  return (
    <Station title="Print" lead={LEADS[onPaper ? 'paper' : 'pieces']} wide>
      <div className="grid gap-6 min-[900px]:grid-cols-[320px_minmax(0,1fr)]">
        <PrintChoices
          state={state}
          empty={onPaper ? draft.steps.length === 0 : what.drawings.length === 0}
          pdf={() => make(`${name}${ending}.pdf`, request())}
          onPaper={onPaper}
          map={map}
          withSheet={withSheet}
          draft={draft}
          pattern={pattern}
          printable={printable}
          pieces={pieces}
          held={held}
          job={job}
          left={left}
          setLeft={setLeft}
          name={name}
          wearer={wearer}
        />
        {onPaper ? (
          <HandSheets draft={draft} units={units} onPaper={onPaper} />
        ) : (
          <div className="space-y-6">
            <Pages map={map} what={what} none={pieces.length === 0} />
            <ProjectorLinks />
            <Bureau
              name={`${name}-roll.pdf`}
              ready={pieces.length > 0}
              make={() =>
                makePdf(request({ ...prefs, paper: 'roll', withSheet: false }, toPrint(draft, without, 'pieces')))
              }
            />
          </div>
        )}
      </div>
      {!onPaper && (
        <>
          <Labels pieces={draft.pieces} />
          <Cloth key={draft.size} draft={draft} fabric={pattern.fabric} />
        </>
      )}
    </Station>
  );
}

/** The map of the pages, with how much paper it is. */
function Pages({ map, what, none }: { readonly map: PageMap; readonly what: ToPrint; readonly none: boolean }) {
  return (
    <figure className="card p-4">
      <figcaption className="mb-2 space-y-1">
        <MapWords map={map} />
        {what.plan && sayPatches(what.plan).map((line) => <p key={line}>{line}</p>)}
        {what.plan && what.drawings.length === 0 && !none && (
          <p>Nothing has changed on these pieces: the tissue serves as it is.</p>
        )}
      </figcaption>
      <MapView map={map} />
    </figure>
  );
}

function PrintChoices({
  state,
  empty,
  pdf,
  onPaper,
  map,
  withSheet,
  draft,
  pattern,
  printable,
  pieces,
  held,
  job,
  left,
  setLeft,
  name,
  wearer,
}: {
  readonly state: Making;
  readonly empty: boolean;
  readonly pdf: () => Promise<void>;
  readonly onPaper: boolean;
  readonly map: PageMap;
  readonly withSheet: boolean;
  readonly draft: Draft;
  readonly pattern: Pattern;
  readonly printable: Printable;
  readonly pieces: Piece[];
  readonly held: string[];
  readonly job: string | undefined;
  readonly left: readonly string[];
  readonly setLeft: (change: (left: readonly string[]) => readonly string[]) => void;
  readonly name: string;
  readonly wearer: Wearer;
}) {
  const sheets = withSheet && draft.steps.length > 0 ? ' and hand sheet' : '';
  const what = onPaper ? 'PDF, hand sheets' : `PDF, ${map.pageCount} pages${sheets}`;
  return (
    <div className="space-y-4">
      <div className="flex flex-wrap items-start gap-2">
        <BusyButton className="btn btn-main" busy={state === 'busy'} disabled={empty} onClick={() => void pdf()}>
          <Download size={20} aria-hidden="true" />
          {state === 'busy' ? 'Making the pages…' : what}
        </BusyButton>
        <RecordButton draft={draft} pattern={pattern} />
      </div>
      {typeof state === 'object' && <Notice grade="fault">{state.failed}</Notice>}
      {!onPaper && <UnfitNotice printable={printable} />}
      {pieces.length === 0 && held.length === 0 && !onPaper && <Notice grade="look">Choose at least one piece.</Notice>}
      <PaperChoice />
      {onPaper ? (
        <ToTheHandSheets draft={draft} job={job} />
      ) : (
        <PiecesChoice pieces={draft.pieces} left={left} held={held} setLeft={setLeft} />
      )}
      <Files
        draft={draft}
        despite={printable.despite}
        pieces={pieces}
        name={name}
        title={`${pattern.name} ${draft.size ?? ''} for ${wearer.name}`}
      />
    </div>
  );
}

const ToTheHandSheets = ({ draft, job }: { readonly draft: Draft; readonly job: string | undefined }) => (
  <div>
    <PaperNote draft={draft} />
    <Link className="link" to={`/job/${job}/sheet`}>
      Read the hand sheets
    </Link>
  </div>
);

function HandSheets({
  draft,
  units,
  onPaper,
}: {
  readonly draft: Draft;
  readonly units: Units;
  readonly onPaper: true;
}) {
  return (
    <section className="card self-start p-4" aria-label="Hand sheets">
      <h2 className="mb-2">Hand sheets</h2>
      {draft.steps.length === 0 && <p>Nothing is planned yet.</p>}
      <ol className="space-y-2">
        {draft.steps
          .flatMap((s) => handSheet(s, units, onPaper) ?? [])
          .map((sheet, i) => (
            <li key={i} className="flex justify-between gap-4 border-b border-line pb-2">
              <span>{sheet.title}</span>
              <span className="num">{sheet.amount}</span>
            </li>
          ))}
      </ol>
    </section>
  );
}

/** How much paper it is, in words. */
function MapWords({ map }: { readonly map: PageMap }) {
  if (map.tiles.length === 0) return null;
  const rest = 'and a first page with this map and the test squares';
  if (map.apart)
    return (
      <p>
        <span className="num">{map.tiles.length}</span> {noun(map.tiles.length, 'page', 'pages')}, each piece joined by
        itself, {rest}
      </p>
    );
  if (map.paper !== 'roll')
    return (
      <p>
        <span className="num">{map.tiles.length}</span> {noun(map.tiles.length, 'page', 'pages to join')},{' '}
        {counted(map.rows, 'row')} of {map.columns}, {rest}
      </p>
    );
  const long = map.rows > 1 ? (map.rows - 1) * map.step.height + map.size.height : map.size.height;
  return (
    <p>
      <Length value={long} /> of roll{map.rows > 1 && ` in ${map.rows} parts`}, {rest}
    </p>
  );
}
