import { Link, useParams } from 'react-router';
import type { Draft } from '@ample/core/draft';
import { chartHighBust } from '@ample/core/fit';
import type { Pattern } from '@ample/core/pattern';
import { sayFit, sayRefusal } from '@ample/core/words';
import { useDraft } from '../../store/draft.ts';
import { editJob, useJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';
import { Length, Notice, Station } from '../../ui/parts.tsx';
import { Ladder, type Rule } from './Ladder.tsx';

/** Each measurement as a rule with the sizes as rungs and the wearer as a marker. */
function rules(draft: Draft, pattern: Pattern): readonly Rule[] {
  const rows = (pick: (row: Pattern['chart'][number]) => number | undefined) =>
    pattern.chart.flatMap((r) => {
      const at = pick(r);
      return at === undefined ? [] : [{ size: r.size, at }];
    });
  return [
    { key: 'highBust', rungs: rows((r) => chartHighBust(r, pattern)), wearer: draft.body.highBust ?? null },
    { key: 'fullBust', rungs: rows((r) => r.body.fullBust), wearer: draft.body.fullBust ?? null },
    { key: 'waist', rungs: rows((r) => r.body.waist), wearer: draft.body.waist ?? null },
    { key: 'hip', rungs: rows((r) => r.body.hip), wearer: draft.body.hip ?? null },
  ];
}

export function Size() {
  const { draft, pattern } = useDraft();
  const job = useJob((s) => s.job);
  const units = useUnits();
  const { job: id } = useParams();
  if (!draft || !pattern || !job) return <Station title="Size">Reading the chart…</Station>;
  const choice = draft.sizeChoice;
  return (
    <Station
      title="The size to start from"
      lead="Neck, shoulders and armholes are the hardest to change, so a garment that hangs from the shoulder starts from the high bust; the bust is altered afterwards."
      wide
    >
      <div className="grid gap-6 min-[1000px]:grid-cols-[minmax(0,1fr)_360px]">
        <div>
          <Ladder rules={rules(draft, pattern)} chosen={draft.size} />
          <p className="mt-2 text-sm text-quiet">
            The line joins the chosen size on every rule. Where the wearer stands beside it, the pattern will be altered
            or graded there.
          </p>
        </div>
        <div className="space-y-4">
          {!choice.ok && (
            <Notice grade="fault">
              {sayRefusal(choice.error, units)}{' '}
              <Link className="underline" to={`/job/${id}/body`}>
                Measure
              </Link>
            </Notice>
          )}
          {draft.refusal && choice.ok && <Notice grade="fault">{sayRefusal(draft.refusal, units)}</Notice>}
          {choice.ok && (
            <div className="sheet p-4">
              <div className="text-sm">Start from</div>
              <div className="font-head text-2xl font-semibold">Size {draft.size}</div>
              {job.size !== null && job.size !== choice.value.chosen.size && (
                <p className="text-sm">Chosen by hand; the rule gives size {choice.value.chosen.size}.</p>
              )}
              <ul className="mt-2 space-y-2">
                {choice.value.reasons.map((r) => (
                  <li key={r.code}>{sayFit(r, units)}</li>
                ))}
              </ul>
            </div>
          )}
          {choice.ok && (
            <table className="sheet w-full">
              <caption className="px-3 pt-2 text-left text-sm">What each size would ask of the bust</caption>
              <thead>
                <tr className="border-b border-ink text-sm">
                  <th className="px-3 py-1 text-left font-normal">Size</th>
                  <th className="px-3 py-1 text-right font-normal">
                    {choice.value.method === 'highBust' ? 'High bust' : 'Full bust'} off by
                  </th>
                  <th className="px-3 py-1 text-right font-normal">Bust over chart</th>
                </tr>
              </thead>
              <tbody>
                {[choice.value.smaller, choice.value.chosen, choice.value.larger].map(
                  (o) =>
                    o && (
                      <tr key={o.size} className={`border-b border-line ${o.size === draft.size ? 'bg-tissue' : ''}`}>
                        <th scope="row" className="num px-3 py-1.5 text-left">
                          {o.size}
                        </th>
                        <td className="px-3 text-right">
                          <Length value={o.difference} sign />
                        </td>
                        <td className="px-3 text-right">{o.bustOver !== null && <Length value={o.bustOver} sign />}</td>
                      </tr>
                    ),
                )}
              </tbody>
            </table>
          )}
          <fieldset className="sheet p-4">
            <legend className="bg-page px-1 text-sm">Choose by</legend>
            {(['highBust', 'fullBust'] as const).map((m) => (
              <label key={m} className="flex min-h-[40px] items-center gap-2">
                <input
                  type="radio"
                  name="method"
                  className="size-5 accent-carbon"
                  checked={job.sizeMethod === m}
                  onChange={() => editJob((j) => ({ ...j, sizeMethod: m, size: null }))}
                />
                {m === 'highBust' ? 'high bust' : 'full bust (where cups do not matter)'}
              </label>
            ))}
            <label className="mt-2 block">
              <span className="mb-1 block text-sm">Or take a size by hand</span>
              <select
                className="field w-full"
                value={job.size ?? ''}
                onChange={(e) => editJob((j) => ({ ...j, size: e.target.value || null }))}
              >
                <option value="">by the rule</option>
                {pattern.chart.map((r) => (
                  <option key={r.size} value={r.size}>
                    size {r.size}
                  </option>
                ))}
              </select>
            </label>
          </fieldset>
        </div>
      </div>
    </Station>
  );
}
