import { Dialog } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import type { Job } from '@ample/core/documents';
import { exportJob } from '../../store/backup.ts';
import { AMPLE, download, fileName } from '../../store/export.ts';
import { editStored, useLibrary, wearerOf } from '../../store/library.ts';
import { deleteJob } from '../../store/privacy.ts';
import { shareJob, waysToShare } from '../../store/share.ts';
import type { TagDialog } from './Tag.tsx';
import { Modal } from '../../ui/Modal.tsx';
import { Ask } from '../../ui/Ask.tsx';

/** What the menu of a tag opens. */
export function TagDialogs({
  open,
  onClose,
}: {
  readonly open: { readonly job: Job; readonly dialog: TagDialog } | null;
  readonly onClose: () => void;
}) {
  if (!open) return null;
  if (open.dialog === 'details') return <Details key={open.job.id} job={open.job} onClose={onClose} />;
  return open.dialog === 'friend' ? (
    <Friend job={open.job} onClose={onClose} />
  ) : (
    <Delete job={open.job} onClose={onClose} />
  );
}

function Details({ job, onClose }: { readonly job: Job; readonly onClose: () => void }) {
  const [form, setForm] = useState({ title: job.title, due: job.due ?? '', fabric: job.fabric, notes: job.notes });
  const field = (key: 'title' | 'fabric', name: string, max: number): ReactNode => (
    <label className="block">
      <span className="mb-1 block text-sm">{name}</span>
      <input
        className="field w-full"
        maxLength={max}
        value={form[key]}
        onChange={(e) => setForm((f) => ({ ...f, [key]: e.target.value }))}
      />
    </label>
  );
  return (
    <Modal
      title="Title, date and cloth"
      about="What stands on the tag of this job."
      quiet
      onOpenChange={(o) => !o && onClose()}
    >
      <form
        className="mt-4 space-y-4"
        onSubmit={(e) => {
          e.preventDefault();
          void editStored(job.id, (j) => ({ ...j, ...form, title: form.title.trim(), due: form.due || null }));
          onClose();
        }}
      >
        {field('title', 'What it will be', 160)}
        <label className="block">
          <span className="mb-1 block text-sm">Due (may stay empty)</span>
          <input
            type="date"
            className="field num"
            value={form.due}
            onChange={(e) => setForm((f) => ({ ...f, due: e.target.value }))}
          />
        </label>
        {field('fabric', 'Cloth', 400)}
        <label className="block">
          <span className="mb-1 block text-sm">Notes</span>
          <textarea
            className="field w-full"
            rows={3}
            maxLength={4000}
            value={form.notes}
            onChange={(e) => setForm((f) => ({ ...f, notes: e.target.value }))}
          />
        </label>
        <div className="flex gap-3">
          <button className="btn btn-main" type="submit">
            Write it on the tag
          </button>
          <Dialog.Close className="btn" type="button">
            Cancel
          </Dialog.Close>
        </div>
      </form>
    </Modal>
  );
}

function Friend({ job, onClose }: { readonly job: Job; readonly onClose: () => void }) {
  const wearer = useLibrary((s) => wearerOf(job, s.wearers));
  const [trouble, setTrouble] = useState<string | null>(null);
  const [way] = useState(waysToShare);
  const name = `${wearer?.name ?? ''} ${job.title} for a friend`;
  const missing = 'The wearer of this job is not here, so the file cannot be made.';
  const make = async () => {
    const bytes = await exportJob(job.id, new Date());
    if (!bytes) return setTrouble(missing);
    download(`${fileName(name)}.ample`, bytes as BlobPart, AMPLE);
    onClose();
  };
  const share = async () => {
    try {
      if (await shareJob(job, name)) onClose();
      else setTrouble(missing);
    } catch {
      setTrouble('The system did not take it. Make the file instead, and hand that on.');
    }
  };
  return (
    <Ask title="A file for a friend" action="Make the file" onAction={() => void make()} onClose={onClose} stay>
      The file holds this job whole: all of {wearer?.name ?? 'the wearer'}’s measurements, the pattern, the plan, the
      fittings and their pictures. Hand it on only if {wearer?.name ?? 'the wearer'} agrees: a copy cannot be called
      back.
      {way && (
        <p className="mt-3">
          <button className="btn" onClick={() => void share()}>
            Share it…
          </button>{' '}
          {way === 'text' && 'The pictures stay here: this device shares only text.'}
        </p>
      )}
      {trouble && <strong className="mt-2 block text-pencil">{trouble}</strong>}
    </Ask>
  );
}

function Delete({ job, onClose }: { readonly job: Job; readonly onClose: () => void }) {
  return (
    <Ask
      title={`Delete “${job.title || 'Untitled'}”`}
      action="Delete it"
      onAction={() => void deleteJob(job.id).then((r) => r && useLibrary.setState({ trouble: r }))}
      onClose={onClose}
    >
      The job goes with its plan, fittings, versions and pictures, and does not come back. The wearer and the pattern
      stay. To keep it out of the way instead, put it away.
    </Ask>
  );
}
