import { Link, useParams } from 'react-router';
import { newestFirst } from '@ample/core/fitting/fit';
import type { MeasurementKey, Pattern } from '@ample/core/pattern';
import { MEASUREMENT_WORDS, sayBodyProblem } from '@ample/core/words';
import { setReading } from '../../store/body.ts';
import { useDraft } from '../../store/draft.ts';
import { useJob } from '../../store/job.ts';
import { setInChart } from '../../store/patterns.ts';
import { useUnits } from '../../store/prefs.ts';
import { Notice } from '../basics.tsx';
import { LengthField } from '../LengthField.tsx';
import type { FirstThing } from './firstThing.ts';

/** The one thing to do first, with its fields right here; and what has been done. */
export function First({
  thing,
  chartIsHere = false,
}: {
  readonly thing: FirstThing;
  /** The whole size chart stands on the same page. */
  readonly chartIsHere?: boolean;
}) {
  return (
    <section aria-labelledby="first" className="card border-l-4 !border-l-carbon p-4">
      <h2 id="first">{thing.kind === 'measure' ? 'First: two measurements' : 'First: the size on your envelope'}</h2>
      {thing.kind === 'measure' ? <Measure keys={thing.keys} /> : <Envelope size={thing.size} more={!chartIsHere} />}
      <Done thing={thing} />
    </section>
  );
}

function Measure({ keys }: { readonly keys: readonly MeasurementKey[] }) {
  const wearer = useJob((s) => s.wearer);
  const { job } = useParams();
  const set = wearer && newestFirst(wearer.sets)[0];
  if (!set) return null;
  return (
    <>
      <div className="mt-2 flex flex-wrap gap-x-8 gap-y-3">
        {keys.map((key) => (
          <div key={key} className="w-[330px] max-w-full">
            <LengthField
              label={MEASUREMENT_WORDS[key].name}
              value={set.readings[key]?.[0] ?? null}
              onCommit={(value) => setReading(set.id, key, 0, value)}
              min={100}
              max={2500}
              optional
              big
              width="w-36"
              onEnter={toNext}
            />
            <p className="mt-1 text-sm text-quiet">{MEASUREMENT_WORDS[key].how}</p>
            <Odd measure={key} set={set.id} />
          </div>
        ))}
      </div>
      <p className="mt-3">
        Then the size is known, and with it what to alter.{' '}
        <Link className="link !min-h-0" to={`/job/${job}/body`}>
          Take all measurements
        </Link>
      </p>
    </>
  );
}

/** What is odd about a measurement just typed, and what was probably meant. */
function Odd({ measure, set }: { readonly measure: MeasurementKey; readonly set: string }) {
  const draft = useDraft((s) => s.draft);
  const units = useUnits();
  const odd = draft?.bodyProblems.find(
    (p) => p.key === measure && (p.grade === 'stop' || p.data['meant'] !== undefined),
  );
  if (!odd) return null;
  const meant = odd.data['meant'];
  return (
    <div className="mt-1">
      <Notice grade={odd.grade === 'stop' ? 'fault' : 'look'}>
        {sayBodyProblem(odd, units)}
        {typeof meant === 'number' && (
          <button className="btn ml-3" onClick={() => setReading(set, measure, 0, meant)}>
            Yes, use it
          </button>
        )}
      </Notice>
    </div>
  );
}

/** What an envelope prints for one size. */
const PRINTED: Readonly<Record<Pattern['garment'], readonly MeasurementKey[]>> = {
  top: ['fullBust', 'waist', 'hip'],
  bottom: ['waist', 'hip'],
};

function Envelope({ size, more }: { readonly size: string; readonly more: boolean }) {
  const pattern = useDraft((s) => s.pattern);
  const { job } = useParams();
  const row = pattern?.chart.find((r) => r.size === size);
  if (!pattern || !row) return null;
  return (
    <>
      <p className="mt-1">
        Type the body measurements that the envelope prints for the size you would buy by your high bust. The bust is
        enough to begin with.
      </p>
      <div className="mt-2 flex flex-wrap gap-x-6 gap-y-3">
        {PRINTED[pattern.garment].map((key) => (
          <LengthField
            key={key}
            label={`${key === 'fullBust' ? 'Bust' : MEASUREMENT_WORDS[key].name} on the envelope`}
            value={row.body[key] ?? null}
            onCommit={(value) => setInChart(size, key, value)}
            min={100}
            max={2500}
            optional
            big
            width="w-44"
            onEnter={toNext}
          />
        ))}
      </div>
      {more && (
        <p className="mt-3">
          <Link className="link !min-h-0" to={`/job/${job}/pattern`}>
            Type the whole size chart
          </Link>
        </p>
      )}
    </>
  );
}

/** Enter goes on to the next field of the card, and from the last to what it was typed for. */
function toNext(from: HTMLInputElement): void {
  const fields = [...(from.closest('section')?.querySelectorAll('input') ?? [])];
  fields[fields.indexOf(from) + 1]?.focus();
}

/** What is known of the job so far. */
function Done({ thing }: { readonly thing: FirstThing }) {
  const wearer = useJob((s) => s.wearer);
  const { pattern, draft } = useDraft();
  const measured = thing.kind === 'chart' && (draft?.body.highBust ?? draft?.body.hip) !== undefined;
  return (
    <dl className="mt-3 flex flex-wrap gap-x-8 border-t border-line pt-2 text-sm">
      {(
        [
          ['Whose', wearer?.name ?? ''],
          ['Pattern', pattern?.name ?? ''],
          ['Measured', measured ? 'enough for the size' : 'not yet'],
          ['Size', 'not yet'],
        ] as const
      ).map(([what, is]) => (
        <div key={what} className="flex gap-2">
          <dt className="text-quiet">{what}</dt>
          <dd>{is}</dd>
        </div>
      ))}
    </dl>
  );
}
