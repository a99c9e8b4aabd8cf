import { counted } from '@ample/core/speech';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { garmentOf } from '@ample/core/fitting/fit';
import { type Row } from '@ample/core/fitting/compare';
import type { MeasurementKey } from '@ample/core/pattern';
import { GARMENT_WORDS, MEASUREMENT_WORDS, sayRefusal, saySum } from '@ample/core/words';
import { useDraft } from '../../store/draft.ts';
import { useJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';
import { Length, Notice, Station } from '../../shared/basics.tsx';
import { Example } from '../../shared/first/Example.tsx';
import { First } from '../../shared/first/First.tsx';
import { useFirstThing } from '../../shared/first/firstThing.ts';
import { HangingSkirt } from './HangingSkirt.tsx';
import { RowDetail } from './RowDetail.tsx';
import { Scribble } from './Scribble.tsx';
import { Worksheet } from './Worksheet.tsx';

const complete = (r: Row): boolean => r.difference !== null;

/** The worksheet: body and ease against the pattern's own flat measurements, and what is left once the plan is done. */
export function Compare() {
  const { draft, pattern } = useDraft();
  const first = useFirstThing();
  const wearer = useJob((s) => s.wearer);
  const hanging = useJob((s) => (s.job?.hanging ?? null) !== null);
  const units = useUnits();
  const { job } = useParams();
  const [focused, setFocused] = useState<MeasurementKey>('fullBust');
  const [all, setAll] = useState(false);
  const rows = useMemo(() => draft?.worksheet ?? [], [draft]);
  if (!draft || !pattern || !wearer) return <Station title="Compare">Measuring the pieces…</Station>;
  if (first)
    return (
      <Station title="Compare" lead="Body and ease against the pattern, measured flat on the seam lines." wide>
        <First thing={first} />
        <Example of="compare" />
      </Station>
    );
  if (draft.refusal)
    return (
      <Station title="Compare" wide>
        <Notice grade="fault">
          {sayRefusal(draft.refusal, units)}{' '}
          <Link className="link" to={`/job/${job}/body`}>
            Measure
          </Link>
        </Notice>
      </Station>
    );
  const paper = draft.paper !== null;
  // With paper every row can be filled in; with pieces the rows that lack a side only say so.
  const shown = rows.filter((r) => all || complete(r) || (paper && r.body !== null));
  const row = rows.find((r) => r.key === focused) ?? shown[0];
  return (
    <Station
      title={`Compare, size ${draft.size ?? ''}`}
      lead={`Body and ease against ${paper ? 'your paper' : 'the pieces'}, measured flat on the seam lines with darts folded shut. + means the pattern must grow. The ease is the design’s own unless you type another; that is kept for ${wearer.name} in ${GARMENT_WORDS[garmentOf(pattern)]}.`}
      wide
    >
      {paper && (
        <div className="mb-3">
          <Notice grade="note">
            Paper only: measure your pieces flat and type it here, in the column “Your paper”. What you leave empty is
            taken from the chart and the usual ease.
          </Notice>
        </div>
      )}
      <div className="grid gap-5 min-[1180px]:grid-cols-[minmax(0,1fr)_340px]">
        <div>
          <Worksheet
            rows={shown}
            paper={paper}
            size={draft.size ?? ''}
            pattern={pattern}
            focused={row?.key ?? null}
            onFocus={setFocused}
          />
          <OnRight rows={draft.onRight} />
          {rows.length > shown.length && (
            <button className="btn mt-3" onClick={() => setAll(true)}>
              Show {counted(rows.length - shown.length, 'row')} where body or pattern is not known
            </button>
          )}
          {(pattern.fabric.kind === 'knit' || hanging) && <HangingSkirt />}
        </div>
        <div className="space-y-4 self-start min-[1180px]:sticky min-[1180px]:top-0">
          {row && <RowDetail row={row} draft={draft} />}
          <Scribble draft={draft} focused={row?.key ?? null} onFocus={setFocused} />
        </div>
      </div>
    </Station>
  );
}

/** What was taken on the right because it differs there, against the right pieces. */
function OnRight({ rows }: { readonly rows: readonly Row[] }) {
  const units = useUnits();
  const known = rows.filter(complete);
  if (known.length === 0) return null;
  return (
    <section className="card mt-4 p-4" aria-label="On the right side">
      <h2>On the right side</h2>
      <p className="mb-2 text-sm text-quiet">
        The table above is for the left side; this is what differs on the right.
      </p>
      <ul className="space-y-2">
        {known.map((r) => (
          <li key={r.key}>
            <span className="font-bold">{MEASUREMENT_WORDS[r.key].name}</span>
            <span className="num ml-3">{saySum(r, units)}</span>
            {r.left !== null && r.left !== r.difference && (
              <span className="ml-3 text-quiet">
                after the plan <Length value={r.left} sign />
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
