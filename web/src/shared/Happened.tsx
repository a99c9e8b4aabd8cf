import { useRef, useState } from 'react';
import { whatHappened } from '../lib/happened.ts';
import { useJob } from '../store/job.ts';

/** What went wrong as a text to hand on; it holds no measurement and no name, and one sees so before one copies it. */
export function Happened({ error, where }: { readonly error: unknown; readonly where: string }) {
  const job = useJob((s) => s.job);
  const box = useRef<HTMLTextAreaElement>(null);
  const [said, setSaid] = useState<string | null>(null);
  const copy = async () => {
    box.current?.select();
    try {
      await navigator.clipboard.writeText(box.current?.value ?? '');
      setSaid('Copied.');
    } catch {
      // On a plain address of the home network a page may not reach the clipboard.
      setSaid('It is selected: press Ctrl+C to copy it.');
    }
  };
  return (
    <details className="mt-3">
      <summary className="min-h-[40px] cursor-pointer py-2">Details to pass on</summary>
      <p className="mb-2 text-sm text-quiet">Version, station, steps and the error. No measurements, no names.</p>
      <textarea
        ref={box}
        readOnly
        rows={7}
        className="field num w-full !text-sm"
        aria-label="What happened"
        value={whatHappened(error, where, job)}
      />
      <button className="btn mt-2" onClick={() => void copy()}>
        Copy the details
      </button>
      {said && (
        <span role="status" className="ml-3">
          {said}
        </span>
      )}
    </details>
  );
}
