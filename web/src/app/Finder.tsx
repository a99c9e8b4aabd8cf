import { Command } from 'cmdk';
import { useState, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { CATALOGUE } from '@ample/core/alterations';
import { isSample, nameOfSample } from '@ample/core/blocks';
import { MEASUREMENT_CATALOGUE } from '@ample/core/fitting/fit';
import { ALTERATION_WORDS, CAUTION_WORDS, FAMILY_WORDS, MEASUREMENT_WORDS } from '@ample/core/words';
import { LESSONS } from '@ample/core/practice';
import { PRACTICE_PAGES } from '../stations/practice/pages.ts';
import { useLibrary, wearerOf } from '../store/library.ts';
import { addStep } from '../store/plan.ts';
import { HOTKEYS, PLACES } from '../lib/hotkeys.ts';
import { STATIONS } from './stations.ts';
import type { Job } from '@ample/core/documents';
import type { Wearer } from '@ample/core/documents';

/** What is read in place instead of gone to. */
interface Read {
  readonly title: string;
  readonly text: string;
  readonly add?: string;
}

/** Finds anything by a few letters: jobs, wearers, stations, alterations, help. */
export function Finder({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const { job: here } = useParams();
  const navigate = useNavigate();
  const { jobs, wearers, patterns } = useLibrary();
  const [read, setRead] = useState<Read | null>(null);
  const close = () => {
    setRead(null);
    onClose();
  };
  const go = (to: string) => {
    close();
    void navigate(to);
  };
  const patternName = (ref: (typeof jobs)[number]['pattern']): string => {
    if ('name' in ref) return ref.name;
    const id = 'id' in ref ? ref.id : 'sample' in ref ? ref.sample : '';
    return patterns.find((p) => p.id === id)?.name ?? (isSample(id) ? nameOfSample(id).name : '');
  };
  return (
    <Command.Dialog
      open={open}
      onOpenChange={(o) => !o && close()}
      label="Find"
      filter={rank}
      overlayClassName="fixed inset-0 z-20 bg-ink/40"
      contentClassName="fixed top-[10vh] left-1/2 z-20 flex max-h-[76vh] w-[640px] max-w-[94vw] -translate-x-1/2 flex-col border border-ink bg-page"
    >
      {read ? (
        <Passage read={read} here={here} go={go} setRead={setRead} />
      ) : (
        <>
          <Command.Input
            className="field m-3 w-[calc(100%-24px)] !text-lg"
            placeholder="A name, a station, an alteration, a measurement…"
          />
          <Command.List className="max-h-[60vh] overflow-auto px-3 pb-3">
            <Command.Empty className="p-3">No match.</Command.Empty>
            {here !== undefined && <StationItems go={go} here={here} />}
            <JobItems go={go} jobs={jobs} wearers={wearers} patternName={patternName} />
            <Group heading="Wearers">
              {wearers.map((w) => (
                <Item
                  key={w.id}
                  value={`wearer ${w.name} ${w.id}`}
                  onSelect={() => go(`/?wearer=${encodeURIComponent(w.id)}`)}
                >
                  {w.name}
                </Item>
              ))}
            </Group>
            <PracticeItems go={go} />
            <AlterationItems setRead={setRead} />
            <HelpItems setRead={setRead} />
          </Command.List>
        </>
      )}
    </Command.Dialog>
  );
}

function Passage({
  read,
  here,
  go,
  setRead,
}: {
  readonly read: Read;
  readonly here: string | undefined;
  readonly go: (to: string) => void;
  readonly setRead: (value: Read | null) => void;
}) {
  return (
    <div className="p-5">
      <h2>{read.title}</h2>
      <p className="mt-2">{read.text}</p>
      <div className="mt-4 flex gap-3">
        {read.add !== undefined && here !== undefined && (
          <button
            className="btn btn-main"
            onClick={() => {
              addStep(read.add ?? '');
              go(`/job/${here}/plan`);
            }}
          >
            Add it to the plan
          </button>
        )}
        <button className="btn" onClick={() => setRead(null)}>
          Back to the list
        </button>
      </div>
    </div>
  );
}

function StationItems({ go, here }: { readonly go: (to: string) => void; readonly here: string }) {
  return (
    <Group heading="This job">
      {STATIONS.map((s, i) => (
        <Item key={s.id} value={`station ${s.name}`} onSelect={() => go(`/job/${here}/${s.id}`)} aside={`key ${i + 1}`}>
          {s.name}
        </Item>
      ))}
      <Item value="hand sheet steps by hand" onSelect={() => go(`/job/${here}/sheet`)}>
        Hand sheet
      </Item>
      <Item value="measuring sheet blank print" onSelect={() => go(`/job/${here}/measuring-sheet`)}>
        Measuring sheet
      </Item>
    </Group>
  );
}

function PracticeItems({ go }: { readonly go: (to: string) => void }) {
  return (
    <Group heading="Practice">
      {PRACTICE_PAGES.map((p) => (
        <Item key={p.to} value={`practice ${p.name}`} onSelect={() => go(p.to)}>
          {p.name}
        </Item>
      ))}
      {LESSONS.map((l) => (
        <Item key={l.id} value={`practice cut ${l.words.title}`} onSelect={() => go(`/practice/cut/${l.id}`)}>
          Cut it yourself: {l.words.title.toLowerCase()}
        </Item>
      ))}
    </Group>
  );
}

function JobItems({
  go,
  jobs,
  wearers,
  patternName,
}: {
  readonly go: (to: string) => void;
  readonly jobs: readonly Job[];
  readonly wearers: readonly Wearer[];
  readonly patternName: (ref: Job['pattern']) => string;
}) {
  return (
    <Group heading="Jobs">
      <Item value="the rail home all jobs" onSelect={() => go('/')}>
        The rail
      </Item>
      {jobs.map((j) => {
        const who = wearerOf(j, wearers)?.name ?? '';
        return (
          <Item
            key={j.id}
            value={`job ${j.title} ${who} ${patternName(j.pattern)} ${j.fabric} ${j.id}`}
            onSelect={() => go(`/job/${j.id}/body`)}
            aside={patternName(j.pattern)}
          >
            {who} · {j.title || 'Untitled'}
            {j.archived && ' (put away)'}
          </Item>
        );
      })}
    </Group>
  );
}

function AlterationItems({ setRead }: { readonly setRead: (value: Read | null) => void }) {
  return (
    <Group heading="Alterations">
      {CATALOGUE.map((d) => {
        const words = ALTERATION_WORDS[d.id];
        const name = words && words.lapName !== words.name ? `${words.name} / ${words.lapName}` : (words?.name ?? d.id);
        return (
          <Item
            key={d.id}
            value={`alteration ${name} ${d.id}`}
            onSelect={() => setRead({ title: name, text: words?.about ?? '', add: d.id })}
            aside={FAMILY_WORDS[d.family]}
          >
            {name}
          </Item>
        );
      })}
    </Group>
  );
}

function HelpItems({ setRead }: { readonly setRead: (value: Read | null) => void }) {
  return (
    <Group heading="Help">
      {MEASUREMENT_CATALOGUE.map(({ key }) => (
        <Item
          key={key}
          value={`measure ${MEASUREMENT_WORDS[key].name} ${key}`}
          onSelect={() =>
            setRead({
              title: `${MEASUREMENT_WORDS[key].name}: how it is measured`,
              text: MEASUREMENT_WORDS[key].how,
            })
          }
        >
          How to measure: {MEASUREMENT_WORDS[key].name.toLowerCase()}
        </Item>
      ))}
      {Object.entries(HOTKEYS).map(([id, { where, shown, does }]) => (
        <Item
          key={id}
          value={`key ${where} ${shown} ${does}`}
          onSelect={() => setRead({ title: shown, text: `${PLACES[where]}: ${does}` })}
          aside={shown}
        >
          {does}
        </Item>
      ))}
      {Object.entries(CAUTION_WORDS).map(([k, text]) => (
        <Item key={k} value={`caution safety ${k} ${text}`} onSelect={() => setRead({ title: 'Work safely', text })}>
          Work safely: {text.split(/[:,;.]/)[0]?.toLowerCase()}
        </Item>
      ))}
    </Group>
  );
}

/** Every word asked for must be there; one that begins a word counts more than one inside it. */
const rank = (value: string, asked: string): number => {
  const [text, words] = [value.toLowerCase(), asked.toLowerCase().split(/\s+/).filter(Boolean)];
  if (!words.every((w) => text.includes(w))) return 0;
  return words.every((w) => ` ${text}`.includes(` ${w}`)) ? 1 : 0.5;
};

const Group = ({ heading, children }: { readonly heading: string; readonly children: ReactNode }) => (
  <Command.Group
    heading={heading}
    className="[&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-quiet"
  >
    {children}
  </Command.Group>
);

const Item = ({
  value,
  onSelect,
  aside,
  children,
}: {
  readonly value: string;
  readonly onSelect: () => void;
  readonly aside?: string;
  readonly children: ReactNode;
}) => (
  <Command.Item
    value={value}
    onSelect={onSelect}
    className="flex min-h-[40px] cursor-pointer items-center justify-between gap-4 px-3 data-[selected=true]:bg-tissue"
  >
    <span>{children}</span>
    {aside && <span className="text-right text-sm text-quiet">{aside}</span>}
  </Command.Item>
);
