import { useLiveQuery } from 'dexie-react-hooks';
import { Dialog } from 'radix-ui';
import { useEffect, useMemo, useState } from 'react';
import type { Fitting, FittingPhoto } from '@ample/core/documents';
import { sayRefusal } from '@ample/core/words';
import type { Refusal } from '@ample/core/units';
import { db } from '../../store/db.ts';
import { addPhotos, removePhoto, setCaption } from '../../store/photos.ts';
import { useUnits } from '../../store/prefs.ts';
import { Notice } from '../../shared/basics.tsx';
import { TextBox } from '../../ui/TextBox.tsx';

/** Pictures of a fitting. They stay in this browser, made smaller, without what the camera wrote about place and time. */
export function Photos({ fitting }: { readonly fitting: Fitting }) {
  const units = useUnits();
  const [busy, setBusy] = useState(false);
  const [troubles, setTroubles] = useState<readonly Refusal[]>([]);
  const take = async (files: FileList | null) => {
    if (!files || files.length === 0) return;
    setBusy(true);
    setTroubles(await addPhotos(fitting.id, [...files]));
    setBusy(false);
  };
  return (
    <section aria-labelledby="pictures">
      <h3 id="pictures" className="mb-2">
        Pictures
      </h3>
      {troubles.map((t, i) => (
        <div key={i} className="mb-2">
          <Notice grade="fault">{sayRefusal(t, units)}</Notice>
        </div>
      ))}
      <ul className="grid grid-cols-2 gap-3 min-[1180px]:grid-cols-3">
        {fitting.photos.map((p, i) => (
          <li key={p.id}>
            <Picture fitting={fitting.id} photo={p} number={i + 1} />
          </li>
        ))}
      </ul>
      <label className={`btn mt-2 ${busy ? 'opacity-50' : ''}`}>
        {busy ? 'Making them smaller…' : 'Add pictures'}
        <input
          type="file"
          accept="image/*"
          multiple
          className="sr-only"
          disabled={busy}
          onChange={(e) => {
            void take(e.target.files);
            e.target.value = '';
          }}
        />
      </label>
      <p className="mt-1 text-sm text-quiet">
        They stay in this browser and leave it only in a file you export. Place and time written by the camera are taken
        out.
      </p>
    </section>
  );
}

/** The picture as an address for an image; let go with the view. */
export function usePicture(id: string): string | null {
  const row = useLiveQuery(() => db.photos.get(id), [id]);
  const url = useMemo(
    () => (row ? URL.createObjectURL(new Blob([row.bytes as BlobPart], { type: row.type })) : null),
    [row],
  );
  useEffect(
    () => () => {
      if (url) URL.revokeObjectURL(url);
    },
    [url],
  );
  return url;
}

function Picture({
  fitting,
  photo,
  number,
}: {
  readonly fitting: string;
  readonly photo: FittingPhoto;
  readonly number: number;
}) {
  const url = usePicture(photo.id);
  const name = photo.caption || `Picture ${number}`;
  return (
    <Dialog.Root>
      <Dialog.Trigger className="block w-full border border-line bg-white" aria-label={`Open ${name}`}>
        {url ? (
          <img src={url} alt={name} className="block h-36 w-full object-contain" />
        ) : (
          <span className="block h-36" />
        )}
      </Dialog.Trigger>
      <TextBox
        bare
        label={`Caption of picture ${number}`}
        hint="what it shows"
        rows={1}
        max={400}
        value={photo.caption}
        onCommit={(c) => setCaption(fitting, photo.id, c)}
      />
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-ink/60" />
        <Dialog.Content className="fixed inset-4 flex flex-col items-center justify-center gap-3 border border-ink bg-page p-4">
          <Dialog.Title>{name}</Dialog.Title>
          <Dialog.Description className="sr-only">The picture as large as the window allows.</Dialog.Description>
          {url && <img src={url} alt={name} className="min-h-0 max-w-full flex-1 object-contain" />}
          <div className="flex gap-3">
            <Dialog.Close className="btn btn-main">Close</Dialog.Close>
            <Dialog.Close className="btn" onClick={() => removePhoto(fitting, photo.id)}>
              Remove it
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
