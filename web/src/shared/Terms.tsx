import { Popover } from 'radix-ui';
import { GLOSSARY, type Term } from '@ample/core/words';

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** Every term as it may stand in a sentence, the longest first: “side dart” before “dart”. Everyday words are left alone. */
const TERMS = new RegExp(
  `\\b(${GLOSSARY.filter((t) => !t.everyday)
    .map((t) => escaped(t.term))
    .sort((a, b) => b.length - a.length)
    .join('|')})(s?)\\b`,
  'gi',
);
const meaningOf = (word: string): Term | undefined => GLOSSARY.find((t) => t.term.toLowerCase() === word.toLowerCase());

/** A sentence whose terms can be opened where they stand, each at its first mention. */
export function Terms({ children: text }: { readonly children: string }) {
  const seen = new Set<string>();
  const parts: (string | { readonly word: string; readonly term: Term })[] = [];
  let from = 0;
  for (const match of text.matchAll(TERMS)) {
    const term = meaningOf(match[1] ?? '');
    if (!term || seen.has(term.term)) continue;
    seen.add(term.term);
    parts.push(text.slice(from, match.index), { word: match[0], term });
    from = match.index + match[0].length;
  }
  parts.push(text.slice(from));
  return parts.map((part, i) => (typeof part === 'string' ? part : <Opened key={i} {...part} />));
}

/** A term, dotted underneath: pressed, it says what it means. */
const Opened = ({ word, term }: { readonly word: string; readonly term: Term }) => (
  <Popover.Root>
    <Popover.Trigger
      data-term
      className="inline cursor-help underline decoration-dotted decoration-2 underline-offset-4"
    >
      {word}
    </Popover.Trigger>
    <Popover.Portal>
      <Popover.Content
        className="z-50 max-w-[340px] border border-ink bg-white px-4 py-3 shadow"
        sideOffset={6}
        collisionPadding={12}
        aria-label={term.term}
      >
        <strong>{term.term}</strong>
        <p>{term.meaning}</p>
      </Popover.Content>
    </Popover.Portal>
  </Popover.Root>
);
