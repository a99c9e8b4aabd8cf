import { create } from 'zustand';

/** A file the system has handed to the installed app, until the rail has looked at it. */
export const useHanded = create<{ readonly file: File | null }>(() => ({ file: null }));

interface Launched {
  readonly files?: readonly { readonly getFile: () => Promise<File> }[];
}
interface LaunchQueue {
  readonly setConsumer: (take: (launched: Launched) => void) => void;
}

/** Takes files that are opened with the app, where the browser can hand them over; `show` goes to the rail. */
export function takeHandedFiles(show: () => void, queue = (window as { launchQueue?: LaunchQueue }).launchQueue): void {
  queue?.setConsumer(({ files }) => {
    const first = files?.[0];
    if (!first) return;
    void first.getFile().then((file) => {
      useHanded.setState({ file });
      show();
    });
  });
}
