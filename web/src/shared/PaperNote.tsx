import type { Draft } from '@ample/core/fitting/plan';
import { sayPaper } from '@ample/core/words';
import { Notice } from './basics.tsx';

/** With paper only the drawings are of a piece like one's own: said wherever one is shown. */
export function PaperNote({ draft }: { readonly draft: Pick<Draft, 'paper'> }) {
  if (draft.paper === null) return null;
  return (
    <div className="mb-3">
      <Notice grade="note">{sayPaper(draft)}</Notice>
    </div>
  );
}
