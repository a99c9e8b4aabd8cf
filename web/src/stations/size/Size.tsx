import { Link, useParams } from 'react-router';
import type { Draft } from '@ample/core/fitting/plan';
import { chartHighBust, sharedPieces } from '@ample/core/fitting/fit';
import type { MeasurementKey, Pattern } from '@ample/core/pattern';
import { CUP_PIECE_WORDS, sayFit, sayRefusal } from '@ample/core/words';
import { useDraft } from '../../store/draft.ts';
import { editJob, useJob } from '../../store/job.ts';
import { useUnits } from '../../store/prefs.ts';
import { Length, Notice, Station } from '../../shared/basics.tsx';
import { Example } from '../../shared/first/Example.tsx';
import { First } from '../../shared/first/First.tsx';
import { useFirstThing } from '../../shared/first/firstThing.ts';
import { Said } from '../../shared/Said.tsx';
import { Ladder, type Rule } from './Ladder.tsx';
import type { Job } from '@ample/core/documents';
import type { SizeChoice } from '@ample/core/fitting/fit';
import type { Units } from '@ample/core/speech';
import { Select } from '../../ui/Select.tsx';
import { Radio } from '../../ui/Radio.tsx';

/** Each measurement as a rule with the sizes as rungs and the wearer as a marker. */
function rules(draft: Draft, pattern: Pattern): readonly Rule[] {
  const rows = (pick: (row: Pattern['chart'][number]) => number | undefined) =>
    pattern.chart.flatMap((r) => {
      const at = pick(r);
      return at === undefined ? [] : [{ size: r.size, at }];
    });
  const below: readonly Rule[] = [
    { key: 'waist', rungs: rows((r) => r.body.waist), wearer: draft.body.waist ?? null },
    { key: 'hip', rungs: rows((r) => r.body.hip), wearer: draft.body.hip ?? null },
  ];
  if (pattern.garment === 'bottom') return below;
  return [
    { key: 'highBust', rungs: rows((r) => chartHighBust(r, pattern)), wearer: draft.body.highBust ?? null },
    { key: 'fullBust', rungs: rows((r) => r.body.fullBust), wearer: draft.body.fullBust ?? null },
    ...below,
  ];
}

const METHOD = { highBust: 'High bust', fullBust: 'Full bust', hip: 'Hip' } as const;

/** The size taken at each rule: waist and hip have their own. */
const gradedAt = (draft: Draft): Readonly<Partial<Record<MeasurementKey, string>>> =>
  Object.fromEntries(draft.levels.map((l) => [l.key, l.size]));

/** False where the cup taken has pieces of its own in other sizes or cups only. */
function isDrawnFor(pattern: Pattern, { size, cup }: Draft): boolean {
  const taken = pattern.cups.find((c) => c.name === cup);
  const plain = (pattern.sizes[size ?? ''] ?? []).length > 0;
  if (!taken || !plain || taken.sizesUp === 0 || taken.cup === pattern.draftCup) return true;
  return (pattern.sizes[`${size ?? ''} ${taken.name}`] ?? []).length > 0;
}

/** The cup of a pattern sold in several: what the rule says, what is left beyond it, and one's own choice. */
function Cups({ draft, pattern }: { readonly draft: Draft; readonly pattern: Pattern }) {
  const job = useJob((s) => s.job);
  if (pattern.cups.length === 0) return null;
  const choice = draft.cupChoice;
  const ready = pattern.cups.find((c) => c.name === draft.cup)?.sizesUp ?? null;
  const missing = !isDrawnFor(pattern, draft);
  const shared = sharedPieces(pattern, draft.size ?? '').map((p) => p.name);
  return (
    <section className="card p-4" aria-label="Cup">
      <h2>{ready !== null ? `The ${draft.cup ?? ''} piece` : `Cup ${draft.cup ?? ''}`}</h2>
      {choice ? (
        <p className="mt-1">
          Full less high bust is <Length value={choice.wanted} />;{' '}
          {choice.chosen.sizesUp === null
            ? `cup ${choice.chosen.name}`
            : `the ${choice.chosen.name} piece, ${CUP_PIECE_WORDS(choice.chosen.sizesUp)},`}{' '}
          is drafted for <Length value={choice.chosen.cup} />
          {missing ? (
            `. Size ${draft.size ?? ''} has no pieces drawn for it here: the plan starts from those there are, and the bust step does all of it.`
          ) : choice.beyond ? (
            <>
              , the largest sold: a full bust adjustment of about <Length value={choice.rest} sign /> does the rest.
            </>
          ) : (
            <>
              , the nearest (<Length value={choice.rest} sign />
              ).
            </>
          )}
        </p>
      ) : (
        <p className="mt-1">Measure full and high bust to choose the cup.</p>
      )}
      {shared.length > 0 && <p className="mt-1">The same for every cup: {shared.join(', ')}.</p>}
      <Select
        label="Choose a cup by hand"
        value={job?.cup ?? ''}
        set={(chosen) => editJob((j) => ({ ...j, cup: chosen || null }))}
        wide
        className="mt-2 block"
      >
        <option value="">by the rule</option>
        {pattern.cups.map((c) => (
          <option key={c.name} value={c.name}>
            cup {c.name}
          </option>
        ))}
      </Select>
    </section>
  );
}

const LEVEL_NAMES = { underbust: 'Band under the bust', waist: 'Waist', hip: 'Hip' } as const;

/** By the levels that have a size of their own. */
const TITLES: Readonly<Record<string, string>> = { 'underbust waist hip': 'Band, waist and hip', waist: 'Waist' };

/** Waist and hip by themselves: the sizes the pattern is graded to. */
function Levels({ draft }: { readonly draft: Draft }) {
  if (draft.levels.length === 0) return null;
  return (
    <section className="card p-4" aria-label="Waist and hip">
      <h2>{TITLES[draft.levels.map((l) => l.key).join(' ')] ?? 'Waist and hip'}</h2>
      <ul className="mt-1 space-y-2">
        {draft.levels.map((l) => (
          <li key={l.key}>
            {LEVEL_NAMES[l.key]} <Length value={l.body} />: size {l.size} (<Length value={l.chart} />
            ).
            {l.beyond !== null && l.beyond > 3 ? (
              <>
                {' '}
                The chart ends <Length value={l.beyond} /> below it.
              </>
            ) : (
              l.smaller && (
                <>
                  {' '}
                  Between {l.smaller.size} and {l.size}: the larger, since it is easier to take in than to let out (
                  {l.smaller.size} would lack <Length value={l.smaller.by} />
                  ).
                </>
              )
            )}
            {l.size !== draft.size && ` Graded from size ${draft.size ?? ''} there.`}
          </li>
        ))}
      </ul>
    </section>
  );
}

export function Size() {
  const first = useFirstThing();
  const { draft, pattern } = useDraft();
  const job = useJob((s) => s.job);
  const units = useUnits();
  const { job: id } = useParams();
  if (!draft || !pattern || !job) return <Station title="Size">Reading the chart…</Station>;
  const choice = draft.sizeChoice;
  const bottom = pattern.garment === 'bottom';
  return (
    <Station
      title="The size to start from"
      lead={
        bottom
          ? 'The hip is the fullest part, so a garment that hangs from the waist starts from it; the waist is altered afterwards.'
          : 'Neck, shoulders and armholes are the hardest to change, so a garment that hangs from the shoulder starts from the high bust; the bust is altered afterwards.'
      }
      wide
    >
      {first && (
        <>
          <First thing={first} />
          <Example of="size" />
        </>
      )}
      <div className={`grid gap-6 min-[1000px]:grid-cols-[minmax(0,1fr)_360px] ${first ? 'mt-5' : ''}`}>
        <div className={first ? 'hidden' : ''}>
          <Ladder rules={rules(draft, pattern)} chosen={draft.size} graded={gradedAt(draft)} />
          <p className="mt-2 text-sm text-quiet">
            The line joins the sizes taken on every rule, from {bottom ? 'waist' : 'bust to waist'} to hip: where it
            leaves the first size, the pattern is graded. Where the wearer stands beside it, it will be altered.
          </p>
        </div>
        <div className="space-y-4">
          {!choice.ok && !first && (
            <Notice grade="fault">
              {sayRefusal(choice.error, units)}{' '}
              <Link className="link" to={`/job/${id}/body`}>
                Measure
              </Link>
            </Notice>
          )}
          {draft.refusal && choice.ok && !first && <Notice grade="fault">{sayRefusal(draft.refusal, units)}</Notice>}
          {choice.ok && <StartFrom draft={draft} job={job} choice={choice} units={units} />}
          {draft.leaveBust && (
            <Notice grade="note">
              <Said>{sayFit(draft.leaveBust, units)}</Said>
            </Notice>
          )}
          <Cups draft={draft} pattern={pattern} />
          <Levels draft={draft} />
          {choice.ok && <LevelTable bust={!bottom} choice={choice} draft={draft} />}
          <ChooseBy pattern={pattern} job={job} />
        </div>
      </div>
    </Station>
  );
}

function StartFrom({
  draft,
  job,
  choice,
  units,
}: {
  readonly draft: Draft;
  readonly job: Job;
  readonly choice: { readonly ok: true; readonly value: SizeChoice };
  readonly units: Units;
}) {
  return (
    <div className="card p-4">
      <div className="text-sm">Start from</div>
      <div className="font-head text-2xl font-semibold">Size {draft.size}</div>
      {job.size !== null && job.size !== choice.value.chosen.size && (
        <p className="text-sm">Chosen by hand; the rule gives size {choice.value.chosen.size}.</p>
      )}
      <ul className="mt-2 space-y-2">
        {choice.value.reasons.map((r) => (
          <li key={r.code}>
            <Said>{sayFit(r, units)}</Said>
          </li>
        ))}
      </ul>
    </div>
  );
}

function LevelTable({
  bust,
  choice,
  draft,
}: {
  readonly bust: boolean;
  readonly choice: { readonly ok: true; readonly value: SizeChoice };
  readonly draft: Draft;
}) {
  return (
    <table className="card w-full">
      <caption className="px-3 pt-2 text-left text-sm">
        {bust ? 'What each size would need, and the ease it would leave unaltered' : 'What each size would need'}
      </caption>
      <thead>
        <tr className="border-b border-ink text-sm">
          <th className="px-3 py-1 text-left font-normal">Size</th>
          <th className="px-3 py-1 text-right font-normal">{METHOD[choice.value.method]} off by</th>
          {bust && (
            <>
              <th className="px-3 py-1 text-right font-normal">Bust over chart</th>
              <th className="px-3 py-1 text-right font-normal">Bust ease</th>
            </>
          )}
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
                {bust && (
                  <>
                    <td className="px-3 text-right">{o.bustOver !== null && <Length value={o.bustOver} sign />}</td>
                    <td className="px-3 text-right">{o.bustEase !== null && <Length value={o.bustEase} sign />}</td>
                  </>
                )}
              </tr>
            ),
        )}
      </tbody>
    </table>
  );
}

function ChooseBy({ pattern, job }: { readonly pattern: Pattern; readonly job: Job }) {
  return (
    <fieldset className="card p-4">
      <legend className="bg-page px-1 text-sm">Choose by</legend>
      {pattern.garment === 'bottom' && (
        <p>This pattern hangs from the waist: the hip decides, and the waist is graded to it.</p>
      )}
      {(pattern.garment === 'bottom' ? [] : (['highBust', 'fullBust'] as const)).map((m) => (
        <Radio
          key={m}
          name="method"
          on={job.sizeMethod === m}
          set={() => editJob((j) => ({ ...j, sizeMethod: m, size: null }))}
        >
          {m === 'highBust' ? 'high bust' : 'full bust (where cups do not matter)'}
        </Radio>
      ))}
      <Select
        label="Or choose a size by hand"
        value={job.size ?? ''}
        set={(chosen) => editJob((j) => ({ ...j, size: chosen || null }))}
        wide
        className="mt-2 block"
      >
        <option value="">by the rule</option>
        {pattern.chart.map((r) => (
          <option key={r.size} value={r.size}>
            size {r.size}
          </option>
        ))}
      </Select>
    </fieldset>
  );
}
