import { pictureOf, useProjector, type Picture } from './state.ts';

/** Between the projector's window and a stand-in table: the picture as it changes, and the question what it is now. */
type Message =
  { readonly kind: 'picture'; readonly picture: Picture } | { readonly kind: 'ask' } | { readonly kind: 'gone' };
const nameOf = (job: string): string => `ample-draft.projector ${job}`;

/** Tells every stand-in table of a job what is thrown, as long as the projector's window is open. */
export function tellTables(job: string): () => void {
  const channel = new BroadcastChannel(nameOf(job));
  const tell = (): void =>
    channel.postMessage({ kind: 'picture', picture: pictureOf(useProjector.getState()) } satisfies Message);
  channel.onmessage = (e: MessageEvent<Message>) => {
    if (e.data.kind === 'ask') tell();
  };
  const stop = useProjector.subscribe(tell);
  tell();
  return () => {
    stop();
    channel.postMessage({ kind: 'gone' } satisfies Message);
    channel.close();
  };
}

/** What a stand-in table sees; null while no projector is on. */
export function watchPicture(job: string, see: (picture: Picture | null) => void): () => void {
  const channel = new BroadcastChannel(nameOf(job));
  channel.onmessage = (e: MessageEvent<Message>) => {
    if (e.data.kind === 'picture') see(e.data.picture);
    else if (e.data.kind === 'gone') see(null);
  };
  channel.postMessage({ kind: 'ask' } satisfies Message);
  return () => channel.close();
}
