import { writeDocument, type Job } from '@ample/core/documents';
import { useJob } from './job.ts';
import { useDraft } from './draft.ts';

/** The kind of a file of ours, as the installed app says it opens. */
export const AMPLE = 'application/x-ample-draft';

export function download(name: string, data: BlobPart, type: string): void {
  const url = URL.createObjectURL(new Blob([data], { type }));
  const a = document.createElement('a');
  a.href = url;
  a.download = name;
  a.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

export const fileName = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/[^\w-]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .toLowerCase();

/** The open job with its wearer and pattern inline: one file that opens anywhere, the terminal included. */
export function exportWork(): void {
  const { job, wearer } = useJob.getState();
  if (!job || !wearer) return;
  // The pattern as the drafter of this job has it, its own or a sample.
  const { jobId, pattern: drafted } = useDraft.getState();
  const pattern = jobId === job.id ? drafted : null;
  const whole: unknown = { ...job, wearer, pattern: pattern ?? job.pattern } satisfies Record<keyof Job, unknown>;
  download(`${fileName(`${wearer.name} ${pattern?.name ?? ''}`)}.job.json`, writeDocument(whole), 'application/json');
}
