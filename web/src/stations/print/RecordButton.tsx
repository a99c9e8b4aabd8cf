import { FileText } from 'lucide-react';
import { useState } from 'react';
import type { Draft } from '@ample/core/fitting/plan';
import type { Job } from '@ample/core/documents';
import { inOrderOfDate } from '@ample/core/fitting/toile';
import type { RecordPicture } from '@ample/core/out';
import type { Pattern } from '@ample/core/pattern';
import { recordOf, sayRefusal } from '@ample/core/words';
import { today } from '../../lib/time.ts';
import { download, fileName } from '../../store/export.ts';
import { useJob } from '../../store/job.ts';
import { usePrefs, useUnits } from '../../store/prefs.ts';
import { Notice } from '../../shared/basics.tsx';
import { db } from '../../store/db.ts';
import { makeRecord } from '../../workers/client.ts';
import { PRINT_FONTS } from './printing.ts';
import { BusyButton } from '../../ui/BusyButton.tsx';

/** The record of the job on one page: measurements, size, steps, drawings before and after, fittings. */
export function RecordButton({ draft, pattern }: { readonly draft: Draft; readonly pattern: Pattern }) {
  const units = useUnits();
  const paper = usePrefs((s) => s.paper);
  const [state, setState] = useState<'idle' | 'busy' | { readonly failed: string }>('idle');
  const make = async () => {
    const { job, wearer } = useJob.getState();
    if (!job || !wearer) return;
    setState('busy');
    try {
      const record = recordOf(job, wearer, pattern, draft, units, today());
      const picture = await formPicture(job);
      const bytes = await makeRecord({
        record: picture ? { ...record, picture } : record,
        paper,
        date: today(),
        fonts: PRINT_FONTS,
      });
      download(`${fileName(`${wearer.name} ${job.title} record`)}.pdf`, bytes as BlobPart, 'application/pdf');
      setState('idle');
    } catch (error) {
      const detail = error instanceof Error ? error.message : String(error);
      setState({ failed: sayRefusal({ code: 'pdf-failed', data: { detail } }, units) });
    }
  };
  return (
    <>
      <BusyButton busy={state === 'busy'} onClick={() => void make()}>
        <FileText size={20} aria-hidden="true" />
        {state === 'busy' ? 'Writing the record…' : 'Record, one page'}
      </BusyButton>
      {typeof state === 'object' && <Notice grade="fault">{state.failed}</Notice>}
    </>
  );
}

/** The last picture of the garment on its form; none where no fitting has kept one, or it is no longer there. */
async function formPicture(job: Job): Promise<RecordPicture | null> {
  const kept = inOrderOfDate(job.fittings)
    .filter((f) => f.kind === 'form')
    .flatMap((f) => f.photos)
    .at(-1);
  const file = kept && (await db.photos.get(kept.id));
  if (!kept || !file || file.type !== 'image/jpeg') return null;
  return { jpeg: file.bytes, width: kept.width, height: kept.height, caption: kept.caption };
}
