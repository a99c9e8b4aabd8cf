import { Tabs } from 'radix-ui';
import { Suspense, useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { wornAs } from '@ample/core/pattern';
import { inOrderOfDate } from '@ample/core/fitting/toile';
import { useDraft } from '../../store/draft.ts';
import { useJob } from '../../store/job.ts';
import { Station } from '../../shared/basics.tsx';
import { FirstLook } from './FirstLook.tsx';
import { FittingList } from './FittingList.tsx';
import { FittingView } from './FittingView.tsx';
import { Pair } from './Pair.tsx';
import { Versions } from './Versions.tsx';
import { Again } from '../../shared/Again.tsx';
import { fetchedLater } from '../../ui/fetchedLater.tsx';
import { en } from '@ample/core/speech';

const OnForm = fetchedLater(async () => (await import('./onForm/OnForm.tsx')).OnForm);

const TAB =
  'btn border-b-0 data-[state=active]:bg-ink data-[state=active]:text-white focus-visible:outline-offset-[-3px]';

/** Fittings by date: what was seen, where it comes from, what it changes; two beside each other; versions of the plan. */
export function Toile() {
  const { job: id } = useParams();
  const fittings = useJob((s) => s.job?.fittings);
  const draft = useDraft((s) => (s.jobId === id ? s.draft : null));
  const [query, setQuery] = useSearchParams();
  const [view, setView] = useState('fittings');
  const sorted = inOrderOfDate(fittings ?? []);
  const asked = query.get('fitting');
  const chosen = sorted.find((f) => f.id === asked) ?? sorted.at(-1);
  const choose = (fitting: string) => setQuery({ fitting }, { replace: true });
  return (
    <Station title={en`Toile`} wide>
      <Tabs.Root value={view} onValueChange={setView}>
        <Tabs.List className="mb-4 flex flex-wrap gap-2 border-b border-ink" aria-label="What to look at">
          <Tabs.Trigger className={TAB} value="fittings">
            Fittings
          </Tabs.Trigger>
          <Tabs.Trigger className={TAB} value="form">
            On the form
          </Tabs.Trigger>
          <Tabs.Trigger className={TAB} value="pair" disabled={sorted.length < 2}>
            Two side by side
          </Tabs.Trigger>
          <Tabs.Trigger className={TAB} value="versions">
            Versions
          </Tabs.Trigger>
          <Tabs.Trigger className={TAB} value="again">
            Make it again
          </Tabs.Trigger>
        </Tabs.List>
        <Tabs.Content value="fittings">
          <FittingList fittings={sorted} chosen={chosen?.id ?? null} onChoose={choose} />
          {chosen ? <FittingView key={chosen.id} fitting={chosen} draft={draft} /> : <FirstLook draft={draft} />}
        </Tabs.Content>
        <Tabs.Content value="form">
          <Suspense fallback={<p role="status">The form comes …</p>}>
            <OnForm
              id={id ?? ''}
              draft={draft}
              onKept={(fitting) => {
                choose(fitting);
                setView('fittings');
                window.scrollTo({ top: 0 });
              }}
            />
          </Suspense>
        </Tabs.Content>
        <Tabs.Content value="pair">
          <Pair worn={wornAs(draft?.pieces ?? [])} fittings={sorted} />
        </Tabs.Content>
        <Tabs.Content value="versions">
          <Versions draft={draft} />
        </Tabs.Content>
        <Tabs.Content value="again">
          <Again draft={draft} />
        </Tabs.Content>
      </Tabs.Root>
    </Station>
  );
}
