import { Link, useParams } from 'react-router';
import { cautionsFor, handSheet, type HandSheet } from '@ample/core/words';
import { useDraft } from '../../store/draft.ts';
import { useUnits } from '../../store/prefs.ts';
import { DiagramView } from '../../ui/DiagramView.tsx';
import { PaperNote } from '../../shared/PaperNote.tsx';
import { Station } from '../../shared/basics.tsx';

/** The plan as one does it by hand: numbered steps with small drawings, straight from the programs that were run. */
export function Sheet() {
  const draft = useDraft((s) => s.draft);
  const units = useUnits();
  const { job } = useParams();
  if (!draft) return <Station title="Hand sheet">Writing the steps…</Station>;
  const sheets = draft.steps.flatMap((s) => handSheet(s, units, draft.paper !== null) ?? []);
  return (
    <Station
      title="Hand sheet"
      lead="The same steps to do with pencil, paper and tape. Trace the piece first; never cut your only original."
      wide
    >
      <PaperNote draft={draft} />
      <ul
        className="mb-4 max-w-[90ch] space-y-1 border-l-4 border-brass bg-white px-3 py-2 text-sm"
        aria-label="Cautions"
      >
        {cautionsFor('sheet').map((c) => (
          <li key={c}>{c}</li>
        ))}
      </ul>
      {sheets.length === 0 && <p>Nothing on the plan can be carried out yet.</p>}
      {sheets.map((sheet, i) => (
        <SheetView key={i} sheet={sheet} />
      ))}
      <div className="mt-4 flex gap-3">
        <Link className="btn" to={`/job/${job}/table`}>
          Open the table
        </Link>
        <Link className="btn" to={`/job/${job}/print`}>
          Print it with the pages
        </Link>
      </div>
    </Station>
  );
}

function SheetView({ sheet }: { readonly sheet: HandSheet }) {
  const firsts = sheet.stages.map((_, i) => sheet.stages.slice(0, i).reduce((n, s) => n + s.lines.length, 1));
  return (
    <article className="card mb-6 p-5">
      <h2>
        {sheet.title}
        {sheet.amount && <span className="num ml-3 text-xl">{sheet.amount}</span>}
      </h2>
      {sheet.stages.map((stage, i) => (
        <section
          key={stage.heading}
          className="mt-3 grid gap-5 border-t border-line pt-3 min-[800px]:grid-cols-[minmax(0,1fr)_auto]"
        >
          <div>
            <h3 className="mb-1">{stage.heading}</h3>
            <ol className="space-y-2">
              {stage.lines.map((line, k) => (
                <li key={line} className="grid max-w-[78ch] grid-cols-[2.2rem_1fr]">
                  <span className="num">{(firsts[i] ?? 1) + k}</span>
                  <span>{line}</span>
                </li>
              ))}
            </ol>
          </div>
          <div className="flex flex-wrap gap-3">
            {stage.diagrams.map((d) => (
              <DiagramView key={d.name} diagram={d} height={210} />
            ))}
          </div>
        </section>
      ))}
      {sheet.checks.length > 0 && (
        <section className="mt-3 border-t border-ink pt-3">
          <h3 className="mb-1">Check at the end</h3>
          <ul className="space-y-2">
            {sheet.checks.map((line) => (
              <li key={line} className="grid max-w-[90ch] grid-cols-[2.2rem_1fr]">
                <span className="mt-1 size-4 border border-ink" aria-hidden="true" />
                <span>{line}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </article>
  );
}
