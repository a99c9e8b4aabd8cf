import { Dialog } from 'radix-ui';
import { Suspense } from 'react';
import { useLocation } from 'react-router';
import { ENGLISHES, type English } from '@ample/core/speech';
import { usePrefs } from '../store/prefs.ts';
import { HOTKEYS, PLACES } from '../lib/hotkeys.ts';
import { fetchedLater } from '../ui/fetchedLater.tsx';
import { Radio } from '../ui/Radio.tsx';
import { Modal } from '../ui/Modal.tsx';
import type { Pictured } from '../shared/first/Pictures.tsx';
import { Here } from './Here.tsx';
import { STATIONS } from './stations.ts';

// The words come when Help is opened: the first screen has no need of them.
const Glossary = fetchedLater(async () => (await import('./Glossary.tsx')).Glossary);

/** The place an address leads to. */
const placeOf = (pathname: string): Pictured =>
  STATIONS.find((s) => pathname.endsWith(`/${s.id}`))?.id ?? (pathname.startsWith('/practice') ? 'practice' : 'rail');

export function Help({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  const { pathname } = useLocation();
  return (
    <Modal
      title="Getting started and shortcuts"
      about="Measure the body, see the size to start from, decide the amount, then carry the alteration out on the table a stage at a time, as you would on paper. Check, print, and trace; never cut your only original."
      open={open}
      onOpenChange={(o) => !o && onClose()}
      width="w-[640px]"
    >
      <Here at={placeOf(pathname)} />
      <EnglishChoice />
      {Object.entries(PLACES).map(([where, title]) => (
        <table key={where} className="mt-4 w-full">
          <caption className="pb-1 text-left font-medium">{title}</caption>
          <tbody>
            {Object.entries(HOTKEYS).map(
              ([id, key]) =>
                key.where === where && (
                  <tr key={id} className="border-t border-line">
                    <th scope="row" className="num w-48 py-1 pr-4 text-left font-medium">
                      {key.shown}
                    </th>
                    <td>{key.does}</td>
                  </tr>
                ),
            )}
          </tbody>
        </table>
      ))}
      <details className="mt-4 border-t border-line pt-3">
        <summary className="link">Glossary</summary>
        <Suspense>
          <Glossary />
        </Suspense>
      </details>
      <p className="mt-4 text-sm">
        Work safely: close the blade of a rotary cutter when you put it down and cut away from you; keep pins out of
        your mouth; tape and some papers scorch under an iron. Measure snug, never tight. For garments worn for medical
        reasons, or where something hurts, ask a clinician first; for children’s wear follow your local safety rules.
      </p>
      <Dialog.Close className="btn btn-main mt-4">Close</Dialog.Close>
    </Modal>
  );
}

/** Reloads the page, since all its text changes; work is saved as it is whenever the page is left. */
function EnglishChoice() {
  const english = usePrefs((s) => s.english);
  return (
    <fieldset className="mt-4 border-t border-line pt-3">
      <legend className="sr-only">English</legend>
      {(Object.keys(ENGLISHES) as English[]).map((id) => (
        <Radio
          key={id}
          name="english"
          on={english === id}
          set={() => {
            usePrefs.setState({ english: id });
            window.location.reload();
          }}
          className="mr-6 inline-flex min-h-[40px] items-center gap-2"
        >
          {ENGLISHES[id].name}
        </Radio>
      ))}
    </fieldset>
  );
}
