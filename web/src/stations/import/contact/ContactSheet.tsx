import { noun } from '@ample/core/words';
import { useImport } from '../../../store/import.ts';
import { isTaken, piecesAreRight } from '../../../store/contact.ts';
import { ContactCard } from './ContactCard.tsx';
import { OnTheMat } from './OnTheMat.tsx';
import { SeamsCheck } from './SeamsCheck.tsx';

/** All pieces of the chosen size beside each other, the doubtful ones first; then the seams between them. */
export function ContactSheet() {
  const contact = useImport((s) => s.contact);
  if (!contact) return null;
  if (contact.step === 'seams') return <SeamsCheck contact={contact} />;
  if (contact.step === 'taken') return <OnTheMat />;
  const open = contact.pieces.filter((p) => p.asks.length > 0 && !contact.left.includes(p.choices.id)).length;
  const ready = { ...contact, settled: contact.pieces.map((p) => p.choices.id) };
  const taken = contact.pieces.filter((p) => isTaken(ready, p)).length;
  return (
    <div className="flex h-full min-h-[460px] flex-col border border-line bg-page">
      <ul
        className="grid min-h-0 flex-1 auto-rows-min grid-cols-[repeat(auto-fill,minmax(260px,1fr))] gap-3 overflow-auto p-3"
        aria-label="Pieces as they were read"
      >
        {contact.pieces.map((p) => (
          <ContactCard key={p.choices.id} read={p} />
        ))}
      </ul>
      <div className="flex flex-wrap items-center justify-between gap-3 border-t border-line bg-white px-4 py-3">
        <p role="status">
          {contact.state === 'reading'
            ? 'Reading the pieces…'
            : open === 0
              ? 'No questions are open.'
              : `${open} of ${contact.pieces.length} ${noun(open, 'has', 'have')} a question; ${contact.pieces.length - taken === 0 ? 'look at them' : `${contact.pieces.length - taken} will stay out until it is answered`}.`}
        </p>
        <button
          className="btn btn-main"
          disabled={taken === 0 || contact.state === 'reading'}
          onClick={() => piecesAreRight()}
        >
          {taken === 0
            ? 'Answer the questions first'
            : taken === 1
              ? 'This piece is right'
              : taken === contact.pieces.length
                ? 'These pieces are right'
                : `These ${taken} pieces are right`}
        </button>
      </div>
    </div>
  );
}
