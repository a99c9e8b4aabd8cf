import { shows, type Reading, type ReadingId } from '@ample/core/drape';
import { READING_WORDS, sayAmount, sayReading } from '@ample/core/words';
import { useUnits } from '../../store/prefs.ts';
import type { Draped } from '../../workers/protocol.ts';

/** From which side a reading is seen best, degrees the form is turned. */
export function sideOf(id: ReadingId): number {
  if (/back|seat/.test(id)) return 180;
  return /side|shoulder|arm/.test(id) ? -90 : 0;
}

/** What the plan does about a reading; what was nearly there before is not brought by it. */
function byPlan(before: Reading, after: Reading): string {
  if (!shows(after)) return 'The plan mends it.';
  const there = Math.sign(before.off) === Math.sign(after.off) && Math.abs(before.off) > Math.abs(after.off) / 2;
  return there ? 'The plan leaves it.' : 'The plan brings it.';
}

/** What shows as drafted or as planned, the strongest first. */
export function Signs({
  draped,
  both,
  onShow,
}: {
  readonly draped: Draped;
  readonly both: boolean;
  readonly onShow: (id: ReadingId) => void;
}) {
  const units = useUnits();
  const { drafted, planned } = draped.readings;
  const strength = (r: Reading): number => Math.abs(r.off) / r.threshold;
  const signs = drafted
    .map((r, i) => ({ before: r, after: planned[i] ?? r }))
    .filter(({ before, after }) => shows(before) || (both && shows(after)))
    .sort((a, b) => strength(b.before) - strength(a.before));
  if (signs.length === 0)
    return <p>It hangs as on the body it was drafted for: nothing shows that a toile would show.</p>;
  return (
    <ul className="grid gap-2">
      {signs.map(({ before, after }) => (
        <li key={before.id} className="flex items-start justify-between gap-3 border-b border-line pb-2">
          <div>
            <p className="font-bold">{sayReading(shows(before) ? before : after)}</p>
            <p>
              {READING_WORDS[before.id].name}: {sayAmount(before, before.value, units)} as drafted
              {both && `, ${sayAmount(after, after.value, units)} as planned`};{' '}
              {sayAmount(before, before.control, units)} on the body it was drafted for. {both && byPlan(before, after)}
            </p>
          </div>
          <button
            className="btn shrink-0"
            onClick={() => onShow(before.id)}
            aria-label={`Show me: ${READING_WORDS[before.id].name}`}
          >
            Show me
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Every reading, for those who want all, and those who cannot see the form. */
export function ReadingsTable({
  draped,
  both,
  named = { drafted: 'As drafted', planned: 'As planned' },
}: {
  readonly draped: Draped;
  readonly both: boolean;
  readonly named?: { readonly drafted: string; readonly planned: string };
}) {
  const units = useUnits();
  const { drafted, planned } = draped.readings;
  const sure = draped.more?.plusMinus;
  return (
    <>
      <table className="mt-2 w-full" aria-label="All readings">
        <thead>
          <tr className="border-b border-ink text-left text-sm">
            <th className="py-1 font-normal">Reading</th>
            <th className="py-1 text-right font-normal">{named.drafted}</th>
            {both && <th className="py-1 text-right font-normal">{named.planned}</th>}
            <th className="py-1 text-right font-normal">On the drafted body</th>
            <th className="py-1 text-right font-normal">Shows when off by</th>
          </tr>
        </thead>
        <tbody>
          {drafted.map((r, i) => (
            <tr key={r.id} className="border-b border-line">
              <th scope="row" className="py-1 text-left font-normal">
                {READING_WORDS[r.id].name}
              </th>
              <Value reading={r} sure={both ? undefined : sure?.[r.id]} />
              {both && <Value reading={planned[i] ?? r} sure={sure?.[r.id]} />}
              <td className="py-1 text-right">{sayAmount(r, r.control, units)}</td>
              <td className="py-1 text-right text-quiet">{sayAmount(r, r.threshold, units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {sure && (
        <p className="mt-1 text-quiet">
          ±: how much a reading moves with what no tape tells, such as where the shoulder ridge lies.
        </p>
      )}
    </>
  );
}

function Value({ reading, sure }: { readonly reading: Reading; readonly sure: number | undefined }) {
  const units = useUnits();
  return (
    <td className={`py-1 text-right whitespace-nowrap ${shows(reading) ? 'font-bold' : ''}`}>
      {sayAmount(reading, reading.value, units)}
      {sure !== undefined && <span className="text-quiet"> ± {sayAmount(reading, sure, units)}</span>}
      {shows(reading) && <span className="sr-only"> shows</span>}
    </td>
  );
}
